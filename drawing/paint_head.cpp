// The head: drawing.md section 6.
#include <cmath>
#include <numbers>

#include "drawing/paint.h"

namespace machair::drawing {

void paintHead(Canvas& canvas, const Scene& scene) {
    const HeadScene& head = scene.head;
    if (head.end <= head.front) return;
    const auto radius = [&](double s) { return head.radiusAt(s); };
    paintThreaded(canvas, {scene.axis, head.front, head.end, head.pitch, 1, head.colour, head.seed}, radius, head.varnished ? 0.55 : 1.0,
                  head.varnished ? 0.45 : 1.0);
    constexpr double kGlossFrom = 5.0;  // px/mm
    if (!head.varnished || canvas.k() < kGlossFrom) return;
    // Varnish: nested crescents that follow the bulb.
    const Lab white = toLab({1.0, 0.98, 0.94});
    struct Crescent {
        double top, bottom, alpha, from, to;
    };
    const double length = head.end - head.front;
    for (const Crescent c : {Crescent{0.84, 0.30, 0.12, 0.16, 0.84}, Crescent{0.78, 0.38, 0.18, 0.22, 0.78},
                             Crescent{0.72, 0.46, 0.34, 0.28, 0.70}, Crescent{0.68, 0.54, 0.70, 0.36, 0.58}}) {
        QPolygonF shape;
        constexpr int kSteps = 14;
        const double middle = 0.5 * (c.top + c.bottom);
        const auto edge = [&](double t, double u) {
            const double round = std::sqrt(std::max(0.0, 1.0 - std::pow(2.0 * t - 1.0, 2)));  // the ends close
            const double s = head.front + length * std::lerp(c.from, c.to, t);
            const Axis::Frame f = scene.axis.frame(s);
            return canvas.at(f.at + (middle + (u - middle) * round) * radius(s) * f.up);
        };
        for (int i = 0; i <= kSteps; ++i)
            shape << edge(static_cast<double>(i) / kSteps, c.top);
        for (int i = kSteps; i >= 0; --i)
            shape << edge(static_cast<double>(i) / kSteps, c.bottom);
        canvas.fill(shape, white, c.alpha);
    }
    canvas.fill(bandOutline(canvas, scene.axis, head.front + 0.2 * length, head.end - 0.2 * length, -0.66, -0.86, radius),
                toLab({1.0, 0.93, 0.82}), 0.14);
}

}  // namespace machair::drawing
