#include "team/place.h"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <iterator>

#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kOff = 2.0;  // near-widths: a float at the point, a fly against the rules

// Tables know bob, middle and point; between two of those stands the mean of both.
struct Neighbours {
    std::size_t a = 0, b = 0;
};
Neighbours neighboursOf(Position position) {
    switch (position) {
        case Position::bob: return {0, 0};
        case Position::upper: return {0, 1};
        case Position::middle: return {1, 1};
        case Position::lower: return {1, 2};
        case Position::point: return {2, 2};
    }
    throw BrokenContract("unknown position");
}

double lightScale(const std::optional<Light>& light) { return light == Light::bright ? 0.9 : light == Light::dusk ? 1.1 : 1.0; }
double waterScale(const std::optional<WaterColour>& colour) {
    return colour == WaterColour::clear ? 0.9 : colour == WaterColour::peat ? 1.1 : 1.0;
}

// 1 where it is wanted most, 0.85 at the ends of its range, falling to nothing one near-width outside.
double centred(double value, double best, const Wanted& range) {
    constexpr double kAtEnds = 0.85;
    if (const double shortfall = range.shortfall(value); shortfall > 0.0) return kAtEnds * std::max(0.0, 1.0 - shortfall);
    const double end = value < best ? range.low : range.high;
    const double run = std::abs(end - best);
    return run <= 0.0 ? 1.0 : 1.0 - (1.0 - kAtEnds) * std::min(1.0, std::abs(value - best) / run);
}

// As the ranges of a school are written.
double inCentimetresASecond(Speed speed) { return 100.0 * (speed / metrePerSecond); }

double roleShare(const std::optional<TeamRole>& role, Position position) {
    if (!role) return 0.6;
    if (*role == TeamRole::any) return 0.7;
    return *role == roleAt(position) ? 1.0 : 0.0;
}

double anchorShortfall(const FlyFigures& fly, const PlaceWants& wants) {
    if (fly.floats) return kOff;
    const double sink = inCentimetresASecond(fly.sink);
    const double slow = Wanted{wants.sink.low, 1e300, wants.sink.nearWidth, 1.0}.shortfall(sink);
    const double fast = Wanted{-1e300, wants.sink.high, wants.sinkMostNear, 1.0}.shortfall(sink);
    return std::max({slow, fast, wants.weight.shortfall(fly.weight / millinewton)});
}

bool isKeptOut(const FlyFigures& fly, const PlaceWants& wants) {
    if (wants.isPoint() && fly.floats) return true;
    const bool written = fly.role && *fly.role != TeamRole::any && *fly.role == roleAt(wants.position);
    return !written && wants.suits(fly.style) < wants.keptOutUnder;
}

std::string lowered(std::string_view text) {
    std::string low(text);
    std::ranges::transform(low, low.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return low;
}
std::string sayStyle(FlyStyle style) {
    switch (style) {
        case FlyStyle::lure: return say("a lure");
        case FlyStyle::film: return say("a film fly");
        case FlyStyle::dry: return say("a dry fly");
        case FlyStyle::beaded: return say("a beaded fly");
        case FlyStyle::palmer: return say("a palmer");
        case FlyStyle::legged: return say("a legged fly");
        case FlyStyle::winged: return say("a winged wet");
        case FlyStyle::hackled: return say("a hackled fly");
        case FlyStyle::spider: return say("a spider");
        case FlyStyle::nymph: return say("a nymph");
    }
    throw BrokenContract("unknown style");
}
std::string sayWave(double metres) {
    if (metres <= 0.0) return say("a flat calm");
    return say("a wave of {} m", formatNumber(metres, 2));
}
// The styles that suit a place best, for a mend.
std::string bestStyles(const PlaceWants& wants) {
    std::vector<FlyStyle> order;
    for (const auto& entry : Names<FlyStyle>::entries)
        if (wants.suits(entry.value) >= wants.style.low) order.push_back(entry.value);
    std::ranges::stable_sort(order, std::greater{}, [&](FlyStyle s) { return wants.suits(s); });
    constexpr std::size_t kNamed = 2;
    std::string text;
    for (std::size_t i = 0; i < std::min(order.size(), kNamed); ++i)
        text += (i == 0 ? "" : say(" or ")) + sayStyle(order[i]);
    return text;
}

}  // namespace

