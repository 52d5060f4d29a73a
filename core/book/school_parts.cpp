#include "book/school_parts.h"

#include <cmath>

namespace machair {

namespace {

constexpr double kPastThePoint = 0.10;  // of the gape

LengthSpec toTheTail(double share) { return {Reach{PartRef{PartKind::tail}, share, {}, {}}, {}}; }
bool isFlatTinsel(const Book& book, const Part& part) {
    const Material* made = part.material ? book.findMaterial(*part.material) : nullptr;
    return part.kind == PartKind::body && made && (made->kind == MaterialKind::tinsel || made->kind == MaterialKind::oval);
}

}  // namespace

LengthSpec reachOf(ReachSchool school) {
    switch (school) {
        case ReachSchool::barb: return reachTo(Landmark::barb);
        case ReachSchool::point: return reachTo(Landmark::point);
        case ReachSchool::bend: return reachTo(Landmark::bend);
        case ReachSchool::pastPoint:
            return {Reach{AnyLandmark(Landmark::point), {}, Held<LengthSpec>(ratioOf(kPastThePoint, Yardstick::gape)), {}}, {}};
        case ReachSchool::upright: return ratioOf(1.0, Yardstick::gape);
    }
    throw BrokenContract("unknown reach");
}
LengthSpec reachOf(WingReach school) {
    switch (school) {
        case WingReach::bend: return reachTo(Landmark::bend);
        case WingReach::tail: return toTheTail(1.0);
        case WingReach::midTail: return toTheTail(0.5);
        case WingReach::twoThirds: return toTheTail(2.0 / 3.0);
    }
    throw BrokenContract("unknown reach");
}
std::optional<LengthSpec> lengthOf(TailSchool school) {
    constexpr int kTwoBars = 2;
    switch (school) {
        case TailSchool::shank: return ratioOf(1.0, Yardstick::shank);
        case TailSchool::body: return ratioOf(1.0, Yardstick::body);
        case TailSchool::twice: return ratioOf(2.0, Yardstick::body);
        case TailSchool::spear: return ratioOf(1.0, Yardstick::spear);
        case TailSchool::bars: return LengthSpec{Bars{kTwoBars}, {}};
        case TailSchool::taste: return std::nullopt;
    }
    throw BrokenContract("unknown tail");
}

TailSchool tailSchoolOf(const LengthSpec& length) {
    if (length == lengthOf(TailSchool::twice)) return TailSchool::twice;
    if (std::holds_alternative<Bars>(length.value)) return TailSchool::bars;
    if (const auto* ratio = std::get_if<Ratio>(&length.value)) {
        if (ratio->of == decltype(ratio->of){Yardstick::shank}) return TailSchool::shank;
        if (ratio->of == decltype(ratio->of){Yardstick::body}) return TailSchool::body;
        if (ratio->of == decltype(ratio->of){Yardstick::spear}) return TailSchool::spear;
    }
    return TailSchool::taste;
}

bool isMetal(const Material& made) {
    return made.kind == MaterialKind::tinsel || made.kind == MaterialKind::oval || made.kind == MaterialKind::wire;
}
std::optional<std::size_t> tinselSection(const Book& book, const Pattern& pattern) {
    std::size_t section = 0;
    for (const Part& part : pattern.parts) {
        if (part.kind != PartKind::body) continue;
        if (isFlatTinsel(book, part)) return section;
        ++section;
    }
    return std::nullopt;
}
bool isSynthetic(const DubbingTraits& fur) {
    return fur.texture == DubbingTexture::fineSynthetic || fur.texture == DubbingTexture::coarseSynthetic;
}

Lab mainColourOf(const Material& made) {
    constexpr Lab kMiddling{0.6, 0.0, 0.0};
    const std::string* written = made.mainColour();
    if (const auto* strip = std::get_if<StripTraits>(&made.traits); !written && strip && !strip->faces.empty())
        written = &strip->faces.front();
    const auto colour = written ? parseColour(*written) : std::nullopt;
    return colour ? toLab(*colour) : kMiddling;
}

bool isOf(const Material& metal, MetalSchool school) {
    constexpr double kHue = 0.045;  // OKLab, across a and b: how bright it is says nothing
    const Lab own = mainColourOf(metal), wanted = school == MetalSchool::gold ? kGold : kSilver;
    return std::hypot(own.a - wanted.a, own.b - wanted.b) < kHue;
}

}  // namespace machair
