// Which flies of the box: the best ordered teams for this day under a school and a rule card, the flies for one place, and
// why not another (models-team.md sections C and F). Exact; the score is a rule of thumb.
#pragma once

#include <optional>
#include <stop_token>
#include <string>
#include <string_view>
#include <vector>

#include "book/flies.h"
#include "team/best_triples.h"
#include "team/team.h"

namespace machair {

struct BoxCandidate {
    std::string id;        // of the box's fly, or of the dressing where there is no box
    Fly fly;               // its hook always said
    std::string title;     // "Kelp Lantern, 10 barbless"
    std::string dressing;  // "Kelp Lantern"
    int tied = 1;
    FlyFigures figures;
};
// The box of the book; every dressing once, as if it were tied, where the book has none. A fly that can't be planned is
// left out; faults only where none is left.
[[nodiscard]] Result<std::vector<BoxCandidate>> candidatesOf(const Book& book, const TeamSetting& setting);

// How a candidate does in one place.
struct Placed {
    std::size_t fly = 0;
    PlaceFit fit;
    std::string keptOut;  // why; empty where it may stand there
    std::vector<std::string> reasons;
    [[nodiscard]] double score() const { return fit.score(); }
};
// Corrections from the daybook, by candidate and place of three; empty where nobody asked.
using DaybookTerms = std::vector<std::array<std::optional<double>, kTrio.size()>>;

// The flies for one place, best first; those kept out last, with the reason. `beside` are those that stand in the other
// places already (candidates), and what the pairs cost is taken off.
[[nodiscard]] std::vector<Placed> rankPlace(const std::vector<BoxCandidate>& box, Position position, const SchoolRules& rules,
                                            const TeamSetting& setting, const ByPosition<std::optional<std::size_t>>& beside = {},
                                            const DaybookTerms& daybook = {});

// What the card takes off the leader now, and what goes on in its place: a twin of the same dressing where the box has one
// that the card allows, else the best fly for the place; nothing where there is none. `box` is the whole box under `setting`.
struct ComesOff {
    Position position = Position::bob;
    Fly off;
    std::string why;
    std::optional<Fly> on;
    bool twin = false;
    std::string words;  // "Kelp Lantern, 10 comes off the bob, Kelp Lantern, 10 barbless goes on"
};
[[nodiscard]] std::vector<ComesOff> underTheCard(const Book& book, const TeamId& team, const TeamSetting& setting,
                                                 const std::vector<BoxCandidate>& box);

struct Choice {
    std::array<std::size_t, 3> flies{};  // candidates, from bob to point
    double score = 0.0;                  // of 100
    int toTie = 0;
    Verdict verdict = Verdict::pass;
    std::vector<TeamCheck> checks;  // of its flies and pairs; the leader is the team's own affair
    std::vector<std::string> reasons;
    std::array<std::vector<std::size_t>, 3> couldBe;  // others in each place, for under one point of 100
};
struct LeftOut {
    std::size_t fly = 0;
    std::string why;
};
struct ChoiceReport {
    std::vector<Choice> teams;   // best first; each shares at most one place with those before it, a twin counting as the same
    std::uint64_t examined = 0;  // triples looked at, of all that there are
    std::uint64_t pairsScanned = 0;
    std::vector<LeftOut> leftOut;  // against the rules
    bool stopped = false;
};

// The others of one place of three: "Reed Skipper, 10, Dune Bell, 12 and 31 more".
[[nodiscard]] std::string sayCouldBe(const std::vector<BoxCandidate>& box, const Choice& choice, std::size_t place);

struct ChoiceWish {
    std::size_t wanted = 5;
    std::optional<std::size_t> include;      // a candidate that has to be on the team
    std::optional<Position> includeAt = {};  // and where; anywhere where nothing is said
    std::vector<std::size_t> avoid;
    DaybookTerms daybook = {};
    std::stop_token stop = {};
};
[[nodiscard]] ChoiceReport chooseTeams(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting,
                                       const ChoiceWish& wish = {});

// Why a fly is not on the best team: what keeps it out, or the best team with it and the largest differences to the best.
struct WhyNot {
    std::string keptOut;
    std::optional<Choice> with;
    std::vector<std::string> differences;  // three at most
};
[[nodiscard]] WhyNot whyNot(const std::vector<BoxCandidate>& box, std::size_t fly, std::optional<Position> at, const SchoolRules& rules,
                            const TeamSetting& setting, const DaybookTerms& daybook = {});

using FlyLists = std::array<std::vector<std::size_t>, 3>;  // candidates for bob, middle and point

// The scores that the search runs over, in whole units of 1e-4 times 4: for the test and the benchmark.
[[nodiscard]] TripleScores scoresOf(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting,
                                    const FlyLists& lists, const DaybookTerms& daybook = {});

}  // namespace machair
