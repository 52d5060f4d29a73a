#include "cutting/cutting.h"

#include <algorithm>
#include <bit>
#include <map>
#include <numeric>
#include <optional>
#include <set>
#include <tuple>

#include "book/find.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr Length kBoundWing = 2.0 * mm;  // models.md section 6: what is bound in …
constexpr Length kHeldWing = 4.0 * mm;   // … and held of a wing's barbs

// One material's slips and feathers, and what became of them.
class MaterialCuts {
  public:
    MaterialCuts(std::vector<VaneFeather> feathers, std::vector<SlipWanted> slips, Budget& budget)
        : feathers_(std::move(feathers)), slips_(std::move(slips)), budget_(budget) {}

    void solve(CuttingPlan& plan) {
        leaveOutImpossible(plan);
        if (slips_.empty()) return;
        if (slips_.size() <= kExactSlips && feathers_.size() <= kExactFeathers)
            exact(plan);
        else
            quick(plan);
        report(plan);
    }

  private:
    [[nodiscard]] std::vector<std::size_t> all() const {
        std::vector<std::size_t> list(feathers_.size());
        std::iota(list.begin(), list.end(), std::size_t{0});
        return list;
    }

    // Slips that no feather could give even alone.
    void leaveOutImpossible(CuttingPlan& plan) {
        std::vector<SlipWanted> possible;
        std::map<std::tuple<double, double, int, bool>, Uncut> known;
        for (const SlipWanted& slip : slips_) {
            const auto key =
                std::tuple(slip.width / mm, slip.barb / mm, static_cast<int>(slip.side.value_or(SlipSide::any)), slip.pair.value_or(false));
            auto found = known.find(key);
            if (found == known.end()) {
                found = known.emplace(key, fitAlone({slip}) ? Uncut{} : whyNot(slip)).first;
            }
            if (found->second.why.empty())
                possible.push_back(slip);
            else
                plan.uncut.push_back({slip.id, found->second.why, found->second.halves});
        }
        slips_ = std::move(possible);
    }

