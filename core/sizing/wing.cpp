// Wings: models.md section 6.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "language/say.h"
#include "sizing/bench.h"
#include "sizing/counts.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kSlipToGape = 0.85;
constexpr double kRolledDepthToGape = 0.50;
constexpr int kThirds = 3;
constexpr int kHalvedTwice = 4;
constexpr Angle kUpright = 80_deg;   // of an upright wing whose angle is not stated
constexpr double kBendsOver = 0.15;  // of the gape, g_w: over which a wing bends
constexpr double kFurGives = 0.36, kHardGives = 0.40;

bool gives(BodyMethod method) {
    return method != BodyMethod::tinsel && method != BodyMethod::floss && method != BodyMethod::wire && method != BodyMethod::tube &&
           method != BodyMethod::thread;
}

// What the wing leans on, models.md section 6: each collar between it and the body, each body or thorax at its front. All
// without the first thread bed.
std::vector<WingSupport> supportsOf(const Bench& bench, Length station) {
    std::vector<WingSupport> supports;
    const Plan& plan = bench.plan;
    const Length g = kBendsOver * bench.hook.gape(), b = bench.thread.width;
    const Length own = plan.bulk.diameterOverBed(station - kJustAhead);
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const PartPlan& part = plan.parts[i];
        if (const auto* h = std::get_if<HacklePlan>(&part.detail); h && part.station >= station) {
            const Length under = plan.bulk.diameterOverBed(part.station - kJustAhead, h->rowsUnder);
            const double n = std::max(h->turns, 1.0);
            supports.push_back({i, std::max(0.0 * mm, 0.5 * (under - own)) + (1.0 - 1.0 / (3.0 * n)) * h->feather.stem,
                                g + 0.5 * kHackleSpread * h->width});
        }
        if (const auto* body = std::get_if<BodyPlan>(&part.detail);
            body && body->front >= station - kJustAhead && body->end > body->front) {
            const Length s = body->swelling ? 0.5 * (body->front + body->end) : body->front;
            const Length d = plan.bodyDiameter(*body, s), under = plan.bulk.diameter(s, body->rowsUnder);
            supports.push_back({i, 0.5 * (gives(body->method) ? kFurGives : kHardGives) * std::max(0.0 * mm, d - own),
                                g + std::max(0.0 * mm, s - station - kWingGapTurns * b) + 0.25 * std::max(0.0 * mm, d - under)});
        }
    }
    return supports;
}

// A plume wing counts feathers, each of so many barbs and a shaft. A count over twelve is an older file's, of barbs.
void sizePlumes(WingPlan& wing, const WingPart& written, const Material& made, const Hook& hook) {
    constexpr double kMostFeathers = 12.0, kBreadth = 0.20;
    const auto* plume = std::get_if<PlumeTraits>(&made.traits);
    const double each = plume ? plume->fibres.value_or(kUsualPlumeFibres) : kUsualPlumeFibres;
    wing.count = written.count ? written.count->wholeMiddle() : usualPlumes(hook.size());
    wing.barbs = *wing.count > kMostFeathers ? *wing.count : *wing.count * each;
    wing.barb = plume ? plume->fibre.value_or(0.030 * mm) : 0.030 * mm;
    wing.depth = kBreadth * hook.gape() * std::sqrt(wing.barbs / each);
}

Length plumeShaft(const Material& made) {
    const auto* plume = std::get_if<PlumeTraits>(&made.traits);
    return plume ? plume->shaft.value_or(kUsualPlumeShaft) : kUsualPlumeShaft;
}

struct SeatLimits {
    Angle low, high, ramp;
};
SeatLimits limitsOf(WingStyle style) {
    return style == WingStyle::hair ? SeatLimits{15_deg, 25_deg, 10_deg} : SeatLimits{10_deg, 20_deg, 6_deg};
}

