#include "cutting/cutting.h"

#include <catch2/catch.hpp>
#include <map>
#include <numeric>
#include <random>

#include "cutting/hackles.h"
#include "cutting/stock.h"

#include "tests/feathers.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

VaneFeather feather(std::string id, VaneSide side, double vane, std::vector<double> barbs,
                    std::vector<std::pair<double, double>> taken = {}) {
    VaneFeather f;
    f.id = FeatherId(std::move(id));
    f.material = "flank";
    f.side = side;
    f.vane = vane * mm;
    for (const double b : barbs)
        f.barbs.push_back(b * mm);
    for (const auto& [from, to] : taken)
        f.taken.push_back({from * mm, to * mm});
    return f;
}

SlipWanted slip(std::string id, double width, double barb, SlipSide side = SlipSide::any, bool pair = false) {
    return {std::move(id), "flank", width * mm, barb * mm, side, pair, {}};
}

// What is left free on the feathers used, however the slips are best put: every assignment, every order, each slip as
// near the base as it may be. Independent of the search, and only for a few slips that are no pairs.
struct Brute {
    const std::vector<VaneFeather>& feathers;
    const std::vector<SlipWanted>& slips;

    static bool fits(const VaneFeather& f, std::vector<SlipWanted> some) {
        std::vector<std::size_t> order(some.size());
        std::iota(order.begin(), order.end(), std::size_t{0});
        do {
            Length at;
            bool good = true;
            for (const std::size_t i : order) {
                const auto windows = usable(f, some[i].barb);
                const auto window =
                    std::ranges::find_if(windows, [&](const Stretch& w) { return std::max(w[0], at) + some[i].width <= w[1] + 1e-7 * mm; });
                good = good && window != windows.end();
                if (!good) break;
                at = std::max((*window)[0], at) + some[i].width;
            }
            if (good) return true;
        } while (std::ranges::next_permutation(order).found);
        return false;
    }

    std::optional<std::pair<int, double>> best() const {
        std::optional<std::pair<int, double>> found;
        std::vector<std::size_t> on(slips.size(), 0);
        for (;;) {
            std::pair<int, double> cost{0, 0.0};
            bool good = true;
            for (std::size_t f = 0; good && f < feathers.size(); ++f) {
                std::vector<SlipWanted> some;
                for (std::size_t i = 0; i < slips.size(); ++i)
                    if (on[i] == f) {
                        some.push_back(slips[i]);
                        const SlipSide side = *slips[i].side;
                        good = good && (side == SlipSide::any || (side == SlipSide::left) == (feathers[f].side == VaneSide::left));
                    }
                if (some.empty()) continue;
                good = good && fits(feathers[f], some);
                ++cost.first;
                cost.second += freeVane(feathers[f]) / mm;
                for (const SlipWanted& s : some)
                    cost.second -= s.width / mm;
            }
            if (good && (!found || cost < *found)) found = cost;
            std::size_t i = 0;
            while (i < on.size() && ++on[i] == feathers.size())
                on[i++] = 0;
            if (i == on.size()) return found;
        }
    }
};

