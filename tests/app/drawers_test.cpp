#include "tests/app/at.h"

#include <QAbstractItemModelTester>
#include <QFile>
#include <QLineEdit>
#include <QProcess>
#include <QRegularExpression>
#include <QToolButton>

#include "drawers/drawers_station.h"
#include "drawers/vane_view.h"
#include "parts/record_sheet.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::app;
using machair::app::tests::Bench;
using machair::tests::mmOf;

namespace {

class Drawers : public Bench {
  public:
    Drawers() { window().showStation(Station::drawers); }
    DrawersStation& station() { return window().drawers(); }
};

}  // namespace

TEST_CASE("the trays' model keeps the rules of models while things, searches and books change") {
    Bench bench;
    ThingModel model;
    const QAbstractItemModelTester tester(&model, QAbstractItemModelTester::FailureReportingMode::Fatal);
    for (const ListName& name : listNames()) {
        model.show(thingsIn(bench.document().book(), name.list));
        CHECK(model.rowCount() == static_cast<int>(idsIn(bench.document().book(), name.list).size()));
        model.filter(QStringLiteral("no such thing at all"), {});
        CHECK(model.rowCount() == 0);
        model.filter(QString(), {});
    }
    model.show(thingsIn(bench.document().book(), "patterns"));
    model.filter(QStringLiteral("kelp lan"), {});
    REQUIRE(model.rowCount() == 1);
    CHECK(model.at(0)->record == RecordId{"patterns", "kelp-lantern"});
    model.filter(QString(), {QStringLiteral("bob")});
    CHECK(model.rowCount() > 0);
    for (int row = 0; row < model.rowCount(); ++row)
        CHECK(model.at(row)->traits.contains(QStringLiteral("bob")));
}

TEST_CASE("every material of the book lies in one drawer and only one") {
    for (const auto& entry : Names<MaterialKind>::entries) {
        int drawersWithIt = 0;
        for (const DrawerName& drawer : drawers())
            drawersWithIt += liesIn(drawer.drawer, entry.value) ? 1 : 0;
        INFO(entry.name);
        CHECK(drawersWithIt == 1);
    }
}

namespace {

// The feather in the open drawer, as the book has it.
const VaneFeather& chosenFeather(Drawers& drawers) {
    const auto& all = drawers.document().book().feathers;
    return *std::ranges::find(all, drawers.station().tray().current()->record.id, &VaneFeather::id);
}

void stroke(QWidget* on, const std::vector<QPointF>& points) {
    QTest::mousePress(on, Qt::LeftButton, Qt::NoModifier, points.front().toPoint());
    for (const QPointF& at : points)
        QTest::mouseMove(on, at.toPoint());
    QTest::mouseRelease(on, Qt::LeftButton, Qt::NoModifier, points.back().toPoint());
}

}  // namespace

TEST_CASE("a feather is entered by drawing along the ends of its barbs, and its marks are dragged and nudged") {
    Drawers drawers;
    drawers.station().open(Drawer::feathers);
    QTest::mouseClick(drawers.find<QToolButton>("drawer-new"), Qt::LeftButton);
    auto* vane = drawers.find<VaneView>("vane");
    REQUIRE(vane->isVisible());
    const int steps = drawers.document().undoStack().count();
    // Barbs of 12, 18 and 15 mm along a vane of 40 mm.
    const double k = vane->pxPerMm();
    const QPointF base = vane->markAt(1) - QPointF(kBarbAlong, -kBarbOut) * k * (chosenFeather(drawers).barbs[0] / mm);
    const auto end = [&](double root, double barb) { return base + k * QPointF(root + kBarbAlong * barb, -kBarbOut * barb); };
    stroke(vane, {end(0, 12), end(10, 15), end(20, 18), end(30, 16.5), end(40, 15)});
    CHECK(mmOf(chosenFeather(drawers).vane) == Approx(40.0).margin(0.8));
    CHECK(mmOf(chosenFeather(drawers).barbs[0]) == Approx(12.0).margin(0.6));
    CHECK(mmOf(chosenFeather(drawers).barbs[1]) == Approx(18.0).margin(0.6));
    CHECK(mmOf(chosenFeather(drawers).barbs[2]) == Approx(15.0).margin(0.6));
    CHECK(drawers.document().undoStack().count() == steps + 1);
    // A mark by the mouse, another by keys.
    const QPointF tip = vane->markAt(0);
    stroke(vane, {tip, tip - QPointF(5.0 * vane->pxPerMm(), 0.0)});
    CHECK(mmOf(chosenFeather(drawers).vane) == Approx(35.0).margin(0.8));
    vane->setFocus();
    const Length before = chosenFeather(drawers).barbs[0];
    QTest::keyClick(vane, Qt::Key_Right);
    QTest::keyClick(vane, Qt::Key_Up);
    CHECK(mmOf(chosenFeather(drawers).barbs[0] - before) == Approx(0.5).margin(0.051));
    // What is no vane is said and changes nothing.
    const VaneFeather kept = chosenFeather(drawers);
    stroke(vane, {base + QPointF(10.0, -60.0), base + QPointF(90.0, 40.0)});
    CHECK(drawers.text("vane-words").startsWith(QStringLiteral("✗")));
    CHECK(chosenFeather(drawers) == kept);
    drawers.document().undoStack().undo();
    drawers.document().undoStack().undo();
    drawers.document().undoStack().undo();
    CHECK(mmOf(chosenFeather(drawers).vane) != Approx(40.0).margin(0.8));
}

