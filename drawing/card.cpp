#include "drawing/card.h"

#include <QObject>
#include <QPainter>
#include <algorithm>

#include "drawing/marks.h"
#include "sizing/figures.h"

namespace machair::drawing {

namespace {

// A strip: the band that a hand holds it to, and the line itself with its ends.
void gauge(QPainter& painter, QPointF at, const Gauge& g, double labelRoom, LengthUnit unit) {
    const double length = g.length / mm, tolerance = g.tolerance / mm;
    writeWords(painter, at + QPointF(labelRoom - 2.0, 1.0), QObject::tr("%1  %2").arg(qtext(g.label), saidIn(g.length, unit)), 2.5,
               kPageInk, false, 1.0, labelRoom - 2.0);
    const QPointF zero = at + QPointF(labelRoom, 0.0);
    if (tolerance > 0.0) {
        painter.setPen(Qt::NoPen);
        painter.setBrush(kPageBand);
        painter.drawRect(QRectF(zero.x() + length - tolerance, zero.y() - 1.7, 2.0 * tolerance, 3.4));
    }
    hairline(painter, zero + QPointF(0.0, -1.7), zero + QPointF(0.0, 1.7));
    hairline(painter, zero + QPointF(length, -1.7), zero + QPointF(length, 1.7));
    painter.setPen(Qt::NoPen);
    painter.setBrush(kPageAccent);
    painter.drawRect(QRectF(zero.x(), zero.y() - 0.35, length, 0.7));
}

// Teeth as wide as the slips, and half a millimetre either way.
void comb(QPainter& painter, QPointF at, const Gauge& slip, LengthUnit unit) {
    const double width = slip.length / mm;
    double x = at.x();
    for (const double step : {-0.5, 0.0, 0.5}) {
        const double w = width + step;
        if (w <= 0.2) continue;
        painter.setPen(QPen(kPageInk, 0.15));
        painter.setBrush(step == 0.0 ? kPageBand : QColor(Qt::transparent));
        painter.drawRect(QRectF(x, at.y(), w, 7.0));
        writeWords(painter, QPointF(x + 0.5 * w, at.y() + 10.0), saidIn(w * mm, unit), 2.2, step == 0.0 ? kPageInk : kPageSoft, step == 0.0,
                   0.5);
        x += w + 3.0;
    }
    writeWords(painter, at + QPointF(0.0, -1.2), qtext(slip.label), 2.4, kPageInk);
}

}  // namespace

void paintCard(QPainter& painter, const Plan& plan, LengthUnit unit) {
    painter.setRenderHint(QPainter::Antialiasing);
    writeWords(painter, {kPageMargin, kPageMargin + 4.0}, qtext(plan.pattern.title()), 5.0, kPageInk, true, 0.0, 90.0);
    writeWords(painter, {kPageMargin, kPageMargin + 8.5},
               QObject::tr("%1 · thread %2")
                   .arg(qtext(plan.hook.spec().name.value_or(describeHook(plan.hook.spec()))), qtext(plan.threadMaterial.title())),
               2.6, kPageSoft, false, 0.0, 90.0);
    flyIn(painter, plan, QRectF(kPageMargin, kPageMargin + 10.0, 66.0, 36.0));
    // The dressing, part after part.
    double y = kPageMargin + 4.0;
    const double right = kPageMargin + 74.0;
    for (std::size_t i = 0; i < plan.parts.size() && y < 52.0; ++i) {
        const PartPlan& part = plan.parts[i];
        writeWords(painter, {right, y}, QObject::tr("%1: %2").arg(qtext(sayName(part.kind)), qtext(part.made.title())), 2.5, kPageInk, true,
                   0.0, 40.0);
        writeWords(painter, {kCardWidth - kPageMargin, y}, qtext(inUnit(headlineOf(plan, i), unit)), 2.5, kPageInk, false, 1.0, 26.0);
        y += 3.9;
    }
    hairline(painter, {kPageMargin, 54.0}, {kCardWidth - kPageMargin, 54.0}, 0.1, kPageSoft);
    writeWords(painter, {kPageMargin, 58.0}, QObject::tr("Lay the feather on the lines: they are as long as they say"), 2.2, kPageSoft);
    double row = 63.0;
    std::vector<Gauge> slips;
    for (const Gauge& g : gaugesOf(plan)) {
        if (g.kind == GaugeKind::slip) {
            slips.push_back(g);
            continue;
        }
        if (row > 90.0) break;
        gauge(painter, {kPageMargin, row}, g, 34.0, unit);
        row += 4.6;
    }
    double comb0 = 92.0;
    for (const Gauge& slip : slips) {
        comb(painter, {comb0, 66.0}, slip, unit);
        comb0 += 3.0 * (slip.length / mm) + 14.0;
        if (comb0 > kCardWidth - 30.0) break;
    }
    provingBar(painter, {kPageMargin, kCardHeight - kPageMargin}, unit);
}

void paintTeamSheet(QPainter& painter, const TeamSheet& sheet) {
    painter.setRenderHint(QPainter::Antialiasing);
    writeWords(painter, {kPageMargin, kPageMargin + 5.0}, sheet.title, 6.0, kPageInk, true, 0.0, 150.0);
    writeWords(painter, {kSheetWidth - kPageMargin, kPageMargin + 5.0}, sheet.verdict, 3.6, kPageAccent, true, 1.0);
    const double row = (kSheetHeight - 30.0 - kPageMargin) / std::max(3.0, static_cast<double>(sheet.flies.size()));
    double y = kPageMargin + 10.0;
    for (const SheetFly& fly : sheet.flies) {
        flyIn(painter, fly.plan, QRectF(kPageMargin + 22.0, y, 78.0, row - 3.0));
        writeWords(painter, {kPageMargin, y + 0.5 * row}, fly.position, 3.4, kPageAccent, true);
        writeWords(painter, {112.0, y + 8.0}, qtext(fly.plan.pattern.title()), 4.2, kPageInk, true, 0.0, 92.0);
        writeWords(painter, {112.0, y + 13.0}, qtext(describeHook(fly.plan.hook.spec())), 2.8, kPageSoft, false, 0.0, 92.0);
        writeWords(painter, {112.0, y + 17.5}, fly.words, 2.8, kPageSoft, false, 0.0, 92.0);
        y += row;
    }
    writeWords(painter, {kPageMargin, kSheetHeight - 18.0}, sheet.leader.join(QStringLiteral("  ·  ")), 3.0, kPageInk, false, 0.0,
               kSheetWidth - 2.0 * kPageMargin);
    double line = kSheetHeight - 13.5;
    for (const QString& note : sheet.notes) {
        writeWords(painter, {kPageMargin, line}, note, 2.6, kPageSoft, false, 0.0, kSheetWidth - 2.0 * kPageMargin);
        line += 3.4;
        if (line > kSheetHeight - 7.5) break;
    }
    provingBar(painter, {kPageMargin, kSheetHeight - 3.5});
}

void paintContestGauge(QPainter& painter, const RuleCard& card, const QString& caution, LengthUnit unit) {
    painter.setRenderHint(QPainter::Antialiasing);
    const Length longest = card.longestFly.value();
    writeWords(painter, {kPageMargin, kPageMargin + 4.0}, qtext(card.title()), 5.0, kPageInk, true, 0.0, kCardWidth - 2.0 * kPageMargin);
    writeWords(painter, {kPageMargin, kPageMargin + 9.5},
               QObject::tr("Longest fly %1%2%3")
                   .arg(saidIn(longest, unit), card.source ? QObject::tr(", from %1").arg(qtext(*card.source)) : QString(),
                        card.date ? QObject::tr(", read %1").arg(qtext(*card.date)) : QString()),
               2.8, kPageSoft, false, 0.0, kCardWidth - 2.0 * kPageMargin);
    // The slot, with the edge that the eye stands against and the line that nothing may pass.
    const QPointF zero(kPageMargin + 22.0, 48.0);
    const double length = longest / mm, half = 11.0;
    painter.setPen(Qt::NoPen);
    painter.setBrush(kPageBand);
    painter.drawRect(QRectF(zero.x(), zero.y() - half, length, 2.0 * half));
    painter.setBrush(kPageInk);
    painter.drawRect(QRectF(zero.x() - 1.2, zero.y() - half - 3.0, 1.2, 2.0 * half + 6.0));
    painter.setBrush(kPageAccent);
    painter.drawRect(QRectF(zero.x(), zero.y() - 0.35, length, 0.7));
    constexpr double kEnd = 0.3;  // mm: its inner edge is the limit
    hairline(painter, zero + QPointF(length + 0.5 * kEnd, -half - 3.0), zero + QPointF(length + 0.5 * kEnd, half + 3.0), kEnd);
    for (int tick = 1; tick < length; ++tick)
        hairline(painter, zero + QPointF(tick, half), zero + QPointF(tick, half - (tick % 5 == 0 ? 3.0 : 1.5)));
    writeWords(painter, zero + QPointF(-2.5, 1.0), QObject::tr("eye here"), 2.6, kPageInk, false, 1.0, 20.0);
    writeWords(painter, zero + QPointF(length + 1.5, -half - 1.0), QObject::tr("nothing beyond"), 2.6, kPageInk, false, 0.0, 30.0);
    double y = zero.y() + half + 12.0;
    for (const QString& line :
         {QObject::tr("Lay the fly in the slot, the front of its eye against the black edge; hold it by the bend, mind the point."),
          QObject::tr("Wet it and stroke it back first: tail, wing and hackle are all measured to their last tip."), caution}) {
        writeWords(painter, {kPageMargin, y}, line, 2.6, kPageSoft, false, 0.0, kCardWidth - 2.0 * kPageMargin);
        y += 4.2;
    }
    provingBar(painter, {kPageMargin, kCardHeight - kPageMargin}, unit);
}

Page cardPage(Plan plan, LengthUnit unit) {
    const QString title = qtext(plan.pattern.title());
    return {title, {kCardWidth, kCardHeight}, [plan = std::move(plan), unit](QPainter& painter) { paintCard(painter, plan, unit); }};
}

std::variant<Page, QString> gaugePage(const RuleCard& card, const QString& caution, LengthUnit unit) {
    constexpr double kRoom = kCardWidth - 60.0;
    if (!card.longestFly) return QObject::tr("this rule card says no longest fly");
    if (*card.longestFly / mm > kRoom)
        return QObject::tr("a longest fly of %1 is longer than the card has room for").arg(saidIn(*card.longestFly, unit));
    return Page{qtext(card.title()), {kCardWidth, kCardHeight}, [card, caution, unit](QPainter& painter) {
                    paintContestGauge(painter, card, caution, unit);
                }};
}

Page teamPage(TeamSheet sheet) {
    const QString title = sheet.title;
    return {title, {kSheetWidth, kSheetHeight}, [sheet = std::move(sheet)](QPainter& painter) { paintTeamSheet(painter, sheet); }};
}

QString writeCard(const QString& path, const Plan& plan, LengthUnit unit) { return writePage(path, cardPage(plan, unit)); }

QString writeContestGauge(const QString& path, const RuleCard& card, const QString& caution, LengthUnit unit) {
    const auto made = gaugePage(card, caution, unit);
    const auto* wrong = std::get_if<QString>(&made);
    return wrong ? *wrong : writePage(path, std::get<Page>(made));
}

QString writeTeamSheet(const QString& path, const TeamSheet& sheet) { return writePage(path, teamPage(sheet)); }

}  // namespace machair::drawing
