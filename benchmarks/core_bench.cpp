// What planning, loading and weighing cost. Targets: one plan < 1 ms, the demo < 20 ms.
#include <benchmark/benchmark.h>

#include "asking/asking.h"
#include "benchmarks/demo_book.h"
#include "team/team.h"

namespace machair::benchmarks {

static void planTheFullestFly(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(planPattern(demoBook(), kFullestFly));
}
BENCHMARK(planTheFullestFly)->Unit(benchmark::kMillisecond);

// The album's fullest: a tail, rib, body, palmer, two cloaks, cheeks and a head; the target is under 1 ms.
static void planTheFullestOfTheAlbum(benchmark::State& state) {
    const Book album = store::readBenchFile(MACHAIR_ALBUM).value().book;
    for (auto _ : state)
        benchmark::DoNotOptimize(planPattern(album, "gannet-hermit"));
}
BENCHMARK(planTheFullestOfTheAlbum)->Unit(benchmark::kMillisecond);

// Asking is a press: every figure of the fullest fly, one after another; an answer is to come within 5 ms.
static void askANumber(benchmark::State& state) {
    const Plan plan = planPattern(demoBook(), kFullestFly).value();
    const auto figures = figuresToAsk(plan);
    std::size_t at = 0;
    for (auto _ : state)
        benchmark::DoNotOptimize(ask(plan, figures[at++ % figures.size()]));
}
BENCHMARK(askANumber)->Unit(benchmark::kMillisecond);

static void planTheAlbum(benchmark::State& state) {
    const Book album = store::readBenchFile(MACHAIR_ALBUM).value().book;
    for (auto _ : state)
        for (const Pattern& pattern : album.patterns)
            benchmark::DoNotOptimize(planPattern(album, pattern.id));
}
BENCHMARK(planTheAlbum)->Unit(benchmark::kMillisecond);

static void loadTheDemo(benchmark::State& state) {
    const std::string text = demoText();
    for (auto _ : state)
        benchmark::DoNotOptimize(store::readBench(text));
}
BENCHMARK(loadTheDemo)->Unit(benchmark::kMillisecond);

static void writeTheDemo(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(store::writeBench(demoBook()));
}
BENCHMARK(writeTheDemo)->Unit(benchmark::kMillisecond);

static void weighATeam(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(weighTeam(demoBook(), "west-shore"));
}
BENCHMARK(weighATeam)->Unit(benchmark::kMillisecond);

}  // namespace machair::benchmarks
