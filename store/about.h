// What this program was built as: for a report of what went wrong.
#pragma once

#include <string>

namespace machair::store {

// "0.1.0 (Release, GCC 12.2.0, SQLite 3.40.1)"
[[nodiscard]] std::string about();

}  // namespace machair::store
