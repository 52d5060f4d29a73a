// Wind, wave and drift: models.md section 9. Rules of thumb where it says so.
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "units/names.h"
#include "units/quantity.h"

namespace machair {

enum class WaveClass { calm, ripple, wave, bigWave };
template <>
struct Names<WaveClass> {
    static constexpr std::array entries = {NameOf{WaveClass::calm, "calm"}, NameOf{WaveClass::ripple, "ripple"},
                                           NameOf{WaveClass::wave, "wave"}, NameOf{WaveClass::bigWave, "big_wave"}};
};

// How fast a boat drifts through the water, as a share of the wind: a rule of thumb, or one's own boat (daybook/boat.h).
struct BoatDrift {
    double open = 0.035;
    double drogue = 0.018;  // with one out
};

struct Wind {
    Speed speed;   // 0 to 60 m/s
    Length fetch;  // 0 to 500 km
    bool drogue = false;
};

struct Sea {
    Length height;
    Time period;
    Speed surface;  // of the water in it
    Time builds;    // the wind must have blown so long
    Speed drift;    // of the boat, through the top metre of the water
    WaveClass kind = WaveClass::calm;
    std::vector<std::string> cautions;  // one always
};
[[nodiscard]] Sea seaUnder(const Wind& wind, const BoatDrift& boat = {});
[[nodiscard]] WaveClass seaClass(Length waveHeight);

// Beaufort's scale, 0 to 12: the force of a wind, and the middle of a force.
[[nodiscard]] int beaufort(Speed wind);
[[nodiscard]] Speed windOfForce(int force);
[[nodiscard]] std::string_view windWords(int force);  // "a gentle breeze"

}  // namespace machair
