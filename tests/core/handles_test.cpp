#include "sizing/handles.h"

#include <catch2/catch.hpp>
#include <map>

#include "book/edits.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

struct OnBench {
    Book book = demoBook();
    std::string fly = "kelp-lantern";

    [[nodiscard]] Plan plan() const { return planPattern(book, DressingId(fly)).value(); }
    [[nodiscard]] Handle handle(Grab grab, const Plan& p) const {
        const auto all = handlesOf(p);
        const auto found = std::ranges::find(all, grab, &Handle::grab);
        REQUIRE(found != all.end());
        return *found;
    }
    // Drags and applies, as the window does.
    Written drag(Grab grab, double dx, double dy, double snap = 0.0) {
        const Plan p = plan();
        const Handle h = handle(grab, p);
        const auto written = dragged(p, h, {h.at.x + dx * mm, h.at.y + dy * mm}, snap * mm);
        REQUIRE(written);
        const auto edit = changeField(book, DressingId(fly), h.part, written->key, written->text);
        REQUIRE(edit);
        book = edit->after;
        return *written;
    }
};

}  // namespace

TEST_CASE("a tail tip dragged 2 mm back makes the tail 2 mm longer, and a ratio stays a ratio") {
    OnBench bench;
    const double before = mmOf(std::get<TailPlan>(bench.plan().parts[0].detail).length);
    const Written written = bench.drag(Grab::tailTip, 2.0, 0.0);
    CHECK(written.text.ends_with("of the shank"));
    CHECK_THAT(mmOf(std::get<TailPlan>(bench.plan().parts[0].detail).length), WithinAbs(before + 2.0, 0.01));
}

TEST_CASE("near a plain share or a landmark a drag snaps to it, and says so") {
    OnBench bench;
    const Written tail = bench.drag(Grab::tailTip, 2.2, 0.0, 0.3);  // 9.28 + 2.2: close to the shank's 11.6
    CHECK(tail.snapped);
    CHECK(tail.text == "as long as the shank");
    bench.fly = "rush-piper";
    const Written collar = bench.drag(Grab::hackleTip, -0.4, 0.0, 0.3);  // it reaches 0.55 mm past the point
    CHECK(collar.text == "to the point");
}

TEST_CASE("a reach dragged off its landmark keeps it, with what it is past or short of it") {
    OnBench bench;
    bench.fly = "rush-piper";
    CHECK(bench.drag(Grab::hackleTip, 0.30, 0.0).text == "0.9 mm past the point");
    CHECK(bench.drag(Grab::hackleTip, -1.5, 0.0).text == "0.6 mm short of the point");
}

TEST_CASE("a body's end and front go where they are dragged and snap to the landmarks") {
    OnBench bench;
    const Hook hook = bench.plan().hook;
    const double toPoint = mmOf(hook.landmarkX(Landmark::point)) - mmOf(bench.plan().bodyEnd);
    CHECK(bench.drag(Grab::bodyEnd, toPoint + 0.1, 0.0, 0.3).text == "at the point");
    CHECK_THAT(mmOf(bench.plan().bodyEnd), WithinAbs(mmOf(hook.landmarkX(Landmark::point)), 1e-9));
    const double front = mmOf(bench.plan().bodyFront);
    bench.drag(Grab::bodyFront, 0.5, 0.0);
    CHECK_THAT(mmOf(bench.plan().bodyFront), WithinAbs(front + 0.5, 0.03));
}

TEST_CASE("shoulder and rear are dragged by their radius, the taper by its middle") {
    OnBench bench;
    const auto body = [&] { return std::get<BodyPlan>(bench.plan().parts[2].detail); };
    const double front = mmOf(body().frontDiameter);
    bench.drag(Grab::shoulder, 0.0, 0.1);
    CHECK_THAT(mmOf(body().frontDiameter), WithinAbs(front + 0.2, 0.02));
    const double rear = mmOf(body().rearDiameter);
    bench.drag(Grab::rearDiameter, 0.0, 0.05);
    CHECK_THAT(mmOf(body().rearDiameter), WithinAbs(rear + 0.1, 0.02));
    CHECK(body().exponent == 1.0);
    bench.drag(Grab::taper, 0.0, -0.1);
    CHECK(body().exponent > 1.2);  // hollower: a carrot
    bench.drag(Grab::taper, 0.0, 0.25);
    CHECK(body().exponent < 1.0);
}

TEST_CASE("a rib dragged towards the tail comes to more turns, towards the eye to fewer") {
    OnBench bench;
    const auto turns = [&] { return std::get<RibPlan>(bench.plan().parts[1].detail).turns; };
    CHECK(turns() == 6.0);
    bench.drag(Grab::ribTurn, 0.35, 0.0);
    CHECK(turns() == 8.0);
    bench.drag(Grab::ribTurn, -0.9, 0.0);
    CHECK(turns() < 6.0);
}

