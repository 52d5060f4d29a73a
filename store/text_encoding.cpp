#include "store/text_encoding.h"

#include <array>
#include <cstddef>
#include <cstdint>

namespace machair::store {

namespace {

constexpr char32_t kUnknown = 0xFFFD;

void put(std::string& text, char32_t c) {
    const auto byte = [&](char32_t value) { text += static_cast<char>(value); };
    if (c < 0x80) {
        byte(c);
    } else if (c < 0x800) {
        byte(0xC0 | c >> 6);
        byte(0x80 | (c & 0x3F));
    } else if (c < 0x10000) {
        byte(0xE0 | c >> 12);
        byte(0x80 | (c >> 6 & 0x3F));
        byte(0x80 | (c & 0x3F));
    } else {
        byte(0xF0 | c >> 18);
        byte(0x80 | (c >> 12 & 0x3F));
        byte(0x80 | (c >> 6 & 0x3F));
        byte(0x80 | (c & 0x3F));
    }
}

// 0x80 to 0x9F of Windows-1252 (the WHATWG's and Unicode's table); the rest is Latin-1.
constexpr std::array<char32_t, 32> kWindows = {
    0x20AC,   kUnknown, 0x201A, 0x0192, 0x201E, 0x2026, 0x2020, 0x2021, 0x02C6, 0x2030, 0x0160, 0x2039, 0x0152, kUnknown, 0x017D, kUnknown,
    kUnknown, 0x2018,   0x2019, 0x201C, 0x201D, 0x2022, 0x2013, 0x2014, 0x02DC, 0x2122, 0x0161, 0x203A, 0x0153, kUnknown, 0x017E, 0x0178};

std::string fromWindows1252(std::string_view bytes) {
    std::string text;
    text.reserve(bytes.size() + bytes.size() / 8);
    for (const char c : bytes) {
        const auto byte = static_cast<unsigned char>(c);
        put(text, byte >= 0x80 && byte < 0xA0 ? kWindows[byte - 0x80U] : char32_t{byte});
    }
    return text;
}

std::string fromUtf16(std::string_view bytes, bool bigEndian) {
    std::string text;
    const auto unit = [&](std::size_t at) {
        const auto first = static_cast<unsigned char>(bytes[at]), second = static_cast<unsigned char>(bytes[at + 1]);
        return static_cast<char32_t>(bigEndian ? first << 8 | second : second << 8 | first);
    };
    for (std::size_t i = 0; i + 1 < bytes.size(); i += 2) {
        const char32_t c = unit(i);
        if (c < 0xD800 || c > 0xDFFF) {
            put(text, c);
        } else if (c < 0xDC00 && i + 3 < bytes.size() && unit(i + 2) >= 0xDC00 && unit(i + 2) <= 0xDFFF) {
            put(text, 0x10000 + ((c - 0xD800) << 10) + (unit(i + 2) - 0xDC00));
            i += 2;
        } else {
            put(text, kUnknown);
        }
    }
    return text;
}

}  // namespace

bool isUtf8(std::string_view bytes) {
    for (std::size_t i = 0; i < bytes.size();) {
        const auto first = static_cast<unsigned char>(bytes[i]);
        std::size_t more = 0;
        char32_t least = 0, c = first;
        if (first >= 0x80) {
            if (first >= 0xC2 && first < 0xE0) {
                more = 1, least = 0x80, c = first & 0x1F;
            } else if (first >= 0xE0 && first < 0xF0) {
                more = 2, least = 0x800, c = first & 0x0F;
            } else if (first >= 0xF0 && first < 0xF5) {
                more = 3, least = 0x10000, c = first & 0x07;
            } else {
                return false;
            }
        }
        if (more >= bytes.size() - i) return false;
        for (std::size_t k = 1; k <= more; ++k) {
            const auto next = static_cast<unsigned char>(bytes[i + k]);
            if ((next & 0xC0) != 0x80) return false;
            c = c << 6 | (next & 0x3F);
        }
        if (c < least || c > 0x10FFFF || (c >= 0xD800 && c <= 0xDFFF)) return false;
        i += more + 1;
    }
    return true;
}

DecodedText decodeText(std::string_view bytes) {
    if (bytes.starts_with("\xff\xfe")) return {fromUtf16(bytes.substr(2), false), Encoding::utf16};
    if (bytes.starts_with("\xfe\xff")) return {fromUtf16(bytes.substr(2), true), Encoding::utf16};
    if (isUtf8(bytes)) return {std::string(bytes.starts_with("\xef\xbb\xbf") ? bytes.substr(3) : bytes), Encoding::utf8};
    return {fromWindows1252(bytes), Encoding::windows1252};
}

std::string_view shortened(std::string_view text, std::size_t most) {
    if (text.size() <= most) return text;
    while (most > 0 && (static_cast<unsigned char>(text[most]) & 0xC0) == 0x80)
        --most;
    return text.substr(0, most);
}

std::string_view nameOf(Encoding encoding) {
    switch (encoding) {
        case Encoding::utf8: return "UTF-8";
        case Encoding::utf16: return "UTF-16";
        case Encoding::windows1252: return "Windows-1252";
    }
    return "";
}

}  // namespace machair::store
