#include "frame/main_window.h"

#include <QApplication>
#include <QCloseEvent>
#include <QDateTime>
#include <QDir>
#include <QDragEnterEvent>
#include <QFile>
#include <QFileDialog>
#include <QFileInfo>
#include <QLabel>
#include <QMenu>
#include <QMimeData>
#include <QSettings>
#include <QShortcut>
#include <QStackedWidget>
#include <QStandardPaths>
#include <QTimer>
#include <QToolButton>
#include <QVBoxLayout>

#include "balance/balance_station.h"
#include "check/check_station.h"
#include "cut/cut_station.h"
#include "daybook/daybook_station.h"
#include "drawers/drawers_station.h"
#include "drift/drift_station.h"
#include "evening/evening_station.h"
#include "frame/application.h"
#include "frame/ask_file.h"
#include "frame/bench_bar.h"
#include "frame/cast_view.h"
#include "frame/fault_sheet.h"
#include "frame/quiet_line.h"
#include "frame/station_bar.h"
#include "parts/label.h"
#include "plan/plan_station.h"
#include "store/copies.h"
#include "store/home.h"
#include "tie/tie_station.h"
#include "units/text.h"
#include "water/water_station.h"

namespace machair::app {

namespace {

constexpr QSize kUsualSize(1280, 800);

const QString kFileKey = QStringLiteral("book/file");
const QString kTeamKey = QStringLiteral("book/team");
const QString kWaterKey = QStringLiteral("book/water");
const QString kDressingKey = QStringLiteral("book/dressing");
const QString kGeometryKey = QStringLiteral("window/geometry");
const QString kPlanLayoutKey = QStringLiteral("window/plan");
const QString kStationKey = QStringLiteral("window/station");
const QString kBenchKey = QStringLiteral("window/bench");

}  // namespace

QString ownDemo() {
    const QString folder = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation);
    const QString file = folder + QStringLiteral("/Loch Skerrin.machair");
    if (QFile::exists(file)) return file;
    QDir().mkpath(folder);
    QFile shipped(QStringLiteral(":/demo/skerrin.machair.json"));
    if (!shipped.open(QIODevice::ReadOnly)) throw BrokenContract("the demo is not in the program");
    const auto demo = store::readBench(shipped.readAll().toStdString());
    if (!demo) throw BrokenContract("the shipped demo is not sound");
    const Faults faults = store::writeBook(file.toStdString(), demo->book);
    return faults.empty() ? file : QString();
}

MainWindow::MainWindow(QSettings& settings, QWidget* parent)
    : QMainWindow(parent),
      settings_(settings),
      cast_(new CastView(document_, theme_)),
      tabs_(new StationBar(document_, theme_)),
      bar_(new BenchBar(document_, theme_)),
      faults_(new FaultSheet(theme_)),
      plan_(new PlanStation(document_, theme_)),
      drawers_(new DrawersStation(document_, theme_, hub_)),
      stations_(new QStackedWidget),
      quiet_(new QuietLine(theme_)) {
    setObjectName(QStringLiteral("window"));
    setWindowTitle(tr("Machair"));
    setAcceptDrops(true);
    auto* middle = new QWidget(this);
    auto* layout = new QVBoxLayout(middle);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(0);
    layout->addWidget(cast_);
    layout->addWidget(tabs_);
    layout->addWidget(bar_);
    layout->addWidget(faults_);
    for (QWidget* station :
         std::initializer_list<QWidget*>{plan_, new CutStation(document_, theme_, settings_), new TieStation(document_, theme_, hub_),
                                         new CheckStation(document_, theme_, hub_), new BalanceStation(document_, theme_, settings_),
                                         new DriftStation(document_, theme_), new WaterStation(document_, theme_, hub_),
                                         new EveningStation(document_, theme_), new DaybookStation(document_, theme_), drawers_})
        stations_->addWidget(station);  // in the order of Station
    layout->addWidget(stations_, 1);
    layout->addWidget(quiet_);
    setCentralWidget(middle);
    connect(&document_, &Document::said, quiet_, &QuietLine::say);
    connect(&document_, &Document::notKept, this,
            [this](const QString& why) { quiet_->warn(why.isEmpty() ? QString() : tr("Not kept on the disk: %1").arg(why)); });
    connect(bar_, &BenchBar::refused, &document_, &Document::refuse);
    connect(tabs_, &StationBar::stationWanted, this, &MainWindow::showStation);
    connect(bar_, &BenchBar::sizesWanted, plan_, &PlanStation::showSizes);
    connect(faults_, &FaultSheet::openAnother, this, &MainWindow::askForFile);
    connect(faults_, &FaultSheet::mendFromCopies, &document_, &Document::mendFromCopies);
    connect(faults_, &FaultSheet::takeOut, &document_, &Document::takeOutSetAside);
    connect(&document_, &Document::setAsideFound, this, &MainWindow::showSetAside);
    connect(&document_, &Document::bookOpened, this, [this] {
        if (document_.setAside().empty()) faults_->hide();
    });
    if (auto* application = qobject_cast<Application*>(QCoreApplication::instance()))
        connect(application, &Application::wentWrong, this, [this](const QString& what) { quiet_->say(tr("Not done: %1").arg(what)); });
    listenToDevices();
    connect(&theme_, &Theme::changed, this, &MainWindow::light);
    buildBookMenu();
    buildShortcuts();
    constexpr int kLookEvery = 1500;  // ms
    auto* look = new QTimer(this);
    connect(look, &QTimer::timeout, &document_, &Document::tend);
    look->start(kLookEvery);
    restore();
    light();
    plan_->setFocus();
}

