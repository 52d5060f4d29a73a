// Lengths and stations as a tier writes them: against the hook, against another part, or in millimetres.
#pragma once

#include <cstddef>
#include <memory>
#include <optional>
#include <string>
#include <variant>

#include "hook/hook.h"
#include "units/names.h"
#include "units/quantity.h"

namespace machair {

enum class PartKind { tag, tail, butt, rib, underbody, body, thorax, palmer, collar, throat, legs, wing, cheek, bead, thread, head };
template <>
struct Names<PartKind> {
    static constexpr std::array entries = {
        NameOf{PartKind::tag, "tag"},       NameOf{PartKind::tail, "tail"},           NameOf{PartKind::butt, "butt"},
        NameOf{PartKind::rib, "rib"},       NameOf{PartKind::underbody, "underbody"}, NameOf{PartKind::body, "body"},
        NameOf{PartKind::thorax, "thorax"}, NameOf{PartKind::palmer, "palmer"},       NameOf{PartKind::collar, "collar"},
        NameOf{PartKind::throat, "throat"}, NameOf{PartKind::legs, "legs"},           NameOf{PartKind::wing, "wing"},
        NameOf{PartKind::cheek, "cheek"},   NameOf{PartKind::bead, "bead"},           NameOf{PartKind::thread, "thread"},
        NameOf{PartKind::head, "head"}};
};

// Another part of the same dressing: the first of its kind, its place in tying order, or its id.
struct PartRef {
    std::variant<PartKind, std::size_t, std::string> which;
    bool operator==(const PartRef&) const = default;
};

enum class Yardstick { shank, gape, body, overall, eyeWidth, spear, bead };
template <>
struct Names<Yardstick> {
    static constexpr std::array entries = {NameOf{Yardstick::shank, "shank"},        NameOf{Yardstick::gape, "gape"},
                                           NameOf{Yardstick::body, "body"},          NameOf{Yardstick::overall, "overall"},
                                           NameOf{Yardstick::eyeWidth, "eye_width"}, NameOf{Yardstick::spear, "spear"},
                                           NameOf{Yardstick::bead, "bead"}};
};

// Places on the fly itself.
enum class FlyLandmark { bodyEnd, tailTip };
template <>
struct Names<FlyLandmark> {
    static constexpr std::array entries = {NameOf{FlyLandmark::bodyEnd, "body_end"}, NameOf{FlyLandmark::tailTip, "tail_tip"}};
};
using AnyLandmark = std::variant<Landmark, FlyLandmark>;

// A value of a type that is still incomplete where it is held, compared and copied by content.
template <class T>
class Held {
  public:
    Held(T value) : value_(std::make_unique<T>(std::move(value))) {}  // NOLINT: converts like the value it holds
    Held(const Held& other) : value_(std::make_unique<T>(*other.value_)) {}
    Held(Held&&) noexcept = default;
    Held& operator=(const Held& other) {
        value_ = std::make_unique<T>(*other.value_);
        return *this;
    }
    Held& operator=(Held&&) noexcept = default;
    ~Held() = default;
    const T& operator*() const { return *value_; }
    T& operator*() { return *value_; }
    const T* operator->() const { return value_.get(); }
    friend bool operator==(const Held& a, const Held& b) { return *a.value_ == *b.value_; }

  private:
    std::unique_ptr<T> value_;
};

struct LengthSpec;

// {"ratio": k, "of": X}
struct Ratio {
    double ratio = 1.0;
    std::variant<Yardstick, PartRef> of = Yardstick::shank;
    bool operator==(const Ratio&) const = default;
};

// {"to": LANDMARK, "past": LENGTH?, "short": LENGTH?}, {"to": "tail", "fraction": q}
struct Reach {
    std::variant<AnyLandmark, PartRef> to = AnyLandmark(Landmark::point);
    std::optional<double> fraction;
    std::optional<Held<LengthSpec>> past;
    std::optional<Held<LengthSpec>> shortBy;
    bool operator==(const Reach&) const = default;
};

// {"bars": n}: to the far edge of the n-th dark bar of a tippet.
struct Bars {
    int count = 1;
    bool operator==(const Bars&) const = default;
};

struct LengthSpec {
    using Value = std::variant<Length, Ratio, Reach, Bars>;
    LengthSpec();
    LengthSpec(Value v, Carried c);
    LengthSpec(const LengthSpec&);
    LengthSpec(LengthSpec&&) noexcept;
    LengthSpec& operator=(const LengthSpec&);
    LengthSpec& operator=(LengthSpec&&) noexcept;
    ~LengthSpec();

    Value value;
    Carried carried;
    bool operator==(const LengthSpec&) const;
};

[[nodiscard]] inline LengthSpec inMm(Length length) { return {length, {}}; }
[[nodiscard]] inline LengthSpec ratioOf(double k, Yardstick of) { return {Ratio{k, of}, {}}; }
[[nodiscard]] inline LengthSpec reachTo(Landmark landmark) { return {Reach{AnyLandmark(landmark), {}, {}, {}}, {}}; }

// {"at": LANDMARK, "ahead": LENGTH?, "behind": LENGTH?}
struct StationSpec {
    StationSpec();
    StationSpec(AnyLandmark landmark, std::optional<LengthSpec> aheadOf, std::optional<LengthSpec> behindOf, Carried c);
    StationSpec(const StationSpec&);
    StationSpec(StationSpec&&) noexcept;
    StationSpec& operator=(const StationSpec&);
    StationSpec& operator=(StationSpec&&) noexcept;
    ~StationSpec();

    AnyLandmark at = Landmark::eye;
    std::optional<LengthSpec> ahead;
    std::optional<LengthSpec> behind;
    Carried carried;
    bool operator==(const StationSpec&) const;
};

}  // namespace machair
