// A label that shows a text as it is. Texts come from books that others made: none of them is ever read as mark-up, which
// could name files to be loaded.
#pragma once

#include <QLabel>

namespace machair::app {

class Label : public QLabel {
    Q_OBJECT
  public:
    explicit Label(QWidget* parent = nullptr) : QLabel(parent) { setTextFormat(Qt::PlainText); }
    explicit Label(const QString& text, QWidget* parent = nullptr, Qt::WindowFlags flags = {}) : QLabel(parent, flags) {
        setTextFormat(Qt::PlainText);
        setText(text);
    }
};

// Writes it in this colour.
inline void setInk(QLabel* label, const QColor& colour) {
    QPalette palette = label->palette();
    palette.setColor(QPalette::WindowText, colour);
    label->setPalette(palette);
}

}  // namespace machair::app
