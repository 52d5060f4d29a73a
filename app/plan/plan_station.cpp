#include "plan/plan_station.h"

#include <QEvent>
#include <QSplitter>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <algorithm>

#include "plan/budget_view.h"
#include "plan/fly_view.h"
#include "plan/sizes_view.h"
#include "plan/ticket.h"
#include "theme/theme.h"

namespace machair::app {

PlanStation::PlanStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent)
    : QWidget(parent), splitter_(new QSplitter(Qt::Horizontal, this)), sheets_(new QStackedWidget) {
    auto* drawing = new QWidget;
    auto* left = new QVBoxLayout(drawing);
    left->setContentsMargins(0, 0, 0, 0);
    left->setSpacing(0);
    left->addWidget(new FlyView(document, theme), 1);
    left->addWidget(new BudgetView(document, theme));
    splitter_->setObjectName(QStringLiteral("plan-splitter"));
    sheets_->addWidget(drawing);
    sheets_->addWidget(new SizesView(document, theme));
    splitter_->addWidget(sheets_);
    ticket_ = new Ticket(document, theme, settings);
    splitter_->addWidget(ticket_);
    splitter_->setStretchFactor(0, 1);
    splitter_->setStretchFactor(1, 0);
    giveTicketRoom();
    splitter_->setChildrenCollapsible(false);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(splitter_);
}

// Its words want more of it where they are larger.
void PlanStation::giveTicketRoom() {
    constexpr int kTicketWidth = 400, kUsual = 1280;
    const int ticket = grownWithText(kTicketWidth);
    splitter_->setSizes({std::max(kUsual, width()) - ticket, ticket});
}

void PlanStation::changeEvent(QEvent* event) {
    QWidget::changeEvent(event);
    if (event->type() == QEvent::ApplicationFontChange || event->type() == QEvent::FontChange) giveTicketRoom();
}

// Not by a focus proxy: Tab would go from before the station to the ticket, and never come to the fly.
void PlanStation::startWithTicket() { ticket_->setFocus(); }

void PlanStation::showSizes(bool shown) { sheets_->setCurrentIndex(shown ? 1 : 0); }

QByteArray PlanStation::layoutState() const { return splitter_->saveState(); }
void PlanStation::restoreLayout(const QByteArray& state) { splitter_->restoreState(state); }

}  // namespace machair::app