TEST_CASE("a feather on squared paper is measured from its photograph: scale, stem, barbs") {
    Drawers drawers;
    drawers.station().open(Drawer::feathers);
    QTest::mouseClick(drawers.find<QToolButton>("drawer-new"), Qt::LeftButton);
    auto* vane = drawers.find<VaneView>("vane");
    QImage paper(380, 250, QImage::Format_RGB32);
    paper.fill(Qt::white);
    vane->open(paper);
    CHECK(drawers.text("vane-words").contains(QStringLiteral("10 mm")));
    stroke(vane, {{20.0, 30.0}, {70.0, 30.0}});      // 5 px a millimetre
    stroke(vane, {{300.0, 200.0}, {100.0, 200.0}});  // a vane of 40 mm that points to the left
    const auto end = [](double root, double barb) {
        return QPointF(300.0 - 5.0 * (root + kBarbAlong * barb), 200.0 - 5.0 * kBarbOut * barb);
    };
    stroke(vane, {end(0, 12), end(20, 18), end(40, 15)});
    CHECK(mmOf(chosenFeather(drawers).vane) == Approx(40.0).margin(0.3));
    CHECK(mmOf(chosenFeather(drawers).barbs[1]) == Approx(18.0).margin(0.5));
    QTest::keyClick(vane, Qt::Key_Escape);  // the photograph is put away, what it gave stays
    CHECK(mmOf(chosenFeather(drawers).vane) == Approx(40.0).margin(0.3));
}

TEST_CASE("a hook's measure typed into its drawer re-sizes what is tied on it, and what moved is listed") {
    Drawers drawers;
    drawers.station().choose("wet-10");
    CHECK(drawers.text("record-use").contains(QStringLiteral("Kelp Lantern")));
    drawers.type("record-measured.shank_mm", QStringLiteral("12.4"));
    CHECK(drawers.document().plan()->hook.shank() == 12.4 * mm);
    CHECK(drawers.text("record-use").startsWith(QStringLiteral("Moved:\nKelp Lantern: Tail 9.3 → 9.9 mm")));
    CHECK(drawers.kept().findHook("wet-10")->measured->shank == 12.4 * mm);
    drawers.document().undoStack().undo();
    CHECK(drawers.document().plan()->hook.shank() == 11.6 * mm);
}

TEST_CASE("a measure that no hook can have is refused in place") {
    Drawers drawers;
    drawers.station().choose("wet-10");
    drawers.type("record-measured.wire_mm", QStringLiteral("0"));
    CHECK(drawers.text("record-fault").contains(QStringLiteral("length over 0")));
    CHECK(drawers.document().plan()->hook.wire() == 0.63 * mm);
}

TEST_CASE("the calliper's stand-in reads into the field with the cursor: three readings give mean and spread") {
    Drawers drawers;
    const QString socket = QStringLiteral("machair-test-%1").arg(QCoreApplication::applicationPid());
    QProcess standIn;
    standIn.start(QStringLiteral(MACHAIR_CALLIPER), {QStringLiteral("--socket"), socket, QStringLiteral("--seed"), QStringLiteral("7")});
    REQUIRE(standIn.waitForStarted());
    auto calliper = std::make_unique<devices::SocketCalliper>(socket);
    devices::SocketCalliper* device = calliper.get();
    drawers.window().devices().useCalliper(std::move(calliper));
    REQUIRE(QTest::qWaitFor(
        [&] {
            device->connectNow();
            return device->state() == devices::CalliperState::ready;
        },
        20000));
    drawers.station().open(Drawer::hackles);
    drawers.station().choose("hen-slate");
    auto* stem = drawers.find<QLineEdit>("record-stem_mm");
    stem->setFocus();
    QTest::keyClick(stem, Qt::Key_Home);
    const auto said = [&](const char* words) {
        return QTest::qWaitFor([&] { return drawers.text("record-measuring").contains(QString::fromLatin1(words)); }, 20000);
    };
    QTest::keyClicks(stem, QStringLiteral(" "));
    for (const char* words : {"reading 1 of three", "reading 2 of three", "of three"}) {
        standIn.write("0.40\n");
        REQUIRE(said(words));
    }
    const bool spread = QTest::qWaitFor([&] { return drawers.text("record-measuring").contains(QChar(0x00b1)); }, 20000);
    INFO(drawers.text("record-measuring").toStdString());
    REQUIRE(spread);
    const Material* hen = drawers.document().book().findMaterial("hen-slate");
    const auto& traits = std::get<HackleTraits>(hen->traits);
    REQUIRE(traits.stem);
    CHECK(std::abs(*traits.stem / mm - 0.40) < 0.08);
    CHECK(std::ranges::find(hen->measured, "stem_mm") != hen->measured.end());
    standIn.kill();
    standIn.waitForFinished();
    REQUIRE(QTest::qWaitFor([&] { return device->state() == devices::CalliperState::away; }, 20000));
    CHECK(drawers.find<QToolButton>("calliper")->text().contains(QStringLiteral("look again")));
}

