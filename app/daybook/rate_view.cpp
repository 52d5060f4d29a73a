#include "daybook/rate_view.h"

#include <QCategoryAxis>
#include <QChart>
#include <QLineSeries>
#include <QScatterSeries>
#include <QValueAxis>
#include <algorithm>

#include "editing/document.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr std::size_t kRatesShown = 22;  // that can be read one under the other

}  // namespace

RateView::RateView(const Theme& theme, QWidget* parent) : Chart(theme, parent) {
    setObjectName(QStringLiteral("rates"));
    setAccessibleName(tr("Fish a rod-hour"));
    setMinimumSize(560, 140);
    redraw();
}

void RateView::show(std::vector<Rate> rates) {
    rates_ = std::move(rates);
    redraw();
}

QString RateView::beside(const Rate& rate) const {
    QString said = rate.fished ? tr("%1 fish in %2 h").arg(shortNumber(rate.fish, 0), shortNumber(rate.hours, 1)) : tr("not fished");
    if (&rate != &rates_.front() && !enoughToTell(rates_.front(), rate)) said += tr(" · not enough to tell");
    return said;
}

void RateView::draw() {
    if (rates_.empty()) {
        chart()->setTitle(tr(
            "The daybook tells which fly earns its place once days are in it.<br>Start one on the right: its team, its hours, its fish."));
        return;
    }
    const std::size_t rows = std::min(rates_.size(), kRatesShown);
    chart()->setTitle(rows < rates_.size() ? tr("the best %1 of %2").arg(rows).arg(rates_.size()) : QString());
    double most = 0.1;
    for (std::size_t i = 0; i < rows; ++i)
        most = std::max(most, rates_[i].high);

    const auto heightOf = [&](std::size_t i) { return static_cast<double>(rows - i) - 0.5; };  // the best uppermost
    std::vector<AxisLabel> names, said;
    for (std::size_t i = rows; i-- > 0;) {
        names.push_back({heightOf(i), qt(rates_[i].name)});
        said.push_back({heightOf(i), beside(rates_[i])});
    }
    auto* fish = new QValueAxis;
    fish->setRange(0.0, 1.05 * most);
    fish->setTickType(QValueAxis::TicksDynamic);
    fish->setTickInterval(most > 4.0 ? 1.0 : most > 2.0 ? 0.5 : most > 0.8 ? 0.2 : 0.1);
    fish->setLabelFormat(QStringLiteral("%.1f"));
    fish->setTitleText(tr("fish a rod-hour"));
    auto* left = namedAxis(0.0, static_cast<double>(rows), names);
    auto* right = namedAxis(0.0, static_cast<double>(rows), said);
    addAxis(fish, Qt::AlignTop, colours().inkSoft);
    addAxis(left, Qt::AlignLeft, colours().ink);
    addAxis(right, Qt::AlignRight, colours().inkSoft);

    auto* means = new QScatterSeries;
    means->setMarkerSize(9.0);
    means->setColor(colours().accent);
    means->setBorderColor(Qt::transparent);
    for (std::size_t i = 0; i < rows; ++i) {
        auto* between = new QLineSeries;
        QColor band = colours().slate;
        band.setAlpha(rates_[i].fished ? 80 : 30);
        between->setPen(QPen(band, 12.0, Qt::SolidLine, Qt::FlatCap));
        between->append(rates_[i].low, heightOf(i));
        between->append(rates_[i].high, heightOf(i));
        addSeries(between, {fish, left});
        means->append(rates_[i].mean(), heightOf(i));
    }
    addSeries(means, {fish, left});
}

}  // namespace machair::app
