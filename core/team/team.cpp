#include "team/team.h"

#include <algorithm>
#include <cmath>

#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

// Which of the lengths that two flies share differ most.
std::string mostApart(const FlyFigures& up, const FlyFigures& low) {
    double worst = -1.0;
    std::size_t at = 0;
    for (std::size_t i = 0; i < kLikenesses; ++i) {
        const double a = up.lengths[i], b = low.lengths[i];
        const double spread = a > 0.0 && b > 0.0 ? std::max(a, b) / std::min(a, b) - 1.0 : -1.0;
        if (spread > worst) {
            worst = spread;
            at = i;
        }
    }
    return at <= static_cast<std::size_t>(Likeness::upright)     ? say("hackles")
           : at <= static_cast<std::size_t>(Likeness::plumeTail) ? say("tails")
                                                                 : say("wings");
}

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
            if (low.floats)
                return {say("the {} floats: it can't hang below the {}", lower, upper),
                        say("a heavier hook, a bead or less buoyancy on the {}", lower)};
            if (up.floats) return {say("the {} floats and the {} sinks", upper, lower), {}};
            return {say("the {} sinks {} times as fast as the {}", lower, number(value), upper),
                    say("make the {} slimmer or heavier, or dress the {} fuller: the step wants {}", lower, upper, number(wanted.low))};
        case TeamTerm::presenceOrder:
            return {say("the {} pushes {} times the water of the {}", upper, number(value), lower),
                    say("more hackle turns on the {}, fewer on the {}, or change the two over", upper, lower)};
        case TeamTerm::turnover:
            return {
                say("for the water it pushes the {} weighs {} times what the {} does", lower, number(value), upper),
                say("more weight or less hackle on the {}, or the leader folds back on itself: {} is wanted", lower, number(wanted.low))};
        case TeamTerm::pointWeight:
            return {say("the point weighs {} of the {}", number(value), upper),
                    say("a heavier hook or a bead on the point: {} is wanted", number(wanted.low))};
        case TeamTerm::sizeStep:
            return {value == 0.0 ? say("the {} and the {} are one hook size", upper, lower)
                                 : say("the {} is {}{} than the {} in hook size", lower, formatShort(std::abs(value), 0),
                                       value > 0.0 ? say(" smaller") : say(" larger"), upper),
                    value < wanted.low ? say("a larger hook on the {} or a smaller one on the {}", upper, lower)
                                       : say("hooks nearer in size on the {} and the {}", upper, lower)};
        case TeamTerm::family: {
            const std::string what = mostApart(up, low);
            return {say("of one style, yet the {} of {} and {} differ by {} %", what, upper, lower, formatNumber(100.0 * value, 0)),
                    say("tie the {} to one measure: within {} % looks like one hand", what, formatNumber(100.0 * wanted.high, 0))};
        }
        case TeamTerm::sinkAcross:
            if (low.floats && !up.floats)
                return {say("the {} floats: it can't lead the {} down", lower, upper), say("a fly that sinks on the {}", lower)};
            if (!judged.valued) return {say("the {} floats", upper), {}};
            return {say("the {} sinks {} times as fast as the {}", lower, number(value), upper),
                    say("a heavier or slimmer fly on the {}: {} is wanted from end to end", lower, number(wanted.low))};
        case TeamTerm::twice:
            return {say("the {} and the {} are one fly", upper, lower), say("another fly on one of them, so that the fish has a choice")};
        case TeamTerm::variety:
            return {say("seen at fishing depth the {} and the {} differ by {} in colour", upper, lower, formatNumber(value, 1)),
                    say("a darker or brighter dressing on one of them, so that the fish has a choice")};
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
    const auto judge = [&](TeamTerm term, const Wanted& wanted, Length length, Position upper, Position lower, std::string words,
                           std::string mend) {
        const double value = length / metre;
        report.checks.push_back(
            inWords({term, value, &wanted, wanted.shortfall(value)}, upper, lower, {std::move(words), std::move(mend)}));
    };
    const auto metres = [](double v) { return formatNumber(v, 2) + " m"; };
    for (std::size_t i = 0; i + 1 < report.flies.size(); ++i) {
        const Position upper = report.flies[i].position, lower = report.flies[i + 1].position;
        const Length apart = leader.fromTip(lower) - leader.fromTip(upper);
        judge(TeamTerm::spacing, report.rules.spacing, apart, upper, lower,
              say("the {} and the {} are {} apart", name(upper), name(lower), metres(apart / metre)),
              say("space them from {} to {}", metres(report.rules.spacing.low), metres(report.rules.spacing.high)));
    }
    if (!report.flies.empty() && report.flies.front().position != Position::point) {
        judge(TeamTerm::dropper, report.rules.dropper, leader.dropper, report.flies.front().position, report.flies.front().position,
              say("droppers of {} cm", formatNumber(leader.dropper / mm / 10.0, 0)),
              say("from {} to {} cm stands off the leader and doesn't wrap it", formatNumber(100.0 * report.rules.dropper.low, 0),
                  formatNumber(100.0 * report.rules.dropper.high, 0)));
    }
}

