// Takes a widget out of use from within one of its own calls: hidden, silent and nameless until it is deleted.
#pragma once

#include <QWidget>

namespace machair::app {

inline void retire(QWidget* widget) {
    widget->hide();
    widget->setObjectName(QString());
    widget->blockSignals(true);
    for (QWidget* child : widget->findChildren<QWidget*>()) {
        child->setObjectName(QString());
        child->blockSignals(true);  // a field that loses its focus now would still speak of an edit
    }
    widget->deleteLater();
}

}  // namespace machair::app
