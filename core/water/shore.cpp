#include "water/shore.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace machair {

namespace {

double cross(double ax, double ay, double bx, double by) { return ax * by - ay * bx; }

// Which side of the line a→b a point is on: positive to the left.
double side(const MapPoint& a, const MapPoint& b, const MapPoint& p) {
    return cross((b[0] - a[0]) / metre, (b[1] - a[1]) / metre, (p[0] - a[0]) / metre, (p[1] - a[1]) / metre);
}

bool edgesCross(const MapPoint& a, const MapPoint& b, const MapPoint& c, const MapPoint& d) {
    return side(a, b, c) * side(a, b, d) < 0.0 && side(c, d, a) * side(c, d, b) < 0.0;
}

}  // namespace

Faults checkOutline(const std::vector<MapPoint>& outline, const Place& place) {
    if (outline.size() < 3) return {Fault{place, "expected at least three corners of the shore, got " + std::to_string(outline.size()), ""}};
    const std::size_t n = outline.size();
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t k = i + 2; k < n; ++k) {
            if (i == 0 && k + 1 == n) continue;  // neighbours
            if (edgesCross(outline[i], outline[(i + 1) % n], outline[k], outline[(k + 1) % n]))
                return {Fault{place.at(k), "expected a shore that doesn't cross itself; the line from this corner crosses that from corner " + std::to_string(i), "move one of the two"}};
        }
    return {};
}

bool onWater(const std::vector<MapPoint>& outline, const MapPoint& at) {
    bool inside = false;
    for (std::size_t i = 0, k = outline.size() - 1; i < outline.size(); k = i++) {
        const auto &a = outline[i], &b = outline[k];
        if ((a[1] > at[1]) != (b[1] > at[1]) && at[0] < a[0] + (b[0] - a[0]) * ((at[1] - a[1]) / (b[1] - a[1]))) inside = !inside;
    }
    return inside;
}

Length fetchAt(const std::vector<MapPoint>& outline, const MapPoint& at, double from) {
    if (outline.size() < 3 || !onWater(outline, at)) return {};
    const double bearing = from * std::numbers::pi / 180.0;
    const double dx = std::sin(bearing), dy = std::cos(bearing);
    double nearest = std::numeric_limits<double>::infinity();
    for (std::size_t i = 0, k = outline.size() - 1; i < outline.size(); k = i++) {
        const double ax = (outline[k][0] - at[0]) / metre, ay = (outline[k][1] - at[1]) / metre;
        const double ex = (outline[i][0] - outline[k][0]) / metre, ey = (outline[i][1] - outline[k][1]) / metre;
        const double turn = cross(dx, dy, ex, ey);
        if (turn == 0.0) continue;
        const double along = cross(ax, ay, ex, ey) / turn, share = cross(ax, ay, dx, dy) / turn;
        if (along >= 0.0 && share >= 0.0 && share <= 1.0) nearest = std::min(nearest, along);
    }
    return std::isfinite(nearest) ? nearest * metre : Length{};
}

}  // namespace machair
