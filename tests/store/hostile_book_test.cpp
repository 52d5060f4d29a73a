// Books that were damaged, made by somebody who means harm, copied and moved while open, and written to by two at once.
#include <SQLiteCpp/Database.h>
#include <SQLiteCpp/Statement.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

#include <catch2/catch.hpp>
#include <fstream>
#include <random>

#include "book/edits.h"
#include "book/kinds.h"
#include "book/lists.h"
#include "book/record_edits.h"
#include "book/team_edits.h"
#include "store/bench_book.h"
#include "store/copies.h"
#include "tests/opened_book.h"
#include "tests/samples.h"
#include "tests/temp_folder.h"

using namespace machair;
using namespace machair::tests;
using store::Access;

namespace {

constexpr unsigned kHostileSeed = 20261127;

void run(const std::filesystem::path& path, const std::string& sql) { SQLite::Database(path.string(), SQLite::OPEN_READWRITE).exec(sql); }

// A book with one edit on it, so that there is a copy of how it was before.
class Edited {
  public:
    Edited() : path(folder.file("b.machair")), book(demoBook()) {
        store::writeBenchBook(path, book);
        auto home = opened(path);
        (void)home->read();
        const Book after = withTail(book, 0.7);
        home->keep(book, after, "tail");
        book = after;
    }
    TempFolder folder;
    std::filesystem::path path;
    Book book;
};

// The same, open, with one more edit acknowledged.
class OpenEdited : public Edited {
  public:
    OpenEdited() : home(opened(path)), after(withTail(book, 0.81)) {
        (void)home->read();
        home->keep(book, after, "tail");
    }
    std::unique_ptr<store::Home> home;
    Book after;
};

}  // namespace

TEST_CASE("a version that never was is refused in words, and nothing of it runs") {
    Edited b;
    for (const char* version : {"-1", "-2147483648", "0"}) {
        run(b.path, std::string("PRAGMA user_version = ") + version);
        CHECK(refusal(b.path).find("expected a book of version 1 to") != std::string::npos);
    }
}

TEST_CASE("what no Machair put into the tables is refused at once: triggers, views, columns, conditions, and what is missing") {
    const std::string endless = "(WITH RECURSIVE c(x) AS (SELECT 1 UNION ALL SELECT x + 1 FROM c) SELECT count(*) FROM c)";
    const std::vector<std::pair<std::string, std::string>> attacks = {
        {"CREATE TRIGGER evil AFTER INSERT ON edits BEGIN DELETE FROM days; END", "holds a trigger evil"},
        {"CREATE VIEW evil AS SELECT * FROM days", "holds a view evil"},
        {"DROP TABLE days; CREATE VIEW days AS SELECT 'x' AS id, 1 AS place, " + endless + " AS record, 1 AS sum", "view days"},
        {"ALTER TABLE days ADD COLUMN more TEXT AS (hex(zeroblob(1000000000))) VIRTUAL", "table days is not as any Machair made it"},
        {"DROP TABLE box; CREATE TABLE box (id TEXT PRIMARY KEY, place INTEGER, record TEXT, sum INTEGER, CHECK "
         "(length(hex(zeroblob(1000000))) > 0)) STRICT",
         "table box is not as any"},
        {"CREATE INDEX evil ON days (length(hex(zeroblob(100000))))", "index evil"},
        {"CREATE TABLE more (x)", "holds a table more"},
        {"DROP TABLE days", "its table days is missing"},
        {"DROP INDEX patterns_by_hook", "its index patterns_by_hook is missing"}};
    for (const auto& [sql, says] : attacks) {
        CAPTURE(sql);
        Edited b;
        run(b.path, sql);
        const std::string said = refusal(b.path);
        CHECK(said.find(says) != std::string::npos);
        CHECK(said.find("rescue") != std::string::npos);
        // What is left of it can still be had.
        const auto rescued = store::rescueBook(b.path);
        REQUIRE(rescued);
        CHECK(rescued->book.patterns == b.book.patterns);
    }
}

