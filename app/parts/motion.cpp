#include "parts/motion.h"

#include <QApplication>
#include <QStyle>

namespace machair::app {

namespace {
constexpr const char* kStill = "machair-still";
}

void keepStill(bool still) { qApp->setProperty(kStill, still); }

bool isStill() {
    // Nought where the desktop has its animations off.
    return qApp->property(kStill).toBool() || QApplication::style()->styleHint(QStyle::SH_Widget_Animation_Duration) == 0;
}

}  // namespace machair::app
