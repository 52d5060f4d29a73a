// hand, daybook, evening, box, buy and check: what was tied, what fits the evening, what caught.
#include <algorithm>
#include <map>

#include "bench/batches.h"
#include "cli/verbs.h"
#include "cutting/cutting.h"
#include "cutting/laying_out.h"
#include "daybook/rates.h"
#include "hand/hand.h"
#include "sizing/figures.h"
#include "units/text.h"

namespace machair::cli {

namespace {

Json timetable(const Timetable& table, const std::vector<TyingJob>& jobs) {
    Json list = Json::array();
    for (const TimedStage& stage : table.stages)
        list.push_back({{"pattern", jobs[stage.job].fly}, {"fly", stage.fly + 1}, {"stage", jobs[stage.job].stages[stage.stage].name}, {"start_min", stage.start}, {"end_min", stage.end}});
    return list;
}

}  // namespace

int showHand(const Options& options) {
    return withBook(options, [&](const Book& book) {
        Json parts = Json::array();
        std::string text;
        for (const auto& [name, deviations] : deviationsOf(book)) {
            const HandPosterior hand = handOf(deviations);
            constexpr double kTolerance = 0.08;
            const Length planned = 10.0 * mm;
            Json part = {{"part", name},
                         {"flies", hand.flies},
                         {"bias", hand.mean},
                         {"spread", hand.spread()},
                         {"dozen_as_tied", dozenWithin(hand, planned, kTolerance, planned)},
                         {"dozen_at_aim", dozenWithin(hand, planned, kTolerance, aimFor(planned, hand))}};
            if (hand.flies >= kFliesForLimits) {
                const ControlLimits limits = controlLimits(hand);
                part["limits"] = {limits.low, limits.high};
            }
            if (deviations.size() >= 8) {
                const auto half = deviations.begin() + static_cast<std::ptrdiff_t>(deviations.size() / 2);
                const HandShift shift = shiftBetween({deviations.begin(), half}, {half, deviations.end()});
                part["shift"] = {{"by", shift.shift}, {"low", shift.low}, {"high", shift.high}, {"real", shift.real()}};
            }
            parts.push_back(part);
            text += name + ": " + std::to_string(hand.flies) + " flies, " + formatNumber(100.0 * hand.mean, 1) + " % off on average, give or take " + formatNumber(100.0 * hand.spread(), 1) +
                    " %; a dozen all within 8 %: " + formatNumber(100.0 * part["dozen_as_tied"].get<double>(), 0) + " % as tied, " +
                    formatNumber(100.0 * part["dozen_at_aim"].get<double>(), 0) + " % at the aim\n";
        }
        if (text.empty()) text = "No flies were checked yet.\n";
        return print(options, {{"parts", parts}}, text);
    });
}

int showDaybook(const Options& options) {
    return withBook(options, [&](const Book& book) {
        Json factors = Json::object();
        std::string text = std::to_string(book.days.size()) + " days. Fish a rod-hour, with the middle four fifths of what it may be:\n";
        for (const auto& entry : Names<Factor>::entries) {
            Json cells = Json::array();
            text += std::string(entry.name) + ":\n";
            const auto rates = ratesBy(book, entry.value);
            for (const Rate& rate : rates) {
                cells.push_back({{"name", rate.name}, {"fish", rate.fish}, {"hours", rate.hours}, {"rate", rate.mean()}, {"low", rate.low}, {"high", rate.high}, {"fished", rate.fished},
                                 {"told_from_best", &rate == &rates.front() ? false : enoughToTell(rates.front(), rate)}});
                text += "  " + rate.name + ": " + formatNumber(rate.mean(), 2) + " (" + formatNumber(rate.low, 2) + " to " + formatNumber(rate.high, 2) + "), " + formatShort(rate.fish, 0) +
                        " fish in " + formatShort(rate.hours, 1) + " h" + (&rate != &rates.front() && !enoughToTell(rates.front(), rate) ? ", not enough to tell from the best" : "") + "\n";
            }
            factors[std::string(entry.name)] = std::move(cells);
        }
        return print(options, {{"days", book.days.size()}, {"factors", factors}}, text);
    });
}

int showEvening(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto waiting = waitingJobs(book);
        if (!waiting) return refuse(waiting.error());
        const std::vector<TyingJob>& jobs = *waiting;
        const Timetable one = flyByFly(jobs), two = stageByStage(jobs);
        const BestTimetable best = earliestFinish(jobs);
        const auto way = [](const Timetable& table) { return Json{{"hands_free_min", table.handsFree}, {"all_dry_min", table.allDry}}; };
        Json json = {{"fly_by_fly", way(one)}, {"stage_by_stage", way(two)}, {"best", way(best.table)}, {"proven", best.proven}, {"bound_min", best.bound}};
        json["best"]["stages"] = timetable(best.table, jobs);
        std::string text = jobs.empty() ? "No batch is waiting.\n"
                                        : "fly by fly: hands free after " + formatNumber(one.handsFree, 1) + " min, all dry after " + formatNumber(one.allDry, 1) + "\nstage by stage: hands free after " +
                                              formatNumber(two.handsFree, 1) + " min, all dry after " + formatNumber(two.allDry, 1) + "\nbest: all dry after " + formatNumber(best.table.allDry, 1) +
                                              (best.proven ? " min, proven\n" : " min, not before " + formatNumber(best.bound, 1) + "\n");
        if (options.minutes > 0.0) {
            const int whole = driedBefore(best.table, jobs, options.minutes);
            json["fit"] = whole;
            text += std::to_string(whole) + " flies are whole and dry within " + formatNumber(options.minutes, 0) + " min\n";
        }
        return print(options, json, text);
    });
}

