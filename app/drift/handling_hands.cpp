// The blocks of the strip in hand: dragged, nudged, typed, spoken.
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

HandlingStrip::Held HandlingStrip::gripAt(QPointF at) const {
    // Edges first: a block may be narrower than its grips. The last of those that meet is the one that can grow.
    for (auto phase = kPhases.rbegin(); phase != kPhases.rend(); ++phase)
        if (const QRectF box = block(*phase); !box.isEmpty() && std::abs(at.x() - box.right()) <= kGrip && at.y() <= height())
            return {Grip::edge, *phase};
    for (const Phase phase : kPhases) {
        if (spare(phase).contains(at)) return {Grip::spare, phase};
        if (!block(phase).contains(at)) continue;
        return {speed(phase) && std::abs(at.y() - level(phase)) <= kGrip + 1.0 ? Grip::level : Grip::body, phase};
    }
    return {};
}

void HandlingStrip::choose(Phase phase) {
    if (typing_->isVisible()) typing_->hide();
    chosen_ = phase;
    tell();
    update();
}

void HandlingStrip::tell() {
    QStringList said;
    for (const Phase phase : kPhases)
        said << (phase == chosen_ ? tr("chosen: %1 %2") : tr("%1 %2")).arg(title(phase), words(phase));
    setAccessibleDescription(said.join(tr("; ")));
}

std::vector<SpokenPart> HandlingStrip::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (const Phase phase : kPhases)
        parts.push_back(
            {title(phase), words(phase), (lasts(phase) > Time{} ? block(phase) : spare(phase)).toRect(), phase == chosen_, true});
    return parts;
}

void HandlingStrip::choosePart(std::size_t part) {
    if (part < kPhases.size()) choose(kPhases[part]);
}

void HandlingStrip::nudgePart(std::size_t part, int steps) {
    if (part < kPhases.size()) setLasts(kPhases[part], std::max(Time{}, lasts(kPhases[part]) + static_cast<double>(steps) * second));
}

void HandlingStrip::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return QWidget::mousePressEvent(event);
    const Held grip = gripAt(event->position());
    if (grip.grip == Grip::none) return;
    choose(grip.phase);
    if (grip.grip == Grip::spare) return setLasts(grip.phase, limitsOf(grip.phase).takenUp * second);
    if (grip.grip == Grip::body) return;
    held_ = grip;  // a lift shows all that was asked of it while it is dragged
    update();
}

void HandlingStrip::mouseMoveEvent(QMouseEvent* event) {
    const QPointF at = event->position();
    if (held_.grip == Grip::edge) {
        const double t = (at.x() - left_) / width_ * seconds_;
        return setLasts(held_.phase, std::max(0.1, toWhole(t - starts(held_.phase) / second, 0.5)) * second);
    }
    if (held_.grip == Grip::level) {
        const double foot = height() - kFoot;
        const double share = (foot - at.y()) / (foot - kTop);
        const double most = fastest(held_.phase);
        return setSpeed(held_.phase, toWhole(share * most, limitsOf(held_.phase).step) * metrePerSecond);
    }
    const Held grip = gripAt(at);
    setCursor(grip.grip == Grip::edge    ? Qt::SplitHCursor
              : grip.grip == Grip::level ? Qt::SplitVCursor
              : grip.grip == Grip::none  ? Qt::ArrowCursor
                                         : Qt::PointingHandCursor);
}

void HandlingStrip::mouseReleaseEvent(QMouseEvent*) {
    if (held_.grip == Grip::none) return;
    held_ = {};
    refit();
    emit changed();
}

void HandlingStrip::mouseDoubleClickEvent(QMouseEvent* event) {
    const Held grip = gripAt(event->position());
    if (grip.grip == Grip::none || grip.grip == Grip::spare) return;
    choose(grip.phase);
    type({});
}

