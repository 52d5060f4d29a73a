#include "cut/gauge_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QScreen>
#include <QSettings>
#include <algorithm>

#include "parts/lengths.h"
#include "theme/screens.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kNameRoom = 150.0;
constexpr double kCardLeft = 30.0;  // of the card's outline
constexpr double kFirstRow = 36.0, kRowHigh = 23.0;
constexpr int kRows = 3, kCardHigh = 200;  // rows to a column; px while a card is laid on it

}  // namespace

GaugeView::GaugeView(Document& document, const Theme& theme, QSettings& settings, QWidget* parent)
    : QWidget(parent), document_(document), theme_(theme), settings_(settings) {
    setObjectName(QStringLiteral("gauge"));
    setAccessibleName(tr("Gauge at true size"));
    setFocusPolicy(Qt::StrongFocus);
    setFixedHeight(static_cast<int>(kFirstRow + kRows * kRowHigh));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(&document_, &Document::planChanged, this, qOverload<>(&QWidget::update));
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void GaugeView::showEvent(QShowEvent*) {
    const auto kept = calibratedScale(settings_, screen());
    calibrated_ = kept.has_value();
    constexpr double kInch = 25.4;
    const double told = screen() ? screen()->physicalDotsPerInch() / kInch : 0.0;
    pxPerMm_ = kept ? *kept : told >= kLeastPx && told <= kMostPx ? told : 96.0 / kInch;
    emit calibrationChanged();
}

void GaugeView::calibrate(bool on) {
    calibrating_ = on;
    setFixedHeight(on ? kCardHigh : static_cast<int>(kFirstRow + kRows * kRowHigh));
    if (on) setFocus();
    if (!on) {
        settings_.setValue(scaleKey(screen()), pxPerMm_);
        calibrated_ = true;
        emit calibrationChanged();
    }
    update();
}

void GaugeView::setScale(double pxPerMm) {
    pxPerMm_ = std::clamp(pxPerMm, kLeastPx, kMostPx);
    update();
}

void GaugeView::mousePressEvent(QMouseEvent* event) { mouseMoveEvent(event); }
void GaugeView::mouseMoveEvent(QMouseEvent* event) {
    if (calibrating_ && (event->buttons() & Qt::LeftButton)) setScale((event->position().x() - kCardLeft) / (kBankCard / mm));
}
void GaugeView::keyPressEvent(QKeyEvent* event) {
    const double step = event->key() == Qt::Key_Right ? 1.0 : event->key() == Qt::Key_Left ? -1.0 : 0.0;
    if (!calibrating_ || step == 0.0) return QWidget::keyPressEvent(event);
    setScale(pxPerMm_ + step / (kBankCard / mm));  // a pixel of the card's edge
}

void GaugeView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.panel);
    painter.setPen(c.ink);
    if (calibrating_) {
        const QRectF card(kCardLeft, 26.0, pxPerMm_ * (kBankCard / mm), height() - 40.0);
        painter.setPen(QPen(c.accent, 2.0));
        painter.setBrush(c.raised);
        painter.drawRoundedRect(card, 10.0, 10.0);
        painter.setPen(c.ink);
        painter.drawText(card.adjusted(14, 0, -14, 0), Qt::AlignCenter | Qt::TextWordWrap,
                         tr("Lay a bank card here with its left edge on this one's, and drag the right edge (or use ← →) until both are as "
                            "wide: 85.6 mm. Then press Calibrate again."));
        return;
    }
    const auto& plan = document_.plan();
    if (!plan) return;
    painter.setFont(faceScaled(0.95, true));
    painter.drawText(QPointF(14.0, 18.0),
                     calibrated_ ? tr("Gauge, true size on this screen") : tr("Gauge, roughly true: calibrate this screen once"));
    // Down one column, then down the next.
    const std::vector<Gauge> gauges = gaugesOf(*plan);
    double longest = 0.0;
    for (const Gauge& gauge : gauges)
        longest = std::max(longest, (gauge.length + gauge.tolerance) / mm);
    constexpr double kApart = 24.0;
    const double column = kNameRoom + pxPerMm_ * longest + kApart;
    painter.setFont(faceScaled(0.9));
    for (std::size_t i = 0; i < gauges.size(); ++i) {
        const Gauge& gauge = gauges[i];
        const double left = column * static_cast<double>(i / kRows), y = kFirstRow + kRowHigh * static_cast<double>(i % kRows);
        const double length = pxPerMm_ * (gauge.length / mm), band = pxPerMm_ * (gauge.tolerance / mm);
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(left + 14.0, y - 10.0, kNameRoom - 22.0, 20.0), Qt::AlignRight | Qt::AlignVCenter,
                         tr("%1  %2").arg(qt(gauge.label), lengthSaid(gauge.length)));
        if (band > 0.0) {
            QColor soft = c.grass;
            soft.setAlpha(80);
            painter.fillRect(QRectF(left + kNameRoom + length - band, y - 8.0, 2.0 * band, 16.0), soft);
        }
        if (gauge.kind == GaugeKind::slip) {
            painter.setPen(QPen(c.accent, 1.4));
            painter.setBrush(Qt::NoBrush);
            painter.drawRect(QRectF(left + kNameRoom, y - 8.0, length, 16.0));
        } else {
            painter.setPen(QPen(c.accent, 3.0, Qt::SolidLine, Qt::FlatCap));
            painter.drawLine(QPointF(left + kNameRoom, y), QPointF(left + kNameRoom + length, y));
        }
        painter.setPen(QPen(c.ink, 1.2));
        painter.drawLine(QPointF(left + kNameRoom, y - 8.0), QPointF(left + kNameRoom, y + 8.0));
        painter.drawLine(QPointF(left + kNameRoom + length, y - 8.0), QPointF(left + kNameRoom + length, y + 8.0));
    }
}

}  // namespace machair::app
