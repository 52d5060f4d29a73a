// How the evening is painted: its hours, the hands, a lane for each dressing, now and the end.
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

void TimelineView::paintAxis(QPainter& painter) const {
    const Colours& c = theme_.colours();
    painter.setFont(faceScaled(0.88));
    const double whole = span();
    const double tick = whole <= 60.0 ? 10.0 : whole <= 240.0 ? 30.0 : whole <= 720.0 ? 60.0 : 240.0;
    for (double minute = 0.0; minute <= whole; minute += tick) {
        painter.setPen(QPen(c.line, 0.8));
        painter.drawLine(QPointF(x(minute), kAxis - 2.0), QPointF(x(minute), height() - 8.0));
        painter.setPen(c.inkSoft);
        const QString words = tick >= 60.0 ? tr("%1 h").arg(shortNumber(minute / 60.0, 1)) : tr("%1 min").arg(minute);
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
