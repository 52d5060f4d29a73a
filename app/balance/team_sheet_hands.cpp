// The sheet in hand: pointed at, walked with the arrows, spoken.
#include "balance/team_sheet.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "parts/lengths.h"
#include "theme/said.h"

namespace machair::app {

std::vector<SpokenPart> TeamSheet::spokenParts() const {
    std::vector<SpokenPart> parts;
    const auto& report = document_.teamReport();
    for (const Cell& cell : cells_) {
        if (!report || cell.check >= report->checks.size()) break;
        const TeamCheck& check = report->checks[cell.check];
        const QString who =
            check.upper == check.lower ? titleOf(check.upper) : tr("%1 and %2").arg(titleOf(check.upper), titleOf(check.lower));
        parts.push_back({tr("%1, %2").arg(title(check.term), who), signOf(check.verdict) + QLatin1Char(' ') + qt(check.words),
                         rectOf(cell).toRect(), chosen() == cell.check});
    }
    return parts;
}

void TeamSheet::choosePart(std::size_t part) {
    if (part < cells_.size()) choose(cells_[part].check);
}

void TeamSheet::choose(std::optional<std::size_t> check) {
    const auto before = chosen();
    chosen_ = check;
    const auto& report = document_.teamReport();
    if (const auto now = chosen(); now && report) {
        const TeamCheck& of = report->checks[*now];
        setAccessibleDescription(tr("%1: %2 %3").arg(title(of.term), signOf(of.verdict), qt(of.words)));
    } else {
        setAccessibleDescription(tr("Arrows go from check to check"));
    }
    if (before != chosen()) emit chose();
    update();
}

void TeamSheet::mouseMoveEvent(QMouseEvent* event) {
    const Cell* cell = cellAt(event->position());
    const auto at = cell ? std::optional(cell->check) : std::nullopt;
    if (at == hovered_) return;
    hovered_ = at;
    emit chose();
    update();
}

void TeamSheet::leaveEvent(QEvent*) {
    if (!hovered_) return;
    hovered_.reset();
    emit chose();
    update();
}

void TeamSheet::mousePressEvent(QMouseEvent* event) {
    const Cell* cell = cellAt(event->position());
    choose(cell ? std::optional(cell->check) : std::nullopt);
}

void TeamSheet::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    if (event->reason() != Qt::ActiveWindowFocusReason) choose({});
}

// To the nearest cell that way: of the same row for a column, of the next row that has one for a row.
void TeamSheet::walk(int rows, double columns) {
    if (cells_.empty()) return;
    const auto now = chosen_ ? std::ranges::find(cells_, *chosen_, &Cell::check) : cells_.end();
    if (now == cells_.end()) {  // what is off first
        const auto& checks = document_.teamReport()->checks;
        const auto worst = std::ranges::max_element(cells_, {}, [&](const Cell& cell) { return checks[cell.check].shortfall; });
        return choose(worst->check);
    }
    const auto middle = [](const Cell& cell) { return 0.5 * (cell.from + cell.to); };
    const Cell* best = nullptr;
    double nearest = 1e9;
    for (const Cell& cell : cells_) {
        const double down = (cell.row - now->row) * (rows != 0 ? rows : 1), across = middle(cell) - middle(*now);
        const bool thatWay = rows != 0 ? down > 0 : cell.row == now->row && across * columns > 0.0;
        const double far = rows != 0 ? 10.0 * down + std::abs(across) : std::abs(across);
        if (thatWay && far < nearest) {
            nearest = far;
            best = &cell;
        }
    }
    if (best) choose(best->check);
}

void TeamSheet::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Up: return walk(-1, 0.0);
        case Qt::Key_Down: return walk(1, 0.0);
        case Qt::Key_Left: return walk(0, -1.0);
        case Qt::Key_Right: return walk(0, 1.0);
        case Qt::Key_Return:
        case Qt::Key_Enter: emit mendAsked(); return;
        case Qt::Key_Escape: return choose({});
        default: QWidget::keyPressEvent(event);
    }
}

}  // namespace machair::app
