#include "scene/scene.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "scene/builders.h"
#include "units/visit.h"

namespace machair {

namespace {

Vec3 vec(Point2 p) { return {p.x / mm, p.y / mm, 0.0}; }

double interpolate(const std::vector<double>& values, double share) {
    if (values.empty()) return 0.0;
    const double at = std::clamp(share, 0.0, 1.0) * static_cast<double>(values.size() - 1);
    const auto i = std::min(static_cast<std::size_t>(at), values.size() - 1);
    const std::size_t j = std::min(i + 1, values.size() - 1);
    return std::lerp(values[i], values[j], at - static_cast<double>(i));
}

Surface surfaceOf(BodyMethod method) {
    switch (method) {
        case BodyMethod::noodle:
        case BodyMethod::level:
        case BodyMethod::loop:
        case BodyMethod::rope: return Surface::fur;
        case BodyMethod::herl: return Surface::herl;
        case BodyMethod::fibres: return Surface::fibres;
        case BodyMethod::floss: return Surface::floss;
        case BodyMethod::tinsel: return Surface::tinsel;
        case BodyMethod::wire: return Surface::wire;
        case BodyMethod::chenille: return Surface::chenille;
        case BodyMethod::tube: return Surface::tube;
        case BodyMethod::thread: return Surface::thread;
    }
    throw BrokenContract("unknown body method");
}

// How full a body is at a station near its ends: nothing that is wound ends in a wall. A ball is round all through, a thorax
// over its first and last quarter, a body of fur over a third of a millimetre.
double roundedEnds(PartKind kind, const BodyPlan& body, Surface surface, double station) {
    if (body.swelling) return 1.0;
    const double front = body.front / mm, end = body.end / mm, length = end - front;
    const bool fur = surface == Surface::fur;
    const double over = kind == PartKind::thorax ? (body.props ? 0.5 : 0.25) * length : std::min(0.2 * length, fur ? 0.35 : 0.12);
    const double in = std::min(station - front, end - station);
    if (in >= over) return 1.0;
    const double z = 1.0 - std::max(0.0, in) / over;
    return std::sqrt(std::max(0.0, 1.0 - z * z));
}

BodyScene bodyScene(const SceneBuild& build, std::size_t part, const BodyPlan& body) {
    const PartPlan& planned = build.plan.parts[part];
    BodyScene scene;
    scene.part = part;
    scene.surface = surfaceOf(body.method);
    // Stripped of its flues a strand is banded quill, whatever it is called.
    const bool strands = scene.surface == Surface::herl || scene.surface == Surface::fibres;
    if (strands && (planned.made.kind == MaterialKind::quill || (body.strands && *body.strands < 1.5 && flueOf(planned.made) < 0.05 * mm)))
        scene.surface = Surface::quill;
    scene.front = body.front / mm;
    scene.end = body.end / mm;
    constexpr int kSamples = 96;
    for (int i = 0; i <= kSamples; ++i) {
        const double s = std::lerp(scene.front, scene.end, static_cast<double>(i) / kSamples);
        const double under = build.plan.bulk.diameter(s * mm, body.rowsUnder) / mm / 2.0;
        const double wanted = std::max(build.plan.bodyDiameter(body, s * mm) / mm / 2.0, under);
        scene.radii.push_back(under + (wanted - under) * roundedEnds(planned.kind, body, scene.surface, s));
    }
    scene.colour = baseColour(planned.made, {0.35, 0.31, 0.22});
    scene.pitch = windingWidth(planned.made) / mm;
    if (body.turns && *body.turns > 0.0 && strands) scene.pitch = (scene.end - scene.front) / *body.turns;
    if (const auto* fur = std::get_if<DubbingTraits>(&planned.made.traits)) {
        switch (fur->texture.value_or(DubbingTexture::sealLike)) {
            case DubbingTexture::sealLike: scene.shag = 1.0; break;
            case DubbingTexture::hare: scene.shag = 1.25; break;
            case DubbingTexture::fineSynthetic: scene.shag = 0.45; break;
            case DubbingTexture::coarseSynthetic: scene.shag = 1.1; break;
        }
    }
    const auto& written = std::get<BodyPart>(build.plan.pattern.parts[part].detail);
    if (written.twisted.value_or(false) && scene.surface == Surface::herl)
        scene.surface = Surface::rope;  // strands twisted with thread go on as one
    scene.hand = written.direction == Winding::counter ? -1 : 1;
    scene.seed = build.partSeed(part);
    return scene;
}

// From the near side under the shank to the far one, over it to the top: the way that a rib is wound.
double quartersLate(RibSide side) {
    switch (side) {
        case RibSide::near: return 0.0;
        case RibSide::under: return 1.0;
        case RibSide::far: return 2.0;
        case RibSide::top: return 3.0;
    }
    throw BrokenContract("unknown side");
}

RibScene ribScene(const SceneBuild& build, std::size_t part, const RibPlan& rib) {
    const PartPlan& planned = build.plan.parts[part];
    RibScene scene;
    scene.part = part;
    scene.round = rib.round;
    scene.oval = planned.made.kind == MaterialKind::oval;
    scene.width = rib.width / mm;
    scene.thickness = rib.thickness / mm;
    scene.onFur = rib.sinksIn;
    scene.metal = planned.made.kind != MaterialKind::floss && planned.made.kind != MaterialKind::thread;
    scene.colour = baseColour(planned.made, {0.72, 0.57, 0.23});
    if (const auto* strip = std::get_if<StripTraits>(&planned.made.traits)) {  // which of its faces is out
        const auto& written = std::get<RibPart>(build.plan.pattern.parts[part].detail);
        const auto face = static_cast<std::size_t>(std::max(0, written.face.value_or(0)));
        if (written.face && face < strip->faces.size())
            if (const auto colour = parseColour(strip->faces[face])) scene.colour = toLab(*colour);
    }
    scene.hand = rib.hand;
    scene.seed = build.partSeed(part);
    const double front = rib.front / mm;
    const double end = rib.end / mm;
    const int turns = static_cast<int>(std::floor(rib.turns + 1e-9));
    const auto radiusAt = [&](double s) { return build.plan.diameter(s * mm) / mm / 2.0; };
    const double later = quartersLate(rib.side) / 4.0;  // of a turn, from a first turn that comes up on the near side
    if (rib.school == RibPitch::even) {
        const double pitch = rib.pitch / mm;
        for (int i = 0; i < turns; ++i) {
            const double s = end - pitch * (i + 0.5 + later);
            if (s > front) scene.turns.push_back({s, pitch, radiusAt(s)});
        }
    } else {
        const double slope = tan(rib.angle);  // local pitch is 2 pi R times this
        double s = end;
        for (int i = 0; i < turns && s > front; ++i) {
            const double pitch = 2.0 * kPi * radiusAt(s) * slope;
            const double middle = s - pitch * (0.5 + later);
            if (middle > front) scene.turns.push_back({middle, pitch, radiusAt(middle)});
            s -= pitch;
        }
    }
    return scene;
}

BedScene bedScene(const SceneBuild& build) {
    const Plan& plan = build.plan;
    BedScene bed;
    constexpr double kUnderTheBody = 0.25;  // mm
    bed.front = plan.head.to / mm - 0.05;
    bed.end = plan.foremostBody / mm + kUnderTheBody;
    constexpr int kSamples = 16;
    for (int i = 0; i <= kSamples; ++i) {
        const double s = std::lerp(bed.front, plan.foremostBody / mm - 1e-3, static_cast<double>(i) / kSamples);
        bed.radii.push_back(plan.bulk.diameter(s * mm) / mm / 2.0);
    }
    bed.pitch = plan.thread.width / mm;
    bed.colour = baseColour(plan.threadMaterial, {0.16, 0.13, 0.12});
    bed.seed = seedOf(build.seed, 11);
    return bed;
}

HeadScene headScene(const SceneBuild& build) {
    const Plan& plan = build.plan;
    HeadScene head;
    head.front = plan.head.from / mm;
    head.end = plan.head.to / mm;
    head.radius = plan.head.diameter / mm / 2.0;
    head.wireRadius = plan.hook.wire() / mm / 2.0;
    head.bedRadius = std::min(head.radius, plan.bulk.diameter(plan.head.to + 0.01 * mm) / mm / 2.0);
    head.pitch = plan.thread.width / mm;
    head.colour = baseColour(plan.threadMaterial, {0.16, 0.13, 0.12});
    for (const PartPlan& part : plan.parts)
        if (const auto* h = std::get_if<HeadPlan>(&part.detail)) head.varnished = h->coats > 0;
    head.seed = seedOf(build.seed, 12);
    return head;
}

}  // namespace

void measureExtent(Scene& scene) {
    const double w = scene.hook.wire;
    scene.left = -3.8 * w;
    scene.right = 0.0;
    scene.top = 2.0 * w;
    scene.bottom = std::ranges::min(scene.hook.line, {}, [](const auto& step) { return step.at.y; }).at.y - w;
    const auto take = [&](Vec3 p) {
        scene.left = std::min(scene.left, p.x);
        scene.right = std::max(scene.right, p.x);
        scene.top = std::max(scene.top, p.y);
        scene.bottom = std::min(scene.bottom, p.y);
    };
    for (const auto& step : scene.hook.line)
        take(step.at + Vec3{w / 2.0, -w / 2.0, 0.0});
    for (const auto& tail : scene.tails)
        for (const auto& fibre : tail.fibres)
            take(fibre.curve[3]);
    for (const auto& hackle : scene.hackles)
        for (const auto& fibre : hackle.fibres) {
            take(fibre.curve[3]);
            take(pointOn(fibre.curve, 0.6));
        }
    for (const auto& wing : scene.wings) {
        take(wing.root + wing.length * wing.along + wing.depth * wing.up);
        for (const auto& fibre : wing.bunch.fibres)
            take(fibre.curve[3]);
    }
}

Axis::Axis(const Hook& hook) {
    start_ = -(hook.eyeWidth() / mm);
    const double last = hook.rearmostStation() / mm;
    for (double s = start_; s < last + kStep; s += kStep) {
        const WirePoint p = hook.at(s * mm);
        points_.push_back(vec(p.position));
        tangents_.push_back({cos(p.heading), -sin(p.heading), 0.0});
    }
}

Axis::Frame Axis::frame(double station) const {
    const double at = std::clamp((station - start_) / kStep, 0.0, static_cast<double>(points_.size() - 1) - 1e-9);
    const auto i = static_cast<std::size_t>(at);
    const double t = at - static_cast<double>(i);
    const std::size_t j = std::min(i + 1, points_.size() - 1);
    Frame frame;
    frame.at = (1.0 - t) * points_[i] + t * points_[j];
    frame.rear = unit((1.0 - t) * tangents_[i] + t * tangents_[j]);
    // Along the view there is no up but the picture's own.
    const Vec3 up{-frame.rear.y, frame.rear.x, 0.0};
    frame.up = norm(up) > 1e-9 ? unit(up) : Vec3{0.0, 1.0, 0.0};
    return frame;
}

Vec3 Axis::on(double station, double radius, double angle) const {
    const Frame f = frame(station);
    return f.at + radius * std::cos(angle) * f.up + radius * std::sin(angle) * cross(f.rear, f.up);
}

Axis Axis::rotated(Vec3 (*rotation)(Vec3)) const {
    Axis axis = *this;
    for (std::vector<Vec3>* all : {&axis.points_, &axis.tangents_})
        std::ranges::transform(*all, all->begin(), rotation);
    return axis;
}

double WingScene::depthAt(double t) const {
    const double u = std::clamp((t + 0.06) / 0.68, 0.0, 1.0);
    const double grow = std::pow(u * u * (3.0 - 2.0 * u), 0.8);
    const double shrink = t < 0.66 ? 1.0 : std::lerp(1.0, 0.76, (t - 0.66) / 0.34);
    return depth * (kPinched + (1.0 - kPinched) * grow) * shrink;
}

double WingScene::midlineAt(double t) const {
    const double u = std::clamp(t / 0.55, 0.0, 1.0);
    const double over = std::max(0.0, t - 0.35);
    return depth * (0.22 * u * u * (3.0 - 2.0 * u) + (tipsUp ? 0.32 : -0.32) * over * over);
}

double BodyScene::radius(double station) const { return interpolate(radii, (station - front) / (end - front)); }
double BedScene::radius(double station) const { return interpolate(radii, (station - front) / (end - front)); }

double HeadScene::radiusAt(double s) const {
    // drawing.md section 6: swells to its greatest at 58 % of its length, tucks in to the bed, rounded behind.
    const double length = std::max(1e-6, end - front);
    const double t = std::clamp((s - front) / length, 0.0, 1.0);
    constexpr double kSwell = 0.58;
    const double nose = wireRadius + 0.04;
    double r = 0.0;
    if (t <= kSwell)
        r = nose + (radius - nose) * std::pow(std::sin(kPi / 2.0 * t / kSwell), 1.25);
    else
        r = bedRadius + (radius - bedRadius) * std::pow(std::cos(kPi / 2.0 * (t - kSwell) / (1.0 - kSwell)), 0.9);
    constexpr double kRoundedOver = 0.15;
    if (const double z = 1.0 - (end - s) / kRoundedOver; z > 0.0) r *= std::sqrt(1.0 - 0.62 * std::min(1.0, z * z));
    constexpr double kFrontCurve = 0.05;
    if (const double z = 1.0 - (s - front) / kFrontCurve; z > 0.0) r *= std::sqrt(std::max(0.0, 1.0 - z * z));
    return r;
}

Lab baseColour(const Material& material, Rgb usual) {
    const std::string* hex = material.mainColour();
    return toLab((hex ? parseColour(*hex) : std::nullopt).value_or(usual));
}

Marking markingOf(const Material& made) {
    return made.marking.value_or(made.kind == MaterialKind::flank ? Marking::mottled : Marking::plain);
}

HookScene hookScene(const Hook& hook) {
    HookScene scene;
    scene.wire = hook.wire() / mm;
    scene.spear = hook.spear() / mm;
    scene.barb = hook.hasBarb();
    scene.barbX = hook.landmarkX(Landmark::barb) / mm;
    scene.depth = hook.pointDepth() / mm;
    const double turn = 24.0 * kPi / 180.0;
    scene.eyeTurn = hook.eyeTurn() == EyeTurn::down ? turn : (hook.eyeTurn() == EyeTurn::up ? -turn : 0.0);
    constexpr double kLookedAtFrom = radians(24.0);
    scene.eyeAxis = {-std::cos(scene.eyeTurn), -std::sin(scene.eyeTurn), 0.0};
    scene.eyeAcross = {0.0, -std::sin(kLookedAtFrom), std::cos(kLookedAtFrom)};
    const double tip = hook.pointStation() / mm;
    const double shank = hook.shank() / mm;
    const double bendEnd = (hook.shank() + hook.bendArc()) / mm;
    std::vector<double> stations;
    const auto span = [&](double from, double to, double step) {
        const int n = std::max(1, static_cast<int>(std::ceil((to - from) / step)));
        for (int i = 0; i < n; ++i)
            stations.push_back(std::lerp(from, to, static_cast<double>(i) / n));
    };
    const bool curved = hook.curved();
    span(0.0, shank - 1.2, curved ? 0.3 : 1.5);
    for (const double before : {1.2, 0.5, 0.15})
        stations.push_back(shank - before);
    span(shank, bendEnd, 0.16);
    span(bendEnd, tip - 0.6 * scene.spear, 0.8);
    span(tip - 0.6 * scene.spear, tip, 0.06);
    stations.push_back(tip);
    for (const double s : stations) {
        const WirePoint p = hook.at(s * mm);
        scene.line.push_back({vec(p.position), {cos(p.heading), -sin(p.heading), 0.0}, tip - s});
    }
    return scene;
}

namespace {

void dressLeaf(WingScene& scene, const SceneBuild& build, std::size_t part) {
    const Material& made = build.plan.parts[part].made;
    scene.part = part;
    scene.marking = markingOf(made);
    scene.base = baseColour(made, {0.49, 0.37, 0.25});
    scene.dark = shade(scene.base, -0.21);
    scene.pale = shade(scene.base, 0.13);
    scene.seed = build.partSeed(part);
}

WingBuild buildOf(WingStyle style) {
    switch (style) {
        case WingStyle::rolled: return WingBuild::rolled;
        case WingStyle::paired:
        case WingStyle::upright: return WingBuild::slips;
        case WingStyle::cloak:
        case WingStyle::tips:
        case WingStyle::hair:
        case WingStyle::plume: return WingBuild::bunch;
    }
    throw BrokenContract("unknown wing style");
}

TailScene bunchOf(const SceneBuild& build, std::size_t part, const WingPlan& wing) {
    switch (wing.style) {
        case WingStyle::cloak: return cloakScene(build, part, wing);
        case WingStyle::tips: return tipsScene(build, part, wing);
        case WingStyle::plume: return plumeWingScene(build, part, wing);
        case WingStyle::hair:
        case WingStyle::paired:
        case WingStyle::upright:
        case WingStyle::rolled: return bunchScene(build, part, wing);
    }
    throw BrokenContract("unknown wing style");
}

}  // namespace

WingScene wingScene(const SceneBuild& build, std::size_t part, const WingPlan& wing) {
    const PartPlan& planned = build.plan.parts[part];
    WingScene scene;
    dressLeaf(scene, build, part);
    const Axis::Frame frame = build.axis.frame(planned.station / mm);
    constexpr double kUpright = 70.0 * kPi / 180.0;  // divided upright wings lean back a little
    const double lift = wing.style == WingStyle::upright && wing.lift < Angle::degrees(20.0) ? kUpright : wing.lift.inRadians();
    const bool bends = wing.seat != Seat::stated && wing.style != WingStyle::upright;
    const double stands = bends ? 0.0 : lift;
    if (bends) {
        scene.leaves = std::tan(lift);
        scene.levelAt = std::max(0.1, wing.bend / mm);
    }
    scene.along = std::cos(stands) * frame.rear + std::sin(stands) * frame.up;
    scene.up = std::cos(stands) * frame.up - std::sin(stands) * frame.rear;
    scene.root = frame.at + (wing.bed / mm / 2.0 * 2.0 / 3.0) * frame.up;
    scene.length = wing.length / mm;
    scene.depth = wing.depth / mm;
    scene.sheets = std::clamp(wing.layers, 1, 3);
    scene.build = buildOf(wing.style);
    scene.pair = wing.style == WingStyle::paired || wing.style == WingStyle::upright;
    const SchoolChoices& held = build.plan.schools.held;
    scene.tipsUp = wing.style == WingStyle::paired && held.slipTips == SlipTips::up;
    constexpr double kDivided = 14.0;  // degrees between a pair's far slip and its near one, as it is seen
    if (wing.style == WingStyle::upright && held.uprightWings == UprightWings::divided) scene.parted = kDivided;
    if (scene.build == WingBuild::bunch) scene.bunch = bunchOf(build, part, wing);
    return scene;
}

WingScene slipTailScene(const SceneBuild& build, std::size_t part, const TailPlan& tail) {
    WingScene scene;
    dressLeaf(scene, build, part);
    const Axis::Frame frame = build.axis.frame(build.plan.parts[part].station / mm - 0.4);
    constexpr double kRise = 7.0 * kPi / 180.0;
    scene.along = std::cos(kRise) * frame.rear + std::sin(kRise) * frame.up;
    scene.up = std::cos(kRise) * frame.up - std::sin(kRise) * frame.rear;
    scene.root = frame.at + (build.plan.hook.wire() / mm / 2.0) * frame.up;
    scene.length = tail.length / mm + 0.4;
    scene.depth = *tail.slip / mm;
    scene.build = WingBuild::slips;
    return scene;
}

// A tag or butt: a short winding behind the body's end, round the bend.
BodyScene tagScene(const SceneBuild& build, std::size_t part, const TagPlan& tag) {
    const PartPlan& planned = build.plan.parts[part];
    BodyScene scene;
    scene.part = part;
    switch (planned.made.kind) {
        case MaterialKind::tinsel: scene.surface = Surface::tinsel; break;
        case MaterialKind::wire:
        case MaterialKind::oval: scene.surface = Surface::wire; break;
        case MaterialKind::herl:
        case MaterialKind::fibres: scene.surface = Surface::herl; break;
        case MaterialKind::dubbing: scene.surface = Surface::fur; break;
        case MaterialKind::chenille: scene.surface = Surface::chenille; break;
        default: scene.surface = Surface::floss; break;
    }
    scene.front = tag.end / mm - 0.05;
    scene.end = (tag.end + tag.along) / mm;
    const double radius = build.plan.bulk.diameter(tag.end) / mm / 2.0 + windingThickness(planned.made) / mm;
    scene.radii = {radius, radius};
    scene.pitch = windingWidth(planned.made) / mm;
    scene.colour = baseColour(planned.made, {0.78, 0.62, 0.27});
    scene.seed = build.partSeed(part);
    return scene;
}

CheekScene cheekScene(const SceneBuild& build, std::size_t part, const PiecePlan& cheek) {
    const PartPlan& planned = build.plan.parts[part];
    CheekScene scene;
    scene.part = part;
    const Axis::Frame frame = build.axis.frame(planned.station / mm);
    constexpr double kRise = 5.0 * kPi / 180.0;
    scene.along = std::cos(kRise) * frame.rear + std::sin(kRise) * frame.up;
    scene.up = std::cos(kRise) * frame.up - std::sin(kRise) * frame.rear;
    scene.length = cheek.length / mm;
    const auto* piece = std::get_if<PieceTraits>(&planned.made.traits);
    constexpr double kSlender = 0.34;  // width to length, where it was not measured
    scene.width = piece && piece->width ? *piece->width / mm : kSlender * scene.length;
    scene.root = frame.at + Vec3{0.0, 0.0, build.plan.bulk.diameter(planned.station) / mm / 2.0} - (0.05 * scene.width) * frame.up;
    scene.colour = baseColour(planned.made, {0.16, 0.14, 0.14});
    const bool spotted = planned.made.colours.size() > 1;
    scene.spot = toLab(spotted ? parseColour(planned.made.colours[1]).value_or(Rgb{0.87, 0.62, 0.24}) : Rgb{0.87, 0.62, 0.24});
    scene.seed = build.partSeed(part);
    return scene;
}

namespace {
// Legs lie at both sides like a hackle: the far ones behind everything, the near ones across the body.
HackleScene asHackle(TailScene legs) {
    HackleScene scene;
    scene.part = legs.part;
    scene.overWing = true;
    scene.look = std::move(legs.look);
    scene.fibres = std::move(legs.fibres);
    return scene;
}
bool isGlass(const Material& bead) {
    const auto* traits = std::get_if<BeadTraits>(&bead.traits);
    return traits && traits->metal == Metal::glass;
}
}  // namespace

namespace {

// One part into the scene, among its like. A thread and a head are built of all that lies under them, at the end.
struct IntoScene {
    Scene& scene;
    const SceneBuild& build;
    std::size_t i;

