#include "daybook/season.h"

#include <algorithm>
#include <numeric>

#include "units/text.h"

namespace machair {

namespace {

constexpr std::size_t kYear = 4;  // letters of "2026-06-12"

SeasonDay lookedBack(const Book& book, const Day& day) {
    SeasonDay seen;
    seen.date = day.date;
    if (const WaterSpec* water = day.water ? book.findWater(*day.water) : nullptr) seen.water = water->title();
    for (const Outing& outing : day.outings)
        seen.hours += outing.hours * day.rods.value_or(1);
    for (const Fish& fish : day.fish) {
        if (fish.lost.value_or(false)) {
            ++seen.lost;
            continue;
        }
        ++seen.fish;
        seen.kept += fish.kept.value_or(false) ? 1 : 0;
    }
    return seen;
}

}  // namespace

double SeasonReport::hours() const {
    return std::accumulate(days.begin(), days.end(), 0.0, [](double sum, const SeasonDay& d) { return sum + d.hours; });
}
int SeasonReport::fish() const {
    return std::accumulate(days.begin(), days.end(), 0, [](int sum, const SeasonDay& d) { return sum + d.fish; });
}
int SeasonReport::kept() const {
    return std::accumulate(days.begin(), days.end(), 0, [](int sum, const SeasonDay& d) { return sum + d.kept; });
}
int SeasonReport::lost() const {
    return std::accumulate(days.begin(), days.end(), 0, [](int sum, const SeasonDay& d) { return sum + d.lost; });
}

std::vector<std::string> seasonsOf(const Book& book) {
    std::vector<std::string> years;
    for (const Day& day : book.days)
        if (const std::string year = day.date.substr(0, kYear); std::ranges::find(years, year) == years.end()) years.push_back(year);
    std::ranges::sort(years, std::greater{});
    return years;
}

SeasonReport seasonReport(const Book& book, std::string_view year) {
    SeasonReport report;
    report.year = std::string(year);
    Book alone = book;
    std::erase_if(alone.days, [&](const Day& day) { return day.date.substr(0, kYear) != year; });
    std::ranges::sort(alone.days, {}, &Day::date);
    for (const Day& day : alone.days) {
        report.days.push_back(lookedBack(book, day));
        const auto month = parseNumber(std::string_view(day.date).substr(kYear + 1, 2));
        if (month && *month >= 1.0 && *month <= 12.0) report.fishByMonth[static_cast<std::size_t>(*month) - 1] += report.days.back().fish;
    }
    if (alone.days.empty()) return report;
    report.flies = ratesBy(alone, Factor::fly);
    report.places = ratesBy(alone, Factor::position);
    return report;
}

}  // namespace machair
