#include "leader/exposure.h"

#include <algorithm>

namespace machair {

std::vector<double> DepthExposure::operator()(const Outing& outing, Position position) {
    std::string key;
    for (const Position at : kPositions)
        key += (outing.at(at) ? outing.at(at)->pattern + "@" + outing.at(at)->hook.value_or("") : "-") + "/";
    if (const auto found = known_.find(key); found != known_.end()) return found->second[position];
    auto& shares = known_[key];
    std::vector<TeamFly> flies;
    for (const Position at : kPositions) {
        if (!outing.at(at)) continue;
        auto plan = planFly(book_, *outing.at(at), Place("days"));
        if (!plan) return {};
        flies.push_back(teamFly(at, std::move(*plan), {}));
    }
    if (flies.empty() || stop_.stop_requested()) return {};
    DriftOptions options;
    options.link = kDraggingLink;
    options.step = kDraggingStep;
    options.keepNodes = false;
    options.stop = stop_;
    // On its own leader where a team of the book has these flies.
    const auto team = std::ranges::find(book_.teams, outing.flies, &TeamSpec::flies);
    const DriftReport run =
        runDrift(rigOf(flies, measuresOf(team == book_.teams.end() ? std::nullopt : team->leader)), Handling{}, options);
    for (const Position k : kPositions) {
        double all = 0.0;
        for (const Time t : run.bands[k])
            all += t / second;
        for (const Time t : run.bands[k])
            shares[k].push_back(all > 0.0 ? t / second / all : 0.0);
    }
    return shares[position];
}

}  // namespace machair
