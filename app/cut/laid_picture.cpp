#include "cut/laid_picture.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "theme/said.h"
#include "units/random.h"
#include "units/visit.h"

namespace machair::app {

namespace {

// A length of something wound off its spool: loops of 18 mm, and its end.
void paintCoil(QPainter& painter, const QRectF& area, double length, double width, const QColor& ink, double scale) {
    const double radius = 9.0 * scale;
    const int loops = std::clamp(static_cast<int>(length / (3.14159 * 18.0)), 0, 14);
    const double rest = std::min(length - loops * 3.14159 * 18.0, 40.0);
    painter.setPen(QPen(ink, std::max(1.0, width * scale), Qt::SolidLine, Qt::RoundCap));
    painter.setBrush(Qt::NoBrush);
    const QPointF middle(area.left() + radius + 8.0, area.center().y());
    Random random(static_cast<std::uint64_t>(length * 10.0));
    for (int i = 0; i < loops; ++i) {
        const QPointF off(random.uniform(-2.0, 2.0) * scale * 0.6, random.uniform(-2.0, 2.0) * scale * 0.6);
        painter.drawEllipse(middle + off, radius * random.uniform(0.94, 1.04), radius * random.uniform(0.94, 1.04));
    }
    QPainterPath end(middle + QPointF(0.0, loops > 0 ? radius : 0.0));
    const double run = std::max(rest, 8.0) * scale;
    end.cubicTo(end.currentPosition() + QPointF(run * 0.3, 2.0), end.currentPosition() + QPointF(run * 0.6, -8.0),
                end.currentPosition() + QPointF(std::min(run, area.right() - middle.x() - 6.0), -2.0));
    painter.drawPath(end);
}

// What a barred fibre shows: a black tip, and another bar so far back.
struct Bars {
    double spacing = 0.0;  // mm; none at 0
    QColor ink;
};
constexpr double kBarShare = 0.12;  // of the spacing, as the fly is drawn

void paintFibres(QPainter& painter, const QRectF& area, double count, double length, double width, const QColor& ink, double scale,
                 const Bars& bars = {}) {
    const int shown = std::clamp(static_cast<int>(std::lround(count)), 1, 40);
    const double step = std::min(9.0, (area.height() - 12.0) / shown);
    Random random(static_cast<std::uint64_t>(shown));
    for (int i = 0; i < shown; ++i) {
        const double y = area.center().y() + (i - (shown - 1) / 2.0) * step;
        QPainterPath path(QPointF(area.left() + 6.0, y));
        const double sag = random.uniform(-2.5, 2.5);
        path.quadTo(QPointF(area.left() + 6.0 + length * scale * 0.5, y + sag), QPointF(area.left() + 6.0 + length * scale, y));
        painter.setPen(QPen(i % 3 == 0 ? ink.darker(115) : ink, std::max(1.0, width * scale), Qt::SolidLine, Qt::RoundCap));
        painter.setBrush(Qt::NoBrush);
        painter.drawPath(path);
        if (bars.spacing <= 0.0) continue;
        painter.setPen(QPen(bars.ink, std::max(1.2, 1.2 * width * scale), Qt::SolidLine, Qt::FlatCap));
        for (double from = 0.0; from < length; from += bars.spacing)  // mm back from the tip
            painter.drawLine(path.pointAtPercent(std::max(0.0, 1.0 - (from + kBarShare * bars.spacing) / length)),
                             path.pointAtPercent(1.0 - from / length));
    }
}

// A slip cut out of a vane: parallel barbs, the tip edge slanting as they lie.
void paintSlip(QPainter& painter, const QPointF& at, double width, double barb, double density, const QColor& ink, double scale) {
    const double lean = 0.25 * width;
    const int barbs = std::clamp(static_cast<int>(width * density), 3, 60);
    for (int i = 0; i < barbs; ++i) {
        const double share = (i + 0.5) / barbs;
        const QPointF from = at + QPointF(0.0, share * width * scale);
        painter.setPen(QPen(i % 2 == 0 ? ink : ink.darker(118), std::max(1.0, 0.8 * width * scale / barbs)));
        painter.drawLine(from, from + QPointF((barb + lean * (share - 0.5)) * scale, -1.5 * share * scale));
    }
}

// A hackle: the stem stripped bare at one end, the fibres that will be wound, and the tip.
void paintHackle(QPainter& painter, const QRectF& area, const HacklePlan& h, const QColor& ink, double scale) {
    const double stem = h.stem / mm, bare = 6.0, tip = 8.0;
    const double y = area.center().y();
    const double left = area.left() + 6.0;
    painter.setPen(QPen(ink.darker(150), std::max(1.4, h.feather.stem / mm * scale), Qt::SolidLine, Qt::RoundCap));
    painter.drawLine(QPointF(left, y), QPointF(left + (bare + stem + tip) * scale, y));
    Random random(7);
    const double step = std::max(0.35, 2.2 / scale);
    const double longest = h.longest / mm, shortest = h.shortest / mm;
    for (double s = bare; s < bare + stem + tip; s += step) {
        const double along = (s - bare) / (stem + tip);
        const double fibre =
            (longest + (shortest - longest) * std::min(1.0, along)) * (s > bare + stem ? 1.0 - 0.5 * (s - bare - stem) / tip : 1.0);
        for (const double side : {-1.0, 1.0}) {
            const double lift = random.uniform(0.80, 0.9);
            QPainterPath path(QPointF(left + s * scale, y));
            path.quadTo(QPointF(left + (s + 0.25 * fibre) * scale, y + side * 0.6 * fibre * lift * scale),
                        QPointF(left + (s + 0.5 * fibre) * scale, y + side * fibre * lift * scale));
            painter.setPen(QPen(side < 0 ? ink : ink.darker(112), 1.0));
            painter.setBrush(Qt::NoBrush);
            painter.drawPath(path);
        }
    }
}

void paintNoodle(QPainter& painter, const QRectF& area, double length, double thin, double thick, const QColor& ink, double scale) {
    Random random(11);
    const double left = area.left() + 6.0, y = area.center().y();
    const int strays = static_cast<int>(length * 6.0);
    for (int i = 0; i < strays; ++i) {
        const double share = random.uniform(0.0, 1.0);
        const double half = 0.5 * (thin + (thick - thin) * share) * scale * 1.6;
        const QPointF at(left + share * length * scale, y + random.uniform(-half, half));
        painter.setPen(QPen(i % 3 == 0 ? ink.darker(130) : i % 3 == 1 ? ink.lighter(112) : ink, 1.0));
        painter.drawLine(at, at + QPointF(random.uniform(-5.0, 5.0), random.uniform(-3.0, 3.0)));
    }
}

// One thing as it lies on the table, at the tray's scale.
struct Laid {
    QPainter& painter;
    QRectF area;
    const LaidOut& laid;
    const Material* made;  // of the book; null where it is the usual one
    QColor ink, paper;
    double scale;  // px a mm

