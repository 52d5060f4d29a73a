// Instruments worked as a person would, by mouse, by keyboard and through what assistive technology is told.
#include <QAccessible>
#include <QLineEdit>
#include <QListView>

#include "balance/team_sheet.h"
#include "balance/team_view.h"
#include "daybook/day_page.h"
#include "daybook/season_strip.h"
#include "drawers/drawers_station.h"
#include "drawers/thing_view.h"
#include "drift/fish_view.h"
#include "drift/handling_strip.h"
#include "drift/water_section.h"
#include "parts/scale.h"
#include "plan/budget_view.h"
#include "plan/sizes_view.h"
#include "tests/app/at.h"
#include "tests/samples.h"
#include "tie/step_strip.h"
#include "tie/tie_station.h"
#include "water/day_picker.h"
#include "water/sea_view.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;
using machair::tests::mmOf;

namespace {

void drag(QWidget* widget, QPointF from, QPointF to) {
    QTest::mousePress(widget, Qt::LeftButton, Qt::NoModifier, from.toPoint());
    for (int i = 1; i <= 4; ++i) {
        const QPointF at = from + (to - from) * (i / 4.0);
        QMouseEvent move(QEvent::MouseMove, at, widget->mapToGlobal(at), Qt::NoButton, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(widget, &move);
    }
    QTest::mouseRelease(widget, Qt::LeftButton, Qt::NoModifier, to.toPoint());
}

double secondsOf(const HandlingStrip& strip, Phase phase) { return strip.lasts(phase) / second; }

}  // namespace

TEST_CASE("what the rod does stands on the axis of the depths, and is dragged there") {
    At bench(Station::drift);
    auto* section = bench.find<WaterSection>("water-section");
    REQUIRE(waitFor([&] { return section->run().has_value(); }));
    HandlingStrip& strip = section->strip();
    CHECK(secondsOf(strip, Phase::count) == Approx(5.0));
    // The retrieve's end stands over its second on the chart.
    const double perSecond = section->chart().width() / strip.seconds();
    CHECK(strip.block(Phase::retrieve).right() == Approx(section->chart().left() + 17.0 * perSecond).margin(1.0));
    // The rod began to hold when the bob was up, which is before the lift's whole height.
    REQUIRE(section->run()->heldFrom);
    CHECK(strip.block(Phase::hold).left() == Approx(section->chart().left() + *section->run()->heldFrom / second * perSecond).margin(1.0));
    // An edge for how long, the filling for how fast.
    const QRectF count = strip.block(Phase::count);
    drag(&strip, QPointF(count.right(), count.center().y()), QPointF(count.right() + 5.0 * perSecond, count.center().y()));
    CHECK(secondsOf(strip, Phase::count) == Approx(10.0).margin(0.5));
    CHECK(secondsOf(strip, Phase::retrieve) == Approx(12.0));
    const QRectF retrieve = strip.block(Phase::retrieve);
    const QPointF top(retrieve.center().x(), strip.level(Phase::retrieve));
    drag(&strip, top, QPointF(top.x(), retrieve.bottom() - 2.0));
    CHECK(strip.handling().retrieve < 0.1 * metrePerSecond);
    REQUIRE(waitFor([&] { return section->length() > strip.seconds() - 4.0; }));
    // What takes no time waits at the right, and is taken up by a press.
    CHECK(strip.block(Phase::hang).isEmpty());
    QTest::mouseClick(&strip, Qt::LeftButton, Qt::NoModifier, strip.spare(Phase::hang).center().toPoint());
    CHECK(secondsOf(strip, Phase::hang) == Approx(5.0));
    CHECK(strip.spare(Phase::hang).isEmpty());
}

TEST_CASE("the rod is led by keyboard and by typing, and nonsense changes nothing") {
    At bench(Station::drift);
    auto* section = bench.find<WaterSection>("water-section");
    REQUIRE(waitFor([&] { return section->run().has_value(); }));
    HandlingStrip& strip = section->strip();
    strip.setFocus();
    CHECK(strip.chosen() == Phase::retrieve);
    QTest::keyClick(&strip, Qt::Key_PageUp);
    CHECK(secondsOf(strip, Phase::retrieve) == Approx(13.0));
    QTest::keyClick(&strip, Qt::Key_Down);
    CHECK(strip.handling().retrieve / metrePerSecond == Approx(0.25));
    QTest::keyClick(&strip, Qt::Key_Left);
    CHECK(strip.chosen() == Phase::count);
    QTest::keyClick(&strip, Qt::Key_Delete);
    CHECK(secondsOf(strip, Phase::count) == 0.0);
    QTest::keyClick(&strip, Qt::Key_Right);
    const auto type = [&](const char* text) {
        QTest::keyClick(&strip, Qt::Key_Return);
        auto* line = bench.find<QLineEdit>("handling-typed");
        line->selectAll();
        QTest::keyClicks(line, QString::fromLatin1(text));
        QTest::keyClick(line, Qt::Key_Return);
    };
    type("20 s at 0,4 m/s");
    CHECK(secondsOf(strip, Phase::retrieve) == Approx(20.0));
    CHECK(strip.handling().retrieve / metrePerSecond == Approx(0.4));
    const Handling before = strip.handling();
    type("as slow as you can");
    CHECK(bench.text("quiet").contains(QStringLiteral("12 s at 0.3 m/s")));
    CHECK(strip.handling().retrieve == before.retrieve);
    CHECK(strip.handling().retrieveFor == before.retrieveFor);
    type("99999 s");  // to what can be fished
    CHECK(secondsOf(strip, Phase::retrieve) == Approx(300.0));
    QTest::keyClick(bench.find<QLineEdit>("handling-typed"), Qt::Key_Escape);
    strip.setFocus();
    QTest::keyClick(&strip, Qt::Key_Right);
    CHECK(strip.chosen() == Phase::lift);
    type("to 1.2 m at 0.5 m/s");
    CHECK(strip.handling().height / metre == Approx(1.2));
    CHECK(strip.handling().lift / metrePerSecond == Approx(0.5));
}

TEST_CASE("the sheet of the team has every check once, its words when it is pointed at, and what is off first") {
    At bench(Station::balance);
    auto* sheet = bench.find<TeamSheet>("team-checks");
    const auto& report = bench.document().teamReport();
    REQUIRE(report);
    std::size_t shown = 0;
    for (std::size_t i = 0; i < report->checks.size(); ++i) {
        INFO(report->checks[i].words);
        const QRectF cell = sheet->cellOf(i);
        REQUIRE_FALSE(cell.isEmpty());
        CHECK(QRectF(sheet->rect()).contains(cell));
        for (std::size_t k = 0; k < i; ++k)
            CHECK_FALSE(sheet->cellOf(k).intersects(cell));
        QTest::mouseMove(sheet, cell.center().toPoint());
        REQUIRE(sheet->chosen() == i);
        CHECK(bench.text("check-words").contains(QString::fromStdString(report->checks[i].words)));
        ++shown;
    }
    CHECK(shown > 10);
    // By keyboard: first what is furthest off, then row by row.
    sheet->setFocus();
    QTest::mouseMove(sheet, QPoint(1, 1));
    QTest::keyClick(sheet, Qt::Key_Down);
    REQUIRE(sheet->chosen());
    const double top = sheet->cellOf(*sheet->chosen()).top();
    QTest::keyClick(sheet, Qt::Key_Down);
    CHECK(sheet->cellOf(*sheet->chosen()).top() >= top);
    QTest::keyClick(sheet, Qt::Key_Escape);
    CHECK_FALSE(sheet->chosen());
}

TEST_CASE("a fly is taken out of the box along the foot and hangs where the chosen one hung") {
    At bench(Station::balance);
    auto* box = bench.find<QListView>("team-box");
    REQUIRE(box->model()->rowCount() > 3);
    bench.document().choosePosition(Position::middle);
    const auto before = bench.document().team()->at(Position::middle);
    int other = -1;
    for (int i = 0; i < box->model()->rowCount() && other < 0; ++i)
        if (box->model()->index(i, 0).data().toString().contains(QStringLiteral("Soot and Ember"))) other = i;
    REQUIRE(other >= 0);
    box->setFocus();
    box->setCurrentIndex(box->model()->index(other, 0));
    QTest::keyClick(box, Qt::Key_Return);
    REQUIRE(bench.document().team()->at(Position::middle));
    CHECK_FALSE(bench.document().team()->at(Position::middle) == before);
    CHECK(bench.document().team()->at(Position::middle)->pattern == "soot-ember");
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.document().team()->at(Position::middle) == before);
}

