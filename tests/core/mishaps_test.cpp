#include "bench/mishaps.h"

#include <catch2/catch.hpp>
#include <fstream>
#include <iterator>
#include <set>

#include "book/edits.h"
#include "book/kinds.h"
#include "book/records.h"
#include "book/team_edits.h"
#include "store/mishap_file.h"
#include "tests/album.h"
#include "water/standins.h"

using namespace machair;
using namespace machair::tests;

namespace {

std::string shippedText() {
    std::ifstream in(MACHAIR_MISHAPS, std::ios::binary);
    return {std::istreambuf_iterator<char>(in), {}};
}
std::vector<MishapCard> shipped() { return store::readMishaps(shippedText()).value(); }

}  // namespace

TEST_CASE("at least eighty cards ship, each with words, a mend and what prevents it") {
    const auto cards = shipped();
    CHECK(cards.size() >= 80);
    std::set<std::string> ids;
    for (const MishapCard& card : cards) {
        CAPTURE(card.id);
        CHECK(ids.insert(card.id).second);
        CHECK_FALSE(card.shows.empty());
        CHECK_FALSE(card.thisFly.empty());
        CHECK_FALSE(card.nextFly.empty());
        CHECK_FALSE(sayUndo(card.undo).empty());
        CHECK_FALSE(sayShows(card.when).empty());
    }
}

TEST_CASE("every mishap that a step names has a card, and no card speaks of what the dressing hasn't") {
    const auto cards = shipped();
    int named = 0;
    for (const Book& book : {demoBook(), albumBook()})
        for (const Pattern& pattern : book.patterns) {
            const Plan plan = planPattern(book, pattern.id).value();
            for (const TyingStep& step : stepsOf(plan)) {
                CAPTURE(pattern.title(), step.verb, step.object);
                for (const std::string& id : step.wrong) {
                    CAPTURE(id);
                    CHECK(findCard(cards, id));
                    ++named;
                }
                CHECK_FALSE(cardsFor(cards, plan, step).empty());
                if (step.part < 0) continue;
                const Material& made = plan.parts[static_cast<std::size_t>(step.part)].made;
                for (const MishapCard* card : cardsFor(cards, plan, step))
                    if (!card->madeOf.empty() && std::ranges::find(step.wrong, card->id) == step.wrong.end())
                        CHECK(std::ranges::find(card->madeOf, made.kind) != card->madeOf.end());
            }
        }
    CHECK(named > 1000);
}

TEST_CASE("where the plan could have known, the link changes it") {
    const auto cards = shipped();
    Book book = demoBook();
    const Plan plan = planPattern(book, "kelp-lantern").value();
    const auto link = planLink(*findCard(cards, "hackle.many"), plan, 4);
    REQUIRE(link);
    CHECK(link->key == "turns");
    const auto edit = changeField(book, "kelp-lantern", 4, link->key, link->text);
    REQUIRE(edit);
    CHECK(std::get<HacklePlan>(planPattern(edit->after, "kelp-lantern").value().parts[4].detail).turns ==
          Approx(std::get<HacklePlan>(plan.parts[4].detail).turns - 0.5));
    CHECK_FALSE(planLink(*findCard(cards, "hackle.breaks"), plan, 4));
    CHECK_FALSE(planLink(*findCard(cards, "hackle.many"), plan, 99));
    int links = 0;
    for (const Pattern& pattern : albumBook().patterns) {
        const Book album = albumBook();
        const Plan own = planPattern(album, pattern.id).value();
        for (std::size_t p = 0; p < own.parts.size(); ++p)
            for (const MishapCard& card : cards)
                if (const auto found = planLink(card, own, p)) {
                    CAPTURE(pattern.id, card.id, found->key, found->text);
                    CHECK(changeField(album, pattern.id, p, found->key, found->text));
                    ++links;
                }
    }
    CHECK(links > 100);
}

TEST_CASE("a broken file of mishaps is refused with the places, all of them") {
    CHECK_FALSE(store::readMishaps("nothing"));
    CHECK_FALSE(store::readMishaps("{}"));
    const auto read = store::readMishaps(
        R"({"format": "machair-mishaps", "version": 1, "mishaps": [{"id": "a", "shows": "x", "when": "soon", "undo": "turns"}, {"id": "a", "shows": "", "when": "now", "undo": "turns"}, 7]})");
    REQUIRE_FALSE(read);
    CHECK(read.error().size() == 4);
    CHECK(read.error()[0].line().starts_with("mishaps[0].when: expected one of now, later, finished, in_use"));
}

