// Edits of what was tied and what happened (book/edits.h tells what an edit is).
#pragma once

#include <array>
#include <optional>
#include <string_view>

#include "book/edits.h"

namespace machair {

// Faults: no such date, a day that is in the book already.
[[nodiscard]] Result<Edit> addDay(const Book& book, std::string_view date, const std::optional<std::string>& water);
// A team in the water for so many hours of a day; over 24 in all is a fault.
[[nodiscard]] Result<Edit> addOuting(const Book& book, std::string_view day, double hours, const std::array<std::optional<std::string>, 3>& team);
enum class Fate { kept, returned };
[[nodiscard]] Result<Edit> addFish(const Book& book, std::string_view day, Position position, std::string_view pattern, Fate fate);

[[nodiscard]] Result<Edit> addBatch(const Book& book, std::string_view pattern, int wanted);
// One more of a batch is tied, and in the box. A fault where all are.
[[nodiscard]] Result<Edit> tieOne(const Book& book, std::string_view batch);

}  // namespace machair
