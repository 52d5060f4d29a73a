// The terms that one fly or a pair is judged on, worked by hand; and that the searches' short cuts say the same.
#include <catch2/catch.hpp>
#include <random>

#include "leader/questions.h"
#include "scene/partial.h"
#include "team/team.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

namespace {

std::size_t nth = 0;  // no two of these are one fly

FlyFigures fly(double sink, double presence, double mass, int size) {
    FlyFigures f;
    f.sink = sink * metrePerSecond;
    f.presence = presence * millinewton;
    f.mass = mass * mg;
    f.size = size;
    f.lengths[static_cast<std::size_t>(Likeness::collar)] = 1.2;
    f.identity = ++nth;
    f.seen = {30.0, 5.0, 5.0};
    return f;
}

const JudgedTerm& the(const JudgedPair& pair, TeamTerm term) {
    const auto found = std::ranges::find(pair.begin(), pair.end(), term, &JudgedTerm::term);
    REQUIRE(found != pair.end());
    return *found;
}
bool has(const JudgedPair& pair, TeamTerm term) {
    return std::ranges::find(pair.begin(), pair.end(), term, &JudgedTerm::term) != pair.end();
}

}  // namespace

// docs/models-team.md, the table of what is asked: at its rows, half-way between two, and flat beyond the last.
TEST_CASE("what each wave asks of a bob's hold and a point's sink and weight is the table's, between its rows too") {
    struct Row {
        double wave, hold, sink, sinkMost, weight;
    };
    for (const Row& row : {Row{0.0, 1.0, 9.0, 18.0, 0.20}, Row{0.025, 1.4, 9.5, 21.0, 0.225}, Row{0.05, 1.8, 10.0, 24.0, 0.25},
                           Row{0.095, 2.34, 10.5, 32.0, 0.265}, Row{0.14, 2.84, 11.0, 40.0, 0.28}, Row{0.22, 3.6, 12.0, 40.0, 0.365},
                           Row{0.30, 4.0, 13.0, 40.0, 0.45}, Row{0.60, 4.0, 13.0, 40.0, 0.45}}) {
        INFO("wave " << row.wave);
        const SchoolRules rules = rulesOf(School::stepped);
        const PlaceWants bob = wantsOf(rules, Position::bob, row.wave, {}), point = wantsOf(rules, Position::point, row.wave, {});
        CHECK_THAT(bob.hold.low, WithinAbs(row.hold, 1e-9));
        CHECK_THAT(point.sink.low, WithinAbs(row.sink, 1e-9));
        CHECK_THAT(point.sink.high, WithinAbs(row.sinkMost, 1e-9));
        CHECK_THAT(point.weight.low, WithinAbs(row.weight, 1e-9));
    }
}

TEST_CASE("a shortfall is counted in near-widths from the edge of what is wanted") {
    const Wanted wanted{1.0, 2.0, 0.5, 1.0};
    CHECK(wanted.shortfall(1.0) == 0.0);
    CHECK(wanted.shortfall(2.0) == 0.0);
    CHECK_THAT(wanted.shortfall(0.75), WithinAbs(0.5, 1e-12));
    CHECK_THAT(wanted.shortfall(3.5), WithinAbs(3.0, 1e-12));
    CHECK(verdictOf(0.0) == Verdict::pass);
    CHECK(verdictOf(1.0) == Verdict::near);
    CHECK(verdictOf(1.01) == Verdict::off);
}

