// A loch as its outline, and the open water upwind of a place on it.
#pragma once

#include <array>
#include <string_view>
#include <vector>

#include "faults/faults.h"
#include "units/quantity.h"

namespace machair {

using MapPoint = std::array<Length, 2>;  // east and north of a corner

inline constexpr std::size_t kMostCorners = 50'000;

// Faults of an outline: fewer than three corners or too many, an edge that crosses another (the first such pair is named).
// Edges are swept from west to east (Shamos and Hoey's order, without their tree): as quick as sorting them for a shore,
// whose edges are short; at worst each is compared with each.
[[nodiscard]] Faults checkOutline(const std::vector<MapPoint>& outline, const Place& place = {});

[[nodiscard]] bool onWater(const std::vector<MapPoint>& outline, const MapPoint& at);

// From a place on the water to the shore that the wind comes from. 0 for a place on land.
// `from` is where the wind comes from, degrees clockwise from north.
[[nodiscard]] Length fetchAt(const std::vector<MapPoint>& outline, const MapPoint& at, double from);

}  // namespace machair
