// Beads seated later, changes of thread, the head and what comes after it.
#include <algorithm>

#include "bench/step_writer.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {
constexpr double kVarnishMinutes = 20.0;  // rule of thumb: the label decides
}

void StepWriter::tie(std::size_t i, const BeadPlan& bead) {
    if (bead.atEye) return;  // it is on the hook since before the thread
    windRibs();
    const int part = static_cast<int>(i);
    if (held().beadThread == BeadThread::jumped) {
        TyingStep& seat = add(part, {unsaid("seat"), pieceOf(i), inMillimetres(bead.diameter)}, std::max(eye(), at(i).station - bead.room));
        seat.how = say("{}{}, then the thread carried over it in one stroke underneath", say("pushed back hard onto "),
                       bead.ball ? say("the ball") : say("what is tied"));
        seat.look = say("it does not turn; the stroke lies below");
        seat.wrong = {"bead.turns", "thorax.small", "thread.shows"};
        finished(i);
        ahead_ = at(i).station;
        thread_ = steps_.back().threadAfter = std::max(eye(), std::min(at(i).station - bead.room, rear()));
        return;
    }
    TyingStep& whip = add(part, {unsaid("whip"), say("behind the bead"), {"3", say("turns")}}, thread_);
    whip.how = say("drawn tight, and only then the thread cut");
    whip.look = say("no end");
    whip.wrong = {"thread.slips"};
    threadless(part, {unsaid("seat"), pieceOf(i), inMillimetres(bead.diameter)}).how =
        bead.ball ? say("pushed back hard onto the ball") : say("pushed back hard onto what is tied");
    steps_.back().look = say("it does not turn");
    steps_.back().wrong = {"bead.turns", "thorax.small"};
    finished(i);
    ahead_ = at(i).station;
    thread_ = std::max(eye(), std::min(at(i).station - bead.room, rear()));
    // Another thread that follows is the one to start.
    if (i + 1 < plan_.parts.size() && std::holds_alternative<ThreadPlan>(at(i + 1).detail)) return;
    startAhead(part, say("the thread"));
}

void StepWriter::startAhead(int part, const std::string& thread) {
    threadOn_ = true;
    TyingStep& start = add(part, {unsaid("start"), say("{} ahead of the bead", thread), {"6", say("turns")}}, thread_);
    start.how = say("hard against the bead, back over its own end");
    start.look = say("it holds when pulled; no thread over the bead");
    start.wrong = {"thread.shows", "thread.slips"};
}

void StepWriter::tie(std::size_t i, const ThreadPlan&) {
    const int part = static_cast<int>(i);
    if (!threadOn_) {  // a bead was pushed back
        startAhead(part, at(i).made.title() + ",");
        finished(i);
        return;
    }
    TyingStep& off = add(part, {unsaid("whip"), say("the thread in use"), {"3", say("turns")}}, thread_);
    off.how = say("drawn tight, and only then cut");
    off.look = say("no end");
    off.wrong = {"thread.slips"};
    TyingStep& on = add(part, {unsaid("change"), say("to {}", at(i).made.title()), {"6", say("turns")}}, thread_);
    on.how = say("started over the last turns of the one before");
    on.look = say("no end shows");
    on.wrong = {"thread.slips", "thread.shows"};
    finished(i);
}

void StepWriter::tie(std::size_t i, const HeadPlan& head) { finishHead(static_cast<int>(i), head); }

void StepWriter::finishHead(int part, const HeadPlan& head) {
    windRibs();
    windWaiting(PartKind::collar);
    const bool beaded = !ahead_ && std::ranges::any_of(plan_.parts, [](const PartPlan& p) {
        const auto* bead = std::get_if<BeadPlan>(&p.detail);
        return bead && bead->atEye;
    });
    if (beaded) dressNeck();
    const auto* own = part >= 0 ? std::get_if<HeadPart>(&written(static_cast<std::size_t>(part)).detail) : nullptr;
    if (!beaded) {
        const bool herl = own && own->method == BodyMethod::herl;
        TyingStep& wind = add(part,
                              {unsaid("wind"), herl ? say("the head of herl") : say("the head"),
                               own && own->strands && herl ? counted(own->strands, own->strands->middle(), "strand", "strands")
                                                           : inMillimetres(plan_.head.diameter)},
                              eye());
        wind.how = herl ? say("tied in behind, wound with the thread, a light hand")
                        : say("strays stroked back, every butt covered; {} mm thick", formatNumber(plan_.head.diameter / mm, 1));
        wind.direction = say("over the top and away from you");
        wind.look = say("no wider than the eye");
        wind.wrong = herl ? std::vector<std::string>{"herl.snaps"} : std::vector<std::string>{"head.fat", "head.butts", "head.crowded"};
        wind.head = true;
    }
    head_ = true;
    const bool hitch = head.knot == Knot::halfHitch;
    const bool twice = held().whip == WhipSchool::twice && !(own && own->whipTurns);
    const bool waxed = head.finish == Finish::wax;
    if (waxed) {
        TyingStep& wax = add(part, {unsaid("wax"), say("the last of the thread"), {"3", "cm"}}, eye());
        wax.how = say("before the knot is drawn");
        wax.look = say("the hackle clean");
        wax.wrong = {"head.glued"};
    }
    constexpr double kUsualHitches = 3.0;
    const bool wound = head.whipTurns > 0.0;
    if (wound || hitch) {
        const Amount turns = twice && !hitch ? Amount{"4 + 4", say("turns")}
                                             : counted(own && wound ? own->whipTurns : std::nullopt, wound ? head.whipTurns : kUsualHitches,
                                                       hitch ? "half hitch" : "turn", hitch ? "half hitches" : "turns");
        TyingStep& whip =
            add(part, {hitch ? unsaid("hitch") : unsaid("whip"), beaded ? say("the finish, behind the bead") : say("the finish"), turns},
                eye());
        whip.how = hitch   ? say("each drawn tight before the next")
                   : twice ? say("flat thread, two whips, each drawn snug")
                           : say("flat thread, drawn snug");
        whip.look = say("no loop; then the thread cut");
        whip.wrong = {"whip.loose", "thread.cut"};
        whip.locks.emplace_back("everything");
        whip.caution = Caution::points;
        whip.head = true;
    }
    if (part >= 0) finished(static_cast<std::size_t>(part));
    coats(part, head);
    lastLooks();
}

