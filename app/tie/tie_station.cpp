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
#include "language/say.h"
#include "parts/label.h"
#include "tie/mishap_cards.h"
#include "tie/step_strip.h"
#include "tie/step_view.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr int kCardsWide = 400;

}  // namespace

TieStation::TieStation(Document& document, const Theme& theme, devices::Hub& devices, QSettings& settings, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      hub_(devices),
      settings_(settings),
      view_(new StepView(document, theme)),
      strip_(new StepStrip(theme)),
      mishaps_(new MishapCards(document, theme)),
      aside_(new Label),
      coats_(new Label),
      hand_(tiesLeftHanded(settings) ? Hand::left : Hand::right),
      far_(seesFarSide(settings)) {
    setObjectName(QStringLiteral("tie"));
    setFocusPolicy(Qt::StrongFocus);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addLayout(makeButtons());
    auto* middle = new QHBoxLayout;
    middle->addWidget(view_, 1);
    mishaps_->setFixedWidth(kCardsWide);
    mishaps_->hide();
    middle->addWidget(mishaps_);
    column->addLayout(middle, 1);
    column->addWidget(strip_);
    connect(strip_, &StepStrip::wanted, this, &TieStation::go);
    connect(view_, &StepView::trayWanted, this, &TieStation::go);
    connect(&document_, &Document::planChanged, this, [this] {
        if (isVisible() && !document_.previewing()) rebuild();
    });
    connect(&document_, &Document::bookOpened, this, [this] {
        if (isVisible()) rebuild();
    });
    connect(&theme_, &Theme::changed, this, [this] {
        if (isVisible()) rebuild();
    });
    connect(&hub_, &devices::Hub::pedalOn, this, [this] {
        if (isVisible() && isActiveWindow()) onward(1);
    });
    connect(&hub_, &devices::Hub::pedalBack, this, [this] {
        if (isVisible() && isActiveWindow()) onward(-1);
    });
    ahead_.setSingleShot(true);
    connect(&ahead_, &QTimer::timeout, this, [this] {
        if (isVisible() && current_ + 1 < static_cast<int>(steps_.size())) view_->prepare(steps_[static_cast<std::size_t>(current_) + 1]);
    });
    connect(&clock_, &QTimer::timeout, this, &TieStation::sayCoats);
    constexpr int kSecond = 1000;
    clock_.start(kSecond);
}

void TieStation::setHand(Hand hand) {
    hand_ = hand;
    keepLeftHanded(settings_, hand == Hand::left);
    rebuild();
}

void TieStation::showEvent(QShowEvent*) {
    setFocus();
    hub_.connectNow();
    rebuild();
}

void TieStation::rebuild() {
    plan_ = document_.plan();
    const std::vector<TyingStep> before = std::exchange(steps_, plan_ ? stepsOf(*plan_, hand_) : std::vector<TyingStep>());
    measured_ = plan_ ? checkItems(*plan_, document_.book()) : std::vector<CheckItem>();
    if (plan_ && std::exchange(tying_, plan_->pattern.id) != plan_->pattern.id)
        current_ = fly_ = boxed_ = 0;
    else
        findPlace(before);
    current_ = std::clamp(current_, 0, std::max(0, static_cast<int>(steps_.size()) - 1));
    // A right-hander has the eye at his right; his far side and a left-hander's own side have it at the left.
    const bool mirrored = (hand_ == Hand::right) != far_;
    view_->setSide(!far_, mirrored);
    strip_->show(plan_, steps_, !far_, mirrored);
    layRound();
    refresh();
}

// Changed while it is tied: on at the same deed, where the dressing still has it.
void TieStation::findPlace(const std::vector<TyingStep>& before) {
    if (current_ == 0 || current_ >= static_cast<int>(before.size())) return;
    const TyingStep& was = before[static_cast<std::size_t>(current_)];
    const auto same = [&](const TyingStep& step) { return step.verb == was.verb && step.object == was.object; };
    const auto part = [&](const TyingStep& step) { return step.part == was.part && step.part >= 0; };
    auto found = std::ranges::find_if(steps_, same);
    if (found == steps_.end()) found = std::ranges::find_if(steps_, part);
    const int now = found == steps_.end() ? current_ : static_cast<int>(found - steps_.begin());
    const bool changed = before.size() != steps_.size() || now != current_;
    current_ = now;
    if (!changed || steps_.empty()) return;
    QMetaObject::invokeMethod(
        this,  // after the edit's own words
        [this] {
            document_.say(tr("The dressing was changed while it is tied: its steps are new from here, what is on the hook stays as it is"));
        },
        Qt::QueuedConnection);
}

void TieStation::layRound() {
    int waiting = 0;
    if (plan_)
        for (const Batch& batch : document_.book().batches)
            if (batch.pattern == plan_->pattern.id) waiting += batch.left();
    const int all = std::max(1, waiting + boxed_);
    all_->setVisible(all > 1);
    all_->setText(tr("All %1").arg(all));
    flies_ = all_->isChecked() ? all : 1;
    fly_ = std::clamp(fly_, 0, flies_ - 1);
    round_ = steps_.empty() ? std::vector<RoundStop>()
                            : roundOf(steps_, flies_, tiesStageByStage(settings_) ? RoundOrder::stageByStage : RoundOrder::flyByFly);
    view_->setTray(steps_, std::max(1, waiting));
}

void TieStation::intoTheBox() {
    if (!plan_) return;
    for (const Batch& batch : document_.book().batches)
        if (batch.pattern == plan_->pattern.id && batch.left() > 0) {
            if (all_->isChecked()) ++boxed_;
            const Faults faults = document_.apply(tieOneOf(document_.book(), batch.id, std::nullopt));
            document_.refuse(faults);
            if (!faults.empty() && all_->isChecked()) --boxed_;
            layRound();
            return refresh();
        }
}

void TieStation::onward(int stops) {
    if (round_.empty()) return;
    const auto last = static_cast<std::ptrdiff_t>(round_.size()) - 1;
    const auto here = static_cast<std::ptrdiff_t>(stopAt(round_, steps_, fly_, static_cast<std::size_t>(current_)));
    const RoundStop& to = round_[static_cast<std::size_t>(std::clamp<std::ptrdiff_t>(here + stops, 0, last))];
    const TyingStep& done = steps_[static_cast<std::size_t>(current_)];
    if (stops == 1 && here < last && done.dryMinutes)  // a coat was given: it dries from now on
        drying_.push_back({qt(plan_->pattern.title() + ", " + done.object) + (flies_ > 1 ? tr(", fly %1").arg(fly_ + 1) : QString()),
                           QDateTime::currentMSecsSinceEpoch() + static_cast<qint64>(*done.dryMinutes * 60'000.0)});
    reach(to.fly, static_cast<int>(to.step));
}

void TieStation::go(int step) {
    if (steps_.empty()) return;
    const int wanted = std::clamp(step, 0, static_cast<int>(steps_.size()) - 1);
    if (wanted == current_ + 1 && flies_ == 1) return onward(1);
    reach(fly_, wanted);
}

void TieStation::reach(int fly, int wanted) {
    const bool moved = current_ != wanted || fly_ != fly;
    fly_ = fly;
    current_ = wanted;
    if (moved) {
        turns_ = 0;
        const QSignalBlocker quiet(wrong_);
        wrong_->setChecked(false);
    }
    refresh();
    if (moved) sayAloud();
}

void TieStation::sayAloud() {
    if (!aloud_->isChecked() || current_ >= static_cast<int>(steps_.size())) return;
    const TyingStep& step = steps_[static_cast<std::size_t>(current_)];
    QStringList words = {qt(say(step.verb) + " " + step.object), inHouseWords(step.number + " " + step.unit), qt(step.direction)};
    words.removeAll(QString());
    speaker_.say(words.join(QStringLiteral(". ")));
}

void TieStation::refresh() {
    if (steps_.empty() || !plan_) return view_->showNothing();
    const TyingStep& step = steps_[static_cast<std::size_t>(current_)];
    view_->show(*plan_, step, current_, static_cast<int>(steps_.size()));
    view_->setFly(fly_, flies_);
    const bool waits =
        std::ranges::any_of(document_.book().batches, [&](const Batch& b) { return b.pattern == plan_->pattern.id && b.left() > 0; });
    tied_->setVisible(waits && current_ + 1 == static_cast<int>(steps_.size()));
    if (current_ + 1 < static_cast<int>(steps_.size())) ahead_.start(0);
    const auto cards = cardsFor(MishapCards::all(), *plan_, step);
    view_->setMishap(cards.empty() ? QString()
                                   : tr("%1: %2").arg(capitalised(qt(say(cards.front()->shows))), qt(say(cards.front()->nextFly))));
    strip_->setCurrent(current_);
    mishaps_->setVisible(wrong_->isChecked() || own_->isChecked());
    if (wrong_->isChecked()) mishaps_->show(*plan_, step);
    if (own_->isChecked()) mishaps_->showOwn();
    refreshAside();
    sayCoats();
}

// One line beside the buttons: an order that can't be tied, else a caution once, else where this hand aims, else what lasts.
void TieStation::refreshAside() {
    const TyingStep& step = steps_[static_cast<std::size_t>(current_)];
    const Colours& c = theme_.colours();
    const auto faults = orderFaults(*plan_);
    order_->setVisible(!faults.empty());
    const bool fresh = step.caution && cautioned_.insert(*step.caution).second;
    const QString caution = step.caution ? QStringLiteral("! ") + qt(sayCaution(*step.caution)) : QString();
    if (!faults.empty()) {
        aside_->setText(tr("✗ %1: %2.").arg(capitalised(qt(faults.front().because)), qt(faults.front().mend)));
        setInk(aside_, c.fault);
        return;
    }
    if (fresh || (step.caution && aside_->text() == caution)) {
        aside_->setText(caution);
        setInk(aside_, c.warn);
        return;
    }
    QString said;
    if (step.part >= 0)
        if (const std::string aim = sayAim(measured_, static_cast<std::size_t>(step.part)); !aim.empty())
            said = tr("Your hand: %1.").arg(qt(aim));
    if (said.isEmpty()) {
        const Durability lasting = durabilityOf(*plan_);
        said = tr("%1 of 10, %2")
                   .arg(number(lasting.score, lasting.score == std::floor(lasting.score) ? 0 : 1), qt(sayDurability(lasting.score)));
        if (const Weakness* weak = lasting.cheapest())
            said += tr(": %1. Buys most: %2 (+%3)").arg(qt(weak->words), qt(weak->cure), shortNumber(weak->buys, 1));
        said = tr("Lasts: ") + said;
    }
    aside_->setText(said);
    setInk(aside_, c.inkSoft);
}

void TieStation::putInOrder() {
    if (!plan_ || !document_.pattern()) return;
    Edit edit{machair::say("parts put in an order that can be tied"), document_.book()};
    Pattern* pattern = edit.after.findPattern(document_.pattern()->id);
    if (!pattern) return;
    *pattern = inSoundOrder(*plan_);
    document_.refuse(document_.apply(std::move(edit)));
}

void TieStation::sayCoats() {
    const qint64 now = QDateTime::currentMSecsSinceEpoch();
    QStringList said;
    for (Drying& coat : drying_) {
        const qint64 left = (coat.until - now) / 1000;
        if (left <= 0 && !coat.rung) {
            coat.rung = true;
            QApplication::beep();
            document_.say(tr("%1 is dry").arg(coat.what));
        }
        said << (left > 0 ? tr("%1 dries %2:%3").arg(coat.what).arg(left / 60).arg(left % 60, 2, 10, QLatin1Char('0'))
                          : tr("✓ %1 is dry").arg(coat.what));
    }
    constexpr qint64 kForget = 120;  // s after it rang
    std::erase_if(drying_, [now](const Drying& coat) { return (now - coat.until) / 1000 > kForget; });
    coats_->setText(said.join(QLatin1Char('\n')));
    coats_->setVisible(!said.isEmpty());
}

}  // namespace machair::app
