#include "drawing/card.h"

#include <QBuffer>
#include <QFile>
#include <QPainter>
#include <QPdfWriter>
#include <QSaveFile>
#include <QSvgGenerator>
#include <algorithm>

#include "drawing/fly_painter.h"
#include "sizing/figures.h"
#include "units/text.h"

namespace machair::drawing {

namespace {

constexpr double kMargin = 6.0;
const QColor kInk(0x2b, 0x27, 0x22);
const QColor kSoft(0x5c, 0x53, 0x47);
const QColor kBand(0xd9, 0xcf, 0xba);
const QColor kAccent(0x9a, 0x3d, 0x1c);

QString text(const std::string& words) { return QString::fromStdString(words); }
QString said(Length length, LengthUnit unit) { return text(formatLength(length, unit)); }

// Fonts are set large and scaled down: they have no sizes under a pixel.
QFont face(bool bold) {
    QFont font;
    font.setPixelSize(100);
    font.setBold(bold);
    font.setStyleStrategy(QFont::ForceOutline);
    return font;
}

// Words of so many mm height, with their left end (or middle, or right end) on the baseline at `at`.
void write(QPainter& painter, QPointF at, const QString& words, double height, const QColor& ink, bool bold = false, double align = 0.0,
           double room = 1e9) {
    painter.save();
    const QFont font = face(bold);
    const QFontMetricsF metrics(font);
    const double scale = height / 100.0;
    const QString fitting =
        metrics.horizontalAdvance(words) * scale <= room ? words : metrics.elidedText(words, Qt::ElideRight, room / scale);
    painter.translate(at);
    painter.scale(scale, scale);
    painter.setFont(font);
    painter.setPen(ink);
    painter.drawText(QPointF(-align * metrics.horizontalAdvance(fitting), 0.0), fitting);
    painter.restore();
}

void hairline(QPainter& painter, QPointF a, QPointF b, double width = 0.15, const QColor& ink = kInk) {
    painter.setPen(QPen(ink, width, Qt::SolidLine, Qt::FlatCap));
    painter.drawLine(a, b);
}

void proving(QPainter& painter, QPointF at, LengthUnit unit = LengthUnit::millimetres) {
    const double length = kProvingBar / mm;
    painter.setPen(Qt::NoPen);
    painter.setBrush(kInk);
    painter.drawRect(QRectF(at.x(), at.y(), length, 0.6));
    for (int i = 0; i <= 10; ++i)
        hairline(painter, at + QPointF(5.0 * i, -1.0), at + QPointF(5.0 * i, 0.0));  // above the bar, whose ends stay its own
    write(painter, at + QPointF(length + 2.0, 0.6),
          QObject::tr("50 mm%1: measure this bar; if it isn't, the printer scaled")
              .arg(unit == LengthUnit::millimetres ? QString() : QObject::tr(" (%1)").arg(said(kProvingBar, unit))),
          2.2, kSoft);
}

// A strip: the band that a hand holds it to, and the line itself with its ends.
void gauge(QPainter& painter, QPointF at, const Gauge& g, double labelRoom, LengthUnit unit) {
    const double length = g.length / mm, tolerance = g.tolerance / mm;
    write(painter, at + QPointF(labelRoom - 2.0, 1.0), QObject::tr("%1  %2").arg(text(g.label), said(g.length, unit)), 2.5, kInk, false,
          1.0, labelRoom - 2.0);
    const QPointF zero = at + QPointF(labelRoom, 0.0);
    if (tolerance > 0.0) {
        painter.setPen(Qt::NoPen);
        painter.setBrush(kBand);
        painter.drawRect(QRectF(zero.x() + length - tolerance, zero.y() - 1.7, 2.0 * tolerance, 3.4));
    }
    hairline(painter, zero + QPointF(0.0, -1.7), zero + QPointF(0.0, 1.7));
    hairline(painter, zero + QPointF(length, -1.7), zero + QPointF(length, 1.7));
    painter.setPen(Qt::NoPen);
    painter.setBrush(kAccent);
    painter.drawRect(QRectF(zero.x(), zero.y() - 0.35, length, 0.7));
}

// Teeth as wide as the slips, and half a millimetre either way.
void comb(QPainter& painter, QPointF at, const Gauge& slip, LengthUnit unit) {
    const double width = slip.length / mm;
    double x = at.x();
    for (const double step : {-0.5, 0.0, 0.5}) {
        const double w = width + step;
        if (w <= 0.2) continue;
        painter.setPen(QPen(kInk, 0.15));
        painter.setBrush(step == 0.0 ? kBand : QColor(Qt::transparent));
        painter.drawRect(QRectF(x, at.y(), w, 7.0));
        write(painter, QPointF(x + 0.5 * w, at.y() + 10.0), said(w * mm, unit), 2.2, step == 0.0 ? kInk : kSoft, step == 0.0, 0.5);
        x += w + 3.0;
    }
    write(painter, at + QPointF(0.0, -1.2), text(slip.label), 2.4, kInk);
}

void flyIn(QPainter& painter, const Plan& plan, const QRectF& frame) {
    const Scene scene = makeScene(plan);
    // The fly's painter draws in px; here one of its px is a tenth of a millimetre.
    constexpr double kFine = 10.0;
    painter.save();
    painter.scale(1.0 / kFine, 1.0 / kFine);
    const QRectF large(frame.topLeft() * kFine, frame.size() * kFine);
    paintFly(painter, scene, fitView(scene, large, Bench::sand, 40.0));
    painter.restore();
}

template <class Paint>
QString writeTo(const QString& path, QSizeF size, const QString& title, Paint paint) {
    const bool pdf = path.endsWith(QLatin1String(".pdf"), Qt::CaseInsensitive);
    if (!pdf && !path.endsWith(QLatin1String(".svg"), Qt::CaseInsensitive)) return QObject::tr("expected a name that ends in .pdf or .svg");
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    if (pdf) {
        QPdfWriter writer(&buffer);
        writer.setTitle(title);
        writer.setPageSize(QPageSize(size, QPageSize::Millimeter, QString(), QPageSize::ExactMatch));
        writer.setPageMargins(QMarginsF(0, 0, 0, 0));
        writer.setResolution(1270);  // 50 to the millimetre
        QPainter painter(&writer);
        painter.scale(50.0, 50.0);
        paint(painter);
    } else {
        QSvgGenerator generator;
        generator.setOutputDevice(&buffer);
        generator.setTitle(title);
        constexpr double kPerMm = 10.0;  // user units: the view box is in tenths of a millimetre
        generator.setResolution(254);
        generator.setSize((size * kPerMm).toSize());
        generator.setViewBox(QRectF(QPointF(0, 0), size * kPerMm));
        QPainter painter(&generator);
        painter.scale(kPerMm, kPerMm);
        paint(painter);
    }
    QSaveFile file(path);
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size() || !file.commit())
        return QObject::tr("can't be written: %1").arg(file.errorString());
    return {};
}

}  // namespace

