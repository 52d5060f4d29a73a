// The stations in the order of the work (interface.md, "The frame").
#pragma once

#include <QString>

#include "units/names.h"

namespace machair::app {

enum class Station { plan, cut, tie, check, balance, drift, water, evening, daybook, drawers };

}  // namespace machair::app

namespace machair {
template <>
struct Names<app::Station> {
    static constexpr std::array entries = {NameOf{app::Station::plan, "plan"},       NameOf{app::Station::cut, "cut"},
                                           NameOf{app::Station::tie, "tie"},         NameOf{app::Station::check, "check"},
                                           NameOf{app::Station::balance, "balance"}, NameOf{app::Station::drift, "drift"},
                                           NameOf{app::Station::water, "water"},     NameOf{app::Station::evening, "evening"},
                                           NameOf{app::Station::daybook, "daybook"}, NameOf{app::Station::drawers, "drawers"}};
};
}  // namespace machair

namespace machair::app {

[[nodiscard]] QString titleOf(Station station);
[[nodiscard]] QString purposeOf(Station station);
// Whether it works on the dressing on the bench; the others on the team, or on what lies in the drawers.
[[nodiscard]] constexpr bool worksOnTheFly(Station station) {
    return station == Station::plan || station == Station::cut || station == Station::tie || station == Station::check;
}

}  // namespace machair::app
