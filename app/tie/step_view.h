// One step, to be read from a metre: what to do, the number very large, the fly as it is after it zoomed to the place,
// where the thread hangs, what to look for and what goes wrong here.
#pragma once

#include <QImage>
#include <QWidget>
#include <optional>
#include <vector>

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
    // What will be asked for next, painted while nothing else is to be done.
    void prepare(const TyingStep& next);
    void showNothing();
    void setFly(int fly, int flies);  // which of a round is in the vice
    // Near: the tier's own side, the fly turned; mirrored: the eye at the right. Said before the first step of another plan is shown,
    // whose scene is made once.
    void setSide(bool near, bool mirrored);
    void countTurns(int turns);  // counted so far, shown beside the number
    void setMishap(const QString& likeliest);
    // What is made ready before the thread is on, and for how many flies; the place of one on the tray.
    void setTray(const std::vector<TyingStep>& steps, int flies);
    [[nodiscard]] QRectF trayRect(int step) const;
    [[nodiscard]] const std::optional<TyingStep>& step() const { return step_; }

  signals:
    void trayWanted(int step);

  protected:
    void mousePressEvent(QMouseEvent* event) override;
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    // Read from a metre: px at the usual size of text, and they grow with it.
    static constexpr double kNumberPx = 96.0, kVerbPx = 40.0, kWordsPx = 24.0, kSmallPx = 17.0;
    static constexpr double kTop = 168.0;                         // px for the words above the drawing
    static constexpr double kBottom = 148.0;                      // and below it
    static constexpr double kHeldWide = 132.0, kHeldTall = 92.0;  // the material in hand
    [[nodiscard]] static double grown(double px);
    [[nodiscard]] QRectF drawingFrame() const;
    void paintFly();
    [[nodiscard]] QImage paintedAt(const TyingStep& step);
    void paintInHand(QPainter& painter, const TyingStep& step, double k, QPointF origin) const;
    void paintDeed(QPainter& painter) const;
    void paintMinding(QPainter& painter) const;
    void paintTray(QPainter& painter) const;

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
    std::vector<TyingStep> tray_;
    int flies_ = 1;  // that the tray is laid for
    int fly_ = 0;    // in the vice
    int round_ = 1;
    std::optional<Scene> whole_;
    QImage picture_;
    struct Ahead {
        TyingStep step;
        QImage picture;
    };
    std::optional<Ahead> ahead_;
};

}  // namespace machair::app
