#include "team/balance.h"

#include <algorithm>
#include <bit>
#include <cmath>
#include <cstdint>
#include <future>
#include <map>
#include <numeric>

#include "book/spec_words.h"
#include "team/best_triples.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr int kSizeStep = 2;         // hooks are sold in even numbers
constexpr int kSwapCost = 3;         // an inversion
constexpr std::array kCostLimits = {5, 9, 13, 20};  // variants are sized as far as they may be wanted
constexpr int kCostLimitOfMany = 13;                // of each of four and five flies: ten pairs of them to compare
constexpr int kDearestFly = 20;
constexpr double kMostShortfall = 50.0;

// The hackle that a change of turns or length is made on: the one with most fibres.
std::optional<std::size_t> fullestHackle(const Plan& plan) {
    std::optional<std::size_t> found;
    double most = 0.0;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const auto* collar = std::get_if<HacklePlan>(&plan.parts[i].detail);
        const auto* palmer = std::get_if<PalmerPlan>(&plan.parts[i].detail);
        const double fibres = collar ? collar->fibres : palmer ? palmer->hackle.fibres : 0.0;
        if (fibres > most) {
            most = fibres;
            found = i;
        }
    }
    return found;
}

// Turns and length of the fullest hackle changed; false where that can't be.
bool changeHackle(Pattern& pattern, std::size_t part, const Plan& plan, const FlyChange& change) {
    const auto* collarPlan = std::get_if<HacklePlan>(&plan.parts[part].detail);
    const auto* palmerPlan = std::get_if<PalmerPlan>(&plan.parts[part].detail);
    const double turns = (collarPlan ? collarPlan->turns : palmerPlan->openTurns) + change.turns;
    if (change.turns != 0 && turns < 1.0) return false;
    const auto edit = [&](LengthSpec& length, std::optional<Count>& count) {
        const auto longer = lengthened(length, change.overshoot);
        if (!longer) return false;
        length = *longer;
        if (change.turns != 0) count = exactly(turns);
        return true;
    };
    if (auto* collar = std::get_if<CollarPart>(&pattern.parts[part].detail)) {
        if (change.turns != 0 && collar->until) return false;  // its turns follow from where it ends
        if (change.turns != 0) collar->fullness.reset();
        return edit(collar->length, collar->turns);
    }
    auto& palmer = std::get<PalmerPart>(pattern.parts[part].detail);
    return edit(palmer.length, palmer.openTurns);
}

Result<Edit> withBead(const Book& book, std::string_view id, int bead) {
    if (bead > 0) {
        auto added = addPart(book, id, PartKind::bead);
        if (!added) return added;
        // At the eye, before everything else.
        const Pattern& pattern = *added->after.findPattern(id);
        const auto at = static_cast<std::size_t>(std::ranges::find(pattern.parts, PartKind::bead, &Part::kind) - pattern.parts.begin());
        return at == 0 ? added : movePart(added->after, id, at, 0);
    }
    const auto at = findKind(*book.findPattern(id), PartKind::bead);
    if (!at) return fail(Place(std::string(id)), "expected a bead to take off, got none");
    return removePart(book, id, *at);
}

struct Variant {
    FlyChange change;
    int cost = 0;
    FlyFigures figures;
};

// A fly's variants, cheapest first, sized as they are wanted.
class Variants {
  public:
    Variants(const Book& book, const std::string& pattern, const TeamSetting& setting) : book_(book), pattern_(pattern), setting_(setting) {
        for (int size = -2; size <= 2; ++size)
            for (int wire = -1; wire <= 1; ++wire)
                for (int turns = -2; turns <= 2; ++turns)
                    for (int overshoot = -3; overshoot <= 3; ++overshoot)
                        for (const int bead : {0, hasBead() ? -1 : 1}) {
                            FlyChange change{size, wire, turns, overshoot, bead};
                            waiting_.push_back(change);
                        }
        std::ranges::stable_sort(waiting_, {}, &FlyChange::cost);
    }

