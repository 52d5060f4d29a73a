// Who is not seen does nothing: what a change asks of a widget is done at once while it is seen, else once when it is shown next.
#pragma once

#include <QEvent>
#include <QWidget>
#include <functional>
#include <utility>

namespace machair::app {

class WhenSeen : public QObject {
  public:
    // `work` is the widget's own; it lives as long as that.
    WhenSeen(QWidget* widget, std::function<void()> work) : QObject(widget), widget_(widget), work_(std::move(work)) {
        widget->installEventFilter(this);
    }
    // After any of these signals.
    template <class Sender, class... Signals>
    WhenSeen& on(Sender* sender, Signals... changes) {
        (connect(sender, changes, this, &WhenSeen::asked), ...);
        return *this;
    }
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (watched == widget_ && event->type() == QEvent::Show && std::exchange(waits_, false)) work_();
        return false;
    }

  private:
    void asked() {
        if (widget_->isVisible())
            work_();
        else
            waits_ = true;
    }

    QWidget* widget_;
    std::function<void()> work_;
    bool waits_ = false;
};

}  // namespace machair::app
