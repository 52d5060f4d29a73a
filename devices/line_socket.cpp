#include "devices/line_socket.h"

#include <QDir>
#include <QFileInfo>
#include <QStandardPaths>
#include <QTimer>
#include <algorithm>

#include <sys/socket.h>
#include <sys/stat.h>
#include <unistd.h>

namespace machair::devices {

namespace {

constexpr double kLinesASecond = 25.0;  // a weather station's best; a hand presses ten times
constexpr double kAtOnce = 50.0;
constexpr int kLinesATurn = 16;  // then the window has its turn

// Whether who listens there is this user.
bool isOurs(const QLocalSocket& socket) {
    ucred peer{};
    socklen_t size = sizeof peer;
    return ::getsockopt(static_cast<int>(socket.socketDescriptor()), SOL_SOCKET, SO_PEERCRED, &peer, &size) == 0 && peer.uid == ::getuid();
}

}  // namespace

QString socketPath(const QString& name) {
    if (name.contains(QLatin1Char('/'))) return name;
    const QString runtime = QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation);
    if (runtime.isEmpty()) return {};
    const QByteArray folder = QFile::encodeName(runtime + QStringLiteral("/machair"));
    ::mkdir(folder.constData(), S_IRWXU);
    struct stat status {};
    const bool own = ::lstat(folder.constData(), &status) == 0 && S_ISDIR(status.st_mode) && status.st_uid == ::getuid() &&
                     (status.st_mode & (S_IWGRP | S_IWOTH)) == 0;
    return own ? QFile::decodeName(folder) + QLatin1Char('/') + name : QString();
}

LineSocket::LineSocket(QString name, qint64 longest, QObject* parent) : QObject(parent), name_(std::move(name)), longest_(longest) {
    constexpr qint64 kBuffered = 64 * 1024;  // the rest waits at the sender's end
    socket_.setReadBufferSize(kBuffered);
    connect(&socket_, &QLocalSocket::readyRead, this, &LineSocket::takeLines);
    connect(&socket_, &QLocalSocket::connected, this, &LineSocket::takePeer);
    connect(&socket_, &QLocalSocket::disconnected, this, &LineSocket::stateChanged);
}

LineSocket::~LineSocket() {
    socket_.disconnect(this);
    socket_.abort();
}

void LineSocket::connectNow() {
    const QString path = socketPath(name_);
    if (!path.isEmpty() && socket_.state() == QLocalSocket::UnconnectedState) socket_.connectToServer(path, QIODevice::ReadOnly);
}

void LineSocket::takePeer() {
    trusted_ = isOurs(socket_);
    if (!trusted_) {  // not from within its own signal
        QTimer::singleShot(0, &socket_, &QLocalSocket::abort);
        return;
    }
    since_.start();
    room_ = kAtOnce;
    flooded_ = false;
    emit stateChanged();
}

// A bucket that fills by the second and is emptied by lines.
bool LineSocket::within() {
    constexpr double kSecond = 1000.0;
    room_ = std::min(kAtOnce, room_ + kLinesASecond * static_cast<double>(since_.restart()) / kSecond);
    if (room_ >= 1.0) {
        room_ -= 1.0;
        if (room_ >= kAtOnce / 2.0) flooded_ = false;
        return true;
    }
    if (!flooded_) {
        flooded_ = true;
        emit flooded();
    }
    return false;
}

void LineSocket::takeLines() {
    for (int taken = 0; trusted_ && (socket_.canReadLine() || socket_.bytesAvailable() > longest_); ++taken) {
        if (taken >= kLinesATurn) {
            QTimer::singleShot(1, this, &LineSocket::takeLines);
            return;
        }
        const QByteArray text = socket_.readLine(longest_).trimmed();
        if (within()) emit line(text);
    }
}

}  // namespace machair::devices
