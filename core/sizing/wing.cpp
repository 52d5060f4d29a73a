// Wings: models.md section 6.
#include <algorithm>
#include <cmath>

#include "sizing/bench.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kSlipToGape = 0.85;
constexpr double kRolledDepthToGape = 0.50;
constexpr int kThirds = 3;
constexpr int kHalvedTwice = 4;
constexpr Angle kLowLying = 8_deg;
constexpr double kUsualHairs = 30.0;

// What stands behind the wing: the shoulder of the body, or a collar wound before it where that is thicker.
Length diameterBehind(const Bench& bench, Length bed) {
    Length behind = bed;
    const Length front = bench.resolver.foremostBody();
    if (const BodyPlan* body = bench.plan.bodyAt(front)) behind = bench.plan.bodyDiameter(*body, front);
    for (const PartPlan& part : bench.plan.parts)
        if (const auto* hackle = std::get_if<HacklePlan>(&part.detail))
            behind = std::max(behind, hackle->bed + 2.0 * hackle->feather.stem);
    return behind;
}

}  // namespace

WingPlan sizeWing(Bench& bench, std::size_t part, const WingPart& written, const Material& made) {
    WingPlan wing;
    const Place place = bench.resolver.partPlace(part);
    const Length station = bench.resolver.tieIn(part);
    const Length front = bench.resolver.foremostBody();
    const Length gape = bench.hook.gape();
    wing.style = written.style;
    wing.length = bench.resolver.lengthOf(part);
    wing.bed = bench.bedAt(station);
    wing.behind = diameterBehind(bench, wing.bed);
    wing.gap = std::max(0.0 * mm, front - station);
    const Angle lift = wing.gap > 0.0 * mm ? atan2(wing.behind - wing.bed, 2.0 * wing.gap)
                                           : (wing.behind > wing.bed ? 90_deg : 0_deg);
    wing.lift = written.angle.value_or(std::max(lift, 0_deg));
    const double layersWanted =
        std::ceil((wing.behind - 2.0 * wing.gap * tan(kLowLying) - wing.bed) / (2.0 * bench.thread.thickness));
    wing.bedLayers = std::max(0, static_cast<int>(layersWanted));
    wing.overCollar = std::ranges::any_of(bench.plan.parts, [](const PartPlan& p) { return p.kind == PartKind::collar; });

    const PerLength density = barbDensity(made);
    wing.barb = barbDiameter(made);
    double bound = 0.0;
    if (wing.style == WingStyle::rolled) {
        wing.layers = written.layers.value_or(written.folds == Folds::thirds ? kThirds : kHalvedTwice);
        wing.depth = written.depth ? bench.resolver.size(*written.depth, place.key("depth")) : kRolledDepthToGape * gape;
        wing.slip = static_cast<double>(wing.layers) * wing.depth;
        wing.barbs = wing.slip * density;
        bound = wing.barbs;
    } else if (wing.style == WingStyle::hair || wing.style == WingStyle::plume || wing.style == WingStyle::tips) {
        wing.count = written.count ? written.count->wholeMiddle() : (wing.style == WingStyle::tips ? 2.0 : kUsualHairs);
        wing.barb = fibreDiameter(made);
        wing.depth = written.depth ? bench.resolver.size(*written.depth, place.key("depth")) : 0.35 * gape;
        wing.barbs = *wing.count;
        bound = *wing.count;
    } else {  // slips
        wing.slip = written.width   ? bench.resolver.size(*written.width, place.key("width"))
                    : written.depth ? bench.resolver.size(*written.depth, place.key("depth"))
                                    : kSlipToGape * gape;
        wing.depth = written.depth ? bench.resolver.size(*written.depth, place.key("depth")) : wing.slip;
        wing.barbs = wing.slip * density;
        bound = (wing.style == WingStyle::cloak ? 1.0 : 2.0) * wing.barbs;
    }
    if (const auto* vane = std::get_if<VaneTraits>(&made.traits)) {
        if (vane->vane && wing.slip > *vane->vane)
            bench.warn(part, "layers", Concern::vaneNarrow, {(wing.slip - *vane->vane) / mm},
                       "the raw slip of " + formatLength(wing.slip) + " is wider than this vane's " + formatLength(*vane->vane),
                       "fewer layers, less depth or a larger feather");
        constexpr Length kBoundAndSpare = 6.0 * mm;  // 2 mm bound and 4 mm to handle
        if (!vane->barbs.empty() && wing.length + kBoundAndSpare > *std::ranges::max_element(vane->barbs))
            bench.warn(part, "length", Concern::barbShort, {(wing.length + kBoundAndSpare - *std::ranges::max_element(vane->barbs)) / mm},
                       "the longest barb of this feather is " + formatLength(*std::ranges::max_element(vane->barbs)) +
                           ", the wing wants " + formatLength(wing.length + kBoundAndSpare),
                       "a shorter wing or a larger feather");
    }
    if (!written.angle && wing.lift > kLowLying)
        bench.warn(part, "length", Concern::wingLift, {(wing.lift - kLowLying).inDegrees(), "°"},
                   "this wing will stand up " + formatNumber(wing.lift.inDegrees(), 0) + "°: " +
                       formatLength(wing.behind, LengthUnit::millimetres, 2) + " behind it, " +
                       formatLength(wing.bed, LengthUnit::millimetres, 2) + " under it",
                   std::to_string(wing.bedLayers) + (wing.bedLayers == 1 ? " layer" : " layers") +
                       " of thread under it lay it down, or a slimmer shoulder");
    const int index = static_cast<int>(part);
    bench.bindBundle(index, bench.resolver.beadAtEye() + bench.thread.width, std::max(front, station), bound, wing.barb);
    bench.bindThread(index, station, front, 1.0);
    bench.wingTied = true;
    return wing;
}

}  // namespace machair
