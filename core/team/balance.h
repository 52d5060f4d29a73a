// The smallest change that makes a team pass: models.md section 11, Balance. An exact search over hook size and wire,
// hackle turns and overshoot, a bead, and the order of the flies; costs are whole numbers, from the tier's own dressing.
// Of four and five flies only neighbours are exchanged, changes of a fly go up to a cost of 13, and where nothing passes the nearest is not proven to be it.
#pragma once

#include <compare>
#include <functional>
#include <stop_token>
#include <string>
#include <vector>

#include "book/edits.h"
#include "team/team.h"

namespace machair {

struct FlyChange {
    int size = 0;       // steps of two hook numbers: +1 is smaller (10 → 12)
    int wire = 0;       // sizes heavier
    int turns = 0;      // of its fullest hackle
    int overshoot = 0;  // steps of 5 % of the gape on that hackle's length
    int bead = 0;       // +1 on, -1 off
    auto operator<=>(const FlyChange&) const = default;
    [[nodiscard]] int cost() const;
};

// The dressing with this change, in the book; a hook that the book lacks is added to it. Faults where it can't be made:
// no such hook size, no hackle, a turn too few.
[[nodiscard]] Result<Edit> changeFly(const Book& book, std::string_view pattern, const FlyChange& change);

struct ProposedChange {
    Position position = Position::bob;
    std::string words;  // "one turn more on the collar"
};
struct Proposal {
    int cost = 0;
    std::vector<ProposedChange> changes;
    FliesByPosition patterns;  // after it
    ByPosition<FlyChange> made;
    std::vector<TeamCheck> checks;
    Verdict verdict = Verdict::pass;
};
struct BalanceReport {
    std::vector<Proposal> proposals;    // best first
    bool withinReach = true;            // false: nothing passes, these are the nearest
    std::vector<std::string> conflicts; // then: which two wants stand against each other
    std::uint64_t planned = 0;          // variants sized
    bool stopped = false;
};

struct BalanceOptions {
    std::size_t wanted = 5;
    std::stop_token stop = {};
    std::function<void(double)> progress = {};
};
[[nodiscard]] Result<BalanceReport> balanceTeam(const Book& book, std::string_view team, const TeamSetting& setting = {}, const BalanceOptions& options = {});

// Takes a proposal: the dressings changed and the flies in their new order, as one edit.
[[nodiscard]] Result<Edit> takeProposal(const Book& book, std::string_view team, const Proposal& proposal);

}  // namespace machair
