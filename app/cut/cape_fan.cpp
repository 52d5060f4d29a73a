#include "cut/cape_fan.h"

#include <QObject>
#include <QPainterPath>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "parts/lengths.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kHalfSpread = 68.0;  // degrees to each side
constexpr double kLeastShare = 0.08;  // of the spread, of a band
constexpr int kMostDrawn = 16;        // feathers of a band; more would be one blot
constexpr double kNarrow = 11.0;      // a feather is so many times as long as its fibre

QPointF towards(double degrees) {
    const double a = degrees * std::numbers::pi / 180.0;
    return {std::sin(a), -std::cos(a)};
}

// One feather from the root outwards: bare stem, web, barbs to a point.
void paintFeather(QPainter& painter, QPointF root, double degrees, double length, double fibre, const QColor& ink) {
    const QPointF along = towards(degrees), across(-along.y(), along.x());
    const auto at = [&](double t, double side) { return root + t * length * along + side * fibre * across; };
    QPainterPath web(at(0.30, 0.0));
    web.cubicTo(at(0.36, 1.25), at(0.70, 1.05), at(1.0, 0.0));
    web.cubicTo(at(0.70, -1.05), at(0.36, -1.25), at(0.30, 0.0));
    QColor fill = ink;
    fill.setAlpha(205);
    painter.setPen(QPen(ink.darker(150), 0.6));
    painter.setBrush(fill);
    painter.drawPath(web);
    painter.setPen(QPen(ink.darker(125), 0.6));
    for (int i = 1; i < 12; ++i) {  // the lie of its barbs
        const double t = 0.34 + 0.05 * i, out = std::sin(std::numbers::pi * (t - 0.30) / 0.72);
        for (const double side : {-0.7, 0.7})
            painter.drawLine(at(t, 0.0), at(std::min(0.99, t + 0.07), side * out));
    }
    painter.setPen(QPen(ink.darker(170), 1.2));
    painter.drawLine(root + 0.12 * length * along, at(0.97, 0.0));
}

}  // namespace

std::vector<FanBand> fanOf(const Cape& cape, const std::vector<HackleWanted>& wanted) {
    std::vector<FanBand> fan(cape.bands.size());
    double all = 0.0;
    const auto share = [](const CapeBand& band) { return static_cast<double>(std::min(band.count, kMostDrawn)); };
    for (const CapeBand& band : cape.bands)
        all += share(band);
    std::vector<double> wide;
    for (const CapeBand& band : cape.bands)
        wide.push_back(std::max(kLeastShare, all > 0.0 ? share(band) / all : 0.0));
    double sum = 0.0;
    for (const double w : wide)
        sum += w;
    double at = -kHalfSpread;
    for (std::size_t i = 0; i < fan.size(); ++i) {
        fan[i].from = at;
        at += 2.0 * kHalfSpread * wide[i] / sum;
        fan[i].to = at;
        for (const HackleWanted& hackle : wanted) {
            const bool last = i + 1 == fan.size();
            const bool inside =
                hackle.fibre >= cape.bands[i].from && (hackle.fibre < cape.bands[i].to || (last && hackle.fibre <= cape.bands[i].to));
            if (hackle.material == cape.material && inside && std::ranges::find(fan[i].wanted, hackle.fibre) == fan[i].wanted.end())
                fan[i].wanted.push_back(hackle.fibre);
        }
    }
    return fan;
}

