#include "sizing/budget.h"

#include <algorithm>

#include "language/say.h"
#include "units/text.h"

namespace machair {

std::vector<BudgetSpan> shankBudget(const Plan& plan) {
    std::vector<BudgetSpan> spans;
    const Length front = plan.foremostBody;
    Length at = front - plan.head.available;  // a bead at the eye comes first
    if (at > 0.0 * mm) spans.push_back({SpanKind::head, say("bead"), 0.0 * mm, at, -1});
    for (const RoomShare& share : plan.head.shares) {
        const Length to = std::min(at + share.room, front);
        if (to > at) spans.push_back({share.part >= 0 ? SpanKind::hackle : SpanKind::head, share.what, at, to, share.part});
        at = std::max(at, to);
    }
    if (plan.head.margin() > 0.0 * mm) spans.push_back({SpanKind::spare, say("to spare"), at, front, -1});
    Length bodyFrom = front;
    if (headIsShort(plan)) {
        bodyFrom = std::min(front - plan.head.margin(), plan.bodyEnd);
        spans.push_back({SpanKind::contested, say("head and body want the same place"), front, bodyFrom, -1});
    }
    struct Section {
        int part;
        Length from;
        Length to;
    };
    std::vector<Section> sections;
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        if (const auto* body = std::get_if<BodyPlan>(&plan.parts[i].detail))
            sections.push_back({static_cast<int>(i), body->front, body->end});
    std::ranges::sort(sections, {}, &Section::from);
    at = bodyFrom;
    for (const Section& section : sections) {
        if (section.to <= at) continue;  // all of it under another
        const Length from = std::max(section.from, at);
        if (from > at) spans.push_back({SpanKind::bare, say("bare"), at, from, -1});
        const auto& part = plan.parts[static_cast<std::size_t>(section.part)];
        spans.push_back({SpanKind::body, sayName(part.kind), from, section.to, section.part});
        at = section.to;
    }
    if (at < plan.hook.shank()) spans.push_back({SpanKind::bare, say("bare to the bend"), at, plan.hook.shank(), -1});
    return spans;
}

bool headIsShort(const Plan& plan) { return plan.head.margin() < -slack(plan.head.needed, plan.head.available); }

std::string sayMargin(const Plan& plan) {
    const Length margin = plan.head.margin();
    constexpr Length kShown = 0.005 * mm;  // the least that two places show
    if (!headIsShort(plan) && margin < kShown) return say("just room enough ahead of the body");
    if (margin < 0.0 * mm) return say("crowded by {} mm", formatNumber(-margin / mm, 2));
    return say("{} mm to spare ahead of the body ({} eye widths)", formatNumber(margin / mm, margin < 1.0 * mm ? 2 : 1),
               formatNumber(margin / plan.hook.eyeWidth(), 1));
}

}  // namespace machair
