// What a single number of a rule does to a fly, each held to a working by hand. These are the numbers that change
// nothing else when they are wrong, so that only a test of their own would notice (tools/mutate).
#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>

#include "book/edits.h"
#include "book/schools.h"
#include "daybook/rates.h"
#include "leader/drift.h"
#include "sizing/bench.h"
#include "sizing/figures.h"
#include "sizing/handles.h"
#include "sizing/head.h"
#include "sizing/needs.h"
#include "team/choose.h"
#include "team/place.h"
#include "team/rules.h"
#include "tests/samples.h"
#include "water/sink.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

double toleranceOf(const Plan& plan, PartKind kind, const std::string& key) {
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        if (plan.parts[i].kind != kind) continue;
        for (const Figure& figure : figuresOf(plan, i))
            if (figure.key == key) return figure.tolerance / std::get<double>(figure.value);
    }
    FAIL("no " << key << " of a " << nameOf(kind));
    return 0.0;
}

const Handle* grabbed(const std::vector<Handle>& handles, Grab grab) {
    const auto found = std::ranges::find(handles, grab, &Handle::grab);
    return found == handles.end() ? nullptr : &*found;
}

}  // namespace

TEST_CASE("a hand is held to 8 % of a tail, 10 % of a hackle, 8 % of a wing, 15 % of a head, and to half of each for show") {
    Book book = demoBook();
    const auto hold = [&](double share) {
        const Plan plan = planPattern(book, "heather-tinker").value();
        CHECK_THAT(toleranceOf(plan, PartKind::tail, "length_mm"), WithinAbs(0.08 * share, 1e-12));
        CHECK_THAT(toleranceOf(plan, PartKind::wing, "length_mm"), WithinAbs(0.08 * share, 1e-12));
        CHECK_THAT(toleranceOf(planPattern(book, "rush-piper").value(), PartKind::collar, "fibre_mm"), WithinAbs(0.10 * share, 1e-12));
    };
    hold(1.0);
    book = changeSchool(book, std::nullopt, "standard", "to show").value().after;
    hold(0.5);
}

TEST_CASE("dress it so gives as many half turns as the hackle's own worth a turn asks for, and no more") {
    const Book book = demoBook();
    const Plan plan = planPattern(book, "heather-tinker").value();
    const double full = fullnessOf(plan).full;
    const auto at = std::ranges::find(plan.parts, PartKind::collar, &PartPlan::kind);
    REQUIRE(at != plan.parts.end());
    const HacklePlan& collar = *hackleOf(*at);
    const double half = 0.5 * collar.worth / collar.turns;  // usual collars that half a turn adds
    REQUIRE(half > 0.0);
    PlaceWants wants;
    for (const int halves : {1, 2}) {
        wants.fullness.low = full + (halves - 0.4) * half;
        wants.fullness.high = wants.fullness.low + 5.0;
        const auto so = dressItSo(plan, wants);
        REQUIRE(so);
        CHECK(so->turns == 0.5 * halves);
        CHECK(so->left == 0.0);
    }
    wants.fullness.low = 0.0;
    wants.fullness.high = full - 0.6 * half;
    CHECK(dressItSo(plan, wants)->turns == -0.5);
}

TEST_CASE("no term of a place wins more than its weight or less than nothing") {
    const Book book = demoBook();
    std::size_t terms = 0;
    for (const Pattern& pattern : book.patterns) {
        const auto plan = planPattern(book, pattern.id);
        REQUIRE(plan);
        const FlyFigures figures = figuresOf(*plan, sinkReport(*plan, {}), {});
        for (const auto& school : Names<School>::entries)
            for (const double wave : {0.0, 0.02, 0.05, 0.1, 0.2, 0.3, 0.5})
                for (const Position position : kPositions)
                    for (const PlaceTerm& term : fitIn(figures, wantsOf(rulesOf(school.value), position, wave, {}))) {
                        ++terms;
                        INFO(pattern.id << " on the " << nameOf(position) << " in " << wave << ": " << nameOf(term.term));
                        CHECK(term.share >= 0.0);
                        CHECK(term.share <= 1.0);
                    }
    }
    CHECK(terms > 5000);
}

