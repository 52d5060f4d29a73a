#include "team/team.h"

#include <algorithm>

#include "units/text.h"

namespace machair {

namespace {

Verdict judge(double value, double low, double nearWidth) {
    if (value >= low) return Verdict::pass;
    return value >= low - nearWidth ? Verdict::near : Verdict::off;
}

std::string positionName(Position p) { return std::string(nameOf(p)); }

TeamCheck sinkStep(const TeamFly& upper, const TeamFly& lower, const SchoolRules& rules) {
    TeamCheck check{"sink_step", upper.position, lower.position, {}, rules.sinkStep, {}, Verdict::pass, {}, {}};
    const std::string pair = positionName(lower.position) + " against " + positionName(upper.position);
    if (lower.sink.floats) {
        check.verdict = Verdict::off;
        check.value = 0.0;
        check.words = "the " + positionName(lower.position) + " floats: it can't hang below the " + positionName(upper.position);
        check.mend = "a heavier hook, a bead or less buoyancy on the " + positionName(lower.position);
        return check;
    }
    if (upper.sink.floats) {
        check.words = "the " + positionName(upper.position) + " floats and the " + positionName(lower.position) + " sinks";
        return check;
    }
    const double ratio = lower.sink.sinkRate / upper.sink.sinkRate;
    check.value = ratio;
    check.verdict = judge(ratio, rules.sinkStep, rules.sinkNear);
    check.words = "the " + positionName(lower.position) + " sinks " + formatNumber(ratio, 2) + " times as fast as the " +
                  positionName(upper.position);
    if (check.verdict != Verdict::pass)
        check.mend = "make the " + positionName(lower.position) + " slimmer or heavier, or dress the " +
                     positionName(upper.position) + " fuller: the step wants " + formatNumber(rules.sinkStep, 2);
    return check;
}

TeamCheck presenceOrder(const TeamFly& upper, const TeamFly& lower, const SchoolRules& rules) {
    TeamCheck check{"presence_order", upper.position, lower.position, {}, rules.presenceOrder, {}, Verdict::pass, {}, {}};
    const double ratio = upper.sink.presence / lower.sink.presence;
    check.value = ratio;
    check.verdict = judge(ratio, rules.presenceOrder, rules.presenceNear);
    check.words = "the " + positionName(upper.position) + " pushes " + formatNumber(ratio, 2) + " times the water of the " +
                  positionName(lower.position);
    if (check.verdict != Verdict::pass)
        check.mend = "more hackle turns on the " + positionName(upper.position) + ", fewer on the " +
                     positionName(lower.position) + ", or change the two over";
    return check;
}

}  // namespace

SchoolRules rulesOf(School school) {
    SchoolRules rules;
    switch (school) {
        case School::stepped: rules.belief = "The bushiest fly works the top, the heaviest anchors the point."; break;
        case School::bigTop: rules.belief = "The largest hook goes on the bob, where the eye of the fish is drawn."; break;
        case School::oneSize: rules.belief = "All three on one hook size; the dressing alone makes the order."; break;
        case School::riverSwing:
            rules.belief = "Sparse throughout and closer together, the heaviest on the point.";
            rules.sinkStep = 1.10;
            break;
    }
    return rules;
}

TeamReport weighFlies(std::vector<TeamFly> flies, School school) {
    TeamReport report;
    report.flies = std::move(flies);
    const SchoolRules rules = rulesOf(school);
    for (std::size_t i = 0; i + 1 < report.flies.size(); ++i)
        report.checks.push_back(sinkStep(report.flies[i], report.flies[i + 1], rules));
    for (std::size_t i = 0; i + 1 < report.flies.size(); ++i)
        report.checks.push_back(presenceOrder(report.flies[i], report.flies[i + 1], rules));
    for (const TeamCheck& check : report.checks) report.verdict = std::max(report.verdict, check.verdict);
    return report;
}

Result<TeamReport> weighTeam(const Book& book, std::string_view teamId, double celsius) {
    const TeamSpec* team = book.findTeam(teamId);
    if (!team) return noSuch(Place("teams"), "team", teamId);
    std::vector<TeamFly> flies;
    Faults faults;
    for (const Position position : kPositions) {
        const auto& fly = team->at(position);
        if (!fly) continue;
        auto planned = planPattern(book, *fly);
        if (!planned) {
            append(faults, planned.error());
            continue;
        }
        const SinkReport sink = sinkReport(*planned, celsius);
        flies.push_back({position, std::move(*planned), sink});
    }
    if (flies.empty() && faults.empty())
        faults.push_back({Place("teams"), "expected a fly in the team, got none", "put a dressing on bob, middle or point"});
    if (!faults.empty()) return tl::unexpected(faults);
    return weighFlies(std::move(flies), team->school.value_or(School::stepped));
}

}  // namespace machair
