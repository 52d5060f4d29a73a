// Files written so that nothing is ever half there: beside the target under a name of the writer's own, flushed, renamed
// over it, the folder flushed too. Modes and owners are kept, links are followed to what they name, and nothing that
// lies in the way is written through. Throws DiskError where that can't be done, and the target stays as it was.
#pragma once

#include <sys/types.h>

#include <ctime>
#include <filesystem>
#include <functional>
#include <optional>
#include <stdexcept>
#include <string>
#include <string_view>

#include "faults/faults.h"

namespace machair::store {

// Something is wrong with the disk, not with the book.
class DiskError : public std::runtime_error {
  public:
    using std::runtime_error::runtime_error;
};

// A fault where `path` is not an ordinary file that may be read; empty where it is. Nothing is opened: a pipe or a
// device that lies there is only looked at.
[[nodiscard]] Faults ordinaryFile(const std::filesystem::path& path);

// The whole of an ordinary file of at most `most` bytes. A pipe put in its place meanwhile is not waited for.
[[nodiscard]] Result<std::string> readWhole(const std::filesystem::path& path, std::size_t most);

// What tells one state of a file from another without reading it. All zero where there is none.
struct Stamp {
    dev_t device = 0;
    ino_t inode = 0;
    off_t size = 0;
    timespec written{};
    timespec changed{};
    [[nodiscard]] bool operator==(const Stamp& other) const;
};
[[nodiscard]] Stamp stampOf(const std::filesystem::path& path);

// Where `path` leads: through symbolic links to the file itself, which may be missing.
[[nodiscard]] std::filesystem::path resolved(const std::filesystem::path& path);

// A name beside `path` that nobody else uses, for a file to be renamed over it: `.NAME.PID-N.new`.
[[nodiscard]] std::filesystem::path nameBeside(const std::filesystem::path& path);
// Takes away what writers that were killed left beside `path` under such names.
void sweepBeside(const std::filesystem::path& path);

// A new, empty file at `path`, with the mode of `like` where that exists, else what the user's mask gives.
void createLike(const std::filesystem::path& path, const std::filesystem::path& like);

// Renames a finished file over `path` and flushes both it and the folder.
void putInPlace(const std::filesystem::path& finished, const std::filesystem::path& path);

// Replaces `path`. `unlessChangedFrom`: only where the file is still in that state, looked at under a lock that every
// writer of ours holds. Returns the state that was written; nothing, and nothing is written, where somebody else was there.
[[nodiscard]] std::optional<Stamp> replaceFile(const std::filesystem::path& path, std::string_view bytes,
                                               const std::optional<Stamp>& unlessChangedFrom = std::nullopt);

}  // namespace machair::store
