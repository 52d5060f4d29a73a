// What a tier would say of a dressing before it is tied: an order that traps a later part, what may go wrong at a step
// and what can still be done, and what will give way first when it is fished. Rules of thumb, in one place.
#pragma once

#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

struct OrderFault {
    std::size_t part = 0;
    std::string words;
    std::size_t before = 0;  // where in the order it would do: moved to stand before this part
};
[[nodiscard]] std::vector<OrderFault> orderFaults(const Pattern& pattern);

struct Rework {
    std::string wrong;  // "it rolls to the far side"
    bool reversible = true;
    std::string remedy;
    std::string prevent;
};
[[nodiscard]] std::vector<Rework> reworkOf(PartKind kind);

struct WeakPoint {
    std::size_t part = 0;
    std::string words;    // what gives way
    std::string improve;  // the cheapest improvement
};
struct Durability {
    std::vector<std::string> protects;  // what protects what
    std::vector<WeakPoint> weak;        // worst first
};
[[nodiscard]] Durability durabilityOf(const Plan& plan);

}  // namespace machair