TEST_CASE("a wing is dragged by its tip and its depth") {
    OnBench bench;
    bench.fly = "heather-tinker";
    const auto wing = [&] { return std::get<WingPlan>(bench.plan().parts[4].detail); };
    const double length = mmOf(wing().length), depth = mmOf(wing().depth);
    bench.drag(Grab::wingTip, 1.0, 0.0);
    CHECK_THAT(mmOf(wing().length), WithinAbs(length + 1.0, 0.05));
    bench.drag(Grab::wingDepth, 0.0, 0.3);
    CHECK(mmOf(wing().depth) > depth + 0.2);
}

TEST_CASE("the head grows by layers") {
    OnBench bench;
    const double before = mmOf(bench.plan().head.diameter);
    bench.drag(Grab::head, 0.0, 0.15);
    CHECK(mmOf(bench.plan().head.diameter) > before + 0.2);
}

TEST_CASE("a place that makes no sense writes nothing") {
    const OnBench bench;
    const Plan p = bench.plan();
    const Handle tail = bench.handle(Grab::tailTip, p);
    CHECK_FALSE(dragged(p, tail, {-5.0 * mm, 0.0 * mm}, 0.0 * mm));
    const Handle rib = bench.handle(Grab::ribTurn, p);
    CHECK_FALSE(dragged(p, rib, {20.0 * mm, 0.0 * mm}, 0.0 * mm));
}

TEST_CASE("every handle, wherever it is dragged, writes what the dressing can read or nothing") {
    const Book book = demoBook();
    for (const Pattern& pattern : book.patterns) {
        OnBench bench;
        bench.fly = pattern.id;
        const Plan p = bench.plan();
        for (const Handle& handle : handlesOf(p))
            for (const double x : {-3.0, 0.0, 2.0, 7.0, 12.0, 25.0})
                for (const double y : {-6.0, -0.5, 0.5, 3.0}) {
                    const auto written = dragged(p, handle, {x * mm, y * mm}, 0.2 * mm);
                    if (!written) continue;
                    INFO(pattern.id << " " << handle.name << " to " << x << ", " << y << ": " << written->key << " = " << written->text);
                    CHECK(changeField(bench.book, DressingId(bench.fly), handle.part, written->key, written->text));
                }
    }
}

TEST_CASE("page keys go from landmark to landmark") {
    OnBench bench;
    bench.fly = "rush-piper";
    const Plan p = bench.plan();
    const Handle tip = bench.handle(Grab::hackleTip, p);
    const auto next = nextSnap(p, tip, 1);
    REQUIRE(next);
    CHECK_THAT(mmOf(next->x), WithinAbs(mmOf(p.hook.landmarkX(Landmark::barb)), 1e-9));
    CHECK_THAT(mmOf(nextSnap(p, tip, -1)->x), WithinAbs(mmOf(p.hook.landmarkX(Landmark::point)), 1e-9));
}

TEST_CASE("a tag and an underbody and legs and a cheek have handles on what is drawn of them, and what is dragged is where it was let go") {
    const Book album = store::readBenchFile(MACHAIR_ALBUM)->book;
    std::map<Grab, int> dragged_;
    for (const Pattern& pattern : album.patterns) {
        const auto plan = planPattern(album, pattern.id);
        if (!plan) continue;
        for (const Handle& handle : handlesOf(*plan)) {
            if (handle.grab != Grab::tagEnd && handle.grab != Grab::underEnd && handle.grab != Grab::underFront &&
                handle.grab != Grab::pieceTip)
                continue;
            INFO(pattern.id << " " << handle.name);
            const Point2 to{handle.at.x + (handle.grab == Grab::underFront ? -0.6 : 0.6) * mm, handle.at.y};
            const auto written = dragged(*plan, handle, to, 0.0 * mm);
            if (!written) continue;
            const auto edit = changeField(album, pattern.id, handle.part, written->key, written->text);
            REQUIRE(edit);
            const auto then = planPattern(edit->after, pattern.id);
            if (!then) continue;  // it has no room there, and says so
            const auto all = handlesOf(*then);
            const auto same = std::ranges::find_if(all, [&](const Handle& h) { return h.grab == handle.grab && h.part == handle.part; });
            REQUIRE(same != all.end());
            // A tag goes by half turns; the rest to a tenth of a millimetre, or to where the fly lets it.
            if (handle.grab == Grab::pieceTip) CHECK_THAT(mmOf(same->at.x), WithinAbs(mmOf(to.x), 0.15));
            ++dragged_[handle.grab];
        }
    }
    CHECK(dragged_[Grab::tagEnd] >= 2);
    CHECK(dragged_[Grab::pieceTip] >= 2);
    CHECK(dragged_[Grab::underEnd] + dragged_[Grab::underFront] >= 1);
}
