#include "sizing/limits.h"

#include <algorithm>
#include <cmath>

#include "language/say.h"
#include "sizing/crossing.h"
#include "units/text.h"
#include "units/visit.h"

namespace machair {

namespace {

constexpr Angle kUprightFibres = 85_deg;

Angle standOf(const HacklePlan& h) { return h.stand == FibreStand::upright ? kUprightFibres : h.feather.fibreAngle(); }

std::string title(PartKind kind) { return sayName(kind); }

bool isMeasured(const Material& made, std::string_view key) { return std::ranges::find(made.measured, key) != made.measured.end(); }

// What a plan says; one rule a function.
class Saying {
  public:
    explicit Saying(Bench& bench)
        : bench_(bench), plan_(bench.plan), hook_(bench.hook), shank_(bench.hook.shank()), gape_(bench.hook.gape()) {}

    void ofFly() {
        ofCrowding();
        ofHead();
        ofShortBody();
        ofStops();
        ofLimit();
        for (std::size_t i = 0; i < plan_.parts.size(); ++i) {
            if (std::holds_alternative<Impossible>(plan_.parts[i].detail)) continue;
            ofPairs(i);
            ofProportion(i);
            ofPieces(i);
            ofBead(i);
            ofLocks(i);
            ofLabel(i);
        }
    }

  private:
    const Part& written(std::size_t i) const { return plan_.pattern.parts[i]; }
    void note(std::size_t part, const char* key, Concern concern, double over, const char* unit, std::string what, std::string remedy) {
        bench_.warn(part, key, concern, {over, unit, Severity::note}, std::move(what), std::move(remedy));
    }
    void ofFlyAsAWhole(Concern concern, const char* key, Length over, Severity severity, std::string what, std::string remedy) {
        Place place = bench_.resolver.flyPlace();
        if (key[0] != '\0') place = place.key(key);
        plan_.warnings.push_back({{std::move(place), std::move(what), std::move(remedy)}, concern, {}, over / mm, "mm", key, severity});
    }

    // Crowded where what is written leaves too little, or where the front of itself goes further back than it usually does.
    void ofCrowding() {
        const HeadBudget& head = plan_.head;
        if (head.crowded == Crowding::no) return;
        const bool short_ = head.margin() < 0.0 * mm;
        const Length over = short_ ? -head.margin() : plan_.foremostBody - head.usual;
        std::string what =
            short_ ? say("the head is crowded by {}", formatLength(over, LengthUnit::millimetres, 2))
                   : say("what stands in front takes {} more of the shank than is usual", formatLength(over, LengthUnit::millimetres, 2));
        const auto most = std::ranges::max_element(head.shares, {}, &RoomShare::room);
        if (most != head.shares.end()) what += say("; most of it goes to the {}", most->what);
        // A front that went back of itself is not mended by going back further.
        const auto mend = std::ranges::find_if(
            head.remedies, [short_](const Remedy& remedy) { return short_ || remedy.kind != RemedyKind::bodyFrontBack; });
        ofFlyAsAWhole(Concern::crowdedHead, "", over, head.crowded == Crowding::warning ? Severity::warning : Severity::note,
                      std::move(what), mend == head.remedies.end() ? "" : mend->words);
    }

    void ofHead() {
        constexpr double kThick = 0.85;  // of the eye's width
        const Length eye = hook_.eyeWidth(), over = plan_.head.diameter - kThick * eye;
        if (over <= slack(plan_.head.diameter, kThick * eye)) return;
        ofFlyAsAWhole(
            Concern::headThick, "", over, plan_.head.diameter > eye ? Severity::warning : Severity::note,
            say("the head comes out {} thick, {} of the eye's width", formatLength(plan_.head.diameter, LengthUnit::millimetres, 2),
                formatNumber(plan_.head.diameter / eye, 1)),
            say("cut the butts on a slope: that takes {} off it", formatLength(plan_.head.slopeCutTakes, LengthUnit::millimetres, 2)));
    }

