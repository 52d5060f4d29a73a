#include "check/asked_view.h"

#include <QPainter>

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
        const QPointF at = view.origin + view.pxPerMm * QPointF(handle.at.x / mm, -(handle.at.y / mm));
        painter.setPen(QPen(theme_.colours().accent, 3.0));
        painter.setBrush(Qt::NoBrush);
        painter.drawEllipse(at, 15.0, 15.0);
    }
}

}  // namespace machair::app
