// The fly is sized by hand on the drawing.
#include "tests/app/window.h"

#include "plan/fly_view.h"

using namespace machair;
using namespace machair::app;
using machair::app::tests::Bench;

namespace {

const Handle& handleOf(Bench& bench, Grab grab) {
    const auto& handles = bench.fly()->handles();
    const auto found = std::ranges::find(handles, grab, &Handle::grab);
    REQUIRE(found != handles.end());
    return *found;
}

void drag(Bench& bench, Grab grab, QPointF by, Qt::KeyboardModifiers modifiers = Qt::AltModifier) {
    FlyView* fly = bench.fly();
    const QPoint from = fly->placeOf(handleOf(bench, grab)).toPoint();
    QTest::mousePress(fly, Qt::LeftButton, modifiers, from);
    for (int i = 1; i <= 6; ++i) {  // as a hand moves: several small moves
        QMouseEvent move(QEvent::MouseMove, from + by * i / 6.0, fly->mapToGlobal(from + by * i / 6.0), Qt::NoButton, Qt::LeftButton,
                         modifiers);
        QApplication::sendEvent(fly, &move);
    }
    QTest::mouseRelease(fly, Qt::LeftButton, modifiers, (from + by).toPoint());
}

}  // namespace

TEST_CASE("each handle of the demo's flies can be dragged, changes the book in one step, and undo brings it all back") {
    for (const char* fly : {"kelp-lantern", "heather-tinker"}) {
        Bench bench;
        bench.document().choosePattern(fly);
        const Book start = bench.document().book();
        int steps = 0;
        for (const auto& [grab, by] : {std::pair{Grab::tailTip, QPointF(34, 0)}, std::pair{Grab::bodyEnd, QPointF(-30, 0)},
                                       std::pair{Grab::bodyFront, QPointF(20, 0)}, std::pair{Grab::shoulder, QPointF(0, -6)},
                                       std::pair{Grab::rearDiameter, QPointF(0, -4)}, std::pair{Grab::ribTurn, QPointF(16, 0)},
                                       std::pair{Grab::hackleTip, QPointF(26, 0)}, std::pair{Grab::wingTip, QPointF(-30, 0)},
                                       std::pair{Grab::wingDepth, QPointF(0, -12)}, std::pair{Grab::head, QPointF(0, -8)}}) {
            const auto& handles = bench.fly()->handles();
            if (std::ranges::find(handles, grab, &Handle::grab) == handles.end()) continue;
            INFO(fly << " grab " << static_cast<int>(grab));
            const Book before = bench.document().book();
            drag(bench, grab, by);
            CHECK_FALSE(bench.document().book() == before);
            CHECK(bench.document().undoStack().count() == ++steps);  // the whole drag is one
            CHECK(bench.kept() == bench.document().book());
        }
        CHECK(steps >= 7);
        for (int i = 0; i < steps; ++i)
            QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
        CHECK(bench.document().book() == start);
        CHECK(bench.kept() == start);
    }
}

TEST_CASE("while a handle is held nothing is kept, and Esc puts it back") {
    Bench bench;
    const Book before = bench.document().book();
    FlyView* fly = bench.fly();
    const QPoint from = fly->placeOf(handleOf(bench, Grab::tailTip)).toPoint();
    QTest::mousePress(fly, Qt::LeftButton, Qt::AltModifier, from);
    QMouseEvent move(QEvent::MouseMove, from + QPointF(40, 0), fly->mapToGlobal(from + QPointF(40, 0)), Qt::NoButton, Qt::LeftButton,
                     Qt::AltModifier);
    QApplication::sendEvent(fly, &move);
    CHECK(bench.document().previewing());
    CHECK(bench.text("quiet").startsWith(QStringLiteral("Tail")));
    CHECK(bench.kept() == before);
    QTest::keyClick(fly, Qt::Key_Escape);
    CHECK_FALSE(bench.document().previewing());
    QTest::mouseRelease(fly, Qt::LeftButton, Qt::NoModifier, from + QPoint(40, 0));
    CHECK(bench.document().book() == before);
    CHECK(bench.document().undoStack().count() == 0);
}

TEST_CASE("without Alt a drag snaps to a landmark") {
    Bench bench;
    bench.document().choosePattern("rush-piper");
    const double past = 0.1 * (bench.document().plan()->hook.gape() / mm) * bench.fly()->view().pxPerMm;
    drag(bench, Grab::hackleTip, QPointF(-past + 2.0, 0), Qt::NoModifier);
    CHECK(bench.text("words-2").contains(QStringLiteral("to the point")));
}

TEST_CASE("Tab goes to a handle, arrows move it by a tenth, page keys to the next landmark") {
    Bench bench;
    bench.document().choosePattern("rush-piper");
    FlyView* fly = bench.fly();
    fly->setFocus();
    const auto& handles = fly->handles();
    const auto tip = std::ranges::find(handles, Grab::hackleTip, &Handle::grab) - handles.begin();
    for (std::ptrdiff_t i = 0; i <= tip; ++i)
        QTest::keyClick(fly, Qt::Key_Tab);
    CHECK(bench.document().part() == 2u);
    QTest::keyClick(fly, Qt::Key_PageUp);
    CHECK(bench.text("words-2").contains(QStringLiteral("to the point")));
    QTest::keyClick(fly, Qt::Key_Right);
    CHECK(bench.text("words-2").contains(QStringLiteral("0.1 mm past the point")));
}

TEST_CASE("the pointer says which way a handle goes") {
    Bench bench;
    FlyView* fly = bench.fly();
    QTest::mouseMove(fly, fly->placeOf(handleOf(bench, Grab::tailTip)).toPoint());
    CHECK(fly->cursor().shape() == Qt::SizeHorCursor);
    QTest::mouseMove(fly, fly->placeOf(handleOf(bench, Grab::shoulder)).toPoint());
    CHECK(fly->cursor().shape() == Qt::SizeVerCursor);
}
