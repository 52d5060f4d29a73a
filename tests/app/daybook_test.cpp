// The Daybook station: days, fish by keys, rates, photographs, tables in and out.
#include <QComboBox>
#include <QFile>
#include <QImage>
#include <QListWidget>
#include <QSpinBox>

#include <QCategoryAxis>
#include <QChart>
#include <QScatterSeries>

#include "daybook/daybook_station.h"
#include "daybook/rate_view.h"
#include "tests/app/at.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

TEST_CASE("a table of days is imported once its columns are named, and undo gives the book back") {
    At bench(Station::daybook);
    const Book before = bench.document().book();
    QFile file(bench.path("days.csv"));
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("When,hours,bob,fly,position\n2024-05-02,3,kelp-lantern,kelp-lantern,bob\n");
    file.close();
    auto* station = bench.window().findChild<DaybookStation*>();
    station->importFrom(bench.path("days.csv"));
    bench.click("take-in");
    CHECK(bench.text("mapping-said").contains(QStringLiteral("date")));
    CHECK(bench.document().book() == before);
    auto* when = bench.find<QComboBox>("column-When");
    when->setCurrentIndex(when->findData(QStringLiteral("date")));
    bench.click("take-in");
    CHECK(bench.document().book().days.size() == before.days.size() + 1);
    CHECK(bench.document().book().days.front().fish.size() == 1);
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.document().book() == before);
    bench.find<QComboBox>("factor")->setCurrentText(QStringLiteral("depth"));
    CHECK(bench.text("compared").contains(QStringLiteral("fish a rod-hour")));
}

TEST_CASE("a fish is three keys, and the rates know it") {
    At bench(Station::daybook);
    bench.setText("date", QStringLiteral("2026-08-31"));
    bench.click("add-day");
    REQUIRE(bench.find<QListWidget>("days")->currentItem()->text().startsWith(QStringLiteral("2026-08-31")));
    bench.click("add-outing");
    auto* station = bench.find<QWidget>("daybook");
    QTest::keyClick(station, Qt::Key_P);
    CHECK(bench.text("entry").contains(QStringLiteral("Rush Piper, 10 on the point")));
    QTest::keyClick(station, Qt::Key_K);
    QTest::keyClick(station, Qt::Key_Return);
    const Day& day = *std::ranges::find(bench.document().book().days, "2026-08-31", &Day::id);
    REQUIRE(day.fish.size() == 1);
    CHECK(day.fish[0].pattern == "rush-piper");
    CHECK(day.fish[0].kept == true);
    CHECK(bench.document().kept() == 1);
    bench.setText("date", QStringLiteral("2026-02-30"));
    bench.click("add-day");
    CHECK(bench.text("quiet").contains(QStringLiteral("expected a date")));
    REQUIRE(waitFor([&] { return !bench.text("swap").isEmpty(); }));
}

TEST_CASE("a new day takes its wave and its water along, and they are corrected there") {
    At bench(Station::daybook);
    bench.setText("date", QStringLiteral("2026-08-30"));
    bench.click("add-day");
    const auto day = [&] {
        const Book kept = bench.kept();
        return *std::ranges::find(kept.days, "2026-08-30", &Day::id);
    };
    REQUIRE(day().wave);
    CHECK(*day().wave / metre == Approx(0.1336).epsilon(0.01));
    CHECK(day().colour == WaterColour::tea);
    CHECK(day().hatching);
    bench.click("day-like");
    bench.setText("day-wave_m", QStringLiteral("0.05"));
    CHECK(*day().wave / metre == Approx(0.05));
    bench.setText("day-wave_m", QStringLiteral("a big one"));
    CHECK(bench.text("day-fault").contains(QStringLiteral("a wave from 0 to 20 m")));
    CHECK(*day().wave / metre == Approx(0.05));
}

TEST_CASE("the rates' chart has a dot and a bar for each, and says in words what can't be told") {
    At bench(Station::daybook);
    auto* chart = bench.find<RateView>("rates");
    REQUIRE(waitFor([&] { return !chart->rates().empty(); }));
    const std::size_t rows = chart->rates().size();
    QScatterSeries* means = nullptr;
    for (QAbstractSeries* series : chart->chart()->series())
        if (auto* dots = qobject_cast<QScatterSeries*>(series)) means = dots;
    REQUIRE(means != nullptr);
    CHECK(means->count() == static_cast<int>(rows));
    CHECK(chart->chart()->series().size() == static_cast<qsizetype>(rows) + 1);
    for (int i = 0; i < means->count(); ++i)
        CHECK(means->at(i).x() == Approx(chart->rates()[static_cast<std::size_t>(i)].mean()));
    const auto sides = chart->chart()->axes(Qt::Vertical);
    REQUIRE(sides.size() == 2);
    const QStringList beside = qobject_cast<QCategoryAxis*>(sides[1])->categoriesLabels();
    REQUIRE(beside.size() == static_cast<qsizetype>(rows));  // equal words are not dropped
    for (std::size_t i = 1; i < rows; ++i)
        CHECK(beside[static_cast<qsizetype>(rows - 1 - i)].contains(QStringLiteral("not enough to tell")) ==
              !enoughToTell(chart->rates().front(), chart->rates()[i]));
}

TEST_CASE("the days go out as a table and come in again as they were") {
    At bench(Station::daybook);
    bench.click("export-days");
    const QByteArray table = bench.writtenTo(bench.path("days.csv"));
    const auto days = bench.document().book().days.size();
    CHECK(table.count('\n') > static_cast<qsizetype>(days));
    CHECK(table.startsWith("date,"));
}

TEST_CASE("a day takes a note and a photograph") {
    At bench(Station::daybook);
    const QString day = bench.find<QListWidget>("days")->currentItem()->text().left(10);
    const auto kept = [&] { return *std::ranges::find(bench.document().book().days, day.toStdString(), &Day::id); };
    bench.setText("day-note", QStringLiteral("a hatch at noon"));
    CHECK(kept().note == std::string("a hatch at noon"));
    bench.click("add-photo");
    bench.answer(bench.path("days.txt"));  // there is no such picture
    CHECK(waitFor([&] { return bench.text("quiet").contains(QStringLiteral("there is no such file")); }));
    CHECK(kept().photos.empty());
    QImage bay(40, 30, QImage::Format_RGB32);
    bay.fill(Qt::darkCyan);
    REQUIRE(bay.save(bench.path("bay.png")));
    bench.click("add-photo");
    bench.answer(bench.path("bay.png"));
    REQUIRE(waitFor([&] { return kept().photos.size() == 1; }));
    CHECK(QString::fromStdString(kept().photos[0]) == bench.path("bay.png"));
}
