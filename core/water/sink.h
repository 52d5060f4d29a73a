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

    [[nodiscard]] Mass mass() const { return mass_; }                   // wet
    [[nodiscard]] Force submergedWeight() const { return submerged_; }  // less all buoyancy; negative where it floats
    [[nodiscard]] Force film() const { return film_; }                  // what the film and the air that it holds carry, of a film fly
    [[nodiscard]] bool isFilmFly() const { return isFilmFly_; }
    [[nodiscard]] bool hangsJustUnder() const;
    [[nodiscard]] Area silhouette() const;  // from the side

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
        Length fibre;  // length
        Length diameter;
        double count;
        Angle angle;
        Length width;
    };
    // What all the bodies of a fly come to.
    struct Bodies {
        Volume soaked;
        Area side;
    };
    [[nodiscard]] Force hackleDrag(const Hackle& h, Speed speed, bool sinking) const;
    void addMatter(Density density, Volume volume);
    void addPart(const Plan& plan, const PartPlan& part, Bodies& bodies);
    void addHackle(PartKind kind, const HacklePlan& hackle, Length width);
    void addWing(const WingPlan& wing);
    void addTail(const TailPlan& tail);
    void holdInFilm(const Plan& plan);

    Viscosity mu_;
    Mass mass_;
    Force submerged_;
    Force film_;
    bool isFilmFly_ = false;
    std::vector<Hackle> hackles_;
    Length bodyDiameter_;
    Length bodyLength_;
    Length wire_;
    Length gape_;
    Length wireLength_;
    Area wing_;   // flat
    Area cloak_;  // the largest of several, which lie on each other
    struct Tail {
        double fibres;
        Length length;
        Length fibre;
    };
    std::vector<Tail> tails_;
    Length bead_;
};

struct SinkReport {
    Mass mass;
    Force submerged;
    Speed sinkRate;  // 0 where it floats
    Force presence;  // drag drawn at 0.3 m/s
    Area silhouette;
    bool floats = false;
    bool justUnder = false;            // it hangs just under the film
    std::optional<Force> film;         // of a film fly
    int iterations = 0;                // of the root find
    std::vector<std::string> drivers;  // the three largest contributions to drag, in words
};

inline constexpr Speed kPresenceSpeed = 0.3 * metrePerSecond;
inline constexpr double kSinkUncertainty = 0.25;  // either way; ratios between flies are what can be trusted

// Sink rate: the speed where drag on its side equals submerged weight, to 1e-9 m/s.
[[nodiscard]] SinkReport sinkReport(const Plan& plan, double celsius = kUsualCelsius);

}  // namespace machair