TEST_CASE("neighbours are judged on sink, water, turnover, size and colour: bob and point only on sink, weight and family") {
    const SchoolRules rules = rulesOf(School::stepped);
    const FlyFigures bob = fly(0.08, 6.0, 90.0, 10), point = fly(0.16, 0.6, 81.0, 12);
    const JudgedPair pair = judgePair(bob, point, {true, true, true}, rules);
    CHECK_THAT(the(pair, TeamTerm::sinkStep).value, WithinRel(2.0, 1e-12));
    CHECK_THAT(the(pair, TeamTerm::presenceOrder).value, WithinRel(10.0, 1e-12));
    CHECK_THAT(the(pair, TeamTerm::turnover).value, WithinRel((81.0 / 0.6) / (90.0 / 6.0), 1e-12));
    CHECK_THAT(the(pair, TeamTerm::pointWeight).value, WithinRel(0.9, 1e-12));
    CHECK(the(pair, TeamTerm::sizeStep).value == 2.0);
    CHECK(the(pair, TeamTerm::family).value == 0.0);
    CHECK(the(pair, TeamTerm::variety).value == 0.0);  // one colour
    const JudgedPair far = judgePair(bob, point, {false, true, true}, rules);
    CHECK(far.count == 3);
    CHECK_THAT(the(far, TeamTerm::sinkAcross).value, WithinRel(2.0, 1e-12));
    CHECK(has(far, TeamTerm::pointWeight));
    CHECK(has(far, TeamTerm::family));
}

TEST_CASE("a floating fly above a sinking one passes its step without a number, below it is hopeless") {
    const SchoolRules rules = rulesOf(School::stepped);
    FlyFigures floating = fly(0.0, 3.0, 20.0, 12);
    floating.floats = true;
    const FlyFigures sinking = fly(0.1, 1.0, 50.0, 12);
    const JudgedTerm above = the(judgePair(floating, sinking, {true, true, false}, rules), TeamTerm::sinkStep);
    CHECK(above.shortfall == 0.0);
    CHECK_FALSE(above.valued);
    CHECK(the(judgePair(sinking, floating, {true, true, false}, rules), TeamTerm::sinkStep).shortfall > 10.0);
}

constexpr std::size_t kTail = static_cast<std::size_t>(Likeness::fibreTail), kWing = static_cast<std::size_t>(Likeness::leafWing);

TEST_CASE("flies that share no length have no family to be in, and the worst of what they share counts") {
    const SchoolRules rules = rulesOf(School::stepped);
    FlyFigures a = fly(0.1, 2.0, 50.0, 10), b = fly(0.2, 1.0, 60.0, 10);
    a.lengths = {};
    b.lengths[kTail] = 1.5;
    CHECK_FALSE(has(judgePair(a, b, {true, true, false}, rules), TeamTerm::family));
    a.lengths[kTail] = 1.2;
    a.lengths[kWing] = 2.0;
    b.lengths[kWing] = 2.1;
    CHECK_THAT(the(judgePair(a, b, {true, true, false}, rules), TeamTerm::family).value, WithinAbs(0.25, 1e-12));
    b.style = FlyStyle::palmer;  // of two styles nobody expects one measure
    CHECK_FALSE(has(judgePair(a, b, {true, true, false}, rules), TeamTerm::family));
}

