// Two windings over one stretch of the hook: how often they cross, at what angle, and whether the upper one holds the lower
// (models.md section 4, "what locks what").
//
// The hand of a winding is its sense (+1 over the top and away from the tier, −1 over the top and towards) times its travel
// (+1 to the eye, −1 to the bend). X = |h₁N₁ − h₂N₂|: of opposite hands N₁ + N₂, of one hand the difference.
#pragma once

#include <cstddef>
#include <vector>

#include "language/say.h"
#include "sizing/plan.h"

namespace machair {

struct Spiral {
    int hand = 1;
    double turns = 0.0;  // on the common stretch
    Angle angle;         // atan(pitch / (π D)); 0 is square across the shank
};

enum class Hold { locks, partly, liesAlong };
template <>
struct Names<Hold> {
    static constexpr std::array entries = {NameOf{Hold::locks, "locks"}, NameOf{Hold::partly, unsaid("holds partly")},
                                           NameOf{Hold::liesAlong, unsaid("lies along")}};
};

struct Crossing {
    double crossings = 0.0;
    double perTurn = 0.0;  // of the lower one; its longest free piece is 1/perTurn turns
    Angle angle;           // between the two
    Hold hold = Hold::liesAlong;
};

// Rule of thumb for one hand: half a crossing a turn at 5° or more holds partly, less lies along.
[[nodiscard]] Crossing cross(const Spiral& upper, const Spiral& lower);

// A part wound over another, by their places in the plan.
struct HeldPart {
    std::size_t upper = 0;
    std::size_t lower = 0;
    Crossing crossing;
};
// What a rib or a palmer crosses: palmers, and bodies of strands that aren't twisted with the thread or in a loop. In the
// order of the upper parts, then of the lower.
[[nodiscard]] std::vector<HeldPart> heldParts(const Plan& plan);

// A body of bare strands, that one tooth opens unless something crosses it.
[[nodiscard]] bool isBrittleBody(const Plan& plan, std::size_t part);
// Sense of a winding by its upper half: +1 over the top and away from the tier.
[[nodiscard]] int senseOf(const Plan& plan, std::size_t part);

}  // namespace machair
