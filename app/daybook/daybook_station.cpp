#include "daybook/daybook_station.h"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFile>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/fields.h"
#include "book/find.h"
#include "book/flies.h"
#include "book/record_edits.h"
#include "daybook/day_page.h"
#include "daybook/days_in.h"
#include "daybook/photo_strip.h"
#include "daybook/rate_view.h"
#include "daybook/rates_panel.h"
#include "daybook/season_strip.h"
#include "editing/read_picture.h"
#include "editing/write_text.h"
#include "frame/ask_file.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "parts/dates.h"
#include "parts/flow_layout.h"
#include "parts/label.h"
#include "parts/record_sheet.h"
#include "store/csv.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {
namespace {

constexpr int kDaybookPanel = 340;

}  // namespace

DaybookStation::DaybookStation(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      rates_(new RateView(theme)),
      said_(new RatesPanel(document, *rates_)),
      date_(new QLineEdit),
      days_(new QListWidget),
      hours_(new QDoubleSpinBox),
      entry_(new Label),
      depth_(new QDoubleSpinBox),
      photos_(new PhotoStrip(document, theme)),
      in_(new DaysIn(document)),
      note_(new QLineEdit),
      season_(new SeasonStrip(document, theme)),
      page_(new DayPage(document, theme)),
      mark_(new RecordSheet(document, theme, QStringLiteral("mark"))) {
    setObjectName(QStringLiteral("daybook"));
    setFocusPolicy(Qt::StrongFocus);
    auto* layout = sideBySide(this);
    auto* left = new QVBoxLayout;
    left->setSpacing(0);
    left->addWidget(season_);
    left->addWidget(page_);
    rates_->setMinimumHeight(140);
    left->addWidget(rates_, 1);
    layout->addLayout(left, 1);
    season_->setFocusProxy(nullptr);
    mark_->hide();
    connect(season_, &SeasonStrip::chosen, this, &DaybookStation::chooseDay);
    connect(page_, &DayPage::rowChosen, this, &DaybookStation::showRow);
    connect(mark_, &RecordSheet::rowGone, page_, [this] { page_->chooseRow(std::nullopt); });
    layout->addWidget(scrolled(makePanel(), kDaybookPanel));
    connect(&document_, &Document::bookChanged, this, [this] {
        if (isVisible()) refresh();
    });
    connect(&document_, &Document::bookOpened, this, [this] {
        if (isVisible()) refresh();
    });
    connect(&document_, &Document::teamChanged, this, [this] {
        if (isVisible()) sayEntry();
    });
}

void DaybookStation::chooseDay(const DayId& id) {
    for (int row = 0; row < days_->count(); ++row)
        if (days_->item(row)->data(Qt::UserRole).toString() == qt(id)) days_->setCurrentRow(row);
}

void DaybookStation::showRow(const std::optional<RowId>& row) {
    mark_->setVisible(row.has_value() && !day().empty());
    if (row && !day().empty()) mark_->showRow({"days", day()}, *row);
}

void DaybookStation::takeDayOut() {
    if (day().empty()) return;
    document_.refuse(document_.apply(removeRecord(document_.book(), {"days", day()})));
}

DayId DaybookStation::day() const {
    const auto* item = days_->currentItem();
    return item ? DayId(item->data(Qt::UserRole).toString().toStdString()) : DayId();
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
            auto* item = new QListWidgetItem(
                tr("%1   %2 h, %3 fish").arg(dateSaid(it->date), shortNumber(hoursOf(*it), 1)).arg(it->fish.size()), days_);
            item->setData(Qt::UserRole, qt(it->id));
            if (it->id == chosen) days_->setCurrentItem(item);
        }
        if (!days_->currentItem() && days_->count() > 0) days_->setCurrentRow(0);
    }
    said_->refresh();
    sayEntry();
    showPhotos();
}

void DaybookStation::showPhotos() {
    season_->choose(day());
    page_->show(day());
    const Day* found = findById(document_.book().days, day());
    note_->setEnabled(found != nullptr);
    if (!note_->isModified()) note_->setText(found ? qt(found->note.value_or("")) : QString());
    if (!found) return photos_->show({});
    like_->show(fieldsOf(*found));
    photos_->show(found->photos);
}

