#include "water/wave_picture.h"

#include <QCoreApplication>
#include <QLocale>
#include <QObject>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>
#include <numbers>

namespace machair::app {

double DrawnWave::surface(double x) const { return level - 0.5 * height * scale * std::cos(2.0 * std::numbers::pi * (x / scale) / length); }

DrawnWave drawnWave(const Sea& sea, const QRectF& frame) {
    const double height = sea.height / metre;
    const double period = std::max(sea.period / second, 1e-6);
    const double length = std::clamp(kGravity / metrePerSecond2 * period * period / (2.0 * std::numbers::pi), 0.3, 60.0);
    const double span = std::max({9.0, 1.6 * length, frame.width() / std::max(0.34 * frame.height(), 1.0)});  // m across the frame
    const double scale = frame.width() / span;
    const double level = frame.top() + std::max(46.0 + 1.1 * scale + 0.5 * height * scale, 0.62 * frame.height());
    return {frame, scale, level, height, length};
}

void paintWater(QPainter& painter, const DrawnWave& wave, const Colours& c) {
    QPainterPath water(QPointF(wave.frame.left(), wave.surface(0.0)));
    for (double x = 0.0; x <= wave.frame.width(); x += 2.0)
        water.lineTo(wave.frame.left() + x, wave.surface(x));
    painter.setPen(QPen(c.slate, 2.0));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(water);
    water.lineTo(wave.frame.bottomRight());
    water.lineTo(wave.frame.bottomLeft());
    QColor fill = c.slate;
    fill.setAlpha(46);
    painter.fillPath(water, fill);
}

void paintBoat(QPainter& painter, const DrawnWave& wave, const Colours& c) {
    const double scale = wave.scale, hull = 4.9 * scale, middle = 0.5 * wave.frame.width();
    const QPointF keel(wave.frame.left() + middle, wave.surface(middle) + 0.16 * scale);
    const auto at = [&](double along, double up) { return keel + QPointF(along * hull, -up * scale); };
    const auto gunwale = [&](QPainterPath& path) { path.cubicTo(at(0.26, 0.60), at(-0.20, 0.52), at(-0.50, 0.66)); };
    QPainterPath boat(at(-0.50, 0.66));
    boat.cubicTo(at(-0.49, 0.30), at(-0.40, 0.04), at(-0.22, 0.0));
    boat.lineTo(at(0.26, 0.0));
    boat.cubicTo(at(0.40, 0.06), at(0.47, 0.36), at(0.50, 0.86));
    gunwale(boat);
    painter.setPen(QPen(c.ink, 1.2));
    painter.setBrush(c.raised);
    painter.drawPath(boat);
    painter.setBrush(Qt::NoBrush);
    painter.save();
    painter.setClipPath(boat);
    painter.setPen(QPen(c.line, 0.9));
    for (const double strake : {0.40, 0.24, 0.10}) {  // planks
        QPainterPath plank(at(-0.5, strake + 0.08));
        plank.cubicTo(at(-0.2, strake - 0.04), at(0.25, strake - 0.02), at(0.52, strake + 0.22));
        painter.drawPath(plank);
    }
    painter.restore();
    painter.setPen(QPen(c.ink, 2.2, Qt::SolidLine, Qt::RoundCap));
    QPainterPath rail(at(0.50, 0.86));
    gunwale(rail);
    painter.drawPath(rail);
    painter.setPen(QPen(c.inkSoft, 1.1, Qt::SolidLine, Qt::RoundCap));
    painter.drawLine(at(-0.36, 0.62), at(0.14, 0.78));  // an oar, shipped
    painter.setFont(faceScaled(0.85));
    painter.setPen(c.inkSoft);
    painter.drawText(QRectF(at(-0.5, 0.0).x(), at(0.0, 0.0).y() + 3.0, hull, 18.0), Qt::AlignHCenter | Qt::AlignTop,
                     QObject::tr("%1 m").arg(QLocale().toString(4.9, 'f', 1)));
}

}  // namespace machair::app
