// A label that shows a text as it is. Texts come from books that others made: none of them is ever read as mark-up, which
// could name files to be loaded. Lengths in it are said in the house's unit (lengths.h), and a word without an end breaks or is
// cut short: no text makes a window wider than its screen.
#pragma once

#include <QLabel>

#include "parts/lengths.h"

namespace machair::app {

class Label : public QLabel {
    Q_OBJECT
  public:
    explicit Label(QWidget* parent = nullptr) : QLabel(parent) { setTextFormat(Qt::PlainText); }
    explicit Label(const QString& words, QWidget* parent = nullptr, Qt::WindowFlags flags = {}) : QLabel(parent, flags) {
        setTextFormat(Qt::PlainText);
        setText(words);
    }
    void setText(const QString& words) {
        words_ = words;
        sayAgain();
    }
    void clear() { setText({}); }
    void sayAgain() { QLabel::setText(broken(inHouseWords(words_))); }

  private:
    QString words_;  // in millimetres
};

// A form's label of a field, for its editor.
[[nodiscard]] inline Label* labelFor(const Field& field, QWidget* editor) {
    auto* label = new Label(QString::fromStdString(field.label));
    label->setBuddy(editor);
    return label;
}

// Writes it in this colour.
inline void setInk(QLabel* label, const QColor& colour) {
    QPalette palette = label->palette();
    palette.setColor(QPalette::WindowText, colour);
    label->setPalette(palette);
}

}  // namespace machair::app
