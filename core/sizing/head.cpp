// Head: the room at the eye, what crowds it and what mends it. models.md section 7.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "language/say.h"
#include "sizing/bench.h"
#include "sizing/head.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kClearTurns = 1.0;  // of thread, kept clear behind the eye
constexpr double kHeadLayers = 3.0;
constexpr Length kHandling = 150.0 * mm;
constexpr Length kFrontBack = 0.5 * mm;

bool has(const Plan& plan, PartKind kind) {
    return std::ranges::any_of(plan.parts, [kind](const PartPlan& p) { return p.kind == kind; });
}

const HeadPart* headPart(const Pattern& pattern) {
    const auto index = findKind(pattern, PartKind::head);
    return index ? std::get_if<HeadPart>(&pattern.parts[*index].detail) : nullptr;
}

double usualWhip(const std::optional<WhipSchool>& school) {
    if (!school) return kWhipTurns;
    switch (*school) {
        case WhipSchool::three: return 3.0;
        case WhipSchool::four: return 4.0;
        case WhipSchool::five: return 5.0;
        case WhipSchool::twice: return 8.0;  // two whips of four
    }
    throw BrokenContract("unknown whip");
}

double whipTurns(const Plan& plan) {
    const HeadPart* head = headPart(plan.pattern);
    if (head && head->whipTurns) return head->whipTurns->middle();
    return plan.schools.held.finish == FinishSchool::hitches ? 0.0 : usualWhip(plan.schools.held.whip);
}

// Turns that bind the wing: a low one six, one of tips or plume or at an angle four. A second wing's lie on the first's.
double wingTurns(const Plan& plan) {
    double most = 0.0;
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        if (const auto* wing = std::get_if<WingPlan>(&plan.parts[i].detail)) {
            const bool few = wing->style == WingStyle::tips || wing->style == WingStyle::plume || wing->style == WingStyle::upright ||
                             std::get<WingPart>(plan.pattern.parts[i].detail).angle;
            most = std::max(most, few ? kFewBindingTurns : kWingBindingTurns);
        }
    return most;
}
Length beadAtEye(const Plan& plan) {
    const auto* bead = plan.parts.empty() ? nullptr : std::get_if<BeadPlan>(&plan.parts.front().detail);
    return bead ? bead->diameter : 0.0 * mm;
}
// One turn is kept clear behind the eye; behind a bead the whip itself lies.
double clearTurns(const Plan& plan) { return beadAtEye(plan) > 0.0 * mm ? 0.0 : kClearTurns; }

double bindingTurns(const Plan& plan) {
    const double cheek = has(plan, PartKind::cheek) ? kCheekBindingTurns : 0.0;
    return std::max(wingTurns(plan) + cheek, whipTurns(plan));
}

// Turns of thread that the front wants besides the hackles: bindings or whip finish, and what is kept clear.
double threadTurns(const Plan& plan) { return bindingTurns(plan) + clearTurns(plan); }

bool hasProppedWing(const Plan& plan) {
    return std::ranges::any_of(plan.parts, [](const PartPlan& part) {
        const auto* wing = std::get_if<WingPlan>(&part.detail);
        return wing && wing->propped;
    });
}

// Hackles count when they stand ahead of the body, wherever they come in the order; not those with a station at or behind
// its front.
bool takesRoom(const Plan& plan, std::size_t i) {
    if (!std::holds_alternative<HacklePlan>(plan.parts[i].detail)) return false;
    const bool written = plan.pattern.parts[i].station.has_value();
    return written ? plan.parts[i].station < plan.foremostBody - kAtFront : plan.parts[i].station <= plan.foremostBody + kAtFront;
}
Length hackleRoom(const HacklePlan& h) { return h.roomShare * h.width; }

// The part that a bead is pushed back on, whatever thread was changed between.
std::size_t partBehind(const Plan& plan, std::size_t bead) {
    std::size_t before = bead - 1;
    while (before > 0 && plan.parts[before].kind == PartKind::thread)
        --before;
    return before;
}

