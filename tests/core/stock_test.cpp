// Stock and the box: what falls as flies are tied, what runs out first, what to tie next; an evening's order.
#include "cutting/stock.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <numeric>

#include "bench/batches.h"
#include "book/edits.h"
#include "book/record_edits.h"
#include "book/team_edits.h"
#include "daybook/box.h"
#include "daybook/rates.h"
#include "leader/exposure.h"
#include "tests/samples.h"
#include "units/random.h"
#include "units/text.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

Length sumOf(const std::vector<Length>& lengths) {
    Length sum;
    for (const Length l : lengths)
        sum += l;
    return sum;
}
Book withBatches(std::vector<std::pair<const char*, int>> wanted) {
    Book book = demoBook();
    book.batches.clear();
    for (const auto& [fly, count] : wanted)
        book = addBatch(book, fly, count)->after;
    return book;
}
const StockWanted& rowOf(const std::vector<StockWanted>& list, std::string_view material) {
    return *std::ranges::find(list, material, &StockWanted::material);
}
Day dayOf(const char* date, std::vector<Outing> outings, std::vector<Fish> fish) {
    Day day;
    day.date = date;
    day.id = DayId(day.date);
    day.outings = std::move(outings);
    day.fish = std::move(fish);
    return day;
}
Fish fishOf(const char* fly, Position at, std::optional<Length> depth = {}) { return {fly, at, {}, depth, {}}; }

}  // namespace

TEST_CASE("pieces come out of the shortest off-cut that gives them, and short ends are thrown away") {
    const FromOffcuts cut = cutFrom({200.0 * mm, 110.0 * mm, 90.0 * mm}, 80.0 * mm, 3);
    // 90 gives one (10 left: thrown away), 110 one (30 left: thrown away), 200 one (120 left).
    CHECK(cut.pieces == 3);
    CHECK(cut.offSpool == 0);
    REQUIRE(cut.left.size() == 1);
    CHECK_THAT(mmOf(cut.left.front()), WithinAbs(120.0, 1e-9));
    CHECK(cutFrom({}, 80.0 * mm, 4).offSpool == 4);
    Random random(4);
    for (int round = 0; round < 200; ++round) {
        std::vector<Length> offcuts(random.next() % 6);
        for (Length& l : offcuts)
            l = random.uniform(20.0, 400.0) * mm;
        const Length piece = random.uniform(20.0, 150.0) * mm;
        const int pieces = static_cast<int>(random.next() % 9);
        const FromOffcuts some = cutFrom(offcuts, piece, pieces);
        CHECK(some.pieces + some.offSpool == pieces);
        CHECK(sumOf(some.left) <= sumOf(offcuts) - static_cast<double>(some.pieces) * piece + 1e-9 * mm);
        if (some.offSpool > 0) CHECK(std::ranges::none_of(some.left, [&](Length l) { return l >= piece; }));
    }
}

TEST_CASE("stock falls by what the flies took, never under nothing, and the batch counts on") {
    Book book = withBatches({{"kelp-lantern", 3}});
    const Plan plan = planPattern(book, "kelp-lantern").value();
    const auto laid = layOut(plan, 1);
    const auto ribbed = std::ranges::find(laid, "oval-gold", &LaidOut::material);
    REQUIRE(ribbed != laid.end());
    book = changeStock(book, "oval-gold", "offcuts_mm", "")->after;
    book = changeStock(book, "oval-gold", "length_m", "0.5")->after;
    const Length before = *book.findStock("oval-gold")->length;
    const double furBefore = *book.findStock("fur-olive")->mass;
    const Edit one = tieOneOf(book, book.batches.front().id, 14.0).value();
    CHECK_THAT(mmOf(before - *one.after.findStock("oval-gold")->length), WithinAbs(mmOf(*ribbed->length), 1e-6));
    CHECK(*one.after.findStock("fur-olive")->mass < furBefore);
    CHECK(one.after.batches.front().tied == 1);
    // Fur that nobody weighed isn't weighed by tying with it.
    const Book unweighed = changeStock(book, "fur-olive", "mass_mg", "")->after;
    const Book tied = tieOneOf(unweighed, book.batches.front().id)->after;
    REQUIRE(tied.findStock("fur-olive"));
    CHECK_FALSE(tied.findStock("fur-olive")->mass);
    CHECK(one.after.batches.front().minutes == std::vector<double>{14.0});
    const Edit many = recordTied(book, {{"kelp-lantern", 3, book.batches.front().id}}, {}, {}).value();
    CHECK(*many.after.findStock("oval-gold")->length >= 0.0 * mm);
    CHECK(many.after.batches.front().tied == 3);
    CHECK_FALSE(tieOneOf(many.after, book.batches.front().id));
}

