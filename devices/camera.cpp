#include "devices/camera.h"

namespace machair::devices {

namespace {

constexpr qint64 kLongestPath = 4096;

}  // namespace

Camera::Camera(QString socket, QObject* parent) : QObject(parent), socket_(std::move(socket), kLongestPath) {
    connect(&socket_, &LineSocket::line, this, [this](const QByteArray& text) {
        const QString path = QString::fromUtf8(text).trimmed();
        if (path.startsWith(QLatin1Char('/'))) {
            socket_.sense();
            emit taken(path);
        } else if (socket_.nonsense()) {
            emit rubbish(path);
        }
    });
    connect(&socket_, &LineSocket::flooded, this, &Camera::flooded);
    connect(&socket_, &LineSocket::stateChanged, this, &Camera::stateChanged);
}

}  // namespace machair::devices
