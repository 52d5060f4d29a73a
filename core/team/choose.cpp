#include "team/choose.h"

#include <algorithm>
#include <cmath>
#include <future>
#include <map>
#include <numeric>
#include <set>
#include <tuple>

#include "book/flies.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kUnit = 1e4;
constexpr std::int32_t kTieShare = 4;  // so that flies still to be tied only break ties

std::int32_t units(double score) {
    return kTieShare * static_cast<std::int32_t>(kUnit * score + (score < 0.0 ? -0.5 : 0.5));
}  // to the nearest

double waveOf(const SchoolRules& rules, const TeamSetting& setting) {
    return setting.day.wave ? *setting.day.wave / metre : rules.usualWave;
}

PlaceWants wantsIn(const SchoolRules& rules, const TeamSetting& setting, Position position) {
    return wantsOf(rules, position, waveOf(rules, setting), setting.day);
}

PlaceExtras extrasOf(const BoxCandidate& fly, Position position, const TeamSetting& setting, std::optional<double> daybook) {
    PlaceExtras extras;
    if (const auto season = seasonFit(setting.day, position, fly.figures.style, fly.fly.pattern, fly.dressing))
        extras.season = season->share;
    extras.daybook = daybook;
    return extras;
}

std::optional<double> termOf(const DaybookTerms& daybook, std::size_t fly, std::size_t place) {
    return fly < daybook.size() ? daybook[fly][place] : std::nullopt;
}

// Every candidate in each of the three places, worked out once for a search.
struct Fits {
    std::array<PlaceWants, kTrio.size()> wants;
    std::array<std::vector<double>, kTrio.size()> sum;
    std::array<std::vector<char>, kTrio.size()> keptOut;
    std::array<double, kTrio.size()> whole{};
    [[nodiscard]] double wholeOfAll() const { return whole[0] + whole[1] + whole[2]; }
};
Fits fitsOf(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting, const DaybookTerms& daybook) {
    Fits fits;
    for (std::size_t p = 0; p < kTrio.size(); ++p) {
        fits.wants[p] = wantsIn(rules, setting, kTrio[p]);
        for (std::size_t i = 0; i < box.size(); ++i) {
            const PlaceFit fit = fitIn(box[i].figures, fits.wants[p], extrasOf(box[i], kTrio[p], setting, termOf(daybook, i, p)));
            fits.sum[p].push_back(fit.sum);
            fits.keptOut[p].push_back(fit.keptOut ? 1 : 0);
            fits.whole[p] = std::max(fits.whole[p], fit.whole);
        }
    }
    return fits;
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
        table_.assign(colours_.size() * colours_.size(), -1.0f);
    }
    // Works out the colours of these flies, and only those.
    void prepare(const std::set<std::size_t>& flies) {
        std::set<std::size_t> colours;
        for (const std::size_t fly : flies)
            colours.insert(of_[fly]);
        for (const std::size_t i : colours)
            for (const std::size_t j : colours)
                if (i < j)
                    table_[i * colours_.size() + j] = table_[j * colours_.size() + i] =
                        static_cast<float>(ciede2000(colours_[i], colours_[j]));
    }
    [[nodiscard]] double prepared(std::size_t a, std::size_t b) const {
        return of_[a] == of_[b] ? 0.0 : static_cast<double>(table_[of_[a] * colours_.size() + of_[b]]);
    }

  private:
    std::vector<CieLab> colours_;
    std::vector<std::size_t> of_;
    std::vector<float> table_;
};

std::array<std::vector<std::int32_t>, 3> singleScores(const std::vector<BoxCandidate>& box, const Fits& fits, const FlyLists& lists) {
    std::array<std::vector<std::int32_t>, 3> scores;
    for (std::size_t p = 0; p < 3; ++p)
        for (const std::size_t fly : lists[p])
            scores[p].push_back(fits.keptOut[p][fly] != 0 ? kNever : units(fits.sum[p][fly]) - (box[fly].tied == 0 ? 1 : 0));
    return scores;
}

