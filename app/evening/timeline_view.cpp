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

namespace {

constexpr double kLaneNames = 186.0, kRightEdge = 16.0, kAxis = 26.0, kHands = 30.0, kLaneGap = 8.0;  // px
constexpr double kLeastLane = 14.0, kPictured = 36.0, kMostLane = 76.0, kGrip = 6.0;
constexpr QSize kPicture(54, 32);
constexpr int kNudge = 10;  // minutes

}  // namespace

TimelineView::TimelineView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("timeline"));
    setAccessibleName(tr("The evening's timetable"));
    setMinimumSize(460, 240);
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
    update();
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
    return std::clamp((height() - kAxis - kHands - 2.0 * kLaneGap - 8.0) / lanes, kLeastLane, kMostLane);
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

void TimelineView::paintAxis(QPainter& painter) const {
    const Colours& c = theme_.colours();
    painter.setFont(faceScaled(0.88));
    const double whole = span();
    const double tick = whole <= 60.0 ? 10.0 : whole <= 240.0 ? 30.0 : whole <= 720.0 ? 60.0 : 240.0;
    for (double minute = 0.0; minute <= whole; minute += tick) {
        painter.setPen(QPen(c.line, 0.8));
        painter.drawLine(QPointF(x(minute), kAxis - 2.0), QPointF(x(minute), height() - 8.0));
        painter.setPen(c.inkSoft);
        const QString words = tick >= 60.0 ? tr("%1 h").arg(qt(formatShort(minute / 60.0, 1))) : tr("%1 min").arg(minute);
        const double room = width() - x(minute) - 2.0;
        if (QFontMetricsF(painter.font()).horizontalAdvance(words) + 3.0 < room)
            painter.drawText(QPointF(x(minute) + 3.0, kAxis - 8.0), words);
    }
}

// Every stage in its dressing's tone, a hatch for coats.
void TimelineView::paintHands(QPainter& painter) const {
    const Colours& c = theme_.colours();
    painter.setFont(faceScaled(0.95, true));
    painter.setPen(c.ink);
    painter.drawText(QRectF(14.0, kAxis + 4.0, kLaneNames - 20.0, kHands), Qt::AlignLeft | Qt::AlignVCenter, tr("The hands"));
    painter.setFont(faceScaled(0.88));
    for (const TimedStage& stage : table_.stages) {
        const QColor fill = toneOf(stage.job);
        const QRectF block = blockAt(stage);
        painter.setPen(Qt::NoPen);
        painter.setBrush(stage.stage == 0 ? QBrush(fill) : QBrush(fill, Qt::Dense4Pattern));
        painter.drawRect(block);
        if (block.width() > 30.0) {
            painter.setPen(c.accentInk);
            painter.drawText(block, Qt::AlignCenter, QString::number(stage.fly + 1));
        }
    }
}

