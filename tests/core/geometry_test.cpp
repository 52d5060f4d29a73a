// The scene of every demo dressing on every hook size: nothing that isn't a number, nothing outside its own frame, and
// lengths that are the plan's.
#include <catch2/catch.hpp>
#include <cmath>

#include "book/edits.h"
#include "scene/scene.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

double lengthOf(const std::array<Vec3, 4>& curve) {
    double sum = 0.0;
    Vec3 last = curve[0];
    constexpr int kSteps = 60;
    for (int i = 1; i <= kSteps; ++i) {
        const double t = static_cast<double>(i) / kSteps, u = 1.0 - t;
        const Vec3 p = u * u * u * curve[0] + 3.0 * u * u * t * curve[1] + 3.0 * u * t * t * curve[2] + t * t * t * curve[3];
        sum += std::sqrt(dot(p - last, p - last));
        last = p;
    }
    return sum;
}
bool finite(const Vec3& v) { return std::isfinite(v.x) && std::isfinite(v.y) && std::isfinite(v.z); }

// Every demo dressing on its own hook and on sizes 8 to 16, where it can be tied there.
template <class Look>
void onEveryHook(Look look) {
    const Book book = demoBook();
    for (const Pattern& pattern : book.patterns)
        for (const int size : {0, 8, 10, 12, 14, 16}) {
            Book sized = book;
            if (size != 0) {
                const auto edit = resizeHook(book, pattern.id, {size, std::nullopt});
                if (!edit) continue;
                sized = edit->after;
            }
            const auto plan = planPattern(sized, pattern.id);
            if (!plan) continue;
            CAPTURE(pattern.id, size);
            look(*plan, makeScene(*plan));
        }
}

}  // namespace

TEST_CASE("no fibre, rib or wing of any dressing on any hook is anywhere but somewhere") {
    int seen = 0;
    onEveryHook([&](const Plan&, const Scene& scene) {
        ++seen;
        for (const HackleScene& hackle : scene.hackles)
            for (const Fibre& fibre : hackle.fibres)
                for (const Vec3& point : fibre.curve)
                    REQUIRE(finite(point));
        for (const TailScene& tail : scene.tails)
            for (const Fibre& fibre : tail.fibres)
                for (const Vec3& point : fibre.curve)
                    REQUIRE(finite(point));
        for (const BodyScene& body : scene.bodies)
            for (const double radius : body.radii)
                REQUIRE((std::isfinite(radius) && radius > 0.0));
        for (const RibScene& rib : scene.ribs)
            for (const RibScene::Turn& turn : rib.turns)
                REQUIRE((std::isfinite(turn.station) && turn.radius > 0.0));
        for (const WingScene& wing : scene.wings)
            REQUIRE((finite(wing.root) && wing.length > 0.0));
        REQUIRE((scene.left < scene.right && scene.bottom < scene.top));
    });
    CHECK(seen > 60);
}

TEST_CASE("what is drawn lies within the frame that the scene says it has") {
    onEveryHook([](const Plan&, const Scene& scene) {
        const auto within = [&](const Vec3& p) {
            constexpr double kLine = 0.2;  // mm, for the width of what is drawn
            CHECK(p.x >= scene.left - kLine);
            CHECK(p.x <= scene.right + kLine);
            CHECK(p.y <= scene.top + kLine);
            CHECK(p.y >= scene.bottom - kLine);
        };
        for (const HackleScene& hackle : scene.hackles)
            for (const Fibre& fibre : hackle.fibres)
                within(fibre.curve[3]);
        for (const TailScene& tail : scene.tails)
            for (const Fibre& fibre : tail.fibres)
                within(fibre.curve[3]);
        for (const HookScene::Step& step : scene.hook.line)
            within(step.at);
    });
}

TEST_CASE("a tail's fibres reach as far behind their tie-in as the plan says, on the average") {
    onEveryHook([](const Plan& plan, const Scene& scene) {
        for (const TailScene& tail : scene.tails) {
            const PartPlan& part = plan.parts[tail.part];
            const auto* planned = std::get_if<TailPlan>(&part.detail);
            if (!planned || tail.fibres.empty()) continue;
            double sum = 0.0;
            for (const Fibre& fibre : tail.fibres)
                sum += lengthOf(fibre.curve);
            const double mean = sum / static_cast<double>(tail.fibres.size());
            CAPTURE(mean, mmOf(planned->length));
            CHECK(std::abs(mean / mmOf(planned->length) - 1.0) < 0.15);
        }
    });
}

TEST_CASE("no hackle fibre is longer than its feather's longest, and a palmer's get no longer to the rear") {
    onEveryHook([](const Plan& plan, const Scene& scene) {
        for (const HackleScene& hackle : scene.hackles) {
            const auto& detail = plan.parts[hackle.part].detail;
            const auto* palmer = std::get_if<PalmerPlan>(&detail);
            const auto* collar = std::get_if<HacklePlan>(&detail);
            if (!palmer && !collar) continue;
            const double longest = mmOf(palmer ? palmer->hackle.longest : collar->longest);
            for (const Fibre& fibre : hackle.fibres)
                CHECK(fibre.length <= 1.35 * longest + 1e-9);
        }
    });
}

TEST_CASE("ribs stay on their body, bodies on the shank, and the head ahead of both") {
    onEveryHook([](const Plan& plan, const Scene& scene) {
        const double shank = mmOf(plan.hook.landmarkX(Landmark::bend));
        for (const BodyScene& body : scene.bodies) {
            CHECK(body.front < body.end);
            CHECK(body.front >= scene.head.end - 1e-6);
            CHECK(body.end <= 1.6 * shank);  // round the bend at the most
        }
        for (const RibScene& rib : scene.ribs)
            for (std::size_t i = 1; i < rib.turns.size(); ++i)
                CHECK(rib.turns[i].station != rib.turns[i - 1].station);
        CHECK(scene.head.radius >= scene.head.wireRadius);
    });
}

TEST_CASE("the hook's line runs from the eye to the point without a jump, its wire growing shorter all the way") {
    onEveryHook([](const Plan&, const Scene& scene) {
        const auto& line = scene.hook.line;
        REQUIRE(line.size() > 10);
        for (std::size_t i = 1; i < line.size(); ++i) {
            const Vec3 step = line[i].at - line[i - 1].at;
            CHECK(std::sqrt(dot(step, step)) < 2.0);
            CHECK(line[i].toTip <= line[i - 1].toTip + 1e-9);
            CHECK(std::abs(dot(line[i].along, line[i].along) - 1.0) < 1e-6);
        }
        CHECK(line.back().toTip == Approx(0.0).margin(1e-6));
    });
}
