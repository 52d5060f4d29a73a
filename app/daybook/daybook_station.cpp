#include "daybook/daybook_station.h"

#include <QComboBox>
#include <QDate>
#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>

#include "book/record_edits.h"
#include "daybook/rate_view.h"
#include "frame/panel.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {
namespace {

constexpr int kPanelWidth = 340;

}  // namespace

DaybookStation::DaybookStation(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent), document_(document), rates_(new RateView(theme)), factor_(new QComboBox), date_(new QLineEdit), days_(new QListWidget), hours_(new QDoubleSpinBox),
      entry_(new QLabel), swap_(new QLabel) {
    setObjectName(QStringLiteral("daybook"));
    setFocusPolicy(Qt::StrongFocus);
    auto* layout = sideBySide(this);
    layout->addWidget(rates_, 1);
    layout->addWidget(scrolled(makePanel(), kPanelWidth));
    connect(&document_, &Document::bookChanged, this, [this] { if (isVisible()) refresh(); });
    connect(&document_, &Document::bookOpened, this, [this] { if (isVisible()) refresh(); });
    connect(&document_, &Document::teamChanged, this, [this] { if (isVisible()) sayEntry(); });
}

QWidget* DaybookStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    auto* by = new QHBoxLayout;
    by->addWidget(new QLabel(tr("Rates by")));
    factor_->setObjectName(QStringLiteral("factor"));
    for (const auto& entry : Names<Factor>::entries) factor_->addItem(qt(std::string(entry.name)).replace(QLatin1Char('_'), QLatin1Char(' ')));
    by->addWidget(factor_, 1);
    column->addLayout(by);
    swap_->setObjectName(QStringLiteral("swap"));
    swap_->setWordWrap(true);
    column->addWidget(swap_);
    auto* add = new QHBoxLayout;
    date_->setObjectName(QStringLiteral("date"));
    date_->setAccessibleName(tr("Date of the day"));
    date_->setText(QDate::currentDate().toString(Qt::ISODate));
    auto* fresh = new QToolButton;
    fresh->setObjectName(QStringLiteral("add-day"));
    fresh->setText(tr("New day"));
    add->addWidget(date_, 1);
    add->addWidget(fresh);
    column->addLayout(add);
    days_->setObjectName(QStringLiteral("days"));
    days_->setAccessibleName(tr("Days, the latest first"));
    days_->setFrameShape(QFrame::NoFrame);
    days_->setFocusPolicy(Qt::ClickFocus);
    days_->setFocusProxy(this);
    column->addWidget(days_, 1);
    auto* outing = new QHBoxLayout;
    hours_->setObjectName(QStringLiteral("outing-hours"));
    hours_->setRange(0.25, 24.0);
    hours_->setSingleStep(0.25);
    hours_->setValue(2.0);
    hours_->setSuffix(tr(" h"));
    auto* fished = new QToolButton;
    fished->setObjectName(QStringLiteral("add-outing"));
    fished->setText(tr("The cast's team fished so long"));
    outing->addWidget(hours_);
    outing->addWidget(fished, 1);
    column->addLayout(outing);
    entry_->setObjectName(QStringLiteral("entry"));
    entry_->setWordWrap(true);
    entry_->setFont(faceScaled(1.05, true));
    column->addWidget(entry_);
    const auto say = [this](const Faults& faults) {
        if (!faults.empty()) document_.say(qt(faults.front().line()));
    };
    connect(factor_, &QComboBox::currentIndexChanged, this, &DaybookStation::refreshRates);
    connect(fresh, &QToolButton::clicked, this, [this, say] {
        if (!document_.isOpen()) return;
        const QString date = date_->text().trimmed();
        const Faults faults = document_.apply(addDay(document_.book(), date.toStdString(), document_.water() ? std::optional(document_.water()->id) : std::nullopt));
        say(faults);
        for (int row = 0; faults.empty() && row < days_->count(); ++row)
            if (days_->item(row)->data(Qt::UserRole).toString() == date) days_->setCurrentRow(row);
        setFocus();
    });
    connect(fished, &QToolButton::clicked, this, [this, say] {
        const TeamSpec* team = document_.team();
        if (day().empty() || !team) return document_.say(tr("Choose a day first, and hang a team on the cast"));
        say(document_.apply(addOuting(document_.book(), day(), hours_->value(), {team->bob, team->middle, team->point})));
        setFocus();
    });
    connect(days_, &QListWidget::currentRowChanged, this, &DaybookStation::sayEntry);
    return panel;
}

