// A station that has nothing to work on yet: what it does, and the one button that begins it.
#pragma once

#include <QWidget>

class QLabel;
class QToolButton;

namespace machair::app {

class EmptyStation : public QWidget {
    Q_OBJECT
  public:
    explicit EmptyStation(QWidget* parent = nullptr);
    void say(const QString& title, const QString& words, const QString& button);

  signals:
    void begun();

  private:
    QLabel* title_;
    QLabel* words_;
    QToolButton* begin_;
};

}  // namespace machair::app
