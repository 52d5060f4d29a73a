// Bodies, thorax and underbody: models.md section 4.
#include <algorithm>
#include <boost/math/quadrature/gauss_kronrod.hpp>
#include <cmath>
#include <numbers>

#include "sizing/bench.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kPi = std::numbers::pi;
constexpr Length kThinnestNoodle = 0.20 * mm;
constexpr Length kLevelNoodle = 0.40 * mm;
constexpr Length kRopeNoodle = 0.60 * mm;
constexpr double kRopeSpare = 1.10;
constexpr Length kRopeHeld = 12.0 * mm;
constexpr double kBrittleTip = 0.20;
constexpr Length kHeldByFingers = 25.0 * mm;
constexpr Length kHeldByPliers = 10.0 * mm;
constexpr Length kOverUnderbody = 0.10 * mm;
constexpr Length kUsualStrand = 100.0 * mm;  // natural length of a herl or tail fibre that isn't given

bool isDubbed(BodyMethod m) {
    return m == BodyMethod::noodle || m == BodyMethod::level || m == BodyMethod::loop || m == BodyMethod::rope;
}
bool isStrands(BodyMethod m) { return m == BodyMethod::herl || m == BodyMethod::fibres; }

// Integrates over a body piece by piece between the ends of the rows bound under it, where D_u steps.
template <class F>
double integrateOver(const Bench& bench, const BodyPlan& body, F f) {
    std::vector<double> cuts{body.front / mm, body.end / mm};
    for (std::size_t i = 0; i < body.rowsUnder; ++i)
        for (const Length end : {bench.plan.bulk.rows()[i].from, bench.plan.bulk.rows()[i].to})
            if (body.front < end && end < body.end) cuts.push_back(end / mm);
    std::ranges::sort(cuts);
    double total = 0.0;
    constexpr double kTolerance = 1e-10;
    for (std::size_t i = 0; i + 1 < cuts.size(); ++i)
        if (cuts[i + 1] > cuts[i])
            total += boost::math::quadrature::gauss_kronrod<double, 15>::integrate(f, cuts[i], cuts[i + 1], 8, kTolerance);
    return total;
}

constexpr double kThickestBody = 3.0;  // gapes: a bushy one is about one

void chooseDiameters(Bench& bench, std::size_t part, const BodyPart& written, BodyPlan& body) {
    const Place place = bench.resolver.partPlace(part);
    const Length gape = bench.hook.gape();
    const auto given = [&](const std::optional<Length>& millimetres, const std::optional<LengthSpec>& spec,
                           const char* key) -> std::optional<Length> {
        if (millimetres) return millimetres;
        if (spec) return bench.resolver.size(*spec, place.key(key));
        return std::nullopt;
    };
    const auto rear = given(written.rear, written.rearDiameter, "rear_diameter");
    const auto front = given(written.foremost, written.frontDiameter, "front_diameter");
    const bool level = body.method == BodyMethod::level || body.method == BodyMethod::loop || body.method == BodyMethod::rope;
    body.exponent = written.exponent.value_or(1.0);
    if (level && !rear && !front) {
        body.overUnderbody = true;
        body.rearDiameter = bench.bedAt(body.end) + 2.0 * body.noodleDiameter;
        body.frontDiameter = bench.bedAt(body.front) + 2.0 * body.noodleDiameter;
        return;
    }
    if (bench.part(part).kind == PartKind::thorax) {
        const Length ball = std::max(0.45 * gape, bench.resolver.beadDiameter().value_or(0.0 * mm));
        body.rearDiameter = rear.value_or(ball);
        body.frontDiameter = front.value_or(ball);
        return;
    }
    body.rearDiameter = rear.value_or(std::max(0.24 * gape, bench.bedAt(body.end) + kOverUnderbody));
    const Length usual = isDubbed(body.method) ? std::max(0.40 * gape, body.rearDiameter + 0.10 * gape)
                                               : std::max(0.30 * gape, body.rearDiameter);
    body.frontDiameter = front.value_or(usual);
}

