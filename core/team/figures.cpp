#include "team/figures.h"
#include "units/visit.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <string>

namespace machair {

namespace {

constexpr Rgb kUnknownColour{0.48, 0.42, 0.34};
constexpr double kHopeless = 100.0;  // near-widths: a fly that floats below one that sinks is not nearly right

Rgb colourOf(const Material& material) {
    const std::string* hex = material.mainColour();
    return toLinear((hex ? parseColour(*hex) : std::nullopt).value_or(kUnknownColour));
}

// mm² of each part; a rib, a tag, a head and the rest are too small to colour a fly.
constexpr auto kSideOfHackle = [](const HacklePlan& h) { return 0.5 * h.fibres * h.fibre * h.feather.fibre / mm2; };
constexpr Overloaded kSeenFromTheSide{
    [](const BodyPlan& body) { return 0.5 * (body.rearDiameter + body.frontDiameter) * (body.end - body.front) / mm2; },
    kSideOfHackle,
    [](const PalmerPlan& palmer) { return kSideOfHackle(palmer.hackle); },
    [](const WingPlan& wing) { return wing.length * wing.depth / mm2; },
    [](const TailPlan& tail) { return tail.fibres * tail.length * tail.fibre / mm2; },
    [](const OneOf<Impossible, TagPlan, RibPlan, UnderbodyPlan, PiecePlan, BeadPlan, ThreadPlan, HeadPlan> auto&) { return 0.0; },
};

double spread(double a, double b) { return std::max(a, b) / std::min(a, b) - 1.0; }

}  // namespace

Rgb meanColour(const Plan& plan) {
    Rgb sum;
    double whole = 0.0;
    for (const PartPlan& part : plan.parts) {
        const double area = std::visit(kSeenFromTheSide, part.detail);
        const Rgb c = colourOf(part.made);
        sum = {sum.r + area * c.r, sum.g + area * c.g, sum.b + area * c.b};
        whole += area;
    }
    if (whole <= 0.0) return kUnknownColour;
    return fromLinear({sum.r / whole, sum.g / whole, sum.b / whole});
}

namespace {

// Of the fibres that make a fly full, how much counts as stiff.
double stiffnessOf(Stiffness stiffness) { return stiffness == Stiffness::stiff ? 1.0 : stiffness == Stiffness::medium ? 0.5 : 0.0; }

Likeness likenessOf(TailStyle style) {
    switch (style) {
        case TailStyle::fibres:
        case TailStyle::tippet: return Likeness::fibreTail;
        case TailStyle::slip: return Likeness::slipTail;
        case TailStyle::cloak: return Likeness::cloakTail;
        case TailStyle::hair: return Likeness::hairTail;
        case TailStyle::floss: return Likeness::flossTail;
        case TailStyle::plume: return Likeness::plumeTail;
    }
    throw BrokenContract("unknown tail");
}
Likeness likenessOf(WingStyle style) {
    switch (style) {
        case WingStyle::rolled:
        case WingStyle::paired: return Likeness::leafWing;
        case WingStyle::upright: return Likeness::uprightWing;
        case WingStyle::cloak: return Likeness::cloakWing;
        case WingStyle::hair: return Likeness::hairWing;
        case WingStyle::plume: return Likeness::plumeWing;
        case WingStyle::tips: return Likeness::tipWing;
    }
    throw BrokenContract("unknown wing");
}

// What a fly's style is read from.
struct StyleTraits {
    bool bead = false, palmer = false, knotted = false, legs = false, uprightStiff = false, notSoft = false, plumeWing = false,
         otherWing = false, highWing = false, longTail = false;
    int collars = 0;
};
void seeHackle(StyleTraits& t, const HacklePlan& hackle) {
    const bool soft = hackle.feather.stiffness == Stiffness::soft;
    t.notSoft = t.notSoft || !soft;
    t.uprightStiff = t.uprightStiff || (hackle.stand == FibreStand::upright && !soft);
}
StyleTraits traitsOf(const Plan& plan) {
    constexpr double kLureTail = 2.5;  // shanks
    const Angle high = Angle::degrees(60.0);
    StyleTraits t;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const PartPlan& part = plan.parts[i];
        std::visit(Overloaded{
                       [&](const HacklePlan& collar) {
                           seeHackle(t, collar);
                           t.collars += part.kind == PartKind::collar ? 1 : 0;
                       },
                       [&](const PalmerPlan& palmer) {
                           seeHackle(t, palmer.hackle);
                           t.palmer = true;
                       },
                       [&](const TailPlan& tail) {
                           t.longTail = t.longTail || (tail.style != TailStyle::tippet && tail.length > kLureTail * plan.hook.shank());
                       },
                       [&](const WingPlan& wing) {
                           (wing.style == WingStyle::plume ? t.plumeWing : t.otherWing) = true;
                           t.highWing = t.highWing || wing.lift >= high;
                       },
                       [&](const BeadPlan&) { t.bead = true; },
                       [&](const PiecePlan&) {
                           const auto* legs =
                               i < plan.pattern.parts.size() ? std::get_if<LegsPart>(&plan.pattern.parts[i].detail) : nullptr;
                           t.legs = t.legs || legs;
                           t.knotted = t.knotted || (legs && legs->knots.value_or(0) > 0);
                       },
                       [](const OneOf<Impossible, TagPlan, RibPlan, UnderbodyPlan, BodyPlan, ThreadPlan, HeadPlan> auto&) {},
                   },
                   part.detail);
    }
    return t;
}

}  // namespace

