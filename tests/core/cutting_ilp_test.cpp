// The cutting plan against an integer programme of the same question: larger sets than everything can be tried on.
#include <catch2/catch.hpp>
#include <random>

#include "tests/feathers.h"
#include "tests/integer_programme.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

TEST_CASE("the plan is as good as an integer programme's, on sets too large to try everything") {
    constexpr unsigned kSeed = 20261126;
    std::mt19937 random(kSeed);
    const auto whole = [&](int low, int high) { return std::uniform_int_distribution<int>(low, high)(random); };
    int cut = 0, refused = 0;
    for (int round = 0; round < 40; ++round) {
        CAPTURE(kSeed, round);
        std::vector<VaneFeather> feathers;
        for (int f = 0, n = whole(3, 7); f < n; ++f) {
            const Length barb = whole(12, 20) * mm;
            feathers.push_back(vaneFeather("f" + std::to_string(f), "m", whole(0, 1) ? VaneSide::left : VaneSide::right, whole(30, 60) * mm,
                                           {barb, barb, barb}));
            if (whole(0, 1)) feathers.back().taken = {{12.0 * mm, whole(14, 20) * mm}};
        }
        std::vector<SlipWanted> slips;
        for (int s = 0, n = whole(8, 18); s < n; ++s)
            slips.push_back({"s" + std::to_string(s),
                             "m",
                             whole(3, 11) * mm,
                             whole(8, 15) * mm,
                             whole(0, 3) ? SlipSide::any : static_cast<SlipSide>(whole(0, 2)),
                             {},
                             {}});
        const auto optimum = Programme(feathers, slips).solve();
        const CuttingPlan plan = planCuts(feathers, slips);
        REQUIRE(plan.uncut.empty() == optimum.has_value());
        if (!optimum) {
            ++refused;
            continue;
        }
        ++cut;
        CHECK(plan.optimal);
        CHECK(plan.feathersUsed() == optimum->feathers);
        double room = 0.0;
        for (const FeatherCuts& cuts : plan.feathers)
            room += mmOf(freeVane(*std::ranges::find(feathers, cuts.feather, &VaneFeather::id)));
        CHECK(room == Approx(optimum->room).margin(1e-6));
    }
    CHECK(cut > 15);
    CHECK(refused > 0);
}