    void sizeUpTo(int cost, const std::stop_token& stop) {
        while (next_ < waiting_.size() && waiting_[next_].cost() <= cost && !stop.stop_requested()) {
            const FlyChange& change = waiting_[next_++];
            if (auto figures = size(change)) list_.push_back({change, change.cost(), *figures});
        }
    }
    [[nodiscard]] const std::vector<Variant>& list() const { return list_; }
    [[nodiscard]] const std::string& pattern() const { return pattern_; }

  private:
    [[nodiscard]] bool hasBead() const { return findKind(*book_.findPattern(pattern_), PartKind::bead).has_value(); }

    // What bead and hook make of the book, worked out once for each.
    struct Base {
        Pattern pattern;
        Hook hook;
        Plan plan;
    };
    const Base* base(int bead, int size, int wire) {
        const auto key = std::array{bead, size, wire};
        if (const auto found = bases_.find(key); found != bases_.end()) return found->second ? &*found->second : nullptr;
        auto& slot = bases_[key];
        if (const auto edit = changeFly(book_, pattern_, {size, wire, 0, 0, bead})) {
            const Pattern& pattern = *edit->after.findPattern(pattern_);
            if (const auto hook = makeHook(*edit->after.findHook(pattern.hook)))
                if (auto planned = plan(pattern, *hook, book_, {}, schoolsFor(pattern, book_))) slot.emplace(pattern, *hook, std::move(*planned));
        }
        return slot ? &*slot : nullptr;
    }

    std::optional<FlyFigures> size(const FlyChange& change) {
        const Base* on = base(change.bead, change.size, change.wire);
        if (!on) return std::nullopt;
        if (change.turns == 0 && change.overshoot == 0) return figures(on->plan);
        const auto hackle = fullestHackle(on->plan);
        if (!hackle) return std::nullopt;
        Pattern changed = on->pattern;
        if (!changeHackle(changed, *hackle, on->plan, change)) return std::nullopt;
        const auto planned = plan(changed, on->hook, book_, {}, schoolsFor(changed, book_));
        if (!planned) return std::nullopt;
        return figures(*planned);
    }
    FlyFigures figures(const Plan& plan) const { return figuresOf(plan, sinkReport(plan, setting_.celsius), setting_.seen); }

    const Book& book_;
    std::string pattern_;
    const TeamSetting& setting_;
    std::vector<FlyChange> waiting_;
    std::size_t next_ = 0;
    std::vector<Variant> list_;
    std::map<std::array<int, 3>, std::optional<Base>> bases_;
};

// One order of the flies on the positions that are taken.
struct Order {
    std::vector<std::size_t> fly;  // by place
    int cost = 0;
};
// Every order of up to three flies; of four and five the tier's own and each exchange of two neighbours.
std::vector<Order> ordersOf(std::size_t flies) {
    std::vector<Order> orders;
    std::vector<std::size_t> order(flies);
    std::iota(order.begin(), order.end(), std::size_t{0});
    if (flies > kTrio.size()) {
        orders.push_back({order, 0});
        for (std::size_t a = 0; a + 1 < flies; ++a) {
            orders.push_back({order, kSwapCost});
            std::swap(orders.back().fly[a], orders.back().fly[a + 1]);
        }
        return orders;
    }
    do {
        int inversions = 0;
        for (std::size_t a = 0; a < flies; ++a)
            for (std::size_t b = a + 1; b < flies; ++b) inversions += order[a] > order[b] ? 1 : 0;
        orders.push_back({order, kSwapCost * inversions});
    } while (std::ranges::next_permutation(order).found);
    std::ranges::stable_sort(orders, {}, &Order::cost);
    return orders;
}

class Bits {
  public:
    explicit Bits(std::size_t size = 0) : words_((size + 63) / 64) {}
    void set(std::size_t i) { words_[i / 64] |= std::uint64_t{1} << (i % 64); }
    // The first set in both from `from` on and before `end`; `end` where there is none.
    static std::size_t nextInBoth(const Bits& a, const Bits& b, std::size_t from, std::size_t end) {
        while (from < end) {
            const std::uint64_t word = (a.words_[from / 64] & b.words_[from / 64]) >> (from % 64);
            if (word != 0) return std::min(end, from + static_cast<std::size_t>(std::countr_zero(word)));
            from = (from / 64 + 1) * 64;
        }
        return end;
    }
    [[nodiscard]] bool has(std::size_t i) const { return (words_[i / 64] >> (i % 64) & 1) != 0; }

