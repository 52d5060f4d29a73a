#include "drift/handling_strip.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMouseEvent>
#include <QPainter>
#include <QRegularExpression>
#include <QToolTip>
#include <algorithm>
#include <cmath>

#include "drift/handling_limits.h"
#include "theme/said.h"

namespace machair::app {

namespace {

constexpr double kSpareWide = 66.0, kSpareHigh = 24.0;
constexpr double kLeastAxis = 5.0;  // s

}  // namespace

HandlingStrip::HandlingStrip(const Theme& theme, QWidget* parent) : QWidget(parent), theme_(theme), typing_(new QLineEdit(this)) {
    setObjectName(QStringLiteral("handling-strip"));
    setAccessibleName(tr("What the rod does, against time"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    handling_.lift = 0.4 * metrePerSecond;
    handling_.height = 2.0 * metre;
    handling_.hold = 6.0 * second;
    typing_->setObjectName(QStringLiteral("handling-typed"));
    typing_->setAccessibleName(tr("Seconds and speed"));
    typing_->hide();
    connect(typing_, &QLineEdit::returnPressed, this, &HandlingStrip::typed);
    connect(typing_, &QLineEdit::editingFinished, typing_, &QWidget::hide);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
    refit();
    tell();
}

void HandlingStrip::setHandling(const Handling& handling) {
    handling_ = handling;
    heldFrom_.reset();
    refit();
    tell();
    emit changed();
}

void HandlingStrip::setPulls(std::optional<Time> pull, std::optional<Time> pause) {
    handling_.pull = pull;
    handling_.pause = pause;
    update();
}

void HandlingStrip::setHeldFrom(std::optional<Time> heldFrom) {
    heldFrom_ = heldFrom;
    if (held_.grip == Grip::none) refit();
    update();
}

void HandlingStrip::setAxis(double left, double width) {
    left_ = left;
    width_ = width;
    update();
}

std::optional<Speed> HandlingStrip::speed(Phase phase) const {
    switch (phase) {
        case Phase::retrieve: return handling_.retrieve;
        case Phase::lift: return handling_.lift;
        case Phase::hold: return handling_.draw;
        case Phase::count:
        case Phase::hang: return std::nullopt;
    }
    return std::nullopt;
}

Time HandlingStrip::lasts(Phase phase) const {
    switch (phase) {
        case Phase::count: return handling_.count;
        case Phase::retrieve: return handling_.retrieveFor;
        case Phase::lift: {
            const Time whole = liftTime(handling_);
            // The rod stops rising as soon as the bob is up.
            return heldFrom_ && held_.grip == Grip::none ? std::clamp(*heldFrom_ - starts(Phase::lift), Time{}, whole) : whole;
        }
        case Phase::hold: return handling_.hold;
        case Phase::hang: return handling_.hang;
    }
    return {};
}

Time HandlingStrip::starts(Phase phase) const {
    Time at;
    for (const Phase before : kPhases) {
        if (before == phase) break;
        at += lasts(before);
    }
    return at;
}

void HandlingStrip::setLasts(Phase phase, Time time) {
    const Limits& limits = limitsOf(phase);
    const Time to = std::clamp(toWhole(time / second, 0.1), 0.0, limits.longest) * second;
    switch (phase) {
        case Phase::count: handling_.count = to; break;
        case Phase::retrieve: handling_.retrieveFor = to; break;
        case Phase::lift:
            if (to > Time{} && handling_.lift <= Speed{}) handling_.lift = limits.speedThen * metrePerSecond;
            if (to > Time{})
                handling_.height = std::clamp(toWhole(liftedIn(handling_, to) / metre, 0.05), 0.2, 5.0) * metre;
            else
                handling_.lift = {};
            break;
        case Phase::hold: handling_.hold = to; break;
        case Phase::hang: handling_.hang = to; break;
    }
    heldFrom_.reset();
    if (held_.grip == Grip::none) refit();
    tell();
    emit changed();
}

void HandlingStrip::setSpeed(Phase phase, Speed speed) {
    const Limits& limits = limitsOf(phase);
    const Speed to = std::clamp(toWhole(speed / metrePerSecond, 0.01), 0.0, limits.fastest) * metrePerSecond;
    switch (phase) {
        case Phase::retrieve: handling_.retrieve = to; break;
        case Phase::lift: handling_.lift = std::max(to, 0.05 * metrePerSecond); break;
        case Phase::hold: handling_.draw = to; break;
        case Phase::count:
        case Phase::hang: return;
    }
    heldFrom_.reset();
    if (held_.grip == Grip::none) refit();
    tell();
    emit changed();
}

double HandlingStrip::fastest(Phase phase) const {
    const double own = speed(phase).value_or(Speed{}) / metrePerSecond;
    return std::max(limitsOf(phase).shown, own * 1.15);
}

// The axis holds still under a drag, and fits all of it afterwards.
void HandlingStrip::refit() {
    const double all = std::max(kLeastAxis, (starts(Phase::hang) + lasts(Phase::hang)) / second);
    if (std::abs(all - seconds_) > 1e-9) {
        seconds_ = all;
        emit axisChanged();
    }
    update();
}

QRectF HandlingStrip::block(Phase phase) const {
    if (lasts(phase) <= Time{}) return {};
    const double perSecond = width_ / seconds_;
    return QRectF(left_ + starts(phase) / second * perSecond, kTop, lasts(phase) / second * perSecond, height() - kTop - kFoot);
}

QRectF HandlingStrip::spare(Phase phase) const {
    if (lasts(phase) > Time{}) return {};
    int place = 0;
    for (const Phase other : kPhases) {
        if (other == phase) break;
        if (lasts(other) <= Time{}) ++place;
    }
    return QRectF(left_ + width_ + 14.0 + (place % 2) * (kSpareWide + 4.0), kTop + (place / 2) * (kSpareHigh + 4.0), kSpareWide,
                  kSpareHigh);
}

double HandlingStrip::level(Phase phase) const {
    const QRectF box = block(phase);
    const auto own = speed(phase);
    if (!own || box.isEmpty()) return box.bottom();
    return box.bottom() - box.height() * std::min(1.0, *own / metrePerSecond / fastest(phase));
}

QString HandlingStrip::title(Phase phase) const {
    switch (phase) {
        case Phase::count: return tr("count");
        case Phase::retrieve: return handling_.pull ? tr("pulls") : tr("retrieve");
        case Phase::lift: return tr("lift");
        case Phase::hold: return tr("hold the bob");
        case Phase::hang: return tr("hang");
    }
    return {};
}

QString HandlingStrip::words(Phase phase) const {
    const QString time = tr("%1 s").arg(number(lasts(phase) / second, 1));
    const auto own = speed(phase);
    if (!own) return time;
    const QString fast = tr("%1 m/s").arg(number(*own / metrePerSecond, 2));
    if (phase == Phase::lift) return tr("%1 · %2 to %3 m").arg(time, fast, number(handling_.height / metre, 1));
    if (phase == Phase::hold) return *own > Speed{} ? tr("%1 · drawing %2").arg(time, fast) : time;
    return tr("%1 · %2").arg(time, fast);
}

void HandlingStrip::paintBlock(QPainter& painter, Phase phase) const {
    const Colours& c = theme_.colours();
    const QRectF box = block(phase).adjusted(1.0, 0.0, -1.0, 0.0);
    const bool isChosen = phase == chosen_ && hasFocus();
    painter.setPen(Qt::NoPen);
    painter.setBrush(c.raised);
    painter.drawRoundedRect(box, 4.0, 4.0);
    QColor fill = c.slate;
    fill.setAlpha(70);
    if (const auto own = speed(phase)) {
        const double top = level(phase);
        painter.setBrush(fill);
        if (phase == Phase::retrieve && handling_.pull && handling_.pause) {
            const double perSecond = width_ / seconds_;
            const double pull = *handling_.pull / second, both = pull + *handling_.pause / second;
            for (double t = 0.0; both > 0.01 && t < lasts(phase) / second && (width_ / seconds_) * both > 1.5; t += both)
                painter.drawRect(
                    QRectF(box.left() + t * perSecond, top, std::min(pull, lasts(phase) / second - t) * perSecond, box.bottom() - top));
        } else {
            painter.drawRect(QRectF(box.left(), top, box.width(), box.bottom() - top));
        }
        painter.setPen(QPen(c.slate, 2.0));
        painter.drawLine(QPointF(box.left(), top), QPointF(box.right(), top));
        painter.setPen(Qt::NoPen);
        painter.setBrush(c.slate);
        if (box.width() > 18.0) painter.drawRoundedRect(QRectF(box.center().x() - 8.0, top - 2.5, 16.0, 5.0), 2.5, 2.5);
    }
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(isChosen ? c.accent : c.line, isChosen ? 2.0 : 1.0));
    painter.drawRoundedRect(box, 4.0, 4.0);
    painter.setPen(QPen(c.inkSoft, 2.0, Qt::SolidLine, Qt::RoundCap));  // the edge to drag
    painter.drawLine(QPointF(box.right() - 2.5, box.center().y() - 6.0), QPointF(box.right() - 2.5, box.center().y() + 6.0));
    const QRectF text = box.adjusted(6.0, 2.0, -7.0, -2.0);
    if (text.width() < 20.0) return;
    painter.setPen(c.ink);
    painter.setFont(faceScaled(0.85, true));
    painter.drawText(text, Qt::AlignLeft | Qt::AlignTop,
                     QFontMetrics(painter.font()).elidedText(title(phase), Qt::ElideRight, static_cast<int>(text.width())));
    painter.setFont(faceScaled(0.82));
    const QFontMetrics metrics(painter.font());
    QString said = words(phase);
    if (metrics.horizontalAdvance(said) > text.width()) said = tr("%1 s").arg(number(lasts(phase) / second, 0));
    painter.drawText(text, Qt::AlignLeft | Qt::AlignBottom, metrics.elidedText(said, Qt::ElideRight, static_cast<int>(text.width())));
}

void HandlingStrip::paintEvent(QPaintEvent*) {
    const Colours& c = theme_.colours();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), c.panel);
    painter.setFont(faceScaled(0.85, true));
    painter.setPen(c.ink);
    painter.drawText(QRectF(0.0, kTop, left_ - 6.0, height() - kTop - kFoot), Qt::AlignRight | Qt::AlignVCenter, tr("rod"));
    for (const Phase phase : kPhases) {
        if (lasts(phase) > Time{}) {
            paintBlock(painter, phase);
            continue;
        }
        const QRectF box = spare(phase);
        const bool isChosen = phase == chosen_ && hasFocus();
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(isChosen ? c.accent : c.inkSoft, isChosen ? 2.0 : 1.0, Qt::DashLine));
        painter.drawRoundedRect(box, 4.0, 4.0);
        painter.setPen(c.inkSoft);
        painter.setFont(faceScaled(0.82));
        painter.drawText(
            box, Qt::AlignCenter,
            QFontMetrics(painter.font()).elidedText(tr("+ %1").arg(title(phase)), Qt::ElideRight, static_cast<int>(box.width()) - 6));
    }
}

}  // namespace machair::app
