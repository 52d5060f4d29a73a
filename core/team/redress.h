// A fly tied a little otherwise: the changes that a balanced team may ask of it, and their cost in whole steps
// (models-team.md section E).
#pragma once

#include <compare>
#include <string>
#include <vector>

#include "book/edits.h"
#include "sizing/plan.h"

namespace machair {

struct FlyChange {
    int turns = 0;      // of its fullest hackle, more or less
    int fibre = 0;      // of that hackle: tenths of the gape longer
    int tail = 0;       // every tail: 1 is 15 % longer, 2 is 30 %
    int wing = 0;       // every wing, the same
    int size = 0;       // even hook numbers: +1 is the next smaller
    int wire = 0;       // +1 is one heavier
    bool bead = false;  // put on at the eye
    auto operator<=>(const FlyChange&) const = default;
    [[nodiscard]] int cost() const;
    [[nodiscard]] bool none() const { return *this == FlyChange{}; }
    // The dressing stays as it is written: it is only tied on another hook.
    [[nodiscard]] bool onlyHook() const;
};

// Every single change, cheapest first; then those of two kinds that go together (turns with hackle, wire or size; tail with
// wing), up to a cost.
[[nodiscard]] std::vector<FlyChange> singleChanges();
[[nodiscard]] std::vector<FlyChange> pairedChanges(int mostCost);

// The hook of a change: one of the book where it has that model, else the tier's own with its measures in step (section E).
[[nodiscard]] Result<HookSpec> hookFor(const Book& book, const HookSpec& now, const FlyChange& change);

// The dressing with a change in turns, lengths and bead, planned on a hook before it; faults where it can't be so tied.
[[nodiscard]] Result<Pattern> redressed(const Book& book, const Plan& before, const FlyChange& change);

// The fly with the change, sized. The hook that its plan was on is changed along.
[[nodiscard]] Result<Plan> planRedressed(const Book& book, const Plan& before, const FlyChange& change);

// "one turn less on the palmer"
[[nodiscard]] std::string sayChange(const Book& book, const Plan& before, const FlyChange& change);

}  // namespace machair
