// machair-pictures: pictures of the real window, for the README, the guide and whoever works on it. Not installed.
//
//   machair-pictures all FOLDER      every picture of docs/screenshots that is one of the window (tools/pictures)
//   machair-pictures FILE.png [--station NAME] [--team ID] [--dressing ID] [--part N] [--drawer ID] [--photo FILE]
//                             [--press NAME] [--recipe FILE] [--dark] [--size WxH]
//
// It waits for what is worked out in the background, not for seconds.
#include <QAbstractButton>
#include <QCommandLineParser>
#include <QDeadlineTimer>
#include <QFile>
#include <QFileInfo>
#include <QKeyEvent>
#include <QPainter>
#include <QSettings>
#include <QTemporaryDir>
#include <QTextStream>
#include <QTimeEdit>
#include <array>

#include "check/check_station.h"
#include "drawers/drawers_station.h"
#include "editing/background.h"
#include "frame/application.h"
#include "frame/bench_bar.h"
#include "frame/main_window.h"
#include "parts/motion.h"
#include "plan/ticket.h"
#include "theme/theme.h"

namespace {

using namespace machair::app;

struct Shot {
    QString file;
    QString station, team, dressing, drawer, photo, press, recipe;
    int part = -1;
    bool dark = false;
    bool doors = false;  // no book is open
    bool ask = false;    // the chosen part is asked for its number
    QSize size{1280, 800};
};

// Shown, and nothing works in the background any more.
void settle() {
    constexpr int kLongest = 60000, kQuiet = 250;  // ms
    const QDeadlineTimer longest(kLongest);
    QDeadlineTimer quiet(kQuiet);
    while (!longest.hasExpired() && !quiet.hasExpired()) {
        QApplication::processEvents(QEventLoop::AllEvents, 20);
        if (Background::anyRunning()) quiet.setRemainingTime(kQuiet);
    }
}

void press(MainWindow& window, const QString& name) {
    if (name == QLatin1String("finder")) return window.find();
    if (auto* button = window.findChild<QAbstractButton*>(name)) return button->click();
    if (auto* action = window.findChild<QAction*>(name)) action->trigger();
}

void arrange(MainWindow& window, const Shot& shot) {
    if (shot.dark) window.theme().light(machair::drawing::Bench::slate);
    if (shot.doors) return window.openLast();
    window.openFile(ownDemo());
    if (!shot.team.isEmpty()) window.document().chooseTeam(machair::TeamId(shot.team.toStdString()));
    if (const auto station = machair::fromName<Station>(shot.station.toStdString())) window.showStation(*station);
    if (!shot.dressing.isEmpty()) window.document().choosePattern(machair::DressingId(shot.dressing.toStdString()));
    if (shot.part >= 0) window.document().choosePart(static_cast<std::size_t>(shot.part));
    if (!shot.drawer.isEmpty()) {
        window.showStation(Station::drawers);
        for (const auto& drawer : drawers()) {
            window.drawers().open(drawer.drawer);
            if (window.drawers().choose(shot.drawer.toStdString())) break;
        }
    }
    if (!shot.photo.isEmpty()) {
        window.showStation(Station::check);
        window.findChild<CheckStation*>()->loadPhoto(QFileInfo(shot.photo).absoluteFilePath());
    }
    if (!shot.recipe.isEmpty()) emit window.findChild<BenchBar*>()->recipeOffered(shot.recipe);
}

bool take(const Shot& shot) {
    // Its settings go with it: a picture is made from what is asked for, not from how the window was left.
    const QTemporaryDir folder;
    QSettings none(folder.filePath(QStringLiteral("settings.ini")), QSettings::IniFormat);
    MainWindow window(none);
    keepStill(true);  // no fly half way to its depth
    window.resize(shot.size);
    arrange(window, shot);
    window.show();
    settle();
    for (const QString& name : shot.press.split(QLatin1Char(','), Qt::SkipEmptyParts)) {
        press(window, name);
        settle();
    }
    if (shot.ask) {
        QKeyEvent question(QEvent::KeyPress, Qt::Key_Question, Qt::ShiftModifier, QStringLiteral("?"));
        window.findChild<Ticket*>()->setFocus();
        window.activateWindow();
        settle();
        QApplication::sendEvent(window.findChild<Ticket*>(), &question);
        settle();
    }
    // The evening ends by the clock on the wall; in a picture that clock stands.
    if (auto* until = window.findChild<QTimeEdit*>(QStringLiteral("by-hour"))) until->setTime(QTime(22, 0));
    QPixmap picture = window.grab();
    QPainter painter(&picture);
    for (QWidget* dropped : QApplication::topLevelWidgets())  // sheets that are dropped down over it
        if (dropped != &window && dropped->isVisible())
            painter.drawPixmap(window.mapFromGlobal(dropped->mapToGlobal(QPoint())), dropped->grab());
    painter.end();
    const bool saved = picture.save(shot.file);
    QTextStream(saved ? stdout : stderr) << (saved ? "saved " : "could not write ") << shot.file << Qt::endl;
    return saved;
}

// The pictures that the README shows, of the demo.
std::vector<Shot> shipped(const QString& folder) {
    const auto to = [&](const char* name) { return folder + QLatin1Char('/') + QLatin1String(name) + QLatin1String(".png"); };
    const auto at = [&](const char* name, const char* station) {
        Shot shot;
        shot.file = to(name);
        shot.station = QLatin1String(station);
        return shot;
    };
    Shot doors = at("doors", "");
    doors.doors = true;
    Shot chooser = at("chooser", "plan");
    chooser.press = QStringLiteral("finder");
    Shot recipe = at("recipe", "plan");
    recipe.recipe = QStringLiteral(
        "Shore Ember\nHook: 10, wet\nThread: claret\nTail: tippet, three quarters of the shank\nRib: oval gold, 5 turns\n"
        "Body: magenta fur\nHackle: ginger hen, 2 turns, to the point\nWing: bronze flank\n");
    Shot sizes = at("sizes", "plan");
    sizes.press = QStringLiteral("sizes");
    Shot slips = at("cut-slips", "cut");
    slips.dressing = QStringLiteral("heather-tinker");
    slips.press = QStringLiteral("show-feathers");
    Shot tray = at("cut-tray", "cut");
    tray.dressing = QStringLiteral("heather-tinker");
    Shot photo = at("check-photo", "check");
    photo.photo = QStringLiteral("data/photographs/kelp-lantern-3.jpg");
    Shot balance = at("balance", "balance");
    balance.team = QStringLiteral("first-evening");
    balance.press = QStringLiteral("find");
    Shot drawers = at("drawers", "drawers");
    drawers.drawer = QStringLiteral("hen-soot");
    Shot house = at("house", "plan");
    house.press = QStringLiteral("house-wanted");
    Shot plan = at("plan-sand", "plan");
    Shot paper = at("paper", "daybook");
    paper.press = QStringLiteral("paper-wanted");
    return {doors,
            plan,
            chooser,
            recipe,
            sizes,
            tray,
            slips,
            photo,
            balance,
            at("drift", "drift"),
            at("water", "water"),
            at("evening", "evening"),
            at("daybook", "daybook"),
            drawers,
            house,
            paper};
}

Shot asked(const QApplication& application) {
    QCommandLineParser parser;
    parser.addHelpOption();
    parser.addPositionalArgument(QStringLiteral("FILE"), QStringLiteral("the picture, or `all FOLDER`"));
    Shot shot;
    const std::array<std::pair<const char*, QString*>, 7> texts = {{{"station", &shot.station},
                                                                    {"team", &shot.team},
                                                                    {"dressing", &shot.dressing},
                                                                    {"drawer", &shot.drawer},
                                                                    {"photo", &shot.photo},
                                                                    {"press", &shot.press},
                                                                    {"recipe", &shot.recipe}}};
    for (const auto& [name, value] : texts)
        parser.addOption({QLatin1String(name), QString(), QLatin1String(name)});
    parser.addOption({QStringLiteral("part"), QString(), QStringLiteral("N")});
    parser.addOption({QStringLiteral("size"), QString(), QStringLiteral("WxH"), QStringLiteral("1280x800")});
    parser.addOption(QCommandLineOption(QStringLiteral("dark")));
    parser.addOption(QCommandLineOption(QStringLiteral("doors")));
    parser.addOption(QCommandLineOption(QStringLiteral("ask")));
    parser.process(application);
    shot.file = parser.positionalArguments().value(0);
    for (const auto& [name, value] : texts)
        *value = parser.value(QLatin1String(name));
    if (QFile file(shot.recipe); !shot.recipe.isEmpty() && file.open(QIODevice::ReadOnly)) shot.recipe = QString::fromUtf8(file.readAll());
    if (parser.isSet(QStringLiteral("part"))) shot.part = parser.value(QStringLiteral("part")).toInt();
    shot.dark = parser.isSet(QStringLiteral("dark"));
    shot.doors = parser.isSet(QStringLiteral("doors"));
    shot.ask = parser.isSet(QStringLiteral("ask"));
    const QStringList sides = parser.value(QStringLiteral("size")).split(QLatin1Char('x'));
    shot.size = QSize(sides.value(0).toInt(), sides.value(1).toInt());
    return shot;
}

}  // namespace

int main(int argc, char** argv) {
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
    Application application(argc, argv);
    QApplication::setApplicationName(QStringLiteral("machair-pictures"));
    loadFace();
    const QStringList words = QApplication::arguments();
    bool all = true;
    if (words.value(1) == QLatin1String("all")) {
        for (const Shot& shot : shipped(words.value(2)))
            all = take(shot) && all;
    } else {
        all = take(asked(application));
    }
    return all ? 0 : 1;
}
