// How the day is painted: what it was like, a lane for each place, outings as bars, fish as marks.
#include "daybook/day_page.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>
#include <cmath>

#include "book/find.h"
#include "book/flies.h"
#include "book/record_edits.h"
#include "book/records.h"
#include "book/rule.h"
#include "parts/lengths.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

// What the day was like, in the order it is spoken of: wind, wave, light, water, warmth, hatch, drift.
QStringList conditionsOf(const Day& day) {
    QStringList like;
    if (day.wind) like << DayPage::tr("wind %1 m/s").arg(shortNumber(*day.wind / metrePerSecond, 1));
    if (day.wave) like << DayPage::tr("wave %1 cm").arg(shortNumber(*day.wave / mm / 10.0, 0));
    if (day.light) like << qt(sayName(*day.light));
    if (day.colour) like << DayPage::tr("%1 water").arg(qt(sayName(*day.colour)));
    if (day.celsius) like << DayPage::tr("%1 °C").arg(shortNumber(*day.celsius, 1));
    if (day.hatching) like << qt(*day.hatching);
    if (day.drift)
        like << (day.drogue.value_or(false) ? DayPage::tr("drift %1 m/s on the drogue") : DayPage::tr("drift %1 m/s"))
                    .arg(shortNumber(*day.drift / metrePerSecond, 2));
    return like;
}

}  // namespace

void DayPage::paintHead(QPainter& painter, const Day& day) const {
    painter.setFont(faceScaled(1.15, true));
    painter.setPen(theme_.colours().ink);
    painter.drawText(QPointF(kPageMargin, 22.0), inHouseWords(titleOf(document_.book(), day)));
    painter.setFont(faceScaled(0.92));
    painter.setPen(theme_.colours().inkSoft);
    const QString like = conditionsOf(day).join(QStringLiteral("  ·  "));
    painter.drawText(QRectF(kPageMargin + 250.0, 6.0, width() - 266.0 - kPageMargin, 22.0), Qt::AlignRight | Qt::AlignVCenter,
                     QFontMetrics(painter.font()).elidedText(like, Qt::ElideRight, static_cast<int>(width() - 280.0)));
}

void DayPage::paintLanes(QPainter& painter) const {
    const Colours& c = theme_.colours();
    for (const Position lane : lanes_) {
        painter.setPen(QPen(c.line, 1.0, Qt::DotLine));
        painter.drawLine(QPointF(kPageMargin + kLabels, yOf(lane)), QPointF(width() - kPageMargin, yOf(lane)));
        painter.setPen(c.inkSoft);
        painter.drawText(QPointF(kPageMargin, yOf(lane) + 4.0), titleOf(lane));
    }
    for (double hour = std::ceil(from_); hour <= to_; hour += 1.0) {
        painter.setPen(QPen(c.line, 1.0));
        painter.drawLine(QPointF(xOf(hour), height() - kPageFoot + 4.0), QPointF(xOf(hour), height() - kPageFoot + 9.0));
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(xOf(hour) - 24.0, height() - kPageFoot + 9.0, 48.0, 16.0), Qt::AlignCenter,
                         QString::number(static_cast<int>(hour)));
    }
}

void DayPage::paintOuting(QPainter& painter, const Outing& outing, const QRectF& where, bool chosen) const {
    const Colours& c = theme_.colours();
    QColor fill = c.raised;
    fill.setAlpha(140);
    painter.setBrush(fill);
    painter.setPen(QPen(chosen ? c.accent : c.line, chosen ? 2.0 : 1.0));
    painter.drawRoundedRect(where, 5, 5);
    painter.setFont(faceScaled(0.84));
    painter.setPen(c.inkSoft);
    for (const Position position : kPositions) {
        if (!outing.at(position)) continue;
        const QRectF label(where.left() + 6.0, yOf(position) - 24.0, where.width() - 10.0, 15.0);
        painter.drawText(
            label, Qt::AlignLeft | Qt::AlignVCenter,
            QFontMetrics(painter.font())
                .elidedText(qt(sayFly(document_.book(), *outing.at(position))), Qt::ElideRight, static_cast<int>(label.width())));
    }
}

// Filled where it was kept, outlined only where it was lost.
void DayPage::paintFish(QPainter& painter, const Fish& fish, const QRectF& where, bool chosen) const {
    const Colours& c = theme_.colours();
    const bool lost = fish.lost.value_or(false), kept = fish.kept.value_or(false);
    painter.setPen(QPen(chosen ? c.accent : c.warn, chosen ? 2.4 : 1.4));
    painter.setBrush(lost ? QBrush(Qt::NoBrush) : kept ? QBrush(c.warn) : QBrush(c.paper));
    painter.drawPolygon(QPolygonF{QPointF(where.right() - 5.0, where.center().y()), QPointF(where.right(), where.top() + 2.0),
                                  QPointF(where.right(), where.bottom() - 2.0)});
    painter.drawEllipse(where.adjusted(0, 1.5, -4, -1.5));
    if (!fish.depth) return;
    painter.setFont(faceScaled(0.80));
    painter.setPen(c.inkSoft);
    painter.drawText(QPointF(where.right() + 2.0, where.bottom()), tr("%1 m").arg(shortNumber(*fish.depth / metre, 2)));
}

void DayPage::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    const Day* day = this->day();
    if (!day) {
        painter.setFont(faceScaled(1.0));
        painter.setPen(c.inkSoft);
        painter.drawText(rect(), Qt::AlignCenter, tr("Choose a day above, or begin one"));
        return;
    }
    paintHead(painter, *day);
    paintLanes(painter);
    for (const Mark& mark : marks_) {
        const bool chosen = row_ == mark.row;
        QRectF where = mark.rect;
        if (chosen && dragged_ && !edge_ && mark.position) where.moveCenter(*dragged_);
        if (chosen && dragged_ && edge_) where.setRight(std::max(where.left() + 8.0, dragged_->x()));
        if (mark.row.table == "outings")
            paintOuting(painter, day->outings[mark.row.row], where, chosen);
        else
            paintFish(painter, day->fish[mark.row.row], where, chosen);
    }
    painter.setFont(faceScaled(0.84));
    painter.setPen(c.inkSoft);
    painter.drawText(QPointF(kPageMargin, height() - 8.0), tr("filled: kept"));
}

}  // namespace machair::app
