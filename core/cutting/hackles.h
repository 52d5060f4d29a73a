// Which feathers of a cape serve which flies: models.md section 12. Most flies served, then the least total error in mm,
// exactly: on a line of fibre lengths the best pairing never crosses, so a table over sorted flies and feathers finds it.
#pragma once

#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

struct HackleWanted {
    std::string fly;  // "kelp-lantern.4#2"
    MaterialId material;
    Length fibre;
    Length stem;
    double turns = 0.0;
    Length gape;
};
[[nodiscard]] std::vector<HackleWanted> hacklesFor(const Plan& plan, int flies);

struct HackleServed {
    std::size_t wanted = 0;
    std::size_t cape = 0;
    std::size_t band = 0;
    Length error;      // the band's middle less the length wanted
    std::string does;  // what that does to reach and fullness; empty within a tenth of a millimetre
};
struct HacklesChosen {
    std::vector<HackleServed> served;
    std::vector<std::pair<std::size_t, std::string>> unserved;  // and why
    Length totalError;
};
[[nodiscard]] HacklesChosen chooseHackles(const std::vector<Cape>& capes, const std::vector<HackleWanted>& wanted);

}  // namespace machair
