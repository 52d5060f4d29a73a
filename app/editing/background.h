// Work that takes longer than a frame, away from the window's thread: with a copy of its input, a token to stop it, and
// its result dropped when something newer was started.
#pragma once

#include <QMetaObject>
#include <QObject>
#include <exception>
#include <functional>
#include <stop_token>
#include <thread>

namespace machair::app {

class Background : public QObject {
    Q_OBJECT
  public:
    explicit Background(QObject* parent = nullptr) : QObject(parent) {}
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
                QMetaObject::invokeMethod(this, [this, mine, share] { if (mine == revision_) emit progressed(share); }, Qt::QueuedConnection);
            };
            try {
                auto result = std::make_shared<decltype(work(token, progress))>(work(token, progress));
                QMetaObject::invokeMethod(this, [this, mine, result, done = std::move(done)]() mutable {
                    if (mine != revision_) return;
                    setRunning(false);
                    done(std::move(*result));
                }, Qt::QueuedConnection);
            } catch (const std::exception& error) {
                QMetaObject::invokeMethod(this, [this, mine, what = std::string(error.what())] {
                    if (mine != revision_) return;
                    setRunning(false);
                    emit failed(QString::fromStdString(what));
                }, Qt::QueuedConnection);
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

  signals:
    void progressed(double share);
    void runningChanged(bool running);
    void failed(const QString& why);

  private:
    void setRunning(bool running) {
        if (running == running_) return;
        running_ = running;
        emit runningChanged(running);
    }
    std::jthread thread_;
    int revision_ = 0;
    bool running_ = false;
};

}  // namespace machair::app
