// Which material of the drawers a recipe's words mean, or the new one that they ask for. Inside store only.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "book/book.h"
#include "store/recipe.h"
#include "store/recipe_words.h"

namespace machair::store {

// The words of a part from which its material is to be found.
struct MaterialWords {
    std::vector<std::string> hard;  // colours, birds, metals: one that lacks any of them is another material
    std::vector<std::string> soft;  // "fine", "dyed": they only choose
    std::string said;               // as it was written, for its name
    std::string noun;               // the word that decided the kind; empty where a bird did
};
struct MaterialFound {
    const Material* made = nullptr;     // in the drawers
    bool doubtful = false;              // several would do
    std::vector<RecipeChoice> choices;  // nearest first
};
[[nodiscard]] MaterialFound findMaterial(const Book& book, MaterialKind kind, const MaterialWords& words);
// A nominal one, as the words ask: its colour, its bird, its metal.
[[nodiscard]] Material newMaterial(const Book& book, const std::vector<Material>& others, MaterialKind kind, const MaterialWords& words);
// A material of these kinds whose whole name stands in the text; the longest name wins.
struct NamedMaterial {
    const Material* made = nullptr;
    std::size_t from = 0, to = 0;
};
[[nodiscard]] NamedMaterial materialNamedIn(const Book& book, std::string_view text, PartKind part);

}  // namespace machair::store
