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
#include "book/flies.h"
#include "check/check_station.h"
#include "cut/cut_station.h"
#include "daybook/daybook_station.h"
#include "drawers/drawers_station.h"
#include "drift/drift_station.h"
#include "evening/evening_station.h"
#include "frame/application.h"
#include "frame/arrivals_sheet.h"
#include "frame/ask_file.h"
#include "frame/bench_bar.h"
#include "frame/cast_view.h"
#include "frame/doors.h"
#include "frame/empty_station.h"
#include "frame/fault_sheet.h"
#include "frame/first_evening.h"
#include "frame/guide_view.h"
#include "frame/handing_out.h"
#include "frame/house.h"
#include "frame/language.h"
#include "frame/paper_sheet.h"
#include "frame/quiet_line.h"
#include "frame/recipe_sheet.h"
#include "frame/station_bar.h"
#include "language/say.h"
#include "parts/ask_card.h"
#include "parts/chooser.h"
#include "parts/dates.h"
#include "parts/label.h"
#include "parts/spoken.h"
#include "plan/plan_station.h"
#include "store/copies.h"
#include "store/home.h"
#include "store/text_encoding.h"
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
const QString kRecentKey = QStringLiteral("book/recent");
const QString kGeometryKey = QStringLiteral("window/geometry");
const QString kPlanLayoutKey = QStringLiteral("window/plan");
const QString kStationKey = QStringLiteral("window/station");

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
      plan_(new PlanStation(document_, theme_, settings_)),
      drawers_(new DrawersStation(document_, theme_, hub_, settings_)),
      stations_(new QStackedWidget),
      quiet_(new QuietLine(theme_)),
      water_(new WaterStation(document_, theme_, hub_)),
      daybook_(new DaybookStation(document_, theme_)),
      arrivals_(new ArrivalsSheet(document_, theme_)),
      recipe_(new RecipeSheet(document_, theme_)),
      paper_(new PaperSheet(document_, theme_)),
      handingOut_(new HandingOut(document_, theme_, this)) {
    setObjectName(QStringLiteral("window"));
    setWindowTitle(tr("Machair"));
    speakParts();
    setAcceptDrops(true);
    layOut();
    listenToDoors();
    listenToSheets();
    listenToHouse();
    listenToDevices();
    connect(&document_, &Document::said, quiet_, &QuietLine::say);
    connect(&document_, &Document::notKept, this,
            [this](const QString& why) { quiet_->warn(why.isEmpty() ? QString() : tr("Not kept on the disk: %1").arg(why)); });
    connect(handingOut_, &HandingOut::said, quiet_, &QuietLine::say);
    if (auto* application = qobject_cast<Application*>(QCoreApplication::instance()))
        connect(application, &Application::wentWrong, this, [this](const QString& what) { quiet_->say(tr("Not done: %1").arg(what)); });
    connect(&theme_, &Theme::changed, this, &MainWindow::light);
    buildBookMenu();
    buildShortcuts();
    constexpr int kLookEvery = 1500;  // ms
    auto* look = new QTimer(this);
    connect(look, &QTimer::timeout, &document_, &Document::tend);
    look->start(kLookEvery);
    restore();
    light();
    plan_->startWithTicket();
}

// From top to bottom: the cast, the stations' names, the bench, what drops down between, the station that is seen, the quiet line.
void MainWindow::layOut() {
    auto* middle = new QWidget(this);
    auto* layout = new QVBoxLayout(middle);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(0);
    evening_ = new FirstEvening(document_, settings_, eveningSteps());
    for (QWidget* line : std::initializer_list<QWidget*>{cast_, tabs_, evening_, bar_, faults_, arrivals_})
        layout->addWidget(line);
    layout->addWidget(recipe_, 1);
    layout->addWidget(paper_, 1);
    for (QWidget* station : std::initializer_list<QWidget*>{
             plan_, new CutStation(document_, theme_, settings_), new TieStation(document_, theme_, hub_, settings_),
             new CheckStation(document_, theme_, hub_), new BalanceStation(document_, theme_, settings_),
             new DriftStation(document_, theme_), water_, new EveningStation(document_, theme_, settings_), daybook_, drawers_})
        stations_->addWidget(station);  // in the order of Station
    new AskCard(document_, theme_, this);
    empty_ = new EmptyStation;
    stations_->addWidget(empty_);  // behind them
    layout->addWidget(stations_, 1);
    layout->addWidget(quiet_);
    setCentralWidget(middle);
    doors_ = new Doors(theme_, middle);
    doors_->hide();
    guide_ = new GuideView(middle);
    house_ = new House(document_, theme_, hub_, settings_, middle);
}

