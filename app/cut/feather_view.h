// Feathers to scale, with their barbs, what is gone of them, and the slips of the plan laid on in cutting order.
#pragma once

#include <QWidget>
#include <vector>

#include "cutting/cutting.h"
#include "cutting/hackles.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "theme/theme.h"

namespace machair::app {

class FeatherView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    FeatherView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void show(const std::vector<VaneFeather>& feathers, const CuttingPlan& plan);
    // The capes that its hackles come from, shown where no slips are cut, and what is wanted of them.
    void showCapes(std::vector<Cape> capes, std::vector<HackleWanted> wanted);
    // Where a place on a feather's vane is drawn; tests look there.
    [[nodiscard]] QRectF stretchOf(std::size_t feather, Length from, Length to) const;

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    struct Row {
        VaneFeather feather;
        std::vector<Cut> cuts;
    };
    struct Lying;
    void paintFeather(QPainter& painter, std::size_t row) const;
    void paintBarbs(QPainter& painter, const Lying& at) const;
    void paintStem(QPainter& painter, const Lying& at) const;
    void paintStretches(QPainter& painter, const Lying& at) const;
    void paintLabel(QPainter& painter, const Lying& at) const;
    void paintCapes(QPainter& painter) const;
    struct Layout {
        std::size_t lines = 1;
        QSizeF cell;
        double scale = 0.0;  // px a mm
    };
    [[nodiscard]] Layout layOut() const;
    [[nodiscard]] double scale() const;
    [[nodiscard]] QRectF rowRect(std::size_t row) const;

    Document& document_;
    const Theme& theme_;
    std::vector<Row> rows_;
    std::size_t hidden_ = 0;
    std::vector<Cape> capes_;
    std::vector<HackleWanted> wanted_;
};

}  // namespace machair::app
