// How a fly sinks and how much water it pushes: models.md section 8. Physics on stated shapes; none of it has been
// checked against measured flies, and whoever shows it says so.
#pragma once

#include <string>
#include <vector>

#include "sizing/plan.h"
#include "water/fluid.h"

namespace machair {

// A fly as the water meets it: its weight, and the shapes that resist.
class WetFly {
  public:
    explicit WetFly(const Plan& plan, double celsius = kUsualCelsius);

    [[nodiscard]] Mass mass() const { return mass_; }           // wet
    [[nodiscard]] Force submergedWeight() const { return submerged_; }  // negative where it floats
    [[nodiscard]] Area silhouette() const;                      // from the side

    [[nodiscard]] Force dragFlat(Speed speed) const;   // sinking, lying on its side
    [[nodiscard]] Force dragAlong(Speed speed) const;  // drawn along its shank

    struct Share {
        std::string what;
        Force flat;
        Force along;
    };
    [[nodiscard]] std::vector<Share> shares(Speed speed) const;

  private:
    struct Hackle {
        std::string what;
        Length fibre;     // length
        Length diameter;
        double count;
        Angle angle;
        Length width;
    };
    [[nodiscard]] Force hackleDrag(const Hackle& h, Speed speed, bool sinking) const;
    void addMatter(Density density, Volume volume);

    Viscosity mu_;
    Mass mass_;
    Force submerged_;
    std::vector<Hackle> hackles_;
    Length bodyDiameter_;
    Length bodyLength_;
    Length wire_;
    Length gape_;
    Length wireLength_;
    Area wing_;  // flat
    double tailFibres_ = 0.0;
    Length tailLength_;
    Length tailFibre_;
    Length bead_;
};

struct SinkReport {
    Mass mass;
    Force submerged;
    Speed sinkRate;  // 0 where it floats
    Force presence;  // drag drawn at 0.3 m/s
    Area silhouette;
    bool floats = false;
    int iterations = 0;  // of the root find
    std::vector<std::string> drivers;  // the three largest contributions to drag, in words
};

inline constexpr Speed kPresenceSpeed = 0.3 * metrePerSecond;
inline constexpr double kSinkUncertainty = 0.25;  // either way; ratios between flies are what can be trusted

// Sink rate: the speed where drag on its side equals submerged weight, to 1e-9 m/s.
[[nodiscard]] SinkReport sinkReport(const Plan& plan, double celsius = kUsualCelsius);

}  // namespace machair
