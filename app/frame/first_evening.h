// The first evening in a book of one's own, by doing: one step after another, each said with the button that does it, each done when the
// book says so, and each skippable.
#pragma once

#include <QFrame>
#include <functional>
#include <vector>

#include "editing/document.h"

class QSettings;
class QToolButton;

namespace machair::app {

class Label;

struct EveningStep {
    QString words;  // "Measure the hook in your vice"
    QString button;
    std::function<void()> work;
    std::function<bool(const Book&)> done;  // by the book; nothing where only doing it counts
};

class FirstEvening : public QFrame {
    Q_OBJECT
  public:
    FirstEvening(Document& document, QSettings& settings, std::vector<EveningStep> steps, QWidget* parent = nullptr);
    void begin();  // from the first step
    void goOn();   // where it was left
    [[nodiscard]] int step() const { return step_; }

  private:
    void look();
    void next();
    void end();
    void say();
    [[nodiscard]] QString key() const;  // of the open book in the settings

    Document& document_;
    QSettings& settings_;
    std::vector<EveningStep> steps_;
    Label* words_;
    QToolButton* do_;
    int step_ = -1;  // none is under way
};

}  // namespace machair::app
