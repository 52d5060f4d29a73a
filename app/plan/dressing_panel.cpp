#include "plan/dressing_panel.h"

#include <QLabel>
#include <QVBoxLayout>
#include <algorithm>

#include "daybook/rates.h"
#include "frame/fields_form.h"
#include "parts/label.h"
#include "parts/when_seen.h"
#include "sizing/compare.h"
#include "units/text.h"

namespace machair::app {

DressingPanel::DressingPanel(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("dressing"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 6);
    column->setSpacing(4);
    form_ = new FieldsForm(
        document_, theme_, "dressing",
        {"thread", "role", "style", "presentation", "max_length_mm", "treated", "buoyancy_mN", "note", "varied_why"},
        [this](const std::string& key, const std::string& text) { return write(key, text); }, this);
    column->addWidget(form_);
    varied_ = new Label;
    varied_->setObjectName(QStringLiteral("varied"));
    varied_->setWordWrap(true);
    column->addWidget(varied_);
    (new WhenSeen(this, [this] { refresh(); }))->on(&document_, &Document::planChanged);
}

Faults DressingPanel::write(const std::string& key, const std::string& text) {
    if (!document_.pattern()) return {};
    return document_.apply(changePatternField(document_.book(), document_.pattern()->id, key, text));
}

void DressingPanel::refresh() {
    const Pattern* pattern = document_.pattern();
    setEnabled(pattern != nullptr);
    if (!pattern || document_.previewing()) return;
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
                                                           .arg(number(c.one.mean(), 2), number(c.two.mean(), 2),
                                                                c.told() ? tr("told apart") : tr("not enough to tell"))
                                                     : tr("neither was fished yet");
    varied_->setText(tr("Varied from %1: %2.\nHow it did: %3.").arg(qt(origin->title()), said.join(tr(", ")), did));
}

}  // namespace machair::app
