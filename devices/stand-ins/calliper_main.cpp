// A stand-in for a calliper: sends readings to whoever listens on its local socket, with the noise of a hand.
//
//   machair-calliper                 each line typed (a true length in mm) is sent once, as read
//   machair-calliper --hold 11.6     sends that length as read, again and again
#include <QCommandLineParser>
#include <QCoreApplication>
#include <QSocketNotifier>
#include <QTimer>
#include <cstdio>
#include <iostream>
#include <random>
#include <string>

#include "devices/stand-ins/line_server.h"

int main(int argc, char** argv) {
    QCoreApplication application(argc, argv);
    QCommandLineParser parser;
    parser.setApplicationDescription(
        QStringLiteral("A simulated calliper: type a true length in mm and Enter; it is sent as a hand would read it."));
    parser.addHelpOption();
    const QCommandLineOption hold(QStringLiteral("hold"), QStringLiteral("send this length on and on"), QStringLiteral("MM"));
    const QCommandLineOption every(QStringLiteral("every"), QStringLiteral("milliseconds between"), QStringLiteral("MS"),
                                   QStringLiteral("800"));
    const QCommandLineOption noise(QStringLiteral("noise"), QStringLiteral("standard deviation of a reading, mm"), QStringLiteral("MM"),
                                   QStringLiteral("0.03"));
    const QCommandLineOption seed(QStringLiteral("seed"), QStringLiteral("of the noise"), QStringLiteral("N"), QStringLiteral("1"));
    const QCommandLineOption socket(QStringLiteral("socket"), QStringLiteral("its name"), QStringLiteral("NAME"),
                                    QStringLiteral("machair-calliper"));
    parser.addOptions({hold, every, noise, seed, socket});
    parser.process(application);

    LineServer server(parser.value(socket));
    if (!server.listening()) return 1;
    std::mt19937 random(parser.value(seed).toUInt());
    std::normal_distribution<double> hand(0.0, parser.value(noise).toDouble());
    const auto send = [&](double length) { server.send(QByteArray::number(length + hand(random), 'f', 2) + " mm\n"); };
    QTimer timer;
    QSocketNotifier typed(fileno(stdin), QSocketNotifier::Read);
    if (parser.isSet(hold)) {
        typed.setEnabled(false);
        QObject::connect(&timer, &QTimer::timeout, &timer, [&] { send(parser.value(hold).toDouble()); });
        timer.start(parser.value(every).toInt());
    } else
        QObject::connect(&typed, &QSocketNotifier::activated, &typed, [&] {
            std::string line;
            if (!std::getline(std::cin, line)) return QCoreApplication::quit();
            bool number = false;
            const double length = QString::fromStdString(line).toDouble(&number);
            if (number) send(length);
        });
    return QCoreApplication::exec();
}
