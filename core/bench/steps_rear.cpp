// Bed, tag, tail, rib and underbody.
#include <algorithm>
#include <utility>

#include "bench/step_writer.h"
#include "sizing/crossing.h"
#include "units/text.h"
#include "words/words.h"

namespace machair {

namespace {
std::string sideOf(RibSide side) {
    switch (side) {
        case RibSide::near: return "near side";
        case RibSide::far: return "far side";
        case RibSide::under: return "underneath";
        case RibSide::top: return "on top";
    }
    throw BrokenContract("unknown side");
}
}  // namespace

void StepWriter::startThread() {
    threadOn_ = true;
    thread_ = eye();
    constexpr double kStartTurns = 6.0;
    TyingStep& start = add(-1, {"start", "the thread, " + plan_.threadMaterial.title(), counted(kStartTurns, "turn", "turns")}, eye());
    start.how = eye() > 2.0 * plan_.thread.width ? "behind the bead, never through it; back over its own end, the waste cut off"
                                                 : "back over its own end, the waste cut off";
    start.direction = "over the top and away from you";
    start.look = "it holds when pulled";
    start.wrong = {"thread.slips", "thread.breaks"};
    start.caution = Caution::points;
    bed_ = true;
    TyingStep& bed = add(-1, {"lay", "the bed", inMillimetres(rear() - eye())}, rear());
    const bool fur = std::ranges::any_of(plan_.parts, [](const PartPlan& p) { return p.made.kind == MaterialKind::dubbing; });
    const bool smooth = std::ranges::any_of(plan_.parts, [](const PartPlan& p) {
        const auto* body = std::get_if<BodyPlan>(&p.detail);
        return body && p.made.kind != MaterialKind::dubbing;
    });
    bed.how = std::string(smooth || !fur ? "touching turns" : "open turns are enough under fur") + "; it ends " +
              sayStation(rear(), plan_.hook).text + "; spin the bobbin flat now and then";
    bed.direction = "over the top and away from you";
    bed.look = "no step over one thread";
    bed.wrong = {"bed.rear", "bed.step"};
}

void StepWriter::tie(std::size_t i, const TagPlan& tag) {
    const auto& own = writtenAs<TagPart>(i);
    const int part = static_cast<int>(i);
    const bool thread = at(i).made.kind == MaterialKind::thread;
    const bool herl = at(i).made.kind == MaterialKind::herl;
    if (!thread && !continues(i)) {
        TyingStep& in = add(part, {"tie in", pieceOf(i), inMillimetres(tag.length)}, rear());
        in.how = herl ? "by the tip, bare edge to the eye" : "underneath, lying along the shank";
        in.face = faceAgainst(i);
        in.look = "flat and square";
        in.wrong = {"tag.lumpy"};
    } else if (continues(i)) {
        TyingStep& up = add(part, {"take up", continued(i) + " again", {}}, rear());
        up.how = "the same piece goes on as " + nameOfPart(i);
        up.wrong = {"tail.moves"};
    }
    const int passes = own.passes.value_or(1);
    TyingStep& wind =
        add(part, {"wind", pieceOf(i), passes > 2 ? counted(passes, "pass", "passes") : turnsOf(own.turns, tag.turns)}, rear());
    wind.how = passes > 2                     ? "flat, round the bend and back"
               : at(i).kind == PartKind::butt ? "over the tail's root"
               : passes == 2                  ? "down and back, each turn touching"
                                              : "touching turns";
    wind.direction = "over the top and away from you";
    wind.face = faceOut(i);
    if (at(i).kind == PartKind::butt) wind.locks.emplace_back("the tail's root");
    wind.look = at(i).kind == PartKind::butt ? "the root hidden" : "square, no thread between the turns";
    wind.wrong = at(i).kind == PartKind::butt ? std::vector<std::string>{"butt.wide"}
                 : thread                     ? std::vector<std::string>{"tag.lumpy", "spot.dull"}
                                              : std::vector<std::string>{"tag.gap", "tag.creeps"};
    finished(i);
    if (!thread) tieOff(i, nameOfPart(i));
    if (own.protect && *own.protect != Protection::none) {
        const bool glue = *own.protect == Protection::glue;
        TyingStep& film = add(part, {"film", nameOfPart(i) + (glue ? " with glue" : " with varnish"), {"1", "drop"}}, rear());
        film.how = "thin, all round, before the next thread touches it";
        film.locks.push_back(nameOfPart(i));
        film.look = "dry to the touch before going on";
        film.wrong = {"tag.cut", "tag.creeps"};
        film.caution = glue ? Caution::glue : Caution::solvents;
    }
}

// On the thread's way back, for who does so: the tail is then tied in over it.
void StepWriter::tieInRibsBefore(std::size_t tail) {
    if (held().ribTiedIn != RibTiedIn::beforeTail) return;
    for (std::size_t i = tail + 1; i < plan_.parts.size(); ++i)
        if (const auto* rib = std::get_if<RibPlan>(&at(i).detail); rib && !tiedIn_[i] && !continues(i)) tie(i, *rib);
}

void StepWriter::tie(std::size_t i, const TailPlan& tail) {
    tieInRibsBefore(i);
    const auto& own = writtenAs<TailPart>(i);
    const int part = static_cast<int>(i);
    TyingStep& step = add(part, tyingIn(i, inMillimetres(tail.length)), rear());
    std::string how = sayLength(tail.length, plan_.hook).text;
    switch (tail.style) {
        case TailStyle::slip: how += ", a slip on edge or folded once"; break;
        case TailStyle::cloak: how += ", half a side of the feather, roots level"; break;
        case TailStyle::tippet: how += ", the inner dark bar just behind the body's end, bars in line"; break;
        case TailStyle::hair: how += ", one turn round the hair alone, then bound; a touch of varnish"; break;
        case TailStyle::floss: how += ", looped round the thread and drawn back"; break;
        case TailStyle::plume: how += ", damped, its root twisted"; break;
        case TailStyle::fibres: how += ", offered against the hook, not passed from hand to hand"; break;
    }
    if (own.doubled.value_or(false)) how += "; the strands doubled round the thread";
    how += tail.woundOn                                ? "; the butts left long, they are wound later"
           : held().tailButts == TailButts::shortSlope ? "; two soft loops straight down, butts cut close on a slope"
                                                       : "; two soft loops straight down, butts bound to the body front and cut on a slope";
    step.how = how;
    step.side = "on top";
    if (tail.style == TailStyle::slip || tail.style == TailStyle::cloak) step.face = "good side out";
    step.direction = "over the top and away from you";
    step.locks.emplace_back("its root");
    if (tail.fibres > 0.0 && (tail.style == TailStyle::fibres || tail.style == TailStyle::tippet || tail.style == TailStyle::hair))
        step.look = "on top, in line, the length again; " +
                    machair::said(counted(own.fibres, tail.fibres, tail.style == TailStyle::hair ? "hair" : "fibre",
                                          tail.style == TailStyle::hair ? "hairs" : "fibres"));
    else
        step.look = "on top, in line, the length again";
    switch (tail.style) {
        case TailStyle::slip:
        case TailStyle::cloak: step.wrong = {"tail.splits", "tail.rolls", "tail.long"}; break;
        case TailStyle::tippet: step.wrong = {"tail.bar", "tail.long", "tail.uneven"}; break;
        case TailStyle::hair: step.wrong = {"hair.pulls", "tail.long"}; break;
        case TailStyle::floss: step.wrong = {"tail.uneven"}; break;
        case TailStyle::plume: step.wrong = {"plume.thick", "tail.long"}; break;
        case TailStyle::fibres: step.wrong = {"tail.short", "tail.long", "tail.rolls", "tail.thick", "tail.thin", "tail.droops"}; break;
    }
    step.caution = Caution::birds;
    finished(i);
    if (own.cut.value_or(false)) {
        TyingStep& cut = add(part, {"trim", nameOfPart(i), inMillimetres(tail.length)}, rear());
        cut.how = "to its mark, once all is tight";
        cut.look = "ends level";
        cut.wrong = {"tail.uneven"};
    }
}

void StepWriter::tie(std::size_t i, const RibPlan& rib) {
    if (tiedIn_[i]) return;  // before the tail
    const int part = static_cast<int>(i);
    const bool front = held().ribTiedIn == RibTiedIn::atFront;
    if (continues(i)) {
        TyingStep& step = add(part, {"bend back", continued(i) + ", to wait as " + nameOfPart(i), {"1", "turn"}}, thread_);
        step.how = "the strip folded on itself at its end: its faces change; a turn of thread holds its spring";
        step.face = faceOut(i);
        step.look = "it lies back, out of the way";
        step.wrong = {"ribbon.springs"};
    } else {
        TyingStep& step = add(part, {"tie in", pieceOf(i), inMillimetres(rib.cut)}, rear());
        step.how = std::string(front ? "its end caught at the body's front, then bound back along the shank"
                                     : "bound along from the front, so that it makes no step") +
                   (held().lockTurn == LockTurn::none ? "" : "; one rib's width left bare for a square first turn") + "; it is wound later";
        step.side = sideOf(rib.side);
        step.face = faceAgainst(i);
        step.look = "it hangs straight back";
        step.wrong = {"rib.bump"};
        if (!step.face.empty()) step.wrong.insert(step.wrong.begin(), "rib.face");
        if (isMetal(i)) step.caution = Caution::wire;
    }
    tiedIn_[i] = 1;
    ribs_.push_back(i);
}

void StepWriter::windRib(std::size_t i) {
    const auto& rib = std::get<RibPlan>(at(i).detail);
    const auto& own = writtenAs<RibPart>(i);
    TyingStep& step = add(static_cast<int>(i), {"wind", pieceOf(i), turnsOf(own.turns, rib.turns)}, rib.front);
    const std::string square = held().lockTurn == LockTurn::none ? "open from the first turn, " : "the first turn square, then ";
    step.how = rib.school == RibPitch::even ? square + "one every " + formatNumber(rib.pitch / mm, 1) + " mm, forward"
                                            : square + "all at one angle, " + formatNumber(rib.angle.inDegrees(), 0) + "°, forward";
    step.direction = sense(i);
    step.face = faceOut(i);
    bool overPalmer = false, along = false;
    for (const HeldPart& held : heldParts(plan_)) {
        if (held.upper != i) continue;
        const std::string lower = nameOfPart(held.lower);
        const bool palmer = at(held.lower).kind == PartKind::palmer;
        overPalmer = overPalmer || palmer;
        switch (held.crossing.hold) {
            case Hold::locks:
                step.locks.push_back(palmer ? lower + "'s tip, and every turn of its stem" : lower + ": it crosses the strands");
                break;
            case Hold::partly: step.locks.push_back(lower + ", in part"); break;
            case Hold::liesAlong: along = true; break;
        }
    }
    if (!overPalmer && step.locks.empty() && held().lockTurn != LockTurn::none &&
        std::ranges::any_of(plan_.parts, [](const PartPlan& p) { return p.kind == PartKind::tail; }))
        step.locks.emplace_back("the tail's root, with its first turn");
    if (overPalmer) step.how += "; sway it between the fibres";
    step.look = overPalmer ? "the count, and no fibres down" : "even gaps, seen from both sides";
    step.wrong =
        overPalmer ? std::vector<std::string>{"palmer.trapped", "palmer.loose"} : std::vector<std::string>{"rib.uneven", "rib.few"};
    if (along) step.wrong.insert(step.wrong.begin(), "rib.along");
    if (!step.face.empty()) step.wrong.emplace_back("rib.face");
    step.wrong.emplace_back("rib.breaks");
    finished(i);
    tieOff(i, nameOfPart(i));
}

void StepWriter::windRibs() {
    for (const std::size_t i : std::exchange(ribs_, {}))
        windRib(i);
}

void StepWriter::windRibsAlong(std::size_t section) {
    std::vector<std::size_t> waiting;
    for (const std::size_t i : std::exchange(ribs_, {})) {
        const auto& along = writtenAs<RibPart>(i).along;
        const auto* one = along ? std::get_if<std::size_t>(&*along) : nullptr;
        if (one && *one == section)
            windRib(i);
        else
            waiting.push_back(i);
    }
    ribs_.insert(ribs_.begin(), waiting.begin(), waiting.end());
}

void StepWriter::tie(std::size_t i, const UnderbodyPlan& under) {
    const auto& own = writtenAs<UnderbodyPart>(i);
    const int part = static_cast<int>(i);
    const MaterialKind kind = at(i).made.kind;
    if (kind == MaterialKind::thread || !at(i).material) {
        TyingStep& step = add(part, {"wind", nameOfPart(i) + " of thread", counted(under.layers, "layer", "layers")}, under.front);
        step.how = "level, both ends sloped";
        step.direction = "over the top and away from you";
        step.look = "no hump";
        step.wrong = {"under.step"};
        finished(i);
        return;
    }
    TyingStep& in = add(part, tyingIn(i, under.length ? inMillimetres(*under.length) : Amount{}), under.end);
    in.how = "along the shank, its end sloped";
    in.look = "flat";
    in.wrong = {"under.step"};
    TyingStep& step = add(
        part, {"wind", pieceOf(i), under.turns ? turnsOf(own.turns, *under.turns) : counted(under.layers, "layer", "layers")}, under.front);
    step.how = kind == MaterialKind::wire ? "touching turns, the ends smoothed with thread" : "lapped, both ends sloped";
    step.direction = "over the top and away from you";
    step.look = "no hump";
    step.wrong = {"under.step"};
    const auto* wire = std::get_if<WireTraits>(&at(i).made.traits);
    if (wire && wire->metal == Metal::lead) step.caution = Caution::lead;
    finished(i);
    tieOff(i, nameOfPart(i));
}

}  // namespace machair
