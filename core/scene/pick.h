// Which part of a fly lies under a place of the profile: for clicking on the drawing.
#pragma once

#include <optional>

#include "scene/scene.h"

namespace machair {

// The part nearest to (x, y), mm in the profile, within `reach` mm; what lies nearer to the viewer wins. The head is
// the dressing's `headPart`, when it names one.
[[nodiscard]] std::optional<std::size_t> partAt(const Scene& scene, double x, double y, double reach, std::optional<std::size_t> headPart);

}  // namespace machair