// The stations go before what they show: the document, the devices and the colours.
MainWindow::~MainWindow() { delete takeCentralWidget(); }

void MainWindow::listenToDevices() {
    connect(&hub_, &devices::Hub::lengthRead, this, &MainWindow::takeLength);
    connect(&hub_, &devices::Hub::rubbish, this, [this](const QString& device, const QString& line) {
        constexpr qsizetype kShown = 40;
        if (isActiveWindow()) quiet_->say(tr("The %1 sent \"%2\", which means nothing to it here").arg(device, line.left(kShown)));
    });
    connect(&hub_, &devices::Hub::flooded, this, [this](const QString& device) {
        if (isActiveWindow()) quiet_->say(tr("The %1 sends more than a hand can: is it stuck? What is too much is dropped").arg(device));
    });
}

// A calliper's reading goes to who has the focus in the window that has it, or to the station that is seen; to nobody else.
void MainWindow::takeLength(double millimetres) {
    if (!isActiveWindow()) return;
    for (QWidget* widget = QApplication::focusWidget(); widget && widget != this; widget = widget->parentWidget())
        if (auto* reader = dynamic_cast<ReadsLengths*>(widget)) return reader->takeLength(millimetres);
    if (auto* reader = dynamic_cast<ReadsLengths*>(stations_->currentWidget())) return reader->takeLength(millimetres);
    quiet_->say(tr("%1 mm read, and nothing here asks for it: measure at Check, or put the cursor on a measure in Drawers")
                    .arg(qt(formatNumber(millimetres, 2))));
}

// What was not taken in, with what mends it.
void MainWindow::showSetAside() {
    Faults faults;
    for (const store::SetAside& aside : document_.setAside())
        faults.push_back({Place(), aside.line(), ""});
    faults_->showSetAside(QFileInfo(QString::fromStdString(document_.path().string())).fileName(), faults,
                          !store::copiesOf(document_.path()).empty());
}

// The copies there are, newest first; one that is chosen becomes the book, as one step that can be undone.
void MainWindow::showCopies() {
    auto* menu = new QMenu(this);
    menu->setObjectName(QStringLiteral("copies"));
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const store::Copy& copy : store::copiesOf(document_.path()))
        menu->addAction(
            tr("All as it was on %1").arg(QDateTime::fromSecsSinceEpoch(copy.made).toString(QStringLiteral("yyyy-MM-dd HH:mm"))), this,
            [this, path = copy.path] { document_.refuse(document_.restore(path)); });
    if (menu->isEmpty()) menu->addAction(tr("No copy was made yet: one is, before the first edit of a session"))->setEnabled(false);
    menu->popup(mapToGlobal(QPoint(width() / 2, 120)));
}

void MainWindow::buildBookMenu() {
    QMenu* menu = tabs_->bookMenu();
    QAction* open = menu->addAction(tr("&Open a book…"), this, &MainWindow::askForFile);
    open->setShortcut(QKeySequence::Open);
    open->setShortcutContext(Qt::WindowShortcut);
    menu->addAction(tr("&Keep a copy as…"), this, &MainWindow::askForCopy);
    menu->addAction(tr("The &demo, Loch Skerrin"), this, [this] { openFile(ownDemo()); });
    QAction* copies = menu->addAction(tr("&Back to a copy…"), this, &MainWindow::showCopies);
    copies->setObjectName(QStringLiteral("back-to-a-copy"));
    copies->setToolTip(tr("Copies are made by themselves: of the last sessions, days, weeks and months"));
    menu->addSeparator();
    menu->addAction(tr("&Cautions"), this, &MainWindow::showCautions);
    QAction* leave = menu->addAction(tr("&Leave"), this, &QWidget::close);
    leave->setShortcut(QKeySequence(Qt::CTRL | Qt::Key_Q));
    addAction(open);
    addAction(leave);
}

