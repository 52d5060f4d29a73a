// Palmers, collars, throats and legs.
#include <algorithm>
#include <cmath>
#include <utility>

#include "bench/step_writer.h"
#include "language/say.h"
#include "sizing/crossing.h"
#include "units/text.h"
#include "words/words.h"

namespace machair {

void StepWriter::tieInPalmer(std::size_t i, const PalmerPlan& palmer) {
    const bool rearward = palmer.wound == PalmerWound::rearward;
    TyingStep& in = add(static_cast<int>(i), tyingIn(i, inMillimetres(palmer.hackle.tieInFibre)), rearward ? at(i).station : palmer.end);
    in.how = rearward ? say("at the shoulder by the butt, one turn of bare stem, 3 mm of it bound")
                      : say("at the rear by the tip; it waits for the body");
    if (palmer.feathers > 1) in.how += say("; {} feathers laid as one", std::to_string(palmer.feathers));
    in.side = say("near side");
    in.face = say("good side towards you");
    in.look = rearward ? say("the stem square to the shank, a fibre flared against the hook") : say("the longest fibre will be in front");
    in.wrong =
        rearward ? std::vector<std::string>{"palmer.long", "hackle.twists"} : std::vector<std::string>{"palmer.short", "hackle.twists"};
    in.caution = Caution::birds;
    tiedIn_[i] = 1;
}

// Their tips lie under the body.
void StepWriter::tieInForwardPalmers(std::size_t body) {
    for (std::size_t i = body + 1; i < plan_.parts.size(); ++i) {
        const auto* palmer = std::get_if<PalmerPlan>(&at(i).detail);
        if (!palmer || palmer->wound != PalmerWound::forward || tiedIn_[i]) continue;
        const auto* own = std::get_if<BodyPlan>(&at(body).detail);
        const bool thorax = writtenAs<PalmerPart>(i).along == PalmerAlong::thorax;
        if (own && thorax == (at(body).kind == PartKind::thorax)) tieInPalmer(i, *palmer);
    }
}

bool StepWriter::bodyComes(std::size_t after, bool thorax) const {
    for (std::size_t k = after + 1; k < plan_.parts.size(); ++k)
        if (std::holds_alternative<BodyPlan>(at(k).detail) && (at(k).kind == PartKind::thorax) == thorax) return true;
    return false;
}

// Those that were tied in before the body, now that there is one.
void StepWriter::windWaiting(PartKind kind) {
    std::vector<std::size_t> left;
    for (const std::size_t i : std::exchange(hackles_, {})) {
        if (at(i).kind != kind)
            left.push_back(i);
        else if (const auto* palmer = std::get_if<PalmerPlan>(&at(i).detail))
            windPalmer(i, *palmer);
        else
            windCollar(i, std::get<HacklePlan>(at(i).detail));
    }
    hackles_.insert(hackles_.begin(), left.begin(), left.end());
}

void StepWriter::tie(std::size_t i, const PalmerPlan& palmer) {
    const bool thorax = writtenAs<PalmerPart>(i).along == PalmerAlong::thorax;
    if (!tiedIn_[i]) tieInPalmer(i, palmer);
    if (palmer.wound == PalmerWound::forward && bodyComes(i, thorax))
        hackles_.push_back(i);
    else
        windPalmer(i, palmer);
}

void StepWriter::windPalmer(std::size_t i, const PalmerPlan& palmer) {
    const auto& own = writtenAs<PalmerPart>(i);
    const bool rearward = palmer.wound == PalmerWound::rearward;
    const Amount shoulder = counted(own.shoulderTurns, palmer.shoulderTurns, "turn", "turns"),
                 open = counted(own.openTurns, palmer.openTurns, "turn", "turns");
    Amount all = open;
    if (!shoulder.number.empty()) all = open.number.empty() ? shoulder : Amount{shoulder.number + " + " + open.number, say("turns")};
    TyingStep& wind = add(static_cast<int>(i), {unsaid("wind"), pieceOf(i), all}, at(i).station);
    wind.how = rearward
                   ? (shoulder.number.empty()
                          ? say("open and even to the rear; the pliers hang there")
                          : say("{} touching at the shoulder, then open and even to the rear; the pliers hang there", shoulder.number))
                   : say("open and even, forward") + (shoulder.number.empty() ? "" : say(", {} touching at the shoulder", shoulder.number));
    wind.direction = sense(i) + (rearward ? say(", to the rear") : say(", forward"));
    for (const HeldPart& held : heldParts(plan_))
        if (held.upper == i && held.crossing.hold == Hold::locks)
            wind.locks.push_back(say("{}: it crosses the strands", nameOfPart(held.lower)));
    wind.look = own.along == PalmerAlong::thorax ? say("fur shows between") : say("even gaps");
    wind.wrong = {"palmer.slack", "palmer.bunched", "hackle.twists", "hackle.breaks"};
    finished(i);
    const bool ribWaits = !ribs_.empty();
    if (!rearward) {
        tieOff(i, nameOfPart(i));
    } else if (!ribWaits) {
        TyingStep& off = add(static_cast<int>(i), {unsaid("tie off"), nameOfPart(i), {"3", say("turns")}}, palmer.end);
        off.how = say("the thread wound back through it in open turns, swayed between the fibres, and over its tip");
        off.locks = {say("{}'s tip; its stem is crossed by thread alone", nameOfPart(i))};
        off.look = say("no fibres down");
        off.wrong = {"palmer.cut", "palmer.trapped"};
        add(static_cast<int>(i),
            {unsaid("thread forward"), say("through it, to the body front"), inMillimetres(palmer.end - at(i).station)}, at(i).station)
            .look = say("no fibres down");
    }
    windRibs();
    if (rearward && ribWaits) {
        TyingStep& tip = add(static_cast<int>(i), {unsaid("tie off"), say("{}'s tip", nameOfPart(i)), {"1", say("turn")}}, thread_);
        tip.how = say("the rib's first square turn has it: cut it close behind that");
        tip.look = say("nothing sticks out behind");
        tip.wrong = {"hackle.stray", "palmer.loose"};
    }
}

// For who ties them in before the body: the thread goes through them once they are wound.
void StepWriter::tieInCollarsBefore(std::size_t body) {
    if (held().collarTiedIn != CollarTiedIn::beforeBody || at(body).kind != PartKind::body) return;
    for (std::size_t i = body + 1; i < plan_.parts.size(); ++i) {
        const auto* hackle = std::get_if<HacklePlan>(&at(i).detail);
        if (!hackle || at(i).kind != PartKind::collar || tiedIn_[i] || continues(i) || at(i).made.kind != MaterialKind::hackle) continue;
        tieInCollar(i, *hackle);
        tiedIn_[i] = 1;
    }
}

void StepWriter::tie(std::size_t i, const HacklePlan& hackle) {
    if (tiedIn_[i]) {
        windRibs();
        brushOut(true);
        return windCollar(i, hackle);
    }
    if (at(i).kind == PartKind::collar && bodyComes(i, false)) {  // tied in before the body, wound last
        tieInCollar(i, hackle);
        hackles_.push_back(i);
        return;
    }
    windRibs();  // a rib that nothing else took up
    brushOut(true);
    if (at(i).kind == PartKind::throat) return throat(i, hackle);
    tieInCollar(i, hackle);
    windCollar(i, hackle);
}

void StepWriter::throat(std::size_t i, const HacklePlan& hackle) {
    TyingStep& in = add(static_cast<int>(i), tyingIn(i, inMillimetres(hackle.fibre)), at(i).station);
    in.how =
        say("the hook turned over, or the fibres pressed below; {}", machair::said(counted(std::round(hackle.fibres), "fibre", "fibres")));
    in.side = say("underneath");
    in.face = say("good side out");
    in.look = say("between the sides' lowest thirds");
    in.wrong = {"throat.sides", "hackle.long"};
    in.caution = Caution::birds;
    finished(i);
    TyingStep& trim =
        add(static_cast<int>(i), {unsaid("trim"), say("{}'s butts", nameOfPart(i)), {}}, std::max(at(i).station - hackle.width, eye()));
    trim.how = say("on a slope, fibre by fibre, the thread drawn aside");
    trim.look = say("the thread whole");
    trim.wrong = {"thread.cut", "head.butts"};
}

void StepWriter::tieInCollar(std::size_t i, const HacklePlan& hackle) {
    const int part = static_cast<int>(i);
    const MaterialKind kind = at(i).made.kind;
    const bool plume = kind == MaterialKind::plume, fur = kind == MaterialKind::dubbing;
    if (continues(i)) {
        TyingStep& up = add(part, {unsaid("take up"), say("{} again as {}", continued(i), nameOfPart(i)), {}}, at(i).station);
        up.how = say("the same feather, lifted past what stands between and drawn tight up to it");
        up.look = say("what it passes is not pushed");
        up.wrong = {"wing.pushed"};
    } else if (fur) {
        TyingStep& split = add(part, {unsaid("tie in"), pieceOf(i), inMillimetres(hackle.fibre)}, at(i).station);
        split.how = say("in a loop or the split thread: sparse fibres across it, spun");
        split.look = say("one can see through it");
        split.wrong = {"loop.full"};
        split.caution = Caution::dust;
    } else {
        const bool tip = hackle.tieIn == TieIn::tip || plume;
        TyingStep& in = add(part, {unsaid("tie in"), pieceOf(i), inMillimetres(hackle.tieInFibre)}, at(i).station);
        in.how = tip ? say("by the tip, 1 turn and then 3; it is wound from the stem end, the first turn the shortest")
                     : say("by the butt, stripped for one turn, the first turn the longest");
        if (hackle.through) in.how += say("; before the one that it goes through is wound, if it isn't yet");
        in.side = say("near side");
        in.face = plume                                 ? say("its curve over the top")
                  : hackle.stand == FibreStand::upright ? say("good side towards the eye once it stands")
                                                        : say("good side towards you, to the eye once it stands");
        in.look = say("a fibre here held to its landmark");
        in.wrong = {"hackle.long", "hackle.short"};
        in.caution = Caution::birds;
    }
}

void StepWriter::windCollar(std::size_t i, const HacklePlan& hackle) {
    const auto& own = writtenAs<CollarPart>(i);
    const int part = static_cast<int>(i);
    const MaterialKind kind = at(i).made.kind;
    const bool plume = kind == MaterialKind::plume, fur = kind == MaterialKind::dubbing;
    const Length after = std::max(at(i).station - hackle.width, eye());
    const bool until = own.until.has_value();
    TyingStep& wind = add(part, {unsaid("wind"), pieceOf(i), turnsOf(until ? std::nullopt : own.turns, hackle.turns)}, after);
    wind.how = until            ? say("touching turns as far as {}", sayStation(after, plan_.hook).text)
               : hackle.through ? say("worked between the fibres of the one behind it")
               : hackle.stand == FibreStand::upright
                   ? say("each turn against the last, standing upright")
                   : say("each turn ahead of the last, the fibres folded back before the next; the last half turn stroked back");
    if (tiedIn_[i]) wind.how += say("; from where it waited since before the body");
    if (hackle.stand == FibreStand::swept && !until && !hackle.through) {
        if (held().fibresReady == FibresReady::folded) wind.how = say("each turn ahead of the last; folded, they lie back by themselves");
        if (held().fibresReady == FibresReady::oneSide) wind.how = say("each turn ahead of the last, the stripped side to the eye");
    }
    wind.direction = say("over the top and away from you");
    wind.look = fur || plume ? say("one can see through it")
                             : say("even all round: stop by eye and by count; {}",
                                   machair::said(counted(std::round(hackle.fibres), "fibre", "fibres")));
    wind.wrong = plume ? std::vector<std::string>{"plume.thick", "hackle.trapped"}
                 : fur ? std::vector<std::string>{"loop.full"}
                       : std::vector<std::string>{"hackle.trapped", "hackle.many", "hackle.few", "hackle.one-sided", "hackle.breaks"};
    if (hackle.through) wind.wrong.insert(wind.wrong.begin(), "hackle.confused");
    if (until) wind.wrong.emplace_back("head.crowded");
    finished(i);
    tieOffCollar(i, hackle);
    if (tiedIn_[i]) {
        TyingStep& lock = add(part, {unsaid("lock"), nameOfPart(i), {"1", say("turn")}}, after);
        lock.how = say("the thread once through it, swayed between the fibres, and forward again");
        lock.locks.push_back(say("{}'s turns", nameOfPart(i)));
        lock.look = say("no fibres down");
        lock.wrong = {"hackle.trapped"};
    }
    if (held().hackle == HackleSchool::drawnDown && at(i).kind == PartKind::collar) {
        TyingStep& down = add(part, {unsaid("draw down"), nameOfPart(i), {"2", say("turns")}}, after);
        down.how = say("the upper fibres parted and drawn below from both sides, the turns laid across their roots");
        down.side = say("underneath");
        down.look = say("the back bare for the wing, both sides alike");
        down.wrong = {"throat.sides"};
    }
    if (own.cut.value_or(false)) {
        TyingStep& cut = add(part, {unsaid("trim"), say("{} square", nameOfPart(i)), inMillimetres(hackle.fibre)}, after);
        cut.how = say("all round, to its length");
        cut.look = say("one length all round");
        cut.wrong = {"hackle.long"};
    }
}

void StepWriter::tieOffCollar(std::size_t i, const HacklePlan& hackle) {
    const bool fur = at(i).made.kind == MaterialKind::dubbing;
    TyingStep& off = add(static_cast<int>(i), {unsaid("tie off"), nameOfPart(i), {"3", say("turns")}}, thread_);
    const bool thick = hackle.feather.stem > 0.06 * plan_.hook.gape() && at(i).made.kind == MaterialKind::hackle;
    const std::string first = thick ? say("a thick stem: squeezed flat first, ") : "";
    switch (held().featherEnd.value_or(FeatherEnd::folded)) {
        case FeatherEnd::folded:
            off.how = first + (thick ? say("its end laid back under 2 turns") : say("its end laid back under 2 turns more"));
            break;
        case FeatherEnd::cut: off.how = say("{}its end cut close, the thread drawn aside", first); break;
        case FeatherEnd::broken: off.how = say("{}its end broken off against the thread", first); break;
        case FeatherEnd::left: off.how = say("{}its end left till the head is wound, then cut", first); break;
    }
    off.locks.push_back(nameOfPart(i) + (fur ? "" : say("'s stem")));
    off.look = say("no bump, no fibre ahead");
    off.wrong = {"hackle.stem", "hackle.stray"};
}

void StepWriter::legs(std::size_t i, const PiecePlan& piece) {
    const auto& own = writtenAs<LegsPart>(i);
    const int part = static_cast<int>(i);
    if (own.style == LegStyle::spread) {
        TyingStep& splay = add(part, tyingIn(i, counted(own.count, piece.count, "fibre", "fibres")), at(i).station);
        splay.how = say("a bunch of {} mm, the turn loosened so that it spins right round, then bound", formatNumber(piece.length / mm, 1));
        splay.look = say("no side bare");
        splay.wrong = {"legs.clump"};
        finished(i);
        return;
    }
    TyingStep& in = add(part, tyingIn(i, counted(own.count, piece.count, "leg", "legs")), at(i).station);
    if (held().legsSet == LegsSet::singly) {
        in.how = say("one after the other, by turns a side, {} mm to the tips; the joint hidden by what comes next",
                     formatNumber(piece.length / mm, 1));
        in.side = say("near side, then far");
        in.look = say("the two sides alike, bends the same way");
        in.wrong = {"legs.side", "legs.odd", "legs.broken"};
        finished(i);
        return;
    }
    in.how = say("one bunch on top, {} mm to the tips", formatNumber(piece.length / mm, 1));
    in.side = say("on top");
    in.look = say("none broken");
    in.wrong = {"legs.odd", "legs.broken"};
    TyingStep& half = add(part, {unsaid("part"), nameOfPart(i), {"2", say("turns a side")}}, at(i).station);
    half.how = say("the thread slipped behind each half, the joint hidden by what comes next");
    half.look = say("the two sides alike, bends the same way");
    half.wrong = {"legs.side", "legs.odd"};
    finished(i);
}

}  // namespace machair
