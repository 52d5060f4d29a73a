// A team of flies on its leader, and the schools it may be judged by.
#pragma once

#include <optional>
#include <string>

#include "hook/hook.h"
#include "units/names.h"
#include "units/quantity.h"

namespace machair {

enum class Position { bob, middle, point };
inline constexpr std::array kPositions = {Position::bob, Position::middle, Position::point};
template <>
struct Names<Position> {
    static constexpr std::array entries = {NameOf{Position::bob, "bob"}, NameOf{Position::middle, "middle"},
                                           NameOf{Position::point, "point"}};
};

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
    Carried carried;
    bool operator==(const LeaderSpec&) const = default;
};

struct TeamSpec {
    std::string id;
    std::optional<std::string> name;
    std::optional<std::string> bob;
    std::optional<std::string> middle;
    std::optional<std::string> point;
    std::optional<School> school;
    std::optional<std::string> ownSchool;  // a school of the tier's own, before `school`
    std::optional<LeaderSpec> leader;
    std::optional<std::string> note;
    Carried carried;
    bool operator==(const TeamSpec&) const = default;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
    [[nodiscard]] const std::optional<std::string>& at(Position position) const;
    [[nodiscard]] std::optional<std::string>& at(Position position);
};

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
