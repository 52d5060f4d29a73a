#include "team/balance.h"

#include <catch2/catch.hpp>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

// The demo's good team with its middle dressed too long and too fully.
Book unsteady() {
    Book book = demoBook();
    auto& collar = std::get<CollarPart>(book.findPattern("heather-tinker")->parts[5].detail);
    std::get<Reach>(collar.length.value).past = Held<LengthSpec>(ratioOf(0.35, Yardstick::gape));
    collar.turns = exactly(4.5);
    return book;
}

std::vector<TeamCheck> checksOf(const Book& book, const char* team, const TeamSetting& setting = {}) { return weighTeam(book, team, setting).value().checks; }

}  // namespace

TEST_CASE("a team that passes needs nothing") {
    const BalanceReport report = balanceTeam(demoBook(), "west-shore").value();
    REQUIRE(report.proposals.size() == 1);
    CHECK(report.proposals[0].cost == 0);
    CHECK(report.proposals[0].changes.empty());
    CHECK(report.proposals[0].verdict == Verdict::pass);
}

TEST_CASE("each proposal passes when taken, costs what it says, and none of its changes can be left out") {
    const Book book = unsteady();
    REQUIRE(weighTeam(book, "west-shore")->verdict != Verdict::pass);
    const BalanceReport report = balanceTeam(book, "west-shore").value();
    REQUIRE(report.withinReach);
    REQUIRE_FALSE(report.proposals.empty());
    int last = 0;
    for (const Proposal& proposal : report.proposals) {
        CHECK(proposal.cost >= last);
        last = proposal.cost;
        CHECK(proposal.verdict == Verdict::pass);
        const Edit taken = takeProposal(book, "west-shore", proposal).value();
        CHECK(weighTeam(taken.after, "west-shore")->verdict == Verdict::pass);
        CHECK(check(taken.after).empty());
        int cost = 0;
        for (const Position p : kPositions) cost += proposal.made[p].cost();
        CHECK((proposal.cost - cost) % 3 == 0);
        // Undone one by one.
        for (const Position p : kPositions)
            for (const auto member : {&FlyChange::size, &FlyChange::wire, &FlyChange::turns, &FlyChange::overshoot, &FlyChange::bead}) {
                if (proposal.made[p].*member == 0) continue;
                Proposal less = proposal;
                less.made[p].*member = 0;
                const auto part = takeProposal(book, "west-shore", less);
                REQUIRE(part);
                CHECK(weighTeam(part->after, "west-shore")->verdict != Verdict::pass);
            }
    }
}

TEST_CASE("no single cheaper change that passes is missed") {
    const Book book = unsteady();
    const BalanceReport report = balanceTeam(book, "west-shore").value();
    const TeamSpec& team = *book.findTeam("west-shore");
    for (const Position position : kTrio)
        for (const FlyChange& change : {FlyChange{1, 0, 0, 0, 0}, {-1, 0, 0, 0, 0}, {0, 1, 0, 0, 0}, {0, -1, 0, 0, 0}, {0, 0, 1, 0, 0}, {0, 0, -1, 0, 0}, {0, 0, -2, 0, 0}, {0, 0, 0, 1, 0}, {0, 0, 0, -2, 0}}) {
            const auto changed = changeFly(book, *team.at(position), change);
            if (!changed || weighTeam(changed->after, "west-shore")->verdict != Verdict::pass) continue;
            CHECK(report.proposals[0].cost <= change.cost());
        }
}

TEST_CASE("out of reach the nearest is shown, and what stands against what") {
    const BalanceReport report = balanceTeam(demoBook(), "first-evening").value();
    CHECK_FALSE(report.withinReach);
    REQUIRE_FALSE(report.proposals.empty());
    CHECK_FALSE(report.conflicts.empty());
    CHECK(report.proposals[0].verdict != Verdict::pass);
    double before = 0.0, after = 0.0;
    for (const TeamCheck& c : checksOf(demoBook(), "first-evening")) before += std::min(c.shortfall, 50.0);
    for (const TeamCheck& c : report.proposals[0].checks) after += c.shortfall;
    CHECK(after < before);
}

TEST_CASE("teams of two and of one are balanced on the pairs that exist") {
    Book book = unsteady();
    book.teams[0].at(Position::middle).reset();
    CHECK(balanceTeam(book, "west-shore").value().proposals.size() >= 1);
    book.teams[0].at(Position::bob).reset();
    CHECK(balanceTeam(book, "west-shore").value().proposals[0].cost == 0);
    CHECK_FALSE(balanceTeam(book, "nobody"));
}