// Where the wanted profile dips under what is bound there, and what is thickest in it.
void checkTaper(Bench& bench, std::size_t part, const BodyPlan& body) {
    constexpr int kLooks = 60;
    constexpr Length kSlack = 0.005 * mm;
    for (int i = 0; i <= kLooks; ++i) {
        const Length s = body.front + static_cast<double>(i) / kLooks * (body.end - body.front);
        const Length under = bench.plan.bulk.diameter(s, body.rowsUnder);
        const Length wanted = bench.plan.bodyDiameter(body, s);
        if (wanted >= under - kSlack) continue;
        std::string thickest = "the wire";
        if (const BulkRow* row = bench.plan.bulk.thickest(s, body.rowsUnder)) {
            const std::string what = row->part < 0 ? "thread bed"
                                                   : std::string(nameOf(bench.part(static_cast<std::size_t>(row->part)).kind));
            thickest = "the " + what + (std::holds_alternative<ThreadLayers>(row->what) ? "'s thread" : "");
        }
        bench.warn(part, "rear_mm", Concern::taper, {(under - wanted) / mm},
                   "this taper is not possible here: it wants " + formatLength(wanted, LengthUnit::millimetres, 2) +
                       " where " + formatLength(under, LengthUnit::millimetres, 2) + " is bound already; thickest is " + thickest,
                   "a thicker body, fewer tail fibres or finer thread");
        return;
    }
}

// A thorax behind a bead that is smaller than the bead leaves it to slide about.
void checkBall(Bench& bench, std::size_t part, const BodyPlan& body) {
    const auto bead = bench.resolver.beadDiameter();
    if (!bead || bench.part(part).kind != PartKind::thorax) return;
    const Length ball = std::max(body.rearDiameter, body.frontDiameter);
    if (ball < *bead)
        bench.warn(part, "front_diameter", Concern::ball, {(*bead - ball) / mm},
                   "this ball of " + formatLength(ball) + " is smaller than its bead of " + formatLength(*bead),
                   "make it " + formatLength(*bead) + " thick or take a smaller bead");
}

}  // namespace

