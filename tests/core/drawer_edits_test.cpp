// Edits of what lies in the drawers, and of a dressing's material and hook: what they do, refuse and leave alone.
#include <catch2/catch.hpp>
#include <set>

#include "book/edits.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

TEST_CASE("a hook's field is changed in the hook and nowhere else, and every dressing on it is named") {
    const Book book = demoBook();
    const HookId hook = book.findPattern("kelp-lantern")->hook;
    const auto on = dressingsOn(book, hook);
    CHECK(std::ranges::find(on, "kelp-lantern") != on.end());
    for (const DressingId& id : on)
        CHECK(book.findPattern(id)->hook == hook);
    const Edit edit = changeHookField(book, hook, "measured.gape_mm", "6.4").value();
    CHECK(mmOf(*edit.after.findHook(hook)->measured->gape) == Approx(6.4));
    Book back = edit.after;
    *std::ranges::find(back.hooks, hook, &HookSpec::id) = *book.findHook(hook);
    CHECK(back == book);
    CHECK(planPattern(edit.after, "kelp-lantern")->hook.gape() != planPattern(book, "kelp-lantern")->hook.gape());
}

TEST_CASE("a hook's field says what it wants, and a hook that contradicts itself is refused") {
    const Book book = demoBook();
    const auto hook = book.hooks.front().id;
    for (const auto& [key, text] : {std::pair("size", "eleventeen"),
                                    {"size", "1"},
                                    {"family", "crooked"},
                                    {"measured.gape_mm", "-3"},
                                    {"measured.gape_mm", "nan"},
                                    {"no_such_key", "1"}}) {
        CAPTURE(key, text);
        const auto refused = changeHookField(book, hook, key, text);
        REQUIRE_FALSE(refused);
        CHECK_FALSE(refused.error().front().line().empty());
    }
    CHECK_FALSE(changeHookField(book, "no-such-hook", "size", "10"));
}

TEST_CASE("what was measured is marked so, and what was typed is not") {
    const Book book = demoBook();
    const auto wire = std::ranges::find(book.materials, MaterialKind::wire, &Material::kind);
    REQUIRE(wire != book.materials.end());
    const auto with = [&](Source source) {
        return *changeMaterialField(book, wire->id, "diameter_mm", "0.13", source)->after.findMaterial(wire->id);
    };
    const Material typed = with(Source::typed), measured = with(Source::measured);
    CHECK(mmOf(*std::get<WireTraits>(typed.traits).diameter) == Approx(0.13));
    CHECK(typed.traits == measured.traits);
    CHECK(std::ranges::find(measured.measured, "diameter_mm") != measured.measured.end());
    CHECK(std::ranges::find(typed.measured, "diameter_mm") == typed.measured.end());
}

TEST_CASE("a new thing of every kind goes into the drawer with an id of its own, and comes out again while nothing is tied from it") {
    Book book = demoBook();
    std::set<std::string> ids;
    for (const Material& m : book.materials)
        ids.insert(m.id);
    for (const auto& kind : Names<MaterialKind>::entries) {
        CAPTURE(kind.name);
        const Edit added = addMaterial(book, kind.value).value();
        REQUIRE(added.after.materials.size() == book.materials.size() + 1);
        const Material& fresh = added.after.materials.back();
        CHECK(fresh.kind == kind.value);
        CHECK(ids.insert(fresh.id).second);
        CHECK(check(added.after).empty());
        CHECK(dressingsFrom(added.after, fresh.id).empty());
        CHECK(removeMaterial(added.after, fresh.id)->after == book);
    }
    const Edit hook = addHook(book, book.hooks.front()).value();
    CHECK(hook.after.hooks.back().id != book.hooks.front().id);
    CHECK(removeHook(hook.after, hook.after.hooks.back().id)->after == book);
}

TEST_CASE("what a dressing is tied on or from can't be taken out, and the refusal names the dressing") {
    const Book book = demoBook();
    const Pattern& fly = *book.findPattern("rush-piper");
    for (const auto& refused : {removeHook(book, fly.hook), removeMaterial(book, fly.thread)}) {
        REQUIRE_FALSE(refused);
        std::string all;
        for (const Fault& fault : refused.error())
            all += fault.line();
        CHECK(all.find(fly.title()) != std::string::npos);
    }
    for (const Part& part : fly.parts)
        if (part.material) {
            const auto from = dressingsFrom(book, *part.material);
            CHECK(std::ranges::find(from, fly.id) != from.end());
            CHECK_FALSE(removeMaterial(book, *part.material));
        }
}

TEST_CASE("another material changes the part's and the plan, and one that can't be tied there is a fault at its part") {
    const Book book = demoBook();
    const Pattern& fly = *book.findPattern("kelp-lantern");
    for (std::size_t i = 0; i < fly.parts.size(); ++i) {
        if (!fly.parts[i].material) continue;
        int taken = 0;
        for (const Material& material : book.materials) {
            const auto edit = changeMaterial(book, fly.id, i, material.id);
            REQUIRE(edit);
            CHECK(edit->after.findPattern(fly.id)->parts[i].material == material.id);
            // What can't be tied there is told by the plan, at the part and with what would do; the document takes no such edit.
            const auto planned = planPattern(edit->after, fly.id);
            if (planned)
                ++taken;
            else
                CHECK(planned.error().front().place.text().find("parts[" + std::to_string(i) + "]") != std::string::npos);
        }
        CAPTURE(i);
        CHECK(taken >= 1);  // its own at least
        CHECK_FALSE(changeMaterial(book, fly.id, i, "no-such-stuff"));
    }
    CHECK_FALSE(changeMaterial(book, fly.id, 99, fly.thread));
}

TEST_CASE("what a dressing says of itself is changed by its key, and nonsense is refused in its place") {
    const Book book = demoBook();
    CHECK(changePatternField(book, "rush-piper", "note", "for a flat calm")->after.findPattern("rush-piper")->note ==
          std::string("for a flat calm"));
    CHECK(changePatternField(book, "rush-piper", "role", "bob")->after.findPattern("rush-piper")->role == TeamRole::bob);
    for (const auto& [key, text] : {std::pair("role", "captain"),
                                    {"thread", "flank-bronze"},
                                    {"thread", "none-such"},
                                    {"varied_from", "rush-piper"},
                                    {"varied_from", "nobody"}}) {
        CAPTURE(key, text);
        CHECK_FALSE(changePatternField(book, "rush-piper", key, text));
    }
}

TEST_CASE("a dressing on another hook keeps everything but its hook") {
    const Book book = demoBook();
    for (const HookSpec& hook : book.hooks) {
        const auto edit = changeHook(book, "kelp-lantern", hook.id);
        REQUIRE(edit);
        Book back = edit->after;
        back.findPattern("kelp-lantern")->hook = book.findPattern("kelp-lantern")->hook;
        CHECK(back == book);
    }
    CHECK_FALSE(changeHook(book, "kelp-lantern", "no-such-hook"));
}
