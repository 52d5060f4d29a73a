// The strip's measures on the screen, and how far each phase of a cast goes: for its drawing and for the hands on it.
#pragma once

#include <array>
#include <cmath>
#include <cstddef>

#include "drift/handling_strip.h"

namespace machair::app {

inline constexpr double kTop = 6.0, kFoot = 8.0;  // px above and below the blocks
inline constexpr double kGrip = 5.0;              // px around an edge

struct Limits {
    double longest;          // s
    double fastest;          // m/s, 0 where it has no speed
    double shown;            // m/s at the top of its block, until it goes faster
    double step = 0.05;      // m/s a key
    double takenUp = 5.0;    // s, where it was none
    double speedThen = 0.0;  // m/s, where it had none
};
inline const Limits& limitsOf(Phase phase) {
    static constexpr std::array kLimits = {Limits{120.0, 0.0, 0.0}, Limits{300.0, 3.0, 0.6, 0.05, 10.0, 0.3},
                                           Limits{60.0, 2.0, 0.8, 0.05, 5.0, 0.4}, Limits{60.0, 1.0, 0.4, 0.02}, Limits{60.0, 0.0, 0.0}};
    return kLimits[static_cast<std::size_t>(phase)];
}

inline double toWhole(double value, double step) { return std::round(value / step) * step; }

}  // namespace machair::app