// How the wing sits: judged are paired, rolled and hair wings without a stated angle, tied in after the body; the first of
// them, the others lie on it.
void seat(Bench& bench, std::size_t part, const WingPart& written, WingPlan& wing, Length station) {
    const bool stiff = wing.style == WingStyle::paired || wing.style == WingStyle::rolled;
    wing.bend = (stiff && wing.style != WingStyle::rolled ? 0.60 : wing.style == WingStyle::hair ? 0.60 : 0.40) * wing.length;
    const bool afterBody = bench.bodyTied();
    for (const PartPlan& other : bench.plan.parts)
        if (const auto* first = std::get_if<WingPlan>(&other.detail); first && afterBody) {
            wing.lift = written.angle.value_or(first->lift);
            return;
        }
    wing.supports = supportsOf(bench, station);
    Angle lift;
    for (const WingSupport& support : wing.supports)
        lift = std::max(lift, support.lift());
    wing.lift = written.angle.value_or(wing.style == WingStyle::upright ? kUpright : lift);
    if (written.angle || !afterBody || !(stiff || wing.style == WingStyle::hair)) return;
    const SeatLimits limits = limitsOf(wing.style);
    constexpr double kSlack = 1.03;  // angles: nothing is said of 3 %
    wing.seat = lift > kSlack * limits.high ? Seat::warning : lift > kSlack * limits.low ? Seat::note : Seat::low;
    if (wing.seat == Seat::low) return;
    for (const WingSupport& support : wing.supports)
        wing.rampLayers = std::max(wing.rampLayers,
                                   static_cast<int>(std::ceil((support.step - support.run * tan(limits.ramp)) / bench.thread.thickness)));
    wing.rampTurns = static_cast<int>(std::ceil(1.5 * wing.rampLayers));
    const auto highest = std::ranges::max_element(wing.supports, {}, [](const WingSupport& s) { return s.lift(); });
    const std::string over = sayName(bench.part(highest->part).kind);
    // A ramp is offered while it is short and the head stays slim; whether the head allows it is known once that is sized.
    constexpr int kMostRamp = 12;
    const bool isBody = std::holds_alternative<BodyPlan>(bench.plan.parts[highest->part].detail);
    const Length shoulder =
        bench.plan.bulk.diameterOverBed(station - kJustAhead) +
        2.0 * highest->run * tan(limits.ramp) /
            (isBody && gives(std::get<BodyPlan>(bench.plan.parts[highest->part].detail).method) ? kFurGives : kHardGives);
    bench.warn(part, "length", Concern::wingLift,
               {(lift - limits.low).inDegrees(), "°", wing.seat == Seat::warning ? Severity::warning : Severity::note},
               say("this wing rises {}° over the {}", formatNumber(lift.inDegrees(), 0), over),
               wing.rampTurns <= kMostRamp ? say("{} turns of thread sloping up to the {} lay it low", std::to_string(wing.rampTurns), over)
               : isBody ? say("a shoulder of {}, {} of the gape, lays it low", formatLength(shoulder, LengthUnit::millimetres, 2),
                              formatNumber(shoulder / bench.hook.gape(), 2))
                        : say("the {} after the wing lays it low", over));
}

// Each style of wing: its slip, depth and barbs; how many of its barbs or hairs are bound at its root.

// A slip folded on itself: each layer as deep as the wing.
double sizeRolled(const Bench& bench, std::size_t part, const WingPart& written, const Material& made, WingPlan& wing) {
    const Place place = bench.resolver.partPlace(part);
    const Length gape = bench.hook.gape();
    const PerLength density = barbDensity(made);
    wing.layers = written.layers.value_or(written.folds == Folds::thirds ? kThirds : kHalvedTwice);
    const double layers = wing.layers;
    wing.depth = written.depth   ? bench.resolver.size(*written.depth, place.key("depth"))
                 : written.width ? bench.resolver.size(*written.width, place.key("width")) / layers  // the raw slip
                                 : kRolledDepthToGape * gape;
    wing.slip = layers * wing.depth;
    wing.barbs = wing.slip * density;
    return wing.barbs;
}

double sizeTipsOrHair(const Bench& bench, std::size_t part, const WingPart& written, const Material& made, WingPlan& wing) {
    const Place place = bench.resolver.partPlace(part);
    const Length gape = bench.hook.gape();
    wing.count = written.count                   ? written.count->wholeMiddle()
                 : wing.style == WingStyle::tips ? 2.0
                                                 : usualCount(30.0, 2.0, bench.hook.size());
    wing.barb = wing.style == WingStyle::tips ? 0.25 * mm : fibreDiameter(made);
    wing.depth = written.depth                   ? bench.resolver.size(*written.depth, place.key("depth"))
                 : wing.style == WingStyle::tips ? 0.25 * wing.length
                                                 : 0.35 * gape;
    wing.barbs = *wing.count;
    wing.toTake = hairsToTake(made, *wing.count);
    return *wing.count;
}

