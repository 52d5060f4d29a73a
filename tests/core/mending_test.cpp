// What mends a warning: every change that is offered does what it says when it is made.
#include "sizing/mending.h"

#include <algorithm>
#include <catch2/catch.hpp>

#include "book/edits.h"
#include "tests/album.h"
#include "tests/random_book.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

struct Trouble {
    Concern concern;
    std::vector<Part> parts;
    std::optional<Length> maxLength = {};
    HookSpec hook = hookSpec();
};

BodyPart bodyOf(double rear, double front) {
    BodyPart body;
    body.rear = rear * mm;
    body.foremost = front * mm;
    return body;
}
CollarPart collarWith(double turns, LengthSpec length = reachTo(Landmark::point)) {
    CollarPart collar;
    collar.turns = exactly(turns);
    collar.length = std::move(length);
    return collar;
}
TailPart tailOf(int fibres) {
    TailPart tail;
    tail.fibres = exactly(fibres);
    return tail;
}
BodyPart herlOf(int strands) {
    BodyPart body;
    body.strands = exactly(strands);
    return body;
}
BodyPart ropeOf(double noodle) {
    BodyPart body = bodyOf(1.6, 2.2);
    body.method = BodyMethod::rope;
    body.noodleDiameter = noodle * mm;
    return body;
}
WingPart wingOf(double depth, int layers, LengthSpec length) {
    WingPart wing;
    wing.depth = inMm(depth * mm);
    wing.layers = layers;
    wing.length = std::move(length);
    return wing;
}
RibPart ribOf(Winding way) {
    RibPart rib;
    rib.direction = way;
    return rib;
}
Part ballOf(double thick) { return part(PartKind::thorax, bodyOf(thick, thick), "seal"); }
WingPart tips(double count) {
    WingPart wing;
    wing.style = WingStyle::tips;
    wing.count = exactly(count);
    return wing;
}
BodyPart stopped(double behindEye) {
    BodyPart body;
    StationSpec end;
    end.behind = inMm(behindEye * mm);
    body.end = end;
    return body;
}

UnderbodyPart underStopped(double behindEye) {
    UnderbodyPart under;
    under.end = stopped(behindEye).end;
    return under;
}

// A body whose front leaves little room at the eye.
BodyPart frontAt(Length behindTheEye) {
    BodyPart body;
    StationSpec front;
    front.behind = inMm(behindTheEye);
    body.front = front;
    return body;
}

// One dressing for each thing that a plan warns of.
std::vector<Trouble> troubles() {
    const Part seal = part(PartKind::body, BodyPart{}, "seal");
    return {
        {Concern::taper, {part(PartKind::tail, tailOf(60), "tippet"), part(PartKind::body, bodyOf(0.8, 1.4), "seal")}},
        {Concern::ball, {seal, ballOf(1.8), part(PartKind::bead, BeadPart{}, "bead")}},
        {Concern::noodle, {part(PartKind::body, ropeOf(0.9), "seal")}},
        {Concern::strandsShort, {part(PartKind::body, herlOf(1), "short herl")}},
        {Concern::softness, {seal, part(PartKind::collar, collarWith(7), "hen")}},
        {Concern::stemShort, {seal, part(PartKind::collar, collarWith(4), "short stem")}},
        {Concern::fibreTooLong, {seal, part(PartKind::collar, collarWith(2, inMm(8.4 * mm)), "between")}},
        {Concern::fibreTooShort, {seal, part(PartKind::collar, collarWith(2, inMm(5.5 * mm)), "between")}},
        {Concern::vaneNarrow, {seal, part(PartKind::wing, wingOf(2.4, 4, ratioOf(0.9, Yardstick::shank)), "narrow")}},
        {Concern::barbShort, {seal, part(PartKind::wing, wingOf(1.5, 3, ratioOf(1.1, Yardstick::shank)), "narrow")}},
        {Concern::wingLift,
         {part(PartKind::body, bodyOf(1.6, 3.2), "seal"), part(PartKind::wing, wingOf(2.0, 3, ratioOf(1.0, Yardstick::shank)), "flank")}},
        {Concern::fixedStop, {part(PartKind::body, stopped(7.0), "seal")}},
        {Concern::fixedStop, {part(PartKind::underbody, underStopped(7.0), "seal"), seal}},
        {Concern::oddPair, {seal, part(PartKind::wing, tips(3), "hen")}},
        {Concern::brittleBody, {part(PartKind::rib, ribOf(Winding::with), "wire"), part(PartKind::body, herlOf(4), "herl")}},
        {Concern::ribWithPalmer, {part(PartKind::rib, ribOf(Winding::with), "wire"), seal, part(PartKind::palmer, PalmerPart{}, "saddle")}},
        {Concern::shortBody, {part(PartKind::body, frontAt(6.5 * mm), "seal")}},
        {Concern::tooLong, {part(PartKind::tail, tailOf(8), "tippet"), seal}, 19.0 * mm},
        {Concern::crowdedHead, {part(PartKind::body, frontAt(1.8 * mm), "seal"), part(PartKind::collar, collarWith(4), "hen")}},
    };
}

