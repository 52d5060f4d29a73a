#include <catch2/catch.hpp>

#include "cutting/gauges.h"
#include "cutting/laying_out.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

TEST_CASE("what is laid out names every part that needs something, and a batch's totals are so many times one") {
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    const auto one = layOut(plan, 1), dozen = layOut(plan, 12);
    REQUIRE(one.size() == dozen.size());
    CHECK(one[0].part == plan.parts.size());  // the thread
    for (const std::size_t part : {0u, 1u, 2u, 3u, 4u})
        CHECK(std::ranges::any_of(one, [&](const LaidOut& l) { return l.part == part; }));
    const auto& rib = *std::ranges::find(dozen, 1u, &LaidOut::part);
    CHECK(rib.all.starts_with("12 of " + rib.each));
}

TEST_CASE("gauges are the lengths of the plan with their tolerance") {
    const Plan plan = planPattern(demoBook(), "ferry-bell").value();
    const auto gauges = gaugesOf(plan);
    REQUIRE(gauges.size() >= 4);
    CHECK(gauges[0].label == "tail");
    CHECK(gauges[0].length == std::get<TailPlan>(plan.parts[1].detail).length);
    CHECK(std::ranges::any_of(gauges, [](const Gauge& g) { return g.kind == GaugeKind::slip; }));
}
