// Lines from a local socket: how every stand-in, and a real device's driver, speaks to the application.
#pragma once

#include <QLocalSocket>
#include <QObject>
#include <QString>

namespace machair::devices {

class LineSocket : public QObject {
    Q_OBJECT
  public:
    // `longest` bytes make a line; more without an end is noise and comes as a line of its own.
    LineSocket(QString name, qint64 longest, QObject* parent = nullptr);
    void connectNow();
    [[nodiscard]] bool ready() const { return socket_.state() == QLocalSocket::ConnectedState; }

  signals:
    void line(const QByteArray& text);
    void stateChanged();

  private:
    void takeLines();
    QString name_;
    qint64 longest_;
    QLocalSocket socket_;
};

}  // namespace machair::devices
