// At the vice: one step fills the view. Space, Page Down or the pedal goes on, Backspace back, digits count turns, W asks what
// went wrong. What is made ready comes first; the steps stand along the foot as the fly after each.
#pragma once

#include <QSettings>
#include <QTimer>
#include <QWidget>
#include <memory>
#include <set>
#include <vector>

#include "bench/durability.h"
#include "bench/order.h"
#include "bench/round.h"
#include "bench/steps.h"
#include "checking/checking.h"
#include "devices/hub.h"
#include "editing/document.h"
#include "theme/theme.h"
#include "tie/speaker.h"

class QHBoxLayout;
class QToolButton;

namespace machair::app {

class Label;

class MishapCards;
class StepStrip;
class StepView;

class TieStation : public QWidget {
    Q_OBJECT
  public:
    TieStation(Document& document, const Theme& theme, devices::Hub& devices, QSettings& settings, QWidget* parent = nullptr);
    void go(int step);  // of the fly in the vice
    // Along the round: the next step of this fly, or of the next one.
    void onward(int stops);
    [[nodiscard]] int fly() const { return fly_; }
    [[nodiscard]] int flies() const { return flies_; }
    [[nodiscard]] int step() const { return current_; }
    [[nodiscard]] const std::vector<TyingStep>& steps() const { return steps_; }

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    QHBoxLayout* makeButtons();
    void makeSideButtons(QHBoxLayout* row);
    void rebuild();
    void refresh();
    void refreshAside();
    void setHand(Hand hand);
    void reach(int fly, int step);
    void layRound();
    void findPlace(const std::vector<TyingStep>& before);
    void intoTheBox();
    void putInOrder();
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
    QSettings& settings_;
    StepView* view_;
    StepStrip* strip_;
    MishapCards* mishaps_;
    Label* aside_;  // caution, order, what lasts, where this hand aims
    Label* coats_;
    QToolButton* order_ = nullptr;
    QToolButton* wrong_ = nullptr;
    QToolButton* own_ = nullptr;
    QToolButton* all_ = nullptr;  // the whole batch at once
    QToolButton* tied_ = nullptr;
    Speaker speaker_;
    QToolButton* aloud_ = nullptr;
    QTimer clock_;
    QTimer ahead_;              // the next step is painted once this one is seen
    std::optional<Plan> plan_;  // what the steps are of: never another one than theirs
    std::vector<TyingStep> steps_;
    std::vector<CheckItem> measured_;  // where this hand should aim, of the dressing that the steps are of
    std::set<Caution> cautioned_;      // once a session each
    std::string tying_;                // the dressing: another one begins at its first step
    std::vector<Drying> drying_;
    std::vector<RoundStop> round_;
    int flies_ = 1;
    int fly_ = 0;    // in the vice, of them
    int boxed_ = 0;  // of this round
    int current_ = 0;
    int turns_ = 0;
    Hand hand_ = Hand::right;
    bool far_ = false;
};

}  // namespace machair::app
