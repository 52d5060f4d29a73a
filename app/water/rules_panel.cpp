#include "water/rules_panel.h"

#include <QHBoxLayout>
#include <QListWidget>
#include <QSpinBox>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/flies.h"
#include "drawing/card.h"
#include "frame/ask_file.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts/label.h"
#include "parts/paper_card.h"
#include "parts/paper_pages.h"
#include "team/rule_card.h"
#include "theme/said.h"

namespace machair::app {

RulesPanel::RulesPanel(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent), document_(document), theme_(theme), kept_(new QSpinBox), ruled_(new Label), boxRuled_(new QListWidget) {
    auto* column = panelColumn(this, 12, 14);
    auto* top = new QHBoxLayout;
    auto* title = heading(tr("Rule card"));
    title->setMinimumHeight(2 * title->fontMetrics().height());  // down to the card's printed edge, whatever stands beside it
    top->addWidget(title);
    top->addStretch(1);
    addCard_ = toolButton("add-card", tr("Write one"), tr("A card of this water's or contest's rules"));
    top->addWidget(addCard_);
    keptWords_ = new Label(tr("kept today"));
    top->addWidget(keptWords_);
    kept_->setObjectName(QStringLiteral("kept"));
    kept_->setAccessibleName(tr("Fish kept today"));
    kept_->setRange(0, 999);
    top->addWidget(kept_);
    auto* paper = new PaperCard(theme_);
    auto* written = new QVBoxLayout(paper);
    written->setContentsMargins(0, 0, 0, 0);
    written->addLayout(top);
    written->addSpacing(8);
    column->addWidget(paper);
    card_ = new FieldsForm(document_, theme_, "card",
                           {"name", "source", "date", "most_flies", "least_spacing_m", "largest_hook", "longest_fly_mm", "barb",
                            "kept_before_barbless", "beads"},
                           [this](const std::string& key, const std::string& text) {
                               const WaterSpec* water = document_.water();
                               return water && water->rules ? document_.apply(changeRuleField(document_.book(), *water->rules, key, text))
                                                            : Faults{};
                           });
    card_->writeOnPaper();
    written->addWidget(card_);
    gaugeButton_ =
        toolButton("contest-gauge", tr("Length gauge…"), tr("The longest fly that this card allows, on paper at true size (PDF or SVG)"));
    connect(gaugeButton_, &QToolButton::clicked, this, [this] {
        askWhereToWrite(this, tr("Keep the gauge as"), QStringLiteral("gauge.pdf"), tr("PDF (*.pdf);;SVG (*.svg)"), QString(),
                        [this](const QString& path) {
                            const RuleCard* card = ruleCard();
                            if (!card) return;
                            const QString wrong =
                                drawing::writeContestGauge(path, asPrinted(*card), qt(say(kRulesCaution)), lengthsSaidIn());
                            document_.say(wrong.isEmpty() ? tr("Kept as %1; measure its 50 mm bar before you trust it").arg(path)
                                                          : tr("%1: %2. Nothing was written").arg(path, wrong));
                        });
    });
    written->addWidget(gaugeButton_);
    ruled_->setObjectName(QStringLiteral("ruled"));
    ruled_->setWordWrap(true);
    written->addWidget(ruled_);
    twins_ = toolButton(
        "change-over", tr("Change them over"),
        tr("Takes off what the card forbids now and puts on what stands beside it: the twin of the dressing where the box has one"));
    twins_->hide();
    connect(twins_, &QToolButton::clicked, this, &RulesPanel::changeOver);
    written->addWidget(twins_);
    asLines(boxRuled_, "box-ruled", tr("The whole box under this card"));
    boxRuled_->setMaximumHeight(110);
    column->addWidget(boxRuled_);
    column->addStretch(0);
    connect(addCard_, &QToolButton::clicked, this, [this] {
        if (document_.water()) document_.refuse(document_.apply(addRuleCard(document_.book(), document_.water()->id)));
    });
    connect(kept_, &QSpinBox::valueChanged, &document_, &Document::keepFish);
}

const RuleCard* RulesPanel::ruleCard() const {
    const WaterSpec* water = document_.water();
    return water && water->rules ? document_.book().findRuleCard(*water->rules) : nullptr;
}

void RulesPanel::refresh() {
    const WaterSpec* water = document_.water();
    const RuleCard* card = ruleCard();
    card_->setVisible(card != nullptr);
    boxRuled_->setVisible(card != nullptr);
    addCard_->setVisible(water && !card);
    for (QWidget* one : std::initializer_list<QWidget*>{kept_, keptWords_})
        one->setVisible(card && card->barb == BarbRule::barbedUntilKept);
    gaugeButton_->setVisible(card && card->longestFly);
    if (!card) {
        boxWork_.stop();
        twins_->hide();
        ruled_->setText(tr("No card: nothing is ruled here. %1").arg(qt(say(kRulesCaution))));
        return;
    }
    card_->show(fieldsOf(*card));
    sayRuled({});
    boxWork_.start(
        [book = document_.book(), plans = document_.plans(), on = water->id, team = document_.team() ? document_.team()->id : TeamId()](
            const std::stop_token& stop, const Background::Progress&) {
            Ruled ruled;
            const TeamSetting setting = settingOf(book, book.findWater(on), plans);
            const auto box = candidatesOf(book, setting);
            if (!box) {
                ruled.faults = box.error();
                return ruled;
            }
            for (std::size_t i = 0; i < box->size() && !stop.stop_requested(); ++i)
                ruled.flies.emplace_back((*box)[i].title, breachesOf((*box)[i].figures, *setting.card, setting.contest));
            ruled.comesOff = underTheCard(book, team, setting, *box);
            return ruled;
        },
        [this](const Ruled& ruled) { show(ruled); });
}

void RulesPanel::show(const Ruled& ruled) {
    sayRuled(ruled.comesOff);
    boxRuled_->clear();
    for (const Fault& fault : ruled.faults)
        new QListWidgetItem(QStringLiteral("✗ ") + qt(fault.line()), boxRuled_);
    for (const bool passing : {false, true})  // what fails first
        for (const auto& [title, breaches] : ruled.flies) {
            if (breaches.empty() != passing) continue;
            QString text = (passing ? QStringLiteral("✓ ") : QStringLiteral("✗ ")) + qt(title);
            for (const Breach& breach : breaches)
                text += tr(": %1; %2").arg(qt(breach.words), qt(breach.mend));
            (new QListWidgetItem(text, boxRuled_))->setForeground(passing ? theme_.colours().ink : theme_.colours().fault);
        }
}

void RulesPanel::sayRuled(std::vector<ComesOff> comesOff) {
    const RuleCard* card = document_.isOpen() ? ruleCard() : nullptr;
    if (!card) return;  // the book was closed meanwhile
    comesOff_ = std::move(comesOff);
    QStringList said;
    if (const auto& report = document_.teamReport())
        for (const TeamCheck& check : report->checks)
            if (check.term == TeamTerm::rules)
                said << signOf(check.verdict) + QLatin1Char(' ') + qt(check.words) +
                            (check.mend.empty() ? QString() : QStringLiteral(" → ") + qt(check.mend));
    for (const ComesOff& one : comesOff_)
        said << QStringLiteral("→ ") + qt(one.words);
    twins_->setVisible(std::ranges::any_of(comesOff_, [](const ComesOff& one) { return one.on.has_value(); }));
    if (!card->source || !card->date) said << tr("Say where and when this card was read.");
    said << qt(say(kRulesCaution));
    ruled_->setText(said.join(QLatin1Char('\n')));
}

void RulesPanel::changeOver() {
    if (!document_.team()) return;
    const TeamId team = document_.team()->id;
    Edit edit{machair::say("under the card: "), document_.book()};
    for (const ComesOff& one : comesOff_) {
        if (!one.on) continue;
        auto changed = changeTeamFly(edit.after, team, one.position, one.on);
        if (!changed) return document_.refuse(changed.error());
        edit.after = std::move(changed->after);
        edit.words +=
            (edit.words.ends_with(": ") ? "" : "; ") + say("{} on the {}", sayFly(document_.book(), *one.on), sayName(one.position));
    }
    document_.refuse(document_.apply(std::move(edit)));
}

}  // namespace machair::app
