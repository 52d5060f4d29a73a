// What mends a warning: the small changes a tier would think of there, each tried by planning the dressing with it, and
// ranked by what they cost and buy.
//
// Costs are whole numbers in the units of the team's balance (models.md section 11): a turn, a layer, a strand, two tail
// fibres, 0.1 mm of body or 5 % of a length 1; another material of the drawer 2; a hook size 4. Rule of thumb. A change
// is offered when it takes off the warning, or at least a tenth of what is too much. Cost: one plan a change, some
// twenty of them, each well under a millisecond.
#pragma once

#include <string>
#include <vector>

#include "book/edits.h"
#include "sizing/plan.h"

namespace machair {

struct Mend {
    Edit edit;
    int cost = 1;
    double buys = 0.0;                // of the warning's `over`, in its unit
    bool cures = false;               // the warning is gone
    std::vector<std::string> moves;   // what else changes, largest first, two at most
    std::vector<std::string> brings;  // warnings that it makes
    // "2 hackle turns less: cures it; fullness 24 → 15"
    [[nodiscard]] std::string words(const Warning& warning) const;
};

// Best first: those that cure and bring nothing new, then by cost, then by what they buy. At most `most`, and of each
// way (turns, material, length …) only the best. Empty where nothing within reach helps.
[[nodiscard]] std::vector<Mend> mendsOf(const Book& book, const Plan& plan, const Warning& warning, std::size_t most = 4);

}  // namespace machair