double FlyFigures::hold() const {
    constexpr Force kNothing = 0.02 * millinewton;
    return floats || weight < kNothing ? kMostHold : std::min(kMostHold, presence / weight);
}

FlyStyle styleOf(const Plan& plan) {
    if (plan.pattern.style) return *plan.pattern.style;
    const StyleTraits t = traitsOf(plan);
    const bool hackle = t.collars > 0 || t.palmer;
    const bool fineWire = plan.hook.spec().heavier.value_or(0) < 0;
    if (t.longTail) return FlyStyle::lure;
    if (plan.pattern.buoyancyMillinewton.value_or(0.0) > 0.0 || (t.plumeWing && (t.notSoft || fineWire)) || (!hackle && t.highWing))
        return FlyStyle::film;
    if (t.uprightStiff && !t.bead) return FlyStyle::dry;
    if (t.bead) return FlyStyle::beaded;
    if (t.palmer) return FlyStyle::palmer;
    if (t.knotted) return FlyStyle::legged;
    if ((t.plumeWing && t.collars > 0) || t.otherWing) return FlyStyle::winged;
    if (t.collars >= 2 || (t.collars == 1 && t.legs)) return FlyStyle::hackled;
    return t.collars == 1 ? FlyStyle::spider : FlyStyle::nymph;
}

std::optional<std::size_t> fullestHackle(const Plan& plan) {
    std::optional<std::size_t> found;
    double most = 0.0;
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        if (const HacklePlan* hackle = hackleOf(plan.parts[i]); hackle && hackle->worth > most) {
            most = hackle->worth;
            found = i;
        }
    return found;
}

Fullness fullnessOf(const Plan& plan) {
    constexpr double kSplayedCollar = 26.0, kKnottedCollar = 12.0;  // legs that make a usual collar
    Fullness sum;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const PartPlan& part = plan.parts[i];
        if (const HacklePlan* hackle = hackleOf(part)) {
            sum.full += hackle->worth;
            sum.stiff += hackle->worth * stiffnessOf(hackle->feather.stiffness);
        } else if (const auto* piece = std::get_if<PiecePlan>(&part.detail);
                   piece && part.kind == PartKind::legs && i < plan.pattern.parts.size()) {
            const auto* legs = std::get_if<LegsPart>(&plan.pattern.parts[i].detail);
            if (legs && legs->knots.value_or(0) > 0)
                sum.full += piece->count / kKnottedCollar;
            else if (legs && legs->style == LegStyle::spread)
                sum.full += piece->count / kSplayedCollar;
        }
    }
    sum.stiff = sum.full > 0.0 ? sum.stiff / sum.full : 0.0;
    return sum;
}

