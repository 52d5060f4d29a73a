#include "parts/name_field.h"

#include <QKeyEvent>

namespace machair::app {

NameField::NameField(QWidget* button, QWidget* parent) : QLineEdit(parent), button_(button) {
    hide();
    connect(this, &QLineEdit::editingFinished, this, &NameField::end);
}

void NameField::ask(const QString& now) {
    before_ = now;
    setText(now);
    button_->hide();
    show();
    selectAll();
    setFocus();
}

// Enter and Esc end the naming and are nothing to what lies around it.
void NameField::keyPressEvent(QKeyEvent* event) {
    const bool leave = event->key() == Qt::Key_Escape;
    if (leave) setText(before_);
    if (leave || event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) return end();
    QLineEdit::keyPressEvent(event);
}

void NameField::end() {
    if (isHidden()) return;
    button_->show();
    if (hasFocus()) button_->setFocus();
    hide();
    if (text() != before_) emit named(text());
}

}  // namespace machair::app
