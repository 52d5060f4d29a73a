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
    REQUIRE(report.checks[0].term == TeamTerm::sinkStep);
    CHECK_THAT(*report.checks[0].value, WithinRel(report.flies[1].sink.sinkRate / report.flies[0].sink.sinkRate, 1e-12));
}

TEST_CASE("a team of one has nothing to compare and passes, an empty or unknown one is a fault") {
    Book book = demoBook();
    book.teams[0].at(Position::middle).reset();
    book.teams[0].at(Position::point).reset();
    CHECK(weighTeam(book, "west-shore")->checks.empty());
    CHECK_FALSE(weighTeam(book, "no-such"));
    book.teams[0].at(Position::bob).reset();
    CHECK(check(book).front().place.text() == "teams[0]");
}

TEST_CASE("a floating fly above a sinking one steps well, a floating point does not") {
    Book book = demoBook();
    book.findPattern("kelp-lantern")->buoyancyMillinewton = 50.0;
    CHECK(weighTeam(book, "west-shore")->checks[0].verdict == Verdict::pass);
    book.findPattern("kelp-lantern")->buoyancyMillinewton.reset();
    book.findPattern("rush-piper")->buoyancyMillinewton = 50.0;
    CHECK(weighTeam(book, "west-shore")->verdict == Verdict::off);
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
    for (const auto& [upper, lower] : families) CHECK(upper < lower);
    // A water that allows three refuses five, and says so.
    RuleCard card;
    card.id = "three";
    card.mostFlies = 3;
    TeamSetting setting;
    setting.card = &card;
    CHECK(weighTeam(book, "west-shore", setting)->verdict == Verdict::off);
    card.mostFlies = 5;
    CHECK(std::ranges::none_of(weighTeam(book, "west-shore", setting)->checks, [](const TeamCheck& c) { return c.term == TeamTerm::rules && c.verdict != Verdict::pass; }));
    // A fly between two others can't hang beyond them.
    team.leader->bobToUpper = 2.0 * metre;
    CHECK(check(book).front().place.text() == "teams[0].leader.bob_to_upper_m");
}
