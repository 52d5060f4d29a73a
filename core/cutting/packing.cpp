#include "cutting/packing.h"

#include <algorithm>
#include <array>
#include <bit>
#include <cmath>
#include <cstdint>
#include <map>
#include <numeric>
#include <utility>

#include "units/random.h"

namespace machair {

namespace {

constexpr double kFit = 1e-7;                // mm: two cuts that touch don't overlap
constexpr std::uint64_t kShortSearch = 400;  // steps
constexpr std::uint64_t kShortSearches = 60;

SlipSide side(const SlipWanted& slip) { return slip.side.value_or(SlipSide::any); }

struct Piece {  // a slip, or one half of a matched pair, in one window of one feather
    std::size_t slip;
    std::size_t feather;  // in `chosen`
    int stretch;          // of the feather's free stretches, numbered over all feathers
    double low;           // least and greatest place of its base end, mm
    double high;
    double width;
    int mate = -1;  // the other half's piece
};

struct Window {
    std::size_t feather;
    int stretch;
    double low;
    double high;
};

// The least place of one half of a pair that the other half's place leaves it.
double leastBeside(const std::vector<Piece>& pieces, const std::vector<double>& vanes, const std::vector<double>& x, std::size_t i) {
    const auto m = static_cast<std::size_t>(pieces[i].mate);
    const double middle = (x[m] + 0.5 * pieces[m].width) / vanes[pieces[m].feather];
    return (middle - kPairStation) * vanes[pieces[i].feather] - 0.5 * pieces[i].width;
}

// Orders the pieces of each stretch so that all find room; places are the least ones.
class Ordering {
  public:
    Ordering(const std::vector<Piece>& pieces, const std::vector<double>& vanes, Budget& budget)
        : pieces_(pieces), vanes_(vanes), budget_(budget), before_(pieces.size() * pieces.size(), false) {}

    Fits solve(std::vector<double>& places) {
        places.resize(pieces_.size());
        for (std::size_t i = 0; i < pieces_.size(); ++i)
            places[i] = pieces_[i].low;
        return branch(places);
    }

  private:
    bool raise(std::vector<double>& x) const {
        const std::size_t n = pieces_.size();
        // In fractions of the vanes all conditions are differences, so without a contradiction n rounds settle them.
        for (std::size_t round = 0; round <= n; ++round) {
            bool moved = false;
            for (std::size_t i = 0; i < n; ++i) {
                double least = x[i];
                for (std::size_t j = 0; j < n; ++j)
                    if (before_[j * n + i]) least = std::max(least, x[j] + pieces_[j].width);
                if (pieces_[i].mate >= 0) least = std::max(least, leastBeside(pieces_, vanes_, x, i));
                if (least > pieces_[i].high + kFit) return false;
                if (least > x[i] + 1e-12) {
                    x[i] = least;
                    moved = true;
                }
            }
            if (!moved) return true;
        }
        return false;
    }

    Fits branch(std::vector<double>& x) {
        if (!budget_.spend()) return Fits::unknown;
        if (!raise(x)) return Fits::no;
        const std::size_t n = pieces_.size();
        for (std::size_t i = 0; i < n; ++i)
            for (std::size_t j = i + 1; j < n; ++j) {
                if (pieces_[i].stretch != pieces_[j].stretch) continue;
                if (x[i] + pieces_[i].width <= x[j] + kFit || x[j] + pieces_[j].width <= x[i] + kFit) continue;
                return oneFirst(i, j, x);
            }
        return Fits::yes;
    }

