#include "store/bench_book.h"

#include <SQLiteCpp/Database.h>
#include <SQLiteCpp/Statement.h>
#include <SQLiteCpp/Transaction.h>
#include <sys/resource.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>
#include <catch2/catch.hpp>
#include <csignal>
#include <fstream>
#include <random>

#include "book/edits.h"
#include "book/kinds.h"
#include "book/lists.h"
#include "store/book_schema.h"
#include "store/copies.h"
#include "store/records.h"
#include "tests/opened_book.h"
#include "tests/random_book.h"
#include "tests/temp_folder.h"

using namespace machair;
using namespace machair::tests;
using store::Access;

namespace {

constexpr unsigned kBookSeed = 20261125;

}  // namespace

TEST_CASE("book to file to book gives an equal book, over random books") {
    CAPTURE(kBookSeed);
    const TempFolder folder;
    for (unsigned i = 0; i < 60; ++i) {
        const Book book = RandomBook(kBookSeed + i).make();
        CAPTURE(i);
        const auto back = store::readBench(store::writeBench(book));
        if (!back) FAIL(back.error().front().line());
        REQUIRE(back->book == book);
        const auto path = folder.file("random.machair");
        store::writeBenchBook(path, book);
        REQUIRE(store::readBook(path).value().book == book);
    }
}

TEST_CASE("an edit is in the book when keep returns, and only what changed is written") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    const Book book = demoBook();
    store::writeBenchBook(path, book);
    auto home = opened(path);
    REQUIRE(home->read()->book == book);
    const Book after = withTail(book, 0.7);
    home->keep(book, after, "shorter tail");
    CHECK(store::readBook(path)->book == after);
    SQLite::Database database(path.string());
    CHECK(database.execAndGet("SELECT words FROM edits ORDER BY number DESC LIMIT 1").getString() == "shorter tail");
}

TEST_CASE("records added, removed and moved are the same after reading again") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    Book book = demoBook();
    store::writeBenchBook(path, book);
    auto home = opened(path);
    (void)home->read();
    Book after = resizeHook(book, "kelp-lantern", {8, std::nullopt})->after;  // one hook more
    std::rotate(after.patterns.begin(), after.patterns.begin() + 2, after.patterns.end());
    after.teams.pop_back();
    after = removePattern(after, "shingle-wren")->after;
    after.carried["season"] = "[3,10]";
    home->keep(book, after, "much at once");
    CHECK(store::readBook(path)->book == after);
    home->keep(after, book, "and back");
    CHECK(store::readBook(path)->book == book);
}

TEST_CASE("two windows on one book see each other's edits, and neither writes over the other's") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    const Book book = demoBook();
    store::writeBenchBook(path, book);
    auto one = opened(path), two = opened(path);
    (void)one->read();
    (void)two->read();
    CHECK_FALSE(two->changedElsewhere());
    const Book mine = withTail(book, 0.7);
    one->keep(book, mine, "mine");
    CHECK(two->changedElsewhere());
    CHECK_FALSE(one->changedElsewhere());
    CHECK_THROWS_AS(two->keep(book, withTail(book, 0.9), "theirs"), store::ChangedElsewhere);
    CHECK(store::readBook(path)->book == mine);
    // What the other window did not touch may be changed without reading again first.
    const Book elsewhere = changeField(book, "soot-ember", 0, "length", "0.6 of the shank")->after;
    CHECK_NOTHROW(two->keep(book, elsewhere, "another fly"));
    const Book both = store::readBook(path)->book;
    CHECK(*both.findPattern("kelp-lantern") == *mine.findPattern("kelp-lantern"));
    CHECK(*both.findPattern("soot-ember") == *elsewhere.findPattern("soot-ember"));
}

TEST_CASE("a reference to what is not there never gets into the book") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    const Book book = demoBook();
    store::writeBenchBook(path, book);
    auto home = opened(path);
    (void)home->read();
    Book broken = book;
    broken.teams[0].at(Position::bob) = "no-such";
    CHECK_THROWS_AS(home->keep(book, broken, "broken"), store::DiskError);
    CHECK(store::readBook(path)->book == book);
}

