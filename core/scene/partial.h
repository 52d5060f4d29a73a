// The fly as it is part-way through tying: what is on the hook when some of its parts are done.
#pragma once

#include <vector>

#include "scene/scene.h"

namespace machair {

struct TiedSoFar {
    std::vector<char> parts;  // of the dressing, those that are wound or tied in for good
    bool bed = true;          // the thread bed is laid
    bool head = false;        // the head is wound
};
[[nodiscard]] Scene tiedSoFar(const Scene& whole, const Plan& plan, const TiedSoFar& so);

}  // namespace machair
