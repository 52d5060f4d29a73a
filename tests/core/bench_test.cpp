#include <catch2/catch.hpp>

#include "bench/judgement.h"
#include "bench/steps.h"
#include "book/kinds.h"
#include "book/schools.h"
#include "cutting/gauges.h"
#include "cutting/laying_out.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

std::vector<Plan> everyDressing() {
    const Book demo = demoBook();
    std::vector<Plan> plans;
    for (const Pattern& pattern : demo.patterns)
        plans.push_back(planPattern(demo, pattern.id).value());
    for (const auto& entry : Names<FlyKind>::entries) {
        const NewRecord made = startFromKind(demo, entry.value, "wet-10").value();
        plans.push_back(planPattern(made.edit.after, made.id).value());
    }
    return plans;
}

std::size_t stepNumber(const std::vector<TyingStep>& steps, const std::string& verb, int part) {
    return static_cast<std::size_t>(std::ranges::find_if(steps, [&](const TyingStep& s) { return s.verb == verb && s.part == part; }) -
                                    steps.begin());
}

}  // namespace

TEST_CASE("every part that is tied in is finished, in no step is one undone, and the thread never jumps") {
    for (const Plan& plan : everyDressing()) {
        CAPTURE(plan.pattern.title());
        const auto steps = stepsOf(plan);
        REQUIRE_FALSE(steps.empty());
        for (std::size_t i = 0; i < steps.size(); ++i) {
            CHECK_FALSE(steps[i].verb.empty());
            CHECK(steps[i].done.size() == plan.parts.size());
            if (i == 0) continue;
            CHECK(steps[i].threadBefore == steps[i - 1].threadAfter);
            for (std::size_t p = 0; p < plan.parts.size(); ++p)
                CHECK(steps[i].done[p] >= steps[i - 1].done[p]);
        }
        for (std::size_t p = 0; p < plan.parts.size(); ++p) {
            CAPTURE(nameOf(plan.parts[p].kind));
            CHECK(steps.back().done[p]);
        }
        CHECK(steps.back().head);
        for (const TyingStep& step : steps) {
            CHECK(step.threadAfter >= Length{});
            CHECK(step.threadAfter <= plan.hook.shank() + 1.0 * mm);
        }
    }
}

TEST_CASE("a rib is tied in before the body and wound through the palmer after it") {
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    const auto steps = stepsOf(plan);
    CHECK(stepNumber(steps, "tie in", 1) < stepNumber(steps, "dub", 2));
    CHECK(stepNumber(steps, "dub", 2) < stepNumber(steps, "wind", 3));
    CHECK(stepNumber(steps, "wind", 3) < stepNumber(steps, "wind", 1));
    CHECK(stepNumber(steps, "wind", 1) < stepNumber(steps, "tie in", 4));
    CHECK(steps[stepNumber(steps, "wind", 1)].locks.find("hackle stem") != std::string::npos);
    CHECK(steps[stepNumber(steps, "wind", 1)].winding.starts_with("against the body"));
}

TEST_CASE("without a palmer the rib follows its body at once, and a bead comes first") {
    const Plan plan = planPattern(demoBook(), "brass-buoy").value();
    const auto steps = stepsOf(plan);
    CHECK(steps[0].verb == "slide on");
    CHECK_FALSE(steps[0].bed);
    const auto body =
        static_cast<std::size_t>(std::ranges::find_if(steps, [&](const TyingStep& s) { return s.part == 2; }) - steps.begin());
    CHECK(steps[body + 1].part == 1);
    CHECK(std::ranges::any_of(steps, [](const TyingStep& s) { return s.object.find("behind the bead") != std::string::npos; }));
}

TEST_CASE("coats of varnish dry, and resin is cured with its caution") {
    Book book = demoBook();
    const auto last = [&] { return stepsOf(planPattern(book, "kelp-lantern").value()).back(); };
    CHECK(last().dryMinutes);
    CHECK(last().caution == Caution::solvents);
    book = changeSchool(book, "kelp-lantern", "finish", "resin")->after;
    CHECK_FALSE(last().dryMinutes);
    CHECK(last().caution == Caution::resin);
    for (const Caution c :
         {Caution::points, Caution::glue, Caution::resin, Caution::solvents, Caution::lead, Caution::dust, Caution::birds})
        CHECK_FALSE(sayCaution(c).empty());
}

TEST_CASE("the demo's dressings stand in a good order: one that traps a later part says which order works") {
    const Book book = demoBook();
    for (const Pattern& pattern : book.patterns) {
        CAPTURE(pattern.title());
        CHECK(orderFaults(pattern).empty());
    }
    Pattern winged = *book.findPattern("heather-tinker");
    std::rotate(winged.parts.begin(), winged.parts.begin() + 4, winged.parts.begin() + 5);  // the wing first
    const auto faults = orderFaults(winged);
    REQUIRE(faults.size() >= 2);
    CHECK(std::ranges::any_of(
        faults, [](const OrderFault& f) { return f.words.find("in the way of tying and trimming the tail") != std::string::npos; }));
    for (const OrderFault& fault : faults)
        CHECK(fault.before < fault.part);
    Pattern late = *book.findPattern("kelp-lantern");
    std::swap(late.parts[1], late.parts[2]);
    CHECK(orderFaults(late).front().words.find("rib is forgotten") != std::string::npos);
}

TEST_CASE("a brittle body with its rib wound the same way warns, against it is praised") {
    const auto lasting = [](Winding rib) {
        RibPart written;
        written.direction = rib;
        BodyPart body;
        body.method = BodyMethod::herl;
        Book book = bench();
        book.materials.push_back(material("herl", MaterialKind::herl, StrandTraits{}));
        book.patterns = {
            dressing({part(PartKind::rib, written, "wire"), part(PartKind::body, body, "herl"), part(PartKind::head, HeadPart{})})};
        return durabilityOf(planPattern(book, "fly").value());
    };
    REQUIRE(lasting(Winding::with).weak.size() == 1);
    CHECK(lasting(Winding::with).weak[0].words.find("wound the same way") != std::string::npos);
    CHECK(lasting(Winding::counter).weak.empty());
}

TEST_CASE("there is something to do when a step goes wrong, for every kind of part") {
    for (const auto& entry : Names<PartKind>::entries) {
        CAPTURE(entry.name);
        CHECK_FALSE(reworkOf(entry.value).empty());
    }
}

TEST_CASE("what is laid out names every part that needs something, and a batch's totals are so many times one") {
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    const auto one = layOut(plan, 1), dozen = layOut(plan, 12);
    REQUIRE(one.size() == dozen.size());
    CHECK(one[0].part == plan.parts.size());  // the thread
    for (const std::size_t part : {0u, 1u, 2u, 3u, 4u})
        CHECK(std::ranges::any_of(one, [&](const LaidOut& l) { return l.part == part; }));
    const auto& rib = *std::ranges::find(dozen, 1u, &LaidOut::part);
    CHECK(rib.all.starts_with("12 of " + rib.each));
}

TEST_CASE("gauges are the lengths of the plan with their tolerance") {
    const Plan plan = planPattern(demoBook(), "ferry-bell").value();
    const auto gauges = gaugesOf(plan);
    REQUIRE(gauges.size() >= 4);
    CHECK(gauges[0].label == "tail");
    CHECK(gauges[0].length == std::get<TailPlan>(plan.parts[1].detail).length);
    CHECK(std::ranges::any_of(gauges, [](const Gauge& g) { return g.kind == GaugeKind::slip; }));
}
