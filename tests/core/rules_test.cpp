// Each rule of a card by itself, at its limit and one step beyond; nothing is ruled that a card doesn't say.
#include "team/rule_card.h"

#include <catch2/catch.hpp>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

FlyFigures fly() {
    FlyFigures f;
    f.size = 10;
    f.length = 18.0 * mm;
    f.barb = true;
    f.bead = true;
    return f;
}
RuleCard card() {
    RuleCard c;
    c.id = "card";
    return c;
}

}  // namespace

TEST_CASE("an empty card forbids nothing") {
    CHECK(breachesOf(fly(), card()).empty());
    CHECK(breachesOf(LeaderFigures{5, {0.01 * metre}, 90.0 * metre}, card()).empty());
    CHECK(barbsAllowed(card(), {1000}));
}

TEST_CASE("a hook may be as large and as small as the card says, and no further") {
    RuleCard c = card();
    c.largestHook = 10;
    c.smallestHook = 10;
    CHECK(breachesOf(fly(), c).empty());
    FlyFigures larger = fly(), smaller = fly();
    larger.size = 8;
    smaller.size = 12;
    REQUIRE(breachesOf(larger, c).size() == 1);
    CHECK(breachesOf(larger, c)[0].words == "hook 8 is larger than the 10 allowed");
    CHECK(breachesOf(larger, c)[0].mend == "tie it on a 10");
    REQUIRE(breachesOf(smaller, c).size() == 1);
    CHECK(breachesOf(smaller, c)[0].words == "hook 12 is smaller than the 10 allowed");
}

TEST_CASE("a fly may be as long as the card says, and the excess is said") {
    RuleCard c = card();
    c.longestFly = 18.0 * mm;
    CHECK(breachesOf(fly(), c).empty());
    FlyFigures f = fly();
    f.length = 19.5 * mm;
    REQUIRE(breachesOf(f, c).size() == 1);
    CHECK(breachesOf(f, c)[0].words == "it is 19.5 mm long, 1.5 mm over");
}

TEST_CASE("barbs until so many are kept: allowed with one fewer, out with the last") {
    RuleCard c = card();
    c.barb = BarbRule::barbedUntilKept;
    c.keptBeforeBarbless = 4;
    for (const int kept : {0, 3})
        CHECK(breachesOf(fly(), c, {kept}).empty());
    for (const int kept : {4, 9}) {
        REQUIRE(breachesOf(fly(), c, {kept}).size() == 1);
        CHECK(breachesOf(fly(), c, {kept})[0].words.find(std::to_string(kept) + " fish are kept") != std::string::npos);
    }
    FlyFigures flattened = fly();
    flattened.barb = false;
    CHECK(breachesOf(flattened, c, {9}).empty());
    c.keptBeforeBarbless.reset();  // then the first one kept moves them out
    CHECK(barbsAllowed(c, {0}));
    CHECK_FALSE(barbsAllowed(c, {1}));
    c.barb = BarbRule::barbless;
    CHECK_FALSE(barbsAllowed(c, {0}));
}

TEST_CASE("beads are out only where the card says so, and several breaches are all told") {
    RuleCard c = card();
    c.beads = true;
    CHECK(breachesOf(fly(), c).empty());
    c.beads = false;
    c.barb = BarbRule::barbless;
    c.longestFly = 10.0 * mm;
    c.largestHook = 12;
    CHECK(breachesOf(fly(), c).size() == 4);
}

TEST_CASE("a leader's flies, length and every spacing are ruled") {
    RuleCard c = card();
    c.mostFlies = 3;
    c.longestLeader = 4.0 * metre;
    c.leastSpacing = 1.0 * metre;
    CHECK(breachesOf(LeaderFigures{3, {1.0 * metre, 1.2 * metre}, 4.0 * metre}, c).empty());
    CHECK(breachesOf(LeaderFigures{4, {1.0 * metre, 1.2 * metre}, 4.0 * metre}, c).size() == 1);
    CHECK(breachesOf(LeaderFigures{3, {0.9 * metre, 0.8 * metre}, 4.2 * metre}, c).size() == 3);
}

TEST_CASE("a tier's own school overrides the one it is like, and only in what it says") {
    Book book = demoBook();
    TeamSchool own;
    own.id = "mine";
    own.like = School::bigTop;
    own.sinkStep = 1.5;
    own.fullness = 0.5;
    book.teamSchools.push_back(own);
    book.teams[0].ownSchool = "mine";
    const SchoolRules mine = rulesFor(book, book.teams[0]), like = rulesOf(School::bigTop);
    CHECK(mine.sinkStep.low == 1.5);
    CHECK(mine.fullnessScale == 0.5);
    CHECK(mine.presenceOrder.low == like.presenceOrder.low);
    CHECK(mine.topSizeStep.low == like.topSizeStep.low);
    // A place that is named has only its own rows, in the order of their waves; a range said backwards is the same range.
    book.teamSchools[0].ranges = {OwnRange{Position::bob, 0.2 * metre, 3.0, 5.0, {}}, OwnRange{Position::bob, 0.0 * metre, 2.0, 1.0, {}}};
    const SchoolRules ranged = rulesFor(book, book.teams[0]);
    REQUIRE(ranged.full[0].size() == 2);
    CHECK((ranged.full[0][0].low == 1.0 && ranged.full[0][0].high == 2.0));
    CHECK((ranged.full[0][1].wave == 0.2 && ranged.full[0][1].low == 3.0));
    CHECK(ranged.full[1].size() == like.full[1].size());
    book.teams[0].ownSchool = "gone";  // a school taken out: the four are still there
    CHECK(rulesFor(book, book.teams[0]).sinkStep.low == rulesOf(book.teams[0].school.value_or(School::stepped)).sinkStep.low);
}
