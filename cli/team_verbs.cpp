// team, balance, choose, drift and water: three flies, and what they meet.
#include <algorithm>

#include "cli/verbs.h"
#include "daybook/learned.h"
#include "leader/drift.h"
#include "team/balance.h"
#include "team/choose.h"
#include "units/text.h"
#include "water/sea.h"

namespace machair::cli {

namespace {

// The day that a team is judged on: a water's of the book, and over it what is said on the line.
struct Day {
    WaterSpec water;
    TeamSetting setting;
};
Result<Day> dayFor(const Book& book, const Options& options) {
    Day day;
    if (!options.water.empty()) {
        const WaterSpec* water = book.findWater(options.water);
        if (!water) return noSuch(Place("waters"), "water", options.water);
        day.water = *water;
    } else {
        day.water.celsius = options.celsius;
    }
    if (options.windSaid) {
        day.water.wind = options.wind * metrePerSecond;
        day.water.fetch = options.fetch * metre;
    }
    if (!options.light.empty()) day.water.light = fromName<Light>(options.light);
    if (!options.colour.empty()) day.water.colour = fromName<WaterColour>(options.colour);
    if (options.monthSaid) day.water.month = options.month;
    day.setting = settingOf(book, &day.water);
    return day;
}

Json flyReport(const Fly& fly) {
    Json json = {{"pattern", fly.pattern}};
    if (fly.hook) json["hook"] = *fly.hook;
    return json;
}
Json flyReport(const BoxCandidate& fly) {
    Json json = flyReport(fly.fly);
    json["id"] = fly.id;
    json["title"] = fly.title;
    json["tied"] = fly.tied;
    return json;
}

}  // namespace

int showTeam(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto report = dayFor(book, options).and_then([&](const Day& day) { return weighTeam(book, options.team, day.setting); });
        if (!report) return refuse(report.error());
        return print(options, teamReport(*report), teamText(*book.findTeam(options.team), *report));
    });
}

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

}  // namespace

int showDrift(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto report = dayFor(book, options).and_then([&](const Day& day) { return weighTeam(book, options.team, day.setting); });
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
        handling.hold = options.hold * second;
        handling.draw = options.draw * metrePerSecond;
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
    std::string text =
        "cost " + std::to_string(proposal.cost) + " (" + std::string(nameOf(proposal.verdict)) + "): " + proposal.words() + "\n";
    for (const TeamCheck& check : proposal.checks)
        if (check.verdict != Verdict::pass) text += "  still " + std::string(nameOf(check.verdict)) + ": " + check.words + "\n";
    return text;
}

Json proposalReport(const Proposal& proposal) {
    Json changes = Json::array();
    for (const ProposedChange& change : proposal.changes) {
        Json json = flyReport(*proposal.flies[change.position]);
        json["position"] = std::string(nameOf(change.position));
        json["kind"] = std::string(nameOf(change.kind));
        json["words"] = change.words;
        changes.push_back(std::move(json));
    }
    Json instead = Json::array();
    for (const Fly& fly : proposal.instead)
        instead.push_back(flyReport(fly));
    Json flies = Json::array();
    for (const Position position : kPositions) {
        if (!proposal.flies[position]) continue;
        Json fly = flyReport(*proposal.flies[position]);
        fly["position"] = std::string(nameOf(position));
        flies.push_back(std::move(fly));
    }
    return {{"cost", proposal.cost},
            {"score", proposal.score},
            {"words", proposal.words()},
            {"changes", std::move(changes)},
            {"instead", std::move(instead)},
            {"flies", std::move(flies)},
            {"verdict", std::string(nameOf(proposal.verdict))},
            {"checks", checksReport(proposal.checks)}};
}

// A fly by its id in the box, by its dressing, or by its dressing on a hook: "kelp-lantern@wet-10".
std::optional<std::size_t> candidateNamed(const std::vector<BoxCandidate>& box, const std::string& name) {
    const auto found = std::ranges::find_if(box, [&](const BoxCandidate& fly) {
        return fly.id == name || fly.fly.pattern == name || fly.fly.pattern + "@" + fly.fly.hook.value_or("") == name;
    });
    return found == box.end() ? std::nullopt : std::optional(static_cast<std::size_t>(found - box.begin()));
}

