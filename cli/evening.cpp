// evening: what the waiting batches take, and what fits.
#include <algorithm>
#include <cstdio>
#include <ctime>
#include <fstream>
#include "bench/batches.h"
#include "book/flies.h"
#include "cli/report.h"
#include "cli/verb.h"
#include "store/calendar.h"
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

struct EveningVerb : OnBook {
    static constexpr const char* kName = "evening";
    static constexpr const char* kHelp = "what the waiting batches take, and what fits";
    static constexpr const char* kExample = "machair-cli evening skerrin.machair --minutes 150";

    double minutesThere = 0.0;
    std::string by;     // 22:30
    std::string start;  // 2026-11-25T20:00
    std::string out;

    void arguments(CLI::App& verb) {
        CLI::Option* minutes = numberOption(verb, "--minutes", minutesThere, "that there are");
        verb.add_option("--by", by, "the hour by which all is to be dry, as 22:30")->excludes(minutes);
        CLI::Option* calendar = verb.add_option("--out", out, "write the evening as iCalendar to this file");
        calendar->needs(verb.add_option("--start", start, "when it starts, as 2026-11-25T20:00"));
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto waiting = waitingJobs(book);
            if (!waiting) return refuse(waiting.error());
            const std::vector<TyingJob>& jobs = *waiting;
            const Timetable one = flyByFly(jobs), two = stageByStage(jobs);
            const BestTimetable best = earliestFinish(jobs);
            const auto way = [](const Timetable& table) {
                return Json{{"hands_free_min", table.handsFree}, {"all_dry_min", table.allDry}};
            };
            Json json = {{"fly_by_fly", way(one)},
                         {"stage_by_stage", way(two)},
                         {"best", way(best.table)},
                         {"proven", best.proven},
                         {"bound_min", best.bound}};
            json["best"]["stages"] = timetable(best.table, jobs);
            std::string text = jobs.empty()
                                   ? "No batch is waiting.\n"
                                   : "fly by fly: hands free after " + formatNumber(one.handsFree, 1) + " min, all dry after " +
                                         formatNumber(one.allDry, 1) + "\nstage by stage: hands free after " +
                                         formatNumber(two.handsFree, 1) + " min, all dry after " + formatNumber(two.allDry, 1) +
                                         "\nbest: all dry after " + formatNumber(best.table.allDry, 1) +
                                         (best.proven ? " min, proven\n" : " min, not before " + formatNumber(best.bound, 1) + "\n");
            if (!out.empty()) {
                if (!store::isStart(start))
                    return refuse({{Place("start"), "expected a start as 2026-11-25T20:00, got \"" + start + "\"", ""}});
                std::vector<store::CalendarEvent> events;
                for (const EveningEvent& event : eventsOf(book, best.table, jobs))
                    events.push_back({"machair-" + start + "-" + std::to_string(events.size()), event.what, event.how, event.start,
                                      event.end, event.rings});
                std::string stamp = start.substr(0, 10) + "T000000Z";
                std::erase(stamp, '-');
                std::ofstream calendarFile(out, std::ios::binary);
                calendarFile << store::toCalendar(events, start, stamp);
                calendarFile.flush();
                if (!calendarFile) return refuse({{Place(out), "expected a file that can be written, got none", "choose another folder"}});
                text += "written to " + out + "\n";
            }
            double minutes = minutesThere;
            if (!by.empty()) {
                const auto until = minutesUntil(by);
                if (!until) return refuse({{Place("by"), "expected an hour as 22:30, got \"" + by + "\"", ""}});
                minutes = *until;
            }
            if (minutes > 0.0) sayAsked(book, jobs, minutes, json, text);
            return print(*this, json, text);
        });
    }
};

}  // namespace

void addEveningVerb(CLI::App& app, int& result) { addVerb<EveningVerb>(app, result); }

}  // namespace machair::cli
