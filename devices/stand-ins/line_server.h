// What the stand-ins share: a local socket that says the same to all who listen.
#pragma once

#include <QLocalServer>
#include <QLocalSocket>
#include <QTextStream>
#include <functional>

#include "devices/line_socket.h"

class LineServer {
  public:
    explicit LineServer(const QString& name, std::function<QByteArray()> greeting = {}) {
        const QString path = machair::devices::socketPath(name);
        if (path.isEmpty()) QTextStream(stderr) << "there is no folder of your own for sockets: set XDG_RUNTIME_DIR" << Qt::endl;
        QLocalServer::removeServer(path);  // left by one that was killed
        server_.setSocketOptions(QLocalServer::UserAccessOption);
        if (!path.isEmpty() && !server_.listen(path)) QTextStream(stderr) << server_.errorString() << Qt::endl;
        QObject::connect(&server_, &QLocalServer::newConnection, &server_, [this, greeting] {
            QLocalSocket* one = server_.nextPendingConnection();
            listeners_ << one;
            if (greeting) one->write(greeting());
            QObject::connect(one, &QLocalSocket::disconnected, &server_, [this, one] {
                listeners_.removeAll(one);
                one->deleteLater();
            });
        });
    }
    [[nodiscard]] bool listening() const { return server_.isListening(); }
    void send(const QByteArray& line) {
        for (QLocalSocket* one : listeners_) {
            one->write(line);
            one->flush();
        }
    }

  private:
    QLocalServer server_;
    QList<QLocalSocket*> listeners_;
};