    void ofShortBody() {
        constexpr double kShort = 0.30, kBack = 0.40;  // of the shank
        const auto body = bench_.resolver.first(PartKind::body);
        if (!body || plan_.head.crowded != Crowding::no) return;
        const Length long_ = plan_.bodyEnd - plan_.bodyFront;
        if (long_ + slack(long_, kShort * shank_) >= kShort * shank_ || plan_.bodyFront <= kBack * shank_) return;
        note(*body, "front", Concern::shortBody, (kShort * shank_ - long_) / mm, "mm",
             say("this front leaves a body of {}, {} % of the shank", formatLength(long_), formatNumber(100.0 * (long_ / shank_), 0)),
             say("bring its front forward"));
    }

    // One stop that several parts share is said once, naming them all.
    void ofStops() {
        constexpr double kShareOfShank = 0.40;
        struct Stop {
            Length fixed;
            std::size_t part;
            const char* key;
            std::string named;
        };
        std::vector<Stop> stops;
        for (std::size_t i = 0; i < plan_.parts.size(); ++i)
            for (const auto& [key, spec] : stopsOf(written(i))) {
                for (const auto* offset : {&spec->ahead, &spec->behind}) {
                    const Length* fixed = *offset ? std::get_if<Length>(&(*offset)->value) : nullptr;
                    if (!fixed || *fixed <= kShareOfShank * shank_ + slack(*fixed, kShareOfShank * shank_)) continue;
                    const std::string named = say("the {}'s {}", title(written(i).kind), key);
                    const auto same = std::ranges::find(stops, *fixed, &Stop::fixed);
                    if (same == stops.end())
                        stops.push_back({*fixed, i, key, named});
                    else
                        same->named += say(" and {}", named);
                }
            }
        for (const Stop& stop : stops)
            bench_.warn(stop.part, stop.key, Concern::fixedStop, {(stop.fixed - kShareOfShank * shank_) / mm, "mm", Severity::warning},
                        say("a fixed stop of {} for {} is {} % of this shank", formatLength(stop.fixed, LengthUnit::millimetres, 2),
                            stop.named, formatNumber(100.0 * (stop.fixed / shank_), 0)),
                        say("as a share of the shank it moves with the hook"));
    }
    static std::vector<std::pair<const char*, const StationSpec*>> stopsOf(const Part& part) {
        std::vector<std::pair<const char*, const StationSpec*>> stops;
        const auto add = [&](const char* key, const std::optional<StationSpec>& spec) {
            if (spec) stops.emplace_back(key, &*spec);
        };
        const auto both = [&](const auto& wound) {
            add("end", wound.end);
            add("front", wound.front);
        };
        std::visit(Overloaded{[&](const BodyPart& body) { both(body); }, [&](const UnderbodyPart& under) { both(under); },
                              [](const OneOf<TagPart, TailPart, RibPart, PalmerPart, CollarPart, WingPart, LegsPart, CheekPart, BeadPart,
                                             ThreadPart, HeadPart> auto&) {}},
                   part.detail);
        return stops;
    }

    void ofLimit() {
        const auto& most = plan_.pattern.maxLength;
        if (!most || plan_.length <= *most + slack(plan_.length, *most)) return;
        const Length over = plan_.length - *most;
        const std::string by = say(" by {}", formatLength(over));
        ofFlyAsAWhole(Concern::tooLong, "max_length_mm", over, Severity::warning,
                      say("this fly is {} long, over its limit{}", formatLength(plan_.length), by),
                      plan_.endsWith < 0 ? say("the hook itself is that long: take a smaller one")
                                         : say("shorten the {}{}", title(plan_.parts[static_cast<std::size_t>(plan_.endsWith)].kind), by));
    }

    void ofPairs(std::size_t i) {
        const PartPlan& part = plan_.parts[i];
        double count = 0.0;
        if (const auto* wing = std::get_if<WingPlan>(&part.detail); wing && wing->style == WingStyle::tips)
            count = wing->count.value_or(0.0);
        if (const auto* pieces = std::get_if<PiecePlan>(&part.detail)) {
            const auto* legs = std::get_if<LegsPart>(&written(i).detail);
            if (!legs || legs->style != LegStyle::spread) count = pieces->count;
        }
        if (std::fmod(std::round(count), 2.0) != 0.0)
            bench_.warn(i, "count", Concern::oddPair, {1.0, "", Severity::warning},
                        say("{} where left and right are meant", formatNumber(count, 0)),
                        say("one more, or one less, so that both sides match"));
    }

