// Where tiers disagree: what a dressing holds to, what a tier holds to for all, and turning a dressing to a school.
//
// A choice that a part can be silent about (how a fibre is measured, which way a rib goes) is kept with the dressing; its
// parts are freed of what they say of it. One that its parts always say (how long the tail is, whether the wing is rolled) is
// read off the parts, and choosing it writes the parts anew.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "book/edits.h"
#include "book/school_table.h"

namespace machair {

// For one dressing, or (without one) for all that say nothing else. Faults: no such dressing, school or choice; a dressing
// that lacks the part it is about; for all, where it is one dressing's to say.
[[nodiscard]] Result<Edit> changeSchool(const Book& book, const std::optional<DressingId>& pattern, std::string_view key,
                                        std::string_view text);

// All that a dressing holds to: its own choices, and what its parts say. What the tier holds to for all is not in it.
[[nodiscard]] SchoolChoices heldChoices(const Book& book, const Pattern& pattern);
// The same of one question, as one of the field's choices; empty where it holds to none of them.
[[nodiscard]] std::string heldSchool(const Book& book, const DressingId& pattern, std::string_view key);

// What a dressing holds to, the rest from what its tier holds to for all.
[[nodiscard]] SchoolChoices over(const SchoolChoices& own, const SchoolChoices& all);

// Turns a new dressing, or one new part of it, to what the tier holds to for all; what doesn't fit it stays as it was.
void followOwnSchools(Book& book, const DressingId& pattern, std::optional<std::size_t> part = std::nullopt);

// Of a rib that nobody counted: one turn to so much of the gape, models.md section 4.
inline constexpr double kRibPitchToGape = 0.22;

// Where a body of that school ends.
[[nodiscard]] StationSpec stationOf(BodyEndSchool school);

}  // namespace machair
