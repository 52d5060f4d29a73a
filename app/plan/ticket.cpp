#include "plan/ticket.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QMenu>
#include <QMouseEvent>
#include <QScrollBar>
#include <QTimer>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/edits.h"
#include "book/fields.h"
#include "frame/retire.h"
#include "hand/hand.h"
#include "language/say.h"
#include "parts/folded.h"
#include "parts/label.h"
#include "parts/schools_panel.h"
#include "plan/dressing_panel.h"
#include "plan/part_row.h"

namespace machair::app {

Ticket::Ticket(Document& document, const Theme& theme, QSettings& settings, QWidget* parent)
    : QScrollArea(parent),
      document_(document),
      theme_(theme),
      sheet_(new QWidget),
      layout_(new QVBoxLayout(sheet_)),
      add_(new QToolButton(sheet_)),
      refused_(new Label(sheet_)) {
    setObjectName(QStringLiteral("ticket"));
    setAccessibleName(tr("The ticket: parts in tying order"));
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFocusPolicy(Qt::StrongFocus);
    layout_->setContentsMargins(0, 0, 0, 0);
    layout_->setSpacing(0);
    add_->setObjectName(QStringLiteral("add-part"));
    add_->setText(tr("&Add a part ▾"));
    add_->setAccessibleName(tr("Add a part"));
    add_->setToolTip(tr("A new part arrives where tying order wants it, in sensible proportions (Insert)"));
    add_->setPopupMode(QToolButton::InstantPopup);
    auto* kinds = new QMenu(add_);
    for (const auto& entry : Names<PartKind>::entries) {
        QAction* action = kinds->addAction(qt(say(spaced(entry.name))));
        action->setObjectName(QStringLiteral("add-") + qt(std::string(entry.name)));
        connect(action, &QAction::triggered, this, [this, kind = entry.value] { add(kind); });
    }
    add_->setMenu(kinds);
    refused_->setObjectName(QStringLiteral("ticket-refused"));
    refused_->setWordWrap(true);
    refused_->setMargin(12);
    refused_->hide();
    auto* foot = new QHBoxLayout;
    foot->setContentsMargins(14, 8, 12, 8);
    foot->addWidget(add_);
    foot->addStretch(1);
    layout_->addWidget(refused_);
    layout_->addLayout(foot);
    dressing_ = new Folded("fold-dressing", tr("This dressing"), new DressingPanel(document_, theme_, sheet_), sheet_);
    schools_ =
        new Folded("fold-schools", tr("Where tiers disagree"), new SchoolsPanel(document_, SchoolsPanel::Of::dressing, sheet_), sheet_);
    for (Folded* fold : {dressing_, schools_}) {
        fold->rememberIn(settings);
        layout_->addWidget(fold);
    }
    layout_->addStretch(1);
    setWidget(sheet_);
    connect(&document_, &Document::planChanged, this, &Ticket::refresh);
    connect(&document_, &Document::partChosen, this, &Ticket::openChosen);
}

// What is folded away, in short.
void Ticket::sayFolded() {
    const Pattern* pattern = document_.pattern();
    if (!pattern) return;
    QStringList said;
    if (const Material* thread = document_.book().findMaterial(pattern->thread)) said << qt(thread->title());
    if (pattern->role) said << qt(sayName(*pattern->role));
    if (pattern->note) said << qt(*pattern->note);
    dressing_->say(said.join(QStringLiteral(" · ")));
    const auto chosen =
        pattern->schools ? std::ranges::count_if(fieldsOf(*pattern->schools), [](const Field& f) { return !f.text.empty(); }) : 0;
    schools_->say(chosen > 0 ? tr("%1 of its own").arg(chosen) : tr("as you hold them all"));
}

bool Ticket::sameParts() const {
    const auto& plan = document_.plan();
    if (!plan || plan->pattern.id != shown_ || plan->parts.size() != kinds_.size()) return false;
    for (std::size_t i = 0; i < kinds_.size(); ++i)
        if (plan->parts[i].kind != kinds_[i]) return false;
    return true;
}

void Ticket::refresh() {
    sayFolded();
    if (sameParts()) {  // the fields keep their focus while their numbers move
        refreshRows();
        return;
    }
    if (document_.previewing()) return;  // parts that come or go are shown on the drawing; the rows stay under the hand
    for (PartRow* row : rows_) {
        layout_->removeWidget(row);
        retire(row);
    }
    rows_.clear();
    kinds_.clear();
    shown_.clear();
    const auto& plan = document_.plan();
    if (!plan) return;
    shown_ = plan->pattern.id;
    for (std::size_t i = 0; i < plan->parts.size(); ++i) {
        auto* row = new PartRow(document_, theme_, i, sheet_);
        row->installEventFilter(this);
        layout_->insertWidget(static_cast<int>(i), row);
        rows_.push_back(row);
        kinds_.push_back(plan->parts[i].kind);
    }
    refreshRows();
    openChosen();
}

void Ticket::refreshRows() {
    if (!document_.plan()) return;
    if (!document_.previewing()) hand_ = deviationsOf(document_.book());
    const auto measured = checkItems(*document_.plan(), hand_);
    for (PartRow* row : rows_)
        row->refresh(measured);
}

void Ticket::refuse(const Faults& faults) {
    setInk(refused_, theme_.colours().fault);
    refused_->setText(sayFaults(faults));
    refused_->setVisible(!faults.empty());
}

void Ticket::add(PartKind kind) {
    if (!document_.pattern()) return;
    const auto edit = addPart(document_.book(), document_.pattern()->id, kind);
    const std::vector<Part> before = document_.pattern()->parts;
    refuse(document_.apply(edit));
    const auto& parts = document_.pattern()->parts;
    if (parts.size() <= before.size()) return;
    std::size_t at = 0;  // the new one is opened
    while (at < before.size() && parts[at].kind == before[at].kind && parts[at].material == before[at].material)
        ++at;
    document_.choosePart(at);
}

void Ticket::remove(std::size_t part) {
    if (document_.pattern()) refuse(document_.apply(removePart(document_.book(), document_.pattern()->id, part)));
}

void Ticket::move(std::size_t part, std::ptrdiff_t to) {
    if (!document_.pattern() || to < 0 || to >= std::ssize(document_.pattern()->parts)) return;
    const Faults faults = document_.apply(movePart(document_.book(), document_.pattern()->id, part, static_cast<std::size_t>(to)));
    refuse(faults);
    if (faults.empty()) document_.choosePart(static_cast<std::size_t>(to));
}

// A row dragged by its head to another place in tying order.
bool Ticket::eventFilter(QObject* watched, QEvent* event) {
    auto* row = qobject_cast<PartRow*>(watched);
    if (!row || event->type() != QEvent::MouseButtonRelease) return QScrollArea::eventFilter(watched, event);
    const auto* mouse = static_cast<QMouseEvent*>(event);
    const double y = row->mapTo(sheet_, mouse->position()).y();
    if (row->rect().contains(mouse->position().toPoint())) return false;
    std::ptrdiff_t to = 0;
    for (const PartRow* other : rows_)
        if (other != row && other->geometry().center().y() < y) ++to;
    const std::size_t part = row->part();
    QTimer::singleShot(0, this, [this, part, to] { move(part, to); });  // the row may not outlive the move
    return false;
}

void Ticket::openChosen() {
    for (PartRow* row : rows_)
        row->setOpen(document_.part() == row->part());
    constexpr int kWidest = 620;  // px: the drawing keeps the most of the window
    layout_->activate();
    setMinimumWidth(std::min(kWidest, sheet_->minimumSizeHint().width() + verticalScrollBar()->sizeHint().width()));
    if (!document_.part() || *document_.part() >= rows_.size()) return;
    PartRow* row = rows_[*document_.part()];
    QTimer::singleShot(0, row, [this, row] { ensureWidgetVisible(row, 0, 8); });  // once it has its height
}

std::optional<Question> Ticket::questionAt(std::optional<QPoint> at) const {
    const auto chosen = document_.part();
    return at || !chosen || *chosen >= rows_.size() ? std::nullopt : rows_[*chosen]->questionAt(std::nullopt);
}

void Ticket::keyPressEvent(QKeyEvent* event) {
    const auto last = static_cast<std::ptrdiff_t>(rows_.size()) - 1;
    const std::ptrdiff_t now = document_.part() ? static_cast<std::ptrdiff_t>(*document_.part()) : -1;
    if (last < 0) return QScrollArea::keyPressEvent(event);
    if (event->modifiers() & Qt::AltModifier && now >= 0) {
        if (event->key() == Qt::Key_Down) return move(static_cast<std::size_t>(now), now + 1);
        if (event->key() == Qt::Key_Up) return move(static_cast<std::size_t>(now), now - 1);
    }
    switch (event->key()) {
        case Qt::Key_Delete:
            if (now >= 0) remove(static_cast<std::size_t>(now));
            return;
        case Qt::Key_Insert: add_->showMenu(); return;
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
