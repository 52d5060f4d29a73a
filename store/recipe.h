// A dressing from plain recipe text, one part a line, as books and magazines print it; and written as such text,
// Markdown and HTML.
//
//   Kelp Lantern
//   Hook: wet, size 10
//   Tail: ten fibres of orange tippet, 0.8 of the shank
//   Rib: oval gold, 5 turns
//
// What isn't understood is neither guessed nor dropped: it becomes a doubt with its place and a question, and its words
// stay as the part's note.
#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "book/book.h"

namespace machair::store {

struct RecipeDoubt {
    std::size_t line = 1;    // from 1
    std::size_t column = 1;  // in bytes, from 1
    std::string words;       // what stands there
    std::string question;    // to ask the tier, one after another
};
struct ReadRecipe {
    Pattern pattern;
    std::vector<RecipeDoubt> doubts;
};

inline constexpr std::size_t kLongestRecipe = 64 * 1024;

// Any bytes are read: what isn't UTF-8 is taken as text_encoding.h says. Hooks and materials are those of the book that the words
// fit best. Faults: text over 64 KiB, text with no part in it, a book without a hook or a thread.
[[nodiscard]] Result<ReadRecipe> readRecipe(std::string_view text, const Book& book);

enum class RecipeFormat { text, markdown, html };
[[nodiscard]] std::string writeRecipe(const Pattern& pattern, const Book& book, RecipeFormat format);

}  // namespace machair::store
