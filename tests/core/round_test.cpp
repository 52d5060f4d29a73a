#include "bench/round.h"

#include <catch2/catch.hpp>
#include <map>
#include <set>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

std::vector<TyingStep> tyingOf(const char* fly) { return stepsOf(planPattern(demoBook(), fly).value()); }

}  // namespace

TEST_CASE("worked: two flies of two things to make ready, two steps and two coats, fly by fly and stage by stage") {
    std::vector<TyingStep> steps(6);
    steps[0].before = steps[1].before = true;
    steps[4].dryMinutes = 20.0;
    steps[5].dryMinutes = 20.0;  // the last coat is the last step
    using S = std::vector<RoundStop>;
    CHECK(roundOf(steps, 2, RoundOrder::flyByFly) == S{{0, 0}, {0, 1}, {0, 2}, {0, 3}, {0, 4}, {0, 5}, {1, 2}, {1, 3}, {1, 4}, {1, 5}});
    CHECK(roundOf(steps, 2, RoundOrder::stageByStage) == S{{0, 0}, {0, 1}, {0, 2}, {0, 3}, {0, 4}, {1, 2}, {1, 3}, {1, 4}, {0, 5}, {1, 5}});
    CHECK(roundOf(steps, 1, RoundOrder::stageByStage) == S{{0, 0}, {0, 1}, {0, 2}, {0, 3}, {0, 4}, {0, 5}});
    const auto round = roundOf(steps, 2, RoundOrder::stageByStage);
    CHECK(stopAt(round, steps, 1, 1) == 1);  // made ready for both
    CHECK(stopAt(round, steps, 1, 2) == 5);
    CHECK(finishedBy(round, steps, 7) == 0);
    CHECK(finishedBy(round, steps, 8) == 1);
    CHECK(finishedBy(round, steps, 9) == 2);
}

TEST_CASE("whatever the order, every fly gets every step once and in turn, and nothing is made ready twice") {
    for (const char* fly : {"kelp-lantern", "heather-tinker", "rush-piper"})
        for (const RoundOrder order : {RoundOrder::flyByFly, RoundOrder::stageByStage})
            for (const int flies : {1, 2, 6}) {
                const auto steps = tyingOf(fly);
                const auto round = roundOf(steps, flies, order);
                std::map<int, std::size_t> last;
                std::set<std::pair<int, std::size_t>> seen;
                for (const RoundStop& stop : round) {
                    CHECK(seen.insert({stop.fly, stop.step}).second);
                    if (!steps[stop.step].before) {
                        CHECK((!last.contains(stop.fly) || last[stop.fly] + 1 == stop.step));
                        last[stop.fly] = stop.step;
                    } else
                        CHECK(stop.fly == 0);
                }
                const auto ready = static_cast<std::size_t>(std::ranges::count_if(steps, &TyingStep::before));
                CHECK(round.size() == ready + static_cast<std::size_t>(flies) * (steps.size() - ready));
                CHECK(finishedBy(round, steps, round.size() - 1) == flies);
            }
}

TEST_CASE("stage by stage no coat is given before every fly is tied") {
    const auto steps = tyingOf("kelp-lantern");
    const auto round = roundOf(steps, 4, RoundOrder::stageByStage);
    const auto firstCoat =
        static_cast<std::size_t>(std::ranges::find_if(steps, [](const TyingStep& s) { return s.dryMinutes.has_value(); }) - steps.begin());
    REQUIRE(firstCoat + 1 < steps.size());
    const std::size_t after = stopAt(round, steps, 0, firstCoat + 1);
    for (int fly = 0; fly < 4; ++fly)
        CHECK(stopAt(round, steps, fly, firstCoat) < after);
}

TEST_CASE("an evening says how its batches go: fly by fly lays a coat between, stage by stage doesn't") {
    const std::vector<TyingJob> jobs = {{"a", {{"tie", 12.0, 0.0}, {"coat 1", 0.5, 20.0}, {"coat 2", 0.5, 30.0}}, 6}};
    CHECK(orderOf(flyByFly(jobs)) == RoundOrder::flyByFly);
    CHECK(orderOf(stageByStage(jobs)) == RoundOrder::stageByStage);
    CHECK(orderOf(Timetable{}) == RoundOrder::stageByStage);
}