Book troubled(const Trouble& trouble) {
    Book book = bench(trouble.hook);
    StrandTraits herl;
    herl.natural = 120.0 * mm;
    herl.width = 0.5 * mm;
    StrandTraits shortHerl = herl;
    shortHerl.natural = 70.0 * mm;
    HackleTraits between;
    between.fibreShortest = 6.0 * mm;
    between.fibreLongest = 8.0 * mm;
    HackleTraits shortStem;
    shortStem.usableStem = 11.0 * mm;
    VaneTraits narrow;
    narrow.vane = 8.0 * mm;
    narrow.barbs = {14.0 * mm, 18.0 * mm, 15.0 * mm};
    ThreadTraits fine;
    fine.denier = 30.0;
    fine.fibre = ThreadFibre::gelSpun;
    fine.lay = ThreadLay::flat;
    BeadTraits bead;
    bead.diameter = 2.8 * mm;
    for (Material m : {material("herl", MaterialKind::herl, herl), material("short herl", MaterialKind::herl, shortHerl),
                       material("between", MaterialKind::hackle, between), material("short stem", MaterialKind::hackle, shortStem),
                       material("narrow", MaterialKind::flank, narrow), material("fine", MaterialKind::thread, fine),
                       material("bead", MaterialKind::bead, bead)})
        book.materials.push_back(std::move(m));
    book.patterns = {dressing(trouble.parts)};
    book.patterns[0].maxLength = trouble.maxLength;
    return book;
}

const Warning* about(const Plan& plan, Concern concern) {
    const auto found = std::ranges::find(plan.warnings, concern, &Warning::concern);
    return found == plan.warnings.end() ? nullptr : &*found;
}

}  // namespace

TEST_CASE("every warning has a mend that cures it, and every mend does what it says") {
    for (const Trouble& trouble : troubles()) {
        const Book book = troubled(trouble);
        const auto plan = planPattern(book, "fly");
        CAPTURE(static_cast<int>(trouble.concern));
        REQUIRE(plan);
        const Warning* warning = about(*plan, trouble.concern);
        REQUIRE(warning);
        CHECK(warning->over > 0.0);
        const auto mends = mendsOf(book, *plan, *warning);
        REQUIRE_FALSE(mends.empty());
        CHECK(mends.front().cures);
        for (const Mend& mend : mends) {
            const std::string said = mend.words(*warning);
            CAPTURE(said);
            CHECK(mend.cost >= 1);
            const auto after = planPattern(mend.edit.after, "fly");
            REQUIRE(after);
            const Warning* still = about(*after, trouble.concern);
            CHECK(mend.cures == (still == nullptr));
            if (still)
                CHECK_THAT(mend.buys, WithinAbs(warning->over - still->over, 1e-9));
            else
                CHECK(said.find("cures it") != std::string::npos);
        }
    }
}

TEST_CASE("whatever a dressing is warned of, its mends are found or there are none") {
    int warnings = 0;
    for (unsigned seed = 1; seed <= 200; ++seed) {
        const Book book = RandomBook(seed).make();
        for (const Pattern& pattern : book.patterns) {
            const auto plan = planWhatCan(book, pattern.id);
            if (!plan) continue;
            for (const Warning& warning : plan->warnings) {
                CAPTURE(seed, pattern.id, warning.what);
                CHECK_NOTHROW(mendsOf(book, *plan, warning));
                ++warnings;
            }
        }
    }
    CHECK(warnings > 150);
}

