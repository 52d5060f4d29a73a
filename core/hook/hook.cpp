#include "hook/hook.h"

#include <algorithm>
#include <boost/math/special_functions/ellint_2.hpp>
#include <boost/math/tools/roots.hpp>
#include <cmath>
#include <numbers>

#include "language/say.h"
#include "units/text.h"

namespace machair {

// Copied, moved and compared here once, not in every source that does so.
HookSpec::HookSpec() = default;
HookSpec::HookSpec(const HookSpec&) = default;
HookSpec::HookSpec(HookSpec&&) noexcept = default;
HookSpec& HookSpec::operator=(const HookSpec&) = default;
HookSpec& HookSpec::operator=(HookSpec&&) noexcept = default;
HookSpec::~HookSpec() = default;
bool HookSpec::operator==(const HookSpec&) const = default;

namespace {

constexpr Length kLongestMeasure = 1000.0 * mm;
constexpr int kMostSteps = 18;             // the whole scale, from 2 to 20
constexpr double kLeastBendHeight = 0.20;  // of the gape, models.md section 1

double scaleStep(double factor, int size) { return std::pow(factor, (size - 10) / 2.0); }

// The bend's half-height h on a curved shank: -y_e + h(1 + sin phi0) = G with tan phi0 = h/(r_b tan theta).
Length curvedBendHeight(Length gape, Length radius, Angle turn, Length shankEndY) {
    const auto depthAt = [&](double h) {
        const double phi0 = std::atan2(h, radius.base() * tan(turn));
        return -shankEndY.base() + h * (1.0 + std::sin(phi0)) - gape.base();
    };
    const double least = kLeastBendHeight * gape.base();
    if (depthAt(least) >= 0.0) return Length::fromBase(least);
    std::uintmax_t iterations = 100;
    const auto [low, high] =
        boost::math::tools::toms748_solve(depthAt, least, gape.base(), boost::math::tools::eps_tolerance<double>(48), iterations);
    return Length::fromBase(0.5 * (low + high));
}

struct Check {
    const char* key;
    const std::optional<Length>& value;
};

void checkMeasures(const HookMeasures& m, const Place& place, Faults& faults) {
    for (const Check& check : {Check{"shank_mm", m.shank}, Check{"gape_mm", m.gape}, Check{"clear_gape_mm", m.clearGape},
                               Check{"wire_mm", m.wire}, Check{"overall_mm", m.overall}, Check{"point_mm", m.point}}) {
        if (!check.value) continue;
        if (isFinite(*check.value) && *check.value > 0.0 * mm && *check.value <= kLongestMeasure) continue;
        faults.push_back(
            {place.key(check.key), say("expected a length over 0 and at most 1000 mm, got {}", formatExact(*check.value / mm)), ""});
    }
}

std::string mmText(Length l) { return formatShort(l / mm, 2) + " mm"; }

}  // namespace

FamilyShape shapeOf(HookFamily family) {
    switch (family) {
        case HookFamily::round: return {1.00, 0.50, 0.75, 0_deg, 0.0};
        case HookFamily::sproat: return {1.00, 0.55, 0.80, 0_deg, 0.0};
        case HookFamily::limerick: return {1.00, 0.62, 0.90, 0_deg, 0.0};
        case HookFamily::wideGape: return {1.18, 0.50, 0.70, 0_deg, 0.0};
        case HookFamily::curvedShank: return {1.05, 0.45, 0.70, 50_deg, 0.60};
        case HookFamily::longSalmon: return {0.95, 0.70, 0.95, 12_deg, 0.50};
    }
    throw BrokenContract("unknown hook family");
}

Length nominalShank(int size) { return 11.7 * scaleStep(0.855, size) * mm; }
Length nominalGape(int size) { return 5.5 * scaleStep(0.855, size) * mm; }
Length nominalWire(int size) { return 0.60 * scaleStep(0.900, size) * mm; }

Result<Hook> makeHook(const HookSpec& spec, const Place& place) {
    Faults faults;
    if (spec.size < kLargestHookSize || spec.size > kSmallestHookSize)
        faults.push_back({place.key("size"), say("expected a hook size from 2 to 20, got {}", std::to_string(spec.size)), ""});
    for (const auto& [key, steps] : {std::pair{"long", spec.longer}, std::pair{"heavy", spec.heavier}})
        if (std::abs(steps.value_or(0)) > kMostSteps)
            faults.push_back({place.key(key), say("expected from -18 to 18 sizes, got {}", std::to_string(*steps)), ""});
    const HookMeasures measured = spec.measured.value_or(HookMeasures{});
    const Place measuredPlace = place.key("measured");
    checkMeasures(measured, measuredPlace, faults);
    if (!faults.empty()) return tl::unexpected(faults);

    Hook hook;
    hook.measure(spec, measured);
    faults = hook.contradictions(measured, measuredPlace);
    if (!faults.empty()) return tl::unexpected(faults);
    hook.shapeBend();
    return hook;
}

// Each measure where the calliper gave one, else the nominal one of size and family.
void Hook::measure(const HookSpec& spec, const HookMeasures& measured) {
    const FamilyShape shape = shapeOf(spec.family);
    spec_ = spec;
    turn_ = shape.turn;
    turnShare_ = shape.turnShare;
    wire_ = {measured.wire.value_or(nominalWire(spec.size - spec.heavier.value_or(0))), measured.wire.has_value()};
    const Length w = wire_.value;
    if (measured.gape)
        gape_ = {*measured.gape, true};
    else if (measured.clearGape)
        gape_ = {*measured.clearGape + w / 2.0, true};
    else
        gape_ = {shape.gapeFactor * nominalGape(spec.size), false};
    bendRadius_ = shape.bendRadius * gape_.value;
    spear_ = shape.spear * gape_.value;
    const bool straight = shape.turn.inRadians() == 0.0;

    if (measured.shank)
        shank_ = {*measured.shank, true};
    else if (measured.overall && straight)
        shank_ = {*measured.overall - eyeWidth() - bendRadius_ - w / 2.0, true};
    else
        shank_ = {nominalShank(spec.size - spec.longer.value_or(0)), false};
    if (straight && measured.shank && measured.overall) bendRadius_ = *measured.overall - eyeWidth() - shank_.value - w / 2.0;
    if (straight && measured.point) spear_ = shank_.value - *measured.point;
}

Faults Hook::contradictions(const HookMeasures& measured, const Place& place) const {
    Faults faults;
    if (shank() <= 0.0 * mm)
        faults.push_back({place.key("overall_mm"), say("expected an overall length that leaves a shank, got {}", mmText(*measured.overall)),
                          say("eye, bend and wire alone take {}", mmText(*measured.overall - shank()))});
    if (bendRadius_ <= 0.0 * mm)
        faults.push_back({place.key("overall_mm"),
                          say("expected an overall length over eye and shank ({}), got {}", mmText(*measured.overall - bendRadius_),
                              mmText(*measured.overall)),
                          say("measure the shank again, from the eye to the start of the bend")});
    if (spear_ <= 0.0 * mm)
        faults.push_back({place.key("point_mm"),
                          say("expected a point ahead of the bend's start at {}, got {}", mmText(shank()), mmText(*measured.point)), ""});
    if (wire() >= gape() / 2.0)
        faults.push_back(
            {place.key("wire_mm"), say("expected a wire thinner than half the gape ({}), got {}", mmText(gape()), mmText(wire())), ""});
    return faults;
}

void Hook::shapeBend() {
    const Length G = gape();
    if (!curved()) {
        shankEnd_ = {shank(), 0.0 * mm};
        bendHeight_ = G / 2.0;
        phi0_ = kPi / 2.0;
    } else {
        const Length arc = turnShare_ * shank();
        const Length radius = arc / turn_.inRadians();
        shankEnd_ = {shank() - arc + radius * sin(turn_), -radius * (1.0 - cos(turn_))};
        bendHeight_ = curvedBendHeight(G, bendRadius_, turn_, shankEnd_.y);
        phi0_ = std::atan2(bendHeight_.base(), bendRadius_.base() * tan(turn_));
    }
    bendCentre_ = {shankEnd_.x - bendRadius_ * std::cos(phi0_), shankEnd_.y - bendHeight_ * std::sin(phi0_)};
    depth_ = bendHeight_ - bendCentre_.y;
    bendStart_ = bendIntegral(phi0_);
    bendArc_ = arcTo(-kPi / 2.0);
}

// Length of the bend's ellipse from its top down to phi: an incomplete elliptic integral of the second kind
// (Abramowitz & Stegun 17.2.9), taken from whichever end of the longer axis keeps its modulus real.
double Hook::bendIntegral(double phi) const {
    const double a = bendRadius_.base();
    const double b = bendHeight_.base();
    const double modulus = std::sqrt(1.0 - std::pow(std::min(a, b) / std::max(a, b), 2));
    return std::max(a, b) * boost::math::ellint_2(modulus, b >= a ? phi : phi - kPi / 2.0);
}

Length Hook::arcTo(double phi) const { return phi >= phi0_ ? 0.0 * mm : Length::fromBase(bendStart_ - bendIntegral(phi)); }

// Newton's method on an arc whose slope is known and never nought: the wire's length grows as phi falls. It ends after the step that
// is small enough for the next one, its square, not to matter.
double Hook::phiAt(Length arc) const {
    const double a = bendRadius_.base();
    const double b = bendHeight_.base();
    constexpr double kSquareIsNothing = 1e-7;  // rad
    constexpr int kMostCorrections = 20;       // three or four do for every bend that a hook may have
    double phi = phi0_ - (phi0_ + kPi / 2.0) * (arc / bendArc_);
    for (int step = 0; step < kMostCorrections; ++step) {
        const double correction = (arcTo(phi) - arc).base() / std::hypot(a * std::sin(phi), b * std::cos(phi));
        phi = std::clamp(phi + correction, -kPi / 2.0, phi0_);
        if (std::abs(correction) < kSquareIsNothing) break;
    }
    return phi;
}

WirePoint Hook::at(Length s) const {
    const Length straightEnd = (1.0 - turnShare_) * shank();
    if (s <= straightEnd || (!curved() && s <= shank())) return {{s, 0.0 * mm}, 0_deg};
    if (s <= shank()) {
        const Length radius = turnShare_ * shank() / turn_.inRadians();
        const Angle heading = Angle::radians((s - straightEnd) / radius);
        return {{straightEnd + radius * sin(heading), -radius * (1.0 - cos(heading))}, heading};
    }
    const Length arc = s - shank();
    if (arc >= bendArc_) return {{bendCentre_.x - (arc - bendArc_), -depth_}, 180_deg};
    const double phi = phiAt(arc);
    const Point2 p{bendCentre_.x + bendRadius_ * std::cos(phi), bendCentre_.y + bendHeight_ * std::sin(phi)};
    // Travelling with falling phi the direction is (a sin phi, -b cos phi).
    return {p, Angle::radians(std::atan2(bendHeight_.base() * std::cos(phi), bendRadius_.base() * std::sin(phi)))};
}

Length Hook::landmarkX(Landmark landmark) const {
    const Length spearStart = curved() ? bendCentre_.x : shank();
    switch (landmark) {
        case Landmark::eye: return 0.0 * mm;
        case Landmark::point: return spearStart - spear_;
        case Landmark::barb: return spearStart - 0.55 * spear_;
        case Landmark::bend: return shank();
        case Landmark::rearmost: return bendCentre_.x + bendRadius_;
    }
    throw BrokenContract("unknown landmark");
}

Length Hook::landmarkStation(Landmark landmark) const {
    const Length x = landmarkX(landmark);
    if (landmark == Landmark::bend) return shank();
    if (landmark == Landmark::rearmost) return rearmostStation();
    if (!curved()) return x;
    const Length straightEnd = (1.0 - turnShare_) * shank();
    if (x <= straightEnd) return x;
    if (x >= shankEnd_.x) return shank();
    const Length radius = turnShare_ * shank() / turn_.inRadians();
    return straightEnd + radius * std::asin((x - straightEnd) / radius);
}

Point2 Hook::landmarkTarget(Landmark landmark) const {
    switch (landmark) {
        case Landmark::eye: return {0.0 * mm, 0.0 * mm};
        case Landmark::point:
        case Landmark::barb: return {landmarkX(landmark), -depth_};
        // "Within the bend": halfway down from the shank's end. On a straight shank this is (S, -G/2).
        case Landmark::bend: return {shankEnd_.x, (shankEnd_.y - depth_) / 2.0};
        case Landmark::rearmost: return {landmarkX(landmark), curved() ? bendCentre_.y : -depth_ / 2.0};
    }
    throw BrokenContract("unknown landmark");
}

Length Hook::rearmostStation() const { return shank() + arcTo(0.0); }

Length Hook::overall() const {
    const Length rear = curved() ? landmarkX(Landmark::rearmost) : shank() + bendRadius_;
    return eyeWidth() + rear + wire() / 2.0;
}

Length Hook::wireLength() const { return shank() + bendArc_ + spear_ + kPi * 2.6 * wire(); }

Mass Hook::mass() const { return kSteel * (kPi / 4.0 * wire() * wire()) * wireLength(); }

std::string describeHook(const HookSpec& spec) {
    std::string family;
    switch (spec.family) {
        case HookFamily::round: family = say("Round bend"); break;
        case HookFamily::sproat: family = say("Sproat"); break;
        case HookFamily::limerick: family = say("Limerick"); break;
        case HookFamily::wideGape: family = say("Wide gape"); break;
        case HookFamily::curvedShank: family = say("Curved shank"); break;
        case HookFamily::longSalmon: family = say("Long salmon-style"); break;
    }
    std::string text = family + " " + std::to_string(spec.size);
    if (const int longer = spec.longer.value_or(0); longer != 0)
        text += ", " + std::to_string(std::abs(longer)) + (longer > 0 ? say(" long") : say(" short"));
    if (const int heavier = spec.heavier.value_or(0); heavier != 0)
        text += ", " + std::to_string(std::abs(heavier)) + (heavier > 0 ? say(" heavy") : say(" fine"));
    if (!spec.barb.value_or(true)) text += say(", barbless");
    return text;
}

}  // namespace machair
