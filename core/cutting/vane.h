// Where on a vane a slip may be cut: models.md section 12. The barb length runs straight from base to middle and from
// middle to tip; a slip needs a free stretch in which every barb is long enough.
#pragma once

#include <vector>

#include "book/feathers.h"

namespace machair {

// Barb length at a place from the base, 0 to `feather.vane`.
[[nodiscard]] Length barbAt(const VaneFeather& feather, Length place);

// Stretches of the whole vane whose barbs are all at least this long: none, one, or two where the middle is shortest.
[[nodiscard]] std::vector<Stretch> longEnough(const VaneFeather& feather, Length barb);

// What is not taken yet, in order from the base.
[[nodiscard]] std::vector<Stretch> freeStretches(const VaneFeather& feather);
[[nodiscard]] Length freeVane(const VaneFeather& feather);

// What is both free and long enough.
[[nodiscard]] std::vector<Stretch> usable(const VaneFeather& feather, Length barb);

// Free stretches that are left once these are cut out too.
[[nodiscard]] VaneFeather withTaken(VaneFeather feather, const std::vector<Stretch>& cuts);

}  // namespace machair
