#include "water/substitute.h"

#include <algorithm>
#include <cmath>

#include "book/edits.h"
#include "colour/colour.h"
#include "units/text.h"
#include "water/sink.h"

namespace machair {

namespace {

std::string changed(const char* what, double before, double after, int decimals, const char* unit) {
    return std::string(what) + " " + formatNumber(before, decimals) + " → " + formatNumber(after, decimals) + unit;
}

double colourApart(const Material& a, const Material& b) {
    if (!a.colour || !b.colour) return 0.0;
    const auto x = parseColour(*a.colour), y = parseColour(*b.colour);
    if (!x || !y) return 0.0;
    const Lab p = toLab(*x), q = toLab(*y);
    return std::sqrt((p.L - q.L) * (p.L - q.L) + (p.a - q.a) * (p.a - q.a) + (p.b - q.b) * (p.b - q.b));
}

double fullnessOf(const PartPlan& part) {
    if (const auto* collar = std::get_if<HacklePlan>(&part.detail)) return collar->fullness;
    if (const auto* palmer = std::get_if<PalmerPlan>(&part.detail)) return palmer->hackle.fullness;
    return 0.0;
}

Substitute compare(const Plan& before, const Plan& after, std::size_t part, const Material& instead) {
    Substitute s{instead.id, instead.title(), {}, {}, 0.0};
    const SinkReport was = sinkReport(before), is = sinkReport(after);
    constexpr double kCm = 100.0;
    constexpr double kSeen = 0.02;  // a share of change that is worth a word
    const auto note = [&](const char* what, double a, double b, int decimals, const char* unit) {
        const double share = a > 0.0 ? std::abs(b / a - 1.0) : b > 0.0 ? 1.0 : 0.0;
        s.strangeness += share;
        if (share > kSeen) s.changes.push_back(changed(what, a, b, decimals, unit));
    };
    note("sinks", kCm * (was.sinkRate / metrePerSecond), kCm * (is.sinkRate / metrePerSecond), 1, " cm/s");
    note("pushes", was.presence / millinewton, is.presence / millinewton, 2, " mN");
    note("fullness", fullnessOf(before.parts[part]), fullnessOf(after.parts[part]), 1, "");
    note("head", before.head.diameter / mm, after.head.diameter / mm, 2, " mm");
    if (before.head.margin() >= Length{} && after.head.margin() < Length{}) s.changes.emplace_back("the head is crowded then");
    const Material& own = before.parts[part].made;
    const double colour = colourApart(own, instead);
    s.strangeness += colour;
    constexpr double kOther = 0.08;
    if (colour > kOther) s.thumb.emplace_back("another colour");
    if (own.marking != instead.marking) s.thumb.emplace_back("another marking");
    const auto* a = std::get_if<HackleTraits>(&own.traits);
    const auto* b = std::get_if<HackleTraits>(&instead.traits);
    if (a && b && a->bird != b->bird) s.thumb.emplace_back("another bird: it works softer or stiffer in the water");
    return s;
}

}  // namespace

Result<std::vector<Substitute>> substitutesFor(const Book& book, std::string_view id, std::size_t part) {
    const Pattern* pattern = book.findPattern(id);
    if (!pattern) return noSuch(Place("patterns"), "dressing", id);
    if (part >= pattern->parts.size() || !pattern->parts[part].material)
        return fail(Place("patterns").at(book.indexOfPattern(id)).key("parts"), "expected a part that is tied from a material of the book");
    const auto before = planPattern(book, id);
    if (!before) return tl::unexpected(before.error());
    const Material* own = book.findMaterial(*pattern->parts[part].material);
    std::vector<Substitute> list;
    for (const Material& material : book.materials) {
        if (!own || material.kind != own->kind || material.id == own->id) continue;
        const auto edit = changeMaterial(book, id, part, material.id);
        if (!edit) continue;
        const auto after = planPattern(edit->after, id);
        if (after) list.push_back(compare(*before, *after, part, material));
    }
    std::ranges::stable_sort(list, {}, &Substitute::strangeness);
    return list;
}

}  // namespace machair