// Where the front of the body usually ends, as a share of the shank.
Length usualFront(const Plan& plan) {
    int fronts = 0;
    Length beads = beadAtEye(plan);
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        fronts += takesRoom(plan, i) || std::holds_alternative<WingPlan>(plan.parts[i].detail) ? 1 : 0;
        if (const auto* bead = std::get_if<BeadPlan>(&plan.parts[i].detail); bead && !bead->atEye) beads += bead->diameter;
    }
    return ((fronts > 1 ? 0.30 : 0.24) + (has(plan, PartKind::cheek) ? 0.04 : 0.0)) * plan.hook.shank() + beads;
}

// What takes room ahead of the body, from the eye back.
std::vector<RoomShare> sharesOf(const Plan& plan, const LaidThread& thread) {
    std::vector<RoomShare> shares;
    if (clearTurns(plan) > 0.0) shares.push_back({say("turn clear behind the eye"), clearTurns(plan) * thread.width, -1});
    shares.push_back({has(plan, PartKind::wing) ? say("head and wing binding") : say("head"), bindingTurns(plan) * thread.width, -1});
    for (std::size_t i = plan.parts.size(); i-- > 0;) {
        const int part = static_cast<int>(i);
        if (takesRoom(plan, i)) {
            const auto& h = std::get<HacklePlan>(plan.parts[i].detail);
            shares.push_back(
                {say("hackle of {}{}", formatShort(h.turns, 1), h.turns == 1.0 ? say(" turn") : say(" turns")), hackleRoom(h), part});
        } else if (const auto* bead = std::get_if<BeadPlan>(&plan.parts[i].detail); bead && !bead->atEye)
            shares.push_back({say("bead"), bead->diameter, part});
    }
    if (hasProppedWing(plan)) shares.push_back({say("turns that prop the wing"), kWingGapTurns * thread.width, -1});
    return shares;
}

// The thickness of the head, its butts whole or cut on a slope, over what is bound at its middle.
struct Thickness {
    Length whole, sloped;
};
Thickness boundAt(const Plan& plan, Length station) {
    Length threadOnly = plan.hook.wire();
    double bundles = 0.0;
    for (const BulkRow& row : plan.bulk.rows()) {
        if (station < row.from || station > row.to) continue;
        if (const auto* bundle = std::get_if<BoundBundle>(&row.what))
            bundles += bundle->count * (bundle->diameter * bundle->diameter / mm2) / kBundlePacking;
        else
            threadOnly = boundOver(threadOnly, row);
    }
    return {sqrt(threadOnly * threadOnly + bundles * mm2), sqrt(threadOnly * threadOnly + 0.5 * bundles * mm2)};
}

Crowding crowdingOf(const HeadBudget& budget, const Plan& plan) {
    const Length allowed = slack(budget.needed, budget.available), beyond = plan.foremostBody - budget.usual;
    if (budget.margin() < -allowed) {
        constexpr double kTooMuch = 0.30;  // eye widths
        return -budget.margin() > kTooMuch * plan.hook.eyeWidth() ? Crowding::warning : Crowding::note;
    }
    if (plan.frontIsWritten || beyond <= slack(plan.foremostBody, budget.usual)) return Crowding::no;
    constexpr double kFarBeyond = 0.08;  // of the shank
    return beyond > kFarBeyond * plan.hook.shank() ? Crowding::warning : Crowding::note;
}

std::vector<Remedy> remedies(const Bench& bench, Length thinnestHackle) {
    std::vector<Remedy> list;
    const Plan& plan = bench.plan;
    const Material* finest = nullptr;
    Length width = bench.thread.width;
    for (const Material& m : bench.book.materials)
        if (m.kind == MaterialKind::thread && laidThread(m).width < width - 0.001 * mm) {
            finest = &m;
            width = laidThread(m).width;
        }
    if (finest) {
        const Length buys = threadTurns(plan) * (bench.thread.width - width);
        list.push_back({RemedyKind::finerThread, buys,
                        say("finish with {}: {} more room", finest->title(), formatLength(buys, LengthUnit::millimetres, 2))});
    }
    if (thinnestHackle > 0.0 * mm) {
        const Length buys = kHackleSpread * thinnestHackle;
        list.push_back(
            {RemedyKind::turnLess, buys, say("one hackle turn less: {} more room", formatLength(buys, LengthUnit::millimetres, 2))});
    }
    list.push_back({RemedyKind::bodyFrontBack, kFrontBack, say("body front back by 0.5 mm: 0.50 mm more room")});
    std::ranges::stable_sort(list, std::greater{}, &Remedy::buys);
    return list;
}

}  // namespace

