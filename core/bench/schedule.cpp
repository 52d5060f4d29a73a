#include "bench/schedule.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <limits>
#include <set>
#include <utility>

namespace machair {

namespace {

constexpr double kNever = std::numeric_limits<double>::infinity();
constexpr std::uint64_t kMostSteps = 400'000;  // of one search for a table

struct TyingFly {
    std::size_t job = 0;
    int number = 0;
    std::size_t next = 0;  // stage
    double ready = 0.0;
};

class Hands {
  public:
    Hands(const std::vector<TyingJob>& jobs, double setUp) : jobs_(jobs), setUp_(setUp) {
        for (std::size_t j = 0; j < jobs.size(); ++j)
            for (int n = 0; n < jobs[j].count; ++n)
                flies_.push_back({j, n, 0, 0.0});
    }
    [[nodiscard]] const Stage& stageOf(const TyingFly& fly) const { return jobs_[fly.job].stages[fly.next]; }
    [[nodiscard]] bool whole(const TyingFly& fly) const { return fly.next == jobs_[fly.job].stages.size(); }
    std::vector<TyingFly>& flies() { return flies_; }
    [[nodiscard]] double now() const { return now_; }
    void waitUntil(double time) { now_ = std::max(now_, time); }

    void work(TyingFly& fly) {
        const Stage& stage = stageOf(fly);
        if (!last_.empty() && last_ != stage.name) now_ += setUp_;
        last_ = stage.name;
        now_ = std::max(now_, fly.ready);
        table_.stages.push_back({fly.job, fly.number, fly.next, now_, now_ + stage.hands});
        now_ += stage.hands;
        fly.ready = now_ + stage.dry;
        ++fly.next;
        table_.handsFree = now_;
        table_.allDry = std::max(table_.allDry, fly.ready);
    }
    Timetable take() { return std::move(table_); }

  private:
    const std::vector<TyingJob>& jobs_;
    double setUp_;
    std::vector<TyingFly> flies_;
    Timetable table_;
    double now_ = 0.0;
    std::string last_;
};

// Depth first over which stage to do next. Flies alike at the same stage go first in, first out.
class Search {
  public:
    Search(const std::vector<TyingJob>& jobs, double setUp, std::stop_token stop, double best, std::uint64_t most = kMostSteps)
        : jobs_(jobs), setUp_(setUp), stop_(std::move(stop)), best_(best), most_(most) {
        for (std::size_t j = 0; j < jobs.size(); ++j) {
            double after = 0.0;
            std::vector<double> rest(jobs[j].stages.size() + 1, 0.0);
            for (std::size_t s = jobs[j].stages.size(); s-- > 0;) {
                after += jobs[j].stages[s].hands + jobs[j].stages[s].dry;
                rest[s] = after;
            }
            rest_.push_back(std::move(rest));
            for (int n = 0; n < jobs[j].count; ++n)
                flies_.push_back({j, n, 0, 0.0});
        }
    }
    // Up to the first that is better than what it began with, where nobody asks for the best.
    void stopAtFirst() { first_ = true; }
    [[nodiscard]] bool found() const { return !bestOrder_.empty(); }
    bool run() {
        for (const TyingFly& fly : flies_)
            for (std::size_t s = 0; s < jobs_[fly.job].stages.size(); ++s)
                handsLeft_ += jobs_[fly.job].stages[s].hands;
        descend(0.0, {}, 0.0);
        return !cut_;
    }
    [[nodiscard]] const std::vector<TimedStage>& order() const { return bestOrder_; }
    [[nodiscard]] double best() const { return best_; }
    [[nodiscard]] std::uint64_t steps() const { return steps_; }

