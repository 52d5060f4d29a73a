// A size 10 worked by hand in full, part by part. Shank 11.7, gape 5.5, wire 0.60; thread t 0.049147, b 0.147441, so
// the bed under everything is 0.60 + 2t = 0.698294. Body end opposite the barb, 9.28; body front 0.22 · 11.7 = 2.574.
#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>

#include "sizing/budget.h"
#include "sizing/compare.h"
#include "sizing/figures.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

namespace {

BodyPart conedBody() {
    BodyPart body;
    body.rear = 1.32 * mm;
    body.foremost = 2.20 * mm;
    return body;
}

std::string firstPlace(const Result<Plan>& plan) { return plan ? "no fault" : plan.error().front().place.text(); }

}  // namespace

TEST_CASE("a tail as long as the shank needs its length and what is bound under the body") {
    const Plan plan = planOf({part(PartKind::tail, TailPart{}, "tippet"), part(PartKind::body, conedBody(), "seal")}).value();
    const auto& tail = detail<TailPlan>(plan, 0);
    CHECK_THAT(mmOf(tail.length), WithinAbs(11.7, 1e-9));
    CHECK_THAT(mmOf(tail.fibreNeeded), WithinAbs(11.7 + kBodyLength, 1e-9));
    CHECK_THAT(mmOf(*tail.barSpacing), WithinAbs(11.7 / 1.12, 1e-9));
}

TEST_CASE("a dubbed cone on a bare bed has the volume, noodle and turns of the closed forms") {
    const Plan plan = planOf({part(PartKind::body, conedBody(), "seal")}).value();
    const auto& body = detail<BodyPlan>(plan, 0);
    const double meanSquare = (1.32 * 1.32 + 1.32 * 2.20 + 2.20 * 2.20) / 3.0;
    const double volume = kPi / 4.0 * (meanSquare - kBed * kBed) * kBodyLength;  // 14.09 mm³
    CHECK_THAT(body.volume / mm3, WithinRel(volume, 1e-5));
    CHECK_THAT(body.mass / mg, WithinRel(0.16 * volume, 1e-5));
    // d_n = (D − D_u)/2 throughout: L = π ∫ (D + D_u)/(D − D_u) ds, turns = ∫ 2/(D − D_u) ds, D linear in s.
    const double thin = 1.32 - kBed, thick = 2.20 - kBed, log = std::log(thick / thin) / (thick - thin);
    CHECK_THAT(mmOf(*body.noodle), WithinRel(kPi * kBodyLength * (1.0 + 2.0 * kBed * log), 1e-5));
    CHECK_THAT(*body.noodleTurns, WithinRel(2.0 * kBodyLength * log, 1e-5));
}

TEST_CASE("an exponent of nothing is a cylinder of the front's thickness") {
    BodyPart even = conedBody();
    even.exponent = 0.0;
    const Plan plan = planOf({part(PartKind::body, even, "seal")}).value();
    CHECK_THAT(detail<BodyPlan>(plan, 0).volume / mm3, WithinRel(kPi / 4.0 * (2.2 * 2.2 - kBed * kBed) * kBodyLength, 1e-5));
}

TEST_CASE("a rope is as long as its volume wants, with a tenth spare and an end to hold") {
    BodyPart rope = conedBody();
    rope.method = BodyMethod::rope;
    const Plan plan = planOf({part(PartKind::body, rope, "seal")}).value();
    const auto& body = detail<BodyPlan>(plan, 0);
    CHECK_THAT(mmOf(*body.noodle), WithinRel(body.volume / mm3 / std::pow(0.085 * 5.5, 2), 1e-6));
    CHECK_THAT(mmOf(*body.rope), WithinRel(1.10 * mmOf(*body.noodle) + 12.0, 1e-9));
}

