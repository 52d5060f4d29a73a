// The material of a book that a part is tied from when nothing is said.
#pragma once

#include <cmath>
#include <optional>
#include <string>
#include <vector>

#include "book/book.h"

namespace machair {

// A cock's hackle, of cape or saddle.
[[nodiscard]] inline bool isStiff(const Material& made) {
    const auto* hackle = std::get_if<HackleTraits>(&made.traits);
    return hackle && (hackle->bird == Bird::cockCape || hackle->bird == Bird::cockSaddle);
}

// Id of the first material of the first kind that the book has; of hackles one of the wanted stiffness if there is one.
[[nodiscard]] inline std::optional<MaterialId> firstFitting(const Book& book, const std::vector<MaterialKind>& kinds, bool stiff) {
    for (const MaterialKind kind : kinds) {
        const Material* other = nullptr;  // a hackle of the other stiffness
        for (const Material& m : book.materials) {
            if (m.kind != kind) continue;
            if (!std::holds_alternative<HackleTraits>(m.traits) || isStiff(m) == stiff) return m.id;
            if (!other) other = &m;
        }
        if (other) return other->id;
    }
    return std::nullopt;
}

// Id of the bead of a book that suits a hook of this size best; nothing where none does (models.md section 7: usual are 0.42
// to 0.80 of the nominal gape).
[[nodiscard]] inline std::optional<MaterialId> beadFitting(const Book& book, int size) {
    constexpr double kSmall = 0.42, kLarge = 0.80, kUsual = 0.60;
    const Material* best = nullptr;
    const auto share = [size](const Material& m) { return beadDiameter(m, size) / nominalGape(size); };
    for (const Material& m : book.materials) {
        if (m.kind != MaterialKind::bead || share(m) < kSmall || share(m) > kLarge) continue;
        if (!best || std::abs(share(m) - kUsual) < std::abs(share(*best) - kUsual)) best = &m;
    }
    return best ? std::optional(best->id) : std::nullopt;
}

// The hook that a dressing is started on where nothing else is said: one that was measured, for it is in the vice; else a 10, the middle
// of the sizes; else the first there is. Empty where the book has none.
[[nodiscard]] inline HookId usualHook(const Book& book) {
    constexpr int kMiddle = 10;
    for (const HookSpec& hook : book.hooks)
        if (hook.measured) return hook.id;
    for (const HookSpec& hook : book.hooks)
        if (hook.size == kMiddle) return hook.id;
    return book.hooks.empty() ? HookId() : book.hooks.front().id;
}

}  // namespace machair
