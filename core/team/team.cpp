#include "team/team.h"

#include <algorithm>
#include <cmath>

#include "units/text.h"

namespace machair {

namespace {

std::string name(Position p) { return std::string(nameOf(p)); }

struct Said {
    std::string words;
    std::string mend;
};

Said sayPair(const JudgedTerm& judged, const FlyFigures& up, const FlyFigures& low, const std::string& upper, const std::string& lower) {
    const double value = judged.value;
    const Wanted& wanted = *judged.wanted;
    const auto number = [](double v) { return formatNumber(v, 2); };
    switch (judged.term) {
        case TeamTerm::sinkStep:
            if (low.floats) return {"the " + lower + " floats: it can't hang below the " + upper, "a heavier hook, a bead or less buoyancy on the " + lower};
            if (up.floats) return {"the " + upper + " floats and the " + lower + " sinks", {}};
            return {"the " + lower + " sinks " + number(value) + " times as fast as the " + upper,
                    "make the " + lower + " slimmer or heavier, or dress the " + upper + " fuller: the step wants " + number(wanted.low)};
        case TeamTerm::presenceOrder:
            return {"the " + upper + " pushes " + number(value) + " times the water of the " + lower,
                    "more hackle turns on the " + upper + ", fewer on the " + lower + ", or change the two over"};
        case TeamTerm::turnover:
            return {"for the water it pushes the " + lower + " weighs " + number(value) + " times what the " + upper + " does",
                    "more weight or less hackle on the " + lower + ", or the leader folds back on itself: " + number(wanted.low) + " is wanted"};
        case TeamTerm::pointWeight:
            return {"the point weighs " + number(value) + " of the " + upper, "a heavier hook or a bead on the point: " + number(wanted.low) + " is wanted"};
        case TeamTerm::sizeStep:
            return {value == 0.0 ? "the " + upper + " and the " + lower + " are one hook size"
                                 : "the " + lower + " is " + formatShort(std::abs(value), 0) + (value > 0.0 ? " smaller" : " larger") + " than the " + upper + " in hook size",
                    value < wanted.low ? "a larger hook on the " + upper + " or a smaller one on the " + lower
                                       : "hooks nearer in size on the " + upper + " and the " + lower};
        case TeamTerm::family: {
            const auto spread = [](double a, double b) { return a > 0.0 && b > 0.0 ? std::max(a, b) / std::min(a, b) - 1.0 : -1.0; };
            const double hackle = spread(up.hackle, low.hackle), tail = spread(up.tail, low.tail), wing = spread(up.wing, low.wing);
            const std::string what = hackle >= tail && hackle >= wing ? "hackles" : tail >= wing ? "tails" : "wings";
            return {"for their gapes the " + what + " of " + upper + " and " + lower + " differ by " + formatNumber(100.0 * value, 0) + " %",
                    "tie the " + what + " to one measure: within " + formatNumber(100.0 * wanted.high, 0) + " % looks like one hand"};
        }
        case TeamTerm::variety:
            return {"seen at fishing depth the " + upper + " and the " + lower + " differ by " + formatNumber(value, 1) + " in colour",
                    "a darker or brighter dressing on one of them, so that the fish has a choice"};
        default: throw BrokenContract("not a check of a pair");
    }
}

TeamCheck inWords(const JudgedTerm& judged, Position upper, Position lower, Said said) {
    TeamCheck check;
    check.term = judged.term;
    check.upper = upper;
    check.lower = lower;
    if (judged.valued) check.value = judged.value;
    constexpr double kOpen = 1e299;
    if (judged.wanted && judged.wanted->low > -kOpen) check.low = judged.wanted->low;
    if (judged.wanted && judged.wanted->high < kOpen) check.high = judged.wanted->high;
    check.shortfall = judged.shortfall;
    check.verdict = verdictOf(judged.shortfall);
    check.words = std::move(said.words);
    if (check.verdict != Verdict::pass) check.mend = std::move(said.mend);
    return check;
}

void checkLeader(TeamReport& report, const LeaderMeasures& leader) {
    const auto judge = [&](TeamTerm term, const Wanted& wanted, Length length, Position upper, Position lower, std::string words, std::string mend) {
        const double value = length / metre;
        report.checks.push_back(inWords({term, value, &wanted, wanted.shortfall(value)}, upper, lower, {std::move(words), std::move(mend)}));
    };
    const auto metres = [](double v) { return formatNumber(v, 2) + " m"; };
    for (std::size_t i = 0; i + 1 < report.flies.size(); ++i) {
        const Position upper = report.flies[i].position, lower = report.flies[i + 1].position;
        const Length apart = leader.fromTip(lower) - leader.fromTip(upper);
        judge(TeamTerm::spacing, report.rules.spacing, apart, upper, lower,
              "the " + name(upper) + " and the " + name(lower) + " are " + metres(apart / metre) + " apart",
              "space them from " + metres(report.rules.spacing.low) + " to " + metres(report.rules.spacing.high));
    }
    if (!report.flies.empty() && report.flies.front().position != Position::point) {
        judge(TeamTerm::dropper, report.rules.dropper, leader.dropper, report.flies.front().position, report.flies.front().position,
              "droppers of " + formatNumber(leader.dropper / mm / 10.0, 0) + " cm",
              "from " + formatNumber(100.0 * report.rules.dropper.low, 0) + " to " + formatNumber(100.0 * report.rules.dropper.high, 0) +
                  " cm stands off the leader and doesn't wrap it");
    }
}

void checkFullness(TeamReport& report, const FullnessWanted& wave) {
    for (const TeamFly& fly : report.flies) {
        const double wanted = report.rules.fullnessScale * wave.at(fly.position);
        const Wanted& tolerance = report.rules.fullness;
        const Wanted range{std::max(0.0, wanted + tolerance.low), wanted + tolerance.high, tolerance.nearWidth};
        const double value = fly.figures.fullness;
        report.checks.push_back(inWords({TeamTerm::fullness, value, &range, range.shortfall(value)}, fly.position, fly.position,
                                        {"the " + name(fly.position) + " carries " + formatNumber(value, 1) + " fibres per mm of gape; this wave wants about " + formatNumber(wanted, 0),
                                         value < wanted ? "more turns of hackle, or a fuller fly there" : "fewer turns of hackle, or a sparser fly there"}));
    }
}

void checkCard(TeamReport& report, const TeamSetting& setting, const std::optional<LeaderSpec>& leader) {
    const auto breach = [&](Position at, const std::string& who, const Breach& b) {
        report.checks.push_back(inWords({TeamTerm::rules, 0.0, nullptr, 2.0, false}, at, at, {who + b.words, b.mend}));
    };
    for (const TeamFly& fly : report.flies)
        for (const Breach& b : breachesOf(fly.figures, *setting.card, setting.contest)) breach(fly.position, "the " + name(fly.position) + ": ", b);
    LeaderFigures figures;
    figures.flies = static_cast<int>(report.flies.size());
    figures.overall = measuresOf(leader).overall();
    for (const TeamCheck& check : report.checks)
        if (check.term == TeamTerm::spacing && check.value) figures.spacings.push_back(*check.value * metre);
    for (const Breach& b : breachesOf(figures, *setting.card)) breach(Position::bob, "", b);
    if (std::ranges::none_of(report.checks, [](const TeamCheck& c) { return c.term == TeamTerm::rules; }))
        report.checks.push_back(inWords({TeamTerm::rules, 0.0, nullptr, 0.0, false}, Position::bob, Position::point,
                                        {"within the rules of " + setting.card->title() + ", as this card has them", {}}));
}

}  // namespace

Verdict verdictOf(double shortfall) { return shortfall <= 0.0 ? Verdict::pass : shortfall <= 1.0 ? Verdict::near : Verdict::off; }

TeamSetting settingOf(const Book& book, const WaterSpec* water) {
    TeamSetting setting;
    if (!water) return setting;
    setting.celsius = water->celsius.value_or(kUsualCelsius);
    if (water->colour) setting.seen.clarity = clarityOf(*water->colour);
    if (water->light == Light::bright) setting.seen.sighting.cosine = pathCosine(Angle::degrees(45.0));
    if (water->rules) setting.card = book.findRuleCard(*water->rules);
    return setting;
}

TeamSetting choiceSettingOf(const Book& book, const WaterSpec* water) {
    TeamSetting setting = settingOf(book, water);
    if (water && water->wind && water->fetch) setting.fullness = seaUnder({*water->wind, *water->fetch, false}).fullness;
    return setting;
}

PairPlace placeOf(Position upper, Position lower, const std::vector<Position>& taken) {
    const bool between = std::ranges::any_of(taken, [&](Position p) { return p > upper && p < lower; });
    return {!between, upper == Position::bob, lower == Position::point};
}

std::vector<TeamCheck> checkPair(const FlyFigures& upper, Position upperAt, const FlyFigures& lower, Position lowerAt, const PairPlace& place,
                                 const SchoolRules& rules) {
    std::vector<TeamCheck> checks;
    for (const JudgedTerm& judged : judgePair(upper, lower, place, rules))
        checks.push_back(inWords(judged, upperAt, lowerAt, sayPair(judged, upper, lower, name(upperAt), name(lowerAt))));
    return checks;
}

TeamFly teamFly(Position position, Plan plan, const TeamSetting& setting) {
    const SinkReport sink = sinkReport(plan, setting.celsius);
    const FlyFigures figures = figuresOf(plan, sink, setting.seen);
    return {position, std::move(plan), sink, figures};
}

TeamReport weighFlies(std::vector<TeamFly> flies, const SchoolRules& rules, const TeamSetting& setting, const std::optional<LeaderSpec>& leader) {
    TeamReport report;
    report.flies = std::move(flies);
    report.rules = rules;
    std::vector<Position> taken;
    for (const TeamFly& fly : report.flies) taken.push_back(fly.position);
    for (std::size_t i = 0; i < report.flies.size(); ++i)
        for (std::size_t k = i + 1; k < report.flies.size(); ++k) {
            const TeamFly &upper = report.flies[i], &lower = report.flies[k];
            for (TeamCheck& check : checkPair(upper.figures, upper.position, lower.figures, lower.position, placeOf(upper.position, lower.position, taken), rules))
                report.checks.push_back(std::move(check));
        }
    std::ranges::stable_sort(report.checks, {}, &TeamCheck::term);
    if (report.flies.size() > 1) checkLeader(report, measuresOf(leader));
    if (setting.fullness) checkFullness(report, *setting.fullness);
    if (setting.card) checkCard(report, setting, leader);
    for (const TeamCheck& check : report.checks) report.verdict = std::max(report.verdict, check.verdict);
    return report;
}

Result<TeamReport> weighTeam(const Book& book, std::string_view teamId, const TeamSetting& setting) {
    const TeamSpec* team = book.findTeam(teamId);
    if (!team) return noSuch(Place("teams"), "team", teamId);
    std::vector<TeamFly> flies;
    Faults faults;
    for (const Position position : kPositions) {
        const auto& fly = team->at(position);
        if (!fly) continue;
        auto planned = planWhatCan(book, *fly);  // a part that can't be tied takes no fly off its team
        if (!planned)
            append(faults, planned.error());
        else
            flies.push_back(teamFly(position, std::move(*planned), setting));
    }
    if (flies.empty() && faults.empty())
        faults.push_back({Place("teams"), "expected a fly in the team, got none", "put a dressing on bob, middle or point"});
    if (!faults.empty()) return tl::unexpected(faults);
    return weighFlies(std::move(flies), rulesFor(book, *team), setting, team->leader);
}

}  // namespace machair
