// Which side of the fly is towards the viewer.
//
// A scene has the eye at the left: a right-handed tier's far side. His own side, the eye at the right, is the fly turned half
// round the upright, not its mirror image: near and far change places, and with them the slope of every winding. A
// left-handed tier's bench is the mirror image of that (catalogue section 2).
#pragma once

#include "scene/scene.h"

namespace machair {

// The same fly with near and far exchanged, still drawn with the eye at the left: painted mirrored, left for right, it is the
// fly turned half round.
[[nodiscard]] Scene nearForFar(Scene scene);

}  // namespace machair
