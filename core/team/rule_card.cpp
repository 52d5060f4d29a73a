#include "team/rule_card.h"

#include "units/text.h"

namespace machair {

bool barbsAllowed(const RuleCard& card, const ContestState& state) {
    switch (card.barb.value_or(BarbRule::free)) {
        case BarbRule::free: return true;
        case BarbRule::barbless: return false;
        case BarbRule::barbedUntilKept: return state.kept < card.keptBeforeBarbless.value_or(1);
    }
    throw BrokenContract("unknown barb rule");
}

std::vector<Breach> breachesOf(const FlyFigures& fly, const RuleCard& card, const ContestState& state) {
    std::vector<Breach> list;
    if (fly.barb && !barbsAllowed(card, state))
        list.push_back({card.barb == BarbRule::barbless ? "the hook has a barb"
                                                        : "the hook has a barb, and " + std::to_string(state.kept) + " fish are kept",
                        "flatten the barb, or tie it on a barbless hook"});
    if (fly.bead && card.beads == false) list.push_back({"it carries a bead", "the same dressing without its bead"});
    if (card.largestHook && fly.size < *card.largestHook)
        list.push_back({"hook " + std::to_string(fly.size) + " is larger than the " + std::to_string(*card.largestHook) + " allowed",
                        "tie it on a " + std::to_string(*card.largestHook)});
    if (card.smallestHook && fly.size > *card.smallestHook)
        list.push_back({"hook " + std::to_string(fly.size) + " is smaller than the " + std::to_string(*card.smallestHook) + " allowed",
                        "tie it on a " + std::to_string(*card.smallestHook)});
    if (card.longestFly && fly.length > *card.longestFly / mm)
        list.push_back(
            {"it is " + formatNumber(fly.length, 1) + " mm long, " + formatNumber(fly.length - *card.longestFly / mm, 1) + " mm over",
             "shorten the tail or the wing"});
    return list;
}

std::vector<Breach> breachesOf(const LeaderFigures& leader, const RuleCard& card) {
    std::vector<Breach> list;
    if (card.mostFlies && leader.flies > *card.mostFlies)
        list.push_back({std::to_string(leader.flies) + " flies where " + std::to_string(*card.mostFlies) + " are allowed", "take one off"});
    if (card.longestLeader && leader.overall > *card.longestLeader)
        list.push_back({"the leader is " + formatNumber(leader.overall / metre, 2) + " m, " + formatNumber(*card.longestLeader / metre, 2) +
                            " m are allowed",
                        "shorten it"});
    for (const Length spacing : leader.spacings)
        if (card.leastSpacing && spacing < *card.leastSpacing)
            list.push_back({"two flies are " + formatNumber(spacing / metre, 2) + " m apart, " +
                                formatNumber(*card.leastSpacing / metre, 2) + " m is the least",
                            "space them wider"});
    return list;
}

}  // namespace machair
