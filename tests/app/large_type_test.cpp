// Everything works at 150 % type, and on a screen of 1280 by 800.
#include "tests/app/room.h"
#include "tests/app/window.h"

#include <QAbstractButton>
#include <QComboBox>

#include "frame/house.h"
#include "plan/part_row.h"
#include "plan/ticket.h"

using namespace machair;
using namespace machair::app;
using machair::app::tests::Bench;

namespace {

class LargeType {
  public:
    LargeType() : before_(QApplication::font()) {
        QFont large = before_;
        large.setPointSizeF(1.5 * before_.pointSizeF());
        QApplication::setFont(large);
    }
    ~LargeType() { QApplication::setFont(before_); }
    LargeType(const LargeType&) = delete;
    LargeType& operator=(const LargeType&) = delete;

  private:
    QFont before_;
};

}  // namespace

TEST_CASE("at the usual type the window fits 1280 by 800") {
    Bench bench;
    CHECK(bench.window().minimumSizeHint().width() <= 1280);
    CHECK(bench.window().minimumSizeHint().height() <= 800);
}

TEST_CASE("at 150 % type every button shows its whole text and the ticket its lines") {
    loadFace();
    const LargeType large;
    Bench bench;
    bench.document().choosePart(2);
    for (const auto* button : bench.window().findChildren<QAbstractButton*>()) {
        if (!button->isVisible() || button->text().isEmpty()) continue;
        INFO(button->objectName().toStdString());
        CHECK(button->width() >= button->sizeHint().width() - 2);
    }
    for (PartRow* row : bench.find<Ticket>("ticket")->rows()) {
        INFO(row->part());
        CHECK(QTest::qWaitFor([&] { return row->height() >= row->minimumSizeHint().height() - 2; }, 20000));  // once it is laid out
    }
}

TEST_CASE("on the dark bench the window repaints in its colours and back") {
    Bench bench;
    const QImage sand = bench.window().grab().toImage();
    bench.window().theme().light(drawing::Bench::slate);
    QApplication::processEvents();  // the palette reaches the widgets by an event
    const QImage slate = bench.window().grab().toImage();
    const auto paper = [&](const QImage& image) {
        return image.pixelColor(bench.fly()->mapTo(&bench.window(), QPoint(12, bench.fly()->height() - 12)));
    };
    CHECK(paper(sand).lightness() > 180);
    CHECK(paper(slate).lightness() < 90);
    // Fields, choices and panels too, whatever style they are drawn by: hardly anything in the lower right is light.
    const auto share = [](const QImage& image) {
        int light = 0, all = 0;
        for (int y = image.height() - 240; y < image.height() - 40; y += 3)
            for (int x = image.width() - 390; x < image.width() - 30; x += 3, ++all)
                light += image.pixelColor(x, y).lightness() > 150 ? 1 : 0;
        return static_cast<double>(light) / all;
    };
    CHECK(share(sand) > 0.7);
    CHECK(share(slate) < 0.15);
    bench.window().theme().light(drawing::Bench::sand);
    QApplication::processEvents();
    CHECK(paper(bench.window().grab().toImage()) == paper(sand));
}

TEST_CASE("at six sizes of window and three of text every station's words have their room") {
    loadFace();
    Bench bench;
    QStringList all;
    for (const int percent : {100, 150, 200}) {
        useTextSize(percent);
        for (const QSize size :
             {QSize(1024, 640), QSize(1280, 800), QSize(1366, 768), QSize(1920, 1080), QSize(2560, 1440), QSize(3840, 2160)}) {
            bench.window().resize(size);
            for (const auto& entry : Names<Station>::entries) {
                bench.window().showStation(entry.value);
                const QStringList clipped = machair::app::tests::clippedAtRest(bench.window());
                for (const QString& one : clipped)
                    all << QStringLiteral("%1 % %2x%3 %4: %5")
                               .arg(percent)
                               .arg(size.width())
                               .arg(size.height())
                               .arg(QString::fromLatin1(entry.name), one);
            }
        }
    }
    useTextSize(100);
    for (const QString& one : all)
        UNSCOPED_INFO(one.toStdString());
    CHECK(all.isEmpty());
}
