// The numbers of a plan under the names they go by outside (formats.md), each with its tolerance and its reason.
// The command line, the ticket and the cards all read these; nobody else names a number.
#pragma once

#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include "sizing/plan.h"

namespace machair {

struct Figure {
    std::string key;  // as in `plan --json`; its ending is its unit
    std::variant<double, std::string> value;
    double tolerance = 0.0;  // in the same unit; 0 where none is meant
    std::string words;       // in bench words, where there is a phrase for it
};

// A part's numbers in the order they matter. Unrounded.
[[nodiscard]] std::vector<Figure> figuresOf(const Plan& plan, std::size_t part);

// "fibre length" for `fibre_mm`: how people call it. `unit` as text: "mm", "°", "" for counts.
[[nodiscard]] std::string labelOf(const std::string& key);
[[nodiscard]] std::string unitOf(const std::string& key);
// Rounded for people: lengths to 0.1 mm (0.01 under 1 mm), counts whole or to a half.
[[nodiscard]] std::string displayOf(const Figure& figure);

// The number that matters most of a part, for its line in the ticket: "9.3 mm", "6 turns".
[[nodiscard]] std::string headlineOf(const Plan& plan, std::size_t part);

// What the plan makes of a field that is written in the dressing: "9.3 mm" for a tail's `length`. Empty where the plan
// has no number of that name.
[[nodiscard]] std::string plannedValue(const Plan& plan, std::size_t part, std::string_view fieldKey);

// Writes `words` and `drivers` of every part. Called by plan().
void describeParts(Plan& plan);

}  // namespace machair
