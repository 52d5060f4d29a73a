#include "frame/fields_form.h"
#include "parts/label.h"

#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <algorithm>

namespace machair::app {

FieldsForm::FieldsForm(const char* name, std::vector<std::string> keys, std::function<Faults(const std::string&, const std::string&)> write,
                       QWidget* parent)
    : QWidget(parent),
      name_(QString::fromLatin1(name)),
      keys_(std::move(keys)),
      write_(std::move(write)),
      form_(new QFormLayout),
      fault_(new Label) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(3);
    form_->setVerticalSpacing(3);
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
    shown_ = fields;
    if (editors_.empty()) build(fields);
    for (const Field& field : fields) {
        QWidget* editor = editors_.at(field.key);
        const QSignalBlocker quiet(editor);
        if (auto* box = qobject_cast<QComboBox*>(editor))
            box->setCurrentIndex(field.text.empty() ? 0 : box->findText(qt(field.text)));
        else if (auto* line = qobject_cast<QLineEdit*>(editor); line && !line->isModified())
            line->setText(qt(field.text));
    }
}

void FieldsForm::build(const std::vector<Field>& fields) {
    for (const Field& field : fields) {
        QWidget* editor = nullptr;
        if (field.kind == FieldKind::choice) {
            auto* box = new QComboBox;
            box->addItem(tr("–"));
            for (const std::string& choice : field.choices)
                box->addItem(qt(choice));
            connect(box, &QComboBox::activated, this,
                    [this, box, key = field.key](int i) { write(key, i == 0 ? QString() : box->itemText(i)); });
            editor = box;
        } else {
            auto* line = new QLineEdit;
            connect(line, &QLineEdit::editingFinished, this, [this, line, key = field.key] {
                if (!line->isModified()) return;
                line->setModified(false);
                write(key, line->text());
            });
            editor = line;
        }
        editor->setObjectName(name_ + QLatin1Char('-') + qt(field.key));
        editor->setAccessibleName(qt(field.label));
        editor->setToolTip(tr("Empty where it isn't known or isn't ruled"));
        form_->addRow(qt(field.label), editor);
        editors_[field.key] = editor;
    }
}

void FieldsForm::write(const std::string& key, const QString& text) {
    const Faults faults = write_(key, text.toStdString());
    fault_->setVisible(!faults.empty());
    if (!faults.empty())
        fault_->setText(QStringLiteral("✗ ") +
                        qt(faults.front().what + (faults.front().remedy.empty() ? "" : "; " + faults.front().remedy)));
    if (!faults.empty()) show(shown_);
}

}  // namespace machair::app
