// A fly in a place of the team on a day: what the wave wants there, how a fly suits it, and why (models-team.md sections
// B and C). Rules of thumb.
#pragma once

#include <array>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "team/figures.h"
#include "team/rules.h"

namespace machair {

// The day that a team is judged on. What is absent isn't known.
struct TeamDay {
    std::optional<Length> wave;
    std::optional<Light> light;
    std::optional<WaterColour> colour;
    std::vector<const SeasonRow*> season;  // this month's rows
    std::string about;                     // what is seen to hatch
};

// How much fuller or sparser than usual a fly is wanted: the school's scale, the light, the water.
[[nodiscard]] double fullnessScale(const SchoolRules& rules, const TeamDay& day);

// What one place wants at one height of wave.
struct PlaceWants {
    Position position = Position::bob;
    double wave = 0.0;                                             // m
    std::array<double, Names<FlyStyle>::entries.size()> styles{};  // how each suits, from 0 to 1
    Wanted style;
    Wanted role;
    Wanted fullness;
    double best = 0.0;  // of that range
    Wanted stiff;
    Wanted hold;
    Wanted sink;  // cm/s; its own near-width below
    double sinkMostNear = 8.0;
    Wanted weight;  // mN in the water
    Wanted anchor;  // the worst of the two above, as a shortfall
    Wanted slim;
    Wanted size;
    Wanted season;
    double keptOutUnder = 0.12;
    [[nodiscard]] bool isBob() const { return position == Position::bob; }
    [[nodiscard]] bool isPoint() const { return position == Position::point; }
    [[nodiscard]] double suits(FlyStyle is) const { return styles[static_cast<std::size_t>(is)]; }
};
[[nodiscard]] PlaceWants wantsOf(const SchoolRules& rules, Position position, double waveMetres, const TeamDay& day);

// One of the terms of a fly in a place.
struct PlaceTerm {
    TeamTerm term = TeamTerm::style;
    double value = 0.0;
    Wanted wanted;           // the range that the value is held against
    double share = 0.0;      // of the weight that is won
    double shortfall = 0.0;  // in near-widths
    [[nodiscard]] double won() const { return wanted.weight * share; }
    [[nodiscard]] double lost() const { return wanted.weight * (1.0 - share); }
};
struct PlaceFit {
    std::array<PlaceTerm, 10> terms;
    int count = 0;
    double sum = 0.0;    // of weight × share
    double whole = 0.0;  // of the weights in play, the daybook's apart
    bool keptOut = false;
    [[nodiscard]] const PlaceTerm* begin() const { return terms.data(); }
    [[nodiscard]] const PlaceTerm* end() const { return terms.data() + count; }
    [[nodiscard]] const PlaceTerm* find(TeamTerm term) const;
    [[nodiscard]] double score() const;  // of 100
};
// What is only asked for now and then.
struct PlaceExtras {
    std::optional<double> season;   // how it suits the month, from 0 to 1; absent where no row speaks of this place
    std::optional<double> daybook;  // a correction from -1 to 1
};
[[nodiscard]] PlaceFit fitIn(const FlyFigures& fly, const PlaceWants& wants, const PlaceExtras& extras = {});

// How a dressing suits what is about this month in a place; nothing where no row of the season speaks of it.
struct SeasonFit {
    double share = 0.0;
    std::string creature;  // that suits it best; empty where none does
};
[[nodiscard]] std::optional<SeasonFit> seasonFit(const TeamDay& day, Position position, FlyStyle style, const DressingId& pattern,
                                                 std::string_view title);
// What a dressing suggests on a hook of one size: the creatures of the season's rows that name it, or its style, and whose size ("12-14";
// any where none is written) takes that hook. In the order of the table.
[[nodiscard]] std::vector<const SeasonRow*> suggestedBy(const std::vector<SeasonRow>& season, const Pattern& dressing, FlyStyle style,
                                                        int size);

// The terms of a fit in words, the most won first, then the most lost.
[[nodiscard]] std::vector<std::string> reasonsOf(const PlaceFit& fit, const FlyFigures& fly, const PlaceWants& wants);
// One term, as a part of a sentence: "a palmer is what a bob wants in this wave".
[[nodiscard]] std::string sayTerm(const PlaceTerm& term, const FlyFigures& fly, const PlaceWants& wants);
// The same as a whole sentence about the place: "the bob is full, 2.3 usual collars; this wave wants 1.6 to 4.0".
[[nodiscard]] std::string sayCheck(const PlaceTerm& term, const FlyFigures& fly, const PlaceWants& wants);
// What would mend it; empty where nothing has to.
[[nodiscard]] std::string mendOf(const PlaceTerm& term, const FlyFigures& fly, const PlaceWants& wants);

// The single checks of section D; shortfalls are held to what the section allows.
[[nodiscard]] std::vector<PlaceTerm> checksOf(const FlyFigures& fly, const PlaceWants& wants);
// Whether all of them pass.
[[nodiscard]] bool passesIn(const FlyFigures& fly, const PlaceWants& wants);

// The half turns of the fullest hackle that bring a fly just inside the nearer end of its range (section B).
struct DressItSo {
    double turns = 0.0;  // more; less where negative
    double left = 0.0;   // usual collars that are still outside
    std::string part;    // "palmer"
    std::string words;   // "one turn more on the palmer"
};
[[nodiscard]] std::optional<DressItSo> dressItSo(const Plan& plan, const PlaceWants& wants);

[[nodiscard]] std::string sayFull(double full);  // "full, 2.3 usual collars"

}  // namespace machair
