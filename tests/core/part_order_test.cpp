// Parts added, moved and taken off: whatever names one by its place goes on meaning the same.
#include "book/part_order.h"

#include <catch2/catch.hpp>

#include "book/edits.h"
#include "book/schools.h"
#include "hand/hand.h"
#include "sizing/plan.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

// The length of each part by its kind and number, so that it can be found again wherever it stands.
std::map<std::string, double> lengthsOf(const Plan& plan) {
    std::map<std::string, double> lengths;
    std::map<PartKind, int> count;
    for (const PartPlan& part : plan.parts) {
        const std::string name = std::string(nameOf(part.kind)) + std::to_string(count[part.kind]++);
        if (const auto* tail = std::get_if<TailPlan>(&part.detail)) lengths[name] = tail->length / mm;
        if (const auto* wing = std::get_if<WingPlan>(&part.detail)) lengths[name] = wing->length / mm;
    }
    return lengths;
}

// A winged wet whose wing is as long as its tail, named by its place in the list, with readings of the tail.
Book namedByPlace() {
    Book book = demoBook();
    Pattern& fly = *book.findPattern("heather-tinker");
    const auto tail = findKind(fly, PartKind::tail), wing = findKind(fly, PartKind::wing);
    REQUIRE((tail && wing && *tail < *wing));
    std::get<WingPart>(fly.parts[*wing].detail).length = {Ratio{1.2, PartRef{*tail}}, {}};
    return book;
}

}  // namespace

TEST_CASE("a tail's readings stay the tail's whatever is tied before it") {
    const Book book = demoBook();
    const auto before = deviationsOf(book);
    REQUIRE(before.contains("tail length_mm"));
    Book after = book;
    for (const char* fly : {"kelp-lantern", "heather-tinker", "soot-ember"}) {
        after = addPart(after, fly, PartKind::tag)->after;
        const std::size_t last = after.findPattern(fly)->parts.size() - 1;
        after = movePart(after, fly, last, 0).value().after;
        if (const auto less = removePart(after, fly, 2)) after = less->after;
    }
    CHECK(deviationsOf(after) == before);
    // Taken off altogether, the tail's history stays its own.
    const auto tail = findKind(*after.findPattern("soot-ember"), PartKind::tail);
    if (const auto off = tail ? removePart(after, "soot-ember", *tail) : tl::unexpected(Faults{}))
        CHECK(deviationsOf(off->after) == before);
}

TEST_CASE("the collar goes before the wing or after it, and lengths named by place go on meaning their parts") {
    const Book book = namedByPlace();
    const auto lengths = lengthsOf(planPattern(book, "heather-tinker").value());
    for (const char* place : {"before wing", "after wing", "before wing"}) {
        CAPTURE(place);
        const auto edit = changeSchool(book, "heather-tinker", "collar_place", place);
        if (!edit) FAIL(edit.error().front().line());
        const auto plan = planPattern(edit->after, "heather-tinker");
        if (!plan) FAIL(plan.error().front().line());
        const auto now = lengthsOf(*plan);
        REQUIRE(now.size() == lengths.size());
        for (const auto& [name, length] : lengths)
            CHECK(now.at(name) == Approx(length).margin(0.2));  // the bed under the wing may differ
        const Pattern& fly = *edit->after.findPattern("heather-tinker");
        const auto wing = findKind(fly, PartKind::wing);
        const auto& of = std::get<Ratio>(std::get<WingPart>(fly.parts[*wing].detail).length.value).of;
        CHECK(fly.parts[std::get<std::size_t>(std::get<PartRef>(of).which)].kind == PartKind::tail);
    }
}

TEST_CASE("a rib along one body stays along that body") {
    Book book = demoBook();
    Pattern& fly = *book.findPattern("kelp-lantern");
    const auto body = findKind(fly, PartKind::body), rib = findKind(fly, PartKind::rib);
    REQUIRE((body && rib));
    std::get<RibPart>(fly.parts[*rib].detail).along = std::size_t{0};
    std::vector<std::optional<std::size_t>> from;
    for (std::size_t i = 0; i < fly.parts.size(); ++i)
        from.emplace_back(i);
    from.insert(from.begin(), std::nullopt);
    const Part another = fly.parts[*body];
    rearrange(book, "kelp-lantern", from, another);
    const Pattern& now = *book.findPattern("kelp-lantern");
    CHECK(std::get<std::size_t>(*std::get<RibPart>(now.parts[*rib + 1].detail).along) == 1);
    CHECK(now.parts.size() == from.size());
}
