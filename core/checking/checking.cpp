#include "checking/checking.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <numeric>

#include "book/lists.h"
#include "book/rule.h"
#include "hand/hand.h"
#include "language/say.h"
#include "sizing/compare.h"
#include "sizing/figures.h"
#include "units/text.h"

namespace machair {

namespace {

// What can be held between the jaws, or seen from the side.
constexpr std::array<std::string_view, 7> kMeasurable = {"end_mm",   "length_mm",  "fibre_mm", "rear_diameter_mm", "front_diameter_mm",
                                                         "depth_mm", "diameter_mm"};

bool isTipOrEdge(PartKind kind) {
    return kind == PartKind::tail || kind == PartKind::body || kind == PartKind::thorax || kind == PartKind::palmer ||
           kind == PartKind::collar || kind == PartKind::throat || kind == PartKind::wing || kind == PartKind::head;
}

std::vector<std::size_t> inOrder(const std::vector<Length>& heap) {
    std::vector<std::size_t> order(heap.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::ranges::stable_sort(order, {}, [&](std::size_t i) { return heap[i]; });
    return order;
}

void finish(Pairing& pairing, const std::vector<Length>& a, const std::vector<Length>& b) {
    for (const auto& [i, j] : pairing.pairs) {
        const Length off = abs(a[i] - b[j]);
        pairing.sum += off;
        pairing.worst = std::max(pairing.worst, off);
    }
}

}  // namespace

std::string sayMeasured(const std::string& kindAndFigure) {
    const auto space = kindAndFigure.find(' ');
    if (space == std::string::npos) return say(kindAndFigure);
    const std::string kind = kindAndFigure.substr(0, space), label = labelOf(kindAndFigure.substr(space + 1));
    return label.starts_with(say(kind)) ? label : say("{} {}", say(kind), label);
}

std::vector<CheckItem> checkItems(const Plan& plan, const Book& book) { return checkItems(plan, deviationsOf(book)); }

std::vector<CheckItem> checkItems(const Plan& plan, const Deviations& deviations) {
    std::vector<CheckItem> items;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        if (!isTipOrEdge(plan.parts[i].kind)) continue;
        for (const Figure& figure : figuresOf(plan, i)) {
            const auto* planned = std::get_if<double>(&figure.value);
            if (!planned || figure.tolerance <= 0.0 || std::ranges::find(kMeasurable, figure.key) == kMeasurable.end()) continue;
            const std::string kind(nameOf(plan.parts[i].kind));
            CheckItem item{i,
                           figure.key,
                           sayWhich(plan, i) + sayMeasured(kind + " " + figure.key),
                           *planned * mm,
                           figure.tolerance * mm,
                           *planned * mm,
                           0};
            if (const auto known = deviations.find(kind + " " + figure.key); known != deviations.end()) {
                item.aim = aimFor(item.planned, handOf(known->second));
                item.flies = static_cast<int>(known->second.size());
            }
            items.push_back(std::move(item));
        }
    }
    return items;
}

std::string sayAim(const std::vector<CheckItem>& items, std::size_t part) {
    constexpr int kKnown = 5;
    constexpr Length kWorthSaying = 0.1 * mm;
    for (const CheckItem& item : items)
        if (item.part == part && item.flies >= kKnown && abs(item.aim - item.planned) >= kWorthSaying)
            return say("aim for {} to land at {}", formatLength(item.aim), formatLength(item.planned));
    return {};
}

Judged judge(const CheckItem& item, Length measured) {
    Judged judged;
    judged.off = measured - item.planned;
    if (abs(judged.off) > item.tolerance) judged.finding = judged.off > 0.0 * mm ? Finding::tooLong : Finding::tooShort;
    const bool thick = item.figure.ends_with("diameter_mm");
    judged.words = formatLength(measured, LengthUnit::millimetres, 2) + ", " + formatLength(abs(judged.off), LengthUnit::millimetres, 2) +
                   (judged.off < 0.0 * mm ? say(" under: ") : say(" over: ")) +
                   (judged.finding == Finding::asPlanned ? say("as planned")
                    : judged.finding == Finding::tooLong ? (thick ? say("too thick") : say("too long"))
                                                         : (thick ? say("too thin") : say("too short")));
    return judged;
}

std::vector<Look> looksOf(const Plan& plan) {
    std::vector<Look> looks;
    const auto has = [&](PartKind kind) { return findKind(plan.pattern, kind).has_value(); };
    if (has(PartKind::wing))
        looks.push_back(
            {"wing", say("wing central and low, its tips together"),
             say("ease it over with the thumbnails before the head is varnished; next time pinch and look before the third turn")});
    if (has(PartKind::collar) || has(PartKind::throat))
        looks.push_back({"hackle", say("hackle even all round, above and below"),
                         say("stroke it back and pick out trapped fibres with a needle; next time stroke back each turn")});
    if (has(PartKind::palmer))
        looks.push_back({"palmer", say("palmer in even open turns, no fibre under the rib"),
                         say("free the fibres with a needle; next time wriggle the wire through")});
    if (has(PartKind::rib))
        looks.push_back({"ribs", say("ribs even, the first at the bend"),
                         say("nothing on this fly; next time count them against the shank before the last")});
    if (has(PartKind::tail))
        looks.push_back({"tail", say("tail in line with the shank, its tips even"),
                         say("a touch of the thumb straightens it; tips cannot be made even afterwards")});
    if (has(PartKind::cheek))
        looks.push_back({"cheeks", say("cheeks level with each other"), say("turn them with tweezers while the varnish is wet")});
    if (has(PartKind::bead)) looks.push_back({"bead", say("bead sits tight"), say("a drop of varnish behind it")});
    looks.push_back({"head", say("no fibre trapped in the head, no gap behind it"), say("trim it close; next time three fibres less")});
    looks.push_back({"eye", say("eye open and clean"), say("a needle, or a feather drawn through, while the varnish is soft")});
    looks.push_back({"point", say("point sharp: it catches on a thumbnail"), say("a fine stone, away from the point; mind your fingers")});
    return looks;
}

Result<Edit> recordCheck(const Book& book, const std::vector<CheckItem>& items, const CheckEntry& entry) {
    const Pattern* pattern = book.findPattern(entry.pattern);
    if (!pattern) return noSuch(Place("checks"), "dressing", entry.pattern);
    require(entry.readings.size() == items.size(), "a reading, or none, for each item");
    if (!isDate(entry.date)) return fail(notAsExpected(Place("checks").key("date"), say(kDate.noun), entry.date));
    CheckedFly fly;
    fly.id = freeIdIn(book.checks, "check-" + std::to_string(book.checks.size() + 1));
    fly.pattern = entry.pattern;
    fly.date = entry.date;
    fly.faults = entry.faults;
    fly.photo = entry.photo;
    int within = 0;
    for (std::size_t i = 0; i < items.size(); ++i) {
        if (!entry.readings[i]) continue;
        fly.readings.push_back({static_cast<int>(items[i].part),
                                pattern->parts.at(items[i].part).kind,
                                items[i].figure,
                                items[i].aim,
                                *entry.readings[i],
                                {}});
        if (judge(items[i], *entry.readings[i]).finding == Finding::asPlanned) ++within;
    }
    if (fly.readings.empty() && fly.faults.empty())
        return fail(Place("checks"), say("expected a reading or a fault of the look, got neither"), say("measure one part first"));
    Edit edit{say("{} checked: {} of {} as planned{}", pattern->title(), std::to_string(within), std::to_string(fly.readings.size()),
                  fly.faults.empty() ? "" : say(", {} faults seen", std::to_string(fly.faults.size()))),
              book};
    edit.after.checks.push_back(std::move(fly));
    return edit;
}

std::optional<MeasuredLength> measuredAt(const Plan& plan, const Handle& handle, Point2 to) {
    const PartPlan& part = plan.parts[handle.part];
    const auto lengthOf = [&](std::string_view key) -> Length {
        for (const Figure& figure : figuresOf(plan, handle.part))
            if (figure.key == key)
                if (const auto* value = std::get_if<double>(&figure.value)) return *value * mm;
        return 0.0 * mm;
    };
    const auto along = [&](const char* key) -> MeasuredLength { return {key, lengthOf(key) + (to.x - handle.at.x)}; };
    switch (handle.grab) {
        case Grab::tailTip:
        case Grab::wingTip: return along("length_mm");
        case Grab::hackleTip: {  // by its distance from the root, as the plan's own fibre has it
            const HacklePlan* h = hackleOf(part);
            if (!h) return std::nullopt;
            const WirePoint at = plan.hook.at(part.station);
            const Point2 root{at.position.x, at.position.y - 0.5 * h->bed};
            const Length drawn = hypot(handle.at.x - root.x, handle.at.y - root.y);
            if (drawn <= 0.0 * mm) return std::nullopt;
            return MeasuredLength{"fibre_mm", (hypot(to.x - root.x, to.y - root.y) / drawn) * h->fibre};
        }
        case Grab::rearDiameter:
        case Grab::shoulder: {
            const char* key = handle.grab == Grab::shoulder ? "front_diameter_mm" : "rear_diameter_mm";
            return MeasuredLength{key, lengthOf(key) + 2.0 * (to.y - handle.at.y)};
        }
        case Grab::pieceTip: {  // by its distance from the root
            const Point2 root = plan.hook.at(part.station).position;
            const Length drawn = hypot(handle.at.x - root.x, handle.at.y - root.y);
            if (drawn <= 0.0 * mm) return std::nullopt;
            return MeasuredLength{"length_mm", (hypot(to.x - root.x, to.y - root.y) / drawn) * lengthOf("length_mm")};
        }
        case Grab::bodyEnd: return along("end_mm");
        case Grab::head: return MeasuredLength{"diameter_mm", lengthOf("diameter_mm") + 2.0 * (to.y - handle.at.y)};
        case Grab::tagEnd:
        case Grab::underEnd:
        case Grab::underFront:
        case Grab::bodyFront:
        case Grab::taper:
        case Grab::ribTurn:
        case Grab::wingDepth: return std::nullopt;
    }
    return std::nullopt;
}

std::optional<Jaws> jawsAt(const Plan& plan, const Handle& handle) {
    const PartPlan& part = plan.parts[handle.part];
    const Point2 root = plan.hook.at(part.station).position;
    switch (handle.grab) {
        case Grab::tailTip:
        case Grab::wingTip: return Jaws{{root.x, handle.at.y}, handle.at};  // along the shank, as it is measured
        case Grab::hackleTip: {
            const HacklePlan* h = hackleOf(part);
            return h ? std::optional(Jaws{{root.x, root.y - 0.5 * h->bed}, handle.at}) : std::nullopt;
        }
        case Grab::rearDiameter:
        case Grab::shoulder:
        case Grab::head: {
            const Length axis = plan.hook.at(handle.at.x).position.y;
            return Jaws{handle.at, {handle.at.x, 2.0 * axis - handle.at.y}};
        }
        case Grab::pieceTip: return Jaws{root, handle.at};
        case Grab::bodyEnd: return Jaws{{Length{}, handle.at.y}, handle.at};
        case Grab::tagEnd:
        case Grab::underEnd:
        case Grab::underFront:
        case Grab::bodyFront:
        case Grab::taper:
        case Grab::ribTurn:
        case Grab::wingDepth: return std::nullopt;
    }
    return std::nullopt;
}

Pairing bestPairs(const std::vector<Length>& heap) {
    Pairing pairing;
    const std::vector<std::size_t> order = inOrder(heap);
    const std::size_t n = order.size();
    std::size_t out = n;  // place in order of the one left out
    if (n % 2 == 1) {
        // Leaving out the even place i pairs (0, 1), (2, 3) … before it and (i + 1, i + 2) … after it; leaving out an odd
        // one is never better.
        Length rest;
        for (std::size_t k = 1; k + 1 < n; k += 2)
            rest += heap[order[k + 1]] - heap[order[k]];
        Length before, least = rest;
        out = 0;
        for (std::size_t i = 2; i < n; i += 2) {
            before += heap[order[i - 1]] - heap[order[i - 2]];
            rest -= heap[order[i]] - heap[order[i - 1]];
            if (before + rest < least) {
                least = before + rest;
                out = i;
            }
        }
        pairing.left = order[out];
    }
    std::vector<std::size_t> kept;
    for (std::size_t i = 0; i < n; ++i)
        if (i != out) kept.push_back(order[i]);
    for (std::size_t i = 0; i + 1 < kept.size(); i += 2)
        pairing.pairs.emplace_back(kept[i], kept[i + 1]);
    finish(pairing, heap, heap);
    return pairing;
}

Pairing bestPairs(const std::vector<Length>& lefts, const std::vector<Length>& rights) {
    // In order on both sides no two pairs cross; a table over (lefts used, rights used) chooses what is left over.
    const std::vector<std::size_t> a = inOrder(lefts), b = inOrder(rights);
    const std::size_t n = a.size(), m = b.size();
    const std::size_t wanted = std::min(n, m);
    const double kFar = std::numeric_limits<double>::infinity();
    std::vector<std::vector<double>> best(n + 1, std::vector<double>(m + 1, kFar));
    for (std::size_t i = 0; i <= n; ++i)
        for (std::size_t j = 0; j <= m; ++j) {
            if (i == 0 || j == 0) {
                // Skipping is only for the side that has more.
                best[i][j] = (i == 0 && j == 0) || (i == 0 && m >= n) || (j == 0 && n >= m) ? 0.0 : kFar;
                continue;
            }
            best[i][j] = best[i - 1][j - 1] + std::abs(lefts[a[i - 1]] / mm - rights[b[j - 1]] / mm);
            if (m > n) best[i][j] = std::min(best[i][j], best[i][j - 1]);
            if (n > m) best[i][j] = std::min(best[i][j], best[i - 1][j]);
        }
    Pairing pairing;
    std::size_t i = n, j = m;
    while (i > 0 && j > 0 && pairing.pairs.size() < wanted) {
        if (m > n && best[i][j] == best[i][j - 1])
            --j;
        else if (n > m && best[i][j] == best[i - 1][j])
            --i;
        else
            pairing.pairs.emplace_back(a[--i], b[--j]);
    }
    std::ranges::reverse(pairing.pairs);
    finish(pairing, lefts, rights);
    return pairing;
}

}  // namespace machair
