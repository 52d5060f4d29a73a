// The hand, the daybook and the evening: closed forms, simulated truth, and exhaustive search on small evenings.
#include <boost/math/distributions/normal.hpp>
#include <catch2/catch.hpp>
#include <random>

#include "bench/schedule.h"
#include "daybook/rates.h"
#include "hand/hand.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

TEST_CASE("six flies dry after 127 minutes fly by fly, 125.5 stage by stage, which is best") {  // models.md section 13
    const std::vector<TyingJob> jobs = {{"fly", {{"tie", 12, 0}, {"coat 1", 0.5, 20}, {"coat 2", 0.5, 30}}, 6}};
    CHECK_THAT(flyByFly(jobs, 0.0).allDry, WithinAbs(127.0, 1e-9));
    CHECK_THAT(stageByStage(jobs, 0.0).allDry, WithinAbs(125.5, 1e-9));
    const BestTimetable best = earliestFinish(jobs, 0.0);
    CHECK_THAT(best.table.allDry, WithinAbs(125.5, 1e-9));
    CHECK(best.proven);
}

TEST_CASE("hands do one thing at a time, nothing is worked on wet, and the best is no later than either way") {
    std::mt19937 random(4);
    const auto real = [&](double low, double high) { return std::uniform_real_distribution<double>(low, high)(random); };
    for (int round = 0; round < 40; ++round) {
        std::vector<TyingJob> jobs;
        for (int j = 0; j < 2; ++j)
            jobs.push_back({DressingId("fly" + std::to_string(j)),
                            {{"tie " + std::to_string(j), real(3, 15), 0}, {"coat", 0.5, real(5, 30)}, {"coat 2", 0.5, real(5, 30)}},
                            1 + static_cast<int>(random() % 3)});
        const BestTimetable best = earliestFinish(jobs);
        CHECK(best.table.allDry <= flyByFly(jobs).allDry + 1e-9);
        CHECK(best.table.allDry <= stageByStage(jobs).allDry + 1e-9);
        CHECK(best.bound <= best.table.allDry + 1e-9);
        for (const Timetable& table : {flyByFly(jobs), stageByStage(jobs), best.table}) {
            double hands = 0.0;
            std::map<std::pair<std::size_t, int>, double> dry;
            for (const TimedStage& s : table.stages) {
                CHECK(s.start >= hands - 1e-9);
                CHECK(s.start >= dry[{s.job, s.fly}] - 1e-9);
                hands = s.end;
                dry[{s.job, s.fly}] = s.end + jobs[s.job].stages[s.stage].dry;
            }
            CHECK(table.stages.size() == static_cast<std::size_t>(3 * (jobs[0].count + jobs[1].count)));
        }
        CHECK(driedBefore(best.table, jobs, best.table.allDry) == std::vector{jobs[0].count, jobs[1].count});
        CHECK(driedBefore(best.table, jobs, 1.0) == std::vector{0, 0});
    }
}

TEST_CASE("the best timetable is that of every order, on small evenings") {
    std::mt19937 random(8);
    const auto real = [&](double low, double high) { return std::uniform_real_distribution<double>(low, high)(random); };
    for (int round = 0; round < 30; ++round) {
        std::vector<TyingJob> jobs = {{"a", {{"tie a", real(3, 9), 0}, {"coat a", 1, real(5, 20)}}, 2},
                                      {"b", {{"tie b", real(3, 9), 0}, {"coat b", 1, real(5, 20)}}, 1}};
        // Every order of the six stages, each as early as it can be.
        std::vector<int> order = {0, 0, 1, 1, 2, 2};  // which fly
        double least = 1e9;
        do {
            double now = 0.0, dry = 0.0;
            std::string last;
            std::array<double, 3> ready{};
            std::array<std::size_t, 3> next{};
            for (const int fly : order) {
                const auto f = static_cast<std::size_t>(fly);
                const Stage& stage = jobs[f < 2 ? 0 : 1].stages[next[f]++];
                if (!last.empty() && last != stage.name) now += kSetUp;
                last = stage.name;
                now = std::max(now, ready[f]) + stage.hands;
                ready[f] = now + stage.dry;
                dry = std::max(dry, ready[f]);
            }
            least = std::min(least, dry);
        } while (std::ranges::next_permutation(order).found);
        const BestTimetable best = earliestFinish(jobs);
        CHECK(best.proven);
        CHECK_THAT(best.table.allDry, WithinAbs(least, 1e-9));
    }
}

TEST_CASE("a hand's posterior is the closed form, and an unknown hand errs by 6 % without bias") {
    const HandPosterior none = handOf({});
    CHECK(none.mean == 0.0);
    CHECK_THAT(none.spread(), WithinRel(0.06, 1e-12));
    const std::vector<double> x = {0.08, 0.05, 0.11};
    const HandPosterior hand = handOf(x);
    CHECK_THAT(hand.kappa, WithinAbs(4.44, 1e-12));
    CHECK_THAT(hand.mean, WithinAbs(0.24 / 4.44, 1e-12));
    CHECK_THAT(hand.alpha, WithinAbs(4.0, 1e-12));
    CHECK_THAT(hand.beta, WithinAbs(2.5 * 0.0036 + 0.5 * 0.0018 + 1.44 * 3 * 0.0064 / (2 * 4.44), 1e-12));
    CHECK_THAT(mmOf(aimFor(11.7 * mm, hand)), WithinAbs(11.7 / (1.0 + 0.24 / 4.44), 1e-9));
}

