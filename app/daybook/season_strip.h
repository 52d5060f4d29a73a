// The season as a strip of days.
#pragma once

#include <QWidget>
#include <vector>

#include "editing/document.h"
#include "parts/spoken.h"
#include "theme/theme.h"

namespace machair::app {

// Days in the order of their dates, each as high as its hours and as dark as its fish.
class SeasonStrip : public QWidget, public Spoken {
    Q_OBJECT
  public:
    SeasonStrip(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void choose(const DayId& day);
    [[nodiscard]] QRectF dayRect(const DayId& day) const;
    [[nodiscard]] QSize sizeHint() const override { return {600, 74}; }

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;

  signals:
    void chosen(const DayId& day);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

  private:
    [[nodiscard]] std::vector<const Day*> days() const;
    [[nodiscard]] const Day* at(QPointF point) const;
    Document& document_;
    const Theme& theme_;
    std::string day_;
};

}  // namespace machair::app
