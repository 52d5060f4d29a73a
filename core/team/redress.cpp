#include "team/redress.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <cstdlib>

#include "book/spec_words.h"
#include "language/say.h"
#include "team/figures.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr int kSizeStep = 2;  // hooks are sold in even numbers
constexpr int kSmallest = 16, kLargest = 6;
constexpr double kShankAndGapeAStep = 0.855, kWireAStep = 0.90;
constexpr double kFibreStep = 0.1;     // of the gape
constexpr int kLengthStepsATenth = 2;  // of kLengthStep
static_assert(kLengthStepsATenth * kLengthStep == kFibreStep);
constexpr double kLengthShare = 0.15;  // of a tail or wing

Result<Pattern> cannot(const Plan& plan, const std::string& what) {
    return fail(Place("patterns").key(plan.pattern.id), say("expected {}, got none", what));
}

// A ratio or millimetres so many times as long; false for a reach, which stays.
bool scale(LengthSpec& length, double factor) {
    if (auto* ratio = std::get_if<Ratio>(&length.value)) {
        ratio->ratio *= factor;
        return true;
    }
    if (auto* own = std::get_if<Length>(&length.value)) {
        *own *= factor;
        return true;
    }
    return false;
}

// So many tenths of the gape longer, however it is written: a reach goes past its landmark.
bool lengthenByGape(LengthSpec& length, int tenths, Length planned, Length gape) {
    if (std::holds_alternative<Reach>(length.value)) {
        const auto longer = lengthened(length, kLengthStepsATenth * tenths);
        if (longer) length = *longer;
        return longer.has_value();
    }
    const Length wanted = planned + kFibreStep * tenths * gape;
    return planned > Length{} && wanted > Length{} && scale(length, wanted / planned);
}

bool changeTurns(Part& part, const PartPlan& planned, int by) {
    constexpr double kLeastOpen = 2.0, kMostOpen = 8.0;
    if (auto* palmer = std::get_if<PalmerPart>(&part.detail)) {
        const double turns = std::get<PalmerPlan>(planned.detail).openTurns + by;
        if (turns < kLeastOpen || turns > kMostOpen) return false;
        palmer->openTurns = exactly(turns);
        return true;
    }
    auto* collar = std::get_if<CollarPart>(&part.detail);
    const auto* plan = std::get_if<HacklePlan>(&planned.detail);
    if (!collar || !plan || collar->until) return false;  // those turns follow from where it ends
    const double turns = plan->turns + by;
    if (turns < 1.0 || turns > plan->mostTurns + 1e-9) return false;
    collar->turns = exactly(turns);
    collar->full.reset();
    return true;
}

bool changeFibre(Part& part, const PartPlan& planned, int by, Length gape) {
    const Length fibre = hackleOf(planned)->fibre;
    if (auto* palmer = std::get_if<PalmerPart>(&part.detail)) return lengthenByGape(palmer->length, by, fibre, gape);
    auto* collar = std::get_if<CollarPart>(&part.detail);
    return collar && lengthenByGape(collar->length, by, fibre, gape);
}

template <class PartOfKind>
bool scaleAll(Pattern& pattern, int by) {
    bool any = false;
    for (Part& part : pattern.parts)
        if (auto* own = std::get_if<PartOfKind>(&part.detail)) any = scale(own->length, 1.0 + kLengthShare * by) || any;
    return any;
}

Result<Pattern> withBead(const Book& book, const Pattern& pattern) {
    if (findKind(pattern, PartKind::bead))
        return fail(Place("patterns").key(pattern.id), say("expected a fly without a bead, got one with"));
    Book with = book;
    Pattern* found = with.findPattern(pattern.id);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern.id);
    *found = pattern;
    auto added = addPart(with, pattern.id, PartKind::bead);
    if (!added) return tl::unexpected(added.error());
    // At the eye, before everything else.
    const Pattern& beaded = *added->after.findPattern(pattern.id);
    const auto at = static_cast<std::size_t>(std::ranges::find(beaded.parts, PartKind::bead, &Part::kind) - beaded.parts.begin());
    if (at != 0) added = movePart(added->after, pattern.id, at, 0);
    if (!added) return tl::unexpected(added.error());
    return *added->after.findPattern(pattern.id);
}