std::string DaybookStation::day() const {
    const auto* item = days_->currentItem();
    return item ? item->data(Qt::UserRole).toString().toStdString() : std::string();
}

void DaybookStation::showEvent(QShowEvent*) {
    refresh();
    setFocus();
}

void DaybookStation::refresh() {
    if (!document_.isOpen()) return;
    const std::string chosen = day();
    {
        const QSignalBlocker quiet(days_);
        days_->clear();
        const auto& days = document_.book().days;
        for (auto it = days.rbegin(); it != days.rend(); ++it) {
            double hours = 0.0;
            for (const Outing& outing : it->outings) hours += outing.hours;
            auto* item = new QListWidgetItem(tr("%1   %2 h, %3 fish").arg(qt(it->date), qt(formatShort(hours, 1))).arg(it->fish.size()), days_);
            item->setData(Qt::UserRole, qt(it->id));
            if (it->id == chosen) days_->setCurrentItem(item);
        }
        if (!days_->currentItem() && days_->count() > 0) days_->setCurrentRow(0);
    }
    refreshRates();
    sayEntry();
}

void DaybookStation::refreshRates() {
    if (!document_.isOpen()) return;
    const Factor factor = Names<Factor>::entries[static_cast<std::size_t>(std::max(0, factor_->currentIndex()))].value;
    const TeamSpec* team = document_.team();
    struct Found {
        std::vector<Rate> rates;
        std::optional<Swap> swap;
    };
    background_.start([book = document_.book(), factor, team = team ? team->id : std::string()](const std::stop_token&, const Background::Progress&) {
        return Found{ratesBy(book, factor), swapThatTellsMost(book, team)};
    },
                      [this](Found found) {
                          rates_->show(std::move(found.rates));
                          swap_->setText(found.swap ? tr("To learn most next time: %1 instead of %2 on the %3 (%4 bit).")
                                                          .arg(qt(found.swap->in), qt(found.swap->out), titleOf(found.swap->position), qt(formatNumber(found.swap->gain, 2)))
                                                    : tr("No swap would tell much more than the daybook does already."));
                      });
}

void DaybookStation::sayEntry() {
    if (day().empty()) return entry_->setText(tr("Start a day; then a fish is three keys: B, M or P, then K or R, then Enter."));
    QString said = tr("%1: ").arg(QString::fromStdString(day()));
    if (!position_) return entry_->setText(said + tr("B, M or P for where it took"));
    const TeamSpec* team = document_.team();
    const auto& fly = team ? team->at(*position_) : std::optional<std::string>();
    said += fly ? tr("%1 on the %2").arg(qt(document_.book().findPattern(*fly)->title()), titleOf(*position_)) : tr("no fly on the %1").arg(titleOf(*position_));
    entry_->setText(said + (keptFish_ ? (*keptFish_ ? tr(", kept: Enter") : tr(", returned: Enter")) : tr(": K kept or R returned")));
}

void DaybookStation::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_B: position_ = Position::bob; break;
        case Qt::Key_M: position_ = Position::middle; break;
        case Qt::Key_P: position_ = Position::point; break;
        case Qt::Key_K:
        case Qt::Key_R:
            if (position_) keptFish_ = event->key() == Qt::Key_K;
            break;
        case Qt::Key_Escape:
            position_.reset();
            keptFish_.reset();
            break;
        case Qt::Key_Return:
        case Qt::Key_Enter: {
            const TeamSpec* team = document_.team();
            if (!position_ || !keptFish_ || day().empty() || !team || !team->at(*position_)) break;
            const bool kept = *keptFish_;
            const Faults faults = document_.apply(addFish(document_.book(), day(), *position_, *team->at(*position_), kept ? Fate::kept : Fate::returned));
            if (!faults.empty()) document_.say(qt(faults.front().line()));
            if (kept) document_.keepFish(document_.kept() + 1);  // a rule card's phase follows it
            position_.reset();
            keptFish_.reset();
            break;
        }
        default: return QWidget::keyPressEvent(event);
    }
    sayEntry();
}

}  // namespace machair::app