TEST_CASE("a tail's tip snaps to a third of the shank and to twice the shank") {
    const Book book = demoBook();
    const Plan plan = planPattern(book, "kelp-lantern").value();
    const auto handles = handlesOf(plan);
    const Handle* tail = grabbed(handles, Grab::tailTip);
    REQUIRE(tail);
    const Length root = plan.hook.at(plan.parts[tail->part].station).position.x, shank = plan.hook.shank();
    for (const double share : {1.0 / 3.0, 2.0}) {
        const auto near = dragged(plan, *tail, {root + (share + 0.004) * shank, tail->at.y}, 0.3 * mm);
        REQUIRE(near);
        CHECK(near->snapped);
        const auto made = changeField(book, plan.pattern.id, tail->part, near->key, near->text);
        REQUIRE(made);
        const Plan then = planPattern(made->after, plan.pattern.id).value();
        CHECK_THAT(mmOf(std::get<TailPlan>(then.parts[tail->part].detail).length), WithinAbs(share * mmOf(shank), 0.01));
    }
}

TEST_CASE("what a wing's tip snaps to is where it was let go") {
    const Book book = demoBook();
    int snapped = 0;
    for (const Pattern& pattern : book.patterns) {
        const Plan plan = planPattern(book, pattern.id).value();
        const auto handles = handlesOf(plan);
        const Handle* wing = grabbed(handles, Grab::wingTip);
        if (!wing || !plan.tailTip) continue;
        const Length root = plan.hook.at(plan.bodyEnd).position.x;
        for (const double share : {0.5, 2.0 / 3.0, 1.0}) {
            const Length at = root + share * (*plan.tailTip - root);
            const auto written = dragged(plan, *wing, {at, wing->at.y}, 0.05 * mm);
            if (!written || !written->snapped) continue;
            const auto made = changeField(book, pattern.id, wing->part, written->key, written->text);
            REQUIRE(made);
            const Plan then = planPattern(made->after, pattern.id).value();
            INFO(pattern.id << " at " << share << ": " << written->text);
            CHECK_THAT(mmOf(grabbed(handlesOf(then), Grab::wingTip)->at.x), WithinAbs(mmOf(at), 0.1));
            ++snapped;
        }
    }
    CHECK(snapped >= 3);
}

TEST_CASE("a hackle that is a share of the gape snaps to twentieths of it") {
    Book book = demoBook();
    book = changeField(book, "rush-piper", 2, "length", "1.5 of the gape").value().after;
    const Plan plan = planPattern(book, "rush-piper").value();
    const auto handles = handlesOf(plan);
    const Handle* tip = grabbed(handles, Grab::hackleTip);
    REQUIRE(tip);
    REQUIRE(tip->part == 2);
    // A little shorter, straight towards its root: within the snap of where it is.
    const WirePoint root = plan.hook.at(plan.parts[2].station);
    const Length dx = tip->at.x - root.position.x, dy = tip->at.y - root.position.y;
    const auto written = dragged(plan, *tip, {root.position.x + 1.01 * dx, root.position.y + 1.01 * dy}, 0.1 * mm);
    REQUIRE(written);
    CHECK(written->snapped);
    const auto made = changeField(book, "rush-piper", 2, written->key, written->text);
    REQUIRE(made);
    CHECK_THAT(mmOf(hackleOf(planPattern(made->after, "rush-piper")->parts[2])->fibre), WithinAbs(1.5 * mmOf(plan.hook.gape()), 0.02));
}

TEST_CASE("a collar takes one feather, and none where it is dubbed") {
    const Book book = demoBook();
    int collars = 0;
    for (const Pattern& pattern : book.patterns) {
        const Plan plan = planPattern(book, pattern.id).value();
        for (const Need& need : needsOf(plan)) {
            const bool ofOneCollar = need.parts.size() == 1 && plan.parts[need.parts[0]].kind == PartKind::collar;
            if (!ofOneCollar) continue;
            ++collars;
            CHECK(need.feathers == (plan.parts[need.parts[0]].made.kind == MaterialKind::dubbing ? std::nullopt : std::optional(1.0)));
        }
    }
    CHECK(collars >= 5);
}

TEST_CASE("a body front moved back by half a millimetre buys half a millimetre of head") {
    const Plan plan = planPattern(demoBook(), "heather-tinker").value();
    const auto found = std::ranges::find(plan.head.remedies, RemedyKind::bodyFrontBack, &Remedy::kind);
    REQUIRE(found != plan.head.remedies.end());
    CHECK_THAT(mmOf(found->buys), WithinAbs(0.5, 1e-12));
}

