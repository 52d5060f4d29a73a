// Turning a dressing's parts to a school, and reading off them which school they hold to. Inside book only.
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "book/book.h"

namespace machair {

// Writes the choice of one question into the parts of a dressing of the book (into one of them, if `only`), or frees them of
// what they say of it where the choice is read. Says what a part of another material lost ("method noodle"); nothing where
// no part has a use for it.
std::optional<std::vector<std::string>> turnParts(Book& book, const DressingId& pattern, std::string_view key, const SchoolChoices& to,
                                                  std::optional<std::size_t> only = {});

// What the parts say; only questions whose answers stand there.
[[nodiscard]] SchoolChoices readOff(const Book& book, const Pattern& pattern);

// Of an answer that stands in the parts, what they can't say and the dressing keeps beside them.
[[nodiscard]] bool isKeptBeside(std::string_view key, const SchoolChoices& choice);

}  // namespace machair
