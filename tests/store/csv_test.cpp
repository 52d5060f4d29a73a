#include "store/csv.h"

#include <catch2/catch.hpp>
#include <random>

#include "tests/random_book.h"

using namespace machair;
using namespace machair::tests;

namespace {

std::string firstFault(const Book& book, std::string_view text) {
    const auto imported = store::importCsv(book, text);
    return imported ? "no fault" : imported.error().front().line();
}

}  // namespace

TEST_CASE("quotes, commas, doubled quotes and line ends inside a cell come back as they were") {
    const std::vector<store::CsvRow> rows = {{"id", "note"}, {"a", "he said \"two, or three\"\nand left"}, {"b", ""}};
    CHECK(store::parseCsv(store::writeCsv(rows)).value() == rows);
    CHECK(store::parseCsv("\xef\xbb\xbfid,x\nq,1\n").value()[0][0] == "id");
    CHECK(store::parseCsv("a,\"open\nb").error().front().place.text() == "line 1");
}

TEST_CASE("the demo's hooks and materials go out and come back equal") {
    const Book book = demoBook();
    Book bare = book;
    const auto again = store::importCsv(book, store::hooksToCsv(book.hooks));
    REQUIRE(again);
    CHECK(again->book == book);
    CHECK(again->added + again->changed == 0);
    bare.hooks.clear();
    bare.patterns.clear();
    bare.teams.clear();
    bare.box.clear();
    bare.feathers.clear();
    bare.capes.clear();
    bare.cutLists.clear();
    bare.batches.clear();
    CHECK(store::importCsv(bare, store::hooksToCsv(book.hooks)).value().book.hooks == book.hooks);
    bare.materials.clear();
    auto materials = store::importCsv(bare, store::materialsToCsv(book.materials)).value().book.materials;
    Book expected = book;
    for (Material& m : expected.materials)
        m.measured.clear();  // a mark of the drawers, not a property
    CHECK(materials == expected.materials);
}

TEST_CASE("faults of a table stand at their line and column, all of them, and nothing is taken in") {
    const Book book = demoBook();
    CHECK(firstFault(book, "id,size,wire_mm\nx,99,0.5\n") == "line 2, size: expected a hook size from 2 to 20, got \"99\"");
    CHECK(firstFault(book, "id,kind,stem_mm\nx,hackle,-1\n").starts_with("line 2, stem_mm: expected a length over 0"));
    CHECK(firstFault(book, "id,kind,stem_mm\nx,thread,0.3\n").starts_with("line 2, stem_mm: expected nothing here for this kind"));
    CHECK(firstFault(book, "id,kind\nx,feather\n").starts_with("line 2, kind: expected thread"));
    CHECK(firstFault(book, "id,kind\na,thread\na,thread\n").starts_with("line 3, id: expected each id once"));
    CHECK(firstFault(book, "name\nx\n").starts_with("line 1: expected a column id"));
    CHECK(firstFault(book, "").starts_with("line 1"));
    const auto two = store::importCsv(book, "id,size,wire_mm\nx,99,0.5\ny,10,none\n");
    REQUIRE_FALSE(two);
    CHECK(two.error().size() == 2);
}

TEST_CASE("any bytes as a table are rows or a fault, never a crash") {
    std::mt19937 random(20261125);
    const std::string sound = store::materialsToCsv(demoBook().materials);
    for (int i = 0; i < 200; ++i) {
        std::string text = sound;
        for (int k = 0; k < 6; ++k)
            text[random() % text.size()] = static_cast<char>(random());
        CHECK_NOTHROW(store::importCsv(demoBook(), text));
    }
}
