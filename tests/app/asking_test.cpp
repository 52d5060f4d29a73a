// Asking a number in the window: by mouse and by keyboard, and from answer to answer.
#include "tests/app/window.h"

#include <QLabel>
#include <QListWidget>
#include <QToolButton>

#include "balance/team_sheet.h"
#include "drift/handling_strip.h"
#include "drift/water_section.h"
#include "parts/ask_card.h"
#include "plan/fly_view.h"
#include "plan/part_row.h"
#include "plan/ticket.h"
#include "water/sea_view.h"

using namespace machair;
using namespace machair::app;
using machair::app::tests::Bench;

namespace {

QString textOf(const AskCard& card) {
    QString all;
    for (const QLabel* label : card.findChildren<QLabel*>())
        all += label->text() + QLatin1Char('\n');
    return all;
}

}  // namespace

TEST_CASE("Alt and a click on a row's number asks it, its inputs are asked in turn, and Backspace goes back") {
    Bench bench;
    bench.document().choosePosition(Position::bob);
    auto* card = bench.find<AskCard>("ask-card");
    REQUIRE_FALSE(card->isVisible());
    QTest::mouseClick(bench.find<QLabel>("headline-0"), Qt::LeftButton, Qt::AltModifier);
    REQUIRE(card->isVisible());
    CHECK(textOf(*card).contains(QStringLiteral("Length of the tail")));
    CHECK(textOf(*card).contains(bench.text("headline-0")));
    CHECK(card->geometry().bottom() <= bench.window().height());
    CHECK(card->geometry().right() <= bench.window().width());
    QTest::mouseClick(bench.find<QToolButton>("ask-shank_mm"), Qt::LeftButton);
    CHECK(textOf(*card).contains(QStringLiteral("Shank of the hook")));
    CHECK(card->asked().size() == 2);
    QTest::keyClick(card, Qt::Key_Backspace);
    CHECK(textOf(*card).contains(QStringLiteral("Length of the tail")));
    QTest::keyClick(card, Qt::Key_Escape);
    CHECK_FALSE(card->isVisible());
}

TEST_CASE("a figure of the open row is asked by itself, and the card follows what changes") {
    Bench bench;
    bench.document().choosePosition(Position::bob);
    bench.document().choosePart(1);
    auto* figures = bench.find<QWidget>("figures-1");
    QWidget* pitch = nullptr;
    for (auto* label : figures->findChildren<QLabel*>())
        if (label->text().startsWith(QStringLiteral("pitch"))) pitch = label;
    REQUIRE(pitch);
    QTest::mouseClick(pitch, Qt::LeftButton);  // a press alone: Alt may be the desktop's
    auto* card = bench.find<AskCard>("ask-card");
    REQUIRE(card->isVisible());
    const QString before = textOf(*card);
    CHECK(before.contains(QStringLiteral("Pitch of the rib")));
    CHECK(bench.document().apply(changeField(bench.document().book(), bench.document().pattern()->id, 1, "turns", "9")).empty());
    CHECK(card->isVisible());
    CHECK(textOf(*card) != before);
}

TEST_CASE("the question mark asks where the keyboard is, but is a letter where something is typed") {
    Bench bench;
    auto* card = bench.find<AskCard>("ask-card");
    auto* ticket = bench.window().findChild<Ticket*>();
    bench.document().choosePart(0);
    ticket->setFocus();
    QTest::keyClick(ticket, Qt::Key_Question);
    CHECK(card->isVisible());
    QTest::keyClick(card, Qt::Key_Escape);
    auto* line = bench.find<QLineEdit>("field-0-length");
    line->setFocus();
    QTest::keyClick(line, Qt::Key_Question);
    CHECK_FALSE(card->isVisible());
    auto* fly = bench.window().findChild<FlyView*>();
    bench.document().choosePart(std::nullopt);
    fly->setFocus();
    QTest::keyClick(fly, Qt::Key_Question);
    REQUIRE(card->isVisible());
    CHECK(textOf(*card).contains(QStringLiteral("Sink rate of the fly")));
}

TEST_CASE("a check of the team's sheet is asked by its cell") {
    Bench bench;
    bench.window().showStation(Station::balance);
    auto* sheet = bench.find<TeamSheet>("team-checks");
    QTest::mouseClick(sheet, Qt::LeftButton, Qt::AltModifier, sheet->cellOf(0).center().toPoint());
    auto* card = bench.find<AskCard>("ask-card");
    REQUIRE(card->isVisible());
    CHECK(std::get<CheckAsked>(card->asked().front()) == CheckAsked{0});
    CHECK(textOf(*card).contains(QStringLiteral("models-team.md")));
}

TEST_CASE("the wave, a fly's depth and what runs out are asked where they stand, by mouse and by keyboard") {
    Bench bench;
    auto* card = bench.find<AskCard>("ask-card");
    bench.window().showStation(Station::water);
    auto* sea = bench.window().findChild<SeaView*>();
    sea->setFocus();
    QTest::keyClick(sea, Qt::Key_Question);
    REQUIRE(card->isVisible());
    CHECK(textOf(*card).contains(QStringLiteral("Height of the wave")));
    QTest::keyClick(card, Qt::Key_Escape);
    // Far to the right of the line that says it stands the boat's drift.
    std::optional<QPoint> drift;
    for (int x = 20; x < sea->width() && !drift; x += 6)
        for (int y = sea->height() / 2; y < sea->height() && !drift; y += 4)
            if (const auto question = sea->questionAt(QPoint(x, y)))
                if (const auto* there = std::get_if<AnsweredThere>(&*question); there && there->answer()->name == "drift of the boat")
                    drift = QPoint(x, y);
    REQUIRE(drift);
    QTest::mouseClick(sea, Qt::LeftButton, Qt::AltModifier, *drift);
    REQUIRE(card->isVisible());
    CHECK(textOf(*card).contains(QStringLiteral("Drift of the boat")));
    QTest::keyClick(card, Qt::Key_Escape);

    bench.window().showStation(Station::drift);
    auto* section = bench.window().findChild<WaterSection*>();
    REQUIRE(QTest::qWaitFor([&] { return section->run().has_value(); }, 20000));
    section->strip().setFocus();
    QTest::keyClick(&section->strip(), Qt::Key_Question);
    REQUIRE(card->isVisible());
    CHECK(textOf(*card).contains(QStringLiteral("Depth of the")));
    QTest::keyClick(card, Qt::Key_Escape);

    bench.window().showStation(Station::evening);
    auto* runsOut = bench.find<QListWidget>("runs-out");
    REQUIRE(runsOut->count() > 0);
    runsOut->setFocus();
    runsOut->setCurrentRow(0);
    QTest::keyClick(runsOut, Qt::Key_Question);
    REQUIRE(card->isVisible());
    CHECK(textOf(*card).contains(QStringLiteral("How far")));
}
