// From an empty home, by keyboard and mouse: a book of one's own, its first evening, its things, its days, and what is shared of it.
#include <QAction>
#include <QComboBox>
#include <QDropEvent>
#include <QFile>
#include <QListWidget>
#include <QMimeData>
#include <QScrollBar>
#include <QSlider>
#include <QTextBlock>
#include <QTextBrowser>
#include <QToolButton>

#include "daybook/day_page.h"
#include "drawers/drawers_station.h"
#include "frame/doors.h"
#include "frame/first_evening.h"
#include "frame/guide_view.h"
#include "frame/handing_out.h"
#include "frame/house.h"
#include "parts/chooser.h"
#include "parts/record_sheet.h"
#include "tests/app/at.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

namespace {

// A window on a home with nothing in it.
class NewHome {
  public:
    NewHome() {
        loadFace();
        qputenv("XDG_DATA_HOME", folder_.path().toUtf8());
        settings_ = std::make_unique<QSettings>(folder_.filePath(QStringLiteral("settings.ini")), QSettings::IniFormat);
        start();
    }
    ~NewHome() {
        window_.reset();
        qunsetenv("XDG_DATA_HOME");
    }
    void start() {
        window_.reset();
        window_ = std::make_unique<MainWindow>(*settings_);
        window_->resize(1280, 800);
        window_->openLast();
        window_->show();
        window_->activateWindow();
        REQUIRE(QTest::qWaitForWindowActive(window_.get()));
    }
    void restart() {
        window_->close();
        start();
    }
    void begin(const QString& name) {
        auto* field = find<QLineEdit>("book-name");
        field->setFocus();
        QTest::keyClicks(field, name);
        QTest::keyClick(field, Qt::Key_Return);
    }
    MainWindow& window() { return *window_; }
    Document& document() { return window_->document(); }
    const Book& book() { return document().book(); }
    template <class Widget>
    Widget* find(const char* name) {
        auto* widget = window_->findChild<Widget*>(QString::fromLatin1(name));
        INFO(name);
        REQUIRE(widget != nullptr);
        return widget;
    }
    void click(const char* button) { QTest::mouseClick(find<QAbstractButton>(button), Qt::LeftButton); }
    void trigger(const char* action) { find<QAction>(action)->trigger(); }
    QString text(const char* label) { return find<QLabel>(label)->text(); }
    void type(const char* field, const QString& words) {
        auto* line = find<QLineEdit>(field);
        line->setFocus();
        line->selectAll();
        QTest::keyClicks(line, words);
        QTest::keyClick(line, Qt::Key_Return);
    }
    void pick(const QString& letters) {
        auto* search = find<QLineEdit>("chooser-search");
        QTest::keyClicks(search, letters);
        QTest::keyClick(search, Qt::Key_Return);
    }
    void pickOn(const char* button, const QString& letters) {
        QApplication::processEvents();
        click(button);
        pick(letters);
    }
    DrawersStation& drawer(Drawer which) {
        window().showStation(Station::drawers);
        window().drawers().open(which);
        QApplication::processEvents();
        return window().drawers();
    }
    void startOne(const char* kind, const QString& name) {
        window().showStation(Station::plan);
        trigger(kind);
        trigger("rename");
        type("dressing-name", name);
        REQUIRE(document().pattern()->title() == name.toStdString());
    }
    [[nodiscard]] QString path(const char* name) const { return folder_.filePath(QString::fromLatin1(name)); }

  private:
    QTemporaryDir folder_;
    std::unique_ptr<QSettings> settings_;
    std::unique_ptr<MainWindow> window_;
};

}  // namespace

TEST_CASE("with no book there are three doors, and a book of one's own begins with the usual drawers") {
    NewHome home;
    CHECK(home.find<Doors>("doors")->isVisible());
    CHECK_FALSE(home.document().isOpen());
    home.begin(QStringLiteral("   "));
    CHECK(home.text("doors-refused").contains(QStringLiteral("name")));
    home.find<QLineEdit>("book-name")->clear();
    home.begin(QStringLiteral("Mo leabhar / 2026"));
    REQUIRE(home.document().isOpen());
    CHECK_FALSE(home.find<Doors>("doors")->isVisible());
    CHECK(home.book().materials.size() + home.book().hooks.size() >= 150);
    CHECK(home.book().patterns.empty());
    home.restart();
    CHECK_FALSE(home.find<Doors>("doors")->isVisible());
    CHECK(home.book().materials.size() >= 100);
    // The doors again, with the book behind them; a name that is taken is refused.
    home.trigger("doors-wanted");
    CHECK(home.find<Doors>("doors")->isVisible());
    CHECK(home.window().findChildren<DoorButton*>(QStringLiteral("recent")).size() == 1);
    home.begin(QStringLiteral("Mo leabhar / 2026"));
    CHECK(home.text("doors-refused").contains(QStringLiteral("already")));
    home.click("doors-leave");
    CHECK_FALSE(home.find<Doors>("doors")->isVisible());
}

