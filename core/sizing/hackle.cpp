// Collars, throats and palmers: models.md section 5.
#include <algorithm>
#include <boost/math/quadrature/gauss_kronrod.hpp>
#include <cmath>
#include <numbers>

#include "book/schools.h"
#include "sizing/bench.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kPi = std::numbers::pi;
constexpr double kFibreCurve = 1.03;       // of a fibre standing as it will fish, models.md section 2
constexpr double kPalmerCount = 0.6;       // fibres spread along the body count so much each
constexpr double kUsualShoulderTurns = 2.0;
constexpr double kUsualOpenTurns = 5.0;

Length stemPerTurn(const Feather& f, Length bed) { return hypot(kPi * (bed + f.stem), f.stem); }

// Fibre length by both schools, from a root on the bed at `station`.
void sizeFibre(const Bench& bench, HacklePlan& h, const LengthSpec& spec, Length station, const Place& place) {
    h.target = bench.resolver.target(spec, place);
    if (!h.target) {
        h.fibre = h.layBack = h.lineOfSight = bench.resolver.length(spec, station, place);
    } else {
        const WirePoint at = bench.hook.at(station);
        // The root hangs under the bed: square to the wire.
        const Length radius = 0.5 * h.bed;
        const Point2 root{at.position.x - radius * sin(at.heading), at.position.y - radius * cos(at.heading)};
        h.layBack = h.target->x - at.position.x;
        h.lineOfSight = kFibreCurve * hypot(h.target->x - root.x, h.target->y - root.y);
        h.fibre = bench.plan.schools.fibre == FibreSchool::lineOfSight ? h.lineOfSight : h.layBack;
    }
    if (h.fibre <= 0.0 * mm)
        bench.resolver.fault(place, "expected a fibre length that reaches behind the hackle, got " +
                                        formatShort(h.fibre / mm, 2) + " mm",
                             "aim it further back");
}

void gradeFibres(Bench& bench, HacklePlan& h, std::size_t part) {
    const Length growth = h.feather.gamma * stemPerTurn(h.feather, h.bed);
    const Length spread = std::max(0.0, h.turns - 1.0) * growth;
    h.shortest = h.fibre - 0.5 * spread;
    h.longest = h.fibre + 0.5 * spread;
    h.tieInFibre = h.tieIn == TieIn::tip ? h.shortest : h.longest;
    h.mostTurns = growth > 0.0 * mm ? 1.0 + std::floor(h.feather.tolerance() * h.fibre / growth) : 60.0;
    if (h.turns > h.mostTurns)
        bench.warn(part, "turns", Concern::softness, {h.turns - h.mostTurns, "turns"},
                   formatShort(h.turns, 1) + " turns spread the fibres from " + formatLength(h.shortest) + " to " +
                       formatLength(h.longest) + ", more than this feather's softness hides",
                   "at most " + formatShort(h.mostTurns, 0) + " turns, or a feather whose fibres grow less along the stem");
}

// What this feather can't give: the stem, the longest or the shortest fibre.
void checkFeather(Bench& bench, const HacklePlan& h, std::size_t part, const Material& made) {
    const auto* traits = std::get_if<HackleTraits>(&made.traits);
    if (!traits) return;
    if (traits->usableStem && h.stem > *traits->usableStem)
        bench.warn(part, "turns", Concern::stemShort, {(h.stem - *traits->usableStem) / mm}, "this feather gives " + formatLength(*traits->usableStem) + " of stem, " + formatShort(h.turns, 1) +
                                      " turns want " + formatLength(h.stem), "fewer turns, or two feathers");
    if (traits->fibreLongest && h.fibre > *traits->fibreLongest)
        bench.warn(part, "length", Concern::fibreTooLong, {(h.fibre - *traits->fibreLongest) / mm}, "the longest fibre of this feather is " + formatLength(*traits->fibreLongest) + ", wanted is " +
                                       formatLength(h.fibre), "a larger feather, or aim shorter");
    if (traits->fibreShortest && h.fibre < *traits->fibreShortest)
        bench.warn(part, "length", Concern::fibreTooShort, {(*traits->fibreShortest - h.fibre) / mm}, "the shortest fibre of this feather is " + formatLength(*traits->fibreShortest) + ", wanted is " +
                                       formatLength(h.fibre), "a smaller feather, or aim longer");
}

}  // namespace

Fullness classOf(double fullness) {
    if (fullness < 9.0) return Fullness::sparse;
    if (fullness < 16.0) return Fullness::standard;
    if (fullness <= 26.0) return Fullness::full;
    return Fullness::bushy;
}

double turnsForFullness(double fullness, const Feather& feather, Length bed, Length gape) {
    const double n = fullness * (gape / mm) / (feather.fibresPerStem() * stemPerTurn(feather, bed));
    return std::max(1.0, std::round(2.0 * n) / 2.0);
}