TEST_CASE("a record whose bits flipped is set aside and not taken for another, and the rest works") {
    Edited b;
    run(b.path, "UPDATE materials SET record = replace(record, 'Orange', 'Orenge') WHERE record LIKE '%Orange%'");
    run(b.path,
        "UPDATE days SET record = replace(record, '\"hours\":2', '\"hours\":3') WHERE id = (SELECT id FROM days WHERE record LIKE "
        "'%\"hours\":2%' LIMIT 1)");
    auto home = opened(b.path);
    const auto read = home->read();
    REQUIRE(read);
    REQUIRE_FALSE(read->setAside.empty());
    std::size_t days = 0;
    for (const store::SetAside& aside : read->setAside)
        if (aside.list == "days") {
            ++days;
            CHECK(aside.line().find("checksum") != std::string::npos);
        }
    CHECK(days == 1);
    CHECK(read->book.days.size() + 1 == b.book.days.size());
    // Work goes on, and what was set aside is still in the file.
    const Book after = changePatternField(read->book, read->book.patterns.front().id, "note", "still here")->after;
    home->keep(read->book, after, "note");
    CHECK(home->read()->setAside.size() == read->setAside.size());
    // The copy has it whole.
    CHECK(home->mendFromCopies().find("taken from the copy of") != std::string::npos);
    const auto mended = home->read();
    CHECK(mended->setAside.empty());
    CHECK(mended->book.days == b.book.days);
    CHECK(mended->book.materials == b.book.materials);
}

TEST_CASE("rows that are gone are missed, and come back from a copy") {
    Edited b;
    run(b.path, "PRAGMA foreign_keys = OFF; DELETE FROM box WHERE place < 3; DELETE FROM checks WHERE place = 5");
    auto home = opened(b.path);
    const auto read = home->read();
    REQUIRE(read);
    REQUIRE(read->setAside.size() == 2);
    CHECK(read->setAside.front().missing == 3);
    CHECK(read->setAside.front().line().find("expected " + std::to_string(b.book.box.size()) + " records") != std::string::npos);
    (void)home->mendFromCopies();
    CHECK(home->read()->setAside.empty());
    CHECK(home->read()->book == b.book);
}

TEST_CASE("a record that refers to what is not there is set aside with its reason, mended from a copy, or taken out") {
    for (const bool mend : {true, false}) {
        CAPTURE(mend);
        Edited b;
        run(b.path,
            "PRAGMA foreign_keys = OFF; DELETE FROM patterns WHERE id = 'kelp-lantern'; UPDATE lists SET records = records - 1 WHERE list "
            "= 'patterns'");
        auto home = opened(b.path);
        const auto read = home->read();
        REQUIRE(read);
        REQUIRE_FALSE(read->setAside.empty());
        bool team = false, batch = false;
        for (const store::SetAside& aside : read->setAside) {
            if (aside.list == "teams") team = aside.line().find("expected the id of a dressing, got \"kelp-lantern\"") != std::string::npos;
            if (aside.list == "batches") batch = true;
        }
        CHECK(team);
        CHECK(batch);
        CHECK(check(read->book).empty());
        if (mend)
            (void)home->mendFromCopies();
        else
            CHECK(home->takeOutSetAside().find("taken out") != std::string::npos);
        const auto after = home->read();
        CHECK(after->setAside.empty());
        if (mend) {
            CHECK(after->book.teams == b.book.teams);
            CHECK(after->book.findPattern("kelp-lantern") != nullptr);
        } else
            CHECK(after->book == read->book);
    }
}

TEST_CASE("an order of records that changed by itself is noticed") {
    Edited b;
    run(b.path, "UPDATE patterns SET place = 500 WHERE place = 2");
    const auto read = opened(b.path)->read();
    REQUIRE(read->setAside.size() == 1);
    CHECK(read->setAside.front().line().find("order") != std::string::npos);
    CHECK(read->book.patterns.size() == b.book.patterns.size());
}

