// The plan: a dressing sized to a hook. Pattern + Hook + materials → plan() → Plan; everything else reads the Plan.
//
// Formulas are models.md sections 1 to 7. A plan is a value: cheap to make (well under a millisecond, benchmarks/),
// to compare and to keep. Where the model leaves a choice open, what is done here:
//  * the first thread bed is one layer from one turn behind the eye to the body end; tail and rib each add what is
//    bound to the body front and one layer of thread over it;
//  * a wing is tied in three of its six binding turns ahead of the body front, and those are the gap that its lift is
//    measured over; the other three lie under the head;
//  * a collar stands at the body front, or at the wing's tie-in when a wing is tied before it; the next collar
//    stands ahead of the first.
#pragma once

#include <memory>
#include <optional>
#include <string>
#include <variant>
#include <vector>

#include "book/book.h"
#include "dressing/pattern.h"
#include "hook/hook.h"
#include "material/material.h"
#include "sizing/bulk.h"

namespace machair {

// The schools in force for one dressing: its own choice, else the tier's for all, else these.
struct Schools {
    FibreSchool fibre = FibreSchool::lineOfSight;
    TieIn tieIn = TieIn::tip;
    Winding rib = Winding::counter;
    RibPitch pitch = RibPitch::even;
    Finish finish = Finish::varnish;
    std::optional<BodyEndSchool> bodyEnd = {};  // as models.md section 4 has it where there is none
    std::optional<FullnessSchool> fullness = {};
};
[[nodiscard]] Schools schoolsFor(const Pattern& pattern, const Book& book, const Schools& usual = {});

struct TagPlan {
    double turns = 0.0;
    Length length;  // of material
    Length along;   // of the hook that it covers
    Length end;
};

struct TailPlan {
    Length length;
    Length fibreNeeded;
    double fibres = 0.0;
    Length fibre;  // diameter
    TailStyle style = TailStyle::fibres;
    std::optional<Length> barSpacing;
    std::optional<Length> slip;
    std::optional<double> barbs;
    std::optional<double> fibresToTake;  // hair, before its loss
};

struct RibPlan {
    double turns = 0.0;
    Length front;
    Length end;
    Length wound;
    Length cut;
    Length pitch;
    Angle angle;  // atan(pitch / (pi D)): 0 would be square across the shank
    Length thickness;
    Length width;
    bool round = true;
    Winding direction = Winding::counter;
    RibPitch school = RibPitch::even;
    bool sinksIn = false;  // on fur and wound fibres
};

struct BodyPlan {
    BodyMethod method = BodyMethod::noodle;
    Length end;
    Length front;
    Length rearDiameter;
    Length frontDiameter;
    double exponent = 1.0;
    bool overUnderbody = false;  // a level noodle, loop or rope: D = D_u + 2 d_n
    Length noodleDiameter;
    Volume volume;
    Mass mass;
    std::optional<Length> noodle;
    std::optional<double> noodleTurns;
    std::optional<Length> rope;
    std::optional<double> turns;
    std::optional<double> strands;
    std::optional<Length> length;
    std::optional<Length> perStrand;
    std::optional<int> yield;
    std::size_t rowsUnder = 0;  // of the bulk, tied in before this body
};

enum class Fullness { sparse, standard, full, bushy };
template <>
struct Names<Fullness> {
    static constexpr std::array entries = {NameOf{Fullness::sparse, "sparse"}, NameOf{Fullness::standard, "standard"},
                                           NameOf{Fullness::full, "full"}, NameOf{Fullness::bushy, "bushy"}};
};
[[nodiscard]] Fullness classOf(double fibresPerMmOfGape);

struct HacklePlan {  // collar and throat, and what a palmer shares with them
    Feather feather;
    Length fibre;  // the wanted length, at the middle turn
    Length layBack;
    Length lineOfSight;
    std::optional<Point2> target;  // where the tips are aimed, for a reach
    Length bed;
    Length stem;
    double turns = 0.0;
    double fibres = 0.0;
    double fullness = 0.0;
    Length shortest;
    Length longest;
    Length tieInFibre;
    double mostTurns = 0.0;
    TieIn tieIn = TieIn::tip;
    FibreStand stand = FibreStand::swept;
    Length width;  // along the shank
    bool behindWing = false;
};
struct PalmerPlan {
    HacklePlan hackle;
    double shoulderTurns = 0.0;
    double openTurns = 0.0;
    int feathers = 1;
    Length end;  // the palmer runs from its station to here
    PalmerWound wound = PalmerWound::rearward;
};

struct WingPlan {
    WingStyle style = WingStyle::rolled;
    Length length;
    Length depth;
    int layers = 1;
    Length slip;
    double barbs = 0.0;
    Length barb;  // diameter
    Angle lift;
    Length behind;
    Length bed;
    Length gap;
    int bedLayers = 0;
    bool overCollar = false;
    std::optional<double> count;
};
struct PiecePlan {  // legs, cheeks
    Length length;
    double count = 2.0;
};
struct BeadPlan {
    Length diameter;
    Length room;
};
struct ThreadPlan {};
struct UnderbodyPlan {
    Length end;
    Length front;
    double layers = 0.0;
    std::optional<double> turns;
    std::optional<Length> length;
};
struct HeadPlan {
    double whipTurns = 5.0;
    Length thread;
    int coats = 2;
    Finish finish = Finish::varnish;
};

struct PartPlan {
    PartKind kind = PartKind::body;
    std::optional<std::string> material;
    Material made;  // the material, or the usual one of that part
    Length station;
    Place place;
    std::variant<TagPlan, TailPlan, RibPlan, UnderbodyPlan, BodyPlan, PalmerPlan, HacklePlan, WingPlan, PiecePlan, BeadPlan,
                 ThreadPlan, HeadPlan>
        detail;
    std::vector<std::string> drivers;  // what the sizes were derived from
    std::string words;
};

enum class RemedyKind { finerThread, turnLess, bodyFrontBack };
template <>
struct Names<RemedyKind> {
    static constexpr std::array entries = {NameOf{RemedyKind::finerThread, "finer_thread"},
                                           NameOf{RemedyKind::turnLess, "turn_less"},
                                           NameOf{RemedyKind::bodyFrontBack, "body_front_back"}};
};
struct Remedy {
    RemedyKind kind = RemedyKind::turnLess;
    Length buys;
    std::string words;
};

// One thing that takes room on the shank between the eye and the body, in order from the eye.
struct RoomShare {
    std::string what;
    Length room;
    int part = -1;
};

struct HeadBudget {
    Length needed;
    Length available;
    Length diameter;
    Length slopeCutTakes;  // off the diameter, with the butts cut on a slope
    Length from;           // the head itself
    Length to;
    std::vector<RoomShare> shares;
    std::vector<Remedy> remedies;  // when it is crowded, what buys most first
    [[nodiscard]] Length margin() const { return available - needed; }
};

struct Need {
    std::string material;
    std::optional<Length> length;
    std::optional<double> fibres;
    std::optional<Length> slip;
    std::optional<Length> stem;
    std::optional<Mass> mass;
};

struct ProfileRow {
    Length station;
    Length under;
    Length diameter;
};

// What a warning is about, so that a change can be asked whether it mends it.
enum class Concern {
    taper, ball, noodle, strandsShort, softness, stemShort, fibreTooLong, fibreTooShort, vaneNarrow, barbShort, wingLift,
    fixedStop, oddPair, brittleBody, tooLong, crowdedHead
};
struct Warning : Fault {
    Concern concern = Concern::taper;
    std::optional<std::size_t> part;  // the whole fly where there is none
    double over = 0.0;                // by how much, in `unit`; over 0
    std::string unit;                 // "mm", "°"; empty for counts and for what is only so or not so
};

struct Plan {
    Plan(Pattern p, Hook h) : pattern(std::move(p)), hook(std::move(h)), bulk(hook.wire()) {}

