// The three flies one under another, aligned at the eye and to one scale, on their leader: sink steps and water pushed
// stand between the flies they are of, hackles are matched as arcs, sizes as gapes. Flies are dragged from one position
// to another, or in from the box.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "theme/theme.h"

namespace machair::app {

class TeamView : public QWidget {
    Q_OBJECT
  public:
    TeamView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    // Where a position is shown; nothing for one that isn't.
    [[nodiscard]] QRectF rowOf(Position position) const;
    // Rows for all five positions, so that a fly can be dragged to any; else those in use.
    void showFive(bool five);
    // Takes the fly on the bench off the leader.
    void takeOff();
    // What is dragged in: a dressing and, in a second line, the hook that it is on.
    static constexpr const char* kDressing = "application/x-machair-dressing";
    [[nodiscard]] static QString dragged(const Fly& fly);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dragMoveEvent(QDragMoveEvent* event) override;
    void dragLeaveEvent(QDragLeaveEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    struct Shown {
        Position position;
        Scene scene;
        drawing::View view;
        QImage picture;
    };
    void rebuild();
    void place();
    [[nodiscard]] std::vector<Position> rows() const;
    [[nodiscard]] std::optional<Position> positionAt(QPointF at) const;
    void paintLeader(QPainter& painter) const;
    void paintFly(QPainter& painter, Shown& fly, const TeamFly& weighed) const;
    void paintMeasures(QPainter& painter, const Shown& fly, const TeamFly& weighed) const;
    void paintBetween(QPainter& painter, const TeamFly& upper, const TeamFly& lower) const;

    Document& document_;
    const Theme& theme_;
    std::vector<Shown> flies_;
    bool five_ = false;
    double scale_ = 10.0;       // px a mm
    double hackleRatio_ = 0.0;  // to the gape, the team's mean
    std::optional<Position> dragged_;
    QPointF pressed_;
    QPointF pointer_;
    std::optional<Position> over_;
};

}  // namespace machair::app
