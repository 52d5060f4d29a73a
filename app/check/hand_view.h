// What this hand always does with one part: each checked fly in order, where it was aimed, and the limits it keeps to.
#pragma once

#include <vector>

#include "hand/hand.h"
#include "theme/chart.h"

namespace machair::app {

class HandView : public Chart {
    Q_OBJECT
  public:
    explicit HandView(const Theme& theme, QWidget* parent = nullptr);
    // Deviations (measured / aimed − 1) in the order of the checks, and the tolerance as a share.
    void show(const QString& part, std::vector<double> deviations, double tolerance);
    [[nodiscard]] std::size_t flies() const { return deviations_.size(); }

  protected:
    void draw() override;

  private:
    struct Axes {
        QAbstractAxis* flies;
        QAbstractAxis* off;
    };
    void addTolerance(double first, double last, const Axes& axes);
    void addFlies(const Axes& axes);

    QString part_;
    std::vector<double> deviations_;
    double tolerance_ = 0.08;
};

}  // namespace machair::app
