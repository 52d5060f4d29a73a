#include "book/kinds.h"

#include <catch2/catch.hpp>

#include "book/fitting.h"
#include "sizing/sizes.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

TEST_CASE("each kind to start from is a whole fly on every hook of the book, without a fault and with room for its head") {
    const Book book = demoBook();
    for (const auto& entry : Names<FlyKind>::entries)
        for (const HookSpec& hook : book.hooks) {
            INFO(entry.name << " on " << hook.id);
            const auto made = startFromKind(book, entry.value, hook.id);
            REQUIRE(made);
            const auto plan = planPattern(made->edit.after, made->id);
            if (!plan) FAIL(plan.error().front().line());
            CHECK(plan->head.margin() >= 0.0 * mm);
            CHECK(plan->parts.back().kind == PartKind::head);
            CHECK(check(made->edit.after).empty());
        }
}

TEST_CASE("a kind put in the box untouched raises no warning, on any size and family of hook") {
    const Book demo = demoBook();
    Book bare;
    int looked = 0;
    for (const Book* book : std::array<const Book*, 2>{&demo, &bare})
        for (const auto& entry : Names<FlyKind>::entries)
            for (const auto& family : Names<HookFamily>::entries)
                for (int size = 6; size <= 16; ++size) {
                    Book with = *book;
                    HookSpec hook = hookSpec(size, family.value);
                    hook.id = "tried";
                    with.hooks.push_back(hook);
                    const auto made = startFromKind(with, entry.value, "tried").value();
                    const auto plan = planWhatCan(made.edit.after, made.id);
                    INFO(entry.name << " on " << family.name << " " << size << (book == &bare ? " of an empty book" : " of the demo"));
                    REQUIRE(plan);
                    CHECK(plan->faults.empty());
                    for (const Warning& w : plan->warnings) {
                        INFO(nameOf(w.concern) << ": " << w.what);
                        if (w.concern == Concern::barbShort && book == &demo) continue;  // its drawers have no longer flank: rightly said
                        CHECK(w.severity == Severity::note);
                    }
                    ++looked;
                }
    CHECK(looked == 2 * 13 * 6 * 11);
}

TEST_CASE("a kind can be started in a book that has a hook and nothing else") {
    Book bare;
    bare.hooks = {hookSpec()};
    for (const auto& entry : Names<FlyKind>::entries) {
        const auto made = startFromKind(bare, entry.value, "hook");
        REQUIRE(made);
        CHECK(planPattern(made->edit.after, made->id));
    }
    CHECK_FALSE(startFromKind(bare, FlyKind::spider, "no-such"));
}

TEST_CASE("a dressing started twice gets a name and an id of its own") {
    const Book book = demoBook();
    const auto one = startFromKind(book, FlyKind::spider, "wet-12").value();
    const auto two = startFromKind(one.edit.after, FlyKind::spider, "wet-12").value();
    CHECK(one.id != two.id);
    CHECK(two.edit.after.findPattern(two.id)->title() == "New spider 2");
    const auto copy = duplicate(two.edit.after, "kelp-lantern").value();
    CHECK(copy.edit.after.findPattern(copy.id)->parts == book.findPattern("kelp-lantern")->parts);
    CHECK(renamePattern(book, "kelp-lantern", "  Wrack Lantern ")->after.findPattern("kelp-lantern")->title() == "Wrack Lantern");
    CHECK_FALSE(renamePattern(book, "kelp-lantern", "   "));
}

TEST_CASE("a dressing taken out leaves its teams, but never one without a fly") {
    Book book = demoBook();
    const auto gone = removePattern(book, "kelp-lantern");
    REQUIRE(gone);
    CHECK_FALSE(gone->after.teams[0].at(Position::bob));
    CHECK(check(gone->after).empty());
    book.teams[0].at(Position::middle).reset();
    book.teams[0].at(Position::point).reset();
    CHECK_FALSE(removePattern(book, "kelp-lantern"));
}

TEST_CASE("across sizes the hook's own size changes nothing, and each other is planned on its own hook") {
    const auto flies = acrossSizes(demoBook(), "heather-tinker", {8, 10, 12, 14, 16});
    REQUIRE(flies.size() == 5);
    CHECK(flies[2].changes.empty());
    CHECK(flies[2].troubles.empty());
    for (std::size_t i = 1; i < flies.size(); ++i)
        CHECK(flies[i].plan->hook.shank() < flies[i - 1].plan->hook.shank());
    CHECK(std::ranges::any_of(flies, [](const SizedFly& f) { return !f.changes.empty(); }));  // fewer fibres on a smaller hook
    CHECK_FALSE(acrossSizes(demoBook(), "heather-tinker", {40})[0].plan);
}

TEST_CASE("a dressing is started on the hook that was measured, else on a 10, else on the first there is") {
    Book book;
    CHECK(usualHook(book).empty());
    book.hooks = {hookSpec(6), hookSpec(10), hookSpec(14)};
    book.hooks[0].id = "six";
    book.hooks[1].id = "ten";
    book.hooks[2].id = "fourteen";
    CHECK(usualHook(book) == "ten");
    book.hooks[2].measured = HookMeasures{};
    CHECK(usualHook(book) == "fourteen");
    book.hooks = {book.hooks[0]};
    CHECK(usualHook(book) == "six");
}
