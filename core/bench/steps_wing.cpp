// Wings and cheeks.
#include <algorithm>

#include "bench/step_writer.h"
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
        in.how += first ? "; tips over the eye" : "";
    else if (wing.style == WingStyle::upright)
        in.how = "tips over the eye, bound down on the bed; butts sloped back";
    if (own.angle) {
        setAtItsAngle(i, wing);
    } else {
        in.locks.emplace_back("it holds by its own loops alone");
        in.look += wing.style == WingStyle::plume ? "; it lies free" : "; low over the body";
    }
    finished(i);
    trimButts(i, wing);
}

void StepWriter::rampFor(std::size_t i, const WingPlan& wing) {
    const auto& own = writtenAs<WingPart>(i);
    const int part = static_cast<int>(i);
    if (wing.rampTurns > 0 && !own.angle) {
        TyingStep& ramp = add(part, {"ramp", "the bed for " + nameOfPart(i), counted(wing.rampTurns, "turn", "turns")}, at(i).station);
        ramp.how = "from the shoulder down to where it is tied in, not ahead of it";
        ramp.look = "a slope, no step";
        ramp.wrong = {"wing.cocks"};
    }
}

// Folded, or married, before it goes on.
void StepWriter::prepareSlips(std::size_t i, const WingPlan& wing) {
    const auto& own = writtenAs<WingPart>(i);
    const int part = static_cast<int>(i);
    const auto* vane = std::get_if<VaneTraits>(&at(i).made.traits);
    if (wing.style == WingStyle::rolled && vane && wing.layers > 1) {
        TyingStep& fold = add(part, {"fold", nameOfPart(i) + ", " + at(i).made.title(), counted(wing.layers, "layer", "layers")}, thread_);
        fold.how = "a slip of " + formatNumber(wing.slip / mm, 1) + " mm, " +
                   (own.folds == Folds::halves ? "halved and halved again" : "in thirds") + ", edges inside";
        fold.face = "dull side in, the back of its curve up";
        fold.look = "it lies flat in the fingers";
        fold.wrong = {"wing.splays"};
    } else if (wing.style == WingStyle::paired || wing.style == WingStyle::upright) {
        TyingStep& marry = add(part, {"marry", nameOfPart(i) + "'s slips", inMillimetres(wing.slip)}, thread_);
        const bool together = wing.style == WingStyle::upright;
        // The near slip of a right-hander's own-side feather curves down; the two exchanged, the tips turn up.
        const bool up = !together && held().slipTips == SlipTips::up;
        marry.how = std::string(together ? "good sides together: they part themselves" : "dull sides together") +
                    "; roots level; the slip of the " + ((hand_ == Hand::right) != up ? "right" : "left") + " feather nearest you" +
                    (up ? ", so that the tips turn up" : "");
        marry.face = together ? "good sides together" : "good sides out";
        marry.look = "the tips meet";
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
            in.how = "half a side of the feather, hugging the body";
            in.face = "good side out";
            in.wrong = {"wing.side", "wing.long"};
            in.look = "both sides alike, the roof closed";
            break;
        case WingStyle::hair:
            in.how = count + ", one turn round the hair alone, then down; a touch of varnish";
            in.wrong = {"hair.pulls", "wing.long", "wing.rolls"};
            in.look = "level tips";
            break;
        case WingStyle::plume:
            in.how = count + ", tips level";
            if (held().plume == PlumeSchool::cover) in.how += "; drawn forward over what lies below it and bound again at the front";
            in.wrong = {"plume.thick", "wing.long"};
            in.look = "thin when wet";
            break;
        case WingStyle::tips:
            in.how = count + ", the second matched to the first";
            in.face = "good sides out to close them, together to open them";
            in.wrong = {"wing.rolls", "wing.unequal", "wing.long"};
            in.look = "equal";
            break;
        default:
            in.how =
                "a pinch at the bed: thread up, a soft loop between the fingers, drawn straight down; 2 or 3 loops, look, then 4 turns "
                "ahead of it";
            in.wrong = {"wing.rolls", "wing.cocks", "wing.long", "wing.short", "wing.splits"};
            in.look = "central, in line";
    }
}

void StepWriter::setAtItsAngle(std::size_t i, const WingPlan& wing) {
    const auto& own = writtenAs<WingPart>(i);
    const int part = static_cast<int>(i);
    const bool upright = own.angle->inDegrees() >= 60.0;
    TyingStep& set =
        add(part, {"set", nameOfPart(i) + " at its angle", {formatNumber(own.angle->inDegrees(), 0), "degrees"}}, at(i).station);
    set.how =
        upright ? "lifted, 4 turns in front of it" + std::string(wing.style == WingStyle::upright || wing.style == WingStyle::tips
                                                                     ? held().uprightWings == UprightWings::divided
                                                                           ? "; parted by 2 figures-of-eight"
                                                                           : "; parted by 1 or 2 figures-of-eight if it doesn't part itself"
                                                                     : "")
                : "2 turns under it, then ahead of it";
    set.locks.push_back("the turns against its root hold the angle");
    set.look = "the angle, and both sides alike";
    set.wrong = {"wing.upright", "tuft.droops"};
}

void StepWriter::trimButts(std::size_t i, const WingPlan& wing) {
    const auto& own = writtenAs<WingPart>(i);
    if (own.cut.value_or(false)) {
        TyingStep& tip = add(static_cast<int>(i), {"trim", nameOfPart(i) + " to its length", inMillimetres(wing.length)}, thread_);
        tip.how = "last of all, with the tips together";
        tip.look = "level";
        tip.wrong = {"wing.long"};
    }
    TyingStep& trim = add(static_cast<int>(i), {"trim", nameOfPart(i) + "'s butts", {}}, std::max(std::min(thread_, at(i).station), eye()));
    trim.how = "on a slope, fibre by fibre, the thread drawn aside";
    trim.look = "the thread whole";
    trim.wrong = {"thread.cut", "head.butts"};
}

void StepWriter::tie(std::size_t i, const PiecePlan& piece) {
    windRibs();
    if (at(i).kind == PartKind::legs) return legs(i, piece);
    const auto& own = writtenAs<CheekPart>(i);
    TyingStep& step =
        add(static_cast<int>(i), {"fix", pieceOf(i), counted(own.count, piece.count, "cheek", "cheeks")}, std::max(at(i).station, eye()));
    step.how = "the far side first, then the near: 1 loose turn, levelled, then tightened; " + formatNumber(piece.length / mm, 1) +
               " mm to the tip";
    switch (held().cheeks.value_or(CheekSchool::asWritten)) {
        case CheekSchool::natural: step.how += "; a natural feather, matched on the bench"; break;
        case CheekSchool::made: step.how += "; a made one keeps its shape: a touch of varnish on its root"; break;
        case CheekSchool::split: step.how += "; split down the middle, half a side"; break;
        default: break;
    }
    step.face = "good side out, tip to the rear";
    step.side = "far side, then near";
    step.look = "level from above and in front";
    step.wrong = {"cheek.level", "cheek.large"};
    step.caution = Caution::birds;
    finished(i);
}

}  // namespace machair
