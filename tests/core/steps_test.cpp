// The steps of every dressing of the demo and the album, of every kind on every size: what must hold of all of them.
#include "bench/steps.h"

#include <catch2/catch.hpp>
#include <map>
#include <regex>
#include <set>

#include "book/kinds.h"
#include "book/schools.h"
#include "cutting/laying_out.h"
#include "sizing/crossing.h"
#include "tests/album.h"

using namespace machair;
using namespace machair::tests;

namespace {

std::vector<Plan> everyFly() {
    std::vector<Plan> plans;
    for (const Book& book : {demoBook(), albumBook()})
        for (const Pattern& pattern : book.patterns)
            plans.push_back(planPattern(book, pattern.id).value());
    const Book usual = [] {
        Book book = demoBook();
        return book;
    }();
    for (const auto& entry : Names<FlyKind>::entries)
        for (const int size : {6, 10, 16}) {
            const NewDressing made = startFromKind(usual, entry.value, "wet-10").value();
            plans.push_back(planOnSize(made.edit.after, made.id, size).value());
        }
    return plans;
}

bool isVerb(const TyingStep& step, int part, const std::set<std::string>& verbs) { return step.part == part && verbs.contains(step.verb); }

// The first step of a part with one of these verbs; the number of steps where there is none.
std::size_t at(const std::vector<TyingStep>& steps, int part, const std::set<std::string>& verbs) {
    for (std::size_t i = 0; i < steps.size(); ++i)
        if (isVerb(steps[i], part, verbs)) return i;
    return steps.size();
}

const TyingStep& the(const std::vector<TyingStep>& steps, int part, const std::string& verb) {
    const std::size_t i = at(steps, part, {verb});
    REQUIRE(i < steps.size());
    return steps[i];
}

}  // namespace

TEST_CASE("the thread never jumps, no step undoes another, and at the end everything is on the hook") {
    for (const Plan& plan : everyFly()) {
        CAPTURE(plan.pattern.title(), plan.hook.spec().size);
        const auto steps = stepsOf(plan);
        REQUIRE(steps.size() > 5);
        for (std::size_t i = 0; i < steps.size(); ++i) {
            CAPTURE(i, steps[i].verb, steps[i].object);
            CHECK_FALSE(steps[i].verb.empty());
            CHECK_FALSE(steps[i].object.empty());
            CHECK(steps[i].done.size() == plan.parts.size());
            CHECK(steps[i].threadAfter >= Length{});
            CHECK(steps[i].threadAfter <= plan.hook.shank() + 1.0 * mm);
            if (i == 0) continue;
            CHECK((steps[i].threadBefore == steps[i - 1].threadAfter || !steps[i - 1].threadOn));
            CHECK(steps[i].before <= steps[i - 1].before);  // what is made ready comes first
            for (std::size_t p = 0; p < plan.parts.size(); ++p)
                CHECK(steps[i].done[p] >= steps[i - 1].done[p]);
        }
        for (std::size_t p = 0; p < plan.parts.size(); ++p) {
            CAPTURE(nameOf(plan.parts[p].kind));
            CHECK(steps.back().done[p]);
        }
        CHECK(steps.back().head);
        CHECK(std::ranges::any_of(steps, [](const TyingStep& s) { return s.verb == "whip" || s.verb == "hitch" || s.verb == "wax"; }));
    }
}

TEST_CASE("what is wound was tied in or taken up, and what was tied in and wound is tied off") {
    int looked = 0;
    for (const Plan& plan : everyFly()) {
        const auto steps = stepsOf(plan);
        for (std::size_t p = 0; p < plan.parts.size(); ++p) {
            const int part = static_cast<int>(p);
            CAPTURE(plan.pattern.title(), nameOf(plan.parts[p].kind), p);
            const std::size_t wound = at(steps, part, {"wind"});
            const bool own =
                plan.parts[p].kind != PartKind::head && plan.parts[p].made.kind != MaterialKind::thread && plan.parts[p].material;
            if (wound == steps.size() || !own) continue;
            ++looked;
            CHECK(at(steps, part, {"tie in", "take up", "bend back", "spin", "twist"}) < wound);
            const std::size_t off = at(steps, part, {"tie off"});
            CHECK(off > wound);
            CHECK(off < steps.size());
        }
    }
    CHECK(looked > 150);
}

TEST_CASE("a bead is on the hook before the thread, wherever it stands in the list, and nothing is slid on later") {
    int beads = 0;
    for (const Plan& plan : everyFly()) {
        const auto steps = stepsOf(plan);
        const auto thread = static_cast<std::size_t>(std::ranges::find(steps, std::string("start"), &TyingStep::verb) - steps.begin());
        for (std::size_t i = 0; i < steps.size(); ++i)
            if (steps[i].verb == "slide on") {
                ++beads;
                CHECK(i < thread);
                CHECK(steps[i].before);
            }
        for (std::size_t p = 0; p < plan.parts.size(); ++p)
            if (plan.parts[p].kind == PartKind::bead) CHECK(at(steps, static_cast<int>(p), {"slide on"}) < thread);
    }
    CHECK(beads > 3);
}