    void ofLongerThan(std::size_t i, const char* key, Length is, Length limit, const std::string& what, const std::string& remedy) {
        if (is > limit + slack(is, limit)) note(i, key, Concern::proportion, (is - limit) / mm, "mm", what, remedy);
    }

    void ofProportion(std::size_t i) {
        const PartPlan& part = plan_.parts[i];
        std::visit(Overloaded{
                       [&](const TagPlan& tag) { ofTag(i, tag); },
                       [&](const TailPlan& tail) { ofTail(i, tail); },
                       [&](const PalmerPlan& palmer) { ofPalmer(i, palmer); },
                       [&](const HacklePlan& collar) { ofCollar(i, collar); },
                       [&](const PiecePlan& piece) {
                           if (part.kind == PartKind::cheek) ofCheek(i, piece);
                       },
                       [&](const WingPlan& wing) { ofWing(i, wing); },
                       [&](const HeadPlan& head) { ofHead(i, head); },
                       // Their proportions are the rib's, the budget's and the bead's own rules.
                       [](const OneOf<Impossible, RibPlan, UnderbodyPlan, BodyPlan, BeadPlan, ThreadPlan> auto&) {},
                   },
                   part.detail);
    }

    void ofPalmer(std::size_t i, const PalmerPlan& palmer) {
        constexpr double kMasks = 2.0;  // of the gape
        ofLongerThan(i, "length", palmer.hackle.fibre, kMasks * gape_,
                     say("fibres of {} at the shoulder mask the point", formatLength(palmer.hackle.fibre)),
                     say("twice the gape is as long as they should be"));
    }

    void ofCollar(std::size_t i, const HacklePlan& h) {
        constexpr double kTopples = 2.4;  // of the gape
        if (h.stand == FibreStand::upright)
            ofLongerThan(i, "length", h.fibre, kTopples * gape_, say("on upright fibres of {} the fly topples", formatLength(h.fibre)),
                         say("about one and a half times the gape stands well"));
        const auto* collar = std::get_if<CollarPart>(&written(i).detail);
        if (!collar || !collar->turns || !collar->until) return;
        const double told = collar->turns->middle();
        ofTold(i, told, h.untilTurns, say("as far as its station goes take "), say("leave one of the two out"));
    }

    void ofTag(std::size_t i, const TagPlan& planned) {
        const auto& tag = std::get<TagPart>(written(i).detail);
        if (!tag.length || !tag.turns) return;
        ofTold(i, tag.turns->middle(), planned.turns, say("its length takes "), say("the length stands: leave one of the two out"));
    }

    // Turns that are written beside something that says how many there must be.
    void ofTold(std::size_t i, double told, double follows, const std::string& from, const std::string& remedy) {
        if (std::abs(follows - told) <= std::max(0.5, 0.25 * told)) return;
        note(i, "turns", Concern::contradiction, std::abs(follows - told), "turns",
             say("{} turns are written, {}{}", formatShort(told, 1), from, formatShort(follows, 1)), remedy);
    }

    void ofHead(std::size_t i, const HeadPlan& head) {
        if (head.coats > 2)
            note(i, "coats", Concern::coats, head.coats - 2, "", say("a third coat stays tacky for long"),
                 say("two coats, each dry before the next"));
    }

    void ofTail(std::size_t i, const TailPlan& tail) {
        const auto& spec = std::get<TailPart>(written(i).detail);
        constexpr double kTangles = 2.5;  // shanks
        const bool follows = std::holds_alternative<Ratio>(spec.length.value) || std::holds_alternative<Reach>(spec.length.value);
        if (follows && tail.style != TailStyle::plume)
            ofLongerThan(i, "length", tail.length, kTangles * shank_, say("a tail of {} breaks and tangles", formatLength(tail.length)),
                         say("two and a half shanks are as long as it should be"));
        const auto* tippet = std::get_if<TippetTraits>(&plan_.parts[i].made.traits);
        if (!tail.barSpacing || !tippet || !tippet->barSpacing) return;
        constexpr double kOff = 0.12;
        const Length wanted = *tail.barSpacing, has = *tippet->barSpacing;
        if (abs(has - wanted) > kOff * wanted + slack(has, wanted))
            note(i, "length", Concern::bars, abs(has - wanted) / mm, "mm",
                 say("its bars want to be {} apart, this feather's are {}", formatLength(wanted), formatLength(has)),
                 say("a feather with bars of about that spacing, or a tail to its second bar"));
    }

