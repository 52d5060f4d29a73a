// The batches that wait, as jobs for an evening.
#pragma once

#include "bench/schedule.h"
#include "sizing/plan.h"

namespace machair {

// A fly's stages: as many minutes of hands as its steps want, and its coats. Rules of thumb until the tier's own are logged.
[[nodiscard]] std::vector<Stage> stagesOf(const Plan& plan);

// What is still to tie of every batch; a dressing that can't be planned is a fault.
[[nodiscard]] Result<std::vector<TyingJob>> waitingJobs(const Book& book);

}  // namespace machair
