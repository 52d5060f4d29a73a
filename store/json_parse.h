// From JSON text to its document. Inside store only.
#pragma once

#include <nlohmann/json.hpp>
#include <string_view>

#include "faults/faults.h"
#include "store/bench_file.h"

namespace machair::store {

using Json = nlohmann::json;

// Faults: text that is no JSON in UTF-8 (its line and column), numbers no computer can hold, nesting deeper than
// kDeepestNesting, a key given twice in one object.
[[nodiscard]] Result<Json> parseJson(std::string_view text);

}  // namespace machair::store
