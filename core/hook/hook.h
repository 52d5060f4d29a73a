// The hook in the vice: models.md section 1.
//
// Frame: profile view, eye to the left, x from the rear edge of the eye towards the bend, y up, the front of the shank
// on y = 0. Stations are arc length along the wire from the rear edge of the eye: on a straight shank s = x.
//
// A Hook that exists is valid: made only by makeHook, which resolves what was measured against the nominal scale.
#pragma once

#include <map>
#include <optional>
#include <string>

#include "faults/faults.h"
#include "units/id.h"
#include "units/names.h"
#include "units/quantity.h"

namespace machair {

enum class HookFamily { round, sproat, limerick, wideGape, curvedShank, longSalmon };
enum class EyeTurn { down, straight, up };

template <>
struct Names<HookFamily> {
    static constexpr std::array entries = {NameOf{HookFamily::round, "round"},
                                           NameOf{HookFamily::sproat, "sproat"},
                                           NameOf{HookFamily::limerick, "limerick"},
                                           NameOf{HookFamily::wideGape, "wide_gape"},
                                           NameOf{HookFamily::curvedShank, "curved_shank"},
                                           NameOf{HookFamily::longSalmon, "long_salmon"}};
};
template <>
struct Names<EyeTurn> {
    static constexpr std::array entries = {NameOf{EyeTurn::down, "down"}, NameOf{EyeTurn::straight, "straight"}, NameOf{EyeTurn::up, "up"}};
};

// Text of keys that this version doesn't know, kept and written back: key to its JSON.
using Carried = std::map<std::string, std::string>;

inline constexpr int kSmallestHookSize = 20;
inline constexpr int kLargestHookSize = 2;
inline constexpr Density kSteel = 7.85 * mgPerMm3;  // of the wire

struct HookMeasures {
    std::optional<Length> shank;
    std::optional<Length> gape;       // centreline to centreline
    std::optional<Length> clearGape;  // shank to point, between the wires
    std::optional<Length> wire;
    std::optional<Length> overall;
    std::optional<Length> point;  // x of the point
    Carried carried;
    bool operator==(const HookMeasures&) const = default;
};

enum class HookFinish { bronze, black, nickel, tinned, stainless };
template <>
struct Names<HookFinish> {
    static constexpr std::array entries = {NameOf{HookFinish::bronze, "bronze"}, NameOf{HookFinish::black, "black"},
                                           NameOf{HookFinish::nickel, "nickel"}, NameOf{HookFinish::tinned, "tinned"},
                                           NameOf{HookFinish::stainless, "stainless"}};
};

// A hook as it is written down.
struct HookSpec {
    HookSpec();
    HookSpec(const HookSpec&);
    HookSpec(HookSpec&&) noexcept;
    HookSpec& operator=(const HookSpec&);
    HookSpec& operator=(HookSpec&&) noexcept;
    ~HookSpec();

    HookId id;
    std::optional<std::string> name;
    int size = 10;
    HookFamily family = HookFamily::sproat;
    std::optional<int> longer;   // "long" in the file: shank of a size that much larger; negative is short
    std::optional<int> heavier;  // "heavy": wire of a size that much larger; negative is fine
    std::optional<bool> barb;
    std::optional<EyeTurn> eye;
    std::optional<HookFinish> finish;
    std::optional<HookMeasures> measured;
    std::optional<std::string> note;
    Carried carried;
    bool operator==(const HookSpec&) const;
};

// Bend and spear as ratios of the gape; the shank's turn over the rear `turnShare` of it.
struct FamilyShape {
    double gapeFactor;
    double bendRadius;
    double spear;
    Angle turn;
    double turnShare;
};
[[nodiscard]] FamilyShape shapeOf(HookFamily family);

// The nominal scale, for any size (long, short, heavy and fine may pass the ends).
[[nodiscard]] Length nominalShank(int size);
[[nodiscard]] Length nominalGape(int size);
[[nodiscard]] Length nominalWire(int size);

struct Point2 {
    Length x;
    Length y;
    bool operator==(const Point2&) const = default;
};

// A place on the wire: where it is, and its heading, turned down from the front of the shank.
struct WirePoint {
    Point2 position;
    Angle heading;
};

enum class Landmark { eye, point, barb, bend, rearmost };

template <>
struct Names<Landmark> {
    static constexpr std::array entries = {NameOf{Landmark::eye, "eye"}, NameOf{Landmark::point, "point"}, NameOf{Landmark::barb, "barb"},
                                           NameOf{Landmark::bend, "bend"}, NameOf{Landmark::rearmost, "rearmost"}};
};

struct Measured {
    Length value;
    bool measured = false;
};

class Hook {
  public:
    [[nodiscard]] const HookSpec& spec() const { return spec_; }
    [[nodiscard]] int size() const { return spec_.size; }
    [[nodiscard]] HookFamily family() const { return spec_.family; }
    [[nodiscard]] bool hasBarb() const { return spec_.barb.value_or(true); }
    [[nodiscard]] EyeTurn eyeTurn() const { return spec_.eye.value_or(EyeTurn::down); }

