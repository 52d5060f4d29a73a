// How an answer of a school stands in a part, and how it is known there again. Inside book only.
#pragma once

#include <optional>

#include "book/book.h"
#include "book/schools.h"
#include "colour/colour.h"

namespace machair {

inline constexpr int kThreeLayers = 3, kFourLayers = 4, kHeavyLayers = 6;
inline constexpr double kRaised = 70.0, kCoverLength = 0.35;
inline constexpr Lab kGold{0.72, 0.015, 0.10}, kSilver{0.79, 0.0, -0.005};

[[nodiscard]] LengthSpec reachOf(ReachSchool school);
[[nodiscard]] LengthSpec reachOf(WingReach school);
[[nodiscard]] std::optional<LengthSpec> lengthOf(TailSchool school);  // nothing for taste
// By what it is measured against, whatever the share.
[[nodiscard]] TailSchool tailSchoolOf(const LengthSpec& length);

[[nodiscard]] bool isMetal(const Material& made);
// Copper, bronze and the coloured ones are neither gold nor silver.
[[nodiscard]] bool isOf(const Material& metal, MetalSchool school);
[[nodiscard]] bool isSynthetic(const DubbingTraits& fur);
[[nodiscard]] Lab mainColourOf(const Material& made);  // a middling grey where none is written
// Index among the body sections of the one of tinsel.
[[nodiscard]] std::optional<std::size_t> tinselSection(const Book& book, const Pattern& pattern);

}  // namespace machair
