// The map in hand: the wind drawn out, the boat put and dragged, the shore set corner by corner.
#include "water/sea_view.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "asking/day.h"
#include "daybook/boat.h"
#include "parts/lengths.h"
#include "theme/said.h"
#include "units/text.h"
#include "water/wave_picture.h"

namespace machair::app {

namespace {
constexpr double kTurn = 10.0, kStronger = 0.5, kMostWind = 60.0;  // degrees; m/s
}

void SeaView::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !mapFrame().contains(event->position())) return;
    if (drawing_) {
        drawn_.push_back(toMap(event->position()));
        update();
        return;
    }
    constexpr double kReach = 14.0;  // px around the tip
    const QPointF off = event->position() - rose();
    if (document_.water() && std::hypot(off.x(), off.y()) <= kRoseRadius + kReach) {
        setFocus();
        drawnWind_ = windTo(event->position());
        update();
        return;
    }
    steering_ = true;
    putBoat(event->position());
}

void SeaView::putBoat(QPointF place) {
    const WaterSpec* water = document_.water();
    if (!water || water->outline.size() < 3 || !water->windFrom) return;
    const MapPoint at = toMap(place);
    if (!onWater(water->outline, at)) return;
    boat_ = at;
    update();
}

void SeaView::mouseMoveEvent(QMouseEvent* event) {
    const QPointF off = event->position() - rose();
    const bool overRose = document_.isOpen() && document_.water() && std::hypot(off.x(), off.y()) <= kRoseRadius;
    if (!drawing_) setCursor(drawnWind_ ? Qt::ClosedHandCursor : overRose ? Qt::OpenHandCursor : Qt::ArrowCursor);
    if (drawnWind_) {
        drawnWind_ = windTo(event->position());
        // The wave follows at once; the day does when the arrow is let go.
        if (const WaterSpec* water = document_.water(); water && water->fetch) {
            WaterSpec as = *water;
            as.wind = drawnWind_->speed * metrePerSecond;
            sea_ = seaOf(document_.book(), as);
        }
        update();
    } else if (steering_) {
        putBoat(event->position());
    }
}

void SeaView::mouseReleaseEvent(QMouseEvent*) {
    if (const auto drawn = std::exchange(drawnWind_, std::nullopt)) {
        emit windDrawn(drawn->speed, drawn->from);
        return refresh();
    }
    const WaterSpec* water = document_.water();
    if (std::exchange(steering_, false) && boat_ && water && water->windFrom)
        emit fetchMeasured(fetchAt(water->outline, *boat_, *water->windFrom) / metre);
}

// The arrow by keyboard: Left and Right turn it, Up and Down are its force.
void SeaView::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Left: return nudgePart(0, -1);
        case Qt::Key_Right: return nudgePart(0, 1);
        case Qt::Key_Up: return nudgePart(1, 1);
        case Qt::Key_Down: return nudgePart(1, -1);
        default: QWidget::keyPressEvent(event);
    }
}

void SeaView::mouseDoubleClickEvent(QMouseEvent* event) {
    if (!drawing_) return mousePressEvent(event);
    emit shoreDrawn(drawn_);
}

std::vector<SpokenPart> SeaView::spokenParts() const {
    if (!document_.isOpen() || !document_.water()) return {};
    const Blowing now = wind().value_or(Blowing{});
    const QPoint at = arrowTip(now.speed, now.from).toPoint();
    const QRect around(at - QPoint(10, 10), QSize(20, 20));
    return {{tr("wind from"), tr("%1 degrees").arg(number(now.from, 0)), around, true, true},
            {tr("wind's force"), tr("%1 m/s").arg(number(now.speed, 1)), around, false, true}};
}

void SeaView::choosePart(std::size_t) { setFocus(); }

void SeaView::nudgePart(std::size_t part, int steps) {
    if (!document_.isOpen() || !document_.water()) return;
    Blowing to = wind().value_or(Blowing{});
    if (part == 0)
        to.from = std::fmod(to.from + 360.0 + kTurn * steps, 360.0);
    else
        to.speed = std::clamp(to.speed + kStronger * steps, 0.0, kMostWind);
    emit windDrawn(to.speed, to.from);
}

}  // namespace machair::app
