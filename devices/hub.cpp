#include "devices/hub.h"

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

template <class Device>
void Hub::watch(Device& device, const QString& name) {
    connect(&device, &Device::stateChanged, this, &Hub::changed);
    connect(&device, &Device::rubbish, this, [this, name](const QString& line) { emit rubbish(name, line); });
    connect(&device, &Device::flooded, this, [this, name] { emit flooded(name); });
    device.connectNow();
    emit changed();
}

void Hub::useCalliper(std::unique_ptr<Calliper> calliper) {
    calliper_ = std::move(calliper);
    connect(calliper_.get(), &Calliper::read, this, &Hub::lengthRead);
    watch(*calliper_, tr("calliper"));
}

void Hub::useWeather(std::unique_ptr<WeatherStation> weather) {
    weather_ = std::move(weather);
    connect(weather_.get(), &WeatherStation::read, this, &Hub::weatherRead);
    watch(*weather_, tr("weather station"));
}

void Hub::usePedal(std::unique_ptr<Pedal> pedal) {
    pedal_ = std::move(pedal);
    connect(pedal_.get(), &Pedal::on, this, &Hub::pedalOn);
    connect(pedal_.get(), &Pedal::back, this, &Hub::pedalBack);
    watch(*pedal_, tr("pedal"));
}

void Hub::useCamera(std::unique_ptr<Camera> camera) {
    camera_ = std::move(camera);
    connect(camera_.get(), &Camera::taken, this, &Hub::photoTaken);
    watch(*camera_, tr("camera"));
}

}  // namespace machair::devices