TEST_CASE("a taper that dips under what is bound there is said with what is thickest") {
    TailPart tail;
    tail.fibres = exactly(60);
    BodyPart slim;
    slim.rear = 0.75 * mm;
    slim.foremost = 0.80 * mm;
    const Plan plan = planOf({part(PartKind::tail, tail, "tippet"), part(PartKind::body, slim, "seal")}).value();
    REQUIRE_FALSE(plan.warnings.empty());
    CHECK(plan.warnings.front().what.find("thickest is the tail") != std::string::npos);
}

TEST_CASE("a rib over an even body is a helix: length sqrt(l² + (N pi D)²), and 45 mm to hold") {
    BodyPart even;
    even.rear = even.foremost = 2.0 * mm;
    RibPart rib;
    rib.turns = exactly(5);
    const Plan plan = planOf({part(PartKind::rib, rib, "wire"), part(PartKind::body, even, "seal")}).value();
    const auto& wound = detail<RibPlan>(plan, 0);
    const double length = std::hypot(kBodyLength, 5.0 * kPi * 2.0);  // it sinks into dubbing: R = D/2
    CHECK_THAT(mmOf(wound.wound), WithinRel(length, 1e-6));
    CHECK_THAT(mmOf(wound.cut), WithinRel(length + 45.0, 1e-6));
    CHECK_THAT(mmOf(wound.pitch), WithinAbs(kBodyLength / 5.0, 1e-9));
    CHECK_THAT(wound.angle.inRadians(), WithinRel(std::atan(kBodyLength / (5.0 * kPi * 2.0)), 1e-6));
}

TEST_CASE("even pitch and equal angle agree on a cylinder and differ on a cone") {
    RibPart rib;
    rib.turns = exactly(5);
    RibPart angled = rib;
    angled.pitch = RibPitch::angle;
    BodyPart even;
    even.rear = even.foremost = 2.0 * mm;
    const auto wound = [](const RibPart& r, const BodyPart& b) {
        return mmOf(detail<RibPlan>(planOf({part(PartKind::rib, r, "wire"), part(PartKind::body, b, "seal")}).value(), 0).wound);
    };
    CHECK_THAT(wound(angled, even), WithinRel(wound(rib, even), 1e-9));
    CHECK(std::abs(wound(angled, conedBody()) - wound(rib, conedBody())) > 1e-3);
}

TEST_CASE("a rib that is not counted comes to the whole number nearest to 0.22 of the gape, from four to six") {
    const auto turns = [](BodyPart body) {
        return detail<RibPlan>(planOf({part(PartKind::rib, RibPart{}, "wire"), part(PartKind::body, body, "seal")}).value(), 0).turns;
    };
    CHECK(turns(conedBody()) == 6.0);  // 6.706 / 1.21 = 5.54
    BodyPart half = conedBody();
    half.front = StationSpec{Landmark::eye, {}, inMm(6.0 * mm), {}};
    CHECK(turns(half) == 4.0);  // 3.28 / 1.21 = 2.7
}

TEST_CASE("a collar's fibre is given by both schools") {
    CollarPart collar;
    collar.turns = exactly(3);
    const Plan plan = planOf({part(PartKind::body, conedBody(), "seal"), part(PartKind::collar, collar, "hen")}).value();
    const auto& h = detail<HacklePlan>(plan, 1);
    CHECK_THAT(mmOf(h.bed), WithinAbs(kBed, 1e-5));
    CHECK_THAT(mmOf(h.layBack), WithinAbs(7.3 - 2.574, 1e-9));
    CHECK_THAT(mmOf(h.lineOfSight), WithinRel(1.03 * std::hypot(7.3 - 2.574, 5.5 - kBed / 2.0), 1e-6));
    CHECK(h.fibre == h.lineOfSight);
}

