// The plan: a dressing sized to a hook. Pattern + Hook + materials → plan() → Plan; everything else reads the Plan.
//
// Formulas are models.md sections 1 to 7. A plan is a value: cheap to make (well under a millisecond, benchmarks/),
// to compare and to keep. Where the model leaves a choice open, what is done here:
//  * the first thread bed is one layer from one turn behind the eye to the body end; tail and rib each add what is
//    bound to the body front and one layer of thread over it;
//  * what is tied in ahead of the body stands in tying order from its front forward: each hackle takes its room, a wing is
//    tied in two turns of thread ahead of what is there, later wings and cheeks at the first, a hackle after it one turn
//    ahead (section 7).
#pragma once

#include <algorithm>
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
    SchoolChoices held = {};  // all that was chosen, the dressing's over the tier's
};
[[nodiscard]] Schools schoolsFor(const Pattern& pattern, const Book& book, const Schools& usual = {});

// A part that can't be tied as it is written: its faults are the plan's, its place in the order is kept.
struct Impossible {};

struct TagPlan {
    double turns = 0.0;
    Length length;  // of material, all passes
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
    bool woundOn = false;                // the same fibres are wound on as the body
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
    bool sinksIn = false;                 // on fur, wound fibres and chenille
    int hand = -1;                        // sense × travel, models.md section 4 "what locks what"
    RibSide side = RibSide::near;         // where its first turn comes up
    std::optional<double> crossesPalmer;  // turns of it that it crosses
    std::optional<double> crossesBody;
};

struct BodyPlan {
    BodyMethod method = BodyMethod::noodle;
    Length end;
    Length front;
    Length rearDiameter;
    Length frontDiameter;
    double exponent = 1.0;
    bool overUnderbody = false;  // follows what is under it: D = D_u + covers
    Length covers;
    std::optional<Length> swelling;    // a round thorax: its diameter at the middle
    std::optional<std::size_t> props;  // the bead that it is a ball for
    Length noodleDiameter;
    Volume volume;
    Mass mass;
    std::optional<Length> noodle;  // L_n, as reckoned
    std::optional<double> noodleTurns;
    std::optional<Length> rope;  // as it is made, with its spare and the end that is held
    std::optional<Length> made;  // noodle or rope as it is made, with what this fur has been found to take
    double takes = 1.0;          // ρ, of what is reckoned
    std::optional<double> turns;
    std::optional<double> strands;
    std::optional<Length> length;
    std::optional<Length> perStrand;
    std::optional<int> yield;
    std::size_t rowsUnder = 0;  // of the bulk, tied in before this body
};

// How full a hackle is by itself, counted in usual collars of its bird (models-team.md section A).
[[nodiscard]] FullnessSchool classOf(double worth);

// A fibre that stands as it will fish is so much longer than the straight line to where its tip should be (models.md section 2).
inline constexpr double kFibreCurve = 1.03;

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
    double fullness = 0.0;  // fibres a mm of gape: a figure, it judges nothing
    double worth = 0.0;     // usual collars
    Length shortest;
    Length longest;
    Length tieInFibre;
    double mostTurns = 0.0;
    double untilTurns = 0.0;    // touching turns as far as its `until`, where it has one
    bool through = false;       // wound through the hackle before it
    double roomShare = 1.15;    // of its turns' stems, the room it takes
    std::size_t rowsUnder = 0;  // of the bulk, bound before it
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
    int hand = -1;  // sense × travel
};

// How a wing sits (models.md section 6): low, or so high that it is noted or warned of; stated where it isn't judged.
enum class Seat { low, note, warning, stated };
template <>
struct Names<Seat> {
    static constexpr std::array entries = {NameOf{Seat::low, "low"}, NameOf{Seat::note, "note"}, NameOf{Seat::warning, "warning"},
                                           NameOf{Seat::stated, "stated"}};
};
// What a wing leans on: half a step up and the run it has to get over it.
struct WingSupport {
    std::size_t part = 0;
    Length step;
    Length run;
    [[nodiscard]] Angle lift() const { return atan2(step, run); }
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
    bool propped = false;  // by two turns: tied before the body, and standing at its front or behind it
    Length bed;
    Seat seat = Seat::stated;
    std::vector<WingSupport> supports;
    int rampLayers = 0;  // of thread sloping up to what is behind, that lay it low; 0 where it lies so
    int rampTurns = 0;
    Length bend;  // where it has come back level along the body, from its tie-in
    std::optional<double> count;
    std::optional<double> toTake;  // hairs, before their loss
    CloakRound round = CloakRound::upper;
};
struct PiecePlan {  // legs, cheeks
    Length length;
    double count = 2.0;
    std::optional<Length> piece;  // a cheek as it is sold, stalk and all
};
struct BeadPlan {
    Length diameter;
    Length room;
    Length hole;
    bool ball = false;  // a thorax props it
    bool atEye = false;
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
    Knot knot = Knot::whip;
};

