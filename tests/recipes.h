// A recipe read with the usual drawers at hand, and what a test asks of it.
#pragma once

#include <algorithm>
#include <catch2/catch.hpp>
#include <stdexcept>
#include <string>

#include "store/recipe.h"
#include "tests/samples.h"

namespace machair::tests {

inline Book usualDrawers() { return store::readBenchFile(MACHAIR_USUAL).value().book; }

struct Read {
    Book book = usualDrawers();
    store::ReadRecipe recipe;
    Book with;

    explicit Read(const std::string& text) {
        const auto read = store::readRecipe(text, book);
        INFO(text);
        REQUIRE(read);
        recipe = *read;
        with = store::withRecipe(book, recipe);
        for (const store::RecipeDoubt& doubt : recipe.doubts)
            UNSCOPED_INFO("doubt " << doubt.line << ":" << doubt.column << " " << doubt.words << " | " << doubt.question);
        for (const Part& p : recipe.pattern.parts)
            UNSCOPED_INFO("part " << nameOf(p.kind) << " of " << p.material.value_or("?") << " note " << p.note.value_or(""));
        CHECK(check(with).empty());
    }
    // "tail rib body collar": its parts in tying order, the head left out.
    [[nodiscard]] std::string parts() const {
        std::string list;
        for (const Part& p : recipe.pattern.parts)
            if (p.kind != PartKind::head) list += (list.empty() ? "" : " ") + std::string(nameOf(p.kind));
        return list;
    }
    [[nodiscard]] const Part& part(PartKind kind, std::size_t which = 0) const {
        for (const Part& p : recipe.pattern.parts)
            if (p.kind == kind && which-- == 0) return p;
        throw std::runtime_error("no such part");
    }
    template <class Detail>
    [[nodiscard]] const Detail& detail(PartKind kind, std::size_t which = 0) const {
        return std::get<Detail>(part(kind, which).detail);
    }
    [[nodiscard]] const Material& made(PartKind kind, std::size_t which = 0) const {
        return *with.findMaterial(part(kind, which).material.value());
    }
    [[nodiscard]] bool asks(const std::string& about) const {
        return std::ranges::any_of(
            recipe.doubts, [&](const store::RecipeDoubt& d) { return (d.question + " " + d.words).find(about) != std::string::npos; });
    }
    [[nodiscard]] bool asksFor(const std::string& key) const {
        return std::ranges::any_of(recipe.doubts, [&](const store::RecipeDoubt& d) { return d.key == key; });
    }
};

}  // namespace machair::tests
