// Rates with what they may be: a dot, the middle four fifths as a bar, hours and fish beside it.
#pragma once

#include <vector>

#include "daybook/rates.h"
#include "theme/chart.h"

namespace machair::app {

class RateView : public Chart {
    Q_OBJECT
  public:
    explicit RateView(const Theme& theme, QWidget* parent = nullptr);
    void show(std::vector<Rate> rates);
    [[nodiscard]] const std::vector<Rate>& rates() const { return rates_; }

  protected:
    void draw() override;

  private:
    [[nodiscard]] QString beside(const Rate& rate) const;
    std::vector<Rate> rates_;
};

}  // namespace machair::app
