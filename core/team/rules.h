// What a school of team-making wants: models.md section 11. These are our rules of thumb, and users copy and edit them.
#pragma once

#include <array>
#include <string>

#include "book/book.h"

namespace machair {

// A wanted range. Outside it a value is "near" up to one near-width away, then "off".
struct Wanted {
    double low = -1e300;
    double high = 1e300;
    double nearWidth = 1.0;
    double weight = 1.0;  // in choosing
    // How far outside, in near-widths; 0 inside.
    [[nodiscard]] double shortfall(double value) const {
        const double off = value < low ? low - value : value > high ? value - high : 0.0;
        return off / nearWidth;
    }
};

struct SchoolRules {
    std::string name;
    std::string belief;                                // one sentence; an opinion
    Wanted sinkStep{1.15, 1e300, 0.10, 3.0};           // the lower fly sinks so many times as fast
    Wanted presenceOrder{1.0, 1e300, 0.10, 2.0};       // the upper fly pushes so many times the water
    Wanted turnover{1.15, 1e300, 0.15, 2.0};           // weight for the water pushed, lower to upper
    Wanted pointWeight{0.8, 1e300, 0.15, 1.0};         // the point's mass to another fly's
    Wanted sizeStep{-2.0, 4.0, 2.0, 1.0};              // hook sizes that the lower fly is smaller by
    Wanted topSizeStep{0.0, 2.0, 2.0, 1.0};            // the same between bob and the next
    Wanted family{-1e300, 0.15, 0.15, 1.0};            // of lengths to the gape that two flies share, max / min - 1
    Wanted variety{5.0, 1e300, 3.0, 0.5};              // CIEDE2000 between neighbours at fishing depth
    Wanted spacing{0.9, 1.8, 0.2, 1.0};                // m between flies
    Wanted dropper{0.08, 0.20, 0.04, 1.0};             // m
    Wanted fullness{-3.0, 3.0, 5.0, 2.0};              // fibres per mm of gape off what the wave wants
    double fullnessScale = 1.0;                        // times what the wave wants
    double roleWeight = 1.0;                           // a fly in the position it was dressed for
    ByPosition<bool> beads{std::array{false, false, false, false, true}};  // where one may be put on
};
[[nodiscard]] SchoolRules rulesOf(School school);
[[nodiscard]] SchoolRules rulesOf(const TeamSchool& own);
// The team's own school where it has one, else one of the four.
[[nodiscard]] SchoolRules rulesFor(const Book& book, const TeamSpec& team);

}  // namespace machair
