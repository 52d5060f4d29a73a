#include "evening/batches_panel.h"

#include <QHBoxLayout>
#include <QListWidget>
#include <QSpinBox>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>
#include <functional>

#include "book/fields.h"
#include "book/find.h"
#include "book/flies.h"
#include "book/record_edits.h"
#include "cutting/stock.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "parts/dates.h"
#include "parts/pictured.h"

namespace machair::app {

namespace {

constexpr QSize kSmallPicture(56, 34);

BatchId batchOf(const QListWidgetItem& item) { return BatchId(item.data(Qt::UserRole).toString().toStdString()); }

bool isDone(const Batch* batch) { return batch->tied.value_or(0) >= batch->wanted; }

}  // namespace

BatchesPanel::BatchesPanel(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      pictures_(Pictures::of(document, theme)),
      list_(new QListWidget),
      wanted_(new QSpinBox),
      fields_(new FieldsForm(
          document, theme, "batch", {"hook", "day", "team", "note"}, [this](const std::string& key, const std::string& text) {
              return chosen().empty() ? Faults() : document_.apply(changeBatchField(document_.book(), chosen(), key, text));
          })) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(heading(tr("Batches")));
    asLines(list_, "batches", tr("Batches"));
    showPictures(list_, pictures_, kSmallPicture);
    column->addWidget(list_, 1);
    auto* add = new QHBoxLayout;
    wanted_->setObjectName(QStringLiteral("wanted"));
    constexpr int kMost = 10000, kUsual = 6;
    wanted_->setRange(1, kMost);
    wanted_->setValue(kUsual);
    auto* more = toolButton("add-batch", tr("Add of the bench's"), tr("So many of the dressing on the bench"));
    auto* tied = toolButton("tie-one", tr("One is tied"), tr("One more of the chosen batch, into the box"));
    add->addWidget(wanted_);
    add->addWidget(more);
    add->addWidget(tied);
    column->addLayout(add);
    column->addWidget(fields_);
    connect(list_, &QListWidget::currentItemChanged, this, [this] {
        if (const Batch* batch = findById(document_.book().batches, chosen())) fields_->show(fieldsOf(*batch));
    });
    connect(more, &QToolButton::clicked, this, [this] {
        if (document_.pattern()) addOf(document_.pattern()->id);
    });
    connect(tied, &QToolButton::clicked, this, &BatchesPanel::tieOne);
}

BatchId BatchesPanel::chosen() const { return list_->currentItem() ? batchOf(*list_->currentItem()) : BatchId(); }

void BatchesPanel::choose(const BatchId& batch) {
    for (int row = 0; row < list_->count(); ++row)
        if (batchOf(*list_->item(row)) == batch) list_->setCurrentRow(row);
}

void BatchesPanel::addOf(const DressingId& pattern) {
    const Faults faults = document_.apply(addBatch(document_.book(), pattern, wanted_->value()));
    document_.refuse(faults);
    if (faults.empty()) choose(document_.book().batches.back().id);
}

void BatchesPanel::tieOne() {
    if (chosen().empty()) return document_.say(tr("Choose a batch first"));
    // The time since the last one was tied is how long this one took, where it can be: nobody ties in a minute.
    constexpr double kLeast = 2.0, kMost = 90.0, kMinute = 60'000.0;
    const double minutes = sinceLast_.isValid() ? static_cast<double>(sinceLast_.elapsed()) / kMinute : 0.0;
    const bool plausible = minutes >= kLeast && minutes <= kMost;
    document_.refuse(document_.apply(tieOneOf(document_.book(), chosen(), plausible ? std::optional(minutes) : std::nullopt)));
    sinceLast_.start();
}

// Those that wait before those that are done, which only tell of the past.
void BatchesPanel::refresh() {
    const BatchId was = chosen();
    list_->clear();
    std::vector<const Batch*> batches;
    for (const Batch& batch : document_.book().batches)
        batches.push_back(&batch);
    std::stable_partition(batches.begin(), batches.end(), std::not_fn(isDone));
    for (const Batch* batch : batches) {
        const Pattern* pattern = document_.book().findPattern(batch->pattern);
        const HookSpec* hook = batch->hook ? document_.book().findHook(*batch->hook) : nullptr;  // not the dressing's own
        const std::string title = pattern ? pattern->title() : batch->pattern;
        auto* item = new QListWidgetItem(tr("%1: %2 of %3%4")
                                             .arg(qt(hook ? sayFly(title, *hook) : title))
                                             .arg(batch->tied.value_or(0))
                                             .arg(batch->wanted)
                                             .arg(batch->day ? tr(", for %1").arg(dateSaid(*batch->day)) : QString()),
                                         list_);
        item->setData(Qt::UserRole, qt(batch->id));
        if (isDone(batch)) item->setForeground(theme_.colours().inkSoft);
        setPictured(*item, {"patterns", batch->pattern}, pictures_);
    }
    choose(was);
}

}  // namespace machair::app
