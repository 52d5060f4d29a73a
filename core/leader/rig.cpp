#include "leader/rig.h"

#include <algorithm>
#include <cmath>

namespace machair {

namespace {

constexpr double kSlowest = 1e-3;  // m/s; drag is linear below
constexpr double kFastest = 20.0;
constexpr int kEntries = 160;
const double kLogStep = std::log(kFastest / kSlowest) / (kEntries - 1);

Length longestFibre(const Plan& plan) {
    Length longest;
    for (const PartPlan& part : plan.parts) {
        if (const auto* collar = std::get_if<HacklePlan>(&part.detail)) longest = std::max(longest, collar->fibre);
        if (const auto* palmer = std::get_if<PalmerPlan>(&part.detail)) longest = std::max(longest, palmer->hackle.fibre);
    }
    return longest > 0.0 * mm ? longest : plan.hook.gape();
}

}  // namespace

DragCurve::DragCurve(const WetFly& fly, bool drawn) {
    for (int i = 0; i < kEntries; ++i) {
        const double u = kSlowest * std::exp(kLogStep * i);
        const Speed speed = u * metrePerSecond;
        perSpeed_.push_back((drawn ? fly.dragAlong(speed) : fly.dragFlat(speed)) / newton / u);
    }
    for (int i = 0; i < kEntries; ++i) {
        const auto before = static_cast<std::size_t>(std::max(i - 1, 0)), after = static_cast<std::size_t>(std::min(i + 1, kEntries - 1));
        tangent_.push_back((perSpeed_[after] - perSpeed_[before]) / static_cast<double>(after - before));
    }
}

DragCurve::Value DragCurve::at(double speed) const {
    if (speed <= kSlowest) return {perSpeed_.front(), 0.0};
    const double place = std::min(std::log(speed / kSlowest) / kLogStep, kEntries - 1.000001);
    const auto i = static_cast<std::size_t>(place);
    const double t = place - static_cast<double>(i);
    // Hermite's cubic between two entries.
    const double a = perSpeed_[i], b = perSpeed_[i + 1], ma = tangent_[i], mb = tangent_[i + 1];
    const double c3 = 2.0 * (a - b) + ma + mb, c2 = 3.0 * (b - a) - 2.0 * ma - mb;
    return {a + t * (ma + t * (c2 + t * c3)), (ma + t * (2.0 * c2 + 3.0 * t * c3)) / (kLogStep * speed)};
}

Density strandDensity(Strand strand) {
    switch (strand) {
        case Strand::nylon: return 1.140 * mgPerMm3;
        case Strand::copolymer: return 1.120 * mgPerMm3;
        case Strand::fluorocarbon: return 1.780 * mgPerMm3;
    }
    throw BrokenContract("unknown strand");
}

std::vector<Position> knotsOf(const Rig& rig) {
    std::vector<Position> knots;
    for (const Position position : kPositions)
        if (std::ranges::find(kTrio, position) != kTrio.end() ||
            std::ranges::find(rig.flies, position, &RiggedFly::position) != rig.flies.end())
            knots.push_back(position);
    return knots;
}

Rig rigOf(const std::vector<TeamFly>& flies, const LeaderMeasures& leader, double celsius) {
    Rig rig{leader, {}, celsius, 1.0};
    for (const TeamFly& fly : flies) {
        const WetFly wet(fly.plan, celsius);
        rig.flies.push_back(
            {fly.position, wet.mass(), wet.submergedWeight(), longestFibre(fly.plan), DragCurve(wet, false), DragCurve(wet, true)});
    }
    return rig;
}

}  // namespace machair