// What leads from one place to another.
void MainWindow::listenToDoors() {
    connect(doors_, &Doors::beginWanted, this, &MainWindow::beginBook);
    connect(doors_, &Doors::demoWanted, this, [this] { openFile(ownDemo()); });
    connect(doors_, &Doors::anotherWanted, this, &MainWindow::askForFile);
    connect(doors_, &Doors::bookWanted, this, &MainWindow::openFile);
    connect(doors_, &Doors::languageWanted, this, [this](const QString& code) {
        chooseLanguage(settings_, code);
        QCoreApplication::exit(kBeginAgain);
    });
    connect(drawers_, &DrawersStation::goTo, this, &MainWindow::goTo);
    connect(tabs_, &StationBar::stationWanted, this, &MainWindow::showStation);
    connect(empty_, &EmptyStation::begun, this, [this] {
        if (document_.pattern()) return cast_->beginTeam();
        if (!worksOnTheFly(station_)) showStation(Station::plan);
        findChild<QToolButton*>(QStringLiteral("start-kind"))->click();
    });
    for (const auto signal : {&Document::teamChanged, &Document::planChanged, &Document::bookOpened})
        connect(&document_, signal, this, &MainWindow::showPage);
}

// What drops down over a station: a recipe, the paper, what is wrong with a book, what somebody shares.
void MainWindow::listenToSheets() {
    connect(bar_, &BenchBar::recipeOffered, this, [this](const QString& text) {
        if (document_.isOpen()) recipe_->open(text);
    });
    connect(bar_, &BenchBar::refused, &document_, &Document::refuse);
    connect(bar_, &BenchBar::sizesWanted, plan_, &PlanStation::showSizes);
    for (OwnSheet* sheet : std::initializer_list<OwnSheet*>{recipe_, paper_})
        connect(sheet, &OwnSheet::opened, stations_, &QWidget::setHidden);
    connect(faults_, &FaultSheet::openAnother, this, &MainWindow::askForFile);
    connect(faults_, &FaultSheet::mendFromCopies, &document_, &Document::mendFromCopies);
    connect(faults_, &FaultSheet::takeOut, &document_, &Document::takeOutSetAside);
    connect(&document_, &Document::setAsideFound, this, &MainWindow::showSetAside);
    connect(&document_, &Document::bookOpened, this, [this] {
        if (document_.setAside().empty()) faults_->hide();
        for (QWidget* sheet : std::initializer_list<QWidget*>{doors_, arrivals_, recipe_, paper_})
            sheet->hide();
    });
}

void MainWindow::listenToHouse() {
    connect(house_, &House::leftHandChosen, this,
            [this](bool left) { findChild<QToolButton*>(QStringLiteral("left-handed"))->setChecked(left); });
    connect(house_, &House::farSideChosen, this,
            [this](bool far) { findChild<QToolButton*>(QStringLiteral("far-side"))->setChecked(far); });
    connect(house_, &House::languageChosen, this, [] { QCoreApplication::exit(kBeginAgain); });
    connect(house_, &House::calibrationWanted, this, [this] {
        showStation(Station::cut);
        findChild<QToolButton*>(QStringLiteral("calibrate"))->setChecked(true);
    });
}

// The stations go before what they show: the document, the devices and the colours.
MainWindow::~MainWindow() {
    endTyping();
    delete takeCentralWidget();
}