    [[nodiscard]] Length shank() const { return shank_.value; }
    [[nodiscard]] Length gape() const { return gape_.value; }
    [[nodiscard]] Length wire() const { return wire_.value; }
    [[nodiscard]] bool shankMeasured() const { return shank_.measured; }
    [[nodiscard]] bool gapeMeasured() const { return gape_.measured; }
    [[nodiscard]] bool wireMeasured() const { return wire_.measured; }
    [[nodiscard]] Length eyeWidth() const { return 3.6 * wire(); }
    [[nodiscard]] Length spear() const { return spear_; }
    [[nodiscard]] Length bendRadius() const { return bendRadius_; }
    [[nodiscard]] Length overall() const;
    [[nodiscard]] bool curved() const { return turn_.inRadians() > 0.0; }
    [[nodiscard]] Angle shankTurn() const { return turn_; }

    // x of a landmark as models.md section 1 gives it; the bend's is S, the shank's length.
    [[nodiscard]] Length landmarkX(Landmark landmark) const;
    // Shank station of a landmark: on a curved shank the one straight above the point or the barb.
    [[nodiscard]] Length landmarkStation(Landmark landmark) const;
    // Where a hackle's tip is aimed: the landmark in the profile (bend and rearmost at half the gape's depth).
    [[nodiscard]] Point2 landmarkTarget(Landmark landmark) const;

    [[nodiscard]] Length pointDepth() const { return depth_; }  // below the front of the shank
    [[nodiscard]] Length wireLength() const;
    [[nodiscard]] Mass mass() const;

    // The wire's centreline at a station, from the eye (a little ahead too) through the bend to the tip of the point.
    [[nodiscard]] WirePoint at(Length station) const;
    [[nodiscard]] Length bendArc() const { return bendArc_; }  // wire from the end of the shank to the spear
    [[nodiscard]] Length rearmostStation() const;
    [[nodiscard]] Length pointStation() const { return shank() + bendArc_ + spear_; }  // the tip, along the wire

    bool operator==(const Hook& other) const { return spec_ == other.spec_; }

    friend Result<Hook> makeHook(const HookSpec& spec, const Place& place);

  private:
    Hook() = default;
    void measure(const HookSpec& spec, const HookMeasures& measured);
    [[nodiscard]] Faults contradictions(const HookMeasures& measured, const Place& place) const;
    void shapeBend();
    [[nodiscard]] double bendIntegral(double phi) const;
    [[nodiscard]] Length arcTo(double phi) const;
    [[nodiscard]] double phiAt(Length arc) const;

    HookSpec spec_;
    Measured shank_;
    Measured gape_;
    Measured wire_;
    Length bendRadius_;
    Length spear_;
    Angle turn_;
    double turnShare_ = 0.0;
    // The bend is an ellipse of half-axes bendRadius_ and bendHeight_, joined to the shank at phi0_.
    Point2 shankEnd_;
    Length bendHeight_;
    Point2 bendCentre_;
    double phi0_ = 0.0;
    double bendStart_ = 0.0;  // of the integral of its length, at phi0_
    Length depth_;
    Length bendArc_;
};

// Resolves a written hook. Faults (all of them, placed under `place`): a size outside 2 to 20, a measure that is not
// over 0 and at most 1000 mm, measures that contradict each other (a bend or spear with no length left).
[[nodiscard]] Result<Hook> makeHook(const HookSpec& spec, const Place& place = {});

// "Sproat 10, 1 long, 2 heavy, barbless".
[[nodiscard]] std::string describeHook(const HookSpec& spec);

}  // namespace machair
