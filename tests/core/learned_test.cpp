// What the days give back: ratios against the same days, corrections, swaps in words.
#include <catch2/catch.hpp>

#include "daybook/boat.h"
#include "daybook/learned.h"
#include "daybook/season.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

Day dayOf(const std::string& date, const FliesByPosition& flies, double hours, const std::vector<std::pair<std::string, Position>>& fish) {
    Day day;
    day.date = date;
    day.id = DayId(day.date);
    Outing outing;
    outing.hours = hours;
    outing.flies = flies;
    day.outings.push_back(outing);
    for (const auto& [pattern, position] : fish) {
        Fish caught;
        caught.pattern = DressingId(pattern);
        caught.position = position;
        day.fish.push_back(caught);
    }
    return day;
}

}  // namespace

TEST_CASE("a fly never fished has a ratio of one, and an empty book half a fish an hour") {
    Book book = demoBook();
    book.days.clear();
    const Learned learned(book);
    CHECK(learned.ratio("kelp-lantern", Position::bob).mean() == 1.0);
    CHECK(learned.ratio("kelp-lantern", Position::bob).correction() == 0.0);
    CHECK(learned.usualRate() == Approx(0.5));
    for (const Position position : kPositions)
        CHECK(learned.share(position) == Approx(1.0));
}

TEST_CASE("one day worked by hand: rate, shares, luck and ratio") {
    Book book = demoBook();
    // Two hours of three flies; the bob took three fish, the point one.
    book.days = {dayOf("2026-05-01", trioOf("kelp-lantern", "heather-tinker", "rush-piper"), 2.0,
                       {{"kelp-lantern", Position::bob},
                        {"kelp-lantern", Position::bob},
                        {"kelp-lantern", Position::bob},
                        {"rush-piper", Position::point}})};
    const Learned learned(book);
    const double r0 = (4.0 + 0.5) / (6.0 + 1.0);
    CHECK(learned.usualRate() == Approx(r0));
    const double bob = (3.0 + 2.0) / (2.0 + 2.0 / r0) / r0, middle = 2.0 / (2.0 + 2.0 / r0) / r0, point = 3.0 / (2.0 + 2.0 / r0) / r0;
    CHECK(learned.share(Position::bob) == Approx(bob));
    CHECK(learned.share(Position::middle) == Approx(middle));
    const double others = 2.0 * r0 * (middle + point), luck = (1.0 + 2.0) / (others + 2.0);
    const double expected = 2.0 * bob * r0 * luck;
    const FlyRatio ratio = learned.ratio("kelp-lantern", Position::bob);
    CHECK(ratio.fish == 3.0);
    CHECK(ratio.spread == 1.5);  // under five days
    CHECK(ratio.mean() == Approx((2.0 + 3.0 / 1.5) / (2.0 + expected / 1.5)));
    CHECK(ratio.correction() == Approx(std::log2(ratio.mean())));
    CHECK(ratio.low() < ratio.mean());
    CHECK(ratio.high() > ratio.mean());
    CHECK(ratio.words().starts_with("your book: "));
}

TEST_CASE("a good day praises no fly: where all three took as many, none is better than the others") {
    Book book = demoBook();
    book.days.clear();
    for (int d = 1; d <= 8; ++d) {
        std::vector<std::pair<std::string, Position>> fish;
        const int each = d == 8 ? 6 : 1;  // the last was a day to remember
        for (int n = 0; n < each; ++n)
            fish.insert(fish.end(),
                        {{"kelp-lantern", Position::bob}, {"heather-tinker", Position::middle}, {"rush-piper", Position::point}});
        book.days.push_back(dayOf("2026-05-0" + std::to_string(d), trioOf("kelp-lantern", "heather-tinker", "rush-piper"), 3.0, fish));
    }
    const Learned learned(book);
    for (const auto& [fly, position] :
         {std::pair("kelp-lantern", Position::bob), {"heather-tinker", Position::middle}, {"rush-piper", Position::point}})
        CHECK(std::abs(learned.ratio(fly, position).correction()) < 0.15);
}

TEST_CASE("a catch names its hook: twins are told apart, and a bare id is the dressing on its own") {
    Book book = demoBook();
    HookSpec twin = *book.findHook(book.findPattern("kelp-lantern")->hook);
    const auto own = twin.id;
    twin.id = "twin";
    twin.barb = false;
    book.hooks.push_back(twin);
    FliesByPosition flies = trioOf(Fly("kelp-lantern", "twin"), "heather-tinker", "rush-piper");
    book.days = {dayOf("2026-05-01", flies, 2.0, {})};
    Fish caught;
    caught.pattern = "kelp-lantern";
    caught.hook = "twin";
    book.days[0].fish.push_back(caught);
    const Learned learned(book);
    CHECK(learned.ratio(Fly("kelp-lantern", "twin"), Position::bob).fish == 1.0);
    CHECK(learned.ratio("kelp-lantern", Position::bob).fish == 0.0);
    CHECK(learned.ratio("kelp-lantern", Position::bob).mean() == learned.ratio(Fly("kelp-lantern", own), Position::bob).mean());
}

