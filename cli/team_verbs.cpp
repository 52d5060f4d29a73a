// team, balance, choose, drift and water: three flies, and what they meet.
#include <algorithm>

#include "cli/verbs.h"
#include "leader/drift.h"
#include "team/balance.h"
#include "team/choose.h"
#include "units/text.h"
#include "water/sea.h"

namespace machair::cli {

namespace {

Result<TeamSetting> settingFor(const Book& book, const Options& options) {
    const WaterSpec* water = options.water.empty() ? nullptr : book.findWater(options.water);
    if (!options.water.empty() && !water) return noSuch(Place("waters"), "water", options.water);
    TeamSetting setting = settingOf(book, water);
    if (!water) setting.celsius = options.celsius;
    return setting;
}

}  // namespace

int showTeam(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto report = settingFor(book, options).and_then([&](const TeamSetting& setting) { return weighTeam(book, options.team, setting); });
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
            if (const auto& depth = sample.depth[position]) row[std::string(nameOf(position)) + "_m"] = *depth / metre;
        series.push_back(std::move(row));
    }
    Json bands = Json::object();
    for (const Position position : kPositions)
        if (report.flyNode[position]) bands[std::string(nameOf(position))] = bandsOf(report.bands[position]);
    Json json = {{"series", std::move(series)}, {"bands", std::move(bands)}};
    if (report.bobBreaks) json["bob_breaks_s"] = *report.bobBreaks / second;
    if (report.bobHolds) json["bob_holds_s"] = *report.bobHolds / second;
    if (report.bobClear) json["bob_clear_s"] = *report.bobClear / second;
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
    if (report.bobBreaks) text += "The bob breaks the surface " + formatNumber(*report.bobBreaks / second, 1) + " s after the lift starts.\n";
    if (report.bobHolds) text += "It holds there " + formatNumber(*report.bobHolds / second, 1) + " s, and is clear of it " + formatNumber(*report.bobClear / second, 1) + " s.\n";
    for (const std::string& warning : report.warnings) text += "Note: " + warning + ".\n";
    return text + "Physics on stated shapes, not checked against measured flies.\n";
}

}  // namespace

