// The evening in lanes: what the hands do, then a lane a dressing with its picture and name at the left, its flies as they are
// tied, coated and dry; where the evening has come to, and when it must be over. A dressing is dragged earlier or later, by its
// block or by its lane; the end is dragged along the minutes.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "bench/schedule.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "theme/theme.h"

namespace machair::app {

class TimelineView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    TimelineView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void show(const std::vector<TyingJob>& jobs, const Timetable& table, double minutes);
    // A line where the evening has come to; none where it doesn't run.
    void showNow(std::optional<double> minute);
    [[nodiscard]] std::optional<double> now() const { return now_; }
    // Where a job's first block of the hands is drawn, its lane, and the end of the evening; tests drag from there.
    [[nodiscard]] QRectF blockOf(std::size_t job) const;
    [[nodiscard]] QRectF laneOf(std::size_t job) const;
    [[nodiscard]] double endX() const;

    [[nodiscard]] QSize sizeHint() const override;                       // every lane at its largest
    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;  // the lanes, then the end
    void choosePart(std::size_t part) override;
    void nudgePart(std::size_t part, int steps) override;  // earlier is up; the end by ten minutes

  signals:
    // A job was dragged before another; one past the last means the end.
    void moved(std::size_t job, std::size_t before);
    void endMoved(int minutes);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    static constexpr double kLaneNames = 186.0, kRightEdge = 16.0, kAxis = 26.0, kHands = 30.0, kLaneGap = 8.0;  // px
    static constexpr double kAboveLanes = kAxis + kHands + 2.0 * kLaneGap + 8.0;
    static constexpr double kLeastLane = 14.0, kPictured = 36.0, kMostLane = 76.0, kGrip = 6.0;
    static constexpr QSize kPicture{54, 32};
    static constexpr int kNudge = 10;  // minutes
    enum class Held { nothing, block, lane, end };

    [[nodiscard]] double span() const;
    [[nodiscard]] double x(double minute) const;
    [[nodiscard]] double minuteAt(double x) const;
    [[nodiscard]] double laneHeight() const;
    [[nodiscard]] QRectF blockAt(const TimedStage& stage) const;
    [[nodiscard]] QColor toneOf(std::size_t job) const;
    // The jobs in the order in which the hands first come to them.
    [[nodiscard]] std::vector<std::size_t> order() const;
    [[nodiscard]] std::size_t dropBefore(QPointF at) const;
    [[nodiscard]] Held heldAt(QPointF at, std::size_t& job) const;
    [[nodiscard]] QString titleOf(std::size_t job) const;
    [[nodiscard]] QString tellOf(std::size_t job) const;
    void paintAxis(QPainter& painter) const;
    void paintHands(QPainter& painter) const;
    void paintLane(QPainter& painter, std::size_t job) const;
    void paintLines(QPainter& painter) const;

    Document& document_;
    const Theme& theme_;
    std::vector<TyingJob> jobs_;
    Timetable table_;
    double minutes_ = 0.0;
    Held held_ = Held::nothing;
    std::size_t dragged_ = 0;  // the job that is held
    std::size_t chosen_ = 0;   // by keyboard: a lane, or the end after them
    QPointF pointer_;
    std::optional<double> now_;
};

}  // namespace machair::app
