// A season looked back on: its days on the water, what was caught, and what caught it.
#pragma once

#include <array>
#include <string>
#include <vector>

#include "daybook/rates.h"

namespace machair {

struct SeasonDay {
    std::string date;
    std::string water;   // its name; empty where none was written
    double hours = 0.0;  // rod-hours
    int fish = 0;        // landed: what was lost is told apart
    int kept = 0;
    int lost = 0;
};
struct SeasonReport {
    std::string year;
    std::vector<SeasonDay> days;  // in the order of the year
    std::array<int, 12> fishByMonth{};
    std::vector<Rate> flies;   // fish a rod-hour of that year alone, best first
    std::vector<Rate> places;  // of bob, middle, point
    [[nodiscard]] double hours() const;
    [[nodiscard]] int fish() const;
    [[nodiscard]] int kept() const;
    [[nodiscard]] int lost() const;
};

// The years that the daybook has days of, newest first.
[[nodiscard]] std::vector<std::string> seasonsOf(const Book& book);
// Of a year "2026"; without a day where it has none.
[[nodiscard]] SeasonReport seasonReport(const Book& book, std::string_view year);

}  // namespace machair
