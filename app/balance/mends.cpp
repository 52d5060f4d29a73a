#include "balance/mends.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QListWidget>
#include <QProgressBar>
#include <QScrollBar>
#include <QSettings>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "balance/mend_cards.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

Mends::Mends(Document& document, const Theme& theme, QSettings& settings, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      settings_(settings),
      find_(new QToolButton),
      progress_(new QProgressBar),
      found_(new Label),
      takeAs_(new QComboBox),
      proposals_(new QListWidget) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    auto* seek = new QHBoxLayout;
    seek->addWidget(heading(tr("Mend")));
    seek->addStretch(1);
    find_->setObjectName(QStringLiteral("find"));
    find_->setText(tr("Find the smallest change"));
    find_->setToolTip(tr("An exact search: other flies of the box and another order first, then the flies tied a little otherwise (F5)"));
    pressedBy(find_, Qt::Key_F5);
    seek->addWidget(find_);
    column->addLayout(seek);
    progress_->setTextVisible(false);
    progress_->setMaximumHeight(5);
    progress_->hide();
    column->addWidget(progress_);
    found_->setObjectName(QStringLiteral("found"));
    found_->setWordWrap(true);
    column->addWidget(found_);
    takeAs_->setObjectName(QStringLiteral("take-as"));
    takeAs_->setAccessibleName(tr("What a fly that is tied otherwise becomes"));
    takeAs_->setToolTip(tr(
        "Whether a fly that is tied otherwise becomes a dressing of its own for this team, or the dressing itself is changed. Remembered"));
    takeAs_->addItem(tr("tied otherwise: a copy for this team"));
    takeAs_->addItem(tr("tied otherwise: the dressing itself"));
    takeAs_->setCurrentIndex(settings_.value(QStringLiteral("balance/in-the-dressing"), false).toBool() ? 1 : 0);
    takeAs_->hide();
    column->addWidget(takeAs_);
    connect(takeAs_, &QComboBox::activated, this, [this](int i) { settings_.setValue(QStringLiteral("balance/in-the-dressing"), i == 1); });
    connect(find_, &QToolButton::clicked, this, [this] {
        if (background_.running())
            background_.stop();
        else
            propose();
    });
    connect(&background_, &Background::progressed, this, [this](double share) { progress_->setValue(static_cast<int>(100.0 * share)); });
    connect(&background_, &Background::runningChanged, this, [this](bool running) {
        progress_->setVisible(running);
        find_->setText(running ? tr("Stop") : tr("Find the smallest change"));
    });
    dressCards();
}

void Mends::forget() {
    offered_.clear();
    proposals_->clear();
    proposals_->hide();
    takeAs_->hide();
    found_->clear();
}

void Mends::dressCards() {
    asLines(proposals_, "proposals", tr("What would mend it, as cards"));
    // Side by side under the flies, where all of them are seen at once.
    proposals_->setFlow(QListView::LeftToRight);
    proposals_->setWrapping(false);
    proposals_->setHorizontalScrollBarPolicy(Qt::ScrollBarAsNeeded);
    proposals_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    proposals_->setHorizontalScrollMode(QAbstractItemView::ScrollPerPixel);
    proposals_->setFixedHeight(MendCards::kHigh + proposals_->horizontalScrollBar()->sizeHint().height() + 4);
    proposals_->setToolTip(tr("Point at one to see it on the cast; Enter takes it, Ctrl+Z gives it back"));
    proposals_->setMouseTracking(true);
    proposals_->setItemDelegate(new MendCards(theme_, proposals_));
    proposals_->installEventFilter(this);
    under_ = proposals_->viewport();
    under_->installEventFilter(this);
    proposals_->hide();
    connect(proposals_, &QListWidget::currentRowChanged, this, &Mends::preview);
    connect(proposals_, &QListWidget::itemEntered, this, [this](QListWidgetItem* item) { preview(proposals_->row(item)); });
    connect(proposals_, &QListWidget::itemActivated, this, [this](QListWidgetItem* item) { take(proposals_->row(item)); });
}

void Mends::propose() {
    if (!document_.team()) return;
    offered_.clear();
    proposals_->clear();
    offeredTeam_ = document_.team()->id;
    found_->setText(tr("Looking through the box, the orders, turns, lengths, hooks and wires…"));
    const auto work = [book = document_.book(), plans = document_.plans(), team = offeredTeam_,
                       water = document_.water() ? document_.water()->id : std::string()](const std::stop_token& stop,
                                                                                          const Background::Progress& progress) {
        return balanceTeam(book, team, settingOf(book, book.findWater(WaterId(water)), plans), {3, stop, progress});
    };
    background_.start(work, [this](const Result<BalanceReport>& report) { show(report); });
}

