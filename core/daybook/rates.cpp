#include "daybook/rates.h"

#include <algorithm>
#include <array>
#include <boost/math/distributions/gamma.hpp>
#include <boost/math/special_functions/beta.hpp>
#include <cmath>
#include <optional>

#include "book/flies.h"
#include "language/say.h"
#include "units/text.h"
#include "water/sea.h"

namespace machair {

namespace {

constexpr double kPriorHours = 4.0;  // the prior weighs as much as four hours
constexpr std::size_t kDaysForSpread = 5;
constexpr double kUsualSpread = 1.5;

}  // namespace

double RateCell::fish() const {
    double sum = 0.0;
    for (const auto& [n, h] : days)
        sum += n;
    return sum;
}
double RateCell::hours() const {
    double sum = 0.0;
    for (const auto& [n, h] : days)
        sum += h;
    return sum;
}

double spreadOf(const std::vector<std::pair<double, double>>& days) {
    if (days.size() < kDaysForSpread) return kUsualSpread;
    double n = 0.0, h = 0.0, sum = 0.0;
    for (const auto& [fish, exposure] : days) {
        n += fish;
        h += exposure;
    }
    if (n <= 0.0 || h <= 0.0) return 1.0;
    const double r = n / h;
    for (const auto& [fish, exposure] : days)
        if (exposure > 0.0) sum += (fish - r * exposure) * (fish - r * exposure) / (r * exposure);
    return std::max(1.0, sum / static_cast<double>(days.size() - 1));
}

double gammaQuantile(double a, double b, double p) { return boost::math::quantile(boost::math::gamma_distribution<double>(a, 1.0 / b), p); }

Rate rateOf(const std::string& name, const RateCell& cell, double elsewhereFish, double elsewhereHours) {
    Rate rate;
    rate.name = name;
    rate.fish = cell.fish();
    rate.hours = cell.hours();
    rate.fished = rate.hours > 0.0;
    const double prior = (elsewhereFish + 0.5) / (elsewhereHours + 1.0);
    rate.spread = spreadOf(cell.days);
    rate.a = kPriorHours * prior + rate.fish / rate.spread;
    rate.b = kPriorHours + rate.hours / rate.spread;
    rate.low = gammaQuantile(rate.a, rate.b, 0.1);
    rate.high = gammaQuantile(rate.a, rate.b, 0.9);
    return rate;
}

double chanceBetter(double a1, double b1, double a2, double b2) { return boost::math::ibeta(a2, a1, b2 / (b1 + b2)); }
double chanceBetter(const Rate& one, const Rate& two) { return chanceBetter(one.a, one.b, two.a, two.b); }

bool enoughToTell(const Rate& one, const Rate& two) {
    const double p = chanceBetter(one, two);
    if (p > 0.1 && p < 0.9) return false;
    const double overlap = std::min(one.high, two.high) - std::max(one.low, two.low);
    return overlap <= 0.5 * std::min(one.high - one.low, two.high - two.low);
}

std::vector<Rate> ratesBy(const Book& book, Factor factor) {
    const auto title = [&](const DressingId& pattern) {
        const Pattern* found = book.findPattern(pattern);
        return found ? found->title() : pattern;
    };
    const auto size = [&](const Fly& fly) {
        const HookSpec* hook = hookOf(book, fly);
        return hook ? say("size {}", std::to_string(hook->size)) : std::string();
    };
    return ratesBy(book, [&](const Day& day, const Fly& fly, Position position) -> std::string {
        switch (factor) {
            case Factor::fly: return title(fly.pattern);
            case Factor::position: return std::string(nameOf(position));
            case Factor::flyAndPosition: return say("{} on the {}", title(fly.pattern), sayName(position));
            case Factor::size: return size(fly);
            case Factor::wave: return day.wave ? std::string(nameOf(seaClass(*day.wave))) : std::string();
            case Factor::light: return day.light ? std::string(nameOf(*day.light)) : std::string();
            case Factor::month: return day.date.substr(5, 2);
        }
        return {};
    });
}

std::vector<Rate> ratesBy(const Book& book, const CellOf& cellOf) {
    // A day's share of a cell: hours in which the fly fished there, fish that it took there.
    std::map<std::string, RateCell> cells;
    double fish = 0.0, hours = 0.0;
    for (const Day& day : book.days) {
        std::map<std::string, std::pair<double, double>> own;
        const double rods = day.rods.value_or(1);
        for (const Outing& outing : day.outings)
            for (const Position position : kPositions)
                if (const auto& fly = outing.at(position))
                    if (const std::string cell = cellOf(day, *fly, position); !cell.empty()) own[cell].second += rods * outing.hours;
        for (const Fish& caught : day.fish)
            if (const std::string cell = cellOf(day, flyOf(caught), caught.position); !cell.empty()) own[cell].first += 1.0;
        for (const auto& [cell, both] : own) {
            cells[cell].days.push_back(both);
            fish += both.first;
            hours += both.second;
        }
    }
    std::vector<Rate> rates;
    for (const auto& [name, cell] : cells)
        rates.push_back(rateOf(name, cell, fish - cell.fish(), hours - cell.hours()));
    std::ranges::stable_sort(rates, std::greater{}, &Rate::mean);
    return rates;
}

std::vector<Rate> ratesByDepth(const Book& book, const BandShares& shares) {
    std::vector<RateCell> cells;
    double fish = 0.0, hours = 0.0;
    const auto cellAt = [&](std::size_t band) -> RateCell& {
        if (cells.size() <= band) cells.resize(band + 1);
        return cells[band];
    };
    constexpr Length kBand = 100.0 * mm;
    for (const Day& day : book.days) {
        // A day whose fish have no depths says nothing of depth; one without fish says that none were there.
        const bool told = day.fish.empty() || std::ranges::any_of(day.fish, [](const Fish& f) { return f.depth.has_value(); });
        if (!told) continue;
        std::map<std::size_t, std::pair<double, double>> own;
        for (const Outing& outing : day.outings)
            for (const Position position : kPositions) {
                if (!outing.at(position)) continue;
                const std::vector<double> in = shares(outing, position);
                for (std::size_t band = 0; band < in.size(); ++band)
                    if (in[band] > 0.0) own[band].second += day.rods.value_or(1) * outing.hours * in[band];
            }
        for (const Fish& caught : day.fish)
            if (caught.depth) own[static_cast<std::size_t>(std::max(0.0, std::floor(*caught.depth / kBand)))].first += 1.0;
        for (const auto& [band, both] : own) {
            cellAt(band).days.push_back(both);
            fish += both.first;
            hours += both.second;
        }
    }
    std::vector<Rate> rates;
    for (std::size_t band = 0; band < cells.size(); ++band)
        if (!cells[band].days.empty())
            rates.push_back(rateOf(say("{} to {} cm", std::to_string(10 * band), std::to_string(10 * (band + 1))), cells[band],
                                   fish - cells[band].fish(), hours - cells[band].hours()));
    return rates;
}

FlyComparison compareFlies(const Book& book, std::string_view one, std::string_view two) {
    const auto cellsOf = [&](bool onlyShared, std::size_t& shared) {
        std::array<RateCell, 2> cells;
        shared = 0;
        for (const Day& day : book.days) {
            std::array<std::pair<double, double>, 2> own{};
            bool together = false;
            for (const Outing& outing : day.outings) {
                std::array<bool, 2> on{};
                for (const Position position : kPositions) {
                    const auto& fly = outing.at(position);
                    on[0] |= fly && fly->pattern == one;
                    on[1] |= fly && fly->pattern == two;
                }
                together |= on[0] && on[1];
                if (onlyShared && !(on[0] && on[1])) continue;
                for (std::size_t k = 0; k < 2; ++k)
                    if (on[k]) own[k].second += day.rods.value_or(1) * outing.hours;
            }
            if (together) ++shared;
            if (onlyShared && !together) continue;
            for (const Fish& caught : day.fish) {
                if (caught.pattern == one) own[0].first += 1.0;
                if (caught.pattern == two) own[1].first += 1.0;
            }
            for (std::size_t k = 0; k < 2; ++k)
                if (own[k].second > 0.0) cells[k].days.push_back(own[k]);
        }
        return cells;
    };
    double fish = 0.0, hours = 0.0;
    for (const Rate& rate : ratesBy(book, Factor::fly)) {
        fish += rate.fish;
        hours += rate.hours;
    }
    FlyComparison comparison;
    auto cells = cellsOf(true, comparison.days);
    comparison.within = comparison.days >= kDaysWithin;
    std::size_t unused = 0;
    if (!comparison.within) cells = cellsOf(false, unused);
    comparison.one = rateOf(std::string(one), cells[0], std::max(0.0, fish - cells[0].fish()), std::max(0.0, hours - cells[0].hours()));
    comparison.two = rateOf(std::string(two), cells[1], std::max(0.0, fish - cells[1].fish()), std::max(0.0, hours - cells[1].hours()));
    comparison.better = chanceBetter(comparison.one, comparison.two);
    return comparison;
}

}  // namespace machair
