#include "units/text.h"

#include <catch2/catch.hpp>

using namespace machair;
using Catch::Matchers::WithinAbs;

TEST_CASE("a length in mm reads back as exactly the number that was written") {
    for (const double v : {11.7, 0.1, 1e-3, 999.9, 1.0 / 3.0}) {
        const auto back = parseLength(formatExact(v) + " mm");
        REQUIRE(back);
        CHECK(*back / mm == v);  // exact by design: mm is the base unit
    }
}

TEST_CASE("inches are read as tiers write them") {
    CHECK_THAT(parseLength("15/32 in").value() / mm, WithinAbs(11.90625, 1e-9));
    CHECK_THAT(parseLength("1 1/2 in").value() / mm, WithinAbs(38.1, 1e-9));
    CHECK_THAT(parseLength("0.46\"").value() / mm, WithinAbs(11.684, 1e-9));
}

TEST_CASE("inches are written to the nearest sixty-fourth in lowest terms") {
    CHECK(formatLength(11.90625 * mm, LengthUnit::inches) == "15/32 in");
    CHECK(formatLength(25.4 * mm, LengthUnit::inches) == "1 in");
}

TEST_CASE("what is no number is refused") {
    for (const char* text : {"", "nan", "inf", "1.2.3", "12 furlongs", "1e999", "--3", "1 2"}) {
        INFO(text);
        CHECK_FALSE(parseLength(text));
    }
}

TEST_CASE("a rounded zero carries no sign") { CHECK(formatNumber(-0.04, 1) == "0.0"); }

TEST_CASE("speeds and forces come out in SI") {
    CHECK_THAT((1.0 * mg * kGravity) / newton, WithinAbs(9.81e-6, 1e-15));
    CHECK_THAT((0.5 * metrePerSecond) / (mm / second), WithinAbs(500.0, 1e-9));
}
