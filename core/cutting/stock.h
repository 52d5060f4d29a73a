// What is left when a batch has been cut and tied: part-used feathers, capes by band, and flies in the box.
#pragma once

#include "book/edits.h"
#include "cutting/cutting.h"
#include "cutting/hackles.h"

namespace machair {

// The slips out of their feathers, the hackles out of their bands, the flies into the box: one edit. Faults: no such
// dressing, a band that has no feather left.
[[nodiscard]] Result<Edit> recordTied(const Book& book, std::string_view pattern, int flies, const CuttingPlan& cuts, const HacklesChosen& hackles);

}  // namespace machair
