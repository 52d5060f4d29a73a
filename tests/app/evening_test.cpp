// The Evening station: batches, the timetable, the clock, the box, what runs out, what is written out.
#include <QComboBox>
#include <QFile>
#include <QListWidget>
#include <QSpinBox>

#include "cutting/stock.h"
#include "evening/evening_station.h"
#include "evening/timeline_view.h"
#include "tests/app/at.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

TEST_CASE("the evening's blocks are dragged into the tier's own order, and the timetable follows") {
    At bench(Station::evening);
    auto* timeline = bench.find<TimelineView>("timeline");
    auto* way = bench.find<QComboBox>("way");
    way->setCurrentIndex(1);
    REQUIRE(waitFor([&] { return !timeline->blockOf(0).isNull() && !timeline->blockOf(1).isNull(); }));
    REQUIRE(timeline->blockOf(0).left() < timeline->blockOf(1).left());
    bench.drag(timeline, timeline->blockOf(0).center(), QPointF(timeline->width() - 4.0, timeline->blockOf(0).center().y()));
    CHECK(way->currentIndex() == 4);
    CHECK(timeline->blockOf(0).left() > timeline->blockOf(1).left());
    CHECK(bench.text("evening-said").contains(QStringLiteral("Your own times")));
    way->setCurrentIndex(3);
    CHECK(bench.text("evening-said").contains(QStringLiteral("Hands free")));
}

TEST_CASE("an evening's dressings are dragged by their lanes, its end along the minutes, and both by keys") {
    At bench(Station::evening);
    auto* timeline = bench.find<TimelineView>("timeline");
    auto* way = bench.find<QComboBox>("way");
    auto* minutes = bench.find<QSpinBox>("minutes");
    way->setCurrentIndex(1);
    REQUIRE(waitFor([&] { return !timeline->blockOf(0).isNull() && !timeline->blockOf(1).isNull(); }));
    REQUIRE(timeline->laneOf(0).top() < timeline->laneOf(1).top());
    const QPointF name(60.0, timeline->laneOf(0).center().y());
    bench.drag(timeline, name, name + QPointF(0.0, 10.0));  // where it lies already it stays
    CHECK(way->currentIndex() == 1);
    bench.drag(timeline, name, QPointF(60.0, timeline->height() - 2.0));
    CHECK(way->currentIndex() == 4);
    CHECK(timeline->laneOf(0).top() > timeline->laneOf(1).top());
    timeline->setFocus();
    const auto parts = timeline->spokenParts();
    REQUIRE(parts.size() >= 3);
    const std::size_t lane = parts.size() - 2;  // the last dressing, where the first was dragged to
    timeline->choosePart(lane);
    QTest::keyClick(timeline, Qt::Key_Left);
    CHECK(timeline->spokenParts()[lane - 1].name == parts[lane].name);
    CHECK(timeline->spokenParts()[lane - 1].chosen);
    // The end.
    minutes->setValue(90);
    REQUIRE(waitFor([&] { return !timeline->blockOf(0).isNull(); }));
    const QPointF end(timeline->endX(), timeline->height() - 12.0);
    bench.drag(timeline, end, end + QPointF(60.0, 0.0));
    CHECK(minutes->value() > 95);
    CHECK(minutes->value() % 5 == 0);
    const int before = minutes->value();
    REQUIRE(waitFor([&] { return !timeline->blockOf(0).isNull(); }));
    timeline->choosePart(timeline->spokenParts().size() - 1);
    QTest::keyClick(timeline, Qt::Key_Right);
    CHECK(minutes->value() == before + 10);
}