    void ofCheek(std::size_t i, const PiecePlan& cheek) {
        Length most = 0.45 * shank_;
        for (const PartPlan& other : plan_.parts)
            if (const auto* wing = std::get_if<WingPlan>(&other.detail)) most = std::max(most, 0.60 * wing->length);
        ofLongerThan(i, "length", cheek.length, most, say("a cheek of {} hides the wing", formatLength(cheek.length)),
                     say("about a third of the shank shows well"));
        const auto* piece = std::get_if<PieceTraits>(&plan_.parts[i].made.traits);
        const auto bead = bench_.resolver.beadDiameter();
        if (piece && piece->width && bead)
            ofLongerThan(i, "material", *piece->width, *bead,
                         say("a cheek {} wide stands out beyond the bead", formatLength(*piece->width)), say("a narrower one"));
    }

    void ofWing(std::size_t i, const WingPlan& wing) {
        const auto& spec = std::get<WingPart>(written(i).detail);
        if (spec.position != WingPosition::under)
            for (const PartPlan& other : plan_.parts)
                if (const auto* under = std::get_if<WingPlan>(&other.detail);
                    under && &other != &plan_.parts[i] &&
                    std::get<WingPart>(written(static_cast<std::size_t>(&other - plan_.parts.data())).detail).position ==
                        WingPosition::under)
                    ofLongerThan(i, "length", under->length, wing.length,
                                 say("the over-wing is shorter than the one under it, of {}", formatLength(under->length)),
                                 say("let it reach at least as far"));
        if (spec.folds && spec.layers && !foldsMake(*spec.folds, *spec.layers))
            note(i, "folds", Concern::contradiction, 1.0, "",
                 say("{} layers are not folded in {}", std::to_string(*spec.layers), sayName(*spec.folds)),
                 say("the layers stand: leave the folds out"));
        constexpr double kMostFeathers = 12.0;
        if (wing.style == WingStyle::plume && wing.count && *wing.count > kMostFeathers)
            note(i, "count", Concern::contradiction, *wing.count - kMostFeathers, "",
                 say("{} is taken for barbs, as older files counted", formatNumber(*wing.count, 0)), say("count the feathers"));
    }
    static bool foldsMake(Folds folds, int layers) { return folds == Folds::thirds ? layers % 3 == 0 : (layers & (layers - 1)) == 0; }

    // A piece of something that is shorter than its part wants.
    void ofPieces(std::size_t i) {
        const PartPlan& part = plan_.parts[i];
        const auto short_ = [&](const std::optional<Length>& has, Length wants, const char* key, const char* what) {
            if (!has || *has >= wants - slack(*has, wants)) return;
            bench_.warn(i, "material", Concern::proportion,
                        {(wants - *has) / mm, "mm", isMeasured(part.made, key) ? Severity::warning : Severity::note},
                        say("{} of {} where {} are wanted", say(what), formatLength(*has), formatLength(wants)),
                        say("longer ones, or a shorter {}", title(part.kind)));
        };
        const Material& made = part.made;
        // What each kind of part takes whole of what it is made of.
        std::visit(
            Overloaded{
                [&](const PiecePlan& pieces, const PieceTraits& piece) {
                    short_(piece.length, pieces.length, "length_mm", unsaid("a piece"));
                },
                [&](const WingPlan& wing, const PieceTraits& piece) { short_(piece.length, wing.length, "length_mm", unsaid("a point")); },
                [&](const WingPlan& wing, const HairTraits& hair) { short_(hair.length, wing.length, "length_mm", "hair"); },
                [&](const WingPlan& wing, const PlumeTraits& plume) {
                    short_(plume.fibreLength, 0.5 * wing.length, "fibre_length_mm", "barbs");
                },
                [&](const TailPlan& tail, const HairTraits& hair) { short_(hair.length, tail.fibreNeeded, "length_mm", "hair"); },
                [&](const TailPlan& tail, const StrandTraits& strands) {
                    short_(strands.natural, tail.fibreNeeded, "natural_mm", "fibres");
                },
                [](const auto&, const auto&) {},
            },
            part.detail, made.traits);
    }