void HandlingStrip::keyPressEvent(QKeyEvent* event) {
    const auto at = std::ranges::find(kPhases, chosen_) - kPhases.begin();
    const auto others = static_cast<std::ptrdiff_t>(kPhases.size());
    const double now = lasts(chosen_) / second;
    const double fast = speed(chosen_).value_or(Speed{}) / metrePerSecond;
    switch (event->key()) {
        case Qt::Key_Left: return choose(kPhases[static_cast<std::size_t>((at + others - 1) % others)]);
        case Qt::Key_Right: return choose(kPhases[static_cast<std::size_t>((at + 1) % others)]);
        case Qt::Key_PageUp: return setLasts(chosen_, (now + 1.0) * second);
        case Qt::Key_PageDown: return setLasts(chosen_, std::max(0.0, now - 1.0) * second);
        case Qt::Key_Up: return setSpeed(chosen_, (fast + limitsOf(chosen_).step) * metrePerSecond);
        case Qt::Key_Down: return setSpeed(chosen_, std::max(0.0, fast - limitsOf(chosen_).step) * metrePerSecond);
        case Qt::Key_Delete: return setLasts(chosen_, {});
        case Qt::Key_Return:
        case Qt::Key_Enter: return type({});
        default:
            if (!event->text().isEmpty() && event->text().at(0).isDigit()) return type(event->text());
            QWidget::keyPressEvent(event);
    }
}

// What it is now, to be typed over; or what was begun.
void HandlingStrip::type(const QString& text) {
    const QRectF box = block(chosen_).isEmpty() ? spare(chosen_) : block(chosen_);
    constexpr double kWide = 170.0;
    typing_->setGeometry(QRectF(std::clamp(box.left(), 2.0, width() - kWide - 2.0), kTop + 8.0, kWide, 28.0).toRect());
    typing_->setPlaceholderText(chosen_ == Phase::lift ? tr("\"0.4 m/s to 2 m\", \"5 s\"")
                                : speed(chosen_)       ? tr("\"12 s at 0.3 m/s\"")
                                                       : tr("seconds"));
    typing_->setText(text.isEmpty() ? words(chosen_) : text);
    typing_->show();
    typing_->setFocus();
    if (text.isEmpty()) typing_->selectAll();
}

// Numbers with their units in any order; without one the first is seconds, the second m/s.
void HandlingStrip::typed() {
    static const QRegularExpression kNumber(QStringLiteral("(\\d+(?:[.,]\\d+)?)\\s*(m/s|m|s)?(?![\\w/])"));
    std::optional<double> time, fast, high;
    auto found = kNumber.globalMatch(typing_->text());
    while (found.hasNext()) {
        const auto match = found.next();
        const double value = match.captured(1).replace(QLatin1Char(','), QLatin1Char('.')).toDouble();
        const QString unit = match.captured(2);
        if (unit == QLatin1String("m/s") || (unit.isEmpty() && time))
            fast = value;
        else if (unit == QLatin1String("m"))
            high = value;
        else
            time = value;
    }
    if (!time && !fast && !high) {
        emit said(tr("Type seconds, and a speed where it has one, as \"12 s at 0.3 m/s\""));
        return;
    }
    if (fast) setSpeed(chosen_, *fast * metrePerSecond);
    if (high && chosen_ == Phase::lift) {
        handling_.height = std::clamp(*high, 0.2, 5.0) * metre;
        setSpeed(chosen_, handling_.lift > Speed{} ? handling_.lift : limitsOf(chosen_).speedThen * metrePerSecond);
    } else if (time && !(chosen_ == Phase::lift && *time * second == lasts(chosen_))) {
        setLasts(chosen_, *time * second);
    }
    typing_->hide();
    setFocus();
}

bool HandlingStrip::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        auto* help = static_cast<QHelpEvent*>(event);
        const Held grip = gripAt(help->pos());
        QString text =
            tr("Drag an edge for how long, the filling's top for how fast; double-click to type. Keys: Left and Right, "
               "Page Up and Page Down, Up and Down, Delete.");
        if (grip.grip == Grip::spare) text = tr("Takes it up: %1").arg(title(grip.phase));
        if (grip.phase == Phase::hold && grip.grip != Grip::none)
            text = tr("The rod goes with the boat and goes on rising, so that the bob stays in the surface");
        QToolTip::showText(help->globalPos(), text, this);
        return true;
    }
    return QWidget::event(event);
}

}  // namespace machair::app
