// Text from elsewhere: whatever bytes a spreadsheet or a browser wrote, as UTF-8.
#pragma once

#include <string>
#include <string_view>

namespace machair::store {

enum class Encoding { utf8, utf16, windows1252 };

struct DecodedText {
    std::string text;  // UTF-8 (RFC 3629: no overlong forms, no surrogates), without a byte order mark
    Encoding encoding = Encoding::utf8;
};

// UTF-8 where it is that; UTF-16 where it begins with that mark; else Windows-1252, which western spreadsheets write and
// in which every byte means something (its five unused ones become U+FFFD). Half a UTF-16 pair becomes U+FFFD too.
[[nodiscard]] DecodedText decodeText(std::string_view bytes);

[[nodiscard]] bool isUtf8(std::string_view bytes);

// At most `most` bytes of UTF-8, and never half a character.
[[nodiscard]] std::string_view shortened(std::string_view text, std::size_t most);

// "UTF-8", "UTF-16", "Windows-1252".
[[nodiscard]] std::string_view nameOf(Encoding encoding);

}  // namespace machair::store
