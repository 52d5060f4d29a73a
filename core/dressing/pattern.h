// A dressing as it is written: its parts in tying order. What was not written stays absent; sizing fills it in.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "dressing/school_choices.h"
#include "units/shared_list.h"

namespace machair {

enum class TeamRole { bob, middle, point, any };
template <>
struct Names<TeamRole> {
    static constexpr std::array entries = {NameOf{TeamRole::bob, "bob"}, NameOf{TeamRole::middle, "middle"},
                                           NameOf{TeamRole::point, "point"}, NameOf{TeamRole::any, "any"}};
};

// What a dressing is treated with to float.
enum class Treatment { none, grease, powder };
template <>
struct Names<Treatment> {
    static constexpr std::array entries = {NameOf{Treatment::none, "none"}, NameOf{Treatment::grease, "grease"},
                                           NameOf{Treatment::powder, "powder"}};
};
// What sort of fly it is, models-team.md section C.
enum class FlyStyle { lure, film, dry, beaded, palmer, legged, winged, hackled, spider, nymph };
template <>
struct Names<FlyStyle> {
    static constexpr std::array entries = {NameOf{FlyStyle::lure, "lure"},     NameOf{FlyStyle::film, "film"},
                                           NameOf{FlyStyle::dry, "dry"},       NameOf{FlyStyle::beaded, "beaded"},
                                           NameOf{FlyStyle::palmer, "palmer"}, NameOf{FlyStyle::legged, "legged"},
                                           NameOf{FlyStyle::winged, "winged"}, NameOf{FlyStyle::hackled, "hackled"},
                                           NameOf{FlyStyle::spider, "spider"}, NameOf{FlyStyle::nymph, "nymph"}};
};

struct Pattern {
    Pattern();
    Pattern(const Pattern&);
    Pattern(Pattern&&) noexcept;
    Pattern& operator=(const Pattern&);
    Pattern& operator=(Pattern&&) noexcept;
    ~Pattern();

    DressingId id;
    std::optional<std::string> name;
    std::optional<TeamRole> role;
    HookId hook;
    MaterialId thread;
    std::optional<Length> maxLength;
    std::optional<double> buoyancyMillinewton;  // 0 included, stands over what film and trapped air carry
    std::optional<Treatment> treated;
    std::optional<FlyStyle> style;
    std::optional<std::string> presentation;
    std::optional<SchoolChoices> schools;
    std::optional<DressingId> variedFrom;  // id of the dressing that it was varied from
    std::optional<std::string> variedWhy;
    std::optional<std::string> note;
    SharedList<Part> parts;
    Carried carried;
    bool operator==(const Pattern&) const;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
};

// The part that a reference means; nothing where there is none.
[[nodiscard]] std::optional<std::size_t> find(const Pattern& pattern, const PartRef& ref);
[[nodiscard]] std::optional<std::size_t> findKind(const Pattern& pattern, PartKind kind);
[[nodiscard]] std::string describe(const PartRef& ref);

// The method a body is wound by when none is written, from what it is made of.
[[nodiscard]] BodyMethod usualMethod(MaterialKind material);

}  // namespace machair
