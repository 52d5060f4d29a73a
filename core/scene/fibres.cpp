// Tails, hackles and bunches: drawing.md sections 9 and 10.
#include <algorithm>
#include <cmath>
#include <numbers>
#include <optional>

#include "scene/builders.h"

namespace machair {

namespace {

constexpr double kNarrowest = 0.10;  // half of a fibre's own variation about its width

struct Sweep {  // angles to the shank: at the root, of the chord, at the tip
    double root, chord, tip;
};

Sweep sweepOf(Stiffness stiffness) {
    switch (stiffness) {
        case Stiffness::soft: return {78.0, 43.0, 23.0};
        case Stiffness::medium: return {80.0, 55.0, 36.0};
        case Stiffness::stiff: return {80.0, 68.0, 56.0};
    }
    throw BrokenContract("unknown stiffness");
}

Fibre dealt(const Cubic& curve, double width, double length, double depth, double tone, std::uint64_t seed, int index) {
    Fibre fibre;
    fibre.curve = curve;
    fibre.width = width;
    fibre.length = length;
    fibre.depth = depth;
    fibre.tone = tone;
    fibre.seed = seed;
    fibre.index = index;
    return fibre;
}

FibreLook hackleLook(const PartPlan& part, const Feather& feather) {
    FibreLook look;
    const Lab base = baseColour(part.made, {0.36, 0.23, 0.13});
    look.root = shade(base, -0.06);
    look.middle = base;
    look.tip = shade(base, 0.05);
    look.mark = shade(base, -0.24);
    switch (feather.stiffness) {
        case Stiffness::soft: look.kind = FibreKind::soft; break;
        case Stiffness::medium: look.kind = FibreKind::medium; break;
        case Stiffness::stiff: look.kind = FibreKind::stiff; break;
    }
    const bool game = feather.bird == Bird::partridge || feather.bird == Bird::grouse;
    look.marked = game || part.made.marking == Marking::mottled || part.made.marking == Marking::barred;
    if (look.kind != FibreKind::stiff) look.barbule = game ? 0.24 : 0.19;
    if (game) {  // pale fibres, dark marks
        look.middle = shade(base, 0.04);
        look.tip = shade(base, 0.10);
        look.mark = shade(base, -0.36);
        look.alphaRoot = 0.90;
        look.alphaTip = 0.54;
    }
    return look;
}

double fibreWidth(const FibreLook& look) {
    if (look.kind == FibreKind::stiff) return 0.080;
    return look.alphaTip < 0.9 ? 0.090 : 0.095;
}

// Where a hackle fibre leaves the shank, and how.
struct Root {
    double station;
    double radius;
    double angle;  // round the shank from the top, towards the viewer
    double length;
};

class HackleDealer {
  public:
    HackleDealer(const SceneBuild& build, std::size_t part, const FibreLook& look, Sweep sweep, bool pressed)
        : build_(build), seed_(build.partSeed(part)), look_(look), sweep_(sweep), pressed_(pressed) {}

    // Every fibre is swept so that one at the bottom, from its own turn's root, points at `target`; turns ahead of
    // `station`, where the length was planned, reach as far as those on it.
    void cutSquare() { cut_ = true; }
    void aimAt(Vec3 target, double station, double radius) {
        target_ = target;
        planned_ = norm(toTarget({station, radius, 0.0, 0.0}));
    }

