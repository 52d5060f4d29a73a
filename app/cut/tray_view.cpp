#include "cut/tray_view.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "units/random.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr int kTrayColumns = 3;
constexpr double kTrayMargin = 14.0;
constexpr double kCaption = 46.0;  // px under each picture

// How far a picture's millimetre goes, and the bar that says so.
double fitScale(const QRectF& area, double widthMm, double heightMm) {
    return std::min(area.width() / std::max(widthMm, 1.0), area.height() / std::max(heightMm, 1.0));
}

void paintBar(QPainter& painter, const QRectF& area, double scale, const Colours& c) {
    const double mm10 = 10.0 * scale;
    painter.setPen(QPen(c.inkSoft, 1.2));
    const QPointF from(area.right() - mm10, area.bottom() - 2.0);
    painter.drawLine(from, QPointF(area.right(), area.bottom() - 2.0));
    painter.drawLine(from, from - QPointF(0.0, 4.0));
    painter.drawLine(QPointF(area.right(), area.bottom() - 2.0), QPointF(area.right(), area.bottom() - 6.0));
    painter.setFont(faceScaled(0.78));
    painter.drawText(QRectF(from.x() - 60.0, from.y() - 19.0, mm10 + 60.0, 14.0), Qt::AlignRight | Qt::AlignVCenter, QObject::tr("10 mm"));
}

// A length of something wound off its spool: loops of 18 mm, and its end.
void paintCoil(QPainter& painter, const QRectF& area, double length, double width, const QColor& ink, double scale) {
    const double radius = 9.0 * scale;
    const int loops = std::clamp(static_cast<int>(length / (3.14159 * 18.0)), 0, 14);
    const double rest = std::min(length - loops * 3.14159 * 18.0, 40.0);
    painter.setPen(QPen(ink, std::max(1.0, width * scale), Qt::SolidLine, Qt::RoundCap));
    painter.setBrush(Qt::NoBrush);
    const QPointF middle(area.left() + radius + 8.0, area.center().y());
    Random random(static_cast<std::uint64_t>(length * 10.0));
    for (int i = 0; i < loops; ++i) {
        const QPointF off(random.uniform(-2.0, 2.0) * scale * 0.6, random.uniform(-2.0, 2.0) * scale * 0.6);
        painter.drawEllipse(middle + off, radius * random.uniform(0.94, 1.04), radius * random.uniform(0.94, 1.04));
    }
    QPainterPath end(middle + QPointF(0.0, loops > 0 ? radius : 0.0));
    const double run = std::max(rest, 8.0) * scale;
    end.cubicTo(end.currentPosition() + QPointF(run * 0.3, 2.0), end.currentPosition() + QPointF(run * 0.6, -8.0),
                end.currentPosition() + QPointF(std::min(run, area.right() - middle.x() - 6.0), -2.0));
    painter.drawPath(end);
}

// What a barred fibre shows: a black tip, and another bar so far back.
struct Bars {
    double spacing = 0.0;  // mm; none at 0
    QColor ink;
};
constexpr double kBarShare = 0.12;  // of the spacing, as the fly is drawn

void paintFibres(QPainter& painter, const QRectF& area, double count, double length, double width, const QColor& ink, double scale,
                 const Bars& bars = {}) {
    const int shown = std::clamp(static_cast<int>(std::lround(count)), 1, 40);
    const double step = std::min(9.0, (area.height() - 12.0) / shown);
    Random random(static_cast<std::uint64_t>(shown));
    for (int i = 0; i < shown; ++i) {
        const double y = area.center().y() + (i - (shown - 1) / 2.0) * step;
        QPainterPath path(QPointF(area.left() + 6.0, y));
        const double sag = random.uniform(-2.5, 2.5);
        path.quadTo(QPointF(area.left() + 6.0 + length * scale * 0.5, y + sag), QPointF(area.left() + 6.0 + length * scale, y));
        painter.setPen(QPen(i % 3 == 0 ? ink.darker(115) : ink, std::max(1.0, width * scale), Qt::SolidLine, Qt::RoundCap));
        painter.setBrush(Qt::NoBrush);
        painter.drawPath(path);
        if (bars.spacing <= 0.0) continue;
        painter.setPen(QPen(bars.ink, std::max(1.2, 1.2 * width * scale), Qt::SolidLine, Qt::FlatCap));
        for (double from = 0.0; from < length; from += bars.spacing)  // mm back from the tip
            painter.drawLine(path.pointAtPercent(std::max(0.0, 1.0 - (from + kBarShare * bars.spacing) / length)),
                             path.pointAtPercent(1.0 - from / length));
    }
}

// A slip cut out of a vane: parallel barbs, the tip edge slanting as they lie.
void paintSlip(QPainter& painter, const QPointF& at, double width, double barb, double density, const QColor& ink, double scale) {
    const double lean = 0.25 * width;
    const int barbs = std::clamp(static_cast<int>(width * density), 3, 60);
    for (int i = 0; i < barbs; ++i) {
        const double share = (i + 0.5) / barbs;
        const QPointF from = at + QPointF(0.0, share * width * scale);
        painter.setPen(QPen(i % 2 == 0 ? ink : ink.darker(118), std::max(1.0, 0.8 * width * scale / barbs)));
        painter.drawLine(from, from + QPointF((barb + lean * (share - 0.5)) * scale, -1.5 * share * scale));
    }
}

