// drift: a team through one cast.
#include "leader/drift.h"
#include "cli/day.h"
#include "cli/report.h"
#include "units/text.h"

namespace machair::cli {

namespace {

Json bandsOf(const std::vector<Time>& bands) {
    Json list = Json::array();
    for (const Time time : bands)
        list.push_back(time / second);
    return list;
}

Json driftReport(const DriftReport& report) {
    Json series = Json::array();
    for (const DriftSample& sample : report.samples) {
        Json row = {{"t_s", sample.time / second}, {"tip_m", sample.tip / metre}};
        for (const Position position : kPositions)
            if (const auto& depth = sample.depth[position]) row[std::string(nameOf(position)) + "_m"] = *depth / metre;
        series.push_back(std::move(row));
    }
    Json bands = Json::object();
    for (const Position position : kPositions)
        if (report.flyNode[position]) bands[std::string(nameOf(position))] = bandsOf(report.bands[position]);
    Json json = {{"series", std::move(series)}, {"bands", std::move(bands)}};
    if (report.bobBreaks) json["bob_breaks_s"] = *report.bobBreaks / second;
    if (report.bobHolds) json["bob_holds_s"] = *report.bobHolds / second;
    if (report.bobWorks) json["bob_works_s"] = *report.bobWorks / second;
    if (report.bobClear) json["bob_clear_s"] = *report.bobClear / second;
    if (report.tipAtBreak) json["tip_at_break_m"] = *report.tipAtBreak / metre;
    json["warnings"] = report.warnings;
    return json;
}

std::string driftText(const DriftReport& report) {
    const auto cell = [](const std::string& text) { return std::string(text.size() < 7 ? 7 - text.size() : 0, ' ') + text; };
    std::string text = cell("s") + cell("tip");
    for (const Position position : kPositions)
        if (report.flyNode[position]) text += cell(std::string(nameOf(position)));
    text += "  (m below the surface)\n";
    for (std::size_t i = 0; i < report.samples.size(); i += 20) {
        const DriftSample& s = report.samples[i];
        text += cell(formatNumber(s.time / second, 0)) + cell(formatNumber(s.tip / metre, 2));
        for (const Position position : kPositions)
            if (report.flyNode[position]) text += cell(s.depth[position] ? formatNumber(*s.depth[position] / metre, 2) : "-");
        text += "\n";
    }
    if (report.bobBreaks)
        text += "The bob breaks the surface " + formatNumber(*report.bobBreaks / second, 1) + " s after the lift starts" +
                (report.tipAtBreak ? ", with the line's end " + formatNumber(*report.tipAtBreak / metre, 2) + " m high" : "") + ".\n";
    if (report.bobHolds)
        text += "It holds there " + formatNumber(*report.bobHolds / second, 1) + " s, works within a hand of it " +
                formatNumber(*report.bobWorks / second, 1) + " s, and is clear of it " + formatNumber(*report.bobClear / second, 1) +
                " s.\n";
    for (const std::string& warning : report.warnings)
        text += "Note: " + warning + ".\n";
    return text + "Physics on stated shapes, on a floating line; not checked against measured flies.\n";
}

struct DriftVerb : OnBook {
    static constexpr const char* kName = "drift";
    static constexpr const char* kHelp = "how a team fishes through count, retrieve, lift and hang";
    static constexpr const char* kExample =
        "machair-cli drift skerrin.machair --team west-shore --count 5 --retrieve 0.3 --for 10 --lift 0.3 --height 3 --hang 5";

    std::string team;
    DayAsked day;
    // Seconds, metres and metres a second, as they are said.
    double count = 0.0, retrieve = 0.0, retrieveFor = 0.0, pull = 0.0, pause = 0.0, boat = 0.0;
    double lift = 0.0, height = 0.0, elevation = 60.0, hold = 0.0, draw = 0.0, hang = 0.0;

    void arguments(CLI::App& verb) {
        verb.add_option("--team", team, "its id")->required();
        celsiusOption(verb, day.celsius);
        numberOption(verb, "--count", count, "seconds to sink before the retrieve");
        numberOption(verb, "--retrieve", retrieve, "speed of the retrieve, m/s");
        numberOption(verb, "--for", retrieveFor, "seconds of retrieve");
        numberOption(verb, "--pull", pull, "seconds of each pull");
        numberOption(verb, "--pause", pause, "seconds between pulls");
        numberOption(verb, "--drift", boat, "the boat's drift through the water, m/s");
        numberOption(verb, "--lift", lift, "speed of the rod tip in the lift, m/s");
        numberOption(verb, "--height", height, "height of the rod tip after the lift, m");
        numberOption(verb, "--elevation", elevation, "of the lift, degrees");
        numberOption(verb, "--hold", hold, "seconds to hold the bob in the surface");
        numberOption(verb, "--draw", draw, "m/s drawn in meanwhile");
        numberOption(verb, "--hang", hang, "seconds of hang");
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto report = day.in(book).and_then([&](const DayAsked::Day& on) { return weighTeam(book, TeamId(team), on.setting); });
            if (!report) return refuse(report.error());
            Handling handling;
            handling.count = count * second;
            handling.retrieve = retrieve * metrePerSecond;
            handling.retrieveFor = retrieveFor * second;
            if (pull > 0.0 || pause > 0.0) {
                handling.pull = pull * second;
                handling.pause = pause * second;
            }
            handling.drift = boat * metrePerSecond;
            handling.lift = lift * metrePerSecond;
            handling.height = height * metre;
            handling.elevation = Angle::degrees(elevation);
            handling.hold = hold * second;
            handling.draw = draw * metrePerSecond;
            handling.hang = hang * second;
            if (const Faults faults = check(handling); !faults.empty()) return refuse(faults);
            const Rig rig = rigOf(report->flies, measuresOf(book.findTeam(TeamId(team))->leader), day.celsius.value_or(kUsualCelsius));
            DriftOptions how;
            how.keepNodes = false;
            const DriftReport fished = runDrift(rig, handling, how);
            return print(*this, driftReport(fished), driftText(fished));
        });
    }
};

}  // namespace

void addDriftVerb(CLI::App& app, int& result) { addVerb<DriftVerb>(app, result); }

}  // namespace machair::cli
