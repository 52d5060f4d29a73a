// The water and its day, its rules, and the box of flies that are tied.
#pragma once

#include <array>
#include <optional>
#include <string>
#include <vector>

#include "book/teams.h"
#include "hook/hook.h"
#include "units/names.h"
#include "units/quantity.h"

namespace machair {

enum class WaterColour { clear, tea, peat, green };
template <>
struct Names<WaterColour> {
    static constexpr std::array entries = {NameOf{WaterColour::clear, "clear"}, NameOf{WaterColour::tea, "tea"},
                                           NameOf{WaterColour::peat, "peat"}, NameOf{WaterColour::green, "green"}};
};
enum class Light { bright, cloud, dusk };
template <>
struct Names<Light> {
    static constexpr std::array entries = {NameOf{Light::bright, "bright"}, NameOf{Light::cloud, "cloud"}, NameOf{Light::dusk, "dusk"}};
};

struct WaterSpec {
    WaterSpec();
    WaterSpec(const WaterSpec&);
    WaterSpec(WaterSpec&&) noexcept;
    WaterSpec& operator=(const WaterSpec&);
    WaterSpec& operator=(WaterSpec&&) noexcept;
    ~WaterSpec();

    WaterId id;
    std::optional<std::string> name;
    std::optional<Speed> wind;
    std::optional<double> windFrom;  // degrees from north, the way a vane points
    std::optional<Length> fetch;
    std::optional<Length> depth;
    std::optional<WaterColour> colour;
    std::optional<Light> light;
    std::optional<double> celsius;
    std::optional<int> month;
    std::optional<std::string> hatching;
    std::optional<bool> drogue;
    std::optional<bool> ownDrift;                // of the boat as the days have it, not the rule of thumb
    std::optional<int> kept;                     // fish so far today: a contest's barbs come off after so many
    std::optional<RuleCardId> rules;             // id of a rule card
    std::vector<std::array<Length, 2>> outline;  // its shore, east and north of a corner
    std::optional<std::string> note;
    Carried carried;
    bool operator==(const WaterSpec&) const;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
};

enum class BarbRule { free, barbless, barbedUntilKept };
template <>
struct Names<BarbRule> {
    static constexpr std::array entries = {NameOf{BarbRule::free, "free"}, NameOf{BarbRule::barbless, "barbless"},
                                           NameOf{BarbRule::barbedUntilKept, "barbed_until_kept"}};
};

// What a water or a contest allows. What is absent is not ruled.
struct RuleCard {
    RuleCard();
    RuleCard(const RuleCard&);
    RuleCard(RuleCard&&) noexcept;
    RuleCard& operator=(const RuleCard&);
    RuleCard& operator=(RuleCard&&) noexcept;
    ~RuleCard();

    RuleCardId id;
    std::optional<std::string> name;
    std::optional<std::string> source;  // where it was read
    std::optional<std::string> date;    // and when
    std::optional<int> mostFlies;
    std::optional<Length> leastSpacing;
    std::optional<Length> longestLeader;
    std::optional<Length> longestFly;
    std::optional<int> largestHook;  // as a size: 8 is larger than 12
    std::optional<int> smallestHook;
    std::optional<BarbRule> barb;
    std::optional<int> keptBeforeBarbless;
    std::optional<bool> beads;  // and any other weight
    std::optional<std::string> note;
    Carried carried;
    bool operator==(const RuleCard&) const;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
};

// Where in the water a creature is taken.
enum class WaterLayer { bottom, mid, film, surface };
template <>
struct Names<WaterLayer> {
    static constexpr std::array entries = {NameOf{WaterLayer::bottom, "bottom"}, NameOf{WaterLayer::mid, "mid"},
                                           NameOf{WaterLayer::film, "film"}, NameOf{WaterLayer::surface, "surface"}};
};

// What is about on the water from one month to another (over the new year where the first is later), and what suits it.
struct SeasonRow {
    SeasonRow();
    SeasonRow(const SeasonRow&);
    SeasonRow(SeasonRow&&) noexcept;
    SeasonRow& operator=(const SeasonRow&);
    SeasonRow& operator=(SeasonRow&&) noexcept;
    ~SeasonRow();

    SeasonRowId id;
    std::string creature;
    int fromMonth = 1;
    int toMonth = 12;
    std::optional<std::string> suits;  // "dark and sparse; Tern's Shadow"
    std::optional<std::string> size;   // "12-14"
    std::optional<std::string> colour;
    std::optional<WaterLayer> where;
    std::optional<std::string> fished;
    std::vector<DressingId> dressings;  // ids of those that imitate it
    std::vector<FlyStyle> styles;
    std::optional<Position> place;  // of the team; any where absent
    std::optional<std::string> note;
    Carried carried;
    bool operator==(const SeasonRow&) const;
    [[nodiscard]] const std::string& title() const { return creature; }
    [[nodiscard]] bool includes(int month) const {
        return fromMonth <= toMonth ? month >= fromMonth && month <= toMonth : month >= fromMonth || month <= toMonth;
    }
};

// Flies that are tied and lie in the box: one dressing on one hook.
struct BoxFly {
    BoxFly();
    BoxFly(const BoxFly&);
    BoxFly(BoxFly&&) noexcept;
    BoxFly& operator=(const BoxFly&);
    BoxFly& operator=(BoxFly&&) noexcept;
    ~BoxFly();

    BoxFlyId id;
    DressingId pattern;
    std::optional<HookId> hook;    // the dressing's own where absent
    std::optional<int> tied;       // 1 where absent
    std::optional<int> chewed;     // of those, still there but spent
    std::optional<int> lost = {};  // in the water so far
    Carried carried = {};
    bool operator==(const BoxFly&) const;
};
[[nodiscard]] inline Fly flyOf(const BoxFly& fly) { return {fly.pattern, fly.hook}; }

}  // namespace machair
