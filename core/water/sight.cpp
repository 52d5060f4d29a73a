#include "water/sight.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "faults/faults.h"

namespace machair {

namespace {

constexpr double kRefraction = 1.333;
constexpr double kWindow = 1.14;  // tangent of the window's half angle

template <class Op>
Rgb each(Rgb a, Rgb b, Op op) {
    return {op(a.r, b.r), op(a.g, b.g), op(a.b, b.b)};
}
Rgb fading(Rgb perMetre, double metres) {
    return {std::exp(-perMetre.r * metres), std::exp(-perMetre.g * metres), std::exp(-perMetre.b * metres)};
}
double luminance(Rgb c) { return 0.2126 * c.r + 0.7152 * c.g + 0.0722 * c.b; }

}  // namespace

Clarity clarityOf(WaterColour colour) {
    switch (colour) {
        case WaterColour::clear: return {{0.30, 0.10, 0.13}, {0.010, 0.025, 0.030}};
        case WaterColour::tea: return {{0.45, 0.55, 1.6}, {0.012, 0.012, 0.006}};
        case WaterColour::peat: return {{0.80, 1.50, 4.0}, {0.012, 0.006, 0.002}};
        case WaterColour::green: return {{0.60, 0.35, 1.00}, {0.015, 0.035, 0.012}};
    }
    throw BrokenContract("unknown water colour");
}

double pathCosine(Angle sunElevation) {
    const double bent = cos(sunElevation) / kRefraction;
    return std::sqrt(1.0 - bent * bent);
}

Seen seen(Rgb srgb, const Clarity& clarity, const Sighting& sighting) {
    const Rgb light = fading(clarity.attenuation, sighting.depth / metre / sighting.cosine);
    const Rgb reaches = fading(clarity.attenuation, sighting.from / metre);
    const Rgb behind = each(clarity.scattered, light, std::multiplies{});
    const Rgb own = each(each(toLinear(srgb), light, std::multiplies{}), reaches, std::multiplies{});
    const Rgb veil = each(behind, reaches, [](double b, double r) { return b * (1.0 - r); });
    const double adapted = luminance(light);
    const auto adapt = [adapted](double c, double) { return c / adapted; };
    Seen result;
    result.fly = each(each(own, veil, std::plus{}), {}, adapt);
    result.water = each(behind, {}, adapt);
    const CieLab fly = toCieLab(result.fly), water = toCieLab(result.water);
    result.contrast = ciede2000(fly, water);
    result.lighter = fly.L - water.L;
    return result;
}

bool againstSky(Length horizontal, Length fishDepth, Length flyDepth) { return horizontal < kWindow * (fishDepth - flyDepth); }

CieLab toCieLab(Rgb c) {
    const double x = (0.4124564 * c.r + 0.3575761 * c.g + 0.1804375 * c.b) / 0.95047;
    const double y = 0.2126729 * c.r + 0.7151522 * c.g + 0.0721750 * c.b;
    const double z = (0.0193339 * c.r + 0.1191920 * c.g + 0.9503041 * c.b) / 1.08883;
    constexpr double kSmall = 216.0 / 24389.0, kSlope = 24389.0 / 27.0;
    const auto f = [](double t) { return t > kSmall ? std::cbrt(t) : (kSlope * t + 16.0) / 116.0; };
    return {116.0 * f(y) - 16.0, 500.0 * (f(x) - f(y)), 200.0 * (f(y) - f(z))};
}

double ciede2000(const CieLab& one, const CieLab& two) {
    constexpr double k25to7 = 6103515625.0;
    const auto degrees = [](double d) { return d * std::numbers::pi / 180.0; };
    const double c1 = std::hypot(one.a, one.b), c2 = std::hypot(two.a, two.b);
    const double mean7 = std::pow(0.5 * (c1 + c2), 7);
    const double g = 0.5 * (1.0 - std::sqrt(mean7 / (mean7 + k25to7)));
    const double a1 = (1.0 + g) * one.a, a2 = (1.0 + g) * two.a;
    const double p1 = std::hypot(a1, one.b), p2 = std::hypot(a2, two.b);
    const auto hue = [](double b, double a) {
        if (a == 0.0 && b == 0.0) return 0.0;
        const double h = std::atan2(b, a);
        return h < 0.0 ? h + 2.0 * std::numbers::pi : h;
    };
    const double h1 = hue(one.b, a1), h2 = hue(two.b, a2);
    double dh = p1 * p2 == 0.0 ? 0.0 : h2 - h1;
    if (dh > kPi) dh -= 2.0 * kPi;
    if (dh < -kPi) dh += 2.0 * kPi;
    double meanHue = h1 + h2;
    if (p1 * p2 != 0.0) {
        if (std::abs(h1 - h2) > kPi) meanHue += meanHue < 2.0 * kPi ? 2.0 * kPi : -2.0 * kPi;
        meanHue *= 0.5;
    }
    const double dL = two.L - one.L, dC = p2 - p1, dH = 2.0 * std::sqrt(p1 * p2) * std::sin(0.5 * dh);
    const double meanL = 0.5 * (one.L + two.L), meanC = 0.5 * (p1 + p2);
    const double t = 1.0 - 0.17 * std::cos(meanHue - degrees(30)) + 0.24 * std::cos(2.0 * meanHue) +
                     0.32 * std::cos(3.0 * meanHue + degrees(6)) - 0.20 * std::cos(4.0 * meanHue - degrees(63));
    const double turn = (meanHue * 180.0 / kPi - 275.0) / 25.0;
    const double rotation = degrees(30.0) * std::exp(-turn * turn);
    const double c7 = std::pow(meanC, 7);
    const double rc = 2.0 * std::sqrt(c7 / (c7 + k25to7));
    const double l50 = (meanL - 50.0) * (meanL - 50.0);
    const double sl = 1.0 + 0.015 * l50 / std::sqrt(20.0 + l50), sc = 1.0 + 0.045 * meanC, sh = 1.0 + 0.015 * meanC * t;
    const double rt = -std::sin(2.0 * rotation) * rc;
    const double l = dL / sl, c = dC / sc, h = dH / sh;
    return std::sqrt(l * l + c * c + h * h + rt * c * h);
}

}  // namespace machair