FlyFigures figuresOf(const Plan& plan, const SinkReport& sink, const SeenIn& water) {
    FlyFigures f;
    f.sink = sink.sinkRate;
    f.presence = sink.presence;
    f.mass = sink.mass;
    f.weight = sink.submerged;
    f.floats = sink.floats;
    f.size = plan.hook.size();
    f.barb = plan.hook.hasBarb();
    f.length = plan.length;
    f.style = styleOf(plan);
    f.role = plan.pattern.role;
    const Fullness fullness = fullnessOf(plan);
    f.full = fullness.full;
    f.stiff = fullness.stiff;
    f.identity = std::hash<std::string>()(plan.pattern.id + "\n" + plan.hook.spec().id);
    const Length gape = plan.hook.gape(), shank = plan.hook.shank();
    const auto longest = [&](Likeness kind, double ratio) {
        double& known = f.lengths[static_cast<std::size_t>(kind)];
        known = std::max(known, ratio);
    };
    for (const PartPlan& part : plan.parts) {
        std::visit(Overloaded{
                       [&](const HacklePlan& collar) {
                           longest(collar.stand == FibreStand::upright ? Likeness::upright : Likeness::collar, collar.fibre / gape);
                       },
                       [&](const PalmerPlan& palmer) { longest(Likeness::palmer, palmer.hackle.fibre / gape); },
                       [&](const TailPlan& tail) { longest(likenessOf(tail.style), tail.length / shank); },
                       [&](const WingPlan& wing) { longest(likenessOf(wing.style), wing.length / shank); },
                       [&](const BeadPlan&) { f.bead = true; },
                       [](const OneOf<Impossible, TagPlan, RibPlan, UnderbodyPlan, BodyPlan, PiecePlan, ThreadPlan, HeadPlan> auto&) {},
                   },
                   part.detail);
    }
    f.seen = toCieLab(seen(meanColour(plan), water.clarity, water.sighting).fly);
    return f;
}

namespace {
// Colour is never worse than near (section D).
double varietyShortfall(double contrast, const SchoolRules& rules) { return std::min(1.0, rules.variety.shortfall(contrast)); }
}  // namespace

JudgedPair judgePair(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules) {
    JudgedPair judged = judgeNumbers(upper, lower, place, rules);
    if (!place.neighbours) return judged;
    const double contrast = ciede2000(upper.seen, lower.seen);
    judged.terms[static_cast<std::size_t>(judged.count++)] = {TeamTerm::variety, contrast, &rules.variety,
                                                              varietyShortfall(contrast, rules)};
    return judged;
}

