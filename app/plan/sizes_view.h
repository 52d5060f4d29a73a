// One dressing across sizes as a strip of flies to one scale, with what changes besides size under each, and what no
// longer works. A click takes that size.
#pragma once

#include <QWidget>
#include <vector>

#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "sizing/sizes.h"
#include "theme/theme.h"

namespace machair::app {

class SizesView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    SizesView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    [[nodiscard]] const std::vector<SizedFly>& flies() const { return flies_; }
    [[nodiscard]] QRectF columnOf(std::size_t i) const;

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    void rebuild();

    Document& document_;
    const Theme& theme_;
    std::vector<SizedFly> flies_;
    std::vector<std::optional<Scene>> scenes_;
};

}  // namespace machair::app
