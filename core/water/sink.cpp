#include "water/sink.h"

#include <algorithm>
#include <boost/math/quadrature/gauss_kronrod.hpp>
#include <boost/math/tools/roots.hpp>
#include <cmath>
#include <numbers>

#include "language/say.h"
#include "units/text.h"
#include "units/visit.h"

namespace machair {

namespace {

constexpr Density kFibre = 1.30 * mgPerMm3;
constexpr Density kSoakedBody = 1.03 * mgPerMm3;
constexpr double kBeadHole = 0.40;  // of the diameter, of its mass (models.md 8); what passes through it is reckoned with 0.36 (7)
constexpr Length kLeastCollarWidth = 1.0 * mm;
constexpr double kWingFlat = 1.1;
constexpr double kWingShare = 0.5;   // of length times depth
constexpr double kWingAlong = 0.15;  // of its flat drag
constexpr double kBodyAlong = 0.8;
constexpr Angle kUpright = 85_deg;

Volume rod(Length length, Length diameter) { return length * (kPi / 4.0 * diameter * diameter); }

Force dynamic(Speed u, Area area, double coefficient) { return 0.5 * coefficient * kWater * (u * u) * area; }

Metal metalOr(const Material& material, Metal usual) {
    if (const auto* wire = std::get_if<WireTraits>(&material.traits)) return wire->metal.value_or(usual);
    if (const auto* bead = std::get_if<BeadTraits>(&material.traits)) return bead->metal.value_or(usual);
    return usual;
}

}  // namespace

void WetFly::addMatter(Density density, Volume volume) {
    mass_ += density * volume;
    submerged_ += (density - kWater) * volume * kGravity;
}

WetFly::WetFly(const Plan& plan, double celsius) : mu_(viscosity(celsius)) {
    const Hook& hook = plan.hook;
    wire_ = hook.wire();
    gape_ = hook.gape();
    wireLength_ = hook.wireLength();
    addMatter(kSteel, rod(wireLength_, wire_));

    Bodies bodies;
    for (const PartPlan& part : plan.parts)
        addPart(plan, part, bodies);
    addMatter(kSoakedBody, bodies.soaked);
    bodyDiameter_ = bodyLength_ > 0.0 * mm ? bodies.side / bodyLength_ : 0.0 * mm;
    wing_ += cloak_;
    holdInFilm(plan);
}

void WetFly::addPart(const Plan& plan, const PartPlan& part, Bodies& bodies) {
    const auto addWire = [&](Length length, Length thick) {
        if (part.made.kind == MaterialKind::wire) addMatter(metalDensity(metalOr(part.made, Metal::copper)), rod(length, thick));
    };
    std::visit(Overloaded{
                   [&](const BodyPlan& body) {
                       const auto side = [&](double s) { return plan.bodyDiameter(body, s * mm) / mm; };
                       const auto core = [&](double s) { return kPi / 4.0 * std::max(0.0, side(s) * side(s) - wire_ * wire_ / mm2); };
                       using Rule = boost::math::quadrature::gauss_kronrod<double, 15>;
                       bodies.soaked += Rule::integrate(core, body.front / mm, body.end / mm, 6, 1e-9) * mm3;
                       bodies.side += Rule::integrate(side, body.front / mm, body.end / mm, 6, 1e-9) * mm2;
                       bodyLength_ += body.end - body.front;
                       if (body.method == BodyMethod::wire && body.length) addWire(*body.length, windingThickness(part.made));
                   },
                   [&](const PalmerPlan& palmer) { addHackle(part.kind, palmer.hackle, palmer.hackle.width); },
                   [&](const HacklePlan& h) { addHackle(part.kind, h, std::max(h.width, kLeastCollarWidth)); },
                   [&](const TailPlan& tail) { addTail(tail); },
                   [&](const WingPlan& wing) { addWing(wing); },
                   [&](const RibPlan& rib) { addWire(rib.wound, rib.thickness); },
                   [&](const UnderbodyPlan& under) {
                       if (under.length) addWire(*under.length, windingThickness(part.made));
                   },
                   [&](const BeadPlan& bead) {
                       const auto* traits = std::get_if<BeadTraits>(&part.made.traits);
                       const Length hole = traits && traits->hole ? *traits->hole : kBeadHole * bead.diameter;
                       const Volume ball = kPi / 6.0 * (bead.diameter * bead.diameter * bead.diameter) - rod(bead.diameter, hole);
                       addMatter(metalDensity(metalOr(part.made, Metal::brass)), ball);
                       bead_ = std::max(bead_, bead.diameter);
                   },
                   [](const OneOf<Impossible, TagPlan, PiecePlan, ThreadPlan, HeadPlan> auto&) {},
               },
               part.detail);
}

void WetFly::addHackle(PartKind kind, const HacklePlan& hackle, Length width) {
    const Angle angle = hackle.stand == FibreStand::upright ? kUpright : hackle.feather.fibreAngle();
    hackles_.push_back({std::string(nameOf(kind)), hackle.fibre, hackle.feather.fibre, hackle.fibres, angle, width});
    addMatter(kFibre, hackle.fibres * rod(hackle.fibre, hackle.feather.fibre));
}

void WetFly::addWing(const WingPlan& wing) {
    const bool pair = wing.style == WingStyle::paired || wing.style == WingStyle::upright;
    addMatter(kFibre, (pair ? 2.0 : 1.0) * wing.barbs * rod(wing.length, wing.barb));
    if (wing.style == WingStyle::cloak)
        cloak_ = std::max(cloak_, wing.length * wing.depth);
    else
        wing_ += wing.length * wing.depth;
}

void WetFly::addTail(const TailPlan& tail) {
    const double fibres = tail.style == TailStyle::plume ? tail.barbs.value_or(tail.fibres) : tail.fibres;
    tails_.push_back({fibres, tail.length, tail.fibre});
    addMatter(kFibre, fibres * rod(tail.length, tail.fibre));
}

// What floats (rule of thumb, section 8): the film along the lines where a film fly lies in it, and the air its down holds.
void WetFly::holdInFilm(const Plan& plan) {
    if (plan.pattern.buoyancyMillinewton) {
        submerged_ -= *plan.pattern.buoyancyMillinewton * millinewton;
        return;
    }
    constexpr double kCollar = 0.02, kPlume = 0.01, kTuft = 0.02, kBody = 1.0, kTreatedBody = 2.0;
    constexpr double kTuftStrands = 30.0;
    constexpr Angle kStands = 60_deg;
    const bool treated = plan.pattern.treated.value_or(Treatment::none) != Treatment::none;
    Length line;
    bool beaded = false;
    isFilmFly_ = treated;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const PartPlan& part = plan.parts[i];
        const auto* plume = std::get_if<PlumeTraits>(&part.made.traits);
        const bool holdsAir = plume && plume->down.value_or(Down::gland) == Down::gland;
        if (std::holds_alternative<BeadPlan>(part.detail)) beaded = true;
        if (const auto* h = std::get_if<HacklePlan>(&part.detail)) {
            if (h->stand == FibreStand::upright)
                line += kCollar * h->fibres * h->fibre;
            else if (holdsAir)
                line += kPlume * h->fibres * h->fibre;
            isFilmFly_ = isFilmFly_ || (h->stand == FibreStand::upright && h->feather.stiffness != Stiffness::soft);
        }
        const auto* wing = std::get_if<WingPlan>(&part.detail);
        if (!wing) continue;
        const bool tuft =
            wing->style == WingStyle::hair && std::get<WingPart>(plan.pattern.parts[i].detail).angle.value_or(0_deg) >= kStands;
        if (wing->style == WingStyle::plume && holdsAir) line += kPlume * wing->barbs * wing->length;
        if (tuft)
            line += kTuft * (std::get<WingPart>(plan.pattern.parts[i].detail).count ? wing->count.value_or(kTuftStrands) : kTuftStrands) *
                    wing->length;
        isFilmFly_ = isFilmFly_ || tuft || (wing->style == WingStyle::plume && holdsAir);
    }
    isFilmFly_ = isFilmFly_ && !beaded;
    if (!isFilmFly_) return;
    line += (treated ? kTreatedBody : kBody) * bodyLength_;
    constexpr double kSurfaceTension = 0.0728;  // N/m, water in air
    film_ = kSurfaceTension * (line / metre) * newton;
    submerged_ -= film_;
}

