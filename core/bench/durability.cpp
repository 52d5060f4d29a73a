#include "bench/durability.h"

#include <algorithm>

#include "language/say.h"
#include "sizing/crossing.h"

namespace machair {

namespace {

// What a weakness takes off, and the shares of it that cures give back.
constexpr double kPalmerFree = 3.0, kThreadThrough = 2.0 / 3.0;
constexpr double kBrittleBare = 3.0, kTwisted = 2.0 / 3.0, kPalmerAcross = 2.0 / 3.0;
constexpr double kPartlyHeld = 1.0, kBareTag = 1.0, kBareStrip = 1.0, kSoftGameBird = 0.5, kWeakKnot = 1.0, kNoCoat = 2.0, kOneCoat = 0.5,
                 kThirdCoat = 0.5, kSlips = 1.0, kPlume = 0.5, kLongBrittleTail = 1.0, kKnottedLegs = 0.5, kFreeBead = 1.0, kEndLoose = 0.5;

class Lasting {
  public:
    explicit Lasting(const Plan& plan) : plan_(plan), held_(heldParts(plan)) {}

    Durability run() {
        for (std::size_t i = 0; i < plan_.parts.size(); ++i)
            std::visit([&](const auto& detail) { of(i, detail); }, plan_.parts[i].detail);
        if (std::ranges::none_of(plan_.parts, [](const PartPlan& p) { return p.kind == PartKind::head; })) of(0, headOf(plan_));
        std::ranges::stable_sort(found_.weak, std::greater{}, &Weakness::off);
        for (const Weakness& w : found_.weak)
            found_.score -= w.off;
        found_.score = std::max(0.0, found_.score);
        return std::move(found_);
    }

  private:
    void weak(std::size_t part, std::string words, double off, std::string cure, double buys) {
        if (off > 0.0) found_.weak.push_back({part, std::move(words), off, std::move(cure), buys});
    }
    void protects(std::string words) { found_.protects.push_back(std::move(words)); }
    // The best that lies across a part; nothing where nothing runs over it.
    [[nodiscard]] std::optional<HeldPart> best(std::size_t lower, PartKind upper) const {
        std::optional<HeldPart> found;
        for (const HeldPart& held : held_)
            if (held.lower == lower && plan_.parts[held.upper].kind == upper && (!found || held.crossing.hold < found->crossing.hold))
                found = held;
        return found;
    }

    void of(std::size_t i, const PalmerPlan& palmer) {
        const auto rib = best(i, PartKind::rib);
        if (rib && rib->crossing.hold == Hold::locks) return protects(say("the rib crosses the body hackle's stem and locks every turn"));
        if (rib && rib->crossing.hold == Hold::partly)
            return weak(i, say("the rib holds the body hackle only in part"), kPartlyHeld, say("the rib's other sense"), kPartlyHeld);
        if (rib)
            return weak(i, say("the rib lies along the body hackle's stem and holds nothing"), kPalmerFree, say("the rib's other sense"),
                        kPalmerFree);
        if (palmer.wound == PalmerWound::rearward)  // its tip is tied down by thread that goes forward through it
            return weak(i, say("only thread crosses the body hackle: one tooth through both and it unwinds"),
                        kPalmerFree * (1.0 - kThreadThrough), say("a rib of fine wire through it"), kPalmerFree * (1.0 - kThreadThrough));
        weak(i, say("nothing locks the body hackle: one tooth through its stem and it unwinds"), kPalmerFree,
             say("a rib of fine wire through it"), kPalmerFree);
    }