// One pair table, the rows shared out over two threads.
ScoreTable pairTable(const std::vector<BoxCandidate>& box, const Contrasts& contrasts, const std::vector<std::size_t>& upper,
                     const std::vector<std::size_t>& lower, double PairLosses::*which, const SchoolRules& rules) {
    ScoreTable table(upper.size(), lower.size());
    const auto rows = [&](std::size_t from, std::size_t to) {
        for (std::size_t i = from; i < to; ++i)
            for (std::size_t j = 0; j < lower.size(); ++j) {
                const std::size_t a = upper[i], b = lower[j];
                table.at(i, j) = a == b && box[a].tied < 2
                                     ? kNever
                                     : -units(lossesOf(box[a].figures, box[b].figures, contrasts.prepared(a, b), rules).*which);
            }
    };
    constexpr std::size_t kWorthAThread = 4096;
    if (upper.size() * lower.size() < kWorthAThread) {
        rows(0, upper.size());
        return table;
    }
    auto half = std::async(std::launch::async, rows, std::size_t{0}, upper.size() / 2);
    rows(upper.size() / 2, upper.size());
    half.get();
    return table;
}

TripleScores scoresFrom(const std::vector<BoxCandidate>& box, const Fits& fits, const SchoolRules& rules, const FlyLists& lists,
                        Contrasts& contrasts) {
    TripleScores scores;
    scores.single = singleScores(box, fits, lists);
    std::set<std::size_t> all;
    for (std::size_t p = 0; p < 3; ++p)
        for (const std::size_t fly : lists[p]) {
            scores.notThrice[p].push_back(box[fly].tied < 3 ? static_cast<std::int32_t>(fly) : -1);
            all.insert(fly);
        }
    contrasts.prepare(all);
    scores.first = pairTable(box, contrasts, lists[0], lists[1], &PairLosses::bobMiddle, rules);
    scores.second = pairTable(box, contrasts, lists[1], lists[2], &PairLosses::middlePoint, rules);
    scores.across = pairTable(box, contrasts, lists[0], lists[2], &PairLosses::bobPoint, rules);
    return scores;
}

// The likeliest of each list by themselves.
FlyLists likeliestOf(const FlyLists& lists, const std::array<std::vector<std::int32_t>, 3>& single, std::size_t most) {
    FlyLists likeliest;
    for (std::size_t p = 0; p < 3; ++p) {
        std::vector<std::size_t> order(lists[p].size());
        std::iota(order.begin(), order.end(), std::size_t{0});
        std::ranges::stable_sort(order, std::greater{}, [&](std::size_t i) { return single[p][i]; });
        order.resize(std::min(order.size(), most));
        std::ranges::sort(order);
        for (const std::size_t i : order)
            likeliest[p].push_back(lists[p][i]);
    }
    return likeliest;
}

// Pairs only cost: no team scores more than its flies by themselves. So once a team is known, a fly that couldn't come up to
// it beside the best of all others is left out of its place, and the best team of what stays is the best of all.
FlyLists keptAbove(const FlyLists& lists, const std::array<std::vector<std::int32_t>, 3>& single, std::int64_t floor) {
    std::array<std::int64_t, 3> most{};
    for (std::size_t p = 0; p < 3; ++p)
        most[p] = std::ranges::max(single[p]);
    FlyLists kept;
    for (std::size_t p = 0; p < 3; ++p)
        for (std::size_t i = 0; i < lists[p].size(); ++i)
            if (!isNever(single[p][i]) && single[p][i] + most[(p + 1) % 3] + most[(p + 2) % 3] >= floor) kept[p].push_back(lists[p][i]);
    return kept;
}

constexpr std::size_t kFirstLook = 96;

using Trio = std::array<std::size_t, 3>;
// Barbed and barbless twins of one size are two flies, but no two answers.
bool isTwin(const BoxCandidate& a, const BoxCandidate& b) {
    return a.fly.pattern == b.fly.pattern && a.figures.size == b.figures.size && a.figures.barb != b.figures.barb;
}
// Two teams are distinct where at most one place has the same fly, or its twin, in both.
bool distinct(const std::vector<BoxCandidate>& box, const Trio& a, const Trio& b) {
    int same = 0;
    for (std::size_t p = 0; p < a.size(); ++p)
        same += a[p] == b[p] || isTwin(box[a[p]], box[b[p]]) ? 1 : 0;
    return same <= 1;
}