  private:
    std::vector<std::uint64_t> words_;
};

class Balancer {
  public:
    Balancer(const Book& book, const TeamSpec& team, const TeamSetting& setting, const BalanceOptions& options)
        : book_(book), team_(team), setting_(setting), options_(options), rules_(rulesFor(book, team)) {
        for (const Position position : kPositions)
            if (team.at(position)) {
                positions_.push_back(position);
                flies_.emplace_back(book, *team.at(position), setting);
            }
        orders_ = ordersOf(positions_.size());
    }

    BalanceReport run() {
        BalanceReport report;
        int done = -1;
        const int dearest = positions_.size() > kTrio.size() ? kCostLimitOfMany : kCostLimits.back();
        for (const int limit : kCostLimits) {
            if (limit > dearest) break;
            sizeUpTo(limit);
            if (options_.stop.stop_requested()) break;
            const bool last = limit == dearest;
            const int most = last ? static_cast<int>(positions_.size()) * kDearestFly + orders_.back().cost : limit;
            prepare();
            for (int cost = done + 1; cost <= most && found_.size() < options_.wanted && (found_.empty() || found_.front().cost > 0) && !options_.stop.stop_requested(); ++cost) collect(cost);
            done = most;
            if (options_.progress) options_.progress(static_cast<double>(limit) / kDearestFly);
            if (found_.size() >= options_.wanted || (!found_.empty() && found_.front().cost == 0)) break;  // with nothing to mend every other answer is more than enough
        }
        report.stopped = options_.stop.stop_requested();
        if (found_.empty() && !report.stopped) {
            report.withinReach = false;
            findNearest();
            findConflicts(report);
        }
        for (const Answer& answer : found_) report.proposals.push_back(propose(answer));
        for (const Variants& fly : flies_) report.planned += fly.list().size();
        return report;
    }

  private:
    struct Answer {
        std::size_t order = 0;
        std::array<std::size_t, kPositions.size()> variant{};  // by place
        int cost = 0;
    };

    void sizeUpTo(int cost) {
        std::vector<std::future<void>> work;
        for (Variants& fly : flies_) work.push_back(std::async(std::launch::async, [&fly, cost, stop = options_.stop] { fly.sizeUpTo(cost, stop); }));
        for (auto& one : work) one.get();
    }

    [[nodiscard]] const Variant& variant(const Order& order, std::size_t place, std::size_t index) const { return flies_[order.fly[place]].list()[index]; }
    [[nodiscard]] std::size_t count(const Order& order, std::size_t place) const { return flies_[order.fly[place]].list().size(); }

    // A fly by itself in a position: the wave's fullness and the rule card; a bead goes on only where the school has one.
    [[nodiscard]] double singleShortfall(const Variant& v, Position position) const {
        double sum = 0.0;
        if (v.change.bead > 0 && !rules_.beads[position]) return kMostShortfall;
        if (setting_.fullness) {
            const double wanted = rules_.fullnessScale * setting_.fullness->at(position);
            const Wanted range{std::max(0.0, wanted + rules_.fullness.low), wanted + rules_.fullness.high, rules_.fullness.nearWidth};
            sum += range.shortfall(v.figures.fullness);
        }
        if (setting_.card) sum += 2.0 * static_cast<double>(breachesOf(v.figures, *setting_.card, setting_.contest).size());
        return std::min(sum, kMostShortfall);
    }
    // Two places of an order, as a pair: what is the same for all variants of their flies is worked out once.
    struct Pairing {
        const std::vector<Variant>* upper;
        const std::vector<Variant>* lower;
        PairPlace place;
        double variety;  // shortfall in colour: a variant has its dressing's, near enough
    };
    [[nodiscard]] Pairing pairing(const Order& order, std::size_t a, std::size_t b) const {
        Pairing p{&flies_[order.fly[a]].list(), &flies_[order.fly[b]].list(), machair::placeOf(positions_[a], positions_[b], positions_), 0.0};
        if (p.place.neighbours && !p.upper->empty() && !p.lower->empty())
            p.variety = rules_.variety.shortfall(ciede2000(p.upper->front().figures.seen, p.lower->front().figures.seen));
        return p;
    }
    [[nodiscard]] bool passes(const Pairing& p, std::size_t i, std::size_t j) const {
        return p.variety <= 0.0 && numbersPass((*p.upper)[i].figures, (*p.lower)[j].figures, p.place, rules_);
    }
    [[nodiscard]] double shortfall(const Pairing& p, std::size_t i, std::size_t j) const {
        return std::min(p.variety + shortfallOfNumbers((*p.upper)[i].figures, (*p.lower)[j].figures, p.place, rules_), kMostShortfall);
    }

