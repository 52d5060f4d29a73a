// What one fly takes of each material: models.md section 12, "what a fly needs". Inside sizing only.
#pragma once

#include "sizing/plan.h"

namespace machair {

[[nodiscard]] std::vector<Need> needsOf(const Plan& plan);

}  // namespace machair
