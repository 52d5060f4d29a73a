// Order and durability: no false alarm on what is tied every day, and a click that mends what can't be tied.
#include "bench/order.h"

#include <catch2/catch.hpp>

#include "bench/durability.h"
#include "book/kinds.h"
#include "tests/album.h"

using namespace machair;
using namespace machair::tests;

namespace {

Plan planOf(const Book& book, const Pattern& pattern) {
    return planWhatCan(pattern, makeHook(*book.findHook(pattern.hook), Place("hooks")).value(), book).value();
}

std::size_t placeOf(const Pattern& pattern, PartKind kind) { return findKind(pattern, kind).value(); }

Pattern moved(Pattern pattern, PartKind kind, std::size_t to) {
    const std::size_t from = placeOf(pattern, kind);
    Part part = pattern.parts[from];
    pattern.parts.erase(pattern.parts.begin() + static_cast<std::ptrdiff_t>(from));
    pattern.parts.insert(pattern.parts.begin() + static_cast<std::ptrdiff_t>(std::min(to, pattern.parts.size())), std::move(part));
    return pattern;
}

}  // namespace

TEST_CASE("every dressing of demo and album and every kind stands in an order that can be tied") {
    int looked = 0;
    for (const Book& book : {demoBook(), albumBook()})
        for (const Pattern& pattern : book.patterns) {
            const Plan plan = planOf(book, pattern);
            for (const OrderFault& fault : orderFaults(plan)) {
                CAPTURE(pattern.title(), fault.because, fault.mend);
                CHECK(false);
            }
            CHECK(inSoundOrder(plan) == pattern);
            ++looked;
        }
    for (const auto& entry : Names<FlyKind>::entries) {
        const NewDressing made = startFromKind(demoBook(), entry.value, "wet-10").value();
        CHECK(orderFaults(planOf(made.edit.after, *made.edit.after.findPattern(made.id))).empty());
        ++looked;
    }
    CHECK(looked > 50);
}

TEST_CASE("a part that traps another says which, why, and the order that works is one move away") {
    const Book book = demoBook();
    const Pattern sound = *book.findPattern("kelp-lantern");
    struct Wrong {
        PartKind part;
        std::size_t to;
        PartKind first, then;
    };
    for (const Wrong& wrong :
         {Wrong{PartKind::rib, 3, PartKind::rib, PartKind::body}, Wrong{PartKind::tail, 4, PartKind::tail, PartKind::body},
          Wrong{PartKind::palmer, 0, PartKind::body, PartKind::palmer}, Wrong{PartKind::head, 0, PartKind::tail, PartKind::head}}) {
        const Pattern mixed = moved(sound, wrong.part, wrong.to);
        const Plan plan = planOf(book, mixed);
        const auto faults = orderFaults(plan);
        CAPTURE(nameOf(wrong.part));
        REQUIRE_FALSE(faults.empty());
        CHECK(std::ranges::any_of(faults, [&](const OrderFault& f) {
            return mixed.parts[f.first].kind == wrong.first && mixed.parts[f.then].kind == wrong.then && !f.because.empty() &&
                   f.mend.starts_with("tie the ");
        }));
        const Pattern mended = inSoundOrder(plan);
        CHECK(mended.parts.size() == mixed.parts.size());
        CHECK(orderFaults(planOf(book, mended)).empty());
    }
}

TEST_CASE("an upright wing may come first, a low one may not") {
    const Book book = demoBook();
    Pattern low = moved(*book.findPattern("heather-tinker"), PartKind::wing, 0);
    CHECK_FALSE(orderFaults(planOf(book, low)).empty());
    auto& wing = std::get<WingPart>(low.parts[0].detail);
    wing.style = WingStyle::upright;
    wing.angle = 80_deg;
    StationSpec ahead;
    ahead.at = Landmark::eye;
    ahead.behind = ratioOf(0.2, Yardstick::shank);
    low.parts[0].station = ahead;
    const Plan plan = planOf(book, low);
    CHECK(std::ranges::none_of(orderFaults(plan), [&](const OrderFault& f) { return low.parts[f.then].kind == PartKind::wing; }));
}

TEST_CASE("a palmered bob lasts nine of ten with its rib across, six with its rib along the stem") {
    Book book = demoBook();
    Pattern& bob = *book.findPattern("kelp-lantern");
    Part tag;
    tag.kind = PartKind::tag;
    tag.material = "tinsel-gold";
    tag.detail = TagPart{{}, exactly(3), {}, {}};
    for (const Material& material : book.materials)
        if (material.kind == MaterialKind::tinsel) tag.material = material.id;
    bob.parts.insert(bob.parts.begin(), tag);
    for (Part& part : bob.parts)
        if (auto* head = std::get_if<HeadPart>(&part.detail)) {
            head->coats = 2;
            head->finish = Finish::varnish;
        }
    const auto ribbed = [&](Winding direction) {
        std::get<RibPart>(bob.parts[placeOf(bob, PartKind::rib)].detail).direction = direction;
        return durabilityOf(planOf(book, bob));
    };
    CHECK(ribbed(Winding::counter).score == Approx(9.0));
    CHECK(ribbed(Winding::with).score == Approx(6.0));
    CHECK(ribbed(Winding::with).cheapest()->cure == "the rib's other sense");
    CHECK(ribbed(Winding::with).cheapest()->buys == Approx(3.0));
    CHECK(sayDurability(9.0) == "hard-wearing");
    CHECK(sayDurability(6.0) == "good for a few fish");
}

TEST_CASE("a brittle body counts bare, along, twisted and across") {
    const auto lasting = [](std::optional<Winding> rib, bool twisted) {
        BodyPart body;
        body.method = BodyMethod::herl;
        body.twisted = twisted;
        Book book = bench();
        book.materials.push_back(material("herl", MaterialKind::herl, StrandTraits{}));
        std::vector<Part> parts;
        if (rib) {
            RibPart written;
            written.direction = rib;
            parts.push_back(part(PartKind::rib, written, "wire"));
        }
        parts.push_back(part(PartKind::body, body, "herl"));
        HeadPart head;
        head.coats = 2;
        parts.push_back(part(PartKind::head, head));
        book.patterns = {dressing(parts)};
        return durabilityOf(planPattern(book, "fly").value()).score;
    };
    CHECK(lasting(std::nullopt, false) == Approx(7.0));
    CHECK(lasting(Winding::with, false) == Approx(7.0));
    CHECK(lasting(std::nullopt, true) == Approx(9.0));
    CHECK(lasting(Winding::counter, false) == Approx(10.0));
}

TEST_CASE("no fly lasts less than nothing or more than ten, and what is weak says how to cure it or that nothing does") {
    for (const Book& book : {demoBook(), albumBook()})
        for (const Pattern& pattern : book.patterns) {
            const Durability lasting = durabilityOf(planOf(book, pattern));
            CAPTURE(pattern.title());
            CHECK(lasting.score >= 0.0);
            CHECK(lasting.score <= 10.0);
            double off = 0.0;
            for (const Weakness& weak : lasting.weak) {
                CHECK(weak.off > 0.0);
                CHECK(weak.cure.empty() == (weak.buys == 0.0));
                CHECK(weak.buys <= weak.off + 1e-9);
                off += weak.off;
            }
            CHECK(lasting.score == Approx(std::max(0.0, 10.0 - off)));
        }
}