    // For one order: which variants pass by themselves, and in bits which pass with which at each later place.
    struct Tables {
        std::vector<std::vector<char>> alive;                   // by place: passes, and with something at every other place
        std::vector<std::vector<std::vector<Bits>>> rows;       // by place, later place and variant
    };
    void prepare() {
        tables_.clear();
        const std::size_t places = positions_.size();
        for (const Order& order : orders_) {
            Tables t;
            t.alive.resize(places);
            t.rows.assign(places, std::vector<std::vector<Bits>>(places));
            for (std::size_t p = 0; p < places; ++p)
                for (std::size_t i = 0; i < count(order, p); ++i) t.alive[p].push_back(singleShortfall(variant(order, p, i), positions_[p]) <= 0.0);
            // A pair at a time: only what passes with something at the places before is asked about the next.
            for (std::size_t b = 1; b < places; ++b)
                for (std::size_t a = 0; a < b; ++a) compare(t, order, a, b);
            tables_.push_back(std::move(t));
        }
    }
    void compare(Tables& t, const Order& order, std::size_t a, std::size_t b) const {
        const Pairing pair = pairing(order, a, b);
        auto& rows = t.rows[a][b];
        rows.assign(t.alive[a].size(), Bits(t.alive[b].size()));
        std::vector<char> upper(t.alive[a].size(), 0), lower(t.alive[b].size(), 0);
        for (std::size_t i = 0; i < upper.size(); ++i)
            for (std::size_t j = 0; t.alive[a][i] && j < lower.size(); ++j)
                if (t.alive[b][j] && passes(pair, i, j)) {
                    rows[i].set(j);
                    upper[i] = lower[j] = 1;
                }
        t.alive[a] = std::move(upper);
        t.alive[b] = std::move(lower);
    }

    // Every team that passes and costs exactly this much, unless part of its changes would do.
    void collect(int cost) {
        for (std::size_t o = 0; o < orders_.size() && found_.size() < options_.wanted; ++o) {
            Answer answer{o, {}, cost};
            if (const int own = cost - orders_[o].cost; own >= 0) choose(answer, 0, own);
        }
    }
    // Chooses this place's variant and those of all later ones, for exactly `left`.
    void choose(Answer& answer, std::size_t place, int left) {
        const Order& order = orders_[answer.order];
        const Tables& t = tables_[answer.order];
        const bool last = place + 1 == positions_.size();
        auto [from, to] = withCost(order, place, left);
        if (!last) from = 0;
        std::array<const Bits*, kPositions.size()> with{};
        for (std::size_t p = 0; p < place; ++p) with[p] = &t.rows[p][place][answer.variant[p]];
        for (std::size_t k = nextOf(with, place, from, to); k < to; k = nextOf(with, place, k + 1, to)) {
            if (!t.alive[place][k]) continue;
            answer.variant[place] = k;
            if (last)
                keep(answer);
            else
                choose(answer, place + 1, left - variant(order, place, k).cost);
            if (found_.size() >= options_.wanted || options_.stop.stop_requested()) return;
        }
    }
    // The next that passes with what is chosen at all places before.
    static std::size_t nextOf(const std::array<const Bits*, kPositions.size()>& with, std::size_t places, std::size_t from, std::size_t end) {
        if (places == 0) return from;
        for (;;) {
            const std::size_t next = Bits::nextInBoth(*with[0], *with[std::min<std::size_t>(1, places - 1)], from, end);
            if (next >= end) return end;
            bool all = true;
            for (std::size_t p = 2; p < places; ++p) all = all && with[p]->has(next);
            if (all) return next;
            from = next + 1;
        }
    }
    [[nodiscard]] std::pair<std::size_t, std::size_t> withCost(const Order& order, std::size_t place, int cost) const {
        const auto& list = flies_[order.fly[place]].list();
        const auto range = std::ranges::equal_range(list, cost, {}, &Variant::cost);
        return {static_cast<std::size_t>(range.begin() - list.begin()), static_cast<std::size_t>(range.end() - list.begin())};
    }

