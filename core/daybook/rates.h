// What the daybook says: fish a rod-hour for one factor at a time, with honest intervals (models.md section 15).
#pragma once

#include <functional>
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "book/book.h"

namespace machair {

// One cell of a factor: fish and hours, day by day.
struct RateCell {
    std::vector<std::pair<double, double>> days;  // fish, rod-hours
    [[nodiscard]] double fish() const;
    [[nodiscard]] double hours() const;
};
struct Rate {
    std::string name;
    double fish = 0.0;
    double hours = 0.0;
    double a = 0.0;  // posterior Gamma(a, b)
    double b = 1.0;
    double spread = 1.0;  // φ: good and bad days
    double low = 0.0;     // 10 %
    double high = 0.0;    // 90 %
    bool fished = false;
    [[nodiscard]] double mean() const { return a / b; }
};
// `elsewhereFish`, `elsewhereHours`: of all days but this cell's, for the prior.
[[nodiscard]] Rate rateOf(const std::string& name, const RateCell& cell, double elsewhereFish, double elsewhereHours);

// φ, what good and bad days add: from five days on over (fish, hours or expected fish) of each, 1.5 before, 1 where no fish.
[[nodiscard]] double spreadOf(const std::vector<std::pair<double, double>>& days);
// The quantile of a Gamma(a, b).
[[nodiscard]] double gammaQuantile(double a, double b, double p);

// P(1 is better than 2), I_x(a₂, a₁) with x = b₂/(b₁ + b₂).
[[nodiscard]] double chanceBetter(const Rate& one, const Rate& two);
[[nodiscard]] double chanceBetter(double a1, double b1, double a2, double b2);
// Whether the two can be told apart.
[[nodiscard]] bool enoughToTell(const Rate& one, const Rate& two);

enum class Factor { fly, position, flyAndPosition, size, wave, light, month };
template <>
struct Names<Factor> {
    static constexpr std::array entries = {
        NameOf{Factor::fly, "fly"},    NameOf{Factor::position, "position"}, NameOf{Factor::flyAndPosition, "fly_and_position"},
        NameOf{Factor::size, "size"},  NameOf{Factor::wave, "wave"},         NameOf{Factor::light, "light"},
        NameOf{Factor::month, "month"}};
};
// The rates of a factor's cells, best first.
[[nodiscard]] std::vector<Rate> ratesBy(const Book& book, Factor factor);
// The same by whatever names a cell of a fly in a position on a day; what has no name is left out.
using CellOf = std::function<std::string(const Day&, const Fly&, Position)>;
[[nodiscard]] std::vector<Rate> ratesBy(const Book& book, const CellOf& cellOf);

// By depth, in bands of 10 cm: exposure is the hours of each outing times the share of the time that its fly spends in
// each band, which `shares` tells (from the drift of that team; as many bands as it likes, summing to 1 or less). Only fish
// whose depth was written down count, and only days that have such a fish or none at all.
using BandShares = std::function<std::vector<double>(const Outing&, Position)>;
[[nodiscard]] std::vector<Rate> ratesByDepth(const Book& book, const BandShares& shares);

// Whether one fly takes more than another. Flies on one team share the day, so they are compared within the days on which
// both were, where there are kDaysWithin of those; else over all days.
inline constexpr std::size_t kDaysWithin = 5;
struct FlyComparison {
    Rate one;
    Rate two;
    double better = 0.5;   // P(one takes more)
    std::size_t days = 0;  // on which both were on a team
    bool within = false;
    [[nodiscard]] bool told() const { return enoughToTell(one, two); }
};
[[nodiscard]] FlyComparison compareFlies(const Book& book, std::string_view one, std::string_view two);

}  // namespace machair
