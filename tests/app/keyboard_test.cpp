// The window without a mouse: every control of every station is come to by Tab, and a year's work is done by keys alone.
#include <QAbstractButton>
#include <QButtonGroup>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QListWidget>
#include <QToolButton>
#include <set>

#include "plan/fly_view.h"
#include "tests/app/at.h"
#include "tests/samples.h"
#include "tie/tie_station.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

namespace {

constexpr int kMostTabs = 400;

void press(int key, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
    QWidget* to = QApplication::focusWidget();
    QTest::keyClick(to ? to : QApplication::activeWindow(), static_cast<Qt::Key>(key), modifiers);
    QApplication::processEvents();
}

void write(const QString& words) {
    for (const QChar letter : words) {  // where one letter opens a line, the next goes into it
        REQUIRE(QApplication::focusWidget() != nullptr);
        QTest::keyClicks(QApplication::focusWidget(), QString(letter));
    }
}

// To a control by its name: Tab after Tab, as somebody who has no mouse.
void tabTo(MainWindow& window, const char* name) {
    const QString wanted = QString::fromLatin1(name);
    if (!QApplication::focusWidget()) window.setFocus();
    for (int i = 0; i < kMostTabs; ++i) {
        const QWidget* now = QApplication::focusWidget();
        if (now && now->objectName() == wanted) return;
        press(Qt::Key_Tab);
    }
    FAIL("Tab never comes to " << name);
}

// What Tab should come to: seen, enabled, and not standing for another.
std::set<QWidget*> shouldBeReached(QWidget& window) {
    std::set<QWidget*> all;
    for (QWidget* widget : window.findChildren<QWidget*>()) {
        if (!widget->isVisible() || !widget->isEnabled() || widget->focusProxy() || widget->window() != &window) continue;
        // Of buttons that exclude each other one is come to, and arrows go on to the others.
        const auto* button = qobject_cast<QAbstractButton*>(widget);
        if (button && (button->autoExclusive() || (button->group() && button->group()->exclusive()))) continue;
        if (widget->focusPolicy() & Qt::TabFocus) all.insert(widget);
    }
    return all;
}

}  // namespace

TEST_CASE("Tab comes to every control of every station, and round again") {
    const auto station = GENERATE(Station::plan, Station::cut, Station::tie, Station::check, Station::balance, Station::drift,
                                  Station::water, Station::evening, Station::daybook, Station::drawers);
    At bench(station);
    QApplication::processEvents();
    std::set<QWidget*> missed = shouldBeReached(bench.window());
    CHECK(missed.size() > 8);
    bench.window().setFocus();
    for (int i = 0; i < kMostTabs && !missed.empty(); ++i) {
        press(Qt::Key_Tab);
        missed.erase(QApplication::focusWidget());
    }
    for (const QWidget* widget : missed) {
        INFO(static_cast<int>(station) << " " << widget->objectName().toStdString() << " (" << widget->metaObject()->className()
                                       << "): " << widget->accessibleName().toStdString());
        CHECK(false);
    }
    // Back by Shift+Tab as well.
    QWidget* at = QApplication::focusWidget();
    press(Qt::Key_Tab);
    press(Qt::Key_Tab, Qt::ShiftModifier);
    if (at && at->objectName() != QLatin1String("fly")) CHECK(QApplication::focusWidget() == at);
}

TEST_CASE("a station's key works again and again, whatever its button says meanwhile") {
    At bench(Station::check);
    const std::size_t checks = bench.document().book().checks.size();
    for (int fly = 1; fly <= 2; ++fly) {
        bench.find<QDoubleSpinBox>("typed")->setFocus();
        press(Qt::Key_A, Qt::ControlModifier);
        write(QStringLiteral("9.1"));
        press(Qt::Key_Return);
        press(Qt::Key_Return, Qt::ControlModifier);
        CHECK(bench.document().book().checks.size() == checks + static_cast<std::size_t>(fly));
    }
    bench.window().showStation(Station::balance);
    for (int search = 0; search < 2; ++search) {
        auto* found = bench.find<QLabel>("found");
        found->clear();
        press(Qt::Key_F5);
        CHECK(waitFor([&] { return !found->text().isEmpty(); }));
        CHECK_FALSE(found->text().isEmpty());
        CHECK(waitFor([&] { return bench.find<QToolButton>("find")->text() != QLatin1String("Stop"); }));
    }
    bench.window().showStation(Station::drift);
    auto* play = bench.find<QToolButton>("play");
    bench.window().setFocus();
    const QString still = play->text();
    press(Qt::Key_Space);
    CHECK(play->text() != still);
    press(Qt::Key_Space);
    CHECK(play->text() == still);
}

