#include "book/team_edits.h"

#include <catch2/catch.hpp>

#include "book/fields.h"
#include "book/kinds.h"
#include "book/record_edits.h"
#include "cutting/stock.h"
#include "team/team.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

TEST_CASE("two flies change places, and an empty position takes one") {
    Book book = demoBook();
    const Edit edit = swapTeamFlies(book, "west-shore", Position::bob, Position::point).value();
    CHECK(edit.after.teams[0].at(Position::bob) == "rush-piper");
    CHECK(edit.after.teams[0].at(Position::point) == "kelp-lantern");
    CHECK(edit.words == "Rush Piper on the bob, Kelp Lantern on the point");
    CHECK(swapTeamFlies(edit.after, "west-shore", Position::bob, Position::point)->after == book);
    book.teams[0].at(Position::middle).reset();
    CHECK(swapTeamFlies(book, "west-shore", Position::bob, Position::middle)->after.teams[0].at(Position::middle) == "kelp-lantern");
    CHECK_FALSE(swapTeamFlies(book, "nobody", Position::bob, Position::middle));
}

TEST_CASE("a new team has an id of its own and the first team's leader: a fly that is not there is refused") {
    const Book book = demoBook();
    const Edit one = addTeam(book, "Evening", trioOf("kelp-lantern", std::nullopt, "rush-piper")).value();
    const Edit two = addTeam(one.after, "Evening", trioOf("soot-ember", std::nullopt, std::nullopt)).value();
    CHECK(one.after.teams.back().id != two.after.teams.back().id);
    CHECK(one.after.teams.back().leader == book.teams.front().leader);
    CHECK(check(two.after).empty());
    CHECK_FALSE(addTeam(book, "None", trioOf(std::nullopt, std::nullopt, std::nullopt)));
    CHECK_FALSE(addTeam(book, "Wrong", trioOf("nobody", std::nullopt, std::nullopt)));
}

TEST_CASE("a school is chosen, copied, and its numbers change what the team is judged by") {
    const Book book = demoBook();
    const Edit big = changeTeamSchool(book, "west-shore", "big_top").value();
    CHECK(big.after.teams[0].school == School::bigTop);
    CHECK_FALSE(changeTeamSchool(book, "west-shore", "no_such"));
    const Edit own = copySchool(book, "west-shore").value();
    const auto id = own.after.teamSchools.back().id;
    CHECK(own.after.teams[0].ownSchool == id);
    const Edit strict = changeSchoolField(own.after, id, "sink_step", "1.5").value();
    const auto verdict = [](const Book& b) { return weighTeam(b, "west-shore")->verdict; };
    CHECK(verdict(own.after) == Verdict::pass);
    CHECK(verdict(strict.after) != Verdict::pass);                      // 1.19 is short of 1.5
    const Edit again = copySchool(strict.after, "west-shore").value();  // a copy of the copy keeps its numbers
    CHECK(again.after.teamSchools.back().sinkStep == 1.5);
    CHECK(again.after.teamSchools.back().id != id);
    CHECK_FALSE(changeSchoolField(own.after, id, "sink_step", "-3"));
    CHECK_FALSE(changeSchoolField(own.after, id, "colour", "red"));
    CHECK(changeTeamSchool(again.after, "west-shore", id)->after.teams[0].ownSchool == id);
}

TEST_CASE("a leader's fields are read in metres and millimetres, and move the checks of spacing") {
    const Book book = demoBook();
    const Edit near = changeLeaderField(book, "west-shore", "bob_to_middle_m", "0.3").value();
    CHECK(near.after.teams[0].leader->bobToMiddle == 0.3 * metre);
    const auto spacing = [](const Book& b) {
        const auto report = weighTeam(b, "west-shore").value();
        return std::ranges::find(report.checks, TeamTerm::spacing, &TeamCheck::term)->verdict;
    };
    CHECK(spacing(book) == Verdict::pass);
    CHECK(spacing(near.after) == Verdict::off);
    CHECK(changeLeaderField(book, "west-shore", "material", "nylon")->after.teams[0].leader->material == Strand::nylon);
    CHECK_FALSE(changeLeaderField(book, "west-shore", "dropper_m", "long"));
    CHECK_FALSE(changeLeaderField(book, "west-shore", "dropper_m", "0"));
    const auto fields = fieldsOf(*near.after.teams[0].leader);
    CHECK(std::ranges::find(fields, "bob_to_middle_m", &Field::key)->text == "0.3");
    CHECK(std::ranges::find(fields, "diameter_mm", &Field::key)->text == "0.2");
}

