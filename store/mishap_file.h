// What goes wrong at the vice, as it ships (data/vice/mishaps.json) or as a tier writes it: {"format": "machair-mishaps",
// "version": 1, "mishaps": [{"id", "shows", "when", "undo", "this_fly", "next_fly", "seen_by", "parts", "made_of"}]}.
#pragma once

#include <string_view>
#include <vector>

#include "bench/mishaps.h"

namespace machair::store {

// Faults, each with its place: no JSON, another format or version, a card without an id, words or a known undo, an id twice.
[[nodiscard]] Result<std::vector<MishapCard>> readMishaps(std::string_view json);

}  // namespace machair::store
