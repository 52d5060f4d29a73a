// The limits of models.md section 10.
#include <catch2/catch.hpp>
#include <cmath>
#include <random>

#include "leader/drift.h"
#include "leader/questions.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

namespace {

Rig demoRig(const char* team = "west-shore") {
    const Book book = demoBook();
    return rigOf(weighTeam(book, team)->flies, measuresOf(book.findTeam(team)->leader));
}
enum class StrandDrag { none, its };
// One fly on the end of a strand.
Rig pointAlone(Length overall, Length diameter, StrandDrag drag) {
    const Book book = demoBook();
    std::vector<TeamFly> fly = {teamFly(Position::point, planPattern(book, "rush-piper").value(), {})};
    LeaderMeasures m;
    m.diameter = diameter;
    m.tipToBob = m.bobToMiddle = m.middleToPoint = overall / 3.0;
    Rig rig = rigOf(fly, m);
    if (drag == StrandDrag::none) rig.strandDrag = 0.0;
    return rig;
}
Handling counted(double seconds) {
    Handling h;
    h.count = seconds * second;
    h.retrieveFor = Time{};
    return h;
}
Handling drawn(double count, double speed, double seconds) {
    Handling h = counted(count);
    h.retrieve = speed * metrePerSecond;
    h.retrieveFor = seconds * second;
    return h;
}
double depthOf(const DriftSample& sample, Position p) { return *sample.depth[p] / metre; }

}  // namespace

TEST_CASE("each fly alone on the usual leader, in each of its places, converges at every step") {
    const Book book = demoBook();
    Handling h = drawn(1.0, 0.3, 0.5);
    h.lift = 0.4 * metrePerSecond;
    h.height = 0.5 * metre;
    for (const Pattern& pattern : book.patterns)
        for (const Position place : kTrio)
            for (const LeaderStart start : {LeaderStart::straight, LeaderStart::heap}) {
                CAPTURE(pattern.id, nameOf(place), start == LeaderStart::heap);
                const Rig rig = rigOf({teamFly(place, planPattern(book, pattern.id).value(), {})}, measuresOf({}));
                DriftOptions options;
                options.start = start;
                const DriftReport run = runDrift(rig, h, options);
                CHECK(run.count.failed == 0);
                CHECK(run.count.steps < 2000);
            }
}

TEST_CASE("whatever is hung, led and let go, in a wave or none, every step converges") {
    constexpr unsigned kSeed = 53;
    std::mt19937 random(kSeed);
    const auto real = [&](double low, double high) { return std::uniform_real_distribution<double>(low, high)(random); };
    const auto coin = [&] { return random() % 2 == 0; };
    const Book book = demoBook();
    std::vector<Plan> plans;
    for (const Pattern& pattern : book.patterns)
        plans.push_back(planPattern(book, pattern.id).value());
    int runs = 0;
    for (int round = 0; round < 60; ++round) {
        CAPTURE(kSeed, round);
        std::vector<TeamFly> flies;
        for (const Position place : kPositions)
            if (coin()) flies.push_back(teamFly(place, plans[random() % plans.size()], {}));
        LeaderMeasures leader;
        leader.diameter = real(0.12, 0.30) * mm;
        leader.tipToBob = real(0.3, 3.0) * metre;
        leader.middleToPoint = real(0.3, 2.0) * metre;
        Handling h = drawn(real(0.0, 2.0), real(0.0, 1.2), real(0.1, 1.0));
        if (coin()) {
            h.lift = real(0.1, 1.0) * metrePerSecond;
            h.height = real(0.2, 2.0) * metre;
            h.hold = real(0.0, 1.0) * second;
        }
        h.hang = real(0.0, 1.0) * second;
        if (flies.empty() || !check(h).empty()) continue;
        DriftOptions options;
        if (coin()) options.start = LeaderStart::heap;
        if (coin()) {
            options.surface.amplitude = real(0.01, 0.2);
            options.surface.wavenumber = real(1.0, 5.0);
            options.surface.frequency = real(2.0, 7.0);
            options.surface.phase = real(0.0, 6.0);
        }
        CHECK(runDrift(rigOf(flies, leader), h, options).count.failed == 0);
        ++runs;
    }
    CHECK(runs > 40);
}