TEST_CASE("a check that can't be had with the others is named with what it stands against, and not otherwise") {
    const BalanceReport report = balanceTeam(demoBook(), "first-evening").value();
    for (const std::string& conflict : report.conflicts) {
        INFO(conflict);
        const bool against = conflict.find(" stands against ") != std::string::npos;
        const bool never = conflict.find(" mends it") != std::string::npos;
        CHECK(against != never);
    }
    // The two halves of a conflict are two different checks.
    for (const std::string& conflict : report.conflicts)
        if (const auto at = conflict.find(" stands against "); at != std::string::npos) {
            const std::string rest = conflict.substr(at + 16);
            CHECK(conflict.substr(0, at) != rest.substr(0, rest.find(':')));
        }
    // A fly too full for the wave by itself is in the list as well.
    TeamSetting flat;
    flat.fullness = FullnessWanted{0.2, 0.1, 0.1};
    const BalanceReport full = balanceTeam(demoBook(), "west-shore", flat).value();
    CHECK_FALSE(full.withinReach);
    CHECK(std::ranges::any_of(full.conflicts, [](const std::string& c) { return c.starts_with("fullness of the "); }));
}

TEST_CASE("four and five flies are balanced by the same changes, and the order by exchanging neighbours") {
    Book book = demoBook();
    TeamSpec& team = book.teams[0];
    team.leader = LeaderSpec{};
    team.leader->bobToMiddle = 2.4 * metre;  // room between them
    for (const int flies : {4, 5}) {
        team.leader->middleToPoint = flies == 5 ? 2.4 * metre : 1.2 * metre;
        team.at(Position::upper) = "shingle-wren";
        if (flies == 5) team.at(Position::lower) = "dune-bell";
        const auto before = weighTeam(book, "west-shore").value();
        REQUIRE(before.flies.size() == static_cast<std::size_t>(flies));
        const BalanceReport report = balanceTeam(book, "west-shore").value();
        REQUIRE_FALSE(report.proposals.empty());
        for (const Proposal& proposal : report.proposals) {
            const auto after = weighTeam(takeProposal(book, "west-shore", proposal)->after, "west-shore").value();
            CHECK(after.flies.size() == static_cast<std::size_t>(flies));
            CHECK(after.verdict == proposal.verdict);
            double was = 0.0, is = 0.0;
            for (const TeamCheck& c : before.checks) was += c.shortfall;
            for (const TeamCheck& c : after.checks) is += c.shortfall;
            CHECK(is <= was);
        }
        CHECK(report.withinReach == (report.proposals.front().verdict == Verdict::pass));
    }
}

TEST_CASE("a change of a fly is said in words and keeps the rest of the book") {
    const Book book = demoBook();
    const Edit edit = changeFly(book, "rush-piper", {1, 0, 1, -2, 0}).value();
    CHECK(edit.words == "Rush Piper: hook 12, one turn more on the collar, collar 10 % of the gape shorter");
    const auto& collar = std::get<CollarPart>(edit.after.findPattern("rush-piper")->parts[2].detail);
    CHECK(collar.turns->middle() == 2.5);
    CHECK_FALSE(std::get<Reach>(collar.length.value).past);  // 10 % past, 10 % shorter: to the point
    CHECK(edit.after.findHook(edit.after.findPattern("rush-piper")->hook)->size == 12);
    CHECK_FALSE(changeFly(book, "rush-piper", {0, 0, -2, 0, 0}));  // 1½ turns less two
    CHECK_FALSE(changeFly(book, "rush-piper", {9, 0, 0, 0, 0}));
    const Edit beaded = changeFly(book, "rush-piper", {0, 0, 0, 0, 1}).value();
    CHECK(beaded.after.findPattern("rush-piper")->parts.front().kind == PartKind::bead);
}

TEST_CASE("a rule card names each breach and what to change; a contest moves barbs out with the kept fish") {
    RuleCard card;
    card.id = "cup";
    card.mostFlies = 2;
    card.leastSpacing = 1.3 * metre;
    card.largestHook = 12;
    card.longestFly = 12.0 * mm;
    card.beads = false;
    card.barb = BarbRule::barbedUntilKept;
    card.keptBeforeBarbless = 4;
    TeamSetting setting;
    setting.card = &card;
    const auto breaches = [&] {
        int count = 0;
        for (const TeamCheck& c : checksOf(demoBook(), "west-shore", setting))
            if (c.term == TeamTerm::rules && c.verdict == Verdict::off) ++count;
        return count;
    };
    const int early = breaches();
    CHECK(early >= 2 /* hooks */ + 1 /* flies */ + 2 /* spacings */ + 1 /* length */);
    setting.contest.kept = 4;
    CHECK(breaches() == early + 3);
}
