// Where on a vane a slip may be cut: models.md section 12. The barb length runs straight from base to middle and from
// middle to tip; a slip needs a free stretch in which every barb is long enough.
#pragma once

#include <array>
#include <optional>
#include <string>
#include <vector>

#include "book/feathers.h"
#include "faults/faults.h"
#include "hook/hook.h"

namespace machair {

// Barb length at a place from the base, 0 to `feather.vane`.
[[nodiscard]] Length barbAt(const VaneFeather& feather, Length place);

// Stretches of the whole vane whose barbs are all at least this long: none, one, or two where the middle is shortest.
[[nodiscard]] std::vector<Stretch> longEnough(const VaneFeather& feather, Length barb);

// What is not taken yet, in order from the base.
// Neither cut out nor broken, split or pale.
[[nodiscard]] std::vector<Stretch> freeStretches(const VaneFeather& feather);
// Whether a pair may be cut from these two: of one shade, and what was paired by its mark only with its match.
[[nodiscard]] bool makeAPair(const VaneFeather& left, const VaneFeather& right);
// What its grading makes it good for, in words.
[[nodiscard]] std::string goodFor(const VaneFeather& feather);
[[nodiscard]] Length freeVane(const VaneFeather& feather);

// How a barb stands on its stem as a feather lies flat: its tip is so far along the stem and so far out, in shares of its length.
inline constexpr double kBarbAlong = 0.62, kBarbOut = 0.785;

struct VaneMeasures {
    Length vane;
    std::array<Length, 3> barbs;  // at the base, in the middle, at the tip
};
struct DrawnStem {
    Point2 base, tip;
};
// The measures of a vane whose barbs' ends were drawn as a line, from its base to its tip or back. Along the x axis where no
// stem was drawn: the vane then reaches from the first barb to the last. Between what was drawn it goes straight, at the ends
// it stays. Faults: hardly a line, a line along the stem itself or across it.
[[nodiscard]] Result<VaneMeasures> measureVane(const std::vector<Point2>& ends, const std::optional<DrawnStem>& stem = {});

// What is both free and long enough.
[[nodiscard]] std::vector<Stretch> usable(const VaneFeather& feather, Length barb);

// Free stretches that are left once these are cut out too.
[[nodiscard]] VaneFeather withTaken(VaneFeather feather, const std::vector<Stretch>& cuts);

}  // namespace machair
