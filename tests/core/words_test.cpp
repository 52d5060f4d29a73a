#include "words/words.h"

#include <catch2/catch.hpp>
#include <random>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

constexpr unsigned kSeed = 20261125;
constexpr int kHooks = 400;

Hook randomHook(std::mt19937& random) {
    std::uniform_int_distribution<int> size(2, 20);
    std::uniform_int_distribution<std::size_t> family(0, Names<HookFamily>::entries.size() - 1);
    std::uniform_int_distribution<int> steps(-2, 4);
    HookSpec spec = hookSpec(size(random), Names<HookFamily>::entries[family(random)].value);
    spec.longer = steps(random);
    spec.heavier = steps(random);
    return makeHook(spec, Place()).value();
}

}  // namespace

TEST_CASE("a length as long as the shank is said so") {
    CHECK(sayLength(11.7 * mm, hookOf()).text == "as long as the shank");
    CHECK(sayLength(2.75 * mm, hookOf()).text == "half the gape");
}

TEST_CASE("a place is said by its landmark, and how far off it is") {
    const Hook hook = hookOf();
    CHECK(sayStation(hook.landmarkStation(Landmark::point), hook).text == "opposite the point");
    CHECK(sayStation(hook.shank() / 3.0, hook).text == "a third of the way back from the eye");
    CHECK(sayReach(hook.landmarkX(Landmark::point) + 0.4 * mm, hook).text == "0.4 mm past the point");
}

TEST_CASE("over random hooks the words and the number say the same") {
    CAPTURE(kSeed);
    std::mt19937 random(kSeed);
    for (int i = 0; i < kHooks; ++i) {
        const Hook hook = randomHook(random);
        std::uniform_real_distribution<double> along(0.05, 2.5 * mmOf(hook.shank()));
        const Length wanted = along(random) * mm;
        CAPTURE(describeHook(hook.spec()), mmOf(wanted));
        const Said length = sayLength(wanted, hook);
        CAPTURE(length.text);
        REQUIRE_THAT(mmOf(length.stands), WithinAbs(mmOf(wanted), 0.25));
        REQUIRE_THAT(mmOf(readLength(length.text, hook).value()), WithinAbs(mmOf(wanted), 0.25));  // what is read, not what is claimed
        const Said reach = sayReach(wanted, hook);
        CAPTURE(reach.text);
        REQUIRE_THAT(mmOf(readReach(reach.text, hook).value()), WithinAbs(mmOf(wanted), 0.25));
        const Length place = std::min(wanted, hook.shank());
        const Said station = sayStation(place, hook);
        CAPTURE(station.text);
        REQUIRE_THAT(mmOf(readStation(station.text, hook).value()), WithinAbs(mmOf(place), 0.25));
    }
}

TEST_CASE("a short length is said more closely than a quarter of a millimetre") {
    std::mt19937 random(kSeed);
    for (int i = 0; i < kHooks; ++i) {
        const Hook hook = randomHook(random);
        const Length little = std::uniform_real_distribution<double>(0.1, 1.0)(random) * mm;
        const Said said = sayLength(little, hook);
        CAPTURE(said.text, mmOf(little));
        REQUIRE_THAT(mmOf(said.stands), WithinAbs(mmOf(little), 0.051));
    }
}