namespace {

// Of flies of one style, the worst of the lengths that both have; less than 0 where they share none.
double worstSpread(const FlyFigures& a, const FlyFigures& b) {
    double worst = -1.0;
    if (a.style != b.style) return worst;
    for (std::size_t i = 0; i < kLikenesses; ++i)
        if (const double x = a.lengths[i], y = b.lengths[i]; x > 0.0 && y > 0.0) worst = std::max(worst, spread(x, y));
    return worst;
}

// Of a lower fly to an upper, m/s: a float above passes, one below is off.
template <class Give, class Take>
bool giveSink(TeamTerm term, const FlyFigures& upper, const FlyFigures& lower, const Wanted& wanted, Give give, Take take) {
    if (!lower.floats && !upper.floats) return give(term, lower.sink / upper.sink, wanted);
    return take(term, 0.0, wanted, lower.floats && !upper.floats ? kHopeless : 0.0, false);
}

// Every number of a pair that is judged, one after the other: take(term, value, wanted, shortfall, valued) for each,
// until it returns false. The cheapest and the likeliest to fail come first.
template <class Take>
bool eachNumber(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules, Take take) {
    const auto give = [&](TeamTerm term, double value, const Wanted& wanted) {
        return take(term, value, wanted, wanted.shortfall(value), true);
    };
    const auto nearAtWorst = [&](TeamTerm term, double value, const Wanted& wanted) {
        return take(term, value, wanted, std::min(1.0, wanted.shortfall(value)), true);
    };
    if (place.neighbours) {
        if (!giveSink(TeamTerm::sinkStep, upper, lower, rules.sinkStep, give, take)) return false;
        if (!give(TeamTerm::presenceOrder, upper.presence / lower.presence, rules.presenceOrder)) return false;
        if (!give(TeamTerm::turnover, (lower.mass * upper.presence) / (lower.presence * upper.mass), rules.turnover)) return false;
        if (!give(TeamTerm::sizeStep, lower.size - upper.size, place.fromBob ? rules.topSizeStep : rules.sizeStep)) return false;
        if (upper.identity == lower.identity && !nearAtWorst(TeamTerm::twice, 1.0, rules.twice)) return false;
    }
    if (place.fromBob && place.toPoint && !giveSink(TeamTerm::sinkAcross, upper, lower, rules.sinkAcross, give, take)) return false;
    if (place.toPoint && !give(TeamTerm::pointWeight, lower.mass / upper.mass, rules.pointWeight)) return false;
    const double worst = worstSpread(upper, lower);
    return worst < 0.0 || nearAtWorst(TeamTerm::family, worst, rules.family);
}

}  // namespace

JudgedPair judgeNumbers(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules) {
    JudgedPair judged;
    eachNumber(upper, lower, place, rules, [&](TeamTerm term, double value, const Wanted& wanted, double shortfall, bool valued) {
        judged.terms[static_cast<std::size_t>(judged.count++)] = {term, value, &wanted, shortfall, valued};
        return true;
    });
    return judged;
}

bool numbersPass(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules) {
    return eachNumber(upper, lower, place, rules, [](TeamTerm, double, const Wanted&, double shortfall, bool) { return shortfall <= 0.0; });
}

double lossOfNumbers(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules) {
    double sum = 0.0;
    eachNumber(upper, lower, place, rules, [&](TeamTerm, double, const Wanted& wanted, double shortfall, bool) {
        sum += wanted.lost(shortfall);
        return true;
    });
    return sum;
}

bool pairPasses(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules) {
    return numbersPass(upper, lower, place, rules) &&
           (!place.neighbours || varietyShortfall(ciede2000(upper.seen, lower.seen), rules) <= 0.0);
}

double lossOfPair(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules) {
    const double numbers = lossOfNumbers(upper, lower, place, rules);
    return place.neighbours ? numbers + rules.variety.lost(varietyShortfall(ciede2000(upper.seen, lower.seen), rules)) : numbers;
}

PairLosses lossesOf(const FlyFigures& upper, const FlyFigures& lower, double contrast, const SchoolRules& rules) {
    // As bob and middle, and what the other places differ in.
    double neighbours = 0.0, anywhere = 0.0, size = 0.0;
    eachNumber(upper, lower, {true, false, false}, rules, [&](TeamTerm term, double, const Wanted& wanted, double shortfall, bool) {
        (term == TeamTerm::sizeStep ? size : term == TeamTerm::family ? anywhere : neighbours) += wanted.lost(shortfall);
        return true;
    });
    neighbours += rules.variety.lost(varietyShortfall(contrast, rules));
    const double weight = rules.pointWeight.lost(rules.pointWeight.shortfall(lower.mass / upper.mass));
    const double across = upper.floats || lower.floats ? rules.sinkAcross.lost(lower.floats && !upper.floats ? kHopeless : 0.0)
                                                       : rules.sinkAcross.lost(rules.sinkAcross.shortfall(lower.sink / upper.sink));
    PairLosses losses;
    losses.bobMiddle = anywhere + neighbours + rules.topSizeStep.lost(rules.topSizeStep.shortfall(lower.size - upper.size));
    losses.middlePoint = anywhere + neighbours + size + weight;
    losses.bobPoint = anywhere + across + weight;
    return losses;
}

}  // namespace machair
