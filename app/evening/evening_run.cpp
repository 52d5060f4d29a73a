// The evening as it runs: what is due, how far it has come, and what is taken from it.
#include "evening/evening_station.h"

#include <QApplication>
#include <QComboBox>
#include <QDateTime>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QTimeEdit>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>
#include <numeric>
#include <tuple>

#include "bench/round.h"
#include "book/fields.h"
#include "book/record_edits.h"
#include "cutting/stock.h"
#include "daybook/box.h"
#include "editing/tying_hand.h"
#include "editing/write_text.h"
#include "evening/shelf.h"
#include "evening/timeline_view.h"
#include "frame/ask_file.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts/dates.h"
#include "parts/label.h"
#include "parts/pictured.h"
#include "store/calendar.h"
#include "store/csv.h"
#include "units/text.h"

namespace machair::app {

// The evening as it runs, and what is taken from it.
void EveningStation::addRun(QVBoxLayout* column) {
    said_->setObjectName(QStringLiteral("evening-said"));
    said_->setWordWrap(true);
    column->addWidget(said_);
    run_ = toolButton("run-evening", tr("Begin the evening"), tr("The clock runs along the timetable and rings when a coat is due"));
    run_->setCheckable(true);
    connect(run_, &QToolButton::toggled, this, &EveningStation::runEvening);
    column->addWidget(run_);
    due_->setObjectName(QStringLiteral("coat-due"));
    due_->setWordWrap(true);
    due_->hide();
    column->addWidget(due_);
    auto* out = new QHBoxLayout;
    auto* calendar =
        toolButton("calendar", tr("Calendar…"), tr("The evening as iCalendar, from eight o'clock tonight, with an alarm for each coat"));
    auto* buying = toolButton("buying", tr("Buying list…"), tr("What is wanted, what there is and what to buy, as CSV or text"));
    out->addWidget(calendar);
    out->addWidget(buying);
    out->addStretch(1);
    column->addLayout(out);
    connect(calendar, &QToolButton::clicked, this, &EveningStation::keepCalendar);
    connect(buying, &QToolButton::clicked, this, &EveningStation::keepBuyingList);
}

void EveningStation::keepCalendar() {
    if (!best_ || table().stages.empty())
        return document_.say(jobs_.empty() ? tr("Nothing waits to be tied") : tr("No fly can be whole and dry by then"));
    askWhereToWrite(this, tr("Keep the evening as"), QStringLiteral("evening.ics"), tr("iCalendar (*.ics)"), QStringLiteral("ics"),
                    [this](const QString& path) {
                        const std::string start = today() + "T20:00";
                        const std::string stamp =
                            QDateTime::currentDateTimeUtc().toString(QStringLiteral("yyyyMMdd'T'HHmmss'Z'")).toStdString();
                        std::vector<store::CalendarEvent> events;
                        for (const EveningEvent& event : eventsOf(document_.book(), table(), jobs_))
                            events.push_back({"machair-" + stamp + "-" + std::to_string(events.size()), event.what, event.how, event.start,
                                              event.end, event.rings});
                        writeText(document_, path, store::toCalendar(events, start, stamp));
                    });
}

void EveningStation::keepBuyingList() {
    const auto wanted = stockWanted(document_.book());
    if (!wanted) return document_.say(qt(wanted.error().front().line()));
    askWhereToWrite(this, tr("Keep the buying list as"), QStringLiteral("buying.csv"), tr("CSV (*.csv);;Text (*.txt)"),
                    QStringLiteral("csv"), [this, wanted = *wanted](const QString& path) {
                        std::vector<store::CsvRow> rows = {{"material", "has", "wants", "buy", "runs_out_in", "buy_by"}};
                        std::string text;
                        for (const StockWanted& row : wanted) {
                            rows.push_back({row.title, row.has, row.wants, row.buy, row.runsOutIn.value_or(""), row.buyBy.value_or("")});
                            if (!row.buy.empty())
                                text += row.title + ": " + row.buy + (row.buyBy ? machair::say(", before {}", *row.buyBy) : "") + "\n";
                        }
                        writeText(document_, path, path.endsWith(QStringLiteral(".txt")) ? text : store::writeCsv(rows));
                    });
}

void EveningStation::quicken(double times) {
    pace_ = times;
    clock_.setInterval(std::max(10, static_cast<int>(kTick / times)));
}

std::optional<double> EveningStation::minutesGone() const {
    constexpr double kMinute = 60'000.0;
    return begun_.isValid() ? std::optional(pace_ * static_cast<double>(begun_.elapsed()) / kMinute) : std::nullopt;
}

void EveningStation::runEvening(bool on) {
    due_->setVisible(on);
    const bool laidOut = best_ && (way_->currentIndex() != kMostByThen || asked_);
    if (!on || !laidOut || table().stages.empty()) {
        clock_.stop();
        begun_.invalidate();
        timeline_->showNow(std::nullopt);
        if (on) {
            run_->setChecked(false);
            document_.say(best_ && jobs_.empty() ? tr("Nothing waits to be tied")
                          : !laidOut             ? tr("The evening is still being laid out: a moment")
                                                 : tr("No fly can be whole and dry by then"));
        }
        return run_->setText(tr("Begin the evening"));
    }
    coats_ = eventsOf(document_.book(), table(), jobs_);
    std::erase_if(coats_, [](const EveningEvent& event) { return !event.rings; });
    run_->setText(tr("End the evening"));
    begun_.start();
    clock_.start();
    tick();
}

// Rings for what became due, and says what comes next.
void EveningStation::tick() {
    const double now = minutesGone().value_or(0.0);
    timeline_->showNow(now);
    while (!coats_.empty() && coats_.front().start <= now) {
        QApplication::beep();
        QApplication::alert(window());
        document_.say(tr("Now: %1").arg(qt(coats_.front().what)));
        coats_.erase(coats_.begin());
    }
    due_->setText(coats_.empty()
                      ? tr("%1 min gone; every coat was rung.").arg(number(now, 0))
                      : tr("%1 min gone; in %2: %3.").arg(number(now, 0), number(coats_.front().start - now, 0), qt(coats_.front().what)));
}

// Whose times they are: the tier's own medians with their middle half, else what the steps would take.
QString EveningStation::sayTimes() const {
    std::vector<std::string> own;
    for (const TyingJob& job : jobs_)
        if (const auto minutes = ownMinutes(document_.book(), job.fly)) {
            const Pattern* pattern = document_.book().findPattern(job.fly);
            const QString said = tr("%1 %2 min (%3 to %4)")
                                     .arg(pattern ? qt(pattern->title()) : qt(job.fly), number(minutes->median, 0), number(minutes->low, 0),
                                          number(minutes->high, 0));
            if (std::string one = said.toStdString(); std::ranges::find(own, one) == own.end()) own.push_back(std::move(one));
        }
    return own.empty() ? tr("Times are a rule of thumb from the steps until three of a dressing were timed.")
                       : tr("Your own times: %1.").arg(qt(sayNames(own)));
}

Timetable EveningStation::table() const {
    const auto inOrder = [&](const std::vector<std::size_t>& order) {
        std::vector<TyingJob> jobs;
        for (const std::size_t job : order)
            jobs.push_back(jobs_[job]);
        Timetable made = flyByFly(jobs);
        for (TimedStage& stage : made.stages)
            stage.job = order[stage.job];
        return made;
    };
    switch (way_->currentIndex()) {
        case kMostByThen: {
            if (!asked_) return {};
            Timetable chosen = asked_->best.table;
            for (TimedStage& stage : chosen.stages)
                stage.job = asked_->of[stage.job];
            return chosen;
        }
        case 1: return flyByFly(jobs_);
        case 2: return stageByStage(jobs_);
        case 3: return inOrder(groupedOrder(document_.book(), jobs_));
        case 4: return order_.size() == jobs_.size() ? inOrder(order_) : flyByFly(jobs_);
        default: return best_->table;
    }
}

}  // namespace machair::app
