// The bench file, `*.machair.json` (formats.md): read with every fault listed and placed, written back losslessly.
#pragma once

#include <filesystem>
#include <string>
#include <string_view>

#include "book/book.h"
#include "store/disk.h"

namespace machair::store {

inline constexpr int kBenchVersion = 1;
inline constexpr std::size_t kLargestBenchFile = 64u << 20;  // bytes; a book of 5000 materials is about two megabytes
inline constexpr int kDeepestNesting = 64;

// A record of a damaged bench book that was not taken in, so that the rest works. It stays in the file until it is mended
// from a copy or taken out.
struct SetAside {
    std::string list;
    std::string id;  // empty: records of the list are missing
    std::size_t missing = 0;
    Faults why;
    [[nodiscard]] std::string line() const;
};

struct OpenedBench {
    Book book;
    Faults warnings;                      // keys that this version doesn't know; they are kept
    std::vector<SetAside> setAside = {};  // empty for a sound book, and always for a bench file
};

// Reads and checks a whole book: its records, what they refer to, and that every dressing can be planned. Either all
// of it or faults: never half a book. A fault's place is a path in the document; `line L, column C` where the text is
// not JSON; the file's name where it can't be read.
[[nodiscard]] Result<OpenedBench> readBench(std::string_view text);
[[nodiscard]] Result<OpenedBench> readBenchFile(const std::filesystem::path& path);

// Two-space indented UTF-8, records in book order, keys in the order of formats.md, unknown keys last.
[[nodiscard]] std::string writeBench(const Book& book);

// The text of a book for a file; throws DiskError where no reader would take it back, as too large.
[[nodiscard]] std::string textToSave(const std::filesystem::path& path, const Book& book);

// Replaces `path` as one step: written beside it, flushed to the disk, renamed over it. Throws DiskError and leaves
// the old file as it was when that can't be done.
void saveBenchFile(const std::filesystem::path& path, const Book& book);

// The JSON Schema of the bench file (draft 7), from the same descriptions that read it.
[[nodiscard]] std::string benchSchema();

}  // namespace machair::store
