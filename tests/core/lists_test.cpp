// The difference of two books: what undo keeps of an edit.
#include "book/lists.h"

#include <catch2/catch.hpp>

#include "book/edits.h"
#include "book/kinds.h"
#include "book/record_edits.h"
#include "book/references.h"
#include "tests/random_book.h"

using namespace machair;
using namespace machair::tests;

TEST_CASE("a difference leads from any book to any other and back") {
    constexpr unsigned kSeed = 20261127;
    CAPTURE(kSeed);
    for (unsigned i = 0; i < 80; ++i) {
        CAPTURE(i);
        const Book one = RandomBook(kSeed + i).make(), two = RandomBook(kSeed + 1000 + i).make();
        const BookDifference change(one, two);
        Book book = one;
        change.apply(book);
        REQUIRE(book == two);
        change.takeBack(book);
        REQUIRE(book == one);
        CHECK(BookDifference(one, one).empty());
    }
}

TEST_CASE("a difference holds the records that an edit touched, and no others") {
    const Book book = demoBook();
    const Edit tail = changeField(book, "kelp-lantern", 0, "length", "0.7 of the shank").value();
    CHECK(BookDifference(book, tail.after).records() == 2);  // the dressing before and after
    const Edit away = removePattern(book, "shingle-wren").value();
    CHECK(BookDifference(book, away.after).records() < 6);
    CHECK_FALSE(BookDifference(book, tail.after).empty());
    // Two records far apart are two stretches, not all that stands between them.
    Book both = tail.after;
    both.patterns.back().note = "a word";
    CHECK(BookDifference(book, both).records() == 4);
}

TEST_CASE("copies of a list share it until one of them changes, and then neither knows of the other") {
    const SharedList<int> one = {1, 2, 3};
    SharedList<int> two = one;
    CHECK(&std::as_const(two).front() == &one.front());
    CHECK(two == one);
    two[1] = 7;
    CHECK(one == SharedList<int>({1, 2, 3}));
    CHECK(two == SharedList<int>({1, 7, 3}));
    // From a place in the shared one, before and after.
    SharedList<int> three = one;
    three.insert(one.begin() + 1, 9);
    CHECK(three == SharedList<int>({1, 9, 2, 3}));
    SharedList<int> four = one;
    four.erase(one.begin(), one.begin() + 2);
    CHECK(four == SharedList<int>({3}));
    CHECK(one.size() == 3);
    SharedList<int> none;
    CHECK(none.empty());
    CHECK(none == SharedList<int>(std::vector<int>{}));
    none.push_back(4);
    CHECK(none.back() == 4);
    SharedList<int> gone = one;
    gone.clear();
    CHECK((gone.empty() && one.size() == 3));
}

TEST_CASE("an edit's book shares the parts of every dressing but the one that it changed") {
    const Book book = demoBook();
    const Edit edit = changeField(book, "kelp-lantern", 0, "length", "0.7 of the shank").value();
    for (const Pattern& pattern : book.patterns) {
        INFO(pattern.id);
        CHECK((&pattern.parts.front() == &edit.after.findPattern(pattern.id)->parts.front()) == (pattern.id != DressingId("kelp-lantern")));
    }
}

TEST_CASE("every reference of a book is found, with its place and what it refers to") {
    const Book book = demoBook();
    std::size_t hooks = 0, inParts = 0, past = 0;
    eachReference(book, [&](const Reference& reference) {
        if (reference.list == "patterns" && reference.to == "hooks") {
            ++hooks;
            CHECK(reference.place().text() == "patterns[" + std::to_string(reference.index) + "].hook");
            CHECK(book.patterns[reference.index].hook == reference.id);
        }
        if (reference.list == "patterns" && reference.place().text().find(".parts[") != std::string::npos) ++inParts;
        if (reference.past) ++past;
    });
    CHECK(hooks == book.patterns.size());
    std::size_t materials = 0, caught = 0;
    for (const Pattern& pattern : book.patterns)
        for (const Part& part : pattern.parts)
            materials += part.material ? 1 : 0;
    for (const Day& day : book.days)
        caught += day.fish.size();
    CHECK(inParts == materials);
    CHECK(past > caught);  // each fish, and outings, checks, waters of days
}
