// Physical quantities as strong types: adding a length to a mass does not compile.
//
// Every quantity is kept in millimetres, milligrams and seconds, the tier's own scale, so that a length written as
// 11.7 mm in a file reads back as exactly 11.7 mm. In these units densities are g/cm³ (steel 7.85) and forces nN.
// Write `11.7_mm` or `11.7 * mm` to make one, and divide by a unit to get the number back: `tail / mm`.
#pragma once

#include <cmath>
#include <compare>
#include <numbers>

namespace machair {

inline constexpr double kPi = std::numbers::pi;

template <int LengthPower, int MassPower, int TimePower>
class Quantity {
  public:
    constexpr Quantity() = default;
    [[nodiscard]] static constexpr Quantity fromBase(double value) { return Quantity(value); }
    [[nodiscard]] constexpr double base() const { return value_; }

    constexpr auto operator<=>(const Quantity&) const = default;
    constexpr Quantity operator-() const { return Quantity(-value_); }
    constexpr Quantity& operator+=(Quantity other) {
        value_ += other.value_;
        return *this;
    }
    constexpr Quantity& operator-=(Quantity other) {
        value_ -= other.value_;
        return *this;
    }
    constexpr Quantity& operator*=(double factor) {
        value_ *= factor;
        return *this;
    }
    constexpr Quantity& operator/=(double factor) {
        value_ /= factor;
        return *this;
    }

    friend constexpr Quantity operator+(Quantity a, Quantity b) { return Quantity(a.value_ + b.value_); }
    friend constexpr Quantity operator-(Quantity a, Quantity b) { return Quantity(a.value_ - b.value_); }
    friend constexpr Quantity operator*(Quantity a, double factor) { return Quantity(a.value_ * factor); }
    friend constexpr Quantity operator*(double factor, Quantity a) { return Quantity(a.value_ * factor); }
    friend constexpr Quantity operator/(Quantity a, double divisor) { return Quantity(a.value_ / divisor); }

  private:
    explicit constexpr Quantity(double value) : value_(value) {}
    double value_ = 0.0;
};

template <int L1, int M1, int T1, int L2, int M2, int T2>
constexpr auto operator*(Quantity<L1, M1, T1> a, Quantity<L2, M2, T2> b) {
    if constexpr (L1 + L2 == 0 && M1 + M2 == 0 && T1 + T2 == 0)
        return a.base() * b.base();
    else
        return Quantity<L1 + L2, M1 + M2, T1 + T2>::fromBase(a.base() * b.base());
}

template <int L1, int M1, int T1, int L2, int M2, int T2>
constexpr auto operator/(Quantity<L1, M1, T1> a, Quantity<L2, M2, T2> b) {
    if constexpr (L1 == L2 && M1 == M2 && T1 == T2)
        return a.base() / b.base();
    else
        return Quantity<L1 - L2, M1 - M2, T1 - T2>::fromBase(a.base() / b.base());
}

template <int L, int M, int T>
constexpr auto operator/(double a, Quantity<L, M, T> b) {
    return Quantity<-L, -M, -T>::fromBase(a / b.base());
}

using Length = Quantity<1, 0, 0>;
using Area = Quantity<2, 0, 0>;
using Volume = Quantity<3, 0, 0>;
using PerLength = Quantity<-1, 0, 0>;
using Mass = Quantity<0, 1, 0>;
using Time = Quantity<0, 0, 1>;
using Speed = Quantity<1, 0, -1>;
using Acceleration = Quantity<1, 0, -2>;
using Density = Quantity<-3, 1, 0>;
using Force = Quantity<1, 1, -2>;
using Viscosity = Quantity<-1, 1, -1>;

inline constexpr Length mm = Length::fromBase(1.0);
inline constexpr Length metre = Length::fromBase(1000.0);
inline constexpr Length inch = Length::fromBase(25.4);
inline constexpr Area mm2 = mm * mm;
inline constexpr Volume mm3 = mm2 * mm;
inline constexpr PerLength perMm = 1.0 / mm;
inline constexpr Mass mg = Mass::fromBase(1.0);
inline constexpr Time second = Time::fromBase(1.0);
inline constexpr Speed metrePerSecond = metre / second;
inline constexpr Acceleration metrePerSecond2 = metrePerSecond / second;
inline constexpr Density mgPerMm3 = mg / mm3;
inline constexpr Force newton = 1e6 * mg * metrePerSecond2;
inline constexpr Force millinewton = newton / 1000.0;
inline constexpr Viscosity pascalSecond = newton * second / (metre * metre);
inline constexpr Acceleration kGravity = 9.81 * metrePerSecond2;

[[nodiscard]] inline Length sqrt(Area a) { return Length::fromBase(std::sqrt(a.base())); }
[[nodiscard]] inline Length hypot(Length a, Length b) { return Length::fromBase(std::hypot(a.base(), b.base())); }
template <int L, int M, int T>
[[nodiscard]] Quantity<L, M, T> abs(Quantity<L, M, T> a) {
    return Quantity<L, M, T>::fromBase(std::abs(a.base()));
}
[[nodiscard]] inline bool isFinite(Length a) { return std::isfinite(a.base()); }

// Radians inside; degrees only where people read or write them.
class Angle {
  public:
    constexpr Angle() = default;
    [[nodiscard]] static constexpr Angle radians(double value) { return Angle(value); }
    [[nodiscard]] static constexpr Angle degrees(double value) { return Angle(value * std::numbers::pi / 180.0); }
    [[nodiscard]] constexpr double inRadians() const { return radians_; }
    [[nodiscard]] constexpr double inDegrees() const { return radians_ * 180.0 / std::numbers::pi; }

    constexpr auto operator<=>(const Angle&) const = default;
    constexpr Angle operator-() const { return Angle(-radians_); }
    friend constexpr Angle operator+(Angle a, Angle b) { return Angle(a.radians_ + b.radians_); }
    friend constexpr Angle operator-(Angle a, Angle b) { return Angle(a.radians_ - b.radians_); }
    friend constexpr Angle operator*(Angle a, double factor) { return Angle(a.radians_ * factor); }
    friend constexpr Angle operator*(double factor, Angle a) { return Angle(a.radians_ * factor); }
    friend constexpr Angle operator/(Angle a, double divisor) { return Angle(a.radians_ / divisor); }

  private:
    explicit constexpr Angle(double value) : radians_(value) {}
    double radians_ = 0.0;
};

[[nodiscard]] inline double sin(Angle a) { return std::sin(a.inRadians()); }
[[nodiscard]] inline double cos(Angle a) { return std::cos(a.inRadians()); }
[[nodiscard]] inline double tan(Angle a) { return std::tan(a.inRadians()); }
[[nodiscard]] inline Angle atan2(Length y, Length x) { return Angle::radians(std::atan2(y.base(), x.base())); }

inline namespace literals {
constexpr Length operator""_mm(long double v) { return static_cast<double>(v) * mm; }
constexpr Length operator""_mm(unsigned long long v) { return static_cast<double>(v) * mm; }
constexpr Length operator""_m(long double v) { return static_cast<double>(v) * metre; }
constexpr Mass operator""_mg(long double v) { return static_cast<double>(v) * mg; }
constexpr Angle operator""_deg(long double v) { return Angle::degrees(static_cast<double>(v)); }
constexpr Angle operator""_deg(unsigned long long v) { return Angle::degrees(static_cast<double>(v)); }
}  // namespace literals

}  // namespace machair
