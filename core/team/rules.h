// What a school of team-making wants: models-team.md sections B to D. These are our rules of thumb, and users copy and
// edit them: every range, near-width, weight and table here is data of a school.
#pragma once

#include <array>
#include <string>
#include <vector>

#include "book/book.h"

namespace machair {

// A wanted range. Outside it a value is "near" up to one near-width away, then "off".
struct Wanted {
    double low = -1e300;
    double high = 1e300;
    double nearWidth = 1.0;
    double weight = 1.0;  // in choosing
    // How far outside, in near-widths; 0 inside. A value on the edge, as computed, is inside.
    [[nodiscard]] double shortfall(double value) const {
        constexpr double kDust = 1e-9;
        const double off = value < low ? low - value : value > high ? value - high : 0.0;
        return off <= kDust ? 0.0 : off / nearWidth;
    }
    // Of its weight, what a team loses: nothing inside the range, all of it from one near-width outside on.
    [[nodiscard]] double lost(double shortfall) const { return shortfall <= 0.0 ? 0.0 : weight * std::min(1.0, 0.15 + 0.85 * shortfall); }
};

// A range at one height of wave, m.
struct RangeRow {
    double wave = 0.0;
    double low = 0.0;
    double high = 0.0;
};
// Linear between its rows, flat outside them.
using RangeRows = std::vector<RangeRow>;
[[nodiscard]] RangeRow rangeAt(const RangeRows& rows, double wave);

// How a style suits a place in a calm (H <= 0.02 m) and in a wave (H >= 0.10 m), from 0 to 1.
struct Suits {
    double calm = 0.0;
    double wave = 0.0;
    [[nodiscard]] double at(double height) const;
};
using StyleTable = std::array<std::array<Suits, kTrio.size()>, Names<FlyStyle>::entries.size()>;

// Tables know bob, middle and point: what hangs between those is a middle.
[[nodiscard]] inline std::string name(Position position) { return sayName(position); }

[[nodiscard]] constexpr std::size_t columnOf(Position position) {
    return position == Position::bob ? 0 : position == Position::point ? 2 : 1;
}

struct SchoolRules {
    std::string name;
    std::string belief;  // one sentence; an opinion

    // Of a pair.
    Wanted sinkStep{0.78, 1e300, 0.13, 2.0};       // the lower fly sinks so many times as fast as its neighbour above
    Wanted sinkAcross{1.05, 1e300, 0.15, 1.0};     // the point as the bob
    Wanted presenceOrder{0.70, 1e300, 0.20, 1.0};  // the upper fly pushes so many times the water
    Wanted turnover{0.70, 1e300, 0.20, 1.5};       // weight for the water pushed, lower to upper
    Wanted pointWeight{0.30, 1e300, 0.10, 1.5};    // the point's mass to another fly's
    Wanted sizeStep{-4.0, 4.0, 2.0, 0.75};         // hook numbers that the lower fly is smaller by
    Wanted topSizeStep{-2.0, 4.0, 2.0, 0.75};      // the same from the bob
    Wanted family{-1e300, 0.60, 0.60, 0.5};        // of lengths that two flies of one style share, max / min - 1
    Wanted variety{2.0, 1e300, 2.0, 0.75};         // CIEDE2000 between neighbours at fishing depth
    Wanted twice{-1e300, 0.0, 1.0, 1.5};           // 1 where both are one dressing on one hook

    // Of the leader.
    Wanted spacing{0.9, 1.8, 0.2, 1.0};     // m between flies
    Wanted dropper{0.08, 0.20, 0.04, 1.0};  // m

    // Of one fly in its place; where the range follows from the wave, near-width and weight stand here.
    Wanted style{0.50, 1e300, 0.25, 4.0};
    Wanted role{-1e300, 1e300, 1.0, 2.0};
    Wanted fullness{0.0, 0.0, 0.8, 2.0};
    double pointFullnessNear = 0.6;
    Wanted stiff{0.0, 1.0, 0.35, 1.0};
    Wanted hold{0.0, 1e300, 1.5, 2.0};    // presence to weight in the water
    Wanted anchor{0.0, 1e300, 1.0, 2.0};  // its own three ranges, below
    Wanted slim{-1e300, 1.8, 0.8, 1.0};   // mN
    Wanted size{0.0, 0.0, 2.0, 1.0};      // hook numbers
    Wanted season{0.0, 1e300, 1.0, 1.5};
    double daybookWeight = 1.0;

    // Usual collars wanted on bob, middle and point, by wave.
    std::array<RangeRows, kTrio.size()> full;
    double fullnessScale = 1.0;
    RangeRows stiffShare;  // of the bob
    RangeRows holdLeast;   // low only
    RangeRows anchorSink;  // cm/s
    double anchorSinkNear = 4.0;
    double anchorSinkMostNear = 8.0;
    RangeRows anchorWeight;  // mN in the water, low only
    double anchorWeightNear = 0.20;
    std::array<RangeRows, kTrio.size()> sizes;  // hook numbers
    StyleTable styles;
    double keptOutUnder = 0.12;                                    // of `styles`: no fly is proposed there
    std::array<double, kTrio.size()> wanting{0.5, 0.35, 0.5};      // how far up its range of fullness a fly is best
    std::vector<double> usualWaves{0.03, 0.06, 0.10, 0.15, 0.20};  // m: a team is judged in each where no day is given
    double usualWave = 0.10;                                       // and one place alone

    ByPosition<bool> beads{std::array{false, false, false, false, true}};  // where one may be put on
};
[[nodiscard]] SchoolRules rulesOf(School school);
[[nodiscard]] SchoolRules rulesOf(const TeamSchool& own);
// The team's own school where it has one, else one of the four.
[[nodiscard]] SchoolRules rulesFor(const Book& book, const TeamSpec& team);

}  // namespace machair
