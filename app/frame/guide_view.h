// The guide, in the window and offline: the same Markdown as docs/guide in the language of the window, shipped in the program, opened at a
// station's chapter. And the sheet of keys and gestures of a station.
#pragma once

#include <QFrame>

#include "frame/station.h"

class QTextBrowser;

namespace machair::app {

class GuideView : public QFrame {
    Q_OBJECT
  public:
    explicit GuideView(QWidget* parent);
    void openAt(const QString& chapter);  // by its heading; from the top where there is none
    [[nodiscard]] QString chapter() const { return chapter_; }

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void load();
    void follow(const QUrl& link);
    QTextBrowser* text_;
    QString chapter_;
};

struct KeyWords {
    QString keys;
    QString does;
};
// What holds everywhere, then what holds at this station.
[[nodiscard]] std::vector<KeyWords> keysEverywhere();
[[nodiscard]] std::vector<KeyWords> keysAt(Station station);

// The keys as a sheet laid over the window; any key or click puts it away.
class KeySheet : public QFrame {
    Q_OBJECT
  public:
    KeySheet(Station station, QWidget* parent);

  protected:
    void keyPressEvent(QKeyEvent* event) override;
};

}  // namespace machair::app
