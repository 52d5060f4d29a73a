#include "plan/dressing_panel.h"

#include <QComboBox>
#include <QFormLayout>
#include <QSignalBlocker>
#include <QVBoxLayout>

#include "frame/fields_form.h"
#include "frame/panel.h"

namespace machair::app {

DressingPanel::DressingPanel(Document& document, QWidget* parent) : QWidget(parent), document_(document), thread_(new QComboBox) {
    setObjectName(QStringLiteral("dressing"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(14, 4, 12, 6);
    column->setSpacing(4);
    column->addWidget(heading(tr("This dressing")));
    thread_->setObjectName(QStringLiteral("dressing-thread"));
    thread_->setAccessibleName(tr("Thread"));
    thread_->setToolTip(tr("Finer thread leaves more room at the eye; every bed and the head change with it"));
    auto* first = new QFormLayout;
    first->addRow(tr("thread"), thread_);
    column->addLayout(first);
    form_ = new FieldsForm("dressing", {"role", "max_length_mm", "buoyancy_mN", "note", "varied_why"},
                           [this](const std::string& key, const std::string& text) { return write(key, text); }, this);
    column->addWidget(form_);
    connect(thread_, &QComboBox::activated, this, [this](int i) {
        (void)write("thread", thread_->itemData(i).toString().toStdString());
        refresh();
    });
    connect(&document_, &Document::bookChanged, this, &DressingPanel::refresh);
    connect(&document_, &Document::planChanged, this, &DressingPanel::refresh);
}

Faults DressingPanel::write(const std::string& key, const std::string& text) {
    if (!document_.pattern()) return {};
    return document_.apply(changePatternField(document_.book(), document_.pattern()->id, key, text));
}

void DressingPanel::refresh() {
    const Pattern* pattern = document_.pattern();
    setEnabled(pattern != nullptr);
    if (!pattern || document_.previewing()) return;
    const QSignalBlocker quiet(thread_);
    thread_->clear();
    for (const Material& m : document_.book().materials)
        if (m.kind == MaterialKind::thread) thread_->addItem(qt(m.title()), qt(m.id));
    thread_->setCurrentIndex(thread_->findData(qt(pattern->thread)));
    form_->show(fieldsOf(*pattern));
}

}  // namespace machair::app
