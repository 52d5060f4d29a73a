#include "team/balance.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>
#include <tuple>

#include "book/find.h"
#include "book/flies.h"
#include "book/kinds.h"
#include "language/say.h"
#include "units/text.h"
#include "water/sea.h"

namespace machair {

namespace {

constexpr int kInversion = 2, kFromBox = 2, kStillToTie = 3;
constexpr int kMostChanged = 2;  // flies replaced or tied otherwise
constexpr int kDearerThanCheapest = 2;
constexpr std::size_t kNobody = static_cast<std::size_t>(-1);

using Waves = std::uint64_t;  // a bit for each wave that the team may be judged in

// What may hang in a place: one of the team's own flies, as it is or tied otherwise, or one of the box.
struct Hung {
    std::size_t own = kNobody;
    std::size_t box = kNobody;
    FlyChange made;
    int cost = 0;
    FlyFigures figures;
    Waves passes = 0;  // in these waves, of the place it is a candidate for
    // One fly of the team hangs in one place, and so does one of the box.
    [[nodiscard]] bool mayMeet(const Hung& other) const {
        return (own == kNobody || own != other.own) && (box == kNobody || box != other.box);
    }
    [[nodiscard]] bool isRedressed() const { return !made.none(); }
    [[nodiscard]] bool isChanged() const { return box != kNobody || isRedressed(); }
};

struct Answer {
    std::array<std::size_t, kPositions.size()> at{};  // candidate of each place
    int cost = 0;
    int moved = 0;  // places whose fly differs
    double score = 0.0;
};

// The places of a team, what may hang in each, and what goes with what.
class Board {
  public:
    Board(const Book& book, const TeamSpec& team, const TeamReport& report, const std::vector<BoxCandidate>& box,
          const TeamSetting& setting)
        : book_(book), box_(box), setting_(setting), report_(report), rules_(report.rules) {
        for (const TeamFly& fly : report.flies) {
            positions_.push_back(fly.position);
            own_.push_back(team.at(fly.position).value_or(Fly(fly.plan.pattern.id)));
        }
        if (report.waveGiven)
            waves_ = {report.wave};
        else
            waves_ = rules_.usualWaves;
        candidates_.resize(positions_.size());
        for (std::size_t p = 0; p < positions_.size(); ++p)
            for (const double wave : waves_)
                wants_[p].push_back(wantsOf(rules_, positions_[p], wave, setting.day));
    }

    [[nodiscard]] std::size_t places() const { return positions_.size(); }
    [[nodiscard]] const std::vector<Hung>& candidates(std::size_t place) const { return candidates_[place]; }
    [[nodiscard]] Position position(std::size_t place) const { return positions_[place]; }
    [[nodiscard]] const Plan& ownPlan(std::size_t own) const { return report_.flies[own].plan; }
    [[nodiscard]] std::uint64_t planned() const { return planned_; }

    // In which waves a fly by itself passes in a place, the card included.
    [[nodiscard]] Waves passesAt(const FlyFigures& figures, std::size_t place) const {
        if (setting_.card && !breachesOf(figures, *setting_.card, setting_.contest).empty()) return 0;
        Waves passes = 0;
        for (std::size_t w = 0; w < waves_.size(); ++w)
            if (passesIn(figures, wants_[place][w])) passes |= Waves{1} << w;
        return passes;
    }
    void addOwn() {
        for (std::size_t p = 0; p < places(); ++p)
            for (std::size_t f = 0; f < own_.size(); ++f)
                add(p, {f, kNobody, {}, 0, report_.flies[f].figures});
    }
    void addBox() {
        std::set<std::size_t> known;
        for (const TeamFly& fly : report_.flies)
            known.insert(fly.figures.identity);
        for (std::size_t i = 0; i < box_.size(); ++i) {
            if (known.contains(box_[i].figures.identity)) continue;
            for (std::size_t p = 0; p < places(); ++p)
                add(p, {kNobody, i, {}, box_[i].tied == 0 ? kStillToTie : kFromBox, box_[i].figures});
        }
    }
    void addRedressed(const std::vector<FlyChange>& changes, const std::stop_token& stop) {
        for (std::size_t f = 0; f < own_.size(); ++f) {
            if (report_.flies[f].figures.floats) continue;
            for (const FlyChange& change : changes) {
                if (stop.stop_requested() || change.cost() > kCostCeiling) break;
                if (change.bead && !mayBead(f)) continue;
                const auto planned = planRedressed(book_, ownPlan(f), change);
                ++planned_;
                if (!planned) continue;
                FlyFigures figures = figuresOf(*planned, sinkReport(*planned, setting_.celsius), setting_.seen);
                figures.identity ^= 0x9e3779b97f4a7c15ULL * (1 + f);  // tied otherwise it is another fly
                if (figures.floats) continue;
                for (std::size_t p = 0; p < places(); ++p)
                    if (mayRedress(f, p, change)) add(p, {f, kNobody, change, change.cost(), figures});
            }
        }
    }

