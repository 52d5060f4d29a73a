#include "store/bench_book.h"

#include <SQLiteCpp/Backup.h>
#include <SQLiteCpp/Statement.h>
#include <SQLiteCpp/Transaction.h>
#include <sqlite3.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <map>
#include <set>

#include "book/lists.h"
#include "language/say.h"
#include "store/book_rows.h"
#include "store/book_schema.h"
#include "store/checksum.h"
#include "store/copies.h"
#include "store/records.h"

namespace machair::store {

namespace {

// The log beside a book: acknowledged edits live there until they are written into the book itself.
class Log {
  public:
    explicit Log(const std::filesystem::path& book) : path_(book.string() + "-wal") {}
    // Called after something was written: the log is there now.
    void remember() { inode_ = stampOf(path_).inode; }
    // Whether the log that edits went to is no longer the one under its name.
    [[nodiscard]] bool gone() const { return inode_ != 0 && stampOf(path_).inode != inode_; }
    // Whether somebody else began a new one since.
    [[nodiscard]] bool another() const { return gone() && stampOf(path_).inode != 0; }
    void forget() { inode_ = 0; }

  private:
    std::filesystem::path path_;
    ino_t inode_ = 0;
};

class BenchBookHome : public Home {
  public:
    BenchBookHome(std::filesystem::path path, GuardedDatabase database, bool readOnly, std::string behind)
        : path_(std::move(path)),
          guarded_(std::move(database)),
          readOnly_(readOnly),
          behind_(std::move(behind)),
          log_(path_),
          inode_(stampOf(path_).inode) {
        seen_ = pragma(*guarded_, "data_version");
    }

    Result<OpenedBench> read() override {
        try {
            guarded_.beginWork();
            SQLite::Transaction transaction(*guarded_);  // one state of the book, whoever writes meanwhile
            seen_ = pragma(*guarded_, "data_version");
            Result<OpenedBench> opened = readAll(*guarded_);
            if (!opened) return opened;
            if (!behind_.empty()) opened->warnings.push_back({Place(path_.string()), behind_, say("open it where it may be written to")});
            setAside_ = opened->setAside;
            return opened;
        } catch (const SQLite::Exception& error) {
            return fail(Place(path_.string()), say("can't be read: {}", inWords(error)), sayNewestCopy(path_));
        }
    }

    void keep(const Book& before, const Book& after, std::string_view words) override {
        if (readOnly_) throw DiskError(say("{}: may only be read here; keep a copy elsewhere and work in that", path_.string()));
        mustStandWhereItDid();
        try {
            guarded_.beginWork();
            if (!backedUp_) backUp();
            SQLite::Transaction transaction(*guarded_, SQLite::TransactionBehavior::IMMEDIATE);
            // Each record is held against what it was; where anybody else wrote since, the whole is checked as well, since
            // what each of two edits leaves sound may not be sound together.
            const bool othersWrote = pragma(*guarded_, "data_version") != seen_;
            eachList([&](const char* name, auto list) {
                change_ = {};
                keepList(before.*list, after.*list);
                if (change_ != ListTally{}) countIn(name);
            });
            keepValues(before, after);
            if (std::exchange(unsummed_, false)) recount(*guarded_);
            if (othersWrote) mustBeSound(check(after).size());
            SQLite::Statement journal(*guarded_, "INSERT INTO edits (words) VALUES (?)");
            journal.bind(1, std::string(words));
            journal.exec();
            acknowledge(transaction);
        } catch (const SQLite::Exception& error) {
            if (error.getErrorCode() == SQLITE_CONSTRAINT && pragma(*guarded_, "data_version") != seen_)
                throw ChangedElsewhere(say("{}: what this refers to was taken out by somebody else meanwhile", path_.string()));
            throw DiskError(path_.string() + ": " + inWords(error));
        }
    }

    bool changedElsewhere() override {
        try {
            return pragma(*guarded_, "data_version") != seen_;
        } catch (const SQLite::Exception&) {
            return false;  // the next read or edit says what is wrong
        }
    }
    bool readOnly() const override { return readOnly_; }

    void settle() override {
        if (!unsettled_ || readOnly_) return;
        try {
            SQLite::Statement checkpoint(*guarded_, "PRAGMA wal_checkpoint(PASSIVE)");  // (busy, pages in the log, of them written back)
            if (checkpoint.executeStep()) unsettled_ = checkpoint.getColumn(1).getInt() != checkpoint.getColumn(2).getInt();
        } catch (const SQLite::Exception& error) {
            throw DiskError(path_.string() + ": " + inWords(error));
        }
    }

    std::string mendFromCopies() override;
    std::string takeOutSetAside() override;

