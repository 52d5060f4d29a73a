// Ask any number, of what is not a fly's: the day's wave and drift, how deep a fly is at a moment, how far a material lasts.
#pragma once

#include <array>
#include <string>

#include "asking/asking.h"
#include "cutting/stock.h"
#include "leader/drift.h"
#include "water/sea.h"

namespace machair {

enum class SeaTerm { height, period, builds, drift };
inline constexpr std::array kSeaTerms = {SeaTerm::height, SeaTerm::period, SeaTerm::builds, SeaTerm::drift};

// `ownDays`: of so many days the boat's own share of the wind was learned; none where it is the rule of thumb.
[[nodiscard]] Derivation ask(const Wind& wind, const BoatDrift& boat, int ownDays, SeaTerm term);

// How deep the fly at a place is at a moment of a run; nothing where none is in the water then.
[[nodiscard]] std::optional<Derivation> ask(const DriftReport& run, const TeamReport& team, Position place, Time at);

[[nodiscard]] Derivation ask(const StockWanted& stock);

// Their part of the guide's chapter.
[[nodiscard]] std::string whereTheDaysNumbersComeFrom();

}  // namespace machair
