// A cape as a fan: its feathers spread by fibre length, as many in a band as are left, the shortest at the left. The bands that
// this fly's hackles want are marked, with the fibre that they want.
#pragma once

#include <QPainter>
#include <vector>

#include "book/book.h"
#include "cutting/hackles.h"
#include "theme/theme.h"

namespace machair::app {

// Where a band lies in its fan: degrees from upright, clockwise.
struct FanBand {
    double from = 0.0;
    double to = 0.0;
    std::vector<Length> wanted;  // fibres that lie in it, each once
};
// In the order of the cape's bands, each at least wide enough to be read.
[[nodiscard]] std::vector<FanBand> fanOf(const Cape& cape, const std::vector<HackleWanted>& wanted);

void paintCapeFan(QPainter& painter, const QRectF& frame, const Cape& cape, const Material* hackle, const std::vector<HackleWanted>& wanted,
                  const Colours& colours);

}  // namespace machair::app
