// The parts of a dressing in another order. What names a part by its place follows: other parts' lengths and stations, the
// sections that ribs are wound along, and the readings of flies that were checked.
#pragma once

#include <functional>
#include <optional>
#include <string_view>
#include <vector>

#include "book/book.h"

namespace machair {

// Calls f with every reference to another part that a part holds.
void eachPartRef(Part& part, const std::function<void(PartRef&)>& f);

// [i] is the place where the part that comes to stand at i stood before; nothing for a new one.
using PartOrder = std::vector<std::optional<std::size_t>>;
[[nodiscard]] PartOrder orderOf(const Pattern& pattern);                         // as it is
[[nodiscard]] PartOrder orderWithNewAt(const Pattern& pattern, std::size_t at);  // a new part at a place

// Parts whose old place is not named in `from` go; `fresh` is the new one. `pattern` must be of the book.
void rearrange(Book& book, const DressingId& pattern, const PartOrder& from, const Part& fresh = {});

}  // namespace machair
