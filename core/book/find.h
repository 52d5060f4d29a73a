// A record of a list looked up by its id, in one way for every list. The list is gone through (docs/decisions, 13): at
// two thousand dressings that takes some microseconds, and no index has to be kept true beside the book.
#pragma once

#include <algorithm>
#include <string_view>

#include "faults/faults.h"

namespace machair {

// The record of this id in the list, or nothing.
template <class Records, class Key>
[[nodiscard]] auto findById(Records& records, const Key& id) -> decltype(records.data()) {
    const auto found = std::ranges::find_if(records, [&](const auto& record) { return record.id == id; });
    return found == records.end() ? nullptr : &*found;
}

// Where it stands; the list's length where there is none.
template <class Records, class Key>
[[nodiscard]] std::size_t indexById(const Records& records, const Key& id) {
    const auto* found = findById(records, id);
    return found ? static_cast<std::size_t>(found - records.data()) : records.size();
}

template <class Record>
struct Found {
    std::size_t index;
    Place place;
    const Record* record;
};
// The record and its place, for an edit; a fault at the list where there is none. `what` is "day", "batch", …
template <class Records, class Key, class Record = typename Records::value_type>
[[nodiscard]] Result<Found<Record>> findIn(const Records& list, const char* name, const char* what, const Key& id) {
    const std::size_t index = indexById(list, id);
    if (index == list.size()) return noSuch(Place(name), what, std::string_view(id));
    return Found<Record>{index, Place(name).at(index), &list[index]};
}

}  // namespace machair
