#include "devices/pedal.h"

namespace machair::devices {

Pedal::Pedal(QString socket, QObject* parent) : QObject(parent), socket_(std::move(socket), 16) {
    connect(&socket_, &LineSocket::line, this, [this](const QByteArray& text) {
        if (text == "on") emit on();
        if (text == "back") emit back();
    });
}

}  // namespace machair::devices
