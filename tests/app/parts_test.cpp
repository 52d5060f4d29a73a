// Parts and dressings are added, removed and re-ordered in the window.
#include "tests/app/window.h"

#include <QAction>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QToolButton>
#include <fstream>

#include "plan/part_row.h"
#include "plan/sizes_view.h"
#include "plan/ticket.h"
#include "store/bench_file.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::app;
using machair::app::tests::Bench;
using machair::tests::demoBook;

namespace {

std::vector<PartKind> kindsOf(Bench& bench) {
    std::vector<PartKind> kinds;
    for (const Part& part : bench.document().pattern()->parts)
        kinds.push_back(part.kind);
    return kinds;
}

}  // namespace

TEST_CASE("a part is added where tying order wants it, opened, and undone") {
    Bench bench;
    bench.find<QAction>("add-wing")->trigger();
    CHECK(kindsOf(bench) ==
          std::vector{PartKind::tail, PartKind::rib, PartKind::body, PartKind::palmer, PartKind::wing, PartKind::collar, PartKind::head});
    CHECK(bench.document().part() == 4u);
    CHECK(bench.find<Ticket>("ticket")->rows().size() == 7);
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.find<Ticket>("ticket")->rows().size() == 6);
}

TEST_CASE("Delete takes the chosen part off, unless another is measured against it") {
    Bench bench;
    auto* ticket = bench.find<Ticket>("ticket");
    bench.document().choosePart(1);
    ticket->setFocus();
    QTest::keyClick(ticket, Qt::Key_Delete);
    CHECK(kindsOf(bench)[1] == PartKind::body);
    bench.document().choosePattern("heather-tinker");
    bench.document().choosePart(0);
    QTest::keyClick(ticket, Qt::Key_Delete);
    CHECK(kindsOf(bench)[0] == PartKind::tail);
    CHECK(bench.text("ticket-refused").contains(QStringLiteral("wing")));
}

TEST_CASE("Alt with up and down ties a part earlier or later, and so does dragging its line") {
    Bench bench;
    auto* ticket = bench.find<Ticket>("ticket");
    bench.document().choosePart(0);
    ticket->setFocus();
    QTest::keyClick(ticket, Qt::Key_Down, Qt::AltModifier);
    CHECK(kindsOf(bench)[0] == PartKind::rib);
    CHECK(bench.document().part() == 1u);
    QTest::keyClick(ticket, Qt::Key_Up, Qt::AltModifier);
    CHECK(kindsOf(bench)[0] == PartKind::tail);
    bench.document().choosePart(std::nullopt);
    QTest::qWait(0);
    PartRow* row = ticket->rows()[4];  // the collar, to before the palmer
    const int up = ticket->rows()[3]->geometry().top() - row->geometry().top() + 4;
    QTest::mousePress(row, Qt::LeftButton, Qt::NoModifier, QPoint(20, 10));
    QTest::mouseRelease(row, Qt::LeftButton, Qt::NoModifier, QPoint(20, up));
    REQUIRE(QTest::qWaitFor([&] { return kindsOf(bench)[3] == PartKind::collar; }, 20000));
}

TEST_CASE("a dressing is started from a kind in one step, renamed in place, and undone") {
    Bench bench;
    bench.find<QAction>("start-winged-wet")->trigger();
    CHECK(bench.document().pattern()->title() == "New winged wet");
    CHECK(bench.document().undoStack().count() == 1);
    CHECK(bench.find<Ticket>("ticket")->rows().size() == 6);
    bench.find<QAction>("rename")->trigger();
    auto* field = bench.find<QLineEdit>("dressing-name");
    QTest::keyClick(field, Qt::Key_A, Qt::ControlModifier);
    QTest::keyClicks(field, QStringLiteral("Wrack Piper"));
    QTest::keyClick(field, Qt::Key_Return);
    REQUIRE(QTest::qWaitFor([&] { return bench.document().pattern()->title() == "Wrack Piper"; }, 20000));
    CHECK(bench.find<QToolButton>("dressings")->text() == QStringLiteral("Wrack Piper"));
    bench.document().undoStack().undo();
    bench.document().undoStack().undo();
    CHECK(bench.document().pattern()->id == "kelp-lantern");
    CHECK(bench.kept() == bench.document().book());
}

