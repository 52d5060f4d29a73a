// A dressing as it is written: its parts in tying order. What was not written stays absent; sizing fills it in.
#pragma once

#include <optional>
#include <string>
#include <variant>
#include <vector>

#include "dressing/length_spec.h"
#include "material/material.h"

namespace machair {

// A count, or a pair [2, 3]: planned at the middle.
struct Count {
    double low = 0.0;
    double high = 0.0;
    bool pair = false;
    bool operator==(const Count&) const = default;
    [[nodiscard]] double middle() const { return 0.5 * (low + high); }
    [[nodiscard]] double wholeMiddle() const;  // whole counts are rounded up
};
[[nodiscard]] inline Count exactly(double n) { return {n, n, false}; }

enum class Protection { none, varnish, glue };
template <>
struct Names<Protection> {
    static constexpr std::array entries = {NameOf{Protection::none, "none"}, NameOf{Protection::varnish, "varnish"},
                                           NameOf{Protection::glue, "glue"}};
};
struct TagPart {  // tag and butt
    std::optional<LengthSpec> length;
    std::optional<Count> turns;
    std::optional<int> passes;
    std::optional<Protection> protect;
    bool operator==(const TagPart&) const = default;
};

enum class TailStyle { fibres, slip, cloak, tippet, hair, floss, plume };
template <>
struct Names<TailStyle> {
    static constexpr std::array entries = {NameOf{TailStyle::fibres, "fibres"}, NameOf{TailStyle::slip, "slip"},
                                           NameOf{TailStyle::cloak, "cloak"},   NameOf{TailStyle::tippet, "tippet"},
                                           NameOf{TailStyle::hair, "hair"},     NameOf{TailStyle::floss, "floss"},
                                           NameOf{TailStyle::plume, "plume"}};
};
struct TailPart {
    LengthSpec length = ratioOf(1.0, Yardstick::shank);
    std::optional<Count> fibres;
    std::optional<TailStyle> style;
    std::optional<LengthSpec> width;
    std::optional<bool> doubled;
    std::optional<bool> cut;
    bool operator==(const TailPart&) const = default;
};

enum class Winding { with, counter };
template <>
struct Names<Winding> {
    static constexpr std::array entries = {NameOf{Winding::with, "with"}, NameOf{Winding::counter, "counter"}};
};
enum class RibPitch { even, angle };
template <>
struct Names<RibPitch> {
    static constexpr std::array entries = {NameOf{RibPitch::even, "even"}, NameOf{RibPitch::angle, "angle"}};
};
struct WholeBody {
    bool operator==(const WholeBody&) const = default;
};
struct RibPart {
    std::optional<Count> turns;
    std::optional<LengthSpec> spacing;
    std::optional<Winding> direction;
    std::optional<RibPitch> pitch;
    std::optional<std::variant<WholeBody, std::size_t>> along;  // all, or a body section
    std::optional<int> face;
    bool operator==(const RibPart&) const = default;
};

struct UnderbodyPart {
    std::optional<int> layers;
    std::optional<StationSpec> end;
    std::optional<StationSpec> front;
    std::optional<Count> turns;
    std::optional<double> overlap;
    bool operator==(const UnderbodyPart&) const = default;
};

enum class BodyMethod { noodle, level, loop, rope, herl, fibres, floss, tinsel, wire, chenille, tube, thread };
template <>
struct Names<BodyMethod> {
    static constexpr std::array entries = {
        NameOf{BodyMethod::noodle, "noodle"},     NameOf{BodyMethod::level, "level"},   NameOf{BodyMethod::loop, "loop"},
        NameOf{BodyMethod::rope, "rope"},         NameOf{BodyMethod::herl, "herl"},     NameOf{BodyMethod::fibres, "fibres"},
        NameOf{BodyMethod::floss, "floss"},       NameOf{BodyMethod::tinsel, "tinsel"}, NameOf{BodyMethod::wire, "wire"},
        NameOf{BodyMethod::chenille, "chenille"}, NameOf{BodyMethod::tube, "tube"},     NameOf{BodyMethod::thread, "thread"}};
};
enum class Grip { fingers, pliers };
template <>
struct Names<Grip> {
    static constexpr std::array entries = {NameOf{Grip::fingers, "fingers"}, NameOf{Grip::pliers, "pliers"}};
};
struct BodyPart {  // body and thorax
    std::optional<BodyMethod> method;
    std::optional<StationSpec> end;
    std::optional<StationSpec> front;
    std::optional<Length> rear;
    std::optional<LengthSpec> rearDiameter;
    std::optional<Length> foremost;
    std::optional<LengthSpec> frontDiameter;
    std::optional<double> exponent;
    std::optional<Length> noodleDiameter;
    std::optional<Count> strands;
    std::optional<bool> twisted;
    std::optional<Grip> held;
    std::optional<double> overlap;
    std::optional<int> passes;
    std::optional<Winding> direction;
    bool operator==(const BodyPart&) const = default;
};

enum class PalmerWound { rearward, forward };
template <>
struct Names<PalmerWound> {
    static constexpr std::array entries = {NameOf{PalmerWound::rearward, "rearward"}, NameOf{PalmerWound::forward, "forward"}};
};
enum class PalmerAlong { all, thorax };
template <>
struct Names<PalmerAlong> {
    static constexpr std::array entries = {NameOf{PalmerAlong::all, "all"}, NameOf{PalmerAlong::thorax, "thorax"}};
};
struct PalmerPart {
    LengthSpec length = reachTo(Landmark::point);
    std::optional<Count> shoulderTurns;
    std::optional<Count> openTurns;
    std::optional<int> feathers;
    std::optional<PalmerWound> wound;
    std::optional<Winding> direction;
    std::optional<PalmerAlong> along;
    bool operator==(const PalmerPart&) const = default;
};

enum class TieIn { tip, butt };
template <>
struct Names<TieIn> {
    static constexpr std::array entries = {NameOf{TieIn::tip, "tip"}, NameOf{TieIn::butt, "butt"}};
};
enum class FibreStand { swept, upright };
template <>
struct Names<FibreStand> {
    static constexpr std::array entries = {NameOf{FibreStand::swept, "swept"}, NameOf{FibreStand::upright, "upright"}};
};
enum class FullnessSchool { sparse, standard, full, bushy };
template <>
struct Names<FullnessSchool> {
    static constexpr std::array entries = {NameOf{FullnessSchool::sparse, "sparse"}, NameOf{FullnessSchool::standard, "standard"},
                                           NameOf{FullnessSchool::full, "full"}, NameOf{FullnessSchool::bushy, "bushy"}};
};
// How full a hackle is wanted: a class, or a number of usual collars of its bird (models-team.md section A).
using Full = std::variant<FullnessSchool, double>;
struct CollarPart {  // collar and throat
    LengthSpec length = reachTo(Landmark::point);
    std::optional<Count> turns;
    std::optional<Full> full;
    std::optional<double> fullness;  // fibres a mm of gape, as older files have it
    std::optional<TieIn> tieIn;
    std::optional<FibreStand> angle;
    std::optional<StationSpec> until;
    std::optional<bool> cut;
    std::optional<bool> through;
    bool operator==(const CollarPart&) const = default;
};

enum class WingStyle { paired, upright, rolled, cloak, hair, plume, tips };
template <>
struct Names<WingStyle> {
    static constexpr std::array entries = {NameOf{WingStyle::paired, "paired"}, NameOf{WingStyle::upright, "upright"},
                                           NameOf{WingStyle::rolled, "rolled"}, NameOf{WingStyle::cloak, "cloak"},
                                           NameOf{WingStyle::hair, "hair"},     NameOf{WingStyle::plume, "plume"},
                                           NameOf{WingStyle::tips, "tips"}};
};
enum class Folds { thirds, halves };
template <>
struct Names<Folds> {
    static constexpr std::array entries = {NameOf{Folds::thirds, "thirds"}, NameOf{Folds::halves, "halves"}};
};
enum class WingPosition { over, under };
template <>
struct Names<WingPosition> {
    static constexpr std::array entries = {NameOf{WingPosition::over, "over"}, NameOf{WingPosition::under, "under"}};
};
enum class CloakRound { upper, all };
template <>
struct Names<CloakRound> {
    static constexpr std::array entries = {NameOf{CloakRound::upper, "upper"}, NameOf{CloakRound::all, "all"}};
};
struct WingPart {
    WingStyle style = WingStyle::rolled;
    LengthSpec length = reachTo(Landmark::bend);
    std::optional<LengthSpec> depth;
    std::optional<int> layers;
    std::optional<Folds> folds;
    std::optional<LengthSpec> width;
    std::optional<WingPosition> position;
    std::optional<CloakRound> round;  // of a cloak: how far its barbs go round the body
    std::optional<Count> count;
    std::optional<bool> cut;
    std::optional<Angle> angle;
    bool operator==(const WingPart&) const = default;
};

enum class LegStyle { sides, spread };
template <>
struct Names<LegStyle> {
    static constexpr std::array entries = {NameOf{LegStyle::sides, "sides"}, NameOf{LegStyle::spread, "spread"}};
};
struct LegsPart {
    LengthSpec length = reachTo(Landmark::bend);
    std::optional<Count> count;
    std::optional<int> knots;
    std::optional<LegStyle> style;
    bool operator==(const LegsPart&) const = default;
};
struct CheekPart {
    std::optional<LengthSpec> length;
    std::optional<Count> count;
    bool operator==(const CheekPart&) const = default;
};
struct BeadPart {
    bool operator==(const BeadPart&) const = default;
};
struct ThreadPart {
    bool operator==(const ThreadPart&) const = default;
};

enum class Knot { whip, halfHitch };
template <>
struct Names<Knot> {
    static constexpr std::array entries = {NameOf{Knot::whip, "whip"}, NameOf{Knot::halfHitch, "half_hitch"}};
};
enum class Finish { varnish, resin, glue, wax, none };
template <>
struct Names<Finish> {
    static constexpr std::array entries = {NameOf{Finish::varnish, "varnish"}, NameOf{Finish::resin, "resin"}, NameOf{Finish::glue, "glue"},
                                           NameOf{Finish::wax, "wax"}, NameOf{Finish::none, "none"}};
};
struct HeadPart {
    std::optional<BodyMethod> method;
    std::optional<Count> strands;
    std::optional<Count> whipTurns;
    std::optional<Knot> knot;
    std::optional<int> coats;
    std::optional<Finish> finish;
    std::optional<int> layers;
    bool operator==(const HeadPart&) const = default;
};

using PartDetail = std::variant<TagPart, TailPart, RibPart, UnderbodyPart, BodyPart, PalmerPart, CollarPart, WingPart, LegsPart, CheekPart,
                                BeadPart, ThreadPart, HeadPart>;
[[nodiscard]] PartDetail detailFor(PartKind kind);

struct Part {
    PartKind kind = PartKind::body;
    std::optional<std::string> id;  // lives as long as the part does
    std::optional<std::string> material;
    std::optional<PartRef> from;
    std::optional<StationSpec> station;
    std::optional<std::string> note;
    PartDetail detail = BodyPart{};
    Carried carried;
    bool operator==(const Part&) const = default;
};

enum class TeamRole { bob, middle, point, any };
template <>
struct Names<TeamRole> {
    static constexpr std::array entries = {NameOf{TeamRole::bob, "bob"}, NameOf{TeamRole::middle, "middle"},
                                           NameOf{TeamRole::point, "point"}, NameOf{TeamRole::any, "any"}};
};

// How a hackle's fibre is measured: as it stands when it fishes, or laid back along the shank.
enum class FibreSchool { lineOfSight, layBack };
template <>
struct Names<FibreSchool> {
    static constexpr std::array entries = {NameOf{FibreSchool::lineOfSight, "line_of_sight"}, NameOf{FibreSchool::layBack, "lay_back"}};
};

enum class TailSchool { shank, body };
template <>
struct Names<TailSchool> {
    static constexpr std::array entries = {NameOf{TailSchool::shank, "shank"}, NameOf{TailSchool::body, "body"}};
};
enum class BodyEndSchool { point, barb, bend };
template <>
struct Names<BodyEndSchool> {
    static constexpr std::array entries = {NameOf{BodyEndSchool::point, "point"}, NameOf{BodyEndSchool::barb, "barb"},
                                           NameOf{BodyEndSchool::bend, "bend"}};
};
enum class ReachSchool { barb, point, pastPoint };
template <>
struct Names<ReachSchool> {
    static constexpr std::array entries = {NameOf{ReachSchool::barb, "barb"}, NameOf{ReachSchool::point, "point"},
                                           NameOf{ReachSchool::pastPoint, "past_point"}};
};
enum class HackleSchool { full, throat };
template <>
struct Names<HackleSchool> {
    static constexpr std::array entries = {NameOf{HackleSchool::full, "full"}, NameOf{HackleSchool::throat, "throat"}};
};
enum class CollarPlace { beforeWing, afterWing };
template <>
struct Names<CollarPlace> {
    static constexpr std::array entries = {NameOf{CollarPlace::beforeWing, "before_wing"}, NameOf{CollarPlace::afterWing, "after_wing"}};
};
enum class WingSchool { paired, rolled };
template <>
struct Names<WingSchool> {
    static constexpr std::array entries = {NameOf{WingSchool::paired, "paired"}, NameOf{WingSchool::rolled, "rolled"}};
};
enum class WingReach { bend, tail };
template <>
struct Names<WingReach> {
    static constexpr std::array entries = {NameOf{WingReach::bend, "bend"}, NameOf{WingReach::tail, "tail"}};
};
enum class RibbedSchool { whole, tinselOnly };
template <>
struct Names<RibbedSchool> {
    static constexpr std::array entries = {NameOf{RibbedSchool::whole, "whole"}, NameOf{RibbedSchool::tinselOnly, "tinsel_only"}};
};
enum class BarbSchool { barbed, barbless };
template <>
struct Names<BarbSchool> {
    static constexpr std::array entries = {NameOf{BarbSchool::barbed, "barbed"}, NameOf{BarbSchool::barbless, "barbless"}};
};

// Where tiers disagree (practice.md): what a dressing, or a tier for all of them, holds to. What a part says of itself
// comes before both. The first five are read wherever a part is silent, body end and fullness as well; the others say how
// a new dressing or part arrives, and a dressing is turned to them by writing them into its parts (book/schools.h).
struct SchoolChoices {
    std::optional<FibreSchool> fibre;
    std::optional<TieIn> tieIn;
    std::optional<Winding> rib;
    std::optional<RibPitch> pitch;
    std::optional<Finish> finish;
    std::optional<BodyEndSchool> bodyEnd;
    std::optional<FullnessSchool> fullness;
    std::optional<TailSchool> tail;
    std::optional<ReachSchool> reach;
    std::optional<HackleSchool> hackle;
    std::optional<CollarPlace> collarPlace;
    std::optional<WingSchool> wing;
    std::optional<WingReach> wingReach;
    std::optional<RibbedSchool> ribbed;
    std::optional<BarbSchool> barb;
    Carried carried;
    bool operator==(const SchoolChoices&) const = default;
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
    std::string id;
    std::optional<std::string> name;
    std::optional<TeamRole> role;
    std::string hook;
    std::string thread;
    std::optional<Length> maxLength;
    std::optional<double> buoyancyMillinewton;  // 0 included, stands over what film and trapped air carry
    std::optional<Treatment> treated;
    std::optional<FlyStyle> style;
    std::optional<std::string> presentation;
    std::optional<SchoolChoices> schools;
    std::optional<std::string> variedFrom;  // id of the dressing that it was varied from
    std::optional<std::string> variedWhy;
    std::optional<std::string> note;
    std::vector<Part> parts;
    Carried carried;
    bool operator==(const Pattern&) const = default;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
};

// The part that a reference means; nothing where there is none.
[[nodiscard]] std::optional<std::size_t> find(const Pattern& pattern, const PartRef& ref);
[[nodiscard]] std::optional<std::size_t> findKind(const Pattern& pattern, PartKind kind);
[[nodiscard]] std::string describe(const PartRef& ref);

// The method a body is wound by when none is written, from what it is made of.
[[nodiscard]] BodyMethod usualMethod(MaterialKind material);

}  // namespace machair