void StepWriter::dressNeck() {
    const BeadNeck neck = held().beadNeck.value_or(BeadNeck::bare);
    if (neck == BeadNeck::bare) return;
    const bool veiled = neck == BeadNeck::veiled;
    TyingStep& step = add(-1,
                          {veiled ? unsaid("veil") : unsaid("wrap"),
                           say("the bead's back"),
                           {veiled ? "1" : "3", veiled ? say("pinch of fur") : say("turns")}},
                          thread_);
    step.how = veiled ? say("thinly spun, wound hard against it, stroked back over what is behind") : say("thread laid hard against it");
    step.look = say("no gap behind the bead");
    step.wrong = {"bead.turns"};
}

void StepWriter::coats(int part, const HeadPlan& head) {
    if (head.finish == Finish::none || head.finish == Finish::wax) return;
    const bool resin = head.finish == Finish::resin, glue = head.finish == Finish::glue;
    for (int coat = 1; coat <= head.coats; ++coat) {
        TyingStep& drop =
            threadless(part, {resin  ? unsaid("cure")
                              : glue ? unsaid("dab")
                                     : unsaid("coat"),
                              resin  ? say("the head with resin")
                              : glue ? say("the head with glue")
                                     : say("the head, coat {}", std::to_string(coat)),
                              {std::to_string(coat), head.coats > 1 ? say("of {} coats", std::to_string(head.coats)) : say("coat")}});
        drop.how = resin       ? say("a thin drop, the excess off with a needle, then the lamp, away from herl and eyes")
                   : glue      ? say("one touch")
                   : coat == 1 ? say("a small drop on a needle, all round; it dries while the next fly is tied")
                               : say("when the coat before is dry");
        drop.look = say("the eye open");
        drop.wrong = resin      ? std::vector<std::string>{"resin.runs", "eye.shut"}
                     : glue     ? std::vector<std::string>{"head.glued", "eye.shut"}
                     : coat > 2 ? std::vector<std::string>{"coat.tacky", "eye.shut"}
                                : std::vector<std::string>{"eye.shut", "head.glued"};
        drop.caution = resin ? Caution::resin : glue ? Caution::glue : Caution::solvents;
        if (!resin && !glue) drop.dryMinutes = kVarnishMinutes;
        drop.head = true;
        if (glue || resin) break;
    }
}

void StepWriter::lastLooks() {
    const auto has = [&](auto what) { return std::ranges::any_of(plan_.parts, what); };
    TyingStep& clear = threadless(-1, {unsaid("clear"), say("the eye"), {}});
    clear.how = say("a needle while it is wet, a feather drawn through when tacky");
    clear.look = say("light through it, from below");
    clear.wrong = {"eye.shut"};
    clear.caution = Caution::points;
    brushOut(false);
    if (has([](const PartPlan& p) {
            return std::holds_alternative<HacklePlan>(p.detail) || std::holds_alternative<PalmerPlan>(p.detail);
        })) {
        TyingStep& groom = threadless(-1, {unsaid("groom"), say("the hackle"), {}});
        groom.how = say("strays cut at the root, coaxed into line, clumps parted with a soft brush");
        groom.look = say("even, seen from the front");
        groom.wrong = {"hackle.stray", "hackle.clumps"};
    }
    TyingStep& measure = threadless(-1, {unsaid("measure"), say("the fly"), inMillimetres(plan_.length)});
    measure.how = plan_.pattern.maxLength ? say("against the gauge: at most {} mm", formatNumber(*plan_.pattern.maxLength / mm, 1))
                                          : say("against the plan and the last fly");
    measure.look = say("within tolerance");
    measure.wrong = {"length.over"};
}

}  // namespace machair
