// What is drawn over the fly: in what it differs from its ghost, the shank rule, the measure of a part, the handles.
#include "plan/fly_view.h"

#include <QPainter>
#include <algorithm>
#include <cmath>

#include "parts/lengths.h"
#include "sizing/compare.h"
#include "sizing/figures.h"
#include "units/text.h"

namespace machair::app {

namespace {
constexpr double kTickLength = 5.0;
}  // namespace

namespace {

// Of the rule under the shank: how far apart its ticks stand, and every how many one is named.
struct RuleOf {
    double tick;  // mm
    int named;
};
RuleOf ruleOf(LengthUnit unit) {
    switch (unit) {
        case LengthUnit::millimetres: return {1.0, 5};
        case LengthUnit::inches: return {inch / mm / 16.0, 4};
        case LengthUnit::decimalInches: return {inch / mm / 20.0, 4};
    }
    return {1.0, 5};
}

}  // namespace

// What the ghost is, and in what it differs, the largest first.
void FlyView::paintDifferences(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const Plan& ghost = *document_.ghost();
    const bool same = ghost.pattern.id == document_.plan()->pattern.id;
    const QString what = document_.previewing() ? tr("dashed: as it is")
                         : same ? tr("dashed: as it was on %1").arg(qt(ghost.hook.spec().name.value_or(describeHook(ghost.hook.spec()))))
                         : compares() ? tr("above: %1").arg(qt(ghost.pattern.title()))
                                      : tr("dashed: %1").arg(qt(ghost.pattern.title()));
    painter.setFont(faceScaled(0.92));
    const QFontMetricsF metrics(painter.font());
    double y = 10.0 + metrics.ascent();
    painter.setPen(c.slate);
    painter.drawText(QPointF(16.0, y), document_.previewing() ? what : tr("%1 (Esc puts it away)").arg(what));
    const auto all = differences(ghost, *document_.plan());
    // Over the ghost the first few; beside two flies there is room for all of them.
    constexpr std::size_t kFew = 7;
    const double line = metrics.height() + (compares() ? 3.0 : 0.0);
    const std::size_t shown =
        compares() ? std::max(kFew, static_cast<std::size_t>(std::max(0.0, (height() - y - 2.0 * line) / line))) : kFew;
    painter.setPen(c.inkSoft);
    for (std::size_t i = 0; i < std::min(shown, all.size()); ++i) {
        y += line;
        painter.drawText(QPointF(16.0, y), metrics.elidedText(inHouseWords(all[i].words()), Qt::ElideRight, kDifferencesWide * width()));
    }
    if (all.size() <= shown) return;
    painter.drawText(QPointF(16.0, y + line), tr("and %1 smaller ones").arg(all.size() - shown));
}

void FlyView::paintRule(QPainter& painter) const {
    const Plan& plan = *document_.plan();
    const Hook& hook = plan.hook;
    const Colours& c = theme_.colours();
    const double y = height() - kRuleRoom + 22.0;
    const double end = hook.landmarkX(Landmark::rearmost) / mm;
    painter.setFont(faceScaled(0.90));
    const QFontMetricsF metrics(painter.font());
    painter.setPen(QPen(c.inkSoft, 1.2));
    painter.drawLine(QPointF(at(0.0, 0.0).x(), y), QPointF(at(end, 0.0).x(), y));
    painter.setPen(QPen(c.inkSoft, 1.0));
    const RuleOf rule = ruleOf(lengthsSaidIn());
    for (int tick = 0; tick * rule.tick <= end; ++tick) {
        const double x = at(tick * rule.tick, 0.0).x();
        const bool named = tick % rule.named == 0;
        painter.drawLine(QPointF(x, y), QPointF(x, y - (named ? kTickLength + 3.0 : kTickLength)));
        if (named)
            painter.drawText(QRectF(x - 20.0, y - 9.0 - metrics.height(), 40.0, metrics.height()), Qt::AlignCenter,
                             tick == 0 ? QStringLiteral("0") : lengthFigure(tick * rule.tick * mm, 0));
    }
    struct Mark {
        Landmark landmark;
        QString name;
    };
    double labelledTo = turned_ ? 1e9 : -1e9;  // as far as there are names already, from the eye
    for (const Mark& mark : {Mark{Landmark::eye, tr("eye")}, Mark{Landmark::point, tr("point")}, Mark{Landmark::barb, tr("barb")},
                             Mark{Landmark::bend, tr("bend")}, Mark{Landmark::rearmost, tr("back")}}) {
        const double x = at(hook.landmarkX(mark.landmark) / mm, 0.0).x();
        QColor fine = c.inkSoft;
        fine.setAlpha(120);
        painter.setPen(QPen(fine, 1.0, Qt::DotLine));
        painter.drawLine(QPointF(x, at(0.0, 0.9 * plan.hook.wire() / mm).y()), QPointF(x, y));
        painter.setPen(QPen(c.ink, 1.4));
        painter.drawLine(QPointF(x, y - 3.0), QPointF(x, y + 5.0));
        const double half = 0.5 * metrics.horizontalAdvance(mark.name);
        const bool room = turned_ ? x + half < labelledTo - 6.0 : x - half > labelledTo + 6.0;
        painter.setPen(c.inkSoft);
        const double top = room ? y + 6.0 : y + 6.0 + 0.85 * metrics.height();
        painter.drawText(QRectF(x - 60.0, top, 120.0, metrics.height()), Qt::AlignCenter, mark.name);
        labelledTo = turned_ ? x - half : x + half;
    }
    constexpr double kUnitRoom = 60.0;
    const double unitAt = at(end, 0.0).x() + (turned_ ? -8.0 - kUnitRoom : 8.0);
    painter.drawText(QRectF(unitAt, y - metrics.height() / 2.0, kUnitRoom, metrics.height()),
                     static_cast<int>((turned_ ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter), lengthUnitName());
}

void FlyView::paintDimension(QPainter& painter, QPointF from, QPointF to, const QString& text) const {
    const Colours& c = theme_.colours();
    const QPointF along = to - from;
    const double length = std::hypot(along.x(), along.y());
    if (length < 1.0) return;
    const QPointF square(-along.y() / length * 4.5, along.x() / length * 4.5);
    painter.setPen(QPen(c.accent, 1.4));
    painter.drawLine(from, to);
    painter.drawLine(from - square, from + square);
    painter.drawLine(to - square, to + square);
    painter.setFont(faceScaled(1.0, true));
    const QFontMetricsF metrics(painter.font());
    QRectF tag = metrics.boundingRect(text).adjusted(-7, -3, 7, 3);
    tag.moveCenter(0.5 * (from + to));
    painter.setPen(QPen(c.accent, 1.0));
    painter.setBrush(c.raised);
    painter.drawRoundedRect(tag, 3.0, 3.0);
    painter.setPen(c.ink);
    painter.drawText(tag, Qt::AlignCenter, text);
}

// The measure of the chosen part, beside the fly rather than across it.
void FlyView::paintMeasure(QPainter& painter) const {
    const auto chosen = document_.part();
    if (!chosen) return;
    const Plan& plan = *document_.plan();
    const PartPlan& part = plan.parts[*chosen];
    const WirePoint root = plan.hook.at(part.station);
    const double x0 = root.position.x / mm;
    const double y0 = root.position.y / mm;
    const QString text = inHouseWords(headlineOf(plan, *chosen));
    const double above = std::min(at(0.0, scene_->top).y() - 14.0, at(0.0, 0.0).y() - 30.0);
    const auto level = [&](double fromX, double toX, double y, const QString& words) {
        paintDimension(painter, {at(fromX, 0.0).x(), std::max(16.0, y)}, {at(toX, 0.0).x(), std::max(16.0, y)}, words);
    };
    if (const auto* tail = std::get_if<TailPlan>(&part.detail)) {
        const double rise = 0.24 * (tail->length / mm);  // clear of the fan of its tips
        level(x0, x0 + tail->length / mm * cos(root.heading), at(0.0, y0 + rise).y() - 18.0, text);
    } else if (const auto* wing = std::get_if<WingPlan>(&part.detail))
        level(x0, x0 + wing->length / mm, above, text);
    else if (const auto* body = std::get_if<BodyPlan>(&part.detail))
        level(plan.hook.at(body->front).position.x / mm, plan.hook.at(body->end).position.x / mm, above,
              lengthSaid(body->end - body->front) + tr(" long, ") + text);
    else if (const auto* rib = std::get_if<RibPlan>(&part.detail))
        level(plan.hook.at(rib->end - rib->pitch).position.x / mm, plan.hook.at(rib->end).position.x / mm, above,
              tr("one turn every %1").arg(lengthSaid(rib->pitch)));
    else if (std::holds_alternative<HeadPlan>(part.detail))
        level(plan.head.from / mm, plan.head.to / mm, at(0.0, 0.0).y() - 34.0 - view_.pxPerMm * scene_->head.radius, text);
    else if (const auto* bead = std::get_if<BeadPlan>(&part.detail))
        level(x0, x0 + bead->diameter / mm, at(0.0, 0.0).y() - 24.0 - view_.pxPerMm * (bead->diameter / mm) / 2.0, text);
    else {
        const HacklePlan* hackle = hackleOf(part);
        if (!hackle) return;
        const double r = hackle->bed / mm / 2.0;
        const QPointF from = at(x0 - r * sin(root.heading), y0 - r * cos(root.heading));
        const Angle sweep = hackle->feather.fibreAngle();
        const QPointF to = hackle->target ? at(hackle->target->x / mm, hackle->target->y / mm)
                                          : at(x0 + hackle->fibre / mm * cos(sweep), y0 - r - hackle->fibre / mm * sin(sweep));
        paintDimension(painter, from, to, text);
    }
}

void FlyView::paintHandles(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const bool busy = underMouse() || hasFocus();
    for (std::size_t i = 0; i < handles_.size(); ++i) {
        const bool own = document_.part() == handles_[i].part;
        if (!own && !busy) continue;
        const bool strong = hovered_ == i || held_ == i || (hasFocus() && focused_ == i);
        painter.setPen(QPen(own || strong ? c.accent : c.inkSoft, strong ? 2.4 : 1.3));
        QColor fill = c.raised;
        if (!own && !strong) fill.setAlpha(120);
        painter.setBrush(strong ? c.accent : fill);
        const QPointF place = placeOf(handles_[i]);
        const double r = strong ? 5.5 : own ? 4.5 : 3.0;
        // Across: a lozenge; along: a ring. Shape says which way it goes.
        if (handles_[i].travel == Travel::across)
            painter.drawPolygon(
                QPolygonF{{place + QPointF(0, -r), place + QPointF(0.8 * r, 0), place + QPointF(0, r), place + QPointF(-0.8 * r, 0)}});
        else
            painter.drawEllipse(place, r, r);
    }
    if (!held_) return;
    // While it is held, what it says stands beside it.
    const PartPlan& part = document_.plan()->parts[handles_[*held_].part];
    painter.setFont(faceScaled(1.0, true));
    const QFontMetricsF metrics(painter.font());
    const QString words = metrics.elidedText(qt(part.words), Qt::ElideRight, 420.0);
    QRectF tag = metrics.boundingRect(words).adjusted(-8, -4, 8, 4);
    tag.moveBottomLeft(placeOf(handles_[*held_]) + QPointF(12.0, -12.0));
    if (tag.right() > width() - 8.0) tag.moveRight(width() - 8.0);
    if (tag.top() < 8.0) tag.moveTop(8.0);
    painter.setPen(QPen(c.accent, 1.0));
    painter.setBrush(c.raised);
    painter.drawRoundedRect(tag, 3.0, 3.0);
    painter.setPen(c.ink);
    painter.drawText(tag, Qt::AlignCenter, words);
}

}  // namespace machair::app
