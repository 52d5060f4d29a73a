// What is drawn on the flies of the team: the leader and its lengths, their measures, the check that is pointed at.
#include "balance/team_view.h"

#include <QDragEnterEvent>
#include <QKeyEvent>
#include <QMimeData>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "book/flies.h"
#include "colour/colour.h"
#include "drawing/ink.h"
#include "parts/lengths.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

// What a check compares, of one fly; nothing where it is no amount that could be drawn to a scale.
struct Amount {
    double value;
    QString words;
};
std::optional<Amount> amountOf(TeamTerm term, const TeamFly& fly) {
    const FlyFigures& f = fly.figures;
    constexpr double kCentimetres = 100.0, kNothing = 1e-9;
    const double sink = kCentimetres * (f.sink / metrePerSecond), pushed = std::max(kNothing, f.presence / millinewton), mass = f.mass / mg;
    switch (term) {
        case TeamTerm::sinkStep:
        case TeamTerm::sinkAcross:
        case TeamTerm::anchor: return Amount{sink, f.floats ? TeamView::tr("floats") : TeamView::tr("%1 cm/s").arg(number(sink, 1))};
        case TeamTerm::presenceOrder: return Amount{pushed, TeamView::tr("pushes %1 mN").arg(number(pushed, 2))};
        case TeamTerm::turnover: return Amount{mass / pushed, TeamView::tr("%1 mg a mN pushed").arg(number(mass / pushed, 0))};
        case TeamTerm::pointWeight: return Amount{mass, TeamView::tr("%1 mg wet").arg(number(mass, 0))};
        case TeamTerm::fullness:
        case TeamTerm::slim: return Amount{f.full, TeamView::tr("%1 usual collars").arg(number(f.full, 1))};
        case TeamTerm::stiff: return Amount{f.stiff, TeamView::tr("%1 % of it stiff").arg(number(100.0 * f.stiff, 0))};
        case TeamTerm::hold: return Amount{f.hold(), TeamView::tr("pushes %1 times its weight").arg(number(f.hold(), 1))};
        default: return std::nullopt;
    }
}

}  // namespace

std::optional<std::pair<Length, Length>> TeamView::longestHackle(const Plan& plan) {
    std::optional<std::pair<Length, Length>> found;
    for (const PartPlan& part : plan.parts) {
        const auto* collar = std::get_if<HacklePlan>(&part.detail);
        const auto* palmer = std::get_if<PalmerPlan>(&part.detail);
        const Length fibre = collar ? collar->fibre : palmer ? palmer->hackle.fibre : Length{};
        if (fibre > 0.0 * mm && (!found || fibre > found->second)) found = {part.station, fibre};
    }
    return found;
}

void TeamView::paintLeader(QPainter& painter) const {
    const Colours& c = theme_.colours();
    painter.setPen(QPen(c.slate, 1.6, Qt::SolidLine, Qt::RoundCap));
    double last = 0.0;
    for (const Shown& fly : flies_) {
        const bool end = fly.position == Position::point;
        const QPointF eye = fly.view.origin + QPointF(-2.4 * scale_ * fly.scene.hook.wire, 0.5 * scale_ * fly.scene.hook.wire);
        const QPointF knot(kStrandX, eye.y() - 26.0);
        painter.drawLine(QPointF(kStrandX, last), end ? QPointF(kStrandX, eye.y() - 40.0) : knot);
        last = knot.y();
        QPainterPath path(end ? QPointF(kStrandX, eye.y() - 40.0) : knot);
        path.cubicTo(QPointF(kStrandX + (end ? 0.0 : 30.0), eye.y() - (end ? 6.0 : 18.0)), QPointF(eye.x() - 60.0, eye.y()), eye);
        painter.setBrush(Qt::NoBrush);
        painter.drawPath(path);
    }
    const auto all = spans();
    for (std::size_t i = 0; i < all.size(); ++i) {
        const bool held = span_ && QLatin1String(span_->key) == QLatin1String(all[i].key);
        const bool strong = held || (hasFocus() && chosenSpan_ == i);
        painter.setFont(faceScaled(0.88, strong));
        painter.setPen(colourOf(c, all[i].verdict));
        painter.drawText(all[i].rect.adjusted(14.0, 0.0, 0.0, 0.0), Qt::AlignLeft | Qt::AlignVCenter,
                         tr("%1 m %2").arg(number(all[i].metres, 2), signOf(all[i].verdict)));
        // The grip on the strand: two strokes that say which way it goes.
        const QPointF grip(kStrandX, all[i].rect.center().y());
        painter.setPen(QPen(strong ? c.accent : c.slate, strong ? 3.0 : 2.0, Qt::SolidLine, Qt::RoundCap));
        for (const double off : {-3.0, 3.0})
            painter.drawLine(grip + QPointF(-5.0, off), grip + QPointF(5.0, off));
    }
}

