#include "bench/steps.h"

#include <algorithm>

#include "units/text.h"
#include "words/words.h"

namespace machair {

namespace {

constexpr double kVarnishMinutes = 20.0;  // rule of thumb: the label decides
constexpr Length kBehindEye = 1.0 * mm;

std::string number(double value, int decimals = 1) { return formatShort(value, decimals); }
std::string millimetres(Length length) { return formatNumber(length / mm, 1); }

class Steps {
  public:
    Steps(const Plan& plan, Hand hand)
        : plan_(plan), near_(hand == Hand::right ? "the near side" : "the near side (your right)"), done_(plan.parts.size(), 0) {
        thread_ = std::min(kBehindEye, plan.bodyEnd);
    }

    std::vector<TyingStep> run() {
        const bool beadFirst = !plan_.parts.empty() && plan_.parts.front().kind == PartKind::bead;
        if (beadFirst) bead(0);
        startThread();
        for (std::size_t i = beadFirst ? 1 : 0; i < plan_.parts.size(); ++i)
            part(i);
        if (std::ranges::none_of(plan_.parts, [](const PartPlan& p) { return p.kind == PartKind::head; })) finishHead(-1, HeadPlan{});
        return std::move(steps_);
    }

  private:
    TyingStep& add(int part, std::string verb, std::string object, Length after) {
        TyingStep step;
        step.part = part;
        step.verb = std::move(verb);
        step.object = std::move(object);
        step.threadBefore = thread_;
        step.threadAfter = after;
        thread_ = after;
        step.threadWords = "the thread hangs " + sayStation(after, plan_.hook).text + ", " + millimetres(after) + " mm behind the eye";
        steps_.push_back(std::move(step));
        return steps_.back();
    }
    // The state of the fly goes in last: what a step finishes is on the hook when it is done.
    void close(int finished = -1) {
        if (finished >= 0) done_[static_cast<std::size_t>(finished)] = 1;
        steps_.back().done = done_;
        steps_.back().head = head_;
    }
    [[nodiscard]] std::string madeOf(std::size_t i) const {
        const PartPlan& p = plan_.parts[i];
        return "the " + std::string(nameOf(p.kind)) + ", " + p.made.title();
    }
    [[nodiscard]] const PartPlan& at(std::size_t i) const { return plan_.parts[i]; }

    void startThread() {
        TyingStep& step = add(-1, "start", "the thread, " + plan_.threadMaterial.title(), plan_.bodyEnd);
        step.number = millimetres(plan_.bodyEnd);
        step.unit = "mm of bed";
        step.detail = "touching turns from behind the eye to " + sayStation(plan_.bodyEnd, plan_.hook).text;
        step.winding = "over and away from you";
        step.look = "a flat even bed, no gaps";
        step.wrong = "the bed ends too far back: the body will run round the bend";
        step.caution = Caution::points;
        close();
    }

    void part(std::size_t i) {
        std::visit([&](const auto& detail) { tie(i, detail); }, at(i).detail);
    }