    // An answer is left out when undoing any part of its changes still passes. Such a part costs less, so it (or a part
    // of it) is among the answers already: it changes the same things the same way, but no further.
    void keep(const Answer& answer) {
        for (const Answer& known : found_)
            if (partOf(known, answer)) return;
        found_.push_back(answer);
    }
    [[nodiscard]] bool partOf(const Answer& part, const Answer& whole) const {
        if (part.order != whole.order && orders_[part.order].cost != 0) return false;
        for (std::size_t fly = 0; fly < flies_.size(); ++fly) {
            const FlyChange a = changeOf(part, fly), b = changeOf(whole, fly);
            for (const auto member : {&FlyChange::size, &FlyChange::wire, &FlyChange::turns, &FlyChange::overshoot, &FlyChange::bead})
                if (const int x = a.*member, y = b.*member; x != 0 && (x * y < 0 || std::abs(x) > std::abs(y))) return false;
        }
        return true;
    }
    [[nodiscard]] FlyChange changeOf(const Answer& answer, std::size_t fly) const {
        const Order& order = orders_[answer.order];
        const auto place = static_cast<std::size_t>(std::ranges::find(order.fly, fly) - order.fly.begin());
        return variant(order, place, answer.variant[place]).change;
    }

    // Shortfalls as scores for the best triples: what is least is best, then what is cheapest. A fly or a pair
    // that fails on what is demanded of it is never chosen.
    struct Demand {
        TeamTerm term;
        std::size_t a = 0, b = 0;  // places; the same where one fly is judged
    };
    static std::int32_t units(double shortfall, int cost) {
        constexpr double kShortfallUnits = 1000.0;
        constexpr std::int32_t kCostRoom = 128;
        return -static_cast<std::int32_t>(std::lround(kShortfallUnits * shortfall)) * kCostRoom - cost;
    }
    [[nodiscard]] std::vector<std::int32_t> singleScores(const Order& order, std::size_t p, const std::optional<Demand>& demand) const {
        std::vector<std::int32_t> scores;
        for (std::size_t i = 0; i < count(order, p); ++i) {
            const double shortfall = singleShortfall(variant(order, p, i), positions_[p]);
            const bool refused = demand && demand->a == p && demand->b == p && shortfall > 0.0;
            scores.push_back(refused ? kNever : units(shortfall, variant(order, p, i).cost));
        }
        return scores;
    }
    [[nodiscard]] ScoreTable pairScores(const Order& order, std::size_t a, std::size_t b, const std::optional<Demand>& demand) const {
        ScoreTable table(count(order, a), count(order, b));
        const Pairing pair = pairing(order, a, b);
        const bool asked = demand && demand->a == a && demand->b == b && demand->a != demand->b;
        for (std::size_t i = 0; i < table.rows; ++i)
            for (std::size_t j = 0; j < table.columns; ++j)
                table.at(i, j) = asked && fails(demand->term, pair, i, j) ? kNever : units(shortfall(pair, i, j), 0);
        return table;
    }
    [[nodiscard]] bool fails(TeamTerm term, const Pairing& pair, std::size_t i, std::size_t j) const {
        if (term == TeamTerm::variety) return pair.variety > 0.0;
        const JudgedPair judged = judgeNumbers((*pair.upper)[i].figures, (*pair.lower)[j].figures, pair.place, rules_);
        return std::ranges::any_of(judged, [&](const JudgedTerm& own) { return own.term == term && own.shortfall > 0.0; });
    }