int showDrift(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto report = settingFor(book, options).and_then([&](const TeamSetting& setting) { return weighTeam(book, options.team, setting); });
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

namespace {

std::string proposalText(const Proposal& proposal) {
    std::string text = "cost " + std::to_string(proposal.cost) + " (" + std::string(nameOf(proposal.verdict)) + ")";
    if (proposal.changes.empty()) text += ": nothing to change";
    for (const ProposedChange& change : proposal.changes) text += "\n  " + change.words;
    for (const TeamCheck& check : proposal.checks)
        if (check.verdict != Verdict::pass) text += "\n  still " + std::string(nameOf(check.verdict)) + ": " + check.words;
    return text + "\n";
}

std::optional<std::size_t> candidateNamed(const std::vector<BoxCandidate>& box, const std::string& name) {
    for (const auto member : {&BoxCandidate::id, &BoxCandidate::pattern})
        if (const auto found = std::ranges::find(box, name, member); found != box.end()) return static_cast<std::size_t>(found - box.begin());
    return std::nullopt;
}

Json choiceReport(const ChoiceReport& report, const std::vector<BoxCandidate>& box) {
    Json teams = Json::array();
    for (const Choice& choice : report.teams) {
        Json team = Json::object();
        for (std::size_t p = 0; p < kTrio.size(); ++p) {
            const BoxCandidate& fly = box[choice.flies[p]];
            team[std::string(nameOf(kTrio[p]))] = {{"id", fly.id}, {"pattern", fly.pattern}, {"tied", fly.tied}};
        }
        team["score"] = choice.score;
        team["best_possible"] = choice.best;
        team["to_tie"] = choice.toTie;
        team["checks"] = checksReport(choice.checks);
        team["reasons"] = choice.reasons;
        teams.push_back(std::move(team));
    }
    Json leftOut = Json::array();
    for (const LeftOut& out : report.leftOut) leftOut.push_back({{"id", box[out.fly].id}, {"why", out.why}});
    return {{"teams", std::move(teams)}, {"examined", report.examined}, {"pairs_scanned", report.pairsScanned}, {"left_out", std::move(leftOut)}};
}

std::string choiceText(const ChoiceReport& report, const std::vector<BoxCandidate>& box) {
    std::string text;
    for (std::size_t i = 0; i < report.teams.size(); ++i) {
        const Choice& choice = report.teams[i];
        text += std::to_string(i + 1) + ". " + box[choice.flies[0]].title + " / " + box[choice.flies[1]].title + " / " + box[choice.flies[2]].title + "  (" +
                formatNumber(choice.score, 2) + " of " + formatNumber(choice.best, 0) + ")\n";
        for (const std::string& reason : choice.reasons) text += "     " + reason + "\n";
    }
    for (const LeftOut& out : report.leftOut) text += "left out: " + box[out.fly].title + ": " + out.why + "\n";
    if (report.teams.empty()) text += "No team of three can be made up.\n";
    return text + std::to_string(report.examined) + " teams looked at. A rule of thumb; the fishery's own rules decide.\n";
}

}  // namespace

int showBalance(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto judged = settingFor(book, options);
        if (!judged) return refuse(judged.error());
        const TeamSetting& setting = *judged;
        const auto report = balanceTeam(book, options.team, setting);
        if (!report) return refuse(report.error());
        Json proposals = Json::array();
        std::string text = report->withinReach ? "" : "Nothing within reach passes; nearest:\n";
        for (const Proposal& proposal : report->proposals) {
            Json changes = Json::array();
            for (const ProposedChange& change : proposal.changes) changes.push_back({{"position", std::string(nameOf(change.position))}, {"words", change.words}});
            proposals.push_back({{"cost", proposal.cost}, {"changes", std::move(changes)}, {"verdict", std::string(nameOf(proposal.verdict))}, {"checks", checksReport(proposal.checks)}});
            text += proposalText(proposal);
        }
        for (const std::string& conflict : report->conflicts) text += conflict + "\n";
        return print(options, {{"proposals", std::move(proposals)}, {"within_reach", report->withinReach}, {"conflicts", report->conflicts}, {"examined", report->planned}}, text);
    });
}

int showChoose(const Options& options) {
    return withBook(options, [&](const Book& book) {
        auto judged = settingFor(book, options);
        if (!judged) return refuse(judged.error());
        TeamSetting setting = std::move(*judged);
        setting.fullness = seaUnder({options.wind * metrePerSecond, options.fetch * metre, false}).fullness;
        if (!options.rules.empty()) {
            setting.card = book.findRuleCard(options.rules);
            if (!setting.card) return refuse(noSuch(Place("rule_cards"), "rule card", options.rules).value());
        }
        SchoolRules rules = rulesOf(School::stepped);
        if (!options.school.empty()) {
            if (const auto school = fromName<School>(options.school))
                rules = rulesOf(*school);
            else if (const TeamSchool* own = book.findTeamSchool(options.school))
                rules = rulesOf(*own);
            else
                return refuse(noSuch(Place("team_schools"), "school", options.school).value());
        }
        const auto box = candidatesOf(book, setting);
        if (!box) return refuse(box.error());
        ChoiceWish wish;
        for (const auto& [names, include] : {std::pair(&options.include, true), {&options.avoid, false}})
            for (const std::string& name : *names) {
                const auto fly = candidateNamed(*box, name);
                if (!fly) return refuse(noSuch(Place("box"), "fly", name).value());
                if (include)
                    wish.include = fly;
                else
                    wish.avoid.push_back(*fly);
            }
        const ChoiceReport report = chooseTeams(*box, rules, setting, wish);
        return print(options, choiceReport(report, *box), choiceText(report, *box));
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
