// The part kinds beyond the first slice, each worked by hand on the nominal size 10 of sizing_test.cpp.
#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>

#include "book/edits.h"
#include "sizing/figures.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

namespace {

BodyPart evenBody(double d = 2.0) {
    BodyPart body;
    body.rear = body.foremost = d * mm;
    return body;
}

// The usual bench with more in its drawers.
Result<Plan> planWith(std::vector<Part> parts, std::optional<Length> maxLength = std::nullopt) {
    Book book = bench();
    StripTraits tinsel;
    tinsel.width = 0.8 * mm;
    tinsel.thickness = 0.03 * mm;
    StripTraits floss;
    floss.width = 1.0 * mm;
    floss.thickness = 0.05 * mm;
    StrandTraits herl;
    herl.width = 0.5 * mm;
    herl.thickness = 0.2 * mm;
    herl.natural = 120.0 * mm;
    RopeTraits chenille;
    chenille.diameter = 1.5 * mm;
    HairTraits hair;
    hair.loss = 0.2;
    BeadTraits bead;
    bead.diameter = 2.8 * mm;
    bead.metal = Metal::tungsten;
    for (Material m : {material("tinsel", MaterialKind::tinsel, tinsel), material("floss", MaterialKind::floss, floss),
                       material("herl", MaterialKind::herl, herl), material("chenille", MaterialKind::chenille, chenille),
                       material("hair", MaterialKind::hair, hair), material("bead", MaterialKind::bead, bead),
                       material("quill", MaterialKind::quill, VaneTraits{}), material("cheek", MaterialKind::cheek, PieceTraits{})})
        book.materials.push_back(std::move(m));
    book.patterns = {dressing(std::move(parts))};
    book.patterns[0].maxLength = maxLength;
    return planPattern(book, "fly");
}

bool warns(const Plan& plan, std::string_view what) {
    return std::ranges::any_of(
        plan.warnings, [&](const Fault& f) { return f.what.find(what) != std::string::npos || f.remedy.find(what) != std::string::npos; });
}

}  // namespace

TEST_CASE("a tag of three turns of tinsel covers three widths and takes three rings of it") {
    TagPart tag;
    tag.turns = exactly(3);
    const Plan plan = planWith({part(PartKind::tag, tag, "tinsel"), part(PartKind::body, evenBody(), "seal")}).value();
    CHECK_THAT(mmOf(detail<TagPlan>(plan, 0).along), WithinAbs(2.4, 1e-9));
    CHECK_THAT(mmOf(detail<TagPlan>(plan, 0).length), WithinRel(3.0 * std::hypot(kPi * (kBed + 0.03), 0.8), 1e-5));
}

TEST_CASE("floss wound down and back counts the turns of one pass and the length of both, the second 2t wider") {
    BodyPart single = evenBody();
    single.overlap = 0.5;
    BodyPart twice = single;
    twice.passes = 2;
    const Plan one = planWith({part(PartKind::body, single, "floss")}).value();
    const Plan two = planWith({part(PartKind::body, twice, "floss")}).value();
    const double turns = kBodyLength / 0.5;
    const auto ring = [](double d) { return std::hypot(kPi * d, 0.5); };
    CHECK_THAT(*detail<BodyPlan>(one, 0).turns, WithinRel(turns, 1e-9));
    CHECK(*detail<BodyPlan>(two, 0).turns == *detail<BodyPlan>(one, 0).turns);
    CHECK_THAT(mmOf(*detail<BodyPlan>(one, 0).length), WithinRel(turns * ring(kBed + 0.05), 1e-5));
    CHECK_THAT(mmOf(*detail<BodyPlan>(two, 0).length), WithinRel(turns * (ring(kBed + 0.05) + ring(kBed + 0.15)), 1e-5));
}

TEST_CASE("two strands of herl: turns, length of each and bodies a set") {
    BodyPart body = evenBody();
    body.strands = exactly(2);
    const Plan plan = planWith({part(PartKind::body, body, "herl")}).value();
    const auto& herl = detail<BodyPlan>(plan, 0);
    const double turns = kBodyLength / 1.0;
    const double each = turns * std::hypot(kPi * (kBed + 0.2), 1.0);
    CHECK_THAT(*herl.turns, WithinRel(turns, 1e-9));
    CHECK_THAT(mmOf(*herl.perStrand), WithinRel(each, 1e-5));
    CHECK(*herl.yield == static_cast<int>((120.0 * 0.8 - 25.0) / each));
    body.held = Grip::pliers;
    CHECK(*detail<BodyPlan>(planWith({part(PartKind::body, body, "herl")}).value(), 0).yield ==
          static_cast<int>((120.0 * 0.8 - 10.0) / each));
}

