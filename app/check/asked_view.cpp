#include "check/asked_view.h"

#include <QPainter>
#include <algorithm>
#include <cmath>

#include "drawing/fly_painter.h"

namespace machair::app {

AskedView::AskedView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setAccessibleName(tr("Where the next measure is taken"));
    setMinimumHeight(220);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void AskedView::ask(std::optional<CheckItem> item) {
    item_ = std::move(item);
    update();
}

void AskedView::paintEvent(QPaintEvent*) {
    if (!document_.plan()) return;
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Scene scene = makeScene(*document_.plan());
    const drawing::View view = drawing::fitView(scene, QRectF(rect()).adjusted(6, 6, -6, -6), theme_.bench(), 30.0);
    drawing::paintFly(painter, scene, view);
    if (!item_) return;
    for (const Handle& handle : handlesOf(*document_.plan())) {
        const auto length = measuredAt(*document_.plan(), handle, handle.at);
        if (!length || handle.part != item_->part || length->figure != item_->figure) continue;
        const auto at = [&](const Point2& p) { return view.origin + view.pxPerMm * QPointF(p.x / mm, -(p.y / mm)); };
        if (const auto jaws = jawsAt(*document_.plan(), handle)) paintJaws(painter, at(jaws->from), at(jaws->to));
        return;
    }
}

// Two blades from the places outwards, their inner edges on them, and the beam that they slide on.
void AskedView::paintJaws(QPainter& painter, QPointF from, QPointF to) const {
    const Colours& c = theme_.colours();
    const QPointF between = to - from;
    const double apart = std::hypot(between.x(), between.y());
    if (apart < 1e-6) return;
    const QPointF along = between / apart;
    QPointF out(-along.y(), along.x());
    if (out.y() < 0.0 || (std::abs(out.y()) < 0.2 && out.x() < 0.0)) out = -out;  // downwards, or to the rear of what stands upright
    constexpr double kBlade = 64.0, kWide = 9.0, kBeam = 13.0, kOver = 26.0, kReach = 10.0;
    const auto blade = [&](QPointF at, double side) {
        painter.drawPolygon(QPolygonF(
            {at - kReach * out, at - kReach * out + side * 3.0 * along, at + kBlade * out + side * kWide * along, at + kBlade * out}));
    };
    QColor steel = c.slate;
    steel.setAlpha(150);
    painter.setPen(QPen(c.slate, 1.4));
    painter.setBrush(steel);
    blade(from, -1.0);
    blade(to, 1.0);
    const QPointF beam = from + kBlade * out;
    painter.drawPolygon(QPolygonF({beam - kOver * along, beam + (apart + kOver) * along, beam + (apart + kOver) * along + kBeam * out,
                                   beam - kOver * along + kBeam * out}));
    painter.setPen(QPen(c.accent, 2.0));
    painter.drawLine(from - kReach * out, from + kBlade * out);
    painter.drawLine(to - kReach * out, to + kBlade * out);
}

}  // namespace machair::app
