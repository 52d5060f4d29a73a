// The few buttons and keys at the vice, for wet fingers.
#include "tie/tie_station.h"

#include <QApplication>
#include <QDateTime>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "bench/mishaps.h"
#include "cutting/stock.h"
#include "editing/tying_hand.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "tie/mishap_cards.h"
#include "tie/step_strip.h"
#include "tie/step_view.h"
#include "units/text.h"

namespace machair::app {

QHBoxLayout* TieStation::makeButtons() {
    auto* row = new QHBoxLayout;
    row->setContentsMargins(14, 4, 14, 6);
    row->setSpacing(8);
    const auto button = [&](const char* name, const QString& text, const QString& tip) {
        auto* made = toolButton(name, text, tip);
        made->setFocusPolicy(Qt::NoFocus);
        row->addWidget(made);
        return made;
    };
    connect(button("step-back", tr("Back"), tr("The step before (Backspace)")), &QToolButton::clicked, this, [this] { onward(-1); });
    connect(button("step-on", tr("On"), tr("The next step (Space, Page Down or the pedal)")), &QToolButton::clicked, this,
            [this] { onward(1); });
    wrong_ = button("went-wrong", tr("What went wrong?"), tr("What can go wrong here, what can still be done, and how to prevent it (W)"));
    wrong_->setCheckable(true);
    connect(wrong_, &QToolButton::toggled, this, [this](bool on) {
        if (on) own_->setChecked(false);
        refresh();
    });
    own_ = button("own-mishaps", tr("My faults"), tr("What goes wrong with you most, and what to practise"));
    own_->setCheckable(true);
    connect(own_, &QToolButton::toggled, this, [this](bool on) {
        if (on) wrong_->setChecked(false);
        refresh();
    });
    all_ = button("tie-batch", QString(), tr("Fly by fly, or stage by stage where the evening was laid out so"));
    all_->setCheckable(true);
    all_->setChecked(tiesStageByStage(settings_));
    connect(all_, &QToolButton::toggled, this, [this] {
        layRound();
        refresh();
    });
    tied_ = button("tied-into-box", tr("Into the box"), tr("One more of its batch is tied, and in the box"));
    connect(tied_, &QToolButton::clicked, this, &TieStation::intoTheBox);
    order_ = button("put-in-order", tr("Put in order"), tr("Moves the parts as little as makes them tieable"));
    connect(order_, &QToolButton::clicked, this, &TieStation::putInOrder);
    aside_->setObjectName(QStringLiteral("aside"));
    aside_->setWordWrap(true);
    row->addWidget(aside_, 1);
    coats_->setObjectName(QStringLiteral("drying"));
    coats_->setFont(faceScaled(1.0, true));
    row->addWidget(coats_);
    makeSideButtons(row);
    return row;
}

void TieStation::makeSideButtons(QHBoxLayout* row) {
    const auto toggle = [&](const char* name, const QString& text, const QString& tip, bool on) {
        auto* made = toolButton(name, text, tip);
        made->setFocusPolicy(Qt::NoFocus);
        made->setCheckable(true);
        made->setChecked(on);
        row->addWidget(made);
        return made;
    };
    connect(toggle("left-handed", tr("Left hand"), tr("For a left-handed tier: the bench mirrored; near and far stay as they are"),
                   hand_ == Hand::left),
            &QToolButton::toggled, this, [this](bool left) { setHand(left ? Hand::left : Hand::right); });
    connect(toggle("far-side", tr("Far side"), tr("Seen from the other side of the vice"), far_), &QToolButton::toggled, this,
            [this](bool on) {
                far_ = on;
                keepFarSide(settings_, on);
                rebuild();
            });
    aloud_ = toggle("aloud", tr("Aloud"), tr("Says each step, where this computer has a voice"), false);
    connect(aloud_, &QToolButton::toggled, this, [this](bool on) {
        if (on && !speaker_.available()) {
            aloud_->setChecked(false);
            return document_.say(tr("This computer has no voice that Qt's speech module finds; the steps stay on the screen"));
        }
        sayAloud();
    });
}

void TieStation::keyPressEvent(QKeyEvent* event) {
    const bool digit = event->key() >= Qt::Key_0 && event->key() <= Qt::Key_9;
    switch (event->key()) {
        case Qt::Key_Space:
        case Qt::Key_PageDown:
        case Qt::Key_Right: return onward(1);
        case Qt::Key_Backspace:
        case Qt::Key_PageUp:
        case Qt::Key_Left: return onward(-1);
        case Qt::Key_Home: return go(0);
        case Qt::Key_End: return go(static_cast<int>(steps_.size()) - 1);
        case Qt::Key_W: return wrong_->toggle();
        case Qt::Key_Plus: ++turns_; break;
        default:
            if (!digit) return QWidget::keyPressEvent(event);
            if (wrong_->isChecked() && event->key() > Qt::Key_0)
                return mishaps_->choose(static_cast<std::size_t>(event->key() - Qt::Key_1));
            turns_ = event->key() - Qt::Key_0;
    }
    view_->countTurns(turns_);
}

}  // namespace machair::app
