// The fly as three-dimensional curves and surfaces, from a plan (drawing.md). It says what is there and where; light,
// line widths on paper and levels of detail are the painter's (drawing/).
//
// Everything random comes from the pattern's seed: the same plan gives the same scene, and a part's own generator
// leaves the other parts as they were.
#pragma once

#include <algorithm>
#include <array>
#include <cstdint>
#include <optional>
#include <string>
#include <vector>

#include "colour/colour.h"
#include "scene/vec3.h"
#include "sizing/plan.h"
#include "units/random.h"

namespace machair {

// The shank's axis with its frame, tabulated: the tangent towards the rear, the normal up.
class Axis {
  public:
    Axis() = default;
    explicit Axis(const Hook& hook);
    struct Frame {
        Vec3 at;
        Vec3 rear;
        Vec3 up;
    };
    [[nodiscard]] Frame frame(double station) const;
    // A point on a tube of `radius` round the axis; angle 0 on top, a quarter turn towards the viewer.
    [[nodiscard]] Vec3 on(double station, double radius, double angle) const;
    // The same axis with every point and direction sent through `rotation`; "up" is again up in the picture.
    [[nodiscard]] Axis rotated(Vec3 (*rotation)(Vec3)) const;
    bool operator==(const Axis&) const = default;

  private:
    static constexpr double kStep = 0.1;  // mm
    double start_ = 0.0;
    std::vector<Vec3> points_;
    std::vector<Vec3> tangents_;
};

using Cubic = std::array<Vec3, 4>;
[[nodiscard]] Vec3 pointOn(const Cubic& curve, double t);

enum class FibreKind { soft, medium, stiff, tail, tippet, hair };

// One fibre of a hackle, tail or bunch.
struct Fibre {
    Cubic curve;
    double width = 0.08;     // at the root, mm
    double taper = 0.9;      // share of it lost by the tip
    double length = 1.0;     // along it, mm
    double depth = 0.0;      // z at 55 % of it, decides far and near
    double fromTop = 0.0;    // angle of its root from the top, rad
    double tone = 0.0;       // its own lightness
    std::uint64_t seed = 0;  // for its barbules and marks
    int index = 0;
    bool operator==(const Fibre&) const = default;
};

struct FibreLook {
    Lab root;
    Lab middle;
    Lab tip;
    Lab mark;
    FibreKind kind = FibreKind::soft;
    double barbule = 0.0;        // length of its barbules, mm; 0 none
    double barbulesApart = 1.0;  // so many times their usual spacing: barbs of a sheet hide one another's
    bool marked = false;         // partridge and grouse
    double alphaRoot = 0.95;
    double alphaTip = 0.95;
    double barSpacing = 0.0;  // tippet
    bool operator==(const FibreLook&) const = default;
};

struct HackleScene {
    std::size_t part = 0;
    bool palmer = false;
    bool overWing = false;  // wound after the wing
    FibreLook look;
    std::vector<Fibre> fibres;
    // The stem: touching and open turns as (station, radius, angle) steps on the axis.
    struct StemStep {
        double station, radius, angle;
        bool operator==(const StemStep&) const = default;
    };
    std::vector<StemStep> stem;
    double stemWidth = 0.2;
    bool operator==(const HackleScene&) const = default;
};

struct TailScene {
    std::size_t part = 0;
    FibreLook look;
    std::vector<Fibre> fibres;
    bool operator==(const TailScene&) const = default;
};

enum class Surface { fur, thread, floss, tinsel, herl, fibres, quill, wire, rope, chenille, tube };

struct BodyScene {
    std::size_t part = 0;
    Surface surface = Surface::fur;
    double front = 0.0;
    double end = 0.0;
    std::vector<double> radii;  // evenly from front to end
    Lab colour;
    double pitch = 0.2;  // of a laid turn, along the shank
    double shag = 1.0;   // of fur
    int hand = 1;
    std::uint64_t seed = 0;
    std::vector<double> dips;  // stations where a rib sits in it
    bool operator==(const BodyScene&) const = default;
    [[nodiscard]] double radius(double station) const;
};

struct RibScene {
    std::size_t part = 0;
    bool round = true;
    bool oval = false;
    double width = 0.3;  // of a strip, or the diameter
    double thickness = 0.3;
    bool onFur = false;
    Lab colour;
    bool metal = true;
    int hand = 1;
    std::uint64_t seed = 0;
    struct Turn {
        double station;  // at the middle of the near half
        double pitch;    // local
        double radius;   // of the body there
        bool operator==(const Turn&) const = default;
    };
    std::vector<Turn> turns;
    bool operator==(const RibScene&) const = default;
};

// y(X) of models.md section 6: a wing leaves the bed at a slope and bends back down along the body, to be level from
// `levelAt` on; mm from its tie-in.
[[nodiscard]] inline double wingRise(double leaves, double levelAt, double x) {
    const double at = std::min(x, levelAt);
    return leaves * (at - at * at / (2.0 * levelAt));
}

// How a wing (or a slip tied as a tail) is made up.
enum class WingBuild { rolled, slips, bunch };

struct WingScene {
    std::size_t part = 0;
    WingBuild build = WingBuild::rolled;
    bool pair = false;  // slips: another one behind the shank
    TailScene bunch;
    Vec3 root;
    Vec3 along;  // unit
    Vec3 up;     // unit
    double length = 10.0;
    double depth = 2.0;
    int sheets = 3;
    bool tipsUp = false;   // slips whose curve is turned up
    double parted = 2.2;   // degrees that a pair's far slip stands off the near one
    double roof = 0.0;     // its lower edge stands out sideways from its fold, a share of its depth; 0 seen from a side
    double leaves = 0.0;   // slope at which its lower edge leaves the bed
    double levelAt = 1.0;  // mm from its tie-in: level again, along the body
    Marking marking = Marking::mottled;
    Lab base;
    Lab dark;
    Lab pale;
    std::uint64_t seed = 0;
    bool operator==(const WingScene&) const = default;

