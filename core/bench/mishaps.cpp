#include "bench/mishaps.h"

#include <algorithm>
#include <cmath>

#include "book/find.h"
#include "language/say.h"
#include "units/text.h"
#include "units/visit.h"

namespace machair {

namespace {

bool befalls(const MishapCard& card, const PartPlan& part) {
    if (std::ranges::find(card.parts, part.kind) == card.parts.end()) return false;
    return card.madeOf.empty() || std::ranges::find(card.madeOf, part.made.kind) != card.madeOf.end();
}

std::string shown(double value) { return formatShort(value, 1); }

PlanLink counted(std::size_t part, const char* key, double from, double to, const std::string& what) {
    return {part, key, formatExact(to), what + ": " + shown(from) + " → " + shown(to)};
}

}  // namespace

std::vector<MishapCard> ownCards(const Book& book) {
    std::vector<MishapCard> cards;
    for (const Mishap& mishap : book.mishaps) {
        if (!mishap.isOwnCard()) continue;
        MishapCard card;
        card.id = mishap.id;
        card.shows = mishap.shows.value_or(mishap.id);
        card.thisFly = mishap.thisFly.value_or("");
        card.nextFly = mishap.nextFly.value_or("");
        if (mishap.part) card.parts = {*mishap.part};
        cards.push_back(std::move(card));
    }
    return cards;
}

std::string sayUndo(Undo undo) {
    switch (undo) {
        case Undo::inPlace: return say("mended in place");
        case Undo::turns: return say("unwind its own turns of thread");
        case Undo::part: return say("the part comes off");
        case Undo::back: return say("back to it: all since comes off");
        case Undo::none: return say("no mend on this fly");
    }
    throw BrokenContract("unknown undo");
}

std::string sayShows(Shows when) {
    switch (when) {
        case Shows::now: return say("shows at once");
        case Shows::later: return say("shows when the next part goes on");
        case Shows::finished: return say("shows on the finished fly");
        case Shows::inUse: return say("shows when it is fished");
    }
    throw BrokenContract("unknown time");
}

const MishapCard* findCard(const std::vector<MishapCard>& cards, std::string_view id) { return findById(cards, id); }

std::vector<const MishapCard*> cardsFor(const std::vector<MishapCard>& cards, const Plan& plan, const TyingStep& step) {
    std::vector<const MishapCard*> list;
    for (const std::string& id : step.wrong)
        if (const MishapCard* card = findCard(cards, id); card && std::ranges::find(list, card) == list.end()) list.push_back(card);
    for (const MishapCard& card : cards) {
        if (std::ranges::find(list, &card) != list.end()) continue;
        const bool own = step.part >= 0 ? befalls(card, plan.parts[static_cast<std::size_t>(step.part)])
                                        : step.threadOn && card.parts.empty() && card.id.starts_with("thread");
        if (own) list.push_back(&card);
    }
    return list;
}

namespace {

// What would keep a card's mishap from coming back, of each kind of part.
struct LinkOf {
    std::string_view id;  // the card's
    const Plan& plan;
    std::size_t part;
    const Part& written = plan.pattern.parts[part];
    using Link = std::optional<PlanLink>;

