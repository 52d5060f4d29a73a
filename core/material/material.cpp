#include "material/material.h"
#include "language/say.h"
#include "units/visit.h"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <numbers>

namespace machair {

// Copied, moved and compared here once, not in every source that does so.
Material::Material() = default;
Material::Material(const Material&) = default;
Material::Material(Material&&) noexcept = default;
Material& Material::operator=(const Material&) = default;
Material& Material::operator=(Material&&) noexcept = default;
Material::~Material() = default;
bool Material::operator==(const Material&) const = default;

const std::string* Material::mainColour() const { return colour ? &*colour : colours.empty() ? nullptr : &colours.front(); }

namespace {

constexpr double kPacking = 0.80;  // of thread laid on the hook, models.md section 3
constexpr double kUsualDenier = 72.0;

template <class T>
T valueOr(const std::optional<T>& given, T usual, const char* key, std::vector<std::string>& assumed) {
    if (given) return *given;
    assumed.emplace_back(key);
    return usual;
}

Density fibreDensity(ThreadFibre fibre) {
    switch (fibre) {
        case ThreadFibre::polyester: return 1.38 * mgPerMm3;
        case ThreadFibre::nylon: return 1.14 * mgPerMm3;
        case ThreadFibre::silk: return 1.34 * mgPerMm3;
        case ThreadFibre::gelSpun: return 0.97 * mgPerMm3;
    }
    throw BrokenContract("unknown thread fibre");
}

double widthToThickness(ThreadLay lay) {
    switch (lay) {
        case ThreadLay::flat: return 3.0;
        case ThreadLay::halfSpun: return 2.0;
        case ThreadLay::corded: return 1.0;
    }
    throw BrokenContract("unknown thread lay");
}

struct BirdDefaults {
    double density;
    double stem;
    double gamma;
    double fibre;
    Stiffness stiffness;
    double usableStem;
    double shortest, longest;
    double usualTurns;
};

BirdDefaults defaultsOf(Bird bird) {
    switch (bird) {
        case Bird::hen: return {2.6, 0.30, 0.22, 0.040, Stiffness::soft, 30.0, 3.0, 18.0, 3.0};
        case Bird::other: return {2.6, 0.30, 0.22, 0.040, Stiffness::soft, 30.0, 3.0, 20.0, 3.0};
        case Bird::henDense: return {3.2, 0.30, 0.22, 0.040, Stiffness::soft, 45.0, 3.0, 16.0, 3.0};
        case Bird::partridge: return {2.0, 0.25, 0.30, 0.035, Stiffness::soft, 18.0, 4.0, 18.0, 2.0};
        case Bird::grouse: return {2.2, 0.25, 0.30, 0.035, Stiffness::soft, 18.0, 4.0, 20.0, 2.0};
        case Bird::cockCape: return {2.8, 0.25, 0.06, 0.055, Stiffness::stiff, 60.0, 3.0, 16.0, 3.0};
        case Bird::cockSaddle: return {2.8, 0.20, 0.03, 0.055, Stiffness::stiff, 130.0, 3.0, 14.0, 3.0};
    }
    throw BrokenContract("unknown bird");
}

}  // namespace

Traits traitsFor(MaterialKind kind) {
    switch (kind) {
        case MaterialKind::thread: return ThreadTraits{};
        case MaterialKind::wire:
        case MaterialKind::oval: return WireTraits{};
        case MaterialKind::tinsel:
        case MaterialKind::floss:
        case MaterialKind::ribbon: return StripTraits{};
        case MaterialKind::dubbing: return DubbingTraits{};
        case MaterialKind::herl:
        case MaterialKind::fibres: return StrandTraits{};
        case MaterialKind::chenille:
        case MaterialKind::tube: return RopeTraits{};
        case MaterialKind::hackle: return HackleTraits{};
        case MaterialKind::flank:
        case MaterialKind::quill: return VaneTraits{};
        case MaterialKind::tippet: return TippetTraits{};
        case MaterialKind::plume: return PlumeTraits{};
        case MaterialKind::hair: return HairTraits{};
        case MaterialKind::tip:
        case MaterialKind::cheek:
        case MaterialKind::leg: return PieceTraits{};
        case MaterialKind::bead: return BeadTraits{};
    }
    throw BrokenContract("unknown material kind");
}

std::optional<double> denierOfLabel(std::string_view label) {
    struct Alias {
        std::string_view label;
        double denier;
    };
    constexpr std::array kAliases = {Alias{"3/0", 210.0}, Alias{"6/0", 140.0}, Alias{"8/0", 72.0},  Alias{"10/0", 60.0},
                                     Alias{"12/0", 50.0}, Alias{"14/0", 45.0}, Alias{"16/0", 35.0}, Alias{"17/0", 30.0}};
    for (const auto& alias : kAliases)
        if (alias.label == label) return alias.denier;
    return std::nullopt;
}

LaidThread laidThread(double denier, ThreadFibre fibre, ThreadLay lay) {
    const double density = fibreDensity(fibre) / mgPerMm3 * 1e-3;  // g/mm³, as the formula wants it
    const double ratio = widthToThickness(lay);
    LaidThread laid;
    laid.solidArea = denier / (9e6 * density) * mm2;
    laid.thickness = sqrt(laid.solidArea / (kPacking * ratio));
    laid.width = ratio * laid.thickness;
    return laid;
}

LaidThread laidThread(const Material& thread) {
    const auto* traits = std::get_if<ThreadTraits>(&thread.traits);
    require(traits != nullptr, "laidThread wants a thread");
    std::vector<std::string> assumed;
    double denier = kUsualDenier;
    if (traits->denier)
        denier = *traits->denier;
    else if (traits->dtex)
        denier = 0.9 * *traits->dtex;
    else {
        denier = denierOfLabel(thread.label.value_or("")).value_or(kUsualDenier);
        assumed.emplace_back("denier");
    }
    const auto fibre = valueOr(traits->fibre, ThreadFibre::polyester, "fibre", assumed);
    const auto lay = valueOr(traits->lay, ThreadLay::flat, "lay", assumed);
    LaidThread laid = laidThread(denier, fibre, lay);
    laid.assumed = std::move(assumed);
    return laid;
}

double Feather::tolerance() const {
    switch (stiffness) {
        case Stiffness::soft: return 0.55;
        case Stiffness::medium: return 0.35;
        case Stiffness::stiff: return 0.25;
    }
    throw BrokenContract("unknown stiffness");
}

Angle Feather::fibreAngle() const {
    switch (stiffness) {
        case Stiffness::soft: return 40_deg;
        case Stiffness::medium: return 55_deg;
        case Stiffness::stiff: return 70_deg;
    }
    throw BrokenContract("unknown stiffness");
}

bool isCoarseFur(const Material& made) {
    const auto* fur = std::get_if<DubbingTraits>(&made.traits);
    return fur && (fur->texture == DubbingTexture::sealLike || fur->texture == DubbingTexture::hare ||
                   fur->texture == DubbingTexture::coarseSynthetic);
}

bool canBeWound(MaterialKind kind) { return kind == MaterialKind::hackle || kind == MaterialKind::plume || kind == MaterialKind::dubbing; }

Feather feather(const Material& hackle, const Hook& hook) {
    const auto* traits = std::get_if<HackleTraits>(&hackle.traits);
    require(canBeWound(hackle.kind), "feather wants a hackle, a plume or fur");
    Feather f;
    const double scale = nominalWire(hook.size()) / (0.60 * mm);
    if (!traits) {  // a plume wound as a collar, or fur spun in split thread
        const bool plume = hackle.kind == MaterialKind::plume;
        const auto* plumed = std::get_if<PlumeTraits>(&hackle.traits);
        f.bird = Bird::other;
        f.density = 3.0 * perMm;
        f.usualDensity = 2.6 * perMm;
        f.usualTurns = plume ? 2.0 : 3.0;
        f.gamma = plume ? 0.10 : 0.0;
        f.stem = (plume ? 0.25 : 0.20) * scale * mm;
        f.fibre = plumed ? plumed->fibre.value_or(0.030 * mm) : 0.030 * mm;
        if (plume) {
            f.usableStem = 35.0 * mm;
            f.fibreShortest = 6.0 * mm;
            f.fibreLongest = plumed && plumed->fibreLength ? *plumed->fibreLength : 30.0 * mm;
        }
        f.assumed = {"density_per_mm", say("gamma"), "stem_mm"};
        return f;
    }
    f.bird = traits->bird.value_or(Bird::hen);
    const BirdDefaults usual = defaultsOf(f.bird);
    f.usualDensity = usual.density * perMm;
    f.usualTurns = traits->usualTurns.value_or(usual.usualTurns);
    f.density = valueOr(traits->density, f.usualDensity, "density_per_mm", f.assumed);
    f.sides = valueOr(traits->sides, 2, "sides", f.assumed);
    f.stem = valueOr(traits->stem, usual.stem * scale * mm, "stem_mm", f.assumed);
    f.gamma = valueOr(traits->gamma, usual.gamma, "gamma", f.assumed);
    f.fibre = valueOr(traits->fibre, usual.fibre * mm, "fibre_mm", f.assumed);
    f.stiffness = valueOr(traits->stiffness, usual.stiffness, "stiffness", f.assumed);
    f.usableStem = valueOr(traits->usableStem, usual.usableStem * mm, "usable_stem_mm", f.assumed);
    f.fibreShortest = valueOr(traits->fibreShortest, std::min(usual.shortest * mm, traits->fibreLongest.value_or(usual.longest * mm)),
                              "fibre_shortest_mm", f.assumed);
    f.fibreLongest = valueOr(traits->fibreLongest, std::max(usual.longest * mm, *f.fibreShortest), "fibre_longest_mm", f.assumed);
    return f;
}

Density packedDensity(const DubbingTraits& dubbing) {
    if (dubbing.packed) return *dubbing.packed;
    switch (dubbing.texture.value_or(DubbingTexture::sealLike)) {
        case DubbingTexture::sealLike: return 0.16 * mgPerMm3;
        case DubbingTexture::hare: return 0.18 * mgPerMm3;
        case DubbingTexture::fineSynthetic: return 0.24 * mgPerMm3;
        case DubbingTexture::coarseSynthetic: return 0.14 * mgPerMm3;
    }
    throw BrokenContract("unknown dubbing texture");
}

PerLength barbDensity(const Material& vane) {
    if (const auto* traits = std::get_if<VaneTraits>(&vane.traits); traits && traits->density) return *traits->density;
    if (const auto* traits = std::get_if<StrandTraits>(&vane.traits); traits && traits->density) return *traits->density;
    return (vane.kind == MaterialKind::quill ? 2.9 : 2.4) * perMm;
}

Length barbDiameter(const Material& vane) {
    if (const auto* traits = std::get_if<VaneTraits>(&vane.traits); traits && traits->barb) return *traits->barb;
    // Turkey is a quill of its own kind; goose and duck are the usual ones.
    return (vane.kind == MaterialKind::quill ? 0.09 : 0.07) * mm;
}

Density metalDensity(Metal metal) {
    switch (metal) {
        case Metal::copper: return 8.9 * mgPerMm3;
        case Metal::steel: return kSteel;
        case Metal::lead: return 11.3 * mgPerMm3;
        case Metal::tin: return 7.3 * mgPerMm3;
        case Metal::tungsten: return 16.0 * mgPerMm3;
        case Metal::brass: return 8.5 * mgPerMm3;
        case Metal::glass: return 2.5 * mgPerMm3;
    }
    throw BrokenContract("unknown metal");
}

Length fibreDiameter(const Material& material) {
    struct Diameter {
        const Material& m;
        Length operator()(const HackleTraits& t) const { return t.fibre.value_or(defaultsOf(t.bird.value_or(Bird::hen)).fibre * mm); }
        Length operator()(const TippetTraits& t) const { return t.fibre.value_or(0.060 * mm); }
        Length operator()(const StrandTraits& t) const { return t.fibre.value_or(t.thickness.value_or(0.070 * mm)); }
        Length operator()(const VaneTraits&) const { return barbDiameter(m); }
        Length operator()(const PlumeTraits& t) const { return t.fibre.value_or(0.030 * mm); }
        Length operator()(const HairTraits& t) const { return t.fibre.value_or(0.100 * mm); }
        Length operator()(const PieceTraits& t) const { return t.thickness.value_or(0.200 * mm); }
        Length operator()(const WireTraits& t) const { return t.diameter.value_or(0.20 * mm); }
        Length operator()(const RopeTraits& t) const { return t.core.value_or(0.25 * mm); }
        // A strand of floss or thread bunched up: the round of its cross-section.
        Length operator()(const StripTraits&) const { return sqrt(4.0 / kPi * windingWidth(m) * windingThickness(m)); }
        Length operator()(const ThreadTraits&) const { return sqrt(4.0 / std::numbers::pi * laidThread(m).solidArea); }
        Length operator()(const DubbingTraits&) const { return 0.030 * mm; }
        Length operator()(const BeadTraits&) const { return 0.100 * mm; }
    };
    return std::visit(Diameter{material}, material.traits);
}

namespace {

// A size in inches, "3/32" or "1/8", or in millimetres, "2.4 mm".
std::optional<Length> measureOfLabel(std::string_view label) {
    const auto number = [](std::string_view text) -> std::optional<double> {
        double value = 0.0;
        const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), value);
        return error == std::errc{} && end == text.data() + text.size() && value > 0.0 ? std::optional(value) : std::nullopt;
    };
    if (label.ends_with("mm")) {
        label.remove_suffix(2);
        while (label.ends_with(' '))
            label.remove_suffix(1);
        const auto value = number(label);
        return value ? std::optional(*value * mm) : std::nullopt;
    }
    const auto slash = label.find('/');
    if (slash == std::string_view::npos) return std::nullopt;
    const auto above = number(label.substr(0, slash)), below = number(label.substr(slash + 1));
    constexpr double kInch = 25.4;
    return above && below ? std::optional(*above / *below * kInch * mm) : std::nullopt;
}