TEST_CASE("three turns of hen take the stem of three rings and give 5.2 fibres a millimetre of it") {
    CollarPart collar;
    collar.turns = exactly(3);
    const Plan plan = planOf({part(PartKind::body, conedBody(), "seal"), part(PartKind::collar, collar, "hen")}).value();
    const auto& h = detail<HacklePlan>(plan, 1);
    const double stem = 3.0 * std::hypot(kPi * (kBed + 0.30), 0.30);
    CHECK_THAT(mmOf(h.stem), WithinRel(stem, 1e-5));
    CHECK_THAT(h.fibres, WithinRel(5.2 * stem, 1e-5));
    CHECK_THAT(h.fullness, WithinRel(5.2 * stem / 5.5, 1e-5));
    // Growth along the stem spreads the fibres evenly about the wanted one; soft feathers may spread 55 %.
    const double growth = 0.22 * stem / 3.0;
    CHECK_THAT(mmOf(h.longest - h.shortest), WithinRel(2.0 * growth, 1e-5));
    CHECK_THAT(mmOf(h.longest + h.shortest), WithinRel(2.0 * mmOf(h.fibre), 1e-9));
    CHECK(h.mostTurns == std::floor(2.0 * (1.0 + 0.55 * mmOf(h.fibre) / growth)) / 2.0);
}

TEST_CASE("the fullness classes change where the usual collars say") {
    CHECK(classOf(0.7599) == FullnessSchool::sparse);
    CHECK(classOf(0.76) == FullnessSchool::standard);
    CHECK(classOf(1.50) == FullnessSchool::standard);
    CHECK(classOf(1.51) == FullnessSchool::full);
    CHECK(classOf(2.80) == FullnessSchool::full);
    CHECK(classOf(2.81) == FullnessSchool::bushy);
}

TEST_CASE("turns for a wanted fullness are counted in usual collars, to the nearest half, at least one") {
    CollarPart collar;
    const auto turns = [&](const char* made) {
        const Plan plan = planOf({part(PartKind::body, conedBody(), "seal"), part(PartKind::collar, collar, made)}).value();
        return detail<HacklePlan>(plan, 1).turns;
    };
    CHECK(turns("hen") == 3.0);  // nothing written: one usual collar
    collar.fullness = 12.0;      // as older files have it: 12 fibres a mm of gape are one
    CHECK(turns("hen") == 3.0);
    collar.fullness = 0.1;
    CHECK(turns("hen") == 1.0);
    collar.fullness.reset();
    collar.full = FullnessSchool::sparse;  // half a collar
    CHECK(turns("hen") == 1.5);
    collar.full = 1.5;
    CHECK(turns("hen") == 4.5);
    collar.full = 20.0;  // never more than the spread hides, nor than the stem gives
    const Plan plan = planOf({part(PartKind::body, conedBody(), "seal"), part(PartKind::collar, collar, "hen")}).value();
    const auto& h = detail<HacklePlan>(plan, 1);
    CHECK(h.turns <= h.mostTurns);
    CHECK(h.stem <= 30.0 * mm);
}

TEST_CASE("tip and butt start from opposite ends of the same spread") {
    CollarPart tip, butt;
    tip.turns = butt.turns = exactly(3);
    butt.tieIn = TieIn::butt;
    const auto hackle = [](const CollarPart& c) {
        const Plan plan = planOf({part(PartKind::body, conedBody(), "seal"), part(PartKind::collar, c, "hen")}).value();
        return detail<HacklePlan>(plan, 1);
    };
    CHECK(hackle(tip).tieInFibre == hackle(butt).longest - (hackle(butt).longest - hackle(butt).shortest));
    CHECK(hackle(butt).tieInFibre == hackle(tip).longest);
}

