// What cutting, balancing, choosing, drifting and an evening cost. Targets stand beside each.
#include <benchmark/benchmark.h>

#include <chrono>
#include <numeric>
#include <random>

#include "bench/schedule.h"
#include "bench/steps.h"
#include "benchmarks/demo_book.h"
#include "cutting/cutting.h"
#include "leader/drift.h"
#include "team/balance.h"
#include "team/choose.h"
#include "tests/feathers.h"
#include "tests/integer_programme.h"

namespace machair::benchmarks {

namespace {

Rig demoRig() {
    const Book& book = demoBook();
    return rigOf(weighTeam(book, "west-shore")->flies, measuresOf(book.findTeam("west-shore")->leader));
}
Handling fortySeconds() {
    Handling h;
    h.count = 5.0 * second;
    h.retrieveFor = 35.0 * second;
    return h;
}

std::vector<BoxCandidate> box(std::size_t flies) {
    std::mt19937 random(1);
    const auto real = [&](double low, double high) { return std::uniform_real_distribution<double>(low, high)(random); };
    std::vector<BoxCandidate> list;
    for (std::size_t i = 0; i < flies; ++i) {
        FlyFigures f;
        f.sink = real(0.04, 0.3) * metrePerSecond;
        f.presence = real(0.5, 7.0) * millinewton;
        f.mass = real(30.0, 150.0) * mg;
        f.size = 8 + 2 * static_cast<int>(random() % 4);
        f.full = real(0.4, 4.0);
        f.stiff = real(0.0, 1.0);
        f.weight = real(0.05, 1.5) * millinewton;
        f.style = Names<FlyStyle>::entries[random() % Names<FlyStyle>::entries.size()].value;
        f.identity = i;
        f.lengths[static_cast<std::size_t>(Likeness::collar)] = real(0.9, 1.6);
        if (random() % 2) f.lengths[static_cast<std::size_t>(Likeness::fibreTail)] = real(1.0, 2.0);
        f.seen = {real(5, 60), real(-20, 30), real(-20, 30)};
        if (i >= 200) f.seen = list[i % 200].figures.seen;  // dressings in several sizes share their colours
        list.push_back({std::to_string(i), Fly("p", "h"), "fly", "fly", 1 + static_cast<int>(random() % 3), f});
    }
    return list;
}
TeamSetting windy() {
    TeamSetting setting;
    setting.day.wave = seaUnder({6.0 * metrePerSecond, 2000.0 * metre, false}).height;
    return setting;
}
TripleScores tables(const std::vector<BoxCandidate>& flies) {
    std::vector<std::size_t> all(flies.size());
    std::iota(all.begin(), all.end(), std::size_t{0});
    return scoresOf(flies, rulesOf(School::stepped), windy(), {all, all, all});
}

}  // namespace

static void driftForFortySeconds(benchmark::State& state) {  // < 150 ms
    const Rig rig = demoRig();
    DriftOptions options;
    options.keepNodes = false;
    for (auto _ : state)
        benchmark::DoNotOptimize(runDrift(rig, fortySeconds(), options));
}
BENCHMARK(driftForFortySeconds)->Unit(benchmark::kMillisecond);

// How it grows with the leader's links: 50 to 1,000.
static void driftOfLinks(benchmark::State& state) {
    const Rig rig = demoRig();
    DriftOptions options;
    options.keepNodes = false;
    options.link = measuresOf(demoBook().findTeam("west-shore")->leader).overall() / static_cast<double>(state.range(0));
    for (auto _ : state)
        benchmark::DoNotOptimize(runDrift(rig, fortySeconds(), options));
}
BENCHMARK(driftOfLinks)->Arg(50)->Arg(100)->Arg(200)->Arg(500)->Arg(1000)->Unit(benchmark::kMillisecond)->Iterations(1);

static void driftWhileAControlMoves(benchmark::State& state) {  // < 50 ms
    const Rig rig = demoRig();
    DriftOptions options;
    options.keepNodes = false;
    options.link = kDraggingLink;
    options.step = kDraggingStep;
    for (auto _ : state)
        benchmark::DoNotOptimize(runDrift(rig, fortySeconds(), options));
}
BENCHMARK(driftWhileAControlMoves)->Unit(benchmark::kMillisecond);

static void settledTowAtOneSpeed(benchmark::State& state) {  // < 5 ms
    const Rig rig = demoRig();
    for (auto _ : state)
        benchmark::DoNotOptimize(settledTow(rig, 0.3 * metrePerSecond));
}
BENCHMARK(settledTowAtOneSpeed)->Unit(benchmark::kMillisecond);

static void chooseAmong(benchmark::State& state) {  // 1,000: < 50 ms, 3,000: < 1 s
    const auto flies = box(static_cast<std::size_t>(state.range(0)));
    std::uint64_t scanned = 0;
    for (auto _ : state)
        scanned = chooseTeams(flies, rulesOf(School::stepped), windy()).pairsScanned;
    state.counters["pairs scanned"] = static_cast<double>(scanned);
}
BENCHMARK(chooseAmong)->Arg(100)->Arg(1000)->Arg(3000)->Arg(10000)->Unit(benchmark::kMillisecond);

// The search over ready tables, beside every triple of them: the ratio is what the bounds buy.
static void searchAmongAThousand(benchmark::State& state) {
    const TripleScores scores = tables(box(1000));
    for (auto _ : state)
        benchmark::DoNotOptimize(bestTriples(scores, 10));
}
BENCHMARK(searchAmongAThousand)->Unit(benchmark::kMillisecond);

static void everyTripleOfAThousand(benchmark::State& state) {
    const TripleScores s = tables(box(1000));
    for (auto _ : state) {
        std::int64_t best = kNever;
        for (std::size_t i = 0; i < 1000; ++i)
            for (std::size_t j = 0; j < 1000; ++j) {
                const std::int64_t base = std::int64_t{s.single[0][i]} + s.single[1][j] + s.first.at(i, j);
                for (std::size_t k = 0; k < 1000; ++k)
                    best = std::max(best, base + s.single[2][k] + s.second.at(j, k) + s.across.at(i, k));
            }
        benchmark::DoNotOptimize(best);
    }
}
BENCHMARK(everyTripleOfAThousand)->Unit(benchmark::kMillisecond)->Iterations(1);

// The day's verdict on a team, as it is said while the arrow of the wind is dragged.
static void theDaysVerdict(benchmark::State& state) {  // < 5 ms
    const Book& book = demoBook();
    WaterSpec water = book.waters.front();
    double wind = 0.0;
    for (auto _ : state) {
        wind = wind > 12.0 ? 0.0 : wind + 0.1;
        water.wind = wind * metrePerSecond;
        benchmark::DoNotOptimize(weighTeam(book, "west-shore", settingOf(book, &water)));
    }
}
BENCHMARK(theDaysVerdict)->Unit(benchmark::kMillisecond);

static void balanceAnUnsteadyTeam(benchmark::State& state) {  // < 300 ms
    // Upside down, with a box of some two hundred flies: each dressing on more hooks than anybody has.
    Book book = demoBook();
    for (int n = 0; book.box.size() < 200; ++n) {
        HookSpec hook = book.hooks[static_cast<std::size_t>(n) % book.hooks.size()];
        hook.id = HookId("bench-" + std::to_string(n));
        hook.longer = n % 3 - 1;
        book.hooks.push_back(hook);
        BoxFly fly;
        fly.id = BoxFlyId("fly-" + std::to_string(n));
        fly.pattern = book.patterns[static_cast<std::size_t>(n) % book.patterns.size()].id;
        fly.hook = hook.id;
        book.box.push_back(fly);
    }
    const TeamSetting setting = windy();
    for (auto _ : state)
        benchmark::DoNotOptimize(balanceTeam(book, "first-evening", setting));
}
BENCHMARK(balanceAnUnsteadyTeam)->Unit(benchmark::kMillisecond);

static void balanceAHopelessTeam(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(balanceTeam(demoBook(), "first-evening"));
}
BENCHMARK(balanceAHopelessTeam)->Unit(benchmark::kMillisecond)->Iterations(1);

static void cutFortySlips(benchmark::State& state) {  // 40 slips over 12 feathers: < 1 s, proven
    std::vector<VaneFeather> feathers;
    for (int f = 0; f < 12; ++f)
        feathers.push_back(tests::vaneFeather("f" + std::to_string(f), "m", f % 2 ? VaneSide::left : VaneSide::right, (60.0 + 3.0 * f) * mm,
                                              {16.0 * mm, 24.0 * mm, 20.0 * mm}));
    std::vector<SlipWanted> slips;
    std::mt19937 random(static_cast<unsigned>(state.range(0)));
    for (int s = 0; s < 40; ++s)
        slips.push_back({"s" + std::to_string(s),
                         "m",
                         (3.0 + 0.5 * static_cast<double>(random() % 7)) * mm,
                         (10.0 + static_cast<double>(random() % 10)) * mm,
                         SlipSide::any,
                         random() % 4 == 0,
                         {}});
    bool proven = false;
    for (auto _ : state)
        proven = planCuts(feathers, slips).optimal;
    state.counters["proven"] = proven ? 1.0 : 0.0;
}
BENCHMARK(cutFortySlips)->DenseRange(1, 5)->Unit(benchmark::kMillisecond)->Iterations(1);

// The same instances for our search and for the integer programme: feathers whose barbs are of one length, 24 slips.
namespace {
struct Instance {
    std::vector<VaneFeather> feathers;
    std::vector<SlipWanted> slips;
};
std::vector<Instance> oneLengthInstances() {
    std::mt19937 random(20261129);
    const auto whole = [&](int low, int high) { return std::uniform_int_distribution<int>(low, high)(random); };
    std::vector<Instance> all;
    for (int n = 0; n < 12; ++n) {
        Instance& one = all.emplace_back();
        for (int f = 0; f < 8; ++f) {
            const Length barb = whole(14, 20) * mm;
            one.feathers.push_back(tests::vaneFeather("f" + std::to_string(f), "m", f % 2 ? VaneSide::left : VaneSide::right,
                                                      whole(30, 60) * mm, {barb, barb, barb}));
        }
        for (int s = 0; s < 24; ++s)
            one.slips.push_back(
                {"s" + std::to_string(s), "m", (2.0 + 0.25 * whole(0, 12)) * mm, whole(8, 14) * mm, SlipSide::any, false, {}});
    }
    return all;
}
}  // namespace

static void cutByOurSearch(benchmark::State& state) {
    const auto instances = oneLengthInstances();
    int proven = 0;
    for (auto _ : state) {
        proven = 0;
        for (const Instance& one : instances)
            proven += planCuts(one.feathers, one.slips).optimal ? 1 : 0;
    }
    state.counters["proven of 12"] = proven;
}
BENCHMARK(cutByOurSearch)->Unit(benchmark::kMillisecond);

static void cutByTheIntegerProgramme(benchmark::State& state) {
    const auto instances = oneLengthInstances();
    for (auto _ : state)
        for (const Instance& one : instances)
            benchmark::DoNotOptimize(tests::Programme(one.feathers, one.slips).solve());
}
BENCHMARK(cutByTheIntegerProgramme)->Unit(benchmark::kMillisecond)->Iterations(1);

static void cutForTwentyFourDozen(benchmark::State& state) {  // < 2 s with a bound
    const Book& book = demoBook();
    std::vector<VaneFeather> feathers;
    for (int f = 0; f < 60; ++f)
        feathers.push_back(tests::vaneFeather("f" + std::to_string(f), "flank-bronze", f % 2 ? VaneSide::left : VaneSide::right, 70.0 * mm,
                                              {16.0 * mm, 24.0 * mm, 20.0 * mm}));
    const auto slips = slipsFor(planPattern(book, "heather-tinker").value(), 288);
    for (auto _ : state)
        benchmark::DoNotOptimize(planCuts(feathers, slips));
}
BENCHMARK(cutForTwentyFourDozen)->Unit(benchmark::kMillisecond);

static void stepsOfAFly(benchmark::State& state) {  // < 1 ms
    const Plan plan = planPattern(demoBook(), kFullestFly).value();
    for (auto _ : state)
        benchmark::DoNotOptimize(stepsOf(plan));
}
BENCHMARK(stepsOfAFly)->Unit(benchmark::kMillisecond);

static void eveningOfTwoHundred(benchmark::State& state) {  // < 200 ms
    const std::vector<TyingJob> jobs = {{"a", {{"tie a", 12, 0}, {"coat", 0.5, 20}, {"coat 2", 0.5, 30}}, 120},
                                        {"b", {{"tie b", 8, 0}, {"coat", 0.5, 20}}, 80}};
    for (auto _ : state)
        benchmark::DoNotOptimize(earliestFinish(jobs));
}
BENCHMARK(eveningOfTwoHundred)->Unit(benchmark::kMillisecond);

}  // namespace machair::benchmarks