void TeamView::paintMeasures(QPainter& painter, const Shown& fly, const TeamFly& weighed) const {
    const Colours& c = theme_.colours();
    const Hook& hook = weighed.plan.hook;
    const auto at = [&](Length x, Length y) { return fly.view.origin + QPointF(scale_ * (x / mm), -scale_ * (y / mm)); };
    painter.setFont(faceScaled(0.82));
    const QFontMetricsF metrics(painter.font());
    // The gape, between shank and point, a little behind the rearmost.
    const Length x = hook.landmarkX(Landmark::rearmost) + 1.1 * mm;
    const QPointF top = at(x, Length{}), bottom = at(x, -hook.gape());
    painter.setPen(QPen(c.slate, 1.2));
    painter.drawLine(top, bottom);
    painter.drawLine(top - QPointF(3.0, 0.0), top + QPointF(3.0, 0.0));
    painter.drawLine(bottom - QPointF(3.0, 0.0), bottom + QPointF(3.0, 0.0));
    const QString gape = tr("gape %1 · hook %2").arg(lengthSaid(hook.gape())).arg(hook.size());
    painter.drawText(QPointF(bottom.x() - 0.5 * metrics.horizontalAdvance(gape), bottom.y() + metrics.ascent() + 3.0), gape);
    // The longest hackle as an arc about its root, beside the arc that the team's mean makes on this gape.
    const auto hackle = longestHackle(weighed.plan);
    if (!hackle) return;
    const QPointF root = at(hackle->first, Length{});
    const auto arc = [&](Length radius, const QPen& pen) {
        const double r = scale_ * (radius / mm);
        painter.setPen(pen);
        painter.drawArc(QRectF(root.x() - r, root.y() - r, 2.0 * r, 2.0 * r), 16 * -75, 16 * 60);
    };
    arc(hackleRatio_ * hook.gape(), QPen(c.inkSoft, 1.0, Qt::DotLine));
    arc(hackle->second, QPen(c.accent, 1.6));
}

void TeamView::paintFly(QPainter& painter, Shown& fly, const TeamFly& weighed) const {
    const QRectF row = rowOf(fly.position);
    if (fly.picture.isNull() || fly.picture.devicePixelRatio() != devicePixelRatioF()) {
        const QRectF frame(kEyeX - 60.0, row.top(), width() - kEyeX - kTextRoom + 120.0, row.height());
        fly.picture = QImage((frame.size() * devicePixelRatioF()).toSize(), QImage::Format_ARGB32_Premultiplied);
        fly.picture.setDevicePixelRatio(devicePixelRatioF());
        fly.picture.fill(Qt::transparent);
        QPainter own(&fly.picture);
        drawing::View view = fly.view;
        view.origin -= frame.topLeft();
        drawing::paintFly(own, fly.scene, view);
    }
    painter.drawImage(QPointF(kEyeX - 60.0, row.top()), fly.picture);
    paintMeasures(painter, fly, weighed);
    const Colours& c = theme_.colours();
    QRectF text(width() - kTextRoom + 10.0, row.top() + 14.0, kTextRoom - 20.0, row.height() - 30.0);
    const auto say = [&](const QString& words, const QFont& font, const QColor& ink) {
        painter.setFont(font);
        painter.setPen(ink);
        const QFontMetricsF metrics(font);
        if (text.height() < metrics.height()) return;  // no half lines
        painter.drawText(text, Qt::AlignTop | Qt::AlignLeft, metrics.elidedText(inHouseWords(words), Qt::ElideRight, text.width()));
        text.adjust(0.0, metrics.height() + 2.0, 0.0, 0.0);
    };
    say(titleOf(fly.position), faceScaled(0.92), c.accent);
    say(qt(sayFly(weighed.plan.pattern.title(), weighed.plan.hook.spec())), faceScaled(1.15, true), c.ink);
    say(weighed.sink.floats ? tr("floats")
                            : tr("sinks %1 cm/s, ± a quarter").arg(number(100.0 * (weighed.sink.sinkRate / metrePerSecond), 1)),
        faceScaled(0.95), c.inkSoft);
    say(tr("pushes %1 mN of water").arg(number(weighed.sink.presence / millinewton, 2)), faceScaled(0.95), c.inkSoft);
    say(tr("%1 mg wet · %2").arg(number(weighed.sink.mass / mg, 0), qt(sayFull(weighed.figures.full))), faceScaled(0.95), c.inkSoft);
    const auto& hung = document_.team() ? document_.team()->at(fly.position) : std::optional<Fly>();
    const std::string fished = hung && hung->presentation ? *hung->presentation : weighed.plan.pattern.presentation.value_or("");
    if (!fished.empty()) say(qt(fished), faceScaled(0.95), c.ink);
    if (!weighed.sink.drivers.empty()) say(qt(weighed.sink.drivers.front()), faceScaled(0.88), c.inkSoft);
}