double fullnessScale(const SchoolRules& rules, const TeamDay& day) {
    return rules.fullnessScale * lightScale(day.light) * waterScale(day.colour);
}

PlaceWants wantsOf(const SchoolRules& rules, Position position, double wave, const TeamDay& day) {
    const auto [a, b] = neighboursOf(position);
    const auto mean = [](double x, double y) { return 0.5 * (x + y); };
    PlaceWants w;
    w.position = position;
    w.wave = wave;
    for (std::size_t s = 0; s < w.styles.size(); ++s)
        w.styles[s] = mean(rules.styles[s][a].at(wave), rules.styles[s][b].at(wave));
    w.keptOutUnder = rules.keptOutUnder;
    const double k = fullnessScale(rules, day);
    const auto scaled = [&](std::size_t place) {
        const RangeRow row = rangeAt(rules.full[place], wave);
        const double scale = place == 2 ? std::min(1.0, k) : k;  // a point is never wanted fuller
        const double near = place == 2 ? rules.pointFullnessNear : rules.fullness.nearWidth;
        return Wanted{scale * row.low, scale * row.high, near, rules.fullness.weight};
    };
    const Wanted fullA = scaled(a), fullB = scaled(b);
    w.fullness = {mean(fullA.low, fullB.low), mean(fullA.high, fullB.high), mean(fullA.nearWidth, fullB.nearWidth), rules.fullness.weight};
    w.best = w.fullness.low + mean(rules.wanting[a], rules.wanting[b]) * (w.fullness.high - w.fullness.low);
    w.style = rules.style;
    w.role = rules.role;
    const RangeRow stiff = rangeAt(rules.stiffShare, wave), sink = rangeAt(rules.anchorSink, wave);
    w.stiff = {stiff.low, stiff.high, rules.stiff.nearWidth, rules.stiff.weight};
    w.hold = {rangeAt(rules.holdLeast, wave).low, 1e300, rules.hold.nearWidth, rules.hold.weight};
    w.sink = {sink.low, sink.high, rules.anchorSinkNear, rules.anchor.weight};
    w.sinkMostNear = rules.anchorSinkMostNear;
    w.weight = {rangeAt(rules.anchorWeight, wave).low, 1e300, rules.anchorWeightNear, rules.anchor.weight};
    w.anchor = rules.anchor;
    w.slim = rules.slim;
    const RangeRow sizeA = rangeAt(rules.sizes[a], wave), sizeB = rangeAt(rules.sizes[b], wave);
    w.size = {mean(sizeA.low, sizeB.low), mean(sizeA.high, sizeB.high), rules.size.nearWidth, rules.size.weight};
    w.season = rules.season;
    return w;
}

const PlaceTerm* PlaceFit::find(TeamTerm term) const {
    const auto* found = std::ranges::find(begin(), end(), term, &PlaceTerm::term);
    return found == end() ? nullptr : found;
}

double PlaceFit::score() const { return whole <= 0.0 ? 0.0 : std::max(0.0, 100.0 * sum / whole); }

PlaceFit fitIn(const FlyFigures& fly, const PlaceWants& wants, const PlaceExtras& extras) {
    PlaceFit fit;
    const auto add = [&](TeamTerm term, double value, const Wanted& wanted, double share, double shortfall) {
        fit.terms[static_cast<std::size_t>(fit.count++)] = {term, value, wanted, share, shortfall};
        fit.sum += wanted.weight * share;
        fit.whole += wanted.weight;
    };
    const auto soft = [&](TeamTerm term, double value, const Wanted& wanted) {
        const double shortfall = wanted.shortfall(value);
        add(term, value, wanted, std::max(0.0, 1.0 - shortfall), shortfall);
    };
    const double suits = wants.suits(fly.style);
    add(TeamTerm::style, suits, wants.style, suits, wants.style.shortfall(suits));
    const double role = roleShare(fly.role, wants.position);
    add(TeamTerm::role, role, wants.role, role, role <= 0.0 ? 0.5 : 0.0);
    add(TeamTerm::fullness, fly.full, wants.fullness, centred(fly.full, wants.best, wants.fullness), wants.fullness.shortfall(fly.full));
    if (wants.isBob()) {
        soft(TeamTerm::stiff, fly.stiff, wants.stiff);
        soft(TeamTerm::hold, fly.hold(), wants.hold);
    }
    if (wants.isPoint()) {
        const double shortfall = anchorShortfall(fly, wants);
        add(TeamTerm::anchor, inCentimetresASecond(fly.sink), {wants.sink.low, wants.sink.high, 1.0, wants.anchor.weight},
            std::max(0.0, 1.0 - shortfall), shortfall);
        soft(TeamTerm::slim, fly.presence / millinewton, wants.slim);
    }
    soft(TeamTerm::size, fly.size, wants.size);
    if (extras.season) add(TeamTerm::season, *extras.season, wants.season, *extras.season, 0.0);
    if (extras.daybook) fit.sum += *extras.daybook;
    fit.keptOut = isKeptOut(fly, wants);
    return fit;
}

