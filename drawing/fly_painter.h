// Paints a scene in the layers of drawing.md section 3: the one painter behind screen, SVG and PDF.
#pragma once

#include <QImage>
#include <QPainter>
#include <QRectF>
#include <array>
#include <optional>

#include "drawing/paint.h"
#include "scene/scene.h"

namespace machair::drawing {

enum class Layer { farFibres, hook, tail, body, bindings, nearPalmer, underWing, wing, nearCollar, head };
inline constexpr std::array kLayers = {Layer::farFibres,  Layer::hook,      Layer::tail, Layer::body,       Layer::bindings,
                                       Layer::nearPalmer, Layer::underWing, Layer::wing, Layer::nearCollar, Layer::head};

void paintLayer(QPainter& painter, const Scene& scene, const View& view, Layer layer);
void paintFly(QPainter& painter, const Scene& scene, const View& view);

// Outline only, for the ghost of another plan: body, hook, tips.
void paintGhost(QPainter& painter, const Scene& scene, const View& view, const QColor& colour);

// The view that shows the whole scene in `frame`, at most `mostPxPerMm`.
[[nodiscard]] View fitView(const Scene& scene, const QRectF& frame, Bench bench, double mostPxPerMm);

// A fly on the screen: each layer kept as an image, so that an edit repaints only the layers it changed.
class FlyPicture {
  public:
    // Paints what differs from the last call. `size` in device independent px. Returns the layers painted.
    int update(const Scene& scene, const View& view, QSize size, double devicePixelRatio);
    void compose(QPainter& painter) const;

  private:
    struct Sheet {
        QImage image;
        bool valid = false;
    };
    std::array<Sheet, kLayers.size()> sheets_;
    std::optional<Scene> last_;
    View lastView_;
    QSize lastSize_;
};

// Whether two scenes look the same in a layer.
[[nodiscard]] bool sameLayer(const Scene& a, const Scene& b, Layer layer);

}  // namespace machair::drawing
