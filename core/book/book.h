// A tier's data as one value: hooks, materials, dressings and teams. Two homes keep it (formats.md); both hold the same.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "dressing/pattern.h"
#include "hook/hook.h"
#include "material/material.h"

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
    std::optional<LeaderSpec> leader;
    std::optional<std::string> note;
    Carried carried;
    bool operator==(const TeamSpec&) const = default;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
    [[nodiscard]] const std::optional<std::string>& at(Position position) const;
    [[nodiscard]] std::optional<std::string>& at(Position position);
};

struct Book {
    std::vector<HookSpec> hooks;
    std::vector<Material> materials;
    std::vector<Pattern> patterns;
    std::vector<TeamSpec> teams;
    std::optional<SchoolChoices> schools;  // the tier's own, for every dressing that says nothing else
    Carried carried;
    bool operator==(const Book&) const = default;

    [[nodiscard]] const HookSpec* findHook(std::string_view id) const;
    [[nodiscard]] const Material* findMaterial(std::string_view id) const;
    [[nodiscard]] const Pattern* findPattern(std::string_view id) const;
    [[nodiscard]] const TeamSpec* findTeam(std::string_view id) const;
    [[nodiscard]] Pattern* findPattern(std::string_view id);
    [[nodiscard]] std::size_t indexOfPattern(std::string_view id) const;  // size() where there is none
};

// Everything that is wrong between the records: ids used twice (the fault stands at the second), hooks, materials and
// dressings that are named but missing, teams without a fly, parts referred to that the dressing hasn't, and hooks
// that contradict themselves. Empty for a sound book.
[[nodiscard]] Faults check(const Book& book);

}  // namespace machair
