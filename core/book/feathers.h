// What lies in the drawers by count: the feathers that slips are cut from, one by one, capes, spools and off-cuts; and lists of slips
// wanted (formats.md, "Feathers and cut lists").
#pragma once

#include <array>
#include <optional>
#include <string>
#include <vector>

#include "hook/hook.h"
#include "units/names.h"
#include "units/quantity.h"

namespace machair {

enum class VaneSide { left, right };
template <>
struct Names<VaneSide> {
    static constexpr std::array entries = {NameOf{VaneSide::left, "left"}, NameOf{VaneSide::right, "right"}};
};
enum class SlipSide { left, right, any };
template <>
struct Names<SlipSide> {
    static constexpr std::array entries = {NameOf{SlipSide::left, "left"}, NameOf{SlipSide::right, "right"}, NameOf{SlipSide::any, "any"}};
};

// From and to, along a vane from its base.
using Stretch = std::array<Length, 2>;

// Against others of its kind.
enum class FeatherShade { light, middling, dark };
template <>
struct Names<FeatherShade> {
    static constexpr std::array entries = {NameOf{FeatherShade::light, "light"}, NameOf{FeatherShade::middling, "middling"},
                                           NameOf{FeatherShade::dark, "dark"}};
};

// One feather that lies in the drawer: its vane, how long its barbs are along it, what was cut out already; and how it was
// graded: its shade, where it is broken, split or pale, and the mark that it shares with the one it was paired with.
struct VaneFeather {
    VaneFeather();
    VaneFeather(const VaneFeather&);
    VaneFeather(VaneFeather&&) noexcept;
    VaneFeather& operator=(const VaneFeather&);
    VaneFeather& operator=(VaneFeather&&) noexcept;
    ~VaneFeather();

    FeatherId id;
    MaterialId material;
    VaneSide side = VaneSide::left;
    Length vane;
    std::vector<Length> barbs;  // at the base, in the middle, at the tip
    std::vector<Stretch> taken;
    std::optional<FeatherShade> shade;
    std::vector<Stretch> spoiled;
    std::optional<std::string> match;
    Carried carried;
    bool operator==(const VaneFeather&) const;
};

struct SlipWanted {
    std::string id;
    MaterialId material;
    Length width;
    Length barb;  // at least so long everywhere in it
    std::optional<SlipSide> side;
    std::optional<bool> pair;  // one of a left and one of a right feather, from the same station
    Carried carried;
    bool operator==(const SlipWanted&) const = default;
};

struct CutList {
    CutList();
    CutList(const CutList&);
    CutList(CutList&&) noexcept;
    CutList& operator=(const CutList&);
    CutList& operator=(CutList&&) noexcept;
    ~CutList();

    CutListId id;
    std::vector<SlipWanted> slips;
    Carried carried;
    bool operator==(const CutList&) const;
};

// Hackles that are left of a cape or skin, counted by how long their fibres are.
struct CapeBand {
    Length from;
    Length to;
    int count = 0;
    Carried carried;
    bool operator==(const CapeBand&) const = default;
    [[nodiscard]] Length middle() const { return 0.5 * (from + to); }
};
struct Cape {
    CapeId id;
    MaterialId material;
    std::optional<Length> usableStem;  // of one feather
    std::vector<CapeBand> bands;
    Carried carried;
    bool operator==(const Cape&) const = default;
};

// How much of a material lies in the drawer: on the spool, in the packet, and off-cuts worth keeping. What is absent is
// not counted.
struct Stock {
    StockId id;
    MaterialId material;
    std::optional<Length> length;  // on the spool, beside the off-cuts
    std::optional<double> count;   // beads, cheeks, strands, fibres
    std::optional<double> mass;    // fur, mg
    std::vector<Length> offcuts;
    Carried carried;
    bool operator==(const Stock&) const = default;
};

}  // namespace machair
