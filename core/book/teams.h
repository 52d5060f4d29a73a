// A team of flies on its leader, and the schools it may be judged by.
#pragma once

#include <array>
#include <optional>
#include <string>
#include <utility>
#include <vector>

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
    static constexpr std::array entries = {NameOf{Position::bob, "bob"}, NameOf{Position::upper, "upper"}, NameOf{Position::middle, "middle"},
                                           NameOf{Position::lower, "lower"}, NameOf{Position::point, "point"}};
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
// Dressings, by id, where there is a fly.
using FliesByPosition = ByPosition<std::optional<std::string>>;
// The positions that a team is shown with: the usual three, and any other that has a fly.
[[nodiscard]] std::vector<Position> positionsShown(const FliesByPosition& flies);
// A team of three.
[[nodiscard]] inline FliesByPosition trioOf(std::optional<std::string> bob, std::optional<std::string> middle, std::optional<std::string> point) {
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
    std::string id;
    std::optional<std::string> name;
    FliesByPosition flies;
    std::optional<School> school;
    std::optional<std::string> ownSchool;  // a school of the tier's own, before `school`
    std::optional<LeaderSpec> leader;
    std::optional<std::string> note;
    Carried carried;
    bool operator==(const TeamSpec&) const = default;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
    [[nodiscard]] const std::optional<std::string>& at(Position position) const { return flies[position]; }
    [[nodiscard]] std::optional<std::string>& at(Position position) { return flies[position]; }
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

// A school of the tier's own: one of the four, with what it wants otherwise. team/rules.h says what each number is.
struct TeamSchool {
    std::string id;
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
    Carried carried;
    bool operator==(const TeamSchool&) const = default;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
};

}  // namespace machair
