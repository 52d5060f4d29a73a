#include "store/text_encoding.h"

#include <catch2/catch.hpp>

#include "store/csv.h"
#include "store/geojson.h"
#include "store/json_parse.h"
#include "store/recipe.h"
#include "tests/random_book.h"

using namespace machair;
using namespace machair::store;

TEST_CASE("text is read as what it is: UTF-8, UTF-16 with its mark, else Windows-1252") {
    CHECK(decodeText("h\xc3\xa9ron").text == "héron");
    CHECK(decodeText("h\xc3\xa9ron").encoding == Encoding::utf8);
    CHECK(decodeText("h\xe9ron").text == "héron");
    CHECK(decodeText("h\xe9ron").encoding == Encoding::windows1252);
    CHECK(decodeText("\x80 5 \x93soft\x94").text == "€ 5 “soft”");
    CHECK(decodeText(std::string_view("\xff\xfeh\0\xe9\0", 6)).text == "hé");
    CHECK(decodeText(std::string_view("\xfe\xff\0h\0\xe9", 6)).text == "hé");
    CHECK(decodeText(std::string_view("\xff\xfe\x3d\xd8\x00\xde", 6)).text == "😀");     // a pair
    CHECK(decodeText(std::string_view("\xff\xfe\x3d\xd8", 4)).text == "\xef\xbf\xbd");  // half of one
    CHECK(decodeText("\xef\xbb\xbfx").text == "x");
}

TEST_CASE("what is no UTF-8 is known: overlong forms, surrogates, ends cut off, beyond the last character") {
    for (const char* bad :
         {"\xc0\xaf", "\xe0\x80\xaf", "\xed\xa0\x80", "\xf5\x80\x80\x80", "\xf4\x90\x80\x80", "\xe2\x82", "\x80", "a\xff"}) {
        CAPTURE(bad);
        CHECK_FALSE(isUtf8(bad));
        CHECK(isUtf8(decodeText(bad).text));
    }
    CHECK(isUtf8("\xf4\x8f\xbf\xbf"));
    CHECK(shortened("aé", 2) == "a");
    CHECK(shortened("aé", 3) == "aé");
}

TEST_CASE("a table that a spreadsheet wrote in Latin-1 is read, told, and written back as UTF-8") {
    const Book book = tests::demoBook();
    const auto imported = importCsv(book, "id,kind,name\nheron-hackle,hackle,h\xe9ron gris\n");
    if (!imported) FAIL(imported.error().front().line());
    CHECK(imported->encoding == Encoding::windows1252);
    CHECK(imported->book.findMaterial("heron-hackle")->title() == "héron gris");
    CHECK(readBench(writeBench(imported->book)).value().book == imported->book);
}

TEST_CASE("any bytes as a recipe give a dressing in sound UTF-8 that can be written") {
    std::mt19937 random(20261127);
    const Book book = tests::demoBook();
    for (int i = 0; i < 400; ++i) {
        std::string text = "Test\nTail: ";
        for (int k = 0; k < 90; ++k)
            text += static_cast<char>(random() % 256);
        const auto read = readRecipe(text, book);
        if (!read) continue;
        Book with = book;
        with.patterns.push_back(read->pattern);
        with.patterns.back().id = "from-bytes";
        CHECK_NOTHROW(writeBench(with));
        for (const RecipeDoubt& doubt : read->doubts)
            CHECK(isUtf8(doubt.words + doubt.question));
    }
}

TEST_CASE("nobody is shown a library's own words") {
    for (const char* bad : {"{", "[1,]", "{\"a\": \"\\ud800\"}", "{\"a\": 1e999}", "{\"a\": \"\x01\"}", "nul"}) {
        CAPTURE(bad);
        const auto json = parseJson(bad);
        REQUIRE_FALSE(json);
        CHECK(json.error().front().line().find("json.exception") == std::string::npos);
        CHECK(json.error().front().line().find("[") == std::string::npos);
        CHECK(json.error().front().place.text().starts_with("line "));
    }
    CHECK_FALSE(readShore("{\"type\": "));
}