std::optional<Length> labelled(const Material& material) {
    return material.label ? sizeOfLabel(material.kind, *material.label) : std::nullopt;
}

}  // namespace

std::optional<Length> sizeOfLabel(MaterialKind kind, std::string_view label) {
    struct Row {
        std::string_view label;
        double wire, oval, strip, chenille;  // mm
    };
    constexpr std::array kRows = {Row{"x-small", 0.10, 0.20, 0.40, 0.0}, Row{"small", 0.14, 0.25, 0.65, 1.4},
                                  Row{"medium", 0.18, 0.35, 1.15, 2.2}, Row{"large", 0.25, 0.50, 1.60, 3.2}};
    struct Width {
        std::string_view label;
        double width;  // mm
    };
    constexpr std::array kFloss = {Width{"single", 1.0}, Width{"double", 1.6}, Width{"four-strand", 2.5}};
    constexpr std::array kRibbon = {Width{"1/69", 0.37}, Width{"1/32", 0.79}, Width{"1/16", 1.59}, Width{"1/8", 3.18}};
    const auto in = [label](const auto& widths) -> std::optional<Length> {
        const auto found = std::ranges::find(widths, label, &Width::label);
        return found == widths.end() ? std::nullopt : std::optional(found->width * mm);
    };
    const auto row = std::ranges::find(kRows, label, &Row::label);
    const auto of = [&](double Row::*size) -> std::optional<Length> {
        return row == kRows.end() || (*row).*size <= 0.0 ? std::nullopt : std::optional((*row).*size * mm);
    };
    switch (kind) {
        case MaterialKind::wire: return of(&Row::wire);
        case MaterialKind::oval: return of(&Row::oval);
        case MaterialKind::tinsel: return of(&Row::strip);
        case MaterialKind::ribbon:
            if (const auto width = in(kRibbon)) return width;
            return of(&Row::strip);
        case MaterialKind::floss: return in(kFloss);
        case MaterialKind::chenille: return label == "micro" ? std::optional(0.9 * mm) : of(&Row::chenille);
        case MaterialKind::bead: return measureOfLabel(label);
        default: return std::nullopt;
    }
}

