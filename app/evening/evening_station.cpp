#include "evening/evening_station.h"

#include <QApplication>
#include <QComboBox>
#include <QDateTime>
#include <QHBoxLayout>
#include <QLabel>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QTimeEdit>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>
#include <numeric>
#include <tuple>

#include "bench/round.h"
#include "cutting/stock.h"
#include "daybook/box.h"
#include "editing/tying_hand.h"
#include "editing/write_text.h"
#include "evening/batches_panel.h"
#include "evening/shelf.h"
#include "evening/timeline_view.h"
#include "frame/ask_file.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "store/calendar.h"
#include "store/csv.h"
#include "units/text.h"

namespace machair::app {
namespace {

constexpr int kEveningPanel = 340;

}  // namespace

EveningStation::EveningStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent)
    : QWidget(parent),
      document_(document),
      settings_(settings),
      timeline_(new TimelineView(document, theme)),
      batches_(new BatchesPanel(document, theme)),
      minutes_(new QSpinBox),
      by_(new QTimeEdit),
      way_(new QComboBox),
      said_(new Label),
      shelf_(new Shelf(document, theme)),
      due_(new Label) {
    setObjectName(QStringLiteral("evening"));
    clock_.setInterval(kTick);
    connect(&clock_, &QTimer::timeout, this, &EveningStation::tick);
    auto* layout = sideBySide(this);
    auto* left = new QVBoxLayout;
    left->setSpacing(0);
    left->addWidget(timeline_, 3);
    left->addWidget(shelf_, 2);
    layout->addLayout(left, 1);
    connect(shelf_, &Shelf::batchWanted, batches_, &BatchesPanel::addOf);
    connect(timeline_, &TimelineView::moved, this, &EveningStation::move);
    connect(timeline_, &TimelineView::endMoved, minutes_, &QSpinBox::setValue);
    layout->addWidget(scrolled(makePanel(), kEveningPanel));
    connect(&document_, &Document::bookChanged, this, [this] {
        if (isVisible()) refresh();
    });
    connect(&document_, &Document::bookOpened, this, [this] {
        if (isVisible()) refresh();
    });
}

QWidget* EveningStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    column->addWidget(batches_, 1);
    addTime(column);
    addRun(column);
    return panel;
}

// How long there is, and in which way it is spent.
void EveningStation::addTime(QVBoxLayout* column) {
    auto* time = new QHBoxLayout;
    time->addWidget(new Label(tr("There are")));
    minutes_->setObjectName(QStringLiteral("minutes"));
    minutes_->setRange(0, 1440);
    minutes_->setValue(120);
    minutes_->setSuffix(tr(" min"));
    time->addWidget(minutes_);
    by_->setObjectName(QStringLiteral("by-hour"));
    by_->setAccessibleName(tr("Until this hour"));
    by_->setDisplayFormat(QStringLiteral("HH:mm"));
    by_->setToolTip(tr("By this hour: as many minutes as there are until then"));
    time->addWidget(new Label(tr("until")));
    time->addWidget(by_);
    connect(by_, &QTimeEdit::editingFinished, this, [this] {
        const int seconds = QTime::currentTime().secsTo(by_->time());
        constexpr int kDay = 24 * 60 * 60;
        minutes_->setValue((seconds < 0 ? seconds + kDay : seconds) / 60);
    });
    way_->setObjectName(QStringLiteral("way"));
    way_->addItem(tr("the best way"));
    way_->addItem(tr("fly by fly"));
    way_->addItem(tr("stage by stage"));
    way_->addItem(tr("least change of material"));
    way_->addItem(tr("my order"));
    way_->addItem(tr("the most by then"));
    way_->setCurrentIndex(kMostByThen);
    time->addStretch(1);
    column->addLayout(time);
    column->addWidget(way_);
    connect(minutes_, &QSpinBox::valueChanged, this, &EveningStation::askEvening);
    connect(way_, &QComboBox::currentIndexChanged, this, &EveningStation::showTable);
}

void EveningStation::showEvent(QShowEvent*) { refresh(); }