TEST_CASE("of random corruptions none opens with other content and nothing said") {
    CAPTURE(kHostileSeed);
    std::mt19937 random(kHostileSeed);
    Edited b;
    { auto home = opened(b.path); }  // its log is written back
    const std::string whole = contentOf(b.path);
    int refused = 0, setAside = 0, harmless = 0;
    constexpr int kCorruptions = 150;
    for (int i = 0; i < kCorruptions; ++i) {
        std::string bytes = whole;
        switch (random() % 4) {
            case 0:
                for (auto k = random() % 3 + 1; k > 0; --k)
                    bytes[random() % bytes.size()] ^= static_cast<char>(1 << random() % 8);
                break;
            case 1: {  // a page over another
                const std::size_t pages = bytes.size() / 4096;
                bytes.replace(4096 * (random() % pages), 4096, bytes.substr(4096 * (random() % pages), 4096));
                break;
            }
            case 2: bytes.replace(random() % bytes.size(), 16, std::string(16, '\0')); break;
            default: bytes.resize(bytes.size() - 4096 * (random() % (bytes.size() / 4096))); break;
        }
        const auto hurt = b.folder.file("hurt.machair");
        std::ofstream(hurt, std::ios::binary) << bytes;
        for (const char* left : {"-wal", "-shm"})
            std::filesystem::remove(hurt.string() + left);
        auto home = store::openHome(hurt, Access::readWrite);
        const auto read = home ? (*home)->read() : tl::unexpected(home.error());
        if (!read)
            ++refused;
        else if (!read->setAside.empty())
            ++setAside;
        else {
            CAPTURE(i);
            REQUIRE(read->book == b.book);
            ++harmless;
        }
        CHECK_NOTHROW(store::rescueBook(hurt));
    }
    CHECK(refused + setAside + harmless == kCorruptions);
    CHECK(refused + setAside > kCorruptions / 10);
}

TEST_CASE("a book whose pages don't hold together is rescued record by record") {
    Edited b;
    { auto home = opened(b.path); }
    // The roots of two lists are overwritten: the database no longer finds what hangs on them.
    SQLite::Database database(b.path.string());
    const int root = database.execAndGet("SELECT rootpage FROM sqlite_schema WHERE name = 'patterns'").getInt();
    const int days = database.execAndGet("SELECT rootpage FROM sqlite_schema WHERE name = 'days'").getInt();
    std::fstream file(b.path, std::ios::in | std::ios::out | std::ios::binary);
    for (const int page : {root, days}) {
        file.seekp(static_cast<std::streamoff>(page - 1) * 4096);
        file << std::string(12, '\xff');
    }
    file.close();
    CHECK(refusal(b.path).find("damaged") != std::string::npos);
    const auto rescued = store::rescueBook(b.path);
    REQUIRE(rescued);
    CHECK(rescued->book.materials == b.book.materials);
    CHECK(rescued->book.patterns.size() >= b.book.patterns.size() - 1);  // what stood in the root's own page may be lost
    CHECK_FALSE(rescued->book.days.empty());
    CHECK(check(rescued->book).empty());
    CHECK(std::ranges::any_of(rescued->said,
                              [](const std::string& line) { return line.find("found in the file's bytes") != std::string::npos; }));
    // And of a bench file: what is sound of it.
    const auto json = b.folder.file("b.machair.json");
    std::string text = store::writeBench(b.book);
    text.replace(text.find("\"size\": 10"), 10, "\"size\": 99");
    std::ofstream(json) << text;
    CHECK_FALSE(store::readBook(json));
    const auto sound = store::rescueBook(json);
    REQUIRE(sound);
    CHECK(sound->book.hooks.size() + 1 == b.book.hooks.size());
    CHECK_FALSE(sound->said.empty());
    CHECK(checkToRead(sound->book).empty());  // dressings on the hook that is lost are there, marked
}