TEST_CASE("assistive technology hears the parts of an instrument, chooses them and changes them") {
    At bench(Station::drift);
    auto* section = bench.find<WaterSection>("water-section");
    REQUIRE(waitFor([&] { return section->run().has_value(); }));
    HandlingStrip& strip = section->strip();
    auto* heard = QAccessible::queryAccessibleInterface(&strip);
    REQUIRE(heard);
    REQUIRE(heard->childCount() >= static_cast<int>(kPhases.size()));
    auto* count = heard->child(0);
    CHECK(count->text(QAccessible::Name) == QStringLiteral("count"));
    CHECK(count->text(QAccessible::Value) == QStringLiteral("5.0 s"));
    CHECK_FALSE(count->rect().isEmpty());
    CHECK(count->parent() == heard);
    CHECK(heard->indexOfChild(count) == 0);
    QAccessibleActionInterface* acts = count->actionInterface();
    REQUIRE(acts);
    acts->doAction(QAccessibleActionInterface::increaseAction());
    CHECK(secondsOf(strip, Phase::count) == Approx(6.0));
    CHECK(count->text(QAccessible::Value) == QStringLiteral("6.0 s"));
    acts->doAction(QAccessibleActionInterface::pressAction());
    CHECK(strip.chosen() == Phase::count);
    CHECK(count->state().selected);
    bench.window().showStation(Station::balance);
    auto* sheet = QAccessible::queryAccessibleInterface(bench.find<TeamSheet>("team-checks"));
    REQUIRE(sheet);
    REQUIRE(sheet->childCount() == static_cast<int>(bench.document().teamReport()->checks.size()));
    for (int i = 0; i < sheet->childCount(); ++i) {
        CHECK_FALSE(sheet->child(i)->text(QAccessible::Name).isEmpty());
        CHECK_FALSE(sheet->child(i)->text(QAccessible::Value).isEmpty());
    }
}

