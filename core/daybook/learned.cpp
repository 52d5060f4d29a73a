#include "daybook/learned.h"

#include <algorithm>
#include <cmath>
#include <tuple>

#include "book/flies.h"
#include "language/say.h"
#include "units/text.h"
#include "water/sea.h"

namespace machair {

namespace {

constexpr double kPrior = 2.0;  // a ratio is worth two expected fish

// Days of one fly in one place: fish caught and fish expected.
using DaysOfFly = std::vector<std::pair<double, double>>;

double better(double a1, double b1, double a2, double b2) {
    const double p = chanceBetter(a1, b1, a2, b2);
    return std::max(p, 1.0 - p);
}

// Of a day: each fly in each place, its rod-hours and its fish.
struct Cell {
    double hours = 0.0;
    double fish = 0.0;
};

}  // namespace

double FlyRatio::low() const { return gammaQuantile(a, b, 0.1); }
double FlyRatio::high() const { return gammaQuantile(a, b, 0.9); }
double FlyRatio::correction() const { return std::clamp(std::log2(mean()), -1.0, 1.0); }
std::string FlyRatio::words() const {
    return say("your book: {} times the others here ({} - {})", formatNumber(mean(), 1), formatNumber(low(), 1), formatNumber(high(), 1));
}

Learned::Key Learned::keyOf(const Fly& fly, Position position) const {
    return {{fly.pattern, onItsHook(book_, fly).hook.value_or("")}, position};
}

Learned::Learned(const Book& book) : book_(book) {
    std::vector<std::map<Key, Cell>> days;
    double fish = 0.0, hours = 0.0;
    std::array<Cell, kPositions.size()> places{};
    for (const Day& day : book.days) {
        std::map<Key, Cell>& cells = days.emplace_back();
        for (const Outing& outing : day.outings)
            for (const Position position : kPositions)
                if (const auto& fly = outing.at(position)) {
                    const double own = day.rods.value_or(1) * outing.hours;
                    cells[keyOf(*fly, position)].hours += own;
                    places[static_cast<std::size_t>(position)].hours += own;
                    hours += own;
                }
        for (const Fish& caught : day.fish) {
            cells[keyOf(flyOf(caught), caught.position)].fish += 1.0;
            places[static_cast<std::size_t>(caught.position)].fish += 1.0;
            fish += 1.0;
        }
    }
    rate_ = (fish + 0.5) / (hours + 1.0);
    for (std::size_t p = 0; p < places.size(); ++p)
        shares_[p] = (places[p].fish + kPrior) / (places[p].hours + kPrior / rate_) / rate_;
    const auto expected = [&](const Key& key, const Cell& cell) {
        return cell.hours * shares_[static_cast<std::size_t>(key.second)] * rate_;
    };
    std::map<Key, DaysOfFly> ofFly;
    for (const auto& cells : days) {
        double allFish = 0.0, all = 0.0;
        for (const auto& [key, cell] : cells) {
            allFish += cell.fish;
            all += expected(key, cell);
        }
        for (const auto& [key, cell] : cells) {
            const double luck = (allFish - cell.fish + kPrior) / (all - expected(key, cell) + kPrior);
            ofFly[key].emplace_back(cell.fish, expected(key, cell) * luck);
            ratios_[key].hours += cell.hours;
        }
    }
    for (const auto& [key, list] : ofFly) {
        FlyRatio& ratio = ratios_[key];
        ratio.spread = spreadOf(list);
        double e = 0.0;
        for (const auto& [n, own] : list) {
            ratio.fish += n;
            e += own;
        }
        ratio.a = kPrior + ratio.fish / ratio.spread;
        ratio.b = kPrior + e / ratio.spread;
    }
}

FlyRatio Learned::ratio(const Fly& fly, Position position) const {
    const auto found = ratios_.find(keyOf(fly, position));
    return found == ratios_.end() ? FlyRatio{} : found->second;
}

DaybookTerms daybookTerms(const Book& book, const std::vector<BoxCandidate>& box) {
    const Learned learned(book);
    DaybookTerms terms;
    for (const BoxCandidate& fly : box) {
        auto& own = terms.emplace_back();
        for (std::size_t p = 0; p < kTrio.size(); ++p)
            own[p] = learned.ratio(fly.fly, kTrio[p]).correction();
    }
    return terms;
}

std::string CurveShift::words() const {
    std::string in(nameOf(wave));
    std::ranges::replace(in, '_', ' ');
    return say("In a {} your bobs that caught were {}{} than those you fished ({} fish)", in, std::abs(shift) < 0.25 ? say("a shade ") : "",
               shift > 0.0 ? say("fuller") : say("sparser"), std::to_string(fish));
}

std::vector<CurveShift> curveShifts(const Book& book) {
    std::map<std::pair<std::string, std::string>, std::optional<double>> known;
    const auto fullOf = [&](const Fly& fly) {
        const auto key = std::pair(fly.pattern, fly.hook.value_or(""));
        const auto [found, fresh] = known.try_emplace(key);
        if (fresh)
            if (const auto plan = planFly(book, fly, Place("days"))) found->second = fullnessOf(*plan).full;
        return found->second;
    };
    struct Sums {
        double fished = 0.0, hours = 0.0, caught = 0.0, fish = 0.0;
    };
    std::map<WaveClass, Sums> waves;
    for (const Day& day : book.days) {
        if (!day.wave) continue;
        Sums& sums = waves[seaClass(*day.wave)];
        for (const Outing& outing : day.outings)
            if (const auto& bob = outing.at(Position::bob))
                if (const auto full = fullOf(*bob)) {
                    sums.fished += *full * day.rods.value_or(1) * outing.hours;
                    sums.hours += day.rods.value_or(1) * outing.hours;
                }
        for (const Fish& caught : day.fish)
            if (caught.position == Position::bob)
                if (const auto full = fullOf(flyOf(caught))) {
                    sums.caught += *full;
                    sums.fish += 1.0;
                }
    }
    std::vector<CurveShift> shifts;
    constexpr double kMost = 0.5, kDoubt = 20.0, kLeast = 0.1;
    for (const auto& [wave, sums] : waves) {
        if (sums.fish <= 0.0 || sums.hours <= 0.0) continue;
        const double difference = sums.caught / sums.fish - sums.fished / sums.hours;
        const double shift = std::clamp(difference * sums.fish / (sums.fish + kDoubt), -kMost, kMost);
        if (std::abs(shift) >= kLeast) shifts.push_back({wave, shift, static_cast<int>(sums.fish)});
    }
    return shifts;
}

SchoolRules shifted(SchoolRules rules, const std::vector<CurveShift>& shifts) {
    for (RangeRow& row : rules.full[0]) {
        const auto own = std::ranges::find(shifts, seaClass(row.wave * metre), &CurveShift::wave);
        if (own == shifts.end()) continue;
        row.low = std::max(0.0, row.low + own->shift);
        row.high = std::max(row.low, row.high + own->shift);
    }
    return rules;
}

std::vector<Rate> ratesByStyle(const Book& book) {
    std::map<std::pair<std::string, std::string>, std::string> known;
    return ratesBy(book, [&](const Day&, const Fly& fly, Position) {
        const auto [found, fresh] = known.try_emplace({fly.pattern, fly.hook.value_or("")});
        if (fresh)
            if (const auto plan = planFly(book, fly, Place("days"))) found->second = std::string(nameOf(styleOf(*plan)));
        return found->second;
    });
}

namespace {

// n fish of a ratio when so many are expected, until what is left is under 1e-9.
std::vector<double> fishExpecting(double a, double b, double expected) {
    std::vector<double> p;
    const double q = expected / (b + expected);
    double term = std::exp(a * std::log(b / (b + expected))), sum = 0.0;
    constexpr std::size_t kMost = 4000;
    for (std::size_t n = 0; n < kMost; ++n) {
        p.push_back(term);
        sum += term;
        if (1.0 - sum < 1e-9) break;
        term *= (a + static_cast<double>(n)) / (static_cast<double>(n) + 1.0) * q;
    }
    return p;
}

double betterAfter(const FlyRatio& x, const FlyRatio& y, double expected) {
    const auto ofX = fishExpecting(x.a, x.b, expected), ofY = fishExpecting(y.a, y.b, expected);
    double sum = 0.0;
    for (std::size_t i = 0; i < ofX.size(); ++i)
        for (std::size_t j = 0; j < ofY.size(); ++j)
            if (const double p = ofX[i] * ofY[j]; p > 1e-12)
                sum += p * better(x.a + static_cast<double>(i), x.b + expected, y.a + static_cast<double>(j), y.b + expected);
    return sum;
}

}  // namespace

namespace {

// A team with another fly in one of its places: what doesn't touch that place is asked once for all that might hang there.
class WithAnother {
  public:
    WithAnother(const TeamReport& team, std::size_t place, const TeamSetting& setting) : team_(team), place_(place), setting_(setting) {
        for (const TeamFly& fly : team.flies)
            taken_.push_back(fly.position);
        wants_ = wantsOf(team.rules, taken_[place], team.wave, setting.day);
        for (std::size_t a = 0; a < taken_.size() && rest_; ++a) {
            if (a == place) continue;
            rest_ = passesIn(team.flies[a].figures, wantsOf(team.rules, taken_[a], team.wave, setting.day));
            for (std::size_t b = a + 1; b < taken_.size() && rest_; ++b)
                if (b != place) rest_ = meet(a, team.flies[a].figures, b, team.flies[b].figures);
        }
    }
    [[nodiscard]] bool passes(const FlyFigures& fly) const {
        if (!rest_ || std::ranges::any_of(team_.flies, [&](const TeamFly& own) { return own.figures.identity == fly.identity; }))
            return false;
        if (setting_.card && !breachesOf(fly, *setting_.card, setting_.contest).empty()) return false;
        if (fitIn(fly, wants_).keptOut || !passesIn(fly, wants_)) return false;
        for (std::size_t other = 0; other < taken_.size(); ++other) {
            const FlyFigures& own = team_.flies[other].figures;
            if (other < place_ && !meet(other, own, place_, fly)) return false;
            if (other > place_ && !meet(place_, fly, other, own)) return false;
        }
        return true;
    }
    [[nodiscard]] double score(const FlyFigures& fly) const { return fitIn(fly, wants_).score(); }

