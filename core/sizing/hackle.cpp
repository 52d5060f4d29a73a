// Collars, throats and palmers: models.md section 5.
#include <algorithm>
#include <boost/math/quadrature/gauss_kronrod.hpp>
#include <cmath>
#include <numbers>

#include "book/schools.h"
#include "language/say.h"
#include "sizing/bench.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kPalmerCount = 0.6;  // fibres spread along the body count so much each, in fibres a mm of gape
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
        bench.resolver.fault(place, say("expected a fibre length that reaches behind the hackle, got {} mm", formatShort(h.fibre / mm, 2)),
                             say("aim it further back"));
}

// Most turns, to the half, over which this feather's softness hides how its fibres grow.
double mostTurns(const Feather& f, Length fibre, Length growth) {
    constexpr double kNoLimit = 60.0;
    return growth > 0.0 * mm ? std::floor(2.0 * (1.0 + f.tolerance() * fibre / growth)) / 2.0 : kNoLimit;
}

// What a feather can't give is a warning where it was measured; of its kind's usual it is no more than a note.
Severity severityOf(const Material& made, const char* key) {
    return std::ranges::find(made.measured, key) != made.measured.end() ? Severity::warning : Severity::note;
}

void gradeFibres(Bench& bench, HacklePlan& h, std::size_t part) {
    const Length growth = h.feather.gamma * stemPerTurn(h.feather, h.bed);
    const Length spread = std::max(0.0, h.turns - 1.0) * growth;
    h.shortest = h.fibre - 0.5 * spread;
    h.longest = h.fibre + 0.5 * spread;
    h.tieInFibre = h.tieIn == TieIn::tip ? h.shortest : h.longest;
    h.mostTurns = mostTurns(h.feather, h.fibre, growth);
    const auto& written = std::get<CollarPart>(bench.part(part).detail);
    if (written.until || written.cut.value_or(false)) return;  // graded on purpose, or cut to one length
    const Length hidden = h.feather.tolerance() * h.fibre;
    if (spread > hidden + slack(spread, hidden))
        bench.warn(part, "turns", Concern::softness, {std::max(0.5, h.turns - h.mostTurns), "turns", Severity::note},
                   say("{} turns spread the fibres from {} to {}, more than this feather's softness hides", formatShort(h.turns, 1),
                       formatLength(h.shortest), formatLength(h.longest)),
                   say("at most {} turns, or a feather whose fibres grow less along the stem", formatShort(h.mostTurns, 1)));
}

// What would do where one feather's stem is too short: more of them one after the other, or so many turns less.
std::string longerStem(const HacklePlan& h, Length stem, Length usable) {
    const std::string feathers = formatShort(std::ceil(stem / usable), 0);
    const double less = std::ceil((stem - usable) / h.stem * h.turns);
    if (less >= h.turns) return say("{} feathers", feathers);
    return less > 1.0 ? say("{} feathers, or {} turns less", feathers, formatShort(less, 0)) : say("{} feathers, or a turn less", feathers);
}

// What this feather can't give: the stem, the longest or the shortest fibre. `stem` with what another collar takes of it.
void checkFeather(Bench& bench, const HacklePlan& h, Length stem, std::size_t part, const Material& made, bool cut) {
    const Feather& f = h.feather;
    if (f.usableStem && stem > *f.usableStem + slack(stem, *f.usableStem))
        bench.warn(part, "turns", Concern::stemShort, {(stem - *f.usableStem) / mm, "mm", severityOf(made, "usable_stem_mm")},
                   say("such a feather gives {} of stem, {} are wanted", formatLength(*f.usableStem), formatLength(stem)),
                   longerStem(h, stem, *f.usableStem));
    if (cut) return;  // to one length: it has no range
    if (f.fibreLongest && h.fibre > *f.fibreLongest + slack(h.fibre, *f.fibreLongest))
        bench.warn(part, "length", Concern::fibreTooLong, {(h.fibre - *f.fibreLongest) / mm, "mm", severityOf(made, "fibre_longest_mm")},
                   say("the longest fibre of such a feather is {}, wanted is {}", formatLength(*f.fibreLongest), formatLength(h.fibre)),
                   say("a larger feather, or aim shorter"));
    if (f.fibreShortest && h.fibre < *f.fibreShortest - slack(h.fibre, *f.fibreShortest))
        bench.warn(part, "length", Concern::fibreTooShort, {(*f.fibreShortest - h.fibre) / mm, "mm", severityOf(made, "fibre_shortest_mm")},
                   say("the shortest fibre of such a feather is {}, wanted is {}", formatLength(*f.fibreShortest), formatLength(h.fibre)),
                   say("a smaller feather, or aim longer"));
}

double worthOfTurn(const Feather& f) { return f.fibresPerStem() / (2.0 * f.usualDensity) / f.usualTurns; }

// Where a hackle is wound on from another collar, the stem that one has taken already.
Length carriedOn(const Bench& bench, std::size_t part) {
    const auto& from = bench.part(part).from;
    const auto source = from ? find(bench.pattern, *from) : std::nullopt;
    if (!source || *source >= bench.plan.parts.size()) return 0.0 * mm;
    const auto* h = std::get_if<HacklePlan>(&bench.plan.parts[*source].detail);
    return h ? h->stem : 0.0 * mm;
}

}  // namespace

FullnessSchool classOf(double worth) {
    constexpr double kSparse = 0.76, kStandard = 1.50, kFull = 2.80;
    if (worth < kSparse) return FullnessSchool::sparse;
    if (worth <= kStandard) return FullnessSchool::standard;
    return worth <= kFull ? FullnessSchool::full : FullnessSchool::bushy;
}