TEST_CASE("a fish sees the fly fade into the water with depth and distance, and nothing where there is nothing") {
    QImage fly(8, 4, QImage::Format_ARGB32);
    fly.fill(Qt::transparent);
    for (int x = 0; x < 4; ++x)
        fly.setPixelColor(x, 1, QColor(230, 90, 40));
    const Clarity tea = clarityOf(WaterColour::tea);
    const auto apart = [&](Length depth, Length from) {
        const Sighting sighting{depth, from, 0.83};
        const Seen there = seen({230 / 255.0, 90 / 255.0, 40 / 255.0}, tea, sighting);
        const double exposure = exposureOf(there);
        const QImage image = asSeen(fly, tea, sighting, exposure);
        CHECK(image.pixelColor(6, 1).alpha() == 0);
        CHECK(image.pixelColor(0, 0).alpha() == 0);
        const QColor of = image.pixelColor(1, 1);
        // The pixel is what the model says of its colour.
        const Rgb shown = fromLinear({there.fly.r * exposure, there.fly.g * exposure, there.fly.b * exposure});
        CHECK(of.redF() == Approx(shown.r).margin(0.02));
        CHECK(of.greenF() == Approx(shown.g).margin(0.02));
        CHECK(of.blueF() == Approx(shown.b).margin(0.02));
        return there.contrast;
    };
    CHECK(apart(0.3 * metre, 0.5 * metre) > apart(0.3 * metre, 2.0 * metre));
    CHECK(apart(0.3 * metre, 20.0 * metre) < 1.0);  // from afar it is the water
}

