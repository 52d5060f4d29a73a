// One dressing across hook sizes: what changes besides size, and what no longer works small.
#pragma once

#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

struct SizedFly {
    int size = 10;
    Result<Plan> plan;
    std::vector<std::string> changes;   // against the dressing as it is: counts, turns, classes
    std::vector<std::string> troubles;  // warnings that it has not on its own hook, each with its remedy
};

// The dressing on the same model of hook in each size; measured only where the book's own hook of that size is.
[[nodiscard]] std::vector<SizedFly> acrossSizes(const Book& book, const DressingId& pattern, const std::vector<int>& sizes);

}  // namespace machair