// A hackle: the stem stripped bare at one end, the fibres that will be wound, and the tip.
void paintHackle(QPainter& painter, const QRectF& area, const HacklePlan& h, const QColor& ink, double scale) {
    const double stem = h.stem / mm, bare = 6.0, tip = 8.0;
    const double y = area.center().y();
    const double left = area.left() + 6.0;
    painter.setPen(QPen(ink.darker(150), std::max(1.4, h.feather.stem / mm * scale), Qt::SolidLine, Qt::RoundCap));
    painter.drawLine(QPointF(left, y), QPointF(left + (bare + stem + tip) * scale, y));
    Random random(7);
    const double step = std::max(0.35, 2.2 / scale);
    const double longest = h.longest / mm, shortest = h.shortest / mm;
    for (double s = bare; s < bare + stem + tip; s += step) {
        const double along = (s - bare) / (stem + tip);
        const double fibre =
            (longest + (shortest - longest) * std::min(1.0, along)) * (s > bare + stem ? 1.0 - 0.5 * (s - bare - stem) / tip : 1.0);
        for (const double side : {-1.0, 1.0}) {
            const double lift = random.uniform(0.80, 0.9);
            QPainterPath path(QPointF(left + s * scale, y));
            path.quadTo(QPointF(left + (s + 0.25 * fibre) * scale, y + side * 0.6 * fibre * lift * scale),
                        QPointF(left + (s + 0.5 * fibre) * scale, y + side * fibre * lift * scale));
            painter.setPen(QPen(side < 0 ? ink : ink.darker(112), 1.0));
            painter.setBrush(Qt::NoBrush);
            painter.drawPath(path);
        }
    }
}

void paintNoodle(QPainter& painter, const QRectF& area, double length, double thin, double thick, const QColor& ink, double scale) {
    Random random(11);
    const double left = area.left() + 6.0, y = area.center().y();
    const int strays = static_cast<int>(length * 6.0);
    for (int i = 0; i < strays; ++i) {
        const double share = random.uniform(0.0, 1.0);
        const double half = 0.5 * (thin + (thick - thin) * share) * scale * 1.6;
        const QPointF at(left + share * length * scale, y + random.uniform(-half, half));
        painter.setPen(QPen(i % 3 == 0 ? ink.darker(130) : i % 3 == 1 ? ink.lighter(112) : ink, 1.0));
        painter.drawLine(at, at + QPointF(random.uniform(-5.0, 5.0), random.uniform(-3.0, 3.0)));
    }
}

}  // namespace

TrayView::TrayView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("tray"));
    setAccessibleName(tr("Everything laid out, in order"));
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void TrayView::show(Plan plan, std::vector<LaidOut> laid, int flies) {
    plan_ = std::move(plan);
    laid_ = std::move(laid);
    flies_ = flies;
    QStringList said;
    for (const LaidOut& piece : laid_)
        said << qt(piece.what + ": " + piece.each);
    setAccessibleDescription(said.join(QLatin1Char('\n')));
    update();
}

QRectF TrayView::cellOf(std::size_t piece) const {
    const std::size_t rows = std::max<std::size_t>(1, (laid_.size() + kTrayColumns - 1) / kTrayColumns);
    const double w = (width() - kTrayMargin) / kTrayColumns, h = (height() - kTrayMargin) / static_cast<double>(rows);
    return QRectF(kTrayMargin + w * static_cast<double>(piece % kTrayColumns), kTrayMargin + h * static_cast<double>(piece / kTrayColumns),
                  w - kTrayMargin, h - kTrayMargin);
}

QColor TrayView::inkOf(const LaidOut& laid) const {
    const Material* made = laid.material.empty() ? nullptr : document_.book().findMaterial(laid.material);
    if (made && made->colour) return QColor(qt(*made->colour));
    if (made && !made->colours.empty()) return QColor(qt(made->colours.front()));
    return theme_.colours().ink;
}

