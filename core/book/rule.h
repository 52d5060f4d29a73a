// What may be written under a key: the limits of its number, what a fault calls it, its label for people, and which
// list of records a text is the id of. describe.h gives each key one of these.
#pragma once

#include <cmath>
#include <string_view>

#include "language/say.h"
#include "units/text.h"

namespace machair {

// What a number may be, and what a fault calls it.
struct Rule {
    double low = -1e300;
    double high = 1e300;
    bool overLow = false;  // low itself is not allowed
    const char* noun = unsaid("a number");
    double scale = 1.0;  // written number = member's base value / scale
    bool whole = false;
    const char* label = nullptr;               // for people, of this key in this record; nothing where the key says it
    const char* refersTo = nullptr;            // a text that is the id of a record of this list
    bool past = false;                         // ... which may be gone: it tells of what was
    bool (*form)(std::string_view) = nullptr;  // what a text has to look like
    bool day = false;                          // a text that is a day of the calendar, shown as people write one

    [[nodiscard]] constexpr Rule says(const char* words) const {
        Rule rule = *this;
        rule.label = words;
        return rule;
    }
    [[nodiscard]] constexpr Rule once() const {
        Rule rule = *this;
        rule.past = true;
        return rule;
    }
    [[nodiscard]] constexpr Rule onDay() const {
        Rule rule = *this;
        rule.day = true;
        return rule;
    }
    [[nodiscard]] bool allows(double value) const {
        if (!std::isfinite(value) || value > high || value < low) return false;
        if (whole && value != std::round(value)) return false;
        return !(overLow && value == low);
    }
};

inline constexpr Rule kPlain;
inline constexpr Rule kLength{0.0, 1000.0, true, unsaid("a length over 0 and at most 1000 mm")};
inline constexpr Rule kLeaderLength{0.0, 1000.0, true, unsaid("a length over 0 and at most 1000 m"), 1000.0};
inline constexpr Rule kTurns{0.5, 60.0, false, unsaid("a number of turns from 0.5 to 60")};
inline constexpr Rule kTurnsOrNone{0.0, 60.0, false, unsaid("a number of turns from 0 to 60")};
inline constexpr Rule kSize{2.0, 20.0, false, unsaid("a hook size from 2 to 20"), 1.0, true};
inline constexpr Rule kSteps{-18.0, 18.0, false, unsaid("a whole number of sizes from -18 to 18"), 1.0, true};
inline constexpr Rule kFibres{1.0, 5000.0, false, unsaid("a whole number of fibres from 1 to 5000"), 1.0, true};
inline constexpr Rule kCount{1.0, 500.0, false, unsaid("a whole number from 1 to 500"), 1.0, true};
inline constexpr Rule kFew{1.0, 64.0, false, unsaid("a whole number from 1 to 64"), 1.0, true};
inline constexpr Rule kFewOrNone{0.0, 64.0, false, unsaid("a whole number from 0 to 64"), 1.0, true};
inline constexpr Rule kPasses{1.0, 2.0, false, unsaid("1 or 2 passes"), 1.0, true};
inline constexpr Rule kTagPasses{1.0, 8.0, false, unsaid("1 to 8 passes"), 1.0, true};
inline constexpr Rule kFeathers{1.0, 4.0, false, unsaid("1 to 4 feathers"), 1.0, true};
inline constexpr Rule kSides{1.0, 2.0, false, unsaid("1 or 2 sides"), 1.0, true};
inline constexpr Rule kShare{0.0, 0.95, false, unsaid("a share from 0 to 0.95")};
inline constexpr Rule kFraction{0.0, 10.0, true, unsaid("a fraction over 0 and at most 10")};
inline constexpr Rule kRatio{0.0, 1000.0, true, unsaid("a ratio over 0 and at most 1000")};
inline constexpr Rule kExponent{0.0, 10.0, false, unsaid("an exponent from 0 to 10")};
inline constexpr Rule kPositive{0.0, 1e6, true, unsaid("a number over 0 and at most 1000000")};
inline constexpr Rule kGamma{0.0, 10.0, false, unsaid("a number from 0 to 10")};
inline constexpr Rule kDegrees{0.0, 180.0, false, unsaid("an angle from 0 to 180 degrees")};
inline constexpr Rule kBuoyancy{-1000.0, 1000.0, false, unsaid("a buoyancy from -1000 to 1000 mN")};
inline constexpr Rule kPlaceOnVane{0.0, 1000.0, false, unsaid("a place on the vane from 0 to 1000 mm")};
inline constexpr Rule kWind{0.0, 60.0, false, unsaid("a wind from 0 to 60 m/s"), 1000.0};
inline constexpr Rule kBoatSpeed{0.0, 5.0, false, unsaid("a drift from 0 to 5 m/s"), 1000.0};
inline constexpr Rule kBearing{0.0, 360.0, false, unsaid("a bearing from 0 to 360 degrees")};
inline constexpr Rule kFetch{0.0, 500000.0, false, unsaid("a fetch from 0 to 500000 m"), 1000.0};
inline constexpr Rule kOnMap{-1e6, 1e6, false, unsaid("metres on a map, at most 1000 km off"), 1000.0};
inline constexpr Rule kWaterWarmth{0.0, 40.0, false, unsaid("a water temperature from 0 to 40 degrees")};
inline constexpr Rule kMonth{1.0, 12.0, false, unsaid("a month from 1 to 12"), 1.0, true};
inline constexpr Rule kCorrection{0.2, 3.0, false, unsaid("a correction from 0.2 to 3")};
inline constexpr Rule kHours{0.0, 24.0, true, unsaid("hours over 0 and at most 24")};
inline constexpr Rule kWave{0.0, 20.0, false, unsaid("a wave from 0 to 20 m"), 1000.0};
inline constexpr Rule kStockLength{0.0, 1000.0, false, unsaid("a length from 0 to 1000 m"), 1000.0};
inline constexpr Rule kStock{0.0, 1e9, false, unsaid("how much there is, 0 or more")};
inline constexpr Rule kTied{0.0, 100000.0, false, unsaid("a whole number of flies from 0 to 100000"), 1.0, true};
[[nodiscard]] inline bool isColour(std::string_view text) {
    return text.size() == 7 && text.front() == '#' && text.find_first_not_of("0123456789abcdefABCDEF", 1) == std::string_view::npos;
}
inline constexpr Rule kFull{0.0, 20.0, true, unsaid("sparse, standard, full, bushy, or a number of usual collars over 0 and at most 20")};
inline constexpr Rule kLimit{-1e6, 1e6, false, unsaid("a limit from -1000000 to 1000000")};
inline constexpr Rule kWeight{0.0, 100.0, false, unsaid("a weight from 0 to 100")};
inline constexpr Rule kCollars{0.0, 20.0, false, unsaid("a number of usual collars from 0 to 20")};
inline constexpr Rule kSuits{0.0, 1.0, false, unsaid("a share from 0 to 1")};
inline constexpr Rule kColour{0, 0, false, unsaid("a colour as #rrggbb"), 1.0, false, nullptr, nullptr, false, isColour};
// HH:MM
[[nodiscard]] inline bool isTime(std::string_view text) {
    const auto digits = [&](std::size_t at, char most) {
        return text[at] >= '0' && text[at] <= most && text[at + 1] >= '0' && text[at + 1] <= '9';
    };
    return text.size() == 5 && text[2] == ':' && digits(0, '2') && digits(3, '5') && text.substr(0, 2) < "24";
}
inline constexpr Rule kTime{0, 0, false, unsaid("a time as 14:05"), 1.0, false, nullptr, nullptr, false, isTime};
inline constexpr Rule kDate = Rule{0, 0, false, unsaid("a date as 2026-05-02"), 1.0, false, nullptr, nullptr, false, isDate}.onDay();

[[nodiscard]] constexpr Rule idIn(const char* list, const char* noun) {
    Rule rule;
    rule.noun = noun;
    rule.refersTo = list;
    return rule;
}
inline constexpr Rule kHookId = idIn("hooks", unsaid("the id of a hook"));
inline constexpr Rule kMaterialId = idIn("materials", unsaid("the id of a material"));
inline constexpr Rule kPatternId = idIn("patterns", unsaid("the id of a dressing"));
inline constexpr Rule kSchoolId = idIn("team_schools", unsaid("the id of a school"));
inline constexpr Rule kCardId = idIn("rule_cards", unsaid("the id of a rule card"));
// A dressing, team or water that was taken out of the book may still stand in its records: they tell of the past.
inline constexpr Rule kPatternOnce = kPatternId.once();
inline constexpr Rule kHookOnce = kHookId.once();
inline constexpr Rule kTeamOnce = idIn("teams", unsaid("the id of a team")).once();
inline constexpr Rule kWaterOnce = idIn("waters", unsaid("the id of a water")).once();

}  // namespace machair