TEST_CASE("a dozen are all within more surely at the aim, and the chance is that of simulated hands") {
    const HandPosterior hand = handOf({0.05, 0.07, 0.06, 0.04, 0.08, 0.06, 0.05});
    const double asTied = dozenWithin(hand, 10.0 * mm, 0.1, 10.0 * mm), atAim = dozenWithin(hand, 10.0 * mm, 0.1, aimFor(10.0 * mm, hand));
    CHECK(atAim > asTied);
    std::mt19937 random(12);
    const double aim = mmOf(aimFor(10.0 * mm, hand));
    double sum = 0.0;
    constexpr int kRuns = 40000;
    std::gamma_distribution<double> precision(hand.alpha, 1.0 / hand.beta);
    const boost::math::normal_distribution<double> unit;
    for (int i = 0; i < kRuns; ++i) {
        const double sigma = 1.0 / std::sqrt(precision(random));
        const double m = std::normal_distribution<double>(hand.mean, sigma / std::sqrt(hand.kappa))(random);
        const double within =
            boost::math::cdf(unit, ((11.0 / aim - 1.0) - m) / sigma) - boost::math::cdf(unit, ((9.0 / aim - 1.0) - m) / sigma);
        sum += std::pow(within, 12);
    }
    CHECK_THAT(atAim, WithinAbs(sum / kRuns, 0.01));
}

TEST_CASE("a shift is found where there is one, and seldom where there is none") {
    std::mt19937 random(6);
    std::normal_distribution<double> hand(0.0, 0.05);
    int false_ = 0, true_ = 0;
    constexpr int kRuns = 2000;
    for (int run = 0; run < kRuns; ++run) {
        std::vector<double> a, b, c;
        for (int i = 0; i < 10; ++i) {
            a.push_back(hand(random));
            b.push_back(hand(random));
            c.push_back(0.15 + hand(random));
        }
        false_ += shiftBetween(a, b).real() ? 1 : 0;
        true_ += shiftBetween(a, c).real() ? 1 : 0;
    }
    CHECK(false_ < 0.07 * kRuns);
    CHECK(true_ > 0.95 * kRuns);
}

TEST_CASE("an empty book expects half a fish an hour, and a fly not fished is only its prior") {
    const Rate none = rateOf("x", {}, 0.0, 0.0);
    CHECK_FALSE(none.fished);
    CHECK_THAT(none.mean(), WithinAbs(0.5, 1e-12));
    const Rate some = rateOf("x", {{{3, 2}, {1, 2}}}, 9.5, 19.0);
    CHECK_THAT(some.a, WithinAbs(4 * 0.5 + 4 / 1.5, 1e-12));
    CHECK_THAT(some.b, WithinAbs(4 + 4 / 1.5, 1e-12));
    CHECK(some.low < some.mean());
    CHECK(some.high > some.mean());
}

TEST_CASE("chances are symmetric, and two alike can't be told apart") {
    const Rate good = rateOf("a", {{{9, 3}, {12, 3}, {8, 3}, {10, 3}, {11, 3}}}, 5, 20),
               bad = rateOf("b", {{{0, 3}, {1, 3}, {0, 3}, {0, 3}, {1, 3}}}, 50, 20);
    CHECK_THAT(chanceBetter(good, bad) + chanceBetter(bad, good), WithinAbs(1.0, 1e-12));
    CHECK(enoughToTell(good, bad));
    CHECK_THAT(chanceBetter(good, good), WithinAbs(0.5, 1e-12));
    CHECK_FALSE(enoughToTell(good, good));
    // However likely one is the better: not while the two overlap by more than half of the narrower. 0.55 and 0.45 of 1.0.
    Rate high = good, low = bad;
    low.low = 0.0;
    low.high = 1.0;
    high.high = 9.0;
    high.low = 0.45;
    CHECK_FALSE(enoughToTell(high, low));
    high.low = 0.55;
    CHECK(enoughToTell(high, low));
}

TEST_CASE("80 % intervals hold the truth about 80 times in a hundred, over 2,000 seasons") {
    std::mt19937 random(21);
    int held = 0;
    constexpr int kRuns = 2000;
    for (int run = 0; run < kRuns; ++run) {
        const double truth = std::gamma_distribution<double>(4 * 0.5, 0.25)(random);  // as the prior has it
        RateCell cell;
        for (int day = 0; day < 8; ++day)
            cell.days.emplace_back(std::poisson_distribution<int>(truth * 2.0)(random), 2.0);
        const Rate rate = rateOf("x", cell, 50.0 - 0.5, 99.0);
        held += rate.low <= truth && truth <= rate.high ? 1 : 0;
    }
    CHECK(held > 0.77 * kRuns);
    CHECK(held < 0.90 * kRuns);  // allowing for bad days makes them a little wide
}

TEST_CASE("fish without a fly in the water, and days without hours, don't break the sums") {
    Book book = demoBook();
    Day day;
    day.id = "d";
    day.date = "2026-06-01";
    day.fish = {{"kelp-lantern", Position::bob, {}, {}, {}}};
    book.days = {day};
    for (const auto& entry : Names<Factor>::entries)
        for (const Rate& rate : ratesBy(book, entry.value)) {
            CHECK(std::isfinite(rate.mean()));
            CHECK_FALSE(rate.fished);
        }
    CHECK(isDate("2024-02-29"));
    CHECK_FALSE(isDate("2026-02-29"));
    CHECK_FALSE(isDate("26-2-29"));
}
