// Questions a tier asks of the drift, answered by finding the root over runs of it.
#pragma once

#include <string>

#include "leader/drift.h"

namespace machair {

struct Answer {
    bool found = false;
    double value = 0.0;  // in the question's unit
    int runs = 0;        // of the drift
    bool stopped = false;
    std::string words;
};

// How long to count so that this fly is at `depth` when the retrieve starts, to 0.1 s, up to two minutes.
[[nodiscard]] Answer countFor(const Rig& rig, Position fly, Length depth, std::stop_token stop = {});
// How fast to retrieve so that this fly is at `depth` after the retrieve, to 1 mm/s; depth falls as speed rises.
[[nodiscard]] Answer retrieveFor(const Rig& rig, const Handling& handling, Position fly, Length depth, std::stop_token stop = {});
// How fast to retrieve at least so that a take is felt: at the end of the retrieve the leader, from the tip to its last
// fly, is drawn to within kSagInTouch of straight; to 1 mm/s. Never below the boat's drift. A rule of thumb.
inline constexpr double kSagInTouch = 0.02;
[[nodiscard]] Answer touchFor(const Rig& rig, const Handling& handling, std::stop_token stop = {});
// How high and how slow to hold the bob in the surface for so long after it breaks.
struct HeldBob {
    Answer answer;                  // metres a second, upwards
    std::optional<Length> atBreak;  // of the line's end
    std::optional<Length> atEnd;
    std::optional<Time> breaks;  // after the lift starts
    std::optional<Time> holds;
};
[[nodiscard]] HeldBob holdingFor(const Rig& rig, const Handling& handling, Time wanted = 5.0 * second, std::stop_token stop = {});
// Which bob-to-middle spacing holds the bob longest at the surface in lift and hang, of 0.4 to 2.4 m by 0.1 m.
[[nodiscard]] Answer spacingFor(const Rig& rig, const Handling& handling, std::stop_token stop = {});

}  // namespace machair