    [[nodiscard]] bool pairPasses(std::size_t a, const FlyFigures& upper, std::size_t b, const FlyFigures& lower) const {
        return machair::pairPasses(upper, lower, placeOf(positions_[a], positions_[b], positions_), rules_);
    }
    // Whether a team as it would hang passes, the leader apart.
    [[nodiscard]] bool passes(const std::vector<const FlyFigures*>& flies) const {
        Waves all = ~Waves{0};
        for (std::size_t p = 0; p < flies.size() && all != 0; ++p)
            all &= passesAt(*flies[p], p);
        if (all == 0) return false;
        for (std::size_t a = 0; a < flies.size(); ++a)
            for (std::size_t b = a + 1; b < flies.size(); ++b)
                if (!pairPasses(a, *flies[a], b, *flies[b])) return false;
        return true;
    }
    // The team as it hangs.
    [[nodiscard]] bool fliesPass() const {
        std::vector<const FlyFigures*> flies;
        for (const TeamFly& fly : report_.flies)
            flies.push_back(&fly.figures);
        return passes(flies);
    }
    [[nodiscard]] double scoreOf(const std::vector<const FlyFigures*>& flies) const {
        double sum = 0.0, whole = 0.0;
        const std::size_t wave = judgedWave(flies);
        for (std::size_t p = 0; p < flies.size(); ++p) {
            const PlaceFit fit = fitIn(*flies[p], wants_[p][wave]);
            sum += fit.sum;
            whole += fit.whole;
            for (std::size_t q = p + 1; q < flies.size(); ++q)
                sum -= lossOfPair(*flies[p], *flies[q], placeOf(positions_[p], positions_[q], positions_), rules_);
        }
        return whole <= 0.0 ? 0.0 : std::max(0.0, 100.0 * sum / whole);
    }
    // Of a team in each wave, how far off its flies are by themselves; the least is what it is judged in.
    [[nodiscard]] std::size_t judgedWave(const std::vector<const FlyFigures*>& flies) const {
        std::size_t best = 0;
        double least = 1e300;
        for (std::size_t w = 0; w < waves_.size(); ++w) {
            double off = 0.0;
            for (std::size_t p = 0; p < flies.size(); ++p)
                for (const PlaceTerm& term : checksOf(*flies[p], wants_[p][w]))
                    off += term.shortfall;
            if (off < least) {
                least = off;
                best = w;
            }
        }
        return best;
    }
    [[nodiscard]] std::vector<const FlyFigures*> figuresOfAnswer(const Answer& answer) const {
        std::vector<const FlyFigures*> flies;
        for (std::size_t p = 0; p < places(); ++p)
            flies.push_back(&candidates_[p][answer.at[p]].figures);
        return flies;
    }
    [[nodiscard]] const FlyFigures& ownFigures(std::size_t own) const { return report_.flies[own].figures; }

    Proposal propose(const Answer& answer) const;

