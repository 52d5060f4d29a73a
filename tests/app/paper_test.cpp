// What is put on paper, in the window: chosen, seen as it will lie, kept.
#include "tests/app/window.h"

#include <QComboBox>
#include <QFile>
#include <QToolButton>

#include "frame/paper_sheet.h"

using namespace machair;
using namespace machair::app;
using machair::app::tests::Bench;

TEST_CASE("Ctrl+P shows on paper what the station is about, and each thing is kept at its true size") {
    Bench bench;
    QTest::keyClick(&bench.window(), Qt::Key_P, Qt::ControlModifier);
    auto* sheet = bench.find<PaperSheet>("paper");
    REQUIRE(sheet->isVisible());
    CHECK(bench.find<QToolButton>("paper-card")->isChecked());
    CHECK(bench.text("paper-said").contains(QStringLiteral("148")));
    int kept = 0;
    for (const char* kind : {"paper-card", "paper-recipe", "paper-team", "paper-season"}) {
        QTest::mouseClick(bench.find<QToolButton>(kind), Qt::LeftButton);
        INFO(kind);
        REQUIRE(bench.find<QToolButton>("paper-keep")->isEnabled());
        const QString path = bench.path(("kept-" + std::to_string(++kept) + ".pdf").c_str());
        sheet->keepAs(path);
        CHECK(QFile(path).size() > 1000);
        const QImage shown = bench.find<QWidget>("paper-preview")->grab().toImage();
        int inked = 0;
        for (int y = 0; y < shown.height(); y += 3)
            for (int x = 0; x < shown.width(); x += 3)
                inked += qGray(shown.pixel(x, y)) < 100 ? 1 : 0;
        CHECK(inked > 50);
    }
    QTest::keyClick(sheet, Qt::Key_Escape);
    CHECK_FALSE(sheet->isVisible());
}

TEST_CASE("paper that is too small is refused in words before anything is written, and the daybook's paper is its season") {
    Bench bench;
    bench.window().showStation(Station::daybook);
    QTest::keyClick(&bench.window(), Qt::Key_P, Qt::ControlModifier);
    CHECK(bench.find<QToolButton>("paper-season")->isChecked());
    CHECK(bench.find<QComboBox>("paper-year")->isVisible());
    auto* papers = bench.find<QComboBox>("paper-size");
    papers->setFocus();
    papers->setCurrentIndex(1);
    emit papers->activated(1);
    CHECK(bench.text("paper-said").contains(QStringLiteral("too small")));
    CHECK_FALSE(bench.find<QToolButton>("paper-keep")->isEnabled());
    papers->setCurrentIndex(3);
    emit papers->activated(3);
    CHECK(bench.find<QToolButton>("paper-keep")->isEnabled());
}
