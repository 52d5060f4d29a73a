#include "check/check_station.h"

#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QProgressBar>
#include <QSignalBlocker>
#include <QStackedWidget>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "check/asked_view.h"
#include "check/eye_view.h"
#include "check/hand_panel.h"
#include "check/hand_view.h"
#include "check/pairs_view.h"
#include "check/photo_search.h"
#include "check/photo_view.h"
#include "editing/read_picture.h"
#include "frame/ask_file.h"
#include "frame/panel.h"
#include "parts/dates.h"
#include "parts/label.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr int kCheckPanel = 400;
constexpr int kLookId = Qt::UserRole + 1;

}  // namespace

CheckStation::CheckStation(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      hub_(devices),
      views_(new QStackedWidget),
      photo_(new PhotoView(document, theme)),
      hand_(new HandView(theme)),
      eye_(new EyeView(document, theme)),
      fly_(new AskedView(document, theme)),
      asked_(new Label),
      number_(new Label),
      verdict_(new Label),
      devices_(new Label),
      typed_(new LengthSpin),
      list_(new QListWidget),
      looks_(new QListWidget),
      said_(new Label),
      progress_(new QProgressBar),
      pairs_(new PairsView),
      handPanel_(new HandPanel(document, *hand_)) {
    setObjectName(QStringLiteral("check"));
    auto* layout = sideBySide(this);
    views_->addWidget(makeBench());
    views_->addWidget(photo_);
    views_->addWidget(hand_);
    views_->addWidget(eye_);
    views_->addWidget(pairs_);
    layout->addWidget(views_, 1);
    layout->addWidget(scrolled(makePanel(), kCheckPanel));
    connect(&document_, &Document::planChanged, this, [this] {
        if (isVisible() && !document_.previewing()) rebuild();
    });
    connect(&document_, &Document::bookChanged, this, [this] {
        if (isVisible()) rebuild();
    });
    connect(&document_, &Document::bookOpened, this, [this] {
        if (isVisible()) rebuild();
    });
    connect(&background_, &Background::runningChanged, progress_, &QWidget::setVisible);
    connect(&background_, &Background::progressed, progress_,
            [this](double share) { progress_->setValue(static_cast<int>(100.0 * share)); });
    connect(photo_, &PhotoView::measured, this, [this](std::size_t part, const QString& figure, double length) {
        for (std::size_t i = 0; i < items_.size(); ++i)
            if (items_[i].part == part && qt(items_[i].figure) == figure) setReading(i, length);
    });
    connect(photo_, &PhotoView::marked, this, [this] {
        document_.say(tr("Laid over by your marks: %1 px a mm, a length of the shank to ± %2 mm")
                          .arg(number(photo_->registration()->pxPerMm, 1), number(photo_->registration()->error, 2)));
    });
    connect(&hub_, &devices::Hub::photoTaken, this, [this](const QString& file) {
        if (isVisible()) loadPhoto(file);
    });
    connect(&hub_, &devices::Hub::changed, this, &CheckStation::sayDevices);
}

// A reading is for the part that is asked for, or for the heap that has the cursor.
void CheckStation::takeLength(double millimetres) {
    if (views_->currentIndex() != static_cast<int>(Mode::pairs)) return take(millimetres);
    pairs_->take(millimetres * mm);
}

void CheckStation::choose(Mode mode) {
    views_->setCurrentIndex(static_cast<int>(mode));
    modes_[static_cast<std::size_t>(mode)]->setChecked(true);
    measuring_->setVisible(mode == Mode::calliper || mode == Mode::photo);
    handPanel_->setVisible(mode == Mode::hand || mode == Mode::eye || mode == Mode::pairs);
    refresh();
}

void CheckStation::showEvent(QShowEvent*) {
    hub_.connectNow();
    rebuild();
}

void CheckStation::rebuild() {
    plan_ = document_.plan();
    const auto& plan = plan_;
    items_ = plan ? checkItems(*plan, document_.book()) : std::vector<CheckItem>();
    if (!plan) {
        shown_.clear();
        readings_.clear();
        current_ = 0;
        photo_->clear();
        refresh();
        return handPanel_->show(plan_, items_);
    }
    if (shown_ != plan->pattern.id || readings_.size() != items_.size()) {
        shown_ = plan->pattern.id;
        readings_.assign(items_.size(), std::nullopt);
        current_ = 0;
        photo_->clear();
        photoFile_.reset();
        const QSignalBlocker quiet(looks_);
        looks_->clear();
        for (const Look& look : looksOf(*plan)) {
            auto* item = new QListWidgetItem(qt(look.what), looks_);
            item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
            item->setCheckState(Qt::Unchecked);
            item->setData(Qt::UserRole, qt(look.mend));
            item->setData(kLookId, qt(look.id));
        }
    }
    refresh();
    handPanel_->show(plan_, items_);
}

void CheckStation::setReading(std::size_t item, double millimetres) {
    if (item >= items_.size()) return;
    readings_[item] = millimetres * mm;
    refresh();
}

void CheckStation::take(double millimetres) {
    if (current_ >= items_.size()) return document_.say(tr("All of this fly is measured: keep it, or choose a part to measure again"));
    readings_[current_] = millimetres * mm;
    const Judged judged = judge(items_[current_], *readings_[current_]);
    if (aloud_->isChecked()) speaker_.say(inHouseWords(items_[current_].name + ": " + judged.words));
    ++current_;
    refresh();
    // What was read stays large until the next reading.
    number_->setText(tr("%1 mm").arg(number(millimetres, 2)));
    verdict_->setText((judged.finding == Finding::asPlanned ? QStringLiteral("✓ ") : QStringLiteral("✗ ")) +
                      qt(items_[current_ - 1].name + ", " + judged.words));
}

void CheckStation::refresh() {
    const Colours& c = theme_.colours();
    const QSignalBlocker quiet(list_);
    list_->clear();
    int within = 0, measured = 0;
    for (std::size_t i = 0; i < items_.size(); ++i) {
        const CheckItem& item = items_[i];
        QString text = tr("%1: planned %2 ± %3 mm").arg(qt(item.name), number(item.planned / mm, 1), number(item.tolerance / mm, 1));
        if (item.flies > 0 && abs(item.aim - item.planned) > 0.05 * mm) text += tr("; aim for %1 mm").arg(number(item.aim / mm, 1));
        auto* row = new QListWidgetItem(inHouseWords(text), list_);
        if (!readings_[i]) continue;
        const Judged judged = judge(item, *readings_[i]);
        ++measured;
        if (judged.finding == Finding::asPlanned) ++within;
        row->setText(inHouseWords((judged.finding == Finding::asPlanned ? QStringLiteral("✓ ") : QStringLiteral("✗ ")) + text +
                                  QStringLiteral("\n      ") + qt(judged.words)));
        row->setForeground(judged.finding == Finding::asPlanned ? c.grass : c.fault);
    }
    list_->setCurrentRow(current_ < items_.size() ? static_cast<int>(current_) : -1);
    keep_->setText(measured == 0 ? tr("Keep this fly's check") : tr("Keep: %1 of %2 as planned").arg(within).arg(measured));
    if (current_ < items_.size()) {
        const CheckItem& item = items_[current_];
        asked_->setText(tr("Measure the %1").arg(qt(item.name)));
        number_->setText(readings_[current_] ? tr("%1 mm").arg(number(*readings_[current_] / mm, 2))
                                             : tr("%1 ± %2 mm").arg(number(item.planned / mm, 1), number(item.tolerance / mm, 1)));
        verdict_->setText(readings_[current_] ? qt(judge(item, *readings_[current_]).words) : tr("planned"));
    } else {
        asked_->setText(items_.empty() ? tr("Nothing of this fly is measured")
                                       : tr("All is measured: %1 of %2 as planned").arg(within).arg(measured));
        if (items_.empty()) {
            number_->clear();
            verdict_->clear();
        }
    }
    fly_->ask(current_ < items_.size() ? std::optional(items_[current_]) : std::nullopt);
    sayDevices();
    setInk(devices_, c.inkSoft);
    setInk(said_, c.inkSoft);
}

void CheckStation::sayDevices() {
    devices_->setText(
        (hub_.calliperReady() ? tr("✓ The calliper is ready.") : tr("No calliper: start machair-calliper, or type the reading.")) +
        QLatin1Char(' ') + (hub_.cameraReady() ? tr("✓ The camera is ready.") : tr("No camera: start machair-camera, or open a picture.")));
}

void CheckStation::keep() {
    if (!document_.pattern()) return;
    CheckEntry entry{document_.pattern()->id, today(), readings_, {}, photoFile_};
    for (int i = 0; i < looks_->count(); ++i)
        if (looks_->item(i)->checkState() == Qt::Checked) entry.faults.push_back(looks_->item(i)->data(kLookId).toString().toStdString());
    const Faults faults = document_.apply(recordCheck(document_.book(), items_, entry));
    if (!faults.empty()) {
        said_->setText(QStringLiteral("✗ ") + sayFault(faults.front()));
        return;
    }
    said_->setText(tr("Kept. The next fly."));
    shown_.clear();  // all anew, with the aim that this fly taught
    rebuild();
}

void CheckStation::askForPhoto() {
    askWhatToRead(this, tr("A photograph of the fly"), QString(), pictureKinds(), &CheckStation::loadPhoto);
}

void CheckStation::loadPhoto(const QString& file) {
    if (!document_.plan()) return;
    if (shown_ != document_.plan()->pattern.id) rebuild();
    choose(Mode::photo);
    said_->setText(tr("Looking for the hook…"));
    background_.start(
        [file, hook = document_.plan()->hook](const std::stop_token& stop, const Background::Progress& progress) {
            return searchPhoto(file, hook, stop, progress);
        },
        [this, file, id = document_.plan()->pattern.id](const FoundOnPhoto& found) {
            if (!found.picture) {
                said_->setText(tr("Nothing was changed."));
                return document_.refuse(found.picture.error());
            }
            if (!document_.plan() || document_.plan()->pattern.id != id) return;
            photoFile_ = file.toStdString();
            photo_->show(*found.picture, found.at);
            const auto tail = findKind(document_.plan()->pattern, PartKind::tail);
            if (found.at && tail && found.edges.tailTip) photo_->placeTip(*tail, *found.edges.tailTip);
            said_->setText(sayFound(found, document_.plan()->pattern));
        });
}

}  // namespace machair::app
