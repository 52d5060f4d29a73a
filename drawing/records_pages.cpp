#include "drawing/records_pages.h"

#include <QDate>
#include <QFont>
#include <QFontMetricsF>
#include <QPainter>
#include <algorithm>

#include "drawing/fly_painter.h"
#include "drawing/marks.h"

namespace machair::drawing {

namespace {

constexpr QSizeF kRecipe(148.0, 210.0), kSeason(190.0, 277.0);

// Words over as many lines as they need; where the next would stand.
double writeLines(QPainter& painter, QPointF at, const QString& words, double height, const QColor& ink, double room) {
    constexpr double kLeading = 1.45;
    QFont font;
    font.setPixelSize(100);
    const QFontMetricsF metrics(font);
    QString line;
    double y = at.y();
    const auto put = [&] {
        if (line.isEmpty()) return;
        writeWords(painter, {at.x(), y}, line, height, ink, false, 0.0, room);
        y += kLeading * height;
        line.clear();
    };
    for (const QString& word : words.split(QLatin1Char(' '), Qt::SkipEmptyParts)) {
        const QString longer = line.isEmpty() ? word : line + QLatin1Char(' ') + word;
        if (metrics.horizontalAdvance(longer) * height / 100.0 > room) put();
        line = line.isEmpty() ? word : line + QLatin1Char(' ') + word;
    }
    put();
    return y;
}

void paintRecipe(QPainter& painter, const Plan& plan, LengthUnit unit) {
    painter.setRenderHint(QPainter::Antialiasing);
    const double wide = kRecipe.width() - 2.0 * kPageMargin - 4.0, left = kPageMargin + 2.0;
    writeWords(painter, {left, 15.0}, qtext(plan.pattern.title()), 8.0, kPageInk, true, 0.0, wide);
    writeWords(painter, {left, 21.0},
               QObject::tr("%1 · thread %2")
                   .arg(qtext(plan.hook.spec().name.value_or(describeHook(plan.hook.spec()))), qtext(plan.threadMaterial.title())),
               3.0, kPageSoft, false, 0.0, wide);
    flyIn(painter, plan, QRectF(left, 25.0, wide, 68.0));
    hairline(painter, {left, 97.0}, {left + wide, 97.0}, 0.15, kPageSoft);
    constexpr double kWords = 28.0, kFoot = 196.0;
    double y = 104.0;
    for (const PartPlan& part : plan.parts) {
        if (y > kFoot - 8.0) break;
        QString kind = qtext(sayName(part.kind));
        kind[0] = kind[0].toUpper();
        writeWords(painter, {left, y}, kind, 3.2, kPageAccent, true, 0.0, kWords - 2.0);
        writeWords(painter, {left + kWords, y}, qtext(part.made.title()), 3.2, kPageInk, true, 0.0, wide - kWords);
        y = writeLines(painter, {left + kWords, y + 4.4}, qtext(inUnit(part.words, unit)), 2.7, kPageSoft, wide - kWords) + 1.8;
    }
    if (plan.pattern.note && y < kFoot - 6.0) writeLines(painter, {left, y + 2.0}, qtext(*plan.pattern.note), 2.9, kPageInk, wide);
    provingBar(painter, {left, kRecipe.height() - kPageMargin}, unit);
}

// The year from the first of January: where a day stands on the strip, 0 to 1.
double ofYear(const std::string& date) {
    const QDate day = QDate::fromString(qtext(date), Qt::ISODate);
    return day.isValid() ? (day.dayOfYear() - 1.0) / day.daysInYear() : 0.0;
}

void paintStrip(QPainter& painter, const SeasonReport& season, const QRectF& frame) {
    const QDate first(season.days.empty() ? 2026 : qtext(season.year).toInt(), 1, 1);
    painter.setPen(Qt::NoPen);
    for (int month = 0; month < 12; ++month) {
        const double x = frame.left() + frame.width() * (first.addMonths(month).dayOfYear() - 1.0) / first.daysInYear();
        const double end = frame.left() + frame.width() * (first.addMonths(month + 1).addDays(-1).dayOfYear()) / first.daysInYear();
        if (month % 2 == 0) painter.fillRect(QRectF(x, frame.top(), end - x, frame.height()), QColor(0xf1, 0xea, 0xdc));
        writeWords(painter, {0.5 * (x + end), frame.bottom() + 4.0}, QLocale().standaloneMonthName(month + 1, QLocale::ShortFormat), 2.6,
                   kPageSoft, false, 0.5);
        if (const int fish = season.fishByMonth[static_cast<std::size_t>(month)]; fish > 0)
            writeWords(painter, {0.5 * (x + end), frame.bottom() + 8.0}, QString::number(fish), 3.0, kPageInk, true, 0.5);
    }
    int most = 1;
    for (const SeasonDay& day : season.days)
        most = std::max(most, day.fish);
    for (const SeasonDay& day : season.days) {
        const double x = frame.left() + ofYear(day.date) * frame.width(), high = frame.height() * day.fish / most;
        hairline(painter, {x, frame.bottom()}, {x, frame.bottom() - std::max(0.8, high)}, 0.9, day.fish > 0 ? kPageAccent : kPageSoft);
    }
    hairline(painter, frame.bottomLeft(), frame.bottomRight(), 0.2);
}

// A fly, its fish, and where its rate lies: the bar is the middle four fifths of what it may be.
void paintCaught(QPainter& painter, const SeasonFly& fly, const QRectF& row, double scale) {
    if (fly.plan) flyIn(painter, *fly.plan, QRectF(row.left(), row.top() + 0.5, 34.0, row.height() - 2.0));
    const double words = row.left() + 38.0, bar = row.left() + 104.0, wide = row.right() - bar;
    writeWords(painter, {words, row.top() + 0.45 * row.height()}, qtext(fly.rate.name), 3.4, kPageInk, true, 0.0, 62.0);
    writeWords(painter, {words, row.top() + 0.45 * row.height() + 4.6},
               QObject::tr("%1 fish in %2 rod-hours").arg(fly.rate.fish, 0, 'f', 0).arg(fly.rate.hours, 0, 'f', 1), 2.7, kPageSoft, false,
               0.0, 62.0);
    const double y = row.top() + 0.5 * row.height();
    painter.setPen(Qt::NoPen);
    painter.setBrush(kPageBand);
    painter.drawRect(QRectF(bar + fly.rate.low * scale, y - 1.6, (fly.rate.high - fly.rate.low) * scale, 3.2));
    hairline(painter, {bar + fly.rate.mean() * scale, y - 2.4}, {bar + fly.rate.mean() * scale, y + 2.4}, 0.6, kPageAccent);
    hairline(painter, {bar, y + 3.4}, {bar + wide, y + 3.4}, 0.08, kPageSoft);
}

void paintSeason(QPainter& painter, const SeasonReport& season, const std::vector<SeasonFly>& flies, const QString& book) {
    painter.setRenderHint(QPainter::Antialiasing);
    const double left = kPageMargin, right = kSeason.width() - kPageMargin;
    writeWords(painter, {left, 16.0}, QObject::tr("The season of %1").arg(qtext(season.year)), 9.0, kPageInk, true, 0.0, 130.0);
    writeWords(painter, {right, 16.0}, book, 3.4, kPageSoft, false, 1.0, 60.0);
    if (season.days.empty()) {
        writeWords(painter, {left, 30.0}, QObject::tr("No day on the water was written down."), 4.0, kPageSoft);
        return;
    }
    writeWords(painter, {left, 24.0},
               QObject::tr("%1 days · %2 rod-hours · %3 fish, %4 kept · %5 lost")
                   .arg(season.days.size())
                   .arg(season.hours(), 0, 'f', 0)
                   .arg(season.fish())
                   .arg(season.kept())
                   .arg(season.lost()),
               4.0, kPageAccent, true, 0.0, right - left);
    paintStrip(painter, season, QRectF(left, 30.0, right - left, 34.0));
    writeWords(painter, {left, 88.0}, QObject::tr("What caught, fish a rod-hour"), 4.2, kPageInk, true);
    double most = 0.1;
    constexpr std::size_t kShown = 8;
    const std::size_t shown = std::min(kShown, flies.size());
    for (std::size_t i = 0; i < shown; ++i)
        most = std::max(most, flies[i].rate.high);
    constexpr double kRow = 19.0, kBar = 104.0;
    const double scale = (right - left - kBar - 4.0) / most;
    double y = 92.0;
    for (std::size_t i = 0; i < shown; ++i, y += kRow)
        paintCaught(painter, flies[i], QRectF(left, y, right - left, kRow), scale);
    writeWords(painter, {left + kBar, y + 3.0}, QStringLiteral("0"), 2.6, kPageSoft);
    writeWords(painter, {right, y + 3.0}, QString::number(most, 'f', 2), 2.6, kPageSoft, false, 1.0);
    QStringList places;
    for (const Rate& rate : season.places)
        places << QObject::tr("%1 %2").arg(qtext(rate.name)).arg(rate.mean(), 0, 'f', 2);
    writeWords(painter, {left, y + 9.0}, QObject::tr("By place: %1").arg(places.join(QStringLiteral("  ·  "))), 3.0, kPageInk, false, 0.0,
               right - left);
    writeLines(
        painter, {left, kSeason.height() - 10.0},
        QObject::tr("Each bar is the middle four fifths of what a rate may be; where bars overlap the year can't tell the two apart."), 2.7,
        kPageSoft, right - left);
}

}  // namespace

Page recipePage(Plan plan, LengthUnit unit) {
    const QString title = qtext(plan.pattern.title());
    return {title, kRecipe, [plan = std::move(plan), unit](QPainter& painter) { paintRecipe(painter, plan, unit); }};
}

Page seasonPage(SeasonReport season, std::vector<SeasonFly> flies, QString book) {
    const QString title = QObject::tr("The season of %1").arg(qtext(season.year));
    return {title, kSeason, [season = std::move(season), flies = std::move(flies), book = std::move(book)](QPainter& painter) {
                paintSeason(painter, season, flies, book);
            }};
}

}  // namespace machair::drawing
