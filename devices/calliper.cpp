#include "devices/calliper.h"

#include <cmath>

#include "units/text.h"

namespace machair::devices {

SocketCalliper::SocketCalliper(QString socket, QObject* parent) : Calliper(parent), name_(std::move(socket)) {
    connect(&socket_, &QLocalSocket::readyRead, this, &SocketCalliper::takeLines);
    connect(&socket_, &QLocalSocket::stateChanged, this, &Calliper::stateChanged);
}

void SocketCalliper::connectNow() {
    if (socket_.state() == QLocalSocket::UnconnectedState) socket_.connectToServer(name_, QIODevice::ReadOnly);
}

CalliperState SocketCalliper::state() const {
    return socket_.state() == QLocalSocket::ConnectedState ? CalliperState::ready : CalliperState::away;
}

void SocketCalliper::takeLines() {
    constexpr qint64 kLongestLine = 64;  // a reading is ten characters; more is noise on the line
    while (socket_.canReadLine() || socket_.bytesAvailable() > kLongestLine) {
        const QByteArray line = socket_.readLine(kLongestLine).trimmed();
        const auto length = parseLength(std::string_view(line.constData(), static_cast<std::size_t>(line.size())));
        constexpr Length kMost = 1000.0 * mm;
        if (length && *length > 0.0 * mm && *length <= kMost)
            emit read(*length / mm);
        else
            emit rubbish(QString::fromUtf8(line));
    }
}

Readings summary(const std::vector<Length>& readings) {
    Readings result;
    result.count = readings.size();
    if (readings.empty()) return result;
    for (const Length l : readings) result.mean += l / static_cast<double>(readings.size());
    if (readings.size() < 2) return result;
    double squares = 0.0;
    for (const Length l : readings) squares += std::pow((l - result.mean) / mm, 2);
    result.spread = std::sqrt(squares / static_cast<double>(readings.size() - 1)) * mm;
    return result;
}

}  // namespace machair::devices