TEST_CASE("what the searches ask is what the report says, over random pairs and places") {
    std::mt19937 random(17);
    const auto real = [&](double low, double high) { return std::uniform_real_distribution<double>(low, high)(random); };
    for (int round = 0; round < 500; ++round) {
        FlyFigures a = fly(real(0.05, 0.3), real(0.5, 7), real(30, 120), 8 + static_cast<int>(random() % 8)),
                   b = fly(real(0.05, 0.3), real(0.5, 7), real(30, 120), 8 + static_cast<int>(random() % 8));
        a.lengths[static_cast<std::size_t>(Likeness::collar)] = real(0.8, 1.6);
        b.lengths[kTail] = real(0.0, 1.0) > 0.5 ? 1.0 : 0.0;
        a.lengths[kTail] = real(0.8, 1.4);
        if (random() % 20 == 0) b.identity = a.identity;
        const double contrast = ciede2000(a.seen, b.seen);
        b.floats = random() % 10 == 0;
        for (const School school : {School::stepped, School::bigTop, School::oneSize, School::riverSwing}) {
            const SchoolRules rules = rulesOf(school);
            for (const PairPlace& place : {PairPlace{true, true, false}, {true, false, true}, {false, true, true}}) {
                const JudgedPair pair = judgeNumbers(a, b, place, rules);
                double lost = 0.0, shortfall = 0.0;
                for (const JudgedTerm& term : pair) {
                    lost += term.wanted->lost(term.shortfall);
                    shortfall += term.shortfall;
                }
                REQUIRE(numbersPass(a, b, place, rules) == (shortfall <= 0.0));
                REQUIRE_THAT(lossOfNumbers(a, b, place, rules), WithinAbs(lost, 1e-9));
            }
            const PairLosses losses = lossesOf(a, b, contrast, rules);
            const double variety = rules.variety.lost(rules.variety.shortfall(contrast));
            REQUIRE_THAT(losses.bobMiddle, WithinAbs(lossOfNumbers(a, b, {true, true, false}, rules) + variety, 1e-9));
            REQUIRE_THAT(losses.middlePoint, WithinAbs(lossOfNumbers(a, b, {true, false, true}, rules) + variety, 1e-9));
            REQUIRE_THAT(losses.bobPoint, WithinAbs(lossOfNumbers(a, b, {false, true, true}, rules), 1e-9));
        }
    }
}

TEST_CASE("each school has its belief, and a copy changes only what it says") {
    for (const auto& entry : Names<School>::entries)
        CHECK(rulesOf(entry.value).belief.ends_with("."));
    TeamSchool own;
    own.id = "own";
    own.like = School::riverSwing;
    own.spacingLeast = 0.5 * metre;
    own.fullness = 0.8;
    const SchoolRules rules = rulesOf(own), like = rulesOf(School::riverSwing);
    CHECK(rules.spacing.low == 0.5);
    CHECK(rules.spacing.high == like.spacing.high);
    CHECK(rules.fullnessScale == 0.8);
    CHECK(rules.sinkStep.low == like.sinkStep.low);
    CHECK(rules.belief == like.belief);
}

TEST_CASE("figures of a fly are its plan's, and its colour is a mean of what is seen") {
    const Plan plan = planPattern(demoBook(), "ferry-bell").value();
    const FlyFigures f = figuresOf(plan, sinkReport(plan));
    const double shank = mmOf(plan.hook.shank());
    CHECK_THAT(f.lengths[kTail], WithinRel(mmOf(std::get<TailPlan>(plan.parts[1].detail).length) / shank, 1e-12));
    CHECK_THAT(f.lengths[kWing], WithinRel(mmOf(std::get<WingPlan>(plan.parts[5].detail).length) / shank, 1e-12));
    CHECK_FALSE(f.bead);
    CHECK(figuresOf(planPattern(demoBook(), "brass-buoy").value(), {}).bead);
    const Rgb colour = meanColour(plan);
    for (const double channel : {colour.r, colour.g, colour.b})
        CHECK((channel >= 0.0 && channel <= 1.0));
}

TEST_CASE("a table of drag is the drag it was made from, between its entries too") {
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    const WetFly wet(plan);
    for (const bool drawn : {false, true}) {
        const DragCurve curve(wet, drawn);
        for (double u = 0.0011; u < 3.0; u *= 1.37) {
            const double exact = (drawn ? wet.dragAlong(u * metrePerSecond) : wet.dragFlat(u * metrePerSecond)) / newton / u;
            CHECK_THAT(curve.at(u).perSpeed, WithinRel(exact, 1e-3));
            const double h = 1e-4 * u;
            CHECK_THAT(curve.at(u).slope, WithinRel((curve.at(u + h).perSpeed - curve.at(u - h).perSpeed) / (2.0 * h), 2e-2));
        }
        CHECK(curve.at(0.0).slope == 0.0);
        CHECK(curve.at(0.0005).perSpeed == curve.at(0.001).perSpeed);
    }
}