TEST_CASE("a palmer takes its shoulder rings and the helix of its open turns") {
    BodyPart even;
    even.rear = even.foremost = 2.0 * mm;
    PalmerPart palmer;
    palmer.shoulderTurns = exactly(2);
    palmer.openTurns = exactly(5);
    const Plan plan = planOf({part(PartKind::body, even, "seal"), part(PartKind::palmer, palmer, "saddle")}).value();
    const auto& p = detail<PalmerPlan>(plan, 1);
    const double d = 0.20, open = kBodyLength - 2.0 * d;
    const double stem = 2.0 * std::hypot(kPi * (2.0 + d), d) + std::hypot(open, 5.0 * kPi * (2.0 + d));
    CHECK_THAT(mmOf(p.hackle.stem), WithinRel(stem, 1e-5));
    CHECK_THAT(p.hackle.fibres, WithinRel(5.6 * stem, 1e-5));
    CHECK_THAT(p.hackle.fullness, WithinRel(0.6 * 5.6 * stem / 5.5, 1e-5));
}

TEST_CASE("a wing halved twice to half the gape is cut four times as wide, at 2.4 barbs a millimetre") {
    const Plan plan = planOf({part(PartKind::body, conedBody(), "seal"), part(PartKind::wing, WingPart{}, "flank")}).value();
    const auto& wing = detail<WingPlan>(plan, 1);
    CHECK_THAT(mmOf(wing.depth), WithinAbs(2.75, 1e-9));
    CHECK_THAT(mmOf(wing.slip), WithinAbs(11.0, 1e-9));
    CHECK_THAT(wing.barbs, WithinAbs(26.4, 1e-9));
    // It leans on the cone's front: half a step 0.36 (D − D_b)/2, D_b without the thread bed 0.60; the run 0.15 G and half of
    // how thick the fur is there.
    const double step = 0.5 * 0.36 * (2.2 - 0.60), run = 0.15 * 5.5 + 0.25 * (2.2 - kBed);
    CHECK_THAT(wing.lift.inRadians(), WithinRel(std::atan2(step, run), 1e-4));
    CHECK_THAT(mmOf(plan.parts[1].station), WithinAbs(2.574 - 2.0 * 0.147441, 1e-5));
    CHECK(wing.seat == Seat::note);  // 13.5°
    const int layers = static_cast<int>(std::ceil((step - run * std::tan(6.0 * kPi / 180.0)) / 0.049147));
    CHECK(wing.rampLayers == layers);
    CHECK(wing.rampTurns == static_cast<int>(std::ceil(1.5 * layers)));
    CHECK_THAT(mmOf(wing.bend), WithinRel(0.40 * mmOf(wing.length), 1e-12));
}

TEST_CASE("a thorax swells, a ball is as thick as its bead, a hot spot is eight threads thick") {
    BodyPart thorax;
    const Plan plan = planOf({part(PartKind::body, conedBody(), "seal"), part(PartKind::thorax, thorax, "seal")}).value();
    const auto& round = detail<BodyPlan>(plan, 1);
    CHECK_THAT(mmOf(round.end - round.front), WithinAbs(0.15 * 11.7, 1e-9));
    CHECK_THAT(mmOf(*round.swelling), WithinAbs(0.45 * 5.5, 1e-9));
    const double middle = mmOf(plan.bodyDiameter(round, 0.5 * (round.front + round.end)));
    CHECK_THAT(middle, WithinAbs(0.45 * 5.5, 1e-9));
    const double quarter = mmOf(plan.bodyDiameter(round, round.front + 0.25 * (round.end - round.front)));
    CHECK_THAT(quarter, WithinRel(kBed + (0.45 * 5.5 - kBed) * std::sqrt(0.75), 1e-4));
    BodyPart spot;
    spot.method = BodyMethod::thread;
    const Plan bright = planOf({part(PartKind::body, conedBody(), "seal"), part(PartKind::thorax, spot, "thread")}).value();
    CHECK_THAT(mmOf(detail<BodyPlan>(bright, 1).covers), WithinRel(8.0 * 0.049147, 1e-4));
}

TEST_CASE("the head wants its hackle, its whip and one clear turn, and says what is left") {
    CollarPart collar;
    collar.turns = exactly(3);
    const Plan plan =
        planOf({part(PartKind::body, conedBody(), "seal"), part(PartKind::collar, collar, "hen"), part(PartKind::head, HeadPart{})})
            .value();
    CHECK_THAT(mmOf(plan.head.needed), WithinRel(3.0 * 0.30 * 1.15 + 6.0 * 0.147441, 1e-5));
    CHECK_THAT(mmOf(plan.head.available), WithinAbs(2.574, 1e-9));
    CHECK(plan.head.remedies.empty());
}

