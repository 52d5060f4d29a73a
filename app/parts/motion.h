// Motion that tells something and is soon over: a fly settles to its new depth. At most 180 ms, and none where the system asks
// for stillness or the house does.
#pragma once

#include <QVariantAnimation>
#include <QWidget>

namespace machair::app {

// The house's word for all windows; the system's stands before it.
void keepStill(bool still);
[[nodiscard]] bool isStill();

class Motion : public QVariantAnimation {
  public:
    explicit Motion(QWidget* moves) : QVariantAnimation(moves) {
        setStartValue(1.0);
        setEndValue(0.0);
        setEasingCurve(QEasingCurve::OutCubic);
        connect(this, &QVariantAnimation::valueChanged, moves, qOverload<>(&QWidget::update));
    }
    void begin() {
        constexpr int kLongest = 180;  // ms
        stop();
        setDuration(kLongest);
        if (!isStill()) start();
    }
    // What is left of the way: 1 at its beginning, 0 at rest.
    [[nodiscard]] double left() const { return state() == Running ? currentValue().toDouble() : 0.0; }
};

}  // namespace machair::app
