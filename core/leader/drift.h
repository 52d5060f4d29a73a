// How a team fishes: the leader led through count, retrieve, lift, hold and hang (models.md section 10, models-team.md
// section G). A floating line only.
#pragma once

#include <array>
#include <functional>
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "leader/chain.h"

namespace machair {

// What the rod does. Speeds are over the water's own frame; the boat drifts towards the flies.
struct Handling {
    Time count = 5.0 * second;
    Speed retrieve = 0.3 * metrePerSecond;
    Time retrieveFor = 12.0 * second;
    std::optional<Time> pull;  // pulls and pauses instead of an even draw
    std::optional<Time> pause;
    Speed drift;
    Speed lift;
    Length height;  // of the rod tip at the end of the lift
    Angle elevation = Angle::degrees(60.0);
    Time hold;   // then the rod holds the bob in the surface: it goes with the boat and goes on rising
    Speed draw;  // less this
    Time hang;
};

// How long a lift to its height takes with its ramp, and how high it comes in a time: each the other's inverse. No lift, no time.
[[nodiscard]] Time liftTime(const Handling& handling);
[[nodiscard]] Length liftedIn(const Handling& handling, Time time);

inline constexpr Time kLongestDrift = 600.0 * second;
// Faults where a number can't be fished: longer than 10 minutes in all, a lift with no height, angles that don't rise.
[[nodiscard]] Faults check(const Handling& handling);

// Where the rod tip is up to the end of the lift, and in the hang where nothing is held: exact integrals of a speed that
// changes in ramps of 0.2 s.
class TipPath {
  public:
    explicit TipPath(const Handling& handling);
    [[nodiscard]] Vec2 at(double seconds) const;
    [[nodiscard]] Time length() const { return end_ * second; }
    [[nodiscard]] std::optional<Time> liftStart() const;
    [[nodiscard]] Vec2 speedAt(double seconds) const;

  private:
    struct Phase {
        double start;
        double ramp;
        Vec2 before;  // speed at its start
        Vec2 during;
        Vec2 from;  // place at its start
        [[nodiscard]] Vec2 at(double seconds) const;
        [[nodiscard]] Vec2 speedAt(double seconds) const;
    };
    [[nodiscard]] const Phase& phaseAt(double seconds) const;
    void add(double length, Vec2 speed);
    std::vector<Phase> phases_;
    double end_ = 0.0;
    std::optional<double> lift_;
};

struct DriftSample {
    Time time;
    Length tip;                               // depths: down is positive
    ByPosition<std::optional<Length>> depth;  // nothing for no fly, or for one in the air after the lift
    std::vector<Point2> nodes;                // the whole leader, y up from the surface
};

struct DriftReport {
    std::vector<DriftSample> samples;     // every 0.05 s
    ByPosition<std::vector<Time>> bands;  // time in each 10 cm from the surface
    std::vector<int> parents;             // of each sample's nodes
    ByPosition<std::optional<std::size_t>> flyNode;
    std::optional<Time> bobBreaks;     // after the lift starts
    std::optional<Time> bobHolds;      // with its fibres touching the surface, in lift and hold
    std::optional<Time> bobWorks;      // within 2 cm and a quarter of the wave's height of it
    std::optional<Length> tipAtBreak;  // height of the line's end then
    std::optional<Time> heldFrom;      // since the start, when the rod began to hold the bob
    std::optional<Time> bobClear;
    std::vector<std::string> warnings;
    Chain::Count count;
    bool stopped = false;  // somebody asked it to; the samples end there
};

inline constexpr Length kContractLink = 50.0 * mm;
inline constexpr Time kContractStep = 0.005 * second;
inline constexpr Length kDraggingLink = 100.0 * mm;
inline constexpr Time kDraggingStep = 0.010 * second;
inline constexpr Time kSampleEvery = 0.05 * second;
inline constexpr Length kDepthBand = 100.0 * mm;

struct DriftOptions {
    Length link = kContractLink;
    Time step = kContractStep;
    LeaderStart start = LeaderStart::straight;
    WaveSurface surface = {};
    bool keepNodes = true;
    std::optional<Length> bottom = {};  // depth of the water: a fly that reaches it is said
    std::stop_token stop = {};
    std::function<void(double)> progress = {};  // the share done, 0 to 1
};
[[nodiscard]] DriftReport runDrift(const Rig& rig, const Handling& handling, const DriftOptions& options = {});

// A wave meets the leader in any phase: the same drift in the other two of three (models.md section 10), and what they
// do to the depths at the end of the retrieve.
struct WaveSpread {
    struct Depth {
        Length mean;
        Length spread;  // half of the range
    };
    ByPosition<std::optional<Depth>> depth;  // nothing where no phase has one
    std::vector<DriftReport> others;         // depths only, no nodes
    bool stopped = false;
};
[[nodiscard]] WaveSpread otherPhases(const Rig& rig, const Handling& handling, DriftOptions options, const DriftReport& run);

// The settled tow at one speed: where everything hangs when it has been drawn long enough. Depth of each fly, and the
// strand from the tip.
struct TowedFly {
    Position position;
    Length depth;
    Length behind;  // the tip
};
struct Tow {
    std::vector<TowedFly> flies;
    std::vector<Point2> strand;
};
[[nodiscard]] Tow settledTow(const Rig& rig, Speed speed);

}  // namespace machair
