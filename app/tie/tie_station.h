// At the vice: one step fills the view. Space, Page Down or the pedal goes on, Backspace back, digits count turns.
#pragma once

#include <QTimer>
#include <QWidget>
#include <memory>
#include <set>
#include <vector>

#include "bench/judgement.h"
#include "bench/steps.h"
#include "checking/checking.h"
#include "devices/hub.h"
#include "editing/document.h"
#include "theme/theme.h"
#include "tie/speaker.h"

class QLabel;
class QListWidget;
class QToolButton;

namespace machair::app {

class StepView;

class TieStation : public QWidget {
    Q_OBJECT
  public:
    TieStation(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent = nullptr);
    void go(int step);
    [[nodiscard]] int step() const { return current_; }
    [[nodiscard]] const std::vector<TyingStep>& steps() const { return steps_; }

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    QWidget* makePanel();
    void rebuild();
    void refresh();
    void sayCoats();
    void sayAloud();

    struct Drying {
        QString what;
        qint64 until;  // ms since the epoch
        bool rung = false;
    };
    Document& document_;
    const Theme& theme_;
    devices::Hub& hub_;
    StepView* view_;
    QListWidget* list_;
    QLabel* caution_;
    QLabel* order_;
    QLabel* rework_;
    QLabel* lasting_;
    QLabel* coats_;
    QToolButton* wrong_;
    Speaker speaker_;
    QToolButton* aloud_ = nullptr;
    QTimer clock_;
    std::optional<Plan> plan_;  // what the steps are of: never another one than theirs
    std::vector<TyingStep> steps_;
    std::vector<CheckItem> measured_;  // where this hand should aim, of the dressing that the steps are of
    std::set<Caution> cautioned_;      // once a session each
    std::vector<Drying> drying_;
    int current_ = 0;
    int turns_ = 0;
    Hand hand_ = Hand::right;
    bool far_ = false;
};

}  // namespace machair::app
