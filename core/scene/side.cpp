#include "scene/side.h"

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

}  // namespace

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