TEST_CASE("a rib wound the way of a brittle body warns, one against it does not") {
    RibPart with;
    with.direction = Winding::with;
    CHECK(warns(planWith({part(PartKind::rib, with, "wire"), part(PartKind::body, evenBody(), "herl")}).value(), "brittle"));
    with.direction = Winding::counter;
    CHECK_FALSE(warns(planWith({part(PartKind::rib, with, "wire"), part(PartKind::body, evenBody(), "herl")}).value(), "brittle"));
}

TEST_CASE("a body of two sections meets where it is said and a rib may keep to one of them") {
    BodyPart rear = evenBody(), front = evenBody();
    front.end = StationSpec{Landmark::point, {}, {}, {}};
    RibPart rib;
    rib.turns = exactly(3);
    rib.along = std::size_t{1};
    const Plan plan =
        planWith({part(PartKind::rib, rib, "wire"), part(PartKind::body, rear, "tinsel"), part(PartKind::body, front, "seal")}).value();
    CHECK_THAT(mmOf(detail<BodyPlan>(plan, 1).front), WithinAbs(7.3, 1e-9));
    CHECK_THAT(mmOf(detail<BodyPlan>(plan, 2).end), WithinAbs(7.3, 1e-9));
    CHECK_THAT(mmOf(detail<RibPlan>(plan, 0).pitch), WithinRel((7.3 - 2.574) / 3.0, 1e-9));
}

TEST_CASE("a bead at the eye takes its length of the room: a ball that props one is as thick, and a smaller one is noted") {
    BodyPart ball;
    ball.rear = ball.foremost = 2.0 * mm;
    const Plan plan = planWith({part(PartKind::bead, BeadPart{}, "bead"), part(PartKind::body, evenBody(), "seal"),
                                part(PartKind::thorax, ball, "seal"), part(PartKind::head, HeadPart{})})
                          .value();
    CHECK(plan.parts[0].station == 0.0 * mm);
    CHECK_THAT(mmOf(plan.head.available), WithinAbs(mmOf(plan.foremostBody) - 2.8, 1e-9));
    CHECK_FALSE(warns(plan, "smaller than its bead"));  // behind the bead at the eye it props nothing
    const auto propping = [&](const BodyPart& thorax) {
        return planWith({part(PartKind::body, evenBody(), "seal"), part(PartKind::thorax, thorax, "seal"),
                         part(PartKind::bead, BeadPart{}, "bead")})
            .value();
    };
    CHECK(warns(propping(ball), "smaller than its bead"));
    const Plan usual = propping(BodyPart{});
    CHECK_THAT(mmOf(*detail<BodyPlan>(usual, 1).swelling), WithinAbs(2.8, 1e-9));
    CHECK(detail<BeadPlan>(usual, 2).ball);
    CHECK(usual.warnings.empty());
}

TEST_CASE("a bead tied later is pushed back on the body, and the collar stands ahead of it") {
    const Plan plan = planWith({part(PartKind::body, evenBody(), "seal"), part(PartKind::bead, BeadPart{}, "bead"),
                                part(PartKind::collar, CollarPart{}, "hen")})
                          .value();
    CHECK_THAT(mmOf(plan.parts[1].station), WithinAbs(mmOf(plan.foremostBody) - 2.8, 1e-9));
    CHECK(plan.parts[1].station > 0.0 * mm);  // the front of itself makes room for it
    CHECK(plan.parts[2].station <= plan.parts[1].station);
}

TEST_CASE("a collar wound through the one before it takes no room of its own ahead of it") {
    CollarPart before, next;
    before.turns = next.turns = exactly(2);
    const auto with = [&](bool through) {
        next.through = through;
        return planWith(
                   {part(PartKind::body, evenBody(), "seal"), part(PartKind::collar, before, "hen"), part(PartKind::collar, next, "hen")})
            .value();
    };
    const Plan apart = with(false), together = with(true);
    CHECK(mmOf(apart.parts[2].station) < mmOf(apart.parts[1].station));
    CHECK(together.parts[2].station == together.parts[1].station);
    CHECK(together.parts[1].station == apart.parts[1].station);
}

TEST_CASE("hair is cut for what is lost on tightening") {
    TailPart tail;
    tail.fibres = exactly(12);
    const Plan plan = planWith({part(PartKind::tail, tail, "hair"), part(PartKind::body, evenBody(), "seal")}).value();
    CHECK(*detail<TailPlan>(plan, 0).fibresToTake == 15.0);
}

TEST_CASE("a doubled tail needs twice its length and what is bound") {
    TailPart tail;
    tail.length = machair::inMm(8.0 * mm);
    tail.doubled = true;
    const Plan plan = planWith({part(PartKind::tail, tail, "floss"), part(PartKind::body, evenBody(), "seal")}).value();
    CHECK_THAT(mmOf(detail<TailPlan>(plan, 0).fibreNeeded), WithinAbs(16.0 + kBodyLength, 1e-9));
}

