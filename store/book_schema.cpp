#include "store/book_schema.h"

#include <SQLiteCpp/Statement.h>
#include <SQLiteCpp/Transaction.h>
#include <sqlite3.h>

#include <array>
#include <cctype>
#include <map>

#include "language/say.h"
#include "store/book_rows.h"

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
)sql",
    // A checksum of each record, and of each list how many it has, what they come to and in which order they stand.
    R"sql(
ALTER TABLE book ADD COLUMN sum INTEGER;
ALTER TABLE hooks ADD COLUMN sum INTEGER;
ALTER TABLE materials ADD COLUMN sum INTEGER;
ALTER TABLE patterns ADD COLUMN sum INTEGER;
ALTER TABLE teams ADD COLUMN sum INTEGER;
ALTER TABLE feathers ADD COLUMN sum INTEGER;
ALTER TABLE cut_lists ADD COLUMN sum INTEGER;
ALTER TABLE team_schools ADD COLUMN sum INTEGER;
ALTER TABLE waters ADD COLUMN sum INTEGER;
ALTER TABLE rule_cards ADD COLUMN sum INTEGER;
ALTER TABLE box ADD COLUMN sum INTEGER;
ALTER TABLE capes ADD COLUMN sum INTEGER;
ALTER TABLE batches ADD COLUMN sum INTEGER;
ALTER TABLE checks ADD COLUMN sum INTEGER;
ALTER TABLE days ADD COLUMN sum INTEGER;
ALTER TABLE season_table ADD COLUMN sum INTEGER;
ALTER TABLE mishaps ADD COLUMN sum INTEGER;
ALTER TABLE stock ADD COLUMN sum INTEGER;
CREATE TABLE lists (list TEXT PRIMARY KEY, records INTEGER NOT NULL, sums INTEGER NOT NULL, sequence INTEGER NOT NULL) STRICT;
)sql",
    // A dressing whose hook, thread or material the book lacks is kept, marked: its columns then say nothing.
    R"sql(
CREATE TABLE patterns_7 (
  id TEXT PRIMARY KEY, place INTEGER NOT NULL, record TEXT NOT NULL,
  hook TEXT REFERENCES hooks (id) DEFERRABLE INITIALLY DEFERRED,
  thread TEXT REFERENCES materials (id) DEFERRABLE INITIALLY DEFERRED,
  sum INTEGER) STRICT;
INSERT INTO patterns_7 (id, place, record, hook, thread, sum) SELECT id, place, record, hook, thread, sum FROM patterns;
DROP TABLE patterns;
ALTER TABLE patterns_7 RENAME TO patterns;
CREATE INDEX patterns_by_hook ON patterns (hook);
)sql"};

int openFlags(GuardedDatabase::Mode mode) {
    switch (mode) {
        case GuardedDatabase::Mode::readWrite: return SQLite::OPEN_READWRITE;
        case GuardedDatabase::Mode::create: return SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE;
        case GuardedDatabase::Mode::readOnly: return SQLite::OPEN_READONLY;
        case GuardedDatabase::Mode::asItLies: return SQLite::OPEN_READONLY | SQLite::OPEN_URI;
    }
    return SQLite::OPEN_READONLY;
}

// A path as a URI: what means something there is written as its number.
std::string uriOf(const std::filesystem::path& path) {
    constexpr std::string_view kPlain = "/-_.~";
    constexpr std::string_view kDigits = "0123456789ABCDEF";
    std::string uri = "file:";
    for (const char c : std::filesystem::absolute(path).string()) {
        const auto byte = static_cast<unsigned char>(c);
        if (std::isalnum(byte) != 0 || kPlain.find(c) != std::string_view::npos) {
            uri += c;
            continue;
        }
        uri += '%';
        uri += kDigits[byte >> 4];
        uri += kDigits[byte & 15];
    }
    return uri + "?immutable=1";
}

std::string nameFor(const std::filesystem::path& path, GuardedDatabase::Mode mode) {
    // A name that begins with a word and a colon would be read as a URI, an empty or odd one as a database in memory.
    return mode == GuardedDatabase::Mode::asItLies ? uriOf(path) : std::filesystem::absolute(path).string();
}

// What the schema of a version says, object by object.
using Schema = std::map<std::string, std::string>;  // "table hooks" to its SQL
Schema schemaOf(SQLite::Database& database) {
    Schema schema;
    SQLite::Statement all(database, "SELECT type, name, sql FROM sqlite_schema");
    while (all.executeStep()) {
        const std::string name = all.getColumn(1).getString();
        if (!name.starts_with("sqlite_autoindex_")) schema[all.getColumn(0).getString() + " " + name] = all.getColumn(2).getString();
    }
    return schema;
}

Schema expectedSchema(int version) {
    SQLite::Database fresh(":memory:", SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
    for (int v = 0; v < version; ++v)
        fresh.exec(kMigrations[static_cast<std::size_t>(v)]);
    return schemaOf(fresh);
}

}  // namespace

int pragma(SQLite::Database& database, const char* name) { return database.execAndGet(std::string("PRAGMA ") + name).getInt(); }

