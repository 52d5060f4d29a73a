// A stand-in for a foot pedal: Enter is the pedal pressed, "b" and Enter is back.
#include <QCommandLineParser>
#include <QCoreApplication>
#include <QSocketNotifier>
#include <cstdio>
#include <iostream>
#include <string>

#include "devices/stand-ins/line_server.h"

int main(int argc, char** argv) {
    QCoreApplication application(argc, argv);
    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral("A simulated foot pedal: Enter presses it, b and Enter goes back."));
    parser.addHelpOption();
    const QCommandLineOption socket(QStringLiteral("socket"), QStringLiteral("its name"), QStringLiteral("NAME"),
                                    QStringLiteral("machair-pedal"));
    parser.addOption(socket);
    parser.process(application);
    LineServer server(parser.value(socket));
    if (!server.listening()) return 1;
    QSocketNotifier typed(fileno(stdin), QSocketNotifier::Read);
    QObject::connect(&typed, &QSocketNotifier::activated, &typed, [&] {
        std::string line;
        if (!std::getline(std::cin, line)) return QCoreApplication::quit();
        server.send(line.starts_with('b') ? "back\n" : "on\n");
    });
    return QCoreApplication::exec();
}
