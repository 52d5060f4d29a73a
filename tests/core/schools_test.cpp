#include <catch2/catch.hpp>

#include "book/fields.h"
#include "book/kinds.h"
#include "book/schools.h"
#include "sizing/plan.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

const HacklePlan& firstHackle(const Plan& plan) {
    for (const PartPlan& part : plan.parts)
        if (const auto* h = std::get_if<HacklePlan>(&part.detail)) return *h;
    throw std::runtime_error("no collar");
}

}  // namespace

TEST_CASE("a dressing holds to its own school, else to the tier's, else to the usual") {
    Book book = demoBook();
    const auto fibre = [&] { return mmOf(firstHackle(planPattern(book, "tern-shadow").value()).fibre); };
    const HacklePlan both = firstHackle(planPattern(book, "tern-shadow").value());
    CHECK(fibre() == mmOf(both.lineOfSight));
    book = changeSchool(book, std::nullopt, "fibre", "lay back")->after;
    CHECK(fibre() == mmOf(both.layBack));
    book = changeSchool(book, "tern-shadow", "fibre", "line of sight")->after;
    CHECK(fibre() == mmOf(both.lineOfSight));
    book = changeSchool(book, "tern-shadow", "fibre", "")->after;
    CHECK_FALSE(book.findPattern("tern-shadow")->schools);
    CHECK(fibre() == mmOf(both.layBack));
}

TEST_CASE("what a part says of itself comes before any school") {
    Book book = changeSchool(demoBook(), std::nullopt, "rib", "with")->after;
    const auto ribOf = [&](const char* fly) {
        const Plan plan = planPattern(book, fly).value();
        for (const PartPlan& part : plan.parts)
            if (const auto* rib = std::get_if<RibPlan>(&part.detail)) return rib->direction;
        throw std::runtime_error("no rib");
    };
    CHECK(ribOf("kelp-lantern") == Winding::counter);  // written on the part
    std::get<RibPart>(book.findPattern("kelp-lantern")->parts[1].detail).direction.reset();
    CHECK(ribOf("kelp-lantern") == Winding::with);
}

TEST_CASE("schools are kept in both homes and checked like everything else") {
    Book book = changeSchool(demoBook(), std::nullopt, "tie_in", "butt")->after;
    book = changeSchool(book, "rush-piper", "finish", "resin")->after;
    CHECK(store::readBench(store::writeBench(book)).value().book == book);
    CHECK_FALSE(changeSchool(book, std::nullopt, "fibre", "by ear"));
    CHECK_FALSE(changeSchool(book, "no-such", "fibre", "lay back"));
}

TEST_CASE("where the schools differ noticeably the words say both numbers") {
    const Plan plan = planPattern(demoBook(), "tern-shadow").value();
    for (const PartPlan& part : plan.parts)
        if (std::holds_alternative<HacklePlan>(part.detail)) CHECK(part.words.find("laid back)") != std::string::npos);
}

TEST_CASE("a dressing turned to a school holds to it, says so and can still be tied") {
    const Book book = demoBook();
    int turned = 0;
    for (const Pattern& fly : book.patterns)
        for (const Field& field : fieldsOf(SchoolChoices{}))
            for (const std::string& choice : field.choices) {
                CAPTURE(fly.id, field.key, choice);
                const auto edit = changeSchool(book, fly.id, field.key, choice);
                if (!edit) {
                    CHECK_FALSE(edit.error().front().remedy.empty());
                    continue;
                }
                CHECK(heldSchool(edit->after, fly.id, field.key) == choice);
                if (planPattern(edit->after, fly.id)) ++turned;
            }
    CHECK(turned > 200);
}

TEST_CASE("a tail to the body is as long as the body, a throat is a throat, a collar behind the wing is wound before it") {
    Book book = demoBook();
    const Plan before = planPattern(book, "heather-tinker").value();
    book = changeSchool(book, "heather-tinker", "tail", "body")->after;
    const Plan after = planPattern(book, "heather-tinker").value();
    for (const PartPlan& part : after.parts)
        if (const auto* tail = std::get_if<TailPlan>(&part.detail))
            CHECK(std::abs((tail->length - (after.bodyEnd - after.bodyFront)) / mm) < 1e-9);
    book = changeSchool(book, "heather-tinker", "collar_place", "before wing")->after;
    const Pattern& fly = *book.findPattern("heather-tinker");
    CHECK(*findKind(fly, PartKind::collar) + 1 == *findKind(fly, PartKind::wing));
    book = changeSchool(book, "heather-tinker", "hackle", "throat")->after;
    CHECK(findKind(*book.findPattern("heather-tinker"), PartKind::throat));
    book = changeSchool(book, "heather-tinker", "hook_barb", "barbless")->after;
    CHECK_FALSE(book.findHook(book.findPattern("heather-tinker")->hook)->barb.value_or(true));
}

TEST_CASE("what a tier holds to for all is how a new dressing arrives") {
    Book book = demoBook();
    for (const auto& [key, choice] :
         {std::pair{"tail", "body"}, std::pair{"wing_reach", "tail"}, std::pair{"reach", "past point"}, std::pair{"hook_barb", "barbless"}})
        book = changeSchool(book, std::nullopt, key, choice)->after;
    const auto made = startFromKind(book, FlyKind::wingedWet, "wet-10");
    REQUIRE(made);
    for (const auto& [key, choice] :
         {std::pair{"tail", "body"}, std::pair{"wing_reach", "tail"}, std::pair{"reach", "past point"}, std::pair{"hook_barb", "barbless"}})
        CHECK(heldSchool(made->edit.after, made->id, key) == choice);
    CHECK(planPattern(made->edit.after, made->id));
    // The body's end is read wherever a body is silent.
    const auto end = [&](const char* choice) {
        return mmOf(planPattern(changeSchool(book, std::nullopt, "body_end", choice)->after, "olive-ferryman").value().bodyEnd);
    };
    Book silent = book;
    for (Part& part : silent.findPattern("olive-ferryman")->parts)
        if (auto* body = std::get_if<BodyPart>(&part.detail)) body->end.reset();
    book = silent;
    CHECK(end("point") < end("barb"));
    CHECK(end("barb") < end("bend"));
}
