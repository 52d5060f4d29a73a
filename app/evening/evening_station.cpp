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
#include "evening/stock_lines.h"
#include "evening/timeline_view.h"
#include "frame/ask_file.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "parts/chooser.h"
#include "parts/label.h"
#include "parts/pictured.h"
#include "store/calendar.h"
#include "store/csv.h"
#include "units/text.h"

namespace machair::app {
namespace {

constexpr int kEveningPanel = 340;
constexpr int kMostByThen = 5;  // among the ways
constexpr int kTick = 1000;     // ms between two looks at the clock
constexpr QSize kSmallPicture(56, 34);

}  // namespace

EveningStation::EveningStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent)
    : QWidget(parent),
      document_(document),
      settings_(settings),
      theme_(theme),
      timeline_(new TimelineView(document, theme)),
      batches_(new QListWidget),
      wanted_(new QSpinBox),
      minutes_(new QSpinBox),
      by_(new QTimeEdit),
      way_(new QComboBox),
      said_(new Label),
      pictures_(Pictures::of(document, theme)),
      box_(new QListWidget),
      count_(new QSpinBox),
      next_(new QListWidget),
      stock_(new QListWidget),
      due_(new Label) {
    setObjectName(QStringLiteral("evening"));
    clock_.setInterval(kTick);
    connect(&clock_, &QTimer::timeout, this, &EveningStation::tick);
    auto* layout = sideBySide(this);
    auto* left = new QVBoxLayout;
    left->setSpacing(0);
    left->addWidget(timeline_, 3);
    left->addWidget(makeStock(), 2);
    layout->addLayout(left, 1);
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
    column->addWidget(heading(tr("Batches")));
    batches_->setObjectName(QStringLiteral("batches"));
    batches_->setAccessibleName(tr("Batches"));
    batches_->setFrameShape(QFrame::NoFrame);
    showPictures(batches_, pictures_, kSmallPicture);
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
    batch_ = new FieldsForm(
        document_, theme_, "batch", {"hook", "day", "team", "note"}, [this](const std::string& key, const std::string& text) {
            const auto* item = batches_->currentItem();
            return item ? document_.apply(changeBatchField(document_.book(), item->data(Qt::UserRole).toString().toStdString(), key, text))
                        : Faults();
        });
    column->addWidget(batch_);
    connect(batches_, &QListWidget::currentRowChanged, this, [this](int row) {
        const auto& batches = document_.book().batches;
        if (row >= 0 && static_cast<std::size_t>(row) < batches.size()) batch_->show(fieldsOf(batches[static_cast<std::size_t>(row)]));
    });
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
    connect(more, &QToolButton::clicked, this, [this] {
        if (document_.pattern()) document_.refuse(document_.apply(addBatch(document_.book(), document_.pattern()->id, wanted_->value())));
    });
    connect(tied, &QToolButton::clicked, this, [this] {
        const auto* item = batches_->currentItem();
        if (!item) return document_.say(tr("Choose a batch first"));
        // The time since the last one was tied is how long this one took, where it can be: nobody ties in a minute.
        constexpr double kLeast = 2.0, kMost = 90.0;
        const double minutes = sinceLast_.isValid() ? static_cast<double>(sinceLast_.elapsed()) / 60'000.0 : 0.0;
        const Faults faults = document_.apply(tieOneOf(document_.book(), item->data(Qt::UserRole).toString().toStdString(),
                                                       minutes >= kLeast && minutes <= kMost ? std::optional(minutes) : std::nullopt));
        sinceLast_.start();
        if (!faults.empty()) document_.say(qt(faults.front().line()));
    });
    connect(minutes_, &QSpinBox::valueChanged, this, &EveningStation::askEvening);
    connect(way_, &QComboBox::currentIndexChanged, this, &EveningStation::showTable);
    return panel;
}

