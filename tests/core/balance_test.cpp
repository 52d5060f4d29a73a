#include "team/balance.h"

#include <catch2/catch.hpp>
#include <set>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

TeamSetting inWave(double metres) {
    TeamSetting setting;
    setting.day.wave = metres * metre;
    return setting;
}
Book teamOf(const char* bob, const char* middle, const char* point) {
    Book book = demoBook();
    book.teams = {TeamSpec{}};
    book.teams[0].id = "team";
    book.teams[0].flies = trioOf(bob, middle, point);
    return book;
}

}  // namespace

TEST_CASE("a team that passes gets no proposal") {
    const Book book = teamOf("kelp-lantern", "heather-tinker", "rush-piper");
    const BalanceReport report = balanceTeam(book, "team", inWave(0.134)).value();
    CHECK(report.passes);
    CHECK(report.empty());
    CHECK(report.planned == 0);
    CHECK_FALSE(balanceTeam(book, "nobody"));
}

TEST_CASE("every proposal passes once it is taken, costs what it says, and no part of it can be put back") {
    std::size_t checked = 0;
    for (const auto& [bob, middle, point, wave] : {std::tuple("copper-mooring", "dune-bell", "soot-ember", 0.134),
                                                   {"soot-ember", "heather-tinker", "shingle-wren", 0.045},
                                                   {"kelp-lantern", "heather-tinker", "dusk-hatcher", 0.134},
                                                   {"brass-buoy", "heather-tinker", "rush-piper", 0.134},
                                                   {"kelp-strider", "olive-ferryman", "copper-mooring", 0.2}}) {
        const Book book = teamOf(bob, middle, point);
        const TeamSetting setting = inWave(wave);
        const BalanceReport report = balanceTeam(book, "team", setting).value();
        if (report.passes) continue;
        for (const auto* list : {&report.box, &report.redressed}) {
            int last = 0;
            CHECK(list->size() <= 3);
            for (const Proposal& proposal : *list) {
                INFO(bob << ", " << middle << ", " << point << ": " << proposal.words());
                CHECK(proposal.cost >= last);
                CHECK(proposal.cost <= kCostCeiling);
                CHECK(proposal.cost <= list->front().cost + 2);
                last = proposal.cost;
                CHECK(proposal.verdict == Verdict::pass);
                const Edit taken = takeProposal(book, "team", proposal).value();
                CHECK(weighTeam(taken.after, "team", setting)->verdict == Verdict::pass);
                CHECK(check(taken.after).empty());
                for (const Position position : kTrio) {  // one place as it was
                    if (proposal.flies[position] == book.teams[0].at(position) && proposal.made[position].none()) continue;
                    Book less = taken.after;
                    less.teams[0].at(position) = book.teams[0].at(position);
                    std::set<std::string> flies;
                    for (const Position p : kTrio)
                        flies.insert(less.teams[0].at(p)->pattern);
                    if (flies.size() == 3) CHECK(weighTeam(less, "team", setting)->verdict != Verdict::pass);
                }
                ++checked;
            }
        }
    }
    CHECK(checked >= 6);
}

TEST_CASE("a fly that is tied otherwise becomes a dressing of its own for the team, or the dressing itself is changed") {
    const Book book = teamOf("soot-ember", "heather-tinker", "shingle-wren");
    const BalanceReport report = balanceTeam(book, "team", inWave(0.045)).value();
    REQUIRE_FALSE(report.redressed.empty());
    const Proposal& proposal = report.redressed.front();
    const Edit copy = takeProposal(book, "team", proposal, TakeAs::copy, 0.045 * metre).value();
    CHECK(copy.after.patterns.size() == book.patterns.size() + 1);
    CHECK(copy.after.patterns.back().title() == "Soot and Ember, ripple");
    CHECK(copy.after.patterns.back().variedFrom == "soot-ember");
    CHECK(*copy.after.findPattern("soot-ember") == *book.findPattern("soot-ember"));
    const Edit itself = takeProposal(book, "team", proposal, TakeAs::dressing).value();
    CHECK(itself.after.patterns.size() == book.patterns.size());
    CHECK_FALSE(*itself.after.findPattern("soot-ember") == *book.findPattern("soot-ember"));
    CHECK_FALSE(touchedBy(book, "team", proposal).empty());  // some lie in the box
}

TEST_CASE("another hook needs no other dressing: the fly is only tied on it") {
    const Book book = teamOf("kelp-lantern", "heather-tinker", "rush-piper");
    Proposal proposal;
    proposal.flies = book.teams[0].flies;
    proposal.made[Position::middle].size = 1;
    const Edit edit = takeProposal(book, "team", proposal).value();
    const Fly& fly = *edit.after.teams[0].at(Position::middle);
    CHECK(fly.pattern == "heather-tinker");
    REQUIRE(fly.hook);
    CHECK(edit.after.findHook(*fly.hook)->size == book.findHook(book.findPattern("heather-tinker")->hook)->size + 2);
    CHECK(*edit.after.findPattern("heather-tinker") == *book.findPattern("heather-tinker"));
    CHECK(weighTeam(edit.after, "team")->flies[1].plan.hook.size() == edit.after.findHook(*fly.hook)->size);
}

