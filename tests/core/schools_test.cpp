#include <catch2/catch.hpp>
#include <map>
#include <set>

#include "bench/steps.h"
#include "book/fields.h"
#include "book/kinds.h"
#include "book/schools.h"
#include "scene/scene.h"
#include "sizing/figures.h"
#include "sizing/plan.h"
#include "tests/album.h"

using namespace machair;
using namespace machair::tests;

namespace {

const HacklePlan& firstHackle(const Plan& plan) {
    for (const PartPlan& part : plan.parts)
        if (const auto* h = std::get_if<HacklePlan>(&part.detail)) return *h;
    throw std::runtime_error("no collar");
}

std::string saidOf(const std::vector<TyingStep>& steps) {
    std::string all;
    for (const TyingStep& s : steps) {
        all += s.verb + s.object + s.number + s.how + s.side + s.direction + s.face;
        for (const std::string& lock : s.locks)
            all += lock;
        all += std::to_string(s.threadAfter / mm);
    }
    return all;
}

std::vector<double> numbersOf(const Plan& plan) {
    std::vector<double> numbers;
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        for (const Figure& figure : figuresOf(plan, i)) {
            if (const auto* number = std::get_if<double>(&figure.value)) numbers.push_back(*number);
        }
    numbers.push_back(plan.threadUsed / mm);
    numbers.push_back(plan.head.needed / mm);
    for (const ProfileRow& row : plan.profile())
        numbers.push_back(row.diameter / mm);
    return numbers;
}

bool looksLike(const Scene& a, const Scene& b) {
    return a.bodies == b.bodies && a.ribs == b.ribs && a.hackles == b.hackles && a.tails == b.tails && a.wings == b.wings;
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

TEST_CASE("every question of the catalogue has its facts, its usual is one of its choices, and each key is asked once") {
    std::set<int> numbers;
    for (const Field& field : fieldsOf(SchoolChoices{})) {
        CAPTURE(field.key);
        const SchoolFacts* facts = factsOfSchool(field.key);
        REQUIRE(facts);
        numbers.insert(facts->number);
        CHECK(std::ranges::find(field.choices, facts->usual) != field.choices.end());
        CHECK_FALSE(facts->reason.empty());
        CHECK_FALSE(facts->changes.empty());
    }
    CHECK(schoolTable().size() == fieldsOf(SchoolChoices{}).size());
    CHECK(numbers.size() == 51);  // catalogue.md section 6
}

TEST_CASE("a dressing turned to a school holds to it, says so, can still be planned and tied, and comes back by an undo") {
    int turned = 0;
    std::set<std::string> followed;
    std::map<std::pair<std::string, std::string>, int> flies;  // by question and choice
    constexpr int kEnough = 8;
    Book shipped = demoBook();
    for (const auto& entry : Names<FlyKind>::entries)
        shipped = startFromKind(shipped, entry.value, "wet-10").value().edit.after;
    for (const Book& book : {shipped, albumBook()})
        for (const Pattern& fly : book.patterns) {
            if (!planPattern(book, fly.id)) continue;
            for (const Field& field : fieldsOf(SchoolChoices{}))
                for (const std::string& choice : field.choices) {
                    CAPTURE(fly.id, field.key, choice);
                    if (flies[{field.key, choice}] == kEnough) continue;
                    const auto edit = changeSchool(book, fly.id, field.key, choice);
                    if (!edit) {
                        CHECK_FALSE(edit.error().front().remedy.empty());
                        continue;
                    }
                    CHECK(heldSchool(edit->after, fly.id, field.key) == choice);
                    const auto plan = planPattern(edit->after, fly.id);
                    if (!plan) {
                        UNSCOPED_INFO(plan.error().front().what);
                        // Only what needs something that this fly lacks may be impossible, and it says what.
                        CHECK_FALSE(plan.error().front().what.empty());
                        continue;
                    }
                    ++turned;
                    ++flies[{field.key, choice}];
                    followed.insert(field.key);
                    const auto steps = stepsOf(*plan);
                    CHECK(steps.back().head);
                    for (std::size_t p = 0; p < plan->parts.size(); ++p)
                        CHECK(steps.back().done[p]);
                    for (std::size_t i = 1; i < steps.size(); ++i)
                        CHECK((steps[i].threadBefore == steps[i - 1].threadAfter || !steps[i - 1].threadOn));
                }
        }
    CHECK(turned > 900);
    for (const SchoolFacts& facts : schoolTable()) {
        CAPTURE(facts.key);
        CHECK(followed.contains(std::string(facts.key)));  // no question that no fly can answer
    }
}

TEST_CASE("each school changes what its facts say it changes, on some fly of demo and album") {
    std::map<std::string, std::set<std::string>> changed;
    const std::vector<Field> fields = fieldsOf(SchoolChoices{});
    const auto showsAll = [&](const std::string& key) {
        return std::ranges::all_of(std::array{"steps", "picture", "numbers"}, [&](const std::string& what) {
            return factsOfSchool(key)->changes.find(what) == std::string_view::npos || changed[key].contains(what);
        });
    };
    for (const Book& book : {demoBook(), albumBook()})
        for (const Pattern& fly : book.patterns) {
            const auto before = planPattern(book, fly.id);
            if (!before) continue;
            const auto stepsBefore = stepsOf(*before);
            const Scene sceneBefore = makeScene(*before);
            for (const Field& field : fields)
                for (const std::string& choice : field.choices) {
                    if (showsAll(field.key)) break;
                    const auto edit = changeSchool(book, fly.id, field.key, choice);
                    const auto after = edit ? planPattern(edit->after, fly.id) : Result<Plan>(tl::unexpected(Faults{}));
                    if (!after) continue;
                    auto& seen = changed[field.key];
                    if (saidOf(stepsOf(*after)) != saidOf(stepsBefore)) seen.insert("steps");
                    if (!seen.contains("picture") && !looksLike(makeScene(*after), sceneBefore)) seen.insert("picture");
                    if (numbersOf(*after) != numbersOf(*before)) seen.insert("numbers");
                }
        }
    for (const SchoolFacts& facts : schoolTable())
        for (const std::string what : {"steps", "picture", "numbers"})
            if (facts.changes.find(what) != std::string_view::npos) {
                CAPTURE(facts.key, what);
                CHECK(changed[std::string(facts.key)].contains(what));
            }
}

TEST_CASE("worked: what single schools do to numbers, steps and judgement") {
    const Book book = demoBook();
    const auto planWith = [&](const char* fly, const char* key, const char* choice) {
        return planPattern(changeSchool(book, fly, key, choice).value().after, fly).value();
    };
    const Plan usual = planPattern(book, "heather-tinker").value();
    SECTION("a side of the hackle stripped: half the fibres from the same stem") {
        const HacklePlan before = firstHackle(planPattern(book, "rush-piper").value());
        const HacklePlan after = firstHackle(planWith("rush-piper", "fibres_ready", "one side"));
        REQUIRE(before.turns == after.turns);
        CHECK(after.fibres == Approx(0.5 * before.fibres));
    }
    SECTION("one coat, a whip of four, hitches only") {
        CHECK(headOf(planWith("heather-tinker", "coats", "one")).coats == 1);
        CHECK(headOf(planWith("heather-tinker", "whip", "four")).whipTurns == 4.0);
        const Plan hitched = planWith("heather-tinker", "finish", "hitches");
        CHECK(headOf(hitched).knot == Knot::halfHitch);
        CHECK(headOf(hitched).coats == 0);
    }
    SECTION("to show, a tolerance is half of that to fish") {
        const auto tolerance = [](const Plan& plan) {
            for (std::size_t i = 0; i < plan.parts.size(); ++i)
                for (const Figure& figure : figuresOf(plan, i))
                    if (figure.key == "length_mm" && figure.tolerance > 0.0) return figure.tolerance;
            throw std::runtime_error("no tolerance");
        };
        CHECK(tolerance(planWith("heather-tinker", "standard", "to show")) == Approx(0.5 * tolerance(usual)));
    }
    SECTION("what is one dressing's to say can't be chosen for all") {
        const auto refused = changeSchool(book, std::nullopt, "metal", "gold");
        REQUIRE_FALSE(refused);
        CHECK(refused.error().front().remedy == "choose it for the dressing");
    }
    SECTION("held to the letter, a change of material says what the recipe has") {
        const Book held = changeSchool(book, "heather-tinker", "faithful", "to the letter").value().after;
        const auto words = [&](const Book& b) { return changeMaterial(b, "heather-tinker", 0, "tippet-orange").value().words; };
        CHECK(words(held).find("held to the letter") != std::string::npos);
        CHECK(words(book).find("held to the letter") == std::string::npos);
    }
    SECTION("a collar before and behind the wing is two collars; turned back they are both before it") {
        Book both = changeSchool(book, "heather-tinker", "collar_place", "both").value().after;
        const auto collars = [](const Pattern& p) { return std::ranges::count(p.parts, PartKind::collar, &Part::kind); };
        CHECK(collars(*both.findPattern("heather-tinker")) == collars(*book.findPattern("heather-tinker")) + 1);
        CHECK(heldSchool(both, "heather-tinker", "collar_place") == "both");
    }
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
