// The cutting plan: which slips come out of which feathers, models.md section 12. Best is most slips cut, then fewest
// feathers, then least free vane left on those. Slips of one material never take another's feathers, so each material
// is a problem of its own; for each, sets of feathers are tried in order of (count, free vane), the first that holds
// all slips is best.
//
// Exact for up to 40 slips over 12 feathers; beyond that, or when the budget runs out, the plan is a good one with a
// bound. Proven against exhaustive search in tests/core/cutting_test.cpp.
#pragma once

#include <string>
#include <vector>

#include "cutting/packing.h"
#include "sizing/plan.h"

namespace machair {

struct Cut {
    std::string slip;
    Length from;
    Length to;
};
struct FeatherCuts {
    FeatherId feather;
    std::vector<Cut> cuts;  // from the base up
};
struct Uncut {
    std::string slip;
    std::string why;
    std::optional<Length> halves = {};  // of this width two could be had and married in its place
};

struct CuttingPlan {
    std::vector<FeatherCuts> feathers;  // those that are cut, in the book's order
    Length waste;                       // free vane left on those
    Length leastWaste;                  // no plan with so few feathers leaves less, as far as proven
    bool optimal = true;                // proven best
    int bound = 0;                      // fewest feathers that the cut slips could do with, as far as proven
    std::vector<Uncut> uncut;
    std::uint64_t steps = 0;  // taken by the search
    [[nodiscard]] int feathersUsed() const { return static_cast<int>(feathers.size()); }
};

inline constexpr std::uint64_t kCuttingSteps = 200'000;  // about a second
inline constexpr std::size_t kExactSlips = 40;
inline constexpr std::size_t kExactFeathers = 12;

// Feathers and slips as formats.md has them; they have passed `check`.
[[nodiscard]] CuttingPlan planCuts(const std::vector<VaneFeather>& feathers, const std::vector<SlipWanted>& slips,
                                   Budget budget = {kCuttingSteps, {}});

// The slips with each that the plan leaves uncut, but could cut as two, in two halves to be married: "ID/1" and "ID/2".
// That costs a cut and a joint more for each, and a joint may open.
[[nodiscard]] std::vector<SlipWanted> inHalves(const std::vector<SlipWanted>& slips, const CuttingPlan& plan);

// Every slip that so many of this fly need: wings, slip and cloak tails, and bunches of fibres from a vane. A slip is
// named "PATTERN.PART#FLY", PART being its place in `parts`.
inline constexpr int kMostFlies = 10000;
[[nodiscard]] std::vector<SlipWanted> slipsFor(const Plan& plan, int flies);

// The feathers of the book with these cuts taken out of them.
[[nodiscard]] std::vector<VaneFeather> afterCutting(std::vector<VaneFeather> feathers, const CuttingPlan& plan);

}  // namespace machair