// Everything that models.md section 12 asks of a plan.
void checkSound(const CuttingPlan& plan, const std::vector<VaneFeather>& feathers, const std::vector<SlipWanted>& slips) {
    std::map<std::string, std::vector<std::pair<const VaneFeather*, Cut>>> cuts;
    for (const FeatherCuts& f : plan.feathers) {
        const VaneFeather& on = *std::ranges::find(feathers, f.feather, &VaneFeather::id);
        Length last;
        for (const Cut& cut : f.cuts) {
            CHECK(cut.from >= last - 1e-6 * mm);
            last = cut.to;
            cuts[cut.slip].emplace_back(&on, cut);
        }
    }
    for (const SlipWanted& s : slips) {
        const bool left = std::ranges::find(plan.uncut, s.id, &Uncut::slip) != plan.uncut.end();
        CHECK(cuts[s.id].size() == (left ? 0u : s.pair.value_or(false) ? 2u : 1u));
        for (const auto& [f, cut] : cuts[s.id]) {
            CHECK_THAT(mmOf(cut.to - cut.from), WithinAbs(mmOf(s.width), 1e-9));
            CHECK(std::ranges::any_of(usable(*f, s.barb),
                                      [&, c = cut](const Stretch& w) { return w[0] <= c.from + 1e-6 * mm && w[1] >= c.to - 1e-6 * mm; }));
            if (!s.pair.value_or(false) && s.side == SlipSide::left) CHECK(f->side == VaneSide::left);
        }
        if (cuts[s.id].size() == 2) {
            const auto& [f, a] = cuts[s.id][0];
            const auto& [g, b] = cuts[s.id][1];
            CHECK(f->side != g->side);
            CHECK_THAT((a.from + a.to) / (2.0 * f->vane), WithinAbs((b.from + b.to) / (2.0 * g->vane), kPairStation + 1e-9));
        }
    }
}

}  // namespace

TEST_CASE("barbs run straight from base to middle to tip, and a vane is long enough where they are") {
    const VaneFeather f = feather("f", VaneSide::left, 80, {10, 20, 12}, {{30, 34}});
    CHECK_THAT(mmOf(barbAt(f, 20 * mm)), WithinAbs(15.0, 1e-12));
    CHECK_THAT(mmOf(barbAt(f, 60 * mm)), WithinAbs(16.0, 1e-12));
    const auto long15 = longEnough(f, 15 * mm);  // 20 … 65
    REQUIRE(long15.size() == 1);
    CHECK_THAT(mmOf(long15[0][0]), WithinAbs(20.0, 1e-9));
    CHECK_THAT(mmOf(long15[0][1]), WithinAbs(65.0, 1e-9));
    CHECK(usable(f, 15 * mm).size() == 2);
    CHECK_THAT(mmOf(freeVane(f)), WithinAbs(76.0, 1e-12));
    CHECK(longEnough(f, 21 * mm).empty());
    CHECK(longEnough(feather("v", VaneSide::left, 80, {20, 10, 20}), 15 * mm).size() == 2);
}

TEST_CASE("a vane drawn along the ends of its barbs is measured, whichever way it lies and is drawn") {
    // Barbs of 16, 24 and 20 mm at the base, middle and tip of a vane of 30 mm: their ends, worked by hand.
    const auto end = [](double root, double barb) { return Point2{(root + 0.62 * barb) * mm, 0.785 * barb * mm}; };
    std::vector<Point2> ends = {end(0, 16), end(7.5, 20), end(15, 24), end(22.5, 22), end(30, 20)};
    const auto is = [](const Result<VaneMeasures>& found) {
        REQUIRE(found);
        CHECK_THAT(mmOf(found->vane), WithinAbs(30.0, 1e-9));
        CHECK_THAT(mmOf(found->barbs[0]), WithinAbs(16.0, 1e-9));
        CHECK_THAT(mmOf(found->barbs[1]), WithinAbs(24.0, 1e-9));
        CHECK_THAT(mmOf(found->barbs[2]), WithinAbs(20.0, 1e-9));
    };
    is(measureVane(ends));
    std::ranges::reverse(ends);
    is(measureVane(ends));
    for (Point2& at : ends)  // the other vane of the feather
        at.y = -at.y;
    is(measureVane(ends));
    // On a photograph the stem lies anyhow.
    const Angle turned = 128_deg;
    const auto onPicture = [&](Point2 at) {
        return Point2{40.0 * mm + cos(turned) * at.x - sin(turned) * at.y, 7.0 * mm + sin(turned) * at.x + cos(turned) * at.y};
    };
    for (Point2& at : ends)
        at = onPicture(at);
    is(measureVane(ends, DrawnStem{onPicture({}), onPicture({30.0 * mm, 0.0 * mm})}));
}