bool WetFly::hangsJustUnder() const {
    constexpr double kFrom = 0.7;  // of its weight
    return isFilmFly_ && submerged_ > Force{} && film_ >= kFrom * (submerged_ + film_);
}

Force WetFly::hackleDrag(const Hackle& h, Speed u, bool sinking) const {
    const double s = sin(h.angle);
    const Area outline = sinking ? 2.0 * s * h.fibre * (h.width + 0.5 * cos(h.angle) * h.fibre) : kPi * (s * h.fibre) * (s * h.fibre);
    const double factor = sinking ? 1.0 - 0.5 * s * s : s * s;
    const double k = cylinderDrag(reynolds(u, h.diameter, mu_)) * (h.diameter * h.fibre) * h.count * factor / outline;
    return dynamic(u, outline, screen(k));
}

std::vector<WetFly::Share> WetFly::shares(Speed u) const {
    std::vector<Share> list;
    if (u <= 0.0 * metrePerSecond) return list;
    for (const Hackle& h : hackles_)
        list.push_back({h.what, hackleDrag(h, u, true), hackleDrag(h, u, false)});
    if (bodyLength_ > 0.0 * mm)
        list.push_back({"body", dynamic(u, bodyDiameter_ * bodyLength_, cylinderDrag(reynolds(u, bodyDiameter_, mu_))),
                        dynamic(u, kPi / 4.0 * bodyDiameter_ * bodyDiameter_, kBodyAlong)});
    const double bend = cylinderDrag(reynolds(u, wire_, mu_));
    list.push_back({"hook", dynamic(u, 2.0 * wire_ * gape_, bend), dynamic(u, wire_ * gape_, bend)});
    if (wing_ > 0.0 * mm2) {
        const Force flat = dynamic(u, kWingShare * wing_, kWingFlat);
        list.push_back({"wing", flat, kWingAlong * flat});
    }
    if (!tails_.empty()) {
        Force drag;
        for (const Tail& tail : tails_)
            drag += dynamic(u, tail.fibres * tail.length * tail.fibre, cylinderDrag(reynolds(u, tail.fibre, mu_)));
        list.push_back({"tail", drag, Force{}});
    }
    if (bead_ > 0.0 * mm) {
        const Force ball = dynamic(u, kPi / 4.0 * bead_ * bead_, sphereDrag(reynolds(u, bead_, mu_)));
        list.push_back({"bead", ball, ball});
    }
    return list;
}