    Fits oneFirst(std::size_t i, std::size_t j, std::vector<double>& x) {
        const std::size_t n = pieces_.size();
        // The one that has to be done with sooner goes first.
        if (pieces_[j].high + pieces_[j].width < pieces_[i].high + pieces_[i].width) std::swap(i, j);
        const bool alike = pieces_[i].slip != pieces_[j].slip && pieces_[i].mate < 0 && pieces_[j].mate < 0 &&
                           pieces_[i].width == pieces_[j].width && pieces_[i].low == pieces_[j].low && pieces_[i].high == pieces_[j].high;
        const std::vector<double> start = x;
        for (const auto& [first, last] : {std::pair(i, j), std::pair(j, i)}) {
            before_[first * n + last] = true;
            x = start;
            const Fits fits = branch(x);
            if (fits == Fits::yes) return fits;
            before_[first * n + last] = false;
            if (fits == Fits::unknown) return fits;
            if (alike) break;
        }
        return Fits::no;
    }

    const std::vector<Piece>& pieces_;
    const std::vector<double>& vanes_;
    Budget& budget_;
    std::vector<char> before_;
};

class Packer {
  public:
    // `seed` 0 takes the slips hardest first; any other shuffles kinds of slips among those nearly as hard.
    Packer(const std::vector<VaneFeather>& feathers, const std::vector<std::size_t>& chosen, const std::vector<SlipWanted>& slips,
           std::uint64_t seed, Budget& budget)
        : feathers_(feathers), chosen_(chosen), slips_(slips), budget_(budget) {
        for (const std::size_t f : chosen_) {
            vanes_.push_back(feathers_[f].vane / mm);
            firstStretch_.push_back(stretches_);
            for (const auto& [from, to] : freeStretches(feathers_[f])) {
                room_.push_back((to - from) / mm);
                ++stretches_;
            }
        }
        inStretch_.resize(room_.size());
        line_.resize(room_.size());
        orderSlips(seed);
        prepareDemand();
    }

    Packing solve() {
        Packing packing;
        packing.fits = place(0);
        if (packing.fits == Fits::yes)
            for (std::size_t i = 0; i < pieces_.size(); ++i)
                packing.places.push_back({pieces_[i].slip, chosen_[pieces_[i].feather], found_[i] * mm});
        return packing;
    }

  private:
    void orderSlips(std::uint64_t seed) {
        constexpr std::array kUnsettled = {0.5, 2.0, 4.0, 8.0};  // mm of barb by which a kind is taken sooner or later
        constexpr std::array kForWidth = {0.0, 1.0, 2.0};        // mm of barb that a mm of width counts as
        const double unsettled = seed == 0 ? 0.0 : kUnsettled[seed % kUnsettled.size()];
        const double forWidth = seed == 0 ? 0.0 : kForWidth[seed % kForWidth.size()];
        std::vector<double> hardness;
        for (const SlipWanted& s : slips_) {
            const double barb = s.barb / mm, width = s.width / mm;
            Random own(seedOf(seedOf(seed, std::bit_cast<std::uint64_t>(barb)), std::bit_cast<std::uint64_t>(width)) +
                       static_cast<std::uint64_t>(side(s)));  // alike stay together
            hardness.push_back(barb + forWidth * width + unsettled * own.uniform(-1.0, 1.0));
        }
        order_.resize(slips_.size());
        std::iota(order_.begin(), order_.end(), std::size_t{0});
        std::ranges::stable_sort(order_, {}, [&](std::size_t i) {
            const SlipWanted& s = slips_[i];
            return std::tuple(s.pair.value_or(false) ? 0 : 1, -hardness[i], -(s.width / mm), side(s));
        });
    }
    bool takes(std::size_t k, SlipSide wanted) const {
        return wanted == SlipSide::any || (wanted == SlipSide::left) == (feathers_[chosen_[k]].side == VaneSide::left);
    }
    // A stretch of free vane may be long enough in two places only where the middle barb is shortest.
    const std::vector<Window>& windows(Length barb, Length width) {
        const auto key = std::pair(barb / mm, width / mm);
        if (const auto found = windows_.find(key); found != windows_.end()) return found->second;
        std::vector<Window> list;
        for (std::size_t k = 0; k < chosen_.size(); ++k) {
            int stretch = firstStretch_[k];
            for (const auto& [a, b] : freeStretches(feathers_[chosen_[k]])) {
                for (const auto& [c, d] : longEnough(feathers_[chosen_[k]], barb))
                    if (const Length from = std::max(a, c), to = std::min(b, d); (to - from - width) / mm >= -kFit)
                        list.push_back({k, stretch, from / mm, (to - width) / mm});
                ++stretch;
            }
        }
        return windows_.emplace(key, std::move(list)).first->second;
    }

