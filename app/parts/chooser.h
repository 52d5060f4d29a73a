// The chooser: wherever a fly, hook, material, team, water or day is asked for, this one sheet drops down. Pictures with names, type
// to filter, a few words to narrow, arrows and Enter. The finder is the same sheet over everything.
#pragma once

#include <QFrame>
#include <functional>

#include "parts/things.h"

class QLineEdit;
class QToolButton;

namespace machair::app {

class Chooser : public QFrame {
    Q_OBJECT
  public:
    struct Asked {
        QString title;  // "Which hook?"
        std::vector<Thing> things;
        RecordId now = {};     // chosen already
        QString nothing = {};  // a button for none of them: "no rule card"
        QString fresh = {};    // a button for a new one: "New team"
    };
    // Drops down under a widget of the window. `chosen` is called with the record, with an empty one for nothing; `fresh` where a new one
    // is wanted. It closes itself.
    static Chooser* ask(QWidget* under, Document& document, const Theme& theme, Asked asked, std::function<void(const RecordId&)> chosen,
                        std::function<void()> fresh = {});

  protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void closeEvent(QCloseEvent* event) override;

  private:
    Chooser(QWidget* under, Document& document, const Theme& theme, Asked asked, std::function<void(const RecordId&)> chosen,
            std::function<void()> fresh);
    void place(QWidget* under);
    void sift();
    void take(const Thing* thing);

    std::function<void(const RecordId&)> chosen_;
    QLineEdit* search_;
    Tray* tray_;
    std::vector<QToolButton*> traits_;
};

}  // namespace machair::app
