// The steps along the foot: the fly after each as a small picture, the present one larger. A click goes there; what is made
// ready before the thread is on stands in front as one list to be ticked off.
#pragma once

#include <QImage>
#include <QTimer>
#include <QWidget>
#include <optional>
#include <vector>

#include "bench/steps.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "scene/scene.h"
#include "theme/theme.h"

namespace machair::app {

class StepStrip : public QWidget, public Spoken {
    Q_OBJECT
  public:
    explicit StepStrip(const Theme& theme, QWidget* parent = nullptr);
    void show(const std::optional<Plan>& plan, const std::vector<TyingStep>& steps, bool near, bool mirrored);
    void setCurrent(int step);
    // Where a step's picture stands; empty where it is scrolled out.
    [[nodiscard]] QRectF rectOf(int step) const;
    [[nodiscard]] QSize sizeHint() const override;

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;

  signals:
    void wanted(int step);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    bool event(QEvent* event) override;

  private:
    [[nodiscard]] std::optional<int> stepAt(QPointF at) const;
    [[nodiscard]] std::size_t pictureOf(int step) const;
    void paintNext();

    const Theme& theme_;
    std::optional<Plan> plan_;
    std::optional<Scene> scene_;
    std::vector<TyingStep> steps_;
    std::vector<std::size_t> picture_;  // of each step: those that change nothing share one
    std::vector<QImage> pictures_;
    QTimer painter_;
    int current_ = 0;
    bool mirrored_ = false;
};

}  // namespace machair::app