  private:
    [[nodiscard]] double bound(double now, double dry) const {
        double least = std::numeric_limits<double>::infinity(), bound = dry;
        bool left = false;
        for (const TyingFly& fly : flies_) {
            if (fly.next == jobs_[fly.job].stages.size()) continue;
            left = true;
            bound = std::max(bound, std::max(now, fly.ready) + rest_[fly.job][fly.next]);
            least = std::min(least, jobs_[fly.job].stages.back().dry);
        }
        return left ? std::max(bound, now + handsLeft_ + least) : bound;
    }
    void descend(double now, const std::string& last, double dry) {
        if (cut_ || ++steps_ > most_ || ((steps_ & 0x3FF) == 0 && stop_.stop_requested())) {
            cut_ = true;
            return;
        }
        if (bound(now, dry) >= best_ - 1e-9) return;
        std::vector<std::size_t> choices;
        bool left = false;
        for (std::size_t i = 0; i < flies_.size(); ++i) {
            const TyingFly& fly = flies_[i];
            if (fly.next == jobs_[fly.job].stages.size()) continue;
            left = true;
            // The first ready of those alike.
            const bool later =
                std::ranges::any_of(choices, [&](std::size_t k) { return flies_[k].job == fly.job && flies_[k].next == fly.next; });
            if (!later) choices.push_back(i);
        }
        if (!left) {
            best_ = dry;
            bestOrder_ = order_;
            cut_ = first_;
            return;
        }
        const auto startOf = [&](std::size_t i) {
            return std::max(now + (!last.empty() && last != jobs_[flies_[i].job].stages[flies_[i].next].name ? setUp_ : 0.0),
                            flies_[i].ready);
        };
        std::ranges::stable_sort(choices, [&](std::size_t a, std::size_t b) {
            return std::pair(startOf(a), -rest_[flies_[a].job][flies_[a].next]) <
                   std::pair(startOf(b), -rest_[flies_[b].job][flies_[b].next]);
        });
        // Waiting for one while another could be done and finished before it is ready gains nothing.
        double soonest = kNever;
        for (const std::size_t i : choices)
            soonest = std::min(soonest, startOf(i) + jobs_[flies_[i].job].stages[flies_[i].next].hands);
        for (const std::size_t i : choices) {
            const double start = startOf(i);
            if (start >= soonest + setUp_ && setUp_ == 0.0) continue;
            TyingFly& fly = flies_[i];
            const TyingFly before = fly;
            const Stage& stage = jobs_[fly.job].stages[fly.next];
            order_.push_back({fly.job, fly.number, fly.next, start, start + stage.hands});
            handsLeft_ -= stage.hands;
            fly.ready = start + stage.hands + stage.dry;
            ++fly.next;
            descend(start + stage.hands, stage.name, std::max(dry, fly.ready));
            fly = before;
            handsLeft_ += stage.hands;
            order_.pop_back();
        }
    }