TEST_CASE("paired slips are 0.85 of the gape wide, of 2.9 barbs a millimetre, and two of them are bound") {
    WingPart wing;
    wing.style = WingStyle::paired;
    const Plan plan = planWith({part(PartKind::body, evenBody(), "seal"), part(PartKind::wing, wing, "quill")}).value();
    const auto& w = detail<WingPlan>(plan, 1);
    CHECK_THAT(mmOf(w.slip), WithinAbs(0.85 * 5.5, 1e-9));
    CHECK_THAT(w.barbs, WithinAbs(2.9 * 0.85 * 5.5, 1e-9));
    const auto bound =
        std::ranges::find_if(plan.bulk.rows(), [](const BulkRow& r) { return r.part == 1 && std::holds_alternative<BoundBundle>(r.what); });
    REQUIRE(bound != plan.bulk.rows().end());
    CHECK_THAT(std::get<BoundBundle>(bound->what).count, WithinAbs(2.0 * w.barbs, 1e-9));
}

TEST_CASE("tail fibres that go on as the body are the same strands, long enough for both") {
    TailPart tail;
    tail.fibres = exactly(6);
    Part body = part(PartKind::body, evenBody());
    body.from = PartRef{PartKind::tail};
    const Plan plan = planWith({part(PartKind::tail, tail, "herl"), body}).value();
    REQUIRE(plan.needs.size() == 1);
    CHECK(*plan.needs[0].fibres == 6.0);
    CHECK_THAT(mmOf(*plan.needs[0].length), WithinRel(mmOf(detail<TailPlan>(plan, 0).fibreNeeded), 1e-9));
    CHECK_THAT(mmOf(detail<TailPlan>(plan, 0).fibreNeeded),
               WithinRel(mmOf(detail<TailPlan>(plan, 0).length) + mmOf(*detail<BodyPlan>(plan, 1).perStrand) + 10.0, 1e-9));
}

TEST_CASE("an odd number of cheeks is warned of") {
    CheekPart three;
    three.count = exactly(3);
    CHECK(warns(planWith({part(PartKind::body, evenBody(), "seal"), part(PartKind::cheek, three, "cheek")}).value(),
                "left and right are meant"));
}

TEST_CASE("a fly over its contest's length says by how much and which part to shorten") {
    TailPart tail;
    tail.length = machair::inMm(20.0 * mm);
    const Plan plan = planWith({part(PartKind::tail, tail, "tippet"), part(PartKind::body, evenBody(), "seal")}, 25.0 * mm).value();
    // Front of the eye to the tail's tip: 2.16 + 9.28 + 20 = 31.44 mm.
    CHECK_THAT(mmOf(plan.length), WithinAbs(31.44, 1e-6));
    CHECK(warns(plan, "shorten the tail by 6.4 mm"));
}

TEST_CASE("a new thread is used from where it is started, and a finer one makes a smaller head") {
    Book book = bench();
    ThreadTraits fine;
    fine.denier = 30.0;
    book.materials.push_back(material("fine", MaterialKind::thread, fine));
    const auto headOf = [&](std::vector<Part> parts) {
        book.patterns = {dressing(std::move(parts))};
        return mmOf(planPattern(book, "fly")->head.diameter);
    };
    CHECK(
        headOf({part(PartKind::body, evenBody(), "seal"), part(PartKind::thread, ThreadPart{}, "fine"), part(PartKind::head, HeadPart{})}) <
        headOf({part(PartKind::body, evenBody(), "seal"), part(PartKind::head, HeadPart{})}));
}

TEST_CASE("a wire underbody of counted turns stops where they end, and no wrap is bulk elsewhere") {
    UnderbodyPart under;
    under.turns = exactly(10);
    const Plan plan = planWith({part(PartKind::underbody, under, "wire"), part(PartKind::body, evenBody(2.4), "seal")}).value();
    CHECK_THAT(mmOf(detail<UnderbodyPlan>(plan, 0).end), WithinAbs(2.574 + 10 * 0.20, 1e-9));
    CHECK_THAT(mmOf(plan.under(3.0 * mm)), WithinAbs(kBed + 0.40, 1e-5));
    CHECK_THAT(mmOf(plan.under(8.0 * mm)), WithinAbs(kBed, 1e-5));
}

TEST_CASE("every kind of part gives its figures with a unit in the key, whatever it is tied from") {
    for (const auto& entry : Names<PartKind>::entries) {
        const auto edit = addPart(demoBook(), "kelp-lantern", entry.value);
        REQUIRE(edit);
        const Plan plan = planPattern(edit->after, "kelp-lantern").value();
        for (std::size_t i = 0; i < plan.parts.size(); ++i) {
            if (plan.parts[i].kind != entry.value || entry.value == PartKind::thread) continue;
            INFO(entry.name);
            CHECK_FALSE(figuresOf(plan, i).empty());
            CHECK_FALSE(headlineOf(plan, i).empty());
            CHECK(std::isfinite(mmOf(plan.parts[i].station)));
        }
    }
}
