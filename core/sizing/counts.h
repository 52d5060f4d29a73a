// How many of a thing a tier ties in: whole numbers that step with the hook (models.md section 2).
#pragma once

#include <algorithm>
#include <cmath>

#include "dressing/pattern.h"
#include "hook/hook.h"

namespace machair {

// n on a size 10, falling with the gape to the power p: fibres 1, hairs 2.
[[nodiscard]] inline double usualCount(double onTen, double p, int size) {
    return std::max(1.0, std::floor(onTen * std::pow(nominalGape(size) / nominalGape(10), p) + 0.5));
}
[[nodiscard]] inline double usualPlumes(int size) { return size <= 8 ? 4.0 : size <= 10 ? 3.0 : size <= 12 ? 2.0 : 1.0; }

// A count written for a hook of one size, on another.
[[nodiscard]] inline Count scaledCount(const Count& written, double p, int from, int to) {
    const double factor = std::pow(nominalGape(to) / nominalGape(from), p);
    const auto scaled = [factor](double n) { return std::max(1.0, std::floor(n * factor + 0.5)); };
    return {scaled(written.low), scaled(written.high), written.pair};
}

// A loop or rope is made so much longer than what is wound of it, and then the end that is held (models.md section 4).
inline constexpr double kRopeSpare = 1.10;
inline constexpr Length kRopeHeld = 12.0 * mm;

}  // namespace machair