// What is being typed is an edit too, in a sheet that dropped down as well: it is made while all that it needs still stands.
void MainWindow::endTyping() {
    QWidget* field = QApplication::focusWidget();
    for (const QObject* owner = field; owner; owner = owner->parent())
        if (owner == this) return field->clearFocus();
}

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
    quiet_->say(tr("%1 read, and nothing here asks for it: measure at Check, or put the cursor on a measure in Drawers")
                    .arg(lengthSaid(millimetres * mm, 2)));
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
            tr("All as it was on %1").arg(datesSaid(QDateTime::fromSecsSinceEpoch(copy.made).toString(QStringLiteral("yyyy-MM-dd HH:mm")))),
            this, [this, path = copy.path] { document_.refuse(document_.restore(path)); });
    if (menu->isEmpty()) menu->addAction(tr("No copy was made yet: one is, before the first edit of a session"))->setEnabled(false);
    menu->popup(mapToGlobal(QPoint(width() / 2, 120)));
}

// What the station is about, first: a fly's card, the team's sheet, the season.
void MainWindow::showPaper() {
    if (!document_.isOpen()) return;
    recipe_->hide();
    paper_->open(worksOnTheFly(station_) ? PaperKind::card : station_ == Station::daybook ? PaperKind::season : PaperKind::team);
}

void MainWindow::buildBookMenu() {
    QMenu* menu = tabs_->bookMenu();
    QAction* doors = menu->addAction(tr("Begin a book, or go back to one…"), this, &MainWindow::showDoors);
    doors->setObjectName(QStringLiteral("doors-wanted"));
    doors->setShortcut(QKeySequence::New);
    addAction(doors);
    QAction* open = menu->addAction(tr("&Open a book…"), this, &MainWindow::askForFile);
    open->setShortcut(QKeySequence::Open);
    open->setShortcutContext(Qt::WindowShortcut);
    menu->addAction(tr("&Keep a copy as…"), this, &MainWindow::askForCopy);
    menu->addAction(tr("The &demo, Loch Skerrin"), this, [this] { openFile(ownDemo()); });
    QAction* copies = menu->addAction(tr("&Back to a copy…"), this, &MainWindow::showCopies);
    copies->setObjectName(QStringLiteral("back-to-a-copy"));
    copies->setToolTip(tr("Copies are made by themselves: of the last sessions, days, weeks and months"));
    menu->addSeparator();
    handingOut_->fill(menu);
    QAction* into = menu->addAction(tr("Take in from a bench file…"), this, [this] {
        askWhatToRead(this, tr("Take in from"), QString(), tr("Books (*.machair *.machair.json);;All files (*)"), &MainWindow::openInto);
    });
    into->setObjectName(QStringLiteral("open-into"));
    into->setToolTip(tr("What is new in it, what is here already and what differs is shown before anything is taken"));
    menu->addSeparator();
    QAction* paper = menu->addAction(tr("On &paper…"), this, &MainWindow::showPaper);
    paper->setObjectName(QStringLiteral("paper-wanted"));
    paper->setShortcut(QKeySequence::Print);
    addAction(paper);
    QAction* house = menu->addAction(tr("The &house…"), house_, &House::open);
    house->setObjectName(QStringLiteral("house-wanted"));
    menu->addAction(tr("&Guide (F1)"), this, &MainWindow::showGuide);
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
    on(QKeySequence(Qt::CTRL | Qt::Key_L), [this] { findChild<QToolButton*>(QStringLiteral("bench"))->click(); });
    const auto focus = [this, on](const QKeySequence& keys, const char* name) {
        on(keys, [this, name] {
            if (auto* widget = findChild<QWidget*>(QString::fromLatin1(name))) widget->setFocus(Qt::ShortcutFocusReason);
        });
    };
    for (const auto& entry : Names<Station>::entries)
        on(QKeySequence(Qt::CTRL | static_cast<Qt::Key>(Qt::Key_0 + (static_cast<int>(entry.value) + 1) % 10)),  // the tenth is Ctrl+0
           [this, station = entry.value] { showStation(station); });
    on(QKeySequence(Qt::CTRL | Qt::Key_K), [this] { find(); });
    on(QKeySequence(Qt::Key_F1), [this] { showGuide(); });
    on(QKeySequence(Qt::SHIFT | Qt::Key_F1), [this] {
        auto* sheet = new KeySheet(station(), this);
        sheet->adjustSize();
        sheet->move(mapToGlobal(QPoint((width() - sheet->width()) / 2, 120)));
        sheet->show();
    });
    focus(QKeySequence(Qt::ALT | Qt::Key_H), "hooks");
    focus(QKeySequence(Qt::ALT | Qt::Key_S), "hook-size");
    focus(QKeySequence(Qt::ALT | Qt::Key_T), "ticket");
    focus(QKeySequence(Qt::ALT | Qt::Key_C), "cast");
}

