#include "drawers/census.h"

#include <algorithm>
#include <array>

#include "book/records.h"
#include "dressing/pattern.h"

namespace machair::app {

namespace {

struct Elsewhere {
    std::string_view list;
    std::string_view key;
    Station station;
    std::string_view widget;
};
// Keys with an instrument of their own, which the sheet has no field for.
constexpr std::array kElsewhere = {
    Elsewhere{"patterns", "hook", Station::plan, "hooks"},       // the bench bar
    Elsewhere{"patterns", "parts", Station::plan, "ticket"},     // part by part
    Elsewhere{"patterns", "schools", Station::plan, "schools"},  // where tiers disagree
    Elsewhere{"waters", "outline_m", Station::water, "sea"},     // drawn on the map, or brought
    Elsewhere{"days", "photos", Station::daybook, "add-photo"},  // the strip of pictures
};

}  // namespace

bool isMadeWithIt(std::string_view list, std::string_view key) {
    return key == "id" || (list == "materials" && (key == "kind" || key == "measured"));  // measured: by the calliper, field by field
}

std::optional<CensusPlace> placeOf(std::string_view list, std::string_view key) {
    for (const Elsewhere& one : kElsewhere)
        if (one.list == list && one.key == key) return CensusPlace{one.station, std::string(one.widget)};
    const auto known = std::ranges::any_of(listNames(), [&](const ListName& name) { return name.list == list; });
    return known ? std::optional(CensusPlace{Station::drawers, "record-" + std::string(key)}) : std::nullopt;
}

}  // namespace machair::app
