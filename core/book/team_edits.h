// Edits of teams, their leaders and schools, of waters with their rules, and of the fly box (book/edits.h tells what an
// edit is).
#pragma once

#include <array>
#include <optional>
#include <string_view>
#include <vector>

#include "book/edits.h"

namespace machair {

// The two positions' flies change places; one of them may be empty.
[[nodiscard]] Result<Edit> swapTeamFlies(const Book& book, const TeamId& team, Position a, Position b);
// How the fly in a place is fished there; empty text says nothing of it. A fault where no fly hangs.
[[nodiscard]] Result<Edit> changePresentation(const Book& book, const TeamId& team, Position position, std::string_view text);
[[nodiscard]] Result<Edit> addTeam(const Book& book, std::string_view name, const FliesByPosition& flies);
// One of the four schools by name, or one of the tier's own by id.
[[nodiscard]] Result<Edit> changeTeamSchool(const Book& book, const TeamId& team, std::string_view school);
// A copy of the team's school to edit, which the team then follows.
[[nodiscard]] Result<Edit> copySchool(const Book& book, const TeamId& team);
[[nodiscard]] Result<Edit> changeSchoolField(const Book& book, const SchoolId& school, std::string_view key, std::string_view text);
[[nodiscard]] Result<Edit> changeLeaderField(const Book& book, const TeamId& team, std::string_view key, std::string_view text);

[[nodiscard]] Result<Edit> addWater(const Book& book);
[[nodiscard]] Result<Edit> changeWaterField(const Book& book, const WaterId& water, std::string_view key, std::string_view text);
[[nodiscard]] Result<Edit> changeOutline(const Book& book, const WaterId& water, std::vector<std::array<Length, 2>> outline);
// A rule card for a water, empty at first.
[[nodiscard]] Result<Edit> addRuleCard(const Book& book, const WaterId& water);
[[nodiscard]] Result<Edit> changeRuleField(const Book& book, const RuleCardId& card, std::string_view key, std::string_view text);

// The season's table, row by row.
[[nodiscard]] Result<Edit> addSeasonRow(const Book& book, int month);
[[nodiscard]] Result<Edit> changeSeasonField(const Book& book, std::string_view row, std::string_view key, std::string_view text);
[[nodiscard]] Result<Edit> removeSeasonRow(const Book& book, std::string_view row);

// Something went wrong at the vice, once more, under the id of its card ("wing.cocks"); and once less, where it didn't after all.
[[nodiscard]] Edit countMishap(const Book& book, const MishapId& id, const std::string& shows);
// A card of the tier's own for such a part, counted once: it has just happened.
[[nodiscard]] New<Mishap> addMishapCard(const Book& book, const std::string& shows, PartKind part);
[[nodiscard]] Edit takeBackMishap(const Book& book, const MishapId& id, const std::string& shows);

// How many of a dressing on a hook (its own where none is named) lie in the box; 0 keeps it listed as still to be tied.
[[nodiscard]] Result<Edit> changeBoxCount(const Book& book, const DressingId& pattern, int tied,
                                          const std::optional<HookId>& hook = std::nullopt);
[[nodiscard]] int boxCount(const Book& book, const DressingId& pattern, const std::optional<HookId>& hook = std::nullopt);

}  // namespace machair