    [[nodiscard]] bool fitAlone(const std::vector<SlipWanted>& slips) const {
        Budget own{10'000, {}};
        return pack(feathers_, all(), slips, own).fits == Fits::yes;
    }

    [[nodiscard]] bool anyOfSide(VaneSide side) const {
        return std::ranges::any_of(feathers_, [side](const VaneFeather& f) { return f.side == side; });
    }

    [[nodiscard]] Uncut whyNot(const SlipWanted& slip) const {
        Uncut uncut{slip.id, reasonOf(slip)};
        SlipWanted half = slip;
        half.width = 0.5 * slip.width;
        if (fitAlone({half, half})) {
            uncut.halves = half.width;
            uncut.why += say("; as two slips of {} mm, married, it could be had: one cut more, and a joint that may open",
                             formatNumber(half.width / mm, 1));
        }
        return uncut;
    }
    [[nodiscard]] std::string reasonOf(const SlipWanted& slip) const {
        const bool pair = slip.pair.value_or(false);
        const SlipSide side = slip.side.value_or(SlipSide::any);
        if (feathers_.empty()) return say("there is no feather of it in the drawers");
        if ((pair || side == SlipSide::left) && !anyOfSide(VaneSide::left)) return say("there is no left feather of it");
        if ((pair || side == SlipSide::right) && !anyOfSide(VaneSide::right)) return say("there is no right feather of it");
        Length longest, widest;
        for (const VaneFeather& f : feathers_) {
            longest = std::max(longest, *std::ranges::max_element(f.barbs));
            for (const auto& [from, to] : usable(f, slip.barb))
                widest = std::max(widest, to - from);
        }
        if (longest < slip.barb)
            return say("it wants barbs of {} mm and the longest are {} mm", formatNumber(slip.barb / mm, 1), formatNumber(longest / mm, 1));
        if (widest < slip.width)
            return say("the widest free stretch with barbs of {} mm is {} mm, it wants {} mm", formatNumber(slip.barb / mm, 1),
                       formatNumber(widest / mm, 1), formatNumber(slip.width / mm, 1));
        const bool anyPair = std::ranges::any_of(feathers_, [&](const VaneFeather& a) {
            return a.side == VaneSide::left &&
                   std::ranges::any_of(feathers_, [&](const VaneFeather& b) { return b.side == VaneSide::right && makeAPair(a, b); });
        });
        if (pair && !anyPair) return say("no left and right feather are of one shade, or paired with each other");
        return say("no left and right feather have it free at the same station");
    }

    // Sets of feathers in order of how many they are, then of their free vane.
    struct Set {
        std::uint32_t members;
        Length room;
    };
    [[nodiscard]] std::vector<Set> sets() const {
        std::vector<Set> list;
        for (std::uint32_t bits = 1; bits < (std::uint32_t{1} << feathers_.size()); ++bits) {
            Set set{bits, {}};
            for (std::size_t f = 0; f < feathers_.size(); ++f)
                if (bits >> f & 1u) set.room += freeVane(feathers_[f]);
            list.push_back(set);
        }
        std::ranges::stable_sort(list, {}, [](const Set& s) { return std::pair(std::popcount(s.members), s.room); });
        return list;
    }
    static std::vector<std::size_t> members(std::uint32_t bits) {
        std::vector<std::size_t> list;
        for (std::size_t f = 0; bits >> f; ++f)
            if (bits >> f & 1u) list.push_back(f);
        return list;
    }

    struct Best {
        Packing packing;
        std::vector<SlipWanted> slips;  // that it cuts
        bool proven = true;
        int bound = 0;
        Length room;  // least free vane of a set of feathers that may hold them, as far as proven
    };

    // A search gets a share of what is left, so that one hard set doesn't use up all of it.
    Packing packWithin(const Set& set, const std::vector<SlipWanted>& slips, std::uint64_t round) {
        Budget share{std::max(budget_.steps / 12, std::min<std::uint64_t>(budget_.steps, 2000)), budget_.stop};
        const std::uint64_t given = share.steps;
        Packing packing = pack(feathers_, members(set.members), slips, share, round);
        budget_.steps -= std::min(budget_.steps, given - share.steps + 1);
        return packing;
    }

    // How all of `slips` are best cut; Fits::no where they can't be. The first set that holds them is best but for those
    // before it that were left open; these are asked again as long as the budget lasts.
    Best best(const std::vector<SlipWanted>& slips, const std::vector<Set>& order) {
        Best result;
        result.slips = slips;
        if (!couldHold(feathers_, all(), slips)) return result;
        std::vector<Set> open;
        std::optional<Set> held;
        for (const Set& set : order) {
            result.packing = packWithin(set, slips, 0);
            if (result.packing.fits == Fits::unknown) open.push_back(set);
            if (result.packing.fits == Fits::yes) {
                held = set;
                break;
            }
        }
        if (!held) {
            result.packing = {Fits::no, {}};
            result.proven = open.empty();
            return result;
        }
        for (std::uint64_t round = 1; !open.empty() && budget_.steps > 0 && !budget_.stop.stop_requested(); ++round)
            for (std::size_t i = 0; i < open.size() && budget_.steps > 0;) {
                Packing again = packWithin(open[i], slips, round);
                if (again.fits == Fits::unknown) {
                    ++i;
                    continue;
                }
                if (again.fits == Fits::yes) {
                    result.packing = std::move(again);
                    held = open[i];
                    open.resize(i);  // what comes after it is no better
                } else
                    open.erase(open.begin() + static_cast<std::ptrdiff_t>(i));
            }
        result.proven = open.empty();
        const Set& least = open.empty() ? *held : open.front();
        result.bound = std::popcount(least.members);
        result.room = least.room;
        return result;
    }

    void exact(CuttingPlan& plan) {
        const std::vector<Set> order = sets();
        // First with all of them, then with one left out, with two, …
        for (std::size_t without = 0; without < slips_.size(); ++without) {
            std::vector<char> out(slips_.size(), 0);
            std::fill(out.end() - static_cast<std::ptrdiff_t>(without), out.end(), 1);
            std::optional<Best> found;
            do {
                if (!budget_.spend()) break;
                if (!lastOfTheirKind(out)) continue;
                std::vector<SlipWanted> some;
                for (std::size_t i = 0; i < slips_.size(); ++i)
                    if (!out[i]) some.push_back(slips_[i]);
                Best tried = best(some, order);
                plan.optimal = plan.optimal && tried.proven;
                if (tried.packing.fits == Fits::yes && (!found || cost(tried) < cost(*found))) found = std::move(tried);
            } while (std::next_permutation(out.begin(), out.end()));
            if (budget_.steps == 0 || budget_.stop.stop_requested()) plan.optimal = false;
            if (found) return accept(plan, *found);
            if (!plan.optimal) return quick(plan);
        }
    }
    [[nodiscard]] std::pair<int, Length> cost(const Best& best) const {
        std::vector<char> used(feathers_.size(), 0);
        for (const PlacedSlip& p : best.packing.places)
            used[p.feather] = 1;
        std::pair<int, Length> sum{0, {}};
        for (std::size_t f = 0; f < feathers_.size(); ++f)
            if (used[f]) sum = {sum.first + 1, sum.second + freeVane(feathers_[f])};
        for (const PlacedSlip& p : best.packing.places)
            sum.second -= best.slips[p.slip].width;
        return sum;
    }
    // Of slips that are alike only the last in the list are left out: the others would give the same plan.
    [[nodiscard]] bool lastOfTheirKind(const std::vector<char>& out) const {
        for (std::size_t i = 0; i < slips_.size(); ++i)
            for (std::size_t k = i + 1; out[i] && k < slips_.size(); ++k)
                if (!out[k] && alike(slips_[i], slips_[k])) return false;
        return true;
    }
    static bool alike(const SlipWanted& a, const SlipWanted& b) {
        return a.width == b.width && a.barb == b.barb && a.side == b.side && a.pair == b.pair;
    }

    void accept(CuttingPlan& plan, const Best& found) {
        for (const PlacedSlip& p : found.packing.places)
            cut(found.slips[p.slip], p.feather, p.from);
        plan.bound += found.bound;
        Length wanted;
        for (const PlacedSlip& p : found.packing.places)
            wanted += found.slips[p.slip].width;
        plan.leastWaste += found.bound == static_cast<int>(cuts_.size()) ? found.room - wanted : Length{};
    }
    void cut(const SlipWanted& slip, std::size_t feather, Length from) {
        cuts_[feather].push_back({slip.id, from, from + slip.width});
        done_.insert(slip.id);
    }

    // Too many for a proof: the hardest first, each in the first feather in use that has room, else in the one with
    // most vane that is still whole.
    void quick(CuttingPlan& plan) {
        plan.optimal = false;
        std::vector<VaneFeather> left = feathers_;
        std::vector<std::size_t> order = all();
        std::ranges::stable_sort(order, std::greater{}, [&](std::size_t f) { return freeVane(feathers_[f]); });
        std::vector<SlipWanted> slips = slips_;
        std::ranges::stable_sort(slips, {}, [](const SlipWanted& s) { return std::tuple(!s.pair.value_or(false), -s.barb, -s.width); });
        std::vector<SlipWanted> full;  // kinds that found no room
        for (const SlipWanted& slip : slips) {
            if (!full.empty() && alike(full.back(), slip)) continue;
            bool placed = false;
            for (std::size_t used = 1; used <= order.size() && !placed; ++used) {
                Budget own{500, {}};
                std::vector<std::size_t> some(order.begin(), order.begin() + static_cast<std::ptrdiff_t>(used));
                const Packing packing = pack(left, some, {slip}, own);
                placed = packing.fits == Fits::yes;
                for (const PlacedSlip& p : packing.places) {
                    cut(slip, p.feather, p.from);
                    left[p.feather] = withTaken(left[p.feather], {{p.from, p.from + slip.width}});
                }
            }
            if (!placed) full.push_back(slip);
        }
        plan.bound += areaBound();
    }
    // Fewest feathers whose whole free vane is as wide as what was cut.
    [[nodiscard]] int areaBound() const {
        Length wanted;
        for (const auto& [feather, list] : cuts_)
            for (const Cut& c : list)
                wanted += c.to - c.from;
        std::vector<Length> rooms;
        for (const VaneFeather& f : feathers_)
            rooms.push_back(freeVane(f));
        std::ranges::sort(rooms, std::greater{});
        int count = 0;
        for (const Length room : rooms) {
            if (wanted <= 0.0 * mm) break;
            wanted -= room;
            ++count;
        }
        return count;
    }

    void report(CuttingPlan& plan) {
        for (const SlipWanted& slip : slips_)
            if (!done_.contains(slip.id))
                plan.uncut.push_back({slip.id, say("the feathers that could give it are used up by the other slips")});
        for (auto& [feather, list] : cuts_) {
            std::ranges::sort(list, {}, &Cut::from);
            plan.waste += freeVane(feathers_[feather]);
            for (const Cut& c : list)
                plan.waste -= c.to - c.from;
            plan.feathers.push_back({feathers_[feather].id, std::move(list)});
        }
    }

    std::vector<VaneFeather> feathers_;
    std::vector<SlipWanted> slips_;
    Budget& budget_;
    std::map<std::size_t, std::vector<Cut>> cuts_;
    std::set<std::string> done_;
};

}  // namespace

