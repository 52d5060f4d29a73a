// Photographs of a fly in the vice, rendered with noise, blur, tilt and uneven light: what is measured on them against
// what is true.
#include <QImage>
#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>

#include "checking/checking.h"
#include "drawing/photograph.h"
#include "photo/registration.h"
#include "tests/samples.h"
#include "units/random.h"

using namespace machair;
using namespace machair::tests;

namespace {

photo::Picture plain(int width, int height, std::uint8_t value) {
    return {width, height, std::vector<std::uint8_t>(static_cast<std::size_t>(width * height), value)};
}

// A hand's and a lamp's setting, of a size that keeps the tests quick.
drawing::PhotographSetting settingOf(std::uint64_t seed) {
    drawing::PhotographSetting setting = drawing::someSetting(seed);
    setting.size = {900, 675};
    return setting;
}

// The promise of the Check station.
bool within(Length measured, Length truth) { return abs(measured - truth) <= std::max(0.2 * mm, 0.02 * truth); }

}  // namespace

TEST_CASE("over sixty photographs the hook is found and lengths are true to 2 % or 0.2 mm") {
    const Book book = demoBook();
    const std::vector<const char*> flies = {"kelp-lantern", "heather-tinker", "rush-piper", "soot-ember", "tern-shadow", "copper-mooring"};
    int found = 0, shown = 0, trueLengths = 0, lengths = 0;
    for (const char* id : flies) {
        const Plan plan = planPattern(book, id).value();
        for (std::uint64_t seed = 1; seed <= 10; ++seed) {
            const auto setting = settingOf(seed * 7919 + seedOf(id));
            const auto photograph = drawing::photographOf(plan, setting);
            ++shown;
            const auto at = photo::findHook(drawing::greyOf(photograph.image), plan.hook);
            if (!at) continue;
            ++found;
            // A place pointed at on the picture: the shank, the gape and every tip that the plan has.
            std::vector<std::pair<Point2, Point2>> spans = {
                {{0.0 * mm, 0.0 * mm}, {plan.hook.shank(), 0.0 * mm}},
                {{plan.hook.shank(), 0.0 * mm}, {plan.hook.landmarkX(Landmark::point), -1.0 * plan.hook.gape()}}};
            for (const Handle& handle : handlesOf(plan))
                spans.push_back({{0.0 * mm, 0.0 * mm}, handle.at});
            photo::Registration truth{
                {photograph.eye.x(), photograph.eye.y()}, photograph.pxPerMm, setting.turn, setting.mirrored, 1.0, 0.0};
            for (const auto& [from, to] : spans) {
                const Point2 a = at->toHook(truth.toPicture(from)), b = at->toHook(truth.toPicture(to));
                ++lengths;
                if (within(hypot(b.x - a.x, b.y - a.y), hypot(to.x - from.x, to.y - from.y))) ++trueLengths;
            }
        }
    }
    CAPTURE(found, shown, trueLengths, lengths);
    CHECK(shown >= 60);
    CHECK(found == shown);
    CHECK(trueLengths == lengths);
}

TEST_CASE("the tail's tip is read off the silhouette: pale fine fibres at most too short") {
    const Book book = demoBook();
    for (const auto& [id, stout] : {std::pair{"kelp-lantern", true}, std::pair{"heather-tinker", false}}) {
        const Plan plan = planPattern(book, id).value();
        for (std::uint64_t seed = 1; seed <= 4; ++seed) {
            const auto photograph = drawing::photographOf(plan, settingOf(seed));
            const auto picture = drawing::greyOf(photograph.image);
            const auto at = photo::findHook(picture, plan.hook);
            REQUIRE(at);
            const auto edges = photo::silhouetteOf(picture, *at, plan.hook);
            REQUIRE(edges.tailTip);
            CAPTURE(id, seed, mmOf(*edges.tailTip), mmOf(*plan.tailTip));
            // Drawn fibres end unevenly, by a few parts in a hundred of the tail.
            const double over = mmOf(*edges.tailTip) - mmOf(*plan.tailTip);
            CHECK(over < 0.4);
            CHECK(over > (stout ? -0.4 : -2.5));
            CHECK(photo::hackleEvenness(picture, *at, plan.hook));
        }
    }
}

TEST_CASE("no hook is found where there is none") {
    const Hook hook = hookOf();
    CHECK_FALSE(photo::findHook({}, hook));
    CHECK_FALSE(photo::findHook({10, 10, {}}, hook));
    CHECK_FALSE(photo::findHook(plain(400, 300, 200), hook));
    photo::Picture noise = plain(400, 300, 0);
    Random random(3);
    for (std::uint8_t& pixel : noise.grey)
        pixel = static_cast<std::uint8_t>(random.next() % 256);
    CHECK_FALSE(photo::findHook(noise, hook));
    photo::Picture square = plain(400, 300, 210);
    for (int y = 100; y < 200; ++y)
        for (int x = 120; x < 280; ++x)
            square.grey[static_cast<std::size_t>(y * 400 + x)] = 30;
    CHECK_FALSE(photo::findHook(square, hook));
}

TEST_CASE("marks pointed at give the same frame back, whichever way the hook lies") {
    const Hook hook = hookOf();
    for (const bool mirrored : {false, true})
        for (const double turn : {-0.6, 0.0, 1.9}) {
            const photo::Registration truth{{320.0, 210.0}, 37.5, turn, mirrored, 1.0, 0.0};
            std::vector<photo::Marked> marks;
            for (const Point2 at : {Point2{0.0 * mm, 0.0 * mm}, Point2{hook.shank(), 0.0 * mm},
                                    Point2{hook.landmarkX(Landmark::point), -1.0 * hook.gape()}}) {
                marks.push_back({at, truth.toPicture(at)});
                const Point2 back = truth.toHook(truth.toPicture(at));
                CHECK(std::abs(mmOf(back.x - at.x)) + std::abs(mmOf(back.y - at.y)) < 1e-9);
            }
            const auto found = photo::fromMarks(marks, mirrored);
            REQUIRE(found);
            CHECK(std::abs(found->pxPerMm - 37.5) < 1e-9);
            const photo::Pixel eye = found->toPicture({0.0 * mm, 0.0 * mm});
            CHECK(std::hypot(eye.x - 320.0, eye.y - 210.0) < 1e-6);
        }
    CHECK_FALSE(photo::fromMarks({{{0.0 * mm, 0.0 * mm}, {1.0, 1.0}}}, false));
    CHECK_FALSE(photo::fromMarks({{{0.0 * mm, 0.0 * mm}, {1.0, 1.0}}, {{0.0 * mm, 0.0 * mm}, {1.0, 1.0}}}, false));
}
