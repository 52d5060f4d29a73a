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
#include "parts/when_seen.h"
#include "theme/light.h"
#include "theme/said.h"
#include "units/text.h"
#include "water/sight.h"

namespace machair::app {

namespace {

constexpr double kChartShare = 0.30;
constexpr double kStrip = 66.0;        // px, of what the rod does
constexpr double kChartMargin = 56.0;  // px, of its title and seconds
constexpr double kAxisLeft = 54.0, kAxisRight = 150.0;
constexpr double kFlyPxPerMm = 3.4;  // flies are drawn larger than the water is, to be seen

}  // namespace

WaterSection::WaterSection(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent), document_(document), theme_(theme), strip_(new HandlingStrip(theme, this)) {
    setObjectName(QStringLiteral("water-section"));
    setAccessibleName(tr("The leader in the water, and depth against time"));
    setMinimumSize(420, 320);
    setMouseTracking(true);
    connect(strip_, &HandlingStrip::axisChanged, this, qOverload<>(&QWidget::update));
    (new WhenSeen(this,
                  [this] {
                      rebuildFlies();
                      update();
                  }))
        ->on(&document_, &Document::teamChanged)
        .on(&theme_, &Theme::changed);
}

void WaterSection::rebuildFlies() {
    flies_.clear();
    if (!isVisible() && flies_.empty() && !run_) return;
    const auto& report = document_.teamReport();
    if (!report) return;
    for (const TeamFly& fly : report->flies) {
        const Scene scene = makeScene(fly.plan);
        constexpr double kMargin = 4.0;
        const QSizeF size(kFlyPxPerMm * (scene.right - scene.left) + 2.0 * kMargin,
                          kFlyPxPerMm * (scene.top - scene.bottom) + 2.0 * kMargin);
        Small small{fly.position, QImage((size * devicePixelRatioF()).toSize(), QImage::Format_ARGB32_Premultiplied), {}};
        small.picture.setDevicePixelRatio(devicePixelRatioF());
        small.picture.fill(Qt::transparent);
        small.eye = QPointF(kMargin - kFlyPxPerMm * scene.left, kMargin + kFlyPxPerMm * scene.top);
        QPainter painter(&small.picture);
        drawing::paintFly(painter, scene, {kFlyPxPerMm, small.eye, theme_.bench(), 0.0});
        flies_.push_back(std::move(small));
    }
}

void WaterSection::show(DriftReport run, WaveSpread waves) {
    const bool first = !run_;
    waves_ = std::move(waves);
    before_ = std::move(run_);
    run_ = std::move(run);
    deepest_ = 0.3;
    left_ = 1e9;
    right_ = -1e9;
    for (const DriftSample& sample : run_->samples)
        for (const Point2& node : sample.nodes) {
            deepest_ = std::max(deepest_, -node.y / metre);
            left_ = std::min(left_, node.x / metre);
            right_ = std::max(right_, node.x / metre);
        }
    deepest_ *= 1.15;
    time_ = first ? 0.5 * length() : std::min(time_, length());  // at first in the middle of the draw, where there is something to see
    if (first) emit timeChanged(time_);
    strip_->setHeldFrom(run_->heldFrom);
    if (flies_.empty()) rebuildFlies();
    update();
}

double WaterSection::length() const { return run_ && !run_->samples.empty() ? run_->samples.back().time / second : 0.0; }

void WaterSection::setTime(double seconds) {
    const double wanted = std::clamp(seconds, 0.0, length());
    if (wanted == time_) return;
    time_ = wanted;
    emit timeChanged(time_);
    update();
}

const DriftSample* WaterSection::sampleAt(double seconds) const {
    if (!run_ || run_->samples.empty()) return nullptr;
    const auto index = static_cast<std::size_t>(std::llround(seconds / (kSampleEvery / second)));
    return &run_->samples[std::min(index, run_->samples.size() - 1)];
}

double WaterSection::waterHeight() const { return height() - std::max(kChartShare * height(), kChartMargin + 70.0) - kStrip; }

QRectF WaterSection::chart() const {
    const double top = waterHeight() + kStrip;
    return QRectF(kAxisLeft, top + 26.0, width() - kAxisLeft - kAxisRight, height() - top - kChartMargin);
}

void WaterSection::layStrip() {
    strip_->setGeometry(QRectF(0.0, waterHeight(), width(), kStrip).toRect());
    strip_->setAxis(kAxisLeft, width() - kAxisLeft - kAxisRight);
}

void WaterSection::resizeEvent(QResizeEvent*) { layStrip(); }

QPointF WaterSection::toScreen(const QRectF& frame, const Point2& at) const {
    const double span = std::max(right_ - left_, 1.0);
    const double surface = frame.top() + kAir * frame.height();
    return {frame.left() + 20.0 + (frame.width() - 290.0) * (at.x / metre - left_) / span,
            surface - (1.0 - kAir) * frame.height() * (at.y / metre) / deepest_};
}

QColor WaterSection::flyInk(Position position) const {
    const Colours& c = theme_.colours();
    switch (position) {
        case Position::bob: return c.accent;
        case Position::upper: return c.warn;
        case Position::middle: return c.grass;
        case Position::lower: return c.ink;
        case Position::point: return c.slate;
    }
    return c.ink;
}

QPointF WaterSection::onChart(double seconds, double depth) const {
    const QRectF box = chart();
    const double across = seconds / strip_->seconds();  // one axis for what the rod does and what the flies do
    return {box.left() + box.width() * across, box.top() + box.height() * std::clamp(depth / deepest_, -0.05, 1.0)};
}

void WaterSection::mousePressEvent(QMouseEvent* event) { mouseMoveEvent(event); }

void WaterSection::mouseMoveEvent(QMouseEvent* event) {
    const QRectF box = chart();
    const bool over = box.adjusted(-20, -20, 20, 20).contains(event->position());
    setCursor(over ? Qt::SplitHCursor : Qt::ArrowCursor);
    if ((event->buttons() & Qt::LeftButton) && over) setTime(strip_->seconds() * (event->position().x() - box.left()) / box.width());
}

std::optional<Question> WaterSection::questionAt(std::optional<QPoint> at) const {
    const DriftSample* sample = sampleAt(time_);
    if (!sample) return std::nullopt;
    std::optional<Position> nearest;
    double least = 1e9;
    const QRectF box = chart();
    for (const Position place : kPositions) {
        if (!sample->depth[place]) continue;
        double off = place == document_.position() ? 0.0 : 1.0;
        if (at) {
            const double now = at->y() >= box.top()
                                   ? onChart(time_, *sample->depth[place] / metre).y()
                                   : toScreen(QRectF(0.0, 0.0, width(), waterHeight()), {0.0 * metre, -1.0 * *sample->depth[place]}).y();
            off = std::abs(now - at->y());
        }
        if (off >= least) continue;
        least = off;
        nearest = place;
    }
    if (!nearest) return std::nullopt;
    return AnsweredThere{[this, place = *nearest]() -> std::optional<Derivation> {
        const auto& report = document_.teamReport();
        return run_ && report ? ask(*run_, *report, place, time_ * second) : std::nullopt;
    }};
}

}  // namespace machair::app