    // A stretch's pieces by themselves: each barb length's widths within the widest window it has there.
    bool stretchHolds(int stretch) const {
        const auto& inside = inStretch_[static_cast<std::size_t>(stretch)];
        for (const std::size_t i : inside) {
            double low = pieces_[i].low, high = pieces_[i].high + pieces_[i].width, widths = 0.0;
            for (const std::size_t j : inside)
                if (pieces_[j].low >= low - kFit && pieces_[j].high + pieces_[j].width <= high + kFit) widths += pieces_[j].width;
            if (widths > high - low + kFit) return false;
        }
        return true;
    }

    std::size_t add(std::size_t slip, const Window& window) {
        pieces_.push_back({slip, window.feather, window.stretch, window.low, window.high, slips_[slip].width / mm});
        const auto s = static_cast<std::size_t>(window.stretch);
        room_[s] -= pieces_.back().width;
        inStretch_[s].push_back(pieces_.size() - 1);
        takeCapacity(pieces_.back(), 1.0);
        return pieces_.size() - 1;
    }
    void removeLast() {
        takeCapacity(pieces_.back(), -1.0);
        const auto s = static_cast<std::size_t>(pieces_.back().stretch);
        room_[s] += pieces_.back().width;
        inStretch_[s].pop_back();
        pieces_.pop_back();
    }
    bool open(const Window& window, double width) const { return room_[static_cast<std::size_t>(window.stretch)] + kFit >= width; }

    // An untouched feather that is like an earlier untouched one offers nothing new.
    bool repeats(std::size_t k) const {
        const auto untouched = [&](std::size_t f) {
            return std::ranges::none_of(pieces_, [f](const Piece& piece) { return piece.feather == f; });
        };
        if (!untouched(k)) return false;
        const VaneFeather& mine = feathers_[chosen_[k]];
        for (std::size_t other = 0; other < k; ++other) {
            const VaneFeather& theirs = feathers_[chosen_[other]];
            if (theirs.side == mine.side && theirs.vane == mine.vane && theirs.barbs == mine.barbs && theirs.taken == mine.taken &&
                theirs.spoiled == mine.spoiled && theirs.match == mine.match && theirs.shade == mine.shade && untouched(other))
                return true;
        }
        return false;
    }

    Fits place(std::size_t depth) {
        if (!budget_.spend()) return Fits::unknown;
        if (depth == order_.size()) return Fits::yes;
        if (!roomLeftFor(depth)) return Fits::no;
        const std::size_t index = order_[depth];
        return slips_[index].pair.value_or(false) ? placePair(depth, index) : placeOne(depth, index);
    }