Length roomNeeded(const Plan& plan, const LaidThread& thread) {
    Length sum;
    for (const RoomShare& share : sharesOf(plan, thread))
        sum += share.room;
    return sum;
}

Length roomGiven(const Plan& plan) {
    constexpr double kPushedBack = 0.25;  // of a bead's diameter that is pushed back on fur
    Length given;
    for (std::size_t i = 1; i < plan.parts.size(); ++i)
        if (const auto* bead = std::get_if<BeadPlan>(&plan.parts[i].detail);
            bead && plan.parts[partBehind(plan, i)].made.kind == MaterialKind::dubbing)
            given += kPushedBack * bead->diameter;
    return given;
}

Length bindingRoom(const Plan& plan, const LaidThread& thread) { return bindingTurns(plan) * thread.width; }

std::vector<Length> hackleRooms(const Plan& plan) {
    std::vector<Length> rooms;
    for (const PartPlan& part : plan.parts) {
        const auto* h = std::get_if<HacklePlan>(&part.detail);
        rooms.push_back(h && !h->through ? hackleRoom(*h) : 0.0 * mm);
    }
    return rooms;
}

HeadBudget budgetHead(Bench& bench) {
    Plan& plan = bench.plan;
    HeadBudget budget;
    const Length b = bench.thread.width;
    budget.shares = sharesOf(plan, bench.thread);
    for (const RoomShare& share : budget.shares)
        budget.needed += share.room;
    budget.available = plan.foremostBody - beadAtEye(plan) + roomGiven(plan);
    budget.from = beadAtEye(plan) + clearTurns(plan) * b;
    budget.to = std::max(budget.from + 2.0 * b, std::min(bench.hackleFront, plan.foremostBody));
    const HeadPart* written = headPart(plan.pattern);
    const double layers = written && written->layers ? *written->layers : kHeadLayers;
    const Thickness bound = boundAt(plan, 0.5 * (budget.from + budget.to));
    budget.diameter = bound.whole + 2.0 * bench.thread.thickness * layers;
    budget.slopeCutTakes = bound.whole - bound.sloped;
    if (layers > 0.0) {
        const auto part = findKind(plan.pattern, PartKind::head);
        bench.bindThread(part ? static_cast<int>(*part) : -1, budget.from, budget.to, layers);
    }
    budget.usual = usualFront(plan);
    budget.crowded = crowdingOf(budget, plan);
    constexpr Length kLittle = 0.5 * mm;
    if (budget.margin() < kLittle || budget.crowded != Crowding::no) {
        Length widestStem;
        for (std::size_t i = 0; i < plan.parts.size(); ++i)
            if (takesRoom(plan, i))
                if (const auto& h = std::get<HacklePlan>(plan.parts[i].detail); h.turns > 1.0)
                    widestStem = std::max(widestStem, h.feather.stem);
        budget.remedies = remedies(bench, widestStem);
    }
    return budget;
}

Length threadUsed(const Plan& plan, const LaidThread& thread) {
    const Length whip = whipTurns(plan) * std::numbers::pi * (plan.head.diameter + thread.thickness);
    return plan.bulk.threadWound() + whip + kHandling;
}

HeadPlan sizeHead(const Plan& plan, const HeadPart& written) {
    const SchoolChoices& held = plan.schools.held;
    HeadPlan head;
    head.whipTurns = whipTurns(plan);
    head.coats = written.coats.value_or(held.coats == CoatsSchool::one ? 1 : head.coats);
    head.finish = written.finish.value_or(plan.schools.finish);
    if (head.finish == Finish::none) head.coats = 0;
    const bool hitches = held.finish == FinishSchool::hitches && !written.finish && !written.whipTurns;
    head.knot = written.knot.value_or(hitches ? Knot::halfHitch : Knot::whip);
    return head;
}

HeadPlan headOf(const Plan& plan) {
    for (const PartPlan& part : plan.parts)
        if (const auto* head = std::get_if<HeadPlan>(&part.detail)) return *head;
    return sizeHead(plan, HeadPart{});
}

}  // namespace machair
