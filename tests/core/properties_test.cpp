// What must hold of any plan: scale, monotony, limits.
#include <catch2/catch.hpp>
#include <cmath>
#include <random>

#include "sizing/figures.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

namespace {

constexpr unsigned kPropertiesSeed = 20261125;

// A fly whose every size is a share of its hook.
std::vector<Part> proportionalParts() {
    TailPart tail;
    tail.fibres = exactly(12);
    RibPart rib;
    rib.turns = exactly(5);
    BodyPart body;
    body.rearDiameter = ratioOf(0.26, Yardstick::gape);
    body.frontDiameter = ratioOf(0.40, Yardstick::gape);
    CollarPart collar;
    collar.turns = exactly(2.5);
    return {part(PartKind::tail, tail, "tippet"),      part(PartKind::rib, rib, "wire"),      part(PartKind::body, body, "seal"),
            part(PartKind::wing, WingPart{}, "flank"), part(PartKind::collar, collar, "hen"), part(PartKind::head, HeadPart{})};
}

// The hook, the thread and every strand k times as large.
Book scaledBench(double k) {
    Book book = bench();
    HookMeasures measures;
    measures.shank = k * 11.7 * mm;
    measures.gape = k * 5.5 * mm;
    measures.wire = k * 0.60 * mm;
    book.hooks[0].measured = measures;
    for (Material& m : book.materials) {
        if (auto* thread = std::get_if<ThreadTraits>(&m.traits)) thread->denier = 72.0 * k * k;
        if (auto* wire = std::get_if<WireTraits>(&m.traits)) wire->diameter = k * 0.20 * mm;
        if (auto* hackle = std::get_if<HackleTraits>(&m.traits)) hackle->stem = k * 0.30 * mm;
        if (auto* tippet = std::get_if<TippetTraits>(&m.traits)) tippet->fibre = k * 0.06 * mm;
        if (auto* vane = std::get_if<VaneTraits>(&m.traits)) {
            vane->barb = k * 0.07 * mm;
            vane->density = 2.4 / k * perMm;
        }
    }
    book.patterns = {dressing(proportionalParts())};
    return book;
}

}  // namespace

TEST_CASE("doubling every length of a hook and its materials doubles every length and makes volumes eightfold") {
    const Plan one = planPattern(scaledBench(1.0), "fly").value();
    const Plan two = planPattern(scaledBench(2.0), "fly").value();
    CHECK_THAT(mmOf(two.length), WithinRel(2.0 * mmOf(one.length), 1e-9));
    CHECK_THAT(mmOf(two.head.needed), WithinRel(2.0 * mmOf(one.head.needed), 1e-9));
    for (std::size_t i = 0; i < one.parts.size(); ++i) {
        const auto small = figuresOf(one, i);
        const auto large = figuresOf(two, i);
        REQUIRE(small.size() == large.size());
        for (std::size_t k = 0; k < small.size(); ++k) {
            const std::string& key = small[k].key;
            const auto* a = std::get_if<double>(&small[k].value);
            const auto* b = std::get_if<double>(&large[k].value);
            // What holds a fixed length for the hand does not scale, nor do counts.
            if (!a || key == "cut_mm" || key == "thread_mm" || key == "fibre_needed_mm") continue;
            INFO(nameOf(one.parts[i].kind) << " " << key);
            const double factor = key.ends_with("_mm3") ? 8.0 : key == "mass_mg" ? 8.0 : key.ends_with("_mm") ? 2.0 : 0.0;
            if (factor > 0.0) CHECK_THAT(*b, WithinRel(factor * *a, 1e-6));
        }
    }
}

TEST_CASE("a longer shank never shortens a tail that is measured by it") {
    double last = 0.0;
    for (int longer = -4; longer <= 8; ++longer) {
        HookSpec spec = hookSpec(10);
        spec.longer = longer;
        TailPart tail;
        tail.length = ratioOf(0.8, Yardstick::shank);
        const Plan plan = planOf({part(PartKind::tail, tail, "tippet"), part(PartKind::body, BodyPart{}, "seal")}, spec).value();
        const double now = mmOf(std::get<TailPlan>(plan.parts[0].detail).length);
        CHECK(now > last);
        last = now;
    }
}

TEST_CASE("one more turn of hackle takes more room, more stem and gives more fibres") {
    double needed = 0.0, fibres = 0.0;
    for (double turns = 1.0; turns <= 6.0; turns += 0.5) {
        CollarPart collar;
        collar.turns = exactly(turns);
        const Plan plan = planOf({part(PartKind::body, BodyPart{}, "seal"), part(PartKind::collar, collar, "hen")}).value();
        CHECK(mmOf(plan.head.needed) > needed);
        CHECK(std::get<HacklePlan>(plan.parts[1].detail).fibres > fibres);
        needed = mmOf(plan.head.needed);
        fibres = std::get<HacklePlan>(plan.parts[1].detail).fibres;
    }
}

TEST_CASE("a body that no front is written for always leaves the head its room") {
    std::mt19937 random(kPropertiesSeed);
    CAPTURE(kPropertiesSeed);
    std::uniform_int_distribution<int> size(2, 20);
    std::uniform_real_distribution<double> turns(1.0, 8.0);
    for (int i = 0; i < 60; ++i) {
        CollarPart collar;
        collar.turns = exactly(turns(random));
        const auto plan =
            planOf({part(PartKind::body, BodyPart{}, "seal"), part(PartKind::collar, collar, "hen"), part(PartKind::head, HeadPart{})},
                   hookSpec(size(random)));
        if (!plan) continue;  // so many turns that no body is left: a fault, not a crowded head
        CHECK(mmOf(plan->head.margin()) > -1e-6);
    }
}

TEST_CASE("the profile is sampled at most 0.1 mm apart and shows both sides of a step") {
    const Plan plan = planPattern(scaledBench(1.0), "fly").value();
    const auto rows = plan.profile();
    int steps = 0;
    for (std::size_t i = 1; i < rows.size(); ++i) {
        CHECK(mmOf(rows[i].station - rows[i - 1].station) <= 0.1 + 1e-9);
        steps += rows[i].station == rows[i - 1].station ? 1 : 0;
    }
    CHECK(steps > 3);
    CHECK(rows.front().station == 0.0 * mm);
    CHECK_THAT(mmOf(rows.back().station), WithinAbs(11.7, 1e-9));
}

TEST_CASE("a plan is the same whenever it is made") {
    const Book book = demoBook();
    for (const Pattern& pattern : book.patterns) {
        const Plan a = planPattern(book, pattern.id).value();
        const Plan b = planPattern(book, pattern.id).value();
        for (std::size_t i = 0; i < a.parts.size(); ++i)
            CHECK(a.parts[i].words == b.parts[i].words);
        CHECK(a.threadUsed == b.threadUsed);
    }
}
