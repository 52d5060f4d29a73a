// Numbers as text, colours as numbers, and the drag laws: hand-worked values, round trips and what is refused.
#include <bit>
#include <catch2/catch.hpp>
#include <cmath>
#include <random>

#include "colour/colour.h"
#include "leader/rig.h"
#include "tests/samples.h"
#include "units/text.h"
#include "water/fluid.h"
#include "water/sight.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

TEST_CASE("a number is the whole of its text and finite, or it is none") {
    CHECK(parseNumber(" 12.5 ") == 12.5);
    CHECK(parseNumber("-3e-2") == -0.03);
    for (const char* text : {"", " ", "nan", "NaN", "inf", "-infinity", "1e999", "1,5", "12 mm", "0x10", "--1", "1.2.3", "½"}) {
        CAPTURE(text);
        CHECK_FALSE(parseNumber(text));
    }
}

TEST_CASE("the exact text of any double reads back as the same double") {
    std::mt19937_64 random(20261126);
    for (int i = 0; i < 20'000; ++i) {
        const double value = std::bit_cast<double>(random());
        if (!std::isfinite(value)) continue;
        REQUIRE(parseNumber(formatExact(value)) == value);
    }
}

TEST_CASE("rounded numbers have their places, no minus before a nought, and are short where they can be") {
    CHECK(formatNumber(-0.04, 1) == "0.0");
    CHECK(formatNumber(2.0, 0) == "2");
    CHECK(formatNumber(0.125, 2) == "0.12");  // exactly half-way: to the even one
    CHECK(formatShort(3.0, 2) == "3");
    CHECK(formatShort(2.50, 2) == "2.5");
    CHECK(formatShort(-0.001, 2) == "0");
}

TEST_CASE("a length in sixty-fourths of an inch reads back to within half of one") {
    std::mt19937 random(3);
    for (int i = 0; i < 500; ++i) {
        const Length length = std::uniform_real_distribution<double>(0.5, 120.0)(random) * mm;
        const auto back = parseLength(formatLength(length, LengthUnit::inches));
        REQUIRE(back);
        CHECK(std::abs(mmOf(*back - length)) <= 25.4 / 128.0 + 1e-9);
    }
    CHECK(mmOf(*parseLength("1 1/2 in")) == Approx(38.1));
    CHECK(mmOf(*parseLength("1.2 cm")) == Approx(12.0));
    CHECK_FALSE(parseLength("1/0 in"));
    CHECK_FALSE(parseLength("three"));
}

TEST_CASE("linear light and sRGB turn into each other, and white is where the CIE has it") {
    for (double v = 0.0; v <= 1.0; v += 0.01) {
        const Rgb back = fromLinear(toLinear({v, 0.5 * v, 1.0 - v}));
        CHECK_THAT(back.r, WithinAbs(v, 1e-9));
        CHECK_THAT(back.b, WithinAbs(1.0 - v, 1e-9));
    }
    const CieLab white = toCieLab({1.0, 1.0, 1.0}), black = toCieLab({0.0, 0.0, 0.0});
    CHECK_THAT(white.L, WithinAbs(100.0, 1e-3));
    CHECK_THAT(white.a, WithinAbs(0.0, 0.02));
    CHECK_THAT(white.b, WithinAbs(0.0, 0.02));
    CHECK(black.L == Approx(0.0).margin(1e-12));
    const CieLab red = toCieLab({1.0, 0.0, 0.0});  // the sRGB primary under D65
    CHECK_THAT(red.L, WithinAbs(53.24, 0.02));
    CHECK_THAT(red.a, WithinAbs(80.09, 0.05));
    CHECK_THAT(red.b, WithinAbs(67.20, 0.05));
}

