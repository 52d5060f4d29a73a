// The window under attack: readings for somebody else, signals between two states, texts that are mark-up, files that are
// none, exceptions in slots, sockets that flood.
#include <sys/stat.h>
#include <QBuffer>
#include <QComboBox>
#include <QDir>
#include <QFile>
#include <QImageReader>
#include <QLineEdit>
#include <QListWidget>
#include <QLocalServer>
#include <QLocalSocket>
#include <QPlainTextEdit>
#include <QStandardPaths>
#include <QTextDocument>
#include <QTimer>
#include <QToolTip>

#include "book/edits.h"
#include "book/record_edits.h"
#include "check/check_station.h"
#include "daybook/photo_strip.h"
#include "devices/line_socket.h"
#include "drawers/drawers_station.h"
#include "editing/background.h"
#include "editing/read_picture.h"
#include "evening/evening_station.h"
#include "evening/timeline_view.h"
#include "store/bench_book.h"
#include "store/copies.h"
#include "tests/app/at.h"
#include "tests/app/peer.h"
#include "tie/tie_station.h"
#include "water/shore.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

namespace {

// A calliper that says what it is told to.
class Told : public devices::Calliper {
  public:
    void connectNow() override {}
    devices::CalliperState state() const override { return devices::CalliperState::ready; }
};

Told* tellCalliper(MainWindow& window) {
    auto calliper = std::make_unique<Told>();
    Told* told = calliper.get();
    window.devices().useCalliper(std::move(calliper));
    return told;
}

QByteArray jpegOf(int side) {
    QImage image(side, side, QImage::Format_RGB32);
    image.fill(Qt::darkGreen);
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    REQUIRE(image.save(&buffer, "JPG"));
    return bytes;
}

QString written(Bench& bench, const char* name, const QByteArray& bytes) {
    QFile file(bench.path(name));
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(bytes);
    return file.fileName();
}

}  // namespace

TEST_CASE("a measurement at Check is Check's, though the cursor was left in a hook's gape") {
    Bench bench;
    Told* calliper = tellCalliper(bench.window());
    bench.window().showStation(Station::drawers);
    bench.window().drawers().open(Drawer::hooks);
    bench.window().drawers().choose("wet-10");
    auto* gape = bench.find<QLineEdit>("record-measured.gape_mm");
    gape->setFocus();
    QTest::keyClick(gape, Qt::Key_Home);
    const Book before = bench.document().book();
    bench.window().showStation(Station::check);
    emit calliper->read(11.4);
    CHECK(bench.document().book().hooks == before.hooks);
    CHECK(bench.find<CheckStation>("check")->current() == 1);
    CHECK(bench.text("reading").contains(QStringLiteral("11.4")));
    // Where nobody asks, it is said and nothing happens.
    bench.window().showStation(Station::balance);
    emit calliper->read(9.9);
    CHECK(bench.document().book() == before);
    CHECK(bench.text("quiet").contains(QStringLiteral("9.90 mm")));
    // And the cursor's own reading still arrives.
    bench.window().showStation(Station::drawers);
    gape = bench.find<QLineEdit>("record-measured.gape_mm");
    gape->setFocus();
    QTest::keyClick(gape, Qt::Key_Home);
    emit calliper->read(5.7);
    CHECK(*bench.document().book().findHook("wet-10")->measured->gape == 5.7 * mm);
}

TEST_CASE("the house says what each device said last, rubbish too") {
    Bench bench;
    Told* calliper = tellCalliper(bench.window());
    bench.find<QAction>("house-wanted")->trigger();
    CHECK_FALSE(bench.text("house-devices").contains(QStringLiteral("said")));
    emit calliper->read(11.4);
    CHECK(bench.text("house-devices").contains(QStringLiteral("said 11.40 mm at ")));
    emit calliper->rubbish(QStringLiteral("<b>what</b>"));
    CHECK(bench.text("house-devices").contains(QStringLiteral("said what means nothing: \"<b>what</b>\" at ")));
}

