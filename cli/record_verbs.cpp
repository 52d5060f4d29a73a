// hand, daybook, evening, box, buy and check: what was tied, what fits the evening, what caught.
#include <algorithm>
#include <cstdio>
#include <ctime>
#include <fstream>
#include <iostream>
#include <numeric>

#include "bench/batches.h"
#include "book/flies.h"
#include "cli/verbs.h"
#include "cutting/cutting.h"
#include "cutting/stock.h"
#include "daybook/box.h"
#include "daybook/rates.h"
#include "hand/hand.h"
#include "leader/exposure.h"
#include "sizing/figures.h"
#include "store/calendar.h"
#include "store/csv.h"
#include "units/text.h"

namespace machair::cli {

namespace {

Json timetable(const Timetable& table, const std::vector<TyingJob>& jobs) {
    Json list = Json::array();
    for (const TimedStage& stage : table.stages)
        list.push_back({{"pattern", jobs[stage.job].fly},
                        {"fly", stage.fly + 1},
                        {"stage", jobs[stage.job].stages[stage.stage].name},
                        {"start_min", stage.start},
                        {"end_min", stage.end}});
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
            text += name + ": " + std::to_string(hand.flies) + " flies, " + formatNumber(100.0 * hand.mean, 1) +
                    " % off on average, give or take " + formatNumber(100.0 * hand.spread(), 1) +
                    " %; a dozen all within 8 %: " + formatNumber(100.0 * part["dozen_as_tied"].get<double>(), 0) + " % as tied, " +
                    formatNumber(100.0 * part["dozen_at_aim"].get<double>(), 0) + " % at the aim\n";
        }
        if (text.empty()) text = "No flies were checked yet.\n";
        return print(options, {{"parts", parts}}, text);
    });
}

int showDaybook(const Options& options) {
    return withBook(options, [&](const Book& book) {
        if (options.csv) {
            std::cout << store::daysToCsv(book);
            return 0;
        }
        Json factors = Json::object();
        std::string text = std::to_string(book.days.size()) + " days. Fish a rod-hour, with the middle four fifths of what it may be:\n";
        for (const auto& entry : Names<Factor>::entries) {
            Json cells = Json::array();
            text += std::string(entry.name) + ":\n";
            const auto rates = ratesBy(book, entry.value);
            for (const Rate& rate : rates) {
                cells.push_back({{"name", rate.name},
                                 {"fish", rate.fish},
                                 {"hours", rate.hours},
                                 {"rate", rate.mean()},
                                 {"low", rate.low},
                                 {"high", rate.high},
                                 {"fished", rate.fished},
                                 {"told_from_best", &rate == &rates.front() ? false : enoughToTell(rates.front(), rate)}});
                text += "  " + rate.name + ": " + formatNumber(rate.mean(), 2) + " (" + formatNumber(rate.low, 2) + " to " +
                        formatNumber(rate.high, 2) + "), " + formatShort(rate.fish, 0) + " fish in " + formatShort(rate.hours, 1) + " h" +
                        (&rate != &rates.front() && !enoughToTell(rates.front(), rate) ? ", not enough to tell from the best" : "") + "\n";
            }
            factors[std::string(entry.name)] = std::move(cells);
        }
        Json depth = Json::array();
        text += "depth (only fish whose depth was written down):\n";
        for (const Rate& rate : ratesByDepth(book, DepthExposure(book))) {
            depth.push_back({{"name", rate.name},
                             {"fish", rate.fish},
                             {"hours", rate.hours},
                             {"rate", rate.mean()},
                             {"low", rate.low},
                             {"high", rate.high}});
            text += "  " + rate.name + ": " + formatNumber(rate.mean(), 2) + " (" + formatNumber(rate.low, 2) + " to " +
                    formatNumber(rate.high, 2) + "), " + formatShort(rate.fish, 0) + " fish in " + formatNumber(rate.hours, 1) + " h\n";
        }
        factors["depth"] = std::move(depth);
        return print(options, {{"days", book.days.size()}, {"factors", factors}}, text);
    });
}

