// What is left when a batch has been cut and tied: part-used feathers, capes by band, and flies in the box.
#pragma once

#include "book/edits.h"
#include "cutting/cutting.h"
#include "cutting/hackles.h"

namespace machair {

// The slips out of their feathers, the hackles out of their bands, the flies into the box: one edit. Faults: no such
// dressing, a band that has no feather left.
[[nodiscard]] Result<Edit> recordTied(const Book& book, std::string_view pattern, int flies, const CuttingPlan& cuts, const HacklesChosen& hackles);

// So much of a noodle or loop was left over after a body: the next one of that fur is made shorter (or longer, for a
// negative rest) by half of what it missed, so that one odd fly doesn't decide. Faults: a part that is not dubbed, a
// rest that is not less than what was made.
[[nodiscard]] Result<Edit> learnFromLeftover(const Book& book, std::string_view pattern, std::size_t part, Length left);

}  // namespace machair