    void isNew() { backedUp_ = true; }  // a book being made has nothing to lose

  private:
    // The book must be where it was opened, and its log where edits went to: else what is acknowledged now would be lost.
    // What is in our hands is written into the book itself first.
    void mustStandWhereItDid() {
        const bool moved = stampOf(path_).inode != inode_;
        if (!moved && !log_.gone()) return;
        if (!moved && unsettled_ && log_.another())  // writing ours back would go over what another window wrote
            throw DiskError(
                say("{}: its log was taken away while open, and another window writes to it; keep a copy under a name of your choice",
                    path_.string()));
        if (unsettled_) try {
                (*guarded_).exec("PRAGMA wal_checkpoint(TRUNCATE)");
                unsettled_ = false;
            } catch (const SQLite::Exception& error) {
                throw DiskError(
                    say("{}: was moved while open, and what was in its log could not be written back: {}", path_.string(), inWords(error)));
            }
        if (moved) throw DiskError(say("{}: was deleted or moved while open; keep a copy under a name of your choice", path_.string()));
        guarded_ = GuardedDatabase(path_, GuardedDatabase::Mode::readWrite);  // with a log of its own again
        seen_ = -1;                                                           // others may have written meanwhile: check it all
        log_.forget();
    }

    void acknowledge(SQLite::Transaction& transaction) {
        transaction.commit();
        log_.remember();
        unsettled_ = true;
    }

    void backUp() {
        const std::time_t now = std::time(nullptr);
        const std::filesystem::path copy = nameOfCopy(path_, now), fresh = nameBeside(copy);
        try {
            createLike(fresh, path_);
            {
                SQLite::Database into(fresh.string(), SQLite::OPEN_READWRITE);
                SQLite::Backup backup(into, *guarded_);
                backup.executeStep(-1);
            }
            putInPlace(fresh, copy);
        } catch (...) {
            std::error_code ignored;
            std::filesystem::remove(fresh, ignored);
            throw;
        }
        backedUp_ = true;
        thinCopies(path_);
        sweepBeside(copy);
        sweepBeside(path_);
    }

    // No worse than the edit that is being kept leaves it by itself.
    void mustBeSound(std::size_t faults) {
        const Result<OpenedBench> now = readAll(*guarded_);
        if (!now) throw ChangedElsewhere(now.error().front().line());
        if (now->setAside.size() > setAside_.size())
            throw ChangedElsewhere(
                say("{}: does not go together with what somebody else did meanwhile: {}", path_.string(), now->setAside.back().line()));
        if (const Faults found = check(now->book); found.size() > faults)
            throw ChangedElsewhere(
                say("{}: does not go together with what somebody else did meanwhile: {}", path_.string(), found.back().line()));
    }

    void keepValues(const Book& before, const Book& after) {
        change_ = {};
        if (before.carried != after.carried) putValue("carried", writeCarried(after.carried));
        if (before.schools != after.schools) {
            if (after.schools)
                putValue("schools", writeRecord(*after.schools));
            else
                dropValue("schools");
        }
        if (change_ != ListTally{}) countIn("book");
    }
    void dropValue(const std::string& key) {
        SQLite::Statement was(*guarded_, "DELETE FROM book WHERE key = ? RETURNING value, sum");
        was.bind(1, key);
        while (was.executeStep())
            change_.went(valueRow(key, was.getColumn(0).getString(), was.getColumn(1)));
    }
    void putValue(const std::string& key, const std::string& value) {
        dropValue(key);
        const std::int64_t own = checksumOf("book", key, value);
        SQLite::Statement put(*guarded_, "INSERT INTO book (key, value, sum) VALUES (?, ?, ?)");
        put.bind(1, key);
        put.bind(2, value);
        put.bind(3, own);
        put.exec();
        change_.came({"book", key, 0, value, own});
    }

    void countIn(const char* list) {
        std::optional<ListTally> tally = writtenTally(*guarded_, list);
        if (!tally) return;  // its line is lost: the next reading says so
        tally->add(change_);
        writeTally(*guarded_, list, *tally);
    }

    template <class Record>
    void keepList(const std::vector<Record>& before, const std::vector<Record>& after) {
        if (before.size() == after.size() && std::ranges::equal(before, after, {}, &Record::id, &Record::id)) {
            for (std::size_t i = 0; i < after.size(); ++i)  // the usual edit: the same records, one of them changed
                if (!(before[i] == after[i])) update(before[i], after[i], i);
            return;
        }
        std::map<std::string_view, std::size_t> was;
        for (std::size_t i = 0; i < before.size(); ++i)
            was.emplace(before[i].id, i);
        std::map<std::string_view, std::size_t> is;
        for (std::size_t i = 0; i < after.size(); ++i)
            is.emplace(after[i].id, i);
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
        throw ChangedElsewhere(say("{}: \"{}\" was changed by somebody else meanwhile", path_.string(), id));
    }

