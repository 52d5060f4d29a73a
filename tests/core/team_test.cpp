#include "team/team.h"

#include <catch2/catch.hpp>

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
    book.teams[0].middle.reset();
    book.teams[0].point.reset();
    CHECK(weighTeam(book, "west-shore")->checks.empty());
    CHECK_FALSE(weighTeam(book, "no-such"));
    book.teams[0].bob.reset();
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
