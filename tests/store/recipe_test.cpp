#include "store/recipe.h"

#include <catch2/catch.hpp>
#include <random>

#include "store/geojson.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using store::readRecipe;
using store::RecipeFormat;

namespace {

store::ReadRecipe read(const std::string& text) {
    const auto recipe = readRecipe(text, demoBook());
    INFO(text);
    REQUIRE(recipe);
    return *recipe;
}
const Part& the(const Pattern& pattern, PartKind kind) {
    const auto found = findKind(pattern, kind);
    REQUIRE(found);
    return pattern.parts[*found];
}

}  // namespace

TEST_CASE("a printed recipe becomes a dressing, each line a part") {
    const auto recipe = read(
        "Ardvey Beacon\nHook: heavy wet, size 10\nThread: black 72\nTail: ten fibres of orange tippet, 0.8 of the shank\nRib: Fine gold "
        "oval, 5 turns\n"
        "Body: olive seal-like\nBody hackle: Fox-red saddle, four turns, to the point\nHackle: slate-blue hen, two or three turns, to the "
        "barb\nHead: two coats\n");
    CHECK(recipe.pattern.title() == "Ardvey Beacon");
    CHECK(recipe.pattern.hook == "wet-10");
    CHECK(recipe.pattern.thread == "thread-black");
    const auto& tail = std::get<TailPart>(the(recipe.pattern, PartKind::tail).detail);
    CHECK(tail.fibres->middle() == 10.0);
    CHECK(std::get<Ratio>(tail.length.value).ratio == 0.8);
    CHECK(the(recipe.pattern, PartKind::rib).material == "oval-gold");
    CHECK(std::get<PalmerPart>(the(recipe.pattern, PartKind::palmer).detail).openTurns->middle() == 4.0);
    const auto& collar = std::get<CollarPart>(the(recipe.pattern, PartKind::collar).detail);
    CHECK(collar.turns->pair);
    CHECK(std::get<Reach>(collar.length.value).to == decltype(Reach{}.to){AnyLandmark(Landmark::barb)});
    CHECK(std::get<HeadPart>(the(recipe.pattern, PartKind::head).detail).coats == 2);
    CHECK(recipe.doubts.empty());
}

TEST_CASE("what isn't understood is asked for at its place, and kept as a note") {
    const auto recipe =
        read("Storm\nHook: 10\nTail: unicorn, to taste\nRibble: something\nBody: olive seal-like, brushed out like a hedge\n");
    const auto at = [&](std::size_t line) { return std::ranges::count(recipe.doubts, line, &store::RecipeDoubt::line); };
    CHECK(at(3) >= 2);
    CHECK(at(4) == 1);
    CHECK(at(5) == 1);
    CHECK(the(recipe.pattern, PartKind::body).note->find("hedge") != std::string::npos);
    const auto body = std::ranges::find(recipe.doubts, 5u, &store::RecipeDoubt::line);
    CHECK(body->column == std::string("Body: olive seal-like, brushed out ").size() + 1);
}

TEST_CASE("forty recipes in different manners are read into parts that can be planned") {
    const std::vector<std::string> titles = {"Skerrin Spark", "**Peat Lamp**", "Name: Ebb Runner", "# Tarn Wisp"};
    const std::vector<std::string> hooks = {"Hook: wet fly, size 12", "Hook: 10 sproat", "hook : round bend 14", "HOOK: Heavy wet 10",
                                            "Hook: size 10"};
    const std::vector<std::string> tails = {"Tail: golden fibres, half the shank", "tail: six golden fibres, as long as the gape",
                                            "- Tail: Golden fibres; 8 mm", "Tail: golden fibres, length of the body",
                                            "TAIL: golden fibres 3/8 in"};
    const std::vector<std::string> hackles = {"Hackle: ginger hen, 2 turns, to the point", "Hackle: grey partridge; one turn and a half",
                                              "Collar: Sooty hen hackle 2 1/2 turns", "hackle: dun-olive hen, to the barb, two turns",
                                              "Throat: ginger hen, 2 turns"};
    const std::vector<std::string> ends = {"\n", "\r\n"};
    const Book book = demoBook();
    int read = 0;
    for (std::size_t i = 0; i < 40; ++i) {
        const std::string& end = ends[i % 2];
        const std::string text = titles[i % 4] + end + hooks[i % 5] + end + tails[(i / 2) % 5] + end +
                                 "Rib: silver wire, 5 turns, against the body" + end + "Body: claret seal-like" + end +
                                 hackles[(i / 3) % 5] + end;
        const auto recipe = readRecipe(text, book);
        CAPTURE(i, text);
        REQUIRE(recipe);
        const Book with = store::withRecipe(book, *recipe);
        CHECK(check(with).empty());
        CHECK(planPattern(with, recipe->pattern.id).has_value());
        CHECK(findKind(recipe->pattern, PartKind::tail));
        CHECK(findKind(recipe->pattern, PartKind::rib));
        CHECK(std::get<RibPart>(the(recipe->pattern, PartKind::rib).detail).direction == Winding::counter);
        ++read;
    }
    CHECK(read == 40);
}

