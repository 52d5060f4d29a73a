// The words that recipes are made of: numbers, colours, what things are made of (catalogue section 10). Inside store only.
#pragma once

#include <algorithm>
#include <array>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "dressing/pattern.h"

namespace machair::store {

template <std::size_t N>
[[nodiscard]] bool isOneOf(const std::array<std::string_view, N>& list, std::string_view word) {
    return std::ranges::find(list, word) != list.end();
}

// A word or a number of a text, in lower case, with its bytes in it.
struct Word {
    std::string text;
    std::size_t from = 0;
    std::size_t to = 0;
    bool dashed = false;  // a dash alone stands between it and the word before
    bool used = false;    // understood by somebody
};
[[nodiscard]] std::vector<Word> wordsIn(std::string_view text, std::size_t offset = 0);
[[nodiscard]] std::string lowered(std::string_view text);

// "5", "½", "1 1/2", "two and a half", "2-3", "two or three", "a dozen", "a pair", "3 or so". How many words it took.
struct CountRead {
    Count count;
    std::size_t words = 0;
    bool about = false;  // "or so"
};
[[nodiscard]] std::optional<CountRead> countAt(const std::vector<Word>& words, std::size_t i);

[[nodiscard]] bool isColour(std::string_view word);
[[nodiscard]] std::optional<std::string> colourCode(std::string_view word);  // "#rrggbb"
[[nodiscard]] bool isBird(std::string_view word);
[[nodiscard]] bool isFiller(std::string_view word);          // says nothing by itself: "of", "the", "wound"
[[nodiscard]] bool isVague(std::string_view word);           // a word for a count: "few", "pinch", "sparse"
[[nodiscard]] bool isPlaceOfFeather(std::string_view word);  // "covert", "breast"
[[nodiscard]] bool isSoftAdjective(std::string_view word);   // chooses among materials, is no doubt where none has it

// What a noun means for a part; nothing where it is none, or where two are possible.
[[nodiscard]] std::optional<MaterialKind> kindOfNoun(std::string_view noun, PartKind part);
// What a bird or beast alone means for a part ("teal" in a wing).
[[nodiscard]] std::optional<MaterialKind> kindOfBird(std::string_view bird, PartKind part);

// The part that a heading means, in the singular or plural, old names too; which of the wings, where it says.
struct PartHeading {
    PartKind kind = PartKind::body;
    bool ask = false;  // "legs, feet": throat or hackle
    std::optional<WingPosition> wing = {};
};
[[nodiscard]] std::optional<PartHeading> partHeading(std::string_view words);
enum class OtherHeading { name, hook, thread, note };
[[nodiscard]] std::optional<OtherHeading> otherHeading(std::string_view words);

}  // namespace machair::store