struct PartPlan {
    PartPlan();
    PartPlan(const PartPlan&);
    PartPlan(PartPlan&&) noexcept;
    PartPlan& operator=(const PartPlan&);
    PartPlan& operator=(PartPlan&&) noexcept;
    ~PartPlan();

    PartKind kind = PartKind::body;
    std::optional<MaterialId> material;
    Material made;  // the material, or the usual one of that part
    Length station;
    Place place;
    std::variant<Impossible, TagPlan, TailPlan, RibPlan, UnderbodyPlan, BodyPlan, PalmerPlan, HacklePlan, WingPlan, PiecePlan, BeadPlan,
                 ThreadPlan, HeadPlan>
        detail;
    std::vector<std::string> drivers;  // what the sizes were derived from
    std::string words;
};

// The hackle of a collar, a throat or a palmer; null of any other part.
[[nodiscard]] const HacklePlan* hackleOf(const PartPlan& part);

enum class RemedyKind { finerThread, turnLess, bodyFrontBack };
template <>
struct Names<RemedyKind> {
    static constexpr std::array entries = {NameOf{RemedyKind::finerThread, "finer_thread"}, NameOf{RemedyKind::turnLess, "turn_less"},
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

enum class Crowding { no, note, warning };
template <>
struct Names<Crowding> {
    static constexpr std::array entries = {NameOf{Crowding::no, "no"}, NameOf{Crowding::note, "note"},
                                           NameOf{Crowding::warning, "warning"}};
};

struct HeadBudget {
    Length needed;
    Length available;
    Length diameter;
    Length slopeCutTakes;  // off the diameter, with the butts cut on a slope
    Length from;           // the head itself
    Length to;
    std::vector<RoomShare> shares;
    Length usual;  // where the front usually ends
    Crowding crowded = Crowding::no;
    std::vector<Remedy> remedies;  // when there is little to spare, what buys most first
    [[nodiscard]] Length margin() const { return available - needed; }
};

struct Need {
    MaterialId material;
    std::optional<Length> length;
    std::optional<double> fibres;
    std::optional<Length> slip;
    std::optional<Length> stem;
    std::optional<Mass> mass;
    std::vector<std::size_t> parts = {};
    std::optional<double> feathers = {};
    std::optional<double> perSet = {};  // strands of one set
    std::optional<int> yield = {};      // bodies that a set gives
};

struct ProfileRow {
    Length station;
    Length under;
    Length diameter;
};

// What a warning is about, so that a change can be asked whether it mends it.
enum class Concern {
    wingLift,
    crowdedHead,
    headThick,
    shortBody,
    taper,
    noodle,
    strandsShort,
    softness,
    stemShort,
    fibreTooLong,
    fibreTooShort,
    vaneNarrow,
    barbShort,
    bars,
    oddPair,
    fixedStop,
    proportion,
    contradiction,
    brittleBody,
    ribWithPalmer,
    ball,
    beadSize,
    beadHole,
    beadEye,
    label,
    coats,
    tooLong
};
template <>
struct Names<Concern> {
    static constexpr std::array entries = {NameOf{Concern::wingLift, "wing_seat"},
                                           NameOf{Concern::crowdedHead, "crowded"},
                                           NameOf{Concern::headThick, "head_thick"},
                                           NameOf{Concern::shortBody, "short_body"},
                                           NameOf{Concern::taper, "taper"},
                                           NameOf{Concern::noodle, "noodle"},
                                           NameOf{Concern::strandsShort, "strands"},
                                           NameOf{Concern::softness, "spread"},
                                           NameOf{Concern::stemShort, "stem"},
                                           NameOf{Concern::fibreTooLong, "fibre"},
                                           NameOf{Concern::fibreTooShort, "fibre"},
                                           NameOf{Concern::vaneNarrow, "vane"},
                                           NameOf{Concern::barbShort, "barb"},
                                           NameOf{Concern::bars, "bars"},
                                           NameOf{Concern::oddPair, "pair"},
                                           NameOf{Concern::fixedStop, "fixed_stop"},
                                           NameOf{Concern::proportion, "proportion"},
                                           NameOf{Concern::contradiction, "contradiction"},
                                           NameOf{Concern::brittleBody, "brittle_body"},
                                           NameOf{Concern::ribWithPalmer, "rib_palmer"},
                                           NameOf{Concern::ball, "ball"},
                                           NameOf{Concern::beadSize, "bead_size"},
                                           NameOf{Concern::beadHole, "bead_hole"},
                                           NameOf{Concern::beadEye, "bead_eye"},
                                           NameOf{Concern::label, "label"},
                                           NameOf{Concern::coats, "coats"},
                                           NameOf{Concern::tooLong, "too_long"}};
};
// A note is worth knowing, and the fly is sound; of a warning a good tier would say: change something.
enum class Severity { note, warning };
template <>
struct Names<Severity> {
    static constexpr std::array entries = {NameOf{Severity::note, "note"}, NameOf{Severity::warning, "warning"}};
};
struct Warning : Fault {
    Concern concern = Concern::taper;
    std::optional<std::size_t> part;  // the whole fly where there is none
    double over = 0.0;                // by how much, in `unit`; over 0
    std::string unit;                 // "mm", "°"; empty for counts and for what is only so or not so
    std::string key = {};             // of the part, to change
    Severity severity = Severity::warning;
};
// Nothing is said of a difference within this: models.md, "what is said of a plan".
[[nodiscard]] inline Length slack(Length a, Length b) { return std::max(0.10 * mm, 0.03 * std::max(abs(a), abs(b))); }

struct Plan {
    Plan(Pattern p, Hook h);
    Plan(const Plan&);
    Plan(Plan&&) noexcept;
    Plan& operator=(const Plan&);
    Plan& operator=(Plan&&) noexcept;
    ~Plan();

    Pattern pattern;
    Hook hook;
    Schools schools;
    LaidThread thread;
    LaidThread finishThread;  // after every change of thread: what the head is tied with
    Material threadMaterial;
    std::vector<PartPlan> parts;
    Bulk bulk;
    Length bodyEnd;
    Length bodyFront;     // front of the last body section
    Length foremostBody;  // thorax included: s_f of the head budget
    bool frontIsWritten = false;
    std::optional<Length> tailTip;  // x
    HeadBudget head;
    Length threadUsed;
    Length length;      // front of the eye, or of a tip ahead of it, to the last tip
    int endsWith = -1;  // the part that ends it, −1 the hook
    std::vector<Need> needs;
    std::vector<Warning> warnings;  // the warnings first, then the notes
    Faults faults;                  // of the parts that can't be tied as written; they are left out

    // Diameter of the finished fly at a station: D(s) over a body, else what is bound there.
    [[nodiscard]] Length diameter(Length station) const;
    [[nodiscard]] Length under(Length station) const;  // tied in before the (first) body
    [[nodiscard]] Length bodyDiameter(const BodyPlan& body, Length station) const;
    [[nodiscard]] std::vector<ProfileRow> profile() const;
    [[nodiscard]] const BodyPlan* bodyAt(Length station) const;
};

// The head as it is finished, by its part or, without one, as the schools have it.
[[nodiscard]] HeadPlan headOf(const Plan& plan);

// Sizes `pattern` to `hook`. Materials are looked up in `book`. A part that can't be sized is left out, Impossible, with its
// faults in the plan, placed under `place`: a missing material, a station off the shank, a body end ahead of its front,
// parts that refer to each other in a circle, lengths that come out at nothing or less. Refused only where nothing can be
// sized: no thread. On a hook of another size than the dressing's own, written counts of fibres, plumes and hairs are scaled.
[[nodiscard]] Result<Plan> planWhatCan(const Pattern& pattern, const Hook& hook, const Book& book, const Place& place = {},
                                       const Schools& schools = {});

// The same where every part has to be sound: a plan without faults, or the faults.
[[nodiscard]] Result<Plan> plan(const Pattern& pattern, const Hook& hook, const Book& book, const Place& place = {},
                                const Schools& schools = {});

// The same for a dressing of the book, with its own hook.
[[nodiscard]] Result<Plan> planPattern(const Book& book, const DressingId& patternId, const Schools& schools = {});
[[nodiscard]] Result<Plan> planWhatCan(const Book& book, const DressingId& patternId);

// A dressing of the book on another size of its hook: the same family, long and heavy, all its measures nominal.
[[nodiscard]] Result<Plan> planOnSize(const Book& book, const DressingId& patternId, int size);

// A fly: the dressing on the hook that is said, its own where none is. What can't be tied is among the plan's faults. A hook
// or a dressing that the book lacks is a fault at `place`.
[[nodiscard]] Result<Plan> planFly(const Book& book, const Fly& fly, const Place& place);

// Every fault of a book, those of its records and those found by planning each dressing.
[[nodiscard]] Faults checkWithPlans(const Book& book);

// What a part is made of when nothing is written.
[[nodiscard]] Material usualMaterial(PartKind kind, const Pattern& pattern, const Book& book);
// d_n of a level noodle, a loop or a rope that isn't written.
[[nodiscard]] Length usualNoodle(BodyMethod method, const Hook& hook);

}  // namespace machair
