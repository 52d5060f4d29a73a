#include "parts/said_form.h"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "parts/field_editor.h"
#include "parts/label.h"

namespace machair::app {

SaidForm::SaidForm(QWidget* parent) : QWidget(parent), form_(new QFormLayout), unsaid_(new QWidget(this)), words_(nullptr) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    form_->setHorizontalSpacing(10);
    form_->setVerticalSpacing(4);
    form_->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    column->addLayout(form_);
    words_ = new FlowLayout(unsaid_, 3);
    auto* usual = new Label(tr("as usual:"));
    usual->setFont(faceScaled(0.9));
    usual->setContentsMargins(0, 4, 4, 4);  // on the line of the words
    words_->addWidget(usual);
    unsaid_->hide();
    column->addWidget(unsaid_);
}

void SaidForm::add(const Field& field, const QString& name, FieldEditor* editor, QWidget* beside) {
    Row& row = rows_[field.key];
    row.editor = editor;
    row.line = new QWidget(this);
    auto* line = new QHBoxLayout(row.line);
    line->setContentsMargins(0, 0, 0, 0);
    line->addWidget(editor, 1);
    if (beside) line->addWidget(beside);
    form_->addRow(labelFor(field, editor), row.line);
    row.word = new QToolButton(unsaid_);
    row.word->setObjectName(QStringLiteral("say-") + name);
    row.word->setText(QString::fromStdString(field.label).section(QLatin1Char(','), 0, 0));
    row.word->setFont(faceScaled(0.9));
    row.word->setAutoRaise(true);
    row.word->setToolTip(tr("Say it; the usual holds until then"));
    row.word->setAccessibleName(tr("Say: %1").arg(row.word->text()));
    words_->addWidget(row.word);
    connect(row.word, &QToolButton::clicked, this, [this, key = field.key] { open(key); });
    row.said = !field.text.empty() || !field.optional;
}

void SaidForm::settle() {
    folds_ = std::ranges::count_if(rows_, [](const auto& row) { return !row.second.said; }) > kFewUnsaid;
    for (const auto& [key, row] : rows_)
        place(row);
}

void SaidForm::show(const Field& field) {
    const auto found = rows_.find(field.key);
    if (found == rows_.end()) return;
    Row& row = found->second;
    row.editor->show(field);
    const bool said = !field.text.empty() || !field.optional;
    if (said == row.said) return;
    row.opened = row.opened || row.said;  // what was just made empty stays in sight
    row.said = said;
    place(row);
}

void SaidForm::place(const Row& row) {
    const bool shown = row.said || row.opened || !folds_;
    form_->setRowVisible(row.line, shown);
    row.word->setVisible(!shown);
    unsaid_->setVisible(
        std::ranges::any_of(rows_, [](const auto& one) { return one.second.word->isVisibleTo(one.second.word->parentWidget()); }));
    words_->invalidate();
}

void SaidForm::open(const std::string& key) {
    const auto found = rows_.find(key);
    if (found == rows_.end()) return;
    found->second.opened = true;
    place(found->second);
    found->second.editor->setFocus(Qt::OtherFocusReason);
}

FieldEditor* SaidForm::editor(const std::string& key) const {
    const auto found = rows_.find(key);
    return found == rows_.end() ? nullptr : found->second.editor;
}

}  // namespace machair::app
