// The sheet of the team: a row a check, a column a fly; what is asked of a pair stands between its two. In each cell a small
// scale with the wanted range and the mark of what is. What is off stands out, what passes is quiet. Point at a cell or walk to
// it with the arrows: its words, and it is shown on the flies.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "editing/document.h"
#include "parts/askable.h"
#include "parts/spoken.h"
#include "theme/theme.h"

namespace machair::app {

class TeamSheet : public QWidget, public Spoken, public Askable {
    Q_OBJECT
  public:
    TeamSheet(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void refresh();
    // The check that is looked at, by its place in the report.
    [[nodiscard]] std::optional<std::size_t> chosen() const { return hovered_ ? hovered_ : chosen_; }
    [[nodiscard]] QRectF cellOf(std::size_t check) const;
    [[nodiscard]] static QString title(TeamTerm term);
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;
    [[nodiscard]] std::optional<Question> questionAt(std::optional<QPoint> at) const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return sizeHint(); }

  signals:
    void chose();      // another cell or none
    void mendAsked();  // Enter on a cell

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

  private:
    struct Cell {
        std::size_t check = 0;  // in the report
        int row = 0;
        double from = 0.0, to = 0.0;  // columns
    };
    [[nodiscard]] double columnX(double column) const;
    [[nodiscard]] static QRectF reachOf(const Cell& cell);
    [[nodiscard]] QRectF rectOf(const Cell& cell) const;
    [[nodiscard]] double rowHeight() const;
    [[nodiscard]] const Cell* cellAt(QPointF at) const;
    void paintCell(QPainter& painter, const Cell& cell) const;
    void choose(std::optional<std::size_t> check);
    void walk(int rows, double columns);

    Document& document_;
    const Theme& theme_;
    std::vector<TeamTerm> rows_;  // of each line; a term whose cells would meet has several
    std::vector<Position> columns_;
    std::vector<Cell> cells_;
    std::optional<std::size_t> chosen_;   // by keyboard or a press
    std::optional<std::size_t> hovered_;  // while the mouse is there
};

}  // namespace machair::app
