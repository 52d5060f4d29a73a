#include "scene/between.h"

#include <cmath>
#include <cstddef>

namespace machair {

namespace {

Vec3 mixed(Vec3 to, Vec3 from, double left) { return to + left * (from - to); }

void mixFibres(std::vector<Fibre>& to, const std::vector<Fibre>& from, double left) {
    if (to.size() != from.size()) return;
    for (std::size_t i = 0; i < to.size(); ++i) {
        for (std::size_t k = 0; k < to[i].curve.size(); ++k)
            to[i].curve[k] = mixed(to[i].curve[k], from[i].curve[k], left);
        to[i].length = std::lerp(to[i].length, from[i].length, left);
    }
}

void mix(TailScene& to, const TailScene& from, double left) { mixFibres(to.fibres, from.fibres, left); }
void mix(HackleScene& to, const HackleScene& from, double left) { mixFibres(to.fibres, from.fibres, left); }
void mix(BodyScene& to, const BodyScene& from, double left) {
    to.front = std::lerp(to.front, from.front, left);
    to.end = std::lerp(to.end, from.end, left);
    if (to.radii.size() != from.radii.size()) return;
    for (std::size_t i = 0; i < to.radii.size(); ++i)
        to.radii[i] = std::lerp(to.radii[i], from.radii[i], left);
}
void mix(WingScene& to, const WingScene& from, double left) {
    mix(to.bunch, from.bunch, left);
    to.length = std::lerp(to.length, from.length, left);
    to.depth = std::lerp(to.depth, from.depth, left);
    to.root = mixed(to.root, from.root, left);
}

template <class Part>
void mixAll(std::vector<Part>& to, const std::vector<Part>& from, double left) {
    if (to.size() != from.size()) return;
    for (std::size_t i = 0; i < to.size(); ++i)
        if (to[i].part == from[i].part) mix(to[i], from[i], left);
}

}  // namespace

Scene between(const Scene& from, const Scene& to, double left) {
    Scene scene = to;
    mixAll(scene.tails, from.tails, left);
    mixAll(scene.hackles, from.hackles, left);
    mixAll(scene.bodies, from.bodies, left);
    mixAll(scene.wings, from.wings, left);
    return scene;
}

}  // namespace machair
