// The evening as a line of minutes: what the hands do above, what dries below.
#pragma once

#include <QWidget>
#include <vector>

#include "bench/schedule.h"
#include "theme/theme.h"

namespace machair::app {

class TimelineView : public QWidget {
    Q_OBJECT
  public:
    explicit TimelineView(const Theme& theme, QWidget* parent = nullptr);
    void show(const std::vector<TyingJob>& jobs, const Timetable& table, double minutes);

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    const Theme& theme_;
    std::vector<TyingJob> jobs_;
    Timetable table_;
    double minutes_ = 0.0;
};

}  // namespace machair::app
