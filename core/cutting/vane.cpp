#include "cutting/vane.h"

#include <algorithm>
#include <cmath>

#include "faults/faults.h"
#include "language/say.h"

namespace machair {

namespace {

// Where on [a, b] a line from `at a` to `at b` is at least `barb`; nothing where nowhere.
void addRising(std::vector<Stretch>& to, Length a, Length b, Length atA, Length atB, Length barb) {
    if (atA < barb && atB < barb) return;
    Length from = a;
    Length until = b;
    const double crossing = atA == atB ? 0.0 : (barb - atA) / (atB - atA);
    if (atA < barb) from = a + crossing * (b - a);
    if (atB < barb) until = a + crossing * (b - a);
    if (!to.empty() && to.back()[1] == from)
        to.back()[1] = until;
    else
        to.push_back({from, until});
}

}  // namespace

Length barbAt(const VaneFeather& feather, Length place) {
    require(feather.barbs.size() == 3, "a feather has three barb lengths");
    const double u = std::clamp(place / feather.vane, 0.0, 1.0);
    const auto& barbs = feather.barbs;
    return u <= 0.5 ? barbs[0] + (2.0 * u) * (barbs[1] - barbs[0]) : barbs[1] + (2.0 * u - 1.0) * (barbs[2] - barbs[1]);
}

std::vector<Stretch> longEnough(const VaneFeather& feather, Length barb) {
    require(feather.barbs.size() == 3, "a feather has three barb lengths");
    std::vector<Stretch> stretches;
    addRising(stretches, 0.0 * mm, 0.5 * feather.vane, feather.barbs[0], feather.barbs[1], barb);
    addRising(stretches, 0.5 * feather.vane, feather.vane, feather.barbs[1], feather.barbs[2], barb);
    return stretches;
}

std::vector<Stretch> freeStretches(const VaneFeather& feather) {
    auto taken = feather.taken;
    taken.insert(taken.end(), feather.spoiled.begin(), feather.spoiled.end());
    std::ranges::sort(taken);
    std::vector<Stretch> open;
    Length from;
    for (const auto& [start, end] : taken) {
        if (start > from) open.push_back({from, start});
        from = std::max(from, end);
    }
    if (from < feather.vane) open.push_back({from, feather.vane});
    return open;
}

bool makeAPair(const VaneFeather& left, const VaneFeather& right) {
    const auto shade = [](const VaneFeather& f) { return f.shade.value_or(FeatherShade::middling); };
    return left.match == right.match && shade(left) == shade(right);
}

std::string goodFor(const VaneFeather& feather) {
    Length spoiled;
    for (const auto& [from, to] : feather.spoiled)
        spoiled += to - from;
    constexpr double kMostlySpoiled = 0.5;  // rule of thumb
    if (spoiled > kMostlySpoiled * feather.vane) return say("tails, legs and throats; too little whole vane for wings");
    std::string good = feather.match                          ? say("a paired wing with its match")
                       : feather.shade == FeatherShade::dark  ? say("dark wings, paired only with a dark one")
                       : feather.shade == FeatherShade::light ? say("pale wings and under-wings, paired only with a light one")
                                                              : say("any wing");
    if (spoiled > Length{}) good += say(", cut around what is spoiled");
    return good;
}

Length freeVane(const VaneFeather& feather) {
    Length sum;
    for (const auto& [from, to] : freeStretches(feather))
        sum += to - from;
    return sum;
}

std::vector<Stretch> usable(const VaneFeather& feather, Length barb) {
    std::vector<Stretch> both;
    for (const auto& [a, b] : freeStretches(feather))
        for (const auto& [c, d] : longEnough(feather, barb))
            if (const Length from = std::max(a, c), to = std::min(b, d); from < to) both.push_back({from, to});
    return both;
}

VaneFeather withTaken(VaneFeather feather, const std::vector<Stretch>& cuts) {
    feather.taken.insert(feather.taken.end(), cuts.begin(), cuts.end());
    std::ranges::sort(feather.taken);
    return feather;
}

namespace {

struct RootedBarb {
    Length root, length;
};

// Between what was drawn straight, beyond its ends as they are.
Length lengthAt(const std::vector<RootedBarb>& barbs, Length root) {
    const auto after = std::ranges::lower_bound(barbs, root, {}, &RootedBarb::root);
    if (after == barbs.begin()) return barbs.front().length;
    if (after == barbs.end()) return barbs.back().length;
    const RootedBarb &a = *std::prev(after), &b = *after;
    return b.root == a.root ? a.length : a.length + ((root - a.root) / (b.root - a.root)) * (b.length - a.length);
}

}  // namespace

Result<VaneMeasures> measureVane(const std::vector<Point2>& ends, const std::optional<DrawnStem>& stem) {
    const Place place;
    constexpr Length kLeastVane = 2.0 * mm, kLeastBarb = 0.5 * mm;
    const auto hardly = [&] {
        return fail(place, say("that is hardly a vane"), say("draw along the ends of its barbs, from the base of the feather to its tip"));
    };
    const Point2 base = stem ? stem->base : Point2{};
    const Length dx = stem ? stem->tip.x - base.x : mm, dy = stem ? stem->tip.y - base.y : Length{};
    const Length along = hypot(dx, dy);
    if (ends.size() < 2 || along <= 0.0 * mm) return hardly();
    std::vector<RootedBarb> barbs;
    for (const Point2& end : ends) {
        const Length x = end.x - base.x, y = end.y - base.y;
        const Length forward = (x / along) * dx + (y / along) * dy, out = (y / along) * dx - (x / along) * dy;
        const Length length = out / kBarbOut;
        barbs.push_back({forward - kBarbAlong * abs(length), length});
    }
    // Either side of the stem is a vane, but not both.
    const auto [least, most] = std::ranges::minmax(barbs, {}, &RootedBarb::length);
    if (least.length < -kLeastBarb && most.length > kLeastBarb)
        return fail(place, say("the line crosses the stem"), say("draw one vane: the ends of the barbs on one side"));
    for (RootedBarb& barb : barbs)
        barb.length = abs(barb.length);
    std::ranges::stable_sort(barbs, {}, &RootedBarb::root);
    const Length first = stem ? Length{} : barbs.front().root;
    const Length vane = stem ? along : barbs.back().root - first;
    if (vane < kLeastVane) return hardly();
    VaneMeasures found{vane, {lengthAt(barbs, first), lengthAt(barbs, first + 0.5 * vane), lengthAt(barbs, first + vane)}};
    if (std::ranges::max(found.barbs) < kLeastBarb) return hardly();
    for (Length& barb : found.barbs)
        barb = std::max(barb, 0.1 * mm);  // where it runs out into the stem
    return found;
}

}  // namespace machair