    Link operator()(const HacklePlan& hackle) const {
        if (plan.parts[part].kind != PartKind::collar) return std::nullopt;
        if (id == "hackle.many" && hackle.turns > 1.0)
            return counted(part, "turns", hackle.turns, hackle.turns - 0.5, say("half a turn less"));
        if ((id == "hackle.few" || id == "hackle.one-sided") && hackle.turns + 0.5 <= hackle.mostTurns)
            return counted(part, "turns", hackle.turns, hackle.turns + 0.5, say("half a turn more"));
        if (id == "hackle.stem" && hackle.tieIn == TieIn::butt)
            return PlanLink{part, "tie_in", "tip", say("tied in by the tip: butt → tip")};
        return std::nullopt;
    }
    Link operator()(const TailPlan& tail) const {
        if (id == "tail.thick" && tail.fibres > 3.0)
            return counted(part, "fibres", tail.fibres, std::floor(0.8 * tail.fibres), say("fewer fibres"));
        if (id == "tail.thin" && tail.fibres > 0.0)
            return counted(part, "fibres", tail.fibres, std::ceil(1.25 * tail.fibres), say("more fibres"));
        return std::nullopt;
    }
    Link operator()(const RibPlan& rib) const {
        if (id == "rib.few") return counted(part, "turns", rib.turns, rib.turns + 1.0, say("a turn more"));
        if (id == "rib.breaks" && rib.turns > 3.0) return counted(part, "turns", rib.turns, rib.turns - 1.0, say("a turn less"));
        if (id != "rib.along") return std::nullopt;
        const bool with = rib.direction == Winding::with;
        return PlanLink{part, "direction", with ? "counter" : "with",
                        say("the rib's other sense: ") + (with ? say("with → counter") : say("counter → with"))};
    }
    Link operator()(const TagPlan&) const {
        const auto* tag = std::get_if<TagPart>(&written.detail);
        if (!tag || (id != "tag.cut" && id != "tag.creeps") || tag->protect.value_or(Protection::none) != Protection::none)
            return std::nullopt;
        return PlanLink{part, "protect", "varnish", say("a film of varnish: none → varnish")};
    }
    Link operator()(const BodyPlan& body) const {
        if (id == "body.gap" && body.strands) return counted(part, "strands", *body.strands, *body.strands + 1.0, say("a strand more"));
        const auto* own = std::get_if<BodyPart>(&written.detail);
        if ((id == "body.unwinds" || id == "herl.snaps") && body.strands && own && !own->twisted.value_or(false))
            return PlanLink{part, "twisted", "yes", say("twisted with the thread")};
        return std::nullopt;
    }
    Link operator()(const PalmerPlan& palmer) const {
        if (id != "palmer.bunched" || palmer.openTurns <= 3.0) return std::nullopt;
        return counted(part, "open_turns", palmer.openTurns, palmer.openTurns - 1.0, say("an open turn less"));
    }
    Link operator()(const WingPlan& wing) const {
        if (id != "wing.splays" || wing.layers <= 2) return std::nullopt;
        return counted(part, "layers", wing.layers, wing.layers - 1, say("a layer less"));
    }
    Link operator()(const HeadPlan& head) const {
        if (id == "coat.tacky" && head.coats > 2) return counted(part, "coats", head.coats, 2.0, say("two coats"));
        if (id == "whip.loose" && head.whipTurns < 5.0)
            return counted(part, "whip_turns", head.whipTurns, head.whipTurns + 1.0, say("a turn more"));
        return std::nullopt;
    }
    Link operator()(const OneOf<UnderbodyPlan, PiecePlan, BeadPlan, ThreadPlan, Impossible> auto&) const { return std::nullopt; }
};

}  // namespace

std::optional<PlanLink> planLink(const MishapCard& card, const Plan& plan, std::size_t part) {
    if (part >= plan.parts.size()) return std::nullopt;
    return std::visit(LinkOf{card.id, plan, part}, plan.parts[part].detail);
}

std::vector<OwnMishap> ownMishaps(const Book& book, const std::vector<MishapCard>& cards) {
    std::vector<OwnMishap> list;
    for (const Mishap& mishap : book.mishaps) {
        if (mishap.count <= 0) continue;
        OwnMishap own{mishap.id, mishap.shows.value_or(mishap.id), unsaid("look closer: say what it was next time"), mishap.count};
        if (const MishapCard* card = findCard(cards, mishap.id)) {
            own.shows = card->shows;
            own.practise = card->nextFly;
        } else if (mishap.nextFly)
            own.practise = *mishap.nextFly;
        list.push_back(std::move(own));
    }
    std::ranges::stable_sort(list, std::greater{}, &OwnMishap::count);
    return list;
}

}  // namespace machair
