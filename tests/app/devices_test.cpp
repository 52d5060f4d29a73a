// The stand-ins' protocols: what is read, what is refused, and that a device that dies hurts nothing.
#include "devices/pedal.h"

#include <QLocalServer>
#include <QLocalSocket>
#include <QProcess>
#include <QTest>
#include <catch2/catch.hpp>

#include "devices/calliper.h"
#include "devices/weather.h"
#include "frame/main_window.h"
#include "tests/app/window.h"
#include "tie/tie_station.h"

using namespace machair;
using namespace machair::devices;

namespace {

class Server {
  public:
    explicit Server(const char* name)
        : name_(QStringLiteral("%1-%2").arg(QString::fromLatin1(name)).arg(QCoreApplication::applicationPid())) {
        QLocalServer::removeServer(socketPath(name_));
        REQUIRE(server_.listen(socketPath(name_)));
    }
    [[nodiscard]] const QString& name() const { return name_; }
    void say(const QByteArray& bytes) {
        if (!one_) {
            REQUIRE(QTest::qWaitFor([&] { return server_.hasPendingConnections(); }, 20000));
            one_ = server_.nextPendingConnection();
        }
        one_->write(bytes);
        one_->flush();
    }
    void die() {
        delete one_;
        one_ = nullptr;
        server_.close();
    }

  private:
    QString name_;
    QLocalServer server_;
    QLocalSocket* one_ = nullptr;
};

}  // namespace

TEST_CASE("a line of weather is read whole or not at all") {
    const auto weather = parseWeather("wind 6.2 from 250 water 12.5 light cloud");
    REQUIRE(weather);
    CHECK(weather->wind == 6.2 * metrePerSecond);
    CHECK(weather->from == 250.0);
    CHECK(weather->celsius == 12.5);
    CHECK(*weather->light == QStringLiteral("cloud"));
    CHECK(parseWeather("wind 0"));
    for (const char* bad : {"", "wind", "wind six", "wind -1", "wind 99", "from 250", "wind 5 from 400", "wind 5 light purple",
                            "wind 5 water 90", "wind nan", "wind 5 tide 3"}) {
        CAPTURE(bad);
        CHECK_FALSE(parseWeather(bad));
    }
}

TEST_CASE("the pedal goes on and back, and takes nothing else") {
    Server server("machair-pedal-test");
    Pedal pedal(server.name());
    int on = 0, back = 0;
    QObject::connect(&pedal, &Pedal::on, &pedal, [&] { ++on; });
    QObject::connect(&pedal, &Pedal::back, &pedal, [&] { ++back; });
    pedal.connectNow();
    server.say("on\nstamp\nback\non\n");
    REQUIRE(QTest::qWaitFor([&] { return on == 2 && back == 1; }, 20000));
    server.die();
    REQUIRE(QTest::qWaitFor([&] { return !pedal.ready(); }, 20000));
    pedal.connectNow();  // nobody there: nothing happens
    QTest::qWait(20);
    CHECK_FALSE(pedal.ready());
}

TEST_CASE("noise without an end comes in pieces and is said to be rubbish") {
    Server server("machair-calliper-test");
    SocketCalliper calliper(server.name());
    int readings = 0, rubbish = 0;  // rubbish is news once, and again after sense
    QObject::connect(&calliper, &Calliper::read, &calliper, [&](double) { ++readings; });
    QObject::connect(&calliper, &Calliper::rubbish, &calliper, [&] { ++rubbish; });
    calliper.connectNow();
    server.say(QByteArray(500, 'x'));
    REQUIRE(QTest::qWaitFor([&] { return rubbish == 1; }, 20000));
    server.say("\n11.6 mm\n-3\n2000\n");
    REQUIRE(QTest::qWaitFor([&] { return readings == 1 && rubbish == 2; }, 20000));
    server.die();
}

TEST_CASE("three readings have a mean and a spread, one has none") {
    CHECK(summary({}).count == 0);
    CHECK(summary({5.0 * mm}).spread == 0.0 * mm);
    const Readings three = summary({5.0 * mm, 6.0 * mm, 7.0 * mm});
    CHECK(three.mean / mm == Approx(6.0));
    CHECK(three.spread / mm == Approx(1.0));
}

TEST_CASE("the weather stand-in tells a plausible day") {
    const QString name = QStringLiteral("machair-weather-run-%1").arg(QCoreApplication::applicationPid());
    QProcess program;
    program.start(QFileInfo(QStringLiteral(MACHAIR_CALLIPER)).dir().filePath(QStringLiteral("machair-weather")),
                  {QStringLiteral("--socket"), name, QStringLiteral("--every"), QStringLiteral("20")});
    REQUIRE(program.waitForStarted(5000));
    SocketWeatherStation station(name);
    std::vector<Weather> day;
    QObject::connect(&station, &WeatherStation::read, &station, [&](const Weather& weather) { day.push_back(weather); });
    REQUIRE(QTest::qWaitFor(
        [&] {
            station.connectNow();
            return station.ready();
        },
        20000));
    REQUIRE(QTest::qWaitFor([&] { return day.size() >= 12; }, 10000));
    for (const Weather& weather : day) {
        CHECK(weather.wind >= Speed{});
        CHECK(weather.wind < 15.0 * metrePerSecond);
        CHECK(weather.celsius.has_value());
    }
    program.kill();
    program.waitForFinished(3000);
}
