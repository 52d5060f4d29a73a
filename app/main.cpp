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
    int ended = 0;
    do {  // once more where the house chose another language: every word of a window is made with it
        machair::app::speak(machair::app::languageOf(settings));
        machair::app::MainWindow window(settings);
        if (wanted.demo)
            window.openFile(machair::app::ownDemo());
        else if (!wanted.file.isEmpty())
            window.openFile(QFileInfo(wanted.file).absoluteFilePath());
        else
            window.openLast();
        if (const auto station = machair::fromName<machair::app::Station>(wanted.station.toStdString())) window.showStation(*station);
        window.show();
        ended = QApplication::exec();
    } while (ended == machair::app::kBeginAgain);
    return ended;
}