TEST_CASE("the wind is drawn on the map, its length is its force, and the day follows when it is let go") {
    At bench(Station::water);
    auto* sea = bench.find<SeaView>("sea");
    const auto wind = [&] { return std::pair(*bench.document().water()->wind / metrePerSecond, *bench.document().water()->windFrom); };
    REQUIRE(wind() == std::pair(6.0, 250.0));
    const QPointF tip = sea->arrowTip(6.0, 250.0);
    CHECK(tip.x() > sea->rose().x());  // from west-south-west: it blows to the right
    const Book before = bench.document().book();
    drag(sea, tip, sea->arrowTip(10.0, 180.0));
    CHECK(wind().first == Approx(10.0).margin(0.6));
    CHECK(wind().second == Approx(180.0).margin(6.0));
    bench.document().undoStack().undo();  // one edit
    CHECK(bench.document().book() == before);
    sea->setFocus();
    QTest::keyClick(sea, Qt::Key_Up);
    QTest::keyClick(sea, Qt::Key_Right);
    CHECK(wind() == std::pair(6.5, 260.0));
}

TEST_CASE("light, water and month are chosen by how they look, and let go by the same press") {
    At bench(Station::water);
    auto* picker = bench.find<DayPicker>("day-picker");
    const auto press = [&](const char* name) {
        const auto found = std::ranges::find_if(picker->choices(), [&](const auto& c) { return c.name == QLatin1String(name); });
        REQUIRE(found != picker->choices().end());
        QTest::mouseClick(picker, Qt::LeftButton, Qt::NoModifier, found->place.center().toPoint());
    };
    press("dusk");
    CHECK(bench.document().water()->light == Light::dusk);
    press("peat water");
    CHECK(bench.document().water()->colour == WaterColour::peat);
    press("peat water");
    CHECK_FALSE(bench.document().water()->colour);
    for (std::size_t a = 0; a < picker->choices().size(); ++a)
        for (std::size_t b = 0; b < a; ++b)
            CHECK_FALSE(picker->choices()[a].place.intersects(picker->choices()[b].place));
    // By keyboard from where it was pressed last: the next water on.
    picker->setFocus();
    QTest::keyClick(picker, Qt::Key_Right);
    QTest::keyClick(picker, Qt::Key_Space);
    CHECK(bench.document().water()->colour == WaterColour::green);
    // The boat: its drogue is put out, and taken in again.
    CHECK_FALSE(bench.document().water()->drogue);
    press("a drogue out");
    CHECK(bench.document().water()->drogue == true);
    press("a drogue out");
    CHECK_FALSE(bench.document().water()->drogue);
    press("as your own boat drifts");
    CHECK(bench.document().water()->ownDrift == true);
}

TEST_CASE("where there is no water its station has the button that begins one, and then the one for its shore") {
    At bench(Station::water);
    auto* begin = bench.find<QToolButton>("begin-water");
    CHECK_FALSE(begin->isVisible());
    while (!bench.document().book().waters.empty())
        REQUIRE(
            bench.document().apply(removeRecord(bench.document().book(), {"waters", bench.document().book().waters.back().id})).empty());
    REQUIRE(begin->isVisible());
    QTest::mouseClick(begin, Qt::LeftButton);
    REQUIRE(bench.document().book().waters.size() == 1);
    REQUIRE(bench.document().water() != nullptr);
    CHECK(begin->isVisible());  // for its shore
    QTest::mouseClick(begin, Qt::LeftButton);
    CHECK(bench.find<QToolButton>("draw-shore")->isChecked());
    CHECK_FALSE(begin->isVisible());
}

