// The shank budget, what differs between plans, and the parts' figures as the ticket shows them.
#include "sizing/budget.h"

#include <catch2/catch.hpp>

#include "book/kinds.h"
#include "sizing/compare.h"
#include "sizing/figures.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

Plan withTurns(double turns) {
    CollarPart collar;
    collar.turns = exactly(turns);
    return planOf({part(PartKind::body, BodyPart{}, "seal"), part(PartKind::collar, collar, "hen"), part(PartKind::head, HeadPart{})})
        .value();
}

double widthOf(const std::vector<BudgetSpan>& spans, SpanKind kind) {
    double width = 0.0;
    for (const BudgetSpan& span : spans)
        if (span.kind == kind) width += mmOf(span.to - span.from);
    return width;
}

}  // namespace

TEST_CASE("the hackle's share of the shank is its turns times its stem, with the 15 % they spread") {
    for (const double turns : {1.0, 2.0, 3.5}) {
        const auto spans = shankBudget(withTurns(turns));
        CHECK_THAT(widthOf(spans, SpanKind::hackle), WithinAbs(1.15 * turns * 0.30, 1e-9));
    }
}

TEST_CASE("head, hackle and what is to spare together are what is there ahead of the body") {
    const Plan plan = withTurns(2.0);
    const auto spans = shankBudget(plan);
    CHECK_THAT(widthOf(spans, SpanKind::head) + widthOf(spans, SpanKind::hackle) + widthOf(spans, SpanKind::spare),
               WithinAbs(mmOf(plan.foremostBody), 1e-9));
    CHECK_THAT(widthOf(spans, SpanKind::spare), WithinAbs(mmOf(plan.head.margin()), 1e-9));
}

TEST_CASE("a contested span is as long as the head is short of room") {
    BodyPart far;
    far.front = StationSpec{Landmark::eye, {}, machair::inMm(1.0 * mm), {}};
    CollarPart collar;
    collar.turns = exactly(3);
    const Plan plan =
        planOf({part(PartKind::body, far, "seal"), part(PartKind::collar, collar, "hen"), part(PartKind::head, HeadPart{})}).value();
    CHECK_THAT(widthOf(shankBudget(plan), SpanKind::contested), WithinAbs(-mmOf(plan.head.margin()), 1e-9));
    CHECK(sayMargin(plan).starts_with("crowded by"));
}

TEST_CASE("differences are listed by size, and a part that only one has is one of them") {
    const Plan two = withTurns(2.0);
    const Plan four = withTurns(4.0);
    const auto list = differences(two, four);
    REQUIRE_FALSE(list.empty());
    for (std::size_t i = 1; i < list.size(); ++i)
        CHECK(list[i - 1].weight >= list[i].weight);
    CHECK(std::ranges::any_of(list, [](const Difference& d) { return d.words() == "collar turns 2 → 4"; }));
    const Plan bare = planOf({part(PartKind::body, BodyPart{}, "seal"), part(PartKind::head, HeadPart{})}).value();
    const auto gone = differences(two, bare);
    CHECK(std::ranges::any_of(gone, [](const Difference& d) { return d.words() == "collar gone"; }));
    CHECK(std::ranges::any_of(differences(bare, two), [](const Difference& d) { return d.words() == "collar added"; }));
    CHECK(differences(two, two).empty());
}

TEST_CASE("comparing is the same both ways, but for which comes first") {
    const auto there = differences(withTurns(2.0), withTurns(3.0));
    const auto back = differences(withTurns(3.0), withTurns(2.0));
    REQUIRE(there.size() == back.size());
    for (std::size_t i = 0; i < there.size(); ++i) {
        const auto same =
            std::ranges::find_if(back, [&](const Difference& d) { return d.subject == there[i].subject && d.what == there[i].what; });
        REQUIRE(same != back.end());
        CHECK(same->before == there[i].after);
        CHECK_THAT(same->weight, WithinAbs(there[i].weight, 1e-12));
    }
}

TEST_CASE("figures are rounded for people: tenths over a millimetre, hundredths under, whole fibres") {
    CHECK(displayOf({"length_mm", 11.6499, 0.0, {}}) == "11.6 mm");
    CHECK(displayOf({"gap_mm", 0.4783, 0.0, {}}) == "0.48 mm");
    CHECK(displayOf({"fibres", 73.66, 0.0, {}}) == "74");
    CHECK(displayOf({"turns", 2.5, 0.0, {}}) == "2.5");
    CHECK(displayOf({"lift_deg", 19.16, 0.0, {}}) == "19°");
    CHECK(displayOf({"fullness_class", std::string("bushy"), 0.0, {}}) == "bushy");
}

TEST_CASE("what a field comes to when it is empty is the plan's own number") {
    const Plan plan = withTurns(2.0);
    CHECK(plannedValue(plan, 1, "length") == displayOf({"fibre_mm", mmOf(std::get<HacklePlan>(plan.parts[1].detail).fibre), 0.0, {}}));
    CHECK(plannedValue(plan, 1, "turns") == "2");
    CHECK(plannedValue(plan, 0, "front_diameter") == "2.2 mm");  // 0.40 of a gape of 5.5
    CHECK(plannedValue(plan, 0, "no such field").empty());
}

TEST_CASE("each key outside ends in its unit") {
    CHECK(unitOf("stem_mm") == "mm");
    CHECK(unitOf("volume_mm3") == "mm³");
    CHECK(unitOf("mass_mg") == "mg");
    CHECK(unitOf("angle_deg") == "°");
    CHECK(unitOf("turns").empty());
}

TEST_CASE("of two dressings the materials are named first, then the manner, then the numbers") {
    Book book = demoBook();
    const Plan before = planPattern(book, "kelp-lantern").value();
    Pattern& other = *book.findPattern("kelp-lantern");
    for (const Material& material : book.materials)
        if (material.kind == MaterialKind::wire) other.parts[1].material = material.id;
    for (const Material& material : book.materials)
        if (material.kind == MaterialKind::thread && material.id != before.pattern.thread) other.thread = material.id;
    std::get<RibPart>(other.parts[1].detail).direction = Winding::with;
    std::get<CollarPart>(other.parts[4].detail).turns = exactly(1.5);
    const Plan after = planPattern(book, "kelp-lantern").value();
    const auto list = differences(before, after);
    REQUIRE(list.size() > 4);
    CHECK(list[0].subject == "thread");
    CHECK(list[1].words() == "rib " + before.parts[1].made.title() + " → " + after.parts[1].made.title());
    CHECK(list[2].subject == "rib");
    CHECK(list[2].after == "with");
    CHECK(std::ranges::any_of(list, [](const Difference& d) { return d.subject == "collar" && d.what == "turns"; }));
}

TEST_CASE("the budget says crowded only of a head that the notes call so, never by nothing") {
    int looked = 0;
    for (const auto& entry : Names<FlyKind>::entries)
        for (int size = 6; size <= 16; ++size) {
            const NewDressing made = startFromKind(demoBook(), entry.value, "wet-10").value();
            const auto plan = planOnSize(made.edit.after, made.id, size);
            if (!plan) continue;
            ++looked;
            CAPTURE(entry.name, size, sayMargin(*plan));
            const bool said = std::ranges::any_of(plan->warnings, [](const Warning& w) { return w.concern == Concern::crowdedHead; });
            if (headIsShort(*plan)) CHECK(said);
            CHECK(sayMargin(*plan).starts_with("crowded by") == headIsShort(*plan));
            CHECK(sayMargin(*plan).find("0.00 mm") == std::string::npos);
        }
    CHECK(looked > 100);
}