    [[nodiscard]] Fibre fibre(const Root& root, int index) const {
        Random random(seedOf(seed_, static_cast<std::uint64_t>(index)));
        const bool stiff = look_.kind == FibreKind::stiff;
        double angle = std::remainder(root.angle, 2.0 * kPi);
        Sweep sweep = target_ ? aimed(root) : sweep_;
        constexpr double kPressedWithin = 70.0;  // degrees from the top, under a wing
        if (const double fromTop = std::abs(angle) * 180.0 / kPi; pressed_ && fromTop < kPressedWithin) {
            const double q = 1.0 - fromTop / kPressedWithin;
            angle += std::copysign(radians(38.0 * q), angle);
            const double give = std::pow(q, 0.6);
            sweep = {std::lerp(sweep.root, 34.0, give), std::lerp(sweep.chord, 17.0, give), std::lerp(sweep.tip, 12.0, give)};
        }
        const Axis::Frame frame = build_.axis.frame(root.station);
        const Vec3 z{0.0, 0.0, 1.0};
        const Vec3 outward = std::cos(angle) * frame.up + std::sin(angle) * z;
        const Vec3 round = -std::sin(angle) * frame.up + std::cos(angle) * z;
        const double lean = radians(random.uniform(0.0, 4.0) + random.normal(5.0));
        const auto direction = [&](double degrees) {
            const double s = radians(degrees);
            return std::cos(s) * frame.rear + std::sin(s) * (std::cos(lean) * outward + std::sin(lean) * round);
        };
        const double offset = random.normal(5.5);
        const double length = root.length * (1.0 + (cut_ ? random.normal(0.012) : random.normal(stiff ? 0.05 : 0.06)));
        const double reach = target_ ? norm(toTarget(root)) / planned_ : 1.0;
        const double chord = reach * length / kFibreCurve * (stiff ? 0.985 : 1.0);
        const Vec3 p0 = frame.at + root.radius * outward;
        const Vec3 p1 = p0 + (length / 3.0) * direction(sweep.root + offset / 2.0);
        const Vec3 p3 = p0 + chord * direction(sweep.chord + offset) + random.normal((stiff ? 0.025 : 0.06) * length) * round;
        const Vec3 p2 = p3 - (length / 3.0) * direction(sweep.tip + random.normal(5.0) + 1.3 * offset);
        Fibre fibre;
        fibre.curve = {p0, p1, p2, p3};
        fibre.width = fibreWidth(look_) * random.uniform(1.0 - 2.0 * kNarrowest, 1.0 + 2.0 * kNarrowest);
        fibre.length = length;
        fibre.depth = pointOn(fibre.curve, 0.55).z;
        fibre.fromTop = std::abs(angle);
        fibre.tone = random.normal(0.04);
        fibre.seed = random.next();
        fibre.index = index;
        return fibre;
    }

  private:
    [[nodiscard]] Vec3 toTarget(const Root& root) const {
        const Axis::Frame frame = build_.axis.frame(root.station);
        return *target_ - (frame.at - root.radius * frame.up);
    }
    [[nodiscard]] Sweep aimed(const Root& root) const {
        const Axis::Frame frame = build_.axis.frame(root.station);
        const Vec3 to = toTarget(root);
        const double chord = std::atan2(-dot(to, frame.up), dot(to, frame.rear)) * 180.0 / kPi;
        const double change = chord - sweep_.chord;
        return {std::clamp(sweep_.root + 0.4 * change, chord, std::max(chord, 95.0)), chord, std::max(0.0, sweep_.tip + change)};
    }

