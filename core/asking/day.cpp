#include "asking/day.h"

#include <algorithm>
#include <cmath>

#include "asking/rules.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

struct DayRule {
    std::string_view name;
    std::string_view formula;
    std::string_view source;
    Trust trust;
};

constexpr std::string_view kWave = unsaid("models.md, section 9"), kLeader = unsaid("models.md, section 10"),
                           kStock = unsaid("models.md, section 12");

DayRule ruleOf(SeaTerm term) {
    switch (term) {
        case SeaTerm::height:
            return {
                unsaid("height of the wave"),
                unsaid("0.0016 of the wind's speed times the root of fetch over gravity, but never more than 0.0246 of the speed squared, "
                       "which "
                       "is a sea that has grown up"),
                kWave, Trust::ruleOfThumb};
        case SeaTerm::period:
            return {unsaid("time from wave to wave"),
                    unsaid("0.286 of the cube root of fetch times speed over gravity squared, but never more than 0.83 of the speed"),
                    kWave, Trust::ruleOfThumb};
        case SeaTerm::builds:
            return {unsaid("how long the wind must have blown"),
                    unsaid("68.8 times the two-thirds power of gravity times fetch over the speed squared, times the speed over gravity"),
                    kWave, Trust::ruleOfThumb};
        case SeaTerm::drift:
            return {unsaid("drift of the boat"),
                    unsaid("a share of the wind's speed: 0.035 of it, 0.018 on the drogue, or what the days of your own boat gave"), kWave,
                    Trust::ruleOfThumb};
    }
    throw BrokenContract("no such term of a day");
}

constexpr DayRule kDepth = {
    unsaid("depth at a moment"),
    unsaid("the leader as a chain of links with the flies on it, stepped through time: each is pulled down by its weight in the "
           "water, held back by its drag and by the film until it is through it, and drawn by the line's end"),
    kLeader, Trust::physics};
constexpr DayRule kLasts = {
    unsaid("how far it lasts"),
    unsaid("what lies in the drawer over what the batches that wait take of it, batch by batch in their order; it gives out in the "
           "first that takes more than is left, and is wanted before that batch's day"),
    kStock, Trust::geometry};

Derivation begun(const DayRule& rule, const std::string& value) {
    return {say(rule.name), value, say(rule.formula), {}, say(rule.source), rule.trust, say(sayTrust(rule.trust))};
}

std::string valueOf(const Sea& sea, SeaTerm term) {
    switch (term) {
        case SeaTerm::height: return formatNumber(100.0 * (sea.height / metre), 0) + " cm";
        case SeaTerm::period: return formatNumber(sea.period / second, 1) + " s";
        case SeaTerm::builds: return say("{} min", formatNumber(sea.builds / second / 60.0, 0));
        case SeaTerm::drift: return formatNumber(sea.drift / metrePerSecond, 2) + " m/s";
    }
    throw BrokenContract("no such term of a day");
}

}  // namespace

Derivation ask(const Wind& wind, const BoatDrift& boat, int ownDays, SeaTerm term) {
    Derivation made = begun(ruleOf(term), valueOf(seaUnder(wind, boat), term));
    made.inputs.push_back({"wind", formatNumber(wind.speed / metrePerSecond, 1) + " m/s", {}});
    if (term != SeaTerm::drift) {
        made.inputs.push_back({say("fetch, over open water up the wind"), formatNumber(wind.fetch / metre, 0) + " m", {}});
        return made;
    }
    made.inputs.push_back(
        {wind.drogue ? say("share of it, on the drogue") : say("share of it"),
         formatNumber(wind.drogue ? boat.drogue : boat.open, 3) +
             (ownDays > 0 ? say(", of {}{} of your boat", std::to_string(ownDays), ownDays == 1 ? say(" day") : say(" days"))
                          : say(", as boats do")),
         {}});
    return made;
}

std::optional<Derivation> ask(const DriftReport& run, const TeamReport& team, Position place, Time at) {
    if (run.samples.empty()) return std::nullopt;
    const auto index = static_cast<std::size_t>(std::llround(std::max(0.0, at / kSampleEvery)));
    const DriftSample& sample = run.samples[std::min(index, run.samples.size() - 1)];
    const auto fly = std::ranges::find(team.flies, place, &TeamFly::position);
    if (!sample.depth[place] || fly == team.flies.end()) return std::nullopt;
    Derivation made = begun(kDepth, formatNumber(*sample.depth[place] / metre, 2) + " m");
    made.name = say("depth of the {} after {} s", sayName(place), formatNumber(sample.time / second, 1));
    made.inputs.push_back(
        {say("the fly"),
         say("{}, sinks by itself at {} m/s", fly->plan.pattern.title(), formatNumber(fly->figures.sink / metrePerSecond, 3)),
         {}});
    made.inputs.push_back({say("the line's end then"), say("{} m down", formatNumber(sample.tip / metre, 2)), {}});
    // What it would have come to alone says how much the leader holds it up, or draws it down.
    made.inputs.push_back(
        {say("alone, let fall for as long"), say("{} m down", formatNumber(fly->figures.sink * sample.time / metre, 2)), {}});
    return made;
}

Derivation ask(const StockWanted& stock) {
    Derivation made =
        begun(kLasts, stock.lasts ? say("{} % of what is wanted", formatNumber(std::floor(100.0 * std::min(1.0, *stock.lasts)), 0))
                                  : say("not counted"));
    made.name = say("how far {} lasts", stock.title);
    made.inputs.push_back({say("there is"), stock.has, {}});
    made.inputs.push_back({"wanted", stock.wants, {}});
    for (const std::string& use : stock.uses)
        made.inputs.push_back({say("of it"), use, {}});
    if (stock.runsOutIn)
        made.inputs.push_back({say("gives out in"), *stock.runsOutIn + (stock.buyBy ? say(", for {}", *stock.buyBy) : ""), {}});
    if (!stock.buy.empty()) made.inputs.push_back({say("missing"), stock.buy, {}});
    return made;
}

std::string whereTheDaysNumbersComeFrom() {
    std::string text = rulesHead(say("The day, the drift and the drawer"));
    const auto row = [&](const DayRule& rule) { text += rulesRow(say(rule.name), rule.formula, rule.trust); };
    for (const SeaTerm term : kSeaTerms)
        row(ruleOf(term));
    row(kDepth);
    row(kLasts);
    return text;
}

}  // namespace machair
