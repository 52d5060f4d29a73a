#include "theme/chart.h"

#include <QAbstractSeries>
#include <QCategoryAxis>
#include <QChart>
#include <QLegend>

namespace machair::app {

Chart::Chart(const Theme& theme, QWidget* parent) : QChartView(new QChart, parent), theme_(theme) {
    setRenderHint(QPainter::Antialiasing);
    setFrameShape(QFrame::NoFrame);
    chart()->setLocalizeNumbers(true);
    chart()->legend()->hide();
    chart()->setAnimationOptions(QChart::NoAnimation);
    chart()->setBackgroundRoundness(0.0);
    chart()->setMargins(QMargins(12, 8, 12, 8));
    connect(&theme_, &Theme::changed, this, &Chart::redraw);
}

void Chart::redraw() {
    chart()->removeAllSeries();
    for (QAbstractAxis* axis : chart()->axes()) {
        chart()->removeAxis(axis);
        delete axis;
    }
    setBackgroundBrush(colours().paper);
    chart()->setBackgroundBrush(colours().paper);
    chart()->setTitleFont(faceScaled(1.05, true));
    chart()->setTitleBrush(colours().ink);
    draw();
}

void Chart::addAxis(QAbstractAxis* axis, Qt::Alignment side, const QColor& ink) {
    axis->setLabelsFont(faceScaled(0.92));
    axis->setLabelsColor(ink);
    axis->setTitleFont(faceScaled(0.9));
    axis->setTitleBrush(colours().inkSoft);
    axis->setLinePen(Qt::NoPen);
    axis->setGridLinePen(QPen(colours().line, 0.8));
    chart()->addAxis(axis, side);
}

void Chart::addSeries(QAbstractSeries* series, std::initializer_list<QAbstractAxis*> axes) {
    chart()->addSeries(series);
    for (QAbstractAxis* axis : axes)
        series->attachAxis(axis);
}

QCategoryAxis* namedAxis(double low, double high, const std::vector<AxisLabel>& labels) {
    auto* axis = new QCategoryAxis;
    axis->setRange(low, high);
    axis->setStartValue(low);
    axis->setLabelsPosition(QCategoryAxis::AxisLabelsPositionOnValue);
    axis->setGridLineVisible(false);
    axis->setTruncateLabels(false);
    QString apart;  // of no width: makes equal names differ
    for (const AxisLabel& label : labels) {
        axis->append(label.text.toHtmlEscaped() + apart, label.value);  // the chart reads mark-up
        apart += QChar(0x200B);
    }
    return axis;
}

}  // namespace machair::app
