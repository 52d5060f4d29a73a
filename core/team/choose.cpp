#include "team/choose.h"

#include <algorithm>
#include <cmath>
#include <future>
#include <map>
#include <numeric>

#include "units/text.h"

namespace machair {

namespace {

constexpr double kUnit = 1e4;
constexpr std::int32_t kTieShare = 4;  // so that flies still to be tied only break ties

std::int32_t units(double score) { return kTieShare * static_cast<std::int32_t>(kUnit * score + (score < 0.0 ? -0.5 : 0.5)); }  // to the nearest

// What a team has of a term: all of its weight inside the wanted range, falling to nothing one near-width outside.
double earned(double weight, double shortfall) { return weight * std::max(0.0, 1.0 - shortfall); }

double singleScore(const BoxCandidate& fly, Position position, const SchoolRules& rules, const TeamSetting& setting) {
    double score = 0.0;
    if (setting.fullness) {
        score += earned(rules.fullness.weight, rules.fullness.shortfall(fly.figures.fullness - rules.fullnessScale * setting.fullness->at(position)));
    }
    const TeamRole role = fly.role.value_or(TeamRole::any);
    if (role == TeamRole::any || role == roleAt(position)) score += rules.roleWeight;
    return score;
}

// Flies seen in the same colour are compared once: a box has far fewer colours than flies.
class Contrasts {
  public:
    explicit Contrasts(const std::vector<BoxCandidate>& box) {
        std::map<std::tuple<double, double, double>, std::size_t> known;
        for (const BoxCandidate& fly : box) {
            const CieLab& c = fly.figures.seen;
            const auto [found, fresh] = known.emplace(std::tuple(c.L, c.a, c.b), colours_.size());
            if (fresh) colours_.push_back(c);
            of_.push_back(found->second);
        }
        table_.assign(colours_.size() * colours_.size(), 0.0f);
        for (std::size_t i = 0; i < colours_.size(); ++i)
            for (std::size_t j = 0; j < i; ++j)
                table_[i * colours_.size() + j] = table_[j * colours_.size() + i] = static_cast<float>(ciede2000(colours_[i], colours_[j]));
    }
    [[nodiscard]] double between(std::size_t a, std::size_t b) const { return static_cast<double>(table_[of_[a] * colours_.size() + of_[b]]); }