// The dressing's picture, name and count, then its flies one under the other: tied, coated, drying.
void TimelineView::paintLane(QPainter& painter, std::size_t job) const {
    const Colours& c = theme_.colours();
    const QRectF lane = laneOf(job);
    const auto all = order();
    const bool chosen = hasFocus() && chosen_ < all.size() && all[chosen_] == job;
    const bool dragged = (held_ == Held::lane || held_ == Held::block) && dragged_ == job;
    painter.fillRect(lane, dragged ? c.raised : c.panel);
    painter.fillRect(QRectF(lane.left(), lane.top(), 4.0, lane.height()), toneOf(job));
    if (chosen) {
        painter.setPen(QPen(c.accent, 2.0));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(lane.adjusted(1, 1, -1, -1));
    }
    const bool pictured = lane.height() >= kPictured;
    const QRectF picture(QPointF(lane.left() + 10.0, lane.center().y() - 0.5 * kPicture.height()), QSizeF(kPicture));
    if (const QImage image = Pictures::of(document_, theme_).get({"patterns", jobs_[job].fly}, kPicture, devicePixelRatioF());
        pictured && !image.isNull())
        painter.drawImage(picture.topLeft(), image);
    const double left = pictured ? picture.right() + 8.0 : lane.left() + 10.0, room = kLaneNames - left - 8.0;
    painter.setFont(faceScaled(0.95, true));
    const QFontMetricsF bold(painter.font());
    painter.setPen(c.ink);
    painter.drawText(
        QRectF(left, pictured ? lane.center().y() - bold.height() : lane.top(), room, pictured ? bold.height() : lane.height()),
        Qt::AlignLeft | Qt::AlignVCenter, bold.elidedText(titleOf(job), Qt::ElideRight, room));
    if (pictured) {
        painter.setFont(faceScaled(0.85));
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(left, lane.center().y(), room, bold.height()), Qt::AlignLeft | Qt::AlignVCenter,
                         QFontMetricsF(painter.font()).elidedText(tellOf(job), Qt::ElideRight, room));
    }
    int flies = 1;
    for (const TimedStage& stage : table_.stages)
        if (stage.job == job) flies = std::max(flies, stage.fly + 1);
    const double row = (lane.height() - 6.0) / flies, bar = std::clamp(row - 1.0, 1.0, 12.0);
    painter.setPen(Qt::NoPen);
    for (const TimedStage& stage : table_.stages) {
        if (stage.job != job) continue;
        const double y = lane.top() + 3.0 + row * stage.fly + 0.5 * (row - bar);
        QColor fill = toneOf(job);
        painter.setBrush(fill);
        painter.drawRect(QRectF(x(stage.start), y, std::max(2.0, x(stage.end) - x(stage.start)), bar));
        const double dry = jobs_[job].stages[stage.stage].dry;
        fill.setAlpha(80);
        painter.setBrush(fill);
        painter.drawRect(QRectF(x(stage.end), y + 0.3 * bar, x(stage.end + dry) - x(stage.end), std::max(1.0, 0.4 * bar)));
    }
}

// Where what is held would go, when it must be over, and where the evening has come to.
void TimelineView::paintLines(QPainter& painter) const {
    const Colours& c = theme_.colours();
    if (held_ == Held::block || held_ == Held::lane) {
        const std::size_t before = dropBefore(pointer_);
        painter.setPen(QPen(c.ink, 3.0));
        if (held_ == Held::block) {
            const double at = before < jobs_.size() ? blockOf(before).left() : x(table_.handsFree);
            painter.drawLine(QPointF(at, kAxis - 2.0), QPointF(at, kAxis + kHands + 10.0));
        } else {
            const auto all = order();
            const double at = before < jobs_.size() ? laneOf(before).top() - 1.5 : laneOf(all.back()).bottom() + 1.5;
            painter.drawLine(QPointF(0.0, at), QPointF(width(), at));
        }
    }
    painter.setFont(faceScaled(0.88, true));
    const QFontMetricsF metrics(painter.font());
    const auto line = [&](double at, const QString& words, const QPen& pen) {
        painter.setPen(pen);
        painter.drawLine(QPointF(at, kAxis - 2.0), QPointF(at, height() - 6.0));
        const double wide = metrics.horizontalAdvance(words) + 8.0;
        const QRectF tag(std::clamp(at - 0.5 * wide, kLaneNames, width() - wide - 2.0), 2.0, wide, kAxis - 6.0);
        painter.fillRect(tag, c.paper);
        painter.drawText(tag, Qt::AlignCenter, words);
    };
    if (minutes_ > 0.0) {
        const bool held = held_ == Held::end, chosen = hasFocus() && chosen_ >= order().size();
        const double at = held ? std::clamp(pointer_.x(), x(0.0), width() - kRightEdge) : endX();
        line(at, tr("over at %1 min").arg(number(held ? std::max(0.0, std::round(minuteAt(at) / 5.0) * 5.0) : minutes_, 0)),
             QPen(c.accent, held || chosen ? 3.0 : 2.0, Qt::DashLine));
    }
    if (now_) line(x(*now_), tr("now, %1 min").arg(number(*now_, 0)), QPen(c.ink, 2.0));
}

void TimelineView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (table_.stages.empty()) {
        painter.setPen(c.inkSoft);
        painter.drawText(
            rect().adjusted(60, 0, -60, 0), Qt::AlignCenter | Qt::TextWordWrap,
            tr("No batch waits. Say on the right how many of the dressing on the bench you want; the evening lays itself out here."));
        return;
    }
    for (const std::size_t job : order())
        paintLane(painter, job);
    paintAxis(painter);
    paintHands(painter);
    paintLines(painter);
}

}  // namespace machair::app
