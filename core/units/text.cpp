#include "units/text.h"

#include <array>
#include <charconv>
#include <cmath>
#include <cstdlib>
#include <numeric>

namespace machair {

namespace {

std::string fixedText(double value, int decimals) {
    std::array<char, 400> buffer{};
    const auto end = std::to_chars(buffer.data(), buffer.data() + buffer.size(), value, std::chars_format::fixed, decimals);
    return {buffer.data(), end.ptr};
}

// "1 1/2" or "15/32" or "0.46".
std::optional<double> parseMixedNumber(std::string_view text) {
    const auto slash = text.find('/');
    if (slash == std::string_view::npos) return parseNumber(text);
    std::string_view numerator = trimmed(text.substr(0, slash));
    double whole = 0.0;
    if (const auto blank = numerator.rfind(' '); blank != std::string_view::npos) {
        const auto parsed = parseNumber(numerator.substr(0, blank));
        if (!parsed) return std::nullopt;
        whole = *parsed;
        numerator = numerator.substr(blank + 1);
    }
    const auto top = parseNumber(numerator);
    const auto bottom = parseNumber(text.substr(slash + 1));
    if (!top || !bottom || *bottom <= 0.0) return std::nullopt;
    return whole + *top / *bottom;
}

std::string formatInches(Length length) {
    constexpr int kParts = 64;
    const double parts = std::round(length / inch * kParts);
    if (std::abs(parts) > 1e9) return formatNumber(length / inch, 2) + " in";
    const auto total = static_cast<long>(parts);
    const long whole = std::labs(total) / kParts;
    const long rest = std::labs(total) % kParts;
    std::string text = total < 0 ? "-" : "";
    if (rest == 0) return text + std::to_string(whole) + " in";
    const long divisor = std::gcd(rest, static_cast<long>(kParts));
    if (whole > 0) text += std::to_string(whole) + " ";
    return text + std::to_string(rest / divisor) + "/" + std::to_string(kParts / divisor) + " in";
}

}  // namespace

std::string_view trimmed(std::string_view text) {
    constexpr std::string_view kBlanks = " \t\r\n";
    const auto first = text.find_first_not_of(kBlanks);
    if (first == std::string_view::npos) return {};
    return text.substr(first, text.find_last_not_of(kBlanks) - first + 1);
}

std::optional<double> parseNumber(std::string_view text) {
    text = trimmed(text);
    double value = 0.0;
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), value);
    if (error != std::errc{} || end != text.data() + text.size() || !std::isfinite(value)) return std::nullopt;
    return value;
}

std::string formatNumber(double value, int decimals) {
    std::string text = fixedText(value, decimals);
    if (text.front() == '-' && text.find_first_of("123456789") == std::string::npos) text.erase(0, 1);
    return text;
}

std::string formatShort(double value, int decimals) {
    std::string text = formatNumber(value, decimals);
    if (text.find('.') == std::string::npos) return text;
    text.erase(text.find_last_not_of('0') + 1);
    if (text.back() == '.') text.pop_back();
    return text;
}

std::string formatExact(double value) {
    std::array<char, 64> buffer{};
    const auto end = std::to_chars(buffer.data(), buffer.data() + buffer.size(), value);
    return {buffer.data(), end.ptr};
}

std::string formatLength(Length length, LengthUnit unit, int decimals) {
    if (unit == LengthUnit::inches) return formatInches(length);
    return formatNumber(length / mm, decimals) + " mm";
}

std::optional<Length> parseLength(std::string_view text) {
    struct Suffix {
        std::string_view text;
        Length unit;
    };
    constexpr std::array kSuffixes = {Suffix{"mm", mm},   Suffix{"cm", 10.0 * mm}, Suffix{"inches", inch}, Suffix{"inch", inch},
                                      Suffix{"in", inch}, Suffix{"\"", inch},      Suffix{"″", inch}};
    text = trimmed(text);
    Length unit = mm;
    for (const auto& suffix : kSuffixes) {
        if (!text.ends_with(suffix.text)) continue;
        text = trimmed(text.substr(0, text.size() - suffix.text.size()));
        unit = suffix.unit;
        break;
    }
    const auto value = parseMixedNumber(text);
    if (!value) return std::nullopt;
    return *value * unit;
}

}  // namespace machair
