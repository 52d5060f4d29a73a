// Bodies and thoraxes: each ends tied off.
#include <algorithm>

#include "bench/step_writer.h"
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
    const std::string outline = body.swelling ? formatNumber(*body.swelling / mm, 1) + " mm thick at the middle"
                                              : formatNumber(body.rearDiameter / mm, 1) + " mm thick at the rear, " +
                                                    formatNumber(body.frontDiameter / mm, 1) + " mm at the front";
    const Amount fur = counted(body.mass / mg, "mg", "mg");
    if (body.method == BodyMethod::loop || body.method == BodyMethod::rope) {
        const bool loop = body.method == BodyMethod::loop;
        const bool split = loop && held().coarseFur == CoarseFur::splitThread && !writtenAs<BodyPart>(i).method;
        TyingStep& spin = add(part,
                              {loop ? "spin" : "twist",
                               (split  ? "the split thread for "
                                : loop ? "a loop for "
                                       : "a rope for ") +
                                   pieceOf(i),
                               body.rope ? inMillimetres(*body.rope) : Amount{}},
                              loop ? body.front : thread_);
        spin.how =
            split  ? "the thread spun flat and split with a needle; " + machair::said(fur) + " of fur laid in thinly and spun"
            : loop ? "a waxed loop, the thread on to the body front first; " + machair::said(fur) + " of fur in thinly, spun, thinned again"
                   : machair::said(fur) + " of fur: a few turns, the rest teased out and twisted as it goes on";
        spin.look = loop ? "long rather than short; light shows through" : "one thickness";
        spin.wrong = loop ? std::vector<std::string>{"loop.short", "loop.full"} : std::vector<std::string>{"fur.fat", "fur.loose"};
        spin.caution = Caution::dust;
        TyingStep& wind = add(part,
                              {"wind", pieceOf(i),
                               body.turns         ? turnsOf({}, *body.turns)
                               : body.noodleTurns ? turnsOf({}, *body.noodleTurns)
                                                  : Amount{}},
                              body.front);
        wind.how = "each turn ahead of the last, stroked back; " + outline;
        wind.direction = sense(i);
        wind.look = "it stops " + sayStation(body.front, plan_.hook).text;
        wind.wrong = {"fur.fat", "fur.forward", "fur.shoulder"};
        finished(i);
        tieOff(i, nameOfPart(i));
        return;
    }
    TyingStep& step = add(part, {"dub", pieceOf(i), body.made ? inMillimetres(*body.made) : Amount{}}, body.front);
    step.how = "a noodle of " + machair::said(fur) + ", a third of what seems right, twisted one way, thin at the start" +
               (body.noodleTurns ? "; " + machair::said(turnsOf({}, *body.noodleTurns)) : std::string()) + "; " + outline;
    if (body.props) step.how += "; a ball that the bead is pushed onto, not lower than it";
    step.direction = sense(i);
    step.look = "the plan's outline; it stops " + sayStation(body.front, plan_.hook).text;
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
        TyingStep& up = add(part, {"take up", continued(i) + " again as " + nameOfPart(i), strands}, body.end);
        up.how = "before the butts are bound or cut; a lock turn first";
        up.look = "what is tied in has not moved";
        up.wrong = {"tail.moves"};
    } else {
        TyingStep& in = add(part, {"tie in", pieceOf(i), strands}, body.end);
        in.how = herl ? "by the tips, the bare edge to the eye so that the flue stands clear" : "level, by their tips";
        in.face = "dark side up";
        in.look = "level ends";
        in.wrong = {"herl.snaps"};
    }
    const bool twisted = own.twisted.value_or(false);
    TyingStep& on = add(part, {"thread forward", "over the butts, to the body front", inMillimetres(body.end - body.front)},
                        twisted ? body.end : body.front);
    on.verb = twisted ? "twist" : "thread forward";
    on.object = twisted ? "the strands with the thread" : "over the butts, to the body front";
    on.how = twisted ? "the thread stays at the rear and is twisted in: that lasts without a rib" : "open turns, smooth";
    on.look = "smooth";
    on.wrong = {"bed.step"};
    TyingStep& wind = add(part, {"wind", pieceOf(i), body.turns ? turnsOf({}, *body.turns) : Amount{}}, body.front);
    wind.how = "side by side, fingers first" +
               std::string(own.held.value_or(held().grip.value_or(Grip::fingers)) == Grip::pliers ? ", pliers for the last" : "") + "; " +
               formatNumber(body.rearDiameter / mm, 1) + " mm thick at the rear, " + formatNumber(body.frontDiameter / mm, 1) +
               " mm at the front";
    wind.direction = sense(i);
    wind.look = "no thread between; it stops " + sayStation(body.front, plan_.hook).text;
    wind.wrong = {"herl.snaps", "body.gap", "body.spread"};
    finished(i);
    tieOff(i, nameOfPart(i));
}

