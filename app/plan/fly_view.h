// The fly in profile, large, on its bench: the drawing, the shank rule with the hook's landmarks, the ghost of the last
// hook, and the measure of the part that is chosen.
#pragma once

#include <QWidget>
#include <optional>

#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "theme/theme.h"

namespace machair::app {

class FlyView : public QWidget {
    Q_OBJECT
  public:
    FlyView(Document& document, const Theme& theme, QWidget* parent = nullptr);

    [[nodiscard]] QSize sizeHint() const override { return {820, 440}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {360, 240}; }
    [[nodiscard]] const drawing::View& view() const { return view_; }
    [[nodiscard]] bool showsGhost() const { return ghost_.has_value(); }
    [[nodiscard]] int layersPaintedLast() const { return layersPainted_; }

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void rebuild();
    enum class Fit { anew, keepIfItFits };
    void fit(Fit how);
    [[nodiscard]] QPointF at(double x, double y) const;
    void paintRule(QPainter& painter) const;
    void paintMeasure(QPainter& painter) const;
    void paintDimension(QPainter& painter, QPointF from, QPointF to, const QString& text) const;

    Document& document_;
    const Theme& theme_;
    drawing::FlyPicture picture_;
    drawing::View view_;
    std::optional<Scene> scene_;
    std::optional<Scene> ghost_;
    std::string shown_;  // the dressing that the view was fitted to
    int layersPainted_ = 0;
};

}  // namespace machair::app