// Half a side of a feather, or a whole one, round the body.
double sizeCloak(const Bench& bench, std::size_t part, const WingPart& written, const Material& made, WingPlan& wing) {
    const Length front = bench.resolver.foremostBody();
    const Place place = bench.resolver.partPlace(part);
    const Length gape = bench.hook.gape();
    const PerLength density = barbDensity(made);
    const bool under = written.position == WingPosition::under;
    wing.slip = written.width ? bench.resolver.size(*written.width, place.key("width")) : (under ? 3.5 : 5.0) * gape;
    wing.barbs = wing.slip * density;
    // Folded once over the body, its barbs round the upper half: what is seen from the side.
    const BodyPlan* body = bench.plan.bodyAt(front);
    const Length across = body ? bench.plan.bodyDiameter(*body, front) : wing.bed;
    wing.round = written.round.value_or(CloakRound::upper);
    const bool all = wing.round == CloakRound::all;
    const Length arc = (all ? 1.0 : 0.5) * std::numbers::pi * across;
    const Length thick = wing.barbs * (std::numbers::pi / 4.0) * (wing.barb * wing.barb) / kBundlePacking / arc;
    wing.depth = written.depth ? bench.resolver.size(*written.depth, place.key("depth"))
                 : all         ? across + thick + 0.25 * gape
                               : std::min(0.5 * wing.slip, 0.5 * across + thick + 0.25 * gape);
    return wing.barbs;
}

// One of each side.
double sizeSlips(const Bench& bench, std::size_t part, const WingPart& written, const Material& made, WingPlan& wing) {
    const Place place = bench.resolver.partPlace(part);
    const Length gape = bench.hook.gape();
    const PerLength density = barbDensity(made);
    wing.slip = written.width   ? bench.resolver.size(*written.width, place.key("width"))
                : written.depth ? bench.resolver.size(*written.depth, place.key("depth"))
                                : kSlipToGape * gape;
    wing.depth = written.depth ? bench.resolver.size(*written.depth, place.key("depth")) : wing.slip;
    wing.barbs = wing.slip * density;
    return 2.0 * wing.barbs;
}

// A slip or a barb that this feather is too small for.
void warnOfVane(Bench& bench, std::size_t part, const WingPlan& wing, const Material& made) {
    const auto* vane = std::get_if<VaneTraits>(&made.traits);
    if (!vane) return;
    if (vane->vane && wing.slip > *vane->vane + slack(wing.slip, *vane->vane))
        bench.warn(part, "layers", Concern::vaneNarrow, {(wing.slip - *vane->vane) / mm},
                   say("the raw slip of {} is wider than this vane's {}", formatLength(wing.slip), formatLength(*vane->vane)),
                   say("fewer layers, less depth or a larger feather"));
    constexpr Length kBoundAndSpare = 6.0 * mm;  // 2 mm bound and 4 mm to handle
    if (!vane->barbs.empty() &&
        wing.length + kBoundAndSpare > *std::ranges::max_element(vane->barbs) + slack(wing.length, *std::ranges::max_element(vane->barbs)))
        bench.warn(part, "length", Concern::barbShort, {(wing.length + kBoundAndSpare - *std::ranges::max_element(vane->barbs)) / mm},
                   say("the longest barb of this feather is {}, the wing wants {}", formatLength(*std::ranges::max_element(vane->barbs)),
                       formatLength(wing.length + kBoundAndSpare)),
                   say("a shorter wing or a larger feather"));
}

}  // namespace

WingPlan sizeWing(Bench& bench, std::size_t part, const WingPart& written, const Material& made) {
    WingPlan wing;
    const Length station = bench.resolver.tieIn(part);
    const Length front = bench.resolver.foremostBody();
    wing.style = written.style;
    wing.length = bench.resolver.lengthOf(part);
    wing.propped = !bench.bodyTied() && station >= front - kAtFront;
    wing.bed = bench.bedAhead(station);
    seat(bench, part, written, wing, station);

    wing.barb = barbDiameter(made);
    double bound = 0.0;
    switch (wing.style) {
        case WingStyle::rolled: bound = sizeRolled(bench, part, written, made, wing); break;
        case WingStyle::plume:
            sizePlumes(wing, written, made, bench.hook);
            bound = wing.barbs;
            break;
        case WingStyle::hair:
        case WingStyle::tips: bound = sizeTipsOrHair(bench, part, written, made, wing); break;
        case WingStyle::cloak: bound = sizeCloak(bench, part, written, made, wing); break;
        case WingStyle::paired:
        case WingStyle::upright: bound = sizeSlips(bench, part, written, made, wing); break;
    }
    warnOfVane(bench, part, wing, made);
    const int index = static_cast<int>(part);
    if (wing.style == WingStyle::plume)
        bench.bindBundle(index, bench.resolver.beadAtEye() + bench.thread.width, std::max(front, station), *wing.count, plumeShaft(made));
    bench.bindBundle(index, bench.resolver.beadAtEye() + bench.thread.width, std::max(front, station), bound, wing.barb);
    bench.bindThread(index, station, front, 1.0);
    return wing;
}

}  // namespace machair
