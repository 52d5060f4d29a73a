#include "tie/tie_station.h"

#include <QApplication>
#include <QDateTime>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QListWidget>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "frame/panel.h"
#include "parts/label.h"
#include "tie/step_view.h"

namespace machair::app {

namespace {

constexpr int kTiePanel = 330;

QLabel* paragraph(const char* name) {
    auto* label = new Label;
    label->setObjectName(QString::fromLatin1(name));
    label->setWordWrap(true);
    return label;
}

}  // namespace

TieStation::TieStation(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      hub_(devices),
      view_(new StepView(document, theme)),
      list_(new QListWidget),
      caution_(paragraph("caution")),
      order_(paragraph("order")),
      rework_(paragraph("rework")),
      lasting_(paragraph("lasting")),
      coats_(paragraph("drying")),
      wrong_(nullptr) {
    setObjectName(QStringLiteral("tie"));
    setFocusPolicy(Qt::StrongFocus);
    auto* layout = sideBySide(this);
    layout->addWidget(view_, 1);
    layout->addWidget(scrolled(makePanel(), kTiePanel));
    connect(&document_, &Document::planChanged, this, [this] {
        if (isVisible() && !document_.previewing()) rebuild();
    });
    connect(&document_, &Document::bookOpened, this, [this] {
        if (isVisible()) rebuild();
    });
    connect(&theme_, &Theme::changed, this, &TieStation::refresh);
    connect(&hub_, &devices::Hub::pedalOn, this, [this] {
        if (isVisible() && isActiveWindow()) go(current_ + 1);
    });
    connect(&hub_, &devices::Hub::pedalBack, this, [this] {
        if (isVisible() && isActiveWindow()) go(current_ - 1);
    });
    connect(&clock_, &QTimer::timeout, this, &TieStation::sayCoats);
    constexpr int kSecond = 1000;
    clock_.start(kSecond);
}

QWidget* TieStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    auto* move = new QHBoxLayout;
    const auto button = [&](const char* name, const QString& text, const QString& tip, auto work) {
        auto* made = toolButton(name, text, tip);
        made->setFocusPolicy(Qt::NoFocus);
        connect(made, &QToolButton::clicked, this, work);
        move->addWidget(made);
        return made;
    };
    button("step-back", tr("Back"), tr("The step before (Backspace)"), [this] { go(current_ - 1); });
    button("step-on", tr("On"), tr("The next step (Space, Page Down or the pedal)"), [this] { go(current_ + 1); });
    move->addStretch(1);
    auto* hand = button("left-handed", tr("Left hand"), tr("For a left-handed tier: everything mirrored"), [] {});
    hand->setCheckable(true);
    connect(hand, &QToolButton::toggled, this, [this](bool left) {
        hand_ = left ? Hand::left : Hand::right;
        rebuild();
    });
    auto* far = button("far-side", tr("Far side"), tr("Seen from the other side of the vice"), [] {});
    far->setCheckable(true);
    connect(far, &QToolButton::toggled, this, [this](bool on) {
        far_ = on;
        refresh();
    });
    aloud_ = toolButton("aloud", tr("Aloud"), tr("Says each step, where this computer has a voice"));
    aloud_->setFocusPolicy(Qt::NoFocus);
    aloud_->setCheckable(true);
    connect(aloud_, &QToolButton::toggled, this, [this](bool on) {
        if (on && !speaker_.available()) {
            aloud_->setChecked(false);
            return document_.say(tr("This computer has no voice that Qt's speech module finds; the steps stay on the screen"));
        }
        sayAloud();
    });
    column->addLayout(move);
    list_->setObjectName(QStringLiteral("steps"));
    list_->setAccessibleName(tr("Steps"));
    list_->setFrameShape(QFrame::NoFrame);
    list_->setFocusPolicy(Qt::NoFocus);
    list_->installEventFilter(this);
    connect(list_, &QListWidget::currentRowChanged, this, [this](int row) {
        if (row >= 0) go(row);
    });
    column->addWidget(list_, 1);
    coats_->setFont(faceScaled(1.0, true));
    column->addWidget(coats_);
    column->addWidget(caution_);
    column->addWidget(order_);
    wrong_ = new QToolButton;
    wrong_->setObjectName(QStringLiteral("went-wrong"));
    wrong_->setText(tr("This went wrong"));
    wrong_->setToolTip(tr("What can go wrong here, what can still be done, and how to prevent it (W)"));
    wrong_->setCheckable(true);
    wrong_->setFocusPolicy(Qt::NoFocus);
    connect(wrong_, &QToolButton::toggled, this, [this](bool on) {
        refresh();
        if (!on || current_ >= static_cast<int>(steps_.size()) || !plan_) return;
        const int part = steps_[static_cast<std::size_t>(current_)].part;
        if (part >= 0) document_.refuse(document_.apply(countMishap(document_.book(), plan_->parts[static_cast<std::size_t>(part)].kind)));
    });
    auto* under = new QHBoxLayout;  // the row above is full
    under->addWidget(wrong_);
    under->addWidget(aloud_);
    under->addStretch(1);
    column->addLayout(under);
    column->addWidget(rework_);
    column->addWidget(lasting_);
    return panel;
}

bool TieStation::eventFilter(QObject* watched, QEvent* event) {
    if (watched == list_ && event->type() == QEvent::KeyPress) {
        keyPressEvent(static_cast<QKeyEvent*>(event));
        return true;
    }
    return QWidget::eventFilter(watched, event);
}

void TieStation::showEvent(QShowEvent*) {
    setFocus();
    hub_.connectNow();
    rebuild();
}

void TieStation::rebuild() {
    plan_ = document_.plan();
    steps_ = plan_ ? stepsOf(*plan_, hand_) : std::vector<TyingStep>();
    measured_ = plan_ ? checkItems(*plan_, document_.book()) : std::vector<CheckItem>();
    const QSignalBlocker quiet(list_);
    list_->clear();
    int n = 1;
    for (const TyingStep& step : steps_)
        list_->addItem(tr("%1  %2 %3").arg(n++).arg(qt(step.verb), qt(step.object)));
    current_ = std::clamp(current_, 0, std::max(0, static_cast<int>(steps_.size()) - 1));
    refresh();
}

void TieStation::go(int step) {
    if (steps_.empty()) return;
    const int wanted = std::clamp(step, 0, static_cast<int>(steps_.size()) - 1);
    if (wanted == current_ + 1 && steps_[static_cast<std::size_t>(current_)].dryMinutes) {  // a coat was given: it dries from now on
        const TyingStep& coat = steps_[static_cast<std::size_t>(current_)];
        drying_.push_back({qt(plan_->pattern.title() + ", " + coat.object),
                           QDateTime::currentMSecsSinceEpoch() + static_cast<qint64>(*coat.dryMinutes * 60'000.0)});
    }
    if (wanted != current_) {
        turns_ = 0;
        wrong_->setChecked(false);
    }
    const bool moved = current_ != wanted;
    current_ = wanted;
    refresh();
    if (moved) sayAloud();
}

void TieStation::sayAloud() {
    if (!aloud_->isChecked() || current_ >= static_cast<int>(steps_.size())) return;
    const TyingStep& step = steps_[static_cast<std::size_t>(current_)];
    QStringList words = {qt(step.verb + " " + step.object), qt(step.number)};
    words.removeAll(QString());
    speaker_.say(words.join(QStringLiteral(". ")));
}

void TieStation::refresh() {
    if (steps_.empty() || !plan_) return view_->showNothing();
    const TyingStep& step = steps_[static_cast<std::size_t>(current_)];
    view_->setMirrored((hand_ == Hand::left) != far_);
    view_->show(*plan_, step, current_, static_cast<int>(steps_.size()));
    const QSignalBlocker quiet(list_);
    list_->setCurrentRow(current_);
    const Colours& c = theme_.colours();
    // A caution is said once a session, where it belongs; Book, Cautions has them all.
    const bool fresh = step.caution && cautioned_.insert(*step.caution).second;
    if (fresh) caution_->setText(QStringLiteral("! ") + qt(sayCaution(*step.caution)));
    caution_->setVisible(fresh || (step.caution && caution_->text().contains(qt(sayCaution(*step.caution)))));
    setInk(caution_, c.warn);
    QStringList order;
    for (const OrderFault& fault : orderFaults(plan_->pattern)) {
        const auto name = [&](std::size_t part) {
            return part < plan_->parts.size() ? qt(std::string(nameOf(plan_->parts[part].kind))) : tr("nothing: last");
        };
        order << tr("✗ %1. Tie the %2 before the %3.").arg(qt(fault.words), name(fault.part), name(fault.before));
    }
    order_->setText(order.join(QLatin1Char('\n')));
    order_->setVisible(!order.isEmpty());
    setInk(order_, c.fault);
    QStringList rework;
    if (wrong_->isChecked() && step.part >= 0)
        for (const Rework& r : reworkOf(plan_->parts[static_cast<std::size_t>(step.part)].kind))
            rework << tr("%1: %2%3\nNext time: %4.")
                          .arg(qt(r.wrong), r.reversible ? QString() : tr("(past mending on this fly) "), qt(r.remedy), qt(r.prevent));
    else if (wrong_->isChecked())
        rework << tr("Unwind the thread to the last landmark and lay it again.");
    if (wrong_->isChecked() && step.part >= 0) {
        const std::string kind(nameOf(plan_->parts[static_cast<std::size_t>(step.part)].kind));
        for (const Mishap& mishap : document_.book().mishaps)
            if (mishap.id == kind) rework << tr("The %1 went wrong %2 times so far.").arg(qt(kind)).arg(mishap.count);
    }
    rework_->setText(rework.join(QLatin1Char('\n')));
    rework_->setVisible(wrong_->isChecked());
    const Durability lasting = durabilityOf(*plan_);
    QStringList said;
    if (step.part >= 0)
        if (const std::string aim = sayAim(measured_, static_cast<std::size_t>(step.part)); !aim.empty())
            said << tr("Your hand: %1.").arg(qt(aim));
    if (!lasting.weak.empty())
        said << tr("Gives way first: %1. Cheapest: %2.").arg(qt(lasting.weak.front().words), qt(lasting.weak.front().improve));
    for (std::size_t i = 0; i < std::min<std::size_t>(2, lasting.protects.size()); ++i)
        said << QStringLiteral("✓ ") + qt(lasting.protects[i]);
    lasting_->setText(said.join(QLatin1Char('\n')));
    setInk(lasting_, c.inkSoft);
    sayCoats();
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

void TieStation::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Space:
        case Qt::Key_PageDown:
        case Qt::Key_Right: return go(current_ + 1);
        case Qt::Key_Backspace:
        case Qt::Key_PageUp:
        case Qt::Key_Left: return go(current_ - 1);
        case Qt::Key_Home: return go(0);
        case Qt::Key_End: return go(static_cast<int>(steps_.size()) - 1);
        case Qt::Key_W: return wrong_->toggle();
        case Qt::Key_Plus: ++turns_; break;
        default:
            if (event->key() < Qt::Key_0 || event->key() > Qt::Key_9) return QWidget::keyPressEvent(event);
            turns_ = event->key() - Qt::Key_0;
    }
    view_->countTurns(turns_);
}

}  // namespace machair::app
