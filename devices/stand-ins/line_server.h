// What the stand-ins share: a local socket that says the same to all who listen.
#pragma once

#include <QLocalServer>
#include <QLocalSocket>
#include <QTextStream>
#include <functional>

class LineServer {
  public:
    explicit LineServer(const QString& name, std::function<QByteArray()> greeting = {}) {
        QLocalServer::removeServer(name);  // left by one that was killed
        if (!server_.listen(name)) QTextStream(stderr) << server_.errorString() << Qt::endl;
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