// What a fly is judged on by itself, and what the hand can do about its hackle.
void checkPlaces(TeamReport& report, const TeamDay& day) {
    for (const TeamFly& fly : report.flies) {
        const PlaceWants wants = wantsOf(report.rules, fly.position, report.wave, day);
        for (const PlaceTerm& term : checksOf(fly.figures, wants)) {
            const JudgedTerm judged{term.term, term.value, &term.wanted, term.shortfall};
            Said said{sayCheck(term, fly.figures, wants), mendOf(term, fly.figures, wants)};
            if (term.term == TeamTerm::fullness && term.shortfall > 0.0)
                if (const auto so = dressItSo(fly.plan, wants)) said.mend = so->words;
            report.checks.push_back(inWords(judged, fly.position, fly.position, std::move(said)));
        }
    }
}

void checkCard(TeamReport& report, const TeamSetting& setting, const std::optional<LeaderSpec>& leader) {
    const auto breach = [&](Position upper, Position lower, const std::string& who, const Breach& b) {
        report.checks.push_back(inWords({TeamTerm::rules, 0.0, nullptr, 2.0, false}, upper, lower, {who + b.words, b.mend}));
    };
    for (const TeamFly& fly : report.flies)
        for (const Breach& b : breachesOf(fly.figures, *setting.card, setting.contest))
            breach(fly.position, fly.position, say("the {}: ", name(fly.position)), b);
    LeaderFigures figures;
    figures.flies = static_cast<int>(report.flies.size());
    figures.overall = measuresOf(leader).overall();
    for (const TeamCheck& check : report.checks)
        if (check.term == TeamTerm::spacing && check.value) figures.spacings.push_back(*check.value * metre);
    for (const Breach& b : breachesOf(figures, *setting.card))
        breach(Position::bob, Position::point, "", b);  // of them all
    if (std::ranges::none_of(report.checks, [](const TeamCheck& c) { return c.term == TeamTerm::rules; }))
        report.checks.push_back(inWords({TeamTerm::rules, 0.0, nullptr, 0.0, false}, Position::bob, Position::point,
                                        {say("within the rules of {}, as this card has them", setting.card->title()), {}}));
}

}  // namespace

Verdict verdictOf(double shortfall) { return shortfall <= 0.0 ? Verdict::pass : shortfall <= 1.0 ? Verdict::near : Verdict::off; }

std::vector<const SeasonRow*> seasonOf(const Book& book, std::optional<int> month) {
    std::vector<const SeasonRow*> rows;
    for (const SeasonRow& row : book.season)
        if (month && row.includes(*month)) rows.push_back(&row);
    return rows;
}

TeamSetting settingOf(const Book& book, const WaterSpec* water, std::shared_ptr<Plans> plans) {
    TeamSetting setting;
    setting.plans = std::move(plans);
    if (!water) return setting;
    setting.celsius = water->celsius.value_or(kUsualCelsius);
    if (water->colour) setting.seen.clarity = clarityOf(*water->colour);
    if (water->light == Light::bright) setting.seen.sighting.cosine = pathCosine(Angle::degrees(45.0));
    if (water->rules) setting.card = book.findRuleCard(*water->rules);
    setting.contest.kept = water->kept.value_or(0);
    if (water->wind && water->fetch) setting.day.wave = seaUnder({*water->wind, *water->fetch, false}).height;
    setting.day.light = water->light;
    setting.day.colour = water->colour;
    setting.day.season = seasonOf(book, water->month);
    setting.day.about = water->hatching.value_or("");
    return setting;
}

PairPlace placeOf(Position upper, Position lower, const std::vector<Position>& taken) {
    const bool between = std::ranges::any_of(taken, [&](Position p) { return p > upper && p < lower; });
    return {!between, upper == Position::bob, lower == Position::point};
}