TEST_CASE("how long to count and how fast to draw put the point where it was asked, and say where they can't") {
    const Book book = demoBook();
    const Rig rig = rigOf(weighTeam(book, "west-shore")->flies, measuresOf(book.findTeam("west-shore")->leader));
    const Answer count = countFor(rig, Position::point, 0.5 * metre);
    REQUIRE(count.found);
    Handling h;
    h.count = count.value * second;
    h.retrieveFor = Time{};
    CHECK_THAT(*runDrift(rig, h).samples.back().depth[Position::point] / metre, WithinAbs(0.5, 0.03));
    CHECK_FALSE(countFor(rig, Position::point, 9.0 * metre).found);
    h.count = 5.0 * second;
    h.retrieveFor = 6.0 * second;
    const Answer draw = retrieveFor(rig, h, Position::point, 0.4 * metre);
    REQUIRE(draw.found);
    h.retrieve = draw.value * metrePerSecond;
    CHECK_THAT(*runDrift(rig, h).samples.back().depth[Position::point] / metre, WithinAbs(0.4, 0.03));
    CHECK_FALSE(retrieveFor(rig, h, Position::point, 5.0 * metre).found);
    CHECK_FALSE(spacingFor(rig, h).found);  // without a lift
    CHECK(spacingFor(rig, h).words.find("a lift is needed") != std::string::npos);
    std::stop_source source;
    source.request_stop();
    CHECK(countFor(rig, Position::point, 0.5 * metre, source.get_token()).stopped);
}

TEST_CASE("part-way through tying only what is done is on the hook") {
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    const Scene whole = makeScene(plan);
    TiedSoFar so;
    so.parts.assign(plan.parts.size(), 0);
    const Scene bare = tiedSoFar(whole, plan, so);
    CHECK(bare.hackles.empty());
    CHECK(bare.tails.empty());
    CHECK(bare.ribs.empty());
    REQUIRE(bare.bodies.size() == 1);  // the thread bed
    CHECK(bare.bodies[0].surface == Surface::thread);
    CHECK(bare.right < whole.right);
    so.parts[0] = 1;
    CHECK(tiedSoFar(whole, plan, so).tails == whole.tails);
    so.parts[2] = 1;
    CHECK(tiedSoFar(whole, plan, so).bodies == whole.bodies);
    std::ranges::fill(so.parts, 1);
    so.head = true;
    const Scene done = tiedSoFar(whole, plan, so);
    CHECK(done.hackles == whole.hackles);
    CHECK(done.head == whole.head);
    so.bed = false;
    so.parts.assign(plan.parts.size(), 0);
    CHECK(tiedSoFar(whole, plan, so).bodies.empty());
}

TEST_CASE("to stay in touch the draw is faster than the boat, faster the longer the leader has sunk, and just straight enough") {
    const Book book = demoBook();
    const Rig rig = rigOf(weighTeam(book, "west-shore")->flies, measuresOf(book.findTeam("west-shore")->leader));
    Handling h;
    h.count = 5.0 * second;
    h.retrieveFor = 8.0 * second;
    double before = 0.0;
    for (const double drift : {0.0, 0.1, 0.25}) {
        h.drift = drift * metrePerSecond;
        const Answer answer = touchFor(rig, h);
        CAPTURE(drift, answer.words);
        REQUIRE(answer.found);
        CHECK(answer.value > drift);
        CHECK(answer.value >= before);
        before = answer.value;
        CHECK(answer.words.find("rule of thumb") != std::string::npos);
    }
    h.drift = Speed{};
    h.retrieveFor = Time{};
    CHECK_FALSE(touchFor(rig, h).found);
    h.retrieveFor = 0.3 * second;  // too short for anything to be drawn straight
    h.count = 20.0 * second;
    CHECK(touchFor(rig, h).words.find("no speed") != std::string::npos);
    CHECK_FALSE(touchFor(Rig{}, h).found);
    std::stop_source source;
    source.request_stop();
    h.retrieveFor = 8.0 * second;
    CHECK(touchFor(rig, h, source.get_token()).stopped);
}