TEST_CASE("rubbish from a calliper is said and changes nothing") {
    class Rubbish : public devices::Calliper {
      public:
        void connectNow() override {}
        devices::CalliperState state() const override { return devices::CalliperState::ready; }
    };
    Drawers drawers;
    auto calliper = std::make_unique<Rubbish>();
    Rubbish* device = calliper.get();
    drawers.window().devices().useCalliper(std::move(calliper));
    const Book before = drawers.document().book();
    emit device->rubbish(QStringLiteral("ERR 7"));
    CHECK(drawers.text("quiet").contains(QStringLiteral("ERR 7")));
    emit device->read(3.2);  // nothing has the cursor
    CHECK(drawers.document().book() == before);
}

TEST_CASE("a new thing is put in, and one that is tied from stays") {
    Drawers drawers;
    drawers.station().open(Drawer::beads);
    QTest::mouseClick(drawers.find<QToolButton>("drawer-new"), Qt::LeftButton);
    CHECK(drawers.document().book().findMaterial("bead-new"));
    QTest::mouseClick(drawers.find<QToolButton>("drawer-out"), Qt::LeftButton);
    CHECK_FALSE(drawers.document().book().findMaterial("bead-new"));
    drawers.station().choose("bead-brass");
    QTest::mouseClick(drawers.find<QToolButton>("drawer-out"), Qt::LeftButton);
    CHECK(drawers.document().book().findMaterial("bead-brass"));
    CHECK(drawers.text("drawer-said").contains(QStringLiteral("Brass Buoy")));
}

TEST_CASE("a drawer goes out as CSV and comes in again, and a broken table changes nothing") {
    Drawers drawers;
    const QString path = drawers.path("hooks.csv");
    REQUIRE(drawers.station().exportTo(path));
    const Book before = drawers.document().book();
    CHECK(drawers.station().importFrom(path));
    CHECK(drawers.document().book() == before);
    QFile broken(path);
    REQUIRE(broken.open(QIODevice::WriteOnly));
    broken.write("id,size\nnew-hook,10\nother,77\n");
    broken.close();
    CHECK_FALSE(drawers.station().importFrom(path));
    CHECK(drawers.text("drawer-said").contains(QStringLiteral("line 3, size")));
    CHECK(drawers.document().book() == before);
    CHECK_FALSE(drawers.station().exportTo(QStringLiteral("/no/such/folder/x.csv")));
}

TEST_CASE("feathers carry their caution, threads none") {
    Drawers drawers;
    drawers.station().open(Drawer::hackles);
    CHECK(drawers.text("record-caution").contains(QStringLiteral("local law decide")));
    CHECK(cautionFor(drawers.document().book(), {"materials", "thread-black"}).isEmpty());
}

TEST_CASE("what was typed for one thing never lands on another that is shown meanwhile, nor on nothing") {
    machair::app::tests::At bench(machair::app::Station::drawers);
    auto* sheet = bench.window().findChild<machair::app::RecordSheet*>();
    REQUIRE(sheet);
    for (const std::vector<machair::RecordId>& next :
         {std::vector<machair::RecordId>{{"hooks", "wet-12"}}, std::vector<machair::RecordId>{}}) {
        sheet->show({{"hooks", "wet-10"}});
        auto* name = sheet->findChildren<QLineEdit*>(QRegularExpression(QStringLiteral(".*-name"))).value(0);
        REQUIRE(name);
        name->setFocus();
        QTest::keyClicks(name, QStringLiteral(" of mine"));
        const machair::Book before = bench.document().book();
        sheet->show(next);
        QApplication::processEvents();
        CHECK(bench.document().book().findHook("wet-12")->name == before.findHook("wet-12")->name);
        CHECK(bench.document().book().findHook("wet-10")->name.value().ends_with("of mine"));
    }
}