void Mends::show(const Result<BalanceReport>& report) {
    if (!report) {
        found_->setText(qt(report.error().front().line()));
        return;
    }
    if (report->stopped) {
        found_->setText(tr("Stopped."));
        return;
    }
    if (report->passes) {
        found_->setText(tr("Nothing to mend: every check passes."));
        return;
    }
    QString said;
    if (report->empty()) said = tr("No small change makes it pass.");
    for (std::size_t i = 0; i < std::min<std::size_t>(2, report->conflicts.size()); ++i)
        said += (said.isEmpty() ? QString() : QStringLiteral("\n")) + qt(report->conflicts[i]);
    if (said.isEmpty())
        said = report->box.empty() ? tr("The box alone doesn't mend it; flies tied a little otherwise do.")
                                   : tr("The box mends it: nothing has to be tied.");
    found_->setText(said);
    list(tr("From the box"), report->box);
    list(tr("Tied otherwise"), report->redressed);
    if (report->instead) list(tr("Keeps most of its flies, and passes"), {*report->instead});
    paintOffered();
    takeAs_->setVisible(std::ranges::any_of(report->redressed, &Proposal::changesADressing));
    proposals_->setVisible(!offered_.empty());
}

// A heading and its proposals. Every row of the list has its place in `offered_`; a heading's is empty.
void Mends::list(const QString& title, const std::vector<Proposal>& proposals) {
    if (proposals.empty()) return;
    auto* head = new QListWidgetItem(title, proposals_);
    head->setFlags(Qt::NoItemFlags);
    head->setForeground(theme_.colours().inkSoft);
    for (const Proposal& proposal : proposals) {
        auto* item =
            new QListWidgetItem(tr("%1  %2, costs %3").arg(signOf(proposal.verdict), qt(proposal.words())).arg(proposal.cost), proposals_);
        item->setData(Qt::UserRole, static_cast<int>(offered_.size()));
        if (document_.teamReport()) MendCards::set(*item, whatItBuys(document_.teamReport()->checks, proposal.checks));
        QStringList tip = {inHouseWords(proposal.words())};
        for (const TeamCheck& check : proposal.checks)
            tip << signOf(check.verdict) + QLatin1Char(' ') + inHouseWords(check.words);
        item->setToolTip(tip.join(QLatin1Char('\n')));
        offered_.push_back(proposal);
    }
}

// The flies of each card, as they are and as they would be: painted beside the window, card after card.
void Mends::paintOffered() {
    const auto work = [book = document_.shared(), team = offeredTeam_, offered = offered_, bench = theme_.bench(),
                       ratio = devicePixelRatioF()](const std::stop_token& stop, const Background::Progress&) {
        std::vector<std::vector<MendFly>> all;
        for (const Proposal& proposal : offered)
            all.push_back(changedBy(*book, team, proposal, bench, ratio, stop));
        return all;
    };
    painting_.start(work, [this](std::vector<std::vector<MendFly>> all) {
        const QSignalBlocker quiet(proposals_);
        for (int row = 0; row < proposals_->count(); ++row) {
            const QVariant at = proposals_->item(row)->data(Qt::UserRole);
            if (at.isValid() && at.toUInt() < all.size()) MendCards::setFlies(*proposals_->item(row), std::move(all[at.toUInt()]));
        }
    });
}

const Proposal* Mends::offeredAt(int row) const {
    const auto* item = proposals_->item(row);
    const QVariant at = item ? item->data(Qt::UserRole) : QVariant();
    return at.isValid() && at.toInt() < static_cast<int>(offered_.size()) ? &offered_[static_cast<std::size_t>(at.toInt())] : nullptr;
}

Result<Edit> Mends::taken(const Proposal& proposal) const {
    return takeProposal(document_.book(), offeredTeam_, proposal, takeAs_->currentIndex() == 1 ? TakeAs::dressing : TakeAs::copy,
                        document_.setting().day.wave);
}

void Mends::preview(int row) {
    if (const Proposal* proposal = offeredAt(row)) document_.previewTeam(taken(*proposal));
}

void Mends::take(int row) {
    const Proposal* offered = offeredAt(row);
    if (!offered) return;
    const Proposal proposal = *offered;  // what was offered goes with the edit
    auto edit = taken(proposal);
    QStringList touched;
    if (takeAs_->currentIndex() == 1)
        for (const std::string& what : touchedBy(document_.book(), offeredTeam_, proposal))
            touched << qt(what);
    document_.dropTeamPreview();
    const Faults faults = document_.apply(std::move(edit));
    if (!faults.empty())
        document_.say(qt(faults.front().line()));
    else if (!touched.isEmpty())
        document_.say(tr("The dressing itself is changed; it touches %1").arg(touched.join(QStringLiteral(", "))));
    emit mended();
}

bool Mends::eventFilter(QObject* watched, QEvent* event) {
    if ((watched == proposals_ && event->type() == QEvent::FocusOut) || (watched == under_ && event->type() == QEvent::Leave))
        document_.dropTeamPreview();
    if (watched == proposals_ && event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Return || key == Qt::Key_Enter) {
            take(proposals_->currentRow());
            return true;
        }
        if (key == Qt::Key_Escape) document_.dropTeamPreview();
    }
    return QWidget::eventFilter(watched, event);
}

}  // namespace machair::app
