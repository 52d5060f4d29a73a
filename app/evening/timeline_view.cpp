#include "evening/timeline_view.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <utility>

#include "editing/document.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kLaneLeft = 16.0, kLaneRight = 16.0, kLaneTop = 44.0, kLane = 26.0, kHands = 30.0;
constexpr std::size_t kMostLanes = 14;

}  // namespace

TimelineView::TimelineView(const Theme& theme, QWidget* parent) : QWidget(parent), theme_(theme) {
    setObjectName(QStringLiteral("timeline"));
    setAccessibleName(tr("The evening's timetable"));
    setMinimumSize(460, 280);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void TimelineView::show(const std::vector<TyingJob>& jobs, const Timetable& table, double minutes) {
    jobs_ = jobs;
    table_ = table;
    minutes_ = minutes;
    update();
}

void TimelineView::showNow(std::optional<double> minute) {
    now_ = minute;
    update();
}

double TimelineView::x(double minute) const {
    const double span = std::max({table_.allDry, minutes_, 1.0}) * 1.02;
    return kLaneLeft + (width() - kLaneLeft - kLaneRight) * minute / span;
}

QRectF TimelineView::blockAt(const TimedStage& stage) const {
    return {x(stage.start), kLaneTop, std::max(1.5, x(stage.end) - x(stage.start) - 0.8), kHands};
}

QRectF TimelineView::blockOf(std::size_t job) const {
    for (const TimedStage& stage : table_.stages)
        if (stage.job == job) return blockAt(stage);
    return {};
}

std::vector<std::size_t> TimelineView::order() const {
    std::vector<std::size_t> jobs;
    for (const TimedStage& stage : table_.stages)
        if (std::ranges::find(jobs, stage.job) == jobs.end()) jobs.push_back(stage.job);
    return jobs;
}

// Before the first job whose own first block lies right of the pointer.
std::size_t TimelineView::dropBefore(double at) const {
    for (const std::size_t job : order())
        if (blockOf(job).center().x() > at) return job;
    return jobs_.size();
}

void TimelineView::mousePressEvent(QMouseEvent* event) {
    dragged_.reset();
    for (const TimedStage& stage : table_.stages)
        if (blockAt(stage).adjusted(-1, -2, 1, 2).contains(event->position())) dragged_ = stage.job;
    pointer_ = event->position().x();
}

void TimelineView::mouseMoveEvent(QMouseEvent* event) {
    pointer_ = event->position().x();
    if (dragged_) update();
}

void TimelineView::mouseReleaseEvent(QMouseEvent* event) {
    if (!dragged_) return;
    const std::size_t job = *std::exchange(dragged_, std::nullopt);
    const std::size_t before = dropBefore(event->position().x());
    update();
    if (before != job) emit moved(job, before);
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
    const double span = std::max(table_.allDry, minutes_) * 1.02;
    painter.setFont(faceScaled(0.88));
    const double tick = span <= 60.0 ? 10.0 : span <= 240.0 ? 30.0 : span <= 720.0 ? 60.0 : 240.0;
    for (double minute = 0.0; minute <= span; minute += tick) {
        painter.setPen(QPen(c.line, 0.8));
        painter.drawLine(QPointF(x(minute), 24.0), QPointF(x(minute), height() - 10.0));
        painter.setPen(c.inkSoft);
        painter.drawText(QPointF(x(minute) + 3.0, 20.0),
                         tick >= 60.0 ? tr("%1 h").arg(qt(formatShort(minute / 60.0, 1))) : tr("%1 min").arg(minute));
    }
    // The hands: every stage in its own tone, a different hatch for coats.
    painter.setPen(c.ink);
    const QColor tones[] = {c.accent, c.grass, c.slate, c.warn};
    for (const TimedStage& stage : table_.stages) {
        QColor fill = tones[stage.job % 4];
        fill.setAlpha(stage.stage == 0 ? 190 : 255);
        const QRectF block = blockAt(stage);
        painter.setPen(Qt::NoPen);
        painter.setBrush(stage.stage == 0 ? QBrush(fill) : QBrush(fill, Qt::Dense4Pattern));
        painter.drawRect(block);
        if (block.width() > 30.0) {
            painter.setPen(c.accentInk);
            painter.drawText(block, Qt::AlignCenter, QString::number(stage.fly + 1));
        }
    }
    painter.setPen(c.inkSoft);
    painter.drawText(QPointF(kLaneLeft, kLaneTop + 46.0),
                     tr("hands: full blocks tie, hatched ones give a coat; drag a block to tie that dressing earlier or later"));
    // A lane a fly, for as many as there is room: tied, drying, dry.
    std::vector<std::pair<std::size_t, int>> lanes;
    for (const TimedStage& stage : table_.stages)
        if (const auto fly = std::pair(stage.job, stage.fly); std::ranges::find(lanes, fly) == lanes.end()) lanes.push_back(fly);
    double y = kLaneTop + 64.0;
    const auto room = std::min(kMostLanes, static_cast<std::size_t>(std::max(0.0, (height() - y - 26.0) / kLane)));
    for (std::size_t lane = 0; lane < std::min(room, lanes.size()); ++lane) {
        for (const TimedStage& stage : table_.stages) {
            if (std::pair(stage.job, stage.fly) != lanes[lane]) continue;
            QColor fill = tones[stage.job % 4];
            painter.setPen(Qt::NoPen);
            painter.setBrush(fill);
            painter.drawRect(QRectF(x(stage.start), y, std::max(1.5, x(stage.end) - x(stage.start)), 14.0));
            const double dry = jobs_[stage.job].stages[stage.stage].dry;
            fill.setAlpha(70);
            painter.setBrush(fill);
            painter.drawRect(QRectF(x(stage.end), y + 4.0, x(stage.end + dry) - x(stage.end), 6.0));
        }
        painter.setPen(c.inkSoft);
        painter.drawText(QPointF(kLaneLeft, y + 24.0), tr("%1, %2").arg(qt(jobs_[lanes[lane].first].fly)).arg(lanes[lane].second + 1));
        y += kLane;
    }
    if (lanes.size() > room) {
        painter.setPen(c.inkSoft);
        painter.drawText(QPointF(kLaneLeft, y + 14.0), tr("and %1 more").arg(lanes.size() - room));
    }
    if (dragged_) {
        const std::size_t before = dropBefore(pointer_);
        const double at = before < jobs_.size() ? blockOf(before).left() : x(table_.handsFree);
        painter.setPen(QPen(c.ink, 3.0));
        painter.drawLine(QPointF(at, kLaneTop - 8.0), QPointF(at, kLaneTop + kHands + 8.0));
    }
    if (minutes_ > 0.0) {
        painter.setPen(QPen(c.accent, 2.0, Qt::DashLine));
        painter.drawLine(QPointF(x(minutes_), 24.0), QPointF(x(minutes_), height() - 6.0));
    }
    if (now_) {
        painter.setPen(QPen(c.ink, 2.0));
        painter.drawLine(QPointF(x(*now_), 24.0), QPointF(x(*now_), height() - 6.0));
    }
}

}  // namespace machair::app