    void tie(std::size_t, const Impossible&) {}
    void tie(std::size_t i, const TagPlan& tag) {
        TyingStep& step = add(static_cast<int>(i), "wind", madeOf(i), plan_.bodyEnd);
        step.number = number(tag.turns);
        step.unit = "turns";
        step.detail = millimetres(tag.length) + " mm of it";
        step.face = faceOf(i);
        step.look = "no thread shows under it";
        const auto* written = std::get_if<TagPart>(&plan_.pattern.parts[i].detail);
        if (written && written->protect && *written->protect != Protection::none) {
            step.locks = *written->protect == Protection::glue ? "a touch of glue keeps teeth off it" : "varnish keeps teeth off it";
            step.caution = *written->protect == Protection::glue ? Caution::glue : Caution::solvents;
        }
        step.wrong = "it creeps down the bend when the tail is tied in";
        close(static_cast<int>(i));
    }
    void tie(std::size_t i, const TailPlan& tail) {
        TyingStep& step = add(static_cast<int>(i), "tie in", madeOf(i), plan_.bodyEnd);
        step.number = millimetres(tail.length);
        step.unit = "mm";
        step.detail = sayLength(tail.length, plan_.hook).text + ", " + number(tail.fibres, 0) + " fibres, butts bound to the body front";
        step.face = tail.style == TailStyle::slip || tail.style == TailStyle::cloak ? "good side out" : "";
        step.look = "tips even, in line with the shank, on top of it";
        step.wrong = "too long, or too thick: stretch it out and look again before binding";
        close(static_cast<int>(i));
    }
    void tie(std::size_t i, const RibPlan& rib) {
        TyingStep& step = add(static_cast<int>(i), "tie in", madeOf(i), plan_.bodyEnd);
        step.number = millimetres(rib.cut);
        step.unit = "mm";
        step.detail = "along " + near_ + ", bound from the body front back, so that it makes no step; it is wound later";
        step.face = faceOf(i);
        step.look = "it hangs straight back, out of the way";
        step.wrong = "a lump where it starts: it shows through the body";
        close();
        ribs_.push_back(i);
    }
    void windRib(std::size_t i) {
        const auto& rib = std::get<RibPlan>(at(i).detail);
        TyingStep& step = add(static_cast<int>(i), "wind", madeOf(i), plan_.foremostBody);
        step.number = number(rib.turns);
        step.unit = "turns";
        step.detail = rib.school == RibPitch::even ? "one every " + millimetres(rib.pitch) + " mm"
                                                   : "all at one angle, " + number(rib.angle.inDegrees(), 0) + "°";
        step.winding =
            rib.direction == Winding::counter ? "against the body: under and towards you" : "with the body: over and away from you";
        step.face = faceOf(i);
        step.locks = palmerWound_                        ? "each turn crosses the hackle stem and locks it"
                     : rib.direction == Winding::counter ? "it crosses the body and holds it"
                                                         : "it lies with the body and holds less";
        step.look = "even gaps, seen from the side";
        step.wrong = palmerWound_ ? "hackle fibres trapped under it: work it from side to side as it goes" : "turns too close at the rear";
        if (at(i).made.kind == MaterialKind::wire) step.look += "; worry the end off, never with good scissors";
        close(static_cast<int>(i));
    }
    void windRibs() {
        for (const std::size_t i : std::exchange(ribs_, {}))
            windRib(i);
    }
    void tie(std::size_t i, const UnderbodyPlan& under) {
        TyingStep& step = add(static_cast<int>(i), "wind", madeOf(i), under.end);
        step.number = under.turns ? number(*under.turns) : number(under.layers, 0);
        step.unit = under.turns ? "turns" : "layers of thread";
        step.look = "smooth, without steps at its ends";
        step.wrong = "a hump that the body can't hide";
        const auto* wire = std::get_if<WireTraits>(&at(i).made.traits);
        if (wire && wire->metal == Metal::lead) step.caution = Caution::lead;
        close(static_cast<int>(i));
    }
    void tie(std::size_t i, const BodyPlan& body) {
        TyingStep& step = add(static_cast<int>(i), body.noodle || body.rope ? "dub" : "wind", madeOf(i), body.front);
        if (body.rope) {
            step.number = millimetres(*body.rope);
            step.unit = "mm of loop or rope";
            step.detail = number(body.mass / mg) + " mg of fur; long is better than short";
        } else if (body.noodle) {
            step.number = millimetres(*body.noodle);
            step.unit = "mm of noodle";
            step.detail =
                number(body.mass / mg) + " mg of fur, little by little, in " + number(body.noodleTurns.value_or(0.0), 0) + " turns";
        } else if (body.turns) {
            step.number = number(*body.turns);
            step.unit = "turns";
            if (body.strands) step.detail = number(*body.strands, 0) + " strands together";
        }
        step.detail += (step.detail.empty() ? "" : "; ") + millimetres(body.rearDiameter) + " mm thick behind, " +
                       millimetres(body.frontDiameter) + " in front";
        const auto* written = std::get_if<BodyPart>(&plan_.pattern.parts[i].detail);
        step.winding = written && written->direction == Winding::counter ? "under and towards you" : "over and away from you";
        step.face = faceOf(i);
        step.look = "it stops " + sayStation(body.front, plan_.hook).text + ", and leaves room for what comes in front";
        step.wrong = body.noodle || body.rope ? "too much fur: the commonest fault" : "a gap, or too far forward";
        if (body.noodle || body.rope) step.caution = Caution::dust;
        close(static_cast<int>(i));
        // A palmer still to come is locked by the rib, so the rib waits for it.
        const bool palmerComes = std::ranges::any_of(plan_.parts.begin() + static_cast<std::ptrdiff_t>(i) + 1, plan_.parts.end(),
                                                     [](const PartPlan& p) { return p.kind == PartKind::palmer; });
        const bool bodyComes = std::ranges::any_of(plan_.parts.begin() + static_cast<std::ptrdiff_t>(i) + 1, plan_.parts.end(),
                                                   [](const PartPlan& p) { return p.kind == PartKind::body; });
        if (at(i).kind == PartKind::body && !palmerComes && !bodyComes) windRibs();
    }
    void tie(std::size_t i, const PalmerPlan& palmer) {
        TyingStep& in = add(static_cast<int>(i), "tie in", madeOf(i), at(i).station);
        in.number = millimetres(palmer.hackle.tieInFibre);
        in.unit = "mm of fibre at the tie-in";
        in.detail = palmer.wound == PalmerWound::rearward ? "at the shoulder" : "at the tail";
        in.face = "good side towards the eye";
        in.look = "a bare stem as long as one turn, so that none is trapped";
        in.wrong = "fibre too long: hold it against the hook first";
        close();
        TyingStep& step = add(static_cast<int>(i), "wind", madeOf(i), at(i).station);
        step.number = number(palmer.shoulderTurns) + " + " + number(palmer.openTurns);
        step.unit = "turns";
        step.detail = number(palmer.shoulderTurns) + " close at the shoulder, then " + number(palmer.openTurns) + " open to the tail";
        step.winding = palmer.wound == PalmerWound::rearward ? "over and away from you, rearward" : "over and away from you, forward";
        step.look = "each turn stroked back before the next";
        step.wrong = "turns bunched at the rear";
        if (palmer.wound == PalmerWound::rearward)
            step.locks = ribs_.empty() ? "nothing: bind the tip down well, or wind a rib through it"
                                       : "the rib, wound forward through it next, ties its tip down";
        palmerWound_ = true;
        close(static_cast<int>(i));
        windRibs();
    }
    void tie(std::size_t i, const HacklePlan& h) {
        windRibs();  // a rib that nothing else took up
        TyingStep& in = add(static_cast<int>(i), "tie in", madeOf(i), at(i).station);
        in.number = millimetres(h.tieInFibre);
        in.unit = "mm of fibre at the tie-in";
        in.detail = h.tieIn == TieIn::tip ? "by the tip, the first turn has the shortest fibre" : "by the butt, stripped";
        in.face = "good side towards the eye";
        in.look = "the stem leaves square to the shank";
        in.wrong = "fibre too long: hold it against the hook first";
        in.caution = Caution::birds;
        close();
        TyingStep& step = add(static_cast<int>(i), "wind", madeOf(i), std::max(at(i).station - h.width, kBehindEye));
        step.number = number(h.turns);
        step.unit = "turns";
        step.detail = number(h.fibres, 0) + " fibres, " + std::string(nameOf(classOf(h.worth)));
        step.winding = "over and away from you, each turn ahead of the last";
        step.look = "even all round; stroke every turn back before the next";
        step.wrong = "fibres trapped under the next turn, or no room left at the eye";
        if (h.stand == FibreStand::upright) step.detail += ", standing upright";
        close(static_cast<int>(i));
    }
    void tie(std::size_t i, const WingPlan& wing) {
        TyingStep& step = add(static_cast<int>(i), "tie in", madeOf(i), at(i).station);
        step.number = millimetres(wing.length);
        step.unit = "mm";
        const bool slips = wing.slip > 0.0 * mm;
        step.detail = slips ? (wing.layers > 1 ? "a slip of " + millimetres(wing.slip) + " mm folded in " + std::to_string(wing.layers)
                                               : "slips of " + millimetres(wing.slip) + " mm") +
                                  ", " + millimetres(wing.depth) + " mm deep"
                            : number(wing.count.value_or(1.0), 0) + " of them";
        step.face = slips ? "good sides out" : "";
        if (wing.rampTurns > 0)
            step.detail += "; first " + std::to_string(wing.rampTurns) + " turns of thread sloping up to what is behind it";
        step.locks = "a pinch and a soft loop, drawn straight down";
        step.look = wing.seat == Seat::stated && wing.lift > 45_deg
                        ? "central, at " + number(wing.lift.inDegrees(), 0) + "° to the shank"
                        : "central, low over the body: " + number(wing.lift.inDegrees(), 0) + "° of lift";
        step.wrong = "it rolls to the far side, or cocks up: undo, level the bed, pinch again";
        close(static_cast<int>(i));
    }
    void tie(std::size_t i, const PiecePlan& piece) {
        TyingStep& step = add(static_cast<int>(i), "tie in", madeOf(i), at(i).station);
        step.number = number(piece.count, 0);
        step.unit = "of " + millimetres(piece.length) + " mm";
        step.look = "the two sides match";
        step.wrong = "one sits higher than the other";
        if (at(i).kind == PartKind::cheek) step.caution = Caution::birds;
        close(static_cast<int>(i));
    }
    void bead(std::size_t i) {
        const auto& bead = std::get<BeadPlan>(at(i).detail);
        TyingStep& step = add(static_cast<int>(i), "slide on", madeOf(i), thread_);
        step.threadWords = "no thread yet";
        step.number = millimetres(bead.diameter);
        step.unit = "mm";
        step.detail = "small hole to the eye";
        step.look = "it passes the bend and seats at the eye";
        step.wrong = "a hole that doesn't pass the barb: flatten it first";
        const auto* traits = std::get_if<BeadTraits>(&at(i).made.traits);
        if (traits && traits->metal == Metal::lead) step.caution = Caution::lead;
        close(static_cast<int>(i));
        steps_.back().bed = false;
        beadAhead_ = true;
    }
    void tie(std::size_t i, const BeadPlan& b) {
        TyingStep& step = add(static_cast<int>(i), "push back", madeOf(i), kBehindEye);
        step.number = millimetres(b.diameter);
        step.unit = "mm";
        step.detail = "finish the thread, push the bead back onto what is tied, and start the thread again ahead of it";
        step.look = "the bead doesn't turn";
        step.wrong = "the thread ahead of it slips: a touch of varnish holds it";
        close(static_cast<int>(i));
    }
    void tie(std::size_t i, const ThreadPlan&) {
        TyingStep& step = add(static_cast<int>(i), "finish and start", "another thread, " + at(i).made.title(), thread_);
        step.number = "3";
        step.unit = "turns to whip";
        step.detail = "whip and cut the first, start the second over the last turns";
        step.look = "no end shows";
        step.wrong = "cut before the whip is drawn tight";
        close(static_cast<int>(i));
    }
    void tie(std::size_t i, const HeadPlan& head) { finishHead(static_cast<int>(i), head); }