  private:
    void add(std::size_t place, Hung hung) {
        hung.passes = passesAt(hung.figures, place);
        if (hung.passes != 0) candidates_[place].push_back(std::move(hung));
    }
    [[nodiscard]] bool mayRedress(std::size_t f, std::size_t place, const FlyChange& change) const {
        const FlyFigures& now = report_.flies[f].figures;
        if (now.role && *now.role != TeamRole::any && *now.role != roleAt(positions_[place])) return false;
        if (change.bead && (positions_[place] != Position::point || !rules_.beads[positions_[place]])) return false;
        return std::ranges::any_of(wants_[place], [&](const PlaceWants& w) { return w.style.shortfall(w.suits(now.style)) <= 0.0; });
    }
    [[nodiscard]] bool mayBead(std::size_t f) const {
        const FlyStyle style = report_.flies[f].figures.style;
        return (style == FlyStyle::spider || style == FlyStyle::hackled || style == FlyStyle::nymph) &&
               !(setting_.card && setting_.card->beads == false);
    }
    [[nodiscard]] std::string titleOfOwn(std::size_t own) const { return ownPlan(own).pattern.title(); }

    const Book& book_;
    const std::vector<BoxCandidate>& box_;
    const TeamSetting& setting_;
    const TeamReport& report_;
    SchoolRules rules_;
    std::vector<Position> positions_;
    std::vector<Fly> own_;
    std::vector<double> waves_;
    std::array<std::vector<PlaceWants>, kPositions.size()> wants_;
    std::vector<std::vector<Hung>> candidates_;
    std::uint64_t planned_ = 0;
};

Proposal Board::propose(const Answer& answer) const {
    Proposal proposal;
    proposal.cost = answer.cost;
    proposal.score = answer.score;
    std::vector<TeamFly> flies;
    for (std::size_t p = 0; p < places(); ++p) {
        const Hung& hung = candidates_[p][answer.at[p]];
        const Position position = positions_[p];
        const std::string place(nameOf(position));
        const bool fromBox = hung.box != kNobody;
        Fly fly = fromBox ? box_[hung.box].fly : own_[hung.own];
        if (fromBox) {
            proposal.changes.push_back({position, ChangeKind::box,
                                        box_[hung.box].title + (p == 0 || p + 1 == places() ? say(" to the ") : say(" in the ")) + place +
                                            (box_[hung.box].tied == 0 ? say(", still to tie") : "")});
        } else {
            if (hung.own != p) proposal.changes.push_back({position, ChangeKind::order, say("{} to the {}", titleOfOwn(hung.own), place)});
            if (hung.isRedressed())
                proposal.changes.push_back(
                    {position, ChangeKind::redress, titleOfOwn(hung.own) + ": " + sayChange(book_, ownPlan(hung.own), hung.made)});
        }
        proposal.made[position] = hung.made;
        auto planned = fromBox              ? planFly(book_, fly, Place("box"))
                       : hung.isRedressed() ? planRedressed(book_, ownPlan(hung.own), hung.made)
                                            : Result<Plan>(ownPlan(hung.own));
        if (planned) flies.push_back(teamFly(position, std::move(*planned), setting_));
        proposal.flies[position] = std::move(fly);
    }
    TeamReport weighed = weighFlies(std::move(flies), rules_, setting_, {});
    std::erase_if(weighed.checks, [](const TeamCheck& c) {
        return c.term == TeamTerm::spacing || c.term == TeamTerm::dropper;
    });  // the leader stays as it is
    proposal.checks = std::move(weighed.checks);
    for (const TeamCheck& check : proposal.checks)
        proposal.verdict = std::max(proposal.verdict, check.verdict);
    return proposal;
}

struct ShownAnswer {
    Answer answer;
    std::optional<std::size_t> place;  // that others of the box would fill as well
    std::vector<std::size_t> box;
};

// Every team under the ceiling that passes, and of those the ones worth showing.
class Search {
  public:
    Search(const Board& board, const std::stop_token& stop) : board_(board), stop_(stop) {
        // What goes with what, once for each pair of candidates.
        const std::size_t n = board.places();
        for (std::size_t a = 0; a < n; ++a)
            for (std::size_t b = a + 1; b < n; ++b) {
                const auto &upper = board.candidates(a), &lower = board.candidates(b);
                std::vector<char>& table = with_[{a, b}];
                table.resize(upper.size() * lower.size());
                for (std::size_t i = 0; i < upper.size(); ++i)
                    for (std::size_t j = 0; j < lower.size(); ++j)
                        table[i * lower.size() + j] =
                            upper[i].mayMeet(lower[j]) && board.pairPasses(a, upper[i].figures, b, lower[j].figures) ? 1 : 0;
            }
        Answer answer;
        place(answer, 0, 0, 0, ~Waves{0});
    }