TEST_CASE("at rest on the water a leader has the energy of what its film holds up, and of nothing else") {
    const Chain chain(demoRig(), 0.05 * metre, LeaderStart::straight);
    constexpr double kFilm = 5e-3;  // m: buoyancy sets in from so far over the surface to so far under it
    double held = 0.0;
    for (std::size_t i = 1; i < chain.nodes().size(); ++i)
        held += 0.25 * kFilm * chain.nodes()[i].buoyancy;
    CHECK_THAT(chain.energy(), WithinRel(held, 1e-12));
}

TEST_CASE("in a wave the leader is laid on the water, stretched nowhere") {
    const WaveSurface wave{0.15, 4.0, 6.0, 1.0};
    for (const LeaderStart start : {LeaderStart::straight, LeaderStart::heap}) {
        const Chain chain(demoRig(), 0.05 * metre, start, wave);
        for (std::size_t i = 0; i < chain.nodes().size(); ++i) {
            const Chain::Node& node = chain.nodes()[i];
            CHECK_THAT(node.place.z, WithinAbs(wave.height(node.place.x, 0.0), 1e-3));
            if (node.parent < 0) continue;
            const double apart = (node.place - chain.nodes()[static_cast<std::size_t>(node.parent)].place).length();
            CHECK(apart <= chain.strandLength(i) + 1e-12);
        }
    }
}

TEST_CASE("a fly on a slack dragless strand sinks as it does alone, within 0.1 %") {
    const Rig rig = pointAlone(6.0 * metre, 0.002 * mm, StrandDrag::none);
    const SinkReport alone = sinkReport(planPattern(demoBook(), "rush-piper").value());
    DriftOptions heap;
    heap.start = LeaderStart::heap;
    const DriftReport run = runDrift(rig, counted(4.0), heap);
    const auto& a = run.samples[run.samples.size() - 21];
    const auto& b = run.samples.back();
    const double rate = (depthOf(b, Position::point) - depthOf(a, Position::point)) / ((b.time - a.time) / second);
    CHECK_THAT(rate, WithinRel(alone.sinkRate / metrePerSecond, 1e-3));
    CHECK(run.count.failed == 0);
}

TEST_CASE("a tow on 0.3 m of massless strand stands at atan(W/F) within 0.05 degrees") {
    const Rig rig = pointAlone(0.3 * metre, 0.002 * mm, StrandDrag::none);
    const double u = 0.3;
    const DriftReport run = runDrift(rig, drawn(0.0, u, 30.0));
    // By hand: the attitude follows its own pull.
    const double w = rig.flies[0].submerged / newton;
    double a = 0.0, f = 0.0;
    for (int i = 0; i < 200; ++i) {
        f = u * ((1.0 - a) * rig.flies[0].flat.at(u).perSpeed + a * rig.flies[0].along.at(u).perSpeed);
        a = std::hypot(f, w) / (std::hypot(f, w) + w);
    }
    const auto& nodes = run.samples.back().nodes;
    const Length dx = nodes.back().x - nodes.front().x, dy = nodes.front().y - nodes.back().y;
    CHECK_THAT(std::atan2(dy / metre, dx / metre) * 180.0 / M_PI, WithinAbs(std::atan2(w, f) * 180.0 / M_PI, 0.05));
}

TEST_CASE("towed for four minutes the leader hangs as the settled tow says, within 1 %") {
    for (const char* team : {"west-shore", "first-evening"}) {
        const Rig rig = demoRig(team);
        DriftOptions quick;
        quick.link = kDraggingLink;
        quick.step = kDraggingStep;
        const DriftReport run = runDrift(rig, drawn(0.0, 0.3, 240.0), quick);
        const Tow tow = settledTow(rig, 0.3 * metrePerSecond);
        REQUIRE(tow.flies.size() == 3);
        for (const TowedFly& fly : tow.flies) {
            CAPTURE(team, nameOf(fly.position));
            CHECK_THAT(depthOf(run.samples.back(), fly.position), WithinRel(fly.depth / metre, 0.01));
        }
    }
}