TEST_CASE("the prior of a band of depth is what the other bands gave") {
    Book book = demoBook();
    Day day;
    day.id = "2026-05-01";
    day.date = "2026-05-01";
    Outing outing;
    outing.hours = 4.0;
    outing.flies = trioOf("kelp-lantern", {}, "rush-piper");
    day.outings = {outing};
    for (const double metres : {0.04, 0.05, 0.25}) {
        Fish fish;
        fish.pattern = "kelp-lantern";
        fish.position = Position::bob;
        fish.depth = metres * metre;
        day.fish.push_back(fish);
    }
    book.days = {day};
    const auto rates = ratesByDepth(book, [](const Outing&, Position position) {
        return position == Position::bob ? std::vector<double>{1.0} : std::vector<double>{0.0, 0.0, 1.0};
    });
    REQUIRE(rates.size() == 2);
    // Of the upper band: two fish in four hours; elsewhere one in four. Of the lower the other way about.
    RateCell upper, lower;
    upper.days = {{2.0, 4.0}};
    lower.days = {{1.0, 4.0}};
    CHECK_THAT(rates[0].mean(), WithinAbs(rateOf("", upper, 1.0, 4.0).mean(), 1e-12));
    CHECK_THAT(rates[1].mean(), WithinAbs(rateOf("", lower, 2.0, 4.0).mean(), 1e-12));
}

TEST_CASE("the time that a bob is held counts towards the longest drift") {
    Handling h;
    h.count = 5.0 * second;
    h.retrieve = 0.3 * metrePerSecond;
    h.retrieveFor = 8.0 * second;
    h.lift = 0.30 * metrePerSecond;
    h.height = 3.0 * metre;
    h.hang = 540.0 * second;
    h.hold = 10.0 * second;
    CHECK(check(h).empty());
    h.hold = 60.0 * second;
    CHECK_FALSE(check(h).empty());
}

TEST_CASE("a greased fly hangs just under where the film carries seven tenths of what it weighs, and sinks through where it doesn't") {
    int under = 0, through = 0;
    for (const int shots : {0, 1, 2, 3, 4, 5}) {
        Book book = demoBook();
        for (Pattern& pattern : book.patterns) {
            pattern.treated = Treatment::grease;
            // Wire under the body, so that a greased fly can be too heavy for the film.
            Part lead;
            lead.kind = PartKind::underbody;
            lead.detail = UnderbodyPart{};
            std::get<UnderbodyPart>(lead.detail).layers = 1;
            const auto wire = std::ranges::find(book.materials, MaterialKind::wire, &Material::kind);
            REQUIRE(wire != book.materials.end());
            lead.material = wire->id;
            pattern.parts.insert(pattern.parts.begin(), static_cast<std::size_t>(shots), lead);
            const auto plan = planWhatCan(book, pattern.id);
            if (!plan || !plan->faults.empty()) continue;
            const WetFly fly(*plan);
            if (!fly.isFilmFly() || fly.submergedWeight() <= Force{}) continue;
            const bool carried = fly.film() / newton >= 0.7 * ((fly.submergedWeight() + fly.film()) / newton);
            INFO(pattern.id << " over " << shots);
            CHECK(fly.hangsJustUnder() == carried);
            ++(carried ? under : through);
        }
    }
    CHECK(under > 0);
    CHECK(through > 0);
}

TEST_CASE("hairs that nobody counted step with the square of the gape") {
    for (const auto& [size, hairs] : {std::pair(8, 41.0), {10, 30.0}, {12, 22.0}, {14, 16.0}, {16, 12.0}}) {  // 30 · 0.855^(n − 10)
        Book book = bench(hookSpec(size));
        book.materials.push_back(material("squirrel", MaterialKind::hair, HairTraits{}));
        WingPart wing;
        wing.style = WingStyle::hair;
        book.patterns = {dressing({part(PartKind::body, BodyPart{}, "seal"), part(PartKind::wing, wing, "squirrel")})};
        INFO("size " << size);
        CHECK(detail<WingPlan>(planPattern(book, "fly").value(), 1).count == hairs);
    }
}

