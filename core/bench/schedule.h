// An evening at the vice: one pair of hands, coats that dry meanwhile (models.md section 13). Minutes.
#pragma once

#include <cstdint>
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "units/id.h"

namespace machair {

struct Stage {
    std::string name;    // "tie", "coat 1"
    double hands = 0.0;  // minutes
    double dry = 0.0;    // before the next
};
// So many flies of one kind, each the same chain of stages.
struct TyingJob {
    DressingId fly;
    std::vector<Stage> stages;
    int count = 1;
    std::optional<HookId> hook = {};      // where it isn't the dressing's own
    std::optional<std::string> day = {};  // YYYY-MM-DD that they are for
};

struct TimedStage {
    std::size_t job = 0;
    int fly = 0;  // of that job, from 0
    std::size_t stage = 0;
    double start = 0.0;
    double end = 0.0;  // hands free again
};
struct Timetable {
    std::vector<TimedStage> stages;  // in the order they are done
    double handsFree = 0.0;
    double allDry = 0.0;
};

inline constexpr double kSetUp = 0.5;  // minutes, when the stage changes
// Before each new fly any coat that is due is given, longest due first; a stage that needs no drying before it follows
// at once.
[[nodiscard]] Timetable flyByFly(const std::vector<TyingJob>& jobs, double setUp = kSetUp);
// Each stage over the whole batch, in order.
[[nodiscard]] Timetable stageByStage(const std::vector<TyingJob>& jobs, double setUp = kSetUp);

struct BestTimetable {
    Timetable table;
    bool proven = false;
    double bound = 0.0;  // nothing is all dry before this
    std::uint64_t steps = 0;
};
inline constexpr int kExactFlies = 12;
// Earliest all dry: exact up to 12 flies, else the better of the two ways and a bound.
[[nodiscard]] BestTimetable earliestFinish(const std::vector<TyingJob>& jobs, double setUp = kSetUp, std::stop_token stop = {});

// So many minutes: the flies of the earliest day first, the most of them that are all whole and dry by then, then those of
// the next day, those for no day last; among equals the earliest all dry, then the earlier job. Exact while up to
// kExactFlies are chosen and the batches leave no more than kMostChoices ways to choose so many; beyond, the ways with the
// least to do are followed, and it says so.
inline constexpr std::size_t kMostChoices = 400;
struct AskedEvening {
    std::vector<int> counts;       // of each job
    std::vector<TyingJob> chosen;  // those jobs with these counts, the ones with none left out
    std::vector<std::size_t> of;   // which job each of `chosen` is
    BestTimetable best;
    double handsLeft = 0.0;  // minutes after the last stage
    bool proven = true;
    std::uint64_t steps = 0;  // what it took; never more than some millions
    [[nodiscard]] int flies() const;
};
[[nodiscard]] AskedEvening mostBy(const std::vector<TyingJob>& jobs, double minutes, double setUp = kSetUp, std::stop_token stop = {});

// How many flies of each job are whole and dry before this many minutes.
[[nodiscard]] std::vector<int> driedBefore(const Timetable& table, const std::vector<TyingJob>& jobs, double minutes);

}  // namespace machair
