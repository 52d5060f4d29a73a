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

}  // namespace machair::app