  private:
    std::vector<CieLab> colours_;
    std::vector<std::size_t> of_;
    std::vector<float> table_;
};

// All three pair tables of one list of flies at once, the rows shared out over two threads.
void fillTables(TripleScores& scores, const std::vector<BoxCandidate>& box, const Contrasts& contrasts, const std::vector<std::size_t>& flies, const SchoolRules& rules) {
    const std::size_t n = flies.size();
    for (ScoreTable* table : {&scores.first, &scores.second, &scores.across}) *table = ScoreTable(n, n);
    const auto rows = [&](std::size_t from, std::size_t to) {
        for (std::size_t i = from; i < to; ++i)
            for (std::size_t j = 0; j < n; ++j) {
                const PairLosses less = lossesOfNumbers(box[flies[i]].figures, box[flies[j]].figures, rules);
                const double colour = rules.variety.weight - earned(rules.variety.weight, rules.variety.shortfall(contrasts.between(flies[i], flies[j])));
                scores.first.at(i, j) = -units(less.bobMiddle + colour);
                scores.second.at(i, j) = -units(less.middlePoint + colour);
                scores.across.at(i, j) = -units(less.bobPoint);
            }
    };
    auto half = std::async(std::launch::async, rows, std::size_t{0}, n / 2);
    rows(n / 2, n);
    half.get();
    for (std::size_t i = 0; i < n; ++i)
        if (box[flies[i]].tied < 2)
            for (ScoreTable* table : {&scores.first, &scores.second, &scores.across}) table->at(i, i) = kNever;
}

// A table of two lists, where one fly has to be on the team.
ScoreTable pairTable(const std::vector<BoxCandidate>& box, const Contrasts& contrasts, const std::vector<std::size_t>& upper, const std::vector<std::size_t>& lower,
                     const PairPlace& place, const SchoolRules& rules) {
    ScoreTable table(upper.size(), lower.size());
    for (std::size_t i = 0; i < upper.size(); ++i)
        for (std::size_t j = 0; j < lower.size(); ++j) {
            if (upper[i] == lower[j] && box[upper[i]].tied < 2) {
                table.at(i, j) = kNever;
                continue;
            }
            double less = lossOfNumbers(box[upper[i]].figures, box[lower[j]].figures, place, rules);
            if (place.neighbours)
                less += rules.variety.weight - earned(rules.variety.weight, rules.variety.shortfall(contrasts.between(upper[i], lower[j])));
            table.at(i, j) = -units(less);
        }
    return table;
}

std::array<std::vector<std::int32_t>, 3> singleScores(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting, const FlyLists& lists) {
    std::array<std::vector<std::int32_t>, 3> scores;
    for (std::size_t p = 0; p < 3; ++p)
        for (const std::size_t fly : lists[p]) scores[p].push_back(units(singleScore(box[fly], kTrio[p], rules, setting)) - (box[fly].tied == 0 ? 1 : 0));
    return scores;
}

std::vector<LeftOut> againstRules(const std::vector<BoxCandidate>& box, const TeamSetting& setting) {
    std::vector<LeftOut> out;
    for (std::size_t i = 0; setting.card && i < box.size(); ++i)
        if (const auto breaches = breachesOf(box[i].figures, *setting.card, setting.contest); !breaches.empty())
            out.push_back({i, breaches.front().words + ": " + breaches.front().mend});
    return out;
}

Choice describe(const Triple& triple, const std::array<std::size_t, 3>& flies, const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting,
                double best) {
    Choice choice;
    choice.flies = flies;
    choice.best = best;
    const std::vector<Position> all(kTrio.begin(), kTrio.end());
    for (std::size_t a = 0; a < 3; ++a) {
        const BoxCandidate& fly = box[flies[a]];
        if (fly.tied == 0) {
            ++choice.toTie;
            choice.reasons.push_back("tie " + fly.title + " for the " + std::string(nameOf(kTrio[a])));
        }
        for (std::size_t b = a + 1; b < 3; ++b)
            for (TeamCheck& check : checkPair(fly.figures, kTrio[a], box[flies[b]].figures, kTrio[b], placeOf(kTrio[a], kTrio[b], all), rules))
                choice.checks.push_back(std::move(check));
    }
    choice.score = std::ceil(static_cast<double>(triple.score) / kTieShare) / kUnit;
    std::ranges::stable_sort(choice.checks, {}, &TeamCheck::term);
    for (const TeamCheck& check : choice.checks)
        if (check.verdict != Verdict::pass || check.term == TeamTerm::sinkStep) choice.reasons.push_back(check.words);
    if (setting.fullness)
        for (std::size_t a = 0; a < 3; ++a) {
            const double wave = setting.fullness->at(kTrio[a]);
            const double own = box[flies[a]].figures.fullness;
            choice.reasons.push_back("the " + std::string(nameOf(kTrio[a])) + " carries " + formatNumber(own, 0) + " fibres per mm of gape, the wave wants " +
                                     formatNumber(rules.fullnessScale * wave, 0));
        }
    return choice;
}

}  // namespace

Result<std::vector<BoxCandidate>> candidatesOf(const Book& book, const TeamSetting& setting) {
    std::vector<BoxCandidate> box;
    Faults faults;
    const auto add = [&](const std::string& id, const Pattern& pattern, const std::optional<std::string>& hookId, int tied, const Place& place) {
        const HookSpec* spec = book.findHook(hookId.value_or(pattern.hook));
        if (!spec) return append(faults, noSuch(place.key("hook"), "hook", hookId.value_or(pattern.hook)).value());
        const auto hook = makeHook(*spec, place.key("hook"));
        if (!hook) return append(faults, hook.error());
        const auto planned = plan(pattern, *hook, book, place, schoolsFor(pattern, book));
        if (!planned) return append(faults, planned.error());
        const SinkReport sink = sinkReport(*planned, setting.celsius);
        box.push_back({id, pattern.id, pattern.title() + ", " + std::to_string(hook->size()), tied, pattern.role, figuresOf(*planned, sink, setting.seen)});
    };
    if (book.box.empty()) {
        for (std::size_t i = 0; i < book.patterns.size(); ++i)
            add(book.patterns[i].id, book.patterns[i], std::nullopt, 1, Place("patterns").at(i));
    } else {
        // The same dressing on the same hook, entered twice, is one fly with the counts of both.
        std::map<std::pair<std::string, std::string>, std::size_t> entered;
        for (std::size_t i = 0; i < book.box.size(); ++i) {
            const BoxFly& fly = book.box[i];
            const Pattern* pattern = book.findPattern(fly.pattern);
            if (!pattern) {
                append(faults, noSuch(Place("box").at(i).key("pattern"), "dressing", fly.pattern).value());
                continue;
            }
            const std::string hook = fly.hook.value_or(pattern->hook);
            if (const auto known = entered.find({pattern->id, hook}); known != entered.end()) {
                box[known->second].tied += fly.tied.value_or(1);
                continue;
            }
            const std::size_t before = box.size();
            add(fly.id, *pattern, hook, fly.tied.value_or(1), Place("box").at(i));
            if (box.size() > before) entered.emplace(std::pair(pattern->id, hook), before);
        }
    }
    if (box.empty() && !faults.empty()) return tl::unexpected(faults);  // what can't be tied is never proposed
    return box;
}

TripleScores scoresOf(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting, const FlyLists& lists) {
    TripleScores scores;
    scores.single = singleScores(box, rules, setting, lists);
    for (std::size_t p = 0; p < 3; ++p)
        for (const std::size_t fly : lists[p]) scores.notThrice[p].push_back(box[fly].tied < 3 ? static_cast<std::int32_t>(fly) : -1);
    const Contrasts contrasts(box);
    if (lists[0] == lists[1] && lists[1] == lists[2]) {
        fillTables(scores, box, contrasts, lists[0], rules);
        return scores;
    }
    scores.first = pairTable(box, contrasts, lists[0], lists[1], {true, true, false}, rules);
    scores.second = pairTable(box, contrasts, lists[1], lists[2], {true, false, true}, rules);
    scores.across = pairTable(box, contrasts, lists[0], lists[2], {false, true, true}, rules);
    return scores;
}

FlyLists narrowed(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting, const FlyLists& lists, std::size_t wanted, const std::stop_token& stop) {
    constexpr std::size_t kFirstLook = 96;
    if (std::ranges::max(lists, {}, &std::vector<std::size_t>::size).size() <= 2 * kFirstLook) return lists;
    const auto single = singleScores(box, rules, setting, lists);
    FlyLists likeliest;
    std::array<std::int64_t, 3> most{};
    for (std::size_t p = 0; p < 3; ++p) {
        if (lists[p].empty()) return lists;
        std::vector<std::size_t> order(lists[p].size());
        std::iota(order.begin(), order.end(), std::size_t{0});
        std::ranges::stable_sort(order, std::greater{}, [&](std::size_t i) { return single[p][i]; });
        most[p] = single[p][order.front()];
        order.resize(std::min(order.size(), kFirstLook));
        for (const std::size_t i : order) likeliest[p].push_back(lists[p][i]);
    }
    const BestTriples known = bestTriples(scoresOf(box, rules, setting, likeliest), wanted, stop);
    if (known.best.size() < wanted) return lists;
    FlyLists kept;
    for (std::size_t p = 0; p < 3; ++p)
        for (std::size_t i = 0; i < lists[p].size(); ++i)
            if (single[p][i] + most[(p + 1) % 3] + most[(p + 2) % 3] >= known.best.back().score) kept[p].push_back(lists[p][i]);
    return kept;
}

ChoiceReport chooseTeams(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting, const ChoiceWish& wish) {
    ChoiceReport report;
    report.leftOut = againstRules(box, setting);
    std::vector<std::size_t> allowed;
    for (std::size_t i = 0; i < box.size(); ++i)
        if (std::ranges::find(report.leftOut, i, &LeftOut::fly) == report.leftOut.end() && std::ranges::find(wish.avoid, i) == wish.avoid.end()) allowed.push_back(i);
    const double best = rules.roleWeight * 3.0 + (setting.fullness ? 3.0 * rules.fullness.weight : 0.0);
    // A fly that has to be there is tried in each place; elsewhere all are.
    std::vector<FlyLists> searches;
    if (!wish.include)
        searches.push_back({allowed, allowed, allowed});
    else if (std::ranges::find(allowed, *wish.include) != allowed.end())
        for (std::size_t p = 0; p < 3; ++p) {
            searches.push_back({allowed, allowed, allowed});
            searches.back()[p] = {*wish.include};
        }
    std::vector<std::pair<Triple, std::array<std::size_t, 3>>> found;
    for (const FlyLists& all : searches) {
        const FlyLists lists = narrowed(box, rules, setting, all, wish.wanted, wish.stop);
        const TripleScores scores = scoresOf(box, rules, setting, lists);
        const BestTriples some = bestTriples(scores, wish.wanted, wish.stop);
        report.examined += some.examined;
        report.pairsScanned += some.pairsScanned;
        report.stopped = report.stopped || some.stopped;
        for (const Triple& triple : some.best) {
            const std::array flies{lists[0][triple.at[0]], lists[1][triple.at[1]], lists[2][triple.at[2]]};
            found.emplace_back(triple, flies);
        }
    }
    std::ranges::sort(found, {}, [](const auto& f) { return std::tuple(-f.first.score, f.second); });
    found.erase(std::unique(found.begin(), found.end(), [](const auto& a, const auto& b) { return a.second == b.second; }), found.end());
    for (const auto& [triple, flies] : found)
        if (report.teams.size() < wish.wanted) report.teams.push_back(describe(triple, flies, box, rules, setting, best));
    return report;
}

}  // namespace machair