    Pattern pattern;
    Hook hook;
    Schools schools;
    LaidThread thread;
    Material threadMaterial;
    std::vector<PartPlan> parts;
    Bulk bulk;
    Length bodyEnd;
    Length bodyFront;     // front of the last body section
    Length foremostBody;  // thorax included: s_f of the head budget
    std::optional<Length> tailTip;  // x
    HeadBudget head;
    Length threadUsed;
    Length length;  // front of the eye to the last tip
    std::vector<Need> needs;
    std::vector<Warning> warnings;

    // Diameter of the finished fly at a station: D(s) over a body, else what is bound there.
    [[nodiscard]] Length diameter(Length station) const;
    [[nodiscard]] Length under(Length station) const;  // tied in before the (first) body
    [[nodiscard]] Length bodyDiameter(const BodyPlan& body, Length station) const;
    [[nodiscard]] std::vector<ProfileRow> profile() const;
    [[nodiscard]] const BodyPlan* bodyAt(Length station) const;
};

// Sizes `pattern` to `hook`. Materials are looked up in `book`. Faults, placed under `place`: a missing material, a
// station off the shank, a body end ahead of its front, parts that refer to each other in a circle, lengths that come
// out at nothing or less.
[[nodiscard]] Result<Plan> plan(const Pattern& pattern, const Hook& hook, const Book& book, const Place& place = {},
                                const Schools& schools = {});

// The same for a dressing of the book, with its own hook.
[[nodiscard]] Result<Plan> planPattern(const Book& book, std::string_view patternId, const Schools& schools = {});

// A batch's dressing on the hook that the batch is tied on, its own where none is said.
[[nodiscard]] Result<Plan> planBatch(const Book& book, const Batch& batch);

// Every fault of a book, those of its records and those found by planning each dressing.
[[nodiscard]] Faults checkWithPlans(const Book& book);

}  // namespace machair
