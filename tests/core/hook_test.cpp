#include "hook/hook.h"

#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

namespace {

Faults faultsOf(const HookSpec& spec) {
    const auto hook = makeHook(spec, Place("hooks[3]"));
    return hook ? Faults{} : hook.error();
}

constexpr std::array kFamilies = {HookFamily::round,    HookFamily::sproat,      HookFamily::limerick,
                                  HookFamily::wideGape, HookFamily::curvedShank, HookFamily::longSalmon};

}  // namespace

TEST_CASE("a nominal size 10 sproat is what the scale says, worked by hand") {
    // S 11.7, G 5.5, w 0.60; r_b = 0.55 · 5.5 = 3.025, spear = 0.80 · 5.5 = 4.4, e = 3.6 · 0.6 = 2.16.
    const Hook hook = hookOf();
    CHECK_THAT(mmOf(hook.landmarkX(Landmark::point)), WithinAbs(11.7 - 4.4, 1e-9));
    CHECK_THAT(mmOf(hook.landmarkX(Landmark::barb)), WithinAbs(7.3 + 0.45 * 4.4, 1e-9));
    CHECK_THAT(mmOf(hook.landmarkX(Landmark::rearmost)), WithinAbs(14.725, 1e-9));
    CHECK_THAT(mmOf(hook.overall()), WithinAbs(2.16 + 11.7 + 3.025 + 0.3, 1e-9));
    // Half the perimeter of an ellipse 3.025 × 2.75 (Ramanujan, good to 1e-5 here): 9.0755…
    const double a = 3.025, b = 2.75, h = std::pow((a - b) / (a + b), 2);
    const double arc = std::numbers::pi / 2.0 * (a + b) * (1.0 + 3.0 * h / (10.0 + std::sqrt(4.0 - 3.0 * h)));
    CHECK_THAT(mmOf(hook.wireLength()), WithinAbs(11.7 + arc + 4.4 + std::numbers::pi * 2.6 * 0.6, 1e-4));
    CHECK_THAT(hook.mass() / mg, WithinAbs(7.85 * std::numbers::pi / 4.0 * 0.36 * mmOf(hook.wireLength()), 1e-6));
}

TEST_CASE("each two sizes smaller the shank is 0.855 and the wire 0.9 of what it was") {
    CHECK_THAT(nominalShank(12) / nominalShank(10), WithinAbs(0.855, 1e-12));
    CHECK_THAT(nominalWire(12) / nominalWire(10), WithinAbs(0.900, 1e-12));
    CHECK_THAT(mmOf(nominalShank(11)), WithinRel(11.7 * std::sqrt(0.855), 1e-12));
}

TEST_CASE("long takes another size's shank, heavy its wire, and the gape stays") {
    HookSpec spec = hookSpec(10);
    spec.longer = 2;
    spec.heavier = -2;
    const Hook hook = makeHook(spec, Place()).value();
    CHECK(hook.shank() == nominalShank(8));
    CHECK(hook.wire() == nominalWire(12));
    CHECK(hook.gape() == nominalGape(10));
}

TEST_CASE("measured values stand and are known to be measured") {
    HookSpec spec = hookSpec(10);
    spec.measured = HookMeasures{};
    spec.measured->clearGape = 5.0 * mm;
    spec.measured->wire = 0.66 * mm;
    spec.measured->overall = 18.1 * mm;
    const Hook hook = makeHook(spec, Place()).value();
    CHECK_THAT(mmOf(hook.gape()), WithinAbs(5.33, 1e-9));  // half a wire added
    CHECK_THAT(mmOf(hook.shank()), WithinAbs(18.1 - 3.6 * 0.66 - 0.55 * 5.33 - 0.33, 1e-9));
    CHECK(hook.gapeMeasured());
    CHECK(hook.wireMeasured());
}

TEST_CASE("shank and overall together give the bend, the point station the spear") {
    HookSpec spec = hookSpec(10);
    spec.measured = HookMeasures{};
    spec.measured->shank = 11.6 * mm;
    spec.measured->overall = 17.0 * mm;
    spec.measured->point = 7.0 * mm;
    const Hook hook = makeHook(spec, Place()).value();
    CHECK_THAT(mmOf(hook.landmarkX(Landmark::rearmost)), WithinAbs(17.0 - 2.16 - 0.30, 1e-9));
    CHECK_THAT(mmOf(hook.spear()), WithinAbs(4.6, 1e-9));
}