void paintCard(QPainter& painter, const Plan& plan, LengthUnit unit) {
    painter.setRenderHint(QPainter::Antialiasing);
    write(painter, {kMargin, kMargin + 4.0}, text(plan.pattern.title()), 5.0, kInk, true, 0.0, 90.0);
    write(painter, {kMargin, kMargin + 8.5},
          QObject::tr("%1 · thread %2")
              .arg(text(plan.hook.spec().name.value_or(describeHook(plan.hook.spec()))), text(plan.threadMaterial.title())),
          2.6, kSoft, false, 0.0, 90.0);
    flyIn(painter, plan, QRectF(kMargin, kMargin + 10.0, 66.0, 36.0));
    // The dressing, part after part.
    double y = kMargin + 4.0;
    const double right = kMargin + 74.0;
    for (std::size_t i = 0; i < plan.parts.size() && y < 52.0; ++i) {
        const PartPlan& part = plan.parts[i];
        write(painter, {right, y}, QObject::tr("%1: %2").arg(text(std::string(nameOf(part.kind))), text(part.made.title())), 2.5, kInk,
              true, 0.0, 40.0);
        write(painter, {kCardWidth - kMargin, y}, text(inUnit(headlineOf(plan, i), unit)), 2.5, kInk, false, 1.0, 26.0);
        y += 3.9;
    }
    hairline(painter, {kMargin, 54.0}, {kCardWidth - kMargin, 54.0}, 0.1, kSoft);
    write(painter, {kMargin, 58.0}, QObject::tr("Lay the feather on the lines: they are as long as they say"), 2.2, kSoft);
    double row = 63.0;
    std::vector<Gauge> slips;
    for (const Gauge& g : gaugesOf(plan)) {
        if (g.kind == GaugeKind::slip) {
            slips.push_back(g);
            continue;
        }
        if (row > 90.0) break;
        gauge(painter, {kMargin, row}, g, 34.0, unit);
        row += 4.6;
    }
    double comb0 = 92.0;
    for (const Gauge& slip : slips) {
        comb(painter, {comb0, 66.0}, slip, unit);
        comb0 += 3.0 * (slip.length / mm) + 14.0;
        if (comb0 > kCardWidth - 30.0) break;
    }
    proving(painter, {kMargin, kCardHeight - kMargin}, unit);
}