    void operator()(const TagPlan& tag) const { scene.bodies.push_back(tagScene(build, i, tag)); }
    void operator()(const TailPlan& tail) const {
        if (tail.style == TailStyle::plume)
            scene.tails.push_back(plumeTailScene(build, i, tail));
        else if (tail.style == TailStyle::cloak)
            scene.tails.push_back(cloakTailScene(build, i, tail));
        else if (tail.slip)
            scene.wings.push_back(slipTailScene(build, i, tail));
        else
            scene.tails.push_back(tailScene(build, i, tail));
    }
    void operator()(const PiecePlan& piece) const {
        if (build.plan.parts[i].kind == PartKind::cheek)
            scene.cheeks.push_back(cheekScene(build, i, piece));
        else
            scene.hackles.push_back(asHackle(legsScene(build, i, piece)));
    }
    void operator()(const BodyPlan& body) const { scene.bodies.push_back(bodyScene(build, i, body)); }
    void operator()(const RibPlan& rib) const { scene.ribs.push_back(ribScene(build, i, rib)); }
    void operator()(const PalmerPlan& palmer) const { scene.hackles.push_back(palmerScene(build, i, palmer)); }
    void operator()(const HacklePlan& collar) const { scene.hackles.push_back(collarScene(build, i, collar)); }
    void operator()(const WingPlan& wing) const { scene.wings.push_back(wingScene(build, i, wing)); }
    void operator()(const BeadPlan& bead) const {
        const PartPlan& part = build.plan.parts[i];
        scene.beads.push_back({i, part.station / mm + bead.diameter / mm / 2.0, bead.diameter / mm / 2.0,
                               baseColour(part.made, {0.72, 0.55, 0.22}), isGlass(part.made)});
    }
    void operator()(const OneOf<UnderbodyPlan, ThreadPlan, HeadPlan, Impossible> auto&) const {}
};

}  // namespace

Scene makeScene(const Plan& plan) {
    Scene scene;
    scene.axis = Axis(plan.hook);
    scene.hook = hookScene(plan.hook);
    SceneBuild build{plan, scene.axis, seedOf(plan.pattern.id)};
    // A wing that lies low presses the hackle under it; one that stands leaves it as it is.
    build.winged = std::ranges::any_of(plan.parts, [](const PartPlan& p) {
        const auto* wing = std::get_if<WingPlan>(&p.detail);
        return wing && wing->style != WingStyle::upright && wing->lift < Angle::degrees(20.0);
    });
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        std::visit(IntoScene{scene, build, i}, plan.parts[i].detail);
    }
    for (BodyScene& body : scene.bodies) {
        if (body.surface != Surface::fur) continue;
        for (const RibScene& rib : scene.ribs)
            for (const auto& turn : rib.turns)
                if (turn.station > body.front && turn.station < body.end) body.dips.push_back(turn.station);
    }
    scene.bed = bedScene(build);
    scene.head = headScene(build);
    measureExtent(scene);
    return scene;
}

}  // namespace machair
