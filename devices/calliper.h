// A calliper: something that sends lengths when its button is pressed. The application knows only this; what stands
// behind it is a local socket that a real one's driver, or the stand-in, sends readings to.
#pragma once

#include <QObject>
#include <QString>

#include "devices/line_socket.h"
#include "units/quantity.h"

namespace machair::devices {

enum class CalliperState { away, ready };

class Calliper : public QObject {
    Q_OBJECT
  public:
    using QObject::QObject;
    virtual void connectNow() = 0;
    [[nodiscard]] virtual CalliperState state() const = 0;

  signals:
    void read(double millimetres);  // one reading, over 0 and at most 1000 mm
    void stateChanged();
    void rubbish(const QString& line);  // something that is no reading, once until there is one; nothing else happens
    void flooded();
};

// Reads lines such as "11.62" or "11.62 mm" from a local socket.
class SocketCalliper : public Calliper {
    Q_OBJECT
  public:
    explicit SocketCalliper(QString socket = QStringLiteral("machair-calliper"), QObject* parent = nullptr);
    void connectNow() override;
    [[nodiscard]] CalliperState state() const override;

  private:
    void take(const QByteArray& line);
    LineSocket socket_;
};

// Readings of one place: what three of them come to.
struct Readings {
    Length mean;
    Length spread;  // standard deviation; 0 of fewer than two
    std::size_t count = 0;
};
[[nodiscard]] Readings summary(const std::vector<Length>& readings);

}  // namespace machair::devices
