#include "water/sea.h"

#include <catch2/catch.hpp>

#include "tests/samples.h"
#include "water/shore.h"
#include "water/sight.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

TEST_CASE("2 km of fetch under 6 m/s: the wave worked by hand, built up in 47 minutes") {
    const Sea sea = seaUnder({6.0 * metrePerSecond, 2000.0 * metre, false});
    CHECK_THAT(sea.height / metre, WithinAbs(0.1371, 5e-4));  // 0.0016 · 6 · sqrt(2000/9.81)
    CHECK_THAT(sea.period / second, WithinAbs(1.430, 5e-3));  // 0.286 · (12000/96.24)^(1/3)
    CHECK_THAT(sea.builds / second / 60.0, WithinAbs(46.8, 0.2));
    CHECK_THAT(sea.drift / metrePerSecond, WithinRel(0.21, 1e-12));
    CHECK_THAT(seaUnder({6.0 * metrePerSecond, 2000.0 * metre, true}).drift / metrePerSecond, WithinRel(0.108, 1e-12));
    CHECK(sea.kind == WaveClass::wave);
    CHECK(sea.cautions.size() == 1);
}

TEST_CASE("no wind or no fetch is a calm without a number that isn't one") {
    for (const auto& [wind, fetch] : {std::pair(0.0, 2000.0), {6.0, 0.0}, {0.0, 0.0}}) {
        const Sea sea = seaUnder({wind * metrePerSecond, fetch * metre, false});
        CHECK(sea.height == 0.0 * mm);
        CHECK(sea.period == Time{});
        CHECK(sea.builds == Time{});
        CHECK(sea.kind == WaveClass::calm);
    }
}

TEST_CASE("more wind or more fetch never makes a smaller wave, and a hurricane is cautioned") {
    Length last;
    for (double u = 0.5; u <= 60.0; u += 0.5) {
        const Length height = seaUnder({u * metrePerSecond, 5000.0 * metre, false}).height;
        CHECK(height >= last);
        last = height;
    }
    CHECK(seaUnder({40.0 * metrePerSecond, 5000.0 * metre, false}).cautions.size() == 3);
    CHECK(beaufort(10.8 * metrePerSecond) == 6);
    CHECK(beaufort(10.79 * metrePerSecond) == 5);
    for (int force = 0; force <= 12; ++force)
        CHECK(beaufort(windOfForce(force)) == force);
}

TEST_CASE("colour difference agrees with the published pairs") {  // Sharma, Wu, Dalal 2005, table 1
    CHECK_THAT(ciede2000({50, 2.6772, -79.7751}, {50, 0, -82.7485}), WithinAbs(2.0425, 1e-4));
    CHECK_THAT(ciede2000({50, -1.3802, -84.2814}, {50, 0, -82.7485}), WithinAbs(1.0000, 1e-4));
    CHECK_THAT(ciede2000({50, 2.5, 0}, {73, 25, -18}), WithinAbs(27.1492, 1e-4));
    CHECK_THAT(ciede2000({50, 2.49, -0.001}, {50, -2.49, 0.0009}), WithinAbs(7.1792, 1e-4));
    CHECK_THAT(ciede2000({2.0776, 0.0795, -1.1350}, {0.9033, -0.0636, -0.5514}), WithinAbs(0.9082, 1e-4));
    CHECK_THAT(ciede2000({73, 25, -18}, {50, 2.5, 0}), WithinAbs(27.1492, 1e-4));
}

TEST_CASE("peat takes the blue first, and from afar every fly fades into the water") {
    const Rgb blue{0.2, 0.4, 0.9};
    const Seen near = seen(blue, clarityOf(WaterColour::peat), {0.5 * metre, 0.1 * metre});
    CHECK(near.fly.b / near.fly.r < toLinear(blue).b / toLinear(blue).r);
    const Seen far = seen(blue, clarityOf(WaterColour::peat), {0.5 * metre, 20.0 * metre});
    CHECK(far.contrast < 0.01);
    CHECK_THAT(far.fly.g, WithinRel(far.water.g, 1e-6));
    CHECK_THAT(pathCosine(Angle::degrees(90.0)), WithinAbs(1.0, 1e-12));
    CHECK(againstSky(0.5 * metre, 1.0 * metre, 0.3 * metre));
    CHECK_FALSE(againstSky(0.9 * metre, 1.0 * metre, 0.3 * metre));
}

TEST_CASE("fetch is the open water upwind, to the shore that the wind comes over") {
    const std::vector<MapPoint> square = {
        {0.0 * metre, 0.0 * metre}, {1000.0 * metre, 0.0 * metre}, {1000.0 * metre, 800.0 * metre}, {0.0 * metre, 800.0 * metre}};
    const MapPoint at{300.0 * metre, 200.0 * metre};
    CHECK(onWater(square, at));
    CHECK_THAT(fetchAt(square, at, 270.0) / metre, WithinAbs(300.0, 1e-6));  // from the west
    CHECK_THAT(fetchAt(square, at, 0.0) / metre, WithinAbs(600.0, 1e-6));    // from the north
    CHECK_THAT(fetchAt(square, at, 45.0) / metre, WithinAbs(600.0 * std::sqrt(2.0), 1e-6));
    CHECK(fetchAt(square, {2000.0 * metre, 10.0 * metre}, 270.0) == Length{});
    CHECK(checkOutline(square).empty());
    CHECK_FALSE(checkOutline({square[0], square[1]}).empty());
    CHECK(checkOutline({square[0], square[2], square[1], square[3]}).front().what.find("cross") != std::string::npos);
}