namespace {

bool isNamedIn(const SeasonRow& row, const DressingId& pattern, std::string_view title) {
    return std::ranges::find(row.dressings, pattern) != row.dressings.end() ||
           (row.suits && !title.empty() && row.suits->find(title) != std::string::npos);
}

// "12-14", "12 to 14" or "12"; a text without a number takes any.
bool takesSize(const std::optional<std::string>& written, int size) {
    std::vector<int> numbers;
    bool within = false;
    for (const char c : written.value_or("")) {
        const bool digit = std::isdigit(static_cast<unsigned char>(c)) != 0;
        if (digit && !within) numbers.push_back(0);
        constexpr int kMost = 1000;
        if (digit && numbers.back() < kMost) numbers.back() = 10 * numbers.back() + (c - '0');
        within = digit;
    }
    if (numbers.empty()) return true;
    const auto [low, high] = std::ranges::minmax(numbers);
    return size >= low && size <= high;
}

}  // namespace

std::vector<const SeasonRow*> suggestedBy(const std::vector<SeasonRow>& season, const Pattern& dressing, FlyStyle style, int size) {
    std::vector<const SeasonRow*> rows;
    for (const SeasonRow& row : season) {
        const bool fits = isNamedIn(row, dressing.id, dressing.title()) || std::ranges::find(row.styles, style) != row.styles.end();
        if (fits && takesSize(row.size, size)) rows.push_back(&row);
    }
    return rows;
}

std::optional<SeasonFit> seasonFit(const TeamDay& day, Position position, FlyStyle style, const DressingId& pattern,
                                   std::string_view title) {
    constexpr double kNamed = 1.0, kStyle = 0.7, kNotSeen = 0.6, kLeast = 0.3;
    constexpr std::size_t kShortWord = 4;
    const std::string about = lowered(day.about);
    const auto isSeen = [&](const std::string& creature) {
        if (trimmed(about).empty()) return true;
        std::string word;
        for (const char c : lowered(creature) + " ") {
            if (std::isalpha(static_cast<unsigned char>(c)) != 0) {
                word += c;
                continue;
            }
            if (word.size() > kShortWord && about.find(word) != std::string::npos) return true;
            word.clear();
        }
        return false;
    };
    std::optional<SeasonFit> best;
    for (const SeasonRow* row : day.season) {
        if (row->place && *row->place != position) continue;
        if (!best) best = SeasonFit{kLeast, {}};
        const bool named = isNamedIn(*row, pattern, title);
        const bool sedge =
            lowered(row->creature).find("sedge") != std::string::npos && style == FlyStyle::palmer && position == Position::bob;
        const bool fits = sedge || std::ranges::find(row->styles, style) != row->styles.end();
        if (!named && !fits) continue;
        const double share = (named ? kNamed : kStyle) * (isSeen(row->creature) ? 1.0 : kNotSeen);
        if (share > best->share) best = SeasonFit{share, row->creature};
    }
    return best;
}

std::string sayFull(double full) {
    return say("{}, {}{}", sayName(classOf(full)), formatNumber(full, 1),
               full > 0.95 && full < 1.05 ? say(" usual collar") : say(" usual collars"));
}

