// Several flies of one dressing at the vice: in which order their steps come.
//
// What is made ready is made ready once, for all of them. Then either each fly is tied to its end, or one stage is done on
// all of them before the next: the tying, then each coat. A stage ends where something has to dry.
#pragma once

#include <vector>

#include "bench/schedule.h"
#include "bench/steps.h"

namespace machair {

enum class RoundOrder { flyByFly, stageByStage };

struct RoundStop {
    int fly = 0;  // from 0; of what is made ready, for all, 0
    std::size_t step = 0;
    bool operator==(const RoundStop&) const = default;
};

// Every step of every fly, once. One fly at least.
[[nodiscard]] std::vector<RoundStop> roundOf(const std::vector<TyingStep>& steps, int flies, RoundOrder order);

// The stop of a round at this step of this fly; where the step is for all flies, whichever is asked. Past its end where there is none.
[[nodiscard]] std::size_t stopAt(const std::vector<RoundStop>& round, const std::vector<TyingStep>& steps, int fly, std::size_t step);

// The order that an evening is laid out in: stage by stage where no fly gets its first coat before the last one is tied, of the
// dressings of which more than one is tied.
[[nodiscard]] RoundOrder orderOf(const Timetable& table);

// How many of its flies stand finished once this stop is done.
[[nodiscard]] int finishedBy(const std::vector<RoundStop>& round, const std::vector<TyingStep>& steps, std::size_t stop);

}  // namespace machair