TEST_CASE("the window is left with every device connected, and nothing is touched afterwards") {
    Peer calliper("machair-calliper"), weather("machair-weather"), pedal("machair-pedal"), camera("machair-camera");
    {
        Bench bench;
        for (const Station station : {Station::check, Station::tie, Station::water, Station::drawers})
            bench.window().showStation(station);
        bench.window().devices().connectNow();
        REQUIRE(waitFor([&] {
            return bench.window().devices().calliperReady() && bench.window().devices().cameraReady() &&
                   bench.window().devices().weatherReady();
        }));
        calliper.say("7.1\n");
        weather.say("wind 4 from 200\n");
        pedal.say("on\n");
        camera.say("/nowhere\n");
    }
    QApplication::processEvents();
}

TEST_CASE("what is typed and not entered when the window is left is kept, and nothing is touched afterwards") {
    Bench bench;
    bench.window().showStation(Station::balance);
    QTest::mouseClick(bench.find<QToolButton>("leader-open"), Qt::LeftButton);
    auto* dropper = bench.find<QLineEdit>("leader-dropper_m");
    REQUIRE(QTest::qWaitFor([&] { return dropper->isVisible(); }));
    dropper->setFocus();
    dropper->selectAll();
    QTest::keyClicks(dropper, QStringLiteral("0.17"));
    const std::string team = bench.document().team()->id;
    bench.restart();
    REQUIRE(bench.document().book().findTeam(TeamId(team))->leader);
    CHECK(*bench.document().book().findTeam(TeamId(team))->leader->dropper / metre == Approx(0.17));
    // And where the window goes without being closed.
    bench.window().showStation(Station::drawers);
    bench.window().drawers().open(Drawer::hooks);
    bench.window().drawers().choose("wet-10");
    auto* name = bench.find<QLineEdit>("record-name");
    name->setFocus();
    QTest::keyClicks(name, QStringLiteral(" mine"));
    bench.leave();
    const std::string kept = bench.kept().findHook("wet-10")->name.value_or("");
    CHECK(kept.ends_with(" mine"));
}

TEST_CASE("what is thrown in a slot is said, and the window and its book live on") {
    Bench bench;
    const Book before = bench.document().book();
    QTimer::singleShot(0, &bench.window(), [] { throw std::runtime_error("json.exception.type_error.316"); });
    REQUIRE(waitFor([&] { return bench.text("quiet").contains(QStringLiteral("could not do that")); }));
    CHECK_FALSE(bench.text("quiet").contains(QStringLiteral("json")));
    QTimer::singleShot(0, &bench.window(), [] { throw std::bad_alloc(); });
    REQUIRE(waitFor([&] { return bench.text("quiet").contains(QStringLiteral("memory")); }));
    CHECK(bench.document().book() == before);
    // Words that are no UTF-8 can't be kept: a refusal, and the book is as it was.
    Book broken = before;
    broken.patterns.front().note = "h\xe9ron";
    const Faults faults = bench.document().apply(Edit{"broken", broken});
    REQUIRE_FALSE(faults.empty());
    CHECK(faults.front().what.find("json") == std::string::npos);
    CHECK(bench.document().book() == before);
    CHECK(bench.kept() == before);
    // In the background too.
    Background work(bench.document());
    bool failed = false;
    QObject::connect(&work, &Background::failed, &work, [&] { failed = true; });
    work.start([](const std::stop_token&, const Background::Progress&) -> int { throw std::runtime_error("solver"); }, [](int) {});
    REQUIRE(waitFor([&] { return failed; }));
    CHECK(bench.text("quiet").contains(QStringLiteral("could not be worked out")));
    CHECK_FALSE(work.running());
}

TEST_CASE("a table in Latin-1 is taken in by the window and told") {
    Bench bench;
    bench.window().showStation(Station::drawers);
    const QString csv = written(bench, "feathers.csv", "id,kind,name\nheron,hackle,h\xe9ron gris\n");
    CHECK(bench.window().drawers().importFrom(csv));
    CHECK(bench.document().book().findMaterial("heron")->title() == "héron gris");
    CHECK(bench.text("drawer-said").contains(QStringLiteral("Windows-1252")));
    CHECK(bench.kept() == bench.document().book());
}

