// One step, to be read from a metre: what to do, the number very large, the fly as it is after it zoomed to the place,
// where the thread hangs, what to look for and what goes wrong here.
#pragma once

#include <QImage>
#include <QWidget>
#include <optional>

#include "bench/steps.h"
#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "theme/theme.h"

namespace machair::app {

class StepView : public QWidget {
    Q_OBJECT
  public:
    StepView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void show(const Plan& plan, const TyingStep& step, int index, int count);
    void showNothing();
    // Near: the tier's own side, the fly turned; mirrored: the eye at the right.
    void setSide(bool near, bool mirrored);
    void countTurns(int turns);  // counted so far, shown beside the number
    void setMishap(const QString& likeliest);
    [[nodiscard]] const std::optional<TyingStep>& step() const { return step_; }

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    [[nodiscard]] QRectF drawingFrame() const;
    void paintFly();
    void paintDeed(QPainter& painter) const;
    void paintMinding(QPainter& painter) const;

    Document& document_;
    const Theme& theme_;
    std::optional<Plan> plan_;  // what the step is of
    std::optional<TyingStep> step_;
    int index_ = 0;
    int count_ = 0;
    int turns_ = 0;
    bool near_ = true;
    bool mirrored_ = true;
    QString mishap_;
    std::optional<Scene> whole_;
    QImage picture_;
};

}  // namespace machair::app
