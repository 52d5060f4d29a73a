#include "check/hand_view.h"

#include <QPainter>
#include <algorithm>
#include <cmath>

namespace machair::app {

HandView::HandView(const Theme& theme, QWidget* parent) : QWidget(parent), theme_(theme) {
    setObjectName(QStringLiteral("hand"));
    setAccessibleName(tr("What this hand does with the part"));
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void HandView::show(const QString& part, std::vector<double> deviations, double tolerance) {
    part_ = part;
    deviations_ = std::move(deviations);
    tolerance_ = tolerance;
    setAccessibleDescription(tr("%1: %2 flies checked").arg(part_).arg(deviations_.size()));
    update();
}

void HandView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    painter.setFont(faceScaled(1.05, true));
    painter.setPen(c.ink);
    painter.drawText(QPointF(24.0, 34.0), deviations_.empty() ? tr("No fly was checked yet") : tr("%1: %2 flies, in the order they were checked").arg(part_).arg(deviations_.size()));
    if (deviations_.empty()) return;
    const HandPosterior hand = handOf(deviations_);
    double most = std::max(0.15, 1.4 * tolerance_);
    for (const double d : deviations_) most = std::max(most, std::abs(d) + 0.02);
    const QRectF area = QRectF(rect()).adjusted(70.0, 60.0, -150.0, -50.0);
    const auto y = [&](double d) { return area.center().y() - d / most * 0.5 * area.height(); };
    const auto x = [&](std::size_t i) { return area.left() + area.width() * (static_cast<double>(i) + 0.5) / static_cast<double>(deviations_.size()); };
    // The tolerance as a band, its edges named.
    QColor band = c.grass;
    band.setAlphaF(0.14F);
    painter.fillRect(QRectF(area.left(), y(tolerance_), area.width(), y(-tolerance_) - y(tolerance_)), band);
    painter.setFont(faceScaled(0.88));
    const auto level = [&](double d, const QColor& ink, Qt::PenStyle style, const QString& name) {
        painter.setPen(QPen(ink, 1.4, style));
        painter.drawLine(QPointF(area.left(), y(d)), QPointF(area.right(), y(d)));
        painter.setPen(ink);
        painter.drawText(QPointF(area.right() + 8.0, y(d) + 4.0), name);
    };
    const auto percent = [](double d) { return QStringLiteral("%1%2 %").arg(d > 0 ? QStringLiteral("+") : d < 0 ? QStringLiteral("−") : QString()).arg(std::abs(100.0 * d), 0, 'f', 1); };
    level(0.0, c.inkSoft, Qt::SolidLine, tr("aimed"));
    if (std::abs(y(hand.mean) - y(0.0)) > 14.0)
        level(hand.mean, c.accent, Qt::SolidLine, tr("bias %1").arg(percent(hand.mean)));
    else
        level(hand.mean, c.accent, Qt::SolidLine, QString());
    if (static_cast<int>(deviations_.size()) >= kFliesForLimits) {
        const ControlLimits limits = controlLimits(hand);
        for (const double limit : {limits.low, limits.high})
            if (std::abs(limit) < most) level(limit, c.fault, Qt::DashLine, tr("limit %1").arg(percent(limit)));
    }
    painter.setPen(c.inkSoft);
    for (const double d : {-tolerance_, tolerance_}) painter.drawText(QRectF(0.0, y(d) - 9.0, 62.0, 18.0), Qt::AlignRight | Qt::AlignVCenter, percent(d));
    painter.drawText(QRectF(area.left(), area.bottom() + 10.0, area.width(), 20.0), Qt::AlignCenter, tr("first checked … last checked"));
    painter.setPen(QPen(c.slate, 1.2));
    for (std::size_t i = 0; i + 1 < deviations_.size(); ++i) painter.drawLine(QPointF(x(i), y(deviations_[i])), QPointF(x(i + 1), y(deviations_[i + 1])));
    for (std::size_t i = 0; i < deviations_.size(); ++i) {
        const bool within = std::abs(deviations_[i]) <= tolerance_;
        painter.setPen(QPen(within ? c.slate : c.fault, 1.6));
        painter.setBrush(within ? c.slate : c.raised);
        if (within)
            painter.drawEllipse(QPointF(x(i), y(deviations_[i])), 4.0, 4.0);
        else  // another shape as well, not colour alone
            painter.drawRect(QRectF(x(i) - 4.0, y(deviations_[i]) - 4.0, 8.0, 8.0));
    }
}

}  // namespace machair::app
