// A stand-in for a camera over the vice: each Enter renders a photograph of a dressing, as a hand would tie it and a lamp
// light it, and sends its file to whoever listens on its local socket. With --count it only writes the files.
//
//   machair-camera BENCHFILE --pattern kelp-lantern
#include <QCommandLineParser>
#include <QDir>
#include <QFile>
#include <QGuiApplication>
#include <QSocketNotifier>
#include <cstdio>
#include <iostream>
#include <string>

#include "book/spec_words.h"
#include "devices/stand-ins/line_server.h"
#include "drawing/photograph.h"
#include "store/home.h"

namespace {

using namespace machair;

// The dressing as a hand ties it: its tail a little off.
Book tiedByHand(const Book& book, const std::string& pattern, double off) {
    Book tied = book;
    for (Part& part : tied.findPattern(DressingId(pattern))->parts)
        if (auto* tail = std::get_if<TailPart>(&part.detail))
            if (auto* ratio = std::get_if<Ratio>(&tail->length.value)) ratio->ratio *= 1.0 + off;
    return tied;
}

int complain(const Faults& faults) {
    for (const Fault& fault : faults)
        std::cerr << fault.line() << "\n";
    return 1;
}

// What it photographs, and how it calls the pictures.
struct Camera {
    Plan plan;
    QString dressing;
    QDir folder;
    std::uint64_t shot;

    // The file of the next picture; empty where it couldn't be written, which is said.
    QString take() {
        const QString file = folder.absoluteFilePath(QStringLiteral("%1-%2.jpg").arg(dressing).arg(shot));
        constexpr int kQuality = 88;
        if (!drawing::photographOf(plan, drawing::someSetting(shot++)).image.save(file, "JPG", kQuality)) {
            std::cerr << file.toStdString() << ": can't be written\n";
            return {};
        }
        std::cout << file.toStdString() << std::endl;
        return file;
    }
};

// A picture for each Enter, told to whoever listens.
int photographOnEnter(Camera& camera, const QString& socket) {
    LineServer server(socket);
    if (!server.listening()) return 1;
    QSocketNotifier typed(fileno(stdin), QSocketNotifier::Read);
    QObject::connect(&typed, &QSocketNotifier::activated, &typed, [&] {
        std::string line;
        if (!std::getline(std::cin, line)) return QCoreApplication::quit();
        if (const QString file = camera.take(); !file.isEmpty()) server.send(file.toUtf8() + "\n");
    });
    return QCoreApplication::exec();
}

}  // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QGuiApplication application(argc, argv);
    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral("A simulated camera: Enter takes a photograph of the dressing."));
    parser.addHelpOption();
    const QCommandLineOption pattern(QStringLiteral("pattern"), QStringLiteral("the dressing in the vice"), QStringLiteral("ID"),
                                     QStringLiteral("kelp-lantern"));
    const QCommandLineOption out(QStringLiteral("out"), QStringLiteral("folder for the pictures"), QStringLiteral("FOLDER"),
                                 QDir::tempPath());
    const QCommandLineOption count(QStringLiteral("count"), QStringLiteral("write so many and end"), QStringLiteral("N"));
    const QCommandLineOption seed(QStringLiteral("seed"), QStringLiteral("of hand and lamp"), QStringLiteral("N"), QStringLiteral("1"));
    const QCommandLineOption off(QStringLiteral("off"), QStringLiteral("how much too long the tail is tied, a share"),
                                 QStringLiteral("SHARE"), QStringLiteral("0.08"));
    const QCommandLineOption socket(QStringLiteral("socket"), QStringLiteral("its name"), QStringLiteral("NAME"),
                                    QStringLiteral("machair-camera"));
    parser.addOptions({pattern, out, count, seed, off, socket});
    parser.addPositionalArgument(QStringLiteral("bench"), QStringLiteral("a bench book or bench file"));
    parser.process(application);
    if (parser.positionalArguments().size() != 1) parser.showHelp(2);
    const auto opened = store::readBook(parser.positionalArguments().front().toStdString());
    if (!opened) return complain(opened.error());
    const std::string id = parser.value(pattern).toStdString();
    if (!opened->book.findPattern(DressingId(id))) return complain(noSuch(Place("patterns"), "dressing", id).value());
    const auto plan = planPattern(tiedByHand(opened->book, id, parser.value(off).toDouble()), DressingId(id));
    if (!plan) return complain(plan.error());
    Camera camera{*plan, QString::fromStdString(id), QDir(parser.value(out)), parser.value(seed).toULongLong()};
    if (!parser.isSet(count)) return photographOnEnter(camera, parser.value(socket));
    for (int i = 0; i < parser.value(count).toInt(); ++i)
        if (camera.take().isEmpty()) return 1;
    return 0;
}