HacklePlan sizeCollar(Bench& bench, std::size_t part, const CollarPart& written, const Material& made) {
    HacklePlan h;
    const Place place = bench.resolver.partPlace(part);
    const Length station = bench.resolver.tieIn(part);
    h.feather = feather(made, bench.hook);
    h.bed = bench.bedAt(station);
    h.tieIn = written.tieIn.value_or(bench.plan.schools.tieIn);
    h.stand = written.angle.value_or(FibreStand::swept);
    const Length perTurn = stemPerTurn(h.feather, h.bed);
    if (written.turns)
        h.turns = written.turns->middle();
    else if (written.until) {
        const Length room = station - bench.resolver.station(*written.until, place.key("until"));
        if (room <= 0.0 * mm)
            bench.resolver.fault(place.key("until"), "expected a station ahead of the collar, got one at or behind it");
        h.turns = std::max(1.0, room / h.feather.stem);
    } else
        h.turns = turnsForFullness(written.fullness.value_or(fullnessOf(bench.plan.schools.fullness.value_or(FullnessSchool::standard))), h.feather, h.bed, bench.hook.gape());
    sizeFibre(bench, h, written.length, station, place.key("length"));
    h.stem = h.turns * perTurn;
    h.fibres = h.stem * h.feather.fibresPerStem();
    h.fullness = h.fibres / (bench.hook.gape() / mm);
    h.width = h.turns * h.feather.stem;
    gradeFibres(bench, h, part);
    checkFeather(bench, h, part, made);
    // The stem's butt is bound towards the eye, under the head.
    bench.bindBundle(static_cast<int>(part), bench.resolver.beadAtEye() + bench.thread.width, station, 1.0, h.feather.stem);
    return h;
}

PalmerPlan sizePalmer(Bench& bench, std::size_t part, const PalmerPart& written, const Material& made) {
    PalmerPlan palmer;
    HacklePlan& h = palmer.hackle;
    const Place place = bench.resolver.partPlace(part);
    const Plan& plan = bench.plan;
    Length start = bench.resolver.bodyFront();
    palmer.end = bench.resolver.bodyEnd();
    if (written.along == PalmerAlong::thorax)
        if (const auto thoraxPart = findKind(bench.pattern, PartKind::thorax)) {
            const Section thorax = bench.resolver.thorax(*thoraxPart);
            start = thorax.front;
            palmer.end = thorax.end;
        }
    if (bench.part(part).station) start = bench.resolver.tieIn(part);
    palmer.shoulderTurns = written.shoulderTurns ? written.shoulderTurns->middle() : kUsualShoulderTurns;
    palmer.openTurns = written.openTurns ? written.openTurns->middle() : kUsualOpenTurns;
    palmer.feathers = written.feathers.value_or(1);
    palmer.wound = written.wound.value_or(PalmerWound::rearward);
    h.feather = feather(made, bench.hook);
    h.bed = bench.bedAt(start);
    h.turns = palmer.shoulderTurns + palmer.openTurns;
    sizeFibre(bench, h, written.length, start, place.key("length"));

    const auto diameterAt = [&](Length s) {
        const BodyPlan* body = plan.bodyAt(s);
        return body ? plan.bodyDiameter(*body, s) : plan.bulk.diameter(s);
    };
    const Length stemWidth = h.feather.stem;
    const Length shoulder = palmer.shoulderTurns * stemWidth;
    const Length openFrom = start + shoulder;
    const Length open = palmer.end - openFrom;
    if (open <= 0.0 * mm) {
        bench.resolver.fault(place, "expected a palmer that fits its body, got shoulder turns as long as the body",
                             "fewer shoulder turns or a longer body");
        return palmer;
    }
    const auto element = [&](double s) {
        const double d = (diameterAt(s * mm) + stemWidth) / mm;
        return std::hypot(1.0, 2.0 * kPi * palmer.openTurns / (open / mm) * d / 2.0);
    };
    const Length openStem =
        boost::math::quadrature::gauss_kronrod<double, 15>::integrate(element, openFrom / mm, palmer.end / mm, 6, 1e-9) * mm;
    h.stem = palmer.shoulderTurns * hypot(kPi * (diameterAt(start) + stemWidth), stemWidth) + openStem;
    h.fibres = h.stem * h.feather.fibresPerStem() * static_cast<double>(palmer.feathers);
    h.fullness = kPalmerCount * h.fibres / (bench.hook.gape() / mm);
    h.width = palmer.end - start;
    // A palmer is graded on purpose: longest at the shoulder, falling to the tail by the feather's own growth.
    h.longest = h.fibre;
    h.shortest = std::max(0.35 * h.fibre, h.fibre - h.feather.gamma * h.stem);
    h.tieInFibre = palmer.wound == PalmerWound::rearward ? h.longest : h.shortest;
    const Length growth = h.feather.gamma * hypot(kPi * (diameterAt(start) + stemWidth), stemWidth);
    h.mostTurns = growth > 0.0 * mm ? 1.0 + std::floor(h.feather.tolerance() * h.fibre / growth) : 60.0;
    checkFeather(bench, h, part, made);
    return palmer;
}

}  // namespace machair