Json choiceReport(const ChoiceReport& report, const std::vector<BoxCandidate>& box) {
    Json teams = Json::array();
    for (const Choice& choice : report.teams) {
        Json flies = Json::array(), couldBe = Json::object();
        for (std::size_t p = 0; p < kTrio.size(); ++p) {
            Json fly = flyReport(box[choice.flies[p]]);
            fly["position"] = std::string(nameOf(kTrio[p]));
            flies.push_back(std::move(fly));
            Json others = Json::array();
            for (const std::size_t other : choice.couldBe[p])
                others.push_back(flyReport(box[other]));
            couldBe[std::string(nameOf(kTrio[p]))] = std::move(others);
        }
        teams.push_back({{"score", choice.score},
                         {"verdict", std::string(nameOf(choice.verdict))},
                         {"flies", std::move(flies)},
                         {"reasons", choice.reasons},
                         {"could_be", std::move(couldBe)},
                         {"to_tie", choice.toTie},
                         {"checks", checksReport(choice.checks)}});
    }
    Json leftOut = Json::array();
    for (const LeftOut& out : report.leftOut) {
        Json fly = flyReport(box[out.fly]);
        fly["why"] = out.why;
        leftOut.push_back(std::move(fly));
    }
    return {{"teams", std::move(teams)},
            {"examined", report.examined},
            {"pairs_scanned", report.pairsScanned},
            {"left_out", std::move(leftOut)}};
}

std::string choiceText(const ChoiceReport& report, const std::vector<BoxCandidate>& box) {
    std::string text;
    for (std::size_t i = 0; i < report.teams.size(); ++i) {
        const Choice& choice = report.teams[i];
        text += std::to_string(i + 1) + ". " + box[choice.flies[0]].title + " / " + box[choice.flies[1]].title + " / " +
                box[choice.flies[2]].title + "  (" + formatNumber(choice.score, 0) + " of 100, " + std::string(nameOf(choice.verdict)) +
                ")\n";
        for (const std::string& reason : choice.reasons)
            text += "     " + reason + "\n";
        for (std::size_t p = 0; p < kTrio.size(); ++p) {
            if (choice.couldBe[p].empty()) continue;
            text += "     on the " + std::string(nameOf(kTrio[p])) + " could be";
            for (std::size_t k = 0; k < choice.couldBe[p].size(); ++k)
                text += (k == 0 ? " " : ", ") + box[choice.couldBe[p][k]].title;
            text += "\n";
        }
    }
    for (const LeftOut& out : report.leftOut)
        text += "left out: " + box[out.fly].title + ": " + out.why + "\n";
    if (report.teams.empty()) text += "No team of three can be made up.\n";
    return text + std::to_string(report.examined) + " teams looked at. A rule of thumb; the fishery's own rules decide.\n";
}

int showPlace(const Options& options, const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting,
              const DaybookTerms& daybook) {
    const Position position = *fromName<Position>(options.place);
    Json flies = Json::array();
    std::string text = "For the " + options.place + ":\n";
    for (const Placed& placed : rankPlace(box, position, rules, setting, {}, daybook)) {
        Json fly = flyReport(box[placed.fly]);
        fly["score"] = placed.score();
        if (!placed.keptOut.empty()) fly["kept_out"] = placed.keptOut;
        fly["reasons"] = placed.reasons;
        flies.push_back(std::move(fly));
        text += formatNumber(placed.score(), 0) + "  " + box[placed.fly].title +
                (placed.keptOut.empty() ? "" : "  kept out: " + placed.keptOut) + "\n";
        for (std::size_t r = 0; r < std::min<std::size_t>(2, placed.reasons.size()); ++r)
            text += "      " + placed.reasons[r] + "\n";
    }
    return print(options, {{"flies", std::move(flies)}, {"examined", box.size()}},
                 text + "A rule of thumb; the fishery's own rules decide.\n");
}

Result<SchoolRules> schoolFor(const Book& book, const Options& options) {
    if (options.school.empty()) return rulesOf(School::stepped);
    if (const auto school = fromName<School>(options.school)) return rulesOf(*school);
    if (const TeamSchool* own = book.findTeamSchool(options.school)) return rulesOf(*own);
    return noSuch(Place("team_schools"), "school", options.school);
}

}  // namespace

