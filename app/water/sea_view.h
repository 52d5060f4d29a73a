// The loch and its wave: the map, where a click measures the fetch; the wave under a boat, to scale; and how full the
// wave wants each fly against how full it is.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "editing/document.h"
#include "theme/theme.h"
#include "water/sea.h"
#include "water/shore.h"

namespace machair::app {

class SeaView : public QWidget {
    Q_OBJECT
  public:
    SeaView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void drawShore(bool drawing);  // clicks set corners until drawn again
    [[nodiscard]] QPointF toScreen(const MapPoint& at) const;
    [[nodiscard]] QRectF mapFrame() const;

  signals:
    void fetchMeasured(double metres);
    void shoreDrawn(const std::vector<machair::MapPoint>& outline);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;

  private:
    [[nodiscard]] MapPoint toMap(QPointF at) const;
    void refresh();
    void paintMap(QPainter& painter) const;
    void paintWave(QPainter& painter, const QRectF& frame) const;
    void paintFullness(QPainter& painter, const QRectF& frame) const;

    Document& document_;
    const Theme& theme_;
    std::optional<Sea> sea_;
    std::optional<MapPoint> boat_;
    bool drawing_ = false;
    std::vector<MapPoint> drawn_;
};

}  // namespace machair::app
