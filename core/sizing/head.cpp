// Head: the room at the eye, what crowds it and what mends it. models.md section 7.
#include <algorithm>
#include <cmath>
#include <numbers>

#include "sizing/bench.h"
#include "sizing/head.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kClearTurns = 1.0;  // of thread, kept clear behind the eye
constexpr int kHeadLayers = 3;
constexpr Length kHandling = 150.0 * mm;
constexpr Length kFrontBack = 0.5 * mm;

bool has(const Plan& plan, PartKind kind) {
    return std::ranges::any_of(plan.parts, [kind](const PartPlan& p) { return p.kind == kind; });
}

const HeadPart* headPart(const Pattern& pattern) {
    const auto index = findKind(pattern, PartKind::head);
    return index ? std::get_if<HeadPart>(&pattern.parts[*index].detail) : nullptr;
}

double whipTurns(const Pattern& pattern) {
    const HeadPart* head = headPart(pattern);
    return head && head->whipTurns ? head->whipTurns->middle() : kWhipTurns;
}

// Turns of thread that the front wants besides the hackles: bindings or whip finish, and one clear.
double threadTurns(const Plan& plan) {
    const double wing = has(plan, PartKind::wing) ? kWingBindingTurns : 0.0;
    const double cheek = has(plan, PartKind::cheek) ? kCheekBindingTurns : 0.0;
    return std::max(wing + cheek, whipTurns(plan.pattern)) + kClearTurns;
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
                        "finish with " + finest->title() + ": " + formatLength(buys, LengthUnit::millimetres, 2) + " more room"});
    }
    if (thinnestHackle > 0.0 * mm) {
        const Length buys = kHackleSpread * thinnestHackle;
        list.push_back({RemedyKind::turnLess, buys,
                        "one hackle turn less: " + formatLength(buys, LengthUnit::millimetres, 2) + " more room"});
    }
    list.push_back({RemedyKind::bodyFrontBack, kFrontBack, "body front back by 0.5 mm: 0.50 mm more room"});
    std::ranges::stable_sort(list, std::greater{}, &Remedy::buys);
    return list;
}

}  // namespace

Length roomNeeded(const Plan& plan, const LaidThread& thread) {
    Length sum;
    for (const PartPlan& part : plan.parts)
        if (const auto* h = std::get_if<HacklePlan>(&part.detail); h && !h->behindWing)
            sum += kHackleSpread * h->turns * h->feather.stem;
    return sum + threadTurns(plan) * thread.width;
}

Length bindingRoom(const Plan& plan, const LaidThread& thread) { return (threadTurns(plan) - kClearTurns) * thread.width; }

HeadBudget budgetHead(Bench& bench) {
    Plan& plan = bench.plan;
    HeadBudget budget;
    const Length b = bench.thread.width;
    budget.needed = roomNeeded(plan, bench.thread);
    const Length eyeBead = bench.resolver.beadAtEye();
    const Length front = bench.resolver.foremostBody();
    budget.available = front - eyeBead;
    budget.from = eyeBead + kClearTurns * b;
    budget.to = std::max(budget.from + 2.0 * b, std::min(bench.hackleFront, front));

    budget.shares.push_back({"clear behind the eye", kClearTurns * b, -1});
    const double binding = threadTurns(plan) - kClearTurns;
    budget.shares.push_back({has(plan, PartKind::wing) ? "head and wing binding" : "head", binding * b, -1});
    Length widestStem;
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        if (const auto* h = std::get_if<HacklePlan>(&plan.parts[i].detail); h && !h->behindWing) {
            budget.shares.push_back({"hackle, " + formatShort(h->turns, 1) + " turns",
                                     kHackleSpread * h->turns * h->feather.stem, static_cast<int>(i)});
            if (h->turns > 1.0) widestStem = std::max(widestStem, h->feather.stem);
        }

    const HeadPart* written = headPart(plan.pattern);
    const int layers = written && written->layers ? *written->layers : kHeadLayers;
    const Length middle = 0.5 * (budget.from + budget.to);
    const auto part = findKind(plan.pattern, PartKind::head);
    const Length bed = bench.bedAt(middle);
    budget.diameter = bed + 2.0 * bench.thread.thickness * static_cast<double>(layers);
    // Slope-cut butts halve what the bound bundles add.
    Length threadOnly = plan.hook.wire();
    double bundles = 0.0;
    for (const BulkRow& row : plan.bulk.rows()) {
        if (middle < row.from || middle > row.to) continue;
        if (const auto* bundle = std::get_if<BoundBundle>(&row.what))
            bundles += bundle->count * (bundle->diameter * bundle->diameter / mm2) / kBundlePacking;
        else
            threadOnly = boundOver(threadOnly, row);
    }
    const Length whole = sqrt(threadOnly * threadOnly + bundles * mm2);
    const Length sloped = sqrt(threadOnly * threadOnly + 0.5 * bundles * mm2);
    budget.slopeCutTakes = whole - sloped;
    if (layers > 0)
        bench.bindThread(part ? static_cast<int>(*part) : -1, budget.from, budget.to, static_cast<double>(layers));
    if (budget.margin() < 0.0 * mm) budget.remedies = remedies(bench, widestStem);
    return budget;
}

Length threadUsed(const Plan& plan, const LaidThread& thread) {
    const Length whip = whipTurns(plan.pattern) * std::numbers::pi * (plan.head.diameter + thread.thickness);
    return plan.bulk.threadWound() + whip + kHandling;
}

HeadPlan sizeHead(Bench& bench, const HeadPart& written) {
    HeadPlan head;
    head.whipTurns = whipTurns(bench.pattern);
    head.coats = written.coats.value_or(head.coats);
    head.finish = written.finish.value_or(bench.plan.schools.finish);
    if (head.finish == Finish::none) head.coats = 0;
    return head;
}

}  // namespace machair
