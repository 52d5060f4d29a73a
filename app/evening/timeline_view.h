// The evening as a line of minutes: what the hands do above, what dries below.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "bench/schedule.h"
#include "theme/theme.h"

namespace machair::app {

class TimelineView : public QWidget {
    Q_OBJECT
  public:
    explicit TimelineView(const Theme& theme, QWidget* parent = nullptr);
    void show(const std::vector<TyingJob>& jobs, const Timetable& table, double minutes);
    // A line where the evening has come to; none where it doesn't run.
    void showNow(std::optional<double> minute);
    [[nodiscard]] std::optional<double> now() const { return now_; }
    // Where a job's first block of the hands is drawn; tests drag from there.
    [[nodiscard]] QRectF blockOf(std::size_t job) const;

  signals:
    // A job was dragged before another; one past the last means the end.
    void moved(std::size_t job, std::size_t before);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

  private:
    [[nodiscard]] double x(double minute) const;
    [[nodiscard]] QRectF blockAt(const TimedStage& stage) const;
    // The jobs in the order in which the hands first come to them.
    [[nodiscard]] std::vector<std::size_t> order() const;
    [[nodiscard]] std::size_t dropBefore(double at) const;
    const Theme& theme_;
    std::vector<TyingJob> jobs_;
    Timetable table_;
    double minutes_ = 0.0;
    std::optional<std::size_t> dragged_;
    double pointer_ = 0.0;
    std::optional<double> now_;
};

}  // namespace machair::app
