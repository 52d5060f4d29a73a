// Curved shanks: stations are arc length, landmarks stand straight above, and a dressing follows the wire.
#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>

#include "scene/scene.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

Hook curved(HookFamily family = HookFamily::curvedShank) { return hookOf(12, family); }

}  // namespace

TEST_CASE("the rear of a curved shank is an arc of its length that turns by the family's angle") {
    // 60 % of S turned by 50°: R = 0.6 S / θ, the end at (0.4 S + R sin θ, −R (1 − cos θ)).
    const Hook hook = curved();
    const double S = mmOf(hook.shank());
    const double theta = 50.0 * std::numbers::pi / 180.0;
    const double R = 0.6 * S / theta;
    const Point2 end = hook.at(hook.shank()).position;
    CHECK_THAT(mmOf(end.x), WithinAbs(0.4 * S + R * std::sin(theta), 1e-9));
    CHECK_THAT(mmOf(end.y), WithinAbs(-R * (1.0 - std::cos(theta)), 1e-9));
    CHECK_THAT(hook.at(hook.shank()).heading.inDegrees(), WithinAbs(50.0, 1e-9));
    CHECK_THAT(hook.at(0.3 * hook.shank()).heading.inDegrees(), WithinAbs(0.0, 1e-12));
}

TEST_CASE("the bend leaves the shank without a kink") {
    for (const HookFamily family : {HookFamily::curvedShank, HookFamily::longSalmon}) {
        const Hook hook = curved(family);
        constexpr Length kStep = 1e-5 * mm;
        const Angle before = hook.at(hook.shank() - kStep).heading;
        const Angle after = hook.at(hook.shank() + kStep).heading;
        CHECK_THAT(after.inDegrees() - before.inDegrees(), WithinAbs(0.0, 0.01));
    }
}

TEST_CASE("opposite the point means the place of the shank straight above it") {
    for (const HookFamily family : {HookFamily::curvedShank, HookFamily::longSalmon})
        for (const Landmark landmark : {Landmark::point, Landmark::barb}) {
            const Hook hook = curved(family);
            CHECK_THAT(mmOf(hook.at(hook.landmarkStation(landmark)).position.x), WithinAbs(mmOf(hook.landmarkX(landmark)), 1e-6));
        }
}

TEST_CASE("the spear's depth solves the join: -y_e + h (1 + sin phi0) is the depth") {
    const Hook hook = curved(HookFamily::longSalmon);
    const double G = mmOf(hook.gape());
    const double r = 0.70 * G;
    const double theta = 12.0 * std::numbers::pi / 180.0;
    const double ye = mmOf(hook.at(hook.shank()).position.y);
    // Solve for h by bisection here, independently.
    double low = 0.2 * G, high = G;
    for (int i = 0; i < 200; ++i) {
        const double h = 0.5 * (low + high);
        (-ye + h * (1.0 + std::sin(std::atan(h / (r * std::tan(theta))))) < G ? low : high) = h;
    }
    const double phi0 = std::atan(low / (r * std::tan(theta)));
    CHECK_THAT(mmOf(hook.pointDepth()), WithinAbs(G, 1e-6));
    CHECK_THAT(mmOf(hook.landmarkX(Landmark::rearmost)), WithinAbs(mmOf(hook.at(hook.shank()).position.x) - r * std::cos(phi0) + r, 1e-5));
}

TEST_CASE("a body on a curved shank ends at the bend by default, and its drawing follows the wire") {
    const Plan plan = planOf({part(PartKind::body, BodyPart{}, "seal")}, hookSpec(12, HookFamily::curvedShank)).value();
    CHECK(plan.bodyEnd == plan.hook.shank());
    const Scene scene = makeScene(plan);
    const Vec3 end = scene.axis.frame(scene.bodies[0].end).at;
    CHECK(end.y < -1.0);
    CHECK_THAT(end.y, WithinAbs(mmOf(plan.hook.at(plan.bodyEnd).position.y), 0.02));
}

TEST_CASE("a hackle's fibre on a curved shank is the distance as drawn, from a root square to the wire") {
    CollarPart collar;
    collar.turns = exactly(2);
    Part placed = part(PartKind::collar, collar, "hen");
    placed.station = StationSpec{Landmark::eye, {}, ratioOf(0.6, Yardstick::shank), {}};
    const Plan plan = planOf({part(PartKind::body, BodyPart{}, "seal"), placed}, hookSpec(12, HookFamily::curvedShank)).value();
    const auto& h = std::get<HacklePlan>(plan.parts[1].detail);
    const WirePoint root = plan.hook.at(plan.parts[1].station);
    const double r = 0.5 * mmOf(h.bed);
    const double x = mmOf(root.position.x) - r * sin(root.heading);
    const double y = mmOf(root.position.y) - r * cos(root.heading);
    const Point2 target = plan.hook.landmarkTarget(Landmark::point);
    CHECK_THAT(mmOf(h.lineOfSight), WithinAbs(1.03 * std::hypot(mmOf(target.x) - x, mmOf(target.y) - y), 1e-6));
}
