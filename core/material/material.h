// Threads, feathers, furs, wires, tinsels and beads: what is written down about them, and what they physically are.
//
// A Material holds only what its owner wrote. The functions at the end fill in the default of its kind
// (models.md sections 3 to 8) and say which values are assumed.
#pragma once

#include <optional>
#include <string>
#include <utility>
#include <variant>
#include <vector>

#include "hook/hook.h"
#include "units/id.h"
#include "units/names.h"
#include "units/quantity.h"

namespace machair {

enum class MaterialKind {
    thread,
    wire,
    oval,
    tinsel,
    floss,
    ribbon,
    dubbing,
    herl,
    fibres,
    chenille,
    tube,
    hackle,
    flank,
    quill,
    tippet,
    plume,
    hair,
    tip,
    cheek,
    leg,
    bead
};
template <>
struct Names<MaterialKind> {
    static constexpr std::array entries = {
        NameOf{MaterialKind::thread, "thread"},     NameOf{MaterialKind::wire, "wire"},   NameOf{MaterialKind::oval, "oval"},
        NameOf{MaterialKind::tinsel, "tinsel"},     NameOf{MaterialKind::floss, "floss"}, NameOf{MaterialKind::ribbon, "ribbon"},
        NameOf{MaterialKind::dubbing, "dubbing"},   NameOf{MaterialKind::herl, "herl"},   NameOf{MaterialKind::fibres, "fibres"},
        NameOf{MaterialKind::chenille, "chenille"}, NameOf{MaterialKind::tube, "tube"},   NameOf{MaterialKind::hackle, "hackle"},
        NameOf{MaterialKind::flank, "flank"},       NameOf{MaterialKind::quill, "quill"}, NameOf{MaterialKind::tippet, "tippet"},
        NameOf{MaterialKind::plume, "plume"},       NameOf{MaterialKind::hair, "hair"},   NameOf{MaterialKind::tip, "tip"},
        NameOf{MaterialKind::cheek, "cheek"},       NameOf{MaterialKind::leg, "leg"},     NameOf{MaterialKind::bead, "bead"}};
};

enum class Marking { plain, barred, mottled, tipped, list };
template <>
struct Names<Marking> {
    static constexpr std::array entries = {NameOf{Marking::plain, "plain"}, NameOf{Marking::barred, "barred"},
                                           NameOf{Marking::mottled, "mottled"}, NameOf{Marking::tipped, "tipped"},
                                           NameOf{Marking::list, "list"}};
};

enum class ThreadFibre { polyester, nylon, silk, gelSpun };
template <>
struct Names<ThreadFibre> {
    static constexpr std::array entries = {NameOf{ThreadFibre::polyester, "polyester"}, NameOf{ThreadFibre::nylon, "nylon"},
                                           NameOf{ThreadFibre::silk, "silk"}, NameOf{ThreadFibre::gelSpun, "gel_spun"}};
};
enum class ThreadLay { flat, halfSpun, corded };
template <>
struct Names<ThreadLay> {
    static constexpr std::array entries = {NameOf{ThreadLay::flat, "flat"}, NameOf{ThreadLay::halfSpun, "half_spun"},
                                           NameOf{ThreadLay::corded, "corded"}};
};
struct ThreadTraits {
    std::optional<double> denier;
    std::optional<double> dtex;
    std::optional<ThreadFibre> fibre;
    std::optional<ThreadLay> lay;
    bool operator==(const ThreadTraits&) const = default;
};

enum class Metal { copper, steel, lead, tin, tungsten, brass, glass };
template <>
struct Names<Metal> {
    static constexpr std::array entries = {
        NameOf{Metal::copper, "copper"},     NameOf{Metal::steel, "steel"}, NameOf{Metal::lead, "lead"},  NameOf{Metal::tin, "tin"},
        NameOf{Metal::tungsten, "tungsten"}, NameOf{Metal::brass, "brass"}, NameOf{Metal::glass, "glass"}};
};
enum class OvalCore { none, thread };
template <>
struct Names<OvalCore> {
    static constexpr std::array entries = {NameOf{OvalCore::none, "none"}, NameOf{OvalCore::thread, "thread"}};
};
struct WireTraits {  // wire and oval tinsel
    std::optional<Length> diameter;
    std::optional<Metal> metal;
    std::optional<OvalCore> core;
    bool operator==(const WireTraits&) const = default;
};

struct StripTraits {  // flat tinsel, floss, ribbon
    std::optional<Length> width;
    std::optional<Length> thickness;
    std::vector<std::string> faces;
    bool operator==(const StripTraits&) const = default;
};

// What a body is wound by.
enum class BodyMethod { noodle, level, loop, rope, herl, fibres, floss, tinsel, wire, chenille, tube, thread };
template <>
struct Names<BodyMethod> {
    static constexpr std::array entries = {
        NameOf{BodyMethod::noodle, "noodle"},     NameOf{BodyMethod::level, "level"},   NameOf{BodyMethod::loop, "loop"},
        NameOf{BodyMethod::rope, "rope"},         NameOf{BodyMethod::herl, "herl"},     NameOf{BodyMethod::fibres, "fibres"},
        NameOf{BodyMethod::floss, "floss"},       NameOf{BodyMethod::tinsel, "tinsel"}, NameOf{BodyMethod::wire, "wire"},
        NameOf{BodyMethod::chenille, "chenille"}, NameOf{BodyMethod::tube, "tube"},     NameOf{BodyMethod::thread, "thread"}};
};

enum class DubbingTexture { sealLike, hare, fineSynthetic, coarseSynthetic };
template <>
struct Names<DubbingTexture> {
    static constexpr std::array entries = {NameOf{DubbingTexture::sealLike, "seal_like"}, NameOf{DubbingTexture::hare, "hare"},
                                           NameOf{DubbingTexture::fineSynthetic, "fine_synthetic"},
                                           NameOf{DubbingTexture::coarseSynthetic, "coarse_synthetic"}};
};
struct BlendPart {
    MaterialId material;
    double parts = 1.0;
    Carried carried;
    bool operator==(const BlendPart&) const = default;
};
// What one fly took of a noodle, loop or rope: the length that was wound over what was reckoned.
struct WoundFur {
    BodyMethod method = BodyMethod::noodle;
    int size = 10;  // of the hook
    double ofReckoned = 1.0;
    bool operator==(const WoundFur&) const = default;
};
struct DubbingTraits {
    std::optional<DubbingTexture> texture;
    std::optional<Density> packed;
    std::vector<BlendPart> blend;
    std::optional<double> correction;  // of older books: what was learned of every noodle of this fur
    std::vector<WoundFur> wound;       // the latest last
    bool operator==(const DubbingTraits&) const = default;
};

struct StrandTraits {  // herl, tail fibres wound as a body
    std::optional<Length> width;
    std::optional<Length> thickness;
    std::optional<Length> flue;
    std::optional<Length> natural;
    std::optional<PerLength> density;
    std::optional<Length> fibre;
    bool operator==(const StrandTraits&) const = default;
};

struct RopeTraits {  // chenille, tubing
    std::optional<Length> diameter;
    std::optional<Length> core;
    bool operator==(const RopeTraits&) const = default;
};

enum class Bird { hen, henDense, partridge, grouse, cockCape, cockSaddle, other };
template <>
struct Names<Bird> {
    static constexpr std::array entries = {
        NameOf{Bird::hen, "hen"},       NameOf{Bird::henDense, "hen_dense"}, NameOf{Bird::partridge, "partridge"},
        NameOf{Bird::grouse, "grouse"}, NameOf{Bird::cockCape, "cock_cape"}, NameOf{Bird::cockSaddle, "cock_saddle"},
        NameOf{Bird::other, "other"}};
};
enum class Stiffness { soft, medium, stiff };
template <>
struct Names<Stiffness> {
    static constexpr std::array entries = {NameOf{Stiffness::soft, "soft"}, NameOf{Stiffness::medium, "medium"},
                                           NameOf{Stiffness::stiff, "stiff"}};
};
struct HackleTraits {
    std::optional<Bird> bird;
    std::optional<PerLength> density;
    std::optional<int> sides;
    std::optional<Length> stem;
    std::optional<double> gamma;  // change of fibre length per length of stem
    std::optional<Length> fibre;
    std::optional<Stiffness> stiffness;
    std::optional<Length> fibreShortest;
    std::optional<Length> fibreLongest;
    std::optional<Length> usableStem;
    std::optional<double> usualTurns;  // of one usual collar of it, models-team.md section A
    bool operator==(const HackleTraits&) const = default;
};

enum class FeatherSide { left, right, both };
template <>
struct Names<FeatherSide> {
    static constexpr std::array entries = {NameOf{FeatherSide::left, "left"}, NameOf{FeatherSide::right, "right"},
                                           NameOf{FeatherSide::both, "both"}};
};
struct VaneTraits {  // flank and quill
    std::optional<FeatherSide> side;
    std::optional<Length> vane;
    std::vector<Length> barbs;  // base, middle, tip
    std::optional<PerLength> density;
    std::optional<Length> barb;
    bool operator==(const VaneTraits&) const = default;
};

struct TippetTraits {
    std::optional<Length> barSpacing;
    std::optional<Length> bar;
    std::optional<Length> fibre;
    bool operator==(const TippetTraits&) const = default;
};
enum class Down { gland, marabou };
template <>
struct Names<Down> {
    static constexpr std::array entries = {NameOf{Down::gland, "gland"}, NameOf{Down::marabou, "marabou"}};
};
struct PlumeTraits {
    std::optional<Length> fibre;
    std::optional<Length> fibreLength;
    std::optional<double> fibres;  // barbs of one feather
    std::optional<Length> shaft;
    std::optional<Down> down;  // oil-gland down holds air, marabou is limp
    bool operator==(const PlumeTraits&) const = default;
};
struct HairTraits {
    std::optional<Length> fibre;
    std::optional<Length> length;
    std::optional<double> loss;  // share lost on tightening
    bool operator==(const HairTraits&) const = default;
};
struct PieceTraits {  // hackle points, cheeks, legs
    std::optional<Length> length;
    std::optional<Length> width;
    std::optional<Length> thickness;
    bool operator==(const PieceTraits&) const = default;
};
struct BeadTraits {
    std::optional<Length> diameter;
    std::optional<Length> hole;
    std::optional<Metal> metal;
    bool operator==(const BeadTraits&) const = default;
};

using Traits = std::variant<ThreadTraits, WireTraits, StripTraits, DubbingTraits, StrandTraits, RopeTraits, HackleTraits, VaneTraits,
                            TippetTraits, PlumeTraits, HairTraits, PieceTraits, BeadTraits>;

// The empty traits that a kind of material carries.
[[nodiscard]] Traits traitsFor(MaterialKind kind);

struct Material {
    Material();
    Material(const Material&);
    Material(Material&&) noexcept;
    Material& operator=(const Material&);
    Material& operator=(Material&&) noexcept;
    ~Material();

