#include "drawing/marks.h"

#include <QFont>
#include <QFontMetricsF>
#include <QObject>
#include <QPainter>

#include "cutting/gauges.h"
#include "drawing/fly_painter.h"

namespace machair::drawing {

namespace {

// Fonts are set large and scaled down: they have no sizes under a pixel.
QFont face(bool bold) {
    QFont font;
    font.setPixelSize(100);
    font.setBold(bold);
    font.setStyleStrategy(QFont::ForceOutline);
    return font;
}

}  // namespace

void writeWords(QPainter& painter, QPointF at, const QString& words, double height, const QColor& ink, bool bold, double align,
                double room) {
    painter.save();
    const QFont font = face(bold);
    const QFontMetricsF metrics(font);
    const double scale = height / 100.0;
    const QString fitting =
        metrics.horizontalAdvance(words) * scale <= room ? words : metrics.elidedText(words, Qt::ElideRight, room / scale);
    painter.translate(at);
    painter.scale(scale, scale);
    painter.setFont(font);
    painter.setPen(ink);
    painter.drawText(QPointF(-align * metrics.horizontalAdvance(fitting), 0.0), fitting);
    painter.restore();
}

void hairline(QPainter& painter, QPointF a, QPointF b, double width, const QColor& ink) {
    painter.setPen(QPen(ink, width, Qt::SolidLine, Qt::FlatCap));
    painter.drawLine(a, b);
}

void provingBar(QPainter& painter, QPointF at, LengthUnit unit) {
    const double length = kProvingBar / mm;
    painter.setPen(Qt::NoPen);
    painter.setBrush(kPageInk);
    painter.drawRect(QRectF(at.x(), at.y(), length, 0.6));
    for (int i = 0; i <= 10; ++i)
        hairline(painter, at + QPointF(5.0 * i, -1.0), at + QPointF(5.0 * i, 0.0));  // above the bar, whose ends stay its own
    writeWords(painter, at + QPointF(length + 2.0, 0.6),
               QObject::tr("50 mm%1: measure this bar; if it isn't, the printer scaled")
                   .arg(unit == LengthUnit::millimetres ? QString() : QObject::tr(" (%1)").arg(saidIn(kProvingBar, unit))),
               2.2, kPageSoft);
}

void flyIn(QPainter& painter, const Plan& plan, const QRectF& frame) {
    const Scene scene = makeScene(plan);
    // The fly's painter draws in px; here one of its px is a tenth of a millimetre.
    constexpr double kFine = 10.0;
    painter.save();
    painter.scale(1.0 / kFine, 1.0 / kFine);
    const QRectF large(frame.topLeft() * kFine, frame.size() * kFine);
    paintFly(painter, scene, fitView(scene, large, Bench::sand, 40.0));
    painter.restore();
}

}  // namespace machair::drawing
