// How a fly's colour looks at its depth, in this water: models.md section 11. A rule of thumb.
#pragma once

#include "book/waters.h"
#include "colour/colour.h"
#include "units/quantity.h"

namespace machair {

// What a water does to light: attenuation per metre and scattered light, for linear red, green and blue. Judgement,
// to be edited by those who know the water better.
struct Clarity {
    Rgb attenuation;  // per metre
    Rgb scattered;
};
[[nodiscard]] Clarity clarityOf(WaterColour colour);

struct Sighting {
    Length depth;               // of the fly, from 0
    Length from = 0.5 * metre;  // the fish's distance
    double cosine = 0.83;       // of the light's path to the vertical; 0.83 under cloud
};
// Cosine of sunlight's path under water for a sun so high above the horizon.
[[nodiscard]] double pathCosine(Angle sunElevation);

struct Seen {
    Rgb fly;                // linear, the eye adapted to how dark it is there; may be over 1
    Rgb water;              // behind it
    double contrast = 0.0;  // CIEDE2000
    double lighter = 0.0;   // L* of the fly less that of the water
};
[[nodiscard]] Seen seen(Rgb srgb, const Clarity& clarity, const Sighting& sighting);

// Whether a fish sees the fly against the sky: within the window overhead.
[[nodiscard]] bool againstSky(Length horizontal, Length fishDepth, Length flyDepth);

struct CieLab {  // D65
    double L = 0.0;
    double a = 0.0;
    double b = 0.0;
};
[[nodiscard]] CieLab toCieLab(Rgb linear);
// The CIE's colour difference of 2000, all weights 1 (Sharma, Wu, Dalal 2005, whose test pairs hold it).
[[nodiscard]] double ciede2000(const CieLab& a, const CieLab& b);

}  // namespace machair