    // The nearest team of an order: exactly for up to three flies. Of four and five, one fly after the other is changed
    // to what is best beside the others until nothing gains: near, and not proven.
    [[nodiscard]] std::optional<std::pair<std::int64_t, Answer>> nearestOf(std::size_t o, const std::optional<Demand>& demand = {}) const {
        const Order& order = orders_[o];
        if (positions_.size() > kTrio.size()) return descendFromOwn(o, demand);
        TripleScores scores;
        for (std::size_t p = 0; p < kTrio.size(); ++p) scores.single[p] = p < positions_.size() ? singleScores(order, p, demand) : std::vector<std::int32_t>{0};
        const auto table = [&](std::size_t a, std::size_t b) { return b < positions_.size() ? pairScores(order, a, b, demand) : ScoreTable(scores.single[a].size(), 1); };
        scores.first = table(0, 1);
        scores.second = table(1, 2);
        scores.across = table(0, 2);
        for (const Triple& triple : bestTriples(scores, 1, options_.stop).best) {
            if (isNever(triple.score)) continue;
            Answer answer{o, {}, order.cost};
            for (std::size_t p = 0; p < positions_.size(); ++p) {
                answer.variant[p] = triple.at[p];
                answer.cost += variant(order, p, triple.at[p]).cost;
            }
            return std::pair(triple.score - order.cost, answer);
        }
        return std::nullopt;
    }
    [[nodiscard]] std::optional<std::pair<std::int64_t, Answer>> descendFromOwn(std::size_t o, const std::optional<Demand>& demand) const {
        const Order& order = orders_[o];
        const std::size_t places = positions_.size();
        std::vector<std::vector<std::int32_t>> single;
        std::vector<std::vector<ScoreTable>> pairs(places);
        for (std::size_t p = 0; p < places; ++p) {
            if (count(order, p) == 0) return std::nullopt;
            single.push_back(singleScores(order, p, demand));
            pairs[p].resize(places);
        }
        for (std::size_t a = 0; a < places; ++a)
            for (std::size_t b = a + 1; b < places; ++b) pairs[a][b] = pairScores(order, a, b, demand);
        Answer answer{o, {}, 0};
        const auto of = [&](std::size_t p, std::size_t i) {  // all that place p has a share in, were it variant i
            std::int64_t sum = single[p][i];
            for (std::size_t q = 0; q < places; ++q)
                if (q != p) sum += q < p ? pairs[q][p].at(answer.variant[q], i) : pairs[p][q].at(i, answer.variant[q]);
            return sum;
        };
        for (bool gained = true; gained && !options_.stop.stop_requested();) {
            gained = false;
            for (std::size_t p = 0; p < places; ++p)
                for (std::size_t i = 0; i < single[p].size(); ++i)
                    if (of(p, i) > of(p, answer.variant[p])) {
                        answer.variant[p] = i;
                        gained = true;
                    }
        }
        std::int64_t score = -order.cost;
        answer.cost = order.cost;
        for (std::size_t p = 0; p < places; ++p) {
            score += single[p][answer.variant[p]];
            answer.cost += variant(order, p, answer.variant[p]).cost;
            for (std::size_t q = p + 1; q < places; ++q) score += pairs[p][q].at(answer.variant[p], answer.variant[q]);
        }
        return isNever(score) ? std::nullopt : std::optional(std::pair(score, answer));
    }

    // Nothing passes: the least sum of shortfalls, then the least cost.
    void findNearest() {
        std::vector<std::pair<std::int64_t, Answer>> best;
        for (std::size_t o = 0; o < orders_.size(); ++o)
            if (auto nearest = nearestOf(o)) best.push_back(*nearest);
        std::ranges::stable_sort(best, std::greater{}, [](const auto& b) { return b.first; });
        for (const auto& [score, answer] : best)
            if (found_.size() < options_.wanted) found_.push_back(answer);
    }