TEST_CASE("colours are mixed between their ends, shaded both ways, and read from hex or not at all") {
    const Lab a = toLab({0.2, 0.4, 0.1}), b = toLab({0.8, 0.3, 0.5});
    CHECK(mix(a, b, 0.0) == a);
    CHECK(mix(a, b, 1.0).L == Approx(b.L));
    CHECK(mix(a, b, 0.5).a == Approx(0.5 * (a.a + b.a)));
    CHECK(shade(a, 0.1).L == Approx(a.L + 0.1));
    CHECK(std::hypot(shade(a, 0.1).a, shade(a, 0.1).b) < std::hypot(a.a, a.b));
    CHECK(std::hypot(shade(a, -0.1).a, shade(a, -0.1).b) > std::hypot(a.a, a.b));
    CHECK(parseColour("#ff8000")->g == Approx(128.0 / 255.0));
    for (const char* text : {"", "#ff80", "ff8000", "#gg0000", "#ff80000"})
        CHECK_FALSE(parseColour(text));
}

TEST_CASE("deeper is darker and less contrasted, and what is near is seen more as it is") {
    for (const auto& water : Names<WaterColour>::entries) {
        const Clarity clarity = clarityOf(water.value);
        CAPTURE(water.name);
        double before = 1e9;
        for (double from = 0.25; from <= 4.0; from *= 2.0) {
            const double contrast = seen({0.1, 0.1, 0.1}, clarity, {0.5 * metre, from * metre}).contrast;
            CHECK(contrast <= before + 1e-9);
            before = contrast;
        }
    }
    CHECK(pathCosine(Angle::degrees(90.0)) == Approx(1.0));
    CHECK_THAT(pathCosine(Angle::degrees(0.0)), WithinAbs(std::sqrt(1.0 - 1.0 / (1.333 * 1.333)), 1e-9));
    CHECK(againstSky(1.13 * metre, 1.5 * metre, 0.5 * metre));
    CHECK_FALSE(againstSky(1.15 * metre, 1.5 * metre, 0.5 * metre));
}

TEST_CASE("the drag laws have their hand-worked values and join without a step") {
    // White at Re 1: 1 + 10; at Re 1000: 1 + 10/100.
    CHECK(cylinderDrag(1.0) == Approx(11.0));
    CHECK(cylinderDrag(1000.0) == Approx(1.1));
    // Schiller and Naumann at Re 1: 24·1.15.
    CHECK(sphereDrag(1.0) == Approx(27.6));
    CHECK(sphereDrag(2000.0) == 0.44);
    CHECK_THAT(cylinderDrag(0.1 - 1e-9), WithinRel(cylinderDrag(0.1 + 1e-9), 1e-6));
    CHECK_THAT(sphereDrag(1000.0 + 1e-6), WithinRel(sphereDrag(1000.0 - 1e-6), 0.03));  // 0.438 against 0.44
    // 0.2 m/s past 0.2 mm at 10 °C: 2.414e-5·10^(247.8/143.15) = 1.3e-3 Pa·s, Re 30.8.
    CHECK_THAT(reynolds(0.2 * metrePerSecond, 0.2 * mm, viscosity(10.0)), WithinAbs(30.8, 0.3));
    CHECK(viscosity(0.0) > viscosity(20.0));
    CHECK(screen(0.0) == 0.0);
    CHECK(screen(4.0) == Approx(1.0));
    CHECK(screen(9.0) == 1.0);
    for (double k = 0.1; k < 4.0; k += 0.1)
        CHECK(screen(k) >= screen(k - 0.1));
}

TEST_CASE("a fly's drag as a table is its drag, within a quarter of a hundredth, and never falls with speed") {
    for (const char* id : {"kelp-lantern", "heather-tinker", "rush-piper"}) {
        const WetFly fly(planPattern(demoBook(), id).value(), 10.0);
        const DragCurve flat(fly, false);
        double before = 0.0;
        for (double speed = 0.002; speed < 2.0; speed *= 1.013) {
            const double exact = fly.dragFlat(speed * metrePerSecond) / newton;
            const double table = flat.at(speed).perSpeed * speed;
            CAPTURE(id, speed);
            REQUIRE_THAT(table, WithinRel(exact, 2.5e-3));
            REQUIRE(table > before);
            before = table;
        }
    }
}