TEST_CASE("what is no vane is refused in words") {
    CHECK_FALSE(measureVane({}));
    CHECK_FALSE(measureVane({{1.0 * mm, 2.0 * mm}}));
    CHECK_FALSE(measureVane({{0.0 * mm, 0.0 * mm}, {30.0 * mm, 0.0 * mm}}));               // along the stem
    CHECK_FALSE(measureVane({{0.0 * mm, 9.0 * mm}, {30.0 * mm, -9.0 * mm}}));              // across it
    CHECK_FALSE(measureVane({{0.0 * mm, 9.0 * mm}, {0.5 * mm, 9.0 * mm}}));                // a blot
    CHECK_FALSE(measureVane({{0.0 * mm, 9.0 * mm}, {30.0 * mm, 9.0 * mm}}, DrawnStem{}));  // no stem at all
    CHECK(measureVane({{0.0 * mm, -9.0 * mm}, {30.0 * mm, 9.0 * mm}}).error().front().what == "the line crosses the stem");
}

TEST_CASE("the plan is as good as trying everything, on small random sets") {
    constexpr unsigned kSeed = 7;
    std::mt19937 random(kSeed);
    const auto whole = [&](int low, int high) { return std::uniform_int_distribution<int>(low, high)(random); };
    int possible = 0;
    for (int round = 0; round < 250; ++round) {
        CAPTURE(kSeed, round);
        std::vector<VaneFeather> feathers;
        for (int f = 0; f < 3; ++f) {
            feathers.push_back(feather("f" + std::to_string(f), whole(0, 1) ? VaneSide::left : VaneSide::right, whole(12, 30),
                                       {double(whole(8, 14)), double(whole(10, 22)), double(whole(8, 20))}));
            if (whole(0, 1)) feathers.back().taken = {{5.0 * mm, whole(6, 9) * mm}};
        }
        std::vector<SlipWanted> slips;
        for (int s = 0; s < 4; ++s)
            slips.push_back(slip("s" + std::to_string(s), whole(3, 11), whole(8, 15), static_cast<SlipSide>(whole(0, 2))));
        const auto brute = Brute{feathers, slips}.best();
        const CuttingPlan plan = planCuts(feathers, slips);
        checkSound(plan, feathers, slips);
        CHECK(plan.optimal);
        CHECK(plan.uncut.empty() == brute.has_value());
        if (!brute) continue;
        ++possible;
        CHECK(plan.feathersUsed() == brute->first);
        CHECK(plan.bound == brute->first);
        CHECK_THAT(mmOf(plan.waste), WithinAbs(brute->second, 1e-6));
    }
    CHECK(possible > 50);
}

TEST_CASE("matched pairs come from the same station of a left and a right feather") {
    std::mt19937 random(11);
    const auto whole = [&](int low, int high) { return std::uniform_int_distribution<int>(low, high)(random); };
    for (int round = 0; round < 40; ++round) {
        std::vector<VaneFeather> feathers;
        for (int f = 0; f < 6; ++f)
            feathers.push_back(feather("f" + std::to_string(f), f % 2 ? VaneSide::left : VaneSide::right, whole(40, 90), {14, 22, 18}));
        std::vector<SlipWanted> slips;
        for (int s = 0; s < 9; ++s)
            slips.push_back(slip("s" + std::to_string(s), whole(3, 7), whole(10, 19), SlipSide::any, s % 3 != 0));
        checkSound(planCuts(feathers, slips), feathers, slips);
    }
    // Only the two bases are free, and they are a tenth of the vane apart: no pair.
    const std::vector<VaneFeather> apart = {feather("l", VaneSide::left, 60, {20, 20, 20}, {{6, 60}}),
                                            feather("r", VaneSide::right, 60, {20, 20, 20}, {{0, 8}, {14, 60}})};
    const CuttingPlan none = planCuts(apart, {slip("p", 5, 15, SlipSide::any, true)});
    REQUIRE(none.uncut.size() == 1);
    CHECK(none.uncut[0].why.find("same station") != std::string::npos);
}

