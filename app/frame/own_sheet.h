// A sheet with work of its own that takes the station's room while it is open; Esc puts it away.
#pragma once

#include <QFrame>
#include <QKeyEvent>

namespace machair::app {

class OwnSheet : public QFrame {
    Q_OBJECT
  public:
    explicit OwnSheet(QWidget* parent) : QFrame(parent) { setAutoFillBackground(true); }

  signals:
    void opened(bool open);

  protected:
    void keyPressEvent(QKeyEvent* event) override {
        if (event->key() == Qt::Key_Escape) return hide();
        QFrame::keyPressEvent(event);
    }
    void hideEvent(QHideEvent*) override { emit opened(false); }
};

}  // namespace machair::app
