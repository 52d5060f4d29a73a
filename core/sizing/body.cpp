// Bodies, thorax and underbody: models.md section 4.
#include <algorithm>
#include <boost/math/quadrature/gauss_kronrod.hpp>
#include <cmath>
#include <numbers>

#include "language/say.h"
#include "sizing/bench.h"
#include "sizing/counts.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr Length kThinnestNoodle = 0.20 * mm;
constexpr double kBrittleTip = 0.20;
constexpr Length kOverUnderbody = 0.10 * mm;

bool isDubbed(BodyMethod m) { return m == BodyMethod::noodle || m == BodyMethod::level || m == BodyMethod::loop || m == BodyMethod::rope; }
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

// The thread that a thread body is wound with: its own where it names one, else the one in use.
LaidThread threadOf(const Bench& bench, const Material& made) {
    return made.kind == MaterialKind::thread ? laidThread(made) : bench.thread;
}

// What a winding adds to the diameter that it lies on, where it follows that: everything but a tapered noodle.
std::optional<Length> coverOf(const Bench& bench, const BodyPart& written, const BodyPlan& body, const Material& made, bool hotSpot) {
    switch (body.method) {
        case BodyMethod::noodle: return std::nullopt;
        case BodyMethod::level:
        case BodyMethod::loop:
        case BodyMethod::rope: return 2.0 * body.noodleDiameter;
        case BodyMethod::herl:
        case BodyMethod::fibres: return 2.0 * windingThickness(made);
        case BodyMethod::floss:
        case BodyMethod::tinsel: return 2.0 * windingThickness(made) * static_cast<double>(written.passes.value_or(1));
        case BodyMethod::wire:
        case BodyMethod::tube: return 2.0 * windingThickness(made);
        case BodyMethod::chenille: {
            const auto* rope = std::get_if<RopeTraits>(&made.traits);
            constexpr Length kCore = 0.25 * mm;
            return windingThickness(made) + (rope ? rope->core.value_or(kCore) : kCore);  // the pile lies down on the hook
        }
        case BodyMethod::thread: return (hotSpot ? 8.0 : 4.0) * threadOf(bench, made).thickness;
    }
    throw BrokenContract("unknown body method");
}

Grip gripOf(const Bench& bench, const BodyPart& written) {
    return written.held.value_or(bench.plan.schools.held.grip.value_or(Grip::fingers));
}

// A body of fur that nobody measured, to the school's taper.
void taper(const Bench& bench, BodyPlan& body) {
    constexpr double kStrong = 0.15;  // of the gape, beyond the usual front
    switch (bench.plan.schools.held.taper.value_or(TaperSchool::slight)) {
        case TaperSchool::slight: break;
        case TaperSchool::none: body.frontDiameter = body.rearDiameter; break;
        case TaperSchool::slimmerFront: std::swap(body.frontDiameter, body.rearDiameter); break;
        case TaperSchool::strong: body.frontDiameter += kStrong * bench.hook.gape(); break;
    }
}

void chooseDiameters(Bench& bench, std::size_t part, const BodyPart& written, BodyPlan& body, const Material& made) {
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
    const bool thorax = bench.part(part).kind == PartKind::thorax;
    body.exponent = written.exponent.value_or(1.0);
    const std::optional<Length> covers = coverOf(bench, written, body, made, thorax);
    if (covers && !rear && !front) {
        body.overUnderbody = true;
        body.covers = *covers;
        body.rearDiameter = bench.bedAt(body.end) + body.covers;
        body.frontDiameter = bench.bedAt(body.front) + body.covers;
        return;
    }
    if (thorax && !rear && !front) {      // a swelling, as thick as its bead where it is the ball of one
        constexpr double kThorax = 0.45;  // of the gape
        body.swelling = kThorax * gape;
        if (body.props) body.swelling = std::max(*body.swelling, bench.resolver.beadDiameter(*body.props));
        body.rearDiameter = bench.bedAt(body.end);
        body.frontDiameter = bench.bedAt(body.front);
        return;
    }
    if (thorax && (!rear || !front)) {  // a cylinder of the one that is written
        body.exponent = 0.0;
        body.rearDiameter = body.frontDiameter = rear ? *rear : *front;
        return;
    }
    body.rearDiameter = rear.value_or(std::max(0.24 * gape, bench.bedAt(body.end) + kOverUnderbody));
    // An even body is as thick as its rear says, unless its front says otherwise.
    const Length usual = body.exponent == 0.0 && rear ? body.rearDiameter
                         : isDubbed(body.method)      ? std::max(0.40 * gape, body.rearDiameter + 0.10 * gape)
                                                      : std::max(0.30 * gape, body.rearDiameter);
    body.frontDiameter = front.value_or(usual);
    if (!rear && !front && isDubbed(body.method)) taper(bench, body);
}

