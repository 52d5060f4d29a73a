#include "leader/exposure.h"

#include <algorithm>

namespace machair {

std::vector<double> DepthExposure::operator()(const Outing& outing, Position position) {
    const auto name = [](const std::optional<std::string>& fly) { return fly.value_or("-"); };
    const std::string key = name(outing.bob) + "/" + name(outing.middle) + "/" + name(outing.point);
    const auto place = static_cast<std::size_t>(std::ranges::find(kPositions, position) - kPositions.begin());
    if (const auto found = known_.find(key); found != known_.end()) return found->second[place];
    auto& shares = known_[key];
    std::vector<TeamFly> flies;
    for (const Position at : kPositions) {
        if (!outing.at(at)) continue;
        auto plan = planPattern(book_, *outing.at(at));
        if (!plan) return {};
        flies.push_back(teamFly(at, std::move(*plan), {}));
    }
    if (flies.empty() || stop_.stop_requested()) return {};
    DriftOptions options;
    options.link = kDraggingLink;
    options.step = kDraggingStep;
    options.keepNodes = false;
    options.stop = stop_;
    const DriftReport run = runDrift(rigOf(flies, measuresOf(std::nullopt)), Handling{}, options);
    for (std::size_t k = 0; k < 3; ++k) {
        double all = 0.0;
        for (const Time t : run.bands[k]) all += t / second;
        for (const Time t : run.bands[k]) shares[k].push_back(all > 0.0 ? t / second / all : 0.0);
    }
    return shares[place];
}

}  // namespace machair
