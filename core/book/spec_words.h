// Lengths and stations as written in a dressing, in words that are read back to exactly the same thing: "0.8 of the
// shank", "to the point", "0.1 of the gape past the barb", "11.7 mm". Unlike words/, which says a number on one hook,
// these keep what a length depends on.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "dressing/length_spec.h"
#include "faults/faults.h"

namespace machair {

[[nodiscard]] std::string writeSpec(const LengthSpec& spec);
[[nodiscard]] std::string writeSpec(const StationSpec& spec);
// The same as a tier says it, with the shares that have names: "two thirds of the gape", "to half of the tail". Read back by
// readSpec to within a thousandth of the share.
[[nodiscard]] std::string saySpec(const LengthSpec& spec);

// Reads what writeSpec writes and what tiers say beside it: "as long as the shank", "two thirds of the gape", "11.7",
// "15/32 in", "to half of the tail", "2 bars". Faults stand at `place`.
[[nodiscard]] Result<LengthSpec> readSpec(std::string_view text, const Place& place);
[[nodiscard]] Result<StationSpec> readStationSpec(std::string_view text, const Place& place);

// One small step longer or shorter: 0.1 mm, or 0.01 of a ratio; a bare reach gets or changes an overshoot in mm.
// Never under the smallest step.
[[nodiscard]] LengthSpec stepped(const LengthSpec& spec, int steps);

// So many steps of 5 % longer (shorter where negative): a ratio and millimetres by their own size, a bare reach by as
// much of the gape past its landmark. Nothing for a reach past or short of its landmark by anything but a share of the
// gape, or for bars.
inline constexpr double kLengthStep = 0.05;
[[nodiscard]] std::optional<LengthSpec> lengthened(const LengthSpec& spec, int steps);

// What writeSpec and saySpec write in the language that is spoken, and what was typed in it as readSpec reads it: "0.8 of the shank" is
// "0.8 de la hampe". Words that neither knows stay; where English is spoken, all of them.
[[nodiscard]] std::string specInLanguage(std::string_view written);
[[nodiscard]] std::string specInEnglish(std::string_view typed);

// A part of the same dressing, as such a text names it: "tail", or "part ID" where the kind alone won't do.
[[nodiscard]] std::string partName(const PartRef& ref);
[[nodiscard]] std::optional<PartRef> readPart(std::string_view text);

}  // namespace machair
