// The cast across the top: the leader with its flies to one scale, each hanging as deep as it sinks fast, and at its
// end the team's verdict. Click a fly, or Alt+1/2/3, and the station below works on it.
#pragma once

#include <QWidget>
#include <array>
#include <map>
#include <optional>
#include <vector>

#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "parts/motion.h"
#include "parts/spoken.h"
#include "theme/theme.h"

class QToolButton;

namespace machair::app {

class Label;

class NameField;

class CastView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    CastView(Document& document, const Theme& theme, QWidget* parent = nullptr);

    [[nodiscard]] QSize sizeHint() const override;
    // Full where the team is the work; slim, the same flies small and the verdict in one phrase, where a fly or the records are.
    void setSlim(bool slim);
    // Where a position's fly is drawn; empty where there is none.
    [[nodiscard]] QRectF flyRect(Position position) const;
    // Where its eye hangs, px below the top.
    [[nodiscard]] double eyeDepth(Position position) const;
    // Where a fly can be hung: a place of the three that has none.
    [[nodiscard]] QRectF emptyRect(Position position) const;
    // Asks for a fly from the chooser and hangs it there.
    void hang(Position position);
    // A team with the fly on the bench, its name ready to be typed.
    void beginTeam();

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;  // the flies, and the places that have none
    void choosePart(std::size_t part) override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void changeEvent(QEvent* event) override;
    bool event(QEvent* event) override;

  private:
    struct Hanging {
        Position position;
        Scene scene;
        drawing::View view;
        QRectF rect;
        QPointF knot;
        QString name;
        QString sinks;
        QImage picture;
        double from = 0.0;  // px that it hung above where it hangs now, before the team changed
    };
    void rebuild();
    [[nodiscard]] double settling(const Hanging& fly) const { return -settles_->left() * fly.from; }  // px below its place
    void place();
    void settle(const std::map<Position, double>& hung);
    [[nodiscard]] static int verdictWidth();  // px at the right, for the team and what is to be said of it
    void refreshTeams();
    void buildTeamMenu();
    void chooseTeam();
    void askForName();
    void begin(const Result<NewRecord>& made);
    void takeOff(Position position);
    void paintEmpty(QPainter& painter) const;
    [[nodiscard]] std::optional<Position> emptyAt(QPointF at) const;
    void refreshVerdict();
    [[nodiscard]] std::optional<Position> positionAt(QPointF at) const;
    void paintWave(QPainter& painter) const;
    void paintLeader(QPainter& painter) const;
    void paintFly(QPainter& painter, Hanging& fly);

    Document& document_;
    const Theme& theme_;
    QToolButton* teams_;
    NameField* name_;  // in the button's place while the team is named
    QToolButton* team_;
    QToolButton* begin_;
    Label* verdict_;
    Label* reason_;
    bool slim_ = false;
    std::vector<Hanging> flies_;
    std::vector<std::pair<Position, QRectF>> empty_;
    std::optional<Position> hovered_;
    Motion* settles_ = new Motion(this);
};

}  // namespace machair::app
