// Bed, tag, tail, rib and underbody.
#include <algorithm>
#include <utility>

#include "bench/step_writer.h"
#include "language/say.h"
#include "sizing/crossing.h"
#include "units/text.h"
#include "words/words.h"

namespace machair {

namespace {
std::string sideOf(RibSide side) {
    switch (side) {
        case RibSide::near: return say("near side");
        case RibSide::far: return say("far side");
        case RibSide::under: return "underneath";
        case RibSide::top: return say("on top");
    }
    throw BrokenContract("unknown side");
}
}  // namespace

void StepWriter::startThread() {
    threadOn_ = true;
    thread_ = eye();
    constexpr double kStartTurns = 6.0;
    TyingStep& start =
        add(-1, {unsaid("start"), say("the thread, {}", plan_.threadMaterial.title()), counted(kStartTurns, "turn", "turns")}, eye());
    start.how = eye() > 2.0 * plan_.thread.width ? say("behind the bead, never through it; back over its own end, the waste cut off")
                                                 : say("back over its own end, the waste cut off");
    start.direction = say("over the top and away from you");
    start.look = say("it holds when pulled");
    start.wrong = {"thread.slips", "thread.breaks"};
    start.caution = Caution::points;
    bed_ = true;
    TyingStep& bed = add(-1, {unsaid("lay"), say("the bed"), inMillimetres(rear() - eye())}, rear());
    const bool fur = std::ranges::any_of(plan_.parts, [](const PartPlan& p) { return p.made.kind == MaterialKind::dubbing; });
    const bool smooth = std::ranges::any_of(plan_.parts, [](const PartPlan& p) {
        const auto* body = std::get_if<BodyPlan>(&p.detail);
        return body && p.made.kind != MaterialKind::dubbing;
    });
    bed.how = say("{}; it ends {}; spin the bobbin flat now and then",
                  std::string(smooth || !fur ? say("touching turns") : say("open turns are enough under fur")),
                  sayStation(rear(), plan_.hook).text);
    bed.direction = say("over the top and away from you");
    bed.look = say("no step over one thread");
    bed.wrong = {"bed.rear", "bed.step"};
}

void StepWriter::tie(std::size_t i, const TagPlan& tag) {
    const auto& own = writtenAs<TagPart>(i);
    const int part = static_cast<int>(i);
    const bool thread = at(i).made.kind == MaterialKind::thread;
    const bool herl = at(i).made.kind == MaterialKind::herl;
    if (!thread && !continues(i)) {
        TyingStep& in = add(part, {unsaid("tie in"), pieceOf(i), inMillimetres(tag.length)}, rear());
        in.how = herl ? say("by the tip, bare edge to the eye") : say("underneath, lying along the shank");
        in.face = faceAgainst(i);
        in.look = say("flat and square");
        in.wrong = {"tag.lumpy"};
    } else if (continues(i)) {
        TyingStep& up = add(part, {unsaid("take up"), say("{} again", continued(i)), {}}, rear());
        up.how = say("the same piece goes on as {}", nameOfPart(i));
        up.wrong = {"tail.moves"};
    }
    const int passes = own.passes.value_or(1);
    TyingStep& wind =
        add(part, {unsaid("wind"), pieceOf(i), passes > 2 ? counted(passes, "pass", "passes") : turnsOf(own.turns, tag.turns)}, rear());
    wind.how = passes > 2                     ? say("flat, round the bend and back")
               : at(i).kind == PartKind::butt ? say("over the tail's root")
               : passes == 2                  ? say("down and back, each turn touching")
                                              : say("touching turns");
    wind.direction = say("over the top and away from you");
    wind.face = faceOut(i);
    if (at(i).kind == PartKind::butt) wind.locks.emplace_back(say("the tail's root"));
    wind.look = at(i).kind == PartKind::butt ? say("the root hidden") : say("square, no thread between the turns");
    wind.wrong = at(i).kind == PartKind::butt ? std::vector<std::string>{"butt.wide"}
                 : thread                     ? std::vector<std::string>{"tag.lumpy", "spot.dull"}
                                              : std::vector<std::string>{"tag.gap", "tag.creeps"};
    finished(i);
    if (!thread) tieOff(i, nameOfPart(i));
    if (own.protect && *own.protect != Protection::none) {
        const bool glue = *own.protect == Protection::glue;
        TyingStep& film =
            add(part, {unsaid("film"), nameOfPart(i) + (glue ? say(" with glue") : say(" with varnish")), {"1", say("drop")}}, rear());
        film.how = say("thin, all round, before the next thread touches it");
        film.locks.push_back(nameOfPart(i));
        film.look = say("dry to the touch before going on");
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
        case TailStyle::slip: how += say(", a slip on edge or folded once"); break;
        case TailStyle::cloak: how += say(", half a side of the feather, roots level"); break;
        case TailStyle::tippet: how += say(", the inner dark bar just behind the body's end, bars in line"); break;
        case TailStyle::hair: how += say(", one turn round the hair alone, then bound; a touch of varnish"); break;
        case TailStyle::floss: how += say(", looped round the thread and drawn back"); break;
        case TailStyle::plume: how += say(", damped, its root twisted"); break;
        case TailStyle::fibres: how += say(", offered against the hook, not passed from hand to hand"); break;
    }
    if (own.doubled.value_or(false)) how += say("; the strands doubled round the thread");
    how += tail.woundOn ? say("; the butts left long, they are wound later")
           : held().tailButts == TailButts::shortSlope
               ? say("; two soft loops straight down, butts cut close on a slope")
               : say("; two soft loops straight down, butts bound to the body front and cut on a slope");
    step.how = how;
    step.side = say("on top");
    if (tail.style == TailStyle::slip || tail.style == TailStyle::cloak) step.face = say("good side out");
    step.direction = say("over the top and away from you");
    step.locks.emplace_back(say("its root"));
    if (tail.fibres > 0.0 && (tail.style == TailStyle::fibres || tail.style == TailStyle::tippet || tail.style == TailStyle::hair))
        step.look = say("on top, in line, the length again; {}",
                        machair::said(counted(own.fibres, tail.fibres, tail.style == TailStyle::hair ? "hair" : "fibre",
                                              tail.style == TailStyle::hair ? "hairs" : "fibres")));
    else
        step.look = say("on top, in line, the length again");
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
        TyingStep& cut = add(part, {unsaid("trim"), nameOfPart(i), inMillimetres(tail.length)}, rear());
        cut.how = say("to its mark, once all is tight");
        cut.look = say("ends level");
        cut.wrong = {"tail.uneven"};
    }
}