std::string sayTerm(const PlaceTerm& term, const FlyFigures& fly, const PlaceWants& wants) {
    const std::string place = name(wants.position);
    switch (term.term) {
        case TeamTerm::style: {
            const std::string there =
                wants.wave <= 0.0 ? say(" on the {} in a flat calm", place) : say(" on the {} in {}", place, sayWave(wants.wave));
            if (term.share >= 0.75) return say("{} is at home{}", sayStyle(fly.style), there);
            return sayStyle(fly.style) + (term.share >= wants.style.low ? say(" will do") : say(" is out of place")) + there;
        }
        case TeamTerm::role:
            if (term.share >= 1.0) return say("dressed for the {}", place);
            if (term.share <= 0.0) return say("dressed for the {}, not the {}", sayName(fly.role.value_or(TeamRole::any)), place);
            return say("dressed for no place of its own");
        case TeamTerm::fullness:
            return say("it is {}; {} wants {} to {} on the {}", sayFull(fly.full), wants.wave <= 0.0 ? say("a calm") : say("this wave"),
                       formatNumber(term.wanted.low, 1), formatNumber(term.wanted.high, 1), place);
        case TeamTerm::stiff:
            if (term.shortfall <= 0.0) return say("its fibres are as stiff as the water wants");
            return term.value > term.wanted.high ? say("too stiff for a calm: softer fibre moves by itself")
                                                 : say("too soft to hold up in this wave");
        case TeamTerm::hold:
            return fly.hold() >= FlyFigures::kMostHold ? say("it rides the surface by itself")
                                                       : say("it pushes {} times its weight under water; {} holds a bob here",
                                                             formatNumber(term.value, 1), formatNumber(term.wanted.low, 1));
        case TeamTerm::anchor:
            if (fly.floats) return say("it floats, and a point has to lead down");
            return say("it sinks {} cm/s and weighs {} mN in the water; a point wants {} to {} cm/s and {} mN",
                       formatNumber(inCentimetresASecond(fly.sink), 0), formatNumber(fly.weight / millinewton, 2),
                       formatNumber(wants.sink.low, 0), formatNumber(wants.sink.high, 0), formatNumber(wants.weight.low, 2));
        case TeamTerm::slim:
            return say("it pushes {} mN of water; a slim point at most {}", formatNumber(term.value, 1), formatNumber(term.wanted.high, 1));
        case TeamTerm::size:
            return say("a {}{}{} here", std::to_string(fly.size),
                       term.shortfall <= 0.0 ? say(" is a size for the ") : say(" is not the size for the "), place);
        case TeamTerm::season: return term.share >= 0.7 ? say("what is about this month") : say("not what is about this month");
        default: break;
    }
    throw BrokenContract("not a term of one fly");
}

std::string sayCheck(const PlaceTerm& term, const FlyFigures& fly, const PlaceWants& wants) {
    const std::string place = name(wants.position);
    if (term.term == TeamTerm::role)
        return term.share >= 1.0 ? say("the {} is dressed for its place", place) : say("the {} is {}", place, sayTerm(term, fly, wants));
    std::string words = sayTerm(term, fly, wants);
    const std::string there = say(" on the {}", place);
    if (term.term != TeamTerm::style && words.ends_with(there)) words.resize(words.size() - there.size());
    return words.starts_with("it ") ? say("the {}{}", place, words.substr(2)) : words;
}

std::string mendOf(const PlaceTerm& term, const FlyFigures& fly, const PlaceWants& wants) {
    if (term.shortfall <= 0.0) return {};
    const std::string place = name(wants.position);
    switch (term.term) {
        case TeamTerm::style: return say("another fly on the {}: {}", place, bestStyles(wants));
        case TeamTerm::role:
            return say("a fly dressed for the {}, or this one on the {}", place, sayName(fly.role.value_or(TeamRole::any)));
        case TeamTerm::fullness:
            return fly.full < wants.fullness.low ? say("more turns of hackle, or a fuller fly there")
                                                 : say("fewer turns of hackle, or a sparser fly there");
        case TeamTerm::stiff: return fly.stiff > wants.stiff.high ? say("a softer hackle") : say("a stiffer hackle");
        case TeamTerm::hold: return say("a bushier fly there, or a finer wire");
        case TeamTerm::anchor: {
            if (fly.floats) return say("a fly that sinks");
            const bool light = inCentimetresASecond(fly.sink) < wants.sink.low || fly.weight / millinewton < wants.weight.low;
            return light ? say("a heavier wire or a bead, or a sparser fly there") : say("a finer wire, or a lighter fly there");
        }
        case TeamTerm::slim: return say("fewer turns of hackle, or a slimmer fly there");
        default: return say("another fly there");
    }
}

