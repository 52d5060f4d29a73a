#include "water/sea.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace machair {

namespace {

constexpr double kG = 9.81;
constexpr Length kCautionHeight = 350.0 * mm;
constexpr Speed kCautionWind = 10.8 * metrePerSecond;
constexpr double kBoatDrift = 0.035;    // of the wind
constexpr double kDrogueDrift = 0.018;  // with a drogue out

// Lower ends of Beaufort's forces, m/s.
constexpr std::array kForces = {0.0, 0.3, 1.6, 3.4, 5.5, 8.0, 10.8, 13.9, 17.2, 20.8, 24.5, 28.5, 32.7};
constexpr std::array<std::string_view, 13> kWindWords = {"calm", "light air", "a light breeze", "a gentle breeze", "a moderate breeze", "a fresh breeze",
                                                         "a strong breeze", "near gale", "a gale", "a strong gale", "a storm", "a violent storm", "a hurricane"};

}  // namespace

double FullnessWanted::at(Position position) const {
    switch (position) {
        case Position::bob: return bob;
        case Position::upper: return 0.5 * (bob + middle);
        case Position::middle: return middle;
        case Position::lower: return 0.5 * (middle + point);
        case Position::point: return point;
    }
    throw BrokenContract("unknown position");
}

WaveClass seaClass(Length waveHeight) {
    const double metres = waveHeight / metre;
    if (metres < 0.02) return WaveClass::calm;
    if (metres < 0.08) return WaveClass::ripple;
    return metres < 0.20 ? WaveClass::wave : WaveClass::bigWave;
}

double fullnessOfBob(Length waveHeight) {
    constexpr std::array<std::pair<double, double>, 4> kCurve = {{{0.01, 8.0}, {0.05, 13.0}, {0.14, 19.0}, {0.30, 28.0}}};
    const double h = waveHeight / metre;
    if (h <= kCurve.front().first) return kCurve.front().second;
    for (std::size_t i = 1; i < kCurve.size(); ++i) {
        const auto [h0, f0] = kCurve[i - 1];
        const auto [h1, f1] = kCurve[i];
        if (h <= h1) return f0 + (f1 - f0) * (h - h0) / (h1 - h0);
    }
    return kCurve.back().second;
}

Sea seaUnder(const Wind& wind) {
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
    sea.drift = (wind.drogue ? kDrogueDrift : kBoatDrift) * wind.speed;
    sea.kind = seaClass(sea.height);
    sea.fullness.bob = fullnessOfBob(sea.height);
    sea.fullness.middle = kMiddleFullness * sea.fullness.bob;
    sea.fullness.point = kPointFullness * sea.fullness.bob;
    sea.cautions.emplace_back("Life jackets on; the boat owner's and local rules decide whether anyone goes out.");
    if (sea.height >= kCautionHeight) sea.cautions.emplace_back("A wave of 0.35 m or more: a small boat side-on takes water over it. Think of the lee shore.");
    if (wind.speed >= kCautionWind) sea.cautions.emplace_back("A strong breeze or more, 10.8 m/s: hooks fly where the wind puts them, and rowing home may not be possible.");
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