CuttingPlan planCuts(const std::vector<VaneFeather>& feathers, const std::vector<SlipWanted>& slips, Budget budget) {
    CuttingPlan plan;
    const std::uint64_t given = budget.steps;
    std::map<std::string, std::vector<SlipWanted>> byMaterial;
    for (const SlipWanted& slip : slips)
        byMaterial[slip.material].push_back(slip);
    for (auto& [material, wanted] : byMaterial) {
        std::vector<VaneFeather> own;
        std::ranges::copy_if(feathers, std::back_inserter(own),
                             [&material = material](const VaneFeather& f) { return f.material == material; });
        MaterialCuts(std::move(own), std::move(wanted), budget).solve(plan);
    }
    const auto place = [&](const FeatherCuts& cuts) { return indexById(feathers, cuts.feather); };
    std::ranges::stable_sort(plan.feathers, {}, place);
    plan.steps = given - budget.steps;
    return plan;
}

std::vector<SlipWanted> inHalves(const std::vector<SlipWanted>& slips, const CuttingPlan& plan) {
    std::vector<SlipWanted> list;
    for (const SlipWanted& slip : slips) {
        const auto uncut = std::ranges::find(plan.uncut, slip.id, &Uncut::slip);
        if (uncut == plan.uncut.end() || !uncut->halves) {
            list.push_back(slip);
            continue;
        }
        for (const char* which : {"/1", "/2"}) {
            list.push_back(slip);
            list.back().id += which;
            list.back().width = *uncut->halves;
        }
    }
    return list;
}

