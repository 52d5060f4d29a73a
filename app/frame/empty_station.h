// A station that has nothing to work on yet: what it does, and the one button that begins it.
#pragma once

#include <QWidget>

class QToolButton;

namespace machair::app {

class Label;

class EmptyStation : public QWidget {
    Q_OBJECT
  public:
    explicit EmptyStation(QWidget* parent = nullptr);
    void say(const QString& title, const QString& words, const QString& button);

  signals:
    void begun();

  private:
    Label* title_;
    Label* words_;
    QToolButton* begin_;
};

}  // namespace machair::app