double worthOf(FullnessSchool school) {
    switch (school) {
        case FullnessSchool::sparse: return 0.5;
        case FullnessSchool::standard: return 1.0;
        case FullnessSchool::full: return 1.75;
        case FullnessSchool::bushy: return 3.0;
    }
    throw BrokenContract("unknown fullness");
}

double wantedWorth(const Full& full) {
    const auto* number = std::get_if<double>(&full);
    return number ? *number : worthOf(std::get<FullnessSchool>(full));
}

double turnsForWorth(double worth, const Feather& feather) {
    return std::max(1.0, std::floor(2.0 * worth / worthOfTurn(feather) + 0.5) / 2.0);
}

HacklePlan sizeCollar(Bench& bench, std::size_t part, const CollarPart& written, const Material& made) {
    HacklePlan h;
    const Place place = bench.resolver.partPlace(part);
    const Length station = bench.resolver.tieIn(part);
    h.feather = feather(made, bench.hook);
    if (bench.plan.schools.held.fibresReady == FibresReady::oneSide && made.kind == MaterialKind::hackle) h.feather.sides = 1;
    h.bed = bench.bedAhead(station);
    h.rowsUnder = bench.plan.bulk.size();
    h.roomShare = written.until ? 1.0 : written.through.value_or(false) ? 0.5 * kHackleSpread : kHackleSpread;
    h.tieIn = written.tieIn.value_or(bench.plan.schools.tieIn);
    h.stand = written.angle.value_or(FibreStand::swept);
    const Length perTurn = stemPerTurn(h.feather, h.bed);
    h.through = written.through.value_or(false);
    if (written.until) {
        const Length room = station - bench.resolver.station(*written.until, place.key("until"));
        if (room <= 0.0 * mm)
            bench.resolver.fault(place.key("until"), say("expected a station ahead of the collar, got one at or behind it"));
        h.untilTurns = std::max(1.0, room / h.feather.stem);
    }
    sizeFibre(bench, h, written.length, station, place.key("length"));
    if (written.turns)
        h.turns = written.turns->middle();
    else if (written.until)
        h.turns = h.untilTurns;
    else {
        constexpr double kOfTheUsual = 12.0;  // fibres a mm of gape, as older files wrote it: one usual collar
        const double worth = written.full       ? wantedWorth(*written.full)
                             : written.fullness ? *written.fullness / kOfTheUsual
                                                : worthOf(bench.plan.schools.fullness.value_or(FullnessSchool::standard));
        h.turns = std::min(turnsForWorth(worth, h.feather), mostTurns(h.feather, h.fibre, h.feather.gamma * perTurn));
        if (h.feather.usableStem) h.turns = std::min(h.turns, std::floor(2.0 * (*h.feather.usableStem / perTurn)) / 2.0);
        h.turns = std::max(1.0, h.turns);
    }
    h.stem = h.turns * perTurn;
    h.fibres = h.stem * h.feather.fibresPerStem();
    h.fullness = h.fibres / (bench.hook.gape() / mm);
    h.worth = h.turns * worthOfTurn(h.feather);
    h.width = h.turns * h.feather.stem;
    gradeFibres(bench, h, part);
    checkFeather(bench, h, h.stem + carriedOn(bench, part), part, made, written.cut.value_or(false));
    // The stem's butt is bound towards the eye, under the head.
    bench.bindBundle(static_cast<int>(part), bench.resolver.beadAtEye() + bench.thread.width, station, 1.0, h.feather.stem);
    return h;
}

PalmerPlan sizePalmer(Bench& bench, std::size_t part, const PalmerPart& written, const Material& made) {
    PalmerPlan palmer;
    HacklePlan& h = palmer.hackle;
    const Place place = bench.resolver.partPlace(part);
    const Plan& plan = bench.plan;
    const Length start = bench.resolver.tieIn(part);
    palmer.end = bench.resolver.bodyEnd();
    if (written.along == PalmerAlong::thorax)
        if (const auto on = bench.resolver.first(PartKind::thorax)) palmer.end = bench.resolver.thorax(*on).end;
    palmer.shoulderTurns = written.shoulderTurns ? written.shoulderTurns->middle() : kUsualShoulderTurns;
    palmer.openTurns = written.openTurns ? written.openTurns->middle() : kUsualOpenTurns;
    palmer.feathers = written.feathers.value_or(1);
    palmer.wound = written.wound.value_or(bench.plan.schools.held.palmer.value_or(PalmerWound::rearward));
    palmer.hand = (written.direction.value_or(Winding::with) == Winding::with ? 1 : -1) * (palmer.wound == PalmerWound::forward ? 1 : -1);
    h.feather = feather(made, bench.hook);
    h.bed = bench.bedAhead(start);
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
        bench.resolver.fault(place, say("expected a palmer that fits its body, got shoulder turns as long as the body"),
                             say("fewer shoulder turns or a longer body"));
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
    h.worth = h.turns * static_cast<double>(palmer.feathers) * worthOfTurn(h.feather);
    h.width = palmer.end - start;
    // A palmer is graded on purpose: longest at the shoulder, falling to the tail by the feather's own growth.
    h.longest = h.fibre;
    h.shortest = std::max(0.35 * h.fibre, h.fibre - h.feather.gamma * h.stem);
    h.tieInFibre = palmer.wound == PalmerWound::rearward ? h.longest : h.shortest;
    const Length growth = h.feather.gamma * hypot(kPi * (diameterAt(start) + stemWidth), stemWidth);
    h.mostTurns = mostTurns(h.feather, h.fibre, growth);
    checkFeather(bench, h, h.stem, part, made, false);
    return palmer;
}

}  // namespace machair