    void of(std::size_t i, const BodyPlan& body) {
        if (body.method == BodyMethod::tinsel || body.method == BodyMethod::floss) return strip(i, body);
        const auto* written = std::get_if<BodyPart>(&plan_.pattern.parts[i].detail);
        if (body.method != BodyMethod::herl && body.method != BodyMethod::fibres) return;
        const auto rib = best(i, PartKind::rib), palmer = best(i, PartKind::palmer);
        if (rib && rib->crossing.hold == Hold::locks) return protects(say("the rib crosses the strands of the body"));
        if (written && written->twisted.value_or(false)) {
            protects(say("the strands are twisted with the thread"));
            return weak(i, say("a brittle body held by its own thread alone"), kBrittleBare * (1.0 - kTwisted), say("a rib across it"),
                        kBrittleBare * (1.0 - kTwisted));
        }
        if (palmer && palmer->crossing.hold == Hold::locks) {
            const auto locked = best(palmer->upper, PartKind::rib);
            if (locked && locked->crossing.hold == Hold::locks) {
                protects(say("the body hackle crosses the strands, and the rib locks it"));
                return weak(i, say("only the body hackle crosses the strands"), kBrittleBare * (1.0 - kPalmerAcross),
                            say("a rib of the other hand"), kBrittleBare * (1.0 - kPalmerAcross));
            }
        }
        if (rib && rib->crossing.hold == Hold::partly)
            return weak(i, say("the rib holds the strands only in part"), kPartlyHeld, say("the rib's other sense"), kPartlyHeld);
        if (rib)
            return weak(i, say("rib and body are of one hand, so the rib sinks between the strands and holds none"), kBrittleBare,
                        say("the rib wound the other way"), kBrittleBare);
        weak(i, say("a brittle body with nothing over it"), kBrittleBare, say("a rib across it, or twist the strands with the thread"),
             kBrittleBare);
    }

    void strip(std::size_t i, const BodyPlan& body) {
        const bool ribbed = std::ranges::any_of(plan_.parts, [&](const PartPlan& part) {
            const auto* rib = std::get_if<RibPlan>(&part.detail);
            return rib && rib->front < body.end && rib->end > body.front;
        });
        if (ribbed)
            return protects(body.method == BodyMethod::floss ? say("the rib keeps teeth off the floss")
                                                             : say("the rib keeps teeth off the tinsel"));
        weak(i, body.method == BodyMethod::floss ? say("teeth fray bare floss") : say("teeth cut bare tinsel"), kBareStrip,
             say("a rib, or a film of varnish"), kBareStrip);
    }

    void of(std::size_t i, const TagPlan&) {
        if (plan_.parts[i].made.kind == MaterialKind::herl) return;
        const auto* written = std::get_if<TagPart>(&plan_.pattern.parts[i].detail);
        const Protection own = written ? written->protect.value_or(Protection::none) : Protection::none;
        const std::string name = sayName(plan_.parts[i].kind);
        if (own == Protection::none)
            return weak(i, say("teeth cut the {} first", name), kBareTag, say("varnish or a touch of glue over it"), kBareTag);
        protects((own == Protection::glue ? say("glue over the ") : say("varnish over the ")) + name);
    }

    void of(std::size_t i, const TailPlan& tail) {
        const MaterialKind kind = plan_.parts[i].made.kind;
        const bool brittle = kind == MaterialKind::herl || kind == MaterialKind::fibres;
        constexpr double kLong = 1.25;
        if (brittle && tail.length > kLong * plan_.hook.shank())
            weak(i, say("a long tail of brittle fibres breaks"), kLongBrittleTail, say("as long as the body"), kLongBrittleTail);
    }

    void of(std::size_t i, const HacklePlan& hackle) {
        const bool game = plan_.parts[i].made.kind == MaterialKind::hackle &&
                          (hackle.feather.bird == Bird::partridge || hackle.feather.bird == Bird::grouse);
        if (game) weak(i, say("a soft game-bird stem"), kSoftGameBird, {}, 0.0);
        const SchoolChoices& held = plan_.schools.held;
        if (held.collarTiedIn == CollarTiedIn::beforeBody && plan_.parts[i].kind == PartKind::collar)
            protects(say("the thread goes through the hackle from behind"));
        if (held.featherEnd == FeatherEnd::cut || held.featherEnd == FeatherEnd::broken)
            weak(i, say("the hackle's end is not folded back: it can draw out"), kEndLoose, say("fold it back under two turns"), kEndLoose);
    }

