// How the water is painted from the side: what hangs in it, what a fish sees, the depths against time.
#include "drift/water_section.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "asking/day.h"
#include "colour/colour.h"
#include "drift/fish_view.h"
#include "drift/handling_strip.h"
#include "theme/light.h"
#include "theme/said.h"
#include "units/text.h"
#include "water/sight.h"

namespace machair::app {

namespace {

double niceStep(double range) {
    for (const double step : {0.05, 0.1, 0.2, 0.5, 1.0, 2.0, 5.0})
        if (range / step <= 6.0) return step;
    return 10.0;
}

// Lines differ in more than colour.
Qt::PenStyle penStyleOf(Position position) {
    switch (position) {
        case Position::bob: return Qt::SolidLine;
        case Position::upper: return Qt::DotLine;
        case Position::middle: return Qt::DashLine;
        case Position::lower: return Qt::DashDotDotLine;
        case Position::point: return Qt::DashDotLine;
    }
    return Qt::SolidLine;
}

}  // namespace

void WaterSection::paintWater(QPainter& painter, const QRectF& frame) const {
    const Colours& c = theme_.colours();
    const double surface = frame.top() + kAir * frame.height();
    painter.fillRect(frame, c.paper);
    // The colour of the water at each depth, laid as a wash on the bench.
    const Clarity clarity = clarityOf(document_.water() ? document_.water()->colour.value_or(WaterColour::tea) : WaterColour::tea);
    QLinearGradient water(0.0, surface, 0.0, frame.bottom());
    const double exposure =
        (theme_.bench() == drawing::Bench::sand ? 0.62 : 0.16) / std::max({clarity.scattered.r, clarity.scattered.g, clarity.scattered.b});
    for (int i = 0; i <= 6; ++i) {
        const Seen there = seen({0.5, 0.5, 0.5}, clarity, {i / 6.0 * deepest_ * metre, 0.5 * metre, 0.83});
        const double dim = 1.0 - 0.35 * i / 6.0;
        const QColor pure = shownLight(there.water, exposure * dim);
        const auto mixed = [&](int own, int bench) {
            return static_cast<int>(std::lround(0.42 * own + 0.58 * bench * (1.0 - 0.22 * i / 6.0)));
        };
        water.setColorAt(
            i / 6.0, QColor(mixed(pure.red(), c.paper.red()), mixed(pure.green(), c.paper.green()), mixed(pure.blue(), c.paper.blue())));
    }
    painter.fillRect(QRectF(frame.left(), surface, frame.width(), frame.bottom() - surface), water);
    painter.setPen(QPen(c.slate, 1.4));
    painter.drawLine(QPointF(frame.left(), surface), QPointF(frame.right(), surface));
    painter.setFont(faceScaled(0.85));
    const QColor ink = theme_.bench() == drawing::Bench::sand ? QColor(0x2b, 0x27, 0x22) : c.ink;
    const double step = niceStep(deepest_);
    for (double depth = step; depth < deepest_; depth += step) {
        const double y = toScreen(frame, {Length{}, -depth * metre}).y();
        painter.setPen(QPen(QColor(ink.red(), ink.green(), ink.blue(), 50), 0.8, Qt::DotLine));
        painter.drawLine(QPointF(frame.left(), y), QPointF(frame.right(), y));
        painter.setPen(ink);
        painter.drawText(QPointF(frame.left() + 5.0, y - 3.0), tr("%1 m").arg(number(depth, step < 0.1 ? 2 : 1)));
    }
}

void WaterSection::paintLeader(QPainter& painter, const QRectF& frame, const DriftSample& sample) const {
    const Colours& c = theme_.colours();
    painter.setPen(
        QPen(theme_.bench() == drawing::Bench::sand ? QColor(0x20, 0x2b, 0x32) : c.ink, 1.5, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    for (std::size_t i = 1; i < sample.nodes.size() && i < run_->parents.size(); ++i)
        painter.drawLine(toScreen(frame, sample.nodes[static_cast<std::size_t>(run_->parents[i])]), toScreen(frame, sample.nodes[i]));
    const QPointF tip = toScreen(frame, sample.nodes.front());
    painter.setPen(QPen(c.inkSoft, 3.0, Qt::SolidLine, Qt::RoundCap));
    painter.drawLine(tip, tip + QPointF(-16.0, -10.0));
}

void WaterSection::paintFlies(QPainter& painter, const QRectF& frame, const DriftSample& sample) const {
    double labelled = -1e9;
    for (const Small& fly : flies_)  // all of them under all labels
        if (const auto& own = run_->flyNode[fly.position]) painter.drawImage(toScreen(frame, sample.nodes[*own]) - fly.eye, fly.picture);
    for (const Small& fly : flies_) {
        if (!run_->flyNode[fly.position]) continue;
        const Point2 node = sample.nodes[*run_->flyNode[fly.position]];
        const QPointF at = toScreen(frame, node);
        painter.setPen(flyInk(fly.position));
        painter.setFont(faceScaled(0.9, true));
        const double depth = -node.y / metre;
        QString label =
            depth < -0.02 ? tr("%1, in the air").arg(titleOf(fly.position)) : tr("%1  %2 m").arg(titleOf(fly.position), number(depth, 2));
        painter.setFont(faceScaled(0.9, true));
        const QFontMetricsF width(painter.font());
        QPointF text(at.x() + fly.picture.deviceIndependentSize().width() - fly.eye.x() + 4.0, at.y() + 4.0);
        if (std::abs(text.y() - labelled) < 15.0) text.setY(labelled + 15.0);
        if (text.x() + width.horizontalAdvance(label) > frame.right() - 6.0)
            text = QPointF(frame.right() - 6.0 - width.horizontalAdvance(label), text.y() + 22.0);
        labelled = text.y();
        const QFontMetricsF& metrics = width;
        QColor back = theme_.colours().raised;
        back.setAlpha(215);
        painter.fillRect(QRectF(text.x() - 3.0, text.y() - metrics.ascent(), metrics.horizontalAdvance(label) + 6.0, metrics.height()),
                         back);
        painter.drawText(text, label);
    }
}

// As a fish half a metre off sees each of them, those that are in the water.
void WaterSection::paintSeen(QPainter& painter, const QRectF& frame, const DriftSample& sample) const {
    const auto& report = document_.teamReport();
    if (!report) return;
    std::vector<SeenFly> seen;
    for (const Small& fly : flies_) {
        const auto weighed = std::ranges::find(report->flies, fly.position, &TeamFly::position);
        const auto& own = run_->flyNode[fly.position];
        if (weighed == report->flies.end() || !own) continue;
        const Length depth = -sample.nodes[*own].y;
        if (depth > Length{}) seen.push_back({titleOf(fly.position), fly.picture, flyInk(fly.position), meanColour(weighed->plan), depth});
    }
    const TeamSetting setting = document_.setting();
    constexpr double kWide = 164.0;
    paintFishView(painter, QRectF(frame.right() - kWide - 10.0, frame.top() + 8.0, kWide, frame.height() - 16.0), seen,
                  setting.seen.clarity, setting.seen.sighting.cosine, theme_.colours());
}

void WaterSection::paintChart(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const QRectF box = chart();
    painter.fillRect(QRectF(0.0, waterHeight(), width(), height() - waterHeight()), c.panel);
    painter.setFont(faceScaled(0.88, true));
    painter.setPen(c.ink);
    painter.drawText(QPointF(14.0, box.top() - 9.0), tr("Depth against time"));
    painter.setFont(faceScaled(0.85));
    paintAxes(painter);
    painter.save();
    painter.setClipRect(box.adjusted(-1, -6, 1, 2));
    if (before_ && waves_.others.empty()) paintDepths(painter, *before_, true);
    for (const DriftReport& other : waves_.others)
        paintDepths(painter, other, true);
    paintDepths(painter, *run_, false);
    painter.setPen(QPen(c.ink, 1.2));
    painter.drawLine(onChart(time_, 0.0), onChart(time_, deepest_));
    painter.restore();
    painter.setPen(c.ink);
    painter.drawText(QPointF(std::clamp(onChart(time_, 0.0).x() + 4.0, 150.0, box.right() - 40.0), box.top() - 9.0),
                     tr("%1 s").arg(number(time_, 1)));
    paintBands(painter, QRectF(box.right() + 18.0, box.top(), width() - box.right() - 30.0, box.height()));
}

void WaterSection::paintAxes(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const QRectF box = chart();
    const double seconds = strip_->seconds();
    const double step = niceStep(deepest_);
    for (double depth = 0.0; depth < deepest_; depth += step) {
        painter.setPen(QPen(c.line, 0.8));
        painter.drawLine(onChart(0.0, depth), onChart(seconds, depth));
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(0.0, onChart(0.0, depth).y() - 9.0, box.left() - 6.0, 18.0), Qt::AlignRight | Qt::AlignVCenter,
                         tr("%1 m").arg(number(depth, step < 0.1 ? 2 : 1)));
    }
    const double tick = seconds <= 12.0 ? 2.0 : seconds <= 40.0 ? 5.0 : seconds <= 120.0 ? 20.0 : 60.0;
    for (double t = 0.0; t <= seconds + 1e-9; t += tick) {
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(onChart(t, 0.0).x() - 30.0, box.bottom() + 3.0, 60.0, 18.0), Qt::AlignHCenter | Qt::AlignTop,
                         tr("%1 s").arg(number(t, 0)));
    }
}

// How deep each fly was, a line for each; faint for a run that this one is held against.
void WaterSection::paintDepths(QPainter& painter, const DriftReport& run, bool faint) const {
    for (const Position position : kPositions) {
        QPainterPath path;
        bool drawing = false;
        for (const DriftSample& sample : run.samples) {
            const auto& depth = sample.depth[position];
            if (!depth) {
                drawing = false;
                continue;
            }
            const QPointF point = onChart(sample.time / second, *depth / metre);
            if (drawing)
                path.lineTo(point);
            else
                path.moveTo(point);
            drawing = true;
        }
        QColor ink = flyInk(position);
        if (faint) ink.setAlpha(70);
        painter.setPen(QPen(ink, faint ? 1.2 : 2.0, penStyleOf(position)));
        painter.setBrush(Qt::NoBrush);
        painter.drawPath(path);
    }
}

// How long each fly spent in each 10 cm, as bars beside the chart's own depths.
void WaterSection::paintBands(QPainter& painter, const QRectF& frame) const {
    const Colours& c = theme_.colours();
    painter.setFont(faceScaled(0.82));
    painter.setPen(c.inkSoft);
    painter.drawText(QRectF(frame.left(), frame.top() - 22.0, frame.width(), 18.0), Qt::AlignLeft | Qt::AlignVCenter, tr("time at depth"));
    Time most = 0.1 * second;
    for (const auto& bands : run_->bands.each)
        for (const Time time : bands)
            most = std::max(most, time);
    const auto rigged = static_cast<double>(std::ranges::count_if(run_->flyNode.each, [](const auto& node) { return node.has_value(); }));
    double place = 0.0;
    for (const Position position : kPositions) {
        if (!run_->flyNode[position]) continue;
        const auto& bands = run_->bands[position];
        const double share = place++ / rigged;
        for (std::size_t i = 0; i < bands.size(); ++i) {
            const double top = frame.top() + frame.height() * (0.1 * static_cast<double>(i)) / deepest_;
            const double thick = frame.height() * 0.1 / deepest_;
            if (top > frame.bottom()) break;
            painter.setPen(Qt::NoPen);
            painter.setBrush(flyInk(position));
            painter.drawRect(
                QRectF(frame.left(), top + share * thick, frame.width() * (bands[i] / most), std::max(1.0, thick / rigged - 1.0)));
        }
    }
}

void WaterSection::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF frame(0.0, 0.0, width(), waterHeight());
    if (!run_) {
        painter.fillRect(rect(), theme_.colours().paper);
        painter.setPen(theme_.colours().inkSoft);
        painter.drawText(rect(), Qt::AlignCenter, tr("The leader is let down into the water here."));
        return;
    }
    painter.save();
    painter.setClipRect(frame);
    paintWater(painter, frame);
    if (const DriftSample* sample = sampleAt(time_); sample && !sample->nodes.empty()) {
        if (before_ && before_->parents.size() == run_->parents.size())
            for (const DriftSample& old : before_->samples)
                if (std::abs(old.time / second - time_) < 0.026 && !old.nodes.empty()) {
                    painter.setOpacity(0.25);
                    paintLeader(painter, frame, old);
                    painter.setOpacity(1.0);
                }
        paintLeader(painter, frame, *sample);
        paintFlies(painter, frame, *sample);
        paintSeen(painter, frame, *sample);
    }
    painter.restore();
    paintChart(painter);
}

}  // namespace machair::app