struct FoundTrio {
    Trio flies{};
    std::int64_t score = 0;
};

// The best team of some lists that is distinct from all of `shown`.
std::optional<FoundTrio> bestBeside(const std::vector<BoxCandidate>& box, TripleScores& scores, const FlyLists& lists,
                                    const std::vector<FoundTrio>& shown, ChoiceReport& report, const std::stop_token& stop) {
    if (!shown.empty())
        scores.allowed = [&box, &lists, &shown](std::size_t i, std::size_t j, std::size_t k) {
            return std::ranges::all_of(shown, [&](const FoundTrio& s) {
                return distinct(box, s.flies, {lists[0][i], lists[1][j], lists[2][k]});
            });
        };
    else
        scores.allowed = nullptr;
    const BestTriples best = bestTriples(scores, 1, stop);
    report.examined += best.examined;
    report.pairsScanned += best.pairsScanned;
    report.stopped = report.stopped || best.stopped;
    if (best.best.empty()) return std::nullopt;
    const Triple& t = best.best.front();
    return FoundTrio{{lists[0][t.at[0]], lists[1][t.at[1]], lists[2][t.at[2]]}, t.score};
}

// The distinct teams of one set of lists, exactly: each search runs over those flies that could come up to the best team
// of the likeliest ones, and anew over more where that was too few.
class DistinctTeams {
  public:
    DistinctTeams(const std::vector<BoxCandidate>& box, const Fits& fits, const SchoolRules& rules, FlyLists lists, Contrasts& contrasts)
        : box_(box), fits_(fits), rules_(rules), all_(std::move(lists)), contrasts_(contrasts), single_(singleScores(box, fits, all_)) {
        few_ = likeliestOf(all_, single_, kFirstLook);
        small_ = std::ranges::all_of(all_, [](const auto& list) { return list.size() <= 2 * kFirstLook; });
        if (!small_) fewScores_ = scoresFrom(box_, fits_, rules_, few_, contrasts_);
    }
    std::optional<FoundTrio> next(const std::vector<FoundTrio>& shown, ChoiceReport& report, const std::stop_token& stop) {
        if (std::ranges::any_of(all_, [](const auto& list) { return list.empty(); })) return std::nullopt;
        std::int64_t floor = kNever;
        if (!small_)
            if (const auto known = bestBeside(box_, fewScores_, few_, shown, report, stop)) floor = known->score;
        if (!ready_ || floor < floor_) {
            kept_ = keptAbove(all_, single_, floor);
            scores_ = scoresFrom(box_, fits_, rules_, kept_, contrasts_);
            floor_ = floor;
            ready_ = true;
        }
        return bestBeside(box_, scores_, kept_, shown, report, stop);
    }

  private:
    const std::vector<BoxCandidate>& box_;
    const Fits& fits_;
    const SchoolRules& rules_;
    FlyLists all_, few_, kept_;
    Contrasts& contrasts_;
    std::array<std::vector<std::int32_t>, 3> single_;
    TripleScores fewScores_, scores_;
    std::int64_t floor_ = 0;
    bool small_ = false;
    bool ready_ = false;
};

double scoreOf(const std::vector<BoxCandidate>& box, const Fits& fits, const Trio& t, const SchoolRules& rules) {
    const std::vector<Position> all(kTrio.begin(), kTrio.end());
    double sum = 0.0;
    for (std::size_t a = 0; a < t.size(); ++a) {
        sum += fits.sum[a][t[a]];
        for (std::size_t b = a + 1; b < t.size(); ++b)
            sum -= lossOfPair(box[t[a]].figures, box[t[b]].figures, placeOf(kTrio[a], kTrio[b], all), rules);
    }
    return std::max(0.0, 100.0 * sum / fits.wholeOfAll());
}

std::vector<LeftOut> againstRules(const std::vector<BoxCandidate>& box, const TeamSetting& setting) {
    std::vector<LeftOut> out;
    for (std::size_t i = 0; setting.card && i < box.size(); ++i)
        if (const auto breaches = breachesOf(box[i].figures, *setting.card, setting.contest); !breaches.empty())
            out.push_back({i, breaches.front().words + ": " + breaches.front().mend});
    return out;
}