    void finishHead(int part, const HeadPlan& head) {
        windRibs();
        TyingStep& step = add(part, "whip", beadAhead_ ? "the finish, behind the bead" : "the head", plan_.head.from);
        step.number = number(head.whipTurns, 0);
        step.unit = "turns";
        step.detail = "butts cut on a slope and covered; " + millimetres(plan_.head.diameter) + " mm thick";
        step.look = "the eye is clear, no stray fibre";
        step.wrong = "room runs out at the eye: finer thread, one turn of hackle less";
        step.caution = Caution::points;
        head_ = true;
        close(part);
        for (int coat = 1; coat <= head.coats && head.finish != Finish::none; ++coat) {
            const bool resin = head.finish == Finish::resin;
            TyingStep& drop = add(part, resin ? "cure" : "coat", "the head, coat " + std::to_string(coat), plan_.head.from);
            drop.threadWords = "the thread is off";
            drop.number = std::to_string(coat);
            drop.unit = head.coats > 1 ? "of " + std::to_string(head.coats) + " coats" : "coat";
            drop.detail = resin       ? "a drop, then the lamp"
                          : coat == 1 ? "thin; it dries while the next fly is tied"
                                      : "when the coat before is dry";
            drop.look = "clear the eye with a needle or a feather";
            drop.wrong = coat > 2 ? "a third coat stays tacky: two are right" : "varnish in the eye";
            drop.caution = resin ? Caution::resin : head.finish == Finish::glue ? Caution::glue : Caution::solvents;
            if (!resin) drop.dryMinutes = kVarnishMinutes;
            close(part);
        }
    }