    const SceneBuild& build_;
    std::uint64_t seed_;
    const FibreLook& look_;
    Sweep sweep_;
    bool pressed_;
    bool cut_ = false;  // all to one length
    std::optional<Vec3> target_;
    double planned_ = 1.0;  // mm from the planned root to the target
};

}  // namespace

Vec3 pointOn(const Cubic& c, double t) {
    const double u = 1.0 - t;
    return u * u * u * c[0] + 3.0 * u * u * t * c[1] + 3.0 * u * t * t * c[2] + t * t * t * c[3];
}

TailScene tailScene(const SceneBuild& build, std::size_t part, const TailPlan& tail) {
    TailScene scene;
    scene.part = part;
    const PartPlan& planned = build.plan.parts[part];
    const bool tippet = tail.style == TailStyle::tippet;
    const Lab base = baseColour(planned.made, tippet ? Rgb{0.88, 0.54, 0.17} : Rgb{0.79, 0.58, 0.27});
    FibreLook& look = scene.look;
    look.kind = tippet ? FibreKind::tippet : (tail.style == TailStyle::hair ? FibreKind::hair : FibreKind::tail);
    look.root = shade(base, -0.12);
    look.middle = base;
    look.tip = shade(base, tippet ? 0.04 : 0.10);
    look.mark = toLab({0.09, 0.08, 0.09});
    if (tippet) {
        const auto* traits = std::get_if<TippetTraits>(&planned.made.traits);
        const Length spacing = traits && traits->barSpacing ? *traits->barSpacing : *tail.barSpacing;
        look.barSpacing = spacing / mm;
    }

    constexpr double kRootedInside = 0.5;  // mm
    constexpr double kBundleDepth = 0.16;
    const double station = planned.station / mm;
    const double length = tail.length / mm;
    const Axis::Frame root = build.axis.frame(station - kRootedInside);
    const auto* written = std::get_if<TailPart>(&build.plan.pattern.parts[part].detail);
    const bool cut = written && written->cut.value_or(false);
    const int n = std::max(1, static_cast<int>(std::lround(tail.fibres)));
    const std::uint64_t seed = build.partSeed(part);
    Random whole(seed);
    const double rise = whole.uniform(6.0, 8.0);
    const double spread = whole.uniform(5.0, 8.0);
    const double bed = build.plan.hook.wire() / mm / 2.0;
    for (int i = 0; i < n; ++i) {
        Random random(seedOf(seed, static_cast<std::uint64_t>(i) + 1));
        const double v = n == 1 ? 0.0 : -1.0 + 2.0 * (i + 0.5 + random.uniform(-0.3, 0.3)) / n;
        const double angle = radians(rise + v * spread);
        const Vec3 direction = std::cos(angle) * root.rear + std::sin(angle) * root.up;
        // Cut square, the tips end in one line; grown, they don't quite.
        const double own =
            cut ? length + kRootedInside : length * (1.0 + random.normal(tippet ? 0.012 : 0.02) - 0.03 * v * v) + kRootedInside;
        const double side = random.normal(0.25);
        const Vec3 p0 = root.at + (bed + kBundleDepth * (0.5 + 0.5 * v)) * root.up + Vec3{0.0, 0.0, 0.3 * side};
        const Vec3 droop = (-0.025 * own) * root.up;
        const Vec3 p3 = p0 + own * direction + droop + Vec3{0.0, 0.0, side};
        const double tone = random.normal(0.025);
        scene.fibres.push_back(dealt({p0, p0 + (own / 3.0) * direction, p0 + (2.0 * own / 3.0) * direction + 0.3 * droop, p3},
                                     tippet ? 0.072 : 0.060, own, side, tone, random.next(), i));
    }
    return scene;
}

// A wing of hair or a tuft: straight hairs from the tie-in, opening a little about the wing's own angle.
TailScene bunchScene(const SceneBuild& build, std::size_t part, const WingPlan& wing) {
    TailScene scene;
    scene.part = part;
    const PartPlan& planned = build.plan.parts[part];
    const bool cut = std::get<WingPart>(build.plan.pattern.parts[part].detail).cut.value_or(false);
    const Lab base = baseColour(planned.made, {0.42, 0.33, 0.25});
    scene.look.kind = FibreKind::hair;
    scene.look.root = shade(base, -0.10);
    scene.look.middle = base;
    scene.look.tip = shade(base, 0.03);
    const Axis::Frame root = build.axis.frame(planned.station / mm);
    const std::uint64_t seed = build.partSeed(part);
    const int n = std::clamp(static_cast<int>(std::lround(wing.barbs)), 1, 160);
    const double bed = wing.bed / mm / 2.0;
    const double length = wing.length / mm;
    for (int i = 0; i < n; ++i) {
        Random random(seedOf(seed, static_cast<std::uint64_t>(i) + 1));
        const double v = n == 1 ? 0.0 : -1.0 + 2.0 * (i + 0.5 + random.uniform(-0.4, 0.4)) / n;
        // A judged wing leaves at its lift and bends back down along the body; a tuft stands as it is told.
        const bool bends = wing.seat != Seat::stated;
        const double angle = (bends ? 0.0 : wing.lift.inRadians()) + radians((cut ? 9.0 : 2.6) * v + random.normal(cut ? 3.0 : 0.8));
        const Vec3 direction = std::cos(angle) * root.rear + std::sin(angle) * root.up;
        const double own = length * (cut ? 1.0 + random.normal(0.012) : 1.0 - std::abs(random.normal(0.035)) - 0.02 * v * v);
        const double side = random.normal(0.35);
        const auto rise = [&](double x) { return bends ? wingRise(tan(wing.lift), std::max(1e-6, wing.bend / mm), x) : 0.0; };
        const Vec3 p0 = root.at + (bed + 0.12 * (1.0 + v)) * root.up + Vec3{0.0, 0.0, 0.4 * side};
        const auto along = [&](double share) { return p0 + (share * own) * direction + rise(share * own) * root.up; };
        const Vec3 p3 = along(1.0) - (0.012 * own) * root.up + Vec3{0.0, 0.0, side};
        const double tone = random.normal(0.05);
        scene.fibres.push_back(dealt({p0, along(1.0 / 3.0), along(2.0 / 3.0), p3}, cut ? 0.055 : 0.070, own, side, tone, random.next(), i));
    }
    return scene;
}

// Legs: half at each side (or all round), swept back and down, bent at the knot where they are knotted.
TailScene legsScene(const SceneBuild& build, std::size_t part, const PiecePlan& legs) {
    TailScene scene;
    scene.part = part;
    const PartPlan& planned = build.plan.parts[part];
    const auto& written = std::get<LegsPart>(build.plan.pattern.parts[part].detail);
    const Lab base = baseColour(planned.made, {0.30, 0.23, 0.15});
    scene.look.kind = FibreKind::hair;
    scene.look.root = shade(base, -0.06);
    scene.look.middle = base;
    scene.look.tip = shade(base, 0.06);
    const Axis::Frame root = build.axis.frame(planned.station / mm);
    const std::uint64_t seed = build.partSeed(part);
    const int n = std::max(1, static_cast<int>(std::lround(legs.count)));
    const double length = legs.length / mm;
    const bool spread = written.style == LegStyle::spread;
    const bool knotted = written.knots.value_or(spread ? 0 : 1) > 0;
    const double bed = build.plan.bulk.diameter(planned.station) / mm / 2.0;
    int index = 0;
    for (int i = 0; i < n; ++i) {
        Random random(seedOf(seed, static_cast<std::uint64_t>(i) + 1));
        const double side = i % 2 == 0 ? 1.0 : -1.0;  // near, far
        const double round = spread ? 2.0 * kPi * i / n : kPi / 2.0 * side;
        const double down =
            radians(spread ? 27.0 + random.normal(3.0) : 20.0 + 24.0 * (i / 2) / std::max(1.0, n / 2.0) + random.normal(4.0));
        const Vec3 outward = std::cos(round) * root.up + std::sin(round) * Vec3{0.0, 0.0, 1.0};
        const Vec3 lower = spread ? outward : unit(0.35 * outward - 1.0 * root.up);
        const Vec3 thigh = unit(std::cos(down) * root.rear + std::sin(down) * lower);
        const Vec3 shin = unit(std::cos(down + radians(34.0)) * root.rear + std::sin(down + radians(34.0)) * lower);
        const double own = length * (1.0 + random.normal(0.03));
        const double upper = knotted ? 0.52 * own : own;
        const auto add = [&](Vec3 from, Vec3 along, double run, double width) {
            Fibre fibre;
            fibre.curve = {from, from + (run / 3.0) * along, from + (2.0 * run / 3.0) * along, from + run * along - (0.02 * run) * root.up};
            fibre.width = width;
            fibre.taper = knotted ? 0.35 : 0.7;
            fibre.length = run;
            fibre.depth = spread ? std::sin(round) : side;
            fibre.tone = random.normal(0.03) - (side < 0.0 ? 0.05 : 0.0);
            fibre.seed = random.next();
            fibre.index = index++;
            scene.fibres.push_back(fibre);
        };
        const Vec3 from = root.at + (0.8 * bed) * outward;
        add(from, thigh, upper, spread ? 0.09 : 0.16);
        if (knotted) add(from + upper * thigh, shin, own - upper, 0.13);
    }
    return scene;
}

HackleScene collarScene(const SceneBuild& build, std::size_t part, const HacklePlan& h) {
    HackleScene scene;
    scene.part = part;
    scene.overWing = build.winged && !h.behindWing;
    scene.look = hackleLook(build.plan.parts[part], h.feather);
    scene.stemWidth = h.feather.stem / mm;
    const double station = build.plan.parts[part].station / mm;
    const double bed = h.bed / mm / 2.0;
    Sweep sweep = sweepOf(h.feather.stiffness);
    if (h.stand == FibreStand::upright) sweep = {88.0, 85.0, 82.0};
    HackleDealer dealer(build, part, scene.look, sweep, build.winged);
    if (h.target && h.stand == FibreStand::swept)  // the drawn tip touches what the plan says it reaches
        dealer.aimAt({h.target->x / mm, h.target->y / mm, 0.0}, station, bed);
    if (std::get<CollarPart>(build.plan.pattern.parts[part].detail).cut.value_or(false)) dealer.cutSquare();
    const int n = std::max(1, static_cast<int>(std::lround(h.fibres)));
    const std::uint64_t seed = build.partSeed(part);
    const bool throat = build.plan.parts[part].kind == PartKind::throat ||
                        build.plan.schools.held.hackle == HackleSchool::drawnDown;  // all drawn down below the shank
    for (int i = 0; i < n; ++i) {
        Random random(seedOf(seed ^ 0x5eedull, static_cast<std::uint64_t>(i)));
        const double share = (i + 0.5 + random.uniform(-0.3, 0.3)) / n;
        const double wound = 2.0 * kPi * h.turns * share;
        constexpr double kThroatHalf = 58.0;  // degrees either side of straight down
        const double round = throat ? kPi + radians(kThroatHalf) * std::sin(wound) : wound;
        const double grow = h.tieIn == TieIn::tip ? share : 1.0 - share;
        const double length = std::lerp(h.shortest / mm, h.longest / mm, grow);
        scene.fibres.push_back(dealer.fibre({station - scene.stemWidth * wound / (2.0 * kPi), bed, round, length}, i));
    }
    const int steps = std::max(8, static_cast<int>(h.turns * 24.0));
    for (int i = 0; i <= steps; ++i) {
        const double wound = 2.0 * kPi * h.turns * i / steps;
        constexpr double kSunk = 0.3;  // its soft turns lie into the bed
        scene.stem.push_back({station - scene.stemWidth * wound / (2.0 * kPi), bed + kSunk * scene.stemWidth, wound});
    }
    return scene;
}

HackleScene palmerScene(const SceneBuild& build, std::size_t part, const PalmerPlan& palmer) {
    HackleScene scene;
    scene.part = part;
    scene.palmer = true;
    const HacklePlan& h = palmer.hackle;
    scene.look = hackleLook(build.plan.parts[part], h.feather);
    scene.stemWidth = 0.13;
    const double start = build.plan.parts[part].station / mm;
    const double end = palmer.end / mm;
    const double stem = h.feather.stem / mm;
    const double shoulder = palmer.shoulderTurns * stem;
    const double pitch = (end - start - shoulder) / std::max(0.5, palmer.openTurns);
    const double turns = palmer.shoulderTurns + palmer.openTurns;
    // The stem as steps of equal angle, with its length summed, so that fibres stand evenly along it.
    const int steps = std::max(16, static_cast<int>(turns * 36.0));
    std::vector<double> lengthAt{0.0};
    for (int i = 0; i <= steps; ++i) {
        const double wound = turns * i / steps;
        const double station =
            wound <= palmer.shoulderTurns ? start + stem * wound : start + shoulder + pitch * (wound - palmer.shoulderTurns);
        const double radius = build.plan.diameter(std::min(station, end - 1e-6) * mm) / mm / 2.0;
        scene.stem.push_back({station, radius, 2.0 * kPi * wound + 0.6});
        if (i > 0) {
            const auto& before = scene.stem[scene.stem.size() - 2];
            const double arc = radius * (scene.stem.back().angle - before.angle);
            lengthAt.push_back(lengthAt.back() + std::hypot(arc, station - before.station));
        }
    }
    const HackleDealer dealer(build, part, scene.look, sweepOf(h.feather.stiffness), build.winged);
    const int n = std::max(1, static_cast<int>(std::lround(h.fibres)));
    const std::uint64_t seed = build.partSeed(part);
    for (int i = 0; i < n; ++i) {
        Random random(seedOf(seed ^ 0x5eedull, static_cast<std::uint64_t>(i)));
        const double share = std::clamp((i + 0.5 + random.uniform(-0.3, 0.3)) / n, 0.0, 1.0);
        const double along = share * lengthAt.back();
        const auto above = std::ranges::upper_bound(lengthAt, along);
        const auto k = std::clamp<std::size_t>(static_cast<std::size_t>(above - lengthAt.begin()), 1, lengthAt.size() - 1);
        const double t = (along - lengthAt[k - 1]) / std::max(1e-9, lengthAt[k] - lengthAt[k - 1]);
        const auto& a = scene.stem[k - 1];
        const auto& b = scene.stem[k];
        const double length = std::lerp(h.longest / mm, h.shortest / mm, share);
        scene.fibres.push_back(dealer.fibre(
            {std::lerp(a.station, b.station, t), std::lerp(a.radius, b.radius, t), std::lerp(a.angle, b.angle, t), length}, i));
    }
    return scene;
}

}  // namespace machair
