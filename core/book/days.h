// What was tied and what happened: batches, flies that were measured, days on the water.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "book/waters.h"

namespace machair {

// So many of one dressing on one hook, wanted and tied so far.
struct Batch {
    BatchId id;
    DressingId pattern;
    std::optional<HookId> hook;  // the dressing's own where absent
    int wanted = 1;
    std::optional<int> tied;
    std::optional<std::string> day;  // YYYY-MM-DD that it is for
    std::optional<TeamId> team;      // and the team
    std::vector<double> minutes;     // of hands that flies of it took, as they were logged
    std::optional<std::string> note;
    Carried carried;
    bool operator==(const Batch&) const = default;
    [[nodiscard]] int left() const { return std::max(0, wanted - tied.value_or(0)); }  // still to tie
};

[[nodiscard]] inline Fly flyOf(const Batch& batch) { return {batch.pattern, batch.hook}; }

// How often something went wrong at the vice, by the id of its card ("wing.cocks"); older books have the kind of the part.
struct Mishap {
    Mishap();
    Mishap(const Mishap&);
    Mishap(Mishap&&) noexcept;
    Mishap& operator=(const Mishap&);
    Mishap& operator=(Mishap&&) noexcept;
    ~Mishap();

    MishapId id;
    int count = 0;
    std::optional<std::string> shows;  // in words: "stands up"
    // Of a card of one's own.
    std::optional<PartKind> part;
    std::optional<std::string> thisFly;
    std::optional<std::string> nextFly;
    Carried carried;
    bool operator==(const Mishap&) const;
    [[nodiscard]] bool isOwnCard() const { return part || thisFly || nextFly; }
};

// One measure of a tied fly, against what the tier was told to aim for.
struct CheckReading {
    int part = 0;                       // its place in `parts`
    std::optional<PartKind> kind = {};  // what it was when it was measured, whatever stands at that place later
    std::string figure;                 // as `plan --json` calls it: "length_mm", "fibre_mm"
    Length aimed;
    Length measured;
    Carried carried;
    bool operator==(const CheckReading&) const = default;
};
struct CheckedFly {
    CheckedFly();
    CheckedFly(const CheckedFly&);
    CheckedFly(CheckedFly&&) noexcept;
    CheckedFly& operator=(const CheckedFly&);
    CheckedFly& operator=(CheckedFly&&) noexcept;
    ~CheckedFly();

    CheckId id;
    DressingId pattern;
    std::optional<std::string> date;
    std::vector<CheckReading> readings;
    std::vector<std::string> faults;   // ids of looks that were not right ("wing"); older books have their words
    std::optional<std::string> photo;  // the file that it was measured on
    Carried carried;
    bool operator==(const CheckedFly&) const;
};

// A team in the water for so long.
struct Outing {
    double hours = 1.0;
    FliesByPosition flies;
    Carried carried = {};
    bool operator==(const Outing&) const = default;
    [[nodiscard]] const std::optional<Fly>& at(Position position) const { return flies[position]; }
};
struct Fish {
    DressingId pattern;
    Position position = Position::bob;
    std::optional<bool> kept;
    std::optional<Length> depth;
    Carried carried = {};
    std::optional<bool> lost = {};         // hooked, and off again: it tells of the fly, not of the creel
    std::optional<HookId> hook = {};       // that the dressing was on; its own where absent
    std::optional<std::string> time = {};  // HH:MM
    bool operator==(const Fish&) const = default;
};
[[nodiscard]] inline Fly flyOf(const Fish& fish) { return {fish.pattern, fish.hook}; }
struct Day {
    Day();
    Day(const Day&);
    Day(Day&&) noexcept;
    Day& operator=(const Day&);
    Day& operator=(Day&&) noexcept;
    ~Day();

    DayId id;
    std::string date;  // YYYY-MM-DD
    std::optional<WaterId> water;
    std::optional<int> rods;
    std::optional<Speed> wind;
    std::optional<Length> wave;
    std::optional<Light> light;
    std::vector<Outing> outings;
    std::vector<Fish> fish;
    std::vector<std::string> photos;  // files
    std::optional<std::string> note = {};
    std::optional<WaterColour> colour = {};
    std::optional<double> celsius = {};
    std::optional<std::string> hatching = {};
    std::optional<Speed> drift = {};  // of the boat, through the top metre of the water
    std::optional<bool> drogue = {};  // while the drift was timed
    Carried carried = {};
    bool operator==(const Day&) const;
};

}  // namespace machair