    // The row of a record that should stand as it was read or kept here; refused where somebody else changed or removed it
    // since. What it says is compared, and not only its text: an older Machair, or a person, may have written the same otherwise.
    template <class Record>
    StoredRow standingAs(const Record& was) {
        const auto now = rowOf(*guarded_, listOf<Record>(), was.id);
        if (!now) conflict(was.id);
        unsummed_ = unsummed_ || !now->sum;  // a hand, or another program, wrote it: what its list came to isn't known
        if (now->text == writeRecord(was)) return *now;
        const std::array texts{now->text};
        const auto read = readRecords<Record>(listOf<Record>(), texts);
        if (!read.spoilt.empty() || !(read.records[0] == was)) conflict(was.id);
        return *now;
    }

    template <class Record>
    void remove(const Record& record) {
        change_.went(standingAs(record));
        SQLite::Statement gone(*guarded_, std::string("DELETE FROM ") + listOf<Record>() + " WHERE id = ?");
        gone.bind(1, record.id);
        gone.exec();
    }

    template <class Record>
    void insert(const Record& record, std::size_t place) {
        if (rowOf(*guarded_, listOf<Record>(), record.id)) conflict(record.id);
        put(record, place);
    }

    template <class Record>
    void update(const Record& was, const Record& is, std::size_t place) {
        change_.went(standingAs(was));
        put(is, place);
    }

    template <class Record>
    void move(const std::string& id, std::size_t place) {
        auto row = rowOf(*guarded_, listOf<Record>(), id);
        if (!row) conflict(id);
        change_.went(*row);
        row->place = static_cast<std::int64_t>(place);
        change_.came(*row);
        SQLite::Statement moved(*guarded_, std::string("UPDATE ") + listOf<Record>() + " SET place = ? WHERE id = ?");
        moved.bind(1, row->place);
        moved.bind(2, id);
        moved.exec();
    }

    template <class Record>
    void put(const Record& record, std::size_t place) {
        const std::string text = writeRecord(record);
        const StoredRow row{listOf<Record>(), record.id, static_cast<std::int64_t>(place), text,
                            checksumOf(listOf<Record>(), record.id, text)};
        putRow(*guarded_, record, row);
        change_.came(row);
    }

