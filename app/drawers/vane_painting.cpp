// The feather on its sheet, as it is painted.
#include "drawers/vane_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QSettings>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/find.h"
#include "book/records.h"
#include "editing/read_picture.h"
#include "frame/ask_file.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "theme/screens.h"

namespace machair::app {

void VaneView::paintPhotograph(QPainter& painter) const {
    const QRectF room = rect();
    QSizeF size = photograph_.size();
    size.scale(room.size(), Qt::KeepAspectRatio);
    QRectF frame(QPointF(), size);
    frame.moveCenter(room.center());
    painter.drawImage(frame, photograph_);
}

// The stem, and barb after barb along it.
void VaneView::paintVane(QPainter& painter, const VaneFeather& own) const {
    const Colours& c = theme_.colours();
    const Material* material = document_.book().findMaterial(own.material);
    const QColor ink = material && material->colour ? QColor(qt(*material->colour)) : c.inkSoft;
    VaneFeather now = own;
    const VaneMeasures m = shown();
    now.vane = m.vane;
    now.barbs.assign(m.barbs.begin(), m.barbs.end());
    const double k = pxPerMm();
    const QPointF stem0 = base(), tip = markAt(0);
    const QPointF along = (tip - stem0) / std::max(1e-6, m.vane / mm * k), out(along.y(), -along.x());
    const bool over = !photograph_.isNull();
    constexpr double kApart = 0.45;  // mm between the barbs that are drawn
    for (double s = 0.0; s <= m.vane / mm; s += kApart) {
        const double barb = barbAt(now, s * mm) / mm * k;
        const QPointF root = stem0 + along * k * s;
        QPainterPath path(root);
        path.quadTo(root + along * 0.12 * barb + out * 0.45 * barb, root + along * kBarbAlong * barb + out * kBarbOut * barb);
        painter.setPen(QPen(over ? QColor(c.accent.red(), c.accent.green(), c.accent.blue(), 90) : ink, std::max(0.8, 0.3 * k)));
        painter.drawPath(path);
    }
    painter.setPen(QPen(over ? c.accent : ink.darker(150), std::max(1.6, 0.6 * k), Qt::SolidLine, Qt::RoundCap));
    painter.drawLine(stem0 - along * 12.0, tip);
    if (over) return;
    painter.setFont(faceScaled(0.88));
    for (std::size_t mark = 0; mark < kMarks; ++mark) {
        const QPointF at = markAt(mark);
        const bool strong = held_ == mark || (hasFocus() && chosen_ == mark);
        painter.setPen(QPen(c.accent, strong ? 2.4 : 1.4));
        painter.setBrush(strong ? c.accent : c.raised);
        painter.drawEllipse(at, strong ? 5.5 : 4.5, strong ? 5.5 : 4.5);
        painter.setPen(c.ink);
        const QString figure = lengthSaid(mark == 0 ? m.vane : m.barbs[mark - 1]);
        if (mark == 0)
            painter.drawText(QRectF(at.x() - 60.0, at.y() + 6.0, 74.0, 18.0), Qt::AlignRight, figure);
        else
            painter.drawText(QRectF(at.x() - 90.0, at.y() - 20.0, 86.0, 18.0), Qt::AlignRight, figure);
    }
}

void VaneView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    const VaneFeather* own = feather();
    if (!own) return;
    if (!photograph_.isNull()) paintPhotograph(painter);
    if (photograph_.isNull() || (stem_ && photographScale_ > 0.0)) paintVane(painter, *own);
    if (stroke_.isEmpty()) return;
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(c.accent, 2.0));
    if (asked_ == Asked::ends)
        painter.drawPolyline(stroke_);
    else
        painter.drawLine(stroke_.front(), stroke_.back());
}

}  // namespace machair::app