namespace {

// From now, or from an evening's start where one is said, to the next time it is that hour.
std::optional<double> minutesUntil(const std::string& hour) {
    int h = 0, m = 0;
    char colon = 0, more = 0;
    if (std::sscanf(hour.c_str(), "%2d%c%2d%c", &h, &colon, &m, &more) != 3 || colon != ':' || h < 0 || h > 23 || m < 0 || m > 59)
        return std::nullopt;
    const std::time_t now = std::time(nullptr);
    const std::tm* local = std::localtime(&now);
    constexpr int kDay = 24 * 60;
    const int left = 60 * h + m - 60 * local->tm_hour - local->tm_min;
    return left > 0 ? left : left + kDay;
}

Json flyOfJob(const Book& book, const TyingJob& job) {
    const Fly fly = onItsHook(book, {job.fly, job.hook});
    return {{"pattern", fly.pattern}, {"hook", fly.hook.value_or("")}};
}

void sayAsked(const Book& book, const std::vector<TyingJob>& jobs, double minutes, Json& json, std::string& text) {
    const AskedEvening evening = mostBy(jobs, minutes);
    json["minutes"] = minutes;
    json["fit"] = evening.flies();
    json["all_dry_min"] = evening.best.table.allDry;
    json["proven"] = evening.proven;
    json["hands_left_min"] = evening.handsLeft;
    json["flies"] = Json::array();
    for (std::size_t c = 0; c < evening.chosen.size(); ++c)
        for (int n = 0; n < evening.chosen[c].count; ++n) {
            const TyingJob& job = evening.chosen[c];
            Json fly = flyOfJob(book, job);
            for (const TimedStage& stage : evening.best.table.stages) {
                if (stage.job != c || stage.fly != n) continue;
                if (stage.stage == 0) fly["starts_min"] = stage.start;
                if (stage.stage + 1 == job.stages.size()) {
                    fly["whole_min"] = stage.end;
                    fly["dry_min"] = stage.end + job.stages[stage.stage].dry;
                }
            }
            json["flies"].push_back(std::move(fly));
        }
    json["left"] = Json::array();
    for (std::size_t j = 0; j < jobs.size(); ++j)
        if (const int left = jobs[j].count - evening.counts[j]; left > 0) {
            Json fly = flyOfJob(book, jobs[j]);
            fly["count"] = left;
            json["left"].push_back(std::move(fly));
        }
    const std::string left = leftUndone(book, jobs, evening.counts);
    text += std::to_string(evening.flies()) + " flies can be whole and dry within " + formatNumber(minutes, 0) + " min" +
            (evening.proven ? ", proven" : "") + (left.empty() ? "" : "; not by then: " + left) + "\n";
    if (!left.empty() && evening.handsLeft >= 5.0) text += formatNumber(evening.handsLeft, 0) + " min of hands are left: begin one more\n";
}

}  // namespace

int showEvening(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto waiting = waitingJobs(book);
        if (!waiting) return refuse(waiting.error());
        const std::vector<TyingJob>& jobs = *waiting;
        const Timetable one = flyByFly(jobs), two = stageByStage(jobs);
        const BestTimetable best = earliestFinish(jobs);
        const auto way = [](const Timetable& table) { return Json{{"hands_free_min", table.handsFree}, {"all_dry_min", table.allDry}}; };
        Json json = {{"fly_by_fly", way(one)},
                     {"stage_by_stage", way(two)},
                     {"best", way(best.table)},
                     {"proven", best.proven},
                     {"bound_min", best.bound}};
        json["best"]["stages"] = timetable(best.table, jobs);
        std::string text = jobs.empty() ? "No batch is waiting.\n"
                                        : "fly by fly: hands free after " + formatNumber(one.handsFree, 1) + " min, all dry after " +
                                              formatNumber(one.allDry, 1) + "\nstage by stage: hands free after " +
                                              formatNumber(two.handsFree, 1) + " min, all dry after " + formatNumber(two.allDry, 1) +
                                              "\nbest: all dry after " + formatNumber(best.table.allDry, 1) +
                                              (best.proven ? " min, proven\n" : " min, not before " + formatNumber(best.bound, 1) + "\n");
        if (!options.out.empty()) {
            if (!store::isStart(options.start))
                return refuse({{Place("start"), "expected a start as 2026-11-25T20:00, got \"" + options.start + "\"", ""}});
            std::vector<store::CalendarEvent> events;
            for (const EveningEvent& event : eventsOf(book, best.table, jobs))
                events.push_back({"machair-" + options.start + "-" + std::to_string(events.size()), event.what, event.how, event.start,
                                  event.end, event.rings});
            std::string stamp = options.start.substr(0, 10) + "T000000Z";
            std::erase(stamp, '-');
            std::ofstream file(options.out, std::ios::binary);
            file << store::toCalendar(events, options.start, stamp);
            file.flush();
            if (!file) return refuse({{Place(options.out), "expected a file that can be written, got none", "choose another folder"}});
            text += "written to " + options.out + "\n";
        }
        double minutes = options.minutes;
        if (!options.by.empty()) {
            const auto until = minutesUntil(options.by);
            if (!until) return refuse({{Place("by"), "expected an hour as 22:30, got \"" + options.by + "\"", ""}});
            minutes = *until;
        }
        if (minutes > 0.0) sayAsked(book, jobs, minutes, json, text);
        return print(options, json, text);
    });
}

