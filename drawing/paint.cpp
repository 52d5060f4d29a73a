#include "drawing/paint.h"

#include <algorithm>

namespace machair::drawing {

Lab paperOf(Bench bench) {
    static const Lab sand = toLab({0xe9 / 255.0, 0xe0 / 255.0, 0xce / 255.0});
    static const Lab slate = toLab({0x2b / 255.0, 0x35 / 255.0, 0x3c / 255.0});
    return bench == Bench::sand ? sand : slate;
}

QColor colourOf(Lab colour, double alpha) {
    const Rgb rgb = toRgb(colour);
    return QColor::fromRgbF(static_cast<float>(rgb.r), static_cast<float>(rgb.g), static_cast<float>(rgb.b),
                            static_cast<float>(std::clamp(alpha, 0.0, 1.0)));
}

void Canvas::fill(const QPolygonF& outline, Lab colour, double alpha) { fill(outline, QBrush(colourOf(colour, alpha))); }

void Canvas::fill(const QPolygonF& outline, const QBrush& brush) {
    strokes_.flush();
    painter_.setPen(Qt::NoPen);
    painter_.setBrush(brush);
    painter_.drawPolygon(outline, Qt::WindingFill);
}

Lab Canvas::seen(Lab colour) const {
    constexpr double kDark = 0.44;
    if (view_.bench == Bench::sand || colour.L >= kDark) return colour;
    const double lift = middling() ? 0.45 : 0.80;
    return {std::lerp(colour.L, kDark, lift), colour.a, colour.b};
}

Lab Canvas::clearOfBench(Lab lit) const {
    if (view_.bench == Bench::sand) return lit;
    constexpr double kDarkest = 0.10;
    const double low = paper_.L + 0.09;
    const double high = paper_.L + 0.16;
    if (lit.L >= high) return lit;
    lit.L = std::lerp(low, high, std::clamp((lit.L - kDarkest) / (high - kDarkest), 0.0, 1.0));
    return lit;
}

QPolygonF roundAt(const Canvas& canvas, Vec3 middle, double radius) {
    constexpr int kCorners = 40;
    QPolygonF outline;
    for (int i = 0; i < kCorners; ++i) {
        const double angle = 2.0 * kPi * i / kCorners;
        outline << canvas.at(middle + Vec3{radius * std::cos(angle), radius * std::sin(angle), 0.0});
    }
    return outline;
}

void paintTube(Canvas& canvas, const std::vector<TubeStep>& path, const Ramp& ramp, int strips) {
    if (path.size() < 2) return;
    struct Edge {
        Vec3 across;  // in the picture
        Vec3 facing;  // towards the viewer
    };
    std::vector<Edge> edges;
    edges.reserve(path.size());
    for (const TubeStep& step : path) {
        Vec3 across = cross(kViewer, step.along);
        across = norm(across) < 1e-6 ? Vec3{0.0, 1.0, 0.0} : unit(across);
        Vec3 facing = unit(cross(step.along, across));
        if (facing.z < 0.0) facing = -1.0 * facing;
        edges.push_back({across, facing});
    }
    QPolygonF outline;
    for (std::size_t i = 0; i < path.size(); ++i)
        outline << canvas.at(path[i].at + path[i].half * edges[i].across);
    for (std::size_t i = path.size(); i-- > 0;)
        outline << canvas.at(path[i].at - path[i].half * edges[i].across);
    canvas.fill(outline, ramp.tones.front());
    // From the edges inwards: pairs of strips at ±u, the middle one last.
    const int pairs = strips / 2;
    const double share = 2.0 / strips;
    for (int pair = pairs; pair >= 0; --pair) {
        for (const double sign : {-1.0, 1.0}) {
            if (pair == 0 && sign > 0.0) continue;
            const double u = sign * pair * share;
            for (std::size_t i = 0; i + 1 < path.size(); ++i) {
                const auto normal = [&](std::size_t j) {
                    return u * edges[j].across + std::sqrt(std::max(0.0, 1.0 - u * u)) * edges[j].facing;
                };
                const Vec3 n = unit(normal(i) + normal(i + 1));
                const double half = 0.5 * (path[i].half + path[i + 1].half);
                canvas.line(path[i].at + u * path[i].half * edges[i].across, path[i + 1].at + u * path[i + 1].half * edges[i + 1].across,
                            ramp.at(reflected(n)), 1.0, 1.45 * share * half);
            }
        }
        canvas.next();
    }
}

}  // namespace machair::drawing
