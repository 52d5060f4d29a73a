// The rules of a water or a contest, applied: what breaks them and what to change. The fishery's own rules decide.
#pragma once

#include <string>
#include <vector>

#include "language/say.h"
#include "team/figures.h"

namespace machair {

// How the day stands: a card may allow barbs only until so many fish are kept.
struct ContestState {
    int kept = 0;
};
[[nodiscard]] bool barbsAllowed(const RuleCard& card, const ContestState& state);

struct Breach {
    std::string words;  // "hook 6 is larger than the 8 allowed"
    std::string mend;
};
[[nodiscard]] std::vector<Breach> breachesOf(const FlyFigures& fly, const RuleCard& card, const ContestState& state = {});
// Of the leader: how many flies, how far apart, how long in all.
struct LeaderFigures {
    int flies = 3;
    std::vector<Length> spacings;
    Length overall;
};
[[nodiscard]] std::vector<Breach> breachesOf(const LeaderFigures& leader, const RuleCard& card);

inline constexpr std::string_view kRulesCaution = unsaid("The fishery's own rules decide; this card is only a copy of them.");

}  // namespace machair
