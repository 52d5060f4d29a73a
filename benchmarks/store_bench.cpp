// What the bench book costs. Targets: a book of 2,000 dressings and 5,000 materials opens < 0.5 s, an edit is durable
// < 20 ms, planning after it < 1 ms.
#include <SQLiteCpp/SQLiteCpp.h>
#include <benchmark/benchmark.h>
#include <unistd.h>

#include <filesystem>

#include "benchmarks/demo_book.h"
#include "book/edits.h"
#include "daybook/rates.h"
#include "store/home.h"
#include "store/recipe.h"

namespace machair::benchmarks {

namespace {

Book largeBook() {
    Book book = demoBook();
    const std::vector<Pattern> patterns = book.patterns;
    const std::vector<Material> materials = book.materials;
    for (int i = 0; book.materials.size() < 5000; ++i) {
        Material m = materials[static_cast<std::size_t>(i) % materials.size()];
        m.id = decltype(m.id)(m.id + "-" + std::to_string(i));
        book.materials.push_back(std::move(m));
    }
    for (int i = 0; book.patterns.size() < 2000; ++i) {
        Pattern p = patterns[static_cast<std::size_t>(i) % patterns.size()];
        p.id = decltype(p.id)(p.id + "-" + std::to_string(i));
        book.patterns.push_back(std::move(p));
    }
    return book;
}

class Place {
  public:
    explicit Place(const Book& book)
        : path_(std::filesystem::temp_directory_path() / ("machair-bench-" + std::to_string(::getpid()) + ".machair")) {
        if (!store::writeBook(path_, book).empty()) std::abort();
    }
    ~Place() {
        for (const char* end : {"", "-wal", "-shm", ".copies"})
            std::filesystem::remove_all(path_.string() + end);
    }
    Place(const Place&) = delete;
    Place& operator=(const Place&) = delete;
    [[nodiscard]] const std::filesystem::path& path() const { return path_; }

  private:
    std::filesystem::path path_;
};

}  // namespace

static void openALargeBook(benchmark::State& state) {
    const Place place(largeBook());
    for (auto _ : state) {
        auto home = store::openHome(place.path(), store::Access::readWrite);
        benchmark::DoNotOptimize((*home)->read());
    }
}
BENCHMARK(openALargeBook)->Unit(benchmark::kMillisecond);

static void keepAnEdit(benchmark::State& state) {
    Book book = state.range(0) == 0 ? demoBook() : largeBook();
    const Place place(book);
    auto home = store::openHome(place.path(), store::Access::readWrite).value();
    book = home->read().value().book;
    int n = 0;
    for (auto _ : state) {
        Edit edit = std::move(changeField(book, kFullestFly, 0, "length", std::to_string(5.0 + 1e-3 * (++n % 900))).value());
        home->keep(book, edit.after, edit.words);
        book = std::move(edit.after);
    }
}
BENCHMARK(keepAnEdit)->Arg(0)->Arg(1)->Unit(benchmark::kMillisecond);

static void planInALargeBook(benchmark::State& state) {
    const Book book = largeBook();
    for (auto _ : state)
        benchmark::DoNotOptimize(planPattern(book, kFullestFly));
}
BENCHMARK(planInALargeBook)->Unit(benchmark::kMillisecond);

// Years of records: 10,000 days, 50,000 fish, 100,000 checks. Targets: opens < 1 s, all rates anew < 200 ms.
static Book bookOfYears() {
    Book book = demoBook();
    const std::vector<Day> days = book.days;
    const std::vector<CheckedFly> checks = book.checks;
    book.days.clear();
    book.checks.clear();
    for (int i = 0; book.days.size() < 10'000; ++i) {
        Day day = days[static_cast<std::size_t>(i) % days.size()];
        day.id = DayId("day-" + std::to_string(i));
        while (day.fish.size() < 5)
            day.fish.push_back({"kelp-lantern", Position::bob, true, {}});
        day.fish.resize(5);
        book.days.push_back(std::move(day));
    }
    for (int i = 0; book.checks.size() < 100'000; ++i) {
        CheckedFly check = checks[static_cast<std::size_t>(i) % checks.size()];
        check.id = CheckId("check-" + std::to_string(i));
        book.checks.push_back(std::move(check));
    }
    return book;
}

static void openYearsOfRecords(benchmark::State& state) {
    const Place place(bookOfYears());
    for (auto _ : state) {
        auto home = store::openHome(place.path(), store::Access::readWrite);
        benchmark::DoNotOptimize((*home)->read());
    }
}
BENCHMARK(openYearsOfRecords)->Unit(benchmark::kMillisecond);

// The same rows by SQLite alone: every column of every row of every table is read, and nothing made of it.
static void readTheSameRowsBySqlite(benchmark::State& state) {
    const Place place(bookOfYears());
    std::int64_t bytes = 0;
    for (auto _ : state) {
        bytes = 0;
        SQLite::Database database(place.path(), SQLite::OPEN_READONLY);
        SQLite::Statement tables(database, "SELECT name FROM sqlite_master WHERE type = 'table'");
        std::vector<std::string> names;
        while (tables.executeStep())
            names.push_back(tables.getColumn(0).getString());
        for (const std::string& name : names) {
            SQLite::Statement rows(database, "SELECT * FROM \"" + name + "\"");
            while (rows.executeStep())
                for (int column = 0; column < rows.getColumnCount(); ++column)
                    bytes += rows.getColumn(column).getBytes();
        }
    }
    state.counters["MB"] = static_cast<double>(bytes) / 1e6;
}
BENCHMARK(readTheSameRowsBySqlite)->Unit(benchmark::kMillisecond);

// How the rates grow with the days: 10² to 10⁵.
static void ratesOfDays(benchmark::State& state) {
    Book book = demoBook();
    const std::vector<Day> days = book.days;
    book.days.clear();
    for (std::int64_t i = 0; i < state.range(0); ++i) {
        Day day = days[static_cast<std::size_t>(i) % days.size()];
        day.id = DayId("day-" + std::to_string(i));
        book.days.push_back(std::move(day));
    }
    for (auto _ : state)
        benchmark::DoNotOptimize(ratesBy(book, Factor::fly));
}
BENCHMARK(ratesOfDays)->RangeMultiplier(10)->Range(100, 100000)->Unit(benchmark::kMillisecond);

static void allRatesOfYears(benchmark::State& state) {
    const Book book = bookOfYears();
    for (auto _ : state)
        for (const auto& entry : Names<Factor>::entries)
            benchmark::DoNotOptimize(ratesBy(book, entry.value));
}
BENCHMARK(allRatesOfYears)->Unit(benchmark::kMillisecond);

// A recipe of ten lines against the demo's drawers, half of it in doubt. Target: < 2 ms.
static void readARecipe(benchmark::State& state) {
    const Book book = demoBook();
    const std::string text =
        "Harbour Wren\nHook: size 12\nThread: black\nTail: 4-6 fibres golden tippet, half the shank\nRib: fine oval silver, 5 turns\n"
        "Body: rear half flat silver, front half magenta seal's fur\nHackles: ginger cock palmered, black hen in front, 2 or 3 turns\n"
        "Wing: bronze mallard, rolled, to the tail\nCheeks: something blue\nHead: 2 coats\n";
    for (auto _ : state)
        benchmark::DoNotOptimize(store::readRecipe(text, book));
}
BENCHMARK(readARecipe)->Unit(benchmark::kMillisecond);

}  // namespace machair::benchmarks
