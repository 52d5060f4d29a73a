#include "tests/app/window.h"

#include <QComboBox>
#include <QLineEdit>

#include "plan/budget_view.h"
#include "plan/ticket.h"

using namespace machair;
using namespace machair::app;
using machair::app::tests::Bench;

TEST_CASE("a length typed into the ticket changes the fly, says what it moved, and is one step of undo") {
    Bench bench;
    bench.document().choosePosition(Position::middle);
    bench.document().choosePart(0);
    bench.type("field-0-length", QStringLiteral("6.2"));
    CHECK(bench.text("headline-0") == QStringLiteral("6.2 mm"));
    CHECK(bench.text("quiet").startsWith(QStringLiteral("Tail 7.5 → 6.2 mm")));
    CHECK(bench.text("quiet").contains(QStringLiteral("wing")));  // it ends at a fraction of the tail
    CHECK(bench.document().undoStack().count() == 1);
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.text("headline-0") == QStringLiteral("7.5 mm"));
}

TEST_CASE("lengths are understood in words, and nonsense is refused in place with what would do") {
    Bench bench;
    bench.document().choosePart(0);
    bench.type("field-0-length", QStringLiteral("as long as the shank"));
    CHECK(bench.text("headline-0") == QStringLiteral("11.6 mm"));
    bench.type("field-0-length", QStringLiteral("rather long"));
    CHECK(bench.text("headline-0") == QStringLiteral("11.6 mm"));
    CHECK(bench.text("fault-0").contains(QStringLiteral("rather long")));
    CHECK(bench.find<QLabel>("fault-0")->isVisible());
    CHECK(bench.document().undoStack().count() == 1);
}

TEST_CASE("an edit that no fly could follow is refused and nothing changes") {
    Bench bench;
    const Book before = bench.document().book();
    bench.document().choosePart(2);
    bench.type("field-2-end", QStringLiteral("1 mm behind the eye"));
    CHECK(bench.text("fault-2").contains(QStringLiteral("body end behind its front")));
    CHECK(bench.document().book() == before);
}

TEST_CASE("up and down nudge a length by its own step") {
    Bench bench;
    bench.document().choosePart(0);
    auto* line = bench.find<QLineEdit>("field-0-length");
    CHECK(line->text() == QStringLiteral("0.8 of the shank"));
    line->setFocus();
    QTest::keyClick(line, Qt::Key_Up);
    CHECK(line->text() == QStringLiteral("0.81 of the shank"));
    QTest::keyClick(line, Qt::Key_Down, Qt::ShiftModifier);
    CHECK(line->text() == QStringLiteral("0.76 of the shank"));
}

TEST_CASE("the same value again is no edit") {
    Bench bench;
    bench.document().choosePart(0);
    bench.type("field-0-length", QStringLiteral("0.8 of the shank"));
    CHECK(bench.document().undoStack().count() == 0);
}

TEST_CASE("the ticket is walked by keyboard, and the chosen line opens") {
    Bench bench;
    auto* ticket = bench.find<Ticket>("ticket");
    ticket->setFocus();
    QTest::keyClick(ticket, Qt::Key_Down);
    QTest::keyClick(ticket, Qt::Key_Down);
    CHECK(bench.document().part() == 1u);
    CHECK(bench.window().findChild<QWidget*>(QStringLiteral("field-1-turns")) != nullptr);
    QTest::keyClick(ticket, Qt::Key_Return);
    CHECK(qobject_cast<QLineEdit*>(QApplication::focusWidget()) != nullptr);
}

TEST_CASE("another material is chosen from pictures, of any kind that such a part can be made of") {
    Bench bench;
    bench.document().choosePart(3);
    bench.pick("material-3", QStringLiteral("soot"));
    CHECK(bench.document().pattern()->parts[3].material == "cock-soot");
    bench.document().choosePart(2);
    REQUIRE(bench.document().pattern()->parts[2].kind == PartKind::body);
    bench.pick("material-2", QStringLiteral("orange floss"));
    CHECK(bench.document().book().findMaterial(*bench.document().pattern()->parts[2].material)->kind == MaterialKind::floss);
    CHECK(bench.document().plan()->faults.empty());
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.document().book().findMaterial(*bench.document().pattern()->parts[2].material)->kind == MaterialKind::dubbing);
}