TEST_CASE("four and five flies come to hang where the settled tow has them, each below the one before") {
    Book book = demoBook();
    TeamSpec& team = book.teams[0];
    team.at(Position::upper) = "shingle-wren";
    for (const int flies : {4, 5}) {
        if (flies == 5) team.at(Position::lower) = "dune-bell";
        const Rig rig = rigOf(weighTeam(book, "west-shore")->flies, measuresOf(team.leader));
        const Tow tow = settledTow(rig, 0.3 * metrePerSecond);
        REQUIRE(tow.flies.size() == static_cast<std::size_t>(flies));
        DriftOptions quick;
        quick.link = kDraggingLink;
        quick.step = kDraggingStep;
        const DriftReport run = runDrift(rig, drawn(0.0, 0.3, 240.0), quick);
        for (std::size_t i = 0; i < tow.flies.size(); ++i) {
            CAPTURE(flies, nameOf(tow.flies[i].position));
            CHECK_THAT(depthOf(run.samples.back(), tow.flies[i].position), WithinRel(tow.flies[i].depth / metre, 0.01));
            if (i > 0) CHECK(tow.flies[i].behind > tow.flies[i - 1].behind);
        }
    }
}

TEST_CASE("half the time step moves no fly by 1 % in count and retrieve") {
    const Rig rig = demoRig();
    for (const double speed : {0.15, 0.3, 0.6}) {
        DriftOptions coarse;
        coarse.step = kDraggingStep;
        const DriftReport fine = runDrift(rig, drawn(5.0, speed, 10.0)), rough = runDrift(rig, drawn(5.0, speed, 10.0), coarse);
        REQUIRE(fine.samples.size() == rough.samples.size());
        for (std::size_t i = 0; i < fine.samples.size(); ++i)
            for (const Position p : kTrio) {
                const double depth = depthOf(fine.samples[i], p);
                REQUIRE(std::abs(depthOf(rough.samples[i], p) - depth) <= 0.01 * std::max(depth, 0.05));
            }
    }
}

TEST_CASE("with the tip still, energy never rises") {
    Chain chain(demoRig(), kContractLink, LeaderStart::straight);
    Chain::Count count;
    double before = chain.energy();
    for (int i = 1; i <= 2000; ++i) {
        chain.advanceSurely(0.005, {}, {}, i * 0.005, count);
        const double now = chain.energy();
        REQUIRE(now <= before + 1e-12);
        before = now;
    }
    CHECK(count.failed == 0);
}

TEST_CASE("left long enough everything hangs straight down, and not sooner") {
    const Rig rig = pointAlone(3.0 * metre, 0.20 * mm, StrandDrag::its);
    DriftOptions quick;
    quick.link = kDraggingLink;
    quick.step = kDraggingStep;
    quick.keepNodes = false;
    const DriftReport run = runDrift(rig, counted(400.0), quick);
    CHECK_THAT(depthOf(run.samples.back(), Position::point), WithinAbs(3.0, 0.03));
    CHECK(depthOf(run.samples[20 * 20], Position::point) < 2.9);  // after 20 s
}