TEST_CASE("what does not cure is offered only where it buys a tenth of what is too much") {
    int partly = 0;
    for (const Trouble& trouble : troubles()) {
        const Book book = troubled(trouble);
        const auto plan = planPattern(book, "fly");
        REQUIRE(plan);
        const Warning& warning = *about(*plan, trouble.concern);
        for (const Mend& mend : mendsOf(book, *plan, warning, 99)) {
            if (mend.cures) continue;
            CHECK(mend.buys >= 0.1 * warning.over);
            ++partly;
        }
    }
    CHECK(partly > 0);
}

TEST_CASE("a crowded head is offered a body whose front stands further back, and of two sections the foremost one's") {
    for (const Trouble& trouble : troubles()) {
        if (trouble.concern != Concern::crowdedHead) continue;
        const Book book = troubled(trouble);
        const auto plan = planPattern(book, "fly");
        REQUIRE(plan);
        const auto mends = mendsOf(book, *plan, *about(*plan, Concern::crowdedHead), 99);
        const auto back = std::ranges::find_if(mends, [&](const Mend& m) {
            return m.words(*about(*plan, Concern::crowdedHead)).find("body front back") != std::string::npos;
        });
        REQUIRE(back != mends.end());
        const auto after = planPattern(back->edit.after, "fly");
        REQUIRE(after);
        CHECK(after->foremostBody > plan->foremostBody);
    }
}

TEST_CASE("of the mends that cure and bring nothing, the cheapest stands first") {
    for (const Trouble& trouble : troubles()) {
        const Book book = troubled(trouble);
        const auto plan = planPattern(book, "fly");
        REQUIRE(plan);
        int last = 0;
        for (const Mend& mend : mendsOf(book, *plan, *about(*plan, trouble.concern), 99)) {
            if (!mend.cures || !mend.brings.empty()) break;
            CHECK(mend.cost >= last);
            last = mend.cost;
        }
    }
}

TEST_CASE("a sound dressing has nothing to mend, and one out of reach says so with an empty list") {
    Trouble hopeless{
        Concern::tooLong, {part(PartKind::tail, tailOf(8), "tippet"), part(PartKind::body, BodyPart{}, "seal")}, 3.0 * mm, hookSpec()};
    const Book book = troubled(hopeless);
    const auto plan = planPattern(book, "fly");
    REQUIRE(plan);
    for (const Mend& mend : mendsOf(book, *plan, *about(*plan, Concern::tooLong)))
        CHECK_FALSE(mend.cures);
    hopeless.maxLength.reset();
    CHECK(planPattern(troubled(hopeless), "fly")->warnings.empty());
}

TEST_CASE("a palmer is asked of its feather what a collar is") {
    PalmerPart palmer;
    palmer.openTurns = exactly(6);
    const Trouble trouble{
        Concern::stemShort, {part(PartKind::body, BodyPart{}, "seal"), part(PartKind::palmer, palmer, "short stem")}, {}, hookSpec()};
    const auto plan = planPattern(troubled(trouble), "fly");
    REQUIRE(plan);
    CHECK(about(*plan, Concern::stemShort));
}

TEST_CASE("a mend that adds a part does not bring what was said before it") {
    const Book album = albumBook();
    const auto wide = changeField(album, "loam-chorister", 3, "depth", "2.8 × shank");
    REQUIRE(wide);
    const auto plan = planPattern(wide->after, "loam-chorister");
    REQUIRE(plan);
    std::size_t added = 0;
    for (const Warning& warning : plan->warnings)
        for (const Mend& mend : mendsOf(wide->after, *plan, warning, 20)) {
            added += mend.edit.after.findPattern("loam-chorister")->parts.size() > plan->parts.size() ? 1 : 0;
            for (const std::string& trouble : mend.brings)
                CHECK(std::ranges::none_of(plan->warnings, [&](const Warning& known) { return known.what == trouble; }));
        }
    CHECK(added > 0);
}