    [[nodiscard]] std::string faceOf(std::size_t i) const {
        const auto* strip = std::get_if<StripTraits>(&at(i).made.traits);
        if (!strip || strip->faces.size() < 2) return {};
        const auto* rib = std::get_if<RibPart>(&plan_.pattern.parts[i].detail);
        const auto face = static_cast<std::size_t>(rib ? rib->face.value_or(0) : 0);
        return face < strip->faces.size() ? "the " + strip->faces[face] + " face out" : "";
    }

    const Plan& plan_;
    std::string near_;
    std::vector<char> done_;
    std::vector<TyingStep> steps_;
    std::vector<std::size_t> ribs_;  // tied in, not wound yet
    Length thread_;
    bool palmerWound_ = false;
    bool beadAhead_ = false;
    bool head_ = false;
};

}  // namespace

std::vector<TyingStep> stepsOf(const Plan& plan, Hand hand) { return Steps(plan, hand).run(); }

std::string sayCaution(Caution caution) {
    switch (caution) {
        case Caution::points: return "Hook points and eyes: glasses on, point away.";
        case Caution::glue: return "Instant glue bonds skin and eyes at once; its label decides.";
        case Caution::resin: return "Resin and its lamp: not on skin, not into eyes; the maker's instructions decide.";
        case Caution::solvents: return "Varnish and solvents: fresh air; the label decides.";
        case Caution::lead: return "Lead: wash hands, keep it from mouths; some waters forbid it.";
        case Caution::dust: return "Fur dust: don't breathe it in; dampen or air the room.";
        case Caution::birds: return "Feathers: many birds are protected; lawful sources and local law decide.";
    }
    throw BrokenContract("unknown caution");
}

}  // namespace machair
