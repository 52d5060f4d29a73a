// Do these slips fit these feathers? The question under the cutting plan, answered exactly: a depth-first search over
// where each slip goes, hardest first.
//
// Three things make it exact and quick:
//  * Slips that are in one free stretch need an order. Given an order, "as near the base as possible" is a least
//    solution (every condition is `x ≥ increasing function of another x`, or a limit from above), found by repeated
//    raising; so only orders are searched, never places. Where two slips overlap in the least solution, one of them
//    must come first: that is the only branching.
//  * A search that starts with the wrong slip can go on for hours where another finds a place at once (Gomes, Selman and
//    Kautz 1998). So short searches in shuffled orders come first, and the long one after them.
//  * Before that, each wanted barb length must find enough vane at least that long (areas), side by side.
#pragma once

#include <cstdint>
#include <optional>
#include <stop_token>
#include <vector>

#include "cutting/vane.h"

namespace machair {

// How far the middles of a matched pair may differ, as fractions of their vanes.
inline constexpr double kPairStation = 0.03;

struct Budget {
    std::uint64_t steps = 0;  // left
    std::stop_token stop;
    [[nodiscard]] bool spend() {
        if (steps == 0 || ((steps & 0xFFF) == 0 && stop.stop_requested())) return false;
        --steps;
        return true;
    }
};

struct PlacedSlip {
    std::size_t slip = 0;
    std::size_t feather = 0;
    Length from;
};

enum class Fits { yes, no, unknown };  // unknown: the budget ran out first
struct Packing {
    Fits fits = Fits::no;
    std::vector<PlacedSlip> places;  // where it fits
};

// Whether there is enough vane, for each wanted barb length and side; needed, not sufficient.
[[nodiscard]] bool couldHold(const std::vector<VaneFeather>& feathers, const std::vector<std::size_t>& chosen,
                             const std::vector<SlipWanted>& slips);

// All slips of one material on the feathers of `chosen`. Feathers and slips are not of other materials. Another `round`
// has other shuffles, twice as long, for what the one before left unknown; the same round always ends alike.
[[nodiscard]] Packing pack(const std::vector<VaneFeather>& feathers, const std::vector<std::size_t>& chosen,
                           const std::vector<SlipWanted>& slips, Budget& budget, std::uint64_t round = 0);

}  // namespace machair