Length beadDiameter(const Material& bead, int hookSize) {
    if (const auto* traits = std::get_if<BeadTraits>(&bead.traits); traits && traits->diameter) return *traits->diameter;
    constexpr double kBeadToGape = 0.60;
    return labelled(bead).value_or(kBeadToGape * nominalGape(hookSize));
}

Length naturalLength(const Material& strand) {
    if (const auto* traits = std::get_if<StrandTraits>(&strand.traits); traits && traits->natural) return *traits->natural;
    return strand.kind == MaterialKind::quill ? 80.0 * mm : strand.kind == MaterialKind::fibres ? 55.0 * mm : 100.0 * mm;
}

Length flueOf(const Material& strand) {
    if (const auto* traits = std::get_if<StrandTraits>(&strand.traits); traits && traits->flue) return *traits->flue;
    return (strand.kind == MaterialKind::herl ? 0.8 : 0.0) * mm;
}

namespace {

// Wound as single fibres, whatever they grew on.
template <class T>
concept Fibrous = OneOf<T, DubbingTraits, HackleTraits, VaneTraits, TippetTraits, PlumeTraits, HairTraits, PieceTraits, BeadTraits>;

// A quill stripped bare, else one fibre.
Length strippedOr(const Material& material, Length stripped) {
    return material.kind == MaterialKind::quill ? stripped : fibreDiameter(material);
}

struct Thickness {
    const Material& material;
    [[nodiscard]] Length said(const std::optional<Length>& own, Length usual) const {
        return own ? *own : labelled(material).value_or(usual);
    }
    Length operator()(const WireTraits& wire) const {
        return said(wire.diameter, (material.kind == MaterialKind::oval ? 0.30 : 0.15) * mm);
    }
    Length operator()(const StripTraits& strip) const {
        return strip.thickness.value_or((material.kind == MaterialKind::tinsel ? 0.03 : 0.05) * mm);
    }
    Length operator()(const StrandTraits& strand) const { return strand.thickness.value_or(0.15 * mm); }
    Length operator()(const RopeTraits& rope) const { return said(rope.diameter, (material.kind == MaterialKind::tube ? 1.0 : 1.5) * mm); }
    Length operator()(const ThreadTraits&) const { return laidThread(material).thickness; }
    Length operator()(const Fibrous auto&) const { return strippedOr(material, 0.10 * mm); }
};

}  // namespace

