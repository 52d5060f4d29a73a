// Hooks and materials as CSV (RFC 4180, UTF-8, a header row, units in the header). What is exported reads back equal.
#pragma once

#include <array>
#include <map>
#include <string>
#include <string_view>
#include <vector>

#include "book/book.h"
#include "store/text_encoding.h"

namespace machair::store {

using CsvRow = std::vector<std::string>;

// Rows of a text in any encoding that text_encoding.h reads; quoted fields, doubled quotes, any line ending. A fault with its line where a
// quote is not closed.
[[nodiscard]] Result<std::vector<CsvRow>> parseCsv(std::string_view text);
[[nodiscard]] std::string writeCsv(const std::vector<CsvRow>& rows);

[[nodiscard]] std::string hooksToCsv(const std::vector<HookSpec>& hooks);
[[nodiscard]] std::string materialsToCsv(const std::vector<Material>& materials);

struct Imported {
    Book book;
    std::size_t added = 0;
    std::size_t changed = 0;             // records with the id of one that was there
    Encoding encoding = Encoding::utf8;  // of the bytes: to be told where it is not ours
};
// The book with the rows of a CSV taken in: hooks where the header has `size`, materials where it has `kind`. All or
// nothing; faults stand at `line N, COLUMN`.
[[nodiscard]] Result<Imported> importCsv(const Book& book, std::string_view text);

// Days and catches: a row an outing and a row a fish, told apart by the column `row`.
[[nodiscard]] std::string daysToCsv(const Book& book);

// Columns of ours that days can be read from; `date` is the only one that must be there.
inline constexpr std::array<std::string_view, 14> kDayColumns = {"date",  "row", "water",  "rods",  "wind_m_s", "wave_m",   "light",
                                                                 "hours", "bob", "middle", "point", "fly",      "position", "kept"};
// Which of our columns each of the text's is, by its header: as ours where they have the same name (letters and case only),
// nothing for the rest. For the user to complete.
using ColumnMapping = std::map<std::string, std::string>;
[[nodiscard]] Result<ColumnMapping> guessColumns(std::string_view text);
// Takes days in: rows of one date make one day, added to the book's own where it has that date. Without a `row` column a row
// with hours is an outing, one with a fly and a position a fish, one with all of them both. Flies and waters go by id or
// name. All or nothing; faults stand at `line N, COLUMN`.
[[nodiscard]] Result<Imported> importDays(const Book& book, std::string_view text, const ColumnMapping& mapping);

}  // namespace machair::store