void DaybookStation::addPhotos() {
    if (day().empty()) return document_.say(tr("Choose a day first"));
    askWhatToRead(this, tr("A picture of the day"), QString(), pictureKinds(), [this](const QString& file) {
        constexpr qint64 kLook = 10'000;  // pixels: only whether it is one
        looking_.start(
            [file](const std::stop_token&, const Background::Progress&) { return readPicture(file, kLook).map([](const QImage&) {}); },
            [this, file, id = day()](const tl::expected<void, Faults>& picture) {
                if (!picture) return document_.refuse(picture.error());
                photos_->allow(file.toStdString());
                document_.refuse(document_.apply(addPhoto(document_.book(), DayId(id), file.toStdString())));
            });
    });
}

void DaybookStation::importFrom(const QString& file) { in_->read(file); }

void DaybookStation::askForImport() {
    askWhatToRead(this, tr("A table of days"), QString(), tr("CSV (*.csv);;All files (*)"), &DaybookStation::importFrom);
}

void DaybookStation::keepDays() {
    askWhereToWrite(this, tr("Keep the days as"), QStringLiteral("days.csv"), tr("CSV (*.csv)"), QStringLiteral("csv"),
                    [this](const QString& path) { writeText(document_, path, store::daysToCsv(document_.book())); });
}

void DaybookStation::sayEntry() {
    if (day().empty()) return entry_->setText(tr("Start a day; then a fish is three keys: B, M or P, then K, R or L, then Enter."));
    QString said = tr("%1: ").arg(QString::fromStdString(day()));
    const TeamSpec* onLeader = document_.team();
    const bool more = onLeader && (onLeader->at(Position::upper) || onLeader->at(Position::lower));
    if (!position_)
        return entry_->setText(said + (more ? tr("B, U, M, W (lower) or P for where it took") : tr("B, M or P for where it took")));
    const TeamSpec* team = document_.team();
    const auto& fly = team ? team->at(*position_) : std::optional<Fly>();
    said += fly ? tr("%1 on the %2").arg(qt(sayFly(document_.book(), *fly)), titleOf(*position_))
                : tr("no fly on the %1").arg(titleOf(*position_));
    entry_->setText(said + (!fate_                     ? tr(": K kept, R returned or L lost")
                            : *fate_ == Fate::kept     ? tr(", kept: Enter")
                            : *fate_ == Fate::returned ? tr(", returned: Enter")
                                                       : tr(", lost: Enter")));
}

void DaybookStation::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_B: position_ = Position::bob; break;
        case Qt::Key_U: position_ = Position::upper; break;
        case Qt::Key_M: position_ = Position::middle; break;
        case Qt::Key_W: position_ = Position::lower; break;
        case Qt::Key_P: position_ = Position::point; break;
        case Qt::Key_K:
        case Qt::Key_R:
        case Qt::Key_L:
            if (position_) fate_ = event->key() == Qt::Key_K ? Fate::kept : event->key() == Qt::Key_R ? Fate::returned : Fate::lost;
            break;
        case Qt::Key_Escape:
            position_.reset();
            fate_.reset();
            break;
        case Qt::Key_Return:
        case Qt::Key_Enter: {
            const TeamSpec* team = document_.team();
            if (!position_ || !fate_ || day().empty() || !team || !team->at(*position_)) break;
            const bool kept = *fate_ == Fate::kept;
            const Faults faults = document_.apply(addFish(document_.book(), day(), *position_, *team->at(*position_), *fate_,
                                                          depth_->value() > 0.0 ? std::optional(depth_->value() * metre) : std::nullopt));
            depth_->setValue(0.0);
            if (!faults.empty()) document_.say(qt(faults.front().line()));
            if (kept) document_.keepFish(document_.kept() + 1);  // a rule card's phase follows it
            position_.reset();
            fate_.reset();
            break;
        }
        default: return QWidget::keyPressEvent(event);
    }
    sayEntry();
}

}  // namespace machair::app