    void ofBead(std::size_t i) {
        const auto* bead = std::get_if<BeadPlan>(&plan_.parts[i].detail);
        if (!bead) return;
        const Length g0 = nominalGape(hook_.size());
        const double share = bead->diameter / g0;
        constexpr double kSmall = 0.42, kLarge = 0.80, kTooSmall = 0.33, kTooLarge = 0.95;
        const Length over = share > kLarge ? bead->diameter - kLarge * g0 : kSmall * g0 - bead->diameter;
        if (over > slack(bead->diameter, g0 * (share > kLarge ? kLarge : kSmall)))
            bench_.warn(i, "material", Concern::beadSize,
                        {over / mm, "mm", share > kTooLarge || share < kTooSmall ? Severity::warning : Severity::note},
                        say("a bead of {} is {} on this hook", formatLength(bead->diameter), share > kLarge ? say("large") : say("small")),
                        say("one of about {}", formatLength(0.60 * g0)));
        const bool barbless = hook_.spec().barb == false;
        const Length passes = (barbless ? 1.10 : 1.35) * hook_.wire(), stops = 0.9 * hook_.eyeWidth();
        if (bead->hole < passes - slack(bead->hole, passes))
            bench_.warn(i, "material", Concern::beadHole, {(passes - bead->hole) / mm, "mm", Severity::warning},
                        say("a hole of {} won't pass the bend, which wants {}", formatLength(bead->hole, LengthUnit::millimetres, 2),
                            formatLength(passes, LengthUnit::millimetres, 2)),
                        say("a larger hole, or a slotted bead"));
        if (bead->hole > stops + slack(bead->hole, stops))
            bench_.warn(i, "material", Concern::beadEye, {(bead->hole - stops) / mm, "mm", Severity::warning},
                        say("a hole of {} slips over the eye", formatLength(bead->hole, LengthUnit::millimetres, 2)),
                        say("a smaller hole, or thread built up ahead of it"));
    }

    // Who winds it for its shine, its segments or to tame the fur doesn't ask it to hold.
    [[nodiscard]] bool ribHolds() const {
        const RibFor what = plan_.schools.held.ribFor.value_or(RibFor::byMaterial);
        return what == RibFor::byMaterial || what == RibFor::hold;
    }

    // A brittle body is locked by a rib or palmer of the other hand, a palmer by a rib that crosses its turns.
    void ofLocks(std::size_t i) {
        const PartPlan& part = plan_.parts[i];
        if (const auto* body = std::get_if<BodyPlan>(&part.detail)) {
            if (!isBrittleBody(plan_, i) || !ribHolds()) return;
            const int hand = senseOf(plan_, i);  // it travels forward
            bool ribbed = false, locked = false;
            for (const PartPlan& other : plan_.parts) {
                if (const auto* rib = std::get_if<RibPlan>(&other.detail); rib && rib->front < body->end && rib->end > body->front) {
                    ribbed = true;
                    locked = locked || rib->hand != hand;
                }
                if (const auto* palmer = std::get_if<PalmerPlan>(&other.detail);
                    palmer && other.station < body->end && palmer->end > body->front)
                    locked = locked || palmer->hand != hand;
            }
            if (ribbed && !locked)
                bench_.warn(i, "direction", Concern::brittleBody, {1.0, "", Severity::warning},
                            say("a brittle body with its rib wound the same way is not locked by it"),
                            say("wind one of the two against the other"));
        } else if (const auto* rib = std::get_if<RibPlan>(&part.detail); rib && ribHolds()) {
            for (const PartPlan& other : plan_.parts)
                if (const auto* palmer = std::get_if<PalmerPlan>(&other.detail);
                    palmer && palmer->hand == rib->hand && rib->crossesPalmer && *rib->crossesPalmer < palmer->openTurns) {
                    note(i, "direction", Concern::ribWithPalmer, palmer->openTurns - *rib->crossesPalmer, "turns",
                         say("it runs in the palmer's own spiral and crosses {} of its turns", formatShort(*rib->crossesPalmer, 1)),
                         say("wound the other way it crosses {}", formatShort(rib->turns + palmer->openTurns, 1)));
                    return;
                }
        }
    }