TEST_CASE("a scale's mark is dragged, nudged, its number typed and let go: each is one edit") {
    At bench(Station::water);
    auto* warmth = bench.find<Scale>("scale-celsius");
    const auto celsius = [&] { return bench.document().water()->celsius; };
    REQUIRE(celsius() == 12.0);
    const Book before = bench.document().book();
    drag(warmth, warmth->markAt(12.0), warmth->markAt(18.0));
    CHECK(celsius() == 18.0);
    bench.document().undoStack().undo();
    CHECK(bench.document().book() == before);
    warmth->setFocus();
    QTest::keyClick(warmth, Qt::Key_Right);
    CHECK(celsius() == 12.5);
    QTest::keyClick(warmth, Qt::Key_PageDown);
    CHECK(celsius() == 10.0);
    // A digit begins to type; Enter takes it, with a comma too.
    QTest::keyClicks(warmth, QStringLiteral("9"));
    auto* typed = bench.find<QLineEdit>("scale-celsius-typed");
    REQUIRE(typed->isVisible());
    QTest::keyClicks(typed, QStringLiteral(",3"));
    QTest::keyClick(typed, Qt::Key_Return);
    CHECK(celsius() == 9.3);
    CHECK_FALSE(typed->isVisible());
    // What no water is, is refused, said, and the mark stays.
    QTest::keyClicks(warmth, QStringLiteral("9"));
    QTest::keyClicks(typed, QStringLiteral("00"));
    QTest::keyClick(typed, Qt::Key_Return);
    CHECK(celsius() == 9.3);
    QTest::keyClick(warmth, Qt::Key_Delete);
    CHECK_FALSE(celsius());
    CHECK(warmth->accessibleDescription() == QLatin1String("not said"));
    auto* depth = bench.find<Scale>("scale-depth_m");
    drag(depth, depth->markAt(3.5), depth->markAt(6.0));
    CHECK(mmOf(*bench.document().water()->depth) == Approx(6000.0));
}

TEST_CASE("what is left to the usual is a word, a press on it opens its row, and what is said again stays in sight") {
    At at(Station::drawers);
    at.window().drawers().open(Drawer::hackles);
    at.window().drawers().choose("hen-slate");
    auto* line = at.find<QLineEdit>("record-fibre_longest_mm");
    auto* word = at.find<QToolButton>("say-record-fibre_longest_mm");
    CHECK(at.find<QLineEdit>("record-name")->isVisible());
    REQUIRE_FALSE(line->isVisible());
    REQUIRE(word->isVisible());
    QTest::mouseClick(word, Qt::LeftButton);
    REQUIRE(line->isVisible());
    CHECK_FALSE(word->isVisible());
    CHECK(QApplication::focusWidget() == line);
    QTest::keyClicks(line, QStringLiteral("14"));
    QTest::keyClick(line, Qt::Key_Return);
    const auto longest = [&] { return std::get<HackleTraits>(at.document().book().findMaterial("hen-slate")->traits).fibreLongest; };
    REQUIRE(longest());
    CHECK(mmOf(*longest()) == 14.0);
    // Emptied, it stays until another thing is chosen; said, it stands as a row at once.
    line->selectAll();
    QTest::keyClick(line, Qt::Key_Delete);
    QTest::keyClick(line, Qt::Key_Return);
    CHECK_FALSE(longest());
    CHECK(line->isVisible());
    at.window().drawers().choose("cock-fox");
    CHECK(at.find<QToolButton>("say-record-fibre_longest_mm")->isVisible());
    // A dimension on the picture opens its row as well.
    at.find<ThingView>("thing")->choosePart(0);
    CHECK(qobject_cast<QLineEdit*>(QApplication::focusWidget()) != nullptr);
}