TEST_CASE("a number is never nothing, a unit agrees with it, and no colour code is ever shown") {
    const std::regex code("#[0-9a-fA-F]{6}");
    for (const Plan& plan : everyFly())
        for (const TyingStep& step : stepsOf(plan)) {
            CAPTURE(plan.pattern.title(), step.verb, step.object, step.number, step.unit, step.how);
            CHECK(step.number != "0");
            CHECK(step.number != "0.0");
            CHECK(step.number.empty() == step.unit.empty());
            for (const char* plural : {"turns", "fibres", "strands", "layers", "hairs", "feathers"})
                CHECK_FALSE((step.number == "1" && step.unit == plural));
            for (const std::string& words : {step.object, step.how, step.face, step.look, step.direction}) {
                CHECK_FALSE(std::regex_search(words, code));
                CHECK_FALSE(std::regex_search(words, std::regex("(^|[^0-9.])1 fibres")));
                CHECK(words.find("of 0.0 mm") == std::string::npos);
                CHECK(words.find("-1") == std::string::npos);
            }
        }
}

TEST_CASE("counter is never said by its lower half, and low over the body only of a wing without an angle") {
    int counters = 0, angled = 0;
    for (const Plan& plan : everyFly())
        for (const TyingStep& step : stepsOf(plan)) {
            CHECK(step.direction.find("under and towards") == std::string::npos);
            counters += step.direction.find("towards you") != std::string::npos;
            if (step.part < 0) continue;
            const auto* wing = std::get_if<WingPart>(&plan.pattern.parts[static_cast<std::size_t>(step.part)].detail);
            if (!wing || !wing->angle) continue;
            ++angled;
            CHECK(step.look.find("low over the body") == std::string::npos);
        }
    CHECK(counters > 0);
    CHECK(angled > 0);
}

TEST_CASE("a rib is tied in before its body and wound through the palmer after it, in the sense that crosses the stem") {
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    const auto steps = stepsOf(plan);
    CHECK(at(steps, 1, {"tie in"}) < at(steps, 2, {"dub"}));
    CHECK(at(steps, 2, {"dub"}) < at(steps, 3, {"wind"}));
    CHECK(at(steps, 3, {"wind"}) < at(steps, 1, {"wind"}));
    CHECK(at(steps, 1, {"tie off"}) < at(steps, 4, {"tie in"}));
    const TyingStep& rib = the(steps, 1, "wind");
    CHECK(rib.direction == "over the top and away from you");  // the palmer went rearward with the thread
    REQUIRE_FALSE(rib.locks.empty());
    CHECK(rib.locks[0].find("every turn of its stem") != std::string::npos);
}

TEST_CASE("a palmer wound forward is tied in under the body") {
    Book book = demoBook();
    std::get<PalmerPart>(book.findPattern("kelp-lantern")->parts[3].detail).wound = PalmerWound::forward;
    const auto steps = stepsOf(planPattern(book, "kelp-lantern").value());
    CHECK(at(steps, 3, {"tie in"}) < at(steps, 2, {"dub"}));
    CHECK(at(steps, 3, {"wind"}) > at(steps, 2, {"dub"}));
    CHECK(the(steps, 3, "tie in").how.find("by the tip") != std::string::npos);
    CHECK(the(steps, 1, "wind").direction == "over the top and towards you");
}

TEST_CASE("a two-faced tinsel lies with the face that will show against the hook, by its word") {
    const Plan plan = planPattern(albumBook(),
                                  [] {
                                      for (const Pattern& pattern : albumBook().patterns)
                                          for (const Part& part : pattern.parts)
                                              if (part.kind == PartKind::rib && part.material == "tinsel-two-face") return pattern.id;
                                      throw std::runtime_error("no two-faced rib in the album");
                                  }())
                          .value();
    int said = 0;
    for (const TyingStep& step : stepsOf(plan)) {
        if (step.face.empty() || step.part < 0 || plan.parts[static_cast<std::size_t>(step.part)].kind != PartKind::rib) continue;
        ++said;
        if (step.verb == "tie in")
            CHECK((step.face == "the copper face against the hook" || step.face == "the lilac face against the hook"));
        if (step.verb == "wind") CHECK((step.face == "the copper face out" || step.face == "the lilac face out"));
    }
    CHECK(said == 2);
}

TEST_CASE("a part that goes on from another is taken up, never tied in") {
    int continued = 0;
    for (const Plan& plan : everyFly()) {
        const auto steps = stepsOf(plan);
        for (std::size_t p = 0; p < plan.parts.size(); ++p) {
            if (!plan.pattern.parts[p].from) continue;
            ++continued;
            CAPTURE(plan.pattern.title(), p);
            CHECK(at(steps, static_cast<int>(p), {"tie in"}) == steps.size());
            CHECK(at(steps, static_cast<int>(p), {"take up", "bend back"}) < steps.size());
        }
    }
    CHECK(continued > 2);
}

