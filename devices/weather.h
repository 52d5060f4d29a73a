// A weather station: something that sends what the air does. The form takes its readings with their age; nothing ever
// needs them.
#pragma once

#include <QDateTime>
#include <QObject>
#include <QString>
#include <optional>
#include <string_view>

#include "devices/line_socket.h"
#include "units/quantity.h"

namespace machair::devices {

struct Weather {
    Speed wind;
    double from = 0.0;              // degrees, where the wind comes from
    std::optional<double> celsius;  // of the water
    std::optional<QString> light;   // bright, cloud or dusk
};

// A line such as "wind 6.2 from 250 water 12.5 light cloud"; nothing where it is no such line.
[[nodiscard]] std::optional<Weather> parseWeather(std::string_view line);

class WeatherStation : public QObject {
    Q_OBJECT
  public:
    using QObject::QObject;
    virtual void connectNow() = 0;
    [[nodiscard]] virtual bool ready() const = 0;

  signals:
    void read(const machair::devices::Weather& weather);
    void stateChanged();
    void rubbish(const QString& line);
    void flooded();
};

class SocketWeatherStation : public WeatherStation {
    Q_OBJECT
  public:
    explicit SocketWeatherStation(QString socket = QStringLiteral("machair-weather"), QObject* parent = nullptr);
    void connectNow() override { socket_.connectNow(); }
    [[nodiscard]] bool ready() const override { return socket_.ready(); }

  private:
    LineSocket socket_;
};

}  // namespace machair::devices