    // The folded slip as a leaf: its depth and midline at t, 0 at the tie-in to 1 at the tips, mm (drawing.md section 11).
    [[nodiscard]] double depthAt(double t) const;
    [[nodiscard]] double midlineAt(double t) const;
    // A place on it, v from the lower edge (0) to the fold (1), mm up from the root.
    [[nodiscard]] double riseAt(double t, double v) const {
        return midlineAt(t) + (v - 0.5) * depthAt(t) + 0.5 * kPinched * depth + liftAt(t * length);
    }
    [[nodiscard]] double liftAt(double x) const { return wingRise(leaves, levelAt, x); }
    // Nearer to the viewer than all else: an upright wing that is looked down on.
    [[nodiscard]] bool facesViewer() const { return along.z > 0.7; }
    // How far a place stands out sideways.
    [[nodiscard]] Vec3 asideAt(double t, double v) const { return ((1.0 - v) * depthAt(t) * roof) * cross(along, up); }
    // That place in the scene, on a sheet that reaches `share` of the length and lies `lift` (mm) over where it would.
    [[nodiscard]] Vec3 placeAt(double t, double v, double share = 1.0, double lift = 0.0) const {
        return root + (t * length * share) * along + (riseAt(t, v) + lift) * up + asideAt(t, v);
    }
    static constexpr double kPinched = 0.13;  // of its depth, at the tie-in
};

struct HeadScene {
    double front = 0.0;
    double end = 0.0;
    double bedRadius = 0.4;
    double wireRadius = 0.3;
    double radius = 0.6;
    double pitch = 0.15;
    bool varnished = true;
    Lab colour;
    std::uint64_t seed = 0;
    [[nodiscard]] double radiusAt(double station) const;
    bool operator==(const HeadScene&) const = default;
};

struct BedScene {  // thread between head and body
    double front = 0.0;
    double end = 0.0;
    std::vector<double> radii;
    double pitch = 0.15;
    Lab colour;
    std::uint64_t seed = 0;
    [[nodiscard]] double radius(double station) const;
    bool operator==(const BedScene&) const = default;
};

struct BeadScene {
    std::size_t part = 0;
    double station = 0.0;
    double radius = 1.0;
    Lab colour;
    bool glass = false;
    bool operator==(const BeadScene&) const = default;
};

// A small enamelled feather at the side of the wing's root: a leaf with two drops on it.
struct CheekScene {
    std::size_t part = 0;
    Vec3 root;
    Vec3 along;
    Vec3 up;
    double length = 3.0;
    double width = 1.2;
    Lab colour;
    Lab spot;
    std::uint64_t seed = 0;
    bool operator==(const CheekScene&) const = default;
};

struct HookScene {
    double wire = 0.6;
    double spear = 4.0;
    bool barb = true;
    double barbX = 0.0;
    double depth = 5.0;
    double eyeTurn = 0.0;  // rad, down is positive
    // The ring of the eye: from the wire outwards, and across. From a side it is looked at a little from above, so that its hole shows.
    Vec3 eyeAxis{-1.0, 0.0, 0.0};
    Vec3 eyeAcross{0.0, 0.0, 1.0};
    // The centreline from the eye to the tip of the point, closer where it bends.
    struct Step {
        Vec3 at;
        Vec3 along;
        double toTip;  // wire left to the tip, mm
        bool operator==(const Step&) const = default;
    };
    std::vector<Step> line;
    bool operator==(const HookScene&) const = default;
};

struct Scene {
    Axis axis;
    HookScene hook;
    std::vector<TailScene> tails;
    std::vector<BodyScene> bodies;
    std::vector<RibScene> ribs;
    std::vector<HackleScene> hackles;  // palmers and collars
    std::vector<WingScene> wings;
    std::vector<CheekScene> cheeks;
    std::vector<BeadScene> beads;
    BedScene bed;
    HeadScene head;
    bool endOn = false;  // looked at along the shank: tubes are rounds
    double left = 0.0;   // extent in the picture, mm
    double right = 0.0;
    double top = 0.0;
    double bottom = 0.0;
};

[[nodiscard]] Scene makeScene(const Plan& plan);

}  // namespace machair
