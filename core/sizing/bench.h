// What the sizing of one dressing works with: inside sizing only. One file a part kind sizes its part with it.
#pragma once

#include "sizing/plan.h"
#include "sizing/resolver.h"

namespace machair {

struct Bench {
    const Pattern& pattern;
    const Hook& hook;
    const Book& book;
    Resolver& resolver;
    Plan& plan;
    // As the work stands: the thread in use, and where the next front part may stand.
    LaidThread thread;
    bool wingTied = false;
    Length hackleFront;  // front edge of the hackles wound ahead of the body so far

    [[nodiscard]] const Part& part(std::size_t i) const { return pattern.parts[i]; }
    [[nodiscard]] Length bedAt(Length station) const { return plan.bulk.diameter(station); }
    void bindThread(int part, Length from, Length to, double layers);
    void bindBundle(int part, Length from, Length to, double count, Length diameter);
    // `over` says by how much, in mm unless another unit is named.
    struct Excess {
        double over = 1.0;
        const char* unit = "mm";
    };
    void warn(std::size_t part, const char* key, Concern concern, Excess excess, std::string what, std::string remedy = {});
};

inline constexpr Length kLeastHold = 6.0 * mm;       // of a tail's butts, models.md section 2
inline constexpr double kWingBindingTurns = 6.0;     // models.md section 7
inline constexpr double kWingGapTurns = 3.0;         // of the binding, between the wing's tie-in and the body
inline constexpr double kCheekBindingTurns = 4.0;
inline constexpr double kWhipTurns = 5.0;
inline constexpr double kHackleSpread = 1.15;        // room of hackle turns over their stems

[[nodiscard]] TagPlan sizeTag(Bench& bench, std::size_t part, const TagPart& written, const Material& made);
[[nodiscard]] TailPlan sizeTail(Bench& bench, std::size_t part, const TailPart& written, const Material& made);
[[nodiscard]] RibPlan tieInRib(Bench& bench, std::size_t part, const RibPart& written, const Material& made);
void windRib(const Bench& bench, RibPlan& rib, std::size_t part, const RibPart& written);
[[nodiscard]] UnderbodyPlan sizeUnderbody(Bench& bench, std::size_t part, const UnderbodyPart& written, const Material& made);
[[nodiscard]] BodyPlan sizeBody(Bench& bench, std::size_t part, const BodyPart& written, const Material& made);
[[nodiscard]] PalmerPlan sizePalmer(Bench& bench, std::size_t part, const PalmerPart& written, const Material& made);
[[nodiscard]] HacklePlan sizeCollar(Bench& bench, std::size_t part, const CollarPart& written, const Material& made);
[[nodiscard]] WingPlan sizeWing(Bench& bench, std::size_t part, const WingPart& written, const Material& made);
[[nodiscard]] HeadPlan sizeHead(Bench& bench, const HeadPart& written);

// Turns of a collar whose number is not written: for the fullness wanted, to the nearest half turn, at least one.
[[nodiscard]] double turnsForFullness(double fullness, const Feather& feather, Length bed, Length gape);

}  // namespace machair