    // What is still wanted, from each wanted barb length up, against what is left of the vane that long. Widths that are
    // all whole multiples of a grain fill a stretch only to a multiple of it, and a rest under the narrowest slip is lost.
    struct Demand {
        double both = 0.0, left = 0.0, right = 0.0;
        double narrowest = 1e9;
    };
    void prepareDemand() {
        std::vector<double> barbs;
        for (const SlipWanted& slip : slips_)
            barbs.push_back(slip.barb / mm);
        std::ranges::sort(barbs, std::greater{});
        barbs.erase(std::unique(barbs.begin(), barbs.end()), barbs.end());
        limits_ = barbs;
        std::int64_t grain = 0;
        for (const SlipWanted& slip : slips_) {
            const double thousandths = 1000.0 * (slip.width / mm);
            const auto whole = static_cast<std::int64_t>(std::llround(thousandths));
            grain = std::abs(thousandths - static_cast<double>(whole)) < 1e-6 ? std::gcd(grain, whole) : 1;
            if (grain == 1) break;
        }
        grain_ = grain > 1 ? static_cast<double>(grain) / 1000.0 : 0.0;
        demand_.assign(limits_.size(), std::vector<Demand>(order_.size() + 1));
        capacity_.assign(limits_.size(), std::vector<double>(room_.size(), 0.0));
        leftSide_.assign(room_.size(), 0);
        for (std::size_t t = 0; t < limits_.size(); ++t) {
            for (std::size_t d = order_.size(); d-- > 0;) {
                const SlipWanted& slip = slips_[order_[d]];
                Demand& demand = demand_[t][d] = demand_[t][d + 1];
                if (slip.barb / mm < limits_[t]) continue;
                const double width = slip.width / mm;
                const bool pair = slip.pair.value_or(false);
                demand.both += pair ? 2.0 * width : width;
                if (pair || side(slip) == SlipSide::left) demand.left += width;
                if (pair || side(slip) == SlipSide::right) demand.right += width;
                demand.narrowest = std::min(demand.narrowest, width);
            }
            std::size_t stretch = 0;
            for (const std::size_t f : chosen_)
                for (const auto& [from, to] : freeStretches(feathers_[f])) {
                    leftSide_[stretch] = feathers_[f].side == VaneSide::left;
                    for (const auto& [c, d] : longEnough(feathers_[f], limits_[t] * mm))
                        capacity_[t][stretch] += std::max(0.0, (std::min(to, d) - std::max(from, c)) / mm);
                    ++stretch;
                }
        }
    }
    void takeCapacity(const Piece& piece, double sign) {
        for (std::size_t t = limits_.size(); t-- > 0 && slips_[piece.slip].barb / mm >= limits_[t];)
            capacity_[t][static_cast<std::size_t>(piece.stretch)] -= sign * piece.width;
    }
    bool roomLeftFor(std::size_t depth) const {
        for (std::size_t t = 0; t < limits_.size(); ++t) {
            const Demand& wanted = demand_[t][depth];
            if (wanted.both <= 0.0) continue;
            double left = 0.0, right = 0.0;
            for (std::size_t s = 0; s < room_.size(); ++s) {
                double have = std::min(capacity_[t][s], room_[s]) + kFit;
                if (have < wanted.narrowest) continue;
                if (grain_ > 0.0) have = grain_ * std::floor(have / grain_) + kFit;
                (leftSide_[s] ? left : right) += have;
            }
            if (wanted.left > left + kFit || wanted.right > right + kFit || wanted.both > left + right + kFit) return false;
        }
        return true;
    }

    // A slip like the one before it goes no earlier than that one: the two could change places.
    std::size_t startFor(std::size_t depth) const {
        if (depth == 0) return 0;
        const SlipWanted& mine = slips_[order_[depth]];
        const SlipWanted& before = slips_[order_[depth - 1]];
        const bool alike = mine.width == before.width && mine.barb == before.barb && side(mine) == side(before) &&
                           mine.pair.value_or(false) == before.pair.value_or(false);
        return alike ? choice_[depth - 1] : 0;
    }

    // With its last `added` pieces new: is there still an order for all, and then for the rest?
    Fits goOn(std::size_t depth, std::size_t added) {
        for (std::size_t i = pieces_.size() - added; i < pieces_.size(); ++i)
            if (!stretchHolds(pieces_[i].stretch)) return Fits::no;
        const std::vector<std::vector<std::size_t>> line = line_;
        Fits fits = squeezeIn(pieces_.size() - added) ? Fits::yes : orderAnew();
        if (fits == Fits::yes) fits = place(depth + 1);
        if (fits == Fits::no) line_ = line;
        return fits;
    }