TEST_CASE("two windows can write nothing together that is refused on reading") {
    CAPTURE(kHostileSeed);
    std::mt19937 random(kHostileSeed);
    const TempFolder folder;
    // What a tier does to a book, at random.
    const auto anyEdit = [&](const Book& book) -> Result<Edit> {
        const auto one = [&](const auto& list) { return list[random() % list.size()].id; };
        switch (random() % 9) {
            case 0: return removePattern(book, one(book.patterns));
            case 1: return addBatch(book, one(book.patterns), 6);
            case 2: return changeTeamFly(book, one(book.teams), Position::upper, one(book.patterns));
            case 3: return removeHook(book, one(book.hooks));
            case 4: return changeHook(book, one(book.patterns), one(book.hooks));
            case 5: return removeMaterial(book, one(book.materials));
            case 6: return resizeHook(book, one(book.patterns), {static_cast<int>(6 + 2 * (random() % 5)), std::nullopt});
            case 7: return changePatternField(book, one(book.patterns), "thread", one(book.materials));
            default: return addWater(book);
        }
    };
    int both = 0, conflicts = 0;
    for (int pair = 0; pair < 60; ++pair) {
        CAPTURE(pair);
        const auto path = folder.file("pair.machair");
        for (const char* left : {"", "-wal", "-shm"})
            std::filesystem::remove(path.string() + left);
        store::writeBenchBook(path, demoBook());
        auto one = opened(path), two = opened(path);
        const Book book = one->read()->book;
        (void)two->read();
        int kept = 0;
        for (store::Home* window : {one.get(), two.get()}) {
            Result<Edit> edit = anyEdit(book);
            for (int i = 0; !edit && i < 50; ++i)
                edit = anyEdit(book);
            if (!edit || !check(edit->after).empty()) continue;
            try {
                window->keep(book, edit->after, edit->words);
                ++kept;
            } catch (const store::ChangedElsewhere&) {
                ++conflicts;
            }
        }
        both += kept == 2 ? 1 : 0;
        one.reset();
        two.reset();
        const auto read = store::readBook(path);
        if (!read) FAIL(read.error().front().line());
        REQUIRE(read->setAside.empty());
        REQUIRE(check(read->book).empty());
    }
    CHECK(both > 20);
    CHECK(conflicts > 2);
}

TEST_CASE("a dressing taken out in one window and put on the list in the other is refused, not bricked") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    store::writeBenchBook(path, demoBook());
    auto one = opened(path), two = opened(path);
    const Book book = one->read()->book;
    (void)two->read();
    const DressingId fly = [&] {
        for (const Pattern& pattern : book.patterns)
            if (removePattern(book, pattern.id)) return pattern.id;
        return DressingId();
    }();
    REQUIRE_FALSE(fly.empty());
    one->keep(book, removePattern(book, fly)->after, "out");
    CHECK_THROWS_AS(two->keep(book, addBatch(book, fly, 6)->after, "batch"), store::ChangedElsewhere);
    CHECK(store::readBook(path)->book == removePattern(book, fly)->after);
}

TEST_CASE("a plain copy of an open book is whole once it is settled") {
    OpenEdited b;
    b.home->settle();
    std::filesystem::copy_file(b.path, b.folder.file("copy.machair"));
    CHECK(store::readBook(b.folder.file("copy.machair"))->book == b.after);
}

TEST_CASE("a log that is tidied away while the book is open loses nothing") {
    OpenEdited b;
    for (const char* left : {"-wal", "-shm"})
        std::filesystem::remove(b.path.string() + left);
    const Book more = withTail(b.after, 0.82);
    b.home->keep(b.after, more, "tail again");
    b.home.reset();
    CHECK(store::readBook(b.path)->book == more);
}

TEST_CASE("a book renamed while open says so, and what was acknowledged is in it") {
    OpenEdited b;
    const auto elsewhere = b.folder.file("elsewhere.machair");
    std::filesystem::rename(b.path, elsewhere);
    CHECK_THROWS_WITH(b.home->keep(b.after, withTail(b.after, 0.9), "x"), Catch::Contains("moved while open"));
    b.home.reset();
    CHECK(store::readBook(elsewhere)->book == b.after);
}