TEST_CASE("every family's wire is one unbroken curve that ends level at the point") {
    for (const HookFamily family : kFamilies) {
        const Hook hook = hookOf(10, family);
        INFO(nameOf(family));
        Point2 before = hook.at(0.0 * mm).position;
        constexpr int kSteps = 2000;
        for (int i = 1; i <= kSteps; ++i) {
            const Length s = hook.pointStation() * (static_cast<double>(i) / kSteps);
            const Point2 p = hook.at(s).position;
            const double moved = std::hypot(mmOf(p.x - before.x), mmOf(p.y - before.y));
            REQUIRE_THAT(moved, WithinAbs(mmOf(hook.pointStation()) / kSteps, 2e-4));  // arc length means arc length
            before = p;
        }
        CHECK_THAT(mmOf(before.x), WithinAbs(mmOf(hook.landmarkX(Landmark::point)), 1e-6));
        CHECK_THAT(mmOf(before.y), WithinAbs(-mmOf(hook.pointDepth()), 1e-6));
        CHECK_THAT(hook.at(hook.pointStation()).heading.inDegrees(), WithinAbs(180.0, 1e-6));
    }
}

TEST_CASE("a curved shank's spear lies a gape below the front of the shank") {
    for (const HookFamily family : {HookFamily::curvedShank, HookFamily::longSalmon}) {
        const Hook hook = hookOf(10, family);
        CHECK(mmOf(hook.pointDepth()) >= mmOf(hook.gape()) - 1e-9);
    }
    CHECK_THAT(mmOf(hookOf(10, HookFamily::longSalmon).pointDepth()), WithinAbs(0.95 * 5.5, 1e-6));
}

TEST_CASE("a barbless hook keeps the barb's station") {
    HookSpec spec = hookSpec(10);
    spec.barb = false;
    CHECK(makeHook(spec, Place()).value().landmarkX(Landmark::barb) == hookOf().landmarkX(Landmark::barb));
}

TEST_CASE("doubling every measure of a hook doubles its places and wire") {
    for (const HookFamily family : kFamilies) {
        HookSpec spec = hookSpec(10, family);
        const Hook one = makeHook(spec, Place()).value();
        spec.measured = HookMeasures{};
        spec.measured->shank = 2.0 * one.shank();
        spec.measured->gape = 2.0 * one.gape();
        spec.measured->wire = 2.0 * one.wire();
        const Hook two = makeHook(spec, Place()).value();
        for (const auto& entry : Names<Landmark>::entries)
            CHECK_THAT(mmOf(two.landmarkX(entry.value)), WithinAbs(2.0 * mmOf(one.landmarkX(entry.value)), 1e-9));
        CHECK_THAT(mmOf(two.wireLength()), WithinRel(2.0 * mmOf(one.wireLength()), 1e-9));
        CHECK_THAT(two.mass() / mg, WithinRel(8.0 * (one.mass() / mg), 1e-9));
    }
}

TEST_CASE("sizes outside 2 to 20 and measures that contradict each other are faults with a place") {
    HookSpec small = hookSpec(22);
    REQUIRE(faultsOf(small).size() == 1);
    CHECK(faultsOf(small)[0].place.text() == "hooks[3].size");
    HookSpec zero = hookSpec(10);
    zero.measured = HookMeasures{};
    zero.measured->shank = 0.0 * mm;
    zero.measured->gape = -1.0 * mm;
    CHECK(faultsOf(zero).size() == 2);  // both, not only the first
    HookSpec shortOverall = hookSpec(10);
    shortOverall.measured = HookMeasures{};
    shortOverall.measured->overall = 4.0 * mm;
    REQUIRE_FALSE(faultsOf(shortOverall).empty());
    CHECK(faultsOf(shortOverall)[0].place.text() == "hooks[3].measured.overall_mm");
}
