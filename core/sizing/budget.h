// The shank from the eye to the bend as one strip: what takes each millimetre, and where two things want the same place.
#pragma once

#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

enum class SpanKind { head, hackle, spare, body, bare, contested };

struct BudgetSpan {
    SpanKind kind = SpanKind::bare;
    std::string what;
    Length from;
    Length to;
    int part = -1;  // in the dressing; -1 where it is no part's alone
};

// Spans in order from the eye, touching each other, the last ending at the bend (or at the body's end behind it). Where
// the front wants more than is there, what is short stands as a contested span over the body's front.
[[nodiscard]] std::vector<BudgetSpan> shankBudget(const Plan& plan);

// Whether the front wants more than is there, by more than a tier would see (slack).
[[nodiscard]] bool headIsShort(const Plan& plan);

// "0.2 mm to spare ahead of the body (0.1 eye widths)", "crowded by 0.30 mm", "just room enough ahead of the body".
[[nodiscard]] std::string sayMargin(const Plan& plan);

}  // namespace machair
