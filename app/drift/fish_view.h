// What a fish sees: each fly at its depth half a metre off, in the colours that this water leaves it, on the water behind it
// (models.md section 11). The eye is adapted to how dark it is there.
#pragma once

#include <QImage>
#include <QPainter>
#include <vector>

#include "theme/theme.h"
#include "water/sight.h"

namespace machair::app {

struct SeenFly {
    QString name;
    QImage picture;  // as it is drawn in air, on nothing
    QColor ink;      // its line in the chart
    Rgb colour;      // the mean of it, sRGB
    Length depth;
};

// The picture in the colours that are left: each pixel goes the way that light goes through the water.
[[nodiscard]] QImage asSeen(const QImage& picture, const Clarity& clarity, const Sighting& sighting, double exposure);
// So much light that the brightest of fly and water is shown.
[[nodiscard]] double exposureOf(const Seen& there);
// "darker, stands out", "lighter, hardly seen": than the water behind it.
[[nodiscard]] QString sayContrast(const Seen& there);

// One box a fly, from the top; `light` is the cosine of the light's path.
void paintFishView(QPainter& painter, const QRectF& frame, const std::vector<SeenFly>& flies, const Clarity& clarity, double light,
                   const Colours& colours);

}  // namespace machair::app
