#include "cutting/gauges.h"

#include <array>

#include "language/say.h"
#include "sizing/figures.h"

namespace machair {

namespace {

struct Shown {
    std::string_view key;
    const char* label;  // after the part's name
    GaugeKind kind;
};
constexpr std::array kShown = {Shown{"length_mm", "", GaugeKind::length}, Shown{"fibre_mm", unsaid(" fibre"), GaugeKind::length},
                               Shown{"slip_mm", unsaid(" slip"), GaugeKind::slip}};

}  // namespace

std::vector<Gauge> gaugesOf(const Plan& plan) {
    std::vector<Gauge> gauges;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const PartPlan& part = plan.parts[i];
        const bool measured = std::holds_alternative<TailPlan>(part.detail) || std::holds_alternative<WingPlan>(part.detail) ||
                              std::holds_alternative<HacklePlan>(part.detail) || std::holds_alternative<PalmerPlan>(part.detail) ||
                              std::holds_alternative<PiecePlan>(part.detail);
        if (!measured) continue;
        for (const Figure& figure : figuresOf(plan, i))
            for (const Shown& shown : kShown)
                if (const auto* value = std::get_if<double>(&figure.value); value && figure.key == shown.key && *value > 0.0)
                    gauges.push_back({sayName(part.kind) + say(shown.label), *value * mm, figure.tolerance * mm, shown.kind, i});
    }
    // A contest judges the whole fly, eye to last tip.
    if (plan.pattern.maxLength) {
        gauges.push_back({say("overall"), plan.length, {}, GaugeKind::length, 0});
        gauges.push_back({say("allowed"), *plan.pattern.maxLength, {}, GaugeKind::length, 0});
    }
    return gauges;
}

}  // namespace machair