TEST_CASE("a book that failed to open is not opened by itself the next time") {
    qputenv("XDG_DATA_HOME", QFileInfo(QDir::temp().filePath(QStringLiteral("machair-attack-data"))).absoluteFilePath().toUtf8());
    Bench bench;
    QFile file(bench.file());
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("not a book");
    file.close();
    bench.restart();  // its last book is broken: said at the doors, and nothing is opened
    CHECK_FALSE(bench.document().isOpen());
    CHECK(bench.find<QWidget>("doors")->isVisible());
    CHECK(bench.text("doors-refused").contains(QStringLiteral("skerrin.machair.json")));
    bench.restart();
    CHECK(bench.find<QWidget>("doors")->isVisible());
    CHECK(bench.text("doors-refused").isEmpty());
    QDir(QDir::temp().filePath(QStringLiteral("machair-attack-data"))).removeRecursively();
    qunsetenv("XDG_DATA_HOME");
}

TEST_CASE("parts that go away under Check, Tie and Evening leave no view with half of a state") {
    Bench bench;
    const auto wholeFly = [&] { return bench.document().plan()->parts.size(); };
    for (const Station station : {Station::check, Station::tie}) {
        CAPTURE(static_cast<int>(station));
        bench.window().showStation(station);
        QApplication::processEvents();
        if (station == Station::tie) bench.find<TieStation>("tie")->go(1000);  // the last step
        bench.window().showStation(Station::plan);                             // unseen it learns nothing
        const std::size_t parts = wholeFly();
        bench.document().refuse(bench.document().apply(removePart(bench.document().book(), bench.document().pattern()->id, parts - 1)));
        bench.document().choosePattern("rush-piper");
        bench.window().theme().light(drawing::Bench::slate);
        bench.window().resize(1100, 760);
        bench.window().showStation(station);
        QApplication::processEvents();
        bench.document().undoStack().undo();
        bench.window().resize(1280, 800);
        bench.window().theme().light(drawing::Bench::sand);
        bench.document().choosePattern("kelp-lantern");
        QApplication::processEvents();
        bench.window().grab();
    }
    // A part measured and undone away while Check is seen.
    bench.window().showStation(Station::check);
    bench.document().refuse(bench.document().apply(addPart(bench.document().book(), "kelp-lantern", PartKind::throat)));
    auto* measured = bench.find<QListWidget>("measured");
    measured->setCurrentRow(measured->count() - 1);
    bench.document().undoStack().undo();
    bench.find<CheckStation>("check")->takeLength(7.0);
    bench.window().grab();
    // A timetable over jobs that are gone.
    bench.window().showStation(Station::evening);
    auto* timeline = bench.find<TimelineView>("timeline");
    bench.document().refuse(bench.document().apply(addBatch(bench.document().book(), "rush-piper", 3)));
    REQUIRE(waitFor([&] { return bench.text("evening-said").contains(QStringLiteral("Hands free")); }));
    Book none = bench.document().book();
    none.batches.clear();
    bench.document().refuse(bench.document().apply(Edit{"no batches", none}));
    emit timeline->moved(2, 0);
    bench.find<QComboBox>("way")->setCurrentIndex(3);
    QApplication::processEvents();
    bench.window().grab();
}

TEST_CASE("texts of a book are texts: nothing they say is mark-up anywhere in the window") {
    Bench bench;
    const QString pipe = bench.path("pipe");
    REQUIRE(::mkfifo(pipe.toLocal8Bit().constData(), 0600) == 0);
    const std::string evil = "<img src=\"" + pipe.toStdString() + "\"><b>bold</b>";
    Book book = bench.document().book();
    for (Pattern& pattern : book.patterns)
        pattern.name = evil, pattern.note = evil;
    for (Material& material : book.materials)
        material.name = evil, material.note = evil;
    for (HookSpec& hook : book.hooks)
        hook.name = evil;
    for (TeamSpec& team : book.teams)
        team.name = evil, team.note = evil;
    for (WaterSpec& water : book.waters)
        water.name = evil;
    for (RuleCard& card : book.ruleCards)
        card.name = evil, card.source = evil;
    for (SeasonRow& row : book.season)
        row.creature = evil, row.note = evil;
    for (Batch& batch : book.batches)
        batch.note = evil;
    for (Day& day : book.days)
        day.note = evil;
    bench.document().refuse(bench.document().apply(Edit{evil, book}));
    int labels = 0;
    for (const auto& entry : Names<Station>::entries) {
        bench.window().showStation(entry.value);
        QApplication::processEvents();
        bench.window().grab();
        for (const QLabel* label : bench.window().findChildren<QLabel*>()) {
            ++labels;
            if (label->textFormat() == Qt::PlainText) continue;
            CAPTURE(label->objectName(), label->text());
            CHECK_FALSE(Qt::mightBeRichText(label->text()));
        }
    }
    CHECK(labels > 200);
    // A tip as Qt shows it.
    QToolTip::showText(QPoint(10, 10), QString::fromStdString(evil));
    QLabel* tip = nullptr;
    for (QWidget* widget : QApplication::topLevelWidgets())
        if (widget->inherits("QTipLabel")) tip = static_cast<QLabel*>(widget);
    REQUIRE(tip != nullptr);
    CHECK(tip->textFormat() == Qt::PlainText);
    QToolTip::hideText();
}