    const std::vector<TyingJob>& jobs_;
    double setUp_;
    std::stop_token stop_;
    std::vector<std::vector<double>> rest_;
    std::vector<TyingFly> flies_;
    std::vector<TimedStage> order_;
    std::vector<TimedStage> bestOrder_;
    double handsLeft_ = 0.0;
    double best_;
    std::uint64_t most_;
    std::uint64_t steps_ = 0;
    bool cut_ = false;
    bool first_ = false;
};

// What all of some jobs come to, however they are timed.
struct Whole {
    int flies = 0;
    double hands = 0.0;
    double chain = 0.0;       // the longest of one fly
    double lastDry = kNever;  // the shortest drying at an end
    std::set<std::string> stages;
};
Whole wholeOf(const std::vector<TyingJob>& jobs) {
    Whole whole;
    for (const TyingJob& job : jobs) {
        whole.flies += job.count;
        double own = 0.0;
        for (const Stage& stage : job.stages) {
            whole.hands += stage.hands * job.count;
            own += stage.hands + stage.dry;
            whole.stages.insert(stage.name);
        }
        whole.chain = std::max(whole.chain, own);
        if (!job.stages.empty() && job.count > 0) whole.lastDry = std::min(whole.lastDry, job.stages.back().dry);
    }
    return whole;
}

}  // namespace

Timetable flyByFly(const std::vector<TyingJob>& jobs, double setUp) {
    Hands hands(jobs, setUp);
    auto& flies = hands.flies();
    const auto onAtOnce = [&](TyingFly& fly) {  // stages without drying between them are one sitting
        do
            hands.work(fly);
        while (!hands.whole(fly) && fly.ready <= hands.now());
    };
    const auto longestDue = [&](double by) -> TyingFly* {
        TyingFly* due = nullptr;
        for (TyingFly& fly : flies)
            if (fly.next > 0 && !hands.whole(fly) && fly.ready <= by && (!due || fly.ready < due->ready)) due = &fly;
        return due;
    };
    for (TyingFly& fly : flies) {
        while (TyingFly* due = longestDue(hands.now()))
            onAtOnce(*due);
        onAtOnce(fly);
    }
    while (TyingFly* due = longestDue(kNever))
        onAtOnce(*due);
    return hands.take();
}

Timetable stageByStage(const std::vector<TyingJob>& jobs, double setUp) {
    Hands hands(jobs, setUp);
    std::size_t most = 0;
    for (const TyingJob& job : jobs)
        most = std::max(most, job.stages.size());
    for (std::size_t stage = 0; stage < most; ++stage)
        for (TyingFly& fly : hands.flies())
            if (fly.next == stage && !hands.whole(fly)) hands.work(fly);
    return hands.take();
}

namespace {

BestTimetable earliestFinishWithin(std::uint64_t most, const std::vector<TyingJob>& jobs, double setUp, std::stop_token stop) {
    BestTimetable best;
    Timetable one = flyByFly(jobs, setUp), two = stageByStage(jobs, setUp);
    best.table = two.allDry < one.allDry ? std::move(two) : std::move(one);
    const Whole whole = wholeOf(jobs);
    best.bound = std::max(whole.chain, std::isfinite(whole.lastDry) ? whole.hands + whole.lastDry : whole.hands);
    if (whole.flies == 0 || whole.flies > kExactFlies) return best;
    Search search(jobs, setUp, std::move(stop), best.table.allDry, most);
    best.proven = search.run();
    best.steps = search.steps();
    if (search.best() < best.table.allDry - 1e-9) {
        best.table.stages = search.order();
        best.table.allDry = search.best();
        best.table.handsFree = best.table.stages.back().end;
    }
    if (best.proven) best.bound = best.table.allDry;
    return best;
}

}  // namespace

BestTimetable earliestFinish(const std::vector<TyingJob>& jobs, double setUp, std::stop_token stop) {
    return earliestFinishWithin(kMostSteps, jobs, setUp, std::move(stop));
}

namespace {

// Choices tried against the evening's minutes, all of them together within a number of steps.
class Trials {
  public:
    Trials(const std::vector<TyingJob>& jobs, double minutes, double setUp, std::stop_token stop)
        : jobs_(jobs), minutes_(minutes), setUp_(setUp), stop_(std::move(stop)) {}
    // Whether all of these can be whole and dry by then; no, and not proven, where the search was cut short.
    bool fits(const std::vector<int>& counts) {
        const std::vector<TyingJob> some = with(counts);
        const Whole whole = wholeOf(some);
        if (leastFor(whole) > minutes_ + kDust) return false;
        if (std::min(flyByFly(some, setUp_).allDry, stageByStage(some, setUp_).allDry) <= minutes_ + kDust) return true;
        if (whole.flies > kExactFlies) {
            proven_ = false;
            return false;
        }
        Search search(some, setUp_, stop_, minutes_ + 2.0 * kDust, stepsForOne());
        search.stopAtFirst();
        if (!search.run() && !search.found()) proven_ = false;
        steps_ += search.steps();
        return search.found();
    }
    // When these are all dry at the earliest; nothing where that can't be before `than`.
    std::optional<double> allDryBefore(double than, const std::vector<int>& counts) {
        const std::vector<TyingJob> some = with(counts);
        if (leastFor(wholeOf(some)) >= than - kDust) return std::nullopt;
        const BestTimetable best = earliestFinishWithin(stepsForOne(), some, setUp_, stop_);
        steps_ += best.steps;
        if (!best.proven && best.bound < than - kDust) proven_ = false;  // it may be dry earlier than was found
        if (best.table.allDry >= than - kDust) return std::nullopt;
        return best.table.allDry;
    }
    // Of these choices those that have the least to do: they leave most room for another fly.
    void keepLightest(std::vector<std::vector<int>>& choices) {
        if (choices.size() <= kMostChoices) return;
        proven_ = false;
        const auto toDo = [&](const std::vector<int>& counts) {
            double hands = 0.0;
            for (std::size_t j = 0; j < jobs_.size(); ++j)
                for (const Stage& stage : jobs_[j].stages)
                    hands += counts[j] * stage.hands;
            return hands;
        };
        std::ranges::stable_sort(choices, {}, toDo);
        choices.resize(kMostChoices);
        std::ranges::sort(choices, std::greater<>());
    }
    [[nodiscard]] std::vector<TyingJob> with(const std::vector<int>& counts) const {
        std::vector<TyingJob> some;
        for (std::size_t j = 0; j < jobs_.size(); ++j) {
            if (counts[j] == 0) continue;
            some.push_back(jobs_[j]);
            some.back().count = counts[j];
        }
        return some;
    }
    [[nodiscard]] bool proven() const { return proven_; }
    [[nodiscard]] std::uint64_t steps() const { return steps_; }

