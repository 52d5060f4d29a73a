// team, drift and water: three flies, and what they meet.
#include "cli/verbs.h"
#include "leader/drift.h"
#include "units/text.h"
#include "water/sea.h"

namespace machair::cli {

int showTeam(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto report = weighTeam(book, options.team, options.celsius);
        if (!report) return refuse(report.error());
        return print(options, teamReport(*report), teamText(*book.findTeam(options.team), *report));
    });
}

namespace {

Json bandsOf(const std::vector<Time>& bands) {
    Json list = Json::array();
    for (const Time time : bands) list.push_back(time / second);
    return list;
}

Json driftReport(const DriftReport& report) {
    Json series = Json::array();
    for (const DriftSample& sample : report.samples) {
        Json row = {{"t_s", sample.time / second}, {"tip_m", sample.tip / metre}};
        for (const Position position : kPositions)
            if (const auto& depth = sample.depth[static_cast<std::size_t>(position)]) row[std::string(nameOf(position)) + "_m"] = *depth / metre;
        series.push_back(std::move(row));
    }
    Json bands = Json::object();
    for (const Position position : kPositions)
        if (report.flyNode[static_cast<std::size_t>(position)]) bands[std::string(nameOf(position))] = bandsOf(report.bands[static_cast<std::size_t>(position)]);
    Json json = {{"series", std::move(series)}, {"bands", std::move(bands)}};
    if (report.bobBreaks) json["bob_breaks_s"] = *report.bobBreaks / second;
    if (report.bobHolds) json["bob_holds_s"] = *report.bobHolds / second;
    if (report.bobClear) json["bob_clear_s"] = *report.bobClear / second;
    json["warnings"] = report.warnings;
    return json;
}

std::string driftText(const DriftReport& report) {
    std::string text = "     s   tip    bob  middle point  (m below the surface)\n";
    const auto cell = [](const std::optional<Length>& depth) {
        const std::string number = depth ? formatNumber(*depth / metre, 2) : std::string("-");
        return std::string(number.size() < 7 ? 7 - number.size() : 0, ' ') + number;
    };
    for (std::size_t i = 0; i < report.samples.size(); i += 20) {
        const DriftSample& s = report.samples[i];
        const std::string seconds = formatNumber(s.time / second, 0);
        text += std::string(seconds.size() < 6 ? 6 - seconds.size() : 0, ' ') + seconds + cell(s.tip) + cell(s.depth[0]) + cell(s.depth[1]) + cell(s.depth[2]) + "\n";
    }
    if (report.bobBreaks) text += "The bob breaks the surface " + formatNumber(*report.bobBreaks / second, 1) + " s after the lift starts.\n";
    if (report.bobHolds) text += "It holds there " + formatNumber(*report.bobHolds / second, 1) + " s, and is clear of it " + formatNumber(*report.bobClear / second, 1) + " s.\n";
    for (const std::string& warning : report.warnings) text += "Note: " + warning + ".\n";
    return text + "Physics on stated shapes, not checked against measured flies.\n";
}

}  // namespace

int showDrift(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto report = weighTeam(book, options.team, options.celsius);
        if (!report) return refuse(report.error());
        Handling handling;
        handling.count = options.count * second;
        handling.retrieve = options.retrieve * metrePerSecond;
        handling.retrieveFor = options.retrieveFor * second;
        if (options.pull > 0.0 || options.pause > 0.0) {
            handling.pull = options.pull * second;
            handling.pause = options.pause * second;
        }
        handling.drift = options.drift * metrePerSecond;
        handling.lift = options.lift * metrePerSecond;
        handling.height = options.height * metre;
        handling.elevation = Angle::degrees(options.elevation);
        handling.hang = options.hang * second;
        if (const Faults faults = check(handling); !faults.empty()) return refuse(faults);
        const Rig rig = rigOf(report->flies, measuresOf(book.findTeam(options.team)->leader), options.celsius);
        DriftOptions how;
        how.keepNodes = false;
        const DriftReport run = runDrift(rig, handling, how);
        return print(options, driftReport(run), driftText(run));
    });
}

int showWater(const Options& options) {
    const Sea sea = seaUnder({options.wind * metrePerSecond, options.fetch * metre, options.drogue});
    const Json json = {{"wave_m", sea.height / metre},
                       {"period_s", sea.period / second},
                       {"drift_m_s", sea.drift / metrePerSecond},
                       {"builds_min", sea.builds / second / 60.0},
                       {"class", std::string(nameOf(sea.kind))},
                       {"fullness", {{"bob", sea.fullness.bob}, {"middle", sea.fullness.middle}, {"point", sea.fullness.point}}},
                       {"cautions", sea.cautions}};
    std::string text = "Force " + std::to_string(beaufort(options.wind * metrePerSecond)) + ", " + std::string(windWords(beaufort(options.wind * metrePerSecond))) +
                       ": wave " + formatNumber(sea.height / metre, 2) + " m every " + formatNumber(sea.period / second, 1) + " s, once it has blown " +
                       formatNumber(sea.builds / second / 60.0, 0) + " min\n" + "The boat drifts at " + formatNumber(sea.drift / metrePerSecond, 2) + " m/s\n" +
                       "Fullness wanted, fibres per mm of gape: bob " + formatNumber(sea.fullness.bob, 1) + ", middle " + formatNumber(sea.fullness.middle, 1) +
                       ", point " + formatNumber(sea.fullness.point, 1) + " (rule of thumb)\n";
    for (const std::string& caution : sea.cautions) text += caution + "\n";
    return print(options, json, text);
}

}  // namespace machair::cli
