// The smallest change that makes a team pass: models-team.md section E. Two lists, each searched exactly under a ceiling of
// cost: other flies of the box and another order, with nothing to tie; and flies tied a little otherwise.
#pragma once

#include <algorithm>
#include <functional>
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "book/edits.h"
#include "team/choose.h"
#include "team/redress.h"
#include "team/team.h"

namespace machair {

enum class ChangeKind { order, box, redress };
template <>
struct Names<ChangeKind> {
    static constexpr std::array entries = {NameOf{ChangeKind::order, "order"}, NameOf{ChangeKind::box, "box"},
                                           NameOf{ChangeKind::redress, "redress"}};
};

struct ProposedChange {
    Position position = Position::bob;
    ChangeKind kind = ChangeKind::order;
    std::string words;  // "Dune Bell to the bob"
};
struct Proposal {
    int cost = 0;
    std::vector<ProposedChange> changes;
    FliesByPosition flies;              // what hangs there then, as it is in the box
    ByPosition<FlyChange> made;         // and how it is tied otherwise
    std::optional<Position> insteadAt;  // a place that the box fills ...
    std::vector<Fly> instead;           // ... and other dressings of it that do as well there
    std::vector<std::string> insteadTitles;
    double score = 0.0;  // of 100, as Choose has it
    std::vector<TeamCheck> checks;
    Verdict verdict = Verdict::pass;
    [[nodiscard]] std::string words() const;  // in one line
    // Whether a dressing is tied otherwise, and not only put on another hook.
    [[nodiscard]] bool changesADressing() const {
        return std::ranges::any_of(made.each, [](const FlyChange& change) { return !change.onlyHook(); });
    }
};
struct BalanceReport {
    bool passes = false;                 // as it is: there is nothing to propose
    std::vector<Proposal> box;           // from the box, best first
    std::vector<Proposal> redressed;     // tied otherwise, best first
    std::vector<std::string> conflicts;  // where neither list has anything: what stands against what
    std::optional<Proposal> instead;     // then: the best team of the box that passes and keeps most of the flies
    std::uint64_t planned = 0;           // flies sized
    bool stopped = false;
    [[nodiscard]] bool empty() const { return box.empty() && redressed.empty(); }
};

inline constexpr int kCostCeiling = 8;

struct BalanceOptions {
    std::size_t wanted = 3;  // of each list
    std::stop_token stop = {};
    std::function<void(double)> progress = {};
};
[[nodiscard]] Result<BalanceReport> balanceTeam(const Book& book, const TeamId& team, const TeamSetting& setting = {},
                                                const BalanceOptions& options = {});

// Takes a proposal, as one edit. A fly that is tied otherwise becomes a dressing of its own for this team, or the dressing
// itself is changed; only another hook needs neither.
enum class TakeAs { copy, dressing };
[[nodiscard]] Result<Edit> takeProposal(const Book& book, const TeamId& team, const Proposal& proposal, TakeAs as = TakeAs::copy,
                                        std::optional<Length> wave = {});
// What changing the dressings themselves would touch beside this team: "Reed Skipper, 10 in West shore", "4 in the box".
[[nodiscard]] std::vector<std::string> touchedBy(const Book& book, const TeamId& team, const Proposal& proposal);

}  // namespace machair
