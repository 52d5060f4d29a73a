// Photographs: their brightness for the reader, and rendered ones of a fly in the vice: what the camera's stand-in takes. Their true
// measures are known.
#pragma once

#include <QImage>
#include <cstdint>

#include "photo/registration.h"
#include "sizing/plan.h"

namespace machair::drawing {

struct PhotographSetting {
    QSize size = {1600, 1200};
    double span = 0.62;     // of the width, from the eye to the last tip
    double turn = 0.0;      // radians, clockwise as seen
    bool mirrored = false;  // the eye at the right
    double blur = 0.8;      // px, Gaussian
    double noise = 3.0;     // standard deviation of 255
    double light = 0.10;    // how much darker one side of the card is than the other, a share
    std::uint64_t seed = 1;
};
struct Photograph {
    QImage image;
    QPointF eye;  // where the rear edge of the eye is, px
    double pxPerMm = 1.0;
};
[[nodiscard]] Photograph photographOf(const Plan& plan, const PhotographSetting& setting);

// The picture's brightness, as the photograph's reader wants it.
[[nodiscard]] photo::Picture greyOf(const QImage& image);

// A setting such as a hand and a lamp give: seeded, within what findHook can be expected to read.
[[nodiscard]] PhotographSetting someSetting(std::uint64_t seed);

}  // namespace machair::drawing
