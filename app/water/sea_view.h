// The loch and its wave: the map, where a click measures the fetch; the wave under a boat, to scale; and how full the
// wave wants each fly against how full it is.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "editing/document.h"
#include "parts/askable.h"
#include "parts/spoken.h"
#include "theme/theme.h"
#include "water/sea.h"
#include "water/shore.h"

class QToolButton;

namespace machair::app {

class SeaView : public QWidget, public Spoken, public Askable {
    Q_OBJECT
  public:
    SeaView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void drawShore(bool drawing);  // clicks set corners until drawn again
    [[nodiscard]] QPointF toScreen(const MapPoint& at) const;
    [[nodiscard]] QRectF mapFrame() const;
    // The wind as an arrow that blows out of the rose's middle: dragged by its tip, its length is its force.
    [[nodiscard]] QPointF rose() const;
    [[nodiscard]] QPointF arrowTip(double speed, double from) const;  // m/s, degrees

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;
    void nudgePart(std::size_t part, int steps) override;
    // What the wave's line says, figure by figure; the keyboard asks for the wave's height.
    [[nodiscard]] std::optional<Question> questionAt(std::optional<QPoint> at) const override;

  signals:
    void waterWanted();  // there is none yet
    void shoreWanted();  // to be drawn
    void fetchMeasured(double metres);
    void windDrawn(double speed, double from);
    void shoreDrawn(const std::vector<machair::MapPoint>& outline);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    static constexpr double kDrawnSpan = 1500.0;                                  // m, of the blank map that a shore is drawn on
    static constexpr double kRoseRadius = 54.0, kStill = 8.0, kPxPerSpeed = 3.8;  // px; px a m/s
    struct Blowing {
        double speed = 0.0;  // m/s
        double from = 0.0;   // degrees from north
    };
    [[nodiscard]] std::optional<Blowing> wind() const;  // as it is drawn, else as the water has it
    [[nodiscard]] Blowing windTo(QPointF tip) const;
    void paintWind(QPainter& painter) const;
    void putBoat(QPointF at);
    void offerBeginning();
    [[nodiscard]] MapPoint toMap(QPointF at) const;
    void refresh();
    void paintMap(QPainter& painter) const;
    void paintDrawn(QPainter& painter) const;
    void paintFetch(QPainter& painter, const WaterSpec& water) const;
    void paintWave(QPainter& painter, const QRectF& frame) const;
    void paintFullness(QPainter& painter, const QRectF& frame) const;
    [[nodiscard]] QRectF waveFrame() const;

    Document& document_;
    const Theme& theme_;
    std::optional<Sea> sea_;
    std::optional<MapPoint> boat_;
    QToolButton* begin_ = nullptr;  // the one thing to begin with: a water, then its shore
    bool drawing_ = false;
    bool steering_ = false;             // the boat is dragged
    std::optional<Blowing> drawnWind_;  // the arrow is
    std::vector<MapPoint> drawn_;
};

}  // namespace machair::app
