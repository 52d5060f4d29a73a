// Which three of the fly box: the best ordered team for this water under a school and a rule card (models.md section
// 11). Exact; the score is a rule of thumb.
#pragma once

#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "team/best_triples.h"
#include "team/team.h"

namespace machair {

struct BoxCandidate {
    std::string id;       // of the box's fly, or of the dressing where there is no box
    std::string pattern;
    std::string title;    // "Kelp Lantern, 10"
    int tied = 1;
    std::optional<TeamRole> role;
    FlyFigures figures;
};
// The box of the book; every dressing once, as if it were tied, where the book has none. A fly that can't be planned is
// left out; faults only where none is left.
[[nodiscard]] Result<std::vector<BoxCandidate>> candidatesOf(const Book& book, const TeamSetting& setting);

struct Choice {
    std::array<std::size_t, 3> flies{};  // candidates, from bob to point
    double score = 0.0;
    double best = 0.0;   // that any team could have
    int toTie = 0;
    std::vector<TeamCheck> checks;  // of its pairs
    std::vector<std::string> reasons;
};
struct LeftOut {
    std::size_t fly = 0;
    std::string why;
};
struct ChoiceReport {
    std::vector<Choice> teams;  // best first
    std::uint64_t examined = 0;  // triples looked at, of all that there are
    std::uint64_t pairsScanned = 0;
    std::vector<LeftOut> leftOut;  // against the rules
    bool stopped = false;
};

struct ChoiceWish {
    std::size_t wanted = 10;
    std::optional<std::size_t> include;  // a candidate that has to be on the team
    std::vector<std::size_t> avoid;
    std::stop_token stop = {};
};
[[nodiscard]] ChoiceReport chooseTeams(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting, const ChoiceWish& wish = {});

using FlyLists = std::array<std::vector<std::size_t>, 3>;  // candidates for bob, middle and point

// Pairs only cost: no team scores more than its flies by themselves. So once `wanted` teams are known (from the flies
// that score most by themselves), a fly that couldn't come up to the last of them beside the best of all others is left
// out of its place. The best teams of what stays are the best of all.
[[nodiscard]] FlyLists narrowed(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting, const FlyLists& lists, std::size_t wanted,
                                const std::stop_token& stop = {});

// The scores that the search runs over, in whole units of 1e-4 times 4: for the test and the benchmark.
[[nodiscard]] TripleScores scoresOf(const std::vector<BoxCandidate>& box, const SchoolRules& rules, const TeamSetting& setting,
                                    const FlyLists& lists);

}  // namespace machair
