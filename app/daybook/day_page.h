// One day as a page: each team's outing a bar with its flies, each fish a mark at its hour and place. Marks and bars are chosen, dragged
// and taken out where they stand.
#pragma once

#include <QWidget>
#include <optional>

#include "book/records.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "theme/theme.h"

namespace machair::app {

class DayPage : public QWidget, public Spoken {
    Q_OBJECT
  public:
    DayPage(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void show(const DayId& day);
    void chooseRow(std::optional<RowId> row);
    [[nodiscard]] const std::optional<RowId>& row() const { return row_; }
    [[nodiscard]] QRectF rectOf(const RowId& row) const;
    [[nodiscard]] QSize sizeHint() const override { return {600, 250}; }
    // Out of the day: what is chosen.
    void takeOut();

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;

  signals:
    void rowChosen(const std::optional<RowId>& row);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    static constexpr double kPageMargin = 16.0, kPageHead = 46.0, kPageFoot = 30.0, kLabels = 62.0;  // px
    struct Mark {
        RowId row;
        QRectF rect;
        std::optional<Position> position;  // of a fish
    };
    void paintHead(QPainter& painter, const Day& day) const;
    void paintLanes(QPainter& painter) const;
    void paintOuting(QPainter& painter, const Outing& outing, const QRectF& where, bool chosen) const;
    void paintFish(QPainter& painter, const Fish& fish, const QRectF& where, bool chosen) const;
    void lay();
    [[nodiscard]] const Day* day() const;
    [[nodiscard]] double xOf(double hour) const;
    [[nodiscard]] double hourAt(double x) const;
    [[nodiscard]] double yOf(Position position) const;
    [[nodiscard]] const Mark* markAt(QPointF point) const;
    void dropFish(const Day& day, QPointF at);
    void dropEdge(const Day& day, double x);

    Document& document_;
    const Theme& theme_;
    std::string day_;
    std::optional<RowId> row_;
    std::vector<Mark> marks_;  // outings first, fish over them
    std::vector<Position> lanes_;
    std::vector<double> starts_;  // hour that each outing begins
    double from_ = 9.0, to_ = 18.0;
    std::optional<QPointF> pressed_, dragged_;
    bool edge_ = false;  // it is an outing's end that is dragged
};

}  // namespace machair::app