TEST_CASE("what one has already is chosen from pictures and counted, on the hook it is tied on") {
    At bench(Station::evening);
    bench.pick("box-have", QStringLiteral("dusk"));
    bench.pick(QStringLiteral("wet 12"));
    auto* count = bench.find<QSpinBox>("box-count");
    REQUIRE(count->isEnabled());
    CHECK(count->hasFocus());
    QTest::keyClicks(count, QStringLiteral("7"));
    QTest::keyClick(count, Qt::Key_Return);
    const auto& box = bench.document().book().box;
    const auto mine = std::ranges::find_if(box, [](const BoxFly& fly) { return fly.pattern.text().starts_with("dusk") && fly.tied == 7; });
    REQUIRE(mine != box.end());
    CHECK(bench.document().book().findHook(*mine->hook)->size == 12);
    bench.document().undoStack().undo();
    bench.document().undoStack().undo();
    CHECK(std::ranges::none_of(bench.document().book().box, [](const BoxFly& fly) { return fly.tied == 7; }));
}

TEST_CASE("what is left of a material after each batch is a line that meets nothing where it runs out") {
    At bench(Station::evening);
    const auto wanted = stockWanted(bench.document().book());
    REQUIRE(wanted);
    int lines = 0;
    for (const StockWanted& row : *wanted) {
        INFO(row.title);
        if (!row.lasts) {
            CHECK(row.leftAfter.empty());
            continue;
        }
        ++lines;
        CHECK(row.leftAfter.size() == row.uses.size());
        CHECK(std::ranges::is_sorted(row.leftAfter, std::greater{}));
        CHECK((row.leftAfter.back() < 0.0) == row.runsOutIn.has_value());
        CHECK(row.leftAfter.back() == Approx(1.0 - 1.0 / *row.lasts));
    }
    CHECK(lines > 1);
}

TEST_CASE("a fly of the box is chewed and lost, what to tie next becomes a batch, and what runs out is told") {
    At bench(Station::evening);
    auto* box = bench.find<QListWidget>("fly-box");
    REQUIRE(box->count() > 3);
    box->setCurrentRow(1);
    const std::string id = box->item(1)->data(Qt::UserRole).toString().toStdString();
    bench.click("box-chewed");
    CHECK(box->item(1)->text().contains(QStringLiteral("1 chewed")));
    bench.click("box-lost");
    CHECK(box->item(1)->text().contains(QStringLiteral("1 lost")));
    const Book kept = bench.kept();
    CHECK(std::ranges::find(kept.box, id, &BoxFly::id)->lost == 1);
    const std::size_t batches = bench.document().book().batches.size();
    bench.find<QListWidget>("tie-next")->setCurrentRow(0);
    bench.click("next-batch");
    CHECK(bench.document().book().batches.size() == batches + 1);
    CHECK(bench.find<QListWidget>("runs-out")->item(0)->text().contains(QStringLiteral("buy")));
    auto* stock = bench.find<QListWidget>("runs-out");
    stock->setCurrentRow(stock->count() - 1);
    const std::string material = stock->currentItem()->data(Qt::UserRole).toString().toStdString();
    CHECK(bench.document().book().findStock(MaterialId(material)) == nullptr);
    bench.setText("stock-count", QStringLiteral("3"));
    REQUIRE(bench.document().book().findStock(MaterialId(material)));
    CHECK(*bench.document().book().findStock(MaterialId(material))->count == 3.0);
    bench.setText("stock-count", QStringLiteral("none at all"));
    CHECK(bench.text("stock-fault").contains(QStringLiteral("how much there is")));
    bench.find<QListWidget>("batches")->setCurrentRow(0);
    auto* day = bench.find<QLineEdit>("batch-day");
    day->setFocus();
    day->selectAll();
    QTest::keyClicks(day, QStringLiteral("someday"));
    QTest::keyClick(day, Qt::Key_Return);
    CHECK(bench.text("batch-fault").contains(QStringLiteral("expected a date")));
}

TEST_CASE("a batch is added, tied one by one, and the evening tells what fits") {
    At bench(Station::evening);
    auto* list = bench.find<QListWidget>("batches");
    const int before = list->count();
    bench.find<QSpinBox>("wanted")->setValue(3);
    bench.click("add-batch");
    REQUIRE(list->count() == before + 1);
    REQUIRE(waitFor([&] { return bench.text("evening-said").contains(QStringLiteral("whole and dry")); }));
    CHECK(list->currentItem()->data(Qt::UserRole).toString().toStdString() == bench.document().book().batches.back().id);
    for (int i = 0; i < 3; ++i)
        bench.click("tie-one");
    CHECK(bench.kept().batches.back().tied == 3);
    bench.click("tie-one");
    CHECK(bench.text("quiet").contains(QStringLiteral("expected a fly left to tie")));
    bench.find<QSpinBox>("minutes")->setValue(0);
    CHECK(waitFor([&] { return bench.text("evening-said").contains(QStringLiteral("Within 0 min 0 of")); }));
}