TEST_CASE("what runs out first comes first, with the batch it gives out in and how much to buy") {
    Book book = withBatches({{"kelp-lantern", 4}, {"ferry-bell", 6}});
    book = changeStock(book, "oval-gold", "offcuts_mm", "")->after;
    const auto laid = layOut(planPattern(book, "kelp-lantern").value(), 1);
    const double each = mmOf(*std::ranges::find(laid, "oval-gold", &LaidOut::material)->length);
    book = changeStock(book, "oval-gold", "length_m", formatShort(4.5 * each / 1000.0, 6))->after;  // enough for the first batch only
    const auto wanted = stockWanted(book).value();
    const StockWanted& gold = rowOf(wanted, "oval-gold");
    CHECK(wanted.front().material == "oval-gold");
    CHECK(gold.runsOutIn == std::string("Ferry Bell"));
    CHECK(*gold.lasts < 1.0);
    CHECK_FALSE(gold.buy.empty());
    // What isn't counted stands last, and what is enough needs no buying.
    CHECK_FALSE(wanted.back().lasts);
    CHECK(rowOf(wanted, "thread-black").buy.empty());
    CHECK_FALSE(rowOf(wanted, "thread-black").runsOutIn);
    CHECK_FALSE(changeStock(book, "no-such", "length_m", "1"));
    CHECK_FALSE(changeStock(book, "oval-gold", "length_m", "a lot"));
    CHECK_FALSE(changeStock(book, "oval-gold", "length_m", "-1"));
    CHECK(store::readBench(store::writeBench(book)).value().book == book);
}

TEST_CASE("flies of the box are chewed, mended, lost and thrown away, and none more than there are") {
    Book book = demoBook();
    const auto id = book.box.front().id;
    const int tied = boxRows(book).front().tied;
    const auto happen = [&](BoxEvent event) { return boxEvent(book, id, event); };
    CHECK_FALSE(happen(BoxEvent::mended));
    CHECK_FALSE(happen(BoxEvent::thrownAway));
    book = happen(BoxEvent::chewed)->after;
    CHECK(boxRows(book).front().chewed == 1);
    CHECK(boxRows(book).front().sound() == tied - 1);
    book = happen(BoxEvent::lost)->after;
    CHECK(boxRows(book).front().tied == tied - 1);
    CHECK(boxRows(book).front().lost == 1);
    book = happen(BoxEvent::thrownAway)->after;
    CHECK(boxRows(book).front().chewed == 0);
    for (int left = boxRows(book).front().tied; left > 0; --left)
        book = happen(BoxEvent::lost)->after;
    CHECK_FALSE(happen(BoxEvent::lost));
    CHECK_FALSE(happen(BoxEvent::chewed));
    CHECK_FALSE(boxEvent(book, "no-such", BoxEvent::tied));
}

TEST_CASE("what to tie next rises as the box empties and falls as it fills") {
    Book book = demoBook();
    const auto place = [](const Book& b, std::string_view fly) {
        const auto list = tieNext(b, 6);
        return std::ranges::find(list, fly, &TieNext::pattern) - list.begin();
    };
    const auto now = place(book, "rush-piper");
    Book full = changeBoxCount(book, "rush-piper", 200)->after, empty = changeBoxCount(book, "rush-piper", 0)->after;
    CHECK(place(full, "rush-piper") > now);
    CHECK(place(empty, "rush-piper") <= now);
    CHECK(tieNext(book, 6).size() == book.patterns.size());
    for (const TieNext& row : tieNext(book, 6))
        CHECK((row.want >= 0.0 && !row.why.empty()));
}

