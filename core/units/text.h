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

// What a house says its lengths in. Inches are to the nearest 1/64 in lowest terms; what is shorter than 5/32 in (where 1/64
// would be a tenth of it) is said as a decimal all the same.
enum class LengthUnit { millimetres, inches, decimalInches };

// "11.7 mm", "15/32 in" or "0.461 in". `decimals` are those of millimetres; an inch has two more.
[[nodiscard]] std::string formatLength(Length length, LengthUnit unit = LengthUnit::millimetres, int decimals = 1);
[[nodiscard]] std::string_view nameOf(LengthUnit unit);  // "mm" or "in"

// A sentence with its millimetres in another unit: "11.7 mm" becomes "15/32 in", and "1.2 to 1.4 mm" (or joined by –, →, ±, or)
// a range of inches, a label's
// "gape, mm" is "gape, in". Waters and leaders stay in metres and centimetres; "12 px a mm" and "mm³" are no lengths.
[[nodiscard]] std::string inUnit(std::string_view said, LengthUnit unit);

// Reads "11.7", "11.7 mm", "1.2 cm", "15/32 in", "1 1/2 in", "0.46\"". A bare number is in `bare`.
[[nodiscard]] std::optional<Length> parseLength(std::string_view text, LengthUnit bare = LengthUnit::millimetres);

// "2026-05-02": a day of the calendar.
[[nodiscard]] bool isDate(std::string_view text);

[[nodiscard]] std::string_view trimmed(std::string_view text);

}  // namespace machair