    void operator()(const HacklePlan& h) const { paintHackle(painter, area, h, ink, scale); }
    void operator()(const PalmerPlan& palmer) const { paintHackle(painter, area, palmer.hackle, ink, scale); }
    void operator()(const BodyPlan& body) const {
        if (body.made)
            paintNoodle(painter, area, *body.made / mm, 0.5 * (body.rearDiameter / mm), 0.7 * (body.frontDiameter / mm), ink, scale);
        else if (body.strands && body.perStrand)
            paintFibres(painter, area, *body.strands, *body.perStrand / mm, wide(), ink, scale);
        else
            coil();
    }
    void operator()(const TailPlan& tail) const {
        if (tail.slip)
            return paintSlip(painter, QPointF(area.left() + 6.0, area.center().y() - 0.5 * (*tail.slip / mm) * scale), *tail.slip / mm,
                             tail.fibreNeeded / mm, 2.6, ink, scale);
        Bars bars;
        const auto* tippet = made ? std::get_if<TippetTraits>(&made->traits) : nullptr;
        if (tail.barSpacing)
            bars = {(tippet ? tippet->barSpacing.value_or(*tail.barSpacing) : *tail.barSpacing) / mm,
                    made && made->colours.size() > 1 ? QColor(qt(made->colours[1])) : QColor(Qt::black)};
        paintFibres(painter, area, tail.fibres, tail.fibreNeeded / mm, tail.fibre / mm, ink, scale, bars);
    }
    void operator()(const WingPlan& wing) const {
        if (wing.slip <= 0.0 * mm)
            return paintFibres(painter, area, wing.count.value_or(1.0), wing.length / mm, wing.barb / mm, ink, scale);
        const double w = wing.slip / mm, length = wing.length / mm + 6.0;
        const bool pair = wing.style == WingStyle::paired || wing.style == WingStyle::upright;
        const double density = wing.barbs / w;
        const auto at = [&](double up) { return QPointF(area.left() + 6.0, area.center().y() + up * w * scale); };
        paintSlip(painter, at(pair ? -1.15 : -0.5), w, length, density, ink, scale);
        if (pair) paintSlip(painter, at(0.15), w, length, density, ink.darker(108), scale);
    }
    void operator()(const BeadPlan& bead) const {
        const double r = 0.5 * (bead.diameter / mm) * scale;
        const QPointF middle(area.left() + 6.0 + r, area.center().y());
        painter.setPen(QPen(ink.darker(150), 1.2));
        painter.setBrush(ink);
        painter.drawEllipse(middle, r, r);
        painter.setBrush(paper);
        painter.drawEllipse(middle, 0.35 * r, 0.35 * r);
    }
    void operator()(const PiecePlan& piece) const { paintFibres(painter, area, piece.count, piece.length / mm, 0.8, ink, scale); }
    void operator()(const OneOf<TagPlan, RibPlan, UnderbodyPlan, ThreadPlan, HeadPlan, Impossible> auto&) const { coil(); }

    [[nodiscard]] double wide() const { return made ? windingWidth(*made) / mm : 0.2; }
    void coil() const {
        if (laid.length) paintCoil(painter, area, *laid.length / mm, std::max(0.15, wide()), ink, scale);
    }
};

}  // namespace

void paintLaid(QPainter& painter, const QRectF& area, const LaidOut& laid, const Plan& plan, const Material* made, const QColor& ink,
               const QColor& paper, double pxPerMm) {
    if (laid.part >= plan.parts.size()) return paintCoil(painter, area, *laid.length / mm, 0.15, ink, pxPerMm);
    std::visit(Laid{painter, area, laid, made, ink, paper, pxPerMm}, plan.parts[laid.part].detail);
}

}  // namespace machair::app