TEST_CASE("a fly on a dropper of next to nothing fishes as one tied into the strand") {
    const Book book = demoBook();
    const Plan plan = planPattern(book, "rush-piper").value();
    LeaderMeasures single;
    single.tipToBob = single.bobToMiddle = single.middleToPoint = 0.5 * metre;
    LeaderMeasures knotted;
    knotted.tipToBob = knotted.bobToMiddle = 0.75 * metre;
    knotted.middleToPoint = 1.0 * mm;
    knotted.dropper = 1.0 * mm;
    const DriftReport one = runDrift(rigOf({teamFly(Position::point, plan, {})}, single), drawn(4.0, 0.3, 6.0));
    const DriftReport two = runDrift(rigOf({teamFly(Position::middle, plan, {})}, knotted), drawn(4.0, 0.3, 6.0));
    for (std::size_t i = 0; i < one.samples.size(); ++i)
        REQUIRE_THAT(depthOf(one.samples[i], Position::point), WithinAbs(depthOf(two.samples[i], Position::middle), 3e-3));
}

TEST_CASE("the rod tip's path is the integral of a speed that changes in ramps of 0.2 s") {
    Handling h = drawn(2.0, 0.5, 4.0);
    h.drift = 0.2 * metrePerSecond;
    h.lift = 1.0 * metrePerSecond;
    h.height = 2.0 * metre;
    h.hang = 5.0 * second;
    const TipPath path(h);
    CHECK(path.at(2.0).x == 0.0);
    CHECK_THAT(path.at(2.1).x, WithinAbs(-0.3 * 0.1 / 4.0, 1e-12));    // half way up the ramp: ½·(0.15)·0.1
    CHECK_THAT(path.at(6.0).x, WithinAbs(-0.3 * (4.0 - 0.1), 1e-12));  // half of the ramp is lost
    CHECK_THAT(*path.liftStart() / second, WithinAbs(6.0, 1e-12));
    const double lift = 2.0 / std::sin(M_PI / 3.0) + 0.1;
    CHECK_THAT(path.at(6.0 + lift).z, WithinAbs(2.0, 1e-9));
    double z = 0.0;
    for (int i = 0; i < 20000; ++i)
        z = path.at(path.length() / second * i / 20000.0).z;
    CHECK(z >= 2.0);
}

TEST_CASE("pulls and pauses that take no time end the retrieve") {
    Handling h = drawn(2.0, 0.5, 4.0);
    h.pull = Time{};
    h.pause = Time{};
    CHECK_THAT(TipPath(h).length() / second, WithinAbs(2.0, 1e-12));
}

TEST_CASE("in the lift the bob breaks the surface, holds and clears it: slower than the drift nothing is in touch") {
    Handling h = drawn(5.0, 0.3, 8.0);
    h.lift = 0.5 * metrePerSecond;
    h.height = 2.0 * metre;
    h.hang = 4.0 * second;
    const DriftReport run = runDrift(demoRig(), h);
    REQUIRE(run.bobBreaks);
    CHECK(*run.bobBreaks > 0.0 * second);
    CHECK(*run.bobClear + *run.bobHolds > 1.0 * second);
    for (const Position p : kTrio) {
        Time whole;
        for (const Time band : run.bands[p])
            whole += band;
        CHECK_THAT(whole / second, WithinAbs(run.samples.back().time / second, 0.05));
    }
    CHECK_FALSE(runDrift(demoRig(), drawn(1.0, 0.3, 1.0)).bobBreaks);
    Handling slack = drawn(1.0, 0.1, 3.0);
    slack.drift = 0.2 * metrePerSecond;
    CHECK(runDrift(demoRig(), slack).warnings.front().find("not in touch below 0.20 m/s") != std::string::npos);
}

TEST_CASE("handling that can't be fished is refused with the number at fault") {
    Handling h = drawn(5.0, 0.3, 700.0);
    CHECK(check(h).front().what.find("at most 600 s") != std::string::npos);
    h = drawn(5.0, 0.3, 2.0);
    h.lift = 0.5 * metrePerSecond;
    CHECK(check(h).front().place.text() == "height");
    h = drawn(-1.0, 0.3, 2.0);
    CHECK(check(h).front().place.text() == "count");
    h = drawn(1.0, 0.3, 2.0);
    h.pull = 0.5 * second;
    CHECK(check(h).front().place.text() == "pause");
    CHECK_FALSE(check(counted(0.0)).empty());
}

