// What is different between two plans of a dressing, in order of size: for the quiet line and for comparing dressings.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

// "second " of the second tail, to stand before its name; empty of the first of its kind.
[[nodiscard]] std::string sayWhich(const Plan& plan, std::size_t part);

struct Difference {
    std::string subject;  // "tail", "second collar", "head room"
    std::string what;     // "length", "turns"; empty for what has only one
    std::string before;
    std::string after;
    double weight = 0.0;   // relative change, for ordering
    std::string key = {};  // of the figure; empty for what is none
    // "tail 11.7 → 10.2 mm"
    [[nodiscard]] std::string words() const;
};

// Parts are matched by kind, the first with the first. What they are made of comes first, then the manner (direction, style,
// method), then the numbers, the largest first. Parts that only one plan has are differences too.
[[nodiscard]] std::vector<Difference> differences(const Plan& before, const Plan& after);

// One line for people: the change of `edited` first (an index in `after`), then what it moved, at most `most` in all.
[[nodiscard]] std::string sayChange(const Plan& before, const Plan& after, std::optional<std::size_t> edited, std::size_t most = 4);

}  // namespace machair