TEST_CASE("the fly is zoomed where the cursor is, moved, fitted again and turned half round, and is worked on as it lies") {
    At at(Station::plan);
    FlyView* fly = at.fly();
    const auto ofKind = [&](Grab grab) { return *std::ranges::find(fly->handles(), grab, &Handle::grab); };
    const drawing::View fitted = fly->view();
    // The wheel: what lies under the cursor stays there.
    const QPointF under = fly->placeOf(ofKind(Grab::tailTip));
    QWheelEvent wheel(under, fly->mapToGlobal(under), {}, QPoint(0, 240), Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase, false);
    QApplication::sendEvent(fly, &wheel);
    CHECK(fly->view().pxPerMm > 1.3 * fitted.pxPerMm);
    CHECK(QLineF(fly->placeOf(ofKind(Grab::tailTip)), under).length() < 0.01);
    // The middle button moves the bench, and an edit leaves it where it lies.
    QTest::mousePress(fly, Qt::MiddleButton, Qt::NoModifier, {200, 200});
    QTest::mouseMove(fly, {260, 180});
    QTest::mouseRelease(fly, Qt::MiddleButton, Qt::NoModifier, {260, 180});
    CHECK(QLineF(fly->placeOf(ofKind(Grab::tailTip)), under + QPointF(60, -20)).length() < 0.01);
    const drawing::View moved = fly->view();
    at.document().choosePart(0);
    at.setText("field-0-length", QStringLiteral("8 mm"));
    CHECK(fly->view().pxPerMm == moved.pxPerMm);
    CHECK(fly->view().origin == moved.origin);
    QTest::mouseDClick(fly, Qt::LeftButton, Qt::NoModifier, {30, fly->height() - 80});
    CHECK(fly->view().pxPerMm == Approx(fitted.pxPerMm).epsilon(0.1));
    // By keys, and Space with the left button.
    fly->setFocus();
    QTest::keyClick(fly, Qt::Key_Plus);
    CHECK(fly->view().pxPerMm > 1.1 * fitted.pxPerMm);
    const QPointF before = fly->view().origin;
    QTest::keyPress(fly, Qt::Key_Space);
    QTest::mousePress(fly, Qt::LeftButton, Qt::NoModifier, {100, 100});
    QTest::mouseMove(fly, {80, 130});
    QTest::mouseRelease(fly, Qt::LeftButton, Qt::NoModifier, {80, 130});
    QTest::keyRelease(fly, Qt::Key_Space);
    CHECK(fly->view().origin == before + QPointF(-20, 30));
    QTest::keyClick(fly, Qt::Key_0);
    // Turned, the eye is at the right, and a handle is dragged as it is seen: to the left is towards the tail's tip.
    QTest::mouseClick(at.find<QToolButton>("fly-turn"), Qt::LeftButton);
    REQUIRE(fly->isTurned());
    const QPointF tip = fly->placeOf(ofKind(Grab::tailTip));
    CHECK(tip.x() < fly->view().origin.x());
    const double tail = mmOf(std::get<TailPlan>(at.document().plan()->parts[0].detail).length);
    QTest::mousePress(fly, Qt::LeftButton, Qt::NoModifier, tip.toPoint());
    const QPointF to = tip - QPointF(2.0 * fly->view().pxPerMm, 0.0);
    QTest::mouseMove(fly, (0.5 * (tip + to)).toPoint());
    QTest::mouseMove(fly, to.toPoint());
    QTest::mouseRelease(fly, Qt::LeftButton, Qt::NoModifier, to.toPoint());
    CHECK(mmOf(std::get<TailPlan>(at.document().plan()->parts[0].detail).length) > tail + 1.2);
    // What is pointed at is what is seen there.
    QTest::mouseClick(fly, Qt::LeftButton, Qt::NoModifier,
                      (fly->placeOf(ofKind(Grab::tailTip)) + QPointF(1.5 * fly->view().pxPerMm, 0.0)).toPoint());
    CHECK(at.document().part() == 0);
}

