// Where in the window each key of each record is made and changed: the census that can't lie. A test walks the descriptions of all
// records, fails on a key that has no place here, and drives each place.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "frame/station.h"

namespace machair::app {

struct CensusPlace {
    Station station;
    std::string widget;  // the name of what it is done with
};

// Where a key of a record of this list is changed. Most are fields of the sheet in the Drawers, or rows under them; those that have an
// instrument of their own are named one by one. Nothing for a key that no place has: the test fails then.
[[nodiscard]] std::optional<CensusPlace> placeOf(std::string_view list, std::string_view key);
// What names a record or decides its shape: made with it, never changed like a field.
[[nodiscard]] bool isMadeWithIt(std::string_view list, std::string_view key);

}  // namespace machair::app