TEST_CASE("a slip that can't be cut says why, and the others still are") {
    const std::vector<VaneFeather> feathers = {feather("l", VaneSide::left, 40, {12, 20, 16}, {{0, 25}})};
    const CuttingPlan plan =
        planCuts(feathers, {slip("long", 4, 30), slip("wide", 18, 10), slip("right", 4, 10, SlipSide::right), slip("good", 4, 10)});
    REQUIRE(plan.feathersUsed() == 1);
    CHECK(plan.feathers[0].cuts.size() == 1);
    const auto why = [&](const char* id) { return std::ranges::find(plan.uncut, id, &Uncut::slip)->why; };
    CHECK(why("long").find("longest are 20.0 mm") != std::string::npos);
    CHECK(why("wide").find("is 15.0 mm, it wants 18.0 mm") != std::string::npos);
    CHECK(why("wide").find("married") == std::string::npos);  // two of 9 mm don't fit into those 15 either
    CHECK(why("right").find("no right feather") != std::string::npos);
    CHECK(planCuts({}, {slip("x", 4, 10)}).uncut[0].why.find("no feather") != std::string::npos);
}

TEST_CASE("a vane whose middle barbs are the shortest is cut at both its ends") {
    // Barbs of 15 mm and more lie on 0 … 20 and 60 … 80 of it.
    const std::vector<VaneFeather> waisted = {feather("v", VaneSide::left, 80, {20, 10, 20})};
    std::vector<SlipWanted> slips = {slip("a", 18, 15), slip("b", 18, 15)};
    const CuttingPlan both = planCuts(waisted, slips);
    checkSound(both, waisted, slips);
    CHECK(both.uncut.empty());
    slips.push_back(slip("c", 3, 15));  // there are 2 mm left at either end
    const CuttingPlan two = planCuts(waisted, slips);
    checkSound(two, waisted, slips);
    CHECK(two.uncut.size() == 1);
    CHECK(planCuts(waisted, {slip("d", 21, 15)}).uncut.size() == 1);
}

TEST_CASE("when not all go, as many are cut as can be") {
    const std::vector<VaneFeather> feathers = {feather("l", VaneSide::left, 20, {20, 20, 20})};
    const CuttingPlan plan = planCuts(feathers, {slip("a", 15, 10), slip("b", 9, 10), slip("c", 9, 10)});
    CHECK(plan.feathers[0].cuts.size() == 2);  // the two narrow ones
    REQUIRE(plan.uncut.size() == 1);
    CHECK(plan.uncut[0].slip == "a");
}

TEST_CASE("a batch too large for a proof is still cut soundly, with a bound") {
    std::vector<VaneFeather> feathers;
    for (int f = 0; f < 40; ++f)
        feathers.push_back(feather("f" + std::to_string(f), f % 2 ? VaneSide::left : VaneSide::right, 60 + f, {14, 22, 18}));
    std::vector<SlipWanted> slips;
    for (int s = 0; s < 288; ++s)
        slips.push_back(slip("s" + std::to_string(s), 4.7, 12 + s % 5, SlipSide::any, s % 2 == 0));
    const CuttingPlan plan = planCuts(feathers, slips);
    checkSound(plan, feathers, slips);
    CHECK_FALSE(plan.optimal);
    CHECK(plan.bound >= 1);
    CHECK(plan.bound <= plan.feathersUsed());
}