// Where a written profile dips under what is bound there, by how much it will be thicker, and what is thickest in it.
void checkTaper(Bench& bench, std::size_t part, const BodyPart& written, const BodyPlan& body) {
    if (!written.rear && !written.rearDiameter && !written.foremost && !written.frontDiameter) return;
    constexpr int kLooks = 60;
    constexpr Length kLayer = 0.10 * mm;
    constexpr double kShare = 0.08, kTooMuch = 0.25;  // of what is bound
    Length most, where;
    for (int i = 0; i <= kLooks; ++i) {
        const Length s = body.front + static_cast<double>(i) / kLooks * (body.end - body.front);
        const Length over = bench.plan.bulk.diameter(s, body.rowsUnder) - taperedDiameter(body, s);
        if (over <= most) continue;
        most = over;
        where = s;
    }
    const Length under = bench.plan.bulk.diameter(where, body.rowsUnder);
    if (most <= std::max(kLayer, kShare * under)) return;
    std::string thickest = say("the wire");
    if (const BulkRow* row = bench.plan.bulk.thickest(where, body.rowsUnder)) {
        const std::string what = row->part < 0 ? say("thread bed") : sayName(bench.part(static_cast<std::size_t>(row->part)).kind);
        thickest = say("the {}{}", what, std::holds_alternative<ThreadLayers>(row->what) ? say("'s thread") : "");
    }
    bench.warn(part, "rear_mm", Concern::taper, {most / mm, "mm", most > kTooMuch * under ? Severity::warning : Severity::note},
               say("it will be {} thicker there than it is written: {} is bound already; thickest is {}",
                   formatLength(most, LengthUnit::millimetres, 2), formatLength(under, LengthUnit::millimetres, 2), thickest),
               say("a thicker body, fewer tail fibres or finer thread"));
}

// A ball that is smaller than the bead which it props leaves it to slide about.
void checkBall(Bench& bench, std::size_t part, const BodyPlan& body) {
    if (!body.props) return;
    const Length bead = bench.resolver.beadDiameter(*body.props);
    const Length ball = body.swelling ? *body.swelling : std::max(body.rearDiameter, body.frontDiameter);
    if (ball < bead - slack(ball, bead))
        bench.warn(part, "front_diameter", Concern::ball, {(bead - ball) / mm, "mm", Severity::note},
                   say("this ball of {} is smaller than its bead of {}", formatLength(ball), formatLength(bead)),
                   say("make it {} thick or take a smaller bead", formatLength(bead)));
}

// Strands that are too short: by fingers only a note, by hackle pliers as well a warning.
void checkStrands(Bench& bench, std::size_t part, const BodyPart& written, Length perStrand, Length free) {
    const auto shortBy = [&](Length held) { return perStrand - std::max(free - held, 0.0 * mm); };
    const Length held = gripOf(bench, written) == Grip::pliers ? kHeldByPliers : kHeldByFingers, over = shortBy(held);
    if (over <= slack(perStrand, free - held)) return;
    const bool byBoth = shortBy(kHeldByPliers) > 0.0 * mm;
    bench.warn(part, "strands", Concern::strandsShort, {over / mm, "mm", byBoth ? Severity::warning : Severity::note},
               say("each strand wants {} and gives {}{}", formatLength(perStrand), formatLength(std::max(free - held, 0.0 * mm)),
                   gripOf(bench, written) == Grip::pliers ? say(" by the pliers") : say(" by the fingers")),
               byBoth ? say("more strands together, or longer ones") : say("hold it with hackle pliers"));
}

