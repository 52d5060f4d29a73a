#include "sizing/compare.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "book/fields.h"
#include "language/say.h"
#include "sizing/figures.h"
#include "units/text.h"

namespace machair {

std::string sayWhich(const Plan& plan, std::size_t part) {
    const PartKind kind = plan.parts[part].kind;
    std::size_t nth = 0;
    for (std::size_t i = 0; i < part; ++i)
        nth += plan.parts[i].kind == kind ? 1 : 0;
    constexpr std::array<std::string_view, 4> kWhich = {"", unsaid("second "), unsaid("third "), unsaid("fourth ")};
    return say(kWhich[std::min(nth, kWhich.size() - 1)]);
}

namespace {

// What a tier would name as a difference; the other figures follow from these.
constexpr std::array<std::string_view, 20> kTold = {
    "length_mm", "fibres",         "turns",    "pitch_mm", "end_mm",   "front_mm", "rear_diameter_mm", "front_diameter_mm", "mass_mg",
    "fibre_mm",  "fullness_class", "depth_mm", "slip_mm",  "lift_deg", "count",    "diameter_mm",      "shoulder_turns",    "open_turns",
    "strands",   "whip_turns"};

std::string subjectOf(const Plan& plan, std::size_t part) { return sayWhich(plan, part) + sayName(plan.parts[part].kind); }

std::optional<std::size_t> counterpart(const Plan& plan, const Plan& other, std::size_t part) {
    const std::string subject = subjectOf(plan, part);
    for (std::size_t i = 0; i < other.parts.size(); ++i)
        if (subjectOf(other, i) == subject) return i;
    return std::nullopt;
}

// "11.7 → 10.2 mm": the unit is said once.
std::string fromTo(const std::string& before, const std::string& after) {
    const auto blank = before.rfind(' ');
    if (blank != std::string::npos && after.ends_with(before.substr(blank)) && parseNumber(before.substr(0, blank)))
        return before.substr(0, blank) + " → " + after;
    return before + " → " + after;
}

double relative(double a, double b) { return std::abs(b - a) / std::max({std::abs(a), std::abs(b), 1e-9}); }

void addFigures(const Plan& before, std::size_t a, const Plan& after, std::size_t b, std::vector<Difference>& list) {
    const auto was = figuresOf(before, a);
    const auto now = figuresOf(after, b);
    const std::string subject = subjectOf(after, b);
    for (const Figure& figure : now) {
        if (std::ranges::find(kTold, figure.key) == kTold.end()) continue;
        const auto old = std::ranges::find(was, figure.key, &Figure::key);
        if (old == was.end()) continue;
        const std::string from = displayOf(*old);
        const std::string to = displayOf(figure);
        if (from == to) continue;
        const auto* x = std::get_if<double>(&old->value);
        const auto* y = std::get_if<double>(&figure.value);
        list.push_back({subject, labelOf(figure.key), from, to, x && y ? relative(*x, *y) : 0.5, figure.key});
    }
}

// What a tier names before any number: of what it is made, which way round, in what manner.
constexpr double kMaterialFirst = 3.0, kMannerNext = 2.0;
constexpr std::array<std::string_view, 13> kManners = {"direction", "wound", "method", "style",    "tie_in", "angle",  "along",
                                                       "twisted",   "knot",  "finish", "position", "round",  "protect"};

void addMade(const Plan& before, std::size_t a, const Plan& after, std::size_t b, std::vector<Difference>& list) {
    const std::string subject = subjectOf(after, b);
    const Material &was = before.parts[a].made, &now = after.parts[b].made;
    const bool own = before.parts[a].material || after.parts[b].material;  // what follows the thread is said once
    if (own && was.title() != now.title()) list.push_back({subject, "", was.title(), now.title(), kMaterialFirst});
    const std::vector<Field> old = fieldsOf(before.pattern.parts[a]), fresh = fieldsOf(after.pattern.parts[b]);
    for (const Field& field : fresh) {
        if (std::ranges::find(kManners, std::string_view(field.key)) == kManners.end()) continue;
        const auto other = std::ranges::find(old, field.key, &Field::key);
        if (other == old.end() || other->text == field.text) continue;
        const auto said = [](const std::string& text) { return say(text.empty() ? "usual" : text); };
        list.push_back({subject, field.label, said(other->text), said(field.text), kMannerNext});
    }
}

void addThread(const Plan& before, const Plan& after, std::vector<Difference>& list) {
    const std::string was = before.threadMaterial.title(), now = after.threadMaterial.title();
    if (was != now) list.push_back({say("thread"), "", was, now, kMaterialFirst});
}

void addRoom(const Plan& before, const Plan& after, std::vector<Difference>& list) {
    const auto text = [](const Plan& plan) { return formatNumber(plan.head.margin() / mm, 2) + " mm"; };
    if (text(before) == text(after)) return;
    const bool crowdedNow = (before.head.margin() < 0.0 * mm) != (after.head.margin() < 0.0 * mm);
    list.push_back({say("room at the eye"), "", text(before), text(after),
                    crowdedNow ? 1.0 : 0.5 * relative(before.head.margin() / mm, after.head.margin() / mm)});
}

}  // namespace

std::string Difference::words() const {
    if (before.empty()) return say("{} added", subject);
    if (after.empty()) return say("{} gone", subject);
    const bool itsOwn = what.empty() || what == labelOf("length_mm") || what == labelOf("fibre_mm");
    return subject + (itsOwn ? " " : " " + what + " ") + fromTo(before, after);
}

namespace {

std::vector<Difference> inTyingOrder(const Plan& before, const Plan& after) {
    std::vector<Difference> list;
    addThread(before, after, list);
    for (std::size_t i = 0; i < after.parts.size(); ++i) {
        if (const auto was = counterpart(after, before, i)) {
            addMade(before, *was, after, i, list);
            addFigures(before, *was, after, i, list);
        } else
            list.push_back({subjectOf(after, i), "", "", after.parts[i].words, 1.0});
    }
    for (std::size_t i = 0; i < before.parts.size(); ++i)
        if (!counterpart(before, after, i)) list.push_back({subjectOf(before, i), "", before.parts[i].words, "", 1.0});
    addRoom(before, after, list);
    return list;
}

// The first difference of each part: with another hook everything moves, and this is what a tier asks after.
std::vector<Difference> onePerSubject(std::vector<Difference> list) {
    std::vector<Difference> firsts;
    for (Difference& d : list)
        if (std::ranges::find(firsts, d.subject, &Difference::subject) == firsts.end()) firsts.push_back(std::move(d));
    return firsts;
}

}  // namespace

std::vector<Difference> differences(const Plan& before, const Plan& after) {
    auto list = inTyingOrder(before, after);
    std::ranges::stable_sort(list, std::greater{}, &Difference::weight);
    return list;
}

std::string sayChange(const Plan& before, const Plan& after, std::optional<std::size_t> edited, std::size_t most) {
    auto list = edited ? differences(before, after) : onePerSubject(inTyingOrder(before, after));
    if (edited && *edited < after.parts.size()) {
        const std::string first = subjectOf(after, *edited);
        std::stable_partition(list.begin(), list.end(), [&](const Difference& d) { return d.subject == first; });
    }
    std::string text;
    for (std::size_t i = 0; i < std::min(most, list.size()); ++i) {
        std::string words = list[i].words();
        if (text.empty() && !words.empty() && words[0] >= 'a' && words[0] <= 'z') words[0] = static_cast<char>(words[0] - 'a' + 'A');
        text += (i == 0 ? "" : i == 1 && edited ? ": " : ", ") + words;
    }
    return text + andMore(list.size(), most);
}

}  // namespace machair
