// How the table is painted: each place with its words, its tick and what lies there, all at one scale.
#include "cut/tray_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "cut/laid_picture.h"
#include "cutting/stock.h"
#include "parts/lengths.h"
#include "units/text.h"

namespace machair::app {

namespace {

void paintBar(QPainter& painter, const QRectF& area, double scale, const Colours& c) {
    const bool metric = lengthsSaidIn() == LengthUnit::millimetres;
    const double bar = (metric ? 10.0 : 0.5 * (inch / mm)) * scale;
    painter.setPen(QPen(c.inkSoft, 1.2));
    const QPointF from(area.right() - bar, area.bottom() - 2.0);
    painter.drawLine(from, QPointF(area.right(), area.bottom() - 2.0));
    painter.drawLine(from, from - QPointF(0.0, 4.0));
    painter.drawLine(QPointF(area.right(), area.bottom() - 2.0), QPointF(area.right(), area.bottom() - 6.0));
    painter.setFont(faceScaled(0.88));
    painter.drawText(QRectF(from.x() - 90.0, from.y() - 14.0, 84.0, 18.0), Qt::AlignRight | Qt::AlignVCenter,
                     metric ? QObject::tr("10 mm") : QObject::tr("half an inch"));
}

}  // namespace

QColor TrayView::inkOf(const LaidOut& laid) const {
    const Material* made = laid.material.empty() ? nullptr : document_.book().findMaterial(laid.material);
    if (const std::string* hex = made ? made->mainColour() : nullptr) return QColor(qt(*hex));
    return theme_.colours().ink;
}

void TrayView::paintPiece(QPainter& painter, const QRectF& area, const Piece& piece) const {
    const LaidOut& laid = piece.laid;
    const Plan& plan = dressings_[piece.dressing].plan;
    const Material* made = laid.material.empty() ? nullptr : document_.book().findMaterial(laid.material);
    paintLaid(painter, area, laid, plan, made, inkOf(laid), theme_.colours().paper, scale_);
}

void TrayView::paintPlace(QPainter& painter, std::size_t i) const {
    const Colours& c = theme_.colours();
    const Piece& piece = pieces_[i];
    const QRectF cell = piece.place;
    const bool laid = isLaid(i), current = hasFocus() && static_cast<int>(i) == current_;
    painter.setPen(QPen(current ? c.accent : c.line, current ? 2.0 : 1.0));
    painter.setBrush(laid ? c.panel : c.raised);
    painter.drawRoundedRect(cell, 5.0, 5.0);
    const double words = captionHeight(piece, cell.width());
    const QRectF picture = cell.adjusted(kInside, kInside, -kInside, -words - 2.0);
    painter.save();
    painter.setClipRect(picture);
    if (laid) painter.setOpacity(0.45);
    paintPiece(painter, picture, piece);
    painter.restore();
    double y = cell.bottom() - words;
    const QRectF tick(cell.right() - kInside - kTickSide, y - 5.0, kTickSide, kTickSide);  // clear of the second line
    painter.setPen(QPen(c.inkSoft, 1.2));
    painter.setBrush(Qt::NoBrush);
    painter.drawRoundedRect(tick.adjusted(1, 1, -1, -1), 3.0, 3.0);
    painter.setFont(faceScaled(0.95, true));
    const QFontMetricsF bold(painter.font());
    if (laid) {
        painter.setPen(c.grass);
        painter.drawText(tick, Qt::AlignCenter, QStringLiteral("✓"));
    }
    painter.setPen(laid ? c.inkSoft : c.ink);
    painter.drawText(
        QRectF(cell.left() + kInside, y, tick.left() - cell.left() - 2.0 * kInside, bold.height()), Qt::AlignLeft | Qt::AlignVCenter,
        bold.elidedText(tr("%1  %2").arg(i + 1).arg(qt(piece.laid.what)), Qt::ElideRight, tick.left() - cell.left() - 2.0 * kInside));
    y += bold.height() + 2.0;
    painter.setFont(faceScaled(0.88));
    const QFontMetricsF plain(painter.font());
    for (const QString& line : piece.words) {
        const double high = plain.boundingRect(QRectF(0.0, 0.0, cell.width() - 2.0 * kInside, 1000.0), Qt::TextWordWrap, line).height();
        painter.setPen(line.startsWith(QStringLiteral("✗")) ? c.warn : c.inkSoft);
        painter.drawText(QRectF(cell.left() + kInside, y, cell.width() - 2.0 * kInside, high), Qt::TextWordWrap, line);
        y += high;
    }
}

void TrayView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (pieces_.empty()) return;
    for (std::size_t d = 0; d < dressings_.size() && dressings_.size() > 1; ++d) {
        painter.setFont(faceScaled(1.0, true));
        painter.setPen(c.ink);
        painter.drawText(QPointF(kGap, headings_[d] + QFontMetricsF(painter.font()).ascent()),
                         tr("%1 × %2").arg(dressings_[d].flies).arg(qt(dressings_[d].plan.pattern.title())));
    }
    for (std::size_t i = 0; i < pieces_.size(); ++i)
        paintPlace(painter, i);
    paintBar(painter, QRectF(kGap, 0.0, width() - 2.0 * kGap, std::max<double>(height(), minimumHeight()) - 4.0), scale_, c);
}

}  // namespace machair::app
