// Tail and tag: models.md section 2.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "sizing/bench.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kUsualTailFibres = 8.0;
constexpr double kBarsToTail = 1.12;  // tail / bar spacing for a second bar just behind the body

TailStyle usualStyle(const Material& made) {
    switch (made.kind) {
        case MaterialKind::tippet: return TailStyle::tippet;
        case MaterialKind::hair: return TailStyle::hair;
        case MaterialKind::floss:
        case MaterialKind::ribbon: return TailStyle::floss;
        case MaterialKind::plume: return TailStyle::plume;
        default: return TailStyle::fibres;
    }
}

}  // namespace

TailPlan sizeTail(Bench& bench, std::size_t part, const TailPart& written, const Material& made) {
    TailPlan tail;
    const Length end = bench.resolver.bodyEnd();
    const Length front = bench.resolver.bodyFront();
    const Length bound = std::max(end - front, kLeastHold);
    tail.length = bench.resolver.lengthOf(part);
    tail.style = written.style.value_or(usualStyle(made));
    tail.fibreNeeded = (written.doubled.value_or(false) ? 2.0 : 1.0) * tail.length + bound;
    tail.fibre = fibreDiameter(made);
    tail.fibres = written.fibres ? written.fibres->wholeMiddle() : kUsualTailFibres;
    if (tail.style == TailStyle::tippet) tail.barSpacing = tail.length / kBarsToTail;
    if (tail.style == TailStyle::slip || tail.style == TailStyle::cloak) {
        tail.slip = written.width ? bench.resolver.size(*written.width, bench.resolver.partPlace(part).key("width"))
                                  : 0.35 * bench.hook.gape();
        tail.barbs = *tail.slip * barbDensity(made);
        tail.fibres = *tail.barbs;
    }
    if (const auto* hair = std::get_if<HairTraits>(&made.traits)) {
        constexpr double kUsualLoss = 0.15;
        tail.fibresToTake = std::ceil(tail.fibres / (1.0 - hair->loss.value_or(kUsualLoss)));
    }
    bench.bindBundle(static_cast<int>(part), front, end, tail.fibres, tail.fibre);
    bench.bindThread(static_cast<int>(part), front, end, 1.0);
    return tail;
}

TagPlan sizeTag(Bench& bench, std::size_t part, const TagPart& written, const Material& made) {
    TagPlan tag;
    const Length width = windingWidth(made);
    tag.end = bench.resolver.bodyEnd();
    tag.along = written.length ? bench.resolver.lengthOf(part)
                : written.turns ? written.turns->middle() * width
                                : bench.resolver.lengthOf(part);
    tag.turns = tag.along / width;
    const Length thickness = windingThickness(made);
    const Length bed = bench.bedAt(tag.end);
    double length = 0.0;
    for (int pass = 0; pass < written.passes.value_or(1); ++pass)
        length += tag.turns * std::hypot(std::numbers::pi * ((bed + thickness * (1.0 + 2.0 * pass)) / mm), width / mm);
    tag.length = length * mm;
    return tag;
}

}  // namespace machair
