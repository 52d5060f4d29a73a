// The parts of a dressing as they are written, in tying order: what each kind says of itself.
#pragma once

#include <optional>
#include <string>
#include <variant>

#include "dressing/length_spec.h"
#include "material/material.h"
#include "units/id.h"

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
    Part();
    Part(const Part&);
    Part(Part&&) noexcept;
    Part& operator=(const Part&);
    Part& operator=(Part&&) noexcept;
    ~Part();

    PartKind kind = PartKind::body;
    std::optional<std::string> id;  // lives as long as the part does
    std::optional<MaterialId> material;
    std::optional<PartRef> from;
    std::optional<StationSpec> station;
    std::optional<std::string> note;
    PartDetail detail = BodyPart{};
    Carried carried;
    bool operator==(const Part&) const;
};

}  // namespace machair