void StepWriter::tie(std::size_t i, const RibPlan& rib) {
    if (tiedIn_[i]) return;  // before the tail
    const int part = static_cast<int>(i);
    const bool front = held().ribTiedIn == RibTiedIn::atFront;
    if (continues(i)) {
        TyingStep& step =
            add(part, {unsaid("bend back"), say("{}, to wait as {}", continued(i), nameOfPart(i)), {"1", say("turn")}}, thread_);
        step.how = say("the strip folded on itself at its end: its faces change; a turn of thread holds its spring");
        step.face = faceOut(i);
        step.look = say("it lies back, out of the way");
        step.wrong = {"ribbon.springs"};
    } else {
        TyingStep& step = add(part, {unsaid("tie in"), pieceOf(i), inMillimetres(rib.cut)}, rear());
        step.how = say("{}{}; it is wound later",
                       std::string(front ? say("its end caught at the body's front, then bound back along the shank")
                                         : say("bound along from the front, so that it makes no step")),
                       held().lockTurn == LockTurn::none ? "" : say("; one rib's width left bare for a square first turn"));
        step.side = sideOf(rib.side);
        step.face = faceAgainst(i);
        step.look = say("it hangs straight back");
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
    TyingStep& step = add(static_cast<int>(i), {unsaid("wind"), pieceOf(i), turnsOf(own.turns, rib.turns)}, rib.front);
    const std::string square = held().lockTurn == LockTurn::none ? say("open from the first turn, ") : say("the first turn square, then ");
    step.how = rib.school == RibPitch::even ? say("{}one every {} mm, forward", square, formatNumber(rib.pitch / mm, 1))
                                            : say("{}all at one angle, {}°, forward", square, formatNumber(rib.angle.inDegrees(), 0));
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
                step.locks.push_back(palmer ? say("{}'s tip, and every turn of its stem", lower)
                                            : say("{}: it crosses the strands", lower));
                break;
            case Hold::partly: step.locks.push_back(say("{}, in part", lower)); break;
            case Hold::liesAlong: along = true; break;
        }
    }
    if (!overPalmer && step.locks.empty() && held().lockTurn != LockTurn::none &&
        std::ranges::any_of(plan_.parts, [](const PartPlan& p) { return p.kind == PartKind::tail; }))
        step.locks.emplace_back(say("the tail's root, with its first turn"));
    if (overPalmer) step.how += say("; sway it between the fibres");
    step.look = overPalmer ? say("the count, and no fibres down") : say("even gaps, seen from both sides");
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
        TyingStep& step =
            add(part, {unsaid("wind"), say("{} of thread", nameOfPart(i)), counted(under.layers, "layer", "layers")}, under.front);
        step.how = say("level, both ends sloped");
        step.direction = say("over the top and away from you");
        step.look = say("no hump");
        step.wrong = {"under.step"};
        finished(i);
        return;
    }
    TyingStep& in = add(part, tyingIn(i, under.length ? inMillimetres(*under.length) : Amount{}), under.end);
    in.how = say("along the shank, its end sloped");
    in.look = say("flat");
    in.wrong = {"under.step"};
    TyingStep& step =
        add(part, {unsaid("wind"), pieceOf(i), under.turns ? turnsOf(own.turns, *under.turns) : counted(under.layers, "layer", "layers")},
            under.front);
    step.how = kind == MaterialKind::wire ? say("touching turns, the ends smoothed with thread") : say("lapped, both ends sloped");
    step.direction = say("over the top and away from you");
    step.look = say("no hump");
    step.wrong = {"under.step"};
    const auto* wire = std::get_if<WireTraits>(&at(i).made.traits);
    if (wire && wire->metal == Metal::lead) step.caution = Caution::lead;
    finished(i);
    tieOff(i, nameOfPart(i));
}

}  // namespace machair
