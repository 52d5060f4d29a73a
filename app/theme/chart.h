// What all charts have in common: the bench's colours and face, no legend, nothing that moves. Qt Charts draws them.
#pragma once

#include <QAbstractAxis>
#include <QChartView>
#include <QStringList>
#include <vector>

#include "theme/theme.h"

class QCategoryAxis;

namespace machair::app {

class Chart : public QChartView {
    Q_OBJECT
  public:
    explicit Chart(const Theme& theme, QWidget* parent = nullptr);

  protected:
    // Makes the chart's series and axes anew from what is shown; called on show() and when the light changes.
    virtual void draw() = 0;
    void redraw();

    [[nodiscard]] const Colours& colours() const { return theme_.colours(); }
    // The axis, in the bench's colours, at a side.
    void addAxis(QAbstractAxis* axis, Qt::Alignment side, const QColor& ink);
    // Puts a series on the chart and on the axes it is measured by.
    void addSeries(QAbstractSeries* series, std::initializer_list<QAbstractAxis*> axes);

  private:
    const Theme& theme_;
};

// A label at a value. Names may come twice, which Qt's own axis refuses.
struct AxisLabel {
    double value;
    QString text;
};
// An axis with these names at their values, in rising order; the rest of it is bare.
[[nodiscard]] QCategoryAxis* namedAxis(double low, double high, const std::vector<AxisLabel>& labels);

}  // namespace machair::app
