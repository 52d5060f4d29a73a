// The shank budget: the shank from eye to bend as one bar, what takes each millimetre, and the remedies where two
// things want the same place.
#pragma once

#include <QWidget>
#include <vector>

#include "editing/document.h"
#include "parts/spoken.h"
#include "sizing/budget.h"
#include "theme/theme.h"

namespace machair::app {

class BudgetView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    BudgetView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QString words() const;

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    bool event(QEvent* event) override;

  private:
    [[nodiscard]] QRectF bar() const;
    [[nodiscard]] QRectF rectOf(const BudgetSpan& span) const;
    [[nodiscard]] const BudgetSpan* spanAt(QPointF at) const;
    void paintSpans(QPainter& painter) const;
    void paintLandmarks(QPainter& painter, const Hook& hook) const;

    Document& document_;
    const Theme& theme_;
    std::vector<BudgetSpan> spans_;
    Length whole_ = 1.0 * mm;
};

}  // namespace machair::app