TEST_CASE("a dressing whose hook, thread and material are not there is kept in a book, marked, and takes nothing with it") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    Book book = demoBook();
    book.patterns[0].hook = "no-such";
    book.patterns[0].thread = "no-thread";
    book.patterns[0].parts[1].material = "no-fur";
    store::writeBenchBook(path, book);
    const auto read = store::readBook(path);
    REQUIRE(read);
    CHECK(read->setAside.empty());
    CHECK(read->book == book);
    CHECK(check(read->book).size() == 3);
    // Mended, its references are the database's again.
    auto home = opened(path);
    (void)home->read();
    home->keep(book, demoBook(), "mended");
    CHECK(store::readBook(path)->book == demoBook());
    CHECK(SQLite::Database(path.string()).execAndGet("SELECT count(*) FROM patterns WHERE hook IS NULL").getInt() == 0);
}

TEST_CASE("flies on other hooks, their presentation and a school's tables come back from a book and from a file as they were") {
    const TempFolder folder;
    Book book = demoBook();
    HookSpec twin = book.hooks[0];
    twin.id = "twin";
    twin.barb = false;
    book.hooks.push_back(twin);
    book.teams[0].at(Position::bob) = Fly("kelp-lantern", "twin");
    book.teams[0].at(Position::middle)->presentation = "slow, held in the top";
    TeamSchool own;
    own.id = "own";
    own.wanted.push_back({TeamTerm::sinkStep, 0.9, {}, 0.2, 3.0, {}});
    own.ranges.push_back({Position::bob, 0.1 * metre, 1.0, 2.0, {}});
    own.styles.push_back({FlyStyle::spider, Position::bob, 0.9, 0.5, {}});
    book.teamSchools.push_back(own);
    Outing outing;
    outing.flies = book.teams[0].flies;
    Day day;
    day.date = "2026-05-02";
    day.id = DayId(day.date);
    day.outings = {outing};
    Fish fish;
    fish.pattern = "kelp-lantern";
    fish.hook = "twin";
    fish.time = "14:30";
    day.fish = {fish};
    day.hatching = "sedges";
    day.celsius = 11.5;
    book.days.push_back(day);
    REQUIRE(check(book).empty());
    for (const char* name : {"b.machair", "b.machair.json"}) {
        const auto path = folder.file(name);
        REQUIRE(store::writeBook(path, book).empty());
        CHECK(store::readBook(path)->book == book);
    }
    const std::string text = store::writeBench(book);
    CHECK(text.find("\"point\": \"rush-piper\"") != std::string::npos);  // a dressing on its own hook is its bare id
}

TEST_CASE("a disk that is full refuses the edit in words and the book stays whole") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    const Book book = demoBook();
    store::writeBenchBook(path, book);
    const pid_t child = ::fork();
    if (child == 0) {  // no file may grow any more, as on a full disk
        std::signal(SIGXFSZ, SIG_IGN);
        auto home = store::openHome(path, Access::readWrite);
        if (!home) ::_exit(3);
        Book now = (*home)->read()->book;
        (*home)->keep(now, withTail(now, 0.61), "before it was full");
        now = withTail(now, 0.61);
        const rlimit none{4096, 4096};
        ::setrlimit(RLIMIT_FSIZE, &none);
        try {
            (*home)->keep(now, withTail(now, 0.62), "too much");
            ::_exit(1);
        } catch (const store::DiskError&) {
            ::_exit(0);
        }
    }
    int status = 0;
    REQUIRE(::waitpid(child, &status, 0) == child);
    CHECK(WEXITSTATUS(status) == 0);
    CHECK(store::readBook(path)->book == withTail(book, 0.61));
}

