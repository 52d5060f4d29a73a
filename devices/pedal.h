// A foot pedal: on to the next step, or back, with both hands full. It speaks "on" and "back" on a local socket; one
// that sends the keys Space and Page Down needs nothing of this.
#pragma once

#include "devices/line_socket.h"

namespace machair::devices {

class Pedal : public QObject {
    Q_OBJECT
  public:
    explicit Pedal(QString socket = QStringLiteral("machair-pedal"), QObject* parent = nullptr);
    void connectNow() { socket_.connectNow(); }
    [[nodiscard]] bool ready() const { return socket_.ready(); }

  signals:
    void on();
    void back();
    void stateChanged();
    void rubbish(const QString& line);
    void flooded();

  private:
    LineSocket socket_;
};

}  // namespace machair::devices