std::vector<std::string> reasonsOf(const PlaceFit& fit, const FlyFigures& fly, const PlaceWants& wants) {
    std::vector<const PlaceTerm*> won, lost;
    constexpr double kMuch = 0.85, kLittle = 0.30;
    for (const PlaceTerm& term : fit) {
        if (term.share >= kMuch || (term.share > kLittle && term.shortfall <= 0.0)) won.push_back(&term);
        if (term.share < kMuch && (term.shortfall > 0.0 || term.share <= kLittle)) lost.push_back(&term);
    }
    std::ranges::stable_sort(won, std::greater{}, &PlaceTerm::won);
    std::ranges::stable_sort(lost, std::greater{}, &PlaceTerm::lost);
    std::vector<std::string> words;
    for (const auto* list : {&won, &lost})
        for (const PlaceTerm* term : *list)
            words.push_back(sayTerm(*term, fly, wants));
    return words;
}

namespace {
// Size, stiffness and season are reasons to choose a fly, and nothing that a team fails on (section D).
bool isCheck(const PlaceTerm& term) { return term.term != TeamTerm::size && term.term != TeamTerm::stiff && term.term != TeamTerm::season; }
}  // namespace

std::vector<PlaceTerm> checksOf(const FlyFigures& fly, const PlaceWants& wants) {
    const PlaceFit fit = fitIn(fly, wants);
    std::vector<PlaceTerm> checks;
    std::ranges::copy_if(fit, std::back_inserter(checks), isCheck);
    return checks;
}

bool passesIn(const FlyFigures& fly, const PlaceWants& wants) {
    const PlaceFit fit = fitIn(fly, wants);
    return std::ranges::none_of(fit, [](const PlaceTerm& term) { return term.shortfall > 0.0 && isCheck(term); });
}

std::optional<DressItSo> dressItSo(const Plan& plan, const PlaceWants& wants) {
    const double full = fullnessOf(plan).full;
    const double off = full < wants.fullness.low    ? wants.fullness.low - full
                       : full > wants.fullness.high ? wants.fullness.high - full
                                                    : 0.0;
    if (off == 0.0) return std::nullopt;
    const auto at = fullestHackle(plan);
    if (!at) return std::nullopt;
    constexpr double kLeastPalmer = 3.0, kMostPalmer = 10.0;
    const HacklePlan* fullest = hackleOf(plan.parts[*at]);
    const auto* palmer = std::get_if<PalmerPlan>(&plan.parts[*at].detail);
    const double turns = palmer ? palmer->shoulderTurns + palmer->openTurns : fullest->turns;
    const double least = palmer ? kLeastPalmer : 1.0, most = palmer ? kMostPalmer : std::max(1.0, fullest->mostTurns);
    if (turns <= 0.0) return std::nullopt;
    DressItSo so;
    so.part = sayName(plan.parts[*at].kind);
    const double perHalf = 0.5 * fullest->worth / turns;
    constexpr double kDust = 1e-9;
    double halves = off > 0.0 ? std::ceil(off / perHalf - kDust) : std::floor(off / perHalf + kDust);
    const double wanted = std::clamp(turns + 0.5 * halves, std::min(least, turns), std::max(most, turns));
    so.turns = std::trunc(2.0 * (wanted - turns)) / 2.0;
    const double then = full + 2.0 * so.turns * perHalf;
    so.left = std::max({0.0, wants.fullness.low - then, then - wants.fullness.high});
    if (so.left < kDust) so.left = 0.0;
    if (so.turns != 0.0)
        so.words = say("{}{}{} on the {}", formatShort(std::abs(so.turns), 1), std::abs(so.turns) == 1.0 ? say(" turn ") : say(" turns "),
                       so.turns > 0.0 ? say("more") : say("less"), so.part);
    if (so.left > 0.0) so.words += (so.words.empty() ? "" : say(", and ")) + say("another fly for the rest");
    return so;
}

}  // namespace machair