TEST_CASE("a water takes wind, fetch and a shore: a rule card hangs on it") {
    const Edit fresh = addWater(Book{}).value();
    const auto id = fresh.after.waters[0].id;
    Book book = changeWaterField(fresh.after, id, "wind_m_s", "7.5")->after;
    book = changeWaterField(book, id, "fetch_m", "1200")->after;
    book = changeWaterField(book, id, "colour", "peat")->after;
    CHECK(book.waters[0].wind == 7.5 * metrePerSecond);
    CHECK(book.waters[0].fetch == 1200.0 * metre);
    CHECK(book.waters[0].colour == WaterColour::peat);
    CHECK(changeWaterField(book, id, "wind_m_s", "")->after.waters[0].wind == std::nullopt);
    for (const auto& [key, text] :
         {std::pair("wind_m_s", "61"), {"wind_m_s", "nan"}, {"month", "13"}, {"celsius", "hot"}, {"wind_from_deg", "361"}}) {
        CAPTURE(key, text);
        CHECK_FALSE(changeWaterField(book, id, key, text));
    }
    const Edit card = addRuleCard(book, id).value();
    REQUIRE(card.after.waters[0].rules == card.after.ruleCards[0].id);
    const Edit ruled = changeRuleField(card.after, card.after.ruleCards[0].id, "barb", "barbed until kept").value();
    CHECK(ruled.after.ruleCards[0].barb == BarbRule::barbedUntilKept);
    CHECK_FALSE(changeRuleField(card.after, "nobody", "barb", "free"));
    const Edit drawn =
        changeOutline(book, id, {{0.0 * metre, 0.0 * metre}, {9.0 * metre, 0.0 * metre}, {0.0 * metre, 9.0 * metre}}).value();
    CHECK(drawn.after.waters[0].outline.size() == 3);
}

TEST_CASE("the season's rows run over the new year, are edited and taken out") {
    SeasonRow winter;
    winter.id = "w";
    winter.creature = "shrimps";
    winter.fromMonth = 11;
    winter.toMonth = 2;
    for (const int month : {11, 12, 1, 2})
        CHECK(winter.includes(month));
    for (const int month : {3, 7, 10})
        CHECK_FALSE(winter.includes(month));
    const Edit row = addSeasonRow(Book{}, 5).value();
    CHECK(row.after.season[0].includes(5));
    const Edit named = changeSeasonField(row.after, row.after.season[0].id, "creature", "olives").value();
    CHECK(named.after.season[0].creature == "olives");
    CHECK_FALSE(changeSeasonField(row.after, row.after.season[0].id, "from_month", "0"));
    CHECK(removeSeasonRow(named.after, named.after.season[0].id)->after.season.empty());
    CHECK_FALSE(removeSeasonRow(named.after, "nobody"));
}

TEST_CASE("the box counts flies of a dressing on its hook, never fewer than none") {
    const Book book = demoBook();
    const Edit more = changeBoxCount(book, "kelp-lantern", 9).value();
    CHECK(more.after.box.size() == book.box.size());
    CHECK(std::ranges::find(more.after.box, "kelp-lantern", &BoxFly::pattern)->tied == 9);
    Book empty = book;
    empty.box.clear();
    CHECK(changeBoxCount(empty, "kelp-lantern", 2)->after.box.size() == 1);
    CHECK_FALSE(changeBoxCount(book, "kelp-lantern", -1));
    CHECK_FALSE(changeBoxCount(book, "nobody", 1));
}

