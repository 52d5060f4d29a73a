// The rows of a bench book's tables: read with their checksums held against them, written, taken from another book. Inside
// store only; everything throws SQLite::Exception.
#pragma once

#include <SQLiteCpp/Column.h>
#include <SQLiteCpp/Database.h>

#include <cstdint>
#include <filesystem>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "store/bench_file.h"

namespace machair::store {

struct StoredRow {
    std::string list;
    std::string id;
    std::int64_t place = 0;
    std::string text;
    std::optional<std::int64_t> sum;  // as it stands there; none where an older program, or a hand, wrote the row

    [[nodiscard]] std::int64_t rightSum() const;
    [[nodiscard]] std::int64_t ownSum() const { return sum.value_or(rightSum()); }
    [[nodiscard]] std::int64_t placeSum() const;  // of where it stands in its list
    [[nodiscard]] bool sound() const { return !sum || *sum == rightSum(); }
};

// What a list comes to, as its own line in `lists` says it: how many records, and the exclusive or of their checksums and
// of where they stand.
struct ListTally {
    std::int64_t records = 0;
    std::int64_t sums = 0;
    std::int64_t sequence = 0;
    [[nodiscard]] bool operator==(const ListTally&) const = default;
    void came(const StoredRow& row) {
        ++records;
        toggle(row);
    }
    void went(const StoredRow& row) {
        --records;
        toggle(row);
    }
    void add(const ListTally& change) {
        records += change.records;
        sums ^= change.sums;
        sequence ^= change.sequence;
    }

  private:
    void toggle(const StoredRow& row) {
        sums ^= row.ownSum();
        sequence ^= row.placeSum();
    }
};

// Nothing where the list has no line any more.
[[nodiscard]] std::optional<ListTally> writtenTally(SQLite::Database& database, const std::string& list);
void writeTally(SQLite::Database& database, const std::string& list, const ListTally& tally);

// A value beside the lists ("carried", "schools"), as a row of the list "book".
[[nodiscard]] StoredRow valueRow(const std::string& key, const std::string& value, const SQLite::Column& sum);

[[nodiscard]] std::optional<StoredRow> rowOf(SQLite::Database& database, const std::string& list, const std::string& id);

// The row of a record, with the columns that the database checks.
template <class Record>
void putRow(SQLite::Database& database, const Record& record, const StoredRow& row);

// Takes a row out; how many there were.
std::size_t dropRow(SQLite::Database& database, const std::string& list, const std::string& id);

// Writes checksums where there are none, and what each list comes to.
void recount(SQLite::Database& database);

// The whole book, of this version or an older one. What is damaged, or refers to what is not there, is set aside.
[[nodiscard]] Result<OpenedBench> readAll(SQLite::Database& database);

// Takes what is set aside, and what it refers to, from the book at `copy`; how many records. Nothing where that is no sound book.
std::size_t mendFrom(SQLite::Database& database, const std::filesystem::path& copy, const std::vector<SetAside>& aside);

// Sets aside, until nothing is left to, the records that checkToRead() finds wrong; a dressing that can't be tied is none.
void setAsideUnsound(OpenedBench& opened);

}  // namespace machair::store