TEST_CASE("killed at any moment, nothing acknowledged is lost and the book is whole") {
    CAPTURE(kBookSeed);
    std::mt19937 random(kBookSeed);
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    const Book book = demoBook();
    store::writeBenchBook(path, book);
    constexpr int kKills = 200;
    int killsAfterAnEdit = 0;
    for (int kill = 0; kill < kKills; ++kill) {
        std::array<int, 2> pipe{};
        REQUIRE(::pipe(pipe.data()) == 0);
        const pid_t child = ::fork();
        if (child == 0) {  // edits on and on, telling each number once it was kept
            auto home = store::openHome(path, Access::readWrite);
            if (!home) ::_exit(3);
            Book now = (*home)->read()->book;
            for (int n = 1;; ++n) {
                const Book next = withTail(now, 0.5 + 1e-4 * (kill * 1000 + n));
                (*home)->keep(now, next, "edit");
                now = next;
                if (::write(pipe[1], &n, sizeof n) != sizeof n) ::_exit(4);
            }
        }
        ::close(pipe[1]);
        // Counted in edits and not in time, so that a slow disk sees as many of them as a quick one; some are
        // killed while the book opens or on the way to the first edit.
        const auto toldBefore = random() % 3;
        int n = 0, last = 0;
        for (unsigned told = 0; told < toldBefore && ::read(pipe[0], &n, sizeof n) == sizeof n; ++told)
            last = n;
        ::usleep(static_cast<useconds_t>(random() % 25000));
        ::kill(child, SIGKILL);
        ::waitpid(child, nullptr, 0);
        while (::read(pipe[0], &n, sizeof n) == sizeof n)
            last = n;
        ::close(pipe[0]);
        if (last > 0) ++killsAfterAnEdit;
        auto home = opened(path);  // checks the integrity
        const Book found = home->read()->book;
        if (last == 0) continue;
        const auto& tail = std::get<TailPart>(found.findPattern("kelp-lantern")->parts[0].detail);
        const double ratio = std::get<Ratio>(tail.length.value).ratio;
        const int kept = static_cast<int>(std::lround((ratio - 0.5) / 1e-4)) - kill * 1000;
        REQUIRE((kept == last || kept == last + 1));  // the last may have been kept and not told
    }
    CHECK(killsAfterAnEdit > kKills / 2);
}

TEST_CASE("the first schema's book opens, is brought up to date and loses nothing") {
    const TempFolder folder;
    const auto path = folder.file("first.machair");
    std::filesystem::copy_file(MACHAIR_FIRST_BOOK, path);
    CHECK(SQLite::Database(path.string()).execAndGet("PRAGMA user_version").getInt() == 1);
    CHECK(store::readBook(path)->book.patterns.size() == 2);  // read as it is
    CHECK(SQLite::Database(path.string()).execAndGet("PRAGMA user_version").getInt() == 1);
    auto home = opened(path);
    const Book book = home->read()->book;
    CHECK(SQLite::Database(path.string()).execAndGet("PRAGMA user_version").getInt() == store::kBookVersion);
    CHECK(book.patterns.size() == 2);
    CHECK(book.findPattern("rush-piper")->title() == "Rush Piper");
    CHECK_NOTHROW(home->keep(book, changeTeamFly(book, "west-shore", Position::bob, std::nullopt)->after, "off"));
}

TEST_CASE("books from a newer version, other databases and files that are none are refused and left as they were") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    store::writeBenchBook(path, demoBook());
    SQLite::Database(path.string(), SQLite::OPEN_READWRITE).exec("PRAGMA user_version = 99");
    const std::string before = contentOf(path);
    CHECK(refusal(path).find("a newer Machair wrote it") != std::string::npos);
    CHECK(contentOf(path) == before);
    const auto other = folder.file("other.machair");
    SQLite::Database(other.string(), SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE).exec("CREATE TABLE t (x)");
    CHECK(refusal(other).find("not a bench book") != std::string::npos);
    std::ofstream(folder.file("text.machair")) << "not a book at all";
    CHECK(refusal(folder.file("text.machair")).find("expected a bench book") != std::string::npos);
    CHECK(refusal(folder.file("none.machair")).find("no such file") != std::string::npos);
}

TEST_CASE("the copy of the last session is kept, and the one before it") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    Book book = demoBook();
    store::writeBenchBook(path, book);
    std::vector<Book> states{book};
    for (const double ratio : {0.6, 0.7}) {
        auto home = opened(path);
        (void)home->read();
        const Book after = withTail(book, ratio);
        home->keep(book, after, "tail");
        home->keep(after, withTail(after, ratio + 0.01), "tail again");
        book = withTail(after, ratio + 0.01);
        states.push_back(book);
    }
    const auto copies = store::copiesOf(path);
    REQUIRE(copies.size() == 2);
    CHECK(store::readBook(copies[0].path)->book == states[1]);
    CHECK(store::readBook(copies[1].path)->book == states[0]);
}