// Under the timetable: what lies in the box, what to tie next, what runs out.
QWidget* EveningStation::makeStock() {
    auto* under = new QWidget;
    auto* row = new QHBoxLayout(under);
    row->setContentsMargins(14, 8, 14, 8);
    row->setSpacing(14);
    const auto column = [&](const QString& title, QListWidget* list, const char* name, const QString& spoken) {
        auto* made = new QVBoxLayout;
        made->addWidget(heading(title));
        asLines(list, name, spoken);
        showPictures(list, pictures_, kSmallPicture);
        made->addWidget(list, 1);
        row->addLayout(made, 1);
        return made;
    };
    auto* box = column(tr("The fly box"), box_, "fly-box", tr("Flies in the box"));
    auto* happened = new QHBoxLayout;
    happened->setSpacing(3);
    for (const auto& [name, text, tip, event] :
         {std::tuple{"box-chewed", tr("Chewed"), tr("One of it is chewed: still there, but spent"), BoxEvent::chewed},
          std::tuple{"box-lost", tr("Lost"), tr("One of it stayed in the water"), BoxEvent::lost},
          std::tuple{"box-mended", tr("Mended"), tr("A chewed one is sound again"), BoxEvent::mended},
          std::tuple{"box-out", tr("Out"), tr("A chewed one is thrown away"), BoxEvent::thrownAway}}) {
        auto* button = toolButton(name, text, tip);
        connect(button, &QToolButton::clicked, this, [this, event] {
            const auto* item = box_->currentItem();
            if (!item) return document_.say(tr("Choose a fly of the box first"));
            const Faults faults = document_.apply(boxEvent(document_.book(), item->data(Qt::UserRole).toString().toStdString(), event));
            if (!faults.empty()) document_.say(qt(faults.front().what));
        });
        happened->addWidget(button);
    }
    happened->addStretch(1);
    box->addLayout(makeCount());
    box->addLayout(happened);
    auto* next = column(tr("Tie next (rule of thumb)"), next_, "tie-next", tr("What to tie next"));
    auto* add = toolButton("next-batch", tr("Add as a batch"), tr("So many of it as stands beside \"Add of the bench's\""));
    connect(add, &QToolButton::clicked, this, [this] {
        const auto* item = next_->currentItem();
        if (!item) return document_.say(tr("Choose a dressing first"));
        document_.refuse(document_.apply(addBatch(document_.book(), item->data(Qt::UserRole).toString().toStdString(), wanted_->value())));
    });
    next->addWidget(add);
    stock_->setItemDelegate(new StockLines(theme_, stock_));
    auto* stock = column(tr("Runs out first"), stock_, "runs-out", tr("What runs out first"));
    there_ = new FieldsForm(
        document_, theme_, "stock", {"length_m", "count", "mass_mg", "offcuts_mm"},
        [this](const std::string& key, const std::string& text) {
            const auto* item = stock_->currentItem();
            return item ? document_.apply(changeStock(document_.book(), item->data(Qt::UserRole).toString().toStdString(), key, text))
                        : Faults();
        });
    there_->hide();
    stock->addWidget(there_);
    connect(stock_, &QListWidget::currentRowChanged, this, [this](int chosen) {
        const QListWidgetItem* item = chosen < 0 ? nullptr : stock_->item(chosen);
        there_->setVisible(item && !item->data(Qt::UserRole).toString().isEmpty());
        if (!there_->isVisibleTo(this)) return;
        const Stock* there = document_.book().findStock(item->data(Qt::UserRole).toString().toStdString());
        there_->show(fieldsOf(there ? *there : Stock{}));
    });
    return under;
}

