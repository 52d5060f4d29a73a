// Wings and cheeks.
#include <algorithm>

#include "bench/step_writer.h"
#include "language/say.h"
#include "units/text.h"
#include "words/words.h"

namespace machair {

bool StepWriter::standsBeforeBody(std::size_t i) const {
    for (std::size_t k = i + 1; k < plan_.parts.size(); ++k)
        if (at(k).kind == PartKind::body || at(k).kind == PartKind::tail) return true;
    return false;
}

void StepWriter::tie(std::size_t i, const WingPlan& wing) {
    const auto& own = writtenAs<WingPart>(i);
    const bool first = standsBeforeBody(i);
    if (!first) {
        windRibs();
        brushOut(true);
    }
    rampFor(i, wing);
    prepareSlips(i, wing);
    TyingStep& in = add(static_cast<int>(i), tyingIn(i, inMillimetres(wing.length)), at(i).station);
    sayManner(in, i, wing);
    const bool upright = own.angle && own.angle->inDegrees() >= 60.0;
    if (upright && wing.style != WingStyle::upright)
        in.how += first ? say("; tips over the eye") : "";
    else if (wing.style == WingStyle::upright)
        in.how = say("tips over the eye, bound down on the bed; butts sloped back");
    if (own.angle) {
        setAtItsAngle(i, wing);
    } else {
        in.locks.emplace_back(say("it holds by its own loops alone"));
        in.look += wing.style == WingStyle::plume ? say("; it lies free") : say("; low over the body");
    }
    finished(i);
    trimButts(i, wing);
}

void StepWriter::rampFor(std::size_t i, const WingPlan& wing) {
    const auto& own = writtenAs<WingPart>(i);
    const int part = static_cast<int>(i);
    if (wing.rampTurns > 0 && !own.angle) {
        TyingStep& ramp =
            add(part, {unsaid("ramp"), say("the bed for {}", nameOfPart(i)), counted(wing.rampTurns, "turn", "turns")}, at(i).station);
        ramp.how = say("from the shoulder down to where it is tied in, not ahead of it");
        ramp.look = say("a slope, no step");
        ramp.wrong = {"wing.cocks"};
    }
}

// Folded, or married, before it goes on.
void StepWriter::prepareSlips(std::size_t i, const WingPlan& wing) {
    const auto& own = writtenAs<WingPart>(i);
    const int part = static_cast<int>(i);
    const auto* vane = std::get_if<VaneTraits>(&at(i).made.traits);
    if (wing.style == WingStyle::rolled && vane && wing.layers > 1) {
        TyingStep& fold =
            add(part, {unsaid("fold"), nameOfPart(i) + ", " + at(i).made.title(), counted(wing.layers, "layer", "layers")}, thread_);
        fold.how = say("a slip of {} mm, {}, edges inside", formatNumber(wing.slip / mm, 1),
                       own.folds == Folds::halves ? say("halved and halved again") : say("in thirds"));
        fold.face = say("dull side in, the back of its curve up");
        fold.look = say("it lies flat in the fingers");
        fold.wrong = {"wing.splays"};
    } else if (wing.style == WingStyle::paired || wing.style == WingStyle::upright) {
        TyingStep& marry = add(part, {unsaid("marry"), say("{}'s slips", nameOfPart(i)), inMillimetres(wing.slip)}, thread_);
        const bool together = wing.style == WingStyle::upright;
        // The near slip of a right-hander's own-side feather curves down; the two exchanged, the tips turn up.
        const bool up = !together && held().slipTips == SlipTips::up;
        marry.how = say("{}; roots level; the slip of the {} feather nearest you{}",
                        std::string(together ? say("good sides together: they part themselves") : say("dull sides together")),
                        (hand_ == Hand::right) != up ? say("right") : say("left"), up ? say(", so that the tips turn up") : "");
        marry.face = together ? say("good sides together") : say("good sides out");
        marry.look = say("the tips meet");
        marry.wrong = {"wing.unequal"};
    }
}

// How each style is bound in, and what to look at.
void StepWriter::sayManner(TyingStep& in, std::size_t i, const WingPlan& wing) const {
    const auto& own = writtenAs<WingPart>(i);
    const std::string count = wing.count ? machair::said(counted(own.count, *wing.count, wing.style == WingStyle::hair ? "hair" : "feather",
                                                                 wing.style == WingStyle::hair ? "hairs" : "feathers"))
                                         : std::string();
    switch (wing.style) {
        case WingStyle::cloak:
            in.how = say("half a side of the feather, hugging the body");
            in.face = say("good side out");
            in.wrong = {"wing.side", "wing.long"};
            in.look = say("both sides alike, the roof closed");
            break;
        case WingStyle::hair:
            in.how = say("{}, one turn round the hair alone, then down; a touch of varnish", count);
            in.wrong = {"hair.pulls", "wing.long", "wing.rolls"};
            in.look = say("level tips");
            break;
        case WingStyle::plume:
            in.how = say("{}, tips level", count);
            if (held().plume == PlumeSchool::cover) in.how += say("; drawn forward over what lies below it and bound again at the front");
            in.wrong = {"plume.thick", "wing.long"};
            in.look = say("thin when wet");
            break;
        case WingStyle::tips:
            in.how = say("{}, the second matched to the first", count);
            in.face = say("good sides out to close them, together to open them");
            in.wrong = {"wing.rolls", "wing.unequal", "wing.long"};
            in.look = say("equal");
            break;
        default:
            in.how =
                say("a pinch at the bed: thread up, a soft loop between the fingers, drawn straight down; 2 or 3 loops, look, then 4 turns "
                    "ahead of it");
            in.wrong = {"wing.rolls", "wing.cocks", "wing.long", "wing.short", "wing.splits"};
            in.look = say("central, in line");
    }
}

void StepWriter::setAtItsAngle(std::size_t i, const WingPlan& wing) {
    const auto& own = writtenAs<WingPart>(i);
    const int part = static_cast<int>(i);
    const bool upright = own.angle->inDegrees() >= 60.0;
    TyingStep& set = add(part, {unsaid("set"), say("{} at its angle", nameOfPart(i)), {formatNumber(own.angle->inDegrees(), 0), "degrees"}},
                         at(i).station);
    set.how = upright ? say("lifted, 4 turns in front of it{}",
                            std::string(wing.style == WingStyle::upright || wing.style == WingStyle::tips
                                            ? held().uprightWings == UprightWings::divided
                                                  ? say("; parted by 2 figures-of-eight")
                                                  : say("; parted by 1 or 2 figures-of-eight if it doesn't part itself")
                                            : ""))
                      : say("2 turns under it, then ahead of it");
    set.locks.push_back(say("the turns against its root hold the angle"));
    set.look = say("the angle, and both sides alike");
    set.wrong = {"wing.upright", "tuft.droops"};
}

void StepWriter::trimButts(std::size_t i, const WingPlan& wing) {
    const auto& own = writtenAs<WingPart>(i);
    if (own.cut.value_or(false)) {
        TyingStep& tip =
            add(static_cast<int>(i), {unsaid("trim"), say("{} to its length", nameOfPart(i)), inMillimetres(wing.length)}, thread_);
        tip.how = say("last of all, with the tips together");
        tip.look = say("level");
        tip.wrong = {"wing.long"};
    }
    TyingStep& trim =
        add(static_cast<int>(i), {unsaid("trim"), say("{}'s butts", nameOfPart(i)), {}}, std::max(std::min(thread_, at(i).station), eye()));
    trim.how = say("on a slope, fibre by fibre, the thread drawn aside");
    trim.look = say("the thread whole");
    trim.wrong = {"thread.cut", "head.butts"};
}

void StepWriter::tie(std::size_t i, const PiecePlan& piece) {
    windRibs();
    if (at(i).kind == PartKind::legs) return legs(i, piece);
    const auto& own = writtenAs<CheekPart>(i);
    TyingStep& step = add(static_cast<int>(i), {unsaid("fix"), pieceOf(i), counted(own.count, piece.count, "cheek", "cheeks")},
                          std::max(at(i).station, eye()));
    step.how = say("the far side first, then the near: 1 loose turn, levelled, then tightened; {} mm to the tip",
                   formatNumber(piece.length / mm, 1));
    switch (held().cheeks.value_or(CheekSchool::asWritten)) {
        case CheekSchool::natural: step.how += say("; a natural feather, matched on the bench"); break;
        case CheekSchool::made: step.how += say("; a made one keeps its shape: a touch of varnish on its root"); break;
        case CheekSchool::split: step.how += say("; split down the middle, half a side"); break;
        default: break;
    }
    step.face = say("good side out, tip to the rear");
    step.side = say("far side, then near");
    step.look = say("level from above and in front");
    step.wrong = {"cheek.level", "cheek.large"};
    step.caution = Caution::birds;
    finished(i);
}

}  // namespace machair
