#include "check/check_station.h"

#include <QDate>
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

// What is asked for and how it came out, readable from a metre.
QWidget* CheckStation::makeBench() {
    auto* bench = new QWidget;
    auto* column = new QVBoxLayout(bench);
    column->setContentsMargins(40, 20, 40, 20);
    asked_->setObjectName(QStringLiteral("asked"));
    asked_->setFont(faceScaled(2.2, true));
    asked_->setWordWrap(true);
    number_->setObjectName(QStringLiteral("reading"));
    number_->setFont(faceScaled(6.0, true));
    verdict_->setObjectName(QStringLiteral("check-verdict"));
    verdict_->setFont(faceScaled(2.2, true));
    verdict_->setWordWrap(true);
    devices_->setWordWrap(true);
    column->addWidget(asked_);
    column->addWidget(fly_, 1);
    column->addWidget(number_);
    column->addWidget(verdict_);
    column->addSpacing(16);
    auto* type = new QHBoxLayout;
    typed_->setObjectName(QStringLiteral("typed"));
    typed_->setAccessibleName(tr("A reading, typed"));
    typed_->setRange(0.0, 200.0);
    typed_->setDecimals(2);
    typed_->setSpecialValueText(tr("type a reading, Enter"));
    typed_->setMinimumWidth(220);
    type->addWidget(typed_);
    auto* back = toolButton("check-back", tr("Back"), tr("The part before, to measure it again"));
    type->addWidget(back);
    auto* skip = toolButton("check-skip", tr("Skip"), tr("This part is not measured on this fly"));
    type->addWidget(skip);
    type->addStretch(1);
    column->addLayout(type);
    column->addWidget(devices_);
    connect(back, &QToolButton::clicked, this, [this] {
        if (current_ > 0) --current_;
        refresh();
    });
    connect(skip, &QToolButton::clicked, this, [this] {
        if (current_ < items_.size()) ++current_;
        refresh();
    });
    connect(typed_, &QDoubleSpinBox::editingFinished, this, [this] {
        const double length = typed_->value();
        if (length <= 0.0 || !typed_->hasFocus()) return;
        const QSignalBlocker quiet(typed_);
        typed_->setValue(0.0);
        typed_->selectAll();
        take(length);
    });
    return bench;
}

QWidget* CheckStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    addModes(column);
    addPhoto(column);
    column->addWidget(makeMeasuring(), 1);
    column->addWidget(handPanel_);
    handPanel_->hide();
    return panel;
}

void CheckStation::addModes(QVBoxLayout* column) {
    auto* modes = new QHBoxLayout;
    modes->setSpacing(3);
    for (const auto& [name, text, tip, mode] :
         {std::tuple{"by-calliper", tr("Calliper"), tr("Part after part, judged at once"), Mode::calliper},
          std::tuple{"by-photo", tr("Photo"), tr("The plan laid over a photograph"), Mode::photo},
          std::tuple{"the-hand", tr("Hand"), tr("What your hand always does"), Mode::hand},
          std::tuple{"the-eye", tr("Eye"), tr("Train the eye on drawn flies"), Mode::eye},
          std::tuple{"the-pairs", tr("Pairs"), tr("Which two of a heap belong together"), Mode::pairs}}) {
        auto* made = toolButton(name, text, tip);
        made->setCheckable(true);
        made->setAutoExclusive(true);
        connect(made, &QToolButton::clicked, this, [this, mode] { choose(mode); });
        modes->addWidget(made);
        modes_.push_back(made);
    }
    modes_.front()->setChecked(true);
    modes->addStretch(1);
    column->addLayout(modes);
}

void CheckStation::addPhoto(QVBoxLayout* column) {
    auto* picture = new QHBoxLayout;
    auto* open = toolButton("open-photo", tr("Open a photograph…"), tr("A picture of the fly in the vice, from the side, on a plain card"));
    connect(open, &QToolButton::clicked, this, &CheckStation::askForPhoto);
    picture->addWidget(open);
    aloud_ = toolButton("check-aloud", tr("Aloud"), tr("Says each verdict, where this computer has a voice"));
    aloud_->setCheckable(true);
    picture->addWidget(aloud_);
    picture->addStretch(1);
    column->addLayout(picture);
    progress_->setTextVisible(false);
    progress_->setMaximumHeight(5);
    progress_->hide();
    column->addWidget(progress_);
}

// What is measured, part after part, and the look.
QWidget* CheckStation::makeMeasuring() {
    measuring_ = new QWidget;
    auto* column = new QVBoxLayout(measuring_);
    column->setContentsMargins(0, 0, 0, 0);
    said_->setObjectName(QStringLiteral("check-said"));
    said_->setWordWrap(true);
    column->addWidget(said_);
    column->addWidget(heading(tr("Measured")));
    asLines(list_, "measured", tr("What is measured"));
    list_->setMinimumHeight(150);
    column->addWidget(list_, 3);
    connect(list_, &QListWidget::currentRowChanged, this, [this](int row) {
        if (row < 0) return;
        current_ = static_cast<std::size_t>(row);
        refresh();
    });
    column->addWidget(heading(tr("The look: tick what is not right")));
    asLines(looks_, "looks", tr("The look"));
    looks_->setMinimumHeight(110);
    column->addWidget(looks_, 3);
    connect(looks_, &QListWidget::itemChanged, this, [this](QListWidgetItem* item) {
        if (item->checkState() == Qt::Checked) said_->setText(tr("Mend: %1.").arg(item->data(Qt::UserRole).toString()));
    });
    keep_ =
        toolButton("keep-check", tr("Keep this fly's check"), tr("Into the book; the next fly of the dozen is asked for (Ctrl+Return)"));
    pressedBy(keep_, Qt::CTRL | Qt::Key_Return);
    connect(keep_, &QToolButton::clicked, this, &CheckStation::keep);
    column->addWidget(keep_);
    return measuring_;
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
    if (aloud_->isChecked()) speaker_.say(inHouseUnit(items_[current_].name + ": " + judged.words));
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
        auto* row = new QListWidgetItem(inHouseUnit(text), list_);
        if (!readings_[i]) continue;
        const Judged judged = judge(item, *readings_[i]);
        ++measured;
        if (judged.finding == Finding::asPlanned) ++within;
        row->setText(inHouseUnit((judged.finding == Finding::asPlanned ? QStringLiteral("✓ ") : QStringLiteral("✗ ")) + text +
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
    CheckEntry entry{document_.pattern()->id, QDate::currentDate().toString(Qt::ISODate).toStdString(), readings_, {}, photoFile_};
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