TEST_CASE("bobs that caught fuller than those fished move the wave's wants, with doubt, and only in that wave") {
    Book book = demoBook();
    book.days.clear();
    for (int d = 1; d <= 9; ++d) {
        Day day = dayOf("2026-06-0" + std::to_string(d), trioOf("kelp-lantern", {}, {}), 2.0,
                        {{"kelp-lantern", Position::bob}, {"kelp-lantern", Position::bob}});
        Outing other;
        other.hours = 2.0;
        other.flies = trioOf("dune-bell", {}, {});
        day.outings.push_back(other);
        day.wave = 0.12 * metre;
        book.days.push_back(day);
    }
    const auto shifts = curveShifts(book);
    REQUIRE(shifts.size() == 1);
    const double kelp = fullnessOf(planPattern(book, "kelp-lantern").value()).full,
                 dune = fullnessOf(planPattern(book, "dune-bell").value()).full;
    CHECK(shifts[0].wave == WaveClass::wave);
    CHECK(shifts[0].shift == Approx((kelp - 0.5 * (kelp + dune)) * 18.0 / 38.0));
    const SchoolRules before = rulesOf(School::stepped), after = shifted(before, shifts);
    CHECK(rangeAt(after.full[0], 0.14).low == Approx(rangeAt(before.full[0], 0.14).low + shifts[0].shift));
    CHECK(rangeAt(after.full[0], 0.05).low == rangeAt(before.full[0], 0.05).low);
    CHECK(shifts[0].words().find("fuller than those you fished") != std::string::npos);
}

TEST_CASE("a swap is advised in words and only where it would teach: else that is said") {
    const Book book = demoBook();
    TeamSetting setting;
    setting.day.wave = 0.134 * metre;
    const SwapAdvice advice = swapAdvice(book, "west-shore", setting);
    CHECK_FALSE(advice.words.empty());
    CHECK(advice.words.find("bit") == std::string::npos);
    if (advice.position) {
        CHECK(advice.then >= advice.now + 0.05 - 1e-9);
        CHECK(advice.now >= 0.5);
    }
    CHECK(swapAdvice(book, "no-such", setting).words.starts_with("nothing in your box"));
}

TEST_CASE("the boat's own drift is the mean of the days that timed it, the rule of thumb worth three of them") {
    Book book = demoBook();
    book.days.clear();
    CHECK(learnedDrift(book).empty());
    CHECK(learnedDrift(book).words().empty());
    const auto timed = [&](double wind, double drift, std::optional<bool> drogue) {
        Day day;
        day.date = "2026-05-" + std::to_string(10 + book.days.size());
        day.id = DayId(day.date);
        day.wind = wind * metrePerSecond;
        day.drift = drift * metrePerSecond;
        day.drogue = drogue;
        book.days.push_back(day);
    };
    timed(6.0, 0.30, {});     // 0.05
    timed(4.0, 0.18, false);  // 0.045
    timed(0.5, 0.10, {});     // too little wind to tell
    timed(8.0, 0.12, true);   // 0.015 on the drogue
    const BoatLearned boat = learnedDrift(book);
    CHECK(boat.days == 2);
    CHECK(boat.drogueDays == 1);
    CHECK(boat.drift.open == Approx((3 * 0.035 + 0.05 + 0.045) / 5));  // 0.040
    CHECK(boat.drift.drogue == Approx((3 * 0.018 + 0.015) / 4));       // 0.01725
    CHECK(boat.words() ==
          "your boat: 0.040 of the wind on 2 days (a usual one 0.035), 0.017 of the wind with a drogue on 1 day (a usual "
          "one 0.018)");
    // Only where the water asks for it.
    WaterSpec water;
    water.wind = 5.0 * metrePerSecond;
    CHECK(seaOf(book, water).drift / metrePerSecond == Approx(0.175));
    water.ownDrift = true;
    CHECK(seaOf(book, water).drift / metrePerSecond == Approx(0.200));
    water.drogue = true;
    CHECK(seaOf(book, water).drift / metrePerSecond == Approx(5.0 * 0.01725));
    CHECK(seaOf(book, WaterSpec{}).drift / metrePerSecond == 0.0);
}

TEST_CASE("a season is looked back on: its own days alone, what was landed, kept and lost, by month") {
    Book book = demoBook();
    book.days.clear();
    book.days.push_back(dayOf("2025-06-01", trioOf("kelp-lantern", {}, {}), 3.0, {{"kelp-lantern", Position::bob}}));
    book.days.push_back(dayOf("2026-07-04", trioOf("kelp-lantern", {}, "rush-piper"), 2.0,
                              {{"kelp-lantern", Position::bob}, {"rush-piper", Position::point}, {"rush-piper", Position::point}}));
    book.days.back().rods = 2;
    book.days.back().fish[0].kept = true;
    book.days.back().fish[2].lost = true;
    book.days.push_back(dayOf("2026-05-02", trioOf("kelp-lantern", {}, {}), 1.0, {}));
    CHECK(seasonsOf(book) == std::vector<std::string>{"2026", "2025"});
    const SeasonReport season = seasonReport(book, "2026");
    REQUIRE(season.days.size() == 2);
    CHECK(season.days[0].date == "2026-05-02");  // in the order of the year
    CHECK(season.hours() == 5.0);                // two rods for two hours, and one
    CHECK(season.fish() == 2);
    CHECK(season.kept() == 1);
    CHECK(season.lost() == 1);
    CHECK(season.fishByMonth[6] == 2);
    CHECK(season.fishByMonth[4] == 0);
    CHECK_FALSE(season.flies.empty());
    CHECK(seasonReport(book, "1999").days.empty());
}