void StepWriter::windThread(std::size_t i, const BodyPlan& body) {
    TyingStep& wind = add(static_cast<int>(i), {"wind", pieceOf(i), body.turns ? turnsOf({}, *body.turns) : Amount{}}, body.front);
    wind.how = "flat thread, the taper of the plan: " + formatNumber(body.rearDiameter / mm, 1) + " mm at the rear, " +
               formatNumber(body.frontDiameter / mm, 1) + " mm at the front";
    wind.direction = sense(i);
    wind.look = "smooth; it stops " + sayStation(body.front, plan_.hook).text;
    wind.wrong = {"bed.step"};
    finished(i);
}

// Tied in at the end that it is wound from, and the thread brought to where it will be caught.
void StepWriter::tieInStrip(std::size_t i, const BodyPlan& body, bool doubled) {
    const int part = static_cast<int>(i);
    const bool core = body.method == BodyMethod::chenille || body.method == BodyMethod::tube;
    const Length start = doubled ? body.front : body.end;
    TyingStep& in = add(part, tyingIn(i, body.length ? inMillimetres(*body.length) : Amount{}), start);
    in.how = core                              ? "by its bare core"
             : body.method == BodyMethod::wire ? "along the shank, so that it makes no step"
             : doubled                         ? "at the front: it goes down and back"
                                               : "at the rear, lying along the shank";
    in.face = faceAgainst(i);
    in.look = core ? "only the core is bound" : "flat";
    in.wrong = core ? std::vector<std::string>{"chenille.lump"} : std::vector<std::string>{"tinsel.bump"};
    if (body.method == BodyMethod::floss) in.wrong = {"floss.frays"};
    if (isMetal(i)) in.caution = Caution::wire;
    if (!doubled) {
        TyingStep& on = add(part, {"thread forward", "over its end, to the body front", inMillimetres(body.end - body.front)}, body.front);
        on.how = "smooth, no ridge";
        on.look = "level";
        on.wrong = {"bed.step"};
    }
}

void StepWriter::windStrip(std::size_t i, const BodyPlan& body) {
    if (body.method == BodyMethod::thread) return windThread(i, body);
    const auto& own = writtenAs<BodyPart>(i);
    const bool doubled = own.passes.value_or(1) == 2;
    tieInStrip(i, body, doubled);
    TyingStep& wind = add(static_cast<int>(i), {"wind", pieceOf(i), body.turns ? turnsOf({}, *body.turns) : Amount{}}, body.front);
    wind.direction = sense(i);
    wind.face = faceOut(i);
    switch (body.method) {
        case BodyMethod::floss:
            wind.how = "a flat strand, clean damp fingers" + std::string(doubled ? ", down and back" : "");
            wind.wrong = {"floss.frays"};
            wind.look = "no ridges";
            break;
        case BodyMethod::tinsel:
            wind.how = std::string(doubled ? "down and back, " : "") +
                       (own.overlap.value_or(0.0) > 0.0 ? "each turn laps the last" : "edges meet");
            wind.wrong = {"tinsel.gap", "tinsel.bump"};
            wind.look = "no thread shows, no ruck";
            break;
        case BodyMethod::tube:
            wind.how = "stretched hard at the rear, let go towards the front: the pull is the taper";
            wind.wrong = {"tube.thin"};
            wind.look = "even";
            break;
        case BodyMethod::chenille:
            wind.how = "each turn against the last, the fuzz stroked back";
            wind.wrong = {"chenille.lump"};
            wind.look = "room at the front";
            break;
        default:
            wind.how = "touching turns";
            wind.wrong = {"tinsel.gap"};
            wind.look = "even";
    }
    wind.look += "; it stops " + sayStation(body.front, plan_.hook).text;
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
        TyingStep& step = beforeCollar ? add(static_cast<int>(i), {"brush out", nameOfPart(i), {"6", "strokes"}}, thread_)
                                       : threadless(static_cast<int>(i), {"brush out", nameOfPart(i), {"6", "strokes"}});
        step.how = beforeCollar ? "a hooked pad or a needle, before the hackle is on" : "with a needle, between the turns";
        step.look = "as shaggy as the plan";
        step.wrong = {"fur.tight"};
        step.caution = Caution::points;
        return;
    }
}

}  // namespace machair
