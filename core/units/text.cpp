#include "units/text.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <charconv>
#include <chrono>
#include <cmath>
#include <cstdlib>
#include <numeric>

#include "language/say.h"

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

// Inches to the nearest 1/64, without their unit.
std::string sixtyFourths(Length length) {
    constexpr int kParts = 64;
    const auto total = static_cast<long>(std::round(length / inch * kParts));
    const long whole = std::labs(total) / kParts;
    const long rest = std::labs(total) % kParts;
    std::string text = total < 0 ? "-" : "";
    if (rest == 0) return text + std::to_string(whole);
    const long divisor = std::gcd(rest, static_cast<long>(kParts));
    if (whole > 0) text += std::to_string(whole) + " ";
    return text + std::to_string(rest / divisor) + "/" + std::to_string(kParts / divisor);
}

std::string figureIn(Length length, LengthUnit unit, int decimals) {
    constexpr Length kShort = 5.0 / 32.0 * inch, kLong = 1e6 * inch;
    switch (unit) {
        case LengthUnit::millimetres: return formatNumber(length / mm, decimals);
        case LengthUnit::inches:
            if (abs(length) >= kShort && abs(length) < kLong) return sixtyFourths(length);
            [[fallthrough]];
        case LengthUnit::decimalInches: return formatNumber(length / inch, decimals + 2);
    }
    return {};
}

bool isDigit(char c) { return c >= '0' && c <= '9'; }

// A number that ends where `said` does, and what may join it to one before it.
std::size_t numberBefore(std::string_view said) {
    std::size_t from = said.size();
    while (from > 0 && (isDigit(said[from - 1]) || (said[from - 1] == '.' && from < said.size())))
        --from;
    if (from == said.size()) return from;
    if (from > 0 && said[from - 1] == '-' && (from == 1 || !isDigit(said[from - 2]))) --from;
    return from;
}
std::string joinerBefore(std::string_view said) {
    for (const std::string& joiner : {say(" to "), say(" or "), std::string("–"), std::string(" → "), std::string(" ± ")})
        if (said.ends_with(joiner) && said.size() > joiner.size() && isDigit(said[said.size() - joiner.size() - 1])) return joiner;
    return {};
}

// Whether "mm" stands at the start of `text` as a word of its own.
bool saysMillimetres(std::string_view text) {
    if (!text.starts_with("mm")) return false;
    const std::string_view after = text.substr(2);
    constexpr unsigned char kSuperscript = 0xc2;  // ² and ³ begin with it in UTF-8
    const auto next = static_cast<unsigned char>(after.empty() ? ' ' : after.front());
    return !(std::isalnum(next) || next == '/' || (next == kSuperscript && after.size() > 1 && after[1] != '\xa0'));
}

int decimalsOf(std::string_view number) {
    const auto point = number.find('.');
    return point == std::string_view::npos ? 0 : static_cast<int>(number.size() - point - 1);
}

std::string inchesOf(std::string_view millimetres, LengthUnit unit) {
    return figureIn(parseNumber(millimetres).value_or(0.0) * mm, unit, decimalsOf(millimetres));
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
    return figureIn(length, unit, decimals) + " " + std::string(nameOf(unit));
}

std::string_view nameOf(LengthUnit unit) { return unit == LengthUnit::millimetres ? "mm" : "in"; }

std::string inUnit(std::string_view said, LengthUnit unit) {
    if (unit == LengthUnit::millimetres) return std::string(said);
    std::string text;
    std::size_t taken = 0;  // of `said`, into `text`
    for (std::size_t at = 1; at < said.size(); ++at) {
        if (!saysMillimetres(said.substr(at))) continue;
        constexpr std::string_view kNoBreak = "\xc2\xa0";
        const std::string_view before = said.substr(taken, at - taken);
        const std::size_t end = at - (before.ends_with(kNoBreak) ? kNoBreak.size() : before.ends_with(' ') ? 1 : 0);
        std::size_t from = taken + numberBefore(said.substr(taken, end - taken));
        if (from == end) continue;
        std::string figures = inchesOf(said.substr(from, end - from), unit);
        for (std::string joiner; !(joiner = joinerBefore(said.substr(taken, from - taken))).empty();) {
            const std::size_t until = from - joiner.size();
            from = taken + numberBefore(said.substr(taken, until - taken));
            figures = inchesOf(said.substr(from, until - from), unit) + joiner + figures;
        }
        text += std::string(said.substr(taken, from - taken)) + figures + " in";
        taken = at + 2;
        at = taken - 1;
    }
    text += said.substr(taken);
    constexpr std::string_view kNamed = ", mm";  // a label that names its unit
    if (text.ends_with(kNamed)) text.replace(text.size() - 2, 2, nameOf(unit));
    return text;
}

std::optional<Length> parseLength(std::string_view text, LengthUnit bare) {
    struct Suffix {
        std::string_view text;
        Length unit;
    };
    constexpr std::array kSuffixes = {Suffix{"mm", mm},   Suffix{"cm", 10.0 * mm}, Suffix{"inches", inch}, Suffix{"inch", inch},
                                      Suffix{"in", inch}, Suffix{"\"", inch},      Suffix{"″", inch}};
    text = trimmed(text);
    Length unit = bare == LengthUnit::millimetres ? mm : inch;
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

bool isDate(std::string_view text) {
    if (text.size() != 10 || text[4] != '-' || text[7] != '-') return false;
    const auto number = [&](std::size_t from, std::size_t count) {
        int value = 0;
        for (std::size_t i = from; i < from + count; ++i) {
            if (text[i] < '0' || text[i] > '9') return -1;
            value = 10 * value + (text[i] - '0');
        }
        return value;
    };
    const int year = number(0, 4), month = number(5, 2), day = number(8, 2);
    if (year < 0 || month < 1 || day < 1) return false;
    return std::chrono::year_month_day(std::chrono::year(year), std::chrono::month(static_cast<unsigned>(month)),
                                       std::chrono::day(static_cast<unsigned>(day)))
        .ok();
}

}  // namespace machair
