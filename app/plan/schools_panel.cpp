#include "plan/schools_panel.h"

#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QSignalBlocker>

#include "book/fields.h"
#include "book/schools.h"
#include "parts/label.h"

namespace machair::app {

SchoolsPanel::SchoolsPanel(Document& document, QWidget* parent) : QWidget(parent), document_(document) {
    setObjectName(QStringLiteral("schools"));
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(14, 4, 12, 10);
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(4);
    auto* title = new Label(tr("Where tiers disagree"), this);
    title->setFont(faceScaled(1.0, true));
    title->setToolTip(tr("What a part says of itself comes first, then this dressing's choice, then yours for all"));
    auto* own = new Label(tr("this dressing"), this);
    auto* all = new Label(tr("all of mine"), this);
    grid->addWidget(title, 0, 0);
    grid->addWidget(own, 0, 1);
    grid->addWidget(all, 0, 2);
    int row = 1;
    for (const Field& field : fieldsOf(SchoolChoices{})) {
        auto* label = new Label(qt(field.label), this);
        label->setWordWrap(true);
        grid->addWidget(label, row, 0);
        grid->addWidget(boxFor(field.key, true), row, 1);
        grid->addWidget(boxFor(field.key, false), row, 2);
        ++row;
    }
    grid->setColumnStretch(0, 1);
    connect(&document_, &Document::bookChanged, this, &SchoolsPanel::refresh);
    connect(&document_, &Document::bookOpened, this, &SchoolsPanel::refresh);
    connect(&document_, &Document::planChanged, this, &SchoolsPanel::refresh);
}

QComboBox* SchoolsPanel::boxFor(const std::string& key, bool own) {
    auto* box = new QComboBox(this);
    box->setObjectName(QStringLiteral("school-%1-%2").arg(own ? QStringLiteral("own") : QStringLiteral("all"), qt(key)));
    box->setAccessibleName((own ? tr("%1, this dressing") : tr("%1, all dressings")).arg(qt(fieldLabel(fieldsOf(SchoolChoices{}), key))));
    box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    box->setMinimumContentsLength(8);
    box->addItem(!own ? tr("usual") : schoolStandsInParts(key) ? tr("its own way") : tr("as all"), QString());
    for (const Field& field : fieldsOf(SchoolChoices{}))
        if (field.key == key)
            for (const std::string& choice : field.choices)
                box->addItem(qt(choice), qt(choice));
    connect(box, &QComboBox::activated, this, [this, box, key, own](int i) {
        if (!document_.pattern()) return;
        const std::optional<std::string> pattern = own ? std::optional(document_.pattern()->id) : std::nullopt;
        document_.refuse(document_.apply(changeSchool(document_.book(), pattern, key, box->itemData(i).toString().toStdString())));
        refresh();
    });
    (own ? own_ : all_)[key] = box;
    return box;
}

void SchoolsPanel::refresh() {
    const Pattern* pattern = document_.pattern();
    setEnabled(pattern != nullptr);
    if (!pattern) return;
    const auto fill = [](QComboBox* box, const std::string& text) {
        const QSignalBlocker quiet(box);
        box->setCurrentIndex(text.empty() ? 0 : box->findData(qt(text)));
    };
    for (const auto& [key, box] : own_)
        fill(box, heldSchool(document_.book(), pattern->id, key));
    for (const Field& field : fieldsOf(document_.book().schools.value_or(SchoolChoices{})))
        fill(all_.at(field.key), field.text);
}

}  // namespace machair::app