// How many there are of the chosen one, said outright; and others that one has already.
QLayout* EveningStation::makeCount() {
    auto* row = new QHBoxLayout;
    row->setSpacing(3);
    count_->setObjectName(QStringLiteral("box-count"));
    count_->setAccessibleName(tr("How many of the chosen fly there are"));
    constexpr int kMost = 100000;
    count_->setRange(0, kMost);
    count_->setPrefix(tr("there are "));
    count_->setEnabled(false);
    row->addWidget(count_);
    auto* have =
        toolButton("box-have", tr("I already have…"), tr("Flies tied before: the dressing and its hook from pictures, then their number"));
    row->addWidget(have);
    row->addStretch(1);
    connect(box_, &QListWidget::currentRowChanged, this, &EveningStation::showCount);
    connect(count_, &QSpinBox::editingFinished, this, [this] {
        const BoxFly* fly = chosenFly();
        if (!fly || count_->value() == fly->tied.value_or(1)) return;
        document_.refuse(
            document_.apply(changeRecord(document_.book(), {"box", fly->id}, "tied", std::to_string(count_->value()), Source::typed)));
    });
    connect(have, &QToolButton::clicked, this, [this, have] {
        if (!document_.isOpen()) return;
        Chooser::Asked asked;
        asked.title = tr("Which fly do you have already?");
        asked.things = thingsIn(document_.book(), "patterns");
        Chooser::ask(have, document_, theme_, std::move(asked), [this, have](const RecordId& fly) {
            const Pattern* dressing = document_.book().findPattern(fly.id);
            if (!dressing) return;
            Chooser::Asked hook;
            hook.title = tr("On which hook?");
            hook.things = thingsIn(document_.book(), "hooks");
            hook.now = {"hooks", dressing->hook};
            Chooser::ask(have, document_, theme_, std::move(hook),
                         [this, fly = fly.id](const RecordId& chosen) { haveAlready(fly, chosen.id); });
        });
    });
    return row;
}

const BoxFly* EveningStation::chosenFly() const {
    const QListWidgetItem* item = document_.isOpen() ? box_->currentItem() : nullptr;
    if (!item) return nullptr;
    const auto& box = document_.book().box;
    const auto found = std::ranges::find(box, item->data(Qt::UserRole).toString().toStdString(), &BoxFly::id);
    return found == box.end() ? nullptr : &*found;
}

void EveningStation::showCount() {
    const BoxFly* fly = chosenFly();
    count_->setEnabled(fly != nullptr);
    const QSignalBlocker quiet(count_);
    count_->setValue(fly ? fly->tied.value_or(1) : 0);
}

// One of it lies in the box from now on, where none did; its number is what is asked for next.
void EveningStation::haveAlready(const std::string& pattern, const std::string& hook) {
    if (boxCount(document_.book(), pattern, hook) == 0)
        document_.refuse(document_.apply(changeBoxCount(document_.book(), pattern, 1, hook)));
    const Pattern* dressing = document_.book().findPattern(pattern);
    for (int row = 0; row < box_->count(); ++row) {
        const std::string id = box_->item(row)->data(Qt::UserRole).toString().toStdString();
        const auto fly = std::ranges::find(document_.book().box, id, &BoxFly::id);
        if (fly == document_.book().box.end() || fly->pattern != pattern || fly->hook.value_or(dressing->hook) != hook) continue;
        box_->setCurrentRow(row);
        box_->scrollToItem(box_->item(row));
        break;
    }
    count_->setFocus();
    count_->selectAll();
}

void EveningStation::refreshBox() {
    const Book& book = document_.book();
    const Colours& c = theme_.colours();
    const int chosen = box_->currentRow();
    box_->clear();
    for (const BoxRow& row : boxRows(book)) {
        auto* item = new QListWidgetItem(tr("%1, %2%3: %4%5%6")
                                             .arg(qt(row.title))
                                             .arg(row.size)
                                             .arg(row.barb ? QString() : tr(" barbless"))
                                             .arg(row.tied)
                                             .arg(row.chewed > 0 ? tr(", %1 chewed").arg(row.chewed) : QString(),
                                                  row.lost > 0 ? tr(", %1 lost").arg(row.lost) : QString()),
                                         box_);
        item->setData(Qt::UserRole, qt(row.id));
        setPictured(*item, {"box", row.id}, pictures_);
        if (row.sound() == 0) item->setForeground(c.fault);
    }
    box_->setCurrentRow(std::min(chosen, box_->count() - 1));
    showCount();
    next_->clear();
    for (const TieNext& row : tieNext(book, QDate::currentDate().month())) {
        auto* item = new QListWidgetItem(inHouseUnit(row.title + "\n" + row.why), next_);
        item->setData(Qt::UserRole, qt(row.pattern));
        setPictured(*item, {"patterns", row.pattern}, pictures_);
        if (next_->count() >= 8) break;
    }
    const QString chosenStock = stock_->currentItem() ? stock_->currentItem()->data(Qt::UserRole).toString() : QString();
    stock_->clear();
    if (const auto wanted = stockWanted(book)) {
        for (const StockWanted& row : *wanted) {
            QString text =
                tr("%1\n%2 wanted, %3").arg(qt(row.title), qt(row.wants), row.lasts ? tr("%1 there").arg(qt(row.has)) : tr("not counted"));
            if (row.runsOutIn)
                text += tr("; out in %1: buy %2%3")
                            .arg(qt(*row.runsOutIn), qt(row.buy), row.buyBy ? tr(" before %1").arg(qt(*row.buyBy)) : QString());
            auto* item = new QListWidgetItem(inHouseUnit(text), stock_);
            item->setForeground(row.runsOutIn ? c.fault : row.lasts ? c.ink : c.inkSoft);
            item->setData(Qt::UserRole, qt(row.material));
            setPictured(*item, {"materials", row.material}, pictures_);
            StockLines::set(*item, row);
            item->setToolTip(tr("Choose it to say how much there is"));
            if (qt(row.material) == chosenStock) stock_->setCurrentItem(item);
        }
        if (wanted->empty()) new QListWidgetItem(tr("No batch waits: nothing is wanted."), stock_);
    }
}

