#include "drawing/held.h"

#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "drawing/ink.h"
#include "units/random.h"

namespace machair::drawing {

namespace {

constexpr double kLeast = 1.0;  // px, of a line that has to be seen from a metre

// From the hook to the rear, sagging: t from 0 at the hook to 1.
QPainterPath hanging(QPointF at, double length, double drop) {
    QPainterPath path(at);
    path.cubicTo(at + QPointF(0.35 * length, -0.04 * length), at + QPointF(0.75 * length, 0.15 * drop), at + QPointF(length, drop));
    return path;
}

// A feather by its stem: the tip bound, the stem's bare end free; by its butt the other way round.
void paintFeather(QPainter& painter, const HacklePlan& hackle, const Material& made, bool byTip, const HeldAt& held) {
    const double k = held.pxPerMm;
    constexpr double kShown = 16.0, kBare = 0.14;  // mm of stem, and the share of it that is stripped
    const double length = kShown * k;
    const QPainterPath stem = hanging(held.at, length, 0.18 * length);
    const QColor base = inkOf(made.mainColour(), {0.36, 0.24, 0.14});
    Random random(17);
    const double fibre = hackle.fibre / mm * k, growth = 0.30;  // a feather's fibres grow towards its butt
    constexpr int kFibres = 90;
    constexpr double kLean = 0.62;  // rad off the stem
    for (int i = 0; i < kFibres; ++i) {
        const double t = (i + random.uniform(0.0, 0.8)) / kFibres;
        const bool bare = byTip ? t > 1.0 - kBare : t < kBare;
        if (bare) continue;
        const double along = byTip ? t : 1.0 - t;  // 0 at the tip
        const double own = fibre * (1.0 - growth + 2.0 * growth * along) * random.uniform(0.92, 1.05);
        const QPointF root = stem.pointAtPercent(t);
        const double heading = stem.angleAtPercent(t) * kPi / 180.0;  // towards the free end
        // Fibres point to the feather's tip.
        const double to = byTip ? heading + kPi : heading;
        for (const double side : {1.0, -1.0}) {
            const double angle = to + side * kLean;
            const QPointF tip = root + own * QPointF(std::cos(angle), -std::sin(angle));
            const QPointF bend = root + 0.5 * own * QPointF(std::cos(angle + 0.16 * side), -std::sin(angle + 0.16 * side));
            QPainterPath path(root);
            path.quadTo(bend, tip);
            QColor ink = base.lighter(92 + static_cast<int>(26.0 * random.uniform()));
            ink.setAlpha(190);
            painter.setPen(QPen(ink, std::max(kLeast, 0.05 * k)));
            painter.drawPath(path);
        }
    }
    painter.setPen(QPen(base.darker(150), std::max(1.4, hackle.feather.stem / mm * k), Qt::SolidLine, Qt::RoundCap));
    painter.drawPath(stem);
}

void paintStrand(QPainter& painter, const QPainterPath& path, const QColor& colour, double width, bool metal) {
    painter.setPen(QPen(colour.darker(125), std::max(kLeast, width), Qt::SolidLine, Qt::FlatCap));
    painter.drawPath(path);
    painter.setPen(QPen(metal ? colour.lighter(130) : colour, std::max(0.6, 0.6 * width), Qt::SolidLine, Qt::FlatCap));
    painter.drawPath(path);
}

// The face that shows while it waits is the one that will lie inside.
QColor waitingFace(const Material& made, int face, QColor usual) {
    const auto* strip = std::get_if<StripTraits>(&made.traits);
    if (!strip || strip->faces.size() < 2) return usual;
    const auto other = static_cast<std::size_t>(face == 0 ? 1 : 0);
    return inkOf(&strip->faces[other], {0.7, 0.7, 0.7});
}

void paintWinding(QPainter& painter, const Plan& plan, std::size_t part, const HeldAt& held) {
    const Material& made = plan.parts[part].made;
    const double k = held.pxPerMm;
    constexpr double kShown = 15.0;
    const bool metal = made.kind == MaterialKind::wire || made.kind == MaterialKind::oval || made.kind == MaterialKind::tinsel ||
                       made.kind == MaterialKind::ribbon;
    const auto* rib = std::get_if<RibPart>(&plan.pattern.parts[part].detail);
    const QColor usual = inkOf(made.mainColour(), metal ? Rgb{0.76, 0.62, 0.27} : Rgb{0.45, 0.33, 0.20});
    const QColor colour = waitingFace(made, rib ? rib->face.value_or(0) : 0, usual);
    int strands = 1;
    double width = windingWidth(made) / mm * k;
    if (const auto* body = std::get_if<BodyPlan>(&plan.parts[part].detail); body && body->strands)
        strands = static_cast<int>(std::lround(*body->strands));
    strands = std::clamp(strands, 1, 8);
    for (int i = 0; i < strands; ++i) {
        const double spread = (i - 0.5 * (strands - 1)) * 0.04;
        paintStrand(painter, hanging(held.at, kShown * k * (1.0 - 0.03 * i), (0.20 + spread) * kShown * k), colour, width, metal);
    }
}

void paintFur(QPainter& painter, QPointF from, QPointF to, const QColor& colour, double k, double thickness, int strokes) {
    Random random(5);
    for (int i = 0; i < strokes; ++i) {
        const double t = random.uniform();
        const QPointF at = from + t * (to - from);
        const double swell = thickness * (0.35 + 0.65 * std::sin(kPi * std::min(1.0, 0.15 + 0.85 * t)));
        const double angle = random.uniform(0.0, 2.0 * kPi), length = random.uniform(0.3, 1.0) * swell;
        QColor ink = colour.lighter(85 + static_cast<int>(45.0 * random.uniform()));
        ink.setAlpha(200);
        painter.setPen(QPen(ink, std::max(kLeast, 0.045 * k)));
        painter.drawLine(at, at + length * QPointF(std::cos(angle), std::sin(angle)));
    }
}

const QColor kThread(0x8a, 0x5a, 0x2c);

}  // namespace

void paintWaiting(QPainter& painter, const Plan& plan, std::size_t part, const HeldAt& held) {
    const PartPlan& planned = plan.parts[part];
    painter.save();
    painter.setBrush(Qt::NoBrush);
    painter.setRenderHint(QPainter::Antialiasing);
    const auto* palmer = std::get_if<PalmerPlan>(&planned.detail);
    const auto* hackle = palmer ? &palmer->hackle : std::get_if<HacklePlan>(&planned.detail);
    const bool wound = std::holds_alternative<RibPlan>(planned.detail) || std::holds_alternative<BodyPlan>(planned.detail) ||
                       std::holds_alternative<TagPlan>(planned.detail) || std::holds_alternative<UnderbodyPlan>(planned.detail);
    if (hackle && planned.made.kind == MaterialKind::hackle)
        paintFeather(painter, *hackle, planned.made, palmer ? palmer->wound == PalmerWound::forward : hackle->tieIn == TieIn::tip, held);
    else if (wound && planned.made.kind != MaterialKind::dubbing)
        paintWinding(painter, plan, part, held);
    painter.restore();
}

void paintLoop(QPainter& painter, const Material& fur, const HeldAt& held, Length length) {
    const double k = held.pxPerMm, long_ = std::min(14.0, length / mm) * k;
    const QPointF foot = held.at + QPointF(0.22 * long_, long_);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    paintFur(painter, held.at + QPointF(0.02 * long_, 0.08 * long_), foot - QPointF(0.0, 0.1 * long_),
             inkOf(fur.mainColour(), {0.42, 0.33, 0.24}), k, 0.10 * long_, 260);
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(kThread, std::max(1.2, 0.07 * k)));
    painter.drawLine(held.at, foot);
    painter.drawLine(held.at + QPointF(0.10 * k, 0.0), foot);
    // The hook of the tool, with its weight below.
    painter.setPen(QPen(QColor(0x77, 0x7a, 0x80), 3.0, Qt::SolidLine, Qt::RoundCap));
    painter.drawArc(QRectF(foot - QPointF(6.0, 2.0), QSizeF(12.0, 12.0)), 30 * 16, 250 * 16);
    painter.drawLine(foot + QPointF(0.0, 10.0), foot + QPointF(0.0, 26.0));
    painter.restore();
}

void paintNoodle(QPainter& painter, const Material& fur, const HeldAt& held, Length thickness, Length length) {
    const double k = held.pxPerMm, long_ = std::min(16.0, length / mm) * k;
    const QPointF foot = held.at + QPointF(0.1 * k, long_);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(kThread, std::max(1.2, 0.07 * k)));
    painter.drawLine(held.at, foot);
    paintFur(painter, held.at + QPointF(0.0, 0.06 * long_), foot, inkOf(fur.mainColour(), {0.42, 0.33, 0.24}), k,
             0.7 * (thickness / mm) * k, 420);
    painter.restore();
}

}  // namespace machair::drawing
