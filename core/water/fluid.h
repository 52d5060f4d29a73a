// Water and the drag laws that Machair uses: models.md section 8.
#pragma once

#include "units/quantity.h"

namespace machair {

inline constexpr Density kWater = 1.0 * mgPerMm3;
inline constexpr double kUsualCelsius = 10.0;

// Dynamic viscosity, `2.414e-5 · 10^(247.8/(T + 133.15))` Pa·s, T in °C from 0 to 40.
[[nodiscard]] Viscosity viscosity(double celsius);

[[nodiscard]] double reynolds(Speed speed, Length diameter, Viscosity mu);

// Drag coefficient of a smooth cylinder across the flow, White's fit `1 + 10 Re^(-2/3)`; below Re 0.1 continued so
// that drag is linear in speed. Re must be over 0.
[[nodiscard]] double cylinderDrag(double re);

// Drag coefficient of a sphere, `24/Re (1 + 0.15 Re^0.687)`, 0.44 above Re 1000. Re must be over 0.
[[nodiscard]] double sphereDrag(double re);

// How much of a screen of fibres resists, `k/(1 + k/4)²` up to k = 4, then 1: sparse fibres add up, dense ones
// shelter each other.
[[nodiscard]] double screen(double k);

}  // namespace machair
