// The panel beside the day: the days, a fish in three keys, what the day was like, what is kept of it.
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

QWidget* DaybookStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    mark_->setMinimumHeight(330);
    column->addWidget(mark_);
    column->addWidget(said_);
    addDays(column);
    addEntry(column);
    addNotes(column);
    addFiles(column);
    column->addWidget(in_);
    return panel;
}

void DaybookStation::addDays(QVBoxLayout* column) {
    auto* add = new QHBoxLayout;
    date_->setObjectName(QStringLiteral("date"));
    date_->setAccessibleName(tr("Date of the day"));
    date_->setText(dateSaid(today()));
    auto* fresh = new QToolButton;
    fresh->setObjectName(QStringLiteral("add-day"));
    fresh->setText(tr("New day"));
    add->addWidget(date_, 1);
    add->addWidget(fresh);
    column->addLayout(add);
    asLines(days_, "days", tr("Days, the latest first"));
    days_->setFocusPolicy(Qt::ClickFocus);
    days_->setFocusProxy(this);
    column->addWidget(days_, 1);
    connect(fresh, &QToolButton::clicked, this, [this] {
        if (!document_.isOpen()) return;
        const std::string date = dateWritten(date_->text());
        const Faults faults = document_.apply(addDay(
            document_.book(), date, document_.water() ? std::optional(document_.water()->id) : std::nullopt, document_.setting().day.wave));
        document_.refuse(faults);
        if (faults.empty()) chooseDay(DayId(date));
        setFocus();
    });
    connect(days_, &QListWidget::currentRowChanged, this, [this] {
        sayEntry();
        showPhotos();
    });
}

// How long the team fished, and the fish that is being logged by its keys.
void DaybookStation::addEntry(QVBoxLayout* column) {
    auto* outing = new FlowLayout;
    hours_->setObjectName(QStringLiteral("outing-hours"));
    hours_->setRange(0.25, 24.0);
    hours_->setSingleStep(0.25);
    hours_->setValue(2.0);
    hours_->setSuffix(tr(" h"));
    auto* fished = new QToolButton;
    fished->setObjectName(QStringLiteral("add-outing"));
    fished->setText(tr("The cast's team fished so long"));
    outing->addWidget(hours_);
    outing->addWidget(fished);
    column->addLayout(outing);
    entry_->setObjectName(QStringLiteral("entry"));
    entry_->setWordWrap(true);
    entry_->setFont(faceScaled(1.05, true));
    column->addWidget(entry_);
    auto* depth = new QHBoxLayout;
    depth->addWidget(new Label(tr("it took at")));
    depth_->setObjectName(QStringLiteral("fish-depth"));
    depth_->setAccessibleName(tr("Depth that the fish took at"));
    depth_->setRange(0.0, 20.0);
    depth_->setSingleStep(0.05);
    depth_->setSuffix(tr(" m"));
    depth_->setSpecialValueText(tr("not known"));
    depth_->setFocusPolicy(Qt::ClickFocus);
    depth->addWidget(depth_);
    depth->addStretch(1);
    column->addLayout(depth);
    connect(fished, &QToolButton::clicked, this, [this] {
        const TeamSpec* team = document_.team();
        if (day().empty() || !team) return document_.say(tr("Choose a day first, and hang a team on the cast"));
        document_.refuse(document_.apply(addOuting(document_.book(), day(), hours_->value(), team->flies)));
        setFocus();
    });
}

// What the day was like, its note and its photographs.
void DaybookStation::addNotes(QVBoxLayout* column) {
    note_->setObjectName(QStringLiteral("day-note"));
    note_->setAccessibleName(tr("A note of the day"));
    note_->setPlaceholderText(tr("a note of the day"));
    note_->setFocusPolicy(Qt::ClickFocus);
    column->addWidget(note_);
    like_ = new FieldsForm(document_, theme_, "day",
                           {"wave_m", "wind_m_s", "light", "colour", "celsius", "hatching", "drift_m_s", "drogue", "rods"},
                           [this](const std::string& key, const std::string& text) {
                               return day().empty() ? Faults() : document_.apply(changeDayField(document_.book(), day(), key, text));
                           });
    like_->hide();
    auto* like =
        toolButton("day-like", tr("What it was like…"),
                   tr("The day's wave, wind, light and water, as they were: taken from the water when the day was begun, corrected here"));
    like->setCheckable(true);
    connect(like, &QToolButton::toggled, like_, &QWidget::setVisible);
    column->addWidget(like);
    column->addWidget(like_);
    connect(note_, &QLineEdit::editingFinished, this, [this] {
        if (!note_->isModified() || day().empty()) return;
        note_->setModified(false);
        document_.refuse(document_.apply(changeDayNote(document_.book(), day(), note_->text().toStdString())));
    });
    column->addWidget(photos_);
}

void DaybookStation::addFiles(QVBoxLayout* column) {
    auto* files = new FlowLayout;
    auto* photo = toolButton("add-photo", tr("Photograph…"), tr("A picture of the day; the file stays where it is"));
    auto* out = toolButton("day-out", tr("Take the day out"), tr("The chosen day, with its outings and fish; undo brings it back"));
    connect(out, &QToolButton::clicked, this, &DaybookStation::takeDayOut);
    auto* importing = toolButton("import-days", tr("Import…"), tr("Days from a table (CSV): you say which column is which"));
    auto* keeping =
        toolButton("export-days", tr("Export…"), tr("All days and catches as CSV; the whole book as JSON is under Book, Keep a copy"));
    files->addWidget(photo);
    files->addWidget(importing);
    files->addWidget(keeping);
    column->addLayout(files);
    column->addWidget(out, 0, Qt::AlignLeft);
    connect(photo, &QToolButton::clicked, this, &DaybookStation::addPhotos);
    connect(importing, &QToolButton::clicked, this, &DaybookStation::askForImport);
    connect(keeping, &QToolButton::clicked, this, &DaybookStation::keepDays);
}

}  // namespace machair::app
