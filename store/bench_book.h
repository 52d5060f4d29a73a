// The bench book, one SQLite file. Every record stands in its table as the JSON of the bench file, so that both homes
// hold the same, with the columns beside it that the database checks: ids, and what refers to what.
//
// Edits are transactions, flushed to the disk before they are acknowledged (write-ahead log, synchronous FULL). Only
// records that changed are written, and only if nobody else changed them meanwhile.
#pragma once

#include <filesystem>
#include <memory>

#include "store/home.h"

namespace machair::store {

inline constexpr int kBookVersion = 5;
inline constexpr int kBackupsKept = 3;

// Opens a book: brings an older schema up to date (never a newer one), checks its integrity, and before the first edit
// of a session keeps a copy as `NAME.backup-1` (older ones move on to -2 and -3). Faults have the file's name or the
// record as place.
[[nodiscard]] Result<std::unique_ptr<Home>> openBenchBook(const std::filesystem::path& path, Access access);

// A new book with this content, put in place as one step. Throws DiskError.
void writeBenchBook(const std::filesystem::path& path, const Book& book);

// "backup-1" of a book.
[[nodiscard]] std::filesystem::path backupOf(const std::filesystem::path& path, int n);

}  // namespace machair::store