TEST_CASE("a dressing written as text, Markdown or a page reads back to the same parts") {
    const Book book = demoBook();
    for (const Pattern& pattern : book.patterns)
        for (const RecipeFormat format : {RecipeFormat::text, RecipeFormat::markdown}) {
            const auto recipe = readRecipe(store::writeRecipe(pattern, book, format), book);
            CAPTURE(pattern.title());
            REQUIRE(recipe);
            CHECK(recipe->pattern.title() == pattern.title());
            CHECK(recipe->pattern.hook == pattern.hook);
            std::vector<PartKind> before, after;
            for (const Part& p : pattern.parts)
                before.push_back(p.kind);
            for (const Part& p : recipe->pattern.parts)
                after.push_back(p.kind);
            CHECK(before == after);
            if (before != after) continue;
            for (std::size_t i = 0; i < before.size(); ++i)
                if (pattern.parts[i].kind != PartKind::head) CHECK(recipe->pattern.parts[i].material == pattern.parts[i].material);
        }
    const std::string page = store::writeRecipe(*book.findPattern("kelp-lantern"), book, RecipeFormat::html);
    CHECK(page.find("<h1>Kelp Lantern</h1>") != std::string::npos);
}

TEST_CASE("any bytes are read or refused, never worse") {
    const Book book = demoBook();
    std::mt19937 random(9);
    const std::string seed = store::writeRecipe(*book.findPattern("kelp-lantern"), book, RecipeFormat::text);
    int sound = 0;
    for (int round = 0; round < 600; ++round) {
        std::string text = round % 3 == 0 ? std::string() : seed;
        for (int i = 0; i < 40; ++i) {
            const char byte = static_cast<char>(random() & 0xFF);
            if (text.empty() || random() % 2)
                text += byte;
            else
                text[random() % text.size()] = byte;
        }
        const auto recipe = readRecipe(text, book);
        if (!recipe) continue;
        const Book with = store::withRecipe(book, *recipe);
        CHECK(check(with).empty());
        for (const auto& doubt : recipe->doubts)
            CHECK(doubt.line >= 1);
        ++sound;
    }
    CHECK(sound > 100);
    CHECK(read("Caf\xe9 fly\nBody: olive seal-like\n").pattern.title() == "Caf\xc3\xa9 fly");  // Latin-1
    CHECK_FALSE(readRecipe(std::string(store::kLongestRecipe + 1, 'x'), book));
    CHECK_FALSE(readRecipe("nothing but a title", book));
    CHECK_FALSE(readRecipe("Body: fur", Book{}));
}

TEST_CASE("a shore comes from GeoJSON in metres, and what is none is refused where it is wrong") {
    const auto shore = store::readShore(
        R"({"type":"FeatureCollection","features":[{"type":"Feature","geometry":null},{"type":"Feature","geometry":{"type":"Polygon","coordinates":
        [[[-6.0,57.0],[-5.99,57.0],[-5.99,57.01],[-6.0,57.01],[-6.0,57.0]]]}}]})");
    REQUIRE(shore);
    REQUIRE(shore->size() == 4);
    CHECK((*shore)[2][1] / metre == Approx(1112.0).margin(1.0));  // a hundredth of a degree north
    CHECK((*shore)[1][0] / metre == Approx(1112.0 * std::cos(57.005 * M_PI / 180.0)).margin(1.0));
    CHECK_FALSE(store::readShore("not json"));
    CHECK_FALSE(store::readShore(R"({"type":"Point","coordinates":[1,2]})"));
    CHECK(store::readShore(R"({"type":"Polygon","coordinates":[[[0,0],[1,1],[1,0],[0,1],[0,0]]]})").error().front().what.find("cross") !=
          std::string::npos);
    CHECK(store::readShore(R"({"type":"Polygon","coordinates":[[[0,0],[500,1],[1,0]]]})").error().front().place.text() ==
          "coordinates[0][1]");
}