BodyPlan sizeBody(Bench& bench, std::size_t part, const BodyPart& written, const Material& made) {
    const Section section =
        bench.part(part).kind == PartKind::body ? bench.resolver.section(part) : bench.resolver.thorax(part);
    BodyPlan body;
    body.method = written.method.value_or(usualMethod(made.kind));
    body.end = section.end;
    body.front = section.front;
    body.rowsUnder = bench.plan.bulk.size();
    const bool rope = body.method == BodyMethod::loop || body.method == BodyMethod::rope;
    body.noodleDiameter = written.noodleDiameter.value_or(rope ? kRopeNoodle : kLevelNoodle);
    chooseDiameters(bench, part, written, body);
    if (const Length thickest = std::max(body.rearDiameter, body.frontDiameter), most = kThickestBody * bench.hook.gape(); thickest > most) {
        bench.resolver.fault(bench.resolver.partPlace(part).key(body.frontDiameter >= body.rearDiameter ? "front_diameter" : "rear_diameter"),
                             "expected a body of at most " + formatLength(most) + " on this hook, got " + formatLength(thickest), "no body is thicker than three gapes");
        return body;
    }
    if (body.end <= body.front) return body;  // a fault already placed

    const Bulk& bulk = bench.plan.bulk;
    const auto under = [&](double s) { return bulk.diameter(s * mm, body.rowsUnder) / mm; };
    const auto wanted = [&](double s) { return bench.plan.bodyDiameter(body, s * mm) / mm; };
    const auto section2 = [&](double s) { return kPi / 4.0 * std::max(0.0, wanted(s) * wanted(s) - under(s) * under(s)); };
    body.volume = integrateOver(bench, body, section2) * mm3;
    const double ell = (body.end - body.front) / mm;

    if (isDubbed(body.method)) {
        const auto* fur = std::get_if<DubbingTraits>(&made.traits);
        body.mass = body.volume * packedDensity(fur ? *fur : DubbingTraits{});
        const double level = body.noodleDiameter / mm;
        const auto noodleAt = [&](double s) {
            return body.method == BodyMethod::noodle ? std::max(kThinnestNoodle / mm, (wanted(s) - under(s)) / 2.0) : level;
        };
        body.noodle = integrateOver(bench, body, [&](double s) { return section2(s) / std::pow(noodleAt(s), 2); }) * mm;
        body.noodleTurns = integrateOver(
            bench, body, [&](double s) { return std::max(0.0, wanted(s) - under(s)) / (2.0 * std::pow(noodleAt(s), 2)); });
        if (rope) body.rope = kRopeSpare * *body.noodle + kRopeHeld;
        if (body.method != BodyMethod::noodle && !body.overUnderbody) {
            const double least = std::min(wanted(body.front / mm) - under(body.front / mm), wanted(body.end / mm) - under(body.end / mm));
            if (level > least / 2.0)
                bench.warn(part, "noodle_diameter_mm", Concern::noodle, {level - std::max(0.0, least / 2.0)},
                           "a noodle of " + formatShort(level, 2) + " mm is too thick there: thin it to " +
                               formatShort(std::max(0.0, least / 2.0), 2) + " mm at the thin end");
        }
    } else if (isStrands(body.method)) {
        const double k = written.strands ? written.strands->wholeMiddle() : 2.0;
        const double width = windingWidth(made) / mm;
        const double thickness = windingThickness(made) / mm;
        body.strands = k;
        body.turns = ell / (k * width);
        body.perStrand = integrateOver(bench, body, [&](double s) {
                             return std::hypot(kPi * (under(s) + thickness), k * width) / (k * width);
                         }) * mm;
        const auto* strand = std::get_if<StrandTraits>(&made.traits);
        const Length natural = strand ? strand->natural.value_or(kUsualStrand) : kUsualStrand;
        const bool tipsAreTail = bench.part(part).from && find(bench.pattern, *bench.part(part).from) &&
                                 bench.part(*find(bench.pattern, *bench.part(part).from)).kind == PartKind::tail;
        const Length usable = (tipsAreTail ? 1.0 : 1.0 - kBrittleTip) * natural -
                              (written.held == Grip::pliers ? kHeldByPliers : kHeldByFingers);
        body.yield = std::max(0, static_cast<int>(std::floor(usable / *body.perStrand)));
        body.length = *body.perStrand;
        if (*body.yield == 0)
            bench.warn(part, "strands", Concern::strandsShort, {(*body.perStrand - std::max(usable, 0.0 * mm)) / mm},
                       "these strands are too short for the body: each needs " + formatLength(*body.perStrand) + ", usable are " +
                           formatLength(std::max(usable, 0.0 * mm)),
                       "more strands together, longer ones, or hackle pliers");
    } else if (body.method == BodyMethod::thread) {
        // Layers of thread up to the wanted profile.
        const double packed = bench.thread.width * bench.thread.thickness / mm2;
        const double mid = 0.5 * (wanted(body.front / mm) + wanted(body.end / mm));
        body.length = body.volume / (packed * mm2);
        body.turns = *body.length / (kPi * mid * mm);
    } else if (body.method == BodyMethod::chenille || body.method == BodyMethod::tube || body.method == BodyMethod::wire) {
        const double d = windingThickness(made) / mm;
        body.turns = ell / d;
        body.length = integrateOver(bench, body, [&](double s) { return std::hypot(kPi * (under(s) + d), d) / d; }) * mm;
    } else {
        const double step = windingWidth(made) / mm * (1.0 - written.overlap.value_or(0.0));
        const double thickness = windingThickness(made) / mm;
        const int passes = written.passes.value_or(1);
        body.turns = ell / step;
        double length = 0.0;
        for (int pass = 0; pass < passes; ++pass)  // to the middle of the strip on what is under it; a second pass lies 2t wider
            length += integrateOver(bench, body, [&](double s) {
                return std::hypot(kPi * (under(s) + thickness * (1.0 + 2.0 * pass)), step) / step;
            });
        body.length = length * mm;
    }
    checkTaper(bench, part, body);
    checkBall(bench, part, body);
    return body;
}

UnderbodyPlan sizeUnderbody(Bench& bench, std::size_t part, const UnderbodyPart& written, const Material& made) {
    const Place place = bench.resolver.partPlace(part);
    UnderbodyPlan under;
    under.end = written.end ? bench.resolver.station(*written.end, place.key("end")) : bench.resolver.bodyEnd();
    under.front = written.front ? bench.resolver.station(*written.front, place.key("front")) : bench.resolver.bodyFront();
    if (under.end <= under.front) {
        bench.resolver.fault(place.key("end"), "expected an underbody end behind its front");
        return under;
    }
    if (made.kind != MaterialKind::thread) {
        // Wire, floss, ribbon or tinsel wound once: each turn takes its width, less what it overlaps.
        const Length d = windingThickness(made);
        const Length step = (1.0 - written.overlap.value_or(0.0)) * windingWidth(made);
        const Length bed = bench.bedAt(0.5 * (under.front + under.end));
        under.turns = written.turns ? written.turns->middle() : (under.end - under.front) / step;
        if (written.turns) under.end = std::min(under.end, under.front + *under.turns * step);
        under.length = *under.turns * hypot(kPi * (bed + d), step);
        bench.plan.bulk.add({static_cast<int>(part), under.front, under.end, WoundWire{d}});
    } else {
        under.layers = written.layers.value_or(1);
        bench.bindThread(static_cast<int>(part), under.front, under.end, under.layers);
    }
    return under;
}

}  // namespace machair