TEST_CASE("one's own mishaps stand with the most frequent first and what to practise") {
    Book book = demoBook();
    book.mishaps.clear();
    for (const auto& [id, count] : {std::pair("wing.cocks", 2), {"tail.long", 5}, {"wing", 1}, {"head.fat", 0}}) {
        Mishap mishap;
        mishap.id = id;
        mishap.count = count;
        book.mishaps.push_back(std::move(mishap));
    }
    const auto own = ownMishaps(book, shipped());
    REQUIRE(own.size() == 3);
    CHECK(own[0].id == "tail.long");
    CHECK(own[0].practise == "hold it along the shank before binding");
    CHECK(own[2].shows == "wing");
}

TEST_CASE("stand-ins cross the kinds, say what they change and which of it is a rule of thumb") {
    const Book book = demoBook();
    const Pattern& pattern = *book.findPattern("kelp-lantern");
    const auto rib = *pattern.parts[1].material, saddle = *pattern.parts[3].material;
    const auto list = standInsFor(book, rib, UsedIn{"kelp-lantern", 1}).value();
    const auto wire =
        std::ranges::find_if(list, [&](const StandIn& s) { return book.findMaterial(s.material)->kind == MaterialKind::wire; });
    REQUIRE(wire != list.end());
    CHECK(wire->mind.find("one turn more") != std::string::npos);
    CHECK(std::ranges::any_of(wire->changes, [](const StandInChange& c) { return c.ruleOfThumb && c.what == "bulk" && c.to == "less"; }));
    const auto hens = standInsFor(book, saddle, UsedIn{"kelp-lantern", 3}).value();
    CHECK(std::ranges::any_of(hens, [](const StandIn& s) {
        return std::ranges::any_of(s.changes, [](const StandInChange& c) { return c.what == "sinks" && !c.ruleOfThumb; });
    }));
    const auto threads = standInsFor(book, pattern.thread, UsedIn{"kelp-lantern", std::nullopt}).value();
    CHECK(threads.size() > 3);
    CHECK(std::ranges::any_of(
        threads, [](const StandIn& s) { return std::ranges::any_of(s.changes, [](const StandInChange& c) { return c.what == "head"; }); }));
    for (const Material& material : albumBook().materials)
        CHECK(standInsFor(albumBook(), material.id));
    CHECK_FALSE(standInsFor(book, "nobody"));
    CHECK_FALSE(standInsFor(book, rib, UsedIn{"nobody", 1}));
    CHECK_FALSE(standInsFor(book, rib, UsedIn{"kelp-lantern", 5}));
}

TEST_CASE("a card of one's own is shown at its part, counted, kept at no count, and says what to practise") {
    New<Mishap> made = addMishapCard(demoBook(), "the rib turned copper side out", PartKind::rib);
    Book book = made.edit.after;
    REQUIRE(ownCards(book).size() == 1);
    const Plan plan = planPattern(book, "kelp-lantern").value();
    std::vector<MishapCard> cards = shipped();
    cards.push_back(ownCards(book).front());
    int shown = 0;
    for (const TyingStep& step : stepsOf(plan)) {
        const auto list = cardsFor(cards, plan, step);
        const bool own = std::ranges::any_of(list, [&](const MishapCard* c) { return c->id == made.id; });
        CHECK(own == (step.part >= 0 && plan.parts[static_cast<std::size_t>(step.part)].kind == PartKind::rib));
        shown += own ? 1 : 0;
    }
    CHECK(shown > 0);
    book = changeRecord(book, {"mishaps", made.id}, "next_fly", "look at the face before the crease").value().after;
    CHECK(ownMishaps(book, shipped()).front().practise == "look at the face before the crease");
    book = takeBackMishap(book, made.id, "").after;  // the card stays when it is not counted
    REQUIRE(ownCards(book).size() == 1);
    CHECK(ownMishaps(book, shipped()).empty());
    const Book two = addMishapCard(book, "another", PartKind::rib).edit.after;
    CHECK(two.mishaps.back().id != made.id);
    CHECK(store::readBench(store::writeBench(two)).value().book == two);
}
