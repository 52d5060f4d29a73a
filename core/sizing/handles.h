// The places on a drawn fly that can be taken hold of, and what dragging one of them writes into the dressing.
//
// A drag keeps what a length depends on: a ratio stays a ratio, a reach stays at its landmark with another overshoot.
// With snapping it goes to what tiers would say: a landmark, a plain share of shank or gape.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

enum class Grab {
    tagEnd,
    tailTip,
    underEnd,
    underFront,
    bodyEnd,
    bodyFront,
    rearDiameter,
    shoulder,
    taper,
    ribTurn,
    hackleTip,
    wingTip,
    wingDepth,
    pieceTip,  // of legs, of a cheek
    head
};

// Which way it goes.
enum class Travel { along, across, both };

struct Handle {
    Grab grab = Grab::tailTip;
    std::size_t part = 0;
    Point2 at;  // in the profile
    Travel travel = Travel::along;
    std::string name;  // "tail tip"
};

// In tying order; of a part only what it has.
[[nodiscard]] std::vector<Handle> handlesOf(const Plan& plan);

// A field of the handle's part, as book/fields.h writes it.
struct Written {
    std::string key;
    std::string text;
    bool snapped = false;
};

// What dragging `handle` to a place writes. Snaps to what lies within `snap` of it; a snap of 0 never does. Nothing
// where the place makes no sense for it (a tail tip ahead of the tail).
[[nodiscard]] std::optional<Written> dragged(const Plan& plan, const Handle& handle, Point2 to, Length snap);

// The next place to snap to in a direction (+1 rearwards or outwards, −1 the other way), for the keyboard.
[[nodiscard]] std::optional<Point2> nextSnap(const Plan& plan, const Handle& handle, int direction);

}  // namespace machair
