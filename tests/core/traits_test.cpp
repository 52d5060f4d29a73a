// What materials are where nobody measured them, how lengths grow by a step, and the words for places.
#include <catch2/catch.hpp>

#include "book/edits.h"
#include "book/fields.h"
#include "book/spec_words.h"
#include "checking/checking.h"
#include "sizing/figures.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

double density(Density d) { return d / mgPerMm3; }

}  // namespace

TEST_CASE("a fur's density is its texture's until it was weighed") {
    DubbingTraits fur;
    CHECK(density(packedDensity(fur)) == Approx(0.16));  // seal-like where nothing is said
    fur.texture = DubbingTexture::hare;
    CHECK(density(packedDensity(fur)) == Approx(0.18));
    fur.packed = 0.21 * mgPerMm3;
    CHECK(density(packedDensity(fur)) == Approx(0.21));
    // Coarse springs open, fine packs.
    DubbingTraits fine, coarse;
    fine.texture = DubbingTexture::fineSynthetic;
    coarse.texture = DubbingTexture::coarseSynthetic;
    CHECK(packedDensity(fine) > packedDensity(coarse));
}

TEST_CASE("metals are in their order of weight, and none as light as water but glass comes near") {
    for (const auto& metal : Names<Metal>::entries)
        CHECK(density(metalDensity(metal.value)) > 2.0);
    CHECK(metalDensity(Metal::tungsten) > metalDensity(Metal::lead));
    CHECK(metalDensity(Metal::lead) > metalDensity(Metal::copper));
    CHECK(metalDensity(Metal::copper) > metalDensity(Metal::brass));
    CHECK(metalDensity(Metal::glass) < metalDensity(Metal::tin));
}

TEST_CASE("barbs of quill stand closer and are thicker than those of flank, until they were counted") {
    const Material flank = material("f", MaterialKind::flank, VaneTraits{}), quill = material("q", MaterialKind::quill, VaneTraits{});
    CHECK(barbDensity(quill) > barbDensity(flank));
    CHECK(barbDiameter(quill) > barbDiameter(flank));
    VaneTraits counted;
    counted.density = 3.3 * perMm;
    counted.barb = 0.08 * mm;
    CHECK(barbDensity(material("f", MaterialKind::flank, counted)) / perMm == Approx(3.3));
    CHECK(mmOf(barbDiameter(material("f", MaterialKind::flank, counted))) == Approx(0.08));
}

TEST_CASE("everything that may be tied in has a diameter, and what may be wound a thickness and a width") {
    for (const auto& kind : Names<MaterialKind>::entries) {
        const Material bare = material("m", kind.value, traitsFor(kind.value));
        CAPTURE(kind.name);
        if (kind.value == MaterialKind::bead || kind.value == MaterialKind::dubbing) continue;
        CHECK(mmOf(fibreDiameter(bare)) > 0.005);
        CHECK(mmOf(fibreDiameter(bare)) < 3.0);
    }
    WireTraits wire;
    wire.diameter = 0.14 * mm;
    const Material round = material("w", MaterialKind::wire, wire);
    CHECK(isRoundWinding(round));
    CHECK(mmOf(windingThickness(round)) == Approx(0.14));
    StripTraits strip;
    strip.width = 0.8 * mm;
    strip.thickness = 0.03 * mm;
    const Material flat = material("t", MaterialKind::tinsel, strip);
    CHECK_FALSE(isRoundWinding(flat));
    CHECK(mmOf(windingThickness(flat)) == Approx(0.03));
    CHECK(mmOf(windingWidth(flat)) == Approx(0.8));
}

TEST_CASE("labels stand for deniers in their order, and an unknown one for nothing") {
    double before = 1e9;
    for (const char* label : {"3/0", "6/0", "8/0", "10/0", "12/0", "14/0", "16/0", "17/0"}) {
        const auto denier = denierOfLabel(label);
        REQUIRE(denier);
        CHECK(*denier < before);
        before = *denier;
    }
    for (const char* label : {"", "0", "9/0", "fine", "8 / 0"})
        CHECK_FALSE(denierOfLabel(label));
}

