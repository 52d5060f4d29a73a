#include "colour/colour.h"

#include "language/say.h"

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>

namespace machair {

namespace {

double linear(double c) { return c <= 0.04045 ? c / 12.92 : std::pow((c + 0.055) / 1.055, 2.4); }
double gamma(double c) {
    c = std::clamp(c, 0.0, 1.0);
    return c <= 0.0031308 ? 12.92 * c : 1.055 * std::pow(c, 1.0 / 2.4) - 0.055;
}

}  // namespace

Rgb toLinear(Rgb c) { return {linear(c.r), linear(c.g), linear(c.b)}; }
Rgb fromLinear(Rgb c) { return {gamma(c.r), gamma(c.g), gamma(c.b)}; }

Lab toLab(Rgb colour) {
    const double r = linear(colour.r);
    const double g = linear(colour.g);
    const double b = linear(colour.b);
    const double l = std::cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
    const double m = std::cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
    const double s = std::cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
    return {0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s, 1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
            0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s};
}

Rgb toRgb(Lab c) {
    const double l = std::pow(c.L + 0.3963377774 * c.a + 0.2158037573 * c.b, 3);
    const double m = std::pow(c.L - 0.1055613458 * c.a - 0.0638541728 * c.b, 3);
    const double s = std::pow(c.L - 0.0894841775 * c.a - 1.2914855480 * c.b, 3);
    return {gamma(4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s), gamma(-1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s),
            gamma(-0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s)};
}

std::optional<Rgb> parseColour(std::string_view hex) {
    if (hex.size() != 7 || hex.front() != '#') return std::nullopt;
    unsigned value = 0;
    const auto [end, error] = std::from_chars(hex.data() + 1, hex.data() + hex.size(), value, 16);
    if (error != std::errc{} || end != hex.data() + hex.size()) return std::nullopt;
    const auto channel = [value](unsigned shift) { return static_cast<double>((value >> shift) & 0xFFu) / 255.0; };
    return Rgb{channel(16), channel(8), channel(0)};
}

Lab shade(Lab c, double delta) {
    const double chroma = delta > 0.0 ? 1.0 - 0.35 * delta : 1.0 - 0.25 * delta;
    return {std::clamp(c.L + delta, 0.0, 1.0), c.a * chroma, c.b * chroma};
}

double apart(Lab a, Lab b) { return std::hypot(a.L - b.L, a.a - b.a, a.b - b.b); }

Lab mix(Lab a, Lab b, double share) { return {a.L + (b.L - a.L) * share, a.a + (b.a - a.a) * share, a.b + (b.b - a.b) * share}; }

std::string_view colourWord(Rgb colour) {
    struct Named {
        std::string_view word;
        Rgb rgb;
    };
    constexpr std::array kWords = {Named{unsaid("black"), {0.08, 0.08, 0.08}},  Named{unsaid("white"), {0.97, 0.97, 0.96}},
                                   Named{unsaid("silver"), {0.74, 0.75, 0.77}}, Named{unsaid("grey"), {0.50, 0.50, 0.50}},
                                   Named{unsaid("gold"), {0.77, 0.61, 0.25}},   Named{unsaid("copper"), {0.74, 0.45, 0.25}},
                                   Named{unsaid("brown"), {0.36, 0.23, 0.13}},  Named{unsaid("ginger"), {0.68, 0.42, 0.18}},
                                   Named{unsaid("red"), {0.78, 0.12, 0.12}},    Named{unsaid("claret"), {0.42, 0.08, 0.16}},
                                   Named{unsaid("orange"), {0.93, 0.45, 0.10}}, Named{unsaid("yellow"), {0.94, 0.84, 0.20}},
                                   Named{unsaid("cream"), {0.94, 0.89, 0.74}},  Named{unsaid("olive"), {0.42, 0.41, 0.18}},
                                   Named{unsaid("green"), {0.16, 0.50, 0.24}},  Named{unsaid("blue"), {0.18, 0.36, 0.68}},
                                   Named{unsaid("dun"), {0.44, 0.46, 0.50}},    Named{unsaid("purple"), {0.38, 0.16, 0.50}},
                                   Named{unsaid("lilac"), {0.66, 0.61, 0.77}},  Named{unsaid("pink"), {0.93, 0.58, 0.68}},
                                   Named{unsaid("green"), {0.50, 0.72, 0.24}},  Named{unsaid("red"), {0.90, 0.20, 0.26}},
                                   Named{unsaid("blue"), {0.30, 0.62, 0.84}}};
    const Lab wanted = toLab(colour);
    const auto apart = [&](const Named& named) {
        const Lab c = toLab(named.rgb);
        return std::hypot(c.L - wanted.L, c.a - wanted.a, c.b - wanted.b);
    };
    return std::ranges::min_element(kWords, {}, apart)->word;
}

}  // namespace machair
