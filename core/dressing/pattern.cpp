#include "dressing/pattern.h"

#include <algorithm>
#include <cmath>

namespace machair {

// Copied, moved and compared here once, not in every source that does so.
Part::Part() = default;
Part::Part(const Part&) = default;
Part::Part(Part&&) noexcept = default;
Part& Part::operator=(const Part&) = default;
Part& Part::operator=(Part&&) noexcept = default;
Part::~Part() = default;
bool Part::operator==(const Part&) const = default;

Pattern::Pattern() = default;
Pattern::Pattern(const Pattern&) = default;
Pattern::Pattern(Pattern&&) noexcept = default;
Pattern& Pattern::operator=(const Pattern&) = default;
Pattern& Pattern::operator=(Pattern&&) noexcept = default;
Pattern::~Pattern() = default;
bool Pattern::operator==(const Pattern&) const = default;

double Count::wholeMiddle() const {
    constexpr double kCountRounding = 1e-9;  // so that a sum like 2.9999999999 is three
    return std::ceil(middle() - kCountRounding);
}

PartDetail detailFor(PartKind kind) {
    switch (kind) {
        case PartKind::tag:
        case PartKind::butt: return TagPart{};
        case PartKind::tail: return TailPart{};
        case PartKind::rib: return RibPart{};
        case PartKind::underbody: return UnderbodyPart{};
        case PartKind::body:
        case PartKind::thorax: return BodyPart{};
        case PartKind::palmer: return PalmerPart{};
        case PartKind::collar:
        case PartKind::throat: return CollarPart{};
        case PartKind::wing: return WingPart{};
        case PartKind::legs: return LegsPart{};
        case PartKind::cheek: return CheekPart{};
        case PartKind::bead: return BeadPart{};
        case PartKind::thread: return ThreadPart{};
        case PartKind::head: return HeadPart{};
    }
    throw BrokenContract("unknown part kind");
}

std::optional<std::size_t> findKind(const Pattern& pattern, PartKind kind) {
    const auto found = std::ranges::find(pattern.parts, kind, &Part::kind);
    if (found == pattern.parts.end()) return std::nullopt;
    return static_cast<std::size_t>(found - pattern.parts.begin());
}

std::optional<std::size_t> find(const Pattern& pattern, const PartRef& ref) {
    if (const auto* kind = std::get_if<PartKind>(&ref.which)) return findKind(pattern, *kind);
    if (const auto* id = std::get_if<std::string>(&ref.which)) {
        for (std::size_t i = 0; i < pattern.parts.size(); ++i)
            if (pattern.parts[i].id == *id) return i;
        return std::nullopt;
    }
    const std::size_t index = std::get<std::size_t>(ref.which);
    if (index >= pattern.parts.size()) return std::nullopt;
    return index;
}

std::string describe(const PartRef& ref) {
    if (const auto* kind = std::get_if<PartKind>(&ref.which)) return std::string(nameOf(*kind));
    if (const auto* id = std::get_if<std::string>(&ref.which)) return "\"" + *id + "\"";
    return "part " + std::to_string(std::get<std::size_t>(ref.which));
}

BodyMethod usualMethod(MaterialKind material) {
    switch (material) {
        case MaterialKind::thread: return BodyMethod::thread;
        case MaterialKind::wire:
        case MaterialKind::oval: return BodyMethod::wire;
        case MaterialKind::tinsel: return BodyMethod::tinsel;
        case MaterialKind::floss:
        case MaterialKind::ribbon: return BodyMethod::floss;
        case MaterialKind::herl: return BodyMethod::herl;
        case MaterialKind::chenille: return BodyMethod::chenille;
        case MaterialKind::tube: return BodyMethod::tube;
        case MaterialKind::dubbing: return BodyMethod::noodle;
        default: return BodyMethod::fibres;
    }
}

}  // namespace machair
