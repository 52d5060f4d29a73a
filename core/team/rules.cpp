#include "team/rules.h"

#include <algorithm>

#include "language/say.h"

namespace machair {

namespace {

constexpr double kCalm = 0.02, kWave = 0.10;  // m: the ends of the style table

StyleTable usualStyles() {
    StyleTable table{};
    const auto put = [&](FlyStyle style, Suits bob, Suits middle, Suits point) {
        table[static_cast<std::size_t>(style)] = {bob, middle, point};
    };
    put(FlyStyle::palmer, {0.75, 1.00}, {0.60, 0.75}, {0.05, 0.10});
    put(FlyStyle::hackled, {0.80, 0.55}, {0.90, 0.90}, {0.50, 0.40});
    put(FlyStyle::winged, {0.50, 0.35}, {1.00, 1.00}, {0.60, 0.60});
    put(FlyStyle::legged, {0.45, 0.80}, {0.70, 0.80}, {0.20, 0.20});
    put(FlyStyle::spider, {0.75, 0.20}, {0.85, 0.75}, {1.00, 1.00});
    put(FlyStyle::nymph, {0.20, 0.10}, {0.60, 0.50}, {1.00, 1.00});
    put(FlyStyle::beaded, {0.05, 0.02}, {0.20, 0.30}, {0.80, 1.00});
    put(FlyStyle::lure, {0.00, 0.00}, {0.05, 0.15}, {0.50, 0.60});
    put(FlyStyle::film, {0.90, 0.10}, {0.30, 0.05}, {0.10, 0.00});
    put(FlyStyle::dry, {0.75, 0.03}, {0.30, 0.00}, {0.05, 0.00});
    return table;
}

SchoolRules usualRules() {
    SchoolRules rules;
    rules.full = {
        RangeRows{
            {0.0, 0.4, 1.6}, {0.02, 0.5, 1.8}, {0.05, 0.8, 3.0}, {0.08, 1.3, 3.6}, {0.14, 1.6, 4.0}, {0.25, 1.9, 4.5}, {0.35, 2.2, 5.0}},
        RangeRows{
            {0.0, 0.4, 1.5}, {0.02, 0.4, 1.6}, {0.05, 0.5, 2.0}, {0.08, 0.6, 2.4}, {0.14, 0.7, 2.8}, {0.25, 0.7, 3.2}, {0.35, 0.8, 3.4}},
        RangeRows{{0.0, 0.0, 1.5}, {0.08, 0.0, 1.5}, {0.14, 0.0, 1.4}, {0.25, 0.0, 1.25}, {0.35, 0.0, 1.2}}};
    rules.stiffShare = {{0.0, 0.0, 0.5}, {0.05, 0.0, 1.0}, {0.10, 0.35, 1.0}};
    rules.holdLeast = {{0.0, 1.0, 0.0}, {0.05, 1.8, 0.0}, {0.10, 2.4, 0.0}, {0.20, 3.5, 0.0}, {0.30, 4.0, 0.0}};
    rules.anchorSink = {{0.0, 9.0, 18.0}, {0.05, 10.0, 24.0}, {0.14, 11.0, 40.0}, {0.30, 13.0, 40.0}};
    rules.anchorWeight = {{0.0, 0.20, 0.0}, {0.05, 0.25, 0.0}, {0.14, 0.28, 0.0}, {0.30, 0.45, 0.0}};
    rules.sizes = {RangeRows{{0.0, 10, 16}, {0.05, 10, 14}, {0.10, 8, 12}, {0.20, 8, 12}, {0.35, 6, 10}},
                   RangeRows{{0.0, 10, 16}, {0.10, 8, 14}, {0.35, 8, 12}}, RangeRows{{0.0, 10, 16}, {0.10, 8, 14}, {0.35, 8, 14}}};
    rules.styles = usualStyles();
    return rules;
}

// Where a term's range, near-width and weight stand.
Wanted* wantedOf(SchoolRules& rules, TeamTerm term) {
    switch (term) {
        case TeamTerm::style: return &rules.style;
        case TeamTerm::role: return &rules.role;
        case TeamTerm::fullness: return &rules.fullness;
        case TeamTerm::stiff: return &rules.stiff;
        case TeamTerm::hold: return &rules.hold;
        case TeamTerm::anchor: return &rules.anchor;
        case TeamTerm::slim: return &rules.slim;
        case TeamTerm::size: return &rules.size;
        case TeamTerm::season: return &rules.season;
        case TeamTerm::rules: return nullptr;  // a card's, not a school's
        case TeamTerm::sinkStep: return &rules.sinkStep;
        case TeamTerm::sinkAcross: return &rules.sinkAcross;
        case TeamTerm::presenceOrder: return &rules.presenceOrder;
        case TeamTerm::turnover: return &rules.turnover;
        case TeamTerm::pointWeight: return &rules.pointWeight;
        case TeamTerm::sizeStep: return &rules.sizeStep;
        case TeamTerm::topSizeStep: return &rules.topSizeStep;
        case TeamTerm::family: return &rules.family;
        case TeamTerm::variety: return &rules.variety;
        case TeamTerm::twice: return &rules.twice;
        case TeamTerm::spacing: return &rules.spacing;
        case TeamTerm::dropper: return &rules.dropper;
    }
    throw BrokenContract("unknown term");
}

void take(SchoolRules& rules, const OwnWanted& own) {
    Wanted* wanted = wantedOf(rules, own.term);
    if (!wanted) return;
    wanted->low = own.low.value_or(wanted->low);
    wanted->high = own.high.value_or(wanted->high);
    wanted->nearWidth = own.nearWidth.value_or(wanted->nearWidth);
    wanted->weight = own.weight.value_or(wanted->weight);
    if (own.term == TeamTerm::fullness && own.nearWidth) rules.pointFullnessNear = *own.nearWidth;
}

void takeRanges(SchoolRules& rules, const std::vector<OwnRange>& rows) {
    std::array<RangeRows, kTrio.size()> own;
    for (const OwnRange& row : rows)
        own[columnOf(row.place)].push_back({row.wave / metre, std::min(row.low, row.high), std::max(row.low, row.high)});
    for (std::size_t p = 0; p < own.size(); ++p) {
        if (own[p].empty()) continue;
        std::ranges::stable_sort(own[p], {}, &RangeRow::wave);
        rules.full[p] = std::move(own[p]);
    }
}

}  // namespace

RangeRow rangeAt(const RangeRows& rows, double wave) {
    require(!rows.empty(), "a school has rows for every table");
    if (wave <= rows.front().wave) return {wave, rows.front().low, rows.front().high};
    for (std::size_t i = 1; i < rows.size(); ++i) {
        const RangeRow &a = rows[i - 1], &b = rows[i];
        if (wave > b.wave) continue;
        const double t = b.wave > a.wave ? (wave - a.wave) / (b.wave - a.wave) : 1.0;
        return {wave, a.low + t * (b.low - a.low), a.high + t * (b.high - a.high)};
    }
    return {wave, rows.back().low, rows.back().high};
}

double Suits::at(double height) const { return calm + std::clamp((height - kCalm) / (kWave - kCalm), 0.0, 1.0) * (wave - calm); }

SchoolRules rulesOf(School school) {
    SchoolRules rules = usualRules();
    rules.name = sayName(school);
    const auto always = [&](FlyStyle style, double bob, double middle, double point) {
        rules.styles[static_cast<std::size_t>(style)] = {Suits{bob, bob}, Suits{middle, middle}, Suits{point, point}};
    };
    switch (school) {
        case School::stepped: rules.belief = say("The bushiest fly works the top, the heaviest anchors the point."); break;
        case School::bigTop:
            rules.belief = say("The largest hook goes on the bob, where the eye of the fish is drawn.");
            rules.topSizeStep = {2.0, 6.0, 2.0, 1.5};
            rules.pointWeight.low = 0.20;
            rules.pointWeight.weight = 1.0;
            break;
        case School::oneSize:
            rules.belief = say("All three on one hook size; the dressing alone makes the order.");
            rules.sizeStep = rules.topSizeStep = {0.0, 0.0, 2.0, 1.5};
            break;
        case School::riverSwing:
            rules.belief = say("Sparse throughout and closer together, the heaviest on the point.");
            rules.spacing = {0.4, 1.0, 0.2, 1.0};
            rules.fullnessScale = 0.6;
            always(FlyStyle::spider, 0.90, 1.00, 0.90);
            always(FlyStyle::beaded, 0.05, 0.30, 1.00);
            rules.styles[static_cast<std::size_t>(FlyStyle::winged)] = {Suits{0.40, 0.35}, Suits{0.80, 0.80}, Suits{0.60, 0.60}};
            rules.styles[static_cast<std::size_t>(FlyStyle::film)] = {Suits{0.30, 0.10}, Suits{0.10, 0.05}, Suits{0.05, 0.00}};
            rules.usualWaves = {0.02};
            rules.usualWave = 0.02;
            break;
    }
    return rules;
}

SchoolRules rulesOf(const TeamSchool& own) {
    SchoolRules rules = rulesOf(own.like);
    rules.name = own.title();
    if (own.belief) rules.belief = *own.belief;
    const auto put = [](double& to, const std::optional<double>& from) {
        if (from) to = *from;
    };
    put(rules.sinkStep.low, own.sinkStep);
    put(rules.presenceOrder.low, own.presenceStep);
    put(rules.turnover.low, own.turnoverStep);
    put(rules.pointWeight.low, own.pointShare);
    put(rules.family.high, own.familySpread);
    put(rules.fullnessScale, own.fullness);
    const auto metres = [](double& to, const std::optional<Length>& from) {
        if (from) to = *from / metre;
    };
    metres(rules.spacing.low, own.spacingLeast);
    metres(rules.spacing.high, own.spacingMost);
    metres(rules.dropper.low, own.dropperLeast);
    metres(rules.dropper.high, own.dropperMost);
    for (const OwnWanted& wanted : own.wanted)
        take(rules, wanted);
    takeRanges(rules, own.ranges);
    for (const OwnStyle& suits : own.styles)
        rules.styles[static_cast<std::size_t>(suits.style)][columnOf(suits.place)] = {suits.calm, suits.wave.value_or(suits.calm)};
    return rules;
}

SchoolRules rulesFor(const Book& book, const TeamSpec& team) {
    if (team.ownSchool)
        if (const TeamSchool* own = book.findTeamSchool(*team.ownSchool)) return rulesOf(*own);
    return rulesOf(team.school.value_or(School::stepped));
}

}  // namespace machair
