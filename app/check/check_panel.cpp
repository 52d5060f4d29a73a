// What the check is made of: the bench that is read from a metre, the ways of checking, what is measured and the look.
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
#include "parts/label.h"
#include "units/text.h"

namespace machair::app {

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
        connect(made, &QToolButton::clicked, this, [this, chosen = mode] { choose(chosen); });
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

}  // namespace machair::app
