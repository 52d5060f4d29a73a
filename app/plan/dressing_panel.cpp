#include "plan/dressing_panel.h"

#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <algorithm>

#include "daybook/rates.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "sizing/compare.h"
#include "units/text.h"

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
    form_ = new FieldsForm(
        "dressing", {"role", "style", "presentation", "max_length_mm", "treated", "buoyancy_mN", "note", "varied_why"},
        [this](const std::string& key, const std::string& text) { return write(key, text); }, this);
    column->addWidget(form_);
    varied_ = new Label;
    varied_->setObjectName(QStringLiteral("varied"));
    varied_->setWordWrap(true);
    column->addWidget(varied_);
    connect(thread_, &QComboBox::activated, this, [this](int i) {
        document_.refuse(write("thread", thread_->itemData(i).toString().toStdString()));
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
    // What it was varied from: what differs, largest first, and how both did.
    const Pattern* origin = pattern->variedFrom ? document_.book().findPattern(*pattern->variedFrom) : nullptr;
    varied_->setVisible(origin != nullptr);
    if (!origin || !document_.plan()) return;
    QStringList said;
    if (const auto before = planPattern(document_.book(), origin->id)) {
        constexpr std::size_t kMost = 5;
        const auto list = differences(*before, *document_.plan());
        for (std::size_t i = 0; i < std::min(kMost, list.size()); ++i)
            said << qt(list[i].words());
        if (said.isEmpty()) said << tr("no difference in the plan");
    }
    const FlyComparison c = compareFlies(document_.book(), pattern->id, origin->id);
    const QString did = c.one.fished || c.two.fished ? tr("%1 fish a rod-hour against %2: %3")
                                                           .arg(qt(formatNumber(c.one.mean(), 2)), qt(formatNumber(c.two.mean(), 2)),
                                                                c.told() ? tr("told apart") : tr("not enough to tell"))
                                                     : tr("neither was fished yet");
    varied_->setText(tr("Varied from %1: %2.\nHow it did: %3.").arg(qt(origin->title()), said.join(tr(", ")), did));
}

}  // namespace machair::app