void MainWindow::showStation(Station station) {
    station_ = station;
    tabs_->showStation(station);
    bar_->setVisible(worksOnTheFly(station));
    cast_->setVisible(station != Station::tie);  // the view is full of the one fly
    cast_->setSlim(station != Station::balance && station != Station::drift && station != Station::water);
    bar_->offerSizes(station == Station::plan);
    showPage();
}

Station MainWindow::station() const { return station_; }

// A station that has nothing to work on says what it does, and has the one button that begins it.
void MainWindow::showPage() {
    const bool open = document_.isOpen();
    if (open && worksOnTheFly(station_) && !document_.pattern()) {
        empty_->say(titleOf(station_), tr("%1. It wants a dressing on the bench.").arg(capitalised(purposeOf(station_))),
                    tr("Start a dressing…"));
        stations_->setCurrentWidget(empty_);
    } else if (open && (station_ == Station::balance || station_ == Station::drift) && !document_.team()) {
        const bool fly = document_.pattern() != nullptr;
        empty_->say(titleOf(station_), tr("%1. It wants a team: one to five flies on a leader.").arg(capitalised(purposeOf(station_))),
                    fly ? tr("Begin a team with the fly on the bench") : tr("Start a dressing…"));
        stations_->setCurrentWidget(empty_);
    } else {
        stations_->setCurrentIndex(static_cast<int>(station_));
    }
}

void MainWindow::light() { apply(theme_.colours()); }

bool MainWindow::openFile(const QString& path) {
    // A book that can't be opened, or that ends the program, is not opened by itself the next time.
    const QString last = settings_.value(kFileKey).toString();
    settings_.remove(kFileKey);
    settings_.sync();
    const Faults faults = document_.open(path.toStdString());
    if (!faults.empty()) {
        if (last != path) settings_.setValue(kFileKey, last);
        faults_->show(QFileInfo(path).fileName(), faults);
        if (doors_->isVisible()) doors_->refuse(qt(faults.front().line()));
        return false;
    }
    setWindowTitle(tr("%1 — Machair").arg(QFileInfo(path).fileName().remove(QStringLiteral(".json")).remove(QStringLiteral(".machair"))));
    QString words = tr("Opened %1. Dressings: %2, hooks: %3, materials: %4")
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
    rememberRecent(path);
    keepSettings();
    return true;
}

void MainWindow::openLast() {
    const QString last = settings_.value(kFileKey).toString();
    const TeamId team(settings_.value(kTeamKey).toString().toStdString());
    const DressingId dressing(settings_.value(kDressingKey).toString().toStdString());
    const WaterId water(settings_.value(kWaterKey).toString().toStdString());
    if (last.isEmpty()) return showDoors();
    if (!openFile(last)) {
        showDoors();
        return doors_->refuse(
            tr("%1 could not be opened: %2").arg(QFileInfo(last).fileName(), faults_->faultText().section(QLatin1Char('\n'), 0, 0)));
    }
    document_.chooseWater(water);
    document_.chooseTeam(team);
    document_.choosePattern(dressing);
}

void MainWindow::showDoors() {
    doors_->setGeometry(centralWidget()->rect());
    doors_->open(recent(), document_.isOpen());
}

