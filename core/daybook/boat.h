// The boat's own drift, from days on which it was timed (models.md section 9).
#pragma once

#include <string>

#include "book/book.h"
#include "water/sea.h"

namespace machair {

struct BoatLearned {
    BoatDrift drift;  // shares of the wind, the rule of thumb where no day was timed
    int days = 0;     // that were timed without a drogue, and with one
    int drogueDays = 0;
    [[nodiscard]] bool empty() const { return days == 0 && drogueDays == 0; }
    // "your boat: 0.031 of the wind on 6 days (a usual one 0.035)"; empty where nothing was timed.
    [[nodiscard]] std::string words() const;
};

// Of days whose wind (from 1 m/s, under which the eye and the vane disagree) and drift are written down. The mean of their
// shares, with the rule of thumb worth three days beside them.
[[nodiscard]] BoatLearned learnedDrift(const Book& book);

// The wind of a water's day: none where it isn't said.
[[nodiscard]] Wind windOf(const WaterSpec& water);
// What the boat was seen to do, where the water asks for its own; nothing learned otherwise.
[[nodiscard]] BoatLearned boatOf(const Book& book, const WaterSpec& water);

// The sea of a water's day, its boat as its owner's days have it where the water says so. A calm without a wind or fetch.
[[nodiscard]] Sea seaOf(const Book& book, const WaterSpec& water);

}  // namespace machair