TEST_CASE("a left hand changes which slip is nearest and nothing that is over, under, near or far") {
    int changed = 0;
    for (const Plan& plan : everyFly()) {
        const auto right = stepsOf(plan, Hand::right), left = stepsOf(plan, Hand::left);
        REQUIRE(right.size() == left.size());
        for (std::size_t i = 0; i < right.size(); ++i) {
            CHECK(right[i].direction == left[i].direction);
            CHECK(right[i].side == left[i].side);
            changed += right[i].how != left[i].how;
        }
    }
    CHECK(changed > 0);
}

TEST_CASE("the notes of parts stand on their steps, and pairs are said as pairs") {
    Book book = demoBook();
    Pattern& pattern = *book.findPattern("kelp-lantern");
    pattern.parts[4].note = "the softest of the cape";
    std::get<CollarPart>(pattern.parts[4].detail).turns = Count{2.0, 3.0, true};
    const auto steps = stepsOf(planPattern(book, "kelp-lantern").value());
    CHECK(the(steps, 4, "wind").number == "2 to 3");
    CHECK(the(steps, 4, "wind").note == "the softest of the cape");
}

TEST_CASE("coats of varnish dry, resin and glue have steps without a drying time, wax comes before the knot") {
    Book book = demoBook();
    const auto coats = [&](const char* finish) {
        book = changeSchool(book, "kelp-lantern", "finish", finish)->after;
        return stepsOf(planPattern(book, "kelp-lantern").value());
    };
    const auto of = [](const std::vector<TyingStep>& steps, const char* verb) {
        return static_cast<std::size_t>(std::ranges::find(steps, std::string(verb), &TyingStep::verb) - steps.begin());
    };
    const auto varnished = coats("varnish");
    CHECK(varnished[of(varnished, "coat")].dryMinutes);
    CHECK(varnished[of(varnished, "coat")].caution == Caution::solvents);
    const auto cured = coats("resin");
    CHECK_FALSE(cured[of(cured, "cure")].dryMinutes);
    CHECK(cured[of(cured, "cure")].caution == Caution::resin);
    CHECK(of(cured, "coat") == cured.size());
    for (const auto& entry : Names<Caution>::entries)
        CHECK_FALSE(sayCaution(entry.value).empty());
}

TEST_CASE("windings of opposite hands lock, of one hand lie along, as the catalogue's table has it") {
    const Angle rib = atan2(1.2 * mm, kPi * 1.8 * mm);
    const auto crossed = [&](int upper, double upperTurns, int lower, double lowerTurns) {
        return cross({upper, upperTurns, atan2(6.0 / upperTurns * mm, kPi * 1.8 * mm)},
                     {lower, lowerTurns, atan2(6.0 / lowerTurns * mm, kPi * 1.8 * mm)});
    };
    const Crossing locked = cross({+1, 5.0, rib}, {-1, 5.0, rib});
    CHECK(locked.crossings == 10.0);
    CHECK(locked.hold == Hold::locks);
    CHECK(locked.angle.inDegrees() == Approx(24.0).margin(0.3));
    CHECK(crossed(-1, 5, -1, 5).hold == Hold::liesAlong);
    CHECK(crossed(-1, 5, -1, 5).crossings == 0.0);
    CHECK(crossed(+1, 5, +1, 8).crossings == 3.0);
    CHECK(crossed(+1, 5, +1, 8).perTurn == Approx(0.375));
    CHECK(crossed(+1, 5, +1, 8).hold == Hold::liesAlong);
    CHECK(crossed(-1, 5, +1, 8).crossings == 13.0);
    CHECK(crossed(-1, 5, +1, 8).hold == Hold::locks);
    CHECK(crossed(+1, 5, +1, 20).crossings == 15.0);
    CHECK(crossed(+1, 5, +1, 20).perTurn == Approx(0.75));
    CHECK(crossed(+1, 5, +1, 20).hold == Hold::partly);
}

TEST_CASE("a tail of flash is strands drawn back and cut, never squared like a feather's fibres") {
    Book book = bench();
    book.materials.push_back(material("flash", MaterialKind::tinsel, traitsFor(MaterialKind::tinsel)));
    book.patterns = {dressing({part(PartKind::tail, TailPart{}, "flash"), part(PartKind::body, BodyPart{}, "seal")})};
    const Plan plan = planPattern(book, "fly").value();
    const auto& tail = std::get<TailPlan>(plan.parts[0].detail);
    CHECK(tail.style == TailStyle::floss);
    CHECK(tail.fibres == 4.0);
    const auto steps = stepsOf(plan);
    CHECK(at(steps, 0, {"square"}) == steps.size());
    REQUIRE(at(steps, 0, {"tie in"}) < steps.size());
    CHECK(steps[at(steps, 0, {"tie in"})].how.find("drawn back") != std::string::npos);
    const auto laid = layOut(plan, 1);
    CHECK(
        std::ranges::any_of(laid, [](const LaidOut& one) { return one.part == 0 && one.each.find("4 strands of") != std::string::npos; }));
}