TEST_CASE("the sizes strip shows five flies to one scale, and a click ties that size") {
    Bench bench;
    QTest::mouseClick(bench.find<QAbstractButton>("sizes"), Qt::LeftButton);
    auto* strip = bench.find<SizesView>("sizes-view");
    REQUIRE(strip->isVisible());
    CHECK(strip->flies().size() == 5);
    QTest::mouseClick(strip, Qt::LeftButton, Qt::NoModifier, strip->columnOf(3).center().toPoint());
    CHECK(bench.document().plan()->hook.size() == 14);
}

TEST_CASE("another dressing stands above this one, whole, to compare") {
    Bench bench;
    bench.document().compareWith("soot-ember");
    CHECK(bench.fly()->showsGhost());
    // It stands above this one, whole: neither covers the other, both are in the view, and one scale serves both.
    const auto other = bench.fly()->placeOfOther();
    REQUIRE(other);
    const QRectF own = bench.fly()->placeOfOwn();
    CHECK(other->bottom() <= own.top());
    CHECK(QRectF(bench.fly()->rect()).contains(*other));
    CHECK(QRectF(bench.fly()->rect()).contains(own));
    const QImage both = bench.fly()->grab().toImage();
    const QColor ground = both.pixelColor(3, both.height() - 3);
    for (const QRectF& place : {*other, own}) {
        int painted = 0;
        for (int x = static_cast<int>(place.left()); x < static_cast<int>(place.right()); x += 2)
            for (int y = static_cast<int>(place.top()); y < static_cast<int>(place.bottom()); y += 2)
                painted += both.pixelColor(x, y) == ground ? 0 : 1;
        CHECK(painted > 500);
    }
    QTest::keyClick(bench.fly(), Qt::Key_Escape);
    CHECK_FALSE(bench.fly()->showsGhost());
}

TEST_CASE("two windows on one book: the other's edit is seen, and said") {
    Bench bench;
    const auto path = std::filesystem::path(bench.path("shared.machair").toStdString());
    REQUIRE(store::writeBook(path, bench.document().book()).empty());
    REQUIRE(bench.window().openFile(QString::fromStdString(path.string())));
    Document other;
    REQUIRE(other.open(path).empty());
    REQUIRE(other.apply(changeField(other.book(), "kelp-lantern", 0, "length", "7.7")).empty());
    bench.document().lookElsewhere();
    CHECK(bench.text("headline-0") == QStringLiteral("7.7 mm"));
    CHECK(bench.text("quiet").contains(QStringLiteral("another window")));
    CHECK(bench.document().undoStack().count() == 0);
}

TEST_CASE("a dressing with a part that can't be tied opens, marked, and the rest of it and its team are there") {
    Bench bench;
    Book book = demoBook();
    book.findPattern("kelp-lantern")->parts[1].material = "no-such";
    book.findPattern("soot-ember")->hook = "gone";
    const QString file = bench.path("broken.machair.json");
    std::ofstream(file.toStdString()) << store::writeBench(book);
    REQUIRE(bench.document().open(file.toStdString()).empty());
    bench.document().choosePattern("kelp-lantern");
    REQUIRE(bench.document().plan());
    CHECK(bench.document().plan()->faults.size() == 1);
    CHECK(bench.document().teamReport());
    const auto said = [&](const QString& words) {
        const auto labels = bench.window().findChildren<QLabel*>();
        return std::ranges::any_of(labels, [&](const QLabel* label) { return label->text().contains(words); });
    };
    CHECK(bench.find<Ticket>("ticket")->rows().size() == 6);
    CHECK(said(QStringLiteral("✗ expected the id of a material, got \"no-such\"")));
    // One thing of it can be mended while another is still amiss, and what was amiss before keeps no edit back.
    CHECK(bench.document().apply(changeField(bench.document().book(), "kelp-lantern", 0, "fibres", "9")).empty());
    CHECK(bench.document().apply(changeMaterial(bench.document().book(), "kelp-lantern", 1, "oval-gold")).empty());
    CHECK(bench.document().plan()->faults.empty());
    bench.document().choosePattern("soot-ember");
    CHECK_FALSE(bench.document().plan());
}
