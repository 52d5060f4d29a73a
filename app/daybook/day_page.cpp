#include "daybook/day_page.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>
#include <cmath>

#include "book/find.h"
#include "book/flies.h"
#include "book/record_edits.h"
#include "book/records.h"
#include "book/rule.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kUsualStart = 10.0;  // hours, where nothing says when an outing began
constexpr double kEdge = 7.0, kDragged = 5.0;

std::optional<double> hourOf(const std::optional<std::string>& time) {
    if (!time || !isTime(*time)) return std::nullopt;
    return 10.0 * (time->at(0) - '0') + (time->at(1) - '0') + (10.0 * (time->at(3) - '0') + (time->at(4) - '0')) / 60.0;
}
std::string timeOf(double hour) {
    constexpr int kStep = 5, kDay = 24 * 60;
    const int minutes = std::clamp(static_cast<int>(std::lround(hour * 60.0 / kStep)) * kStep, 0, kDay - kStep);
    const auto two = [](int n) { return (n < 10 ? "0" : "") + std::to_string(n); };
    return two(minutes / 60) + ":" + two(minutes % 60);
}

}  // namespace

DayPage::DayPage(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("day-page"));
    setAccessibleName(tr("The day: outings as bars, fish as marks"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
    connect(&document_, &Document::bookChanged, this, [this] {
        if (isVisible()) lay();
    });
}

const Day* DayPage::day() const { return document_.isOpen() ? findById(document_.book().days, day_) : nullptr; }

void DayPage::show(const DayId& id) {
    if (id != day_) chooseRow(std::nullopt);
    day_ = id;
    lay();
}

void DayPage::chooseRow(std::optional<RowId> row) {
    if (row == row_) return;
    row_ = std::move(row);
    update();
    emit rowChosen(row_);
}

double DayPage::xOf(double hour) const {
    return kPageMargin + kLabels + (hour - from_) / (to_ - from_) * (width() - 2 * kPageMargin - kLabels);
}
double DayPage::hourAt(double x) const {
    return from_ + (x - kPageMargin - kLabels) / (width() - 2 * kPageMargin - kLabels) * (to_ - from_);
}
double DayPage::yOf(Position position) const {
    const auto lane = std::ranges::find(lanes_, position) - lanes_.begin();
    const double step = (height() - kPageHead - kPageFoot) / static_cast<double>(std::max<std::size_t>(1, lanes_.size()));
    return kPageHead + step * (static_cast<double>(lane) + 0.5);
}

// Outings follow one another from the first hour that is known; a fish without an hour lies within an outing that its fly was on.
void DayPage::lay() {
    marks_.clear();
    starts_.clear();
    lanes_.assign(kTrio.begin(), kTrio.end());
    update();
    const Day* day = this->day();
    if (!day) return;
    double earliest = 24.0;
    for (const Fish& fish : day->fish) {
        if (const auto hour = hourOf(fish.time)) earliest = std::min(earliest, *hour);
        if (std::ranges::find(lanes_, fish.position) == lanes_.end()) lanes_.push_back(fish.position);
    }
    for (const Outing& outing : day->outings)
        for (const Position position : kPositions)
            if (outing.at(position) && std::ranges::find(lanes_, position) == lanes_.end()) lanes_.push_back(position);
    std::ranges::sort(lanes_);
    double at = std::min(kUsualStart, std::floor(earliest));
    from_ = std::floor(at);
    for (const Outing& outing : day->outings) {
        starts_.push_back(at);
        at += outing.hours;
    }
    double latest = at;
    for (const Fish& fish : day->fish)
        latest = std::max(latest, hourOf(fish.time).value_or(0.0) + 0.25);
    to_ = std::max(from_ + 4.0, std::ceil(latest + 0.25));
    for (std::size_t i = 0; i < day->outings.size(); ++i)
        marks_.push_back({{"outings", i},
                          QRectF(QPointF(xOf(starts_[i]) + 1.5, kPageHead - 4.0),
                                 QPointF(xOf(starts_[i] + day->outings[i].hours) - 1.5, height() - kPageFoot + 2.0)),
                          std::nullopt});
    std::vector<int> without(std::max<std::size_t>(1, day->outings.size()), 0);
    for (std::size_t i = 0; i < day->fish.size(); ++i) {
        const Fish& fish = day->fish[i];
        double hour = hourOf(fish.time).value_or(-1.0);
        if (hour < 0.0) {
            std::size_t in = 0;
            while (in + 1 < day->outings.size() &&
                   !(day->outings[in].at(fish.position) && day->outings[in].at(fish.position)->pattern == fish.pattern))
                ++in;
            constexpr double kGolden = 0.618034;  // spread evenly, however many come
            const double share = std::fmod(0.12 + kGolden * ++without[in], 1.0);
            hour = starts_.empty() ? from_ + share * (to_ - from_) : starts_[in] + share * day->outings[in].hours;
        }
        marks_.push_back({{"fish", i}, QRectF(xOf(hour) - 9.0, yOf(fish.position) - 7.0, 18.0, 14.0), fish.position});
    }
    if (row_ && rectOf(*row_).isNull()) chooseRow(std::nullopt);
}

QRectF DayPage::rectOf(const RowId& row) const {
    const auto found = std::ranges::find(marks_, row, &Mark::row);
    return found == marks_.end() ? QRectF() : found->rect;
}

const DayPage::Mark* DayPage::markAt(QPointF point) const {
    for (auto it = marks_.rbegin(); it != marks_.rend(); ++it)
        if (it->rect.adjusted(-2, -2, 2, 2).contains(point)) return &*it;
    return nullptr;
}

void DayPage::mousePressEvent(QMouseEvent* event) {
    pressed_ = event->position();
    dragged_.reset();
    const Mark* mark = markAt(event->position());
    edge_ = mark && mark->row.table == "outings" && std::abs(mark->rect.right() - event->position().x()) < kEdge;
    chooseRow(mark ? std::optional(mark->row) : std::nullopt);
}

void DayPage::mouseMoveEvent(QMouseEvent* event) {
    const Mark* over = markAt(event->position());
    const bool edge = over && over->row.table == "outings" && std::abs(over->rect.right() - event->position().x()) < kEdge;
    setCursor(edge ? Qt::SizeHorCursor : over && over->position ? Qt::OpenHandCursor : Qt::ArrowCursor);
    if (!pressed_ || !row_ || (event->position() - *pressed_).manhattanLength() < kDragged) return;
    if (row_->table == "fish" || edge_) dragged_ = event->position();
    update();
}

void DayPage::mouseReleaseEvent(QMouseEvent*) {
    const auto at = dragged_;
    pressed_.reset();
    dragged_.reset();
    update();
    const Day* day = this->day();
    if (!at || !row_ || !day) return;
    if (edge_)
        dropEdge(*day, at->x());
    else
        dropFish(*day, *at);
}

// At another hour, or another place: there it took the fly that was fished there then.
void DayPage::dropFish(const Day& day, QPointF at) {
    const RecordId record{"days", day.id};
    const RowId row = *row_;
    const double hour = std::clamp(hourAt(at.x()), from_, to_);
    Position position = day.fish[row.row].position;
    for (const Position lane : lanes_)
        if (std::abs(yOf(lane) - at.y()) < std::abs(yOf(position) - at.y())) position = lane;
    Result<Edit> edit = changeRow(document_.book(), record, row, "time", timeOf(hour));
    if (edit && position != day.fish[row.row].position) {
        edit = changeRow(edit->after, record, row, "position", nameOf(position));
        for (std::size_t i = 0; edit && i < day.outings.size(); ++i) {
            const auto& fly = day.outings[i].at(position);
            if (!fly || hour < starts_[i] || hour > starts_[i] + day.outings[i].hours) continue;
            edit = changeRow(edit->after, record, row, "pattern", fly->pattern);
            if (edit) edit = changeRow(edit->after, record, row, "hook", fly->hook.value_or(""));
        }
    }
    document_.refuse(document_.apply(std::move(edit)));
}

void DayPage::dropEdge(const Day& day, double x) {
    constexpr double kStep = 0.25, kMost = 24.0;
    const double hours = std::clamp(std::round((hourAt(x) - starts_[row_->row]) / kStep) * kStep, kStep, kMost);
    document_.refuse(document_.apply(changeRow(document_.book(), {"days", day.id}, *row_, "hours", formatShort(hours, 2))));
}

void DayPage::takeOut() {
    const Day* day = this->day();
    if (!day || !row_) return;
    const RowId row = *row_;
    chooseRow(std::nullopt);
    document_.refuse(document_.apply(removeRow(document_.book(), {"days", day->id}, row)));
}

void DayPage::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Delete) return takeOut();
    const int step = event->key() == Qt::Key_Right ? 1 : event->key() == Qt::Key_Left ? -1 : 0;
    if (step == 0 || marks_.empty()) return QWidget::keyPressEvent(event);
    const auto found = row_ ? std::ranges::find(marks_, *row_, &Mark::row) : marks_.end();
    const auto next = std::clamp<std::ptrdiff_t>(found == marks_.end() ? 0 : found - marks_.begin() + step, 0, std::ssize(marks_) - 1);
    chooseRow(marks_[static_cast<std::size_t>(next)].row);
}

void DayPage::resizeEvent(QResizeEvent*) { lay(); }
void DayPage::showEvent(QShowEvent*) { lay(); }

std::vector<SpokenPart> DayPage::spokenParts() const {
    std::vector<SpokenPart> parts;
    const Day* day = this->day();
    const auto tables = day ? tablesOf(document_.book(), {"days", day->id}) : std::vector<RecordTable>();
    const auto wordsOf = [&](const RowId& row) {
        const auto table = std::ranges::find(tables, row.table, &RecordTable::key);
        return table == tables.end() || row.row >= table->rows.size() ? QString() : qt(table->rows[row.row]);
    };
    for (const Mark& mark : marks_)
        parts.push_back({mark.position ? tr("a fish to the %1").arg(titleOf(*mark.position).toLower()) : tr("an outing"), wordsOf(mark.row),
                         mark.rect.toRect(), row_ == mark.row});
    return parts;
}
void DayPage::choosePart(std::size_t part) {
    if (part < marks_.size()) chooseRow(marks_[part].row);
}

}  // namespace machair::app