TEST_CASE("a book deleted while open, or that may only be read, refuses the edit and says what to do") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    const Book book = demoBook();
    store::writeBenchBook(path, book);
    auto home = opened(path);
    (void)home->read();
    std::filesystem::remove(path);
    CHECK_THROWS_WITH(home->keep(book, withTail(book, 0.7), "x"), Catch::Contains("deleted or moved while open"));
    store::writeBenchBook(path, book);
    auto reader = opened(path, Access::readOnly);
    CHECK(reader->readOnly());
    CHECK(reader->read()->book == book);
    CHECK_THROWS_WITH(reader->keep(book, withTail(book, 0.7), "x"), Catch::Contains("may only be read"));
}

TEST_CASE("a bench file that somebody else changed is not written over") {
    const TempFolder folder;
    const auto path = folder.file("b.machair.json");
    const Book book = demoBook();
    store::saveBenchFile(path, book);
    auto home = opened(path);
    (void)home->read();
    store::saveBenchFile(path, withTail(book, 0.6));
    CHECK(home->changedElsewhere());
    CHECK_THROWS_AS(home->keep(book, withTail(book, 0.9), "x"), store::ChangedElsewhere);
    CHECK(store::readBook(path)->book == withTail(book, 0.6));
}

TEST_CASE("what somebody else wrote otherwise but alike is no conflict: what says something else is") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    store::writeBenchBook(path, demoBook());
    auto home = opened(path);
    const Book book = home->read()->book;
    const auto rewrite = [&](const std::string& sql) { SQLite::Database(path.string(), SQLite::OPEN_READWRITE).exec(sql); };
    // The same dressing with other blanks in its text, as another program might write it.
    rewrite("UPDATE patterns SET sum = NULL, record = ' ' || record || ' ' WHERE id = 'kelp-lantern'");
    const Book after = withTail(book, 0.81);
    CHECK_NOTHROW(home->keep(book, after, "tail"));
    CHECK(store::readBook(path)->book == after);
    // Another number in it: refused, and nothing of the edit is written.
    rewrite("UPDATE patterns SET sum = NULL, record = replace(record, '0.81', '0.82') WHERE id = 'kelp-lantern'");
    const Book another = withTail(after, 0.9);
    CHECK_THROWS_AS(home->keep(after, another, "tail"), store::ChangedElsewhere);
    CHECK(store::readBook(path)->book == withTail(book, 0.82));
    // Taken out meanwhile, and damaged beyond reading: refused as well.
    rewrite("UPDATE box SET record = '{' WHERE place = 0");
    Book less = after;
    less.box.erase(less.box.begin());
    CHECK_THROWS_AS(home->keep(after, less, "box"), store::ChangedElsewhere);
}

TEST_CASE("a book of the last version gets room for five flies, and a fourth that is not there never gets in") {
    const TempFolder folder;
    const auto path = folder.file("b.machair");
    {
        const Book demo = demoBook();  // as version 4 left it
        SQLite::Database database(path.string(), SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
        store::migrate(database, 4);
        SQLite::Transaction transaction(database);
        eachList([&]<class Record>(const char* name, std::vector<Record> Book::*list) {
            std::int64_t place = 0;
            for (const Record& record : demo.*list) {
                const bool pattern = std::is_same_v<Record, Pattern>;
                SQLite::Statement put(database, std::string("INSERT INTO ") + name +
                                                    (pattern ? " (id, place, record, hook, thread) VALUES (?, ?, ?, ?, ?)"
                                                             : " (id, place, record) VALUES (?, ?, ?)"));
                put.bind(1, record.id);
                put.bind(2, place++);
                put.bind(3, store::writeRecord(record));
                if constexpr (std::is_same_v<Record, Pattern>) {
                    put.bind(4, record.hook);
                    put.bind(5, record.thread);
                }
                put.exec();
            }
        });
        transaction.commit();
    }
    auto home = opened(path);
    const Book book = home->read()->book;
    CHECK(book == demoBook());
    const Edit four = changeTeamFly(book, "west-shore", Position::upper, "shingle-wren").value();
    home->keep(book, four.after, four.words);
    CHECK(store::readBook(path)->book.findTeam("west-shore")->at(Position::upper) == Fly("shingle-wren"));
    Book wrong = four.after;
    wrong.teams[0].at(Position::lower) = "nobody";
    CHECK_THROWS_AS(home->keep(four.after, wrong, "x"), store::DiskError);
    CHECK(store::readBook(path)->book == four.after);
}