void MainWindow::buildShortcuts() {
    const auto on = [this](const QKeySequence& keys, auto work) {
        auto* shortcut = new QShortcut(keys, this);
        connect(shortcut, &QShortcut::activated, this, work);
    };
    for (std::size_t place = 0; place < kPositions.size(); ++place)  // Alt+1 is the bob, Alt+2 the next down
        on(QKeySequence(Qt::ALT | static_cast<Qt::Key>(Qt::Key_1 + static_cast<int>(place))), [this, place] {
            const TeamSpec* team = document_.team();
            if (const auto shown = team ? positionsShown(team->flies) : std::vector<Position>(); place < shown.size())
                document_.choosePosition(shown[place]);
        });
    on(QKeySequence(Qt::CTRL | Qt::Key_Z), [this] { document_.undoStack().undo(); });
    on(QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_Z), [this] { document_.undoStack().redo(); });
    on(QKeySequence(Qt::CTRL | Qt::Key_Y), [this] { document_.undoStack().redo(); });
    on(QKeySequence(Qt::CTRL | Qt::Key_L),
       [this] { theme_.light(theme_.bench() == drawing::Bench::sand ? drawing::Bench::slate : drawing::Bench::sand); });
    const auto focus = [this, on](const QKeySequence& keys, const char* name) {
        on(keys, [this, name] {
            if (auto* widget = findChild<QWidget*>(QString::fromLatin1(name))) widget->setFocus(Qt::ShortcutFocusReason);
        });
    };
    on(QKeySequence(Qt::ALT | Qt::Key_D), [this] { findChild<QToolButton*>(QStringLiteral("dressing"))->showMenu(); });
    for (const auto& entry : Names<Station>::entries)
        on(QKeySequence(Qt::CTRL | static_cast<Qt::Key>(Qt::Key_0 + (static_cast<int>(entry.value) + 1) % 10)),  // the tenth is Ctrl+0
           [this, station = entry.value] { showStation(station); });
    focus(QKeySequence(Qt::ALT | Qt::Key_H), "hooks");
    focus(QKeySequence(Qt::ALT | Qt::Key_S), "hook-size");
    focus(QKeySequence(Qt::ALT | Qt::Key_T), "ticket");
    focus(QKeySequence(Qt::ALT | Qt::Key_C), "cast");
}

void MainWindow::showStation(Station station) {
    stations_->setCurrentIndex(static_cast<int>(station));
    tabs_->showStation(station);
    bar_->setVisible(worksOnTheFly(station));
    bar_->offerSizes(station == Station::plan);
}

Station MainWindow::station() const { return static_cast<Station>(stations_->currentIndex()); }

void MainWindow::light() {
    if (auto* application = qobject_cast<QApplication*>(QCoreApplication::instance())) apply(*application, theme_.colours());
}

bool MainWindow::openFile(const QString& path) {
    // A book that can't be opened, or that ends the program, is not opened by itself the next time.
    const QString last = settings_.value(kFileKey).toString();
    settings_.remove(kFileKey);
    settings_.sync();
    const Faults faults = document_.open(path.toStdString());
    if (!faults.empty()) {
        if (last != path) settings_.setValue(kFileKey, last);
        faults_->show(QFileInfo(path).fileName(), faults);
        return false;
    }
    setWindowTitle(tr("%1 — Machair").arg(QFileInfo(path).fileName().remove(QStringLiteral(".json")).remove(QStringLiteral(".machair"))));
    QString words = tr("Opened %1: %2 dressings, %3 hooks, %4 materials")
                        .arg(QFileInfo(path).fileName())
                        .arg(document_.book().patterns.size())
                        .arg(document_.book().hooks.size())
                        .arg(document_.book().materials.size());
    if (!document_.warnings().empty())
        words += tr(". %1 keys this version doesn't know are kept: first %2")
                     .arg(document_.warnings().size())
                     .arg(qt(document_.warnings().front().place.text()));
    if (document_.readOnly()) words += tr(". It may only be read here: Book, Keep a copy as… makes one to work in");
    quiet_->say(words);
    keepSettings();
    return true;
}

