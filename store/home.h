// Where a tier's book is kept: a bench book (SQLite, `*.machair`) or a bench file (JSON, `*.machair.json`). Both hold
// the same; the application and the command line don't ask which it is.
#pragma once

#include <filesystem>
#include <memory>
#include <string_view>

#include "store/bench_file.h"

namespace machair::store {

enum class Access { readWrite, readOnly };

// Somebody else changed in the home what an edit was about to change: read it again first. Nothing was written.
class ChangedElsewhere : public DiskError {
  public:
    using DiskError::DiskError;
};

class Home {
  public:
    virtual ~Home() = default;
    Home() = default;
    Home(const Home&) = delete;
    Home& operator=(const Home&) = delete;

    // The whole book as the home holds it now.
    [[nodiscard]] virtual Result<OpenedBench> read() = 0;

    // Makes the change from `before`, as it was last read or kept, to `after` durable: when this returns it outlives a
    // power cut. `words` say the edit. Throws DiskError, and the home stays as it was.
    virtual void keep(const Book& before, const Book& after, std::string_view words) = 0;

    // Whether somebody else wrote to it since it was last read or kept here.
    [[nodiscard]] virtual bool changedElsewhere() = 0;

    [[nodiscard]] virtual bool readOnly() const = 0;

    // Writes what lies in a log beside the file into the file itself, so that a plain copy of it is whole. Quick where
    // there is nothing to do. Throws DiskError.
    virtual void settle() {}

    // Mends what was set aside when it was last read: from the copies of the book, newest first, as far as they have it; or
    // takes it out for good. Read again afterwards. Returns what was done, in words. Throws DiskError.
    virtual std::string mendFromCopies() { return {}; }
    virtual std::string takeOutSetAside() { return {}; }
};

// What would be refused when it is read again, of the records that an edit changed: a number outside its limits, words that
// are no UTF-8. Nothing is kept that could not be read.
[[nodiscard]] Faults unreadableAgain(const Book& before, const Book& after);

// By what the file is, not by its name. Faults: the file is missing, a folder, unreadable, damaged, from a newer Machair.
[[nodiscard]] Result<std::unique_ptr<Home>> openHome(const std::filesystem::path& path, Access access);

// The book of either kind of file, read once.
[[nodiscard]] Result<OpenedBench> readBook(const std::filesystem::path& path);

// Writes a whole book as one step; the name's ending says which kind. A fault where it is neither. Throws DiskError.
[[nodiscard]] Faults writeBook(const std::filesystem::path& path, const Book& book);

}  // namespace machair::store
