// A fly in the few numbers that a team is judged by, and the terms that a pair of flies is judged on. The report, the
// balance search and the choice all read these terms, so they can't disagree.
#pragma once

#include <array>
#include <cstddef>
#include <optional>

#include "sizing/plan.h"
#include "team/rules.h"
#include "water/sight.h"
#include "water/sink.h"

namespace machair {

// Lengths that flies of one style have in common, each by the kind of part it is: hackles to the gape, tails and wings to
// the shank (models-team.md section D, family).
enum class Likeness {
    palmer,
    collar,
    upright,
    fibreTail,
    slipTail,
    cloakTail,
    hairTail,
    flossTail,
    plumeTail,
    leafWing,
    uprightWing,
    cloakWing,
    hairWing,
    plumeWing,
    tipWing
};
inline constexpr std::size_t kLikenesses = static_cast<std::size_t>(Likeness::tipWing) + 1;

struct FlyFigures {
    Speed sink;      // nothing where it floats
    Force presence;  // water pushed
    Mass mass;       // wet
    Force weight;    // in the water, less all buoyancy; at or under nothing where it floats
    bool floats = false;
    int size = 10;
    double full = 0.0;   // φ, usual collars
    double stiff = 0.0;  // σ, share of φ, from 0 to 1
    FlyStyle style = FlyStyle::nymph;
    std::optional<TeamRole> role;
    std::array<double, kLikenesses> lengths{};  // 0 where the fly has no such part
    CieLab seen;                                // at fishing depth
    bool bead = false;
    bool barb = true;
    Length length;             // to the last tip, the front one included
    std::size_t identity = 0;  // of the dressing on its hook: the same for the same fly

    // Presence to weight in the water: how well it is held in the surface (section C); kMostHold where it rides there by itself.
    [[nodiscard]] double hold() const;
    static constexpr double kMostHold = 15.0;
};

// What a dressing is, read from its parts; its own `style` beats that (section C).
[[nodiscard]] FlyStyle styleOf(const Plan& plan);
// Usual collars of all its hackles and legs, and how much of that is stiff (section A).
struct Fullness {
    double full = 0.0;
    double stiff = 0.0;
};
[[nodiscard]] Fullness fullnessOf(const Plan& plan);
// The hackle that is fullest by itself, by its place in the plan's parts: what a change of turns or fibre is made on.
[[nodiscard]] std::optional<std::size_t> fullestHackle(const Plan& plan);

// The water that colours are judged in where nobody says otherwise.
struct SeenIn {
    Clarity clarity = clarityOf(WaterColour::tea);
    Sighting sighting{0.3 * metre};
};
[[nodiscard]] FlyFigures figuresOf(const Plan& plan, const SinkReport& sink, const SeenIn& water = {});
// The mean colour of what is seen from the side, by area.
[[nodiscard]] Rgb meanColour(const Plan& plan);

// Where a pair stands on the leader: neighbours are judged on more than bob and point with a fly between them.
struct PairPlace {
    bool neighbours = true;
    bool fromBob = false;  // the upper is the bob
    bool toPoint = false;  // the lower is the point
};

struct JudgedTerm {
    TeamTerm term = TeamTerm::sinkStep;
    double value = 0.0;
    const Wanted* wanted = nullptr;
    double shortfall = 0.0;
    bool valued = true;  // false where a float leaves no ratio to give
};
struct JudgedPair {
    std::array<JudgedTerm, 9> terms;
    int count = 0;
    [[nodiscard]] const JudgedTerm* begin() const { return terms.data(); }
    [[nodiscard]] const JudgedTerm* end() const { return terms.data() + count; }
};
// Everything of a pair but its colours, whose comparison costs more than all the rest.
[[nodiscard]] JudgedPair judgeNumbers(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
[[nodiscard]] JudgedPair judgePair(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
// The same, as the searches ask it: whether all pass, and the weight lost, with the colours and without.
[[nodiscard]] bool pairPasses(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
[[nodiscard]] double lossOfPair(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
[[nodiscard]] bool numbersPass(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
[[nodiscard]] double lossOfNumbers(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
// The weight lost by one pair in each of the three places that it can have, worked out together; `contrast` between
// their colours, CIEDE2000.
struct PairLosses {
    double bobMiddle = 0.0;
    double middlePoint = 0.0;
    double bobPoint = 0.0;  // with a middle between them
};
[[nodiscard]] PairLosses lossesOf(const FlyFigures& upper, const FlyFigures& lower, double contrast, const SchoolRules& rules);

}  // namespace machair
