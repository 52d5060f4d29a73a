#include "evening/timeline_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>
#include <utility>

#include "parts/pictures.h"
#include "units/text.h"

namespace machair::app {

TimelineView::TimelineView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("timeline"));
    setAccessibleName(tr("The evening's timetable"));
    constexpr int kLeastWide = 460, kLeastHigh = 170;
    setMinimumSize(kLeastWide, kLeastHigh);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Maximum);
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
    connect(&Pictures::of(document_, theme_), &Pictures::painted, this, qOverload<>(&QWidget::update));
}

void TimelineView::show(const std::vector<TyingJob>& jobs, const Timetable& table, double minutes) {
    jobs_ = jobs;
    table_ = table;
    minutes_ = minutes;
    held_ = Held::nothing;
    chosen_ = std::min(chosen_, order().size());
    updateGeometry();
    update();
}

QSize TimelineView::sizeHint() const {
    const double lanes = static_cast<double>(std::max<std::size_t>(1, order().size()));
    return {minimumWidth(), static_cast<int>(std::ceil(kAboveLanes + lanes * kMostLane))};
}

void TimelineView::showNow(std::optional<double> minute) {
    now_ = minute;
    update();
}

double TimelineView::span() const { return std::max({table_.allDry, minutes_, 1.0}) * 1.02; }
double TimelineView::x(double minute) const { return kLaneNames + (width() - kLaneNames - kRightEdge) * minute / span(); }
double TimelineView::minuteAt(double at) const { return (at - kLaneNames) / (width() - kLaneNames - kRightEdge) * span(); }
double TimelineView::endX() const { return x(minutes_); }

double TimelineView::laneHeight() const {
    const double lanes = static_cast<double>(std::max<std::size_t>(1, order().size()));
    return std::clamp((height() - kAboveLanes) / lanes, kLeastLane, kMostLane);
}

QRectF TimelineView::blockAt(const TimedStage& stage) const {
    return {x(stage.start), kAxis + 4.0, std::max(1.5, x(stage.end) - x(stage.start) - 0.8), kHands};
}

QRectF TimelineView::blockOf(std::size_t job) const {
    for (const TimedStage& stage : table_.stages)
        if (stage.job == job) return blockAt(stage);
    return {};
}

QRectF TimelineView::laneOf(std::size_t job) const {
    const auto all = order();
    const auto at = std::ranges::find(all, job);
    if (at == all.end()) return {};
    const double top = kAxis + kHands + 2.0 * kLaneGap + laneHeight() * static_cast<double>(at - all.begin());
    return {0.0, top, static_cast<double>(width()), laneHeight() - 3.0};
}

QColor TimelineView::toneOf(std::size_t job) const {
    const Colours& c = theme_.colours();
    const QColor tones[] = {c.accent, c.grass, c.slate, c.warn};
    return tones[job % 4];
}

std::vector<std::size_t> TimelineView::order() const {
    std::vector<std::size_t> jobs;
    for (const TimedStage& stage : table_.stages)
        if (std::ranges::find(jobs, stage.job) == jobs.end()) jobs.push_back(stage.job);
    return jobs;
}

// A block goes before the first job whose own first block lies right of the pointer; a lane before the first lane below it.
std::size_t TimelineView::dropBefore(QPointF at) const {
    for (const std::size_t job : order())
        if (held_ == Held::lane ? laneOf(job).center().y() > at.y() : blockOf(job).center().x() > at.x()) return job;
    return jobs_.size();
}

TimelineView::Held TimelineView::heldAt(QPointF at, std::size_t& job) const {
    if (minutes_ > 0.0 && std::abs(at.x() - endX()) < kGrip) return Held::end;
    for (const TimedStage& stage : table_.stages)
        if (blockAt(stage).adjusted(-1, -2, 1, 2).contains(at)) {
            job = stage.job;
            return Held::block;
        }
    for (const std::size_t one : order())
        if (laneOf(one).contains(at)) {
            job = one;
            return Held::lane;
        }
    return Held::nothing;
}

void TimelineView::mousePressEvent(QMouseEvent* event) {
    setFocus(Qt::MouseFocusReason);
    held_ = heldAt(event->position(), dragged_);
    pointer_ = event->position();
    const auto all = order();
    if (held_ == Held::end)
        chosen_ = all.size();
    else if (held_ != Held::nothing)
        chosen_ = static_cast<std::size_t>(std::ranges::find(all, dragged_) - all.begin());
    update();
}

