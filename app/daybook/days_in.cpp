#include "daybook/days_in.h"

#include <QComboBox>
#include <QFormLayout>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/fields.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts/label.h"
#include "store/csv.h"
#include "store/disk.h"
#include "units/text.h"

namespace machair::app {

DaysIn::DaysIn(Document& document, QWidget* parent) : QWidget(parent), document_(document), columns_(new QFormLayout), said_(new Label) {
    auto* inside = new QVBoxLayout(this);
    inside->setContentsMargins(0, 0, 0, 0);
    inside->addWidget(heading(tr("Which column is which")));
    inside->addLayout(columns_);
    said_->setObjectName(QStringLiteral("mapping-said"));
    said_->setWordWrap(true);
    inside->addWidget(said_);
    auto* decide = new QHBoxLayout;
    auto* take = toolButton("take-in", tr("Take in"), tr("All rows, or none where one can't be read; Ctrl+Z gives the book back"));
    auto* leave = toolButton("leave-out", tr("Leave"), tr("Nothing is imported"));
    decide->addWidget(take);
    decide->addWidget(leave);
    decide->addStretch(1);
    inside->addLayout(decide);
    connect(take, &QToolButton::clicked, this, &DaysIn::takeIn);
    connect(leave, &QToolButton::clicked, this, &QWidget::hide);
    setObjectName(QStringLiteral("mapping"));
    hide();
}

void DaysIn::read(const QString& file) {
    constexpr std::size_t kMost = 64 << 20;
    auto text = store::readWhole(file.toStdString(), kMost);
    if (!text) return document_.refuse(text.error());
    csv_ = std::move(*text);
    showMapping();
}

// A column as the day, its outing or its fish call it.
QString DaysIn::called(std::string_view column) {
    std::vector<Field> fields = fieldsOf(Day());
    std::ranges::move(fieldsOf(Outing()), std::back_inserter(fields));
    std::ranges::move(fieldsOf(Fish()), std::back_inserter(fields));
    return qt(fieldLabel(fields, column));
}

void DaysIn::showMapping() {
    const auto guessed = store::guessColumns(csv_);
    if (!guessed) return document_.say(tr("No table of days: %1").arg(qt(guessed.error().front().line())));
    while (columns_->rowCount() > 0)
        columns_->removeRow(0);
    ours_.clear();
    for (const auto& [theirs, column] : *guessed) {
        auto* box = new QComboBox;
        box->setObjectName(QStringLiteral("column-") + qt(theirs));
        box->addItem(tr("leave out"), QString());
        for (const std::string_view known : store::kDayColumns)
            box->addItem(called(known), qt(std::string(known)));
        for (const char* known : {"depth_m", "note"})
            box->addItem(called(known), QString::fromLatin1(known));
        box->setCurrentIndex(std::max(0, box->findData(qt(column))));
        columns_->addRow(new Label(qt(theirs)), box);
        ours_[theirs] = box;
    }
    said_->setText(tr("A row with hours is an outing, one with a fly and a position a fish."));
    show();
}

void DaysIn::takeIn() {
    store::ColumnMapping mapping;
    for (const auto& [theirs, box] : ours_)
        if (const QString column = box->currentData().toString(); !column.isEmpty()) mapping[theirs] = column.toStdString();
    const auto imported = store::importDays(document_.book(), csv_, mapping);
    if (!imported) {
        QStringList said;
        for (std::size_t i = 0; i < std::min<std::size_t>(4, imported.error().size()); ++i)
            said << QStringLiteral("✗ ") + qt(imported.error()[i].line());
        if (imported.error().size() > 4) said << tr("and %1 more. Nothing was taken in.").arg(imported.error().size() - 4);
        return said_->setText(said.join(QLatin1Char('\n')));
    }
    if (imported->encoding != store::Encoding::utf8) document_.say(tr("Read as %1").arg(qt(sayName(imported->encoding))));
    const Faults faults = document_.apply(Edit{
        machair::say("{} days taken in, {} added to", std::to_string(imported->added), std::to_string(imported->changed)), imported->book});
    if (!faults.empty()) return said_->setText(qt(faults.front().line()));
    hide();
}

}  // namespace machair::app
