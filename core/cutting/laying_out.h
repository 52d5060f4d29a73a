// Everything that has to be cut, counted and laid out before the first turn of thread, for one fly or a batch.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

struct LaidOut {
    std::size_t part = 0;  // in `parts`; the size of `parts` for the working thread
    std::string what;      // "rib: Oval gold"
    std::string each;      // "96 mm"
    std::string all;       // for the batch: "12 of 96 mm, 1.15 m"
    std::string why;       // what is in it: "45 mm of it to hold"
    MaterialId material;   // its id; empty where none is named
    // Of one fly, where it is counted so.
    std::optional<Length> length;
    std::optional<double> count;
    std::optional<Mass> mass;
};

// In laying-out order: the tying order, the thread first. `flies` from 1 to 10000.
[[nodiscard]] std::vector<LaidOut> layOut(const Plan& plan, int flies);

}  // namespace machair