TEST_CASE("a year by keys alone: a dressing, its team, the day's water, an evening, the vice, the check and the day on the water") {
    At bench(Station::water);
    MainWindow& window = bench.window();
    const auto book = [&]() -> const Book& { return bench.document().book(); };
    // A dressing from its kind, out of the drawers, and a name.
    press(Qt::Key_1, Qt::ControlModifier);
    const std::size_t dressings = book().patterns.size();
    tabTo(window, "start-kind");
    press(Qt::Key_Space);
    write(QStringLiteral("spider"));
    press(Qt::Key_Return);
    REQUIRE(book().patterns.size() == dressings + 1);
    const DressingId id = book().patterns.back().id;
    // Its collar a tenth longer by the handle on the drawing.
    tabTo(window, "fly");
    const Plan before = *bench.document().plan();
    auto* fly = bench.fly();
    const auto tip = std::ranges::find(fly->handles(), Grab::hackleTip, &Handle::grab);
    REQUIRE(tip != fly->handles().end());
    for (auto at = fly->handles().begin(); at <= tip; ++at)
        press(Qt::Key_Tab);
    press(Qt::Key_Right);
    CHECK_FALSE(*book().findPattern(id) == before.pattern);
    // The water: two degrees colder, the drogue out.
    press(Qt::Key_7, Qt::ControlModifier);
    tabTo(window, "scale-celsius");
    write(QStringLiteral("10"));
    press(Qt::Key_Return);
    CHECK(bench.document().water()->celsius == 10.0);
    tabTo(window, "day-picker");
    for (int i = 0; i < 7; ++i)
        press(Qt::Key_Right);
    press(Qt::Key_Space);
    CHECK(bench.document().water()->drogue == true);
    // An evening: six of it.
    press(Qt::Key_8, Qt::ControlModifier);
    const std::size_t batches = book().batches.size();
    tabTo(window, "wanted");
    press(Qt::Key_A, Qt::ControlModifier);
    write(QStringLiteral("6"));
    tabTo(window, "add-batch");
    press(Qt::Key_Space);
    REQUIRE(book().batches.size() == batches + 1);
    CHECK(book().batches.back().pattern == id);
    CHECK(book().batches.back().wanted == 6);
    // At the vice, step by step.
    press(Qt::Key_3, Qt::ControlModifier);
    auto* tie = bench.find<TieStation>("tie");
    const int steps = static_cast<int>(tie->steps().size());
    for (int i = 1; i < steps; ++i)
        press(Qt::Key_Space);
    CHECK(tie->step() == steps - 1);
    // Measured: the first part as it came out.
    press(Qt::Key_4, Qt::ControlModifier);
    const std::size_t checks = book().checks.size();
    tabTo(window, "typed");
    press(Qt::Key_A, Qt::ControlModifier);
    write(QStringLiteral("9.1"));
    press(Qt::Key_Return);
    press(Qt::Key_Return, Qt::ControlModifier);
    INFO(bench.text("check-said").toStdString() << bench.text("asked").toStdString());
    REQUIRE(book().checks.size() == checks + 1);
    CHECK(book().checks.back().pattern == id);
    // A day on the water and its fish.
    press(Qt::Key_9, Qt::ControlModifier);
    tabTo(window, "date");
    press(Qt::Key_A, Qt::ControlModifier);
    write(QStringLiteral("2026-09-12"));
    tabTo(window, "add-day");
    press(Qt::Key_Space);
    const auto day = [&] { return std::ranges::find(book().days, "2026-09-12", &Day::id); };
    REQUIRE(day() != book().days.end());
    tabTo(window, "daybook");
    press(Qt::Key_B);
    press(Qt::Key_R);
    press(Qt::Key_Return);
    CHECK(day()->fish.size() == 1);
    // A thing in the drawers says one thing more.
    press(Qt::Key_0, Qt::ControlModifier);
    tabTo(window, "drawer-tray");
    press(Qt::Key_Home);
    tabTo(window, "record-name");
    press(Qt::Key_A, Qt::ControlModifier);
    write(QStringLiteral("Of a keyboard"));
    press(Qt::Key_Return);
    CHECK(std::ranges::any_of(book().hooks, [](const HookSpec& hook) { return hook.name == "Of a keyboard"; }));
    // And all of it is kept.
    const Book worked = book();
    bench.restart();
    CHECK(bench.document().book() == worked);
}