    void of(std::size_t i, const WingPlan& wing) {
        if (wing.style == WingStyle::paired || wing.style == WingStyle::upright) {
            const bool ahead = std::ranges::any_of(
                plan_.parts, [&](const PartPlan& part) { return part.kind == PartKind::collar && part.station < plan_.parts[i].station; });
            if (ahead) return protects(say("a turn of hackle ahead of the slips"));
            return weak(i, say("slips split after a few fish"), kSlips,
                        wing.style == WingStyle::paired ? say("a rolled wing, or a turn of hackle ahead of it")
                                                        : say("a turn of hackle ahead of it"),
                        kSlips);
        }
        if (wing.style == WingStyle::plume || wing.style == WingStyle::tips)
            weak(i, say("a soft wing is part of its charm"), kPlume, {}, 0.0);
    }

    void of(std::size_t i, const PiecePlan&) {
        const auto* legs = std::get_if<LegsPart>(&plan_.pattern.parts[i].detail);
        if (legs && legs->knots.value_or(0) > 0)
            weak(i, say("knots in legs work loose"), kKnottedLegs, say("a dab on each knot"), kKnottedLegs);
    }

    void of(std::size_t i, const BeadPlan& bead) {
        const bool behind = std::ranges::any_of(plan_.parts, [](const PartPlan& p) {
            return p.kind == PartKind::thorax || p.kind == PartKind::collar || p.kind == PartKind::body;
        });
        if (bead.ball || (bead.atEye && behind)) return;
        weak(i, say("the bead is free to turn"), kFreeBead, say("a ball behind it, or a film"), kFreeBead);
    }

    void of(std::size_t i, const HeadPlan& head) {
        const bool hitches = head.knot == Knot::halfHitch;
        constexpr double kEnoughWhip = 3.0;
        const bool wax = head.finish == Finish::wax;
        if (!wax && (hitches || head.whipTurns < kEnoughWhip))
            weak(i, hitches ? say("half hitches slip") : say("so short a whip unravels"), kWeakKnot, say("a second knot, or varnish in it"),
                 kWeakKnot);
        if (wax) return protects(say("wax in the last knot"));
        if (head.finish == Finish::resin || head.finish == Finish::glue)
            return protects(head.finish == Finish::resin ? say("resin over the whip") : say("glue in the whip"));
        if (head.finish == Finish::none || head.coats == 0)
            return weak(i, say("the whip alone holds the head"), kNoCoat, say("two coats of varnish"), kNoCoat);
        protects(say("{}{} over the whip", std::to_string(head.coats), head.coats == 1 ? say(" coat") : say(" coats")));
        if (head.coats == 1) weak(i, say("one coat of varnish"), kOneCoat, say("a second"), kOneCoat);
        if (head.coats > 2) weak(i, say("a third coat stays soft"), kThirdCoat, say("leave it off"), kThirdCoat);
    }

    void of(std::size_t, const RibPlan&) {}
    void of(std::size_t, const UnderbodyPlan&) {}
    void of(std::size_t, const ThreadPlan&) {}
    void of(std::size_t, const Impossible&) {}

    const Plan& plan_;
    std::vector<HeldPart> held_;
    Durability found_;
};

}  // namespace

Durability durabilityOf(const Plan& plan) { return Lasting(plan).run(); }

const Weakness* Durability::cheapest() const {
    const auto found = std::ranges::max_element(weak, {}, &Weakness::buys);
    return found == weak.end() || found->buys <= 0.0 ? nullptr : &*found;
}

std::string sayDurability(double score) {
    constexpr double kHard = 9.0, kSound = 7.0, kFew = 5.0;
    return score >= kHard    ? say("hard-wearing")
           : score >= kSound ? say("sound")
           : score >= kFew   ? say("good for a few fish")
                             : say("tender");
}

}  // namespace machair
