// Numbers and lengths as text, the same under every locale. For people: rounded, in mm or inches.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "units/quantity.h"

namespace machair {

// A finite number that is the whole of `text` (blanks around it allowed); nothing for NaN, infinity or trailing text.
[[nodiscard]] std::optional<double> parseNumber(std::string_view text);

// Correctly rounded to `decimals` places; "-0.0" becomes "0.0".
[[nodiscard]] std::string formatNumber(double value, int decimals);

// As short as it can be with at most `decimals` places: "3", "2.5".
[[nodiscard]] std::string formatShort(double value, int decimals);

// The shortest text that reads back as the same double.
[[nodiscard]] std::string formatExact(double value);

enum class LengthUnit { millimetres, inches };

// "11.7 mm", or inches to the nearest 1/64 in lowest terms: "15/32 in".
[[nodiscard]] std::string formatLength(Length length, LengthUnit unit = LengthUnit::millimetres, int decimals = 1);

// Reads "11.7", "11.7 mm", "1.2 cm", "15/32 in", "1 1/2 in", "0.46\"". A bare number is millimetres.
[[nodiscard]] std::optional<Length> parseLength(std::string_view text);

[[nodiscard]] std::string_view trimmed(std::string_view text);

}  // namespace machair