    // The new pieces somewhere in the order that the others have already.
    bool squeezeIn(std::size_t piece) {
        if (piece == pieces_.size()) return settle();
        auto& line = line_[static_cast<std::size_t>(pieces_[piece].stretch)];
        for (std::size_t at = 0; at <= line.size(); ++at) {
            line.insert(line.begin() + static_cast<std::ptrdiff_t>(at), piece);
            if (squeezeIn(piece + 1)) return true;
            line.erase(line.begin() + static_cast<std::ptrdiff_t>(at));
        }
        return false;
    }
    Fits orderAnew() {
        const Fits fits = Ordering(pieces_, vanes_, budget_).solve(found_);
        if (fits != Fits::yes) return fits;
        for (auto& line : line_)
            line.clear();
        std::vector<std::size_t> byPlace(pieces_.size());
        std::iota(byPlace.begin(), byPlace.end(), std::size_t{0});
        std::ranges::stable_sort(byPlace, {}, [&](std::size_t i) { return found_[i]; });
        for (const std::size_t i : byPlace)
            line_[static_cast<std::size_t>(pieces_[i].stretch)].push_back(i);
        return fits;
    }
    // Least places in the order of `line_`; false where one is pushed past its limit.
    bool settle() {
        if (!budget_.spend()) return false;  // what follows says that it is not known
        found_.resize(pieces_.size());
        for (std::size_t i = 0; i < pieces_.size(); ++i)
            found_[i] = pieces_[i].low;
        for (std::size_t round = 0; round <= pieces_.size(); ++round) {
            bool moved = false;
            const auto raise = [&](std::size_t i, double least) {
                if (least <= found_[i] + 1e-12) return;
                found_[i] = least;
                moved = true;
            };
            for (const auto& line : line_)
                for (std::size_t k = 0; k < line.size(); ++k) {
                    const std::size_t i = line[k];
                    if (k > 0) raise(i, found_[line[k - 1]] + pieces_[line[k - 1]].width);
                    if (pieces_[i].mate >= 0) raise(i, leastBeside(pieces_, vanes_, found_, i));
                    if (found_[i] > pieces_[i].high + kFit) return false;
                }
            if (!moved) return true;
        }
        return false;
    }

    Fits placeOne(std::size_t depth, std::size_t index) {
        const SlipWanted& slip = slips_[index];
        const std::vector<Window>& list = windows(slip.barb, slip.width);
        choice_.resize(order_.size());
        for (std::size_t w = startFor(depth); w < list.size(); ++w) {
            const Window& window = list[w];
            if (!takes(window.feather, side(slip)) || !open(window, slip.width / mm) || repeats(window.feather)) continue;
            choice_[depth] = w;
            add(index, window);
            if (const Fits fits = goOn(depth, 1); fits != Fits::no) return fits;
            removeLast();
        }
        return Fits::no;
    }

    Fits placePair(std::size_t depth, std::size_t index) {
        const SlipWanted& slip = slips_[index];
        const double width = slip.width / mm;
        const std::vector<Window>& list = windows(slip.barb, slip.width);
        choice_.resize(order_.size());
        for (std::size_t w = startFor(depth); w < list.size() * list.size(); ++w) {
            const Window& left = list[w / list.size()];
            const Window& right = list[w % list.size()];
            if (!takes(left.feather, SlipSide::left) || !takes(right.feather, SlipSide::right)) continue;
            if (!open(left, width) || !open(right, width) || repeats(left.feather) || repeats(right.feather)) continue;
            if (!makeAPair(feathers_[chosen_[left.feather]], feathers_[chosen_[right.feather]]) || !canMatch(left, right, width)) continue;
            choice_[depth] = w;
            const std::size_t a = add(index, left);
            const std::size_t b = add(index, right);
            pieces_[a].mate = static_cast<int>(b);
            pieces_[b].mate = static_cast<int>(a);
            if (const Fits fits = goOn(depth, 2); fits != Fits::no) return fits;
            removeLast();
            removeLast();
        }
        return Fits::no;
    }
    bool canMatch(const Window& left, const Window& right, double width) const {
        const auto fraction = [&](const Window& w, double place) { return (place + 0.5 * width) / vanes_[w.feather]; };
        return fraction(left, left.low) <= fraction(right, right.high) + kPairStation + 1e-12 &&
               fraction(right, right.low) <= fraction(left, left.high) + kPairStation + 1e-12;
    }

