#include "team/team.h"

#include <catch2/catch.hpp>
#include <set>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinRel;

TEST_CASE("the well-stepped demo team passes and the upside-down one does not") {
    const Book book = demoBook();
    CHECK(weighTeam(book, "west-shore")->verdict == Verdict::pass);
    const TeamReport upside = weighTeam(book, "first-evening").value();
    CHECK(upside.verdict == Verdict::off);
    CHECK(std::ranges::any_of(upside.checks, [](const TeamCheck& c) { return c.verdict != Verdict::pass && !c.mend.empty(); }));
}

TEST_CASE("a step is the lower fly's sink rate over the upper's, and the verdict the worst of the checks") {
    const TeamReport report = weighTeam(demoBook(), "west-shore").value();
    const auto step = std::ranges::find(report.checks, TeamTerm::sinkStep, &TeamCheck::term);
    REQUIRE(step != report.checks.end());
    CHECK_THAT(*step->value, WithinRel(report.flies[1].sink.sinkRate / report.flies[0].sink.sinkRate, 1e-12));
}

TEST_CASE("a team of one is judged by itself, an empty or unknown one is a fault") {
    Book book = demoBook();
    book.teams[0].at(Position::middle).reset();
    book.teams[0].at(Position::point).reset();
    const TeamReport one = weighTeam(book, "west-shore").value();
    CHECK(one.verdict == Verdict::pass);
    CHECK(std::ranges::all_of(one.checks, [](const TeamCheck& c) { return c.upper == Position::bob && c.lower == Position::bob; }));
    CHECK_FALSE(weighTeam(book, "no-such"));
    book.teams[0].at(Position::bob).reset();
    CHECK(check(book).front().place.text() == "teams[0]");
}

TEST_CASE("a floating fly above a sinking one steps well, a floating point does not") {
    Book book = demoBook();
    const auto step = [](const TeamReport& report) { return *std::ranges::find(report.checks, TeamTerm::sinkStep, &TeamCheck::term); };
    book.findPattern("kelp-lantern")->buoyancyMillinewton = 50.0;
    CHECK(step(weighTeam(book, "west-shore").value()).verdict == Verdict::pass);
    book.findPattern("kelp-lantern")->buoyancyMillinewton.reset();
    book.findPattern("rush-piper")->buoyancyMillinewton = 50.0;
    CHECK(weighTeam(book, "west-shore")->verdict == Verdict::off);
}

TEST_CASE("without a day a team has its best verdict, with the waves that suit it: with one, that day's") {
    const Book book = demoBook();
    const TeamReport any = weighTeam(book, "west-shore").value();
    REQUIRE(any.suits.size() == 5);
    CHECK_FALSE(any.waveGiven);
    CHECK(any.verdict == std::ranges::min_element(any.suits, {}, &TeamReport::InWave::verdict)->verdict);
    for (const TeamReport::InWave& one : any.suits) {
        TeamSetting setting;
        setting.day.wave = one.wave * metre;
        const TeamReport then = weighTeam(book, "west-shore", setting).value();
        CHECK(then.verdict == one.verdict);
        CHECK(then.suits.empty());
        CHECK(then.wave == Approx(one.wave));
    }
}

TEST_CASE("a team that is off between its flies suits no wave") {
    Book book = demoBook();
    book.findPattern("rush-piper")->buoyancyMillinewton = 50.0;  // a point that floats
    const TeamReport any = weighTeam(book, "west-shore").value();
    REQUIRE_FALSE(any.suits.empty());
    for (const TeamReport::InWave& one : any.suits)
        CHECK(one.verdict == Verdict::off);
}

TEST_CASE("a fly is a dressing on a hook: a team, its weights and its card follow the hook that is said") {
    Book book = demoBook();
    HookSpec small = *book.findHook(book.findPattern("rush-piper")->hook);
    small.id = "small";
    small.size += 4;
    small.measured.reset();
    small.barb = false;
    book.hooks.push_back(small);
    const Mass before = weighTeam(book, "west-shore")->flies[2].figures.mass;
    book.teams[0].at(Position::point) = Fly("rush-piper", "small");
    REQUIRE(check(book).empty());
    const TeamReport report = weighTeam(book, "west-shore").value();
    CHECK(report.flies[2].figures.size == small.size);
    CHECK_FALSE(report.flies[2].figures.barb);
    CHECK(report.flies[2].figures.mass < before);
    book.teams[0].at(Position::point)->hook = "gone";
    CHECK(check(book).front().place.text() == "teams[0].point.hook");
    CHECK(weighTeam(book, "west-shore").error().front().place.text() == "teams[0].point.hook");
}