TEST_CASE("the first evening goes on by doing: hook, dressing, name, team, a second and a third") {
    NewHome home;
    home.begin(QStringLiteral("First"));
    auto* evening = home.find<FirstEvening>("first-evening");
    CHECK(evening->isVisible());
    CHECK(evening->step() == 0);
    home.click("evening-do");
    CHECK(home.window().station() == Station::drawers);
    home.window().drawers().choose("wet-10");
    home.type("record-measured.shank_mm", QStringLiteral("11.5"));
    CHECK(evening->step() == 1);
    home.click("evening-do");
    home.pick(QStringLiteral("palmered"));
    CHECK(home.document().pattern()->hook == "wet-10");  // the one that was measured
    CHECK(evening->step() == 2);
    home.click("evening-do");
    home.type("dressing-name", QStringLiteral("Peat Sweep"));
    CHECK(evening->step() == 3);
    home.click("evening-do");
    REQUIRE(evening->step() == 4);
    home.type("team-name", QStringLiteral("Skerrin in May"));
    CHECK(home.document().team()->title() == "Skerrin in May");
    home.startOne("start-winged-wet", QStringLiteral("Grey Wing"));
    home.startOne("start-spider", QStringLiteral("Dark Spider"));
    auto* cast = home.find<CastView>("cast");
    std::vector<QString> left = {QStringLiteral("grey wing"), QStringLiteral("dark spider")};
    for (const Position place : kTrio) {
        if (home.document().team()->at(place)) continue;
        REQUIRE_FALSE(cast->emptyRect(place).isNull());
        QTest::mouseClick(cast, Qt::LeftButton, Qt::NoModifier, cast->emptyRect(place).center().toPoint());
        home.pick(left.front());
        INFO(nameOf(place) << ": " << left.front().toStdString());
        CHECK(home.document().team()->at(place));
        left.erase(left.begin());
    }
    REQUIRE(evening->step() == 5);
    home.restart();
    evening = home.find<FirstEvening>("first-evening");
    CHECK(evening->step() == 5);  // where it was left
    home.click("evening-do");
    CHECK(home.window().station() == Station::balance);
    CHECK(evening->step() == 6);
    home.click("evening-skip");
    CHECK_FALSE(evening->isVisible());
}