TEST_CASE("a plume's barb is 0.030 mm where nobody measured it") {
    Book book = bench();
    book.materials.push_back(material("down", MaterialKind::plume, PlumeTraits{}));
    WingPart wing;
    wing.style = WingStyle::plume;
    book.patterns = {dressing({part(PartKind::body, BodyPart{}, "seal"), part(PartKind::wing, wing, "down")})};
    CHECK_THAT(mmOf(detail<WingPlan>(planPattern(book, "fly").value(), 1).barb), WithinAbs(0.030, 1e-12));
}

TEST_CASE("a body usually ends 0.24 of a shank behind the eye with one thing ahead of it, 0.30 with two") {
    const double shank = mmOf(hookOf().shank());
    const Part body = part(PartKind::body, BodyPart{}, "seal"), collar = part(PartKind::collar, CollarPart{}, "hen"),
               wing = part(PartKind::wing, WingPart{}, "flank");
    CHECK_THAT(mmOf(planOf({body, collar}).value().head.usual), WithinAbs(0.24 * shank, 1e-9));
    CHECK_THAT(mmOf(planOf({body, wing, collar}).value().head.usual), WithinAbs(0.30 * shank, 1e-9));
}

TEST_CASE("a second spool of the same thread is no finer thread to finish a crowded head with") {
    Book book = bench();
    Material same = *book.findMaterial("thread");
    same.id = "second-spool";
    book.materials.push_back(same);
    BodyPart far;
    far.front = StationSpec{Landmark::eye, {}, inMm(1.2 * mm), {}};
    book.patterns = {
        dressing({part(PartKind::body, far, "seal"), part(PartKind::collar, CollarPart{}, "hen"), part(PartKind::head, HeadPart{})})};
    const Plan plan = planPattern(book, "fly").value();
    REQUIRE_FALSE(plan.head.remedies.empty());
    CHECK(std::ranges::none_of(plan.head.remedies, [](const Remedy& remedy) { return remedy.kind == RemedyKind::finerThread; }));
}

TEST_CASE("two neighbours of one colour lose what variety weighs, those of unlike colours don't") {
    const FlyFigures fly;
    FlyFigures other = fly;
    other.seen.L = fly.seen.L + 60.0;
    const SchoolRules rules = rulesOf(School::stepped);
    CHECK_THAT(lossOfPair(fly, fly, {}, rules) - lossOfPair(fly, other, {}, rules), WithinAbs(rules.variety.weight, 1e-12));
    PairPlace apart;
    apart.neighbours = false;
    CHECK_THAT(lossOfPair(fly, fly, apart, rules) - lossOfPair(fly, other, apart, rules), WithinAbs(0.0, 1e-12));
}

TEST_CASE("so many hairs are taken that what tightening loses is made up for, and a feather's fibres are not counted so") {
    Material hair;
    hair.kind = MaterialKind::hair;
    hair.traits = HairTraits{};
    CHECK(hairsToTake(hair, 17.0) == 20.0);  // 17 / 0.85
    CHECK(hairsToTake(hair, 18.0) == 22.0);  // 21.2
    std::get<HairTraits>(hair.traits).loss = 0.5;
    CHECK(hairsToTake(hair, 18.0) == 36.0);
    Material feather;
    CHECK_FALSE(hairsToTake(feather, 18.0));
}

TEST_CASE("a tuft that nobody counted holds the air of thirty strands") {
    const auto filmWith = [](const std::optional<Count>& strands) {
        Book book = bench();
        book.materials.push_back(material("squirrel", MaterialKind::hair, HairTraits{}));
        WingPart wing;
        wing.style = WingStyle::hair;
        wing.angle = Angle::degrees(80.0);
        wing.count = strands;
        book.patterns = {dressing({part(PartKind::body, BodyPart{}, "seal"), part(PartKind::wing, wing, "squirrel")})};
        const Plan plan = planPattern(book, "fly").value();
        return std::pair(WetFly(plan).film() / newton, mmOf(detail<WingPlan>(plan, 1).length));
    };
    const auto [film, length] = filmWith({});
    REQUIRE(film > 0.0);
    CHECK_THAT(film, WithinAbs(filmWith(Count{30.0, 30.0, false}).first, 1e-12));
    // 0.0728 N/m over 0.02 of the length of each of ten strands more
    CHECK_THAT(filmWith(Count{40.0, 40.0, false}).first - film, WithinAbs(0.0728 * 0.02 * 10.0 * length * 1e-3, 1e-9));
}
