// A team of flies on its leader, and the schools it may be judged by.
#pragma once

#include <array>
#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "book/fly.h"
#include "dressing/pattern.h"
#include "hook/hook.h"
#include "units/names.h"
#include "units/quantity.h"

namespace machair {

// Where a fly hangs, down the leader from the rod. Most teams are bob, middle and point; where a water allows a fourth
// and a fifth, they hang between those.
enum class Position { bob, upper, middle, lower, point };
inline constexpr std::array kPositions = {Position::bob, Position::upper, Position::middle, Position::lower, Position::point};
inline constexpr std::array kTrio = {Position::bob, Position::middle, Position::point};
template <>
struct Names<Position> {
    static constexpr std::array entries = {NameOf{Position::bob, "bob"}, NameOf{Position::upper, "upper"},
                                           NameOf{Position::middle, "middle"}, NameOf{Position::lower, "lower"},
                                           NameOf{Position::point, "point"}};
};

// What a fly that hangs here should have been dressed for.
[[nodiscard]] constexpr TeamRole roleAt(Position position) {
    return position == Position::bob ? TeamRole::bob : position == Position::point ? TeamRole::point : TeamRole::middle;
}

// One of something for each position.
template <class T>
struct ByPosition {
    std::array<T, kPositions.size()> each{};
    ByPosition() = default;
    explicit ByPosition(std::array<T, kPositions.size()> values) : each(std::move(values)) {}  // no list of three slips in unnoticed
    [[nodiscard]] T& operator[](Position position) { return each[static_cast<std::size_t>(position)]; }
    [[nodiscard]] const T& operator[](Position position) const { return each[static_cast<std::size_t>(position)]; }
    bool operator==(const ByPosition&) const = default;
};
using FliesByPosition = ByPosition<std::optional<Fly>>;
// The positions that a team is shown with: the usual three, and any other that has a fly.
[[nodiscard]] std::vector<Position> positionsShown(const FliesByPosition& flies);
// A team of three.
[[nodiscard]] inline FliesByPosition trioOf(std::optional<Fly> bob, std::optional<Fly> middle, std::optional<Fly> point) {
    FliesByPosition flies;
    flies[Position::bob] = std::move(bob);
    flies[Position::middle] = std::move(middle);
    flies[Position::point] = std::move(point);
    return flies;
}

enum class School { stepped, bigTop, oneSize, riverSwing };
template <>
struct Names<School> {
    static constexpr std::array entries = {NameOf{School::stepped, "stepped"}, NameOf{School::bigTop, "big_top"},
                                           NameOf{School::oneSize, "one_size"}, NameOf{School::riverSwing, "river_swing"}};
};
enum class Strand { nylon, copolymer, fluorocarbon };
template <>
struct Names<Strand> {
    static constexpr std::array entries = {NameOf{Strand::nylon, "nylon"}, NameOf{Strand::copolymer, "copolymer"},
                                           NameOf{Strand::fluorocarbon, "fluorocarbon"}};
};

struct LeaderSpec {
    std::optional<Strand> material;
    std::optional<Length> diameter;
    std::optional<Length> tipToBob;
    std::optional<Length> bobToMiddle;
    std::optional<Length> middleToPoint;
    std::optional<Length> dropper;
    std::optional<Length> bobToUpper = {};     // half of the way to the middle where absent
    std::optional<Length> middleToLower = {};  // half of the way to the point
    Carried carried;
    bool operator==(const LeaderSpec&) const = default;
};

struct TeamSpec {
    TeamSpec();
    TeamSpec(const TeamSpec&);
    TeamSpec(TeamSpec&&) noexcept;
    TeamSpec& operator=(const TeamSpec&);
    TeamSpec& operator=(TeamSpec&&) noexcept;
    ~TeamSpec();

