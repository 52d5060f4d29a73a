// A fly in the few numbers that a team is judged by, and the terms that one fly or a pair of them is judged on. The
// report, the balance search and the choice all read these terms, so they can't disagree.
#pragma once

#include <array>
#include <optional>

#include "sizing/plan.h"
#include "team/rules.h"
#include "water/sight.h"
#include "water/sink.h"

namespace machair {

struct FlyFigures {
    double sink = 0.0;      // m/s, 0 where it floats
    double presence = 0.0;  // mN
    double mass = 0.0;      // mg, wet
    bool floats = false;
    int size = 10;
    double fullness = 0.0;  // fibres per mm of gape, palmer at 0.6
    // Lengths to the gape; 0 where the fly has no such part.
    double hackle = 0.0;
    double tail = 0.0;
    double wing = 0.0;
    CieLab seen;            // at fishing depth
    bool bead = false;
    bool barb = true;
    double length = 0.0;    // mm, eye to last tip
};

// The water that colours are judged in where nobody says otherwise.
struct SeenIn {
    Clarity clarity = clarityOf(WaterColour::tea);
    Sighting sighting{0.3 * metre};
};
[[nodiscard]] FlyFigures figuresOf(const Plan& plan, const SinkReport& sink, const SeenIn& water = {});
// The mean colour of what is seen from the side, by area.
[[nodiscard]] Rgb meanColour(const Plan& plan);

enum class TeamTerm { sinkStep, presenceOrder, turnover, pointWeight, sizeStep, family, variety, spacing, dropper, fullness, rules };
template <>
struct Names<TeamTerm> {
    static constexpr std::array entries = {
        NameOf{TeamTerm::sinkStep, "sink_step"},       NameOf{TeamTerm::presenceOrder, "presence_order"},
        NameOf{TeamTerm::turnover, "turnover"},        NameOf{TeamTerm::pointWeight, "point_weight"},
        NameOf{TeamTerm::sizeStep, "size_step"},       NameOf{TeamTerm::family, "family"},
        NameOf{TeamTerm::variety, "variety"},          NameOf{TeamTerm::spacing, "spacing"},
        NameOf{TeamTerm::dropper, "dropper"},          NameOf{TeamTerm::fullness, "fullness"},
        NameOf{TeamTerm::rules, "rules"}};
};

// Where a pair stands on the leader: neighbours are judged on more than bob and point with a fly between them.
struct PairPlace {
    bool neighbours = true;
    bool fromBob = false;   // the upper is the bob
    bool toPoint = false;   // the lower is the point
};

struct JudgedTerm {
    TeamTerm term = TeamTerm::sinkStep;
    double value = 0.0;
    const Wanted* wanted = nullptr;
    double shortfall = 0.0;
    bool valued = true;  // false where a float leaves no ratio to give
};
struct JudgedPair {
    std::array<JudgedTerm, 8> terms;
    int count = 0;
    [[nodiscard]] const JudgedTerm* begin() const { return terms.data(); }
    [[nodiscard]] const JudgedTerm* end() const { return terms.data() + count; }
    [[nodiscard]] double shortfall() const;
};
// Everything of a pair but its colours, whose comparison costs more than all the rest.
[[nodiscard]] JudgedPair judgeNumbers(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
// The same, as the searches ask it: whether all pass, the sum of the shortfalls, and the weight lost (all of a term's
// from one near-width outside on).
[[nodiscard]] bool numbersPass(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
[[nodiscard]] double shortfallOfNumbers(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
[[nodiscard]] double lossOfNumbers(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);
// The weight lost without the colours by one pair in each of the three places that it can have, worked out together.
struct PairLosses {
    double bobMiddle = 0.0;
    double middlePoint = 0.0;
    double bobPoint = 0.0;  // with a middle between them
};
[[nodiscard]] PairLosses lossesOfNumbers(const FlyFigures& upper, const FlyFigures& lower, const SchoolRules& rules);
[[nodiscard]] JudgedPair judgePair(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules);

}  // namespace machair
