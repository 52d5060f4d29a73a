// Pages of what a book holds: a recipe with its picture, and a season looked back on.
#pragma once

#include <optional>
#include <vector>

#include "daybook/season.h"
#include "drawing/page.h"
#include "sizing/plan.h"
#include "units/text.h"

namespace machair::drawing {

// A5 upright: the fly large, what each part is of, and what is said of its size.
[[nodiscard]] Page recipePage(Plan plan, LengthUnit unit = LengthUnit::millimetres);

// A4 upright with a margin to bind: the year's days as a strip, fish by month, the flies that caught with their pictures.
struct SeasonFly {
    Rate rate;
    std::optional<Plan> plan;  // of the dressing where the book still has it
};
[[nodiscard]] Page seasonPage(SeasonReport season, std::vector<SeasonFly> flies, QString book);

}  // namespace machair::drawing
