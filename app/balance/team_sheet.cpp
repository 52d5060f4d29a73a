#include "balance/team_sheet.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "parts/lengths.h"
#include "theme/said.h"

namespace machair::app {

namespace {

constexpr double kLabels = 104.0;  // px, of the rows' names
constexpr double kNumber = 40.0;   // at the right of a cell
constexpr double kMargin = 4.0;

QString valueText(const TeamCheck& check) {
    if (check.term == TeamTerm::rules || check.term == TeamTerm::twice) return {};
    if (!check.value) return TeamSheet::tr("floats");
    switch (check.term) {
        case TeamTerm::family: return TeamSheet::tr("%1 %").arg(number(100.0 * *check.value, 0));
        case TeamTerm::sizeStep:
        case TeamTerm::topSizeStep: return (*check.value > 0.0 ? QStringLiteral("+") : QString()) + number(*check.value, 0);
        case TeamTerm::size: return number(*check.value, 0);
        case TeamTerm::variety:
        case TeamTerm::fullness: return number(*check.value, 1);
        default: return number(*check.value, std::abs(*check.value) >= 10.0 ? 0 : 2);
    }
}

}  // namespace

QString TeamSheet::title(TeamTerm term) {
    switch (term) {
        case TeamTerm::style: return tr("at home there");
        case TeamTerm::role: return tr("dressed for it");
        case TeamTerm::fullness: return tr("how full");
        case TeamTerm::stiff: return tr("how stiff");
        case TeamTerm::hold: return tr("holds up");
        case TeamTerm::anchor: return tr("anchors");
        case TeamTerm::slim: return tr("slim");
        case TeamTerm::size: return tr("hook size");
        case TeamTerm::season: return tr("about now");
        case TeamTerm::rules: return tr("rule card");
        case TeamTerm::sinkStep: return tr("sinks, times");
        case TeamTerm::sinkAcross: return tr("sinks, in all");
        case TeamTerm::presenceOrder: return tr("water, times");
        case TeamTerm::turnover: return tr("turnover, times");
        case TeamTerm::pointWeight: return tr("weight, times");
        case TeamTerm::sizeStep: return tr("size step");
        case TeamTerm::topSizeStep: return tr("first size step");
        case TeamTerm::family: return tr("proportions");
        case TeamTerm::variety: return tr("colours apart");
        case TeamTerm::twice: return tr("not twice");
        case TeamTerm::spacing: return tr("spacing, m");
        case TeamTerm::dropper: return tr("dropper, m");
    }
    return {};
}

TeamSheet::TeamSheet(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("team-checks"));
    setAccessibleName(tr("The sheet of the team"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

double TeamSheet::rowHeight() const { return QFontMetricsF(faceScaled(0.9)).height() + 5.0; }

QSize TeamSheet::sizeHint() const { return {340, static_cast<int>(rowHeight() * (static_cast<double>(rows_.size()) + 1.0) + kMargin)}; }

void TeamSheet::refresh() {
    rows_.clear();
    columns_.clear();
    cells_.clear();
    hovered_.reset();
    const auto& report = document_.teamReport();
    if (report) {
        for (const TeamFly& fly : report->flies)
            columns_.push_back(fly.position);
        const auto columnOf = [&](Position position) {
            const auto found = std::ranges::find(columns_, position);
            return static_cast<double>((found == columns_.end() ? columns_.begin() : found) - columns_.begin());
        };
        const double last = static_cast<double>(columns_.size()) - 1.0;
        for (const auto& entry : Names<TeamTerm>::entries) {
            const std::size_t first = cells_.size();
            for (std::size_t i = 0; i < report->checks.size(); ++i) {
                const TeamCheck& check = report->checks[i];
                if (check.term != entry.value) continue;
                const bool ofAll = check.term == TeamTerm::rules && check.upper != check.lower;
                Cell cell{i, static_cast<int>(rows_.size()), ofAll ? 0.0 : columnOf(check.upper), ofAll ? last : columnOf(check.lower)};
                // Bob and point over a fly between them, or two breaches of one fly, take a line more.
                const auto inItsWay = [&](const Cell& other) { return other.row == cell.row && reachOf(other).intersects(reachOf(cell)); };
                while (std::any_of(cells_.begin() + static_cast<std::ptrdiff_t>(first), cells_.end(), inItsWay))
                    ++cell.row;
                cells_.push_back(cell);
            }
            int lines = 0;
            for (std::size_t c = first; c < cells_.size(); ++c)
                lines = std::max(lines, cells_[c].row - static_cast<int>(rows_.size()) + 1);
            rows_.insert(rows_.end(), static_cast<std::size_t>(lines), entry.value);
        }
        if (chosen_ && *chosen_ >= report->checks.size()) chosen_.reset();
    } else {
        chosen_.reset();
    }
    updateGeometry();
    choose(chosen_);
    update();
}

double TeamSheet::columnX(double column) const {
    const double room = width() - kLabels - kMargin;
    return kLabels + room * (column + 0.5) / std::max<double>(1.0, static_cast<double>(columns_.size()));
}

// What is asked of one fly stands under it; what of two, between them; what of more, over all of them. In columns.
QRectF TeamSheet::reachOf(const Cell& cell) {
    const double middle = 0.5 * (cell.from + cell.to), half = 0.5 * std::max(1.0, cell.to - cell.from) - 0.01;
    return QRectF(middle - half, 0.0, 2.0 * half, 1.0);
}

QRectF TeamSheet::rectOf(const Cell& cell) const {
    const QRectF reach = reachOf(cell);
    constexpr double kApart = 3.0;
    return QRectF(QPointF(columnX(reach.left()) + kApart, rowHeight() * (cell.row + 1) + 1.0),
                  QPointF(columnX(reach.right()) - kApart, rowHeight() * (cell.row + 2) - 1.0));
}

QRectF TeamSheet::cellOf(std::size_t check) const {
    const auto found = std::ranges::find(cells_, check, &Cell::check);
    return found == cells_.end() ? QRectF() : rectOf(*found);
}

std::optional<Question> TeamSheet::questionAt(std::optional<QPoint> at) const {
    if (!at) return chosen_ ? std::optional<Question>(CheckAsked{*chosen_}) : std::nullopt;
    const Cell* cell = cellAt(*at);
    return cell ? std::optional<Question>(CheckAsked{cell->check}) : std::nullopt;
}

const TeamSheet::Cell* TeamSheet::cellAt(QPointF at) const {
    for (const Cell& cell : cells_)
        if (rectOf(cell).contains(at)) return &cell;
    return nullptr;
}

void TeamSheet::paintCell(QPainter& painter, const Cell& cell) const {
    const Colours& c = theme_.colours();
    const TeamCheck& check = document_.teamReport()->checks[cell.check];
    const QRectF box = rectOf(cell);
    const bool passes = check.verdict == Verdict::pass;
    const QColor ink = passes ? c.inkSoft : colourOf(c, check.verdict);
    const bool isChosen = chosen() == cell.check;
    if (!passes || isChosen) {
        painter.setPen(QPen(isChosen ? c.accent : ink, isChosen ? 2.0 : 1.2));
        painter.setBrush(c.raised);
        painter.drawRoundedRect(box, 4.0, 4.0);
    }
    painter.setPen(ink);
    painter.setFont(faceScaled(0.85, !passes));
    const QString value = inHouseWords(valueText(check));
    const QString sign = passes ? QString() : signOf(check.verdict) + QLatin1Char(' ');
    if (value.isEmpty() || (!check.low && !check.high) || !check.value) {
        painter.drawText(box, Qt::AlignCenter, signOf(check.verdict) + (value.isEmpty() ? QString() : QLatin1Char(' ') + value));
        return;
    }
    painter.drawText(QRectF(box.right() - kNumber - 10.0, box.top(), kNumber + 7.0, box.height()), Qt::AlignRight | Qt::AlignVCenter,
                     sign + value);
    // The wanted range on a scale that holds it and the mark.
    const QRectF scale(box.left() + 4.0, box.center().y() - 3.5, box.width() - kNumber - 18.0, 7.0);
    if (scale.width() < 12.0) return;
    const double low = check.low.value_or(-1e300), high = check.high.value_or(1e300), at = *check.value;
    const bool openLow = low<-1e5, openHigh = high> 1e5;
    const double least = openLow ? std::min(at, high) : std::min(at, low), most = openHigh ? std::max(at, low) : std::max(at, high);
    const double pad = std::max(0.25 * (most - least), 0.08 * std::max(std::abs(most), 0.05));
    const double from = least - pad, to = most + pad;
    const auto x = [&](double v) { return scale.left() + scale.width() * std::clamp((v - from) / (to - from), 0.0, 1.0); };
    painter.setPen(Qt::NoPen);
    QColor rail = c.inkSoft;
    rail.setAlpha(55);
    painter.setBrush(rail);
    painter.drawRoundedRect(QRectF(scale.left(), scale.center().y() - 1.0, scale.width(), 2.0), 1.0, 1.0);
    QColor wanted = c.grass;
    wanted.setAlpha(90);
    painter.setBrush(wanted);
    const double left = openLow ? scale.left() : x(low), right = openHigh ? scale.right() : x(high);
    painter.drawRoundedRect(QRectF(left, scale.top() + 1.0, std::max(3.0, right - left), scale.height() - 2.0), 2.0, 2.0);
    painter.setBrush(ink);
    const QPointF mark(x(at), scale.center().y());
    if (passes) {
        painter.drawEllipse(mark, 3.2, 3.2);
    } else {  // another shape, not only another colour
        const double r = check.verdict == Verdict::near ? 4.2 : 5.2;
        painter.drawPolygon(QPolygonF({mark + QPointF(0.0, -r), mark + QPointF(r, 0.0), mark + QPointF(0.0, r), mark + QPointF(-r, 0.0)}));
    }
}

void TeamSheet::paintEvent(QPaintEvent*) {
    const Colours& c = theme_.colours();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setFont(faceScaled(0.9, true));
    painter.setPen(c.accent);
    const double wide = (width() - kLabels - kMargin) / std::max<double>(1.0, static_cast<double>(columns_.size()));
    for (std::size_t i = 0; i < columns_.size(); ++i)
        painter.drawText(QRectF(columnX(static_cast<double>(i)) - 0.5 * wide, 0.0, wide, rowHeight()), Qt::AlignCenter,
                         titleOf(columns_[i]));
    const auto& report = document_.teamReport();
    if (!report) return;
    for (std::size_t r = 0; r < rows_.size(); ++r) {
        if (r > 0 && rows_[r] == rows_[r - 1]) continue;  // a line more of the same
        const double top = rowHeight() * (static_cast<double>(r) + 1.0);
        painter.setPen(QPen(c.line, 0.8));
        painter.drawLine(QPointF(0.0, top), QPointF(width(), top));
        const bool off = std::ranges::any_of(
            report->checks, [&](const TeamCheck& check) { return check.term == rows_[r] && check.verdict != Verdict::pass; });
        painter.setFont(faceScaled(0.88, off));
        painter.setPen(off ? c.ink : c.inkSoft);
        painter.drawText(QRectF(0.0, top, kLabels - 4.0, rowHeight()), Qt::AlignLeft | Qt::AlignVCenter,
                         QFontMetrics(painter.font()).elidedText(title(rows_[r]), Qt::ElideRight, static_cast<int>(kLabels - 4.0)));
    }
    for (const Cell& cell : cells_)
        paintCell(painter, cell);
}

}  // namespace machair::app
