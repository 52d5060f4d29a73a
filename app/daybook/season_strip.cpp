#include "daybook/season_strip.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>

#include "book/find.h"
#include "book/record_edits.h"
#include "parts/dates.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {
constexpr double kStripMargin = 16.0;  // px, as the day's page below it
}

SeasonStrip::SeasonStrip(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("season-strip"));
    setAccessibleName(tr("The season, day by day"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setFocusPolicy(Qt::StrongFocus);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
    connect(&document_, &Document::bookChanged, this, qOverload<>(&QWidget::update));
    connect(&document_, &Document::bookOpened, this, qOverload<>(&QWidget::update));
}

void SeasonStrip::choose(const DayId& day) {
    day_ = day;
    update();
}

std::vector<const Day*> SeasonStrip::days() const {
    std::vector<const Day*> list;
    if (!document_.isOpen()) return list;
    for (const Day& day : document_.book().days)
        list.push_back(&day);
    std::ranges::stable_sort(list, {}, [](const Day* day) { return day->date; });
    return list;
}

QRectF SeasonStrip::dayRect(const DayId& id) const {
    const auto list = days();
    if (list.empty()) return {};
    const double step = (width() - 2 * kStripMargin) / static_cast<double>(list.size());
    for (std::size_t i = 0; i < list.size(); ++i)
        if (list[i]->id == id) return {kStripMargin + step * static_cast<double>(i), 8.0, std::max(2.0, step - 2.0), height() - 26.0};
    return {};
}

const Day* SeasonStrip::at(QPointF point) const {
    const auto list = days();
    const double step = (width() - 2 * kStripMargin) / std::max(1.0, static_cast<double>(list.size()));
    const auto i = static_cast<std::ptrdiff_t>(std::floor((point.x() - kStripMargin) / step));
    return i >= 0 && i < std::ssize(list) ? list[static_cast<std::size_t>(i)] : nullptr;
}

void SeasonStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    const auto list = days();
    painter.setFont(faceScaled(0.86));
    if (list.empty()) {
        painter.setPen(c.inkSoft);
        painter.drawText(rect(), Qt::AlignCenter, tr("No day yet: New day begins one"));
        return;
    }
    double mostHours = 1.0, mostFish = 1.0;
    for (const Day* day : list) {
        mostHours = std::max(mostHours, hoursOf(*day));
        mostFish = std::max(mostFish, static_cast<double>(day->fish.size()));
    }
    std::string before;  // the month of the day before
    double labelled = -100.0;
    for (const Day* day : list) {
        const QRectF whole = dayRect(day->id);
        const double high = whole.height() * (0.25 + 0.75 * hoursOf(*day) / mostHours);
        const QRectF bar(whole.left(), whole.bottom() - high, whole.width(), high);
        QColor fill = c.slate;
        fill.setAlphaF(static_cast<float>(0.16 + 0.84 * static_cast<double>(day->fish.size()) / mostFish));
        painter.setBrush(fill);
        painter.setPen(day->id == day_ ? QPen(c.accent, 2.2) : QPen(c.line, 0.8));
        painter.drawRoundedRect(bar, 2, 2);
        const std::string month = day->date.substr(0, 7);
        if (const QString said = monthSaid(month); month != before && whole.left() > labelled) {
            painter.setPen(c.inkSoft);
            painter.drawText(QPointF(whole.left(), height() - 5.0), said);
            labelled = whole.left() + painter.fontMetrics().horizontalAdvance(said) + 6.0;
        }
        before = month;
    }
}

void SeasonStrip::mousePressEvent(QMouseEvent* event) {
    if (const Day* day = at(event->position())) emit chosen(day->id);
}

void SeasonStrip::keyPressEvent(QKeyEvent* event) {
    const int step = event->key() == Qt::Key_Right ? 1 : event->key() == Qt::Key_Left ? -1 : 0;
    const auto list = days();
    if (step == 0 || list.empty()) return QWidget::keyPressEvent(event);
    const auto found = std::ranges::find(list, day_, [](const Day* day) { return day->id; });
    const auto next = std::clamp<std::ptrdiff_t>((found == list.end() ? 0 : found - list.begin()) + step, 0, std::ssize(list) - 1);
    emit chosen(list[static_cast<std::size_t>(next)]->id);
}

bool SeasonStrip::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    if (const Day* day = at(help->pos()))
        QToolTip::showText(help->globalPos(),
                           tr("%1: %2 h, %3 fish").arg(dateSaid(day->date), shortNumber(hoursOf(*day), 2)).arg(day->fish.size()), this);
    return true;
}

std::vector<SpokenPart> SeasonStrip::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (const Day* day : days())
        parts.push_back({dateSaid(day->date), tr("%1 h, %2 fish").arg(shortNumber(hoursOf(*day), 2)).arg(day->fish.size()),
                         dayRect(day->id).toRect(), day->id == day_});
    return parts;
}

void SeasonStrip::choosePart(std::size_t part) {
    if (const auto list = days(); part < list.size()) emit chosen(list[part]->id);
}

}  // namespace machair::app