TEST_CASE("names with signs of their own in URIs work, read-only too, and a log that can't be read along is said") {
    const TempFolder folder;
    for (const char* name : {"what?.machair", "50%20.machair", "a#b.machair", "file:x.machair", "ü ber.machair"}) {
        CAPTURE(name);
        const auto path = folder.file(name);
        store::writeBenchBook(path, demoBook());
        CHECK(store::readBook(path)->book == demoBook());
        auto home = opened(path);
        (void)home->read();
        CHECK_NOTHROW(home->keep(demoBook(), withTail(demoBook(), 0.7), "tail"));
    }
}

TEST_CASE("copies are as private as the book, and words promise none that isn't there") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    store::writeBenchBook(path, demoBook());
    ::chmod(path.c_str(), 0600);
    CHECK(store::sayNewestCopy(path).empty());
    auto home = opened(path);
    (void)home->read();
    home->keep(demoBook(), withTail(demoBook(), 0.7), "tail");
    const auto copies = store::copiesOf(path);
    REQUIRE(copies.size() == 1);
    struct stat status {};
    REQUIRE(::stat(copies[0].path.c_str(), &status) == 0);
    CHECK((status.st_mode & 07777) == 0600);
    REQUIRE(::stat(copies[0].path.parent_path().c_str(), &status) == 0);
    CHECK((status.st_mode & 07077) == 0);
    CHECK(store::sayNewestCopy(path).find(copies[0].path.string()) != std::string::npos);
    store::writeBenchBook(path, demoBook());
    CHECK([&] {
        struct stat now {};
        ::stat(path.c_str(), &now);
        return now.st_mode & 07777;
    }() == 0600);
}

TEST_CASE("two first edits at once each have their copy") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    store::writeBenchBook(path, demoBook());
    std::vector<pid_t> children;
    for (const char* fly : {"kelp-lantern", "soot-ember"}) {
        const pid_t child = ::fork();
        if (child != 0) {
            children.push_back(child);
            continue;
        }
        auto home = store::openHome(path, Access::readWrite);
        const Book book = (*home)->read()->book;
        try {
            (*home)->keep(book, changePatternField(book, fly, "note", "first")->after, "note");
        } catch (const std::exception&) {
            ::_exit(1);
        }
        ::_exit(0);
    }
    for (const pid_t child : children) {
        int status = 0;
        ::waitpid(child, &status, 0);
        CHECK(WEXITSTATUS(status) == 0);
    }
    CHECK(store::copiesOf(path).size() == 2);
    for (const store::Copy& copy : store::copiesOf(path))
        CHECK(store::readBook(copy.path));
}

TEST_CASE("doctor tells a sound book from a damaged one") {
    Edited b;
    CHECK(store::examineBook(b.path).faults.empty());
    CHECK(std::ranges::any_of(store::examineBook(b.path).notes, [](const std::string& note) { return note.starts_with("copy of "); }));
    run(b.path, "UPDATE days SET record = replace(record, '20', '21') WHERE place = 3");
    CHECK_FALSE(store::examineBook(b.path).faults.empty());
}

TEST_CASE("lengths in metres, winds and angles come back to the last bit") {
    std::mt19937 random(kHostileSeed);
    std::uniform_real_distribution<double> any(0.001, 3.0);
    Book book = demoBook();
    for (int i = 0; i < 20; ++i) {
        book.teams[0].leader->bobToMiddle = any(random) * metre;
        book.teams[0].leader->tipToBob = std::round(any(random) * 100.0) / 100.0 * metre;
        book.waters[0].wind = any(random) * metrePerSecond;
        const auto text = store::writeBench(book);
        const Book back = store::readBench(text)->book;
        REQUIRE(back.teams[0] == book.teams[0]);
        REQUIRE(back.waters[0] == book.waters[0]);
    }
    book.teams[0].leader->bobToMiddle = 1.1 * metre;
    CHECK(store::writeBench(book).find("\"bob_to_middle_m\": 1.1,") != std::string::npos);
}
