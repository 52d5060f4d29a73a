#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>

#include "tests/samples.h"
#include "water/sink.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

namespace {

SinkReport sinkOf(std::vector<Part> parts, std::optional<double> buoyancy = std::nullopt) {
    Book book = bench();
    book.patterns = {dressing(std::move(parts))};
    book.patterns[0].buoyancyMillinewton = buoyancy;
    return sinkReport(planPattern(book, "fly").value());
}

}  // namespace

TEST_CASE("water at 10 degrees is 1.3 millipascal seconds thick") {
    CHECK_THAT(viscosity(10.0) / pascalSecond, WithinRel(2.414e-5 * std::pow(10.0, 247.8 / 143.15), 1e-12));
    CHECK_THAT(viscosity(20.0) / pascalSecond * 1e3, WithinAbs(1.0, 0.01));
}

TEST_CASE("a bare hook sinks where the drag of its bend meets its weight under water, worked by hand") {
    const SinkReport report = sinkOf({});
    const double weight = (7.85 - 1.0) / 7.85 * hookOf().mass() / mg * 9.81e-6;  // mN... mg · m/s² · 1e-6 = N; here N·1e-3
    CHECK_THAT(report.submerged / newton, WithinRel(weight, 1e-9));
    // ½ρ C w 2G U² = W with C = 1 + 10 Re^(−2/3), Re = U w/ν: fixed point by hand.
    const double nu = viscosity(10.0) / pascalSecond / 1000.0;
    double u = 0.3;
    for (int i = 0; i < 200; ++i) {
        const double c = 1.0 + 10.0 * std::pow(u * 0.0006 / nu, -2.0 / 3.0);
        u = std::sqrt(weight / (0.5 * 1000.0 * c * 0.0006 * 2.0 * 0.0055));
    }
    CHECK_THAT(report.sinkRate / metrePerSecond, WithinRel(u, 1e-6));
}

TEST_CASE("the screen of fibres adds up when sparse and shelters when dense") {
    CHECK_THAT(screen(1e-6), WithinRel(1e-6, 1e-5));
    CHECK_THAT(screen(4.0), WithinAbs(1.0, 1e-12));
    CHECK(screen(50.0) == 1.0);
}

TEST_CASE("the drag laws join where they change") {
    CHECK_THAT(cylinderDrag(0.1 - 1e-9), WithinRel(cylinderDrag(0.1 + 1e-9), 1e-6));
    CHECK_THAT(cylinderDrag(0.01) * 0.01, WithinRel(cylinderDrag(0.1) * 0.1, 1e-9));  // linear in speed below
    CHECK(sphereDrag(1001.0) == 0.44);
}

TEST_CASE("more hackle sinks slower and pushes more water") {
    double rate = 1e9, presence = 0.0;
    for (const double turns : {1.0, 2.0, 3.0, 4.0}) {
        CollarPart collar;
        collar.turns = exactly(turns);
        const SinkReport r = sinkOf({part(PartKind::body, BodyPart{}, "seal"), part(PartKind::collar, collar, "hen")});
        CHECK(r.sinkRate / metrePerSecond < rate);
        CHECK(r.presence / millinewton > presence);
        rate = r.sinkRate / metrePerSecond;
        presence = r.presence / millinewton;
    }
}

TEST_CASE("a fly that more air holds up than it weighs floats, and its sink rate is nothing") {
    const SinkReport r = sinkOf({}, 5.0);
    CHECK(r.floats);
    CHECK(r.sinkRate == Speed{});
}

TEST_CASE("the demo's flies sink in the order that models say is typical") {
    const Book book = demoBook();
    const auto rate = [&](const char* id) { return 100.0 * (sinkReport(planPattern(book, id).value()).sinkRate / metrePerSecond); };
    CHECK(rate("kelp-lantern") < rate("heather-tinker"));
    CHECK(rate("heather-tinker") < rate("rush-piper"));
    CHECK(rate("rush-piper") > 11.0);
    CHECK(rate("rush-piper") < 18.5);
}