    // What a team fails on, worst first.
    struct Failing {
        Demand demand;
        double shortfall = 0.0;
    };
    [[nodiscard]] std::vector<Failing> failingOf(const Answer& answer) const {
        const Order& order = orders_[answer.order];
        std::vector<Failing> failing;
        for (std::size_t a = 0; a < positions_.size(); ++a) {
            const Variant& own = variant(order, a, answer.variant[a]);
            if (const double shortfall = singleShortfall(own, positions_[a]); shortfall > 0.0)
                failing.push_back({{setting_.card && !breachesOf(own.figures, *setting_.card, setting_.contest).empty() ? TeamTerm::rules : TeamTerm::fullness, a, a}, shortfall});
            for (std::size_t b = a + 1; b < positions_.size(); ++b) {
                const Pairing pair = pairing(order, a, b);
                if (pair.variety > 0.0) failing.push_back({{TeamTerm::variety, a, b}, pair.variety});
                for (const JudgedTerm& term : judgeNumbers(own.figures, variant(order, b, answer.variant[b]).figures, pair.place, rules_))
                    if (term.shortfall > 0.0) failing.push_back({{term.term, a, b}, term.shortfall});
            }
        }
        std::ranges::stable_sort(failing, std::greater{}, &Failing::shortfall);
        return failing;
    }

    // Why not: what the nearest team still fails, and what fails instead, anywhere on the leader, in the nearest team
    // that has it.
    void findConflicts(BalanceReport& report) const {
        if (found_.empty()) return;
        for (const Failing& failing : failingOf(found_.front())) {
            constexpr std::size_t kMostConflicts = 4;
            if (options_.stop.stop_requested() || report.conflicts.size() == kMostConflicts) return;
            const std::string what = said(failing.demand);
            const auto instead = nearestOf(found_.front().order, failing.demand);
            if (!instead) {
                report.conflicts.push_back(what + (failing.demand.term == TeamTerm::variety ? ": no size, turns, length or bead mends it, only another dressing"
                                                                                             : ": no hook, turns, length or bead within reach mends it"));
                continue;
            }
            const auto others = failingOf(instead->second);
            report.conflicts.push_back(others.empty() ? what + ": it can be had, at a cost beyond what is proposed"
                                                      : what + " stands against " + said(others.front().demand) + ": where one is mended the other fails");
        }
    }
    [[nodiscard]] std::string said(const Demand& demand) const {
        std::string text(nameOf(demand.term));
        std::ranges::replace(text, '_', ' ');
        text += demand.a == demand.b ? " of the " : " of ";
        text += nameOf(positions_[demand.a]);
        return demand.a == demand.b ? text : text + " and " + std::string(nameOf(positions_[demand.b]));
    }

    Proposal propose(const Answer& answer) const {
        Proposal proposal;
        proposal.cost = answer.cost;
        const Order& order = orders_[answer.order];
        std::vector<TeamFly> flies;
        for (std::size_t p = 0; p < positions_.size(); ++p) {
            const std::string& id = flies_[order.fly[p]].pattern();
            proposal.patterns[positions_[p]] = id;
            const FlyChange change = variant(order, p, answer.variant[p]).change;
            proposal.made[positions_[p]] = change;
            const Pattern& before = *book_.findPattern(id);
            if (order.fly[p] != p) proposal.changes.push_back({positions_[p], before.title() + " goes on the " + std::string(nameOf(positions_[p]))});
            if (const auto edit = changeFly(book_, id, change)) {
                if (change != FlyChange{}) proposal.changes.push_back({positions_[p], edit->words});
                if (auto planned = planPattern(edit->after, id)) flies.push_back(teamFly(positions_[p], std::move(*planned), setting_));
            }
        }
        TeamReport weighed = weighFlies(std::move(flies), rules_, setting_, team_.leader);
        proposal.checks = std::move(weighed.checks);
        proposal.verdict = weighed.verdict;
        return proposal;
    }

    const Book& book_;
    const TeamSpec& team_;
    const TeamSetting& setting_;
    const BalanceOptions& options_;
    SchoolRules rules_;
    std::vector<Position> positions_;
    std::vector<Variants> flies_;
    std::vector<Order> orders_;
    std::vector<Tables> tables_;
    std::vector<Answer> found_;
};

