// The tables of a bench book and how a file is opened that might hold anything: nothing of its schema runs before it is
// known to be ours. Inside store only.
#pragma once

#include <SQLiteCpp/Database.h>

#include <chrono>
#include <filesystem>
#include <memory>
#include <utility>

#include "faults/faults.h"
#include "store/bench_book.h"

namespace machair::store {

inline constexpr int kFirstWithSums = 6;  // the version from which on records carry checksums

// A connection that trusts nothing: no functions or virtual tables from the schema, no triggers, no views, no writing of
// the schema, cells checked, lengths and steps bounded. What takes longer than kMostSeconds is interrupted.
class GuardedDatabase {
  public:
    enum class Mode { readWrite, readOnly, asItLies, create };  // asItLies: without its log, in a folder that takes no file
    GuardedDatabase(const std::filesystem::path& path, Mode mode);
    GuardedDatabase(GuardedDatabase&&) = default;
    GuardedDatabase& operator=(GuardedDatabase&& other) noexcept {
        std::swap(database_, other.database_);
        std::swap(deadline_, other.deadline_);
        return *this;
    }
    [[nodiscard]] SQLite::Database& operator*() { return database_; }
    [[nodiscard]] SQLite::Database* operator->() { return &database_; }
    // From now on there are kMostSeconds again.
    void beginWork() { deadline_->at = std::chrono::steady_clock::now() + kMost; }

  private:
    static constexpr std::chrono::seconds kMost{60};
    struct Deadline {
        std::chrono::steady_clock::time_point at;
    };
    std::unique_ptr<Deadline> deadline_;  // where the connection finds it
    SQLite::Database database_;
};

[[nodiscard]] int pragma(SQLite::Database& database, const char* name);

// What is in the schema that no Machair made, or missing from it; a version that never was. Faults in words, none of the
// database's own. Reads sqlite_schema and nothing else.
[[nodiscard]] Faults schemaFaults(SQLite::Database& database, const std::filesystem::path& path);

// Brings the tables to a version, in one transaction. A new file gets them all.
void migrate(SQLite::Database& database, int to = kBookVersion);

// What is wrong, in our words: a library's own are for its developers.
[[nodiscard]] std::string inWords(const SQLite::Exception& error);

}  // namespace machair::store
