#include "water/fluid.h"

#include <cmath>

namespace machair {

namespace {
constexpr double kLinearBelow = 0.1;  // Reynolds number
constexpr double kSphereConstantAbove = 1000.0;
constexpr double kFullScreen = 4.0;
}  // namespace

Viscosity viscosity(double celsius) { return 2.414e-5 * std::pow(10.0, 247.8 / (celsius + 133.15)) * pascalSecond; }

double reynolds(Speed speed, Length diameter, Viscosity mu) { return kWater * speed * diameter / mu; }

double cylinderDrag(double re) {
    const auto fit = [](double r) { return 1.0 + 10.0 * std::pow(r, -2.0 / 3.0); };
    return re < kLinearBelow ? fit(kLinearBelow) * kLinearBelow / re : fit(re);
}

double sphereDrag(double re) { return re > kSphereConstantAbove ? 0.44 : 24.0 / re * (1.0 + 0.15 * std::pow(re, 0.687)); }

double screen(double k) {
    if (k >= kFullScreen) return 1.0;
    const double spread = 1.0 + k / kFullScreen;
    return k / (spread * spread);
}

}  // namespace machair
