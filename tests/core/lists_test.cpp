// The difference of two books: what undo keeps of an edit.
#include "book/lists.h"

#include <catch2/catch.hpp>

#include "book/edits.h"
#include "book/fields.h"
#include "book/kinds.h"
#include "book/record_edits.h"
#include "book/references.h"
#include "book/schools.h"
#include "sizing/mending.h"
#include "store/bench_file.h"
#include "team/balance.h"
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

// Books that share parts compare alike by sharing them: only what is written down tells whether one was changed through another.
TEST_CASE("no edit, mend, school or proposal changes the book that it was made from, nor one edit another") {
    const Book book = demoBook();
    const std::string before = store::writeBench(book);
    std::vector<std::pair<Book, std::string>> made;  // some of what came of it, as it was then
    std::size_t edits = 0;
    const auto keep = [&](const Result<Edit>& edit) {
        if (edit && ++edits % 40 == 0) made.emplace_back(edit->after, store::writeBench(edit->after));
    };
    for (const Pattern& pattern : book.patterns) {
        for (std::size_t part = 0; part < pattern.parts.size(); ++part) {
            for (const Field& field : fieldsOf(pattern.parts[part]))
                for (const char* text : {"", "2", "0.8 of the shank", "with"})
                    keep(changeField(book, pattern.id, part, field.key, text));
            keep(changeMaterial(book, pattern.id, part, book.materials[(7 * part) % book.materials.size()].id));
            keep(removePart(book, pattern.id, part));
            keep(movePart(book, pattern.id, part, 0));
        }
        for (const PartKind kind : {PartKind::tag, PartKind::wing, PartKind::bead})
            keep(addPart(book, pattern.id, kind));
        for (const Field& field : fieldsOf(SchoolChoices{}))
            for (const std::string& choice : field.choices)
                keep(changeSchool(book, pattern.id, field.key, choice));
        if (const auto plan = planPattern(book, pattern.id))
            for (const Warning& warning : plan->warnings)
                for (const Mend& mend : mendsOf(book, *plan, warning))
                    keep(mend.edit);
    }
    TeamSetting setting;
    setting.day.wave = 0.05 * metre;
    for (const TeamSpec& team : book.teams)
        if (const auto balanced = balanceTeam(book, team.id, setting))
            for (const auto* list : {&balanced->box, &balanced->redressed})
                for (const Proposal& proposal : *list)
                    for (const TakeAs as : {TakeAs::copy, TakeAs::dressing})
                        if (const auto taken = takeProposal(book, team.id, proposal, as))
                            made.emplace_back(taken->after, store::writeBench(taken->after));
    CHECK(edits > 1000);
    CHECK(store::writeBench(book) == before);
    std::size_t others = 0;
    for (const auto& [after, text] : made)
        others += store::writeBench(after) == text ? 0U : 1U;
    CHECK(others == 0);
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

TEST_CASE("an id is made of the plain letters of a name, and of nothing else") {
    CHECK(idOfName("Ness Teal", "x") == "ness-teal");
    CHECK(idOfName("  O'Mara's  #2 (old)", "x") == "o-mara-s-2-old");
    CHECK(idOfName("Ørret – Å", "x") == "rret");
    CHECK(idOfName("•••", "dressing") == "dressing");
    CHECK(idOfName(std::string(31, 'a') + " long", "x") == std::string(31, 'a'));
}