TEST_CASE("mishaps are counted under their card, and taken back when they were none") {
    Book book;
    for (int i = 1; i <= 3; ++i)
        book = countMishap(book, "wing.cocks", "stands up").after;
    book = countMishap(book, "head.fat", "too wide").after;
    REQUIRE(book.mishaps.size() == 2);
    CHECK(std::ranges::find(book.mishaps, "wing.cocks", &Mishap::id)->count == 3);
    CHECK(countMishap(book, "wing.cocks", "stands up").words == "stands up: 4 times so far");
    CHECK(takeBackMishap(book, "wing.cocks", "stands up").after.mishaps.front().count == 2);
    CHECK(takeBackMishap(book, "head.fat", "too wide").after.mishaps.size() == 1);
    CHECK(takeBackMishap(book, "nothing", "nothing").after == book);
}

TEST_CASE("a day is of the calendar and its own, its hours fit into it, its fish are known") {
    Book book = demoBook();
    book.days.clear();
    book = addDay(book, "2026-06-10", "skerrin")->after;
    book = addDay(book, "2026-05-01", std::nullopt)->after;
    CHECK(book.days[0].date == "2026-05-01");  // in the order of the calendar
    CHECK(book.days[1].wind == 6.0 * metrePerSecond);
    CHECK_FALSE(addDay(book, "2026-06-10", std::nullopt));
    CHECK_FALSE(addDay(book, "yesterday", std::nullopt));
    book = addOuting(book, "2026-06-10", 20.0, trioOf("kelp-lantern", std::nullopt, std::nullopt))->after;
    CHECK_FALSE(addOuting(book, "2026-06-10", 5.0, {}));
    CHECK_FALSE(addOuting(book, "2026-06-10", 0.0, {}));
    CHECK_FALSE(addOuting(book, "2026-07-07", 1.0, {}));
    const Edit fish = addFish(book, "2026-06-10", Position::bob, "kelp-lantern", Fate::returned).value();
    CHECK(fish.after.days[1].fish[0].kept == false);
    CHECK(fish.words == "a fish to Kelp Lantern on the bob, returned");
    CHECK(check(fish.after).empty());
}

TEST_CASE("a batch is tied one by one into the box, and no further than wanted") {
    Book book = demoBook();
    book.batches.clear();
    book = addBatch(book, "kelp-lantern", 2)->after;
    const auto id = book.batches[0].id;
    const int before = *std::ranges::find(book.box, "kelp-lantern", &BoxFly::pattern)->tied;
    for (int i = 0; i < 2; ++i)
        book = tieOne(book, id)->after;
    CHECK(book.batches[0].tied == 2);
    CHECK(*std::ranges::find(book.box, "kelp-lantern", &BoxFly::pattern)->tied == before + 2);
    CHECK_FALSE(tieOne(book, id));
    CHECK_FALSE(addBatch(book, "kelp-lantern", 0));
    CHECK_FALSE(addBatch(book, "nobody", 3));
    CHECK(addBatch(book, "rush-piper", 1)->after.batches[1].id != id);
}