int showBox(const Options& options) {
    return withBook(options, [&](const Book& book) {
        Json list = Json::array(), next = Json::array();
        std::string text;
        for (const BoxRow& row : boxRows(book)) {
            list.push_back({{"id", row.id},
                            {"pattern", row.pattern},
                            {"size", row.size},
                            {"barb", row.barb},
                            {"tied", row.tied},
                            {"chewed", row.chewed},
                            {"lost", row.lost}});
            text += row.title + ", " + std::to_string(row.size) + (row.barb ? "" : " barbless") + ": " + std::to_string(row.tied) +
                    (row.chewed > 0 ? ", " + std::to_string(row.chewed) + " chewed" : "") +
                    (row.lost > 0 ? ", " + std::to_string(row.lost) + " lost so far" : "") + "\n";
        }
        if (text.empty()) text = "The box is empty.\n";
        text += "tie next (rule of thumb):\n";
        for (const TieNext& row : tieNext(book, options.month)) {
            next.push_back(
                {{"pattern", row.pattern}, {"want", row.want}, {"sound", row.sound}, {"waiting", row.waiting}, {"why", row.why}});
            if (next.size() <= 5) text += "  " + row.title + ": " + row.why + "\n";
        }
        return print(options, {{"flies", list}, {"tie_next", next}}, text);
    });
}

int showBuy(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto wanted = stockWanted(book);
        if (!wanted) return refuse(wanted.error());
        Json list = Json::array();
        std::vector<store::CsvRow> rows = {{"material", "name", "has", "wants", "buy", "runs_out_in", "buy_by"}};
        std::string text;
        for (const StockWanted& row : *wanted) {
            Json one = {{"material", row.title}, {"id", row.material}, {"has", row.has},
                        {"wants", row.wants},    {"buy", row.buy},     {"uses", row.uses}};
            if (row.lasts) one["lasts"] = *row.lasts;
            if (row.runsOutIn) one["runs_out_in"] = *row.runsOutIn;
            if (row.buyBy) one["buy_by"] = *row.buyBy;
            list.push_back(std::move(one));
            rows.push_back({row.material, row.title, row.has, row.wants, row.buy, row.runsOutIn.value_or(""), row.buyBy.value_or("")});
            text +=
                row.title + ": " + row.wants + " wanted, " + row.has +
                (row.runsOutIn ? "; runs out in " + *row.runsOutIn + ", buy " + row.buy + (row.buyBy ? " before " + *row.buyBy : "") : "") +
                "\n";
            for (const std::string& use : row.uses)
                text += "  " + use + "\n";
        }
        if (options.csv) {
            std::cout << store::writeCsv(rows);
            return 0;
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
            const std::string text = std::string(nameOf(plan->parts[part].kind)) + " " + labelOf(figure.key) + ": " +
                                     formatNumber(options.reading, 1) + " mm, planned " + formatNumber(*planned, 1) + " ± " +
                                     formatNumber(figure.tolerance, 1) + ": " +
                                     (within      ? "as planned"
                                      : off > 0.0 ? "too long"
                                                  : "too short") +
                                     "\n";
            return print(options,
                         {{"planned_mm", *planned},
                          {"tolerance_mm", figure.tolerance},
                          {"measured_mm", options.reading},
                          {"off_mm", off},
                          {"verdict", within ? "pass" : "off"}},
                         text);
        }
        return refuse({{Place("figure"), "expected a length of that part that has a tolerance, got \"" + options.figure + "\"",
                        "plan --json lists them under tolerance"}});
    });
}

}  // namespace machair::cli
