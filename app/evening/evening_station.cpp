#include "evening/evening_station.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QSpinBox>
#include <QToolButton>
#include <QVBoxLayout>

#include "bench/batches.h"
#include "book/record_edits.h"
#include "frame/panel.h"
#include "evening/timeline_view.h"
#include "units/text.h"

namespace machair::app {
namespace {

constexpr int kPanelWidth = 340;

}  // namespace

EveningStation::EveningStation(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent), document_(document), timeline_(new TimelineView(theme)), batches_(new QListWidget), wanted_(new QSpinBox), minutes_(new QSpinBox),
      way_(new QComboBox), said_(new QLabel) {
    setObjectName(QStringLiteral("evening"));
    auto* layout = sideBySide(this);
    layout->addWidget(timeline_, 1);
    layout->addWidget(scrolled(makePanel(), kPanelWidth));
    connect(&document_, &Document::bookChanged, this, [this] { if (isVisible()) refresh(); });
    connect(&document_, &Document::bookOpened, this, [this] { if (isVisible()) refresh(); });
}

QWidget* EveningStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    column->addWidget(heading(tr("Batches")));
    batches_->setObjectName(QStringLiteral("batches"));
    batches_->setAccessibleName(tr("Batches"));
    batches_->setFrameShape(QFrame::NoFrame);
    column->addWidget(batches_, 1);
    auto* add = new QHBoxLayout;
    wanted_->setObjectName(QStringLiteral("wanted"));
    wanted_->setRange(1, 10000);
    wanted_->setValue(6);
    auto* more = new QToolButton;
    more->setObjectName(QStringLiteral("add-batch"));
    more->setText(tr("Add of the bench's"));
    more->setToolTip(tr("So many of the dressing on the bench"));
    auto* tied = new QToolButton;
    tied->setObjectName(QStringLiteral("tie-one"));
    tied->setText(tr("One is tied"));
    tied->setToolTip(tr("One more of the chosen batch, into the box"));
    add->addWidget(wanted_);
    add->addWidget(more);
    add->addWidget(tied);
    column->addLayout(add);
    auto* time = new QHBoxLayout;
    time->addWidget(new QLabel(tr("There are")));
    minutes_->setObjectName(QStringLiteral("minutes"));
    minutes_->setRange(0, 1440);
    minutes_->setValue(120);
    minutes_->setSuffix(tr(" min"));
    time->addWidget(minutes_);
    way_->setObjectName(QStringLiteral("way"));
    way_->addItem(tr("the best way"));
    way_->addItem(tr("fly by fly"));
    way_->addItem(tr("stage by stage"));
    time->addWidget(way_, 1);
    column->addLayout(time);
    said_->setObjectName(QStringLiteral("evening-said"));
    said_->setWordWrap(true);
    column->addWidget(said_);
    connect(more, &QToolButton::clicked, this, [this] {
        if (document_.pattern()) (void)document_.apply(addBatch(document_.book(), document_.pattern()->id, wanted_->value()));
    });
    connect(tied, &QToolButton::clicked, this, [this] {
        const auto* item = batches_->currentItem();
        if (!item) return document_.say(tr("Choose a batch first"));
        const Faults faults = document_.apply(tieOne(document_.book(), item->data(Qt::UserRole).toString().toStdString()));
        if (!faults.empty()) document_.say(qt(faults.front().line()));
    });
    connect(minutes_, &QSpinBox::valueChanged, this, &EveningStation::showTable);
    connect(way_, &QComboBox::currentIndexChanged, this, &EveningStation::showTable);
    return panel;
}

void EveningStation::showEvent(QShowEvent*) { refresh(); }

void EveningStation::refresh() {
    if (!document_.isOpen()) return;
    const int row = batches_->currentRow();
    batches_->clear();
    for (const Batch& batch : document_.book().batches) {
        const Pattern* pattern = document_.book().findPattern(batch.pattern);
        auto* item = new QListWidgetItem(tr("%1: %2 of %3%4").arg(pattern ? qt(pattern->title()) : qt(batch.pattern)).arg(batch.tied.value_or(0)).arg(batch.wanted).arg(batch.day ? tr(", for %1").arg(qt(*batch.day)) : QString()), batches_);
        item->setData(Qt::UserRole, qt(batch.id));
    }
    batches_->setCurrentRow(std::min(row, batches_->count() - 1));
    auto jobs = waitingJobs(document_.book());
    if (!jobs) {
        said_->setText(qt(jobs.error().front().line()));
        return;
    }
    jobs_ = std::move(*jobs);
    background_.start([jobs = jobs_](const std::stop_token& stop, const Background::Progress&) { return earliestFinish(jobs, kSetUp, stop); },
                      [this](BestTimetable best) {
                          best_ = std::move(best);
                          showTable();
                      });
}

void EveningStation::showTable() {
    if (!best_) return;
    const Timetable one = flyByFly(jobs_), two = stageByStage(jobs_);
    const Timetable& shown = way_->currentIndex() == 1 ? one : way_->currentIndex() == 2 ? two : best_->table;
    timeline_->show(jobs_, shown, minutes_->value());
    if (jobs_.empty()) return said_->setText(tr("Nothing waits."));
    const auto number = [](double minutes) { return qt(formatNumber(minutes, 0)); };
    int all = 0;
    for (const TyingJob& job : jobs_) all += job.count;
    const int fit = driedBefore(shown, jobs_, minutes_->value());
    said_->setText(tr("Hands free after %1 min, all dry after %2.\nFly by fly %3, stage by stage %4, best %5%6.\nWithin %7 min %8 of %9 are whole and dry.\nTimes are a rule of thumb from the steps.")
                       .arg(number(shown.handsFree), number(shown.allDry), number(one.allDry), number(two.allDry), number(best_->table.allDry),
                            best_->proven ? tr(" (proven)") : tr(" (not before %1)").arg(number(best_->bound)))
                       .arg(minutes_->value())
                       .arg(fit)
                       .arg(all));
}

}  // namespace machair::app
