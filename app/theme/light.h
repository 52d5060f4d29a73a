// Light in the water as the screen shows it.
#pragma once

#include <QColor>
#include <algorithm>

#include "colour/colour.h"

namespace machair::app {

// Linear light, so many times as much of it; what is over 1 is white.
[[nodiscard]] inline QColor shownLight(Rgb linear, double exposure) {
    const Rgb c = fromLinear({linear.r * exposure, linear.g * exposure, linear.b * exposure});
    const auto within = [](double v) { return static_cast<float>(std::clamp(v, 0.0, 1.0)); };
    return QColor::fromRgbF(within(c.r), within(c.g), within(c.b));
}

}  // namespace machair::app
