// Colour in OKLab (Ottosson 2020): tones are shifts of lightness that keep their hue. All drawing works in it.
#pragma once

#include <optional>
#include <string_view>

namespace machair {

struct Rgb {  // sRGB, 0 … 1
    double r = 0.0;
    double g = 0.0;
    double b = 0.0;
};

struct Lab {  // OKLab: L 0 … 1, a and b about ±0.4
    double L = 0.0;
    double a = 0.0;
    double b = 0.0;
    bool operator==(const Lab&) const = default;
};

// sRGB to linear light and back; values over 1 are allowed on the way out, colours are clipped on the way in.
[[nodiscard]] Rgb toLinear(Rgb colour);
[[nodiscard]] Rgb fromLinear(Rgb light);

[[nodiscard]] Lab toLab(Rgb colour);
[[nodiscard]] Rgb toRgb(Lab colour);  // clipped to sRGB
[[nodiscard]] std::optional<Rgb> parseColour(std::string_view hex);

// What a tier calls it: "gold", "claret", "dark olive" is not attempted. The nearest of some twenty words.
[[nodiscard]] std::string_view colourWord(Rgb colour);

// Lightness moved by `delta`; chroma × (1 − 0.35 δ) when lighter, × (1 + 0.25 |δ|) when darker (drawing.md section 4).
[[nodiscard]] Lab shade(Lab colour, double delta);
[[nodiscard]] double apart(Lab a, Lab b);           // as the eye has it: the distance in OKLab
[[nodiscard]] Lab mix(Lab a, Lab b, double share);  // share of b

}  // namespace machair
