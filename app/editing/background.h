// Work that takes longer than a frame, away from the window's thread: with a copy of its input, a token to stop it, and
// its result dropped when something newer was started.
#pragma once

#include <QMetaObject>
#include <QObject>
#include <exception>
#include <functional>
#include <memory>
#include <stop_token>
#include <thread>

#include "editing/document.h"

namespace machair::app {

class Background : public QObject {
    Q_OBJECT
  public:
    // What goes wrong in the work is said by the document, and told by failed().
    explicit Background(Document& document, QObject* parent = nullptr) : QObject(parent), document_(document) {}
    ~Background() override { stop(); }

    using Progress = std::function<void(double)>;

    // Runs `work(stop, progress)` on a thread and hands its result to `done` here. What ran before is told to stop.
    template <class Work, class Done>
    void start(Work work, Done done) {
        stop();
        const int mine = ++revision_;
        setRunning(true);
        thread_ = std::jthread([this, mine, work = std::move(work), done = std::move(done)](const std::stop_token& token) mutable {
            const Progress progress = [this, mine](double share) {
                QMetaObject::invokeMethod(
                    this,
                    [this, mine, share] {
                        if (mine == revision_) emit progressed(share);
                    },
                    Qt::QueuedConnection);
            };
            try {
                auto result = std::make_shared<decltype(work(token, progress))>(work(token, progress));
                QMetaObject::invokeMethod(
                    this,
                    [this, mine, result, done = std::move(done)]() mutable {
                        if (mine != revision_) return;
                        setRunning(false);
                        done(std::move(*result));
                    },
                    Qt::QueuedConnection);
            } catch (const std::exception& error) {
                qWarning("work in the background failed: %s", error.what());  // for us; a library's own words are nothing for a tier
                QMetaObject::invokeMethod(
                    this,
                    [this, mine] {
                        if (mine != revision_) return;
                        setRunning(false);
                        document_.say(QObject::tr("That could not be worked out"));
                        emit failed();
                    },
                    Qt::QueuedConnection);
            }
        });
    }
    // Asks what runs to end; it waits for that, which takes no longer than one look at the token.
    void stop() {
        if (thread_.joinable()) {
            thread_.request_stop();
            thread_.join();
        }
        ++revision_;
        setRunning(false);
    }
    [[nodiscard]] bool running() const { return running_; }
    // Whether any is, anywhere in the window: for whoever waits till all is still.
    [[nodiscard]] static bool anyRunning() { return runningNow_ > 0; }

  signals:
    void progressed(double share);
    void runningChanged(bool running);
    void failed();

  private:
    void setRunning(bool running) {
        if (running == running_) return;
        running_ = running;
        runningNow_ += running ? 1 : -1;
        emit runningChanged(running);
    }
    Document& document_;
    std::jthread thread_;
    int revision_ = 0;
    bool running_ = false;
    static inline int runningNow_ = 0;  // of the window's thread alone
};

}  // namespace machair::app
