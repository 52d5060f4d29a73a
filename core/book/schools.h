// Where tiers disagree: what a dressing holds to, what a tier holds to for all, and turning a dressing to a school.
//
// A choice that a part can be silent about (how a fibre is measured, which way a rib goes, where a body ends) is kept with
// the dressing. One that its parts always say (how long the tail is, whether the wing is rolled) is read off the parts, and
// choosing it writes the parts anew.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "book/edits.h"

namespace machair {

// For one dressing, or (without one) for all that say nothing else. Faults: no such dressing, school or choice; a dressing
// that lacks the part it is about.
[[nodiscard]] Result<Edit> changeSchool(const Book& book, const std::optional<std::string>& pattern, std::string_view key,
                                        std::string_view text);

// What the dressing holds to, as one of the field's choices; empty where it holds to none of them, or to what the tier
// holds to for all.
[[nodiscard]] std::string heldSchool(const Book& book, std::string_view pattern, std::string_view key);

// Whether it is read off the parts, and choosing it writes them.
[[nodiscard]] bool schoolStandsInParts(std::string_view key);

// Turns a new dressing, or one new part of it, to what the tier holds to for all; what doesn't fit it stays as it was.
void followOwnSchools(Book& book, std::string_view pattern, std::optional<std::size_t> part = std::nullopt);

// Fibres per mm of gape in the middle of a class.
[[nodiscard]] double fullnessOf(FullnessSchool school);

}  // namespace machair
