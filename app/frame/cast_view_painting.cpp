// How the cast is painted: the water, the leader, the flies that hang from it, the places that are free.
#include "daybook/boat.h"
#include "frame/cast_view.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QLabel>
#include <QMenu>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QToolButton>
#include <QToolTip>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "book/flies.h"
#include "book/records.h"
#include "book/team_edits.h"
#include "parts/chooser.h"
#include "parts/field_editor.h"
#include "parts/label.h"
#include "parts/name_field.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

void CastView::paintLeader(QPainter& painter) const {
    if (flies_.empty()) return;
    const Colours& c = theme_.colours();
    const auto stroke = [&](const QPainterPath& path, double width) {
        painter.setPen(QPen(c.slate, width, Qt::SolidLine, Qt::RoundCap));
        painter.drawPath(path);
        painter.setPen(QPen(QColor(255, 255, 255, theme_.bench() == drawing::Bench::sand ? 90 : 30), 0.6));
        painter.drawPath(path.translated(0.0, -0.7));
    };
    painter.setBrush(Qt::NoBrush);
    QPainterPath main(QPointF(0.0, 8.0));
    QPointF last(0.0, 8.0);
    for (std::size_t i = 0; i < flies_.size(); ++i) {
        const Hanging& fly = flies_[i];
        const QPointF eye = fly.view.origin + QPointF(0.0, settling(fly)) +
                            fly.view.pxPerMm * QPointF(-2.6 * fly.scene.hook.wire, 0.7 * fly.scene.hook.wire);
        if (i + 1 == flies_.size()) {  // the leader itself runs to the last fly
            const double run = eye.x() - last.x();
            main.cubicTo(last + QPointF(0.45 * run, 4.0), eye - QPointF(0.30 * run, 0.55 * (eye.y() - last.y())), eye);
            continue;
        }
        main.cubicTo(last + QPointF(0.4 * (fly.knot.x() - last.x()), 1.0), fly.knot - QPointF(0.4 * (fly.knot.x() - last.x()), 1.0),
                     fly.knot);
        last = fly.knot;
        QPainterPath dropper(fly.knot);
        const double fall = eye.y() - fly.knot.y();
        dropper.cubicTo(fly.knot + QPointF(14.0, 0.12 * fall), eye - QPointF(16.0, 0.45 * fall), eye);
        stroke(dropper, 1.2);
        painter.setPen(QPen(c.slate, 1.1));
        for (int k = 0; k < 4; ++k)
            painter.drawLine(fly.knot + QPointF(-4.0 + 2.4 * k, -2.6), fly.knot + QPointF(-3.0 + 2.4 * k, 2.6));
    }
    stroke(main, 1.5);
}

void CastView::paintFly(QPainter& painter, Hanging& fly) {
    if (fly.picture.isNull() || fly.picture.devicePixelRatio() != devicePixelRatioF()) {
        fly.picture = QImage((fly.rect.size() * devicePixelRatioF()).toSize(), QImage::Format_ARGB32_Premultiplied);
        fly.picture.setDevicePixelRatio(devicePixelRatioF());
        fly.picture.fill(Qt::transparent);
        QPainter own(&fly.picture);
        drawing::View view = fly.view;
        view.origin -= fly.rect.topLeft();
        drawing::paintFly(own, fly.scene, view);
    }
    painter.drawImage(fly.rect.topLeft() + QPointF(0.0, settling(fly)), fly.picture);
    const Colours& c = theme_.colours();
    const bool chosen = document_.position() == fly.position;
    const double left = fly.rect.right() + 2.0;
    double y = slim_ ? 34.0 : fly.view.origin.y() - 2.0;  // clear of the leader
    const auto say = [&](const QString& text, const QFont& font, const QColor& colour) {
        painter.setFont(font);
        painter.setPen(colour);
        const QFontMetricsF metrics(font);
        double room = static_cast<double>(width() - verdictWidth()) - left - 8.0;
        for (const Hanging& other : flies_)
            if (other.rect.left() > left) room = std::min(room, other.rect.left() - left - 8.0);
        painter.drawText(QPointF(left, y), metrics.elidedText(inHouseWords(text), Qt::ElideRight, std::max(60.0, room)));
        y += metrics.height() + 1.0;
    };
    const QColor soft = chosen ? c.accent : c.inkSoft;
    if (!slim_) say(titleOf(fly.position), faceScaled(0.92), soft);
    say(fly.name, faceScaled(1.0, true), c.ink);
    if (slim_)
        say(titleOf(fly.position) + QStringLiteral(" · ") + fly.sinks, faceScaled(0.92), soft);
    else
        say(fly.sinks, faceScaled(0.92), c.inkSoft);
    if (chosen || hovered_ == fly.position) {
        painter.setPen(QPen(chosen ? c.accent : c.line, chosen ? 2.5 : 1.5, Qt::SolidLine, Qt::RoundCap));
        const double below = height() - 7.0;
        painter.drawLine(QPointF(fly.rect.left() + 6.0, below), QPointF(left + 60.0, below));
    }
}

// The day's wave along the top, its height at the flies' own scale times a fortieth.
void CastView::paintWave(QPainter& painter) const {
    const WaterSpec* water = document_.isOpen() ? document_.water() : nullptr;
    if (!water || !water->wind || !water->fetch) return;
    const Sea sea = seaOf(document_.book(), *water);
    constexpr double kPxPerMetre = 36.0, kWavelength = 64.0, kMostHeight = 14.0;
    const double height = std::min(kPxPerMetre * (sea.height / metre), kMostHeight);
    QPainterPath path;
    for (double x = 0.0; x <= width() - verdictWidth(); x += 3.0) {
        const QPointF at(x, 5.0 - 0.5 * height * std::cos(2.0 * std::numbers::pi * x / kWavelength) + 0.5 * height);
        x == 0.0 ? path.moveTo(at) : path.lineTo(at);
    }
    QColor ink = theme_.colours().slate;
    ink.setAlpha(70);
    painter.setPen(QPen(ink, 1.2));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(path);
}

// A place with nothing on it says so, and asks for a fly.
void CastView::paintEmpty(QPainter& painter) const {
    const Colours& c = theme_.colours();
    if (document_.isOpen() && !document_.team()) {
        painter.setPen(c.inkSoft);
        painter.setFont(faceScaled(1.05));
        painter.drawText(QRectF(0, 0, width() - verdictWidth(), height()), Qt::AlignCenter,
                         tr("Your team hangs here: start a dressing, then begin a team with it"));
    }
    for (const auto& [position, rect] : empty_) {
        painter.setPen(QPen(c.line, 1.3, Qt::DashLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRoundedRect(rect, 8, 8);
        painter.setPen(c.inkSoft);
        painter.setFont(faceScaled(0.94));
        painter.drawText(rect, Qt::AlignCenter | Qt::TextWordWrap, tr("%1\n+ hang a fly").arg(titleOf(position)));
    }
}

void CastView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    painter.fillRect(QRect(width() - verdictWidth(), 0, verdictWidth(), height()), c.panel);
    paintWave(painter);
    paintLeader(painter);
    for (Hanging& fly : flies_)
        paintFly(painter, fly);
    paintEmpty(painter);
    painter.setPen(QPen(c.line, 1.0));
    painter.drawLine(0, height() - 1, width(), height() - 1);
    if (hasFocus()) {
        painter.setPen(QPen(c.accent, 1.5));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(QRectF(rect()).adjusted(1, 1, -verdictWidth() - 1, -2));
    }
}

}  // namespace machair::app