TEST_CASE("a wing tied before the body and standing at its front is propped by two turns, which want room") {
    struct {
        double hairs;  // behind the front
        bool wingFirst, propped;
    } const cases[] = {{0.0, true, true},   {2e-7, true, true},    {-2e-7, true, true},
                       {100.0, true, true}, {-100.0, true, false}, {0.0, false, false}};
    for (const auto& [hairs, wingFirst, propped] : cases) {
        CAPTURE(hairs, wingFirst);
        BodyPart body = conedBody();
        body.front = StationSpec{Landmark::eye, {}, inMm(3.0 * mm), {}};
        WingPart slips;
        slips.style = WingStyle::upright;
        Part wing = part(PartKind::wing, slips, "flank");
        wing.station = StationSpec{Landmark::eye, {}, inMm((3.0 + hairs * 1e-3) * mm), {}};
        std::vector<Part> parts = {wing, part(PartKind::body, body, "seal"), part(PartKind::head, HeadPart{})};
        if (!wingFirst) std::swap(parts[0], parts[1]);
        const Plan plan = planOf(parts).value();
        CHECK(detail<WingPlan>(plan, wingFirst ? 0 : 1).propped == propped);
        // Four turns bind an upright wing, one is kept clear; the whip's five are more than four.
        CHECK_THAT(mmOf(plan.head.needed), WithinRel((5.0 + 1.0 + (propped ? 2.0 : 0.0)) * 0.147441, 1e-5));
    }
}

TEST_CASE("a crowded head lists remedies in falling order of what they buy, each true to its formula") {
    Book book = bench();
    ThreadTraits fine;
    fine.denier = 30.0;
    book.materials.push_back(material("fine", MaterialKind::thread, fine));
    BodyPart far = conedBody();
    far.front = StationSpec{Landmark::eye, {}, inMm(1.2 * mm), {}};
    CollarPart collar;
    collar.turns = exactly(3);
    book.patterns = {
        dressing({part(PartKind::body, far, "seal"), part(PartKind::collar, collar, "hen"), part(PartKind::head, HeadPart{})})};
    const Plan plan = planPattern(book, "fly").value();
    REQUIRE(plan.head.margin() < 0.0 * mm);
    REQUIRE(plan.head.remedies.size() == 3);
    for (std::size_t i = 1; i < plan.head.remedies.size(); ++i)
        CHECK(plan.head.remedies[i - 1].buys >= plan.head.remedies[i].buys);
    for (const Remedy& remedy : plan.head.remedies) {
        if (remedy.kind == RemedyKind::turnLess) CHECK_THAT(mmOf(remedy.buys), WithinRel(1.15 * 0.30, 1e-9));
        if (remedy.kind == RemedyKind::finerThread)
            CHECK_THAT(mmOf(remedy.buys), WithinRel(6.0 * 0.147441 * (1.0 - std::sqrt(30.0 / 72.0)), 1e-5));
    }
    CHECK(std::ranges::any_of(shankBudget(plan), [](const BudgetSpan& s) { return s.kind == SpanKind::contested; }));
}

TEST_CASE("the shank budget covers the shank from eye to bend without a gap") {
    const Book book = demoBook();
    for (const Pattern& pattern : book.patterns) {
        const Plan plan = planPattern(book, pattern.id).value();
        const auto spans = shankBudget(plan);
        INFO(pattern.id);
        REQUIRE_FALSE(spans.empty());
        CHECK_THAT(mmOf(spans.front().from), WithinAbs(0.0, 1e-9));
        for (std::size_t i = 1; i < spans.size(); ++i)
            CHECK_THAT(mmOf(spans[i].from), WithinAbs(mmOf(spans[i - 1].to), 1e-9));
        CHECK_THAT(mmOf(std::max(plan.hook.shank(), plan.bodyEnd)), WithinAbs(mmOf(spans.back().to), 1e-9));
    }
}