// The next even number in a direction: a 9 becomes an 8 or a 10.
int nextEven(int size, int steps) {
    for (; steps > 0; --steps)
        size += size % 2 == 0 ? kSizeStep : 1;
    for (; steps < 0; ++steps)
        size -= size % 2 == 0 ? kSizeStep : 1;
    return size;
}

std::string times(int count, const std::string& what) {
    return (count == 1   ? say("one ")
            : count == 2 ? say("two ")
            : count == 3 ? say("three ")
                         : std::to_string(count) + " ") +
           what + (count == 1 ? "" : "s");
}

}  // namespace

int FlyChange::cost() const {
    constexpr int kSizeCost = 4, kWireCost = 2, kBeadCost = 5;
    return std::abs(turns) + std::abs(fibre) + std::abs(tail) + std::abs(wing) + kSizeCost * std::abs(size) + kWireCost * std::abs(wire) +
           (bead ? kBeadCost : 0);
}

bool FlyChange::onlyHook() const {
    FlyChange rest = *this;
    rest.size = rest.wire = 0;
    return rest.none();
}

std::vector<FlyChange> singleChanges() {
    std::vector<FlyChange> list;
    const auto each = [&](int FlyChange::*member, int most) {
        for (int by = 1; by <= most; ++by)
            for (const int sign : {-1, 1}) {
                FlyChange change;
                change.*member = sign * by;
                list.push_back(change);
            }
    };
    each(&FlyChange::turns, 3);
    each(&FlyChange::fibre, 2);
    each(&FlyChange::tail, 2);
    each(&FlyChange::wing, 2);
    each(&FlyChange::size, 2);
    each(&FlyChange::wire, 1);
    FlyChange beaded;
    beaded.bead = true;
    list.push_back(beaded);
    std::ranges::stable_sort(list, {}, &FlyChange::cost);
    return list;
}

std::vector<FlyChange> pairedChanges(int mostCost) {
    std::vector<FlyChange> list;
    const std::vector<FlyChange> singles = singleChanges();
    for (const FlyChange& a : singles)
        for (const FlyChange& b : singles) {
            const bool turnsWith = a.turns != 0 && (b.fibre != 0 || b.wire != 0 || b.size != 0), tailWithWing = a.tail != 0 && b.wing != 0;
            if (!turnsWith && !tailWithWing) continue;
            FlyChange both = a;
            both.fibre += b.fibre;
            both.wire += b.wire;
            both.size += b.size;
            both.wing += b.wing;
            if (both.cost() <= mostCost) list.push_back(both);
        }
    std::ranges::stable_sort(list, {}, &FlyChange::cost);
    return list;
}

Result<HookSpec> hookFor(const Book& book, const HookSpec& now, const FlyChange& change) {
    HookSpec wanted = now;
    wanted.size = nextEven(now.size, change.size);
    if (change.size != 0 && (wanted.size < kLargest || wanted.size > kSmallest))
        return fail(Place("hooks").key(now.id), say("expected a hook from 6 to 16, got {}", std::to_string(wanted.size)));
    const int heavier = now.heavier.value_or(0) + change.wire;
    wanted.heavier = heavier == 0 ? std::nullopt : std::optional(heavier);
    if (sameModel(wanted, now)) return now;
    for (const HookSpec& hook : book.hooks)
        if (sameModel(hook, wanted)) return hook;
    if (wanted.measured) {
        const double scale = std::pow(kShankAndGapeAStep, (wanted.size - now.size) / static_cast<double>(kSizeStep));
        for (auto* measure : {&wanted.measured->shank, &wanted.measured->gape, &wanted.measured->clearGape, &wanted.measured->overall,
                              &wanted.measured->point})
            if (*measure) **measure *= scale;
        if (wanted.measured->wire)
            *wanted.measured->wire *= std::pow(kWireAStep, (wanted.size - now.size) / static_cast<double>(kSizeStep)) *
                                      (nominalWire(wanted.size - heavier) / nominalWire(wanted.size - now.heavier.value_or(0)));
    }
    wanted.name.reset();
    wanted.note.reset();
    wanted.carried.clear();
    wanted.id = HookId(now.id + "@" + std::to_string(wanted.size) + "/" + std::to_string(heavier));
    return wanted;
}

