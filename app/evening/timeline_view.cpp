#include "evening/timeline_view.h"

#include <QPainter>
#include <algorithm>

#include "editing/document.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kLeft = 16.0, kRight = 16.0, kTop = 44.0, kLane = 26.0;
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

void TimelineView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (table_.stages.empty()) {
        painter.setPen(c.inkSoft);
        painter.drawText(rect().adjusted(60, 0, -60, 0), Qt::AlignCenter | Qt::TextWordWrap, tr("No batch waits. Say on the right how many of the dressing on the bench you want; the evening lays itself out here."));
        return;
    }
    const double span = std::max(table_.allDry, minutes_) * 1.02;
    const auto x = [&](double minute) { return kLeft + (width() - kLeft - kRight) * minute / span; };
    painter.setFont(faceScaled(0.88));
    const double tick = span <= 60.0 ? 10.0 : span <= 240.0 ? 30.0 : span <= 720.0 ? 60.0 : 240.0;
    for (double minute = 0.0; minute <= span; minute += tick) {
        painter.setPen(QPen(c.line, 0.8));
        painter.drawLine(QPointF(x(minute), 24.0), QPointF(x(minute), height() - 10.0));
        painter.setPen(c.inkSoft);
        painter.drawText(QPointF(x(minute) + 3.0, 20.0), tick >= 60.0 ? tr("%1 h").arg(qt(formatShort(minute / 60.0, 1))) : tr("%1 min").arg(minute));
    }
    // The hands: every stage in its own tone, a different hatch for coats.
    painter.setPen(c.ink);
    const QColor tones[] = {c.accent, c.grass, c.slate, c.warn};
    for (const TimedStage& stage : table_.stages) {
        QColor fill = tones[stage.job % 4];
        fill.setAlpha(stage.stage == 0 ? 190 : 255);
        const QRectF block(x(stage.start), kTop, std::max(1.5, x(stage.end) - x(stage.start) - 0.8), 30.0);
        painter.setPen(Qt::NoPen);
        painter.setBrush(stage.stage == 0 ? QBrush(fill) : QBrush(fill, Qt::Dense4Pattern));
        painter.drawRect(block);
        if (block.width() > 30.0) {
            painter.setPen(c.accentInk);
            painter.drawText(block, Qt::AlignCenter, QString::number(stage.fly + 1));
        }
    }
    painter.setPen(c.inkSoft);
    painter.drawText(QPointF(kLeft, kTop + 46.0), tr("hands: full blocks tie, hatched ones give a coat"));
    // A lane a fly, for as many as there is room: tied, drying, dry.
    std::vector<std::pair<std::size_t, int>> lanes;
    for (const TimedStage& stage : table_.stages)
        if (const auto fly = std::pair(stage.job, stage.fly); std::ranges::find(lanes, fly) == lanes.end()) lanes.push_back(fly);
    double y = kTop + 64.0;
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
        painter.drawText(QPointF(kLeft, y + 24.0), tr("%1, %2").arg(qt(jobs_[lanes[lane].first].fly)).arg(lanes[lane].second + 1));
        y += kLane;
    }
    if (lanes.size() > room) {
        painter.setPen(c.inkSoft);
        painter.drawText(QPointF(kLeft, y + 14.0), tr("and %1 more").arg(lanes.size() - room));
    }
    if (minutes_ > 0.0) {
        painter.setPen(QPen(c.accent, 2.0, Qt::DashLine));
        painter.drawLine(QPointF(x(minutes_), 24.0), QPointF(x(minutes_), height() - 6.0));
    }
}

}  // namespace machair::app
