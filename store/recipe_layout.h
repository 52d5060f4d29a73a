// A recipe's text taken apart into headings and what stands under each, whatever its manner: colon, dash or equals lines,
// capitals, tabs, bullets, numbered steps, tables, one line of headings, prose (catalogue section 10). Inside store only.
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "store/recipe_words.h"

namespace machair::store {

struct RecipeEntry {
    std::optional<OtherHeading> other;
    std::optional<PartHeading> part;
    std::string heading;     // as it is written, in lower case; empty in prose
    std::string says;        // as it is written
    std::size_t at = 0;      // byte of `says` in the text
    std::size_t headAt = 0;  // byte of the heading
};
struct RecipeLayout {
    std::optional<std::string> name;
    std::vector<RecipeEntry> entries;
    std::vector<RecipeEntry> strange;  // no heading that is known
};
[[nodiscard]] RecipeLayout layOutRecipe(std::string_view text);

}  // namespace machair::store
