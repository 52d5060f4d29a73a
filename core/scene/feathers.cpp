// What is tied in by the barb and not by the slip: plumes, hackle points and cloaks (the album's notes on them).
#include <algorithm>
#include <cmath>
#include <numbers>

#include "scene/builders.h"

namespace machair {

namespace {

constexpr Vec3 kViewer{0.0, 0.0, 1.0};

// A feather's barbs along its stem.
struct Vane {
    Vec3 root;
    Vec3 along;  // unit
    Vec3 up;     // unit, in the plane of its barbs
    double length = 8.0;
    double half = 0.6;  // its half breadth where it is widest
    double widestAt = 0.45;
    double droop = 0.0;  // of its tip, mm
    int barbs = 60;
    double fibre = 0.5;    // of the length, a barb's own
    double stemTo = 0.70;  // the stem is nothing beyond this share
    double barbWidth = 0.045;
    int wisps = 0;     // its tips gather to so many
    bool cut = false;  // square
};

// One that leaves the shank at an angle, in the profile's plane.
Vane vaneAt(const Axis::Frame& frame, double angle) {
    Vane vane;
    vane.along = std::cos(angle) * frame.rear + std::sin(angle) * frame.up;
    vane.up = std::cos(angle) * frame.up - std::sin(angle) * frame.rear;
    return vane;
}

// Half its breadth at t, from the root to the tips.
double breadthAt(const Vane& vane, double t) {
    const double grow = std::sin(0.5 * kPi * std::clamp(t / vane.widestAt, 0.0, 1.0));
    const double shrink =
        t <= vane.widestAt ? 1.0 : std::lerp(1.0, vane.cut ? 0.9 : 0.22, std::pow((t - vane.widestAt) / (1.0 - vane.widestAt), 1.4));
    return vane.half * (0.15 + 0.85 * grow) * shrink;
}

Vec3 stemAt(const Vane& vane, double t) { return vane.root + (t * vane.length) * vane.along - (vane.droop * t * t) * vane.up; }

Fibre barbOn(const Vane& vane, int index, Random& random) {
    const double share = (index + random.uniform(0.0, 1.0)) / vane.barbs;
    const double side = index % 2 == 0 ? 1.0 : -1.0;
    const double from = vane.stemTo * share;
    // The outermost reach the end; those rooted near it end by themselves.
    const double to = vane.cut ? 1.0 : std::min(1.0 + random.normal(0.015), from + vane.fibre * random.uniform(0.75, 1.05));
    const double at = std::clamp(to, 0.0, 1.0);
    double out = breadthAt(vane, at) * std::sqrt(random.uniform(0.02, 1.0)) * side;
    if (vane.wisps > 0 && at > 0.7) {
        const double wisp = std::floor(random.uniform(0.0, vane.wisps)) + 0.5;
        const double centre = vane.half * (2.0 * wisp / vane.wisps - 1.0);
        out = std::lerp(out, centre * random.uniform(0.9, 1.1), (at - 0.7) / 0.3);
    }
    const Vec3 p0 = stemAt(vane, from);
    const Vec3 p3 = stemAt(vane, at) + (to - at) * vane.length * vane.along + out * vane.up + random.normal(0.35 * vane.half) * kViewer;
    const double run = norm(p3 - p0);
    const Vec3 leaves = unit(vane.along + (0.62 * std::min(1.0, 3.0 * std::abs(out) / std::max(0.05, run)) * side) * vane.up);
    Fibre fibre;
    fibre.curve = {p0, p0 + (0.36 * run) * leaves, p3 - (0.34 * run) * vane.along, p3};
    fibre.width = vane.barbWidth * random.uniform(0.8, 1.2);
    fibre.taper = vane.cut ? 0.2 : 0.8;
    fibre.length = run;
    fibre.depth = p3.z;
    fibre.tone = random.normal(0.035) + (side > 0.0 ? 0.02 : -0.03);
    fibre.seed = random.next();
    fibre.index = index;
    return fibre;
}

void addFeather(std::vector<Fibre>& fibres, const Vane& vane, std::uint64_t seed) {
    Random random(seed);
    for (int i = 0; i < vane.barbs; ++i)
        fibres.push_back(barbOn(vane, i, random));
    Fibre stem;
    stem.curve = {stemAt(vane, 0.0), stemAt(vane, 0.25), stemAt(vane, 0.5), stemAt(vane, vane.stemTo)};
    stem.width = 0.12;
    stem.taper = 0.9;
    stem.length = vane.stemTo * vane.length;
    stem.tone = -0.06;
    stem.seed = random.next();
    fibres.push_back(stem);
}

FibreLook downyLook(const Material& made, Rgb usual) {
    FibreLook look;
    const Lab base = baseColour(made, usual);
    if (made.kind == MaterialKind::plume) look.barbule = 0.17;  // its softness
    look.kind = FibreKind::soft;
    look.root = shade(base, -0.08);
    look.middle = base;
    look.tip = shade(base, 0.07);
    look.mark = shade(base, -0.22);
    look.alphaRoot = 0.80;
    look.alphaTip = 0.55;
    return look;
}

// Barbs off a flank, lying side by side.
FibreLook barbLook(const Material& made, double alphaTip) {
    FibreLook look = downyLook(made, {0.49, 0.37, 0.25});
    look.alphaRoot = 0.95;
    look.alphaTip = alphaTip;
    look.marked = markingOf(made) != Marking::plain;
    return look;
}

int barbsEach(const Material& made) {
    const auto* plume = std::get_if<PlumeTraits>(&made.traits);
    return std::clamp(static_cast<int>(std::lround(plume ? plume->fibres.value_or(kUsualPlumeFibres) : kUsualPlumeFibres)), 8, 180);
}

// How far from the root the lower edge has risen, at X mm along the body: it leaves at its lift and bends back level.
double rise(const WingPlan& wing, double x) { return wingRise(tan(wing.lift), std::max(1e-6, wing.bend / mm), x); }

}  // namespace

TailScene plumeTailScene(const SceneBuild& build, std::size_t part, const TailPlan& tail) {
    TailScene scene;
    scene.part = part;
    const PartPlan& planned = build.plan.parts[part];
    scene.look = downyLook(planned.made, {0.79, 0.58, 0.27});
    const auto* plume = std::get_if<PlumeTraits>(&planned.made.traits);
    const double gape = build.plan.hook.gape() / mm;
    const bool cut = std::get<TailPart>(build.plan.pattern.parts[part].detail).cut.value_or(false);
    const bool marabou = (plume && plume->down == Down::marabou) || tail.length > 1.2 * build.plan.hook.shank();
    const Axis::Frame root = build.axis.frame(planned.station / mm - 0.4);
    const int feathers = std::max(1, static_cast<int>(std::lround(tail.fibres)));
    for (int i = 0; i < feathers; ++i) {
        const double fan = radians(5.0 + (feathers > 1 ? 5.0 * (2.0 * i / (feathers - 1.0) - 1.0) : 0.0));
        Vane vane = vaneAt(root, fan);
        vane.root = root.at + (build.plan.hook.wire() / mm / 2.0) * root.up + (0.12 * (i - 0.5 * (feathers - 1))) * kViewer;
        vane.length = tail.length / mm + 0.4;
        vane.half = std::min((marabou ? 0.29 : 0.15) * gape, 0.45 * vane.length);
        vane.widestAt = marabou ? 0.6 : 0.5;
        vane.droop = (marabou ? 0.07 : 0.02) * vane.length;
        vane.barbs = barbsEach(planned.made);
        vane.fibre = marabou ? 0.62 : 0.5;
        vane.wisps = marabou ? 7 : 0;
        vane.cut = cut;
        addFeather(scene.fibres, vane, seedOf(build.partSeed(part), static_cast<std::uint64_t>(i)));
    }
    return scene;
}

// Plumes lie back as soft leaves that dissolve towards their tips, each a little out of line with the next.
TailScene plumeWingScene(const SceneBuild& build, std::size_t part, const WingPlan& wing) {
    TailScene scene;
    scene.part = part;
    const PartPlan& planned = build.plan.parts[part];
    scene.look = downyLook(planned.made, {0.60, 0.56, 0.50});
    const Axis::Frame root = build.axis.frame(planned.station / mm);
    const double gape = build.plan.hook.gape() / mm;
    const bool stated = std::get<WingPart>(build.plan.pattern.parts[part].detail).angle.has_value();
    constexpr double kLies = 8.0, kMostFeathers = 12.0;
    const double lift = stated ? wing.lift.inDegrees() : kLies;
    const int feathers = std::clamp(static_cast<int>(std::lround(std::min(wing.count.value_or(1.0), kMostFeathers))), 1, 12);
    for (int i = 0; i < feathers; ++i) {
        const double fan = radians(lift + (feathers > 1 ? 3.0 * (2.0 * i / (feathers - 1.0) - 1.0) : 0.0));
        Vane vane = vaneAt(root, fan);
        vane.root = root.at + (wing.bed / mm / 2.0) * root.up + (0.15 * (i - 0.5 * (feathers - 1))) * kViewer;
        vane.length = wing.length / mm * (1.0 - 0.03 * (i % 2));
        vane.half = (feathers == 1 ? 0.28 : 0.15) * gape;
        vane.droop = 0.05 * vane.length;
        vane.barbs = barbsEach(planned.made);
        vane.cut = std::get<WingPart>(build.plan.pattern.parts[part].detail).cut.value_or(false);
        addFeather(scene.fibres, vane, seedOf(build.partSeed(part), static_cast<std::uint64_t>(i)));
    }
    return scene;
}

// Two hackle points back to back, the far one seen a little above the near.
TailScene tipsScene(const SceneBuild& build, std::size_t part, const WingPlan& wing) {
    TailScene scene;
    scene.part = part;
    const PartPlan& planned = build.plan.parts[part];
    scene.look = downyLook(planned.made, {0.55, 0.55, 0.55});
    scene.look.alphaRoot = 0.85;
    scene.look.alphaTip = 0.75;
    const Axis::Frame root = build.axis.frame(planned.station / mm);
    const int points = std::clamp(static_cast<int>(std::lround(wing.count.value_or(2.0))), 1, 6);
    const auto* piece = std::get_if<PieceTraits>(&planned.made.traits);
    constexpr double kStroked = 0.85, kLies = 9.0, kBarbsPerMm = 5.6;
    const bool stated = std::get<WingPart>(build.plan.pattern.parts[part].detail).angle.has_value();
    for (int i = points - 1; i >= 0; --i) {  // the far ones first
        const double lift = radians((stated ? wing.lift.inDegrees() : kLies) + 2.5 * i);
        Vane vane = vaneAt(root, lift);
        vane.root = root.at + (wing.bed / mm / 2.0 + 0.12 * i) * root.up - (0.2 * i) * kViewer;
        vane.length = wing.length / mm;
        vane.half = 0.5 * kStroked * (piece && piece->width ? *piece->width / mm : wing.depth / mm);
        vane.widestAt = 0.40;
        vane.droop = 0.10 * vane.length;
        vane.barbs = static_cast<int>(kBarbsPerMm * vane.length);
        vane.fibre = 0.22;
        vane.stemTo = 0.97;
        addFeather(scene.fibres, vane, seedOf(build.partSeed(part), static_cast<std::uint64_t>(i)));
    }
    return scene;
}

constexpr double kSeenSingly = 20.0;  // barbs of a sheet; of more each shows the less of itself

// A sheet of barbs folded over the back like a saddle cloth: each lies along the body at its own place round it, the lowest
// the shortest, and the body shows between them.
TailScene cloakScene(const SceneBuild& build, std::size_t part, const WingPlan& wing) {
    TailScene scene;
    scene.part = part;
    const PartPlan& planned = build.plan.parts[part];
    scene.look = barbLook(planned.made, 0.80);
    const Axis::Frame root = build.axis.frame(planned.station / mm);
    const double station = planned.station / mm, length = wing.length / mm, bed = wing.bed / mm / 2.0;
    const bool under = std::get<WingPart>(build.plan.pattern.parts[part].detail).position == WingPosition::under;
    const double half = radians(wing.round == CloakRound::all ? 175.0 : under ? 95.0 : 140.0);
    const int n = std::clamp(static_cast<int>(std::lround(wing.barbs)), 6, 160);
    scene.look.barbulesApart = std::max(1.0, n / kSeenSingly);
    const auto over = [&](double x, double share) {  // how far off the shank's line the barbs lie
        const double s = std::min(station + x, build.plan.bodyEnd / mm - 0.05);
        const double body = build.plan.diameter(s * mm) / mm / 2.0;
        return std::max(bed, body) + 0.10 + 0.35 * share + rise(wing, x);
    };
    for (int i = 0; i < n; ++i) {
        Random random(seedOf(build.partSeed(part), static_cast<std::uint64_t>(i)));
        const double v = -1.0 + 2.0 * (i + random.uniform(0.1, 0.9)) / n;
        const double angle = half * v;
        if (std::sin(angle) < -0.35) continue;  // behind the body
        const double reach = length * (1.0 - 0.16 * std::abs(v) * std::abs(v) + random.normal(0.022));
        const double sway = random.normal(0.02) * length;
        const auto at = [&](double share, double turn) {
            const double x = share * reach, r = over(x, std::pow(share, 1.6));
            return root.at + x * root.rear + (r * std::cos(angle * turn)) * root.up + (r * std::sin(angle * turn)) * kViewer;
        };
        Fibre fibre;
        const Vec3 p0 = root.at + (bed * std::cos(0.6 * angle)) * root.up + (bed * std::sin(0.6 * angle)) * kViewer;
        fibre.curve = {p0, at(0.33, 0.85) + sway * root.up, at(0.68, 1.0) - (0.5 * sway) * root.up, at(1.0, 0.92)};
        fibre.width = 0.085 * random.uniform(0.85, 1.15);
        fibre.length = reach;
        fibre.depth = fibre.curve[2].z;
        fibre.tone = random.normal(0.03) - (under ? 0.06 : 0.0) + 0.05 * std::cos(angle);
        fibre.seed = random.next();
        fibre.index = i;
        scene.fibres.push_back(fibre);
    }
    std::ranges::stable_sort(scene.fibres, {}, &Fibre::depth);
    return scene;
}

// The same barbs rolled for a tail: a flat bundle that opens to a soft point.
TailScene cloakTailScene(const SceneBuild& build, std::size_t part, const TailPlan& tail) {
    TailScene scene;
    scene.part = part;
    const PartPlan& planned = build.plan.parts[part];
    scene.look = barbLook(planned.made, 0.75);
    const Axis::Frame root = build.axis.frame(planned.station / mm - 0.5);
    const double gape = build.plan.hook.gape() / mm, length = tail.length / mm + 0.5;
    const int n = std::clamp(static_cast<int>(std::lround(tail.barbs.value_or(tail.fibres))), 4, 80);
    scene.look.barbulesApart = std::max(1.0, n / kSeenSingly);
    for (int i = 0; i < n; ++i) {
        Random random(seedOf(build.partSeed(part), static_cast<std::uint64_t>(i)));
        const double v = n == 1 ? 0.0 : -1.0 + 2.0 * (i + random.uniform(0.2, 0.8)) / n;
        const double lift = radians(7.0);
        const Vec3 along = std::cos(lift) * root.rear + std::sin(lift) * root.up,
                   up = std::cos(lift) * root.up - std::sin(lift) * root.rear;
        const double own = length * (1.0 - 0.10 * v * v + random.normal(0.015));
        const auto at = [&](double t) {
            return root.at + (0.35 + t * own) * along +
                   (gape * v * std::lerp(0.06, 0.15, std::sin(0.5 * kPi * std::min(1.0, t / 0.75))) *
                    (t > 0.75 ? std::lerp(1.0, 0.6, (t - 0.75) / 0.25) : 1.0)) *
                       up;
        };
        Fibre fibre;
        fibre.curve = {root.at + (build.plan.hook.wire() / mm / 2.0 + 0.06 * gape * v) * root.up, at(0.35), at(0.7), at(1.0)};
        fibre.width = 0.085;
        fibre.length = own;
        fibre.tone = random.normal(0.03) + 0.03 * v;
        fibre.seed = random.next();
        fibre.index = i;
        scene.fibres.push_back(fibre);
    }
    return scene;
}

}  // namespace machair
