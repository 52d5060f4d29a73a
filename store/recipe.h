// A dressing from recipe text in whatever manner it is printed (recipe_layout.h), and written as such text, Markdown and HTML.
//
//   Kelp Lantern
//   Hook: wet, size 10
//   Tail: ten fibres of orange tippet, 0.8 of the shank
//   Rib: oval gold, 5 turns
//
// Nothing is guessed in silence and nothing dropped: what isn't understood becomes a doubt with its place, a question and
// choices, and its words stay as the part's note. The noun decides the kind of a material, its colour and bird choose among
// those of the drawers; what the drawers lack becomes a new, nominal material and a doubt. Cost: under 2 ms (benchmarks/).
#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "book/book.h"

namespace machair::store {

struct RecipeChoice {
    std::string words;  // to click
    std::string value;  // what the key becomes
};
struct RecipeDoubt {
    std::size_t line = 1;    // from 1
    std::size_t column = 1;  // in bytes, from 1
    std::string words;       // what stands there
    std::string question;
    std::vector<RecipeChoice> choices = {};
    int part = -1;         // of the pattern; −1: the dressing itself
    std::string key = {};  // what a choice is for: "material", "turns", "hook", "thread", "name"; empty: words alone
};
struct ReadRecipe {
    Pattern pattern;
    std::vector<Material> materials;  // new ones that it needs
    std::vector<HookSpec> hooks;
    std::vector<RecipeDoubt> doubts;  // in the order of the text
};

inline constexpr std::size_t kLongestRecipe = 64 * 1024;

// Any bytes are read: what isn't UTF-8 is taken as text_encoding.h says. Faults: text over 64 KiB, text with no part in it, a
// book without a hook or a thread.
[[nodiscard]] Result<ReadRecipe> readRecipe(std::string_view text, const Book& book);

// The book with the dressing and what it brings along.
[[nodiscard]] Book withRecipe(Book book, const ReadRecipe& recipe);
// A doubt answered with one of its choices, or any value. Faults: a value that the key can't take.
[[nodiscard]] Result<ReadRecipe> answered(const ReadRecipe& recipe, const Book& book, std::size_t doubt, std::string_view value);

enum class RecipeFormat { text, markdown, html };
// `picture`: in HTML, where its picture is ("data:image/png;base64,…"); none without one.
[[nodiscard]] std::string writeRecipe(const Pattern& pattern, const Book& book, RecipeFormat format, std::string_view picture = {});

}  // namespace machair::store
