// A stand-in for a weather station: a plausible day on its local socket, an hour of it in each reading.
#include <QCommandLineParser>
#include <QCoreApplication>
#include <QTimer>
#include <cmath>
#include <numbers>
#include <random>

#include "devices/stand-ins/line_server.h"

int main(int argc, char** argv) {
    QCoreApplication application(argc, argv);
    QCommandLineParser parser;
    parser.setApplicationDescription(
        QStringLiteral("A simulated weather station: wind, its direction, the water's temperature and the light of a day by the sea."));
    parser.addHelpOption();
    const QCommandLineOption every(QStringLiteral("every"), QStringLiteral("milliseconds between readings"), QStringLiteral("MS"),
                                   QStringLiteral("2000"));
    const QCommandLineOption seed(QStringLiteral("seed"), QStringLiteral("of the day"), QStringLiteral("N"), QStringLiteral("1"));
    const QCommandLineOption socket(QStringLiteral("socket"), QStringLiteral("its name"), QStringLiteral("NAME"),
                                    QStringLiteral("machair-weather"));
    parser.addOptions({every, seed, socket});
    parser.process(application);
    std::mt19937 random(parser.value(seed).toUInt());
    std::normal_distribution<double> gust(0.0, 0.6), veer(0.0, 8.0);
    double hour = 8.0;
    const auto reading = [&] {
        // A sea breeze that gets up through the day and dies at dusk.
        const double sun = std::max(0.0, std::sin(std::numbers::pi * (hour - 5.0) / 17.0));
        const double wind = std::max(0.0, 2.0 + 6.0 * sun + gust(random));
        const QString light = hour > 21.0 || hour < 5.0 ? QStringLiteral("dusk")
                              : sun > 0.85              ? QStringLiteral("bright")
                                                        : QStringLiteral("cloud");
        const QByteArray line = QStringLiteral("wind %1 from %2 water %3 light %4\n")
                                    .arg(wind, 0, 'f', 1)
                                    .arg(std::fmod(250.0 + 2.0 * (hour - 8.0) + veer(random) + 360.0, 360.0), 0, 'f', 0)
                                    .arg(11.0 + 2.0 * sun, 0, 'f', 1)
                                    .arg(light)
                                    .toUtf8();
        hour = std::fmod(hour + 1.0, 24.0);
        return line;
    };
    LineServer server(parser.value(socket), reading);
    if (!server.listening()) return 1;
    QTimer timer;
    QObject::connect(&timer, &QTimer::timeout, &timer, [&] { server.send(reading()); });
    timer.start(parser.value(every).toInt());
    return QCoreApplication::exec();
}