void MainWindow::openLastOrDemo() {
    const QString last = settings_.value(kFileKey).toString();
    const std::string team = settings_.value(kTeamKey).toString().toStdString();
    const std::string dressing = settings_.value(kDressingKey).toString().toStdString();
    const std::string water = settings_.value(kWaterKey).toString().toStdString();
    if (last.isEmpty() || !openFile(last)) {
        openFile(ownDemo());
        return;
    }
    document_.chooseWater(water);
    document_.chooseTeam(team);
    document_.choosePattern(dressing);
}

void MainWindow::askForFile() {
    auto* dialog =
        new QFileDialog(this, tr("Open a bench book or bench file"), QFileInfo(QString::fromStdString(document_.path().string())).path(),
                        tr("Books (*.machair *.machair.json);;All files (*)"));
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setFileMode(QFileDialog::ExistingFile);
    connect(dialog, &QFileDialog::fileSelected, this, &MainWindow::openFile);
    dialog->open();
}

void MainWindow::askForCopy() {
    askWhereToWrite(this, tr("Keep a copy as"), QFileInfo(QString::fromStdString(document_.path().string())).path(),
                    tr("Bench book (*.machair);;Bench file to share (*.machair.json)"), QString(), &MainWindow::keepCopy);
}

bool MainWindow::keepCopy(const QString& path) {
    const Faults faults = document_.keepCopy(path.toStdString());
    quiet_->say(faults.empty() ? tr("A copy is in %1").arg(path) : tr("No copy made: %1").arg(qt(faults.front().line())));
    return faults.empty();
}

// Another window may have changed the book while this one was not looked at.
void MainWindow::changeEvent(QEvent* event) {
    QMainWindow::changeEvent(event);
    if (event->type() == QEvent::ActivationChange && isActiveWindow()) document_.lookElsewhere();
}

void MainWindow::showCautions() {
    auto* sheet = new Label(tr("Mind\n\nHook points and eyes: glasses on, points away, and barbs flattened where you can.\n"
                               "Instant glue, varnish and solvents: fresh air, and the label decides.\n"
                               "UV resin and its lamp: keep both off skin and out of eyes; the maker's instructions decide.\n"
                               "Lead and tungsten: wash hands; some waters forbid lead.\n"
                               "Feathers and furs: many birds and animals are protected; lawful sources and local law decide.\n"
                               "Boats and wind: life jackets on; the boat owner's and local rules decide."),
                            this, Qt::Popup);
    sheet->setObjectName(QStringLiteral("cautions"));
    sheet->setAttribute(Qt::WA_DeleteOnClose);
    sheet->setMargin(16);
    sheet->adjustSize();
    sheet->move(mapToGlobal(QPoint(width() - sheet->width() - 20, 240)));
    sheet->show();
}

void MainWindow::restore() {
    if (!restoreGeometry(settings_.value(kGeometryKey).toByteArray())) QMainWindow::resize(kUsualSize);
    plan_->restoreLayout(settings_.value(kPlanLayoutKey).toByteArray());
    showStation(fromName<Station>(settings_.value(kStationKey).toString().toStdString()).value_or(Station::plan));
    theme_.light(settings_.value(kBenchKey).toString() == QStringLiteral("slate") ? drawing::Bench::slate : drawing::Bench::sand);
}

void MainWindow::keepSettings() {
    settings_.setValue(kFileKey, QString::fromStdString(document_.path().string()));
    if (const TeamSpec* team = document_.team()) settings_.setValue(kTeamKey, qt(team->id));
    if (const Pattern* pattern = document_.pattern()) settings_.setValue(kDressingKey, qt(pattern->id));
    if (const WaterSpec* water = document_.water()) settings_.setValue(kWaterKey, qt(water->id));
    settings_.setValue(kGeometryKey, saveGeometry());
    settings_.setValue(kPlanLayoutKey, plan_->layoutState());
    settings_.setValue(kStationKey, qt(std::string(nameOf(station()))));
    settings_.setValue(kBenchKey, theme_.bench() == drawing::Bench::slate ? QStringLiteral("slate") : QStringLiteral("sand"));
    settings_.sync();
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (auto* field = focusWidget()) field->clearFocus();  // what is being typed is an edit too
    keepSettings();
    event->accept();
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls()) event->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* event) {
    const auto urls = event->mimeData()->urls();
    if (!urls.isEmpty() && urls.front().isLocalFile()) openFile(urls.front().toLocalFile());
}

}  // namespace machair::app
