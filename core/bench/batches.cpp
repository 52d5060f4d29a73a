#include "bench/batches.h"

#include "bench/steps.h"

namespace machair {

std::vector<Stage> stagesOf(const Plan& plan) {
    constexpr double kMinutesAStep = 1.1;
    constexpr double kCoat = 0.5;
    std::vector<Stage> stages = {{"tie", 0.0, 0.0}};
    for (const TyingStep& step : stepsOf(plan)) {
        if (step.dryMinutes)
            stages.push_back({"coat " + step.number, kCoat, *step.dryMinutes});
        else
            stages.front().hands += kMinutesAStep;
    }
    return stages;
}

Result<std::vector<TyingJob>> waitingJobs(const Book& book) {
    std::vector<TyingJob> jobs;
    Faults faults;
    for (const Batch& batch : book.batches) {
        const int left = batch.wanted - batch.tied.value_or(0);
        if (left <= 0) continue;
        const auto plan = planPattern(book, batch.pattern);
        if (plan)
            jobs.push_back({batch.pattern, stagesOf(*plan), left});
        else
            append(faults, plan.error());
    }
    if (!faults.empty()) return tl::unexpected(std::move(faults));
    return jobs;
}

}  // namespace machair
