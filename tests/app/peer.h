// A device's own server, as its driver would make it.
#pragma once

#include <QLocalServer>
#include <QLocalSocket>

#include "devices/line_socket.h"
#include "tests/app/window.h"

namespace machair::app::tests {

class Peer {
  public:
    explicit Peer(const char* name) : path_(devices::socketPath(QString::fromLatin1(name))) {
        QLocalServer::removeServer(path_);
        REQUIRE(server_.listen(path_));
    }
    void say(const QByteArray& bytes) {
        REQUIRE(waitFor([&] { return one_ || server_.hasPendingConnections(); }));
        if (!one_) one_ = server_.nextPendingConnection();
        one_->write(bytes);
        one_->flush();
    }

  private:
    QString path_;
    QLocalServer server_;
    QLocalSocket* one_ = nullptr;
};

}  // namespace machair::app::tests
