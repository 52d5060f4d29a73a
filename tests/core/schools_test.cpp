#include <catch2/catch.hpp>

#include "book/edits.h"
#include "sizing/plan.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

const HacklePlan& collarOf(const Plan& plan) {
    for (const PartPlan& part : plan.parts)
        if (const auto* h = std::get_if<HacklePlan>(&part.detail)) return *h;
    throw std::runtime_error("no collar");
}

}  // namespace

TEST_CASE("a dressing holds to its own school, else to the tier's, else to the usual") {
    Book book = demoBook();
    const auto fibre = [&] { return mmOf(collarOf(planPattern(book, "tern-shadow").value()).fibre); };
    const HacklePlan both = collarOf(planPattern(book, "tern-shadow").value());
    CHECK(fibre() == mmOf(both.lineOfSight));
    book = changeSchool(book, std::nullopt, "fibre", "lay back")->after;
    CHECK(fibre() == mmOf(both.layBack));
    book = changeSchool(book, "tern-shadow", "fibre", "line of sight")->after;
    CHECK(fibre() == mmOf(both.lineOfSight));
    book = changeSchool(book, "tern-shadow", "fibre", "")->after;
    CHECK_FALSE(book.findPattern("tern-shadow")->schools);
    CHECK(fibre() == mmOf(both.layBack));
}

TEST_CASE("what a part says of itself comes before any school") {
    Book book = changeSchool(demoBook(), std::nullopt, "rib", "with")->after;
    const auto ribOf = [&](const char* fly) {
        const Plan plan = planPattern(book, fly).value();
        for (const PartPlan& part : plan.parts)
            if (const auto* rib = std::get_if<RibPlan>(&part.detail)) return rib->direction;
        throw std::runtime_error("no rib");
    };
    CHECK(ribOf("kelp-lantern") == Winding::counter);  // written on the part
    std::get<RibPart>(book.findPattern("kelp-lantern")->parts[1].detail).direction.reset();
    CHECK(ribOf("kelp-lantern") == Winding::with);
}

TEST_CASE("schools are kept in both homes and checked like everything else") {
    Book book = changeSchool(demoBook(), std::nullopt, "tie_in", "butt")->after;
    book = changeSchool(book, "rush-piper", "finish", "resin")->after;
    CHECK(store::readBench(store::writeBench(book)).value().book == book);
    CHECK_FALSE(changeSchool(book, std::nullopt, "fibre", "by ear"));
    CHECK_FALSE(changeSchool(book, "no-such", "fibre", "lay back"));
}

TEST_CASE("where the schools differ noticeably the words say both numbers") {
    const Plan plan = planPattern(demoBook(), "tern-shadow").value();
    for (const PartPlan& part : plan.parts)
        if (std::holds_alternative<HacklePlan>(part.detail)) CHECK(part.words.find("laid back)") != std::string::npos);
}
