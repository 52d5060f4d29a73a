#include "store/recipe.h"

#include <algorithm>

#include "book/fields.h"
#include "language/say.h"
#include "store/recipe_reader.h"
#include "store/text_encoding.h"

namespace machair::store {

Result<ReadRecipe> readRecipe(std::string_view text, const Book& book) {
    if (text.size() > kLongestRecipe) return fail(Place("line 1"), say("expected a recipe of at most 64 KiB, got more"));
    std::string readable = decodeText(text).text;
    std::erase(readable, '\r');
    std::erase(readable, '\0');
    return RecipeReader(std::move(readable), book).run();
}

Book withRecipe(Book book, const ReadRecipe& recipe) {
    book.hooks.insert(book.hooks.end(), recipe.hooks.begin(), recipe.hooks.end());
    book.materials.insert(book.materials.end(), recipe.materials.begin(), recipe.materials.end());
    book.patterns.push_back(recipe.pattern);
    return book;
}

Result<ReadRecipe> answered(const ReadRecipe& recipe, const Book& book, std::size_t which, std::string_view value) {
    if (which >= recipe.doubts.size())
        return fail(Place("doubts"), say("expected one of its doubts, got number {}", std::to_string(which)));
    ReadRecipe now = recipe;
    const RecipeDoubt& doubt = recipe.doubts[which];
    if (doubt.key == "hook") {
        now.pattern.hook = HookId(value);
    } else if (doubt.key == "thread") {
        now.pattern.thread = MaterialId(value);
    } else if (doubt.key == "name") {
        now.pattern.name = std::string(value);
    } else if (doubt.part >= 0 && static_cast<std::size_t>(doubt.part) < now.pattern.parts.size() && !doubt.key.empty()) {
        Part& part = now.pattern.parts[static_cast<std::size_t>(doubt.part)];
        if (doubt.key == "material") {
            part.material = MaterialId(value);
            if (const Material* of = book.findMaterial(MaterialId(value)))
                for (const std::string& left : leftByMaterial(part, *of))
                    addTo(part.note, left);
        } else {
            auto changed = withField(part, doubt.key, value, Place("parts").at(static_cast<std::size_t>(doubt.part)));
            if (!changed) return tl::unexpected(changed.error());
            part = std::move(*changed);
        }
    }
    now.doubts.erase(now.doubts.begin() + static_cast<std::ptrdiff_t>(which));
    // What nothing needs any more isn't brought along.
    const auto needed = [&](const std::string& id) {
        return now.pattern.thread == id || std::ranges::any_of(now.pattern.parts, [&](const Part& p) { return p.material == id; });
    };
    std::erase_if(now.materials, [&](const Material& m) { return !needed(m.id); });
    std::erase_if(now.hooks, [&](const HookSpec& h) { return h.id != now.pattern.hook; });
    return now;
}

}  // namespace machair::store
