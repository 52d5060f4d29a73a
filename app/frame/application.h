// The application: one place where whatever is thrown through the window's own loop is caught and said, and where tips are
// shown as plain text. Nothing that goes wrong in a slot ends the program.
#pragma once

#include <QApplication>

namespace machair::app {

class Application : public QApplication {
    Q_OBJECT
  public:
    Application(int& argc, char** argv);
    bool notify(QObject* receiver, QEvent* event) override;

  signals:
    void wentWrong(const QString& what);  // said on the quiet line; the book is as it was

  protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
};

}  // namespace machair::app