TEST_CASE("jobs are grouped so that thread and materials change least, as every order says") {
    const Book book = withBatches({{"kelp-lantern", 1}, {"rush-piper", 1}, {"soot-ember", 1}, {"shingle-wren", 1}, {"heather-tinker", 1}});
    const auto jobs = waitingJobs(book).value();
    const auto cost = [&](const std::vector<std::size_t>& order) {
        int sum = 0;
        for (std::size_t i = 0; i + 1 < order.size(); ++i)
            sum += changesBetween(book, jobs[order[i]].fly, jobs[order[i + 1]].fly);
        return sum;
    };
    std::vector<std::size_t> order(jobs.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    int best = 1 << 20;
    do
        best = std::min(best, cost(order));
    while (std::ranges::next_permutation(order).found);
    const auto grouped = groupedOrder(book, jobs);
    CHECK(cost(grouped) == best);
    CHECK(std::ranges::is_permutation(grouped, order));
    CHECK(changesBetween(book, "kelp-lantern", "kelp-lantern") == 0);
    CHECK(groupedOrder(book, {}).empty());
}

TEST_CASE("a tier's own times are the median of what was logged, from three flies on") {
    Book book = withBatches({{"kelp-lantern", 6}});
    book.batches.front().minutes = {12.0, 16.0};
    CHECK_FALSE(ownMinutes(book, "kelp-lantern"));
    book.batches.front().minutes = {12.0, 16.0, 13.0, 30.0, 14.0};
    const auto own = ownMinutes(book, "kelp-lantern");
    REQUIRE(own);
    CHECK(own->median == 14.0);
    CHECK(own->low == 13.0);
    CHECK(own->high == 16.0);
    CHECK(waitingJobs(book).value().front().stages.front().hands == 14.0);
    const auto events = eventsOf(book, flyByFly(waitingJobs(book).value()), waitingJobs(book).value());
    CHECK(events.front().what == "At the vice");
    CHECK(std::ranges::count_if(events, &EveningEvent::rings) == 6 * std::ssize(waitingJobs(book).value().front().stages) - 6);
}

TEST_CASE("two flies are compared within the days both were on, once there are five") {
    Book book = demoBook();
    book.days.clear();
    const Outing both{3.0, trioOf("kelp-lantern", "heather-tinker", {})};
    const Outing alone{3.0, trioOf({}, "heather-tinker", {})};
    for (int d = 1; d <= 4; ++d)
        book.days.push_back(dayOf(("2026-05-0" + std::to_string(d)).c_str(), {both},
                                  {fishOf("kelp-lantern", Position::bob), fishOf("kelp-lantern", Position::bob)}));
    // A splendid day on which only one of the two was fished.
    book.days.push_back(dayOf("2026-06-01", {alone}, std::vector<Fish>(20, fishOf("heather-tinker", Position::middle))));
    CHECK_FALSE(compareFlies(book, "kelp-lantern", "heather-tinker").within);
    const double overAll = compareFlies(book, "kelp-lantern", "heather-tinker").better;
    book.days.push_back(dayOf("2026-05-09", {both}, {fishOf("kelp-lantern", Position::bob)}));
    const FlyComparison within = compareFlies(book, "kelp-lantern", "heather-tinker");
    CHECK(within.within);
    CHECK(within.days == 5);
    CHECK(within.better > 0.9);
    CHECK(overAll < 0.7);  // the splendid day weighed against it
    CHECK_THAT(within.better + compareFlies(book, "heather-tinker", "kelp-lantern").better, WithinAbs(1.0, 1e-9));
}

TEST_CASE("hours are weighed by the time that a fly spends in each band of depth") {
    Book book = demoBook();
    book.days = {dayOf("2026-05-01", {{4.0, trioOf("kelp-lantern", {}, "rush-piper")}},
                       {fishOf("rush-piper", Position::point, 0.25 * metre), fishOf("kelp-lantern", Position::bob, 0.04 * metre)}),
                 // Its fish have no depth: it says nothing of depth.
                 dayOf("2026-05-02", {{4.0, trioOf("kelp-lantern", {}, "rush-piper")}}, {fishOf("rush-piper", Position::point)})};
    const auto shares = [](const Outing&, Position position) {
        return position == Position::bob ? std::vector<double>{1.0} : std::vector<double>{0.0, 0.25, 0.75};
    };
    const auto rates = ratesByDepth(book, shares);
    REQUIRE(rates.size() == 3);
    CHECK(rates[0].hours == 4.0);
    CHECK(rates[0].fish == 1.0);
    CHECK(rates[1].hours == 1.0);
    CHECK(rates[2].hours == 3.0);
    CHECK(rates[2].fish == 1.0);
    DepthExposure exposure(book);
    const auto bob = exposure(book.days[0].outings[0], Position::bob), point = exposure(book.days[0].outings[0], Position::point);
    const auto mean = [](const std::vector<double>& in) {
        double sum = 0.0;
        for (std::size_t i = 0; i < in.size(); ++i)
            sum += in[i] * (static_cast<double>(i) + 0.5);
        return sum;
    };
    CHECK_THAT(std::accumulate(bob.begin(), bob.end(), 0.0), WithinAbs(1.0, 1e-9));
    CHECK(mean(point) > mean(bob));
    CHECK(exposure(book.days[0].outings[0], Position::middle).empty());
}

TEST_CASE("a batch on another hook is cut, taken out of stock and boxed on that hook") {
    Book book = demoBook();
    const Pattern& fly = *book.findPattern("rush-piper");
    const HookId other = resizeHook(book, "rush-piper", {8, std::nullopt})->after.findPattern("rush-piper")->hook;
    book.hooks = resizeHook(book, "rush-piper", {8, std::nullopt})->after.hooks;
    REQUIRE(other != fly.hook);
    book.batches = {Batch{"big", "rush-piper", other, 6, 0, {}, {}, {}, {}, {}}};
    const int own = boxCount(book, "rush-piper");
    const Book one = tieOneOf(book, "big")->after;
    CHECK(boxCount(one, "rush-piper") == own);
    CHECK(boxCount(one, "rush-piper", other) == 1);
    const auto several = recordTied(book, {{"rush-piper", 3, "big"}}, {}, {});
    REQUIRE(several);
    CHECK(boxCount(several->after, "rush-piper", other) == 3);
    CHECK(boxCount(several->after, "rush-piper") == own);
    // What is taken out of stock is what that hook takes: more than the dressing's own, smaller one.
    MaterialId material;
    for (const Part& part : fly.parts)
        if (part.kind == PartKind::rib && part.material) material = *part.material;
    if (material.empty()) material = fly.thread;
    Book counted = book;
    counted.stock = {Stock{"spool", material, 5.0 * metre, {}, {}, {}, {}}};
    const Length there = 5.0 * metre;
    const Length big = there - *tieOneOf(counted, "big")->after.stock[0].length;
    counted.batches[0].hook.reset();
    const Length small = there - *tieOneOf(counted, "big")->after.stock[0].length;
    CHECK(big > small);
    CHECK(small > 0.0 * mm);
}

TEST_CASE("what is left uncut is said by its dressing and material, alike things once") {
    Book book = demoBook();
    const Pattern& tinker = *book.findPattern("heather-tinker");
    const auto plan = planPattern(book, tinker.id).value();
    const std::vector<SlipWanted> slips = slipsFor(plan, 3);
    REQUIRE(slips.size() == 3);
    const auto wing = std::ranges::find(tinker.parts, PartKind::wing, &Part::kind);
    const std::string made = book.findMaterial(*wing->material)->title();
    const auto said = sayUncut(book, planCuts({}, slips));
    REQUIRE(said.size() == 1);
    CHECK(said[0] == "3 × wing of " + tinker.title() + ", " + made + ": there is no feather of it in the drawers");
    CutList own;
    own.id = "mine";
    own.slips = {SlipWanted{"wide one", *wing->material, 5.0 * mm, 12.0 * mm, SlipSide::any, false, {}}};
    book.cutLists = {own};
    CHECK(sayUncut(book, planCuts({}, own.slips)) ==
          std::vector<std::string>{"wide one, " + made + ": there is no feather of it in the drawers"});
    CHECK(sayUncut({}, planCuts({}, own.slips)).front().starts_with("wide one: "));
}
