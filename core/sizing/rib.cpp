// Rib: models.md section 4. Tied in along the whole body so as not to make a step; wound over the finished body.
#include <algorithm>
#include <boost/math/quadrature/gauss_kronrod.hpp>
#include <cmath>

#include "book/schools.h"
#include "language/say.h"
#include "sizing/bench.h"
#include "sizing/crossing.h"

namespace machair {

namespace {

constexpr double kLeastTurns = 4.0, kMostTurns = 6.0;
constexpr Length kRibHeld = 45.0 * mm;

template <class F>
double integrate(F f, Length from, Length to) {
    return boost::math::quadrature::gauss_kronrod<double, 15>::integrate(f, from / mm, to / mm, 8, 1e-10);
}

// The hand of a rib and what it crosses (section 4, "what locks what"): with a palmer its direction is against that, without
// one against the thread.
void crossWindings(const Plan& plan, RibPlan& rib) {
    const PalmerPlan* palmer = nullptr;
    std::optional<Spiral> body;  // the first of strands that the rib meets
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        if (const auto* p = std::get_if<PalmerPlan>(&plan.parts[i].detail); p && !palmer) palmer = p;
        if (const auto* b = std::get_if<BodyPlan>(&plan.parts[i].detail);
            b && !body && b->strands && b->turns && b->end > rib.front && b->front < rib.end)
            body = Spiral{senseOf(plan, i), *b->turns, {}};
    }
    const bool with = rib.direction == Winding::with;
    const bool asTold = plan.schools.held.palmerRib == PalmerRib::asTold;  // against the thread, whatever the hackle's hand
    rib.hand = palmer && !asTold ? (with ? palmer->hand : -palmer->hand) : with ? 1 : -1;
    const Spiral own{rib.hand, rib.turns, {}};
    if (palmer) rib.crossesPalmer = cross(own, {palmer->hand, palmer->openTurns, {}}).crossings;
    if (body) rib.crossesBody = cross(own, *body).crossings;
}

}  // namespace

RibPlan tieInRib(Bench& bench, std::size_t part, const RibPart& written, const Material& made) {
    RibPlan rib;
    rib.end = bench.resolver.bodyEnd();
    rib.front = bench.resolver.bodyFront();
    rib.round = isRoundWinding(made);
    rib.thickness = windingThickness(made);
    rib.width = windingWidth(made);
    rib.direction = written.direction.value_or(bench.plan.schools.rib);
    rib.school = written.pitch.value_or(bench.plan.schools.pitch);
    bench.bindBundle(static_cast<int>(part), rib.front, rib.end, 1.0,
                     rib.round ? rib.thickness : sqrt(4.0 / kPi * rib.width * rib.thickness));
    bench.bindThread(static_cast<int>(part), rib.front, rib.end, 1.0);
    return rib;
}

void windRib(Bench& bench, RibPlan& rib, std::size_t part, const RibPart& written) {
    if (written.along)
        if (const auto* index = std::get_if<std::size_t>(&*written.along)) {
            std::size_t seen = 0;
            bool found = false;
            for (std::size_t i = 0; i < bench.pattern.parts.size(); ++i) {
                if (bench.part(i).kind != PartKind::body) continue;
                if (seen++ != *index) continue;
                const Section section = bench.resolver.section(i);
                rib.end = section.end;
                rib.front = section.front;
                found = true;
            }
            if (!found)
                bench.resolver.fault(
                    bench.resolver.partPlace(part).key("along"),
                    say("expected a body section from 0 to {}, got {}", std::to_string(seen == 0 ? 0 : seen - 1), std::to_string(*index)));
        }
    const Length along = rib.end - rib.front;
    if (along <= 0.0 * mm) return;  // a fault of the body's, already placed
    if (written.turns)
        rib.turns = written.turns->middle();
    else if (written.spacing)
        rib.turns = std::max(1.0, std::round(along / bench.resolver.size(*written.spacing, bench.resolver.partPlace(part).key("spacing"))));
    else
        rib.turns = std::clamp(std::round(along / (kRibPitchToGape * bench.hook.gape())), kLeastTurns, kMostTurns);
    const Plan& plan = bench.plan;
    const BodyPlan* over = plan.bodyAt(0.5 * (rib.front + rib.end));
    rib.sinksIn = over && (over->method == BodyMethod::noodle || over->method == BodyMethod::level || over->method == BodyMethod::loop ||
                           over->method == BodyMethod::rope || over->method == BodyMethod::herl || over->method == BodyMethod::fibres ||
                           over->method == BodyMethod::chenille);
    const auto bodyDiameter = [&](double s) {
        const BodyPlan* body = plan.bodyAt(s * mm);
        return (body ? plan.bodyDiameter(*body, s * mm) : plan.bulk.diameter(s * mm)) / mm;
    };
    const auto radius = [&](double s) { return 0.5 * (bodyDiameter(s) + (rib.sinksIn ? 0.0 : rib.thickness / mm)); };
    const double ell = along / mm;
    rib.pitch = along / rib.turns;
    if (rib.school == RibPitch::even) {
        const auto element = [&](double s) { return std::hypot(1.0, 2.0 * kPi * radius(s) * rib.turns / ell); };
        rib.wound = integrate(element, rib.front, rib.end) * mm;
        const double mean = integrate(bodyDiameter, rib.front, rib.end) / ell;
        rib.angle = Angle::radians(std::atan(ell / (rib.turns * kPi * mean)));
    } else {
        const double c = 2.0 * kPi * rib.turns / integrate([&](double s) { return 1.0 / radius(s); }, rib.front, rib.end);
        rib.wound = ell * std::hypot(1.0, c) * mm;
        rib.angle = Angle::radians(std::atan(1.0 / c));
    }
    rib.side = plan.schools.held.ribSide.value_or(RibSide::near);
    // The square turn over the tail's root is one of those counted; who leaves it out needs so much less.
    if (plan.schools.held.lockTurn == LockTurn::none && rib.turns > 1.0) rib.wound -= 2.0 * kPi * radius(rib.end / mm) * mm;
    rib.cut = rib.wound + kRibHeld;
    crossWindings(plan, rib);
}

}  // namespace machair