TeamCheck checkOf(const PlaceTerm& term, const BoxCandidate& fly, const PlaceWants& wants) {
    TeamCheck check;
    check.term = term.term;
    check.upper = check.lower = wants.position;
    check.value = term.value;
    check.shortfall = term.shortfall;
    check.verdict = verdictOf(term.shortfall);
    check.words = sayCheck(term, fly.figures, wants);
    check.mend = mendOf(term, fly.figures, wants);
    return check;
}

Choice describe(const FoundTrio& found, const std::vector<BoxCandidate>& box, const Fits& fits, const std::vector<std::size_t>& allowed,
                const SchoolRules& rules) {
    Choice choice;
    choice.flies = found.flies;
    choice.score = scoreOf(box, fits, found.flies, rules);
    const std::vector<Position> all(kTrio.begin(), kTrio.end());
    for (std::size_t a = 0; a < 3; ++a) {
        const BoxCandidate& fly = box[found.flies[a]];
        if (fly.tied == 0) {
            ++choice.toTie;
            choice.reasons.push_back(say("tie {} for the {}", fly.title, sayName(kTrio[a])));
        }
        for (const PlaceTerm& term : checksOf(fly.figures, fits.wants[a]))
            choice.checks.push_back(checkOf(term, fly, fits.wants[a]));
        for (std::size_t b = a + 1; b < 3; ++b)
            for (TeamCheck& check :
                 checkPair(fly.figures, kTrio[a], box[found.flies[b]].figures, kTrio[b], placeOf(kTrio[a], kTrio[b], all), rules))
                choice.checks.push_back(std::move(check));
    }
    for (const TeamCheck& check : choice.checks)
        choice.verdict = std::max(choice.verdict, check.verdict);
    // What each fly is there for, in two phrases; then what is amiss.
    for (std::size_t p = 0; p < 3; ++p) {
        const auto reasons = reasonsOf(fitIn(box[found.flies[p]].figures, fits.wants[p]), box[found.flies[p]].figures, fits.wants[p]);
        if (!reasons.empty())
            choice.reasons.push_back(box[found.flies[p]].title + ": " + reasons.front() + (reasons.size() > 1 ? "; " + reasons[1] : ""));
    }
    for (const TeamCheck& check : choice.checks)
        if (check.verdict != Verdict::pass) choice.reasons.push_back(check.words);
    constexpr double kNearlyAsGood = 1.0;
    for (std::size_t p = 0; p < 3; ++p) {
        std::vector<std::pair<double, std::size_t>> others;
        for (const std::size_t fly : allowed) {
            if (fits.keptOut[p][fly] != 0 || std::ranges::find(found.flies, fly) != found.flies.end()) continue;
            Trio with = found.flies;
            with[p] = fly;
            if (const double score = scoreOf(box, fits, with, rules); score > choice.score - kNearlyAsGood)
                others.emplace_back(-score, fly);
        }
        std::ranges::sort(others);
        for (const auto& [score, fly] : others)
            if (!isTwin(box[fly], box[found.flies[p]]) &&
                std::ranges::none_of(choice.couldBe[p], [&, fly = fly](std::size_t other) { return isTwin(box[fly], box[other]); }))
                choice.couldBe[p].push_back(fly);
    }
    return choice;
}

std::vector<std::size_t> allowedOf(const std::vector<BoxCandidate>& box, const std::vector<LeftOut>& leftOut,
                                   const std::vector<std::size_t>& avoid) {
    std::vector<std::size_t> allowed;
    for (std::size_t i = 0; i < box.size(); ++i)
        if (std::ranges::find(leftOut, i, &LeftOut::fly) == leftOut.end() && std::ranges::find(avoid, i) == avoid.end())
            allowed.push_back(i);
    return allowed;
}

}  // namespace

