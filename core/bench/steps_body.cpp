// Bodies and thoraxes: each ends tied off.
#include <algorithm>

#include "bench/step_writer.h"
#include "language/say.h"
#include "sizing/crossing.h"
#include "units/text.h"
#include "words/words.h"

namespace machair {

namespace {

bool isFur(BodyMethod method) {
    return method == BodyMethod::noodle || method == BodyMethod::level || method == BodyMethod::loop || method == BodyMethod::rope;
}

}  // namespace

void StepWriter::tie(std::size_t i, const BodyPlan& body) {
    tieInCollarsBefore(i);
    tieInForwardPalmers(i);
    if (isFur(body.method))
        dub(i, body);
    else if (body.method == BodyMethod::herl || body.method == BodyMethod::fibres)
        windStrands(i, body);
    else
        windStrip(i, body);
    if (!bodyComes(i, at(i).kind == PartKind::thorax)) windWaiting(PartKind::palmer);
    if (at(i).kind != PartKind::body) return;
    std::size_t section = 0;
    for (std::size_t k = 0; k < i; ++k)
        if (at(k).kind == PartKind::body) ++section;
    const auto later = plan_.parts.begin() + static_cast<std::ptrdiff_t>(i) + 1;
    // A palmer still to come is locked by the rib, so the rib waits for it.
    const auto comes = [&](auto what) { return std::any_of(later, plan_.parts.end(), what); };
    const bool palmerComes = comes([](const PartPlan& p) { return p.kind == PartKind::palmer; });
    if (palmerComes) return;
    windRibsAlong(section);
    if (!comes([](const PartPlan& p) { return p.kind == PartKind::body; })) windRibs();
}

void StepWriter::dub(std::size_t i, const BodyPlan& body) {
    const int part = static_cast<int>(i);
    const std::string outline = body.swelling ? say("{} mm thick at the middle", formatNumber(*body.swelling / mm, 1))
                                              : say("{} mm thick at the rear, {} mm at the front", formatNumber(body.rearDiameter / mm, 1),
                                                    formatNumber(body.frontDiameter / mm, 1));
    const Amount fur = counted(body.mass / mg, "mg", "mg");
    if (body.method == BodyMethod::loop || body.method == BodyMethod::rope) {
        const bool loop = body.method == BodyMethod::loop;
        const bool split = loop && held().coarseFur == CoarseFur::splitThread && !writtenAs<BodyPart>(i).method;
        TyingStep& spin = add(part,
                              {loop ? unsaid("spin") : unsaid("twist"),
                               (split  ? say("the split thread for ")
                                : loop ? say("a loop for ")
                                       : say("a rope for ")) +
                                   pieceOf(i),
                               body.rope ? inMillimetres(*body.rope) : Amount{}},
                              loop ? body.front : thread_);
        spin.how = split  ? say("the thread spun flat and split with a needle; {} of fur laid in thinly and spun", machair::said(fur))
                   : loop ? say("a waxed loop, the thread on to the body front first; {} of fur in thinly, spun, thinned again",
                                machair::said(fur))
                          : say("{} of fur: a few turns, the rest teased out and twisted as it goes on", machair::said(fur));
        spin.look = loop ? say("long rather than short; light shows through") : say("one thickness");
        spin.wrong = loop ? std::vector<std::string>{"loop.short", "loop.full"} : std::vector<std::string>{"fur.fat", "fur.loose"};
        spin.caution = Caution::dust;
        TyingStep& wind = add(part,
                              {unsaid("wind"), pieceOf(i),
                               body.turns         ? turnsOf({}, *body.turns)
                               : body.noodleTurns ? turnsOf({}, *body.noodleTurns)
                                                  : Amount{}},
                              body.front);
        wind.how = say("each turn ahead of the last, stroked back; {}", outline);
        wind.direction = sense(i);
        wind.look = say("it stops {}", sayStation(body.front, plan_.hook).text);
        wind.wrong = {"fur.fat", "fur.forward", "fur.shoulder"};
        finished(i);
        tieOff(i, nameOfPart(i));
        return;
    }
    TyingStep& step = add(part, {unsaid("dub"), pieceOf(i), body.made ? inMillimetres(*body.made) : Amount{}}, body.front);
    step.how = say("a noodle of {}, a third of what seems right, twisted one way, thin at the start{}; {}", machair::said(fur),
                   body.noodleTurns ? "; " + machair::said(turnsOf({}, *body.noodleTurns)) : std::string(), outline);
    if (body.props) step.how += say("; a ball that the bead is pushed onto, not lower than it");
    step.direction = sense(i);
    step.look = say("the plan's outline; it stops {}", sayStation(body.front, plan_.hook).text);
    step.wrong = {"fur.fat", "fur.bare", "fur.shoulder", "fur.forward", "fur.loose"};
    if (at(i).kind == PartKind::thorax) step.wrong = {"thorax.large", "thorax.small", "fur.fat"};
    step.caution = Caution::dust;
    finished(i);
}

void StepWriter::windStrands(std::size_t i, const BodyPlan& body) {
    const auto& own = writtenAs<BodyPart>(i);
    const int part = static_cast<int>(i);
    const bool herl = body.method == BodyMethod::herl;
    const Amount strands = counted(own.strands, body.strands.value_or(1.0), "strand", "strands");
    if (continues(i)) {
        TyingStep& up = add(part, {unsaid("take up"), say("{} again as {}", continued(i), nameOfPart(i)), strands}, body.end);
        up.how = say("before the butts are bound or cut; a lock turn first");
        up.look = say("what is tied in has not moved");
        up.wrong = {"tail.moves"};
    } else {
        TyingStep& in = add(part, {unsaid("tie in"), pieceOf(i), strands}, body.end);
        in.how = herl ? say("by the tips, the bare edge to the eye so that the flue stands clear") : say("level, by their tips");
        in.face = say("dark side up");
        in.look = say("level ends");
        in.wrong = {"herl.snaps"};
    }
    const bool twisted = own.twisted.value_or(false);
    TyingStep& on = add(part, {unsaid("thread forward"), say("over the butts, to the body front"), inMillimetres(body.end - body.front)},
                        twisted ? body.end : body.front);
    on.verb = twisted ? unsaid("twist") : unsaid("thread forward");
    on.object = twisted ? say("the strands with the thread") : say("over the butts, to the body front");
    on.how = twisted ? say("the thread stays at the rear and is twisted in: that lasts without a rib") : say("open turns, smooth");
    on.look = say("smooth");
    on.wrong = {"bed.step"};
    TyingStep& wind = add(part, {unsaid("wind"), pieceOf(i), body.turns ? turnsOf({}, *body.turns) : Amount{}}, body.front);
    wind.how = say("side by side, fingers first{}; {} mm thick at the rear, {} mm at the front",
                   std::string(own.held.value_or(held().grip.value_or(Grip::fingers)) == Grip::pliers ? say(", pliers for the last") : ""),
                   formatNumber(body.rearDiameter / mm, 1), formatNumber(body.frontDiameter / mm, 1));
    wind.direction = sense(i);
    wind.look = say("no thread between; it stops {}", sayStation(body.front, plan_.hook).text);
    wind.wrong = {"herl.snaps", "body.gap", "body.spread"};
    finished(i);
    tieOff(i, nameOfPart(i));
}

void StepWriter::windThread(std::size_t i, const BodyPlan& body) {
    TyingStep& wind = add(static_cast<int>(i), {unsaid("wind"), pieceOf(i), body.turns ? turnsOf({}, *body.turns) : Amount{}}, body.front);
    wind.how = say("flat thread, the taper of the plan: {} mm at the rear, {} mm at the front", formatNumber(body.rearDiameter / mm, 1),
                   formatNumber(body.frontDiameter / mm, 1));
    wind.direction = sense(i);
    wind.look = say("smooth; it stops {}", sayStation(body.front, plan_.hook).text);
    wind.wrong = {"bed.step"};
    finished(i);
}

// Tied in at the end that it is wound from, and the thread brought to where it will be caught.
void StepWriter::tieInStrip(std::size_t i, const BodyPlan& body, bool doubled) {
    const int part = static_cast<int>(i);
    const bool core = body.method == BodyMethod::chenille || body.method == BodyMethod::tube;
    const Length start = doubled ? body.front : body.end;
    TyingStep& in = add(part, tyingIn(i, body.length ? inMillimetres(*body.length) : Amount{}), start);
    in.how = core                              ? say("by its bare core")
             : body.method == BodyMethod::wire ? say("along the shank, so that it makes no step")
             : doubled                         ? say("at the front: it goes down and back")
                                               : say("at the rear, lying along the shank");
    in.face = faceAgainst(i);
    in.look = core ? say("only the core is bound") : say("flat");
    in.wrong = core ? std::vector<std::string>{"chenille.lump"} : std::vector<std::string>{"tinsel.bump"};
    if (body.method == BodyMethod::floss) in.wrong = {"floss.frays"};
    if (isMetal(i)) in.caution = Caution::wire;
    if (!doubled) {
        TyingStep& on =
            add(part, {unsaid("thread forward"), say("over its end, to the body front"), inMillimetres(body.end - body.front)}, body.front);
        on.how = say("smooth, no ridge");
        on.look = say("level");
        on.wrong = {"bed.step"};
    }
}

void StepWriter::windStrip(std::size_t i, const BodyPlan& body) {
    if (body.method == BodyMethod::thread) return windThread(i, body);
    const auto& own = writtenAs<BodyPart>(i);
    const bool doubled = own.passes.value_or(1) == 2;
    tieInStrip(i, body, doubled);
    TyingStep& wind = add(static_cast<int>(i), {unsaid("wind"), pieceOf(i), body.turns ? turnsOf({}, *body.turns) : Amount{}}, body.front);
    wind.direction = sense(i);
    wind.face = faceOut(i);
    switch (body.method) {
        case BodyMethod::floss:
            wind.how = say("a flat strand, clean damp fingers{}", std::string(doubled ? say(", down and back") : ""));
            wind.wrong = {"floss.frays"};
            wind.look = say("no ridges");
            break;
        case BodyMethod::tinsel:
            wind.how = std::string(doubled ? say("down and back, ") : "") +
                       (own.overlap.value_or(0.0) > 0.0 ? say("each turn laps the last") : say("edges meet"));
            wind.wrong = {"tinsel.gap", "tinsel.bump"};
            wind.look = say("no thread shows, no ruck");
            break;
        case BodyMethod::tube:
            wind.how = say("stretched hard at the rear, let go towards the front: the pull is the taper");
            wind.wrong = {"tube.thin"};
            wind.look = say("even");
            break;
        case BodyMethod::chenille:
            wind.how = say("each turn against the last, the fuzz stroked back");
            wind.wrong = {"chenille.lump"};
            wind.look = say("room at the front");
            break;
        default:
            wind.how = say("touching turns");
            wind.wrong = {"tinsel.gap"};
            wind.look = say("even");
    }
    wind.look += say("; it stops {}", sayStation(body.front, plan_.hook).text);
    finished(i);
    tieOff(i, nameOfPart(i));
}

// Fur that should look shaggy: before the collar with the pad, so that it tears no fibre.
void StepWriter::brushOut(bool beforeCollar) {
    const Brushing school = held().brushing.value_or(Brushing::beforeCollar);
    if (brushed_ || school == Brushing::never || (beforeCollar && school == Brushing::last)) return;
    for (std::size_t i = 0; i < plan_.parts.size(); ++i) {
        const auto* body = std::get_if<BodyPlan>(&at(i).detail);
        if (!body || !done_[i] || !isFur(body->method) || !isCoarseFur(at(i).made)) continue;
        brushed_ = true;
        const bool palmered = std::ranges::any_of(plan_.parts, [](const PartPlan& p) { return p.kind == PartKind::palmer; });
        if (palmered && beforeCollar) {
            brushed_ = false;  // a pad would tear the palmer: with a needle, last
            return;
        }
        TyingStep& step = beforeCollar ? add(static_cast<int>(i), {unsaid("brush out"), nameOfPart(i), {"6", say("strokes")}}, thread_)
                                       : threadless(static_cast<int>(i), {unsaid("brush out"), nameOfPart(i), {"6", say("strokes")}});
        step.how = beforeCollar ? say("a hooked pad or a needle, before the hackle is on") : say("with a needle, between the turns");
        step.look = say("as shaggy as the plan");
        step.wrong = {"fur.tight"};
        step.caution = Caution::points;
        return;
    }
}

}  // namespace machair