TEST_CASE("the fly is looked down on and looked at from the eye, by button and by key, and comes back to its profile") {
    At at(Station::plan);
    auto* fly = at.window().findChild<FlyView*>();
    const auto handles = fly->handles().size();
    REQUIRE(handles > 3);
    const QImage profile = fly->grab().toImage();
    QTest::mouseClick(at.find<QToolButton>("fly-above"), Qt::LeftButton);
    CHECK(fly->lookedAtFrom() == FlyView::From::above);
    CHECK(fly->accessibleName() == QStringLiteral("The fly from above"));
    // What goes along the hook is dragged from above, what goes across it from the eye.
    const auto held = [&](PartKind kind, Travel not_) {
        const auto found = std::ranges::find_if(fly->handles(), [&](const Handle& handle) {
            return at.document().pattern()->parts[handle.part].kind == kind && handle.travel != not_;
        });
        REQUIRE(found != fly->handles().end());
        return *found;
    };
    const auto drag = [&](const Handle& handle, QPointF millimetres) {
        const QPointF from = fly->placeOf(handle), to = from + fly->view().pxPerMm * millimetres;
        QTest::mousePress(fly, Qt::LeftButton, Qt::NoModifier, from.toPoint());
        QTest::mouseMove(fly, (0.5 * (from + to)).toPoint());
        QTest::mouseMove(fly, to.toPoint());
        QTest::mouseRelease(fly, Qt::LeftButton, Qt::NoModifier, to.toPoint());
    };
    CHECK(std::ranges::none_of(fly->handles(), [](const Handle& h) { return h.travel == Travel::across; }));
    const auto tailLength = [&] { return mmOf(std::get<TailPlan>(at.document().plan()->parts[0].detail).length); };
    const double tail = tailLength();
    drag(held(PartKind::tail, Travel::across), {2.0, 0.0});
    CHECK(tailLength() > tail + 1.2);
    CHECK(tailLength() < tail + 2.8);
    at.document().undoStack().undo();
    at.document().choosePart(std::nullopt);
    const QImage above = fly->grab().toImage();
    CHECK(above != profile);
    fly->setFocus();
    QTest::keyClick(fly, Qt::Key_E);
    CHECK(fly->lookedAtFrom() == FlyView::From::eye);
    CHECK(at.find<QToolButton>("fly-from-eye")->isChecked());
    CHECK_FALSE(at.find<QToolButton>("fly-above")->isChecked());
    CHECK(fly->grab().toImage() != above);
    CHECK(std::ranges::none_of(fly->handles(), [](const Handle& h) { return h.travel == Travel::along; }));
    const Handle shoulder = held(PartKind::body, Travel::along);
    const auto saidOfIt = [&] { return at.document().plan()->parts[shoulder.part].words; };
    const std::string asItWas = saidOfIt();
    drag(shoulder, {0.0, -0.4});
    CHECK(saidOfIt() != asItWas);
    at.document().undoStack().undo();
    at.document().choosePart(std::nullopt);
    // It is still the fly on the bench: another length is seen from here too.
    const QImage before = fly->grab().toImage();
    const auto collar = *findKind(*at.document().pattern(), PartKind::collar);
    at.document().choosePart(collar);
    at.setText(("field-" + std::to_string(collar) + "-length").c_str(), QStringLiteral("4 mm"));
    CHECK(fly->grab().toImage() != before);
    at.document().undoStack().undo();
    at.document().choosePart(std::nullopt);
    QTest::keyClick(fly, Qt::Key_E);
    CHECK(fly->lookedAtFrom() == FlyView::From::side);
    CHECK(fly->handles().size() == handles);
}

TEST_CASE("a part grows from its old length, soon stands still, and doesn't move at all where nothing may") {
    At at(Station::plan);
    auto* fly = at.window().findChild<FlyView*>();
    const auto edit = [&](const char* length) {
        at.document().choosePart(0);
        REQUIRE(at.document().apply(changeField(at.document().book(), at.document().pattern()->id, 0, "length", length)).empty());
        at.document().choosePart(std::nullopt);
        return fly->grab().toImage();
    };
    const QImage still = edit("7 mm");
    (void)edit("11 mm");
    keepStill(false);
    const QImage onItsWay = edit("7 mm");
    keepStill(true);
    CHECK(onItsWay != still);
    CHECK(waitFor([&] { return fly->grab().toImage() == still; }));
}

TEST_CASE("what was folded open is open the next time") {
    At at(Station::plan);
    auto* fold = at.find<QToolButton>("fold-schools");
    REQUIRE_FALSE(fold->isChecked());
    fold->click();
    at.restart();
    at.window().showStation(Station::plan);
    CHECK(at.find<QToolButton>("fold-schools")->isChecked());
    CHECK_FALSE(at.find<QToolButton>("fold-dressing")->isChecked());
}

