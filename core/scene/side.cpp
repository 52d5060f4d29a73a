#include "scene/side.h"

#include <algorithm>
#include <cmath>

#include "scene/builders.h"

namespace machair {

namespace {

Vec3 across(Vec3 v) { return {v.x, v.y, -v.z}; }

void turn(std::vector<Fibre>& fibres) {
    for (Fibre& fibre : fibres) {
        for (Vec3& point : fibre.curve)
            point = across(point);
        fibre.depth = -fibre.depth;
    }
}

// From above: what was up comes towards the viewer, what was towards him goes down.
Vec3 downOn(Vec3 v) { return {v.x, -v.z, v.y}; }
// Along the shank: the rear goes away from the viewer, what was towards him goes to the right.
Vec3 alongIt(Vec3 v) { return {v.z, v.y, -v.x}; }

using Rotation = Vec3 (*)(Vec3);

void rotate(std::vector<Fibre>& fibres, Rotation rotation) {
    constexpr double kDeep = 0.55;  // of the fibre: where a scene measures its depth
    for (Fibre& fibre : fibres) {
        std::ranges::transform(fibre.curve, fibre.curve.begin(), rotation);
        fibre.depth = pointOn(fibre.curve, kDeep).z;
    }
}

// A sheet that is folded over the back is made for the side that is seen: its other half is the same, across the shank.
void addFarHalf(std::vector<Fibre>& fibres) {
    constexpr double kToOneSide = 0.2;  // mm: the mean of a bunch that stands on the middle lies nearer to it
    double sum = 0.0;
    for (const Fibre& fibre : fibres)
        sum += fibre.curve[3].z;
    if (std::abs(sum) <= kToOneSide * static_cast<double>(fibres.size())) return;
    std::vector<Fibre> far = fibres;
    turn(far);
    fibres.insert(fibres.begin(), far.begin(), far.end());
}

// Seen from a side one half of a folded wing hides the other, and a pair's slips stand side by side.
std::vector<WingScene> bothHalves(const std::vector<WingScene>& wings) {
    constexpr double kRoof = 0.30, kSlipsRoof = 0.16;  // slips stand steeper than a fold
    std::vector<WingScene> halves;
    for (const WingScene& wing : wings) {
        if (wing.build == WingBuild::bunch) {
            addFarHalf(halves.emplace_back(wing).bunch.fibres);
            continue;
        }
        for (const double side : {-1.0, 1.0}) {
            WingScene half = wing;
            half.roof = side * (wing.build == WingBuild::slips ? kSlipsRoof : kRoof);
            half.pair = false;
            half.seed = side > 0.0 ? wing.seed : wing.seed ^ 0xa50full;
            halves.push_back(half);
        }
    }
    return halves;
}

std::vector<CheekScene> atBothSides(const std::vector<CheekScene>& cheeks) {
    std::vector<CheekScene> both;
    for (const CheekScene& cheek : cheeks) {
        CheekScene other = cheek;
        for (Vec3* v : {&other.root, &other.along, &other.up})
            *v = across(*v);
        both.push_back(other);
        both.push_back(cheek);
    }
    return both;
}

Scene rotated(const Scene& profile, Rotation rotation) {
    Scene scene = profile;
    scene.wings = bothHalves(profile.wings);
    scene.cheeks = atBothSides(profile.cheeks);
    scene.axis = profile.axis.rotated(rotation);
    for (HookScene::Step& step : scene.hook.line)
        step = {rotation(step.at), rotation(step.along), step.toTip};
    scene.hook.barb = false;  // cut into the wire's upper side: told by the profile
    scene.hook.eyeAxis = rotation(profile.hook.eyeAxis);
    scene.hook.eyeAcross = rotation({0.0, 0.0, 1.0});
    for (TailScene& tail : scene.tails) {
        addFarHalf(tail.fibres);
        rotate(tail.fibres, rotation);
    }
    for (HackleScene& hackle : scene.hackles)
        rotate(hackle.fibres, rotation);
    for (WingScene& wing : scene.wings) {
        rotate(wing.bunch.fibres, rotation);
        for (Vec3* v : {&wing.root, &wing.along, &wing.up})
            *v = rotation(*v);
    }
    for (CheekScene& cheek : scene.cheeks)
        for (Vec3* v : {&cheek.root, &cheek.along, &cheek.up})
            *v = rotation(*v);
    return scene;
}

}  // namespace

Scene fromAbove(const Scene& profile) {
    Scene scene = rotated(profile, downOn);
    constexpr double kQuarter = kPi / 2.0;
    for (HackleScene& hackle : scene.hackles)
        for (HackleScene::StemStep& step : hackle.stem)
            step.angle += kQuarter;
    // The half of a turn that is seen from above is a quarter of a turn on.
    for (RibScene& rib : scene.ribs)
        for (RibScene::Turn& turn : rib.turns)
            turn.station += rib.hand * turn.pitch / 4.0;
    measureExtent(scene);
    return scene;
}

Scene fromTheEye(const Scene& profile) {
    Scene scene = rotated(profile, alongIt);
    scene.endOn = true;
    // Nothing of a collar is behind the fly from here.
    for (HackleScene& hackle : scene.hackles)
        for (Fibre& fibre : hackle.fibres)
            fibre.depth = std::max(0.0, fibre.depth);
    measureExtent(scene);
    return scene;
}

Scene nearForFar(Scene scene) {
    for (TailScene& tail : scene.tails)
        turn(tail.fibres);
    for (HackleScene& hackle : scene.hackles) {
        turn(hackle.fibres);
        for (HackleScene::StemStep& step : hackle.stem)
            step.angle = -step.angle;
    }
    for (BodyScene& body : scene.bodies)
        body.hand = -body.hand;
    for (RibScene& rib : scene.ribs)
        rib.hand = -rib.hand;
    for (WingScene& wing : scene.wings) {
        turn(wing.bunch.fibres);
        wing.root = across(wing.root);
        wing.along = across(wing.along);
        wing.up = across(wing.up);
    }
    return scene;
}

}  // namespace machair