int showBox(const Options& options) {
    return withBook(options, [&](const Book& book) {
        Json list = Json::array();
        std::string text;
        for (const BoxFly& fly : book.box) {
            const Pattern* pattern = book.findPattern(fly.pattern);
            const HookSpec* hook = pattern ? book.findHook(fly.hook.value_or(pattern->hook)) : nullptr;
            list.push_back({{"id", fly.id}, {"pattern", fly.pattern}, {"size", hook ? hook->size : 0}, {"barb", !hook || hook->barb.value_or(true)}, {"tied", fly.tied.value_or(1)}});
            text += (pattern ? pattern->title() : fly.pattern) + (hook ? ", " + std::to_string(hook->size) : std::string()) + ": " + std::to_string(fly.tied.value_or(1)) + "\n";
        }
        return print(options, {{"flies", list}}, text.empty() ? "The box is empty.\n" : text);
    });
}

int showBuy(const Options& options) {
    return withBook(options, [&](const Book& book) {
        std::map<std::string, std::vector<std::string>> wanted;
        for (const Batch& batch : book.batches) {
            const int left = batch.wanted - batch.tied.value_or(0);
            if (left <= 0) continue;
            const auto plan = planPattern(book, batch.pattern);
            if (!plan) return refuse(plan.error());
            for (const LaidOut& laid : layOut(*plan, std::min(left, kMostFlies))) {
                const std::string material = laid.part < plan->parts.size() ? plan->parts[laid.part].made.title() : plan->threadMaterial.title();
                wanted[material].push_back(laid.all + " for " + plan->pattern.title());
            }
        }
        Json list = Json::array();
        std::string text;
        for (const auto& [material, uses] : wanted) {
            list.push_back({{"material", material}, {"uses", uses}});
            text += material + "\n";
            for (const std::string& use : uses) text += "  " + use + "\n";
        }
        return print(options, {{"materials", list}}, text.empty() ? "No batch is waiting.\n" : text);
    });
}

int showCheck(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto plan = planPattern(book, options.pattern);
        if (!plan) return refuse(plan.error());
        if (options.part < 0 || static_cast<std::size_t>(options.part) >= plan->parts.size())
            return refuse({{Place("part"), "expected one of its " + std::to_string(plan->parts.size()) + " parts, from 0", ""}});
        const auto part = static_cast<std::size_t>(options.part);
        for (const Figure& figure : figuresOf(*plan, part)) {
            const auto* planned = std::get_if<double>(&figure.value);
            if (!planned || figure.key != options.figure || figure.tolerance <= 0.0) continue;
            const double off = options.reading - *planned;
            const bool within = std::abs(off) <= figure.tolerance;
            const std::string text = std::string(nameOf(plan->parts[part].kind)) + " " + labelOf(figure.key) + ": " + formatNumber(options.reading, 1) + " mm, planned " +
                                     formatNumber(*planned, 1) + " ± " + formatNumber(figure.tolerance, 1) + ": " + (within ? "as planned" : off > 0.0 ? "too long" : "too short") + "\n";
            return print(options, {{"planned_mm", *planned}, {"tolerance_mm", figure.tolerance}, {"measured_mm", options.reading}, {"off_mm", off}, {"verdict", within ? "pass" : "off"}}, text);
        }
        return refuse({{Place("figure"), "expected a length of that part that has a tolerance, got \"" + options.figure + "\"", "plan --json lists them under tolerance"}});
    });
}

}  // namespace machair::cli
