// How long the flies of an outing spend at each depth: what rates by depth weigh hours with.
#pragma once

#include <map>
#include <string>

#include "daybook/rates.h"
#include "leader/drift.h"

namespace machair {

// The drift of an outing's team on the usual leader, fished the usual way (count 5 s, draw 12 s at 0.3 m/s) at dragging
// resolution, once for each team. A team that can't be planned spends no time at any depth.
class DepthExposure {
  public:
    explicit DepthExposure(const Book& book, std::stop_token stop = {}) : book_(book), stop_(std::move(stop)) {}
    // Shares of the time in each 10 cm from the surface.
    [[nodiscard]] std::vector<double> operator()(const Outing& outing, Position position);

  private:
    const Book& book_;
    std::stop_token stop_;
    std::map<std::string, ByPosition<std::vector<double>>> known_;
};

}  // namespace machair
