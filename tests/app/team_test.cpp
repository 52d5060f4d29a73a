// Teams of other than three flies, from box to leader, through Balance, the cast, Drift and the Daybook.
#include <QCheckBox>
#include <QComboBox>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QListWidget>
#include <QMimeData>

#include "balance/team_view.h"
#include "drift/water_section.h"
#include "tests/app/at.h"

#include "parts/motion.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

namespace {

// A dressing is dragged out of the box and let go over a position.
void dropOn(TeamView* view, Position position, const char* dressing) {
    QMimeData mime;
    mime.setData(QString::fromLatin1(TeamView::kDressing), QByteArray(dressing));
    const QPoint at = view->rowOf(position).center().toPoint();
    QDragEnterEvent enter(at, Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(view, &enter);
    REQUIRE(enter.isAccepted());
    QDropEvent drop(at, Qt::CopyAction, &mime, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(view, &drop);
}

}  // namespace

TEST_CASE("a fourth and a fifth fly are dragged in between, shown everywhere, kept, and taken off again") {
    At bench(Station::balance);
    auto* view = bench.find<TeamView>("team-view");
    CHECK(view->rowOf(Position::upper).isNull());  // three rows for three flies
    bench.click("five-places");
    REQUIRE_FALSE(view->rowOf(Position::upper).isNull());
    CHECK(view->rowOf(Position::bob).bottom() <= view->rowOf(Position::upper).top() + 1.0);
    dropOn(view, Position::upper, "shingle-wren");
    dropOn(view, Position::lower, "dune-bell");
    CHECK(bench.document().team()->at(Position::upper) == Fly("shingle-wren"));
    CHECK(bench.document().teamReport()->flies.size() == 5);
    CHECK(bench.kept().findTeam(bench.document().team()->id)->at(Position::lower) == Fly("dune-bell"));
    // The cast has room for all five, one beside the other.
    for (std::size_t i = 0; i + 1 < kPositions.size(); ++i) {
        CHECK_FALSE(bench.cast()->flyRect(kPositions[i]).isNull());
        CHECK(bench.cast()->flyRect(kPositions[i]).left() < bench.cast()->flyRect(kPositions[i + 1]).left());
    }
    CHECK(bench.cast()->flyRect(Position::point).right() < bench.cast()->width());
    QTest::keyClick(&bench.window(), Qt::Key_2, Qt::AltModifier);
    CHECK(bench.document().position() == Position::upper);
    bench.click("five-places");
    CHECK_FALSE(view->rowOf(Position::upper).isNull());  // it has a fly: it stays
    bench.click("take-off");
    CHECK_FALSE(bench.document().team()->at(Position::upper));
    CHECK(view->rowOf(Position::upper).isNull());
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.document().team()->at(Position::upper) == Fly("shingle-wren"));
}

TEST_CASE("flies are taken off down to one, and the last stays with a word why") {
    At bench(Station::balance);
    for (const Position position : {Position::bob, Position::middle}) {
        bench.document().choosePosition(position);
        bench.click("take-off");
        CHECK_FALSE(bench.document().team()->at(position));
    }
    CHECK(bench.document().teamReport()->flies.size() == 1);
    bench.document().choosePosition(Position::point);
    bench.click("take-off");
    CHECK(bench.document().team()->at(Position::point));
    CHECK(bench.text("quiet").contains(QStringLiteral("keep one fly")));
}

TEST_CASE("four flies drift at their own depths, and a fish to the upper is three keys") {
    At bench(Station::balance);
    bench.click("five-places");
    dropOn(bench.find<TeamView>("team-view"), Position::upper, "shingle-wren");
    bench.window().showStation(Station::drift);
    auto* water = bench.find<WaterSection>("water-section");
    REQUIRE(waitFor([&] { return water->run() && water->run()->flyNode[Position::upper]; }));
    const DriftSample& last = water->run()->samples[100];  // in the retrieve: later the bob is out of the water now and then
    for (const Position position : {Position::bob, Position::upper, Position::middle, Position::point})
        CHECK(last.depth[position].has_value() == water->run()->flyNode[position].has_value());
    bench.window().showStation(Station::daybook);
    bench.setText("date", QStringLiteral("2026-08-30"));
    bench.click("add-day");
    bench.click("add-outing");
    auto* station = bench.find<QWidget>("daybook");
    CHECK(bench.text("entry").contains(QStringLiteral("U, M, W")));
    for (const int key : {Qt::Key_U, Qt::Key_R, Qt::Key_Return})
        QTest::keyClick(station, static_cast<Qt::Key>(key));
    const Day& day = *std::ranges::find(bench.document().book().days, "2026-08-30", &Day::id);
    REQUIRE(day.fish.size() == 1);
    CHECK(day.fish[0].position == Position::upper);
    CHECK(day.fish[0].pattern == "shingle-wren");
    CHECK(day.outings[0].at(Position::upper) == Fly("shingle-wren"));
}

TEST_CASE("in the day's wave the chart has all three phases, and says how far they are apart") {
    At bench(Station::drift);
    auto* water = bench.find<WaterSection>("water-section");
    REQUIRE(waitFor([&] { return water->run().has_value(); }));
    CHECK(water->waves().others.empty());
    REQUIRE(waitFor([&] { return bench.text("drift-words").contains(QStringLiteral("At the end of the draw: bob ")); }));
    CHECK(bench.text("drift-words").count(QStringLiteral(" m")) >= 3);
    bench.find<QCheckBox>("drift-waves")->click();
    REQUIRE(waitFor([&] { return water->waves().others.size() == 2; }));
    REQUIRE(water->waves().depth[Position::point]);
    CHECK(water->waves().depth[Position::point]->spread > 0.0 * mm);
    CHECK(bench.text("drift-words").contains(QStringLiteral("In the wave, at the end of the draw: bob ")));
}

TEST_CASE("a contest's length gauge is written from its rule card, and only where the card has a length") {
    At bench(Station::water);
    auto* button = bench.find<QToolButton>("contest-gauge");
    const WaterSpec& water = *bench.document().book().findWater(bench.document().water()->id);
    REQUIRE(water.rules);
    bench.setText("card-longest_fly_mm", QStringLiteral("24"));
    REQUIRE(button->isVisible());
    button->click();
    const QByteArray pdf = bench.writtenTo(bench.path("gauge.pdf"));
    CHECK(pdf.startsWith("%PDF"));
    CHECK(bench.text("quiet").contains(QStringLiteral("50 mm bar")));
    button->click();
    bench.answer(QStringLiteral("/nowhere/gauge.pdf"));
    CHECK(bench.text("quiet").contains(QStringLiteral("Nothing was written")));
    auto* field = bench.find<QLineEdit>("card-longest_fly_mm");
    field->setFocus();
    field->selectAll();
    QTest::keyClick(field, Qt::Key_Delete);
    QTest::keyClick(field, Qt::Key_Return);
    CHECK_FALSE(button->isVisible());
}

TEST_CASE("flies settle to where they hang when the team changes, are there in a fifth of a second, and stand still where asked to") {
    Bench bench;
    const auto change = [&] {
        const TeamSpec& team = *bench.document().team();
        CHECK(bench.document().apply(changeTeamFly(bench.document().book(), team.id, Position::bob, Fly("brass-buoy"))).empty());
    };
    auto* motion = bench.cast()->findChild<QVariantAnimation*>();
    REQUIRE(motion);
    const double before = bench.cast()->eyeDepth(Position::bob);
    change();
    CHECK(bench.cast()->eyeDepth(Position::bob) != before);
    CHECK(motion->state() == QAbstractAnimation::Stopped);  // the house of a test is still
    bench.document().undoStack().undo();
    keepStill(false);
    if (isStill()) return;  // this desktop has no animations
    change();
    CHECK(motion->state() == QAbstractAnimation::Running);
    CHECK(motion->duration() <= 200);
    QTRY_COMPARE(motion->state(), QAbstractAnimation::Stopped);
    keepStill(true);
}
