#include "team/rule_card.h"

#include "language/say.h"
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
        list.push_back({card.barb == BarbRule::barbless ? say("the hook has a barb")
                                                        : say("the hook has a barb, and {} fish are kept", std::to_string(state.kept)),
                        say("flatten the barb, or tie it on a barbless hook")});
    if (fly.bead && card.beads == false) list.push_back({say("it carries a bead"), say("the same dressing without its bead")});
    if (card.largestHook && fly.size < *card.largestHook)
        list.push_back({say("hook {} is larger than the {} allowed", std::to_string(fly.size), std::to_string(*card.largestHook)),
                        say("tie it on a {}", std::to_string(*card.largestHook))});
    if (card.smallestHook && fly.size > *card.smallestHook)
        list.push_back({say("hook {} is smaller than the {} allowed", std::to_string(fly.size), std::to_string(*card.smallestHook)),
                        say("tie it on a {}", std::to_string(*card.smallestHook))});
    if (card.longestFly && fly.length > *card.longestFly)
        list.push_back(
            {say("it is {} mm long, {} mm over", formatNumber(fly.length / mm, 1), formatNumber((fly.length - *card.longestFly) / mm, 1)),
             say("shorten the tail or the wing")});
    return list;
}

std::vector<Breach> breachesOf(const LeaderFigures& leader, const RuleCard& card) {
    std::vector<Breach> list;
    if (card.mostFlies && leader.flies > *card.mostFlies)
        list.push_back(
            {say("{} flies where {} are allowed", std::to_string(leader.flies), std::to_string(*card.mostFlies)), say("take one off")});
    if (card.longestLeader && leader.overall > *card.longestLeader)
        list.push_back({say("the leader is {} m, {} m are allowed", formatNumber(leader.overall / metre, 2),
                            formatNumber(*card.longestLeader / metre, 2)),
                        say("shorten it")});
    for (const Length spacing : leader.spacings)
        if (card.leastSpacing && spacing < *card.leastSpacing)
            list.push_back({say("two flies are {} m apart, {} m is the least", formatNumber(spacing / metre, 2),
                                formatNumber(*card.leastSpacing / metre, 2)),
                            say("space them wider")});
    return list;
}

}  // namespace machair