// A job dragged to another place: what was shown becomes the tier's own order, with this one moved.
void EveningStation::move(std::size_t job, std::size_t before) {
    if (!best_ || job >= jobs_.size()) return;  // the evening was laid out anew meanwhile
    std::vector<std::size_t> order;
    for (const TimedStage& stage : table().stages)
        if (std::ranges::find(order, stage.job) == order.end()) order.push_back(stage.job);
    std::erase(order, job);
    order.insert(std::ranges::find(order, before), job);
    order_ = std::move(order);
    const QSignalBlocker quiet(way_);
    way_->setCurrentIndex(4);
    showTable();
}

void EveningStation::refresh() {
    if (!document_.isOpen()) return;
    batches_->refresh();
    shelf_->refresh();
    auto jobs = waitingJobs(document_.book());
    best_.reset();  // what was shown is of other jobs
    asked_.reset();
    jobs_ = jobs ? std::move(*jobs) : std::vector<TyingJob>();
    if (!jobs) {
        background_.stop();
        timeline_->show({}, {}, minutes_->value());
        return said_->setText(qt(jobs.error().front().line()));
    }
    background_.start(
        [jobs = jobs_](const std::stop_token& stop, const Background::Progress&) { return earliestFinish(jobs, kSetUp, stop); },
        [this](BestTimetable best) {
            best_ = std::move(best);
            askEvening();
        });
}

// The most flies that are whole and dry within the minutes that there are.
void EveningStation::askEvening() {
    by_->setTime(QTime::currentTime().addSecs(60 * minutes_->value()));
    asked_.reset();
    showTable();
    asking_.start([jobs = jobs_, minutes = static_cast<double>(minutes_->value())](
                      const std::stop_token& stop, const Background::Progress&) { return mostBy(jobs, minutes, kSetUp, stop); },
                  [this](AskedEvening asked) {
                      asked_ = std::move(asked);
                      showTable();
                  });
}

void EveningStation::showTable() {
    if (!best_) return;
    const Timetable one = flyByFly(jobs_), two = stageByStage(jobs_);
    const Timetable shown = table();
    timeline_->show(jobs_, shown, minutes_->value());
    if (jobs_.empty()) return said_->setText(tr("Nothing waits."));
    if (!shown.stages.empty()) keepStageByStage(settings_, orderOf(shown) == RoundOrder::stageByStage);  // so it goes at the vice
    const auto whole = [](double minutes) { return number(minutes, 0); };
    int all = 0;
    for (const TyingJob& job : jobs_)
        all += job.count;
    if (way_->currentIndex() == kMostByThen) {
        if (!asked_) return said_->setText(tr("Laying out the evening…"));
        const std::string left = leftUndone(document_.book(), jobs_, asked_->counts);
        QString words = tr("Within %1 min %2 of %3 can be whole and dry%4.")
                            .arg(minutes_->value())
                            .arg(asked_->flies())
                            .arg(all)
                            .arg(asked_->proven ? tr(" (proven)") : QString());
        if (asked_->flies() > 0)
            words += tr(" Hands free after %1 min, all dry after %2.").arg(whole(shown.handsFree), whole(shown.allDry));
        constexpr double kBeginOneMore = 5.0;
        if (!left.empty() && asked_->handsLeft >= kBeginOneMore)
            words += tr(" %1 min of hands are left: begin one more.").arg(whole(asked_->handsLeft));
        if (!left.empty()) words += tr("\nFor another evening: %1.").arg(qt(left));
        return said_->setText(words + QLatin1Char('\n') + sayTimes());
    }
    const std::vector<int> dried = driedBefore(shown, jobs_, minutes_->value());
    const int fit = std::reduce(dried.begin(), dried.end());
    const std::string left = leftUndone(document_.book(), jobs_, dried);
    said_->setText(tr("Hands free after %1 min, all dry after %2.\nFly by fly %3, stage by stage %4, best %5%6.\nWithin %7 min %8 of %9 "
                      "are whole and dry%10.\n%11")
                       .arg(whole(shown.handsFree), whole(shown.allDry), whole(one.allDry), whole(two.allDry), whole(best_->table.allDry),
                            best_->proven ? tr(" (proven)") : tr(" (not before %1)").arg(whole(best_->bound)))
                       .arg(minutes_->value())
                       .arg(fit)
                       .arg(all)
                       .arg(left.empty() ? QString() : tr("; not by then: %1").arg(qt(left)), sayTimes()));
}

}  // namespace machair::app
