#include "material/material.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace machair {

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
};

BirdDefaults defaultsOf(Bird bird) {
    switch (bird) {
        case Bird::hen:
        case Bird::other: return {2.6, 0.30, 0.22, 0.040, Stiffness::soft};
        case Bird::henDense: return {3.2, 0.30, 0.22, 0.040, Stiffness::soft};
        case Bird::partridge: return {2.0, 0.25, 0.30, 0.035, Stiffness::soft};
        case Bird::grouse: return {2.2, 0.25, 0.30, 0.035, Stiffness::soft};
        case Bird::cockCape: return {2.8, 0.25, 0.06, 0.055, Stiffness::stiff};
        case Bird::cockSaddle: return {2.8, 0.20, 0.03, 0.055, Stiffness::stiff};
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
    constexpr std::array kAliases = {Alias{"3/0", 210.0}, Alias{"6/0", 140.0}, Alias{"8/0", 72.0},
                                     Alias{"10/0", 60.0}, Alias{"12/0", 50.0}, Alias{"14/0", 45.0},
                                     Alias{"16/0", 35.0}, Alias{"17/0", 30.0}};
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
        case Stiffness::soft: return 0.40;
        case Stiffness::medium: return 0.25;
        case Stiffness::stiff: return 0.15;
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

Feather feather(const Material& hackle, const Hook& hook) {
    const auto* traits = std::get_if<HackleTraits>(&hackle.traits);
    require(traits != nullptr, "feather wants a hackle");
    Feather f;
    f.bird = traits->bird.value_or(Bird::hen);
    const BirdDefaults usual = defaultsOf(f.bird);
    const double scale = nominalWire(hook.size()) / (0.60 * mm);
    f.density = valueOr(traits->density, usual.density * perMm, "density_per_mm", f.assumed);
    f.sides = valueOr(traits->sides, 2, "sides", f.assumed);
    f.stem = valueOr(traits->stem, usual.stem * scale * mm, "stem_mm", f.assumed);
    f.gamma = valueOr(traits->gamma, usual.gamma, "gamma", f.assumed);
    f.fibre = valueOr(traits->fibre, usual.fibre * mm, "fibre_mm", f.assumed);
    f.stiffness = valueOr(traits->stiffness, usual.stiffness, "stiffness", f.assumed);
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
    return (vane.kind == MaterialKind::quill ? 0.09 : 0.07) * mm;
}

Density metalDensity(Metal metal) {
    switch (metal) {
        case Metal::copper: return 8.9 * mgPerMm3;
        case Metal::steel: return 7.85 * mgPerMm3;
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
        Length operator()(const HackleTraits& t) const {
            return t.fibre.value_or(defaultsOf(t.bird.value_or(Bird::hen)).fibre * mm);
        }
        Length operator()(const TippetTraits& t) const { return t.fibre.value_or(0.060 * mm); }
        Length operator()(const StrandTraits& t) const { return t.fibre.value_or(t.thickness.value_or(0.070 * mm)); }
        Length operator()(const VaneTraits&) const { return barbDiameter(m); }
        Length operator()(const PlumeTraits& t) const { return t.fibre.value_or(0.030 * mm); }
        Length operator()(const HairTraits& t) const { return t.fibre.value_or(0.100 * mm); }
        Length operator()(const PieceTraits& t) const { return t.thickness.value_or(0.200 * mm); }
        Length operator()(const WireTraits& t) const { return t.diameter.value_or(0.20 * mm); }
        Length operator()(const RopeTraits& t) const { return t.core.value_or(0.25 * mm); }
        // A strand of floss or thread bunched up: the round of its cross-section.
        Length operator()(const StripTraits&) const {
            constexpr double kPi = std::numbers::pi;
            return sqrt(4.0 / kPi * windingWidth(m) * windingThickness(m));
        }
        Length operator()(const ThreadTraits&) const { return sqrt(4.0 / std::numbers::pi * laidThread(m).solidArea); }
        Length operator()(const DubbingTraits&) const { return 0.030 * mm; }
        Length operator()(const BeadTraits&) const { return 0.100 * mm; }
    };
    return std::visit(Diameter{material}, material.traits);
}

Length windingThickness(const Material& material) {
    if (const auto* wire = std::get_if<WireTraits>(&material.traits))
        return wire->diameter.value_or((material.kind == MaterialKind::oval ? 0.30 : 0.15) * mm);
    if (const auto* strip = std::get_if<StripTraits>(&material.traits))
        return strip->thickness.value_or((material.kind == MaterialKind::tinsel ? 0.03 : 0.05) * mm);
    if (const auto* strand = std::get_if<StrandTraits>(&material.traits)) return strand->thickness.value_or(0.15 * mm);
    if (const auto* rope = std::get_if<RopeTraits>(&material.traits)) return rope->diameter.value_or(1.5 * mm);
    if (std::holds_alternative<ThreadTraits>(material.traits)) return laidThread(material).thickness;
    return fibreDiameter(material);
}

Length windingWidth(const Material& material) {
    if (const auto* strip = std::get_if<StripTraits>(&material.traits))
        return strip->width.value_or((material.kind == MaterialKind::tinsel ? 0.80 : 1.00) * mm);
    if (const auto* strand = std::get_if<StrandTraits>(&material.traits)) return strand->width.value_or(0.40 * mm);
    if (std::holds_alternative<ThreadTraits>(material.traits)) return laidThread(material).width;
    return windingThickness(material);
}

bool isRoundWinding(const Material& material) { return std::holds_alternative<WireTraits>(material.traits); }

}  // namespace machair
