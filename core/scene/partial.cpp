#include "scene/partial.h"

#include <algorithm>

namespace machair {

namespace {

// Bare thread where the body isn't yet.
BodyScene threadBed(const Scene& whole, const Plan& plan) {
    BodyScene bed;
    bed.surface = Surface::thread;
    bed.front = whole.bed.end > 0.0 ? std::min(whole.bed.end, plan.bodyEnd / mm) : 1.0;
    bed.end = plan.bodyEnd / mm;
    bed.colour = whole.bed.colour;
    bed.pitch = whole.bed.pitch;
    bed.seed = whole.bed.seed;
    constexpr int kRadii = 12;
    for (int i = 0; i < kRadii; ++i)
        bed.radii.push_back(0.5 * ((plan.hook.wire() + 2.0 * plan.thread.thickness) / mm));
    return bed;
}

}  // namespace

Scene tiedSoFar(const Scene& whole, const Plan& plan, const TiedSoFar& so) {
    Scene scene = whole;
    const auto waiting = [&](std::size_t part) { return part >= so.parts.size() || !so.parts[part]; };
    const auto drop = [&](auto& list) { std::erase_if(list, [&](const auto& item) { return waiting(item.part); }); };
    drop(scene.tails);
    drop(scene.bodies);
    drop(scene.ribs);
    drop(scene.hackles);
    drop(scene.cheeks);
    drop(scene.wings);
    drop(scene.beads);
    if (so.bed && scene.bodies.empty() && plan.bodyEnd > Length{}) scene.bodies.push_back(threadBed(whole, plan));
    if (!so.bed) scene.bed.front = scene.bed.end = 0.0;
    if (!so.head) {
        // The head's place is bed until it is wound.
        if (so.bed) scene.bed.front = scene.head.front;
        scene.head.varnished = false;
        scene.head.end = scene.head.front;
    }
    // What there is to see: without hackle, wing and tail the fly is a hook with something wound on it.
    constexpr double kLow = 2.5;  // mm above the shank that a bare body may take
    if (scene.hackles.empty() && scene.wings.empty() && scene.tails.empty()) {
        scene.top = std::min(scene.top, kLow);
        scene.bottom = std::max(scene.bottom, -(plan.hook.pointDepth() / mm) - 1.0);
    }
    if (scene.tails.empty() && scene.wings.empty()) scene.right = std::min(scene.right, plan.hook.landmarkX(Landmark::rearmost) / mm + 1.0);
    return scene;
}

}  // namespace machair