    // Of those with nothing to tie, or of the others. Best first: cost, flies moved, score; none of which a part put back
    // still passes, one of each kind of change.
    std::vector<ShownAnswer> best(bool toTie, std::size_t wanted) {
        std::vector<ShownAnswer> shown;
        std::vector<Answer>& found = toTie ? tying_ : hanging_;
        for (Answer& answer : found)
            answer.score = board_.scoreOf(board_.figuresOfAnswer(answer));
        std::ranges::stable_sort(found, {}, [this](const Answer& a) { return std::tuple(a.cost, a.moved, -a.score, idsOf(a)); });
        std::map<std::string, std::size_t> known;
        for (const Answer& answer : found) {
            if (!shown.empty() && answer.cost > shown.front().answer.cost + kDearerThanCheapest) break;
            const std::string kind = kindOf(answer);
            if (const auto same = known.find(kind); same != known.end()) {
                if (same->second < shown.size() && isIrredundant(answer)) noteInstead(shown[same->second], answer);
                continue;
            }
            if (shown.size() == wanted || !isIrredundant(answer)) continue;
            known.emplace(kind, shown.size());
            shown.push_back({answer, {}, {}});
        }
        return shown;
    }

  private:
    void place(Answer& answer, std::size_t p, int cost, int changed, Waves waves) {
        if (stop_.stop_requested()) return;
        if (p == board_.places()) return take(answer, cost);
        const auto& list = board_.candidates(p);
        for (std::size_t i = 0; i < list.size(); ++i) {
            const Hung& hung = list[i];
            const int more = changed + (hung.isChanged() ? 1 : 0);
            if (cost + hung.cost > kCostCeiling || more > kMostChanged || (waves & hung.passes) == 0) continue;
            bool fits = true;
            for (std::size_t q = 0; q < p && fits; ++q)
                fits = with_.at({q, p})[answer.at[q] * list.size() + i] != 0;
            if (!fits) continue;
            answer.at[p] = i;
            place(answer, p + 1, cost + hung.cost, more, waves & hung.passes);
        }
    }
    void take(Answer answer, int cost) {
        std::vector<std::size_t> stay;
        bool toTie = false;
        answer.moved = 0;
        for (std::size_t p = 0; p < board_.places(); ++p) {
            const Hung& hung = hungAt(answer, p);
            if (hung.own != kNobody) stay.push_back(hung.own);
            toTie = toTie || hung.isRedressed() || hung.cost == kStillToTie;
            answer.moved += hung.own != p || hung.isRedressed() ? 1 : 0;
        }
        for (std::size_t a = 0; a < stay.size(); ++a)
            for (std::size_t b = a + 1; b < stay.size(); ++b)
                cost += stay[a] > stay[b] ? kInversion : 0;
        answer.cost = cost;
        if (cost <= kCostCeiling && answer.moved > 0) (toTie ? tying_ : hanging_).push_back(answer);
    }
    [[nodiscard]] const Hung& hungAt(const Answer& answer, std::size_t p) const { return board_.candidates(p)[answer.at[p]]; }
    [[nodiscard]] std::vector<std::size_t> idsOf(const Answer& answer) const {
        std::vector<std::size_t> ids;
        for (std::size_t p = 0; p < board_.places(); ++p)
            ids.push_back(answer.at[p]);
        return ids;
    }
    // What is done in each place, whichever fly of the box and however much of it.
    [[nodiscard]] std::string kindOf(const Answer& answer) const {
        std::string kind;
        for (std::size_t p = 0; p < board_.places(); ++p) {
            const Hung& hung = hungAt(answer, p);
            const FlyChange& c = hung.made;
            kind += hung.box != kNobody ? "b" : hung.own == p ? "." : std::to_string(hung.own);
            for (const auto& [is, letter] : {std::pair{c.turns != 0, 't'},
                                             {c.fibre != 0, 'f'},
                                             {c.tail != 0, 'l'},
                                             {c.wing != 0, 'w'},
                                             {c.size != 0, 's'},
                                             {c.wire != 0, 'i'},
                                             {c.bead, 'e'}})
                if (is) kind += letter;
            kind += ' ';
        }
        return kind;
    }
    // Where another answer differs only in which fly of the box stands in one place, that fly would do as well; the same
    // place each time, and of one dressing only one.
    void noteInstead(ShownAnswer& shown, const Answer& other) const {
        std::optional<std::size_t> differs;
        for (std::size_t p = 0; p < board_.places(); ++p) {
            if (shown.answer.at[p] == other.at[p]) continue;
            if (differs || hungAt(other, p).box == kNobody) return;
            differs = p;
        }
        if (!differs || (shown.place && shown.place != differs)) return;
        shown.place = differs;
        shown.box.push_back(hungAt(other, *differs).box);
    }
    // No part of it is needless: with a place put back, or a fly as it is tied now, it no longer passes.
    [[nodiscard]] bool isIrredundant(const Answer& answer) const {
        const std::size_t n = board_.places();
        std::vector<int> choice(n, 0);  // 0 as answered, 1 the place put back, 2 the fly as it is tied now
        for (;;) {
            std::size_t p = 0;
            while (p < n && choice[p] == 2)
                choice[p++] = 0;
            if (p == n) return true;
            ++choice[p];
            if (isPartOf(answer, choice)) return false;
        }
    }
    [[nodiscard]] bool isPartOf(const Answer& answer, const std::vector<int>& choice) const {
        std::vector<const FlyFigures*> flies;
        std::set<std::size_t> used;
        bool less = false, whole = true;
        for (std::size_t p = 0; p < choice.size(); ++p) {
            const Hung& hung = hungAt(answer, p);
            const bool changedHere = hung.own != p || hung.isRedressed();
            const std::size_t own = choice[p] == 1 ? p : hung.own;
            const bool asTied = choice[p] == 2 && hung.isRedressed();
            if ((choice[p] == 1 && !changedHere) || (choice[p] == 2 && !asTied)) return false;  // nothing to put back there
            less = less || choice[p] != 0;
            whole = whole && (choice[p] != 0 || !changedHere);
            if (own != kNobody && !used.insert(own).second) return false;  // one fly twice
            flies.push_back(choice[p] == 1 ? &board_.ownFigures(p) : asTied ? &board_.ownFigures(hung.own) : &hung.figures);
        }
        return less && !whole && board_.passes(flies);
    }

