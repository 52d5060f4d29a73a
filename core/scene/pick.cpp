#include "scene/pick.h"

#include <algorithm>
#include <cmath>

namespace machair {

namespace {

double distanceToFibre(const Fibre& fibre, double x, double y) {
    constexpr int kSteps = 8;
    double nearest = 1e9;
    for (int i = 1; i <= kSteps; ++i) {  // the root is under everything: a fibre is picked along its length
        const Vec3 p = pointOn(fibre.curve, 0.15 + 0.85 * i / kSteps);
        nearest = std::min(nearest, std::hypot(p.x - x, p.y - y));
    }
    return nearest;
}

double distanceToFibres(const std::vector<Fibre>& fibres, double x, double y) {
    double nearest = 1e9;
    for (const Fibre& fibre : fibres)
        nearest = std::min(nearest, distanceToFibre(fibre, x, y));
    return nearest;
}

// Distance from the axis' place nearest to (x, y): the station, and how far off it.
struct OnAxis {
    double station;
    double off;
};
OnAxis ontoAxis(const Axis& axis, double from, double to, double x, double y) {
    OnAxis best{from, 1e9};
    constexpr int kSteps = 60;
    for (int i = 0; i <= kSteps; ++i) {
        const double s = std::lerp(from, to, static_cast<double>(i) / kSteps);
        const Vec3 p = axis.frame(s).at;
        const double off = std::hypot(p.x - x, p.y - y);
        if (off < best.off) best = {s, off};
    }
    return best;
}

}  // namespace

std::optional<std::size_t> partAt(const Scene& scene, double x, double y, double reach, std::optional<std::size_t> headPart) {
    if (headPart && scene.head.end > scene.head.front) {
        const OnAxis on = ontoAxis(scene.axis, scene.head.front, scene.head.end, x, y);
        if (on.off <= scene.head.radius + 0.3 * reach) return headPart;
    }
    for (const WingScene& wing : scene.wings) {
        const Vec3 from = Vec3{x, y, 0.0} - wing.root;
        const double t = dot(from, wing.along) / wing.length;
        const double rise = dot(from, wing.up);
        if (t > 0.12 && t < 1.0 && rise > wing.riseAt(t, 0.0) && rise < wing.riseAt(t, 1.0)) return wing.part;
    }
    for (const BodyScene& body : scene.bodies) {
        const OnAxis on = ontoAxis(scene.axis, body.front, body.end, x, y);
        if (on.off > body.radius(on.station)) continue;
        for (const RibScene& rib : scene.ribs)
            for (const auto& turn : rib.turns) {
                const double slope = rib.hand * turn.pitch / 6.2831853 / std::max(0.1, turn.radius);
                const double across = dot(Vec3{x, y, 0.0} - scene.axis.frame(on.station).at, scene.axis.frame(on.station).up);
                if (std::abs(on.station - turn.station - slope * across) < std::max(0.5 * rib.width, 0.14)) return rib.part;
            }
        return body.part;
    }
    std::optional<std::size_t> found;
    double nearest = reach;
    const auto consider = [&](std::size_t part, const std::vector<Fibre>& fibres) {
        if (const double d = distanceToFibres(fibres, x, y); d < nearest) {
            nearest = d;
            found = part;
        }
    };
    for (const HackleScene& hackle : scene.hackles)
        consider(hackle.part, hackle.fibres);
    for (const TailScene& tail : scene.tails)
        consider(tail.part, tail.fibres);
    return found;
}

}  // namespace machair
