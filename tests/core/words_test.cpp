#include "words/words.h"

#include <catch2/catch.hpp>
#include <random>

#include "book/spec_words.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

constexpr unsigned kWordsSeed = 20261125;
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
    CAPTURE(kWordsSeed);
    std::mt19937 random(kWordsSeed);
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
    std::mt19937 random(kWordsSeed);
    for (int i = 0; i < kHooks; ++i) {
        const Hook hook = randomHook(random);
        const Length little = std::uniform_real_distribution<double>(0.1, 1.0)(random) * mm;
        const Said said = sayLength(little, hook);
        CAPTURE(said.text, mmOf(little));
        REQUIRE_THAT(mmOf(said.stands), WithinAbs(mmOf(little), 0.051));
    }
}

namespace {

// Every form of a length that can be written, over every yardstick, landmark and part.
std::vector<LengthSpec> everyLength() {
    const std::vector<double> shares = {0.05, 0.1, 0.25, 1.0 / 3.0, 0.4, 0.5,  0.6, 2.0 / 3.0, 0.75,
                                        0.85, 1.0, 1.2,  1.25,      1.5, 1.75, 2.0, 3.0,       0.37};
    std::vector<AnyLandmark> landmarks;
    for (const auto& entry : Names<Landmark>::entries)
        landmarks.push_back(entry.value);
    for (const auto& entry : Names<FlyLandmark>::entries)
        landmarks.push_back(entry.value);
    std::vector<LengthSpec> list;
    for (const double share : shares) {
        for (const auto& entry : Names<Yardstick>::entries)
            list.push_back(ratioOf(share, entry.value));
        for (const auto& entry : Names<PartKind>::entries) {
            if (!fromName<Yardstick>(entry.name))
                list.push_back({Ratio{share, PartRef{entry.value}}, {}});  // "of the body" is the yardstick
            list.push_back({Reach{PartRef{entry.value}, share, {}, {}}, {}});
        }
        list.push_back({Ratio{share, PartRef{std::string("the-tail")}}, {}});
        list.push_back(inMm(share * 10.0 * mm));
        for (const AnyLandmark& landmark : landmarks)
            for (const Yardstick of : {Yardstick::gape, Yardstick::shank, Yardstick::spear}) {
                list.push_back({Reach{landmark, {}, Held<LengthSpec>(ratioOf(share, of)), {}}, {}});
                list.push_back({Reach{landmark, {}, {}, Held<LengthSpec>(ratioOf(share, of))}, {}});
                list.push_back({Reach{landmark, {}, Held<LengthSpec>(inMm(share * mm)), {}}, {}});
            }
    }
    for (const AnyLandmark& landmark : landmarks)
        list.push_back({Reach{landmark, {}, {}, {}}, {}});
    for (int bars = 1; bars <= 4; ++bars)
        list.push_back({Bars{bars}, {}});
    return list;
}

// The same thing against the same yardstick, shares to within a thousandth.
bool means(const LengthSpec& a, const LengthSpec& b) {
    constexpr double kThousandth = 1.01e-3;
    if (a.value.index() != b.value.index()) return false;
    if (const auto* x = std::get_if<Length>(&a.value)) return abs(*x - std::get<Length>(b.value)) < 0.051 * mm;
    if (const auto* x = std::get_if<Ratio>(&a.value))
        return x->of == std::get<Ratio>(b.value).of &&
               std::abs(x->ratio - std::get<Ratio>(b.value).ratio) <= kThousandth * std::max(1.0, x->ratio);
    if (const auto* x = std::get_if<Bars>(&a.value)) return *x == std::get<Bars>(b.value);
    const Reach &x = std::get<Reach>(a.value), &y = std::get<Reach>(b.value);
    const auto same = [](const std::optional<Held<LengthSpec>>& p, const std::optional<Held<LengthSpec>>& q) {
        return p.has_value() == q.has_value() && (!p || means(**p, **q));
    };
    return x.to == y.to &&
           std::abs(x.fraction.value_or(1.0) - y.fraction.value_or(1.0)) <= kThousandth * std::max(1.0, x.fraction.value_or(1.0)) &&
           same(x.past, y.past) && same(x.shortBy, y.shortBy);
}

}  // namespace

TEST_CASE("whatever is said of a length can be typed back and means the same, over every phrase") {
    std::size_t checked = 0;
    for (const LengthSpec& spec : everyLength()) {
        const std::string written = writeSpec(spec), said = saySpec(spec);
        INFO("\"" << written << "\", \"" << said << "\"");
        const auto exactly = readSpec(written, Place("x"));
        REQUIRE(exactly);
        CHECK(*exactly == spec);
        const auto back = readSpec(said, Place("x"));
        REQUIRE(back);
        CHECK(means(spec, *back));
        ++checked;
    }
    CHECK(checked > 1500);
}
