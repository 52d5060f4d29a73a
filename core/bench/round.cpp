#include "bench/round.h"

#include <algorithm>

namespace machair {

std::vector<RoundStop> roundOf(const std::vector<TyingStep>& steps, int flies, RoundOrder order) {
    require(flies >= 1, "a round wants a fly");
    std::vector<RoundStop> round;
    std::size_t from = 0;
    for (; from < steps.size() && steps[from].before; ++from)
        round.push_back({0, from});
    while (from < steps.size()) {
        std::size_t to = steps.size();
        if (order == RoundOrder::stageByStage) {
            to = from;
            while (to < steps.size() && !steps[to++].dryMinutes) {
            }
        }
        for (int fly = 0; fly < flies; ++fly)
            for (std::size_t step = from; step < to; ++step)
                round.push_back({fly, step});
        from = to;
    }
    return round;
}

std::size_t stopAt(const std::vector<RoundStop>& round, const std::vector<TyingStep>& steps, int fly, std::size_t step) {
    const bool forAll = step < steps.size() && steps[step].before;
    const auto found = std::ranges::find(round, RoundStop{forAll ? 0 : fly, step});
    return static_cast<std::size_t>(found - round.begin());
}

RoundOrder orderOf(const Timetable& table) {
    for (const TimedStage& coat : table.stages) {
        if (coat.stage == 0) continue;
        const bool tiesLater = std::ranges::any_of(
            table.stages, [&](const TimedStage& other) { return other.job == coat.job && other.stage == 0 && other.start > coat.start; });
        if (tiesLater) return RoundOrder::flyByFly;
    }
    return RoundOrder::stageByStage;
}

int finishedBy(const std::vector<RoundStop>& round, const std::vector<TyingStep>& steps, std::size_t stop) {
    const auto last = round.begin() + static_cast<std::ptrdiff_t>(std::min(stop + 1, round.size()));
    return static_cast<int>(std::count_if(round.begin(), last, [&](const RoundStop& s) { return s.step + 1 == steps.size(); }));
}

}  // namespace machair
