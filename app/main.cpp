#include <QAbstractButton>
#include <QApplication>
#include <QCommandLineParser>
#include <QFileInfo>
#include <QIcon>
#include <QSettings>
#include <QTemporaryDir>
#include <QTextStream>
#include <QTimer>
#include <algorithm>
#include <string_view>

#include "check/check_station.h"
#include "drawers/drawers_station.h"
#include "frame/application.h"
#include "frame/main_window.h"
#include "theme/theme.h"

namespace {

struct Wanted {
    QString file;
    QString picture;
    QString dressing;
    QSize size;
    bool demo = false;
    bool dark = false;
    bool sizes = false;
    QString drawer;
    QString station;
    QString team;
    QString photo;
    QString press;
    int part = -1;
};

Wanted read(const QApplication& application) {
    QCommandLineParser parser;
    parser.setApplicationDescription(QObject::tr("Sizes traditional wet flies to the hook in the vice and weighs them as a team."));
    parser.addHelpOption();
    parser.addVersionOption();
    parser.addPositionalArgument(QStringLiteral("FILE"), QObject::tr("a bench file, *.machair.json"), QStringLiteral("[FILE]"));
    const QCommandLineOption demo(QStringLiteral("demo"), QObject::tr("open the demo, Loch Skerrin"));
    const QCommandLineOption picture(QStringLiteral("picture"), QObject::tr("save a picture of the window and leave"),
                                     QStringLiteral("FILE.png"));
    const QCommandLineOption dressing(QStringLiteral("dressing"), QObject::tr("put this dressing on the bench"), QStringLiteral("ID"));
    const QCommandLineOption dark(QStringLiteral("dark"), QObject::tr("on the dark bench"));
    const QCommandLineOption part(QStringLiteral("part"), QObject::tr("open this part's line in the ticket, from 0"), QStringLiteral("N"));
    const QCommandLineOption size(QStringLiteral("size"), QObject::tr("the window's size for a picture"), QStringLiteral("WxH"),
                                  QStringLiteral("1280x800"));
    const QCommandLineOption sizes(QStringLiteral("sizes"), QObject::tr("the dressing across sizes"));
    const QCommandLineOption drawer(QStringLiteral("drawer"), QObject::tr("open the drawers at this thing"), QStringLiteral("ID"));
    const QCommandLineOption station(
        QStringLiteral("station"),
        QObject::tr("open this station: plan, cut, tie, check, balance, drift, water, evening, daybook or drawers"),
        QStringLiteral("NAME"));
    const QCommandLineOption team(QStringLiteral("team"), QObject::tr("hang this team on the cast"), QStringLiteral("ID"));
    const QCommandLineOption photo(QStringLiteral("photo"), QObject::tr("check the fly on this photograph"), QStringLiteral("FILE"));
    const QCommandLineOption press(QStringLiteral("press"), QObject::tr("press the button of this name once the window is open"),
                                   QStringLiteral("NAME"));
    parser.addOptions({photo, press, station, team, drawer, sizes, demo, picture, dressing, dark, part, size});
    parser.process(application);
    Wanted wanted;
    wanted.file = parser.positionalArguments().value(0);
    wanted.picture = parser.value(picture);
    wanted.dressing = parser.value(dressing);
    wanted.demo = parser.isSet(demo);
    wanted.dark = parser.isSet(dark);
    wanted.drawer = parser.value(drawer);
    wanted.station = parser.value(station);
    wanted.photo = parser.value(photo);
    wanted.press = parser.value(press);
    wanted.team = parser.value(team);
    wanted.sizes = parser.isSet(sizes);
    if (parser.isSet(part)) wanted.part = parser.value(part).toInt();
    const QStringList sides = parser.value(size).split(QLatin1Char('x'));
    wanted.size = QSize(sides.value(0).toInt(), sides.value(1).toInt());
    return wanted;
}

int savePicture(machair::app::MainWindow& window, const QString& file) {
    const bool saved = window.grab().save(file);
    QTextStream(saved ? stdout : stderr) << (saved ? QObject::tr("saved %1").arg(file) : QObject::tr("%1 could not be written").arg(file))
                                         << Qt::endl;
    return saved ? 0 : 1;
}

}  // namespace

int main(int argc, char** argv) {
    // A picture needs no screen.
    const bool pictured = std::any_of(argv, argv + argc, [](const char* word) { return std::string_view(word).starts_with("--picture"); });
    if (pictured && qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
    machair::app::Application application(argc, argv);
    QApplication::setApplicationName(QStringLiteral("machair"));
    QApplication::setApplicationVersion(QStringLiteral(MACHAIR_VERSION));
    QApplication::setWindowIcon(QIcon(QStringLiteral(":/icon/machair.svg")));
    const Wanted wanted = read(application);
    machair::app::loadFace();
    QSettings settings(QSettings::IniFormat, QSettings::UserScope, QStringLiteral("machair"), QStringLiteral("machair"));
    // A picture is made from what is asked for, not from how the window was left.
    // Its settings go with it. (Never a device: settings are written by putting a file in the place of the old one.)
    const QTemporaryDir folder;
    QSettings none(folder.filePath(QStringLiteral("settings.ini")), QSettings::IniFormat);
    machair::app::MainWindow window(wanted.picture.isEmpty() ? settings : none);
    if (wanted.dark) window.theme().light(machair::drawing::Bench::slate);
    if (wanted.demo)
        window.openFile(machair::app::ownDemo());
    else if (!wanted.file.isEmpty())
        window.openFile(QFileInfo(wanted.file).absoluteFilePath());
    else
        window.openLast();
    if (!wanted.team.isEmpty()) window.document().chooseTeam(wanted.team.toStdString());
    if (const auto station = machair::fromName<machair::app::Station>(wanted.station.toStdString())) window.showStation(*station);
    if (!wanted.dressing.isEmpty()) window.document().choosePattern(wanted.dressing.toStdString());
    if (wanted.part >= 0) window.document().choosePart(static_cast<std::size_t>(wanted.part));
    if (!wanted.drawer.isEmpty()) {
        window.showStation(machair::app::Station::drawers);
        for (const auto& drawer : machair::app::drawers()) {
            window.drawers().open(drawer.drawer);
            if (window.drawers().choose(wanted.drawer.toStdString())) break;
        }
    }
    if (wanted.sizes) window.findChild<QAbstractButton*>(QStringLiteral("sizes"))->setChecked(true);
    if (!wanted.photo.isEmpty()) {
        window.showStation(machair::app::Station::check);
        window.findChild<machair::app::CheckStation*>()->loadPhoto(QFileInfo(wanted.photo).absoluteFilePath());
    }
    if (auto* button = wanted.press.isEmpty() ? nullptr : window.findChild<QAbstractButton*>(wanted.press)) button->click();
    if (!wanted.picture.isEmpty()) {
        window.resize(wanted.size);
        window.show();
        int result = 1;
        // Stations that work on a thread get the time to; Balance is asked for its proposals.
        const bool balance = window.station() == machair::app::Station::balance;
        if (balance) window.findChild<QAbstractButton*>(QStringLiteral("find"))->click();
        QTimer::singleShot(balance                    ? 8000
                           : !wanted.photo.isEmpty()  ? 3000
                           : wanted.station.isEmpty() ? 200
                                                      : 1500,
                           &window, [&] {
                               result = savePicture(window, wanted.picture);
                               QApplication::exit(result);
                           });
        QApplication::exec();
        return result;
    }
    window.show();
    return QApplication::exec();
}