    TeamId id;
    std::optional<std::string> name;
    FliesByPosition flies;
    std::optional<School> school;
    std::optional<SchoolId> ownSchool;  // a school of the tier's own, before `school`
    std::optional<LeaderSpec> leader;
    std::optional<std::string> note;
    Carried carried;
    bool operator==(const TeamSpec&) const;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
    [[nodiscard]] const std::optional<Fly>& at(Position position) const { return flies[position]; }
    [[nodiscard]] std::optional<Fly>& at(Position position) { return flies[position]; }
    [[nodiscard]] bool empty() const { return flies == FliesByPosition{}; }
};

// The leader with its usual measures where nothing is said.
struct LeaderMeasures {
    Strand strand = Strand::nylon;
    Length diameter = 0.20 * mm;
    Length tipToBob = 1.5 * metre;
    Length bobToMiddle = 1.2 * metre;
    Length middleToPoint = 1.2 * metre;
    Length dropper = 0.12 * metre;
    std::optional<Length> bobToUpper = {};
    std::optional<Length> middleToLower = {};
    [[nodiscard]] Length overall() const { return tipToBob + bobToMiddle + middleToPoint; }
    // Along the leader from the rod's end of it to where this position's fly hangs.
    [[nodiscard]] Length fromTip(Position position) const;
};
[[nodiscard]] LeaderMeasures measuresOf(const std::optional<LeaderSpec>& spec);

// What a team is judged on: of one fly in its place, of a pair, of the leader (models-team.md section D).
enum class TeamTerm {
    style,
    role,
    fullness,
    stiff,
    hold,
    anchor,
    slim,
    size,
    season,
    rules,
    sinkStep,
    sinkAcross,
    presenceOrder,
    turnover,
    pointWeight,
    sizeStep,
    topSizeStep,
    family,
    variety,
    twice,
    spacing,
    dropper
};
template <>
struct Names<TeamTerm> {
    static constexpr std::array entries = {NameOf{TeamTerm::style, "style"},
                                           NameOf{TeamTerm::role, "role"},
                                           NameOf{TeamTerm::fullness, "fullness"},
                                           NameOf{TeamTerm::stiff, "stiff"},
                                           NameOf{TeamTerm::hold, "hold"},
                                           NameOf{TeamTerm::anchor, "anchor"},
                                           NameOf{TeamTerm::slim, "slim"},
                                           NameOf{TeamTerm::size, "size"},
                                           NameOf{TeamTerm::season, "season"},
                                           NameOf{TeamTerm::rules, "rules"},
                                           NameOf{TeamTerm::sinkStep, "sink_step"},
                                           NameOf{TeamTerm::sinkAcross, "sink_across"},
                                           NameOf{TeamTerm::presenceOrder, "presence_order"},
                                           NameOf{TeamTerm::turnover, "turnover"},
                                           NameOf{TeamTerm::pointWeight, "point_weight"},
                                           NameOf{TeamTerm::sizeStep, "size_step"},
                                           NameOf{TeamTerm::topSizeStep, "top_size_step"},
                                           NameOf{TeamTerm::family, "family"},
                                           NameOf{TeamTerm::variety, "variety"},
                                           NameOf{TeamTerm::twice, "twice"},
                                           NameOf{TeamTerm::spacing, "spacing"},
                                           NameOf{TeamTerm::dropper, "dropper"}};
};

// Of a school of the tier's own: another range, near-width or weight for one term; what is absent stays as it is.
struct OwnWanted {
    TeamTerm term = TeamTerm::fullness;
    std::optional<double> low;
    std::optional<double> high;
    std::optional<double> nearWidth;
    std::optional<double> weight;
    Carried carried;
    bool operator==(const OwnWanted&) const = default;
};
// How full a fly is wanted in a place at one height of wave, in usual collars.
struct OwnRange {
    Position place = Position::bob;
    Length wave;
    double low = 0.0;
    double high = 4.0;
    Carried carried;
    bool operator==(const OwnRange&) const = default;
};
// How a style suits a place, from 0 to 1, in a calm and in a wave.
struct OwnStyle {
    FlyStyle style = FlyStyle::palmer;
    Position place = Position::bob;
    double calm = 0.5;
    std::optional<double> wave;  // as in a calm where absent
    Carried carried;
    bool operator==(const OwnStyle&) const = default;
};

// A school of the tier's own: one of the four, with what it wants otherwise. team/rules.h says what each number is.
struct TeamSchool {
    TeamSchool();
    TeamSchool(const TeamSchool&);
    TeamSchool(TeamSchool&&) noexcept;
    TeamSchool& operator=(const TeamSchool&);
    TeamSchool& operator=(TeamSchool&&) noexcept;
    ~TeamSchool();

    SchoolId id;
    std::optional<std::string> name;
    School like = School::stepped;
    std::optional<std::string> belief;
    std::optional<double> sinkStep;
    std::optional<double> presenceStep;
    std::optional<double> turnoverStep;
    std::optional<double> pointShare;
    std::optional<double> familySpread;
    std::optional<Length> spacingLeast;
    std::optional<Length> spacingMost;
    std::optional<Length> dropperLeast;
    std::optional<Length> dropperMost;
    std::optional<double> fullness;  // times what the wave wants
    std::vector<OwnWanted> wanted;
    std::vector<OwnRange> ranges;  // a place that is named has only these rows
    std::vector<OwnStyle> styles;
    Carried carried;
    bool operator==(const TeamSchool&) const;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
};

}  // namespace machair