    const std::vector<VaneFeather>& feathers_;
    const std::vector<std::size_t>& chosen_;
    const std::vector<SlipWanted>& slips_;
    Budget& budget_;
    std::vector<double> vanes_;
    std::vector<int> firstStretch_;
    int stretches_ = 0;
    std::vector<double> room_;
    std::vector<std::vector<std::size_t>> inStretch_;
    std::vector<std::vector<std::size_t>> line_;  // the pieces of each stretch, from the base up
    std::vector<std::size_t> order_;
    std::vector<std::size_t> choice_;
    std::map<std::pair<double, double>, std::vector<Window>> windows_;
    std::vector<Piece> pieces_;
    std::vector<double> found_;
    std::vector<double> limits_;                 // wanted barb lengths, mm, falling
    std::vector<std::vector<Demand>> demand_;    // by limit, then by depth: of what is still to come
    std::vector<std::vector<double>> capacity_;  // by limit, then by stretch
    std::vector<char> leftSide_;
    double grain_ = 0.0;
};

}  // namespace

bool couldHold(const std::vector<VaneFeather>& feathers, const std::vector<std::size_t>& chosen, const std::vector<SlipWanted>& slips) {
    for (const SlipWanted& limit : slips) {
        double both = 0.0, left = 0.0, right = 0.0, haveLeft = 0.0, haveRight = 0.0;
        for (const SlipWanted& slip : slips) {
            if (slip.barb < limit.barb) continue;
            const double width = slip.width / mm;
            const bool pair = slip.pair.value_or(false);
            both += pair ? 2.0 * width : width;
            if (pair || side(slip) == SlipSide::left) left += width;
            if (pair || side(slip) == SlipSide::right) right += width;
        }
        for (const std::size_t f : chosen)
            for (const auto& [from, to] : usable(feathers[f], limit.barb))
                (feathers[f].side == VaneSide::left ? haveLeft : haveRight) += (to - from) / mm;
        if (left > haveLeft + kFit || right > haveRight + kFit || both > haveLeft + haveRight + kFit) return false;
    }
    return true;
}

Packing pack(const std::vector<VaneFeather>& feathers, const std::vector<std::size_t>& chosen, const std::vector<SlipWanted>& slips,
             Budget& budget, std::uint64_t round) {
    if (!couldHold(feathers, chosen, slips)) return {Fits::no, {}};
    for (std::uint64_t i = 0; i < kShortSearches; ++i) {
        const std::uint64_t seed = round * kShortSearches + i, length = kShortSearch << std::min<std::uint64_t>(round, 6);
        std::vector<std::size_t> order = chosen;
        Random random(seed);
        for (std::size_t k = order.size(); seed > 0 && k > 1; --k)
            std::swap(order[k - 1], order[random.next() % k]);
        Budget own{std::min(length, budget.steps), budget.stop};
        const std::uint64_t given = own.steps;
        const Packing packing = Packer(feathers, order, slips, seed, own).solve();
        budget.steps -= given - own.steps;
        if (packing.fits != Fits::unknown) return packing;
        if (budget.steps == 0 || budget.stop.stop_requested()) return packing;
    }
    return round == 0 ? Packer(feathers, chosen, slips, 0, budget).solve() : Packing{Fits::unknown, {}};
}

}  // namespace machair
