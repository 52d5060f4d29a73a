// The batches that wait, as jobs for an evening.
#pragma once

#include "bench/schedule.h"
#include "sizing/plan.h"

namespace machair {

// Minutes of hands that a fly of this dressing takes this tier: the median of what was logged and the middle half of it.
// Nothing under three flies.
struct OwnMinutes {
    double median = 0.0;
    double low = 0.0;  // quartiles
    double high = 0.0;
    int flies = 0;
};
[[nodiscard]] std::optional<OwnMinutes> ownMinutes(const Book& book, const DressingId& pattern);

// A fly's stages: as many minutes of hands as its steps want, and its coats. Rules of thumb until the tier's own are logged.
[[nodiscard]] std::vector<Stage> stagesOf(const Plan& plan, const std::optional<OwnMinutes>& own = std::nullopt);

// What is still to tie of every batch; a dressing that can't be planned is a fault.
[[nodiscard]] Result<std::vector<TyingJob>> waitingJobs(const Book& book);

// The evening told as what to put into a calendar: the tying as a whole, and each coat when it is due.
struct EveningEvent {
    std::string what;
    std::string how;
    double start = 0.0;  // minutes
    double end = 0.0;
    bool rings = false;
};
[[nodiscard]] std::vector<EveningEvent> eventsOf(const Book& book, const Timetable& table, const std::vector<TyingJob>& jobs);

// What a stretch of time leaves undone: "2 of Sea Lantern, 1 of Kelp Piper and 3 more"; empty where all is whole and dry by then.
[[nodiscard]] std::string leftUndone(const Book& book, const std::vector<TyingJob>& jobs, const std::vector<int>& dried);

// The order of the jobs in which thread and materials change least from one to the next: exact up to 12 jobs (a table over
// sets), else the nearest each time. What a change costs: 3 for another thread, 2 for another hook, 1 for each material
// that the next has and this hasn't.
[[nodiscard]] std::vector<std::size_t> groupedOrder(const Book& book, const std::vector<TyingJob>& jobs);
[[nodiscard]] int changesBetween(const Book& book, const DressingId& from, const DressingId& to);

}  // namespace machair
