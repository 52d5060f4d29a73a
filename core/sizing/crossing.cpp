#include "sizing/crossing.h"
#include "units/visit.h"

#include <algorithm>
#include <cmath>
#include <optional>

namespace machair {

namespace {

constexpr double kHeldEnough = 0.5;  // crossings a turn of the lower winding, rule of thumb
constexpr double kLeastAngle = 5.0;  // degrees

struct Stretch {
    Length front, end;
    double turns = 0.0;
    int hand = 1;
    [[nodiscard]] Length run() const { return end - front; }
};

// Strands under a rib that is wound with the thread may go the other way themselves.
Winding directionOf(const Plan& plan, const BodyPart& body) {
    const bool counter = plan.schools.held.rib == RibSchool::bodyCounter && findKind(plan.pattern, PartKind::rib);
    return body.direction.value_or(counter ? Winding::counter : Winding::with);
}

int handOf(Winding direction) { return direction == Winding::with ? 1 : -1; }

std::optional<Stretch> stretchOf(const Plan& plan, std::size_t i) {
    const PartPlan& part = plan.parts[i];
    using Spiralled = std::optional<Stretch>;
    return std::visit(Overloaded{
                          [](const RibPlan& rib) -> Spiralled {
                              return Stretch{rib.front, rib.end, rib.turns, rib.hand};
                          },
                          [&](const PalmerPlan& palmer) -> Spiralled {
                              return Stretch{part.station, palmer.end, palmer.openTurns, palmer.hand};
                          },
                          [&](const BodyPlan& body) -> Spiralled {
                              const auto* written = std::get_if<BodyPart>(&plan.pattern.parts[i].detail);
                              if (!written || !body.turns) return std::nullopt;
                              return Stretch{body.front, body.end, *body.turns, handOf(directionOf(plan, *written))};
                          },
                          // What lies in close turns, or isn't wound along the shank, crosses nothing.
                          [](const OneOf<Impossible, TagPlan, TailPlan, UnderbodyPlan, HacklePlan, WingPlan, PiecePlan, BeadPlan,
                                         ThreadPlan, HeadPlan> auto&) -> Spiralled { return std::nullopt; },
                      },
                      part.detail);
}

Spiral spiralOn(const Stretch& winding, Length from, Length to, Length diameter) {
    const double share = winding.run() > Length{} ? (to - from) / winding.run() : 0.0;
    const double turns = winding.turns * share;
    Spiral spiral{winding.hand, turns, {}};
    if (turns > 0.0) spiral.angle = atan2((to - from) / turns, kPi * diameter);
    return spiral;
}

}  // namespace

Crossing cross(const Spiral& upper, const Spiral& lower) {
    Crossing crossing;
    crossing.crossings = std::abs(upper.hand * upper.turns - lower.hand * lower.turns);
    crossing.perTurn = lower.turns > 0.0 ? crossing.crossings / lower.turns : 0.0;
    const bool opposite = upper.hand != lower.hand;
    crossing.angle = opposite ? upper.angle + lower.angle : Angle::degrees(std::abs(upper.angle.inDegrees() - lower.angle.inDegrees()));
    crossing.hold = opposite                                                                       ? Hold::locks
                    : crossing.perTurn >= kHeldEnough && crossing.angle.inDegrees() >= kLeastAngle ? Hold::partly
                                                                                                   : Hold::liesAlong;
    return crossing;
}

bool isBrittleBody(const Plan& plan, std::size_t part) {
    const auto* body = std::get_if<BodyPlan>(&plan.parts[part].detail);
    const auto* written = std::get_if<BodyPart>(&plan.pattern.parts[part].detail);
    return body && written && (body->method == BodyMethod::herl || body->method == BodyMethod::fibres) && !written->twisted.value_or(false);
}

int senseOf(const Plan& plan, std::size_t part) {
    const PartPlan& planned = plan.parts[part];
    if (const auto* rib = std::get_if<RibPlan>(&planned.detail)) return rib->hand;  // it travels forward
    if (const auto* palmer = std::get_if<PalmerPlan>(&planned.detail))
        return palmer->wound == PalmerWound::rearward ? -palmer->hand : palmer->hand;
    const auto* body = std::get_if<BodyPart>(&plan.pattern.parts[part].detail);
    return body ? handOf(directionOf(plan, *body)) : 1;
}

std::vector<HeldPart> heldParts(const Plan& plan) {
    std::vector<HeldPart> held;
    for (std::size_t upper = 0; upper < plan.parts.size(); ++upper) {
        const bool rib = std::holds_alternative<RibPlan>(plan.parts[upper].detail);
        const bool palmer = std::holds_alternative<PalmerPlan>(plan.parts[upper].detail);
        if (!rib && !palmer) continue;
        const auto over = stretchOf(plan, upper);
        for (std::size_t lower = 0; lower < plan.parts.size(); ++lower) {
            if (lower == upper) continue;
            const bool palmered = rib && std::holds_alternative<PalmerPlan>(plan.parts[lower].detail);
            if (!palmered && !isBrittleBody(plan, lower)) continue;
            const auto under = stretchOf(plan, lower);
            if (!over || !under) continue;
            const Length from = std::max(over->front, under->front), to = std::min(over->end, under->end);
            if (to - from <= 1e-6 * mm) continue;
            const Length diameter = plan.diameter(0.5 * (from + to));
            held.push_back({upper, lower, cross(spiralOn(*over, from, to, diameter), spiralOn(*under, from, to, diameter))});
        }
    }
    return held;
}

}  // namespace machair