Result<Pattern> redressed(const Book& book, const Plan& before, const FlyChange& change) {
    const Pattern* written = book.findPattern(before.pattern.id);  // its counts are for its own hook, whatever this one is
    if (!written) return noSuch(Place("patterns"), "dressing", before.pattern.id);
    Pattern pattern = *written;
    if (change.turns != 0 || change.fibre != 0) {
        const auto at = fullestHackle(before);
        if (!at || *at >= pattern.parts.size()) return cannot(before, say("a hackle"));
        if (change.turns != 0 && !changeTurns(pattern.parts[*at], before.parts[*at], change.turns))
            return cannot(before, say("a hackle with turns to spare"));
        if (change.fibre != 0 && !changeFibre(pattern.parts[*at], before.parts[*at], change.fibre, before.hook.gape()))
            return cannot(before, say("a hackle that can be measured otherwise"));
    }
    if (change.tail != 0 && !scaleAll<TailPart>(pattern, change.tail)) return cannot(before, say("a tail by a ratio or in mm"));
    if (change.wing != 0 && !scaleAll<WingPart>(pattern, change.wing)) return cannot(before, say("a wing by a ratio or in mm"));
    return change.bead ? withBead(book, pattern) : Result<Pattern>(std::move(pattern));
}

Result<Plan> planRedressed(const Book& book, const Plan& before, const FlyChange& change) {
    const auto spec = hookFor(book, before.hook.spec(), change);
    if (!spec) return tl::unexpected(spec.error());
    const auto hook = makeHook(*spec);
    if (!hook) return tl::unexpected(hook.error());
    const auto pattern = redressed(book, before, change);
    if (!pattern) return tl::unexpected(pattern.error());
    return plan(*pattern, *hook, book, {}, schoolsFor(*pattern, book));
}

std::string sayChange(const Book& book, const Plan& before, const FlyChange& change) {
    std::vector<std::string> words;
    const auto at = fullestHackle(before);
    const std::string hackle = at ? sayName(before.parts[*at].kind) : say("hackle");
    if (change.turns != 0)
        words.push_back(
            say("{}{} on the {}", times(std::abs(change.turns), "turn"), change.turns > 0 ? say(" more") : say(" less"), hackle));
    if (change.fibre != 0)
        words.push_back(say("the {} {} of the gape {}", hackle, formatNumber(kFibreStep * std::abs(change.fibre), 1),
                            change.fibre > 0 ? say("longer") : say("shorter")));
    const auto scaled = [&](PartKind part, int by) {
        if (by != 0)
            words.push_back(say("the {} {} % {}", sayName(part), formatNumber(100.0 * kLengthShare * std::abs(by), 0),
                                by > 0 ? say("longer") : say("shorter")));
    };
    scaled(PartKind::tail, change.tail);
    scaled(PartKind::wing, change.wing);
    if (change.size != 0)
        if (const auto hook = hookFor(book, before.hook.spec(), change)) words.push_back(say("on a {}", std::to_string(hook->size)));
    if (change.wire != 0) words.emplace_back(change.wire > 0 ? say("on a heavier wire") : say("on a finer wire"));
    if (change.bead) words.emplace_back(say("a bead at the eye"));
    std::string text;
    for (std::size_t i = 0; i < words.size(); ++i)
        text += (i == 0 ? "" : ", ") + words[i];
    return text;
}

}  // namespace machair