Result<std::vector<BoxCandidate>> candidatesOf(const Book& book, const TeamSetting& setting) {
    std::vector<BoxCandidate> box;
    Faults faults;
    Plans::Of plans = Plans::of(book, setting.plans.get());
    const auto add = [&](const std::string& id, const Pattern& pattern, const Fly& fly, int tied, const Place& place) {
        const auto kept = plans.fly(fly, place);
        if (!kept) return append(faults, kept.error());
        const Plan* planned = kept->get();
        if (!planned->faults.empty()) return append(faults, planned->faults);
        const SinkReport sink = sinkReport(*planned, setting.celsius);
        box.push_back({id, onItsHook(book, fly), sayFly(book, fly), pattern.title(), tied, figuresOf(*planned, sink, setting.seen)});
    };
    if (book.box.empty()) {
        for (std::size_t i = 0; i < book.patterns.size(); ++i)
            add(book.patterns[i].id, book.patterns[i], book.patterns[i].id, 1, Place("patterns").at(i));
    } else {
        // The same dressing on the same hook, entered twice, is one fly with the counts of both.
        std::map<std::pair<DressingId, HookId>, std::size_t> entered;
        for (std::size_t i = 0; i < book.box.size(); ++i) {
            const BoxFly& fly = book.box[i];
            const Pattern* pattern = book.findPattern(fly.pattern);
            if (!pattern) {
                append(faults, noSuch(Place("box").at(i).key("pattern"), "dressing", fly.pattern).value());
                continue;
            }
            const HookId hook = fly.hook.value_or(pattern->hook);
            if (const auto known = entered.find({pattern->id, hook}); known != entered.end()) {
                box[known->second].tied += fly.tied.value_or(1);
                continue;
            }
            const std::size_t before = box.size();
            add(fly.id, *pattern, {pattern->id, hook}, fly.tied.value_or(1), Place("box").at(i));
            if (box.size() > before) entered.emplace(std::pair(pattern->id, hook), before);
        }
    }
    if (box.empty() && !faults.empty()) return tl::unexpected(faults);  // what can't be tied is never proposed
    return box;
}

std::vector<Placed> rankPlace(const std::vector<BoxCandidate>& box, Position position, const SchoolRules& rules, const TeamSetting& setting,
                              const ByPosition<std::optional<std::size_t>>& beside, const DaybookTerms& daybook) {
    const PlaceWants wants = wantsIn(rules, setting, position);
    const std::size_t column = columnOf(position);
    std::vector<Position> taken{position};
    for (const Position other : kPositions)
        if (other != position && beside[other]) taken.push_back(other);
    std::vector<Placed> list;
    const auto leftOut = againstRules(box, setting);
    for (std::size_t i = 0; i < box.size(); ++i) {
        Placed placed{i, fitIn(box[i].figures, wants, extrasOf(box[i], position, setting, termOf(daybook, i, column))), {}, {}};
        for (const Position other : kPositions) {
            if (other == position || !beside[other]) continue;
            const bool above = other < position;
            const Position up = above ? other : position, low = above ? position : other;
            const FlyFigures &upper = above ? box[*beside[other]].figures : box[i].figures,
                             &lower = above ? box[i].figures : box[*beside[other]].figures;
            placed.fit.sum -= lossOfPair(upper, lower, placeOf(up, low, taken), rules);
        }
        placed.reasons = reasonsOf(placed.fit, box[i].figures, wants);
        if (const auto breach = std::ranges::find(leftOut, i, &LeftOut::fly); breach != leftOut.end())
            placed.keptOut = breach->why;
        else if (placed.fit.keptOut)
            placed.keptOut = sayTerm(*placed.fit.find(wants.isPoint() && box[i].figures.floats ? TeamTerm::anchor : TeamTerm::style),
                                     box[i].figures, wants);
        list.push_back(std::move(placed));
    }
    std::ranges::stable_sort(list, [&](const Placed& a, const Placed& b) {
        if (a.keptOut.empty() != b.keptOut.empty()) return a.keptOut.empty();
        const double styleA = a.keptOut.empty() ? 0.0 : wants.suits(box[a.fly].figures.style),
                     styleB = a.keptOut.empty() ? 0.0 : wants.suits(box[b.fly].figures.style);
        if (styleA != styleB) return styleA > styleB;
        return a.score() > b.score();
    });
    return list;
}