TEST_CASE("a fly wants its wing's slips from one feather or a pair, and cutting leaves the rest of the vane") {
    Book book = demoBook();
    const auto rolled = slipsFor(planPattern(book, "heather-tinker").value(), 3);
    REQUIRE(rolled.size() == 3);
    const Plan plan = planPattern(book, "heather-tinker").value();
    const auto& wing = std::get<WingPlan>(plan.parts[4].detail);
    CHECK(rolled[0].width == wing.slip);
    CHECK_THAT(mmOf(rolled[0].barb), WithinAbs(mmOf(wing.length) + 6.0, 1e-12));
    CHECK_FALSE(*rolled[0].pair);
    CHECK(*slipsFor(planPattern(book, "ferry-bell").value(), 1)[0].pair);
    const std::vector<VaneFeather> feathers = {feather("f", VaneSide::left, 70, {30, 30, 30})};
    const CuttingPlan cuts = planCuts(feathers, {slip("a", 8, 20)});
    CHECK_THAT(mmOf(freeVane(afterCutting(feathers, cuts)[0])), WithinAbs(62.0, 1e-9));
}

TEST_CASE("hackles serve the most flies, then with the least error, as trying all pairings does") {
    constexpr unsigned kSeed = 3;
    std::mt19937 random(kSeed);
    const auto whole = [&](int low, int high) { return std::uniform_int_distribution<int>(low, high)(random); };
    for (int round = 0; round < 200; ++round) {
        CAPTURE(kSeed, round);
        Cape cape{"cape", "hen", 20.0 * mm, {}, {}};
        std::vector<double> feathers;
        for (int b = 0; b < 3; ++b) {
            const double low = whole(3, 9);
            const int count = whole(0, 2);
            cape.bands.push_back({low * mm, (low + 1.0) * mm, count, {}});
            for (int n = 0; n < count; ++n)
                feathers.push_back(low + 0.5);
        }
        std::vector<HackleWanted> wanted;
        for (int f = 0; f < 4; ++f)
            wanted.push_back({"fly", "hen", 0.1 * whole(30, 110) * mm, 15.0 * mm, 2.0, 5.0 * mm});
        const HacklesChosen chosen = chooseHackles({cape}, wanted);
        // Every way to give feathers to flies, one each.
        std::vector<int> order(std::max(feathers.size(), wanted.size()));
        std::iota(order.begin(), order.end(), 0);
        std::size_t served = std::min(feathers.size(), wanted.size());
        double least = 1e9;
        do {
            double error = 0.0;
            for (std::size_t i = 0; i < order.size(); ++i)
                if (const auto f = static_cast<std::size_t>(order[i]); i < wanted.size() && f < feathers.size())
                    error += std::abs(feathers[f] - mmOf(wanted[i].fibre));
            least = std::min(least, error);
        } while (std::ranges::next_permutation(order).found);
        CHECK(chosen.served.size() == served);
        CHECK(chosen.served.size() + chosen.unserved.size() == wanted.size());
        CHECK_THAT(mmOf(chosen.totalError), WithinAbs(least, 1e-9));
    }
}

TEST_CASE("one long feather serves two flies, a short stem none, and no cape says so") {
    const std::vector<HackleWanted> two(2, {"fly", "hen", 6.0 * mm, 15.0 * mm, 2.0, 5.0 * mm});
    const std::vector<CapeBand> one = {{5.5 * mm, 6.5 * mm, 1, {}}};
    CHECK(chooseHackles({{"c", "hen", 40.0 * mm, one, {}}}, two).served.size() == 2);
    CHECK(chooseHackles({{"c", "hen", 20.0 * mm, one, {}}}, two).served.size() == 1);
    CHECK(chooseHackles({{"c", "hen", 10.0 * mm, one, {}}}, two).unserved.front().second.find("stem enough") != std::string::npos);
    CHECK(chooseHackles({}, two).unserved.front().second.find("no cape") != std::string::npos);
}