    MaterialId id;
    MaterialKind kind = MaterialKind::thread;
    std::optional<std::string> name;
    std::optional<std::string> label;
    std::optional<std::string> colour;  // "#rrggbb"
    std::vector<std::string> colours;
    std::optional<Marking> marking;
    std::optional<double> pack;  // how many, mm or mg are sold together
    std::optional<std::string> note;
    std::vector<std::string> measured;
    Traits traits;
    Carried carried;
    bool operator==(const Material&) const;

    [[nodiscard]] const std::string& title() const { return name ? *name : id; }
    // Its own colour, or the first of several; nothing where neither is written.
    [[nodiscard]] const std::string* mainColour() const;
};

// What a thread is on the hook, models.md section 3.
struct LaidThread {
    Area solidArea;
    Length thickness;  // each layer adds twice this to the diameter
    Length width;      // of one laid turn
    std::vector<std::string> assumed;
};
[[nodiscard]] LaidThread laidThread(const Material& thread);
[[nodiscard]] LaidThread laidThread(double denier, ThreadFibre fibre, ThreadLay lay);

// A hackle feather on this hook, models.md section 5.
struct Feather {
    PerLength density;  // fibres per length of stem and side
    int sides = 2;
    Length stem;
    double gamma = 0.0;
    Length fibre;
    Stiffness stiffness = Stiffness::soft;
    Bird bird = Bird::hen;
    PerLength usualDensity;                             // of its kind, one side
    double usualTurns = 3.0;                            // of one usual collar
    std::optional<Length> usableStem;                   // none: as long as one likes
    std::optional<Length> fibreShortest, fibreLongest;  // it grows fibres from, to
    std::vector<std::string> assumed;
    [[nodiscard]] PerLength fibresPerStem() const { return density * static_cast<double>(sides); }
    [[nodiscard]] double tolerance() const;  // of fibre length within one collar
    [[nodiscard]] Angle fibreAngle() const;  // of its fibres to the shank
};
// Of a hackle, a plume or fur that is wound as one; the usual of its kind where nothing is given.
[[nodiscard]] Feather feather(const Material& hackle, const Hook& hook);
[[nodiscard]] bool isCoarseFur(const Material& made);  // seal-like, hare and coarse synthetics: held badly, and shaggy
[[nodiscard]] bool canBeWound(MaterialKind kind);      // as a collar or throat

// ρ of models.md section 4, the length of noodle, loop or rope that this fur takes over what is reckoned: the largest of the
// last three of this method on this size of hook, else of the last three of this method, else 1 (or what an older book learned).
[[nodiscard]] double takesOfReckoned(const DubbingTraits& dubbing, BodyMethod method, int size);
// With one more fly's, and of each method and size no more than are read.
[[nodiscard]] std::vector<WoundFur> withWound(std::vector<WoundFur> wound, const WoundFur& one);

[[nodiscard]] Density packedDensity(const DubbingTraits& dubbing);  // of one fur; a blend's own is book/book.h's to know

inline constexpr double kUsualPlumeFibres = 60.0;
inline constexpr Length kUsualPlumeShaft = 0.25 * mm;

// The width or diameter of a size as sold ("medium", "1/32"); nothing for a label that isn't in the table of models.md
// section 3.
[[nodiscard]] std::optional<Length> sizeOfLabel(MaterialKind kind, std::string_view label);
[[nodiscard]] Length beadDiameter(const Material& bead, int hookSize);
// Strands as they come: the length of one, usable or not.
[[nodiscard]] Length naturalLength(const Material& strand);
[[nodiscard]] Length flueOf(const Material& strand);  // how far its flues stand off
[[nodiscard]] PerLength barbDensity(const Material& vane);
[[nodiscard]] Length barbDiameter(const Material& vane);  // the round of equal area
[[nodiscard]] Density metalDensity(Metal metal);
// Diameter of one fibre of anything that may be tied in as a tail or a bunch.
[[nodiscard]] Length fibreDiameter(const Material& material);
// Diameter of what is wound as a rib or wire body: wire, oval, or a strip's thickness.
[[nodiscard]] Length windingThickness(const Material& material);
[[nodiscard]] Length windingWidth(const Material& material);  // along the shank
[[nodiscard]] bool isRoundWinding(const Material& material);

// The denier that a maker's label usually stands for; labels disagree, so it is shown as assumed.
[[nodiscard]] std::optional<double> denierOfLabel(std::string_view label);

}  // namespace machair
