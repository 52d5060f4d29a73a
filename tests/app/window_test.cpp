#include "tests/app/window.h"

#include <QComboBox>
#include <QFile>
#include <QMenu>
#include <QPlainTextEdit>
#include <QShortcut>
#include <QSpinBox>
#include <QSplitter>
#include <QTimer>
#include <QToolButton>
#include <map>

using namespace machair;
using namespace machair::app;
using machair::app::tests::Bench;

TEST_CASE("a click on a fly in the cast puts it on the bench") {
    Bench bench;
    CHECK(bench.document().pattern()->id == "kelp-lantern");
    bench.clickFly(Position::point);
    CHECK(bench.document().pattern()->id == "rush-piper");
    CHECK(bench.find<QToolButton>("dressings")->text() == QStringLiteral("Rush Piper"));
    QTest::keyClick(&bench.window(), Qt::Key_2, Qt::AltModifier);
    CHECK(bench.document().pattern()->id == "heather-tinker");
}

TEST_CASE("the flies hang as deep as they sink, the fastest deepest") {
    Bench bench;
    CHECK(bench.cast()->eyeDepth(Position::bob) < bench.cast()->eyeDepth(Position::middle));
    CHECK(bench.cast()->eyeDepth(Position::middle) < bench.cast()->eyeDepth(Position::point));
    bench.document().chooseTeam("first-evening");
    CHECK(bench.cast()->eyeDepth(Position::bob) > bench.cast()->eyeDepth(Position::point));
    CHECK(bench.text("verdict").contains(QStringLiteral("not a team yet")));
}

TEST_CASE("another hook re-sizes the whole dressing at once, with the ghost of the last, and undo brings it back") {
    Bench bench;
    const QString tail = bench.text("headline-0");
    const double before = bench.cast()->eyeDepth(Position::point);
    bench.pick("hooks", QStringLiteral("wet 12"));
    CHECK(bench.document().pattern()->hook == "wet-12");
    CHECK(bench.text("headline-0") != tail);
    CHECK(bench.fly()->showsGhost());
    CHECK(bench.text("quiet").contains(QStringLiteral("Tail")));
    CHECK(bench.cast()->eyeDepth(Position::point) == before);
    QTest::keyClick(bench.fly(), Qt::Key_Escape);
    CHECK_FALSE(bench.fly()->showsGhost());
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.document().pattern()->hook == "wet-10");
    CHECK(bench.text("headline-0") == tail);
    CHECK(bench.text("quiet").startsWith(QStringLiteral("Undone")));
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK(bench.document().pattern()->hook == "wet-12");
}

TEST_CASE("size and wire move the hook, and the team's slope with it") {
    Bench bench;
    bench.clickFly(Position::point);
    const double sank = bench.document().teamReport()->flies[2].sink.sinkRate / metrePerSecond;
    auto* size = bench.find<QSpinBox>("hook-size");
    QTest::keyClick(size, Qt::Key_Down);  // two sizes larger
    CHECK(bench.document().plan()->hook.size() == 8);
    auto* wire = bench.find<QComboBox>("hook-wire");
    wire->setFocus();
    QTest::keyClick(wire, Qt::Key_Down);
    CHECK(bench.document().plan()->hook.spec().heavier == 1);
    CHECK(bench.document().teamReport()->flies[2].sink.sinkRate / metrePerSecond > sank);
}

TEST_CASE("every edit is on the disk when the quiet line says it") {
    Bench bench;
    QTest::keyClick(bench.find<QSpinBox>("hook-size"), Qt::Key_Up);
    CHECK(bench.kept() == bench.document().book());
    CHECK(bench.kept().findPattern("kelp-lantern")->hook != "wet-10");
}

TEST_CASE("an edit that can't be kept is said, and kept again when it can") {
    Bench bench;
    const QString folder = QFileInfo(bench.file()).path();
    const auto opened = bench.document().path();
    QDir(folder).mkpath(QStringLiteral(".skerrin.machair.json.lock/x"));  // nobody can hold the writers' lock now
    QTest::keyClick(bench.find<QSpinBox>("hook-size"), Qt::Key_Up);
    CHECK(bench.text("not-kept").startsWith(QStringLiteral("Not kept")));
    CHECK(bench.find<QLabel>("not-kept")->isVisible());
    QDir(folder + QStringLiteral("/.skerrin.machair.json.lock")).removeRecursively();
    bench.document().tend();  // as the window does every second or two
    CHECK_FALSE(bench.find<QLabel>("not-kept")->isVisible());
    CHECK(bench.kept() == bench.document().book());
}

