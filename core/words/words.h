// Bench words: any length or station on a hook said in landmarks, as tiers say it, and read back.
//
// A phrase is right to within kPhraseTolerance of the number (closer for short lengths) or says how far off it is.
// tests/core/words_test.cpp holds words and number together over random hooks.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "hook/hook.h"

namespace machair {

inline constexpr Length kPhraseTolerance = 0.25 * mm;

struct Said {
    std::string text;
    Length stands;  // the length or station that the words stand for on this hook
};

// "as long as the shank", "two thirds of the gape", "twice the gape, less 0.4 mm".
[[nodiscard]] Said sayLength(Length length, const Hook& hook);

// A place on the shank: "opposite the point", "a third of the way back from the eye", "0.4 mm ahead of the barb".
[[nodiscard]] Said sayStation(Length station, const Hook& hook);

// Where tips end, by x in the profile: "to the point", "0.4 mm past the barb", "0.8 mm short of the bend".
[[nodiscard]] Said sayReach(Length x, const Hook& hook);

// The same phrases read back on this hook; nothing where the words are not understood.
[[nodiscard]] std::optional<Length> readLength(std::string_view phrase, const Hook& hook);
[[nodiscard]] std::optional<Length> readStation(std::string_view phrase, const Hook& hook);
[[nodiscard]] std::optional<Length> readReach(std::string_view phrase, const Hook& hook);

}  // namespace machair