std::vector<SlipWanted> slipsFor(const Plan& plan, int flies) {
    require(flies >= 1 && flies <= kMostFlies, "a batch has from 1 to 10000 flies");
    std::vector<SlipWanted> one;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const PartPlan& part = plan.parts[i];
        if (!part.material || (part.made.kind != MaterialKind::flank && part.made.kind != MaterialKind::quill)) continue;
        SlipWanted slip{plan.pattern.id + "." + std::to_string(i), *part.material, {}, {}, SlipSide::any, {}, {}};
        if (const auto* wing = std::get_if<WingPlan>(&part.detail)) {
            slip.width = wing->slip;
            slip.barb = wing->length + kBoundWing + kHeldWing;
            slip.pair = wing->style == WingStyle::paired || wing->style == WingStyle::upright;
        } else if (const auto* tail = std::get_if<TailPlan>(&part.detail)) {
            slip.width = tail->slip.value_or(tail->fibres / barbDensity(part.made));
            slip.barb = tail->fibreNeeded;
        }
        if (slip.width > 0.0 * mm) one.push_back(slip);
    }
    std::vector<SlipWanted> list;
    for (int fly = 1; fly <= flies; ++fly)
        for (SlipWanted slip : one) {
            slip.id += "#" + std::to_string(fly);
            list.push_back(std::move(slip));
        }
    return list;
}

std::vector<VaneFeather> afterCutting(std::vector<VaneFeather> feathers, const CuttingPlan& plan) {
    for (const FeatherCuts& cuts : plan.feathers) {
        VaneFeather* found = findById(feathers, cuts.feather);
        require(found != nullptr, "a cutting plan is for feathers of the book");
        std::vector<Stretch> taken;
        for (const Cut& cut : cuts.cuts)
            taken.push_back({cut.from, cut.to});
        *found = withTaken(std::move(*found), taken);
    }
    return feathers;
}

}  // namespace machair