int showBalance(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto report = dayFor(book, options).and_then([&](const Day& day) { return balanceTeam(book, options.team, day.setting); });
        if (!report) return refuse(report.error());
        Json lists[2] = {Json::array(), Json::array()};
        std::string text = report->passes ? "It passes as it is.\n" : "";
        const auto list = [&](const std::vector<Proposal>& proposals, Json& into, const char* title) {
            if (!proposals.empty()) text += title;
            for (const Proposal& proposal : proposals) {
                into.push_back(proposalReport(proposal));
                text += "  " + proposalText(proposal);
            }
        };
        list(report->box, lists[0], "From the box:\n");
        list(report->redressed, lists[1], "Tied otherwise:\n");
        for (const std::string& conflict : report->conflicts)
            text += conflict + "\n";
        Json json = {{"box", std::move(lists[0])},
                     {"redressed", std::move(lists[1])},
                     {"conflict", report->conflicts},
                     {"passes", report->passes},
                     {"examined", report->planned}};
        if (report->instead) {
            json["instead"] = proposalReport(*report->instead);
            text += "The best of the box that passes and keeps most: " + report->instead->words() + "\n";
        }
        return print(options, json, text);
    });
}

int showChoose(const Options& options) {
    return withBook(options, [&](const Book& book) {
        auto day = dayFor(book, options);
        if (!day) return refuse(day.error());
        TeamSetting& setting = day->setting;
        if (!options.rules.empty()) {
            setting.card = book.findRuleCard(options.rules);
            if (!setting.card) return refuse(noSuch(Place("rule_cards"), "rule card", options.rules).value());
        }
        const auto rules = schoolFor(book, options);
        if (!rules) return refuse(rules.error());
        const auto box = candidatesOf(book, setting);
        if (!box) return refuse(box.error());
        ChoiceWish wish;
        if (options.daybook) wish.daybook = daybookTerms(book, *box);
        if (!options.place.empty()) return showPlace(options, *box, *rules, setting, wish.daybook);
        for (const auto& [names, include] : {std::pair(&options.include, true), {&options.avoid, false}})
            for (const std::string& name : *names) {
                const auto fly = candidateNamed(*box, name);
                if (!fly) return refuse(noSuch(Place("box"), "fly", name).value());
                if (include)
                    wish.include = fly;
                else
                    wish.avoid.push_back(*fly);
            }
        const ChoiceReport report = chooseTeams(*box, *rules, setting, wish);
        return print(options, choiceReport(report, *box), choiceText(report, *box));
    });
}

int showWater(const Options& options) {
    const Sea sea = seaUnder({options.wind * metrePerSecond, options.fetch * metre, options.drogue});
    TeamDay day;
    if (!options.light.empty()) day.light = fromName<Light>(options.light);
    if (!options.colour.empty()) day.colour = fromName<WaterColour>(options.colour);
    Json full = Json::object();
    std::string wants;
    for (const Position position : kTrio) {
        const Wanted range = wantsOf(rulesOf(School::stepped), position, sea.height / metre, day).fullness;
        full[std::string(nameOf(position))] = {{"low", range.low}, {"high", range.high}};
        wants += (wants.empty() ? "" : ", ") + std::string(nameOf(position)) + " " + formatNumber(range.low, 1) + " to " +
                 formatNumber(range.high, 1);
    }
    const Json json = {{"wave_m", sea.height / metre},
                       {"period_s", sea.period / second},
                       {"drift_m_s", sea.drift / metrePerSecond},
                       {"builds_min", sea.builds / second / 60.0},
                       {"class", std::string(nameOf(sea.kind))},
                       {"full", std::move(full)},
                       {"cautions", sea.cautions}};
    std::string text = "Force " + std::to_string(beaufort(options.wind * metrePerSecond)) + ", " +
                       std::string(windWords(beaufort(options.wind * metrePerSecond))) + ": wave " + formatNumber(sea.height / metre, 2) +
                       " m every " + formatNumber(sea.period / second, 1) + " s, once it has blown " +
                       formatNumber(sea.builds / second / 60.0, 0) + " min\n" + "The boat drifts at " +
                       formatNumber(sea.drift / metrePerSecond, 2) + " m/s\n" + "Fullness wanted, in usual collars: " + wants +
                       " (rule of thumb)\n";
    for (const std::string& caution : sea.cautions)
        text += caution + "\n";
    return print(options, json, text);
}

}  // namespace machair::cli