TEST_CASE("a step longer and a step shorter is the same length, and steps add up") {
    const auto ratio = [](const LengthSpec& spec) { return std::get<Ratio>(spec.value).ratio; };
    const LengthSpec shank = ratioOf(0.8, Yardstick::shank);
    CHECK(ratio(*lengthened(*lengthened(shank, 2), -2)) == Approx(0.8).epsilon(0.02));
    CHECK(ratio(*lengthened(shank, 1)) > 0.8);
    CHECK(ratio(*lengthened(shank, -1)) < 0.8);
    CHECK(lengthened(shank, 0) == shank);
    // A bare reach grows past its landmark by a share of the gape, and back again to it.
    const LengthSpec point = reachTo(Landmark::point);
    const LengthSpec past = lengthened(point, 2).value();
    REQUIRE(std::get<Reach>(past.value).past);
    CHECK(std::get<Ratio>((*std::get<Reach>(past.value).past)->value).ratio == Approx(0.10));
    CHECK(lengthened(past, -2) == point);
    CHECK_FALSE(lengthened({Bars{2}, {}}, 1));
}

TEST_CASE("a longer length plans longer, by a step of 5 % of itself or of the gape") {
    const Book book = demoBook();
    for (const Pattern& pattern : book.patterns)
        for (std::size_t i = 0; i < pattern.parts.size(); ++i) {
            const auto* tail = std::get_if<TailPart>(&pattern.parts[i].detail);
            if (!tail || !lengthened(tail->length, 1)) continue;
            Book longer = book;
            std::get<TailPart>(longer.findPattern(pattern.id)->parts[i].detail).length = *lengthened(tail->length, 1);
            const auto before = planPattern(book, pattern.id), after = planPattern(longer, pattern.id);
            REQUIRE((before && after));
            const Length was = std::get<TailPlan>(before->parts[i].detail).length, is = std::get<TailPlan>(after->parts[i].detail).length;
            CAPTURE(pattern.id);
            CHECK(is > was);
            CHECK(is - was < 0.12 * std::max(was, before->hook.gape()));
        }
}

TEST_CASE("stations are read as tiers say them, and what is no place is a fault that says so") {
    for (const auto& [text, landmark] :
         {std::pair("at the barb", Landmark::barb), {"at the point", Landmark::point}, {"at the bend", Landmark::bend}}) {
        const auto station = readStationSpec(text, Place("at"));
        REQUIRE(station);
        CHECK(station->at == AnyLandmark(landmark));
    }
    const auto ahead = readStationSpec("0.5 mm ahead of the point", Place("at")).value();
    REQUIRE(ahead.ahead);
    CHECK(mmOf(std::get<Length>(ahead.ahead->value)) == Approx(0.5));
    for (const char* text : {"", "somewhere", "ahead of the point", "at the elbow", "-1 mm ahead of the barb"}) {
        CAPTURE(text);
        const auto refused = readStationSpec(text, Place("station"));
        REQUIRE_FALSE(refused);
        CHECK(refused.error().front().place.text() == "station");
    }
}

TEST_CASE("keys are said as words, never with their unit or underline in them") {
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        for (const Figure& figure : figuresOf(plan, i)) {
            const std::string label = labelOf(figure.key);
            CAPTURE(figure.key, label);
            CHECK(label.find('_') == std::string::npos);
            CHECK_FALSE(label.empty());
        }
    CHECK(sayMeasured("tail length_mm") == "tail length");
    CHECK(sayMeasured("plain") == "plain");
    for (const Field& field : fieldsOf(LeaderSpec{})) {
        CAPTURE(field.key, field.label);
        CHECK(field.label.find('_') == std::string::npos);
    }
    // A key that two records have is called what it is in each.
    CHECK(fieldLabel(fieldsOf(Stock{}), "count") == "in the packet");
    for (const PartKind kind : {PartKind::wing, PartKind::legs, PartKind::cheek}) {
        Part part;
        part.kind = kind;
        part.detail = detailFor(kind);
        CHECK(fieldLabel(fieldsOf(part), "count").find("packet") == std::string::npos);
        CHECK(fieldLabel(fieldsOf(part), "length") == "length");
    }
    CHECK(fieldLabel(fieldsOf(HookSpec{}), "barb") == "barb");
    CHECK(fieldLabel(fieldsOf(RuleCard{}), "barb") == "barbs");
}
