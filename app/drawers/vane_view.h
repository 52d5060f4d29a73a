// A feather of one's own as it is entered: its vane lies at true size along a stem, and the ends of its barbs are drawn in one
// stroke round the feather laid on the screen, or on a photograph of it on squared paper; or the four marks (how long the vane
// is, and the barbs at its base, middle and tip) are dragged, or nudged by keys.
#pragma once

#include <QImage>
#include <QPolygonF>
#include <QWidget>
#include <array>
#include <optional>

#include "cutting/vane.h"
#include "editing/background.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "theme/theme.h"

class QSettings;
class QToolButton;

namespace machair::app {

class Label;

class VaneView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    VaneView(Document& document, const Theme& theme, const QSettings& settings, QWidget* parent = nullptr);
    void show(const FeatherId& feather);  // by its id
    // Lays a photograph under the drawing: its scale is asked for first, then the stem, then the barbs' ends.
    void open(QImage photograph);
    // Where a mark stands: 0 the tip of the vane, 1 to 3 the ends of the barbs at base, middle and tip.
    [[nodiscard]] QPointF markAt(std::size_t mark) const;
    [[nodiscard]] double pxPerMm() const;

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;
    void nudgePart(std::size_t part, int steps) override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    static constexpr std::size_t kMarks = 4;  // the vane, and its barbs at three places

    enum class Asked { ends, scale, stem };  // what the next stroke is

    [[nodiscard]] const VaneFeather* feather() const;
    [[nodiscard]] VaneMeasures shown() const;  // as it is dragged, else as the book has it
    [[nodiscard]] QPointF base() const;
    [[nodiscard]] std::optional<std::size_t> markNear(QPointF at) const;
    [[nodiscard]] VaneMeasures with(VaneMeasures measures, std::size_t mark, QPointF at) const;
    void take(const VaneMeasures& measures, const QString& words);
    void endStroke();
    void ask(Asked next);
    void choosePhotograph();
    void paintPhotograph(QPainter& painter) const;
    void paintVane(QPainter& painter, const VaneFeather& feather) const;

    Document& document_;
    const Theme& theme_;
    const QSettings& settings_;
    Background reading_{document_};
    Label* words_;
    QToolButton* photographed_;
    std::string feather_;
    std::optional<VaneMeasures> dragged_;
    std::optional<std::size_t> held_;
    QPointF pressed_;
    std::size_t chosen_ = 0;
    QPolygonF stroke_;
    QImage photograph_;
    Asked asked_ = Asked::ends;
    double photographScale_ = 0.0;  // px of the widget a mm, once it is known
    std::optional<std::pair<QPointF, QPointF>> stem_;
};

}  // namespace machair::app
