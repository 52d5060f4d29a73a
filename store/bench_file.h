// The bench file, `*.machair.json` (formats.md): read with every fault listed and placed, written back losslessly.
#pragma once

#include <filesystem>
#include <stdexcept>
#include <string>
#include <string_view>

#include "book/book.h"

namespace machair::store {

inline constexpr int kBenchVersion = 1;
inline constexpr std::size_t kLargestBenchFile = 64u << 20;  // bytes; a book of 5000 materials is about two megabytes
inline constexpr int kDeepestNesting = 64;

struct OpenedBench {
    Book book;
    Faults warnings;  // keys that this version doesn't know; they are kept
};

// Reads and checks a whole book: its records, what they refer to, and that every dressing can be planned. Either all
// of it or faults: never half a book. A fault's place is a path in the document; `line L, column C` where the text is
// not JSON; the file's name where it can't be read.
[[nodiscard]] Result<OpenedBench> readBench(std::string_view text);
[[nodiscard]] Result<OpenedBench> readBenchFile(const std::filesystem::path& path);

// Two-space indented UTF-8, records in book order, keys in the order of formats.md, unknown keys last.
[[nodiscard]] std::string writeBench(const Book& book);

// Something is wrong with the disk, not with the book.
class DiskError : public std::runtime_error {
  public:
    using std::runtime_error::runtime_error;
};

// Replaces `path` as one step: written beside it, flushed to the disk, renamed over it. Throws DiskError and leaves
// the old file as it was when that can't be done.
void saveBenchFile(const std::filesystem::path& path, const Book& book);

// The JSON Schema of the bench file (draft 7), from the same descriptions that read it.
[[nodiscard]] std::string benchSchema();

}  // namespace machair::store