std::vector<ComesOff> underTheCard(const Book& book, const TeamId& teamId, const TeamSetting& setting,
                                   const std::vector<BoxCandidate>& box) {
    std::vector<ComesOff> list;
    const TeamSpec* team = book.findTeam(teamId);
    if (!setting.card || !team) return list;
    const auto weighed = weighTeam(book, teamId, setting);
    if (!weighed) return list;
    std::set<std::size_t> taken;
    for (const TeamFly& fly : weighed->flies)
        taken.insert(fly.figures.identity);
    const auto mayGoOn = [&](const BoxCandidate& fly) {
        return fly.tied > 0 && !taken.contains(fly.figures.identity) && breachesOf(fly.figures, *setting.card, setting.contest).empty();
    };
    const auto putOn = [&](ComesOff& one, const BoxCandidate& fly, bool twin) {
        one.on = fly.fly;
        one.twin = twin;
        one.words += say(", {} goes on", fly.title);
        taken.insert(fly.figures.identity);
    };
    for (const TeamFly& fly : weighed->flies) {
        const auto breaches = breachesOf(fly.figures, *setting.card, setting.contest);
        if (breaches.empty()) continue;
        ComesOff& one = list.emplace_back();
        one.position = fly.position;
        one.off = *team->at(fly.position);
        one.why = breaches.front().words;
        one.words = say("{} comes off the {} ({})", sayFly(book, one.off), sayName(one.position), one.why);
        const auto twin = std::ranges::find_if(box, [&](const BoxCandidate& c) { return c.fly.pattern == one.off.pattern && mayGoOn(c); });
        if (twin != box.end()) putOn(one, *twin, true);
    }
    for (ComesOff& one : list) {  // what has no twin: the best for its place that is no other's twin
        if (one.on) continue;
        const auto ranked = rankPlace(box, one.position, weighed->rules, setting);
        const auto best =
            std::ranges::find_if(ranked, [&](const Placed& placed) { return placed.keptOut.empty() && mayGoOn(box[placed.fly]); });
        if (best != ranked.end())
            putOn(one, box[best->fly], false);
        else
            one.words += say("; the box has nothing for its place that the card allows");
    }
    return list;
}

TripleScores scoresOf(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting, const FlyLists& lists,
                      const DaybookTerms& daybook) {
    Contrasts contrasts(box);
    return scoresFrom(box, fitsOf(box, rules, setting, daybook), rules, lists, contrasts);
}

std::string sayCouldBe(const std::vector<BoxCandidate>& box, const Choice& choice, std::size_t place) {
    std::vector<std::string> titles;
    for (const std::size_t other : choice.couldBe[place])
        titles.push_back(box[other].title);
    return sayNames(titles);
}

ChoiceReport chooseTeams(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting,
                         const ChoiceWish& wish) {
    ChoiceReport report;
    report.leftOut = againstRules(box, setting);
    const std::vector<std::size_t> allowed = allowedOf(box, report.leftOut, wish.avoid);
    if (allowed.empty()) return report;
    const Fits fits = fitsOf(box, rules, setting, wish.daybook);
    Contrasts contrasts(box);
    // A fly that has to be there is tried in each place; elsewhere all are.
    std::vector<DistinctTeams> searches;
    if (!wish.include)
        searches.emplace_back(box, fits, rules, FlyLists{allowed, allowed, allowed}, contrasts);
    else if (std::ranges::find(allowed, *wish.include) != allowed.end())
        for (std::size_t p = 0; p < 3; ++p) {
            if (wish.includeAt && *wish.includeAt != kTrio[p]) continue;
            FlyLists lists{allowed, allowed, allowed};
            lists[p] = {*wish.include};
            searches.emplace_back(box, fits, rules, std::move(lists), contrasts);
        }
    std::vector<FoundTrio> shown;
    while (shown.size() < wish.wanted && !report.stopped) {
        std::optional<FoundTrio> best;
        for (DistinctTeams& search : searches)
            if (const auto found = search.next(shown, report, wish.stop);
                found && (!best || std::pair(-found->score, found->flies) < std::pair(-best->score, best->flies)))
                best = found;
        if (!best || isNever(best->score)) break;
        shown.push_back(*best);
    }
    for (const FoundTrio& found : shown)
        report.teams.push_back(describe(found, box, fits, allowed, rules));
    return report;
}

