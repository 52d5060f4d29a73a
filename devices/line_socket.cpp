#include "devices/line_socket.h"

namespace machair::devices {

LineSocket::LineSocket(QString name, qint64 longest, QObject* parent) : QObject(parent), name_(std::move(name)), longest_(longest) {
    connect(&socket_, &QLocalSocket::readyRead, this, &LineSocket::takeLines);
    connect(&socket_, &QLocalSocket::stateChanged, this, &LineSocket::stateChanged);
}

void LineSocket::connectNow() {
    if (socket_.state() == QLocalSocket::UnconnectedState) socket_.connectToServer(name_, QIODevice::ReadOnly);
}

void LineSocket::takeLines() {
    while (socket_.canReadLine() || socket_.bytesAvailable() > longest_) emit line(socket_.readLine(longest_).trimmed());
}

}  // namespace machair::devices
