// All devices in one place: each is connected to once, whoever shows what it says. What a reading is for is decided by who
// asked (the window, by who has the focus), never by who happens to listen.
#pragma once

#include <QDateTime>
#include <QObject>
#include <memory>
#include <vector>

#include "devices/calliper.h"
#include "devices/camera.h"
#include "devices/pedal.h"
#include "devices/weather.h"

namespace machair::devices {

class Hub : public QObject {
    Q_OBJECT
  public:
    explicit Hub(QObject* parent = nullptr);
    ~Hub() override;

    // Looks for those that are not there; quick, and safe to ask often.
    void connectNow();
    // Other ones than the local sockets of the usual names.
    void useCalliper(std::unique_ptr<Calliper> calliper);
    void useWeather(std::unique_ptr<WeatherStation> weather);
    void usePedal(std::unique_ptr<Pedal> pedal);
    void useCamera(std::unique_ptr<Camera> camera);
    [[nodiscard]] bool calliperReady() const { return calliper_->state() == CalliperState::ready; }
    [[nodiscard]] bool weatherReady() const { return weather_->ready(); }
    [[nodiscard]] bool cameraReady() const { return camera_->ready(); }
    [[nodiscard]] bool pedalReady() const { return pedal_->ready(); }
    // What each said last and when, in the order of their coming; rubbish too.
    struct LastSaid {
        QString device, words;
        QDateTime at;
    };
    [[nodiscard]] const std::vector<LastSaid>& lastSaid() const { return lastSaid_; }

  signals:
    void lengthRead(double millimetres);
    void weatherRead(const machair::devices::Weather& weather);
    void pedalOn();
    void pedalBack();
    void photoTaken(const QString& file);
    void changed();                                            // one of them came or went
    void rubbish(const QString& device, const QString& line);  // once, until it sends sense again
    void flooded(const QString& device);                       // more than a hand can send: the rest is dropped

  private:
    template <class Device>
    void watch(Device& device, const QString& name);
    void note(const QString& device, const QString& words);
    std::vector<LastSaid> lastSaid_;
    std::unique_ptr<Calliper> calliper_;
    std::unique_ptr<WeatherStation> weather_;
    std::unique_ptr<Pedal> pedal_;
    std::unique_ptr<Camera> camera_;
};

}  // namespace machair::devices
