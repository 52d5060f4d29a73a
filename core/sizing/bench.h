// What the sizing of one dressing works with: inside sizing only. One file a part kind sizes its part with it.
#pragma once

#include "sizing/plan.h"
#include "sizing/resolver.h"

namespace machair {

inline constexpr Length kJustAhead = 1e-6 * mm;

struct Bench {
    const Pattern& pattern;
    const Hook& hook;
    const Book& book;
    Resolver& resolver;
    Plan& plan;
    // As the work stands: the thread in use, and where the next front part may stand.
    LaidThread thread;
    Length hackleFront;                 // front edge of what stands ahead of the body so far
    Length betweenFront = 1000.0 * mm;  // the same of what is wound between the body and a thorax ahead of it
    std::optional<Length> wingAt = {};  // where the first wing after the body is tied in: the others lie on it

    [[nodiscard]] const Part& part(std::size_t i) const { return pattern.parts[i]; }
    [[nodiscard]] bool bodyTied() const;
    [[nodiscard]] Length bedAt(Length station) const { return plan.bulk.diameter(station); }
    // The bed of a part is the diameter just ahead of its station, before it is tied in.
    [[nodiscard]] Length bedAhead(Length station) const { return plan.bulk.diameter(station - kJustAhead); }
    void bindThread(int part, Length from, Length to, double layers);
    void bindBundle(int part, Length from, Length to, double count, Length diameter);
    // `over` says by how much, in mm unless another unit is named.
    struct Excess {
        double over = 1.0;
        const char* unit = "mm";
        Severity severity = Severity::warning;
    };
    void warn(std::size_t part, const char* key, Concern concern, Excess excess, std::string what, std::string remedy = {});
};

inline constexpr Length kLeastHold = 6.0 * mm;    // of a tail's butts, models.md section 2
inline constexpr double kWingBindingTurns = 6.0;  // models.md section 7
inline constexpr Length kAtFront = 1e-6 * mm;     // as near the body's front as makes no difference
inline constexpr double kWingGapTurns = 2.0;      // of thread, from a wing's tie-in to what stands behind it
inline constexpr double kFewBindingTurns = 4.0;   // of a wing of tips or plume, or at an angle
inline constexpr double kCheekBindingTurns = 4.0;
inline constexpr double kWhipTurns = 5.0;
inline constexpr Length kHeldByFingers = 25.0 * mm;  // of strands that are wound
inline constexpr Length kHeldByPliers = 10.0 * mm;
inline constexpr double kUsualLegs = 6.0;
inline constexpr double kHackleSpread = 1.15;  // room of hackle turns over their stems

[[nodiscard]] TagPlan sizeTag(Bench& bench, std::size_t part, const TagPart& written, const Material& made);
[[nodiscard]] TailPlan sizeTail(Bench& bench, std::size_t part, const TailPart& written, const Material& made);
[[nodiscard]] RibPlan tieInRib(Bench& bench, std::size_t part, const RibPart& written, const Material& made);
void windRib(Bench& bench, RibPlan& rib, std::size_t part, const RibPart& written);
[[nodiscard]] UnderbodyPlan sizeUnderbody(Bench& bench, std::size_t part, const UnderbodyPart& written, const Material& made);
[[nodiscard]] BodyPlan sizeBody(Bench& bench, std::size_t part, const BodyPart& written, const Material& made);
[[nodiscard]] PalmerPlan sizePalmer(Bench& bench, std::size_t part, const PalmerPart& written, const Material& made);
[[nodiscard]] HacklePlan sizeCollar(Bench& bench, std::size_t part, const CollarPart& written, const Material& made);
[[nodiscard]] WingPlan sizeWing(Bench& bench, std::size_t part, const WingPart& written, const Material& made);
[[nodiscard]] HeadPlan sizeHead(const Plan& plan, const HeadPart& written);

// Hairs to take before the loss on tightening; nothing of what isn't hair.
[[nodiscard]] std::optional<double> hairsToTake(const Material& made, double count);

// As it is written, whatever is bound under it.
[[nodiscard]] Length taperedDiameter(const BodyPlan& body, Length station);

// Turns of a collar whose number is not written, for so many usual collars of its bird's worth of fullness, to the half
// turn, at least one (models-team.md section A: hen and cock are usually wound 3 turns, partridge and grouse 2).
[[nodiscard]] double turnsForWorth(double worth, const Feather& feather);
[[nodiscard]] double worthOf(FullnessSchool school);
[[nodiscard]] double wantedWorth(const Full& full);

}  // namespace machair
