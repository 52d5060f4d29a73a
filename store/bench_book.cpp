#include "store/bench_book.h"

#include <SQLiteCpp/Backup.h>
#include <SQLiteCpp/Database.h>
#include <SQLiteCpp/Statement.h>
#include <SQLiteCpp/Transaction.h>
#include <fcntl.h>
#include <sqlite3.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <array>
#include <map>
#include <span>

#include "store/records.h"

namespace machair::store {

namespace {

constexpr int kApplicationId = 0x4d616368;  // "Mach"
constexpr int kBusyMilliseconds = 4000;     // another window's edit takes a few

// What brings a database from version i to i + 1. Never edited once shipped: tests/store keeps a file of the first.
constexpr std::array<const char*, kBookVersion> kMigrations = {
    R"sql(
CREATE TABLE book (key TEXT PRIMARY KEY, value TEXT NOT NULL) STRICT;
CREATE TABLE hooks (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE materials (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE patterns (
  id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL,
  hook TEXT NOT NULL REFERENCES hooks (id) DEFERRABLE INITIALLY DEFERRED,
  thread TEXT NOT NULL REFERENCES materials (id) DEFERRABLE INITIALLY DEFERRED) STRICT;
CREATE TABLE pattern_materials (
  pattern TEXT NOT NULL REFERENCES patterns (id) ON DELETE CASCADE DEFERRABLE INITIALLY DEFERRED,
  part INTEGER NOT NULL,
  material TEXT NOT NULL REFERENCES materials (id) DEFERRABLE INITIALLY DEFERRED,
  PRIMARY KEY (pattern, part)) STRICT;
CREATE TABLE teams (
  id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL,
  bob TEXT REFERENCES patterns (id) DEFERRABLE INITIALLY DEFERRED,
  middle TEXT REFERENCES patterns (id) DEFERRABLE INITIALLY DEFERRED,
  point TEXT REFERENCES patterns (id) DEFERRABLE INITIALLY DEFERRED) STRICT;
CREATE INDEX patterns_by_hook ON patterns (hook);
CREATE INDEX parts_by_material ON pattern_materials (material);
)sql",
    // What was changed and when, for the tier to look back on.
    R"sql(
CREATE TABLE edits (number INTEGER PRIMARY KEY, at TEXT NOT NULL DEFAULT (datetime('now')), words TEXT NOT NULL) STRICT;
)sql",
    // Feathers and what is to be cut from them, waters and their rules, the box of tied flies, what was tied and caught.
    R"sql(
CREATE TABLE feathers (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE cut_lists (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE team_schools (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE waters (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE rule_cards (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE box (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE capes (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE batches (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE checks (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE days (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE season_table (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
CREATE TABLE mishaps (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
)sql",
    // Spools, packets and off-cuts.
    R"sql(
CREATE TABLE stock (id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL) STRICT;
)sql",
    // A fourth and a fifth fly on the leader.
    R"sql(
ALTER TABLE teams ADD COLUMN upper TEXT REFERENCES patterns (id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE teams ADD COLUMN lower TEXT REFERENCES patterns (id) DEFERRABLE INITIALLY DEFERRED;
)sql"};

int pragma(SQLite::Database& database, const char* name) { return database.execAndGet(std::string("PRAGMA ") + name).getInt(); }

void migrate(SQLite::Database& database) {
    const int from = pragma(database, "user_version");
    if (from >= kBookVersion) return;
    SQLite::Transaction transaction(database, SQLite::TransactionBehavior::IMMEDIATE);
    for (int version = from; version < kBookVersion; ++version) database.exec(kMigrations[static_cast<std::size_t>(version)]);
    database.exec("PRAGMA user_version = " + std::to_string(kBookVersion));
    database.exec("PRAGMA application_id = " + std::to_string(kApplicationId));
    transaction.commit();
}

void prepare(SQLite::Database& database) {
    database.setBusyTimeout(kBusyMilliseconds);
    database.exec("PRAGMA foreign_keys = ON");
    database.exec("PRAGMA synchronous = FULL");
}


// The lists of a book, each a table of its own: done(name, list of the book) for each.
template <class Done>
void eachList(Done done) {
    done("hooks", &Book::hooks);
    done("materials", &Book::materials);
    done("patterns", &Book::patterns);
    done("teams", &Book::teams);
    done("feathers", &Book::feathers);
    done("cut_lists", &Book::cutLists);
    done("team_schools", &Book::teamSchools);
    done("waters", &Book::waters);
    done("rule_cards", &Book::ruleCards);
    done("box", &Book::box);
    done("capes", &Book::capes);
    done("stock", &Book::stock);
    done("season_table", &Book::season);
    done("mishaps", &Book::mishaps);
    done("batches", &Book::batches);
    done("checks", &Book::checks);
    done("days", &Book::days);
}

template <class Record>
const char* tableOf() {
    const char* found = nullptr;
    eachList([&]<class Other>(const char* name, std::vector<Other> Book::*) {
        if constexpr (std::is_same_v<Record, Other>) found = name;
    });
    return found;
}

class BenchBookHome : public Home {
  public:
    BenchBookHome(std::filesystem::path path, SQLite::Database database, bool readOnly)
        : path_(std::move(path)), database_(std::move(database)), readOnly_(readOnly) {
        struct stat status{};
        if (::stat(path_.c_str(), &status) == 0) inode_ = status.st_ino;
        seen_ = pragma(database_, "data_version");
    }

    Result<OpenedBench> read() override {
        try {
            SQLite::Transaction transaction(database_);  // one state of the book, whoever writes meanwhile
            seen_ = pragma(database_, "data_version");
            Result<OpenedBench> opened = readBench(wholeBookText(), Checking::records);
            if (!opened) return opened;
            Faults faults;
            eachList([&](const char* name, auto list) {
                if (database_.tableExists(name)) readList(name, opened->book.*list, opened->warnings, faults);  // an older book that may only be read keeps its own tables
            });
            if (faults.empty()) faults = check(opened->book);
            if (!faults.empty()) return tl::unexpected(faults);
            return opened;
        } catch (const SQLite::Exception& error) {
            return fail(Place(path_.string()), std::string("can't be read: ") + error.what(), "its copy is in " + backupOf(path_, 1).filename().string());
        }
    }

    void keep(const Book& before, const Book& after, std::string_view words) override {
        if (readOnly_) throw DiskError(path_.string() + ": may only be read here; keep a copy elsewhere and work in that");
        struct stat status{};
        if (::stat(path_.c_str(), &status) != 0 || status.st_ino != inode_)
            throw DiskError(path_.string() + ": was deleted or moved while open; keep a copy under a name of your choice");
        try {
            if (!backedUp_) backUp();
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            eachList([&](const char*, auto list) { keepList(before.*list, after.*list); });
            if (const std::string carried = writeCarried(after.carried); carried != carried_) {
                SQLite::Statement put(database_, "INSERT INTO book VALUES ('carried', ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value");
                put.bind(1, carried);
                put.exec();
                carried_ = carried;
            }
            if (before.schools != after.schools) {
                SQLite::Statement drop(database_, "DELETE FROM book WHERE key = 'schools'");
                drop.exec();
                if (after.schools) {
                    SQLite::Statement put(database_, "INSERT INTO book VALUES ('schools', ?)");
                    put.bind(1, writeRecord(*after.schools));
                    put.exec();
                }
            }
            SQLite::Statement journal(database_, "INSERT INTO edits (words) VALUES (?)");
            journal.bind(1, std::string(words));
            journal.exec();
            transaction.commit();
        } catch (const SQLite::Exception& error) {
            throw DiskError(path_.string() + ": " + error.what());
        }
    }

    bool changedElsewhere() override {
        try {
            return pragma(database_, "data_version") != seen_;
        } catch (const SQLite::Exception&) {
            return false;  // the next read or edit says what is wrong
        }
    }
    bool readOnly() const override { return readOnly_; }

    // Copies under `NAME.backup-N`, made before the first edit of a session.
    void backUp() {
        const auto fresh = path_.string() + ".backup-new";
        std::error_code ignored;
        std::filesystem::remove(fresh, ignored);
        {
            SQLite::Database copy(fresh, SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
            SQLite::Backup backup(copy, database_);
            backup.executeStep(-1);
        }
        for (int n = kBackupsKept; n > 1; --n) std::filesystem::rename(backupOf(path_, n - 1), backupOf(path_, n), ignored);
        std::filesystem::rename(fresh, backupOf(path_, 1), ignored);
        backedUp_ = true;
    }
    void spareBackUp() { backedUp_ = true; }  // a book being made has nothing to lose

  private:
    // The book without its lists: what it carries and the tier's schools.
    std::string wholeBookText() {
        std::string text = R"({"format": "machair-bench", "version": )" + std::to_string(kBenchVersion);
        SQLite::Statement schools(database_, "SELECT value FROM book WHERE key = 'schools'");
        if (schools.executeStep()) text += ", \"schools\": " + schools.getColumn(0).getString();
        SQLite::Statement carried(database_, "SELECT value FROM book WHERE key = 'carried'");
        if (carried.executeStep()) {
            carried_ = carried.getColumn(0).getString();
            if (carried_.size() > 2) text += ", " + carried_.substr(1, carried_.size() - 2);  // without its braces
        }
        return text + "}";
    }

    template <class Record>
    void readList(const char* table, std::vector<Record>& list, Faults& warnings, Faults& faults) {
        std::vector<std::string> texts;
        SQLite::Statement all(database_, std::string("SELECT record FROM ") + table + " ORDER BY place");
        while (all.executeStep()) texts.push_back(all.getColumn(0).getString());
        Result<ReadRecords<Record>> read = readRecords<Record>(table, texts);
        if (!read) return append(faults, read.error());
        list = std::move(read->records);
        append(warnings, read->warnings);
    }

    template <class Record>
    void keepList(const std::vector<Record>& before, const std::vector<Record>& after) {
        if (before.size() == after.size() && std::ranges::equal(before, after, {}, &Record::id, &Record::id)) {
            for (std::size_t i = 0; i < after.size(); ++i)  // the usual edit: the same records, one of them changed
                if (!(before[i] == after[i])) update(before[i], after[i], i);
            return;
        }
        std::map<std::string_view, std::size_t> was;
        for (std::size_t i = 0; i < before.size(); ++i) was.emplace(before[i].id, i);
        std::map<std::string_view, std::size_t> is;
        for (std::size_t i = 0; i < after.size(); ++i) is.emplace(after[i].id, i);
        for (const Record& record : before)
            if (!is.contains(record.id)) remove(record);
        for (std::size_t i = 0; i < after.size(); ++i) {
            const auto old = was.find(after[i].id);
            if (old == was.end())
                insert(after[i], i);
            else if (!(before[old->second] == after[i]))
                update(before[old->second], after[i], i);
            else if (old->second != i)
                move<Record>(after[i].id, i);
        }
    }

    [[noreturn]] void conflict(const std::string& id) const {
        throw ChangedElsewhere(path_.string() + ": \"" + id + "\" was changed by somebody else meanwhile");
    }

    // Refuses where somebody else changed or removed the record since it was read or kept here as `was`. What it says
    // is compared, and not only its text: an older Machair, or a person, may have written the same otherwise.
    template <class Record>
    void mustStandAs(const Record& was) {
        SQLite::Statement now(database_, std::string("SELECT record FROM ") + tableOf<Record>() + " WHERE id = ?");
        now.bind(1, was.id);
        if (!now.executeStep()) conflict(was.id);
        const std::array texts{now.getColumn(0).getString()};
        if (texts[0] == writeRecord(was)) return;
        const auto read = readRecords<Record>(tableOf<Record>(), texts);
        if (!read || !(read->records[0] == was)) conflict(was.id);
    }

    template <class Record>
    void remove(const Record& record) {
        mustStandAs(record);
        SQLite::Statement gone(database_, std::string("DELETE FROM ") + tableOf<Record>() + " WHERE id = ?");
        gone.bind(1, record.id);
        gone.exec();
    }

    template <class Record>
    void insert(const Record& record, std::size_t place) {
        SQLite::Statement taken(database_, std::string("SELECT 1 FROM ") + tableOf<Record>() + " WHERE id = ?");
        taken.bind(1, record.id);
        if (taken.executeStep()) conflict(record.id);
        put(record, place, writeRecord(record));
    }

    template <class Record>
    void update(const Record& was, const Record& is, std::size_t place) {
        mustStandAs(was);
        put(is, place, writeRecord(is));
    }

    template <class Record>
    void move(const std::string& id, std::size_t place) {
        SQLite::Statement moved(database_, std::string("UPDATE ") + tableOf<Record>() + " SET place = ? WHERE id = ?");
        moved.bind(1, static_cast<std::int64_t>(place));
        moved.bind(2, id);
        moved.exec();
    }

    template <class Record>
    void put(const Record& record, std::size_t place, const std::string& text) {
        SQLite::Statement put(database_, std::string("INSERT INTO ") + tableOf<Record>() +
                                             " (id, place, record) VALUES (?, ?, ?) ON CONFLICT (id) DO UPDATE SET place = excluded.place, record = excluded.record");
        put.bind(1, record.id);
        put.bind(2, static_cast<std::int64_t>(place));
        put.bind(3, text);
        put.exec();
    }
    void put(const Pattern& record, std::size_t place, const std::string& text) {
        SQLite::Statement put(database_,
                              "INSERT INTO patterns (id, place, record, hook, thread) VALUES (?, ?, ?, ?, ?) ON CONFLICT (id) DO UPDATE SET "
                              "place = excluded.place, record = excluded.record, hook = excluded.hook, thread = excluded.thread");
        put.bind(1, record.id);
        put.bind(2, static_cast<std::int64_t>(place));
        put.bind(3, text);
        put.bind(4, record.hook);
        put.bind(5, record.thread);
        put.exec();
        SQLite::Statement old(database_, "DELETE FROM pattern_materials WHERE pattern = ?");
        old.bind(1, record.id);
        old.exec();
        SQLite::Statement add(database_, "INSERT INTO pattern_materials VALUES (?, ?, ?)");
        for (std::size_t i = 0; i < record.parts.size(); ++i) {
            if (!record.parts[i].material) continue;
            add.reset();
            add.bind(1, record.id);
            add.bind(2, static_cast<std::int64_t>(i));
            add.bind(3, *record.parts[i].material);
            add.exec();
        }
    }
    void put(const TeamSpec& record, std::size_t place, const std::string& text) {
        SQLite::Statement put(database_,
                              "INSERT INTO teams (id, place, record, bob, upper, middle, lower, point) VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO UPDATE SET "
                              "place = excluded.place, record = excluded.record, bob = excluded.bob, upper = excluded.upper, middle = excluded.middle, "
                              "lower = excluded.lower, point = excluded.point");
        put.bind(1, record.id);
        put.bind(2, static_cast<std::int64_t>(place));
        put.bind(3, text);
        int column = 4;
        for (const auto& fly : record.flies.each) {
            if (fly)
                put.bind(column, *fly);
            else
                put.bind(column);
            ++column;
        }
        put.exec();
    }

    std::filesystem::path path_;
    SQLite::Database database_;
    bool readOnly_;
    bool backedUp_ = false;
    ino_t inode_ = 0;
    int seen_ = 0;
    std::string carried_ = "{}";
};

Faults integrityFaults(SQLite::Database& database, const std::filesystem::path& path) {
    Faults faults;
    const Place name(path.string());
    const std::string copy = "its copy is in " + backupOf(path, 1).filename().string();
    SQLite::Statement check(database, "PRAGMA quick_check(20)");
    while (check.executeStep()) {
        const std::string said = check.getColumn(0).getString();
        if (said != "ok") faults.push_back({name, "the book is damaged: " + said, copy});
    }
    SQLite::Statement keys(database, "PRAGMA foreign_key_check");
    while (keys.executeStep()) {
        const std::string table = keys.getColumn(0).getString();
        SQLite::Statement id(database, "SELECT " + std::string(table == "pattern_materials" ? "pattern" : "id") + " FROM " + table + " WHERE rowid = ?");
        id.bind(1, keys.getColumn(1).getInt64());
        const std::string record = id.executeStep() ? id.getColumn(0).getString() : "?";
        faults.push_back({Place(table).key(record), "refers to something in " + keys.getColumn(2).getString() + " that is not there", copy});
    }
    return faults;
}

SQLite::Database openDatabase(const std::filesystem::path& path, bool readOnly) {
    if (!readOnly) return SQLite::Database(path.string(), SQLite::OPEN_READWRITE);
    try {
        SQLite::Database database(path.string(), SQLite::OPEN_READONLY);
        (void)pragma(database, "user_version");  // a write-ahead log wants its index beside it
        return database;
    } catch (const SQLite::Exception&) {  // a folder that takes no file: read it as it lies there
        return SQLite::Database("file:" + path.string() + "?immutable=1", SQLite::OPEN_READONLY | SQLite::OPEN_URI);
    }
}

}  // namespace

std::filesystem::path backupOf(const std::filesystem::path& path, int n) { return path.string() + ".backup-" + std::to_string(n); }

Result<std::unique_ptr<Home>> openBenchBook(const std::filesystem::path& path, Access access) {
    const Place name(path.string());
    if (Faults faults = ordinaryFile(path); !faults.empty()) return tl::unexpected(faults);
    const auto folder = path.has_parent_path() ? path.parent_path() : std::filesystem::path(".");
    const bool readOnly = access == Access::readOnly || ::access(path.c_str(), W_OK) != 0 || ::access(folder.c_str(), W_OK) != 0;
    try {
        SQLite::Database database = openDatabase(path, readOnly);
        prepare(database);
        if (const int id = pragma(database, "application_id"); id != kApplicationId)
            return fail(name, "this is a database, but not a bench book");
        if (const int version = pragma(database, "user_version"); version > kBookVersion)
            return fail(name, "expected a book of version " + std::to_string(kBookVersion) + " or older, got " + std::to_string(version),
                        "a newer Machair wrote it; nothing was changed");
        if (Faults faults = integrityFaults(database, path); !faults.empty()) return tl::unexpected(faults);
        if (!readOnly) {
            migrate(database);
            database.exec("PRAGMA journal_mode = WAL");
        }
        return std::make_unique<BenchBookHome>(path, std::move(database), readOnly);
    } catch (const SQLite::Exception& error) {
        return fail(name, std::string("can't be opened: ") + error.what(), "its copy is in " + backupOf(path, 1).filename().string());
    }
}

void writeBenchBook(const std::filesystem::path& path, const Book& book) {
    const std::filesystem::path beside = path.string() + ".new";
    std::error_code ignored;
    try {
        std::filesystem::remove(beside, ignored);
        {
            SQLite::Database database(beside.string(), SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
            prepare(database);
            migrate(database);
            BenchBookHome home(beside, std::move(database), false);
            home.spareBackUp();
            home.keep(Book{}, book, "made");
        }
        // A log left beside a replaced book must not be played into the new one: it is taken into the old one first.
        if (std::filesystem::exists(path) && std::filesystem::exists(path.string() + "-wal"))
            SQLite::Database(path.string(), SQLite::OPEN_READWRITE).exec("PRAGMA wal_checkpoint(TRUNCATE)");
        for (const char* left : {"-wal", "-shm"}) std::filesystem::remove(path.string() + left, ignored);
        std::filesystem::rename(beside, path);
        const auto folder = path.has_parent_path() ? path.parent_path() : std::filesystem::path(".");
        if (const int handle = ::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC); handle >= 0) {
            ::fsync(handle);
            ::close(handle);
        }
    } catch (const SQLite::Exception& error) {
        std::filesystem::remove(beside, ignored);
        throw DiskError(path.string() + ": " + error.what());
    } catch (const std::filesystem::filesystem_error& error) {
        std::filesystem::remove(beside, ignored);
        throw DiskError(path.string() + ": " + error.what());
    }
}

}  // namespace machair::store
