// The fly in profile, large, on its bench: the drawing, the shank rule with the hook's landmarks, the ghost of the last
// hook, and the measure of the part that is chosen. The wheel zooms where the cursor is, a drag with Space or the middle button
// moves it, a double press fits it again; and it is turned: half round, to be seen from its other side, looked down on, or looked at
// from the eye. Measures stand on the profile; the other two are for looking.
#pragma once

#include <QWidget>
#include <optional>

class QToolButton;

#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "parts/askable.h"
#include "parts/motion.h"
#include "parts/spoken.h"
#include "sizing/handles.h"
#include "theme/theme.h"

namespace machair::app {

class FlyView : public QWidget, public Spoken, public Askable {
    Q_OBJECT
  public:
    FlyView(Document& document, const Theme& theme, QWidget* parent = nullptr);

    [[nodiscard]] QSize sizeHint() const override { return {820, 440}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {360, 240}; }
    [[nodiscard]] const drawing::View& view() const { return view_; }
    [[nodiscard]] bool showsGhost() const { return ghost_.has_value(); }
    // Another dressing that this one is compared with stands above it, whole and to one scale, eye over eye: where it is painted.
    [[nodiscard]] std::optional<QRectF> placeOfOther() const;
    [[nodiscard]] QRectF placeOfOwn() const;
    [[nodiscard]] int layersPaintedLast() const { return layersPainted_; }

    // Larger or smaller by steps, with what lies at `about` staying there.
    void zoom(double steps, QPointF about);
    void fitAgain();
    // Seen with the eye at the left, or turned half round.
    void turn();
    [[nodiscard]] bool isTurned() const { return turned_; }
    enum class From { side, above, eye };
    // From there; from the side again where it is there already.
    void lookFrom(From where);
    [[nodiscard]] From lookedAtFrom() const { return from_; }

    // What can be taken hold of, and where it is on the screen.
    [[nodiscard]] const std::vector<Handle>& handles() const { return handles_; }
    [[nodiscard]] QPointF placeOf(const Handle& handle) const;

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;  // the handles
    void choosePart(std::size_t part) override;
    void nudgePart(std::size_t part, int steps) override;

    [[nodiscard]] std::optional<Question> questionAt(std::optional<QPoint> at) const override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void keyReleaseEvent(QKeyEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;
    bool focusNextPrevChild(bool next) override;

  private:
    static constexpr double kRuleRoom = 54.0;         // px kept below the fly
    static constexpr double kDifferencesWide = 0.42;  // of the width, for what differs from the ghost

    void rebuild();
    void growFrom(std::optional<Scene> before);
    [[nodiscard]] bool compares() const;
    void paintOther(QPainter& painter);
    enum class Fit { anew, keepIfItFits };
    void fit(Fit how);
    [[nodiscard]] QPointF at(double x, double y) const;
    void makeButtons();
    void placeButtons();
    void paintScenes(QPainter& painter);
    // As the painters have it, who know no other side: mirrored, left for right, about the middle of the view.
    [[nodiscard]] drawing::View painted() const;
    [[nodiscard]] Scene sceneOf(const Plan& plan) const;
    [[nodiscard]] QString whyNothing() const;
    void paintRule(QPainter& painter) const;
    void paintMeasure(QPainter& painter) const;
    void paintDifferences(QPainter& painter) const;
    void paintHandles(QPainter& painter) const;
    [[nodiscard]] std::optional<std::size_t> handleAt(QPointF place) const;
    [[nodiscard]] std::optional<std::size_t> partUnder(QPointF at) const;
    [[nodiscard]] Point2 inProfile(QPointF place) const;
    [[nodiscard]] bool shows(const Handle& handle) const;
    void dragTo(QPointF place, Qt::KeyboardModifiers modifiers);
    void nudge(int steps, bool across);
    void jump(int direction);
    void write(const Handle& handle, const std::optional<Written>& written);
    void paintDimension(QPainter& painter, QPointF from, QPointF to, const QString& text) const;

    Document& document_;
    const Theme& theme_;
    drawing::FlyPicture picture_;
    drawing::View view_;   // its origin is where the eye is on the screen
    double fitted_ = 0.0;  // px a mm at which all of it is seen
    std::optional<Scene> scene_;
    std::optional<Scene> was_;  // what it grows from, while it does
    Motion* grows_;
    std::optional<Scene> ghost_;
    drawing::FlyPicture other_;  // the ghost, where it is another dressing
    double otherAbove_ = 0.0;    // mm above this one
    bool compared_ = false;      // when the view was fitted last
    std::string shown_;          // the dressing that the view was fitted to
    std::vector<Handle> handles_;
    std::optional<std::size_t> hovered_;
    std::optional<std::size_t> held_;     // under the mouse button
    std::optional<std::size_t> focused_;  // reached by Tab
    int layersPainted_ = 0;
    bool own_ = false;     // zoomed or moved by hand: it stays so until it is fitted again
    bool turned_ = false;  // the eye at the right
    From from_ = From::side;
    bool space_ = false;
    std::optional<QPointF> grasped_;  // where the hand holds the bench that it moves
    QPointF moved_;                   // by so much since, not painted anew yet
    QWidget* buttons_ = nullptr;
    QToolButton* above_ = nullptr;
    QToolButton* fromEye_ = nullptr;
};

}  // namespace machair::app
