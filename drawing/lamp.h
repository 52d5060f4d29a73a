// The one lamp over the bench: drawing.md sections 1 and 4.
#pragma once

#include <algorithm>
#include <array>
#include <cmath>

#include "colour/colour.h"
#include "scene/vec3.h"

namespace machair::drawing {

inline const Vec3 kLamp = unit({-0.42, 0.74, 0.52});  // ahead of the eye, above, a little towards the viewer
inline const Vec3 kViewer{0.0, 0.0, 1.0};
inline const Vec3 kHalfway = unit(kLamp + kViewer);

[[nodiscard]] inline double smoothstep(double low, double high, double x) {
    const double t = std::clamp((x - low) / (high - low), 0.0, 1.0);
    return t * t * (3.0 - 2.0 * t);
}

struct FibreLight {
    double diffuse;
    double gloss;
};
// A thin round fibre along the unit tangent t: its brightest side faces the lamp.
[[nodiscard]] inline FibreLight lightAlong(Vec3 t) {
    const double across = dot(t, kLamp);
    const double half = dot(t, kHalfway);
    const double g2 = std::max(0.0, 1.0 - half * half);
    const double g8 = g2 * g2 * g2 * g2 * g2 * g2 * g2 * g2;
    return {std::sqrt(std::max(0.0, 1.0 - across * across)), g8 * g2};
}

// What a polished surface of unit normal n throws back: sky, ground, a dark horizon between, and the lamp.
[[nodiscard]] inline double reflected(Vec3 n) {
    const Vec3 r = 2.0 * dot(n, kViewer) * n - kViewer;
    const double sky = smoothstep(-0.05, 0.75, r.y);
    const double ground = smoothstep(-0.15, -0.8, r.y);
    return 0.06 + 0.34 * sky + 0.22 * ground + 0.95 * std::exp(16.0 * (dot(r, kLamp) - 1.0));
}

// Five tones of a metal by reflected light.
struct Ramp {
    std::array<Lab, 5> tones;
    [[nodiscard]] Lab at(double e) const {
        constexpr std::array<double, 5> kStops = {0.05, 0.20, 0.38, 0.62, 1.0};
        if (e <= kStops.front()) return tones.front();
        for (std::size_t i = 1; i < kStops.size(); ++i)
            if (e <= kStops[i]) return mix(tones[i - 1], tones[i], (e - kStops[i - 1]) / (kStops[i] - kStops[i - 1]));
        return tones.back();
    }
};
[[nodiscard]] inline Ramp rampOf(Lab base) {
    const auto tone = [base](double light, double chroma) {
        return Lab{std::min(0.985, base.L * light), base.a * chroma, base.b * chroma};
    };
    return {{tone(0.30, 0.55), tone(0.58, 0.95), tone(0.84, 1.10), tone(1.14, 0.95), tone(1.42, 0.35)}};
}

}  // namespace machair::drawing
