#include "water/shore.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>
#include <optional>
#include <utility>

#include "language/say.h"

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
    const std::size_t n = outline.size();
    if (n < 3) return {Fault{place, say("expected at least three corners of the shore, got {}", std::to_string(n)), ""}};
    if (n > kMostCorners)
        return {Fault{place, say("expected at most {} corners of the shore, got {}", std::to_string(kMostCorners), std::to_string(n)), ""}};
    struct Edge {
        Length west, east, south, north;
        std::size_t from;
    };
    std::vector<Edge> edges;
    for (std::size_t i = 0; i < n; ++i) {
        const MapPoint &a = outline[i], &b = outline[(i + 1) % n];
        edges.push_back({std::min(a[0], b[0]), std::max(a[0], b[0]), std::min(a[1], b[1]), std::max(a[1], b[1]), i});
    }
    std::ranges::sort(edges, {}, &Edge::west);
    std::optional<std::pair<std::size_t, std::size_t>> first;  // the earlier and the later of the pair that crosses
    std::vector<const Edge*> open;                             // those that the sweep is still over
    for (const Edge& edge : edges) {
        std::size_t kept = 0;
        for (const Edge* other : open) {
            if (other->east < edge.west) continue;
            open[kept++] = other;
            if (other->south > edge.north || other->north < edge.south) continue;
            const std::pair pair = std::minmax(edge.from, other->from);
            if (pair.second - pair.first < 2 || (pair.first == 0 && pair.second + 1 == n)) continue;  // neighbours
            if (first && *first <= std::pair(pair.first, pair.second)) continue;
            if (edgesCross(outline[pair.first], outline[pair.first + 1], outline[pair.second], outline[(pair.second + 1) % n]))
                first = {pair.first, pair.second};
        }
        open.resize(kept);
        open.push_back(&edge);
    }
    if (!first) return {};
    return {Fault{place.at(first->second),
                  say("expected a shore that doesn't cross itself; the line from this corner crosses that from corner {}",
                      std::to_string(first->first)),
                  say("move one of the two")}};
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
