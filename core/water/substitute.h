// What in the drawers could stand in for a material that is missing, and what that changes.
#pragma once

#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

struct Substitute {
    std::string material;
    std::string title;
    std::vector<std::string> changes;  // computed: sink rate, water pushed, fullness, thickness
    std::vector<std::string> thumb;    // what the model can't see, said as a rule of thumb
    double strangeness = 0.0;          // how much changes; the nearest stand-in first
};

// For one part of a dressing: every other material of the book of its kind that can be tied there, nearest first.
// Faults: no such dressing or part, a part without a material.
[[nodiscard]] Result<std::vector<Substitute>> substitutesFor(const Book& book, std::string_view pattern, std::size_t part);

}  // namespace machair
