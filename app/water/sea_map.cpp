// How the map is painted: the shore and its scale, the wind on its rose, the fetch from the boat.
#include "water/sea_view.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "asking/day.h"
#include "daybook/boat.h"
#include "parts/lengths.h"
#include "parts/when_seen.h"
#include "theme/said.h"
#include "units/text.h"
#include "water/wave_picture.h"

namespace machair::app {

void SeaView::paintWind(QPainter& painter) const {
    const Colours& c = theme_.colours();
    if (!document_.water() || drawing_) return;
    QColor ground = c.paper;
    ground.setAlpha(215);
    painter.setPen(QPen(c.line, 1.0));
    painter.setBrush(ground);
    painter.drawEllipse(rose(), kRoseRadius, kRoseRadius);
    painter.setFont(faceScaled(0.80));
    painter.setPen(c.inkSoft);
    const std::array<std::pair<QString, QPointF>, 4> kNames = {std::pair(tr("N"), QPointF(0, -1)), std::pair(tr("E"), QPointF(1, 0)),
                                                               std::pair(tr("S"), QPointF(0, 1)), std::pair(tr("W"), QPointF(-1, 0))};
    for (const auto& [name, out] : kNames)
        painter.drawText(QRectF(rose() + (kRoseRadius - 8.0) * out - QPointF(8, 8), QSizeF(16, 16)), Qt::AlignCenter, name);
    const auto blowing = wind();
    const QPointF tip = blowing ? arrowTip(blowing->speed, blowing->from) : rose() + QPointF(0.0, kStill);
    const QPointF along = (tip - rose()) / std::max(1.0, std::hypot(tip.x() - rose().x(), tip.y() - rose().y()));
    const QPointF side(-along.y(), along.x());
    painter.setPen(QPen(hasFocus() || drawnWind_ ? c.accent : c.fault, hasFocus() || drawnWind_ ? 4.0 : 3.0, Qt::SolidLine, Qt::RoundCap));
    painter.drawLine(rose(), tip);
    painter.drawLine(tip, tip - 8.0 * along + 5.0 * side);
    painter.drawLine(tip, tip - 8.0 * along - 5.0 * side);
    painter.setFont(faceScaled(0.92, true));
    painter.setPen(c.ink);
    painter.drawText(QRectF(rose().x() - 110.0, rose().y() + kRoseRadius + 2.0, 110.0 + kRoseRadius, 18.0), Qt::AlignRight,
                     blowing ? tr("%1 m/s from %2°").arg(number(blowing->speed, 1), number(blowing->from, 0)) : tr("drag out the wind"));
}

void SeaView::paintMap(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const WaterSpec* water = document_.water();
    painter.setFont(faceScaled(1.0, true));
    painter.setPen(c.ink);
    painter.drawText(QPointF(16.0, 22.0), water ? qt(water->title()) : tr("No water yet"));
    const bool outlined = water && water->outline.size() > 2;
    painter.setFont(faceScaled(0.9));
    painter.setPen(c.inkSoft);
    if (drawing_) return paintDrawn(painter);
    if (!outlined) {
        painter.drawText(mapFrame().adjusted(2.0 * kRoseRadius, 0.0, -2.0 * kRoseRadius - 16.0, 0.0), Qt::AlignCenter | Qt::TextWordWrap,
                         water ? tr("Draw the loch's shore here, or bring it in as GeoJSON, and a click measures the fetch. Without a map, "
                                    "type the fetch.")
                               : tr("The water you fish: its wind and fetch give the wave, the wave says how full to dress."));
        return;
    }
    QPolygonF shore;
    for (const auto& corner : water->outline)
        shore << toScreen(corner);
    painter.setPen(QPen(c.slate, 1.8));
    QColor fill = c.slate;
    fill.setAlpha(46);
    painter.setBrush(fill);
    painter.drawPolygon(shore);
    // A scale of whole half kilometres.
    const double half = toScreen({500.0 * metre, Length{}}).x() - toScreen({Length{}, Length{}}).x();
    const QPointF foot(mapFrame().left() + 4.0, mapFrame().bottom() - 4.0);
    painter.setPen(QPen(c.ink, 1.5));
    painter.drawLine(foot, foot + QPointF(half, 0.0));
    painter.drawText(foot + QPointF(0.0, -6.0), tr("500 m"));
    paintFetch(painter, *water);
}

// The shore as far as it was drawn.
void SeaView::paintDrawn(QPainter& painter) const {
    painter.drawText(mapFrame(), Qt::AlignTop | Qt::AlignRight,
                     tr("click corner after corner of the shore, twice at the last; the frame is %1 m wide").arg(kDrawnSpan));
    QPolygonF line;
    for (const MapPoint& corner : drawn_)
        line << toScreen(corner);
    painter.setPen(QPen(theme_.colours().accent, 2.0));
    painter.setBrush(Qt::NoBrush);
    painter.drawPolyline(line);
    for (const QPointF& corner : line)
        painter.drawEllipse(corner, 3.0, 3.0);
}

// From the boat upwind to the shore; where either is missing, what would give it.
void SeaView::paintFetch(QPainter& painter, const WaterSpec& water) const {
    const Colours& c = theme_.colours();
    if (boat_ && water.windFrom) {
        const double bearing = *water.windFrom * std::numbers::pi / 180.0;
        const Length fetch = fetchAt(water.outline, *boat_, *water.windFrom);
        const MapPoint upwind{(*boat_)[0] + std::sin(bearing) * fetch, (*boat_)[1] + std::cos(bearing) * fetch};
        painter.setPen(QPen(c.accent, 1.6, Qt::DashLine));
        painter.drawLine(toScreen(*boat_), toScreen(upwind));
        painter.setBrush(c.accent);
        painter.setPen(Qt::NoPen);
        painter.drawEllipse(toScreen(*boat_), 5.0, 5.0);
        painter.setPen(c.ink);
        painter.drawText(toScreen(*boat_) + QPointF(9.0, 5.0), tr("fetch %1 m").arg(number(fetch / metre, 0)));
    } else {
        painter.setPen(c.inkSoft);
        painter.drawText(mapFrame(), Qt::AlignBottom | Qt::AlignRight,
                         water.windFrom ? tr("click where the boat is to measure the fetch")
                                        : tr("say where the wind is from, then a click measures the fetch"));
    }
}

}  // namespace machair::app
