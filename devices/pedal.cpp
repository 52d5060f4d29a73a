#include "devices/pedal.h"

namespace machair::devices {

Pedal::Pedal(QString socket, QObject* parent) : QObject(parent), socket_(std::move(socket), 16) {
    connect(&socket_, &LineSocket::line, this, [this](const QByteArray& text) {
        if (text != "on" && text != "back") {
            if (socket_.nonsense()) emit rubbish(QString::fromUtf8(text));
            return;
        }
        socket_.sense();
        if (text == "on")
            emit on();
        else
            emit back();
    });
    connect(&socket_, &LineSocket::stateChanged, this, &Pedal::stateChanged);
    connect(&socket_, &LineSocket::flooded, this, &Pedal::flooded);
}

}  // namespace machair::devices