void paintCapeFan(QPainter& painter, const QRectF& frame, const Cape& cape, const Material* hackle, const std::vector<HackleWanted>& wanted,
                  const Colours& colours) {
    painter.setFont(faceScaled(1.0, true));
    painter.setPen(colours.ink);
    painter.drawText(QPointF(frame.left() + 14.0, frame.top() + 22.0), QString::fromStdString(hackle ? hackle->title() : cape.id));
    if (cape.bands.empty()) return;
    const std::string* hex = hackle ? hackle->mainColour() : nullptr;
    const QColor ink = hex ? QColor(QString::fromStdString(*hex)) : colours.inkSoft;
    const std::vector<FanBand> fan = fanOf(cape, wanted);
    double longest = 1.0;
    for (const CapeBand& band : cape.bands)
        longest = std::max(longest, band.to / mm);
    constexpr double kLabels = 46.0, kFoot = 16.0;
    const double radius = std::max(40.0, std::min(frame.height() - kLabels - kFoot - 24.0, 0.5 * frame.width() - 110.0));
    const QPointF root(frame.center().x(), frame.bottom() - kFoot);
    for (std::size_t i = 0; i < fan.size(); ++i) {
        const CapeBand& band = cape.bands[i];
        const double middle = 0.5 * (fan[i].from + fan[i].to);
        const double fibre = band.middle() / mm;
        const double length = radius * std::clamp(0.42 + 0.58 * fibre / longest, 0.3, 1.0);
        const int drawn = std::min(band.count, kMostDrawn);
        for (int k = 0; k < drawn; ++k)
            paintFeather(painter, root, fan[i].from + (fan[i].to - fan[i].from) * (k + 0.5) / drawn, length,
                         std::max(2.0, radius / kNarrow * fibre / longest), k % 2 == 0 ? ink : ink.darker(108));
        const bool isWanted = !fan[i].wanted.empty();
        // Qt counts counter-clockwise from three o'clock, in sixteenths.
        const QRectF circle(root - QPointF(radius + 6.0, radius + 6.0), QSizeF(2.0 * radius + 12.0, 2.0 * radius + 12.0));
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(isWanted ? colours.accent : colours.line, isWanted ? 4.0 : 1.5, Qt::SolidLine, Qt::FlatCap));
        painter.drawArc(circle, static_cast<int>(16.0 * (90.0 - fan[i].to + 0.6)),
                        static_cast<int>(16.0 * (fan[i].to - fan[i].from - 1.2)));
        const QPointF label = root + (radius + 30.0) * towards(middle);
        QString text = QObject::tr("%1 to %2 · %3").arg(lengthFigure(band.from), lengthSaid(band.to)).arg(band.count);
        painter.setFont(faceScaled(0.88, isWanted));
        painter.setPen(isWanted ? colours.ink : colours.inkSoft);
        const double wide = 130.0, side = towards(middle).x();
        const QRectF box(side < -0.3 ? label.x() - wide : side > 0.3 ? label.x() : label.x() - 0.5 * wide, label.y() - 9.0, wide, 18.0);
        const Qt::Alignment alignment = side < -0.3 ? Qt::AlignRight : side > 0.3 ? Qt::AlignLeft : Qt::AlignHCenter;
        painter.drawText(box, static_cast<int>(alignment | Qt::AlignVCenter), text);
        if (!isWanted) continue;
        QStringList fibres;
        for (const Length length1 : fan[i].wanted)
            fibres << lengthSaid(length1);
        painter.setPen(colours.accent);
        painter.drawText(box.translated(0.0, -15.0), static_cast<int>(alignment | Qt::AlignVCenter),
                         QObject::tr("wants %1").arg(fibres.join(QObject::tr(", "))));
    }
    QStringList missing;
    for (const HackleWanted& one : wanted) {
        const bool lies =
            std::ranges::any_of(fan, [&](const FanBand& band) { return std::ranges::find(band.wanted, one.fibre) != band.wanted.end(); });
        const QString text = lengthSaid(one.fibre);
        if (one.material == cape.material && !lies && !missing.contains(text)) missing << text;
    }
    if (missing.isEmpty()) return;
    painter.setPen(colours.fault);
    painter.setFont(faceScaled(0.95, true));
    painter.drawText(QPointF(frame.left() + 14.0, frame.bottom() - 8.0),
                     QObject::tr("✗ no feather with a fibre of %1").arg(missing.join(QObject::tr(", "))));
}

}  // namespace machair::app
