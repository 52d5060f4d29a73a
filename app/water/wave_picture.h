// The wave of a day under a boat, both to one scale.
#pragma once

#include <QRectF>

#include "theme/theme.h"
#include "water/sea.h"

class QPainter;

namespace machair::app {

// A wave to scale, height as length, across a frame.
struct DrawnWave {
    QRectF frame;
    double scale;   // px a m
    double level;   // px: still water
    double height;  // m, crest to trough
    double length;  // m

    [[nodiscard]] double surface(double x) const;
};
// Two waves at the least, and always a boat's length of air above them.
[[nodiscard]] DrawnWave drawnWave(const Sea& sea, const QRectF& frame);
void paintWater(QPainter& painter, const DrawnWave& wave, const Colours& c);
// A 4.9 m boat that drifts side on: how large the wave is beside it.
void paintBoat(QPainter& painter, const DrawnWave& wave, const Colours& c);

}  // namespace machair::app
