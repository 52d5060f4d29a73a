#include "devices/hub.h"

#include <QFileInfo>
#include <algorithm>
#include <cmath>

#include "units/text.h"

namespace machair::devices {

Hub::Hub(QObject* parent) : QObject(parent) {
    useCalliper(std::make_unique<SocketCalliper>());
    useWeather(std::make_unique<SocketWeatherStation>());
    usePedal(std::make_unique<Pedal>());
    useCamera(std::make_unique<Camera>());
}

Hub::~Hub() {
    for (QObject* device : std::initializer_list<QObject*>{calliper_.get(), weather_.get(), pedal_.get(), camera_.get()})
        device->disconnect(this);
}

void Hub::connectNow() {
    calliper_->connectNow();
    weather_->connectNow();
    pedal_->connectNow();
    camera_->connectNow();
}

void Hub::note(const QString& device, const QString& words) {
    auto said = std::ranges::find(lastSaid_, device, &LastSaid::device);
    if (said == lastSaid_.end()) said = lastSaid_.insert(lastSaid_.end(), {device, {}, {}});
    said->words = words;
    said->at = QDateTime::currentDateTime();
    emit changed();
}

template <class Device>
void Hub::watch(Device& device, const QString& name) {
    connect(&device, &Device::stateChanged, this, &Hub::changed);
    connect(&device, &Device::rubbish, this, [this, name](const QString& line) {
        constexpr qsizetype kShown = 40;
        note(name, tr("what means nothing: \"%1\"").arg(line.left(kShown)));
        emit rubbish(name, line);
    });
    connect(&device, &Device::flooded, this, [this, name] { emit flooded(name); });
    device.connectNow();
    emit changed();
}

void Hub::useCalliper(std::unique_ptr<Calliper> calliper) {
    calliper_ = std::move(calliper);
    connect(calliper_.get(), &Calliper::read, this, [this](double millimetres) {
        note(tr("calliper"), QString::fromStdString(formatLength(millimetres * mm, LengthUnit::millimetres, 2)));
        emit lengthRead(millimetres);
    });
    watch(*calliper_, tr("calliper"));
}

void Hub::useWeather(std::unique_ptr<WeatherStation> weather) {
    weather_ = std::move(weather);
    connect(weather_.get(), &WeatherStation::read, this, [this](const Weather& said) {
        note(tr("weather station"), tr("wind %1 m/s from %2°")
                                        .arg(QString::fromStdString(formatNumber(said.wind / metrePerSecond, 1)))
                                        .arg(std::lround(said.from)));
        emit weatherRead(said);
    });
    watch(*weather_, tr("weather station"));
}

void Hub::usePedal(std::unique_ptr<Pedal> pedal) {
    pedal_ = std::move(pedal);
    connect(pedal_.get(), &Pedal::on, this, [this] {
        note(tr("pedal"), tr("on"));
        emit pedalOn();
    });
    connect(pedal_.get(), &Pedal::back, this, [this] {
        note(tr("pedal"), tr("back"));
        emit pedalBack();
    });
    watch(*pedal_, tr("pedal"));
}

void Hub::useCamera(std::unique_ptr<Camera> camera) {
    camera_ = std::move(camera);
    connect(camera_.get(), &Camera::taken, this, [this](const QString& file) {
        note(tr("camera"), QFileInfo(file).fileName());
        emit photoTaken(file);
    });
    watch(*camera_, tr("camera"));
}

}  // namespace machair::devices
