// The bench book, one SQLite file. Every record stands in its table as the JSON of the bench file, so that both homes
// hold the same, with the columns beside it that the database checks: ids, what refers to what, and a checksum.
//
// Edits are transactions, flushed to the disk before they are acknowledged (write-ahead log, synchronous FULL). Only
// records that changed are written, and only if nobody else changed them meanwhile and the whole is still sound: no state
// that is written is one that is refused on reading.
#pragma once

#include <filesystem>
#include <memory>

#include "store/home.h"

namespace machair::store {

inline constexpr int kBookVersion = 7;
inline constexpr std::uintmax_t kLargestBook = std::uintmax_t{512} << 20;  // bytes; twenty years take some thirty million

// Opens a book: nothing of its schema runs before it is known to be ours; an older one is brought up to date (never a
// newer), its pages are checked, and before the first edit of a session a copy is kept (copies.h). Faults have the
// file's name as place. Damaged records are set aside when it is read, and the rest works.
[[nodiscard]] Result<std::unique_ptr<Home>> openBenchBook(const std::filesystem::path& path, Access access);

// A new book with this content, put in place as one step. Throws DiskError.
void writeBenchBook(const std::filesystem::path& path, const Book& book);

// What `machair-cli doctor` says of a bench book: its pages, schema, records, references, sizes and copies.
struct BookReport {
    Faults faults;                   // empty where it is sound
    std::vector<std::string> notes;  // version, records by list, bytes, log, copies
};
[[nodiscard]] BookReport examineBook(const std::filesystem::path& path);

// What could be read of a damaged book or bench file, record by record: by the database as far as its pages hold together,
// then by looking through the file's bytes for what it no longer finds. `said` has a line for every record that was lost
// or left out, and one for each list.
struct Rescued {
    Book book;
    std::vector<std::string> said;
};
[[nodiscard]] Result<Rescued> rescueBook(const std::filesystem::path& path);

}  // namespace machair::store