void TimelineView::mouseMoveEvent(QMouseEvent* event) {
    pointer_ = event->position();
    if (held_ != Held::nothing) return update();
    std::size_t job = 0;
    switch (heldAt(pointer_, job)) {
        case Held::nothing: return unsetCursor();
        case Held::end: return setCursor(Qt::SizeHorCursor);
        case Held::block:
        case Held::lane: return setCursor(Qt::OpenHandCursor);
    }
}

void TimelineView::mouseReleaseEvent(QMouseEvent* event) {
    const Held held = held_;
    const std::size_t before = dropBefore(event->position());
    held_ = Held::nothing;
    update();
    constexpr int kMost = 1440;
    if (held == Held::end) {
        const int minutes = std::clamp(static_cast<int>(std::lround(minuteAt(event->position().x()) / 5.0)) * 5, 0, kMost);
        if (minutes != static_cast<int>(minutes_)) emit endMoved(minutes);
    } else if (held != Held::nothing && before != dragged_) {
        // Where it lies already it stays: before the next of the order.
        const auto all = order();
        const auto at = std::ranges::find(all, dragged_);
        const bool there = at + 1 == all.end() ? before == jobs_.size() : before == *(at + 1);
        if (!there) emit moved(dragged_, before);
    }
}

void TimelineView::keyPressEvent(QKeyEvent* event) {
    const std::size_t lanes = order().size();
    switch (event->key()) {
        case Qt::Key_Up: return choosePart(chosen_ == 0 ? lanes : chosen_ - 1);
        case Qt::Key_Down: return choosePart(chosen_ >= lanes ? 0 : chosen_ + 1);
        case Qt::Key_Left: return nudgePart(chosen_, chosen_ < lanes ? 1 : -1);
        case Qt::Key_Right: return nudgePart(chosen_, chosen_ < lanes ? -1 : 1);
        default: QWidget::keyPressEvent(event);
    }
}

QString TimelineView::titleOf(std::size_t job) const {
    const Pattern* pattern = document_.book().findPattern(jobs_[job].fly);
    return pattern ? qt(pattern->title()) : qt(jobs_[job].fly);
}

QString TimelineView::tellOf(std::size_t job) const {
    int flies = 0;
    double from = table_.allDry, dry = 0.0;
    for (const TimedStage& stage : table_.stages) {
        if (stage.job != job) continue;
        flies = std::max(flies, stage.fly + 1);
        from = std::min(from, stage.start);
        dry = std::max(dry, stage.end + jobs_[job].stages[stage.stage].dry);
    }
    return tr("%1 of %2, dry at %3 min").arg(flies).arg(jobs_[job].count).arg(number(dry, 0));
}

std::vector<SpokenPart> TimelineView::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (const std::size_t job : order())
        parts.push_back({titleOf(job), tellOf(job), laneOf(job).toRect(), parts.size() == chosen_, true});
    if (!parts.empty())
        parts.push_back({tr("when it must be over"), tr("%1 min").arg(number(minutes_, 0)),
                         QRectF(endX() - kGrip, kAxis, 2.0 * kGrip, height() - kAxis).toRect(), parts.size() == chosen_, true});
    return parts;
}

void TimelineView::choosePart(std::size_t part) {
    chosen_ = std::min(part, order().size());
    update();
}

void TimelineView::nudgePart(std::size_t part, int steps) {
    const auto all = order();
    if (all.empty()) return;
    if (part >= all.size()) {
        emit endMoved(std::max(0, static_cast<int>(minutes_) + steps * kNudge));
        return;
    }
    // Up is one place earlier.
    const auto to = static_cast<std::ptrdiff_t>(part) - steps;
    if (to < 0 || to >= static_cast<std::ptrdiff_t>(all.size())) return;
    const auto before = static_cast<std::size_t>(steps > 0 ? to : to + 1);
    const std::size_t job = all[part];
    chosen_ = static_cast<std::size_t>(to);
    emit moved(job, before < all.size() ? all[before] : jobs_.size());
}

}  // namespace machair::app
