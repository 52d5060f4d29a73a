// The material of a book that a part is tied from when nothing is said.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "book/book.h"

namespace machair {

// Id of the first material of the first kind that the book has; of hackles one of the wanted stiffness if there is one.
[[nodiscard]] inline std::optional<std::string> firstFitting(const Book& book, const std::vector<MaterialKind>& kinds, bool stiff) {
    for (const MaterialKind kind : kinds) {
        const Material* other = nullptr;  // a hackle of the other stiffness
        for (const Material& m : book.materials) {
            if (m.kind != kind) continue;
            const auto* hackle = std::get_if<HackleTraits>(&m.traits);
            const bool isStiff = hackle && (hackle->bird == Bird::cockCape || hackle->bird == Bird::cockSaddle);
            if (!hackle || isStiff == stiff) return m.id;
            if (!other) other = &m;
        }
        if (other) return other->id;
    }
    return std::nullopt;
}

}  // namespace machair