    std::filesystem::path path_;
    GuardedDatabase guarded_;
    bool readOnly_;
    std::string behind_;  // why what is read here may be older than the book
    Log log_;
    ino_t inode_ = 0;
    bool backedUp_ = false;
    bool unsettled_ = false;
    bool unsummed_ = false;
    int seen_ = 0;
    std::vector<SetAside> setAside_;
    ListTally change_;  // what this edit does to the list that is being kept
};

// Damaged rows go out first, so that what takes their ids finds room.
std::string BenchBookHome::mendFromCopies() {
    if (readOnly_) throw DiskError(say("{}: may only be read here", path_.string()));
    try {
        guarded_.beginWork();
        std::size_t mended = 0;
        std::string from;
        SQLite::Transaction transaction(*guarded_, SQLite::TransactionBehavior::IMMEDIATE);
        (*guarded_).exec("PRAGMA defer_foreign_keys = ON");
        for (const Copy& copy : copiesOf(path_)) {
            const std::vector<SetAside> left =
                readAll(*guarded_).map([](const OpenedBench& now) { return now.setAside; }).value_or(std::vector<SetAside>());
            if (left.empty()) break;
            const std::size_t now = mendFrom(*guarded_, copy.path, left);
            if (now > 0 && from.empty()) from = sayTime(copy.made);
            mended += now;
        }
        recount(*guarded_);
        acknowledge(transaction);
        return mended == 0
                   ? say("No copy has what is damaged here")
                   : say("{}{} taken from the copy of {}", std::to_string(mended), mended == 1 ? say(" record") : say(" records"), from);
    } catch (const SQLite::Exception& error) {
        throw DiskError(say("{}: could not be mended: {}", path_.string(), inWords(error)));
    }
}

std::string BenchBookHome::takeOutSetAside() {
    if (readOnly_) throw DiskError(say("{}: may only be read here", path_.string()));
    try {
        guarded_.beginWork();
        if (!backedUp_) backUp();
        SQLite::Transaction transaction(*guarded_, SQLite::TransactionBehavior::IMMEDIATE);
        (*guarded_).exec("PRAGMA defer_foreign_keys = ON");
        std::size_t out = 0;
        for (const SetAside& aside : setAside_)
            out += dropRow(*guarded_, aside.list, aside.id);
        recount(*guarded_);
        acknowledge(transaction);
        return say("{}{} taken out", std::to_string(out), out == 1 ? say(" damaged record") : say(" damaged records"));
    } catch (const SQLite::Exception& error) {
        throw DiskError(say("{}: could not be mended: {}", path_.string(), inWords(error)));
    }
}

Faults pageFaults(SQLite::Database& database, const std::filesystem::path& path) {
    Faults faults;
    SQLite::Statement check(database, "PRAGMA quick_check(20)");
    while (check.executeStep()) {
        const std::string said = check.getColumn(0).getString();
        const std::string copy = sayNewestCopy(path);
        if (said != "ok")
            faults.push_back({Place(path.string()), say("the book is damaged: {}", said),
                              say("machair-cli rescue takes what can be read into a new book{}", copy.empty() ? "" : "; " + copy)});
    }
    return faults;
}

// Read-only as far as its folder lets us; `behind` says where the log could not be read along.
struct OpenedDatabase {
    GuardedDatabase database;
    std::string behind;
};
OpenedDatabase openDatabase(const std::filesystem::path& path, bool readOnly) {
    using Mode = GuardedDatabase::Mode;
    if (!readOnly) return {GuardedDatabase(path, Mode::readWrite), {}};
    try {
        GuardedDatabase database(path, Mode::readOnly);
        (void)pragma(*database, "user_version");  // a write-ahead log wants its index beside it
        return {std::move(database), {}};
    } catch (const SQLite::Exception&) {  // a folder that takes no file: read it as it lies there
        const off_t log = stampOf(path.string() + "-wal").size;
        return {
            GuardedDatabase(path, Mode::asItLies),
            log > 0 ? say("its log of {} bytes can't be read here: the last edits may be missing", std::to_string(log)) : std::string()};
    }
}

}  // namespace

Result<std::unique_ptr<Home>> openBenchBook(const std::filesystem::path& link, Access access) {
    const std::filesystem::path path = resolved(link);
    const Place name(path.string());
    if (Faults faults = ordinaryFile(path); !faults.empty()) return tl::unexpected(faults);
    const auto folder = path.has_parent_path() ? path.parent_path() : std::filesystem::path(".");
    const bool readOnly = access == Access::readOnly || ::access(path.c_str(), W_OK) != 0 || ::access(folder.c_str(), W_OK) != 0;
    std::error_code error;
    if (std::filesystem::file_size(path, error) > kLargestBook)
        return fail(name, say("expected a book of at most {} MiB, got {} MiB", std::to_string(kLargestBook >> 20),
                              std::to_string(std::filesystem::file_size(path, error) >> 20)));
    try {
        OpenedDatabase opened = openDatabase(path, readOnly);
        if (Faults faults = schemaFaults(*opened.database, path); !faults.empty()) return tl::unexpected(faults);
        if (Faults faults = pageFaults(*opened.database, path); !faults.empty()) return tl::unexpected(faults);
        if (!readOnly) {
            migrate(*opened.database);
            opened.database->exec("PRAGMA journal_mode = WAL");
        }
        return std::make_unique<BenchBookHome>(path, std::move(opened.database), readOnly, std::move(opened.behind));
    } catch (const SQLite::Exception& failure) {
        return fail(name, say("can't be opened: {}", inWords(failure)), sayNewestCopy(path));
    }
}

void writeBenchBook(const std::filesystem::path& link, const Book& book) {
    const std::filesystem::path path = resolved(link), beside = nameBeside(path);
    std::error_code ignored;
    try {
        createLike(beside, path);
        {
            GuardedDatabase database(beside, GuardedDatabase::Mode::readWrite);
            migrate(*database);
            BenchBookHome home(beside, std::move(database), false, {});
            home.isNew();
            home.keep(Book{}, book, "made");
        }
        // A log left beside a replaced book must not be played into the new one: it is taken into the old one first.
        if (std::filesystem::exists(path) && std::filesystem::exists(path.string() + "-wal"))
            GuardedDatabase(path, GuardedDatabase::Mode::readWrite)->exec("PRAGMA wal_checkpoint(TRUNCATE)");
        for (const char* left : {"-wal", "-shm"})
            std::filesystem::remove(path.string() + left, ignored);
        putInPlace(beside, path);
    } catch (const SQLite::Exception& error) {
        std::filesystem::remove(beside, ignored);
        throw DiskError(path.string() + ": " + inWords(error));
    } catch (...) {
        std::filesystem::remove(beside, ignored);
        throw;
    }
}

}  // namespace machair::store
