// Hooks and materials as CSV (RFC 4180, UTF-8, a header row, units in the header). What is exported reads back equal.
#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "book/book.h"

namespace machair::store {

using CsvRow = std::vector<std::string>;

// Rows of a text; quoted fields, doubled quotes, any line ending. A fault with its line where a quote is not closed.
[[nodiscard]] Result<std::vector<CsvRow>> parseCsv(std::string_view text);
[[nodiscard]] std::string writeCsv(const std::vector<CsvRow>& rows);

[[nodiscard]] std::string hooksToCsv(const std::vector<HookSpec>& hooks);
[[nodiscard]] std::string materialsToCsv(const std::vector<Material>& materials);

struct Imported {
    Book book;
    std::size_t added = 0;
    std::size_t changed = 0;  // records with the id of one that was there
};
// The book with the rows of a CSV taken in: hooks where the header has `size`, materials where it has `kind`. All or
// nothing; faults stand at `line N, COLUMN`.
[[nodiscard]] Result<Imported> importCsv(const Book& book, std::string_view text);

}  // namespace machair::store
