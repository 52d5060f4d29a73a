#include "plan/plan_station.h"

#include <QSplitter>
#include <QStackedWidget>
#include <QVBoxLayout>

#include "plan/budget_view.h"
#include "plan/fly_view.h"
#include "plan/sizes_view.h"
#include "plan/ticket.h"

namespace machair::app {

PlanStation::PlanStation(Document& document, const Theme& theme, QWidget* parent)
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
    auto* ticket = new Ticket(document, theme);
    splitter_->addWidget(ticket);
    setFocusProxy(ticket);
    splitter_->setStretchFactor(0, 1);
    splitter_->setStretchFactor(1, 0);
    constexpr int kTicketWidth = 400;
    splitter_->setSizes({880, kTicketWidth});
    splitter_->setChildrenCollapsible(false);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(splitter_);
}

void PlanStation::showSizes(bool shown) { sheets_->setCurrentIndex(shown ? 1 : 0); }

QByteArray PlanStation::layoutState() const { return splitter_->saveState(); }
void PlanStation::restoreLayout(const QByteArray& state) { splitter_->restoreState(state); }

}  // namespace machair::app
