// The room at the eye: inside sizing only.
#pragma once

#include "sizing/bench.h"

namespace machair {

// Hackle turns, beads pushed back, bindings or whip finish, and one turn clear.
[[nodiscard]] Length roomNeeded(const Plan& plan, const LaidThread& thread);
// What the fur under beads that are pushed back gives.
[[nodiscard]] Length roomGiven(const Plan& plan);
[[nodiscard]] std::vector<Length> hackleRooms(const Plan& plan);  // of each part's turns
[[nodiscard]] Length bindingRoom(const Plan& plan, const LaidThread& thread);

// Binds the head's thread and weighs what it needs against what is there.
[[nodiscard]] HeadBudget budgetHead(Bench& bench);

// models.md section 3: all thread layers, the whip finish and 150 mm of handling.
[[nodiscard]] Length threadUsed(const Plan& plan, const LaidThread& thread);

}  // namespace machair
