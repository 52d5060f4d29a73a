#include "daybook/rate_view.h"

#include <QPainter>
#include <algorithm>

#include "editing/document.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kName = 210.0, kBeside = 250.0;

}  // namespace

RateView::RateView(const Theme& theme, QWidget* parent) : QWidget(parent), theme_(theme) {
    setObjectName(QStringLiteral("rates"));
    setAccessibleName(tr("Fish a rod-hour"));
    setMinimumSize(560, 260);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void RateView::show(std::vector<Rate> rates) {
    rates_ = std::move(rates);
    update();
}

void RateView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (rates_.empty()) {
        painter.setPen(c.inkSoft);
        painter.drawText(rect().adjusted(60, 0, -60, 0), Qt::AlignCenter | Qt::TextWordWrap, tr("The daybook tells which fly earns its place once days are in it. Start one on the right: its team, its hours, its fish."));
        return;
    }
    double most = 0.1;
    for (const Rate& rate : rates_) most = std::max(most, rate.high);
    const double room = width() - kName - kBeside;
    const auto x = [&](double fish) { return kName + room * fish / (1.05 * most); };
    const double row = std::clamp((height() - 60.0) / static_cast<double>(rates_.size()), 20.0, 40.0);
    painter.setFont(faceScaled(0.88));
    const double step = most > 2.0 ? 0.5 : most > 0.8 ? 0.2 : 0.1;
    for (double fish = 0.0; fish <= most; fish += step) {
        painter.setPen(QPen(c.line, 0.8));
        painter.drawLine(QPointF(x(fish), 34.0), QPointF(x(fish), height() - 8.0));
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(x(fish) - 30.0, 12.0, 60.0, 18.0), Qt::AlignCenter, qt(formatNumber(fish, 1)));
    }
    painter.drawText(QPointF(14.0, 25.0), tr("fish a rod-hour"));
    double y = 40.0;
    for (const Rate& rate : rates_) {
        if (y + row > height()) break;
        const double middle = y + 0.5 * row;
        painter.setFont(faceScaled(0.98));
        painter.setPen(rate.fished ? c.ink : c.inkSoft);
        painter.drawText(QRectF(14.0, y, kName - 24.0, row), Qt::AlignVCenter | Qt::AlignLeft, QFontMetricsF(painter.font()).elidedText(qt(rate.name).replace(QLatin1Char('_'), QLatin1Char(' ')), Qt::ElideRight, kName - 24.0));
        QColor band = c.slate;
        band.setAlpha(rate.fished ? 80 : 30);
        painter.fillRect(QRectF(x(rate.low), middle - 6.0, x(rate.high) - x(rate.low), 12.0), band);
        painter.setPen(Qt::NoPen);
        painter.setBrush(c.accent);
        painter.drawEllipse(QPointF(x(rate.mean()), middle), 4.5, 4.5);
        const bool best = &rate == &rates_.front();
        QString said = rate.fished ? tr("%1 fish in %2 h").arg(qt(formatShort(rate.fish, 0)), qt(formatShort(rate.hours, 1))) : tr("not fished");
        if (!best && !enoughToTell(rates_.front(), rate)) said += tr(" · not enough to tell");
        painter.setFont(faceScaled(0.9));
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(width() - kBeside + 12.0, y, kBeside - 20.0, row), Qt::AlignVCenter | Qt::AlignLeft, said);
        y += row;
    }
}

}  // namespace machair::app
