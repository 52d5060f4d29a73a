#include "material/material.h"
#include "book/blend.h"

#include <catch2/catch.hpp>
#include <cmath>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

TEST_CASE("72 denier flat polyester lies 0.049 mm thick and 0.147 wide, worked by hand") {
    // A = 72 / (9e6 · 1.38e-3) = 0.005797 mm²; t = sqrt(A / (0.8 · 3)) = 0.04915; b = 3t.
    const LaidThread laid = laidThread(72.0, ThreadFibre::polyester, ThreadLay::flat);
    CHECK_THAT(laid.solidArea / mm2, WithinRel(0.00579710, 1e-5));
    CHECK_THAT(mmOf(laid.thickness), WithinRel(0.0491470, 1e-5));
    CHECK_THAT(mmOf(laid.width), WithinRel(0.1474409, 1e-5));
}

TEST_CASE("dtex counts as nine tenths denier and a label is only an alias") {
    ThreadTraits dtex;
    dtex.dtex = 80.0;
    CHECK_THAT(laidThread(material("a", MaterialKind::thread, dtex)).solidArea / mm2,
               WithinRel(laidThread(72.0, ThreadFibre::polyester, ThreadLay::flat).solidArea / mm2, 1e-12));
    Material labelled = material("b", MaterialKind::thread, ThreadTraits{});
    labelled.label = "12/0";
    const LaidThread laid = laidThread(labelled);
    CHECK_THAT(laid.solidArea / mm2, WithinRel(50.0 / (9e6 * 1.38e-3), 1e-9));
    CHECK(std::ranges::find(laid.assumed, "denier") != laid.assumed.end());
}

TEST_CASE("a feather's stem follows the hook unless it was measured") {
    HackleTraits hen;
    hen.bird = Bird::hen;
    CHECK_THAT(mmOf(feather(material("h", MaterialKind::hackle, hen), hookOf(14)).stem), WithinRel(0.30 * 0.81, 1e-9));
    hen.stem = 0.31 * mm;
    CHECK_THAT(mmOf(feather(material("h", MaterialKind::hackle, hen), hookOf(14)).stem), WithinRel(0.31, 1e-12));
}

TEST_CASE("a blend is mixed by weight and looks by room: two furs, worked by hand") {
    Book book = bench();
    DubbingTraits dense, light;
    dense.packed = 0.20 * mgPerMm3;
    light.packed = 0.10 * mgPerMm3;
    book.materials.push_back(material("dark", MaterialKind::dubbing, dense));
    book.materials.back().colour = "#000000";
    book.materials.push_back(material("pale", MaterialKind::dubbing, light));
    book.materials.back().colour = "#ffffff";
    DubbingTraits mixed;
    mixed.blend = {{"dark", 2.0, {}}, {"pale", 1.0, {}}};
    const Material blend = material("mixed", MaterialKind::dubbing, mixed);
    const auto made = blendOf(blend, book);
    REQUIRE(made);
    REQUIRE(made->furs.size() == 2);
    CHECK(made->furs[0].weight == Approx(2.0 / 3.0));
    CHECK(made->furs[0].room == Approx(0.5));              // 2/0.20 = 10 of 10 + 10
    CHECK(made->packed / mgPerMm3 == Approx(3.0 / 20.0));  // 0.15
    CHECK(made->colour->L == Approx(0.5).margin(1e-3));    // half-way from black to white, as it fills the room
    CHECK_FALSE(blendOf(*book.findMaterial("dark"), book));
    mixed.blend = {{"gone", 1.0, {}}};
    const auto gone = blendOf(material("lost", MaterialKind::dubbing, mixed), book);
    REQUIRE(gone);
    CHECK_FALSE(gone->colour);
}
