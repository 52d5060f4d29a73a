// What a blend of furs comes to: the catalogue mixes them by weight, the eye by room.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "book/book.h"
#include "colour/colour.h"

namespace machair {

struct Blended {
    struct Fur {
        MaterialId material;
        double weight = 0.0;  // shares, each sum to 1
        double room = 0.0;
        std::optional<Lab> colour;  // its own, where one is written
    };
    std::vector<Fur> furs;
    Density packed;             // the mean by parts of weight, 1/Σ(share/ρ) (models.md section 4)
    std::optional<Lab> colour;  // the mean in OKLab by room, of those furs that have one
};
// Nothing for what is no blend.
[[nodiscard]] std::optional<Blended> blendOf(const Material& fur, const Book& book);

}  // namespace machair
