#include "frame/fields_form.h"

#include <QFormLayout>
#include <QLabel>
#include <QVBoxLayout>
#include <algorithm>

#include "frame/retire.h"
#include "parts/field_editor.h"
#include "parts/label.h"

namespace machair::app {

FieldsForm::FieldsForm(Document& document, const Theme& theme, const char* name, std::vector<std::string> keys,
                       std::function<Faults(const std::string&, const std::string&)> write, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      name_(QString::fromLatin1(name)),
      keys_(std::move(keys)),
      write_(std::move(write)),
      form_(new QFormLayout),
      fault_(new Label) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(3);
    form_->setVerticalSpacing(3);
    form_->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    column->addLayout(form_);
    fault_->setObjectName(name_ + QStringLiteral("-fault"));
    fault_->setWordWrap(true);
    fault_->hide();
    column->addWidget(fault_);
}

void FieldsForm::show(const std::vector<Field>& all) {
    std::vector<Field> fields;
    for (const std::string& key : keys_)
        if (const auto found = std::ranges::find(all, key, &Field::key); found != all.end()) fields.push_back(*found);
    if (keys_.empty()) fields = all;
    const bool same =
        fields.size() == editors_.size() && std::ranges::all_of(fields, [this](const Field& f) { return editors_.contains(f.key); });
    if (!same) build(fields);
    for (const Field& field : fields)
        editors_.at(field.key)->show(field);
}

void FieldsForm::build(const std::vector<Field>& fields) {
    while (form_->rowCount() > 0) {
        const QFormLayout::TakeRowResult row = form_->takeRow(0);
        for (QLayoutItem* item : {row.labelItem, row.fieldItem}) {
            if (item && item->widget()) retire(item->widget());
            delete item;
        }
    }
    editors_.clear();
    for (const Field& field : fields) {
        auto* editor = new FieldEditor(document_, theme_, field, name_ + QLatin1Char('-') + qt(field.key),
                                       [this, key = field.key](const QString& text) { write(key, text); });
        editor->setToolTip(tr("Empty where it isn't known or isn't ruled"));
        form_->addRow(labelFor(field, editor), editor);
        editors_[field.key] = editor;
    }
}

void FieldsForm::write(const std::string& key, const QString& text) {
    const Faults faults = write_(key, text.toStdString());
    fault_->setVisible(!faults.empty());
    if (faults.empty()) return;
    fault_->setText(QStringLiteral("✗ ") + sayFault(faults.front()));
    if (const auto editor = editors_.find(key); editor != editors_.end()) editor->second->show(editor->second->field());  // as it was
}

}  // namespace machair::app
