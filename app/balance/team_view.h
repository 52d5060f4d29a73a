// The three flies one under another, aligned at the eye and to one scale, on their leader. Hackles are matched as arcs, sizes
// as gapes; what a check compares is drawn on its flies while it is looked at. Flies are dragged from one position to another,
// or in from the box.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "theme/theme.h"

namespace machair::app {

class TeamView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    TeamView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    // Where a position is shown; nothing for one that isn't.
    [[nodiscard]] QRectF rowOf(Position position) const;
    // Rows for all five positions, so that a fly can be dragged to any; else those in use.
    void showFive(bool five);
    // A check of the report that is looked at: what it compares is drawn on its flies.
    void point(std::optional<std::size_t> check);
    // Takes the fly on the bench off the leader.
    void takeOff();
    // The lengths of the leader that can be said by themselves: dragged up and down on it, or nudged.
    struct Span {
        const char* key;  // as a leader has it: "bob_to_middle_m"
        QRectF rect;      // where it is taken hold of
        double metres;
        Verdict verdict;
    };
    [[nodiscard]] std::vector<Span> spans() const;
    // What is dragged in: a dressing and, in a second line, the hook that it is on.
    static constexpr const char* kDressing = "application/x-machair-dressing";
    [[nodiscard]] static QString dragged(const Fly& fly);

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;  // a fly, then the lengths between them
    void nudgePart(std::size_t part, int steps) override;

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
    static constexpr double kStrandX = 46.0;                                                        // px, the leader
    static constexpr double kTextRoom = 250.0;                                                      // px at the right of each row
    [[nodiscard]] static std::optional<std::pair<Length, Length>> longestHackle(const Plan& plan);  // station and fibre
    static constexpr double kEyeX = 190.0;                                                          // px, where the eyes are aligned
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
    [[nodiscard]] std::optional<std::size_t> spanAt(QPointF at) const;
    [[nodiscard]] Result<Edit> lengthened(const char* key, double metres) const;
    void paintLeader(QPainter& painter) const;
    void paintFly(QPainter& painter, Shown& fly, const TeamFly& weighed) const;
    void paintMeasures(QPainter& painter, const Shown& fly, const TeamFly& weighed) const;
    void paintPointed(QPainter& painter) const;

    Document& document_;
    const Theme& theme_;
    std::vector<Shown> flies_;
    bool five_ = false;
    double scale_ = 10.0;       // px a mm
    double hackleRatio_ = 0.0;  // to the gape, the team's mean
    std::optional<std::size_t> pointed_;
    std::optional<Position> dragged_;
    QPointF pressed_;
    QPointF pointer_;
    std::optional<Position> over_;
    struct HeldSpan {
        const char* key;
        double from, now;  // m
    };
    std::optional<HeldSpan> span_;  // under the mouse button
    std::size_t chosenSpan_ = 0;    // by keyboard
};

}  // namespace machair::app