TEST_CASE("a run can be stopped, and says so") {
    std::stop_source source;
    source.request_stop();
    DriftOptions options;
    options.stop = source.get_token();
    const DriftReport run = runDrift(demoRig(), drawn(5.0, 0.3, 30.0), options);
    CHECK(run.stopped);
    CHECK(run.samples.size() < 5);
}

TEST_CASE("a rig without some of its flies is a leader all the same") {
    const Book book = demoBook();
    LeaderMeasures m;
    const DriftReport bare = runDrift(rigOf({}, m), drawn(2.0, 0.3, 2.0));
    CHECK(bare.count.failed == 0);
    const DriftReport two = runDrift(rigOf({teamFly(Position::bob, planPattern(book, "kelp-lantern").value(), {}),
                                            teamFly(Position::point, planPattern(book, "rush-piper").value(), {})},
                                           m),
                                     drawn(2.0, 0.3, 2.0));
    CHECK_FALSE(two.samples.back().depth[Position::middle]);
    CHECK(two.samples.back().depth[Position::point]);
}

TEST_CASE("a wave moves the flies and the mean stays near the still water's") {
    const Rig rig = demoRig();
    DriftOptions wave;
    wave.surface = {0.07, 3.2, 5.6, 0.0};
    const DriftReport run = runDrift(rig, drawn(5.0, 0.3, 5.0), wave);
    for (const DriftSample& s : run.samples)
        for (const Position p : kTrio)
            REQUIRE(std::isfinite(depthOf(s, p)));
    CHECK(run.count.failed == 0);
}

TEST_CASE("three phases of no wave are one, and in a wave they spread about their mean, more the higher it is") {
    const Rig rig = demoRig();
    const Handling h = drawn(2.0, 0.3, 3.0);
    DriftOptions quick;
    quick.link = kDraggingLink;
    quick.step = kDraggingStep;
    double before = 0.0;
    for (const double amplitude : {0.0, 0.03, 0.10}) {
        quick.surface = {amplitude, 3.2, 5.6, 0.0};
        const DriftReport run = runDrift(rig, h, quick);
        const WaveSpread spread = otherPhases(rig, h, quick, run);
        REQUIRE(spread.others.size() == 2);
        double most = 0.0;
        for (const Position p : kTrio) {
            REQUIRE(spread.depth[p]);
            most = std::max(most, spread.depth[p]->spread / metre);
            const std::array ends = {*run.samples.back().depth[p], *spread.others[0].samples.back().depth[p],
                                     *spread.others[1].samples.back().depth[p]};  // the draw's end is the drift's
            CHECK_THAT(mmOf(spread.depth[p]->mean), WithinAbs(mmOf(ends[0] + ends[1] + ends[2]) / 3.0, 1e-6));
            CHECK_THAT(mmOf(spread.depth[p]->spread), WithinAbs(0.5 * mmOf(std::ranges::max(ends) - std::ranges::min(ends)), 1e-6));
        }
        CHECK_FALSE(spread.depth[Position::upper]);
        if (amplitude == 0.0)
            CHECK(most == 0.0);
        else
            CHECK(most > before);
        CHECK(most <= 2.0 * amplitude + 1e-12);  // no fly is thrown further than the water moves
        before = most;
    }
    std::stop_source source;
    source.request_stop();
    quick.stop = source.get_token();
    CHECK(otherPhases(rig, h, quick, runDrift(rig, h, quick)).stopped);
}

namespace {

Rig threeOnNylon() {
    const Book book = demoBook();
    LeaderSpec leader;
    leader.material = Strand::nylon;
    leader.diameter = 0.20 * mm;
    leader.tipToBob = 1.5 * metre;
    leader.bobToMiddle = 1.2 * metre;
    leader.middleToPoint = 1.2 * metre;
    leader.dropper = 0.12 * metre;
    return rigOf(weighTeam(book, "west-shore")->flies, measuresOf(leader));
}
Handling liftAndHold(double drift) {
    Handling h;
    h.count = 5.0 * second;
    h.retrieve = 0.3 * metrePerSecond;
    h.retrieveFor = 8.0 * second;
    h.lift = 0.30 * metrePerSecond;
    h.height = 3.0 * metre;
    h.hold = 10.0 * second;
    h.drift = drift * metrePerSecond;
    return h;
}
double tipAt(const DriftReport& run, double seconds) {
    const auto at = std::ranges::lower_bound(run.samples, seconds * second, {}, &DriftSample::time);
    return -(at == run.samples.end() ? run.samples.back() : *at).tip / metre;
}

}  // namespace

