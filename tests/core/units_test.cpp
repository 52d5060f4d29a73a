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

TEST_CASE("a sentence in millimetres is said in inches, its numbers alone changed") {
    const auto in64 = [](const char* said) { return inUnit(said, LengthUnit::inches); };
    const auto decimal = [](const char* said) { return inUnit(said, LengthUnit::decimalInches); };
    CHECK(in64("a slip of 11.9 mm, folded") == "a slip of 15/32 in, folded");
    CHECK(in64("11.9mm") == "15/32 in");
    CHECK(in64("11.9\xc2\xa0mm") == "15/32 in");
    CHECK(in64("6.4 to 12.7 mm of fibre") == "1/4 to 1/2 in of fibre");
    CHECK(in64("6.4–12.7 mm") == "1/4–1/2 in");
    CHECK(in64("12.7 → 6.4 mm") == "1/2 → 1/4 in");
    CHECK(decimal("planned 12.7 ± 0.5 mm") == "planned 0.500 ± 0.020 in");
    CHECK(decimal("2.54 mm thick at the rear, 5.08 mm at the front") == "0.1000 in thick at the rear, 0.2000 in at the front");
    CHECK(decimal("45 mm of it to hold, 5 turns") == "1.77 in of it to hold, 5 turns");
    CHECK(in64("less 0.4 mm") == "less 0.016 in");  // 1/64 says nothing of what is smaller than itself
    CHECK(in64("-25.4 mm") == "-1 in");
    CHECK(in64("gape, mm") == "gape, in");
    for (const char* same :
         {"", "mm", "12 px a mm", "0.2 mg a mm³", "4.1 m/s", "12 mm/s", "8.2 mm³", "1.2 m deep", "12 mmm", "size 10 hook"}) {
        INFO(same);
        CHECK(in64(same) == same);
    }
    CHECK(inUnit("11.9 mm", LengthUnit::millimetres) == "11.9 mm");
    CHECK_THAT(parseLength("0.5", LengthUnit::inches).value() / mm, WithinAbs(12.7, 1e-12));
    CHECK_THAT(parseLength("0.5 mm", LengthUnit::inches).value() / mm, WithinAbs(0.5, 1e-12));
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