    const Board& board_;
    std::stop_token stop_;
    std::map<std::pair<std::size_t, std::size_t>, std::vector<char>> with_;
    std::vector<Answer> hanging_, tying_;
};

std::vector<Proposal> proposalsOf(const Board& board, Search& search, bool toTie, std::size_t wanted,
                                  const std::vector<BoxCandidate>& box) {
    std::vector<Proposal> list;
    for (const ShownAnswer& shown : search.best(toTie, wanted)) {
        Proposal proposal = board.propose(shown.answer);
        std::set<std::string> dressings;
        for (const Position position : kPositions)
            if (proposal.flies[position]) dressings.insert(proposal.flies[position]->pattern);
        if (shown.place) proposal.insteadAt = board.position(*shown.place);
        for (const std::size_t fly : shown.box) {
            if (!dressings.insert(box[fly].fly.pattern).second) continue;
            proposal.instead.push_back(box[fly].fly);
            proposal.insteadTitles.push_back(box[fly].title);
        }
        list.push_back(std::move(proposal));
    }
    return list;
}

// What no fly can mend: the leader's own lengths, and what the card says of them.
bool isOfTheLeader(const TeamCheck& check) {
    return check.term == TeamTerm::spacing || check.term == TeamTerm::dropper ||
           (check.term == TeamTerm::rules && check.upper != check.lower);
}

// What is off, by name; and where there are two, that they stand against each other.
std::vector<std::string> conflictsOf(const TeamReport& report) {
    std::vector<const TeamCheck*> off;
    for (const TeamCheck& check : report.checks)
        if (check.verdict != Verdict::pass && !isOfTheLeader(check)) off.push_back(&check);
    std::ranges::stable_sort(off, std::greater{}, [](const TeamCheck* c) { return c->shortfall; });
    constexpr std::size_t kNamed = 4;
    std::vector<std::string> words;
    if (off.size() >= 2)
        words.push_back(
            say("No change of up to {} meets both at once: {}; and {}", std::to_string(kCostCeiling), off[0]->words, off[1]->words));
    for (std::size_t i = off.size() >= 2 ? 2 : 0; i < std::min(off.size(), kNamed); ++i)
        words.push_back(off[i]->words + (off[i]->mend.empty() ? "" : ": " + off[i]->mend));
    return words;
}

// The best team that passes of the box and the flies that are there, most of these kept. Exact for up to three places.
std::optional<Proposal> bestOfBox(const Board& board, const std::stop_token& stop) {
    if (board.places() != kTrio.size()) return std::nullopt;
    struct Best {
        int kept = -1;
        double score = 0.0;
        Answer answer;
    } best;
    const auto &bobs = board.candidates(0), &middles = board.candidates(1), &points = board.candidates(2);
    const auto meets = [](const Hung& a, const Hung& b) {
        return !a.isRedressed() && !b.isRedressed() && a.cost != kStillToTie && b.cost != kStillToTie && a.mayMeet(b);
    };
    for (std::size_t i = 0; i < bobs.size() && !stop.stop_requested(); ++i)
        for (std::size_t j = 0; j < middles.size(); ++j) {
            if (!meets(bobs[i], middles[j]) || (bobs[i].passes & middles[j].passes) == 0 ||
                !board.pairPasses(0, bobs[i].figures, 1, middles[j].figures))
                continue;
            for (std::size_t k = 0; k < points.size(); ++k) {
                const int kept =
                    (bobs[i].own != kNobody ? 1 : 0) + (middles[j].own != kNobody ? 1 : 0) + (points[k].own != kNobody ? 1 : 0);
                if (kept < best.kept || !meets(bobs[i], points[k]) || !meets(middles[j], points[k]) ||
                    (bobs[i].passes & middles[j].passes & points[k].passes) == 0)
                    continue;
                if (!board.pairPasses(1, middles[j].figures, 2, points[k].figures) ||
                    !board.pairPasses(0, bobs[i].figures, 2, points[k].figures))
                    continue;
                Answer answer;
                answer.at = {i, j, k, 0, 0};
                answer.score = board.scoreOf({&bobs[i].figures, &middles[j].figures, &points[k].figures});
                if (kept > best.kept || answer.score > best.score) best = {kept, answer.score, answer};
            }
        }
    if (best.kept < 0) return std::nullopt;
    return board.propose(best.answer);
}

std::vector<std::string> failsOfTheLeader(const TeamReport& report) {
    std::vector<std::string> words;
    for (const TeamCheck& check : report.checks)
        if (check.verdict != Verdict::pass && isOfTheLeader(check))
            words.push_back(check.words + (check.mend.empty() ? "" : ": " + check.mend));
    return words;
}

}  // namespace

std::string Proposal::words() const {
    std::string text;
    for (const ProposedChange& change : changes) {
        text += (text.empty() ? "" : ", ") + change.words;
        if (change.kind != ChangeKind::box || change.position != insteadAt) continue;
        for (std::size_t i = 0; i < insteadTitles.size(); ++i)
            text += (i == 0 ? say(" (or ") : say(", or ")) + insteadTitles[i];
        if (!insteadTitles.empty()) text += ")";
    }
    return text.empty() ? say("nothing to change") : text;
}

Result<BalanceReport> balanceTeam(const Book& book, const TeamId& team, const TeamSetting& setting, const BalanceOptions& options) {
    const auto weighed = weighTeam(book, team, setting);
    if (!weighed) return tl::unexpected(weighed.error());
    BalanceReport report;
    report.passes = weighed->verdict == Verdict::pass;
    if (report.passes) return report;
    const TeamSpec& spec = *book.findTeam(team);
    const auto box = candidatesOf(book, setting).value_or(std::vector<BoxCandidate>());
    const auto step = [&](double done) {
        if (options.progress) options.progress(done);
    };
    Board board(book, spec, *weighed, box, setting);
    report.conflicts = failsOfTheLeader(*weighed);
    if (board.fliesPass()) return report;  // only the leader wants mending
    board.addOwn();
    board.addBox();
    board.addRedressed(singleChanges(), options.stop);
    step(0.3);
    Search singles(board, options.stop);
    report.box = proposalsOf(board, singles, false, options.wanted, box);
    report.redressed = proposalsOf(board, singles, true, options.wanted, box);
    step(0.7);
    if (report.redressed.empty()) {
        board.addRedressed(pairedChanges(kCostCeiling), options.stop);
        Search pairs(board, options.stop);
        report.redressed = proposalsOf(board, pairs, true, options.wanted, box);
    }
    report.planned = board.planned();
    report.stopped = options.stop.stop_requested();
    if (report.empty() && !report.stopped) {
        for (std::string& words : conflictsOf(*weighed))
            report.conflicts.push_back(std::move(words));
        report.instead = bestOfBox(board, options.stop);
    }
    step(1.0);
    return report;
}

namespace {

// The dressing tied otherwise: itself, or a copy of its own for this team.
Result<DressingId> takeDressing(Edit& edit, const Plan& before, const FlyChange& change, TakeAs as, const std::string& team,
                                std::optional<Length> wave) {
    auto changed = redressed(edit.after, before, change);
    if (!changed) return tl::unexpected(changed.error());
    if (as == TakeAs::dressing) {
        *edit.after.findPattern(before.pattern.id) = *changed;
        return before.pattern.id;
    }
    auto copy = duplicate(edit.after, before.pattern.id);
    if (!copy) return tl::unexpected(copy.error());
    edit.after = std::move(copy->edit.after);
    Pattern& own = *edit.after.findPattern(copy->id);
    own.parts = changed->parts;
    std::string suffix = wave ? std::string(nameOf(seaClass(*wave))) : team;
    std::ranges::replace(suffix, '_', ' ');
    const std::string wanted = before.pattern.title() + ", " + suffix;
    if (std::ranges::none_of(edit.after.patterns, [&](const Pattern& p) { return p.title() == wanted; })) own.name = wanted;
    own.variedWhy = say("for {}: {}", team, sayChange(edit.after, before, change));
    return copy->id;
}

}  // namespace

Result<Edit> takeProposal(const Book& book, const TeamId& team, const Proposal& proposal, TakeAs as, std::optional<Length> wave) {
    Edit edit{proposal.words(), book};
    const auto found = findIn(book.teams, "teams", "team", team);
    if (!found) return tl::unexpected(found.error());
    const std::size_t index = found->index;
    FliesByPosition flies = proposal.flies;
    for (const Position position : kPositions) {
        const FlyChange& change = proposal.made[position];
        if (!flies[position] || change.none()) continue;
        const auto before = planFly(edit.after, *flies[position], Place("teams").at(index).key(nameOf(position)));
        if (!before) return tl::unexpected(before.error());
        if (change.size != 0 || change.wire != 0) {
            const auto hook = hookFor(edit.after, before->hook.spec(), change);
            if (!hook) return tl::unexpected(hook.error());
            flies[position]->hook = takeHook(edit.after, *hook);
        } else {
            flies[position]->hook = before->hook.spec().id;  // whatever the dressing is moved to later
        }
        if (change.onlyHook()) continue;
        const auto id = takeDressing(edit, *before, change, as, book.findTeam(team)->title(), wave);
        if (!id) return tl::unexpected(id.error());
        flies[position]->pattern = *id;
    }
    edit.after.teams[index].flies = std::move(flies);
    return edit;
}

std::vector<std::string> touchedBy(const Book& book, const TeamId& team, const Proposal& proposal) {
    std::vector<std::string> touched;
    for (const Position position : kPositions) {
        if (!proposal.flies[position] || proposal.made[position].onlyHook()) continue;
        const std::string& id = proposal.flies[position]->pattern;
        for (const TeamSpec& other : book.teams)
            for (const Position at : kPositions)
                if (other.id != team && other.at(at) && other.at(at)->pattern == id)
                    touched.push_back(sayFly(book, *other.at(at)) + " in " + other.title());
        for (const BoxFly& fly : book.box)
            if (fly.pattern == id && fly.tied.value_or(1) > 0)
                touched.push_back(
                    say("{} of {} in the box, tied as it was", std::to_string(fly.tied.value_or(1)), sayFly(book, flyOf(fly))));
    }
    return touched;
}

}  // namespace machair
