#include "sizing/sizes.h"

#include <algorithm>

#include "sizing/compare.h"
#include "sizing/figures.h"

namespace machair {

namespace {

// Lengths follow the hook; these are what a tier must know to change.
bool changesBesidesSize(const Difference& d) {
    constexpr std::array<std::string_view, 7> kCounted = {"fibres",         "turns",      "strands", "fullness_class",
                                                          "shoulder_turns", "open_turns", "count"};
    return std::ranges::find(kCounted, d.key) != kCounted.end();
}

}  // namespace

std::vector<SizedFly> acrossSizes(const Book& book, const DressingId& pattern, const std::vector<int>& sizes) {
    std::vector<SizedFly> flies;
    const auto now = planPattern(book, pattern);
    for (const int size : sizes) {
        SizedFly fly{size, planOnSize(book, pattern, size), {}, {}};
        if (fly.plan && now) {
            for (const Difference& d : differences(*now, *fly.plan))
                if (changesBesidesSize(d)) fly.changes.push_back(d.words());
            for (const Warning& warning : fly.plan->warnings) {
                const bool before = std::ranges::any_of(
                    now->warnings, [&](const Warning& w) { return w.concern == warning.concern && w.part == warning.part; });
                if (!before && warning.severity == Severity::warning)
                    fly.troubles.push_back(warning.what + (warning.remedy.empty() ? "" : "; " + warning.remedy));
            }
        } else if (!fly.plan)
            for (const Fault& fault : fly.plan.error())
                fly.troubles.push_back(fault.what);
        flies.push_back(std::move(fly));
    }
    return flies;
}

}  // namespace machair
