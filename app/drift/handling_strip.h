// What the rod does, as blocks on the drift's own time axis: count, retrieve, lift, hold and hang. An edge is dragged for how
// long, the top of the filling for how fast; what takes no time waits at the right to be taken up. By keyboard: Left and Right
// from block to block, Page Up and Page Down for a second more or less, Up and Down for the speed, digits or Enter to type it.
#pragma once

#include <QWidget>
#include <array>
#include <optional>

#include "leader/drift.h"
#include "parts/spoken.h"
#include "theme/theme.h"

class QLineEdit;

namespace machair::app {

enum class Phase { count, retrieve, lift, hold, hang };
inline constexpr std::array kPhases = {Phase::count, Phase::retrieve, Phase::lift, Phase::hold, Phase::hang};

class HandlingStrip : public QWidget, public Spoken {
    Q_OBJECT
  public:
    explicit HandlingStrip(const Theme& theme, QWidget* parent = nullptr);

    // All but the boat's drift and how the retrieve is broken up.
    [[nodiscard]] const Handling& handling() const { return handling_; }
    void setHandling(const Handling& handling);
    void setPulls(std::optional<Time> pull, std::optional<Time> pause);
    // When the bob was up and the rod began to hold it, as the run has it; nothing where the lift goes its whole way.
    void setHeldFrom(std::optional<Time> heldFrom);
    // Where time runs from and to on the paper, so that the curves below stand under the blocks.
    void setAxis(double left, double width);

    [[nodiscard]] double seconds() const { return seconds_; }  // that the axis shows
    [[nodiscard]] QRectF block(Phase phase) const;             // empty where it takes no time
    [[nodiscard]] QRectF spare(Phase phase) const;             // where one that takes no time waits
    [[nodiscard]] double level(Phase phase) const;             // y of its speed; its foot where it has none
    [[nodiscard]] Time lasts(Phase phase) const;
    [[nodiscard]] Phase chosen() const { return chosen_; }
    void setLasts(Phase phase, Time time);
    void setSpeed(Phase phase, Speed speed);
    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;
    void nudgePart(std::size_t part, int steps) override;  // a second

  signals:
    void changed();
    void axisChanged();
    void said(const QString& words);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

  private:
    enum class Grip { none, edge, level, spare, body };
    struct Held {
        Grip grip = Grip::none;
        Phase phase = Phase::count;
    };
    [[nodiscard]] Held gripAt(QPointF at) const;
    [[nodiscard]] std::optional<Speed> speed(Phase phase) const;
    [[nodiscard]] double fastest(Phase phase) const;  // m/s at the top of a block
    [[nodiscard]] Time starts(Phase phase) const;
    [[nodiscard]] QString title(Phase phase) const;
    [[nodiscard]] QString words(Phase phase) const;
    void paintBlock(QPainter& painter, Phase phase) const;
    void choose(Phase phase);
    void type(const QString& text);
    void typed();
    void refit();
    void tell();

    const Theme& theme_;
    Handling handling_;
    std::optional<Time> heldFrom_;
    double left_ = 54.0;
    double width_ = 400.0;
    double seconds_ = 30.0;
    Phase chosen_ = Phase::retrieve;
    Held held_;
    QLineEdit* typing_;
};

}  // namespace machair::app
