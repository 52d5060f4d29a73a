// A fly on its way from what it was to what it became: what only changed its size lies between.
#pragma once

#include "scene/scene.h"

namespace machair {

// `left` of the way from `from` to `to` is still to go: 0 is `to` itself. What has no counterpart (another number of fibres, a part
// more or less) is already as it will be.
[[nodiscard]] Scene between(const Scene& from, const Scene& to, double left);

}  // namespace machair
