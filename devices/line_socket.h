// Lines from a local socket: how every stand-in, and a real device's driver, speaks to the application.
//
// Sockets lie in a folder of the user's own (`$XDG_RUNTIME_DIR/machair`, mode 0700); who is at the other end must be the
// same user. Lines are bounded, and so is how many are taken in a second: a stuck pedal can't hold the window.
#pragma once

#include <QElapsedTimer>
#include <QLocalSocket>
#include <QObject>
#include <QString>
#include <utility>

namespace machair::devices {

// Where a socket of this name lies; the folder is made where it is missing. A name with a folder stays as it is. Empty
// where the user has no folder of his own that others can't write to.
[[nodiscard]] QString socketPath(const QString& name);

class LineSocket : public QObject {
    Q_OBJECT
  public:
    // `longest` bytes make a line; more without an end is noise and comes as a line of its own.
    LineSocket(QString name, qint64 longest, QObject* parent = nullptr);
    ~LineSocket() override;  // says nothing more: who listens may be half gone
    void connectNow();
    // Whether something that is no reading is news: once, until sense() was sent again.
    [[nodiscard]] bool nonsense() { return !std::exchange(nonsense_, true); }
    void sense() { nonsense_ = false; }
    [[nodiscard]] bool ready() const { return trusted_ && socket_.state() == QLocalSocket::ConnectedState; }

  signals:
    void line(const QByteArray& text);
    void stateChanged();
    void flooded();  // more lines than a hand can send; said once until it is quiet again. The rest are dropped

  private:
    void takePeer();
    void takeLines();
    [[nodiscard]] bool within();
    QString name_;
    qint64 longest_;
    QLocalSocket socket_;
    bool trusted_ = false;
    QElapsedTimer since_;
    double room_ = 0.0;  // lines that may still come now
    bool flooded_ = false;
    bool nonsense_ = false;
};

}  // namespace machair::devices
