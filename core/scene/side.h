// From where the fly is looked at: one scene, turned. Everything that the painters ask (up in the picture, towards the viewer) is
// turned with it.
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

// Looked down on: the eye at the left, the viewer's side of the profile at the foot. A folded wing is a narrow roof, a pair of slips
// two; small feathers stand at both sides.
[[nodiscard]] Scene fromAbove(const Scene& profile);

// Looked at along the shank, as the trout's side of the eye is: the side that was the viewer's at the right.
[[nodiscard]] Scene fromTheEye(const Scene& profile);

}  // namespace machair
