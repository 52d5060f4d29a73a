#include "devices/calliper.h"

#include <cmath>

#include "units/text.h"

namespace machair::devices {

constexpr qint64 kLongestLine = 64;  // a reading is ten characters; more is noise on the line

SocketCalliper::SocketCalliper(QString socket, QObject* parent) : Calliper(parent), socket_(std::move(socket), kLongestLine) {
    connect(&socket_, &LineSocket::line, this, &SocketCalliper::take);
    connect(&socket_, &LineSocket::stateChanged, this, &Calliper::stateChanged);
    connect(&socket_, &LineSocket::flooded, this, &Calliper::flooded);
}

void SocketCalliper::connectNow() { socket_.connectNow(); }

CalliperState SocketCalliper::state() const { return socket_.ready() ? CalliperState::ready : CalliperState::away; }

void SocketCalliper::take(const QByteArray& line) {
    const auto length = parseLength(std::string_view(line.constData(), static_cast<std::size_t>(line.size())));
    constexpr Length kMost = 1000.0 * mm;
    if (length && *length > 0.0 * mm && *length <= kMost) {
        socket_.sense();
        emit read(*length / mm);
    } else if (socket_.nonsense()) {
        emit rubbish(QString::fromUtf8(line));
    }
}

Readings summary(const std::vector<Length>& readings) {
    Readings result;
    result.count = readings.size();
    if (readings.empty()) return result;
    for (const Length l : readings)
        result.mean += l / static_cast<double>(readings.size());
    if (readings.size() < 2) return result;
    double squares = 0.0;
    for (const Length l : readings)
        squares += std::pow((l - result.mean) / mm, 2);
    result.spread = std::sqrt(squares / static_cast<double>(readings.size() - 1)) * mm;
    return result;
}

}  // namespace machair::devices