Force WetFly::dragFlat(Speed speed) const {
    Force sum;
    for (const Share& share : shares(speed))
        sum += share.flat;
    return sum;
}

Force WetFly::dragAlong(Speed speed) const {
    Force sum;
    for (const Share& share : shares(speed))
        sum += share.along;
    return sum;
}

Area WetFly::silhouette() const {
    Area area = wireLength_ * wire_ + bodyDiameter_ * bodyLength_ + wing_ + kPi / 4.0 * bead_ * bead_;
    for (const Tail& tail : tails_)
        area += tail.fibres * tail.length * tail.fibre;
    for (const Hackle& h : hackles_) {
        const double s = sin(h.angle);
        const Area outline = 2.0 * s * h.fibre * (h.width + 0.5 * cos(h.angle) * h.fibre);
        const Area fibres = h.count * (1.0 - 0.5 * s * s) * (h.fibre * h.diameter);
        area += std::min(outline, fibres);
    }
    return area;
}

SinkReport sinkReport(const Plan& plan, double celsius) {
    const WetFly fly(plan, celsius);
    SinkReport report;
    report.mass = fly.mass();
    report.submerged = fly.submergedWeight();
    report.presence = fly.dragAlong(kPresenceSpeed);
    report.silhouette = fly.silhouette();
    report.floats = report.submerged <= Force{};
    report.justUnder = fly.hangsJustUnder();
    if (fly.isFilmFly()) report.film = fly.film();
    Speed judged = kPresenceSpeed;
    if (!report.floats) {
        // Drag grows without bound with speed, so the top of the bracket is found by doubling.
        const auto excess = [&](double u) { return fly.dragFlat(u * metrePerSecond) / newton - report.submerged / newton; };
        double top = 1.0;
        while (excess(top) < 0.0)
            top *= 2.0;
        std::uintmax_t iterations = 200;
        constexpr double kSpeedTolerance = 1e-9;  // m/s
        const auto [low, high] = boost::math::tools::toms748_solve(
            excess, 1e-9, top, [](double a, double b) { return std::abs(a - b) <= kSpeedTolerance; }, iterations);
        report.iterations = static_cast<int>(iterations);
        report.sinkRate = 0.5 * (low + high) * metrePerSecond;
        judged = report.sinkRate;
    }
    auto shares = fly.shares(judged);
    std::ranges::stable_sort(shares, std::greater{}, &WetFly::Share::flat);
    const Force whole = fly.dragFlat(judged);
    for (std::size_t i = 0; i < std::min<std::size_t>(3, shares.size()); ++i)
        report.drivers.push_back(say("{} {} % of the drag", say(shares[i].what), formatNumber(100.0 * (shares[i].flat / whole), 0)));
    return report;
}

}  // namespace machair
