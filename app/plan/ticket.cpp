#include "plan/ticket.h"

#include <QKeyEvent>
#include <QScrollBar>
#include <QTimer>
#include <QVBoxLayout>

#include "plan/part_row.h"

namespace machair::app {

Ticket::Ticket(Document& document, const Theme& theme, QWidget* parent)
    : QScrollArea(parent), document_(document), theme_(theme), sheet_(new QWidget), layout_(new QVBoxLayout(sheet_)) {
    setObjectName(QStringLiteral("ticket"));
    setAccessibleName(tr("The ticket: parts in tying order"));
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFocusPolicy(Qt::StrongFocus);
    layout_->setContentsMargins(0, 0, 0, 0);
    layout_->setSpacing(0);
    layout_->addStretch(1);
    setWidget(sheet_);
    connect(&document_, &Document::planChanged, this, &Ticket::refresh);
    connect(&document_, &Document::partChosen, this, &Ticket::openChosen);
}

bool Ticket::sameParts() const {
    const auto& plan = document_.plan();
    if (!plan || plan->pattern.id != shown_ || plan->parts.size() != kinds_.size()) return false;
    for (std::size_t i = 0; i < kinds_.size(); ++i)
        if (plan->parts[i].kind != kinds_[i]) return false;
    return true;
}

void Ticket::refresh() {
    if (sameParts()) {  // the fields keep their focus while their numbers move
        for (PartRow* row : rows_) row->refresh();
        return;
    }
    for (PartRow* row : rows_) {
        layout_->removeWidget(row);
        row->hide();
        row->setParent(nullptr);  // no longer part of the window, though it may be in one of its own calls
        row->deleteLater();
    }
    rows_.clear();
    kinds_.clear();
    shown_.clear();
    const auto& plan = document_.plan();
    if (!plan) return;
    shown_ = plan->pattern.id;
    for (std::size_t i = 0; i < plan->parts.size(); ++i) {
        auto* row = new PartRow(document_, theme_, i, sheet_);
        layout_->insertWidget(static_cast<int>(i), row);
        rows_.push_back(row);
        kinds_.push_back(plan->parts[i].kind);
    }
    openChosen();
}

void Ticket::openChosen() {
    for (PartRow* row : rows_) row->setOpen(document_.part() == row->part());
    if (!document_.part() || *document_.part() >= rows_.size()) return;
    PartRow* row = rows_[*document_.part()];
    QTimer::singleShot(0, row, [this, row] { ensureWidgetVisible(row, 0, 8); });  // once it has its height
}

void Ticket::keyPressEvent(QKeyEvent* event) {
    const auto last = static_cast<std::ptrdiff_t>(rows_.size()) - 1;
    const std::ptrdiff_t now = document_.part() ? static_cast<std::ptrdiff_t>(*document_.part()) : -1;
    if (last < 0) return QScrollArea::keyPressEvent(event);
    switch (event->key()) {
        case Qt::Key_Down: document_.choosePart(static_cast<std::size_t>(std::min(last, now + 1))); return;
        case Qt::Key_Up: document_.choosePart(static_cast<std::size_t>(std::max<std::ptrdiff_t>(0, now - 1))); return;
        case Qt::Key_Return:
        case Qt::Key_Enter:
            if (now >= 0) rows_[static_cast<std::size_t>(now)]->focusFirst();
            return;
        case Qt::Key_Escape: document_.choosePart(std::nullopt); return;
        default: QScrollArea::keyPressEvent(event);
    }
}

}  // namespace machair::app