void MainWindow::resizeEvent(QResizeEvent* event) {
    QMainWindow::resizeEvent(event);
    doors_->setGeometry(centralWidget()->rect());
    if (guide_->isVisible()) guide_->openAt(guide_->chapter());
}

void MainWindow::beginBook(const QString& name) {
    const auto made = beginOwnBook(name, QStandardPaths::writableLocation(QStandardPaths::AppDataLocation));
    if (!made)
        return doors_->refuse(
            qt(made.error().front().what + (made.error().front().remedy.empty() ? "" : ": " + made.error().front().remedy)));
    if (!openFile(*made)) return;
    showStation(Station::plan);
    evening_->begin();
    quiet_->say(tr("%1 is begun. Each edit is kept at once: there is nothing to save").arg(name));
}

QStringList MainWindow::recent() const { return settings_.value(kRecentKey).toStringList(); }

void MainWindow::rememberRecent(const QString& path) {
    QStringList list = recent();
    list.removeAll(path);
    list.prepend(path);
    constexpr int kMost = 8;
    settings_.setValue(kRecentKey, list.mid(0, kMost));
}

std::vector<EveningStep> MainWindow::eveningSteps() {
    const auto anyMeasured = [](const Book& book) {
        return std::ranges::any_of(book.hooks, [](const HookSpec& hook) { return hook.measured.has_value(); });
    };
    const auto named = [](const Book& book) {
        return std::ranges::any_of(book.patterns, [](const Pattern& p) { return !p.title().starts_with(machair::say("New {}", "")); });
    };
    const auto hung = [](std::size_t least) {
        return [least](const Book& book) {
            return std::ranges::any_of(book.teams, [least](const TeamSpec& team) {
                return static_cast<std::size_t>(std::ranges::count_if(kPositions, [&](Position at) { return team.at(at).has_value(); })) >=
                       least;
            });
        };
    };
    const auto startOne = [this] { findChild<QToolButton*>(QStringLiteral("start-kind"))->click(); };
    return {{tr("measure the hook in your vice, shank and gape. Its picture asks for both"), tr("Show me the hooks"),
             [this] {
                 showStation(Station::drawers);
                 drawers_->open(Drawer::hooks);
             },
             anyMeasured},
            {tr("start a dressing from its kind: every size is a share of its hook"), tr("Start one…"),
             [this, startOne] {
                 showStation(Station::plan);
                 startOne();
             },
             [](const Book& book) { return !book.patterns.empty(); }},
            {tr("name it"), tr("Name it"),
             [this] {
                 showStation(Station::plan);
                 bar_->askForName();
             },
             named},
            {tr("hang it on the cast"), tr("Begin a team with it"), [this] { cast_->beginTeam(); }, hung(1)},
            {tr("start a second and a third, and hang them in the empty places"), tr("Start another…"),
             [this, startOne] {
                 showStation(Station::plan);
                 startOne();
             },
             hung(3)},
            {tr("see the three as a team"), tr("Balance"), [this] { showStation(Station::balance); }, {}},
            {tr("print a card to lay your feathers on"), tr("Cut"), [this] { showStation(Station::cut); }, {}}};
}

void MainWindow::goTo(const RecordId& record) {
    if (record.list == "station") return showStation(fromName<Station>(record.id).value_or(Station::plan));
    if (record.list == "command") {
        if (auto* action = findChild<QAction*>(qt(record.id))) action->trigger();
        return;
    }
    if (record.list == "patterns" || record.list == "fly") {
        document_.choosePattern(record.list == "fly" ? readFly(record.id).pattern : DressingId(record.id));
        return showStation(worksOnTheFly(station()) ? station() : Station::plan);
    }
    if (record.list == "teams") {
        document_.chooseTeam(TeamId(record.id));
        return showStation(Station::balance);
    }
    if (record.list == "waters") {
        document_.chooseWater(WaterId(record.id));
        return showStation(Station::water);
    }
    if (record.list == "days") {
        showStation(Station::daybook);
        return daybook_->chooseDay(DayId(record.id));
    }
    showStation(Station::drawers);
    drawers_->show(record);
}