TEST_CASE("what a batch used is gone from feathers and capes, and the flies are in the box") {
    const Book book = demoBook();
    const Plan plan = planPattern(book, "heather-tinker").value();
    const CuttingPlan cuts = planCuts(book.feathers, slipsFor(plan, 2));
    const HacklesChosen hackles = chooseHackles(book.capes, hacklesFor(plan, 2));
    const Edit edit = recordTied(book, {{"heather-tinker", 2}}, cuts, hackles).value();
    const auto all = [](const Book& b) {
        Length free;
        int feathers = 0;
        for (const VaneFeather& f : b.feathers)
            free += freeVane(f);
        for (const Cape& c : b.capes)
            for (const CapeBand& band : c.bands)
                feathers += band.count;
        return std::pair(free, feathers);
    };
    const Length slip = std::get<WingPlan>(plan.parts[4].detail).slip;
    CHECK_THAT(mmOf(all(book).first - all(edit.after).first), WithinAbs(2.0 * mmOf(slip), 1e-6));
    CHECK(all(book).second - all(edit.after).second == 2);
    CHECK(check(edit.after).empty());
    const auto count = [](const Book& b) { return std::ranges::find(b.box, "heather-tinker", &BoxFly::pattern)->tied.value(); };
    CHECK(count(edit.after) == count(book) + 2);
}

TEST_CASE("forty mixed slips on twelve feathers are proven best within the budget, however they are dealt") {
    std::uint64_t most = 0;
    for (unsigned seed = 1; seed <= 12; ++seed) {
        std::mt19937 random(seed);
        std::vector<VaneFeather> feathers;
        for (int f = 0; f < 12; ++f)
            feathers.push_back(vaneFeather("f" + std::to_string(f), "m", f % 2 ? VaneSide::left : VaneSide::right, (60.0 + 3.0 * f) * mm,
                                           {16.0 * mm, 24.0 * mm, 20.0 * mm}));
        std::vector<SlipWanted> slips;
        Length wanted;
        for (int s = 0; s < 40; ++s) {
            slips.push_back({"s" + std::to_string(s),
                             "m",
                             (3.0 + 0.5 * static_cast<double>(random() % 7)) * mm,
                             (10.0 + static_cast<double>(random() % 10)) * mm,
                             SlipSide::any,
                             random() % 4 == 0,
                             {}});
            wanted += (*slips.back().pair ? 2.0 : 1.0) * slips.back().width;
        }
        const CuttingPlan plan = planCuts(feathers, slips);
        CAPTURE(seed, plan.steps);
        CHECK(plan.optimal);
        CHECK(plan.uncut.empty());
        CHECK(plan.bound == plan.feathersUsed());
        CHECK(plan.leastWaste == plan.waste);
        // No two or three of the feathers with less vane than that have room enough: the proof, by areas alone.
        Length used;
        for (const FeatherCuts& cut : plan.feathers)
            used += std::ranges::find(feathers, cut.feather, &VaneFeather::id)->vane;
        CHECK(mmOf(used - wanted) == Approx(mmOf(plan.waste)).margin(1e-6));
        most = std::max(most, plan.steps);
    }
    CHECK(most < kCuttingSteps / 4);
}

