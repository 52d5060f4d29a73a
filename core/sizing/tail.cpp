// Tail and tag: models.md section 2.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "sizing/bench.h"
#include "sizing/counts.h"
#include "units/text.h"

namespace machair {

namespace {

double usualFibres(TailStyle style, MaterialKind made, int size) {
    constexpr double kFlash = 4.0;  // strands
    if (made == MaterialKind::ribbon || made == MaterialKind::tinsel) return kFlash;
    switch (style) {
        case TailStyle::fibres: return usualCount(8.0, 1.0, size);
        case TailStyle::tippet: return usualCount(10.0, 1.0, size);
        case TailStyle::hair: return usualCount(16.0, 2.0, size);
        case TailStyle::plume:  // one makes a tail, whatever the hook
        case TailStyle::floss: return 1.0;
        case TailStyle::slip:
        case TailStyle::cloak: return 1.0;  // its barbs are counted
    }
    throw BrokenContract("unknown tail style");
}
constexpr double kBarsToTail = 1.12;  // tail / bar spacing for a second bar just behind the body

TailStyle usualStyle(const Material& made) {
    switch (made.kind) {
        case MaterialKind::tippet: return TailStyle::tippet;
        case MaterialKind::hair: return TailStyle::hair;
        case MaterialKind::floss:
        case MaterialKind::ribbon:
        case MaterialKind::tinsel: return TailStyle::floss;  // flash
        case MaterialKind::plume: return TailStyle::plume;
        default: return TailStyle::fibres;
    }
}

// Whether a body or thorax goes on with this tail's own fibres.
bool isWoundOn(const Bench& bench, std::size_t tail) {
    for (std::size_t i = tail + 1; i < bench.pattern.parts.size(); ++i) {
        const Part& part = bench.part(i);
        if ((part.kind != PartKind::body && part.kind != PartKind::thorax) || !part.from || bench.resolver.isLeftOut(i)) continue;
        if (const auto source = find(bench.pattern, *part.from); source && *source == tail) return true;
    }
    return false;
}

}  // namespace

std::optional<double> hairsToTake(const Material& made, double count) {
    const auto* hair = std::get_if<HairTraits>(&made.traits);
    if (!hair) return std::nullopt;
    constexpr double kUsualLoss = 0.15;
    return std::ceil(count / (1.0 - hair->loss.value_or(kUsualLoss)) - 1e-9);
}

TailPlan sizeTail(Bench& bench, std::size_t part, const TailPart& written, const Material& made) {
    TailPlan tail;
    const Length end = bench.resolver.bodyEnd();
    const Length front = bench.resolver.bodyFront();
    // Cut on a short slope they leave the body slim; bound to its front they make no step.
    constexpr double kShortSlope = 0.25;  // of the body, rule of thumb
    const bool slope = bench.plan.schools.held.tailButts == TailButts::shortSlope;
    const Length hold = slope ? std::min(end - front, std::max(kShortSlope * (end - front), kLeastHold)) : end - front;
    const Length bound = std::max(hold, kLeastHold);
    const Length butts = slope ? end - hold : front;
    tail.length = bench.resolver.lengthOf(part);
    tail.style = written.style.value_or(usualStyle(made));
    tail.fibreNeeded = (written.doubled.value_or(false) ? 2.0 : 1.0) * tail.length + bound;
    tail.fibre = fibreDiameter(made);
    tail.fibres = written.fibres ? written.fibres->wholeMiddle() : usualFibres(tail.style, made.kind, bench.hook.size());
    if (tail.style == TailStyle::tippet) tail.barSpacing = tail.length / kBarsToTail;
    if (tail.style == TailStyle::slip || tail.style == TailStyle::cloak) {
        tail.slip = written.width ? bench.resolver.size(*written.width, bench.resolver.partPlace(part).key("width"))
                                  : (tail.style == TailStyle::cloak ? 3.5 : 0.30) * bench.hook.gape();
        tail.barbs = *tail.slip * barbDensity(made);
        tail.fibres = *tail.barbs;
    }
    tail.fibresToTake = hairsToTake(made, tail.fibres);
    const int index = static_cast<int>(part);
    double bound_ = tail.fibres;
    if (tail.style == TailStyle::plume) {  // feathers, each its barbs and a shaft
        const auto* plume = std::get_if<PlumeTraits>(&made.traits);
        tail.barbs = tail.fibres * (plume ? plume->fibres.value_or(kUsualPlumeFibres) : kUsualPlumeFibres);
        bench.bindBundle(index, butts, end, tail.fibres, plume ? plume->shaft.value_or(kUsualPlumeShaft) : kUsualPlumeShaft);
        bound_ = *tail.barbs;
    }
    tail.woundOn = isWoundOn(bench, part);  // what they need waits for the body
    if (!tail.woundOn) bench.bindBundle(index, butts, end, (written.doubled.value_or(false) ? 2.0 : 1.0) * bound_, tail.fibre);
    bench.bindThread(index, butts, end, 1.0);
    return tail;
}

TagPlan sizeTag(Bench& bench, std::size_t part, const TagPart& written, const Material& made) {
    TagPlan tag;
    const Length width = windingWidth(made);
    tag.end = bench.resolver.bodyEnd();
    tag.along = written.length  ? bench.resolver.lengthOf(part)
                : written.turns ? written.turns->middle() * width
                                : bench.resolver.lengthOf(part);
    tag.turns = tag.along / width;  // of one pass
    const Length thickness = windingThickness(made);
    const Length bed = bench.bedAt(tag.end);
    double length = 0.0;
    for (int pass = 0; pass < written.passes.value_or(1); ++pass)
        length += tag.turns * std::hypot(std::numbers::pi * ((bed + thickness * (1.0 + 2.0 * pass)) / mm), width / mm);
    tag.length = length * mm;
    return tag;
}

}  // namespace machair
