#include "evening/shelf.h"

#include <QDate>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>
#include <tuple>

#include "asking/day.h"
#include "bench/batches.h"
#include "book/fields.h"
#include "book/find.h"
#include "book/records.h"
#include "cutting/stock.h"
#include "daybook/box.h"
#include "evening/stock_lines.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "parts/chooser.h"
#include "parts/pictured.h"

namespace machair::app {

namespace {
constexpr QSize kShelfPicture(56, 34);
}

Shelf::Shelf(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      pictures_(Pictures::of(document, theme)),
      box_(new QListWidget),
      count_(new QSpinBox),
      next_(new QListWidget),
      stock_(new QListWidget) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(14, 8, 14, 8);
    row->setSpacing(14);
    const auto column = [&](const QString& title, QListWidget* list, const char* name, const QString& spoken) {
        auto* made = new QVBoxLayout;
        made->addWidget(heading(title));
        asLines(list, name, spoken);
        showPictures(list, pictures_, kShelfPicture);
        made->addWidget(list, 1);
        row->addLayout(made, 1);
        return made;
    };
    auto* box = column(tr("The fly box"), box_, "fly-box", tr("Flies in the box"));
    auto* events = new QHBoxLayout;
    events->setSpacing(3);
    for (const auto& [name, text, tip, event] :
         {std::tuple{"box-chewed", tr("Chewed"), tr("One of it is chewed: still there, but spent"), BoxEvent::chewed},
          std::tuple{"box-lost", tr("Lost"), tr("One of it stayed in the water"), BoxEvent::lost},
          std::tuple{"box-mended", tr("Mended"), tr("A chewed one is sound again"), BoxEvent::mended},
          std::tuple{"box-out", tr("Out"), tr("A chewed one is thrown away"), BoxEvent::thrownAway}}) {
        auto* button = toolButton(name, text, tip);
        connect(button, &QToolButton::clicked, this, [this, happened = event] {
            const auto* item = box_->currentItem();
            if (!item) return document_.say(tr("Choose a fly of the box first"));
            const Faults faults = document_.apply(boxEvent(document_.book(), item->data(Qt::UserRole).toString().toStdString(), happened));
            if (!faults.empty()) document_.say(qt(faults.front().what));
        });
        events->addWidget(button);
    }
    events->addStretch(1);
    box->addLayout(makeCount());
    box->addLayout(events);
    auto* next = column(tr("Tie next (rule of thumb)"), next_, "tie-next", tr("What to tie next"));
    auto* add = toolButton("next-batch", tr("Add as a batch"), tr("So many of it as stands beside \"Add of the bench's\""));
    connect(add, &QToolButton::clicked, this, [this] {
        const auto* item = next_->currentItem();
        if (!item) return document_.say(tr("Choose a dressing first"));
        emit batchWanted(DressingId(item->data(Qt::UserRole).toString().toStdString()));
    });
    next->addWidget(add);
    stock_->setItemDelegate(new StockLines(theme_, stock_));
    auto* stock = column(tr("Runs out first"), stock_, "runs-out", tr("What runs out first"));
    there_ =
        new FieldsForm(document_, theme_, "stock", {"length_m", "count", "mass_mg", "offcuts_mm"},
                       [this](const std::string& key, const std::string& text) {
                           const auto* item = stock_->currentItem();
                           return item ? document_.apply(changeStock(
                                             document_.book(), MaterialId(item->data(Qt::UserRole).toString().toStdString()), key, text))
                                       : Faults();
                       });
    there_->hide();
    stock->addWidget(there_);
    connect(stock_, &QListWidget::currentRowChanged, this, [this](int chosen) {
        const QListWidgetItem* item = chosen < 0 ? nullptr : stock_->item(chosen);
        there_->setVisible(item && !item->data(Qt::UserRole).toString().isEmpty());
        if (!there_->isVisibleTo(this)) return;
        const Stock* there = document_.book().findStock(MaterialId(item->data(Qt::UserRole).toString().toStdString()));
        there_->show(fieldsOf(there ? *there : Stock{}));
    });
}

// How many there are of the chosen one, said outright; and others that one has already.
QLayout* Shelf::makeCount() {
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
    connect(box_, &QListWidget::currentRowChanged, this, &Shelf::showCount);
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
            const Pattern* dressing = document_.book().findPattern(DressingId(fly.id));
            if (!dressing) return;
            Chooser::Asked hook;
            hook.title = tr("On which hook?");
            hook.things = thingsIn(document_.book(), "hooks");
            hook.now = {"hooks", dressing->hook};
            Chooser::ask(have, document_, theme_, std::move(hook),
                         [this, fly = DressingId(fly.id)](const RecordId& chosen) { haveAlready(fly, HookId(chosen.id)); });
        });
    });
    return row;
}

const BoxFly* Shelf::chosenFly() const {
    const QListWidgetItem* item = document_.isOpen() ? box_->currentItem() : nullptr;
    return item ? findById(document_.book().box, item->data(Qt::UserRole).toString().toStdString()) : nullptr;
}

void Shelf::showCount() {
    const BoxFly* fly = chosenFly();
    count_->setEnabled(fly != nullptr);
    const QSignalBlocker quiet(count_);
    count_->setValue(fly ? fly->tied.value_or(1) : 0);
}

// One of it lies in the box from now on, where none did; its number is what is asked for next.
void Shelf::haveAlready(const DressingId& pattern, const HookId& hook) {
    if (boxCount(document_.book(), pattern, hook) == 0)
        document_.refuse(document_.apply(changeBoxCount(document_.book(), pattern, 1, hook)));
    const Pattern* dressing = document_.book().findPattern(pattern);
    for (int row = 0; row < box_->count(); ++row) {
        const std::string id = box_->item(row)->data(Qt::UserRole).toString().toStdString();
        const BoxFly* fly = findById(document_.book().box, id);
        if (!fly || fly->pattern != pattern || fly->hook.value_or(dressing->hook) != hook) continue;
        box_->setCurrentRow(row);
        box_->scrollToItem(box_->item(row));
        break;
    }
    count_->setFocus();
    count_->selectAll();
}

void Shelf::refresh() {
    if (!document_.isOpen()) return;
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
        auto* item = new QListWidgetItem(inHouseWords(row.title + "\n" + row.why), next_);
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
            auto* item = new QListWidgetItem(inHouseWords(text), stock_);
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

std::optional<Question> Shelf::questionAt(std::optional<QPoint> at) const {
    const QListWidgetItem* item = at                   ? stock_->itemAt(stock_->viewport()->mapFrom(this, *at))
                                  : stock_->hasFocus() ? stock_->currentItem()
                                                       : nullptr;
    if (at && !stock_->geometry().contains(*at)) item = nullptr;
    const MaterialId asked(item ? item->data(Qt::UserRole).toString().toStdString() : std::string());
    if (asked.empty()) return std::nullopt;
    return AnsweredThere{[this, asked]() -> std::optional<Derivation> {
        const auto wanted =
            document_.isOpen() ? stockWanted(document_.book()) : Result<std::vector<StockWanted>>(std::vector<StockWanted>());
        if (!wanted) return std::nullopt;
        const auto line = std::ranges::find(*wanted, asked, &StockWanted::material);
        return line == wanted->end() ? std::nullopt : std::optional(ask(*line));
    }};
}

}  // namespace machair::app