GuardedDatabase::GuardedDatabase(const std::filesystem::path& path, Mode mode)
    : deadline_(std::make_unique<Deadline>()), database_(nameFor(path, mode), openFlags(mode)) {
    sqlite3* handle = database_.getHandle();
    sqlite3_db_config(handle, SQLITE_DBCONFIG_DEFENSIVE, 1, nullptr);
    sqlite3_db_config(handle, SQLITE_DBCONFIG_TRUSTED_SCHEMA, 0, nullptr);
    sqlite3_db_config(handle, SQLITE_DBCONFIG_ENABLE_TRIGGER, 0, nullptr);
    sqlite3_db_config(handle, SQLITE_DBCONFIG_ENABLE_VIEW, 0, nullptr);
    constexpr int kLongestText = 16 << 20, kLongestSql = 1 << 16, kDeepest = 100, kSteps = 25000;
    sqlite3_limit(handle, SQLITE_LIMIT_LENGTH, kLongestText);
    sqlite3_limit(handle, SQLITE_LIMIT_SQL_LENGTH, kLongestSql);
    sqlite3_limit(handle, SQLITE_LIMIT_EXPR_DEPTH, kDeepest);
    sqlite3_limit(handle, SQLITE_LIMIT_VDBE_OP, kSteps);
    sqlite3_limit(handle, SQLITE_LIMIT_ATTACHED, 0);
    beginWork();
    constexpr int kLookEvery = 100'000;  // steps of the database's machine, some milliseconds
    sqlite3_progress_handler(
        handle, kLookEvery, [](void* deadline) { return std::chrono::steady_clock::now() > static_cast<Deadline*>(deadline)->at ? 1 : 0; },
        deadline_.get());
    database_.setBusyTimeout(kBusyMilliseconds);
    database_.exec("PRAGMA cell_size_check = ON; PRAGMA mmap_size = 0; PRAGMA foreign_keys = ON; PRAGMA synchronous = FULL");
}

Faults schemaFaults(SQLite::Database& database, const std::filesystem::path& path) {
    const Place name(path.string());
    if (pragma(database, "application_id") != kApplicationId) return {{name, say("this is a database, but not a bench book"), ""}};
    const int version = pragma(database, "user_version");
    if (version > kBookVersion)
        return {{name, say("expected a book of version {} or older, got {}", std::to_string(kBookVersion), std::to_string(version)),
                 say("a newer Machair wrote it; nothing was changed")}};
    if (version < 1)
        return {{name, say("expected a book of version 1 to {}, got {}", std::to_string(kBookVersion), std::to_string(version)),
                 say("machair-cli rescue takes its records into a new book")}};
    Faults faults;
    const Schema found = schemaOf(database), wanted = expectedSchema(version);
    const std::string remedy = say("machair-cli rescue takes its records into a new book");
    for (const auto& [object, sql] : found) {
        const auto ours = wanted.find(object);
        if (ours == wanted.end())
            faults.push_back({name, say("holds a {} that no Machair made", object), remedy});
        else if (ours->second != sql)
            faults.push_back({name, say("its {} is not as any Machair made it", object), remedy});
    }
    for (const auto& [object, sql] : wanted)
        if (!found.contains(object)) faults.push_back({name, say("its {} is missing", object), remedy});
    constexpr std::size_t kShown = 20;
    if (faults.size() > kShown) faults.resize(kShown);
    return faults;
}

void migrate(SQLite::Database& database, int to) {
    if (pragma(database, "user_version") >= to) return;
    // A table that others refer to can only be made anew where nobody minds; what refers to what stands the same after it.
    database.exec("PRAGMA foreign_keys = OFF");
    const struct On {
        SQLite::Database& database;
        ~On() { database.tryExec("PRAGMA foreign_keys = ON"); }
    } on{database};
    SQLite::Transaction transaction(database, SQLite::TransactionBehavior::IMMEDIATE);
    const int from = pragma(database, "user_version");  // another window may have done it meanwhile
    require(from >= 0 && to <= kBookVersion, "a book's version is looked at before it is brought up to date");
    for (int version = from; version < to; ++version)
        database.exec(kMigrations[static_cast<std::size_t>(version)]);
    if (from < kFirstWithSums && to >= kFirstWithSums) recount(database);
    if (from < to) database.exec("PRAGMA user_version = " + std::to_string(to));
    database.exec("PRAGMA application_id = " + std::to_string(kApplicationId));
    transaction.commit();
}

std::string inWords(const SQLite::Exception& error) {
    switch (error.getErrorCode()) {
        case SQLITE_FULL: return say("the disk is full");
        case SQLITE_IOERR: return say("the disk could not be read or written");
        case SQLITE_CORRUPT: return say("it is damaged");
        case SQLITE_NOTADB: return say("it is no bench book, or its beginning is damaged");
        case SQLITE_BUSY:
        case SQLITE_LOCKED: return say("another program holds it");
        case SQLITE_READONLY: return say("it may only be read");
        case SQLITE_CANTOPEN: return say("it can't be opened");
        case SQLITE_PERM:
        case SQLITE_AUTH: return say("permission denied");
        case SQLITE_NOMEM: return say("there is not enough memory");
        case SQLITE_TOOBIG: return say("a record is too long");
        case SQLITE_CONSTRAINT: return say("something would refer to what is not there");
        case SQLITE_INTERRUPT: return say("it took too long and was stopped");
        default: return say("the database refused it (code {})", std::to_string(error.getErrorCode()));
    }
}

}  // namespace machair::store