void EveningStation::showEvent(QShowEvent*) { refresh(); }

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

void EveningStation::keepCalendar() {
    if (!best_ || table().stages.empty())
        return document_.say(jobs_.empty() ? tr("Nothing waits to be tied") : tr("No fly can be whole and dry by then"));
    askWhereToWrite(this, tr("Keep the evening as"), QStringLiteral("evening.ics"), tr("iCalendar (*.ics)"), QStringLiteral("ics"),
                    [this](const QString& path) {
                        const std::string start = QDate::currentDate().toString(Qt::ISODate).toStdString() + "T20:00";
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
                            if (!row.buy.empty()) text += row.title + ": " + row.buy + (row.buyBy ? ", before " + *row.buyBy : "") + "\n";
                        }
                        writeText(document_, path, path.endsWith(QStringLiteral(".txt")) ? text : store::writeCsv(rows));
                    });
}

void EveningStation::refresh() {
    if (!document_.isOpen()) return;
    const int row = batches_->currentRow();
    batches_->clear();
    for (const Batch& batch : document_.book().batches) {
        const Pattern* pattern = document_.book().findPattern(batch.pattern);
        auto* item = new QListWidgetItem(tr("%1%2: %3 of %4%5")
                                             .arg(pattern ? qt(pattern->title()) : qt(batch.pattern), sayHook(batch))
                                             .arg(batch.tied.value_or(0))
                                             .arg(batch.wanted)
                                             .arg(batch.day ? tr(", for %1").arg(qt(*batch.day)) : QString()),
                                         batches_);
        item->setData(Qt::UserRole, qt(batch.id));
        setPictured(*item, {"patterns", batch.pattern}, pictures_);
    }
    batches_->setCurrentRow(std::min(row, batches_->count() - 1));
    refreshBox();
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

// ", 12 barbless": of a batch that isn't on the dressing's own hook.
QString EveningStation::sayHook(const Batch& batch) const {
    const HookSpec* hook = batch.hook ? document_.book().findHook(*batch.hook) : nullptr;
    return hook ? tr(", %1%2").arg(hook->size).arg(hook->barb.value_or(true) ? QString() : tr(" barbless")) : QString();
}

// Whose times they are: the tier's own medians with their middle half, else what the steps would take.
QString EveningStation::sayTimes() const {
    QStringList own;
    for (const TyingJob& job : jobs_)
        if (const auto minutes = ownMinutes(document_.book(), job.fly)) {
            const Pattern* pattern = document_.book().findPattern(job.fly);
            own << tr("%1 %2 min (%3 to %4)")
                       .arg(pattern ? qt(pattern->title()) : qt(job.fly), number(minutes->median, 0), number(minutes->low, 0),
                            number(minutes->high, 0));
        }
    own.removeDuplicates();
    return own.isEmpty() ? tr("Times are a rule of thumb from the steps until three of a dressing were timed.")
                         : tr("Your own times: %1.").arg(own.join(tr(", ")));
}

}  // namespace machair::app