TEST_CASE("a broken file shows its faults in place and leaves the open book alone") {
    Bench bench;
    QFile broken(bench.path("broken.machair.json"));
    REQUIRE(broken.open(QIODevice::WriteOnly));
    broken.write(
        R"({"format": "machair-bench", "version": 1, "hooks": [{"id": "a", "size": 40}, {"id": "b", "size": 10, "family": "square"}]})");
    broken.close();
    const Book before = bench.document().book();
    CHECK_FALSE(bench.window().openFile(broken.fileName()));
    const QString faults = bench.find<QPlainTextEdit>("fault-list")->toPlainText();
    CHECK(faults.contains(QStringLiteral("hooks[0].size")));
    CHECK(faults.contains(QStringLiteral("hooks[1].family")));
    CHECK(bench.find<QWidget>("fault-sheet")->isVisible());
    CHECK(bench.document().book() == before);
    QTest::mouseClick(bench.find<QWidget>("fault-dismiss"), Qt::LeftButton);
    CHECK_FALSE(bench.find<QWidget>("fault-sheet")->isVisible());
    for (const QString& bad : {bench.path("no-such.machair.json"), QFileInfo(bench.file()).path(), QStringLiteral("/dev/null")}) {
        CHECK_FALSE(bench.window().openFile(bad));
        CHECK(bench.document().book() == before);
    }
}

TEST_CASE("what was open, where, and the window's layout come back at the next start") {
    Bench bench;
    bench.document().chooseTeam("first-evening");
    bench.document().choosePattern("dune-bell");
    bench.document().chooseWater(bench.document().book().waters.back().id);
    bench.window().resize(1180, 760);
    bench.find<QSplitter>("plan-splitter")->setSizes({700, 470});
    const QList<int> sizes = bench.find<QSplitter>("plan-splitter")->sizes();
    QTest::mouseClick(bench.find<QToolButton>("bench"), Qt::LeftButton);
    bench.restart();
    CHECK(bench.document().path() == std::filesystem::path(bench.file().toStdString()));
    CHECK(bench.document().team()->id == "first-evening");
    CHECK(bench.document().pattern()->id == "dune-bell");
    CHECK(bench.document().water()->id == bench.document().book().waters.back().id);
    CHECK(bench.window().size() == QSize(1180, 760));
    CHECK(bench.find<QSplitter>("plan-splitter")->sizes() == sizes);
    CHECK(bench.window().theme().bench() == machair::drawing::Bench::slate);
}

TEST_CASE("a book that went away is said at the next start, at the doors") {
    qputenv("XDG_DATA_HOME", QFileInfo(QDir::temp().filePath(QStringLiteral("machair-test-data"))).absoluteFilePath().toUtf8());
    Bench bench;
    QFile::remove(bench.file());
    bench.window().keepSettings();
    bench.restart();
    CHECK_FALSE(bench.document().isOpen());
    CHECK(bench.find<QWidget>("doors")->isVisible());
    CHECK(bench.text("doors-refused").contains(QStringLiteral("skerrin.machair.json")));
    QTest::mouseClick(bench.find<QAbstractButton>("door-demo"), Qt::LeftButton);
    CHECK(bench.document().isOpen());
    CHECK(bench.document().book().teams.size() == 2);
    QDir(QDir::temp().filePath(QStringLiteral("machair-test-data"))).removeRecursively();
    qunsetenv("XDG_DATA_HOME");
}

TEST_CASE("an empty book is a window that says what to do, not a crash") {
    Bench bench;
    QFile empty(bench.path("empty.machair.json"));
    REQUIRE(empty.open(QIODevice::WriteOnly));
    empty.write(R"({"format": "machair-bench", "version": 1})");
    empty.close();
    REQUIRE(bench.window().openFile(empty.fileName()));
    bench.window().grab();
    CHECK(bench.document().pattern() == nullptr);
    QTest::keyClick(&bench.window(), Qt::Key_1, Qt::AltModifier);
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
}

TEST_CASE("no key of a station means two things") {
    Bench bench;
    for (const auto& entry : Names<Station>::entries) {
        bench.window().showStation(entry.value);
        QApplication::processEvents();
        std::map<QString, QString> keys;
        const auto add = [&](const QKeySequence& key, const QString& what) {
            if (key.isEmpty()) return;
            const auto [at, fresh] = keys.emplace(key.toString(), what);
            INFO(entry.name << ", " << key.toString().toStdString() << ": " << at->second.toStdString() << " and " << what.toStdString());
            CHECK(fresh);
        };
        for (const QShortcut* one : bench.window().findChildren<QShortcut*>())
            if (const auto* of = qobject_cast<QWidget*>(one->parent()); of && of->isVisible())
                add(one->key(), QStringLiteral("a shortcut of ") + of->objectName());
        for (const QAbstractButton* button : bench.window().findChildren<QAbstractButton*>())
            if (button->isVisible()) add(button->shortcut(), button->objectName() + QLatin1Char(' ') + button->text());
    }
}

TEST_CASE("Alt+D and Alt+B open the menus that they name") {
    for (const auto& [key, name] : {std::pair{Qt::Key_D, "dressing"}, std::pair{Qt::Key_B, "book"}}) {
        INFO(name);
        const char* const button = name;
        Bench bench;
        bool opened = false;
        QTimer look;
        QObject::connect(&look, &QTimer::timeout, [&] {  // an open menu has a loop of its own
            if (QWidget* menu = QApplication::activePopupWidget()) {
                opened = menu == bench.find<QToolButton>(button)->menu();
                menu->close();
            }
        });
        look.start(20);
        QTest::keyClick(&bench.window(), key, Qt::AltModifier);
        CHECK(QTest::qWaitFor([&] { return opened; }, 2000));
    }
}
