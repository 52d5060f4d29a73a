// The leader with its flies, as the water meets it: models.md section 10.
#pragma once

#include <array>
#include <optional>
#include <vector>

#include "book/book.h"
#include "team/team.h"
#include "water/sink.h"

namespace machair {

// A fly's drag as a table over speed: section 8's sums are smooth in log speed but for the kinks where a coefficient
// changes its law, so a cubic through 160 of them is within 2.5e-3 there, far closer elsewhere (tests/core/numbers_test.cpp),
// and costs a few nanoseconds. Below 1 mm/s drag is continued linearly.
class DragCurve {
  public:
    DragCurve(const WetFly& fly, bool drawn);
    struct Value {
        double perSpeed;  // N per m/s
        double slope;     // of that, by speed
    };
    [[nodiscard]] Value at(double metresPerSecond) const;

  private:
    std::vector<double> perSpeed_;
    std::vector<double> tangent_;  // by log speed
};

struct RiggedFly {
    Position position = Position::point;
    Mass mass;
    Force submerged;
    Length fibre;  // its longest hackle: how near the surface it breaks it
    DragCurve flat;
    DragCurve along;
};

[[nodiscard]] Density strandDensity(Strand strand);

struct Rig;
// Where the strand is knotted, down the leader: at bob, middle and point, fly or not, and wherever else a fly hangs.
[[nodiscard]] std::vector<Position> knotsOf(const Rig& rig);

struct Rig {
    LeaderMeasures leader;
    std::vector<RiggedFly> flies;  // from bob to point; a position without one is left out
    double celsius = kUsualCelsius;
    double strandDrag = 1.0;  // share of the strand's drag that it has: 0 for the limits where only the flies resist
};
[[nodiscard]] Rig rigOf(const std::vector<TeamFly>& flies, const LeaderMeasures& leader, double celsius = kUsualCelsius);

}  // namespace machair