void paintTeamSheet(QPainter& painter, const TeamSheet& sheet) {
    painter.setRenderHint(QPainter::Antialiasing);
    write(painter, {kMargin, kMargin + 5.0}, sheet.title, 6.0, kInk, true, 0.0, 150.0);
    write(painter, {kSheetWidth - kMargin, kMargin + 5.0}, sheet.verdict, 3.6, kAccent, true, 1.0);
    const double row = (kSheetHeight - 30.0 - kMargin) / std::max(3.0, static_cast<double>(sheet.flies.size()));
    double y = kMargin + 10.0;
    for (const SheetFly& fly : sheet.flies) {
        flyIn(painter, *fly.plan, QRectF(kMargin + 22.0, y, 78.0, row - 3.0));
        write(painter, {kMargin, y + 0.5 * row}, fly.position, 3.4, kAccent, true);
        write(painter, {112.0, y + 8.0}, text(fly.plan->pattern.title()), 4.2, kInk, true, 0.0, 92.0);
        write(painter, {112.0, y + 13.0}, text(describeHook(fly.plan->hook.spec())), 2.8, kSoft, false, 0.0, 92.0);
        write(painter, {112.0, y + 17.5}, fly.words, 2.8, kSoft, false, 0.0, 92.0);
        y += row;
    }
    write(painter, {kMargin, kSheetHeight - 18.0}, sheet.leader.join(QStringLiteral("  ·  ")), 3.0, kInk, false, 0.0,
          kSheetWidth - 2.0 * kMargin);
    double line = kSheetHeight - 13.5;
    for (const QString& note : sheet.notes) {
        write(painter, {kMargin, line}, note, 2.6, kSoft, false, 0.0, kSheetWidth - 2.0 * kMargin);
        line += 3.4;
        if (line > kSheetHeight - 7.5) break;
    }
    proving(painter, {kMargin, kSheetHeight - 3.5});
}

void paintContestGauge(QPainter& painter, const RuleCard& card, const QString& caution, LengthUnit unit) {
    painter.setRenderHint(QPainter::Antialiasing);
    const Length longest = card.longestFly.value();
    write(painter, {kMargin, kMargin + 4.0}, text(card.title()), 5.0, kInk, true, 0.0, kCardWidth - 2.0 * kMargin);
    write(painter, {kMargin, kMargin + 9.5},
          QObject::tr("Longest fly %1%2%3")
              .arg(said(longest, unit), card.source ? QObject::tr(", from %1").arg(text(*card.source)) : QString(),
                   card.date ? QObject::tr(", read %1").arg(text(*card.date)) : QString()),
          2.8, kSoft, false, 0.0, kCardWidth - 2.0 * kMargin);
    // The slot, with the edge that the eye stands against and the line that nothing may pass.
    const QPointF zero(kMargin + 22.0, 48.0);
    const double length = longest / mm, half = 11.0;
    painter.setPen(Qt::NoPen);
    painter.setBrush(kBand);
    painter.drawRect(QRectF(zero.x(), zero.y() - half, length, 2.0 * half));
    painter.setBrush(kInk);
    painter.drawRect(QRectF(zero.x() - 1.2, zero.y() - half - 3.0, 1.2, 2.0 * half + 6.0));
    painter.setBrush(kAccent);
    painter.drawRect(QRectF(zero.x(), zero.y() - 0.35, length, 0.7));
    constexpr double kEnd = 0.3;  // mm: its inner edge is the limit
    hairline(painter, zero + QPointF(length + 0.5 * kEnd, -half - 3.0), zero + QPointF(length + 0.5 * kEnd, half + 3.0), kEnd);
    for (int tick = 1; tick < length; ++tick)
        hairline(painter, zero + QPointF(tick, half), zero + QPointF(tick, half - (tick % 5 == 0 ? 3.0 : 1.5)));
    write(painter, zero + QPointF(-2.5, 1.0), QObject::tr("eye here"), 2.6, kInk, false, 1.0, 20.0);
    write(painter, zero + QPointF(length + 1.5, -half - 1.0), QObject::tr("nothing beyond"), 2.6, kInk, false, 0.0, 30.0);
    double y = zero.y() + half + 12.0;
    for (const QString& line :
         {QObject::tr("Lay the fly in the slot, the front of its eye against the black edge; hold it by the bend, mind the point."),
          QObject::tr("Wet it and stroke it back first: tail, wing and hackle are all measured to their last tip."), caution}) {
        write(painter, {kMargin, y}, line, 2.6, kSoft, false, 0.0, kCardWidth - 2.0 * kMargin);
        y += 4.2;
    }
    proving(painter, {kMargin, kCardHeight - kMargin}, unit);
}

QString writeCard(const QString& path, const Plan& plan, LengthUnit unit) {
    return writeTo(path, QSizeF(kCardWidth, kCardHeight), text(plan.pattern.title()),
                   [&](QPainter& painter) { paintCard(painter, plan, unit); });
}

QString writeContestGauge(const QString& path, const RuleCard& card, const QString& caution, LengthUnit unit) {
    constexpr double kRoom = kCardWidth - 60.0;
    if (!card.longestFly) return QObject::tr("this rule card says no longest fly");
    if (*card.longestFly / mm > kRoom)
        return QObject::tr("a longest fly of %1 is longer than the card has room for").arg(said(*card.longestFly, unit));
    return writeTo(path, QSizeF(kCardWidth, kCardHeight), text(card.title()),
                   [&](QPainter& painter) { paintContestGauge(painter, card, caution, unit); });
}

QString writeTeamSheet(const QString& path, const TeamSheet& sheet) {
    return writeTo(path, QSizeF(kSheetWidth, kSheetHeight), sheet.title, [&](QPainter& painter) { paintTeamSheet(painter, sheet); });
}

}  // namespace machair::drawing