  private:
    static constexpr double kDust = 1e-9;
    static constexpr std::uint64_t kMostInAll = 4'000'000;
    [[nodiscard]] std::uint64_t stepsForOne() const { return std::min(kMostSteps, kMostInAll - std::min(kMostInAll, steps_)); }
    // The longest chain; and all hands-on time, a change to each other stage once, and the shortest last drying.
    [[nodiscard]] double leastFor(const Whole& whole) const {
        return whole.stages.empty()
                   ? 0.0
                   : std::max(whole.chain, whole.hands + setUp_ * static_cast<double>(whole.stages.size() - 1) + whole.lastDry);
    }
    const std::vector<TyingJob>& jobs_;
    double minutes_, setUp_;
    std::stop_token stop_;
    bool proven_ = true;
    std::uint64_t steps_ = 0;
};

int sumOf(const std::vector<int>& counts) {
    int sum = 0;
    for (const int count : counts)
        sum += count;
    return sum;
}

// The jobs of each day, the earliest first, those for no day last.
std::vector<std::vector<std::size_t>> byDay(const std::vector<TyingJob>& jobs) {
    std::vector<std::size_t> order(jobs.size());
    for (std::size_t j = 0; j < jobs.size(); ++j)
        order[j] = j;
    const auto dayOf = [&](std::size_t j) { return std::pair(!jobs[j].day.has_value(), jobs[j].day.value_or("")); };
    std::ranges::stable_sort(order, {}, dayOf);
    std::vector<std::vector<std::size_t>> groups;
    for (const std::size_t j : order) {
        if (groups.empty() || dayOf(groups.back().front()) != dayOf(j)) groups.emplace_back();
        groups.back().push_back(j);
    }
    return groups;
}

// Stage for stage: then a table with one of `b` holds with one of `a` in its place, and is dry no later.
bool takesNoLonger(const TyingJob& a, const TyingJob& b) {
    return std::ranges::equal(a.stages, b.stages, [](const Stage& one, const Stage& other) {
        return one.name == other.name && one.hands <= other.hands && one.dry <= other.dry;
    });
}

// Every choice of one fly more of this group that fits, those with more of the earlier jobs first. What fits is closed
// downwards: each stands on one of those that fit. An earlier job that takes no longer is used up first, as it is the better
// choice whatever goes with it.
std::vector<std::vector<int>> oneMore(const std::vector<TyingJob>& jobs, const std::vector<std::size_t>& group,
                                      const std::vector<std::vector<int>>& fitting, Trials& trials) {
    std::set<std::vector<int>> tried;
    std::vector<std::vector<int>> more;
    for (const std::vector<int>& counts : fitting)
        for (const std::size_t j : group) {
            const auto better = [&](std::size_t k) { return k < j && counts[k] < jobs[k].count && takesNoLonger(jobs[k], jobs[j]); };
            if (counts[j] >= jobs[j].count || std::ranges::any_of(group, better)) continue;
            std::vector<int> one = counts;
            ++one[j];
            if (tried.insert(one).second && trials.fits(one)) more.push_back(std::move(one));
        }
    std::ranges::sort(more, std::greater<>());
    return more;
}

}  // namespace

int AskedEvening::flies() const { return sumOf(counts); }

AskedEvening mostBy(const std::vector<TyingJob>& jobs, double minutes, double setUp, std::stop_token stop) {
    AskedEvening evening;
    evening.counts.assign(jobs.size(), 0);
    Trials trials(jobs, minutes, setUp, stop);
    for (const std::vector<std::size_t>& group : byDay(jobs)) {
        std::vector<int> all = evening.counts;
        for (const std::size_t j : group)
            all[j] = jobs[j].count;
        if (trials.fits(all)) {
            evening.counts = std::move(all);
            continue;
        }
        std::vector<std::vector<int>> fitting{evening.counts};
        while (!stop.stop_requested()) {
            std::vector<std::vector<int>> more = oneMore(jobs, group, fitting, trials);
            if (more.empty()) break;
            fitting = std::move(more);
            // Of more flies than are proven only one choice is followed, that with more of the earlier jobs.
            if (sumOf(fitting.front()) > kExactFlies) fitting.resize(1);
            trials.keepLightest(fitting);
        }
        double earliest = kNever;
        for (const std::vector<int>& counts : fitting)
            if (const auto dry = fitting.size() == 1 ? std::optional(0.0) : trials.allDryBefore(earliest, counts)) {
                earliest = *dry;
                evening.counts = counts;
            }
    }
    evening.chosen = trials.with(evening.counts);
    for (std::size_t j = 0; j < jobs.size(); ++j)
        if (evening.counts[j] > 0) evening.of.push_back(j);
    evening.best = earliestFinish(evening.chosen, setUp, stop);
    evening.steps = trials.steps() + evening.best.steps;
    evening.proven = trials.proven() && (evening.chosen.empty() || evening.best.proven);
    evening.handsLeft = std::max(0.0, minutes - evening.best.table.handsFree);
    return evening;
}

std::vector<int> driedBefore(const Timetable& table, const std::vector<TyingJob>& jobs, double minutes) {
    std::vector<int> count(jobs.size(), 0);
    for (const TimedStage& stage : table.stages)
        if (stage.stage + 1 == jobs[stage.job].stages.size() && stage.end + jobs[stage.job].stages[stage.stage].dry <= minutes + 1e-9)
            ++count[stage.job];
    return count;
}

}  // namespace machair