// Strands side by side or twisted to a rope. Where they are a tail's own, that tail now knows what its fibres need.
void windStrands(Bench& bench, std::size_t part, const BodyPart& written, BodyPlan& body, const Material& made) {
    const auto under = [&](double s) { return bench.plan.bulk.diameter(s * mm, body.rowsUnder) / mm; };
    const double k = written.strands ? written.strands->wholeMiddle() : body.method == BodyMethod::herl ? 2.0 : 4.0;
    const double width = windingWidth(made) / mm, thickness = windingThickness(made) / mm;
    // Twisted together they are a rope as thick as all their sections; side by side a ribbon.
    const double rope = std::sqrt(4.0 / kPi * k * width * thickness);
    const double step = written.twisted.value_or(false) ? rope : k * width, high = written.twisted.value_or(false) ? rope : thickness;
    body.strands = k;
    body.turns = (body.end - body.front) / mm / step;
    body.perStrand = integrateOver(bench, body, [&](double s) { return std::hypot(kPi * (under(s) + high), step) / step; }) * mm;
    body.length = *body.perStrand;
    Length natural = naturalLength(made);
    if (const Part& here = bench.part(part); here.from)
        if (const auto source = find(bench.pattern, *here.from); source && *source < bench.plan.parts.size())
            if (auto* tail = std::get_if<TailPlan>(&bench.plan.parts[*source].detail)) {
                natural -= tail->length;
                tail->fibreNeeded = tail->length + *body.perStrand + kHeldByPliers;
            }
    const bool tipsAreTail = natural < naturalLength(made);
    const Length free = tipsAreTail ? natural : (1.0 - kBrittleTip) * natural;
    const Length usable = free - (gripOf(bench, written) == Grip::pliers ? kHeldByPliers : kHeldByFingers);
    body.yield = std::max(0, static_cast<int>(std::floor(usable / *body.perStrand)));
    checkStrands(bench, part, written, *body.perStrand, free);
}

// Touching turns of thread, layer on layer up to the profile.
void windThread(const Bench& bench, BodyPlan& body, const Material& made) {
    const LaidThread thread = threadOf(bench, made);
    const Length middle = 0.5 * (body.front + body.end), bed = bench.plan.bulk.diameter(middle, body.rowsUnder);
    const double layers = std::max(1.0, std::round((bench.plan.bodyDiameter(body, middle) - bed) / (2.0 * thread.thickness)));
    const double turns = (body.end - body.front) / thread.width;
    body.turns = turns * layers;
    Length length;
    for (double layer = 0.0; layer < layers; layer += 1.0)
        length += turns * hypot(kPi * (bed + (2.0 * layer + 1.0) * thread.thickness), thread.width);
    body.length = length;
}

// Fur: as long as its noodle, loop or rope has to be for the body's volume.
void windFur(Bench& bench, std::size_t part, BodyPlan& body, const Material& made) {
    const auto under = [&](double s) { return bench.plan.bulk.diameter(s * mm, body.rowsUnder) / mm; };
    const auto wanted = [&](double s) { return bench.plan.bodyDiameter(body, s * mm) / mm; };
    const auto section = [&](double s) { return kPi / 4.0 * std::max(0.0, wanted(s) * wanted(s) - under(s) * under(s)); };
    body.mass = body.volume * packedDensity(made, bench.book);
    const double level = body.noodleDiameter / mm;
    const auto noodleAt = [&](double s) {
        return body.method == BodyMethod::noodle ? std::max(kThinnestNoodle / mm, (wanted(s) - under(s)) / 2.0) : level;
    };
    body.noodle = integrateOver(bench, body, [&](double s) { return section(s) / std::pow(noodleAt(s), 2); }) * mm;
    body.noodleTurns =
        integrateOver(bench, body, [&](double s) { return std::max(0.0, wanted(s) - under(s)) / (2.0 * std::pow(noodleAt(s), 2)); });
    if (const auto* fur = std::get_if<DubbingTraits>(&made.traits)) body.takes = takesOfReckoned(*fur, body.method, bench.plan.hook.size());
    body.made = body.takes * *body.noodle;
    if (body.method == BodyMethod::loop || body.method == BodyMethod::rope) body.made = body.rope = kRopeSpare * *body.made + kRopeHeld;
    if (body.method != BodyMethod::noodle && !body.overUnderbody) {
        const double least = std::min(wanted(body.front / mm) - under(body.front / mm), wanted(body.end / mm) - under(body.end / mm));
        const double fits = std::max(0.0, least / 2.0);
        if (level > fits + slack(level * mm, fits * mm) / mm)
            bench.warn(part, "noodle_diameter_mm", Concern::noodle, {level - fits, "mm", Severity::note},
                       say("a noodle of {} mm is too thick there: thin it to {} mm at the thin end", formatShort(level, 2),
                           formatShort(std::max(0.0, least / 2.0), 2)));
    }
}