TEST_CASE("pictures are whole ordinary files, and those outside the book's folder are asked for first") {
    Bench bench;
    const QByteArray whole = jpegOf(400);
    const QString good = written(bench, "good.jpg", whole), half = written(bench, "half.jpg", whole.left(whole.size() / 2)),
                  none = written(bench, "none.jpg", "not a picture");
    const QString pipe = bench.path("pipe.jpg");
    REQUIRE(::mkfifo(pipe.toLocal8Bit().constData(), 0600) == 0);
    CHECK(readPicture(good, 1'000'000).value().size() == QSize(400, 400));
    CHECK(readPicture(good, 10'000).value().width() <= 100);  // read smaller
    CHECK(readPicture(half, 1'000'000).error().front().what.find("first part") != std::string::npos);
    for (const QString& bad : {none, pipe, QStringLiteral("/dev/zero"), bench.path("missing.jpg")})
        CHECK_FALSE(readPicture(bad, 1'000'000));
    CHECK_FALSE(pictureKinds().contains(QStringLiteral("*.tif")) != QImageReader::supportedImageFormats().contains("tif"));

    bench.window().showStation(Station::daybook);
    QTemporaryDir elsewhere;
    const QString far = elsewhere.filePath(QStringLiteral("far.jpg"));
    QFile::copy(good, far);
    auto* strip = bench.find<PhotoStrip>("day-photos");
    strip->show({good.toStdString(), far.toStdString()});
    REQUIRE(waitFor([&] { return strip->pictures() == 1; }));
    auto* ask = bench.find<QToolButton>("show-photos");
    CHECK(ask->isVisibleTo(strip));
    QTest::mouseClick(ask, Qt::LeftButton);
    REQUIRE(waitFor([&] { return strip->pictures() == 2; }));
    CHECK_FALSE(ask->isVisibleTo(strip));
}

TEST_CASE("a stuck pedal can't hold the window, and is said once") {
    Peer pedal("machair-pedal");
    At bench(Station::tie);
    bench.window().devices().connectNow();
    int said = 0;
    QObject::connect(&bench.window().devices(), &devices::Hub::flooded, &bench.window(), [&] { ++said; });
    const int before = bench.find<TieStation>("tie")->step();
    QByteArray flood;
    for (int i = 0; i < 20'000; ++i)
        flood += i % 2 == 0 ? "on\n" : "back\n";
    pedal.say(flood);
    REQUIRE(waitFor([&] { return said >= 1; }));
    bool turned = false;  // the window's own turn comes all the while
    QTimer::singleShot(0, &bench.window(), [&] { turned = true; });
    REQUIRE(waitFor([&] { return turned; }));
    CHECK(said < 5);  // of thousands of lines: again only after a second of quiet
    CHECK(std::abs(bench.find<TieStation>("tie")->step() - before) <= 60);
}

TEST_CASE("sockets lie in a folder of the user's own") {
    const QString path = devices::socketPath(QStringLiteral("machair-calliper"));
    CHECK(path.startsWith(QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation) + QStringLiteral("/machair/")));
    struct stat status {};
    REQUIRE(::stat(QFileInfo(path).path().toLocal8Bit().constData(), &status) == 0);
    CHECK((status.st_mode & 0777) == 0700);
    // A folder that others may write to is not one's own.
    QTemporaryDir open;
    const QByteArray was = qgetenv("XDG_RUNTIME_DIR");
    QDir(open.path()).mkdir(QStringLiteral("machair"));
    ::chmod(open.filePath(QStringLiteral("machair")).toLocal8Bit().constData(), 0777);
    ::chmod(open.path().toLocal8Bit().constData(), 0700);
    qputenv("XDG_RUNTIME_DIR", open.path().toLocal8Bit());
    CHECK(devices::socketPath(QStringLiteral("machair-calliper")).isEmpty());
    qputenv("XDG_RUNTIME_DIR", was);
}

TEST_CASE("a damaged book opens with what is whole, says what is not, and is mended from its copy in the window") {
    Bench bench;
    const QString path = bench.path("b.machair");
    REQUIRE(bench.window().keepCopy(path));
    REQUIRE(bench.window().openFile(path));
    bench.document().refuse(bench.document().apply(changePatternField(bench.document().book(), "rush-piper", "note", "before")));
    const Book book = bench.document().book();
    REQUIRE(bench.window().openFile(bench.file()));  // lets go of it
    {
        QFile file(path);  // bits of a day's text flip
        REQUIRE(file.open(QIODevice::ReadWrite));
        QByteArray bytes = file.readAll();
        const auto at = bytes.indexOf("\"rods\":1,");
        REQUIRE(at > 0);
        file.seek(at + 7);
        file.write("3");
    }
    REQUIRE(bench.window().openFile(path));
    CHECK(bench.find<QWidget>("fault-sheet")->isVisible());
    CHECK(bench.find<QPlainTextEdit>("fault-list")->toPlainText().contains(QStringLiteral("checksum")));
    CHECK(bench.document().book().days.size() + 1 == book.days.size());
    QTest::mouseClick(bench.find<QWidget>("fault-mend"), Qt::LeftButton);
    CHECK(bench.document().book().days == book.days);
    CHECK_FALSE(bench.find<QWidget>("fault-sheet")->isVisible());
    // And all of it back to the copy, as one step that can be undone.
    const auto copies = store::copiesOf(path.toStdString());
    REQUIRE_FALSE(copies.empty());
    CHECK(bench.document().restore(copies.back().path).empty());
    CHECK(bench.document().book().findPattern("rush-piper")->note != book.findPattern("rush-piper")->note);
    bench.document().undoStack().undo();
    CHECK(bench.document().book() == book);
}

TEST_CASE("a shore of twenty thousand corners is looked at, and one that crosses itself is named") {
    std::vector<MapPoint> shore;
    constexpr int kCorners = 20'000;
    for (int i = 0; i < kCorners; ++i) {
        const double turn = 2.0 * 3.14159265358979 * i / kCorners, far = 800.0 + 60.0 * std::sin(37.0 * turn);
        shore.push_back({far * std::cos(turn) * metre, far * std::sin(turn) * metre});
    }
    CHECK(checkOutline(shore).empty());
    std::swap(shore[5000], shore[5001]);
    const Faults faults = checkOutline(shore);
    REQUIRE(faults.size() == 1);
    CHECK(faults.front().place.text() == "[5001]");
    shore.resize(kMostCorners + 1, shore.front());
    CHECK_FALSE(checkOutline(shore).empty());
}

TEST_CASE("nothing is kept that could not be read again: a spool used up is none, a number out of its limits is refused") {
    Bench bench;
    Book book = bench.document().book();
    book.stock.push_back(Stock{"used-up", book.materials.front().id, 0.0 * metre, {}, {}, {}, {}});
    CHECK(bench.document().apply(Edit{"a spool used up", book}).empty());
    CHECK(bench.kept() == book);
    Book wrong = book;
    wrong.stock.back().length = -1.0 * metre;
    const Faults faults = bench.document().apply(Edit{"less than nothing", wrong});
    REQUIRE_FALSE(faults.empty());
    CHECK(faults.front().what.find("a length from 0 to 1000 m") != std::string::npos);
    CHECK(bench.document().book() == book);
    CHECK(bench.kept() == book);
}
