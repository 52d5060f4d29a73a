// A side view of the water with the leader in it at one moment, and under it depth against time. The path of the run
// before stays faint under the new one. Drag in the lower part to move through time.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "leader/drift.h"
#include "parts/askable.h"
#include "theme/theme.h"

namespace machair::app {

class HandlingStrip;

class WaterSection : public QWidget, public Askable {
    Q_OBJECT
  public:
    WaterSection(Document& document, const Theme& theme, QWidget* parent = nullptr);
    // A run, and where there is a wave the same in its other phases.
    void show(DriftReport run, WaveSpread waves = {});
    [[nodiscard]] const WaveSpread& waves() const { return waves_; }
    void setTime(double seconds);
    [[nodiscard]] double time() const { return time_; }
    [[nodiscard]] double length() const;
    [[nodiscard]] const std::optional<DriftReport>& run() const { return run_; }
    [[nodiscard]] QRectF chart() const;  // depth against time
    // What the rod does, on the same axis above it.
    [[nodiscard]] HandlingStrip& strip() { return *strip_; }
    // How deep a fly is at the moment that is shown: the nearest one to `at`, by keyboard the chosen one.
    [[nodiscard]] std::optional<Question> questionAt(std::optional<QPoint> at) const override;

  signals:
    void timeChanged(double seconds);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    static constexpr double kAir = 0.16;  // share of the section above the surface

    [[nodiscard]] double waterHeight() const;
    void layStrip();
    void rebuildFlies();
    void paintWater(QPainter& painter, const QRectF& frame) const;
    void paintLeader(QPainter& painter, const QRectF& frame, const DriftSample& sample) const;
    void paintFlies(QPainter& painter, const QRectF& frame, const DriftSample& sample) const;
    void paintSeen(QPainter& painter, const QRectF& frame, const DriftSample& sample) const;
    void paintChart(QPainter& painter) const;
    void paintAxes(QPainter& painter) const;
    void paintDepths(QPainter& painter, const DriftReport& run, bool faint) const;
    // Where a time (s) and a depth (m) stand on the chart.
    [[nodiscard]] QPointF onChart(double seconds, double depth) const;
    void paintBands(QPainter& painter, const QRectF& frame) const;
    [[nodiscard]] const DriftSample* sampleAt(double seconds) const;
    [[nodiscard]] QPointF toScreen(const QRectF& frame, const Point2& at) const;
    [[nodiscard]] QColor flyInk(Position position) const;

    Document& document_;
    const Theme& theme_;
    HandlingStrip* strip_;
    std::optional<DriftReport> run_;
    std::optional<DriftReport> before_;
    WaveSpread waves_;
    double time_ = 0.0;
    double deepest_ = 0.5;  // m, of what is shown
    double left_ = 0.0;     // m
    double right_ = 4.0;
    struct Small {
        Position position;
        QImage picture;
        QPointF eye;  // in it
    };
    std::vector<Small> flies_;
};

}  // namespace machair::app
