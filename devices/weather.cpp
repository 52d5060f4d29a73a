#include "devices/weather.h"

#include <QStringList>

#include "units/text.h"

namespace machair::devices {

std::optional<Weather> parseWeather(std::string_view line) {
    const QStringList words = QString::fromUtf8(line.data(), static_cast<qsizetype>(line.size())).simplified().split(QLatin1Char(' '));
    if (words.size() % 2 != 0) return std::nullopt;
    Weather weather;
    bool wind = false;
    for (qsizetype i = 0; i + 1 < words.size(); i += 2) {
        const QString& key = words[i];
        if (key == QLatin1String("light")) {
            if (words[i + 1] != QLatin1String("bright") && words[i + 1] != QLatin1String("cloud") && words[i + 1] != QLatin1String("dusk"))
                return std::nullopt;
            weather.light = words[i + 1];
            continue;
        }
        const auto value = parseNumber(words[i + 1].toStdString());
        constexpr double kMostWind = 60.0, kWarmest = 40.0, kRound = 360.0;
        if (!value || *value < 0.0) return std::nullopt;
        if (key == QLatin1String("wind") && *value <= kMostWind) {
            weather.wind = *value * metrePerSecond;
            wind = true;
        } else if (key == QLatin1String("from") && *value <= kRound) {
            weather.from = *value;
        } else if (key == QLatin1String("water") && *value <= kWarmest) {
            weather.celsius = *value;
        } else {
            return std::nullopt;
        }
    }
    return wind ? std::optional(weather) : std::nullopt;
}

SocketWeatherStation::SocketWeatherStation(QString socket, QObject* parent) : WeatherStation(parent), socket_(std::move(socket), 160) {
    connect(&socket_, &LineSocket::stateChanged, this, &WeatherStation::stateChanged);
    connect(&socket_, &LineSocket::flooded, this, &WeatherStation::flooded);
    connect(&socket_, &LineSocket::line, this, [this](const QByteArray& line) {
        if (const auto weather = parseWeather(std::string_view(line.constData(), static_cast<std::size_t>(line.size())))) {
            socket_.sense();
            emit read(*weather);
        } else if (socket_.nonsense()) {
            emit rubbish(QString::fromUtf8(line));
        }
    });
}

}  // namespace machair::devices