std::string times(int count, const std::string& what) { return (count == 1 ? "one " : count == 2 ? "two " : std::to_string(count) + " ") + what + (count == 1 ? "" : "s"); }

}  // namespace

int FlyChange::cost() const { return 4 * std::abs(size) + 2 * std::abs(wire) + std::abs(turns) + std::abs(overshoot) + 5 * std::abs(bead); }

Result<Edit> changeFly(const Book& book, std::string_view pattern, const FlyChange& change) {
    if (!book.findPattern(pattern)) return noSuch(Place("patterns"), "dressing", pattern);
    Edit edit{{}, book};
    std::vector<std::string> words;
    if (change.bead != 0) {
        auto beaded = withBead(edit.after, pattern, change.bead);
        if (!beaded) return beaded;
        edit.after = std::move(beaded->after);
        words.emplace_back(change.bead > 0 ? "a bead at the eye" : "no bead");
    }
    if (change.size != 0 || change.wire != 0) {
        const HookSpec* now = edit.after.findHook(edit.after.findPattern(pattern)->hook);
        if (!now) return noSuch(Place("hooks"), "hook", edit.after.findPattern(pattern)->hook);
        HookChange wanted{now->size + kSizeStep * change.size, now->heavier.value_or(0) + change.wire};
        auto resized = resizeHook(edit.after, pattern, wanted);
        if (!resized) return resized;
        edit.after = std::move(resized->after);
        if (change.size != 0) words.push_back("hook " + std::to_string(*wanted.size));
        if (change.wire != 0) words.emplace_back(change.wire > 0 ? "a heavier wire" : "a finer wire");
    }
    if (change.turns != 0 || change.overshoot != 0) {
        const auto planned = planPattern(edit.after, pattern);
        if (!planned) return tl::unexpected(planned.error());
        const auto hackle = fullestHackle(*planned);
        Pattern& changed = *edit.after.findPattern(pattern);
        if (!hackle || !changeHackle(changed, *hackle, *planned, change))
            return fail(Place(std::string(pattern)), "expected a hackle that can be wound and measured otherwise, got none");
        const std::string part(nameOf(changed.parts[*hackle].kind));
        if (change.turns != 0) words.push_back(times(std::abs(change.turns), "turn") + (change.turns > 0 ? " more" : " less") + " on the " + part);
        if (change.overshoot != 0) words.push_back(part + " " + std::to_string(5 * std::abs(change.overshoot)) + (change.overshoot > 0 ? " % of the gape longer" : " % of the gape shorter"));
    }
    edit.words = book.findPattern(pattern)->title() + ":";
    for (std::size_t i = 0; i < words.size(); ++i) edit.words += (i == 0 ? " " : ", ") + words[i];
    return edit;
}

Result<BalanceReport> balanceTeam(const Book& book, std::string_view team, const TeamSetting& setting, const BalanceOptions& options) {
    if (const auto weighed = weighTeam(book, team, setting); !weighed) return tl::unexpected(weighed.error());
    return Balancer(book, *book.findTeam(team), setting, options).run();
}

Result<Edit> takeProposal(const Book& book, std::string_view team, const Proposal& proposal) {
    Edit edit{{}, book};
    std::string words;
    for (const Position position : kPositions) {
        if (!proposal.patterns[position] || proposal.made[position] == FlyChange{}) continue;
        auto changed = changeFly(edit.after, *proposal.patterns[position], proposal.made[position]);
        if (!changed) return changed;
        edit.after = std::move(changed->after);
    }
    const auto spec = std::ranges::find(edit.after.teams, team, &TeamSpec::id);
    if (spec == edit.after.teams.end()) return noSuch(Place("teams"), "team", team);
    spec->flies = proposal.patterns;
    for (const ProposedChange& change : proposal.changes) words += (words.empty() ? "" : "; ") + change.words;
    edit.words = words.empty() ? "nothing to change" : words;
    return edit;
}

}  // namespace machair