std::vector<TeamCheck> checkPair(const FlyFigures& upper, Position upperAt, const FlyFigures& lower, Position lowerAt,
                                 const PairPlace& place, const SchoolRules& rules) {
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

namespace {

// What the day has no say in.
void checkPairs(TeamReport& report) {
    std::vector<Position> taken;
    for (const TeamFly& fly : report.flies)
        taken.push_back(fly.position);
    for (std::size_t i = 0; i < report.flies.size(); ++i)
        for (std::size_t k = i + 1; k < report.flies.size(); ++k) {
            const TeamFly &upper = report.flies[i], &lower = report.flies[k];
            for (TeamCheck& check : checkPair(upper.figures, upper.position, lower.figures, lower.position,
                                              placeOf(upper.position, lower.position, taken), report.rules))
                report.checks.push_back(std::move(check));
        }
}

// What its places come to in one wave: the verdict, and how far off in all.
struct Judged {
    Verdict verdict = Verdict::pass;
    double shortfall = 0.0;
};
Judged judgeIn(const TeamReport& report, double wave, const TeamDay& day) {
    Judged judged;
    for (const TeamFly& fly : report.flies)
        for (const PlaceTerm& term : checksOf(fly.figures, wantsOf(report.rules, fly.position, wave, day))) {
            judged.verdict = std::max(judged.verdict, verdictOf(term.shortfall));
            judged.shortfall += term.shortfall;
        }
    return judged;
}

// No day given: of the usual waves the one that suits the team best, and how it does in each.
void chooseWave(TeamReport& report, const TeamDay& day, Verdict otherwise) {
    std::optional<Judged> best;
    for (const double wave : report.rules.usualWaves) {
        const Judged judged = judgeIn(report, wave, day);
        report.suits.push_back({wave, std::max(judged.verdict, otherwise)});
        if (best && std::pair(best->verdict, best->shortfall) <= std::pair(judged.verdict, judged.shortfall)) continue;
        best = judged;
        report.wave = wave;
    }
}

}  // namespace

TeamReport weighFlies(std::vector<TeamFly> flies, const SchoolRules& rules, const TeamSetting& setting,
                      const std::optional<LeaderSpec>& leader) {
    TeamReport report;
    report.flies = std::move(flies);
    report.rules = rules;
    checkPairs(report);
    if (report.flies.size() > 1) checkLeader(report, measuresOf(leader));
    if (setting.card) checkCard(report, setting, leader);
    for (const TeamCheck& check : report.checks)
        report.verdict = std::max(report.verdict, check.verdict);
    report.waveGiven = setting.day.wave.has_value();
    if (report.waveGiven)
        report.wave = *setting.day.wave / metre;
    else
        chooseWave(report, setting.day, report.verdict);
    checkPlaces(report, setting.day);
    std::ranges::stable_sort(report.checks, {}, &TeamCheck::term);
    for (const TeamCheck& check : report.checks)
        report.verdict = std::max(report.verdict, check.verdict);
    return report;
}

std::string saySuits(const TeamReport& report) {
    std::string in;
    for (const TeamReport::InWave& one : report.suits)
        if (one.verdict == Verdict::pass) in += (in.empty() ? "" : ", ") + formatNumber(one.wave, 2);
    return in.empty() ? say("no usual wave suits it") : say("suits waves of {} m", in);
}

std::string sayVerdict(const TeamReport& report) {
    const std::string in = !report.waveGiven    ? ""
                           : report.wave <= 0.0 ? say(" in a flat calm")
                                                : say(" in a wave of {} m", formatNumber(report.wave, 2));
    switch (report.verdict) {
        case Verdict::pass: return say("fishes as one{}", in);
        case Verdict::near: return say("nearly a team{}", in);
        case Verdict::off: return say("not a team yet{}", in);
    }
    throw BrokenContract("unknown verdict");
}

Result<TeamReport> weighTeam(const Book& book, const TeamId& teamId, const TeamSetting& setting) {
    const TeamSpec* team = book.findTeam(teamId);
    if (!team) return noSuch(Place("teams"), "team", teamId);
    std::vector<TeamFly> flies;
    Faults faults;
    Plans::Of plans = Plans::of(book, setting.plans.get());
    for (const Position position : kPositions) {
        const auto& fly = team->at(position);
        if (!fly) continue;
        const auto planned = plans.fly(*fly, Place("teams")
                                                 .at(static_cast<std::size_t>(team - book.teams.data()))
                                                 .key(nameOf(position)));  // a part that can't be tied takes no fly off its team
        if (!planned)
            append(faults, planned.error());
        else
            flies.push_back(teamFly(position, **planned, setting));
    }
    if (flies.empty() && faults.empty())
        faults.push_back({Place("teams"), say("expected a fly in the team, got none"), say("put a dressing on bob, middle or point")});
    if (!faults.empty()) return tl::unexpected(faults);
    return weighFlies(std::move(flies), rulesFor(book, *team), setting, team->leader);
}

}  // namespace machair
