#include "frame/fields_form.h"

#include <QLabel>
#include <QVBoxLayout>
#include <algorithm>

#include "frame/retire.h"
#include "parts/field_editor.h"
#include "parts/label.h"
#include "parts/said_form.h"

namespace machair::app {

FieldsForm::FieldsForm(Document& document, const Theme& theme, const char* name, std::vector<std::string> keys,
                       std::function<Faults(const std::string&, const std::string&)> write, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      name_(QString::fromLatin1(name)),
      keys_(std::move(keys)),
      write_(std::move(write)),
      fault_(new Label) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(3);
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
    const auto has = [this](const Field& field) { return form_->editor(field.key) != nullptr; };
    if (!form_ || fields.size() != form_->rows() || !std::ranges::all_of(fields, has)) build(fields);
    for (const Field& field : fields)
        form_->show(field);
}

void FieldsForm::build(const std::vector<Field>& fields) {
    if (form_) retire(form_);
    form_ = new SaidForm(this);
    for (const Field& field : fields) {
        const QString name = name_ + QLatin1Char('-') + qt(field.key);
        auto* editor = new FieldEditor(document_, theme_, field, name, [this, key = field.key](const QString& text) { write(key, text); });
        editor->setToolTip(tr("Empty where it isn't known or isn't ruled"));
        if (onPaper_) editor->writeOnPaper();
        form_->add(field, name, editor);
    }
    form_->settle();
    static_cast<QVBoxLayout*>(layout())->insertWidget(0, form_);
}

void FieldsForm::write(const std::string& key, const QString& text) {
    const Faults faults = write_(key, text.toStdString());
    fault_->setVisible(!faults.empty());
    if (faults.empty()) return;
    fault_->setText(QStringLiteral("✗ ") + sayFault(faults.front()));
    if (FieldEditor* editor = form_->editor(key)) editor->show(editor->field());  // as it was
}

}  // namespace machair::app