TEST_CASE("a noodle is made by the longest of the last three that were wound so on that size, else so on any size") {
    const Book demo = demoBook();
    const auto bodyOf = [](const Book& book) { return std::get<BodyPlan>(planPattern(book, "kelp-lantern")->parts[2].detail); };
    const Length reckoned = *bodyOf(demo).noodle;
    CHECK(*bodyOf(demo).made / mm == Approx(reckoned / mm));
    // A fifth left over: the next is a fifth shorter; then as much too short: at once longer.
    Book book = learnFromLeftover(demo, "kelp-lantern", 2, 0.2 * reckoned)->after;
    CHECK(*bodyOf(book).made / mm == Approx(0.8 * reckoned / mm).margin(0.1));
    CHECK(*bodyOf(book).noodle / mm == Approx(reckoned / mm));
    book = learnFromLeftover(book, "kelp-lantern", 2, -0.3 * reckoned)->after;  // 1.1 wound
    CHECK(*bodyOf(book).made / mm == Approx(1.1 * reckoned / mm).margin(0.1));
    // Two thinner ones don't shorten it while the long one is among the last three; a third does.
    for (const double share : {0.9, 0.85}) {
        book = learnFromLeftover(book, "kelp-lantern", 2, 0.0 * mm, share * reckoned)->after;
        CHECK(*bodyOf(book).made / mm == Approx(1.1 * reckoned / mm).margin(0.1));
    }
    book = learnFromLeftover(book, "kelp-lantern", 2, 0.0 * mm, 0.7 * reckoned)->after;
    CHECK(*bodyOf(book).made / mm == Approx(0.9 * reckoned / mm).margin(0.1));
    const auto& wound = std::get<DubbingTraits>(book.findMaterial("fur-olive")->traits).wound;
    CHECK(wound.size() == 3);
    // On another size, where nothing was wound, what was wound on this one; by another method nothing.
    const auto& fur = std::get<DubbingTraits>(book.findMaterial("fur-olive")->traits);
    const int size = planPattern(book, "kelp-lantern")->hook.size();
    CHECK(takesOfReckoned(fur, BodyMethod::noodle, size + 4) == Approx(0.9).margin(1e-3));
    CHECK(takesOfReckoned(fur, BodyMethod::loop, size) == Approx(1.0));
    // What an older book learned holds until the first is wound.
    CHECK(takesOfReckoned({{}, {}, {}, 0.85, {}}, BodyMethod::noodle, 10) == Approx(0.85));
    CHECK(takesOfReckoned({{}, {}, {}, 0.85, {{BodyMethod::noodle, 12, 1.2}}}, BodyMethod::noodle, 10) == Approx(1.2));
}

TEST_CASE("a rope's spare and the end that is held are not learned away, and nonsense teaches nothing") {
    const Book book = demoBook();
    Book rope = book;
    std::get<BodyPart>(rope.findPattern("kelp-lantern")->parts[2].detail).method = BodyMethod::rope;
    const auto bodyOf = [](const Book& b) { return std::get<BodyPlan>(planPattern(b, "kelp-lantern")->parts[2].detail); };
    const Length whole = *bodyOf(rope).rope, wound = *bodyOf(rope).noodle;
    CHECK(whole / mm == Approx(1.10 * wound / mm + 12.0));
    rope = learnFromLeftover(rope, "kelp-lantern", 2, whole - wound)->after;
    CHECK(*bodyOf(rope).rope / mm == Approx(whole / mm).margin(0.1));
    rope = learnFromLeftover(rope, "kelp-lantern", 2, whole - 1.2 * wound)->after;
    CHECK(*bodyOf(rope).rope / mm == Approx(1.10 * 1.2 * wound / mm + 12.0).margin(0.1));
    const Length made = *std::get<BodyPlan>(planPattern(book, "kelp-lantern")->parts[2].detail).made;
    CHECK_FALSE(learnFromLeftover(book, "kelp-lantern", 2, made));
    CHECK_FALSE(learnFromLeftover(book, "kelp-lantern", 2, -5.0 * made));
    CHECK_FALSE(learnFromLeftover(book, "kelp-lantern", 0, 1.0 * mm));  // a tail
    CHECK_FALSE(learnFromLeftover(book, "nobody", 0, 1.0 * mm));
}

TEST_CASE("a dressing taken out leaves the box and its batches too, and its days keep their fish") {
    Book book = demoBook();
    const std::size_t fish = book.days.back().fish.size();
    const Edit gone = removePattern(book, "shingle-wren").value();
    CHECK(std::ranges::find(gone.after.box, "shingle-wren", &BoxFly::pattern) == gone.after.box.end());
    CHECK(gone.after.days.back().fish.size() == fish);
    CHECK(check(gone.after).empty());
}

TEST_CASE("an edit of what is or isn't says so, not yes and no") {
    const Book book = demoBook();
    CHECK(changeWaterField(book, book.waters.front().id, "drogue", "yes")->words.ends_with(": a drogue out"));
    CHECK(changeWaterField(book, book.waters.front().id, "drogue", "no")->words.ends_with(": not a drogue out"));
    CHECK(changeWaterField(book, book.waters.front().id, "wind_m_s", "7")->words.ends_with("wind, m/s 7"));
    CHECK(changeWaterField(book, book.waters.front().id, "wind_m_s", "")->words.ends_with("wind, m/s left open"));
}