    void ofLabel(std::size_t i) {
        const Material& made = plan_.parts[i].made;
        if (!made.label || !plan_.parts[i].material || labelIsKnown(made)) return;
        for (std::size_t k = 0; k < i; ++k)
            if (plan_.parts[k].material == plan_.parts[i].material) return;  // said already
        note(i, "material", Concern::label, 1.0, "", say("the size \"{}\" is not one that is known", *made.label),
             say("measure it, or take the usual size as it is assumed"));
    }
    static bool labelIsKnown(const Material& made) {
        struct Known {
            const Material& made;
            bool sized(bool given) const { return given || sizeOfLabel(made.kind, *made.label).has_value(); }
            bool operator()(const ThreadTraits& t) const { return t.denier || t.dtex || denierOfLabel(*made.label); }
            bool operator()(const WireTraits& t) const { return sized(t.diameter.has_value()); }
            bool operator()(const StripTraits& t) const { return sized(t.width.has_value()); }
            bool operator()(const RopeTraits& t) const { return made.kind != MaterialKind::chenille || sized(t.diameter.has_value()); }
            bool operator()(const BeadTraits& t) const { return sized(t.diameter.has_value()); }
            bool operator()(const DubbingTraits&) const { return true; }
            bool operator()(const StrandTraits&) const { return true; }
            bool operator()(const HackleTraits&) const { return true; }
            bool operator()(const VaneTraits&) const { return true; }
            bool operator()(const TippetTraits&) const { return true; }
            bool operator()(const PlumeTraits&) const { return true; }
            bool operator()(const HairTraits&) const { return true; }
            bool operator()(const PieceTraits&) const { return true; }
        };
        return std::visit(Known{made}, made.traits);
    }

    Bench& bench_;
    Plan& plan_;
    const Hook& hook_;
    Length shank_, gape_;
};

}  // namespace

std::optional<Length> tipX(const Plan& plan, std::size_t i) {
    const PartPlan& part = plan.parts[i];
    const auto at = [&](Length station) { return plan.hook.at(station); };
    const Length x = at(part.station).position.x;
    struct Tip {
        const Plan& plan;
        const PartPlan& part;
        std::size_t i;
        Length x;
        std::optional<Length> operator()(const TailPlan& tail) const { return x + tail.length * cos(plan.hook.at(part.station).heading); }
        std::optional<Length> operator()(const WingPlan& wing) const {
            const auto& written = std::get<WingPart>(plan.pattern.parts[i].detail);
            return x + wing.length * (written.angle || wing.style == WingStyle::upright ? cos(wing.lift) : 1.0);
        }
        std::optional<Length> operator()(const PiecePlan& piece) const { return x + piece.length; }
        std::optional<Length> operator()(const HacklePlan& h) const { return h.target ? h.target->x : x + h.fibre * cos(standOf(h)); }
        std::optional<Length> operator()(const PalmerPlan& palmer) const {
            const HacklePlan& h = palmer.hackle;
            return h.target ? h.target->x : plan.hook.at(palmer.end).position.x + h.shortest * cos(standOf(h));
        }
        std::optional<Length> operator()(const Impossible&) const { return std::nullopt; }
        std::optional<Length> operator()(const TagPlan&) const { return std::nullopt; }
        std::optional<Length> operator()(const RibPlan&) const { return std::nullopt; }
        std::optional<Length> operator()(const UnderbodyPlan&) const { return std::nullopt; }
        std::optional<Length> operator()(const BodyPlan&) const { return std::nullopt; }
        std::optional<Length> operator()(const BeadPlan&) const { return std::nullopt; }
        std::optional<Length> operator()(const ThreadPlan&) const { return std::nullopt; }
        std::optional<Length> operator()(const HeadPlan&) const { return std::nullopt; }
    };
    return std::visit(Tip{plan, part, i, x}, part.detail);
}

void measureFly(Plan& plan) {
    Length front = -plan.hook.eyeWidth(), rear = plan.hook.overall() - plan.hook.eyeWidth();
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const auto tip = tipX(plan, i);
        if (!tip) continue;
        if (std::holds_alternative<TailPlan>(plan.parts[i].detail) && !plan.tailTip) plan.tailTip = *tip;
        front = std::min(front, *tip);
        if (*tip <= rear) continue;
        rear = *tip;
        plan.endsWith = static_cast<int>(i);
    }
    plan.length = rear - front;
}

void sayOfPlan(Bench& bench) { Saying(bench).ofFly(); }

}  // namespace machair
