// Rows found by looking through the bytes of a database file, page by page, whatever its own trees say: for a book whose
// pages no longer hold together. Inside store only.
#pragma once

#include <string_view>
#include <vector>

#include "store/book_rows.h"

namespace machair::store {

// Every row of a list whose checksum says that it is whole; the same record may be found more than once, as it was at
// different times. The file format is SQLite's own ("Database File Format", sections 1.3, 1.6 and 2.1).
[[nodiscard]] std::vector<StoredRow> rowsInPages(std::string_view file);

}  // namespace machair::store
