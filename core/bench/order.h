// Whether a dressing's parts stand in an order that can be tied. Dependencies with their reasons, held only where the parts
// touch; orders in which schools differ (a wing first, a butt after the tail, a collar before or after the wing, a hackle
// tied in before the body) are no fault.
#pragma once

#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

struct OrderFault {
    std::size_t first = 0;  // the part that has to come first
    std::size_t then = 0;   // the one that stands before it and should follow
    std::string because;
    std::string mend;  // "tie the tail before the body"
};
[[nodiscard]] std::vector<OrderFault> orderFaults(const Plan& plan);

// The same dressing with its parts moved as little as mends every fault; its parts keep their ids. The plan's own pattern
// where the order is sound.
[[nodiscard]] Pattern inSoundOrder(const Plan& plan);

}  // namespace machair