TEST_CASE("lengths that refer to each other in a circle are a fault that names them") {
    TailPart tail;
    tail.length = {Ratio{1.0, PartRef{PartKind::wing}}, {}};
    WingPart wing;
    wing.length = {Ratio{1.0, PartRef{PartKind::tail}}, {}};
    const auto plan = planOf({part(PartKind::tail, tail), part(PartKind::body, conedBody(), "seal"), part(PartKind::wing, wing, "flank")});
    REQUIRE_FALSE(plan);
    const std::string what = plan.error().front().what;
    CHECK(what.find("circle") != std::string::npos);
    CHECK((what.find("tail") != std::string::npos && what.find("wing") != std::string::npos));
}

TEST_CASE("a body end ahead of its front, and a hackle that reaches nowhere, are faults with their place") {
    BodyPart upside = conedBody();
    upside.end = StationSpec{Landmark::eye, {}, inMm(1.0 * mm), {}};
    CHECK(firstPlace(planOf({part(PartKind::body, upside, "seal")})) == "patterns[0].parts[0].end");
    CollarPart forward;  // laid back to the eye, it would have to point forward
    forward.length = reachTo(Landmark::eye);
    Book book = bench();
    book.patterns = {dressing({part(PartKind::body, conedBody(), "seal"), part(PartKind::collar, forward, "hen")})};
    CHECK(firstPlace(planPattern(book, "fly", {FibreSchool::layBack})) == "patterns[0].parts[1].length");
}

TEST_CASE("bulk is followed in tying order: a thicker tail thickens the bed of what comes after it") {
    const auto bed = [](double fibres) {
        TailPart tail;
        tail.fibres = exactly(fibres);
        const Plan plan = planOf({part(PartKind::tail, tail, "tippet"), part(PartKind::body, conedBody(), "seal")}).value();
        return mmOf(plan.under(5.0 * mm));
    };
    // D' = sqrt(D² + n d²/0.75), then one layer of thread.
    CHECK_THAT(bed(20), WithinRel(std::sqrt(kBed * kBed + 20 * 0.06 * 0.06 / 0.75) + 2.0 * 0.049147, 1e-5));
    CHECK(bed(20) > bed(10));
}

TEST_CASE("every number of a plan is finite and says where it came from") {
    const Book book = demoBook();
    for (const Pattern& pattern : book.patterns) {
        const Plan plan = planPattern(book, pattern.id).value();
        for (std::size_t i = 0; i < plan.parts.size(); ++i) {
            INFO(pattern.id << " " << nameOf(plan.parts[i].kind));
            CHECK_FALSE(plan.parts[i].words.empty());
            for (const Figure& figure : figuresOf(plan, i))
                if (const auto* number = std::get_if<double>(&figure.value)) CHECK(std::isfinite(*number));
        }
    }
}

TEST_CASE("what a change moved is said with the change itself first") {
    Book book = bench();
    WingPart wing;
    wing.length = {Reach{PartRef{PartKind::tail}, 0.5, {}, {}}, {}};
    book.patterns = {dressing(
        {part(PartKind::tail, TailPart{}, "tippet"), part(PartKind::body, conedBody(), "seal"), part(PartKind::wing, wing, "flank")})};
    const Plan before = planPattern(book, "fly").value();
    std::get<TailPart>(book.patterns[0].parts[0].detail).length = inMm(10.2 * mm);
    const Plan after = planPattern(book, "fly").value();
    const std::string said = sayChange(before, after, 0);
    CHECK(said.starts_with("Tail 11.7 → 10.2 mm"));
    CHECK(said.find("wing") != std::string::npos);
    CHECK(sayChange(after, after, 0).empty());
}
