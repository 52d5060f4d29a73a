// A camera over the vice: something that tells of a picture when it has taken one. The application knows only this; behind
// it is a local socket that a real one's driver, or the stand-in, sends the picture's file to.
#pragma once

#include <QObject>
#include <QString>

#include "devices/line_socket.h"

namespace machair::devices {

class Camera : public QObject {
    Q_OBJECT
  public:
    explicit Camera(QString socket = QStringLiteral("machair-camera"), QObject* parent = nullptr);
    void connectNow() { socket_.connectNow(); }
    [[nodiscard]] bool ready() const { return socket_.ready(); }

  signals:
    void taken(const QString& file);  // an absolute path
    void stateChanged();
    void rubbish(const QString& line);
    void flooded();

  private:
    LineSocket socket_;
};

}  // namespace machair::devices
