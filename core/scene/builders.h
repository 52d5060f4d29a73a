// The makers of a scene's parts: inside scene only.
#pragma once

#include "scene/scene.h"

namespace machair {

[[nodiscard]] constexpr double radians(double degrees) { return degrees * kPi / 180.0; }

struct SceneBuild {
    const Plan& plan;
    const Axis& axis;
    std::uint64_t seed;
    bool winged = false;
    [[nodiscard]] std::uint64_t partSeed(std::size_t part) const { return seedOf(seed, 1000 + part); }
};

[[nodiscard]] Lab baseColour(const Material& material, Rgb usual);
[[nodiscard]] Marking markingOf(const Material& made);  // its own, or its kind's: flank is mottled

[[nodiscard]] TailScene tailScene(const SceneBuild& build, std::size_t part, const TailPlan& tail);
[[nodiscard]] HackleScene collarScene(const SceneBuild& build, std::size_t part, const HacklePlan& hackle);
[[nodiscard]] HackleScene palmerScene(const SceneBuild& build, std::size_t part, const PalmerPlan& palmer);
[[nodiscard]] TailScene bunchScene(const SceneBuild& build, std::size_t part, const WingPlan& wing);
[[nodiscard]] TailScene plumeTailScene(const SceneBuild& build, std::size_t part, const TailPlan& tail);
[[nodiscard]] TailScene plumeWingScene(const SceneBuild& build, std::size_t part, const WingPlan& wing);
[[nodiscard]] TailScene tipsScene(const SceneBuild& build, std::size_t part, const WingPlan& wing);
[[nodiscard]] TailScene cloakScene(const SceneBuild& build, std::size_t part, const WingPlan& wing);
[[nodiscard]] TailScene cloakTailScene(const SceneBuild& build, std::size_t part, const TailPlan& tail);
[[nodiscard]] TailScene legsScene(const SceneBuild& build, std::size_t part, const PiecePlan& legs);
[[nodiscard]] WingScene slipTailScene(const SceneBuild& build, std::size_t part, const TailPlan& tail);
[[nodiscard]] BodyScene tagScene(const SceneBuild& build, std::size_t part, const TagPlan& tag);
[[nodiscard]] CheekScene cheekScene(const SceneBuild& build, std::size_t part, const PiecePlan& cheek);
[[nodiscard]] WingScene wingScene(const SceneBuild& build, std::size_t part, const WingPlan& wing);
[[nodiscard]] HookScene hookScene(const Hook& hook);
// How far a scene reaches in the picture, written into it.
void measureExtent(Scene& scene);

}  // namespace machair