TEST_CASE("what the evening leaves undone is named") {
    At bench(Station::evening);
    REQUIRE(waitFor([&] { return bench.text("evening-said").contains(QStringLiteral("whole and dry")); }));
    auto* minutes = bench.find<QSpinBox>("minutes");
    minutes->setValue(20);
    CHECK(waitFor([&] { return bench.text("evening-said").contains(QStringLiteral("For another evening")); }));
    minutes->setValue(minutes->maximum());
    CHECK(waitFor([&] {
        return bench.text("evening-said").contains(QStringLiteral("all dry after")) &&
               !bench.text("evening-said").contains(QStringLiteral("For another evening"));
    }));
    bench.find<QComboBox>("way")->setCurrentIndex(1);
    minutes->setValue(20);
    CHECK(bench.text("evening-said").contains(QStringLiteral("not by then")));
}

TEST_CASE("an evening that runs rings for each coat as it is due, and ends when it is told") {
    At bench(Station::evening);
    REQUIRE(waitFor([&] { return bench.text("evening-said").contains(QStringLiteral("whole and dry")); }));
    auto* station = bench.window().findChild<EveningStation*>();
    auto* timeline = bench.find<TimelineView>("timeline");
    station->quicken(20'000.0);  // three milliseconds a minute
    CHECK_FALSE(timeline->now());
    bench.click("run-evening");
    REQUIRE(waitFor([&] { return bench.text("quiet").startsWith(QStringLiteral("Now: coat")); }));
    CHECK(timeline->now().value_or(0.0) > 0.0);
    REQUIRE(waitFor([&] { return bench.text("coat-due").contains(QStringLiteral("every coat was rung")); }));
    bench.click("run-evening");
    CHECK_FALSE(timeline->now());
    CHECK_FALSE(bench.find<QLabel>("coat-due")->isVisible());
}

TEST_CASE("the evening goes into a calendar and the shopping into a list, from the window") {
    At bench(Station::evening);
    REQUIRE(waitFor([&] { return bench.text("evening-said").contains(QStringLiteral("whole and dry")); }));
    bench.click("calendar");
    const QByteArray calendar = bench.writtenTo(bench.path("evening.ics"));
    CHECK(calendar.startsWith("BEGIN:VCALENDAR"));
    CHECK(calendar.contains("SUMMARY:At the vice"));
    CHECK(calendar.contains("BEGIN:VALARM"));
    bench.click("buying");
    const QByteArray table = bench.writtenTo(bench.path("buying.csv"));
    CHECK(table.startsWith("material,has,wants,buy"));
    bench.click("buying");
    const QByteArray text = bench.writtenTo(bench.path("buying.txt"));
    for (const QByteArray& line : text.split('\n'))
        if (!line.isEmpty()) CHECK(line.contains(": "));
    bench.click("calendar");
    bench.answer(QStringLiteral("/nowhere/at/all/evening.ics"));
    CHECK(bench.text("quiet").contains(QStringLiteral("/nowhere/at/all")));
}

TEST_CASE("an evening can't begin before it is laid out or without anything to tie, and says which") {
    At bench(Station::evening);
    Edit none{"no batches", bench.document().book()};
    none.after.batches.clear();
    REQUIRE(bench.document().apply(none).empty());
    REQUIRE(waitFor([&] { return bench.text("evening-said") == QStringLiteral("Nothing waits."); }));
    bench.click("run-evening");
    CHECK(bench.text("quiet").contains(QStringLiteral("Nothing waits to be tied")));
    CHECK_FALSE(bench.find<QToolButton>("run-evening")->isChecked());
}
