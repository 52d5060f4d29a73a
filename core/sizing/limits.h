// What a plan is told of as a whole, beside what each part says of itself while it is sized: models.md sections 2, 4 and 7.
// Inside sizing only.
#pragma once

#include "sizing/bench.h"

namespace machair {

// Where the fly ends: its length from the front of the eye, or of a tip ahead of it, to the last tip, and the part there.
void measureFly(Plan& plan);

// Crowding, pairs, stops, proportions, contradictions, beads, locks, labels and a contest's limit.
void sayOfPlan(Bench& bench);

// x of the tips of a part; nothing where it has none.
[[nodiscard]] std::optional<Length> tipX(const Plan& plan, std::size_t part);

}  // namespace machair