void MainWindow::find() {
    if (!document_.isOpen()) return;
    Chooser::Asked asked;
    asked.title = tr("Find anything.");
    for (const char* list :
         {"patterns", "teams", "hooks", "materials", "waters", "days", "rule_cards", "season_table", "batches", "feathers", "capes"}) {
        std::vector<Thing> more = thingsIn(document_.book(), list);
        for (Thing& thing : more) {
            thing.traits = {qt(say(nameOfOne(list)))};
            asked.things.push_back(std::move(thing));
        }
    }
    for (const auto& entry : Names<Station>::entries)
        asked.things.push_back({{"station", std::string(entry.name)}, titleOf(entry.value), purposeOf(entry.value), {tr("station")}, {}});
    for (const char* name : {"doors-wanted", "house-wanted", "read-recipe", "copy-recipe", "keep-recipe", "share-dressing", "share-team",
                             "copy-picture", "copy-team-picture", "keep-picture", "keep-team-picture", "back-to-a-copy"})
        if (auto* action = findChild<QAction*>(QString::fromLatin1(name)))
            asked.things.push_back({{"command", name}, action->text().remove(QLatin1Char('&')), tr("do it"), {tr("command")}, {}});
    Chooser::ask(tabs_, document_, theme_, std::move(asked), [this](const RecordId& record) { goTo(record); });
}

void MainWindow::showGuide() {
    if (doors_->isVisible()) return guide_->openAt(tr("The first evening"));
    guide_->openAt(station() == Station::plan ? tr("The window") : titleOf(station()));
}

void MainWindow::openInto(const QString& path) {
    if (!document_.isOpen()) {
        openFile(path);
        return;
    }
    const auto home = store::openHome(path.toStdString(), store::Access::readOnly);
    auto opened = home ? (*home)->read() : Result<store::OpenedBench>(tl::unexpected(home.error()));
    if (!opened) return faults_->show(QFileInfo(path).fileName(), opened.error());
    arrivals_->show(std::move(opened->book), QFileInfo(path).fileName());
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
    useLighting(theme_, lightingOf(settings_));
    house_->restore();
}

void MainWindow::keepSettings() {
    settings_.setValue(kFileKey, QString::fromStdString(document_.path().string()));
    if (const TeamSpec* team = document_.team()) settings_.setValue(kTeamKey, qt(team->id));
    if (const Pattern* pattern = document_.pattern()) settings_.setValue(kDressingKey, qt(pattern->id));
    if (const WaterSpec* water = document_.water()) settings_.setValue(kWaterKey, qt(water->id));
    settings_.setValue(kGeometryKey, saveGeometry());
    settings_.setValue(kPlanLayoutKey, plan_->layoutState());
    settings_.setValue(kStationKey, qt(std::string(nameOf(station()))));
    settings_.sync();
}

void MainWindow::closeEvent(QCloseEvent* event) {
    endTyping();
    keepSettings();
    event->accept();
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls()) event->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* event) {
    const auto urls = event->mimeData()->urls();
    if (urls.isEmpty() || !urls.front().isLocalFile()) return;
    const QString file = urls.front().toLocalFile();
    if (document_.isOpen() && file.endsWith(QLatin1String(".json"))) return openInto(file);  // something that somebody shares
    for (const char* ending : {".txt", ".md"})
        if (document_.isOpen() && file.endsWith(QLatin1String(ending), Qt::CaseInsensitive)) return openRecipe(file);
    openFile(file);
}

// A text file is a recipe, read as it stands; one that is too long is said by the reader.
void MainWindow::openRecipe(const QString& path) {
    QFile file(path);
    if (!QFileInfo(path).isFile() || !file.open(QIODevice::ReadOnly))
        return document_.refuse(fail(Place(path.toStdString()), machair::say("expected a text file that can be read")).value());
    const QByteArray bytes = file.read(static_cast<qint64>(store::kLongestRecipe) + 1);
    recipe_->open(qt(store::decodeText({bytes.constData(), static_cast<std::size_t>(bytes.size())}).text));
}

}  // namespace machair::app
