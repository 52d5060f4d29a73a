// machair: the window.
#include <QApplication>
#include <QCommandLineParser>
#include <QFileInfo>
#include <QIcon>
#include <QSettings>

#include "frame/application.h"
#include "frame/language.h"
#include "frame/main_window.h"
#include "store/about.h"
#include "theme/theme.h"

namespace {

struct Wanted {
    QString file;
    bool demo = false;
    QString station;
};

Wanted read(const QApplication& application) {
    QCommandLineParser parser;
    parser.setApplicationDescription(QObject::tr("Sizes traditional wet flies to the hook in the vice and weighs them as a team."));
    parser.addHelpOption();
    parser.addVersionOption();
    parser.addPositionalArgument(QStringLiteral("FILE"), QObject::tr("a bench book or bench file"), QStringLiteral("[FILE]"));
    const QCommandLineOption demo(QStringLiteral("demo"), QObject::tr("open the demo, Loch Skerrin"));
    const QCommandLineOption station(
        QStringLiteral("station"),
        QObject::tr("open this station: plan, cut, tie, check, balance, drift, water, evening, daybook or drawers"),
        QStringLiteral("NAME"));
    parser.addOptions({demo, station});
    parser.process(application);
    return {parser.positionalArguments().value(0), parser.isSet(demo), parser.value(station)};
}

}  // namespace

int main(int argc, char** argv) {
    machair::app::Application application(argc, argv);
    QApplication::setApplicationName(QStringLiteral("machair"));
    QApplication::setApplicationVersion(QString::fromStdString(machair::store::about()) + QStringLiteral(", Qt ") +
                                        QString::fromLatin1(qVersion()));
    QApplication::setDesktopFileName(QStringLiteral("machair"));
    QApplication::setWindowIcon(QIcon(QStringLiteral(":/icon/machair.svg")));
    const Wanted wanted = read(application);
    machair::app::loadFace();
    QSettings settings(QSettings::IniFormat, QSettings::UserScope, QStringLiteral("machair"), QStringLiteral("machair"));
    QByteArray place;
    while (true) {  // once more where the house chose another language: every word of a window is made with it
        machair::app::speak(machair::app::languageOf(settings));
        machair::app::MainWindow window(settings);
        const bool again = !place.isEmpty();
        if (wanted.demo && !again)
            window.openFile(machair::app::ownDemo());
        else if (!wanted.file.isEmpty() && !again)
            window.openFile(QFileInfo(wanted.file).absoluteFilePath());
        else
            window.openLast();
        const auto station = machair::fromName<machair::app::Station>(wanted.station.toStdString());
        if (station && !again) window.showStation(*station);
        if (again) window.restoreGeometry(place);
        window.show();
        const int ended = QApplication::exec();
        if (ended != machair::app::kBeginAgain) return ended;
        place = window.saveGeometry();
        QApplication::setQuitOnLastWindowClosed(false);
        window.close();  // what was being typed is kept
        QApplication::setQuitOnLastWindowClosed(true);
    }
}