Length windingThickness(const Material& material) { return std::visit(Thickness{material}, material.traits); }

Length windingWidth(const Material& material) {
    return std::visit(
        Overloaded{
            [&](const StripTraits& strip) {
                if (strip.width) return *strip.width;
                return labelled(material).value_or((material.kind == MaterialKind::floss ? 1.00 : 0.80) * mm);
            },
            [&](const StrandTraits& strand) { return strand.width.value_or((material.kind == MaterialKind::fibres ? 0.30 : 0.40) * mm); },
            [&](const ThreadTraits&) { return laidThread(material).width; },
            [&](const OneOf<WireTraits, RopeTraits> auto&) { return windingThickness(material); },
            [&](const Fibrous auto&) { return strippedOr(material, 0.45 * mm); },
        },
        material.traits);
}

namespace {
constexpr std::size_t kWoundRead = 3;  // the last so many are asked
}

double takesOfReckoned(const DubbingTraits& dubbing, BodyMethod method, int size) {
    const auto largest = [&](auto counts) {
        double most = 0.0;
        std::size_t read = 0;
        for (auto one = dubbing.wound.rbegin(); one != dubbing.wound.rend() && read < kWoundRead; ++one)
            if (one->method == method && counts(*one)) {
                most = std::max(most, one->ofReckoned);
                ++read;
            }
        return most;
    };
    if (const double here = largest([&](const WoundFur& one) { return one.size == size; }); here > 0.0) return here;
    if (const double any = largest([](const WoundFur&) { return true; }); any > 0.0) return any;
    return dubbing.correction.value_or(1.0);
}

std::vector<WoundFur> withWound(std::vector<WoundFur> wound, const WoundFur& one) {
    wound.push_back(one);
    const auto alike = [&](const WoundFur& other) { return other.method == one.method && other.size == one.size; };
    for (auto over = std::ranges::count_if(wound, alike) - static_cast<std::ptrdiff_t>(kWoundRead); over > 0; --over)
        wound.erase(std::ranges::find_if(wound, alike));
    return wound;
}

bool isRoundWinding(const Material& material) { return std::holds_alternative<WireTraits>(material.traits); }

}  // namespace machair