TEST_CASE("the hook of a change keeps a measured hook's own measures in step") {
    Book book = demoBook();
    HookSpec measured = hookSpec(10);
    measured.id = "mine";
    measured.measured = HookMeasures{};
    measured.measured->shank = 12.0 * mm;
    measured.measured->gape = 6.0 * mm;
    measured.measured->wire = 0.60 * mm;
    measured.longer = 1;  // no other of that model
    FlyChange smaller;
    smaller.size = 1;
    const HookSpec hook = hookFor(book, measured, smaller).value();
    CHECK(hook.size == 12);
    CHECK(*hook.measured->shank / mm == Approx(12.0 * 0.855));
    CHECK(*hook.measured->gape / mm == Approx(6.0 * 0.855));
    CHECK(*hook.measured->wire / mm == Approx(0.60 * 0.90));
    measured.size = 16;
    CHECK_FALSE(hookFor(book, measured, smaller));
    measured.size = 9;
    CHECK(hookFor(book, measured, smaller)->size == 10);
}

TEST_CASE("where nothing passes, what is off is named and the best of the box that keeps most is shown") {
    const Book book = teamOf("copper-mooring", "brass-buoy", "kelp-lantern");
    const BalanceReport report = balanceTeam(book, "team", inWave(0.25)).value();
    if (report.empty()) {
        CHECK_FALSE(report.conflicts.empty());
        if (report.instead) CHECK(report.instead->verdict == Verdict::pass);
    } else {
        CHECK(report.conflicts.empty());
    }
    // A fly far too full for a calm by itself, and nothing else in the box.
    Book alone = book;
    alone.teams[0].flies = trioOf("kelp-lantern", "heather-tinker", "rush-piper");
    for (BoxFly& fly : alone.box)
        fly.tied = 0;
    RuleCard card;
    card.id = "card";
    card.largestHook = 18;
    TeamSetting setting = inWave(0.0);
    setting.card = &card;
    const BalanceReport forbidden = balanceTeam(alone, "team", setting).value();
    CHECK(forbidden.empty());
    REQUIRE_FALSE(forbidden.conflicts.empty());
    CHECK_FALSE(forbidden.instead);
}

TEST_CASE("teams of one, two, four and five are balanced over the places that they have") {
    Book book = teamOf("copper-mooring", "heather-tinker", "rush-piper");
    book.teams[0].at(Position::middle).reset();
    const BalanceReport two = balanceTeam(book, "team", inWave(0.134)).value();
    REQUIRE_FALSE(two.box.empty());
    CHECK_FALSE(two.box.front().flies[Position::middle]);
    book.teams[0].at(Position::point).reset();
    CHECK_FALSE(balanceTeam(book, "team", inWave(0.134)).value().box.empty());
    book.teams[0].flies = trioOf("kelp-lantern", "heather-tinker", "rush-piper");
    book.teams[0].at(Position::upper) = "copper-mooring";
    book.teams[0].leader = LeaderSpec{};
    book.teams[0].leader->bobToMiddle = 2.0 * metre;
    const BalanceReport four = balanceTeam(book, "team", inWave(0.134)).value();
    for (const Proposal& proposal : four.box)
        CHECK(weighTeam(takeProposal(book, "team", proposal)->after, "team", inWave(0.134))->flies.size() == 4);
}

TEST_CASE("changes are whole steps with the costs of the contract, and are said in words") {
    FlyChange change;
    change.turns = -1;
    CHECK(change.cost() == 1);
    change.size = 1;
    CHECK(change.cost() == 5);
    change.wire = -1;
    CHECK(change.cost() == 7);
    change.bead = true;
    CHECK(change.cost() == 12);
    CHECK_FALSE(change.onlyHook());
    std::set<FlyChange> singles;
    for (const FlyChange& single : singleChanges())
        CHECK(singles.insert(single).second);
    CHECK(singles.size() == 25);
    for (const FlyChange& pair : pairedChanges(kCostCeiling)) {
        CHECK(pair.cost() <= kCostCeiling);
        CHECK_FALSE(singles.contains(pair));
    }
    const Book book = demoBook();
    const Plan plan = planPattern(book, "kelp-lantern").value();
    FlyChange said;
    said.turns = -1;
    said.fibre = 2;
    said.tail = 2;
    CHECK(sayChange(book, plan, said) == "one turn less on the palmer, the palmer 0.2 of the gape longer, the tail 30 % longer");
}

TEST_CASE("where the flies pass and only the leader fails, no fly is changed and each fault of the leader is named once") {
    Book book = teamOf("kelp-lantern", "heather-tinker", "rush-piper");
    LeaderSpec leader;
    leader.bobToMiddle = 0.2 * metre;
    leader.dropper = 0.4 * metre;
    book.teams[0].leader = leader;
    const BalanceReport report = balanceTeam(book, "team", inWave(0.134)).value();
    CHECK_FALSE(report.passes);
    CHECK(report.box.empty());
    CHECK(report.redressed.empty());
    CHECK_FALSE(report.instead);
    const TeamReport weighed = weighTeam(book, "team", inWave(0.134)).value();
    const auto off = std::ranges::count_if(weighed.checks, [](const TeamCheck& check) { return check.verdict != Verdict::pass; });
    CHECK(off >= 2);
    REQUIRE(std::ssize(report.conflicts) == off);
    CHECK(std::set(report.conflicts.begin(), report.conflicts.end()).size() == report.conflicts.size());
    for (const std::string& words : report.conflicts)
        CHECK((words.find("dropper") != std::string::npos || words.find("apart") != std::string::npos ||
               words.find(" m") != std::string::npos));
}

TEST_CASE("what the leader fails is not said again among what stands against what") {
    Book book = teamOf("copper-mooring", "copper-mooring", "copper-mooring");
    LeaderSpec leader;
    leader.bobToMiddle = 0.2 * metre;
    book.teams[0].leader = leader;
    const BalanceReport report = balanceTeam(book, "team", inWave(0.134)).value();
    CHECK_FALSE(report.passes);
    CHECK(std::set(report.conflicts.begin(), report.conflicts.end()).size() == report.conflicts.size());
}