WhyNot whyNot(const std::vector<BoxCandidate>& box, std::size_t fly, std::optional<Position> at, const SchoolRules& rules,
              const TeamSetting& setting, const DaybookTerms& daybook) {
    WhyNot why;
    const auto leftOut = againstRules(box, setting);
    if (const auto breach = std::ranges::find(leftOut, fly, &LeftOut::fly); breach != leftOut.end()) {
        why.keptOut = breach->why;
        return why;
    }
    ChoiceWish wish;
    wish.wanted = 1;
    wish.daybook = daybook;
    const ChoiceReport best = chooseTeams(box, rules, setting, wish);
    wish.include = fly;
    wish.includeAt = at;
    const ChoiceReport with = chooseTeams(box, rules, setting, wish);
    if (with.teams.empty() || best.teams.empty()) {
        const Position place = at.value_or(Position::middle);
        const PlaceWants wants = wantsIn(rules, setting, place);
        const PlaceFit fit = fitIn(box[fly].figures, wants);
        why.keptOut =
            sayTerm(*fit.find(wants.isPoint() && box[fly].figures.floats ? TeamTerm::anchor : TeamTerm::style), box[fly].figures, wants);
        return why;
    }
    why.with = with.teams.front();
    const Trio &a = best.teams.front().flies, &b = why.with->flies;
    const Fits fits = fitsOf(box, rules, setting, daybook);
    struct Difference {
        double points = 0.0;
        std::string words;
    };
    std::vector<Difference> differences;
    const double toPoints = 100.0 / fits.wholeOfAll();
    for (std::size_t p = 0; p < 3; ++p) {
        if (a[p] == b[p]) continue;
        const PlaceFit own = fitIn(box[b[p]].figures, fits.wants[p], extrasOf(box[b[p]], kTrio[p], setting, termOf(daybook, b[p], p)));
        const PlaceFit other = fitIn(box[a[p]].figures, fits.wants[p], extrasOf(box[a[p]], kTrio[p], setting, termOf(daybook, a[p], p)));
        for (const PlaceTerm& term : own)
            if (const PlaceTerm* there = other.find(term.term))
                differences.push_back({toPoints * (there->won() - term.won()), say("{} on the {}: {}", box[b[p]].title, sayName(kTrio[p]),
                                                                                   sayTerm(term, box[b[p]].figures, fits.wants[p]))});
    }
    const std::vector<Position> all(kTrio.begin(), kTrio.end());
    for (std::size_t x = 0; x < 3; ++x)
        for (std::size_t y = x + 1; y < 3; ++y) {
            const PairPlace place = placeOf(kTrio[x], kTrio[y], all);
            const JudgedPair other = judgePair(box[a[x]].figures, box[a[y]].figures, place, rules);
            const auto checks = checkPair(box[b[x]].figures, kTrio[x], box[b[y]].figures, kTrio[y], place, rules);
            const JudgedPair own = judgePair(box[b[x]].figures, box[b[y]].figures, place, rules);
            for (int i = 0; i < own.count; ++i) {
                const JudgedTerm& term = own.terms[static_cast<std::size_t>(i)];
                const auto* there = std::ranges::find(other.begin(), other.end(), term.term, &JudgedTerm::term);
                const double before = there == other.end() ? 0.0 : there->wanted->lost(there->shortfall);
                differences.push_back({toPoints * (term.wanted->lost(term.shortfall) - before), checks[static_cast<std::size_t>(i)].words});
            }
        }
    std::ranges::stable_sort(differences, std::greater{}, &Difference::points);
    constexpr std::size_t kShown = 3;
    constexpr double kWorthSaying = 0.05;
    for (const Difference& d : differences)
        if (why.differences.size() < kShown && d.points >= kWorthSaying)
            why.differences.push_back(say("{} ({} points)", d.words, formatNumber(d.points, 1)));
    return why;
}

}  // namespace machair