TEST_CASE("a click on the drawing opens the part that lies there") {
    Bench bench;
    const auto& plan = *bench.document().plan();
    auto* fly = bench.fly();
    fly->grab();
    const QPointF head = fly->view().origin + QPointF(fly->view().pxPerMm * 0.5 * ((plan.head.from + plan.head.to) / mm), 0.0);
    QTest::mouseClick(fly, Qt::LeftButton, Qt::NoModifier, head.toPoint());
    CHECK(bench.document().part() == 5u);
}

TEST_CASE("a crowded head is red in the budget and its remedies are said") {
    Bench bench;
    bench.document().choosePart(2);
    auto* budget = bench.find<BudgetView>("budget");
    CHECK(budget->words().contains(QStringLiteral("to spare")));
    const auto crowd = changeField(bench.document().book(), "kelp-lantern", 2, "front", "1.2 mm behind the eye");
    REQUIRE(crowd);
    CHECK(bench.document().apply(crowd).empty());
    CHECK(budget->words().contains(QStringLiteral("crowded")));
    CHECK(budget->words().contains(QStringLiteral("turn less")));
}

TEST_CASE("a school chosen for this dressing changes its numbers, and one for all the others'") {
    Bench bench;
    bench.document().choosePattern("soot-ember");
    const QString before = bench.text("headline-4");
    bench.find<QToolButton>("fold-schools")->click();
    auto* layBack = bench.find<QToolButton>("school-fibre-lay back");
    layBack->setFocus();  // looked at before it is taken: the drawing shows it, the numbers stand beside, nothing is changed
    CHECK(bench.document().previewing());
    CHECK(bench.document().ghost());
    CHECK(bench.text("school-changes").contains(QStringLiteral("→")));
    CHECK_FALSE(bench.document().pattern()->schools);
    bench.find<QToolButton>("school-fibre-line of sight")->setFocus();
    CHECK(bench.text("headline-4") == before);
    QTest::keyClick(layBack, Qt::Key_Space);
    CHECK(bench.document().pattern()->schools->fibre == FibreSchool::layBack);
    CHECK_FALSE(bench.document().previewing());
    CHECK(bench.text("headline-4") != before);
    QTest::keyClick(layBack, Qt::Key_Space);  // the same again lets go of it
    CHECK_FALSE(bench.document().pattern()->schools);
    CHECK(bench.text("headline-4") == before);
    bench.document().undoStack().undo();
    bench.document().undoStack().undo();
    CHECK(bench.text("headline-4") == before);
}

TEST_CASE("every answer of every question about the fly can be looked at and left, and the bench is as it was") {
    Bench bench;
    bench.find<QToolButton>("fold-schools")->click();
    for (const char* fly : {"kelp-lantern", "heather-tinker", "rush-piper"}) {
        bench.document().choosePattern(fly);
        const Book before = bench.document().book();
        int looked = 0;
        for (QToolButton* answer : bench.find<QWidget>("schools")->findChildren<QToolButton*>()) {
            if (!answer->isVisible() || !answer->objectName().startsWith(QStringLiteral("school-"))) continue;
            answer->setFocus();
            ++looked;
        }
        bench.find<QWidget>("ticket")->setFocus();
        CHECK(looked > 60);
        CHECK(bench.document().book() == before);
        CHECK_FALSE(bench.document().previewing());
    }
}

TEST_CASE("an edit repaints only what it changed") {
    Bench bench;
    bench.fly()->grab();
    bench.document().choosePart(0);
    bench.fly()->grab();
    bench.type("field-0-length", QStringLiteral("0.79 of the shank"));
    bench.fly()->grab();
    CHECK(bench.fly()->layersPaintedLast() < 10);
}
