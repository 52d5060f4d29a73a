// What goes wrong at the vice: how it shows, what can still be done on this fly, what prevents it on the next, and what the
// plan could have known. The cards ship as data (data/vice/mishaps.json, read by store/mishaps.h); a tier's own stand in the
// book beside the counts.
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "bench/steps.h"

namespace machair {

enum class Shows { now, later, finished, inUse };
template <>
struct Names<Shows> {
    static constexpr std::array entries = {NameOf{Shows::now, "now"}, NameOf{Shows::later, "later"}, NameOf{Shows::finished, "finished"},
                                           NameOf{Shows::inUse, "in_use"}};
};
// What has to come off to mend it.
enum class Undo { inPlace, turns, part, back, none };
template <>
struct Names<Undo> {
    static constexpr std::array entries = {NameOf{Undo::inPlace, "in_place"}, NameOf{Undo::turns, "turns"}, NameOf{Undo::part, "part"},
                                           NameOf{Undo::back, "back"}, NameOf{Undo::none, "none"}};
};

struct MishapCard {
    std::string id;     // "wing.cocks"
    std::string shows;  // "stands up"
    Shows when = Shows::now;
    Undo undo = Undo::inPlace;
    std::string thisFly;               // the mend; of one past mending, what to do instead
    std::string nextFly;               // what prevents it
    std::string seenBy;                // what the plan could have known; empty where nothing on paper shows it
    std::vector<PartKind> parts;       // that it befalls; none: hook, thread and tray
    std::vector<MaterialKind> madeOf;  // any where empty
};
// The tier's own cards of a book.
[[nodiscard]] std::vector<MishapCard> ownCards(const Book& book);
[[nodiscard]] std::string sayUndo(Undo undo);
[[nodiscard]] std::string sayShows(Shows when);

// The cards for one step: those that the step names, in its order, then the others of its part.
[[nodiscard]] std::vector<const MishapCard*> cardsFor(const std::vector<MishapCard>& cards, const Plan& plan, const TyingStep& step);
[[nodiscard]] const MishapCard* findCard(const std::vector<MishapCard>& cards, std::string_view id);

// The change of the plan that would have prevented it: one key of one part. Nothing where only the hand can.
struct PlanLink {
    std::size_t part = 0;
    std::string key;
    std::string text;   // its new value
    std::string words;  // "half a turn less: 3 → 2.5"
};
[[nodiscard]] std::optional<PlanLink> planLink(const MishapCard& card, const Plan& plan, std::size_t part);

// A tier's own mishaps, the most frequent first, with what to practise. Counts of parts from older books ("wing") have the
// part's name for their card. Cards and these are in English, as they are kept: who shows them says them.
struct OwnMishap {
    std::string id;
    std::string shows;
    std::string practise;
    int count = 0;
};
[[nodiscard]] std::vector<OwnMishap> ownMishaps(const Book& book, const std::vector<MishapCard>& cards);

}  // namespace machair