TEST_CASE("the rod that goes on rising holds the bob in the surface, as high and as slow as the contract's sample") {
    DriftOptions options;
    options.keepNodes = false;
    struct Sample {
        double drift, breaks, tip, two, five, eight, holds;
    };
    for (const Sample& wanted : {Sample{0.05, 3.1, 0.80, 1.09, 1.36, 1.47, 8.4},
                                 {0.10, 3.7, 0.95, 1.25, 1.49, 1.58, 8.5},
                                 {0.21, 5.2, 1.33, 1.55, 1.62, 1.52, 8.7}}) {
        const DriftReport run = runDrift(threeOnNylon(), liftAndHold(wanted.drift), options);
        INFO("drift " << wanted.drift);
        REQUIRE(run.bobBreaks);
        const double breaks = *run.bobBreaks / second, lifted = 13.0 + breaks;
        CHECK(breaks == Approx(wanted.breaks).epsilon(0.05));
        CHECK(*run.tipAtBreak / metre == Approx(wanted.tip).epsilon(0.15));
        CHECK(tipAt(run, lifted + 2.0) == Approx(wanted.two).epsilon(0.15));
        CHECK(tipAt(run, lifted + 5.0) == Approx(wanted.five).epsilon(0.15));
        CHECK(tipAt(run, lifted + 8.0) == Approx(wanted.eight).epsilon(0.15));
        CHECK(*run.bobHolds / second == Approx(wanted.holds).epsilon(0.15));
    }
}

TEST_CASE("without a lift the bob is on purpose in the surface from the hold on, without either never") {
    Handling h = liftAndHold(0.10);
    h.lift = Speed{};
    DriftOptions options;
    options.keepNodes = false;
    CHECK(runDrift(threeOnNylon(), h, options).bobHolds.has_value());
    h.hold = Time{};
    CHECK_FALSE(runDrift(threeOnNylon(), h, options).bobHolds.has_value());
}

TEST_CASE("a reach that is too short holds the bob for no time, and says what helps") {
    Handling low = liftAndHold(0.21);
    low.height = 1.2 * metre;
    DriftOptions options;
    options.keepNodes = false;
    const DriftReport run = runDrift(threeOnNylon(), low, options);
    CHECK_FALSE(run.bobBreaks);
    CHECK(*run.bobHolds == Time{});
    const HeldBob never = holdingFor(threeOnNylon(), low);
    CHECK_FALSE(never.answer.found);
    CHECK(never.answer.words.find("drogue") != std::string::npos);
    const HeldBob held = holdingFor(threeOnNylon(), liftAndHold(0.10));
    CHECK(held.answer.found);
    CHECK(*held.atEnd > *held.atBreak);
    CHECK(held.answer.words.starts_with("the bob is up when the line's end is "));
}

TEST_CASE("a drift is checked for its hold, and a fly on the bottom says so") {
    Handling h = liftAndHold(0.1);
    h.height = Length{};
    h.lift = Speed{};
    CHECK_FALSE(check(h).empty());
    Handling count;
    count.count = 40.0 * second;
    count.retrieveFor = Time{};
    DriftOptions options;
    options.keepNodes = false;
    options.bottom = 1.0 * metre;
    const DriftReport run = runDrift(threeOnNylon(), count, options);
    CHECK(std::ranges::any_of(run.warnings, [](const std::string& w) { return w.starts_with("the point is on the bottom from "); }));
}
