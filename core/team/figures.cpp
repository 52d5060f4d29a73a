#include "team/figures.h"

#include <algorithm>
#include <cmath>

namespace machair {

namespace {

constexpr Rgb kUnknownColour{0.48, 0.42, 0.34};
constexpr double kHopeless = 100.0;  // near-widths: a point that floats is not nearly right

Rgb colourOf(const Material& material) {
    const std::string hex = material.colour ? *material.colour : material.colours.empty() ? std::string() : material.colours.front();
    return toLinear(parseColour(hex).value_or(kUnknownColour));
}

double spread(double a, double b) { return std::max(a, b) / std::min(a, b) - 1.0; }

}  // namespace

Rgb meanColour(const Plan& plan) {
    Rgb sum;
    double whole = 0.0;
    for (const PartPlan& part : plan.parts) {
        double area = 0.0;  // mm²
        if (const auto* body = std::get_if<BodyPlan>(&part.detail))
            area = 0.5 * (body->rearDiameter + body->frontDiameter) * (body->end - body->front) / mm2;
        else if (const auto* collar = std::get_if<HacklePlan>(&part.detail))
            area = 0.5 * collar->fibres * collar->fibre * collar->feather.fibre / mm2;
        else if (const auto* palmer = std::get_if<PalmerPlan>(&part.detail))
            area = 0.5 * palmer->hackle.fibres * palmer->hackle.fibre * palmer->hackle.feather.fibre / mm2;
        else if (const auto* wing = std::get_if<WingPlan>(&part.detail))
            area = wing->length * wing->depth / mm2;
        else if (const auto* tail = std::get_if<TailPlan>(&part.detail))
            area = tail->fibres * tail->length * tail->fibre / mm2;
        const Rgb c = colourOf(part.made);
        sum = {sum.r + area * c.r, sum.g + area * c.g, sum.b + area * c.b};
        whole += area;
    }
    if (whole <= 0.0) return kUnknownColour;
    return fromLinear({sum.r / whole, sum.g / whole, sum.b / whole});
}

FlyFigures figuresOf(const Plan& plan, const SinkReport& sink, const SeenIn& water) {
    FlyFigures f;
    f.sink = sink.sinkRate / metrePerSecond;
    f.presence = sink.presence / millinewton;
    f.mass = sink.mass / mg;
    f.floats = sink.floats;
    f.size = plan.hook.size();
    f.barb = plan.hook.hasBarb();
    f.length = plan.length / mm;
    const Length gape = plan.hook.gape();
    for (const PartPlan& part : plan.parts) {
        if (const auto* collar = std::get_if<HacklePlan>(&part.detail)) {
            f.hackle = std::max(f.hackle, collar->fibre / gape);
            f.fullness += collar->fullness;
        } else if (const auto* palmer = std::get_if<PalmerPlan>(&part.detail)) {
            f.hackle = std::max(f.hackle, palmer->hackle.fibre / gape);
            f.fullness += palmer->hackle.fullness;
        } else if (const auto* tail = std::get_if<TailPlan>(&part.detail)) {
            f.tail = std::max(f.tail, tail->length / gape);
        } else if (const auto* wing = std::get_if<WingPlan>(&part.detail)) {
            f.wing = std::max(f.wing, wing->length / gape);
        } else if (std::holds_alternative<BeadPlan>(part.detail)) {
            f.bead = true;
        }
    }
    f.seen = toCieLab(seen(meanColour(plan), water.clarity, water.sighting).fly);
    return f;
}

double JudgedPair::shortfall() const {
    double sum = 0.0;
    for (const JudgedTerm& term : *this) sum += term.shortfall;
    return sum;
}

JudgedPair judgePair(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules) {
    JudgedPair judged = judgeNumbers(upper, lower, place, rules);
    if (!place.neighbours) return judged;
    const double contrast = ciede2000(upper.seen, lower.seen);
    judged.terms[static_cast<std::size_t>(judged.count++)] = {TeamTerm::variety, contrast, &rules.variety, rules.variety.shortfall(contrast)};
    return judged;
}

namespace {

double worstSpread(const FlyFigures& a, const FlyFigures& b) {
    double worst = -1.0;
    for (const auto member : {&FlyFigures::hackle, &FlyFigures::tail, &FlyFigures::wing})
        if (const double x = a.*member, y = b.*member; x > 0.0 && y > 0.0) worst = std::max(worst, spread(x, y));
    return worst;
}

// Every number of a pair that is judged, one after the other: take(term, value, wanted, shortfall, valued) for each,
// until it returns false. The cheapest and the likeliest to fail come first.
template <class Take>
bool eachNumber(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules, Take take) {
    const auto give = [&](TeamTerm term, double value, const Wanted& wanted) { return take(term, value, wanted, wanted.shortfall(value), true); };
    if (place.neighbours) {
        if (lower.floats || upper.floats) {
            if (!take(TeamTerm::sinkStep, 0.0, rules.sinkStep, lower.floats ? kHopeless : 0.0, lower.floats)) return false;
        } else if (!give(TeamTerm::sinkStep, lower.sink / upper.sink, rules.sinkStep)) {
            return false;
        }
        if (!give(TeamTerm::presenceOrder, upper.presence / lower.presence, rules.presenceOrder)) return false;
        if (!give(TeamTerm::turnover, (lower.mass * upper.presence) / (lower.presence * upper.mass), rules.turnover)) return false;
        if (!give(TeamTerm::sizeStep, lower.size - upper.size, place.fromBob ? rules.topSizeStep : rules.sizeStep)) return false;
    }
    if (place.toPoint && !give(TeamTerm::pointWeight, lower.mass / upper.mass, rules.pointWeight)) return false;
    const double worst = worstSpread(upper, lower);
    return worst < 0.0 || give(TeamTerm::family, worst, rules.family);
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

double shortfallOfNumbers(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules) {
    double sum = 0.0;
    eachNumber(upper, lower, place, rules, [&](TeamTerm, double, const Wanted&, double shortfall, bool) {
        sum += shortfall;
        return true;
    });
    return sum;
}

double lossOfNumbers(const FlyFigures& upper, const FlyFigures& lower, const PairPlace& place, const SchoolRules& rules) {
    double sum = 0.0;
    eachNumber(upper, lower, place, rules, [&](TeamTerm, double, const Wanted& wanted, double shortfall, bool) {
        sum += wanted.weight * std::min(1.0, shortfall);
        return true;
    });
    return sum;
}

PairLosses lossesOfNumbers(const FlyFigures& upper, const FlyFigures& lower, const SchoolRules& rules) {
    // As neighbours in the middle of the leader, then what the places differ in.
    PairLosses losses;
    const auto lost = [](const Wanted& wanted, double shortfall) { return wanted.weight * std::min(1.0, shortfall); };
    double common = 0.0, size = 0.0, family = 0.0;
    eachNumber(upper, lower, {true, false, false}, rules, [&](TeamTerm term, double, const Wanted& wanted, double shortfall, bool) {
        (term == TeamTerm::sizeStep ? size : term == TeamTerm::family ? family : common) += lost(wanted, shortfall);
        return true;
    });
    const double weight = lost(rules.pointWeight, rules.pointWeight.shortfall(lower.mass / upper.mass));
    losses.bobMiddle = common + family + lost(rules.topSizeStep, rules.topSizeStep.shortfall(lower.size - upper.size));
    losses.middlePoint = common + family + size + weight;
    losses.bobPoint = family + weight;
    return losses;
}

}  // namespace machair
