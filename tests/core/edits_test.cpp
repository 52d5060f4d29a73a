#include "book/edits.h"

#include <catch2/catch.hpp>

#include "book/fields.h"
#include "book/spec_words.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

TEST_CASE("a length written in words reads back as the same length") {
    const Book book = demoBook();
    for (const Pattern& pattern : book.patterns)
        for (const Part& p : pattern.parts)
            for (const Field& field : fieldsOf(p)) {
                if (field.text.empty()) continue;
                INFO(pattern.id << " " << nameOf(p.kind) << " " << field.key << ": " << field.text);
                const auto back = withField(p, field.key, field.text, Place());
                REQUIRE(back);
                CHECK(*back == p);
            }
}

TEST_CASE("tiers' ways of saying a length are understood") {
    const auto said = [](const char* text) { return writeSpec(readSpec(text, Place()).value()); };
    CHECK(said("as long as the shank") == "as long as the shank");
    CHECK(said("half the gape") == "0.5 of the gape");
    CHECK(said("0.8 x shank") == "0.8 of the shank");
    CHECK(said("to the point") == "to the point");
    CHECK(said("0.4 mm past the barb") == "0.4 mm past the barb");
    CHECK(said("0.1 of the gape short of the bend") == "0.1 of the gape short of the bend");
    CHECK(said("to half of the tail") == "to 0.5 of the tail");
    CHECK(said("15/32 in") == "11.90625 mm");
    CHECK(said("2 bars") == "2 bars");
}

TEST_CASE("nonsense for a length is a fault that says what would do") {
    for (const char* text :
         {"", "long", "0", "-3", "2000", "nan", "to the moon", "0.5 of the", "1e9 of the shank", "3 past the point past the barb"}) {
        INFO(text);
        const auto spec = readSpec(text, Place("here"));
        REQUIRE_FALSE(spec);
        CHECK(spec.error().front().place.text() == "here");
        CHECK_FALSE(spec.error().front().remedy.empty());
    }
}

TEST_CASE("ten small steps of a length land where they should") {
    LengthSpec spec = reachTo(Landmark::point);
    for (int i = 0; i < 10; ++i)
        spec = stepped(spec, 1);
    CHECK(writeSpec(spec) == "1 mm past the point");
    for (int i = 0; i < 13; ++i)
        spec = stepped(spec, -1);
    CHECK(writeSpec(spec) == "0.3 mm short of the point");
    CHECK(writeSpec(stepped(ratioOf(0.8, Yardstick::shank), -3)) == "0.77 of the shank");
    CHECK(writeSpec(stepped(inMm(0.1 * mm), -5)) == "0.1 mm");  // never to nothing
}

TEST_CASE("an edit leaves the book it was given as it was") {
    const Book book = demoBook();
    const Book before = book;
    const auto edit = changeField(book, "kelp-lantern", 0, "length", "10.2");
    REQUIRE(edit);
    CHECK(book == before);
    CHECK_FALSE(edit->after == before);
    CHECK(edit->words == "tail length to 10.2");
}

TEST_CASE("a field outside its limits is refused with its place") {
    const auto edit = changeField(demoBook(), "kelp-lantern", 4, "turns", "75");
    REQUIRE_FALSE(edit);
    CHECK(edit.error().front().line() ==
          "patterns[0].parts[4].turns: expected a number of turns from 0.5 to 60, or two of them as \"2 to 3\", got \"75\"");
}

TEST_CASE("another hook size that the book has not is added as a nominal hook, one that it has is taken") {
    const Book book = demoBook();
    const auto smaller = resizeHook(book, "kelp-lantern", {8, std::nullopt});
    REQUIRE(smaller);
    CHECK(smaller->after.hooks.size() == book.hooks.size() + 1);
    CHECK_FALSE(smaller->after.hooks.back().measured);
    const auto back = resizeHook(smaller->after, "kelp-lantern", {10, std::nullopt});
    REQUIRE(back);
    CHECK(back->after.findPattern("kelp-lantern")->hook == "wet-10");
    CHECK_FALSE(resizeHook(book, "kelp-lantern", {30, std::nullopt}));
}

TEST_CASE("a new part stands where tying order wants it and the fly can still be planned") {
    const Book book = demoBook();
    for (const auto& entry : Names<PartKind>::entries) {
        INFO(entry.name);
        const auto edit = addPart(book, "heather-tinker", entry.value);
        REQUIRE(edit);
        const auto plan = planPattern(edit->after, "heather-tinker");
        REQUIRE(plan);
        CHECK(plan->parts.size() == book.findPattern("heather-tinker")->parts.size() + 1);
    }
}

TEST_CASE("a part that another is measured against is not taken off unsaid") {
    const auto refused = removePart(demoBook(), "heather-tinker", 0);  // the wing ends at a fraction of the tail
    REQUIRE_FALSE(refused);
    CHECK(refused.error().front().what.find("wing") != std::string::npos);
    CHECK(removePart(demoBook(), "heather-tinker", 1));
}

TEST_CASE("references by number follow the part that they mean when parts move") {
    Book book = bench();
    RibPart rib;
    WingPart wing;
    wing.length = {Reach{PartRef{std::size_t{0}}, 0.5, {}, {}}, {}};
    book.patterns = {dressing({part(PartKind::tail, TailPart{}, "tippet"), part(PartKind::rib, rib, "wire"),
                               part(PartKind::body, BodyPart{}, "seal"), part(PartKind::wing, wing, "flank")})};
    const auto moved = movePart(book, "fly", 0, 1);
    REQUIRE(moved);
    const auto& after = std::get<WingPart>(moved->after.patterns[0].parts[3].detail);
    CHECK(writeSpec(after.length) == "to 0.5 of the part 1");
    const auto removed = removePart(moved->after, "fly", 0);  // the rib, ahead of it
    REQUIRE(removed);
    CHECK(writeSpec(std::get<WingPart>(removed->after.patterns[0].parts[2].detail).length) == "to 0.5 of the part 0");
    CHECK(planPattern(removed->after, "fly"));
}

TEST_CASE("a team keeps at least one fly") {
    Book book = demoBook();
    for (const Position p : {Position::bob, Position::middle})
        book = changeTeamFly(book, "west-shore", p, std::nullopt)->after;
    const auto last = changeTeamFly(book, "west-shore", Position::point, std::nullopt);
    REQUIRE_FALSE(last);
    CHECK(last.error().front().place.text() == "teams[0]");
}

TEST_CASE("a blend is mixed of furs of the book, and of nothing else") {
    const Book book = demoBook();
    const Edit mixed = changeMaterialField(book, "fur-olive", "blend", "fur-hare 2, fur-amber 1", Source::typed).value();
    const auto& fur = std::get<DubbingTraits>(mixed.after.findMaterial("fur-olive")->traits);
    REQUIRE(fur.blend.size() == 2);
    CHECK(fur.blend[0].parts == 2.0);
    CHECK(changeMaterialField(mixed.after, "fur-olive", "blend", "", Source::typed)->after == book);
    CHECK_FALSE(changeMaterialField(book, "fur-olive", "blend", "moon dust 2", Source::typed));
    CHECK(changeMaterialField(book, "fur-olive", "blend", "fur-hare", Source::typed).error().front().what.find("furs with their parts") !=
          std::string::npos);
}