TEST_CASE("the wind, the steps, the season, the day, the team and the sizes are worked through the parts they say") {
    At at(Station::water);
    auto* sea = at.window().findChild<SeaView*>();
    const Speed before = *at.document().water()->wind;
    sea->nudgePart(1, 2);
    CHECK((*at.document().water()->wind - before) / metrePerSecond == Approx(1.0));
    CHECK(sea->spokenParts()[1].value.startsWith(QString::number(*at.document().water()->wind / metrePerSecond, 'f', 1)));
    at.window().showStation(Station::tie);
    auto* strip = at.find<StepStrip>("step-strip");
    REQUIRE(strip->spokenParts().size() > 5);
    strip->choosePart(4);
    CHECK(at.find<TieStation>("tie")->step() == 4);
    CHECK(strip->spokenParts()[4].chosen);
    at.window().showStation(Station::daybook);
    auto* season = at.window().findChild<SeasonStrip*>();
    const auto days = season->spokenParts();
    REQUIRE(days.size() > 3);
    season->choosePart(1);
    CHECK(season->spokenParts()[1].chosen);
    auto* page = at.find<DayPage>("day-page");
    REQUIRE_FALSE(page->spokenParts().empty());
    page->choosePart(0);
    CHECK(page->row().has_value());
    CHECK_FALSE(page->spokenParts()[0].value.isEmpty());
    at.window().showStation(Station::balance);
    auto* team = at.find<TeamView>("team-view");
    team->choosePart(2);
    CHECK(at.document().position() == Position::point);
    CHECK(team->spokenParts()[2].chosen);
    at.window().showStation(Station::plan);
    auto* budget = at.window().findChild<BudgetView*>();
    const auto spans = budget->spokenParts();
    const auto body = std::ranges::find(spans, QStringLiteral("body"), &SpokenPart::name);
    REQUIRE(body != spans.end());
    budget->choosePart(static_cast<std::size_t>(body - spans.begin()));
    CHECK(budget->spokenParts()[static_cast<std::size_t>(body - spans.begin())].chosen);
    at.click("sizes");
    auto* sizes = at.window().findChild<SizesView*>();
    sizes->choosePart(0);
    CHECK(at.document().plan()->hook.size() == sizes->flies().front().size);
}

TEST_CASE("the leader's lengths are dragged on the leader, the sheet follows, and keys nudge them") {
    At at(Station::balance);
    auto* team = at.find<TeamView>("team-view");
    const auto spans = team->spans();
    REQUIRE(spans.size() == 2);
    REQUIRE(QLatin1String(spans[0].key) == QLatin1String("bob_to_middle_m"));
    const double before = spans[0].metres;
    const Book book = at.document().book();
    const QPointF grip = spans[0].rect.center();
    QTest::mousePress(team, Qt::LeftButton, Qt::NoModifier, grip.toPoint());
    QTest::mouseMove(team, (grip + QPointF(0.0, 30.0)).toPoint());
    QTest::mouseMove(team, (grip + QPointF(0.0, 60.0)).toPoint());
    CHECK(at.document().teamPreviewing());  // the sheet says it already
    CHECK(team->spans()[0].metres == Approx(before + 0.5));
    CHECK(at.document().book() == book);
    QTest::mouseRelease(team, Qt::LeftButton, Qt::NoModifier, (grip + QPointF(0.0, 60.0)).toPoint());
    CHECK_FALSE(at.document().teamPreviewing());
    CHECK(*at.document().team()->leader->bobToMiddle / metre == Approx(before + 0.5));
    at.document().undoStack().undo();
    CHECK(at.document().book() == book);
    // A drag that is let go with Esc changes nothing.
    QTest::mousePress(team, Qt::LeftButton, Qt::NoModifier, grip.toPoint());
    QTest::mouseMove(team, (grip + QPointF(0.0, 30.0)).toPoint());
    QTest::keyClick(team, Qt::Key_Escape);
    QTest::mouseRelease(team, Qt::LeftButton, Qt::NoModifier, (grip + QPointF(0.0, 30.0)).toPoint());
    CHECK(at.document().book() == book);
    team->setFocus();
    QTest::keyClick(team, Qt::Key_Down);
    QTest::keyClick(team, Qt::Key_Right);
    CHECK(*at.document().team()->leader->middleToPoint / metre == Approx(spans[1].metres + 0.05));
}
