// What a part can be made of, the most usual first, and what a part keeps when it is made of another kind of thing.
#pragma once

#include <string>
#include <vector>

#include "book/book.h"

namespace machair {

// The kinds of material that such a part is tied from (catalogue's constructions); canBeMadeOf holds for each.
[[nodiscard]] const std::vector<MaterialKind>& kindsFor(PartKind part);

// The part made of another material: its method or style follows, and what no longer has a meaning goes back to the usual. Says
// what fell away.
struct FellAway {
    std::string_view key;  // "method", "noodle_diameter_mm"
    std::string words;     // "method noodle", "noodle thickness"
};
[[nodiscard]] std::vector<FellAway> fitToMaterial(Part& part, const Material& now);

}  // namespace machair