TEST_CASE("the body of a new dressing turns from fur to tinsel, by pictures: undo turns it back") {
    NewHome home;
    home.begin(QStringLiteral("Tinsel"));
    home.startOne("start-winged-wet", QStringLiteral("Bright One"));
    const auto& parts = home.document().pattern()->parts;
    const auto body = std::ranges::find(parts, PartKind::body, &Part::kind) - parts.begin();
    home.document().choosePart(static_cast<std::size_t>(body));
    home.pickOn(qPrintable(QStringLiteral("material-%1").arg(body)), QStringLiteral("flat silver"));
    const auto kind = [&] {
        return home.book().findMaterial(*home.document().pattern()->parts[static_cast<std::size_t>(body)].material)->kind;
    };
    CHECK(kind() == MaterialKind::tinsel);
    CHECK(home.document().plan()->faults.empty());
    QTest::keyClick(&home.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(kind() == MaterialKind::dubbing);
}

TEST_CASE("a material of any kind, a cape and feathers are put into their drawers and kept") {
    NewHome home;
    home.begin(QStringLiteral("Things"));
    for (const Drawer which : {Drawer::wings, Drawer::metals, Drawer::flosses, Drawer::strands, Drawer::small})
        for (const MaterialKind kind : kindsIn(which)) {
            const auto before = home.book().materials.size();
            home.drawer(which);
            home.click("drawer-new");
            home.find<QAction>(qPrintable(QStringLiteral("new-") + qt(std::string(nameOf(kind)))))->trigger();
            if (auto* menu = home.window().findChild<QWidget*>(QStringLiteral("new-kinds"))) {
                menu->setObjectName(QString());
                menu->close();
            }
            INFO(nameOf(kind));
            REQUIRE(home.book().materials.size() == before + 1);
            CHECK(home.book().materials.back().kind == kind);
        }
    home.drawer(Drawer::feathers);
    home.click("drawer-new");
    home.click("drawer-new");
    REQUIRE(home.book().feathers.size() == 2);
    home.type("record-vane_mm", QStringLiteral("58"));
    home.type("record-barbs_mm", QStringLiteral("14, 22, 18"));
    CHECK(home.book().feathers.back().vane == 58.0 * mm);
    CHECK(home.book().feathers.back().barbs[1] == 22.0 * mm);
    home.drawer(Drawer::capes);
    home.click("drawer-new");
    home.click("add-bands");
    QApplication::processEvents();
    REQUIRE(home.book().capes.size() == 1);
    REQUIRE(home.book().capes[0].bands.size() == 1);
    home.type("row-count", QStringLiteral("9"));
    CHECK(home.book().capes[0].bands[0].count == 9);
    const Book before = home.book();
    home.restart();
    CHECK(home.book() == before);
}

TEST_CASE("several things are changed at once, and one that is needed is not taken out without saying by what") {
    NewHome home;
    home.begin(QStringLiteral("Several"));
    home.startOne("start-spider", QStringLiteral("Needs It"));
    DrawersStation& drawers = home.drawer(Drawer::furs);
    Tray& tray = drawers.tray();
    for (int row = 0; row < 3; ++row)
        tray.selectionModel()->select(tray.model()->index(row, 0), QItemSelectionModel::Select);
    const auto chosen = tray.selected();
    REQUIRE(chosen.size() >= 3);
    auto* texture = home.find<QComboBox>("record-texture");
    texture->setCurrentIndex(texture->findData(QStringLiteral("hare")));
    emit texture->activated(texture->currentIndex());
    for (const RecordId& record : chosen)
        CHECK(std::get<DubbingTraits>(home.book().findMaterial(MaterialId(record.id))->traits).texture == DubbingTexture::hare);
    QTest::keyClick(&home.window(), Qt::Key_Z, Qt::ControlModifier);
    home.drawer(Drawer::hooks);
    drawers.choose(home.document().pattern()->hook);
    home.click("drawer-out");
    CHECK(home.text("drawer-said").contains(QStringLiteral("Needs It")));
    home.click("holder");
    CHECK(home.window().station() == Station::plan);
    CHECK(home.document().pattern()->title() == "Needs It");
}

TEST_CASE("anything is found by a few letters") {
    Bench bench;
    const auto find = [&](const char* letters) {
        QTest::keyClick(&bench.window(), Qt::Key_K, Qt::ControlModifier);
        bench.pick(QString::fromLatin1(letters));
    };
    find("rush piper");
    CHECK(bench.document().pattern()->id == "rush-piper");
    find("evening");
    CHECK(bench.window().station() == Station::evening);
    find("2026-09-27");
    CHECK(bench.window().station() == Station::daybook);
    CHECK(bench.find<QListWidget>("days")->currentItem()->text().startsWith(QStringLiteral("2026-09-27")));
    find("olive seal");
    CHECK(bench.window().station() == Station::drawers);
    CHECK(bench.find<RecordSheet>("record-sheet")->id() == "fur-olive");
}

TEST_CASE("a team is begun, named, copied and taken out: its flies are hung, changed and taken off from the cast") {
    Bench bench;
    const Book before = bench.document().book();
    bench.find<QAction>("team-copy")->trigger();
    bench.type("team-name", QStringLiteral("Twin of it"));
    CHECK(bench.document().team()->title() == "Twin of it");
    CHECK_FALSE(bench.window().findChild<QWidget*>(QStringLiteral("chooser")));  // Enter ended the naming and nothing else
    auto* cast = bench.cast();
    cast->setFocus();
    bench.document().choosePosition(Position::middle);
    QTest::keyClick(cast, Qt::Key_Delete);
    CHECK_FALSE(bench.document().team()->at(Position::middle));
    REQUIRE_FALSE(cast->emptyRect(Position::middle).isNull());
    QTest::mouseClick(cast, Qt::LeftButton, Qt::NoModifier, cast->emptyRect(Position::middle).center().toPoint());
    bench.pick(QStringLiteral("olive ferry"));
    REQUIRE(bench.document().team()->at(Position::middle));
    CHECK(bench.document().team()->at(Position::middle)->pattern == "olive-ferryman");
    bench.find<QAction>("team-out")->trigger();
    CHECK(bench.document().book().teams == before.teams);
    bench.restart();
    CHECK(bench.document().book().teams == before.teams);
}

TEST_CASE("a wrong fish is corrected on the day's page, a wrong outing and a wrong day are taken out, and undo brings them back") {
    At bench(Station::daybook);
    const Book before = bench.document().book();
    const auto id = before.days.back().id;
    REQUIRE_FALSE(before.days.back().fish.empty());
    auto* page = bench.find<DayPage>("day-page");
    QApplication::processEvents();
    const auto day = [&]() -> const Day& { return *std::ranges::find(bench.document().book().days, id, &Day::id); };
    const RowId fish{"fish", 0};
    QTest::mouseClick(page, Qt::LeftButton, Qt::NoModifier, page->rectOf(fish).center().toPoint());
    REQUIRE(page->row() == fish);
    bench.setText("mark-time", QStringLiteral("14:05"));
    QApplication::processEvents();
    CHECK(day().fish[0].time == std::string("14:05"));
    bench.pick("mark-pattern", QStringLiteral("rush piper"));
    CHECK(day().fish[0].pattern == "rush-piper");
    bench.setText("mark-time", QStringLiteral("half past two"));
    CHECK(bench.text("mark-fault").contains(QStringLiteral("14:05")));
    // Dragged an hour on.
    const QRectF from = page->rectOf(fish);
    bench.drag(page, from.center(), from.center() + QPointF(60.0, 0.0));
    CHECK(day().fish[0].time > std::string("14:05"));
    // Out of the day.
    const auto count = day().fish.size();
    page->chooseRow(fish);
    page->setFocus();
    QTest::keyClick(page, Qt::Key_Delete);
    CHECK(day().fish.size() == count - 1);
    page->chooseRow(RowId{"outings", 0});
    bench.click("mark-out");
    CHECK(day().outings.size() == before.days.back().outings.size() - 1);
    bench.click("day-out");
    CHECK(bench.document().book().days.size() == before.days.size() - 1);
    while (bench.document().undoStack().canUndo())
        bench.document().undoStack().undo();
    CHECK(bench.document().book() == before);
}

TEST_CASE("a team is shared as a small file, and taken into a second book by what is ticked") {
    Bench bench;
    const std::string team = bench.document().team()->id;
    const QString file = bench.path("shared.machair.json");
    REQUIRE(bench.window().handingOut().share({"teams", team}, file));
    NewHome home;
    home.begin(QStringLiteral("Second"));
    home.window().openInto(file);
    auto* list = home.find<QListWidget>("arrivals-list");
    REQUIRE(list->isVisible());
    CHECK(list->count() >= 10);
    CHECK(home.book().teams.empty());
    home.click("arrivals-take");
    CHECK(home.book().teams.size() == 1);
    CHECK(home.book().patterns.size() == 3);
    CHECK(check(home.book()).empty());
    CHECK_FALSE(list->isVisible());
    QTest::keyClick(&home.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(home.book().teams.empty());
    // No book at all is said where it is, and changes nothing.
    QFile broken(home.path("broken.machair.json"));
    REQUIRE(broken.open(QIODevice::WriteOnly));
    broken.write("{\"format\": \"something else\"}");
    broken.close();
    home.window().openInto(broken.fileName());
    CHECK_FALSE(list->isVisible());
    CHECK(home.book().teams.empty());
}

TEST_CASE("the guide opens at the station's chapter, offline, and every station has one: the sheet of keys lists its keys") {
    Bench bench;
    auto* guide = bench.find<GuideView>("guide");
    for (const auto& entry : Names<Station>::entries) {
        bench.window().showStation(entry.value);
        QTest::keyClick(&bench.window(), Qt::Key_F1);
        INFO(entry.name);
        CHECK(guide->isVisible());
        CHECK_FALSE(guide->chapter().isEmpty());
    }
    // Its pictures are in the program, and no wider than its room.
    const auto* text = guide->findChild<QTextBrowser*>(QStringLiteral("guide-text"));
    std::size_t pictures = 0;
    for (QTextBlock block = text->document()->begin(); block.isValid(); block = block.next())
        for (auto fragment = block.begin(); !fragment.atEnd(); ++fragment) {
            if (!fragment.fragment().charFormat().isImageFormat()) continue;
            const QString name = fragment.fragment().charFormat().toImageFormat().name();
            INFO(name.toStdString());
            const auto shown = text->document()->resource(QTextDocument::ImageResource, QUrl(name)).value<QImage>();
            CHECK_FALSE(shown.isNull());
            CHECK(shown.width() <= text->viewport()->width());
            ++pictures;
        }
    CHECK(pictures >= 10);
    CHECK(text->horizontalScrollBar()->maximum() == 0);  // nothing pushes it aside
    QTest::keyClick(guide, Qt::Key_Escape);
    CHECK_FALSE(guide->isVisible());
    QTest::keyClick(&bench.window(), Qt::Key_F1, Qt::ShiftModifier);
    auto* keys = bench.find<KeySheet>("keys");
    CHECK(keys->findChildren<QLabel*>().size() > 12);
    QTest::keyClick(keys, Qt::Key_Space);
}

TEST_CASE("the chooser narrows by words, takes the arrows, and Esc changes nothing") {
    Bench bench;
    const std::string before = bench.document().pattern()->id;
    QTest::mouseClick(bench.find<QToolButton>("dressings"), Qt::LeftButton);
    auto* tray = bench.find<Tray>("chooser-tray");
    const int all = tray->model()->rowCount();
    QTest::mouseClick(bench.find<QToolButton>("trait-bob"), Qt::LeftButton);
    CHECK(tray->model()->rowCount() < all);
    CHECK(tray->model()->rowCount() > 0);
    QTest::keyClick(bench.find<Chooser>("chooser"), Qt::Key_Escape);
    CHECK(bench.document().pattern()->id == before);
    QTest::mouseClick(bench.find<QToolButton>("dressings"), Qt::LeftButton);
    auto* search = bench.find<QLineEdit>("chooser-search");
    QTest::keyClick(search, Qt::Key_Down);
    tray = bench.find<Tray>("chooser-tray");
    QTest::keyClick(tray, Qt::Key_Right);
    const std::string wanted = tray->current()->record.id;
    QTest::keyClick(tray, Qt::Key_Return);
    CHECK(bench.document().pattern()->id == wanted);
}

TEST_CASE("the house says which screens are true, and calibrates this one on the gauge") {
    Bench bench;
    auto* house = bench.find<House>("house");
    house->open();
    CHECK(bench.text("house-screens").contains(QStringLiteral("never calibrated")));
    bench.find<QToolButton>("house-calibrate")->click();
    CHECK_FALSE(house->isVisible());
    CHECK(bench.window().station() == Station::cut);
    auto* calibrate = bench.find<QToolButton>("calibrate");
    REQUIRE(calibrate->isChecked());
    calibrate->click();  // as it lies there
    house->open();
    CHECK(bench.text("house-screens").contains(QStringLiteral("true, ")));
    bench.restart();
    bench.find<House>("house")->open();
    CHECK(bench.text("house-screens").contains(QStringLiteral("true, ")));
}

TEST_CASE("the house is kept: bench, text, hand and schools come back at the next start") {
    Bench bench;
    const double usual = QApplication::font().pointSizeF();
    bench.find<QAction>("house-wanted")->trigger();
    CHECK(bench.find<QWidget>("house")->isVisible());
    QTest::mouseClick(bench.find<QToolButton>("house-contrast"), Qt::LeftButton);
    CHECK(bench.window().theme().colours().ink == QColor(Qt::black));
    bench.find<QSlider>("house-text")->setValue(13);
    CHECK(QApplication::font().pointSizeF() == Approx(1.3 * usual));
    QTest::mouseClick(bench.find<QToolButton>("house-left"), Qt::LeftButton);
    CHECK(bench.find<QToolButton>("left-handed")->isChecked());
    QTest::mouseClick(bench.find<QToolButton>("house-far"), Qt::LeftButton);
    CHECK(bench.find<QToolButton>("far-side")->isChecked());
    auto* tail = bench.find<QWidget>("house")->findChild<QToolButton*>(QStringLiteral("school-tail-body"));
    QTest::keyClick(tail, Qt::Key_Space);
    CHECK(bench.document().book().schools->tail == TailSchool::body);
    QTest::keyClick(bench.find<QWidget>("house"), Qt::Key_Escape);
    CHECK_FALSE(bench.find<QWidget>("house")->isVisible());
    bench.restart();
    CHECK(bench.window().theme().colours().ink == QColor(Qt::black));
    CHECK(QApplication::font().pointSizeF() == Approx(1.3 * usual));
    CHECK(bench.find<QToolButton>("left-handed")->isChecked());
    CHECK(bench.find<QToolButton>("far-side")->isChecked());
    CHECK(bench.document().book().schools->tail == TailSchool::body);
    bench.find<QSlider>("house-text")->setValue(10);
    bench.window().theme().light(drawing::Bench::sand);
}

TEST_CASE("a picture of the fly and of the team is kept as PNG and SVG, and what can't be written is said") {
    Bench bench;
    using Shown = HandingOut::Shown;
    for (const auto& [shown, name] : {std::pair(Shown::fly, "fly.png"), {Shown::team, "team.png"}}) {
        REQUIRE(bench.window().handingOut().keepPicture(shown, bench.path(name)));
        const QImage image(bench.path(name));
        CHECK(image.width() >= 1600);
        CHECK(image.pixelColor(2, 2) == bench.window().theme().colours().paper);
        bool drawn = false;  // something darker than the paper in the middle of it
        for (int x = image.width() / 5; x < image.width() * 4 / 5 && !drawn; ++x)
            drawn = image.pixelColor(x, image.height() / 2).lightness() < 120;
        CHECK(drawn);
    }
    REQUIRE(bench.window().handingOut().keepPicture(Shown::team, bench.path("team.svg")));
    QFile svg(bench.path("team.svg"));
    REQUIRE(svg.open(QIODevice::ReadOnly));
    CHECK(svg.readAll().contains("<svg"));
    CHECK_FALSE(bench.window().handingOut().keepPicture(Shown::fly, QStringLiteral("/no/such/folder/fly.png")));
    CHECK(bench.text("quiet").contains(QStringLiteral("could not be written")));
}

TEST_CASE("a table says what it would change before it is taken in") {
    NewHome home;
    home.begin(QStringLiteral("Table"));
    DrawersStation& drawers = home.drawer(Drawer::hooks);
    const QString path = home.path("hooks.csv");
    REQUIRE(drawers.exportTo(path));
    QFile file(path);
    REQUIRE(file.open(QIODevice::Append));
    const QByteArray header = [&] {
        QFile read(path);
        return read.open(QIODevice::ReadOnly) ? read.readLine() : QByteArray();
    }();
    QByteArray row;
    for (const QByteArray& key : header.trimmed().split(','))
        row += (row.isEmpty() ? "" : ",") + QByteArray(key == "id"       ? "my-own"
                                                       : key == "name"   ? "My own"
                                                       : key == "size"   ? "11"
                                                       : key == "family" ? "round"
                                                                         : "");
    file.write(row + "\r\n");
    file.close();
    const Book before = home.book();
    drawers.offerImport(path);
    CHECK(home.text("drawer-said").contains(QStringLiteral("1 would be new, 0 would change")));
    CHECK(home.book() == before);
    home.click("import-leave");
    CHECK(home.book() == before);
    drawers.offerImport(path);
    home.click("import-take");
    CHECK(home.book().hooks.size() == before.hooks.size() + 1);
}

TEST_CASE("a bench file dropped on an open book is shown before anything of it is taken") {
    Bench bench;
    const QString file = bench.path("given.machair.json");
    REQUIRE(bench.window().handingOut().share({"patterns", "rush-piper"}, file));
    const Book before = bench.document().book();
    QMimeData given;
    given.setUrls({QUrl::fromLocalFile(file)});
    QDragEnterEvent enter(QPoint(100, 100), Qt::CopyAction, &given, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(&bench.window(), &enter);
    CHECK(enter.isAccepted());
    QDropEvent drop(QPointF(100, 100), Qt::CopyAction, &given, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(&bench.window(), &drop);
    CHECK(bench.find<QListWidget>("arrivals-list")->isVisible());
    CHECK(bench.document().book() == before);
    CHECK(bench.document().path() == std::filesystem::path(bench.file().toStdString()));
    QTest::mouseClick(bench.find<QToolButton>("arrivals-leave"), Qt::LeftButton);
    CHECK_FALSE(bench.find<QListWidget>("arrivals-list")->isVisible());
}
