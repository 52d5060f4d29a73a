#include "water/sea.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

#include "language/say.h"

namespace machair {

namespace {

constexpr double kG = kGravity / metrePerSecond2;
constexpr Length kCautionHeight = 350.0 * mm;
constexpr Speed kCautionWind = 10.8 * metrePerSecond;

// Lower ends of Beaufort's forces, m/s.
constexpr std::array kForces = {0.0, 0.3, 1.6, 3.4, 5.5, 8.0, 10.8, 13.9, 17.2, 20.8, 24.5, 28.5, 32.7};
constexpr std::array<std::string_view, 13> kWindWords = {
    unsaid("calm"),           unsaid("light air"),       unsaid("a light breeze"), unsaid("a gentle breeze"), unsaid("a moderate breeze"),
    unsaid("a fresh breeze"), unsaid("a strong breeze"), unsaid("near gale"),      unsaid("a gale"),          unsaid("a strong gale"),
    unsaid("a storm"),        unsaid("a violent storm"), unsaid("a hurricane")};

}  // namespace

WaveClass seaClass(Length waveHeight) {
    const double metres = waveHeight / metre;
    if (metres < 0.02) return WaveClass::calm;
    if (metres < 0.08) return WaveClass::ripple;
    return metres < 0.20 ? WaveClass::wave : WaveClass::bigWave;
}

Sea seaUnder(const Wind& wind, const BoatDrift& boat) {
    Sea sea;
    const double u = wind.speed / metrePerSecond;
    const double fetch = wind.fetch / metre;
    if (u > 0.0 && fetch > 0.0) {
        const double height = std::min(0.0016 * u * std::sqrt(fetch / kG), 0.0246 * u * u);
        const double period = std::min(0.286 * std::cbrt(fetch * u / (kG * kG)), 0.83 * u);
        sea.height = height * metre;
        sea.period = period * second;
        sea.surface = std::numbers::pi * height / period * metrePerSecond;
        sea.builds = 68.8 * std::pow(kG * fetch / (u * u), 2.0 / 3.0) * u / kG * second;
    }
    sea.drift = (wind.drogue ? boat.drogue : boat.open) * wind.speed;
    sea.kind = seaClass(sea.height);
    sea.cautions.emplace_back(say("Life jackets on; the boat owner's and local rules decide whether anyone goes out."));
    if (sea.height >= kCautionHeight)
        sea.cautions.emplace_back(say("A wave of 0.35 m or more: a small boat side-on takes water over it. Think of the lee shore."));
    if (wind.speed >= kCautionWind)
        sea.cautions.emplace_back(
            say("A strong breeze or more, 10.8 m/s: hooks fly where the wind puts them, and rowing home may not be possible."));
    return sea;
}

int beaufort(Speed wind) {
    const auto above = std::ranges::upper_bound(kForces, wind / metrePerSecond);
    return std::max(0, static_cast<int>(above - kForces.begin()) - 1);
}

Speed windOfForce(int force) {
    const auto f = static_cast<std::size_t>(std::clamp(force, 0, 12));
    if (f == 0) return Speed{};
    const double top = f + 1 < kForces.size() ? kForces[f + 1] : 36.0;
    return 0.5 * (kForces[f] + top) * metrePerSecond;
}

std::string_view windWords(int force) { return kWindWords[static_cast<std::size_t>(std::clamp(force, 0, 12))]; }

}  // namespace machair