void TrayView::paintPiece(QPainter& painter, const QRectF& area, const LaidOut& laid) const {
    const Colours& c = theme_.colours();
    const QColor ink = inkOf(laid);
    const auto scaled = [&](double widthMm, double heightMm) {
        const double scale = std::min(fitScale(area.adjusted(6, 4, -6, -24), widthMm, heightMm), 14.0);
        paintBar(painter, area, scale, c);
        return scale;
    };
    const Material* made = laid.material.empty() ? nullptr : document_.book().findMaterial(laid.material);
    const double wide = made ? windingWidth(*made) / mm : 0.2;
    if (laid.part >= plan_->parts.size()) return paintCoil(painter, area, *laid.length / mm, 0.15, ink, scaled(70.0, 24.0));
    const auto& detail = plan_->parts[laid.part].detail;
    if (const auto* h = std::get_if<HacklePlan>(&detail))
        return paintHackle(painter, area, *h, ink, scaled(h->stem / mm + 16.0 + 0.5 * (h->longest / mm), 2.0 * (h->longest / mm)));
    if (const auto* p = std::get_if<PalmerPlan>(&detail))
        return paintHackle(painter, area, p->hackle, ink,
                           scaled(p->hackle.stem / mm + 16.0 + 0.5 * (p->hackle.longest / mm), 2.0 * (p->hackle.longest / mm)));
    if (const auto* body = std::get_if<BodyPlan>(&detail); body && (body->noodle || body->rope)) {
        const double length = (body->rope ? *body->rope : *body->noodle) / mm;
        return paintNoodle(painter, area, length, 0.5 * (body->rearDiameter / mm), 0.7 * (body->frontDiameter / mm), ink,
                           scaled(length, 8.0));
    }
    if (const auto* body = std::get_if<BodyPlan>(&detail); body && body->strands && body->perStrand)
        return paintFibres(painter, area, *body->strands, *body->perStrand / mm, wide, ink, scaled(*body->perStrand / mm + 4.0, 12.0));
    if (const auto* tail = std::get_if<TailPlan>(&detail)) {
        const double scale = scaled(tail->fibreNeeded / mm + 4.0, 16.0);
        if (tail->slip)
            return paintSlip(painter, QPointF(area.left() + 6.0, area.center().y() - 0.5 * (*tail->slip / mm) * scale), *tail->slip / mm,
                             tail->fibreNeeded / mm, 2.6, ink, scale);
        Bars bars;
        const auto* tippet = made ? std::get_if<TippetTraits>(&made->traits) : nullptr;
        if (tail->barSpacing)
            bars = {(tippet ? tippet->barSpacing.value_or(*tail->barSpacing) : *tail->barSpacing) / mm,
                    made && made->colours.size() > 1 ? QColor(qt(made->colours[1])) : QColor(Qt::black)};
        return paintFibres(painter, area, tail->fibres, tail->fibreNeeded / mm, tail->fibre / mm, ink, scale, bars);
    }
    if (const auto* wing = std::get_if<WingPlan>(&detail)) {
        const double scale = scaled(wing->length / mm + 10.0, std::max(8.0, 2.6 * (wing->slip / mm)));
        if (wing->slip <= 0.0 * mm)
            return paintFibres(painter, area, wing->count.value_or(1.0), wing->length / mm, wing->barb / mm, ink, scale);
        const double w = wing->slip / mm, length = wing->length / mm + 6.0;
        const bool pair = wing->style == WingStyle::paired || wing->style == WingStyle::upright;
        const double density = wing->slip > 0.0 * mm ? wing->barbs / w : 2.6;
        paintSlip(painter, QPointF(area.left() + 6.0, area.center().y() - (pair ? 1.15 : 0.5) * w * scale), w, length, density, ink, scale);
        if (pair)
            paintSlip(painter, QPointF(area.left() + 6.0, area.center().y() + 0.15 * w * scale), w, length, density, ink.darker(108),
                      scale);
        return;
    }
    if (const auto* bead = std::get_if<BeadPlan>(&detail)) {
        const double scale = scaled(12.0, 6.0), r = 0.5 * (bead->diameter / mm) * scale;
        painter.setPen(QPen(ink.darker(150), 1.2));
        painter.setBrush(ink);
        painter.drawEllipse(area.center(), r, r);
        painter.setBrush(c.paper);
        painter.drawEllipse(area.center(), 0.35 * r, 0.35 * r);
        return;
    }
    if (const auto* piece = std::get_if<PiecePlan>(&detail))
        return paintFibres(painter, area, piece->count, piece->length / mm, 0.8, ink, scaled(piece->length / mm + 6.0, 10.0));
    if (laid.length) paintCoil(painter, area, *laid.length / mm, std::max(0.15, wide), ink, scaled(70.0, 24.0));
}

void TrayView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (!plan_) return;
    for (std::size_t i = 0; i < laid_.size(); ++i) {
        const LaidOut& laid = laid_[i];
        const QRectF cell = cellOf(i);
        painter.setPen(QPen(c.line, 1.0));
        painter.setBrush(c.raised);
        painter.drawRoundedRect(cell, 5.0, 5.0);
        const QRectF picture = cell.adjusted(8, 8, -8, -kCaption - 4.0);
        painter.save();
        painter.setClipRect(picture);
        paintPiece(painter, picture, laid);
        painter.restore();
        painter.setFont(faceScaled(0.95, true));
        painter.setPen(c.ink);
        const QFontMetricsF bold(painter.font());
        painter.drawText(QPointF(cell.left() + 10.0, cell.bottom() - 27.0),
                         bold.elidedText(tr("%1  %2").arg(i + 1).arg(qt(laid.what)), Qt::ElideRight, cell.width() - 20.0));
        painter.setFont(faceScaled(0.88));
        painter.setPen(c.inkSoft);
        const QFontMetricsF plain(painter.font());
        painter.drawText(QPointF(cell.left() + 10.0, cell.bottom() - 9.0),
                         plain.elidedText(qt(flies_ == 1 ? laid.each : laid.all), Qt::ElideRight, cell.width() - 20.0));
    }
}

}  // namespace machair::app
