// Days as CSV, both ways and from anybody's table; an evening as iCalendar.
#include <algorithm>
#include <catch2/catch.hpp>

#include "store/calendar.h"
#include "store/csv.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

Book without(Book book) {
    book.days.clear();
    return book;
}
store::ColumnMapping ours(const std::string& csv) { return store::guessColumns(csv).value(); }
std::vector<std::string> calendarLines(const std::string& text) {
    std::vector<std::string> lines;
    std::size_t from = 0;
    for (std::size_t at = text.find("\r\n"); at != std::string::npos; at = text.find("\r\n", from)) {
        lines.push_back(text.substr(from, at - from));
        from = at + 2;
    }
    return lines;
}

}  // namespace

TEST_CASE("the days go out as CSV and come in again with every outing and fish") {
    Book book = demoBook();
    book.days.front().note = "cold, \"dour\",\nthen a rise";
    const std::string csv = store::daysToCsv(book);
    const auto back = store::importDays(without(book), csv, ours(csv));
    REQUIRE(back);
    CHECK(back->added == book.days.size());
    REQUIRE(back->book.days.size() == book.days.size());
    for (std::size_t i = 0; i < book.days.size(); ++i) {
        CAPTURE(i);
        CHECK(back->book.days[i].outings == book.days[i].outings);
        CHECK(back->book.days[i].fish == book.days[i].fish);
        CHECK(back->book.days[i].note == book.days[i].note);
        CHECK(back->book.days[i].light == book.days[i].light);
    }
    CHECK(store::daysToCsv(back->book) == csv);
}

TEST_CASE("another's table is taken in once its columns are named, and flies go by their names") {
    const std::string csv =
        "Tag,Stunden,Bob,Fliege,Platz,behalten\n2026-05-02,3,Kelp Lantern,Kelp Lantern,bob,yes\n2026-05-02,,,Kelp Lantern,bob,no\n";
    store::ColumnMapping mapping = ours(csv);
    CHECK(mapping["Tag"].empty());
    CHECK(mapping["Bob"] == "bob");
    CHECK_FALSE(store::importDays(demoBook(), csv, mapping));  // nobody said which is the date
    mapping["Tag"] = "date";
    mapping["Stunden"] = "hours";
    mapping["Fliege"] = "fly";
    mapping["Platz"] = "position";
    mapping["behalten"] = "kept";
    const auto taken = store::importDays(without(demoBook()), csv, mapping);
    REQUIRE(taken);
    REQUIRE(taken->book.days.size() == 1);
    CHECK(taken->book.days[0].outings.front().at(Position::bob) == Fly("kelp-lantern"));
    CHECK(taken->book.days[0].fish.size() == 2);
    CHECK(taken->book.days[0].fish.front().kept == true);
}

TEST_CASE("every fault of a table of days is placed, and nothing is taken in") {
    const std::string csv =
        "date,hours,fly,position,rods\n2026-13-02,3,,,\n2026-05-02,30,,,\n2026-05-03,2,No Such "
        "Fly,bob,\n2026-05-04,2,kelp-lantern,,\n2026-05-05,2,,,many\n";
    const auto taken = store::importDays(demoBook(), csv, ours(csv));
    REQUIRE_FALSE(taken);
    std::string all;
    for (const Fault& fault : taken.error())
        all += fault.line() + "\n";
    for (const char* place : {"line 2, date", "line 3, hours", "line 4, fly", "line 5, position", "line 6, rods"}) {
        CAPTURE(all, place);
        CHECK(all.find(place) != std::string::npos);
    }
    CHECK_FALSE(store::guessColumns(""));
    CHECK_FALSE(store::guessColumns("date,\"open"));
    CHECK(store::importDays(demoBook(), "date\n\n", ours("date\n")));
}

TEST_CASE("an evening's calendar has folded lines, times after its start and alarms for coats") {
    const std::string name(120, 'x');
    const auto text = store::toCalendar(
        {{"u1", "At the vice; " + name, "6 of A,\nthen B", 0.0, 90.0, false}, {"u2", "coat 1, “fly”", {}, 250.5, 251.0, true}},
        "2026-12-31T20:15", "20261231T190000Z");
    const auto lines = calendarLines(text);
    CHECK(lines.front() == "BEGIN:VCALENDAR");
    CHECK(lines.back() == "END:VCALENDAR");
    for (const std::string& line : lines)
        CHECK(line.size() <= 75);
    const auto has = [&](const char* line) { return std::ranges::find(lines, line) != lines.end(); };
    CHECK(has("DTSTART:20261231T201500"));
    CHECK(has("DTEND:20261231T214500"));
    CHECK(has("DTSTART:20270101T002530"));  // over midnight and the year
    CHECK(has("DESCRIPTION:6 of A\\,\\nthen B"));
    CHECK(std::ranges::count(lines, "BEGIN:VALARM") == 1);
    CHECK(store::isStart("2026-11-25T20:00"));
    for (const char* wrong : {"2026-11-25", "2026-02-30T20:00", "2026-11-25T24:00", "2026-11-25 20:00", "tonight at eight"})
        CHECK_FALSE(store::isStart(wrong));
}
