#include "bench/batches.h"

#include <algorithm>
#include <set>

#include "bench/steps.h"
#include "language/say.h"

namespace machair {

std::optional<OwnMinutes> ownMinutes(const Book& book, const DressingId& pattern) {
    std::vector<double> all;
    for (const Batch& batch : book.batches)
        if (batch.pattern == pattern) all.insert(all.end(), batch.minutes.begin(), batch.minutes.end());
    constexpr std::size_t kLeast = 3;
    if (all.size() < kLeast) return std::nullopt;
    std::ranges::sort(all);
    const auto at = [&](double share) {  // between neighbours
        const double place = share * static_cast<double>(all.size() - 1);
        const auto i = static_cast<std::size_t>(place);
        return i + 1 < all.size() ? all[i] + (place - static_cast<double>(i)) * (all[i + 1] - all[i]) : all[i];
    };
    return OwnMinutes{at(0.5), at(0.25), at(0.75), static_cast<int>(all.size())};
}

namespace {

std::string titleOfJob(const Book& book, const TyingJob& job) {
    const Pattern* pattern = book.findPattern(job.fly);
    return pattern ? pattern->title() : job.fly;
}

}  // namespace

std::vector<EveningEvent> eventsOf(const Book& book, const Timetable& table, const std::vector<TyingJob>& jobs) {
    std::vector<EveningEvent> events;
    if (table.stages.empty()) return events;
    const auto titleOf = [&](std::size_t job) { return titleOfJob(book, jobs[job]); };
    std::string list;
    for (std::size_t j = 0; j < jobs.size(); ++j)
        list += say("{} of {}\n", std::to_string(jobs[j].count), titleOf(j));
    events.push_back({say("At the vice"), list, 0.0, table.handsFree, false});
    for (const TimedStage& stage : table.stages)
        if (stage.stage > 0)
            events.push_back(
                {say("{}: {}, fly {}", jobs[stage.job].stages[stage.stage].name, titleOf(stage.job), std::to_string(stage.fly + 1)),
                 {},
                 stage.start,
                 stage.end,
                 true});
    return events;
}

std::string leftUndone(const Book& book, const std::vector<TyingJob>& jobs, const std::vector<int>& dried) {
    std::vector<std::string> left;
    for (std::size_t j = 0; j < jobs.size(); ++j)
        if (const int flies = jobs[j].count - dried[j]; flies > 0)
            left.push_back(say("{} of {}", std::to_string(flies), titleOfJob(book, jobs[j])));
    return sayNames(left);
}

int changesBetween(const Book& book, const DressingId& from, const DressingId& to) {
    const Pattern* a = book.findPattern(from);
    const Pattern* b = book.findPattern(to);
    if (!a || !b || a == b) return 0;
    std::set<std::string> at, wanted;
    for (const Part& part : a->parts)
        if (part.material) at.insert(*part.material);
    for (const Part& part : b->parts)
        if (part.material) wanted.insert(*part.material);
    constexpr int kThread = 3, kHook = 2;
    int cost = (a->thread != b->thread ? kThread : 0) + (a->hook != b->hook ? kHook : 0);
    for (const std::string& material : wanted)
        cost += at.contains(material) ? 0 : 1;
    return cost;
}

std::vector<std::size_t> groupedOrder(const Book& book, const std::vector<TyingJob>& jobs) {
    const std::size_t n = jobs.size();
    std::vector<std::vector<int>> cost(n, std::vector<int>(n, 0));
    for (std::size_t i = 0; i < n; ++i)
        for (std::size_t j = 0; j < n; ++j)
            cost[i][j] = changesBetween(book, jobs[i].fly, jobs[j].fly);
    std::vector<std::size_t> order;
    if (n == 0) return order;
    constexpr std::size_t kExactJobs = 12;
    if (n > kExactJobs) {
        std::vector<bool> done(n, false);
        order.push_back(0);
        done[0] = true;
        while (order.size() < n) {
            std::size_t next = n;
            for (std::size_t j = 0; j < n; ++j)
                if (!done[j] && (next == n || cost[order.back()][j] < cost[order.back()][next])) next = j;
            done[next] = true;
            order.push_back(next);
        }
        return order;
    }
    // Held and Karp's table, from any start: least cost over a set that ends at a job.
    constexpr int kFar = 1 << 28;
    const std::size_t sets = std::size_t{1} << n;
    std::vector<std::vector<int>> least(sets, std::vector<int>(n, kFar));
    std::vector<std::vector<std::size_t>> before(sets, std::vector<std::size_t>(n, n));
    for (std::size_t j = 0; j < n; ++j)
        least[std::size_t{1} << j][j] = 0;
    for (std::size_t set = 1; set < sets; ++set)
        for (std::size_t end = 0; end < n; ++end) {
            if (least[set][end] >= kFar) continue;
            for (std::size_t next = 0; next < n; ++next) {
                const std::size_t with = set | (std::size_t{1} << next);
                if (with == set || least[set][end] + cost[end][next] >= least[with][next]) continue;
                least[with][next] = least[set][end] + cost[end][next];
                before[with][next] = end;
            }
        }
    std::size_t set = sets - 1;
    auto end = static_cast<std::size_t>(std::ranges::min_element(least[set]) - least[set].begin());
    while (end < n) {
        order.push_back(end);
        const std::size_t last = before[set][end];
        set &= ~(std::size_t{1} << end);
        end = last;
    }
    std::ranges::reverse(order);
    return order;
}

std::vector<Stage> stagesOf(const Plan& plan, const std::optional<OwnMinutes>& own) {
    std::vector<Stage> stages = {{"tie", 0.0, 0.0}};
    for (const TyingStep& step : stepsOf(plan)) {
        if (step.dryMinutes)
            stages.push_back({say("coat {}", step.number), step.minutes, *step.dryMinutes});
        else
            stages.front().hands += step.minutes;
    }
    if (own) stages.front().hands = own->median;
    return stages;
}

Result<std::vector<TyingJob>> waitingJobs(const Book& book) {
    std::vector<TyingJob> jobs;
    Faults faults;
    for (const Batch& batch : book.batches) {
        const int left = batch.left();
        if (left <= 0) continue;
        const auto plan = planFly(book, flyOf(batch), Place("batches"));
        if (plan)
            jobs.push_back({batch.pattern, stagesOf(*plan, ownMinutes(book, batch.pattern)), left, batch.hook, batch.day});
        else
            append(faults, plan.error());
    }
    if (jobs.empty() && !faults.empty()) return tl::unexpected(std::move(faults));  // one that can't be sized keeps no other waiting
    return jobs;
}

}  // namespace machair
