// Where on a vane a slip may be cut: models.md section 12. The barb length runs straight from base to middle and from
// middle to tip; a slip needs a free stretch in which every barb is long enough.
#pragma once

#include <string>
#include <vector>

#include "book/feathers.h"

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

// What is both free and long enough.
[[nodiscard]] std::vector<Stretch> usable(const VaneFeather& feather, Length barb);

// Free stretches that are left once these are cut out too.
[[nodiscard]] VaneFeather withTaken(VaneFeather feather, const std::vector<Stretch>& cuts);

}  // namespace machair
