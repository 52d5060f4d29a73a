// What in the drawers could stand in for a material that is missing, of its own kind and of others, and what that changes:
// computed where a plan can tell, else a rule of thumb (the catalogue's table). Threads too.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

struct StandInChange {
    std::string what;  // "sinks", "head", "bulk"
    std::string from;
    std::string to;
    bool ruleOfThumb = false;
    [[nodiscard]] std::string words() const;  // "sinks 12.1 → 10.9 cm/s", "less bulk"
};
struct StandIn {
    MaterialId material;  // its id
    std::string title;
    std::vector<StandInChange> changes;  // computed ones first
    std::string mind;                    // what to mind, as a rule of thumb; may be empty
    double strangeness = 0.0;            // how much changes; the nearest stand-in first
};

// Where a material is used: a part of a dressing; the dressing's thread where there is no part.
struct UsedIn {
    DressingId pattern;
    std::optional<std::size_t> part;
};
// Nearest first. Faults: no such material, dressing or part; a part that isn't made of it.
[[nodiscard]] Result<std::vector<StandIn>> standInsFor(const Book& book, const MaterialId& material,
                                                       const std::optional<UsedIn>& used = std::nullopt);

}  // namespace machair