// Chenille, tube and wire in touching turns; chenille's length is its core's, on which the pile stands.
void windCore(Bench& bench, BodyPlan& body, const Material& made) {
    const auto under = [&](double s) { return bench.plan.bulk.diameter(s * mm, body.rowsUnder) / mm; };
    const double d = windingThickness(made) / mm;
    const auto* pile = std::get_if<RopeTraits>(&made.traits);
    const double on = body.method == BodyMethod::chenille && pile ? pile->core.value_or(0.25 * mm) / mm : d;
    body.turns = (body.end - body.front) / mm / d;
    body.length = integrateOver(bench, body, [&](double s) { return std::hypot(kPi * (under(s) + on), d) / d; }) * mm;
}

// Tinsel, floss and ribbon, turn beside turn, in one pass or two.
void windStrip(Bench& bench, const BodyPart& written, BodyPlan& body, const Material& made) {
    const auto under = [&](double s) { return bench.plan.bulk.diameter(s * mm, body.rowsUnder) / mm; };
    const double step = windingWidth(made) / mm * (1.0 - written.overlap.value_or(0.0));
    const double thickness = windingThickness(made) / mm;
    const int passes = written.passes.value_or(1);
    body.turns = (body.end - body.front) / mm / step;
    double length = 0.0;
    for (int pass = 0; pass < passes; ++pass)  // to the middle of the strip on what is under it; a second pass lies 2t wider
        length += integrateOver(bench, body,
                                [&](double s) { return std::hypot(kPi * (under(s) + thickness * (1.0 + 2.0 * pass)), step) / step; });
    body.length = length * mm;
}

}  // namespace

Length taperedDiameter(const BodyPlan& body, Length s) {
    if (body.exponent == 0.0) return body.frontDiameter;
    const double t = std::clamp((body.end - s) / (body.end - body.front), 0.0, 1.0);
    return body.rearDiameter + (body.frontDiameter - body.rearDiameter) * std::pow(t, body.exponent);
}

BodyPlan sizeBody(Bench& bench, std::size_t part, const BodyPart& written, const Material& made) {
    const Section section = bench.part(part).kind == PartKind::body ? bench.resolver.section(part) : bench.resolver.thorax(part);
    BodyPlan body;
    body.method = bench.resolver.methodOf(part);
    body.end = section.end;
    body.front = section.front;
    body.rowsUnder = bench.plan.bulk.size();
    body.noodleDiameter = written.noodleDiameter.value_or(usualNoodle(body.method, bench.hook));
    if (bench.part(part).kind == PartKind::thorax) body.props = bench.resolver.beadPropped(part);
    chooseDiameters(bench, part, written, body, made);
    if (const Length thickest = std::max(body.rearDiameter, body.frontDiameter), most = kThickestBody * bench.hook.gape();
        thickest > most) {
        bench.resolver.fault(
            bench.resolver.partPlace(part).key(body.frontDiameter >= body.rearDiameter ? "front_diameter" : "rear_diameter"),
            say("expected a body of at most {} on this hook, got {}", formatLength(most), formatLength(thickest)),
            say("no body is thicker than three gapes"));
        return body;
    }
    if (body.end <= body.front) return body;  // a fault already placed

    const Bulk& bulk = bench.plan.bulk;
    const auto under = [&](double s) { return bulk.diameter(s * mm, body.rowsUnder) / mm; };
    const auto wanted = [&](double s) { return bench.plan.bodyDiameter(body, s * mm) / mm; };
    const auto section2 = [&](double s) { return kPi / 4.0 * std::max(0.0, wanted(s) * wanted(s) - under(s) * under(s)); };
    body.volume = integrateOver(bench, body, section2) * mm3;

    if (isDubbed(body.method))
        windFur(bench, part, body, made);
    else if (isStrands(body.method))
        windStrands(bench, part, written, body, made);
    else if (body.method == BodyMethod::thread)
        windThread(bench, body, made);
    else if (body.method == BodyMethod::chenille || body.method == BodyMethod::tube || body.method == BodyMethod::wire)
        windCore(bench, body, made);
    else
        windStrip(bench, written, body, made);
    checkTaper(bench, part, written, body);
    checkBall(bench, part, body);
    return body;
}

UnderbodyPlan sizeUnderbody(Bench& bench, std::size_t part, const UnderbodyPart& written, const Material& made) {
    const Place place = bench.resolver.partPlace(part);
    UnderbodyPlan under;
    under.end = written.end ? bench.resolver.station(*written.end, place.key("end")) : bench.resolver.bodyEnd();
    under.front = written.front ? bench.resolver.station(*written.front, place.key("front")) : bench.resolver.bodyFront();
    if (under.end <= under.front) {
        bench.resolver.fault(place.key("end"), say("expected an underbody end behind its front"));
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