// Of the flies of the check that is looked at: what it compares, as bars to one scale, as gapes, arcs or colours.
void TeamView::paintPointed(QPainter& painter) const {
    const auto& report = document_.teamReport();
    if (!pointed_ || *pointed_ >= report->checks.size()) return;
    const Colours& c = theme_.colours();
    const TeamCheck& check = report->checks[*pointed_];
    const QColor ink = colourOf(c, check.verdict);
    constexpr double kLongest = 190.0, kBar = 7.0;
    double most = 1e-9;
    for (const TeamFly& fly : report->flies)
        if (const auto amount = amountOf(check.term, fly)) most = std::max(most, amount->value);
    for (std::size_t i = 0; i < report->flies.size(); ++i) {
        const TeamFly& fly = report->flies[i];
        const bool itsOwn = fly.position == check.upper || fly.position == check.lower;
        if (!itsOwn && !(check.term == TeamTerm::rules && check.upper != check.lower)) continue;
        const QRectF row = rowOf(fly.position).adjusted(kStrandX + 40.0, 5.0, -8.0, -5.0);
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(ink, 1.4, Qt::DashLine));
        painter.drawRoundedRect(row, 6.0, 6.0);
        painter.setFont(faceScaled(0.95, true));
        const QPointF at(width() - kTextRoom - kLongest - 12.0, row.center().y() - 4.0);  // between the fly and its words
        if (const auto amount = amountOf(check.term, fly)) {
            painter.setPen(ink);
            painter.drawText(at, inHouseWords(amount->words));
            painter.setPen(Qt::NoPen);
            painter.setBrush(ink);
            painter.drawRoundedRect(QRectF(at.x(), at.y() + 6.0, std::max(2.0, kLongest * amount->value / most), kBar), 3.0, 3.0);
        } else if (check.term == TeamTerm::variety) {
            painter.setPen(QPen(c.line, 1.0));
            painter.setBrush(drawing::inkOf(meanColour(fly.plan)));
            painter.drawRoundedRect(QRectF(at.x(), at.y() - 12.0, 64.0, 22.0), 4.0, 4.0);
        } else if (check.term == TeamTerm::size || check.term == TeamTerm::sizeStep || check.term == TeamTerm::topSizeStep) {
            const Hook& hook = fly.plan.hook;
            const QPointF top = flies_[i].view.origin + QPointF(scale_ * ((hook.landmarkX(Landmark::rearmost) + 1.1 * mm) / mm), 0.0);
            painter.setPen(QPen(ink, 3.0));
            painter.drawLine(top, top + QPointF(0.0, scale_ * (hook.gape() / mm)));
            painter.drawText(at, tr("gape %1").arg(lengthSaid(hook.gape())));
        } else if (check.term == TeamTerm::spacing && i + 1 < report->flies.size() && fly.position == check.upper) {
            painter.setPen(QPen(ink, 4.0, Qt::SolidLine, Qt::RoundCap));
            painter.drawLine(QPointF(kStrandX, rowOf(check.upper).center().y()), QPointF(kStrandX, rowOf(check.lower).center().y()));
        }
    }
}

}  // namespace machair::app