  private:
    [[nodiscard]] bool meet(std::size_t a, const FlyFigures& upper, std::size_t b, const FlyFigures& lower) const {
        return pairPasses(upper, lower, placeOf(taken_[a], taken_[b], taken_), team_.rules);
    }
    const TeamReport& team_;
    std::size_t place_;
    const TeamSetting& setting_;
    std::vector<Position> taken_;
    PlaceWants wants_;
    bool rest_ = true;
};

}  // namespace

SwapAdvice swapAdvice(const Book& book, const TeamId& teamId, const TeamSetting& setting, double hours) {
    SwapAdvice advice;
    advice.words = say("nothing in your box would teach you more than fishing this team");
    const TeamSpec* team = book.findTeam(teamId);
    const auto weighed = weighTeam(book, teamId, setting);
    const auto box = candidatesOf(book, setting);
    if (!team || !weighed || !box) return advice;
    const Learned learned(book);
    constexpr double kLeastRise = 0.05, kSpread = 1.5;
    struct Found {
        double rise = 0.0, score = 0.0, now = 0.5, then = 0.5;
        const BoxCandidate* fly = nullptr;
        Position position = Position::bob;
    };
    std::vector<Found> found;
    for (std::size_t place = 0; place < weighed->flies.size(); ++place) {
        const Position position = weighed->flies[place].position;
        const WithAnother swapped(*weighed, place, setting);
        const FlyRatio x = learned.ratio(*team->at(position), position);
        const double expected = hours * learned.share(position) * learned.usualRate() / kSpread;
        for (const BoxCandidate& fly : *box) {
            if (!swapped.passes(fly.figures)) continue;
            const FlyRatio y = learned.ratio(fly.fly, position);
            const double now = better(x.a, x.b, y.a, y.b), then = betterAfter(x, y, expected);
            found.push_back({then - now, swapped.score(fly.figures), now, then, &fly, position});
        }
    }
    if (found.empty()) return advice;
    const auto best =
        std::ranges::min_element(found, {}, [](const Found& f) { return std::tuple(-std::round(1000.0 * f.rise), -f.score, f.fly->id); });
    if (best->rise < kLeastRise) return advice;
    advice.position = best->position;
    advice.in = best->fly->fly;
    advice.out = *team->at(best->position);
    advice.now = best->now;
    advice.then = best->then;
    advice.words = say("{} for {} on the {}: today you'd name the better with {} in 100, after {} hours with each with {}",
                       best->fly->title, sayFly(book, advice.out), sayName(best->position), formatNumber(100.0 * best->now, 0),
                       formatShort(hours, 1), formatNumber(100.0 * best->then, 0));
    return advice;
}

}  // namespace machair
