// A loch's shore from a GeoJSON file (RFC 7946): the outer ring of its first polygon, as metres east and north of its
// south-western corner.
#pragma once

#include <string_view>
#include <vector>

#include "water/shore.h"

namespace machair::store {

// Faults with the place in the document: not JSON, no polygon, a ring of fewer than three corners, longitudes or
// latitudes out of range, a shore that crosses itself.
[[nodiscard]] Result<std::vector<MapPoint>> readShore(std::string_view text);

}  // namespace machair::store