TEST_CASE("a plan that isn't proven says how far from best it can be") {
    std::vector<VaneFeather> feathers;
    for (int f = 0; f < 12; ++f)
        feathers.push_back(vaneFeather("f" + std::to_string(f), "m", f % 2 ? VaneSide::left : VaneSide::right, (51.0 + 2.7 * f) * mm,
                                       {13.0 * mm, 22.0 * mm, 17.0 * mm}));
    std::mt19937 random(11);
    std::vector<SlipWanted> slips;
    for (int s = 0; s < 40; ++s)
        slips.push_back({"s" + std::to_string(s),
                         "m",
                         (2.0 + 0.1 * static_cast<double>(random() % 50)) * mm,
                         (9.0 + 0.1 * static_cast<double>(random() % 110)) * mm,
                         SlipSide::any,
                         random() % 2 == 0,
                         {}});
    const CuttingPlan rough = planCuts(feathers, slips, {20'000, {}});
    const CuttingPlan longer = planCuts(feathers, slips, {120'000, {}});
    for (const CuttingPlan* plan : {&rough, &longer}) {
        CHECK(plan->bound <= plan->feathersUsed());
        if (plan->bound == plan->feathersUsed()) CHECK(mmOf(plan->leastWaste) <= mmOf(plan->waste) + 1e-9);
    }
    CHECK(std::pair(longer.feathersUsed(), mmOf(longer.waste)) <= std::pair(rough.feathersUsed(), mmOf(rough.waste) + 1e-9));
}

TEST_CASE("a slip wider than any stretch is offered as two halves, and cut so when asked") {
    const std::vector<VaneFeather> feathers = {
        vaneFeather("f", "m", VaneSide::left, 60.0 * mm, {20.0 * mm, 20.0 * mm, 20.0 * mm}, {{20.0 * mm, 40.0 * mm}})};
    const std::vector<SlipWanted> slips = {{"wide", "m", 24.0 * mm, 10.0 * mm, SlipSide::any, {}, {}},
                                           {"small", "m", 5.0 * mm, 10.0 * mm, SlipSide::any, {}, {}}};
    const CuttingPlan whole = planCuts(feathers, slips);
    REQUIRE(whole.uncut.size() == 1);
    CHECK(mmOf(*whole.uncut[0].halves) == Approx(12.0));
    CHECK(whole.uncut[0].why.find("married") != std::string::npos);
    const auto halved = inHalves(slips, whole);
    REQUIRE(halved.size() == 3);
    const CuttingPlan cut = planCuts(feathers, halved);
    CHECK(cut.uncut.empty());
    CHECK(mmOf(cut.waste) == Approx(40.0 - 29.0));
    // What can't be had in halves either is not offered so.
    CHECK_FALSE(planCuts(feathers, {{"huge", "m", 50.0 * mm, 10.0 * mm, SlipSide::any, {}, {}}}).uncut[0].halves);
}

TEST_CASE("graded feathers: what is spoiled is cut around, and a pair comes from one shade or from what was paired") {
    VaneFeather left = feather("l", VaneSide::left, 60.0, {12.0, 14.0, 10.0}),
                right = feather("r", VaneSide::right, 60.0, {12.0, 14.0, 10.0});
    const std::vector<SlipWanted> pair = {slip("pair", 5.0, 8.0, SlipSide::any, true)};
    const auto planned = [&] { return planCuts({left, right}, pair); };
    REQUIRE(planned().uncut.empty());
    SECTION("of two shades: none, and it says why") {
        left.shade = FeatherShade::dark;
        const auto plan = planned();
        REQUIRE(plan.uncut.size() == 1);
        CHECK(plan.uncut.front().why.find("one shade") != std::string::npos);
        right.shade = FeatherShade::dark;
        CHECK(planned().uncut.empty());
    }
    SECTION("middling is what nobody graded") {
        left.shade = FeatherShade::middling;
        CHECK(planned().uncut.empty());
    }
    SECTION("what was paired goes with its match alone") {
        left.match = "A";
        CHECK(planned().uncut.size() == 1);
        right.match = "B";
        CHECK(planned().uncut.size() == 1);
        right.match = "A";
        CHECK(planned().uncut.empty());
    }
    SECTION("a slip never lies on what is spoiled") {
        left.spoiled = {{0.0 * mm, 30.0 * mm}};
        right.spoiled = {{40.0 * mm, 60.0 * mm}};
        const auto plan = planned();
        REQUIRE(plan.uncut.empty());
        for (const FeatherCuts& cuts : plan.feathers)
            for (const auto& cut : cuts.cuts) {
                CHECK((cuts.feather != "l" || cut.from >= 30.0 * mm));
                CHECK((cuts.feather != "r" || cut.to <= 40.0 * mm));
            }
        CHECK(mmOf(freeVane(left)) == Approx(30.0));
    }
    SECTION("what it is good for") {
        CHECK(goodFor(left) == "any wing");
        left.spoiled = {{0.0 * mm, 35.0 * mm}};
        CHECK(goodFor(left).starts_with("tails, legs and throats"));
        left.spoiled.clear();
        left.match = "A";
        CHECK(goodFor(left) == "a paired wing with its match");
    }
}