TEST_CASE("bright light and clear water want sparser flies, dusk and peat fuller, and never a point") {
    const SchoolRules rules = rulesOf(School::stepped);
    TeamDay bright, dusk;
    bright.light = Light::bright;
    bright.colour = WaterColour::clear;
    dusk.light = Light::dusk;
    dusk.colour = WaterColour::peat;
    const auto high = [&](Position p, const TeamDay& day) { return wantsOf(rules, p, 0.14, day).fullness.high; };
    CHECK(high(Position::bob, {}) == Approx(4.0));
    CHECK(high(Position::bob, bright) == Approx(4.0 * 0.81));
    CHECK(high(Position::bob, dusk) == Approx(4.0 * 1.21));
    CHECK(high(Position::point, dusk) == Approx(1.4));
    CHECK(high(Position::point, bright) == Approx(1.4 * 0.81));
    CHECK(high(Position::upper, {}) == Approx(0.5 * (4.0 + 2.8)));
    CHECK(wantsOf(rulesOf(School::riverSwing), Position::bob, 0.14, {}).fullness.high == Approx(2.4));
}

TEST_CASE("dress it so: the half turns that bring a fly just inside, and what they leave outside") {
    const Book book = demoBook();
    const SchoolRules rules = rulesOf(School::stepped);
    const Plan plan = planPattern(book, "heather-tinker").value();
    const double full = fullnessOf(plan).full;
    const PlaceWants wants = wantsOf(rules, Position::bob, 0.10, {});
    const auto so = dressItSo(plan, wants);
    REQUIRE(so);
    CHECK(full < wants.fullness.low);
    CHECK(so->turns > 0.0);
    CHECK(2.0 * so->turns == std::round(2.0 * so->turns));
    CHECK_FALSE(dressItSo(plan, wantsOf(rules, Position::middle, 0.10, {})));
}

TEST_CASE("five flies are weighed each against every other, and the spacings are those along the leader") {
    Book book = demoBook();
    TeamSpec& team = book.teams[0];
    team.at(Position::upper) = "shingle-wren";
    team.at(Position::lower) = "dune-bell";
    team.leader = LeaderSpec{};
    team.leader->bobToMiddle = 2.0 * metre;
    team.leader->middleToPoint = 2.4 * metre;
    team.leader->bobToUpper = 0.9 * metre;
    REQUIRE(check(book).empty());
    const TeamReport report = weighTeam(book, "west-shore").value();
    std::vector<double> spacings;
    std::set<std::pair<Position, Position>> families;
    for (const TeamCheck& c : report.checks) {
        if (c.term == TeamTerm::spacing) spacings.push_back(*c.value);
        if (c.term == TeamTerm::family) families.emplace(c.upper, c.lower);
    }
    REQUIRE(spacings.size() == 4);
    CHECK(spacings[0] == Approx(0.9));  // bob to upper, as written
    CHECK(spacings[1] == Approx(1.1));  // what is left to the middle
    CHECK(spacings[2] == Approx(1.2));  // half of the way where nothing is said
    CHECK(spacings[3] == Approx(1.2));
    for (const auto& [upper, lower] : families)
        CHECK(upper < lower);
    // A water that allows three refuses five, and says so.
    RuleCard card;
    card.id = "three";
    card.mostFlies = 3;
    TeamSetting setting;
    setting.card = &card;
    CHECK(weighTeam(book, "west-shore", setting)->verdict == Verdict::off);
    card.mostFlies = 5;
    CHECK(std::ranges::none_of(weighTeam(book, "west-shore", setting)->checks,
                               [](const TeamCheck& c) { return c.term == TeamTerm::rules && c.verdict != Verdict::pass; }));
    // A fly between two others can't hang beyond them.
    team.leader->bobToUpper = 2.0 * metre;
    CHECK(check(book).front().place.text() == "teams[0].leader.bob_to_upper_m");
}
