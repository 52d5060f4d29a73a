#include "water/choice_panel.h"

#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QListWidget>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/find.h"
#include "book/flies.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts/flow_layout.h"
#include "parts/label.h"
#include "theme/said.h"
#include "units/text.h"
#include "water/choice_casts.h"

namespace machair::app {

ChoicePanel::ChoicePanel(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      favourite_(new QComboBox),
      place_(new QComboBox),
      withBook_(new QCheckBox),
      chosen_(new Label),
      teams_(new QListWidget) {
    auto* column = panelColumn(this, 12, 14);
    auto* line = new FlowLayout;
    line->addWidget(heading(tr("Choose from the box")));
    favourite_->setObjectName(QStringLiteral("favourite"));
    favourite_->setAccessibleName(tr("A fly that has to be on the team"));
    favourite_->setToolTip(tr("Why not my favourite: the best teams that have it"));
    favourite_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    favourite_->setMinimumContentsLength(9);
    line->addWidget(favourite_);
    chooseButton_ = toolButton("choose", tr("Choose"), tr("The best ordered three of the box for this wave, school and card; exact (F6)"));
    pressedBy(chooseButton_, Qt::Key_F6);
    line->addWidget(chooseButton_);
    column->addLayout(line);
    auto* for_ = new QHBoxLayout;
    place_->setObjectName(QStringLiteral("choose-place"));
    place_->setAccessibleName(tr("For the whole team or one place"));
    place_->addItem(tr("for the whole team"), -1);
    for (const Position position : kPositions)
        place_->addItem(tr("for the %1").arg(titleOf(position).toLower()), static_cast<int>(position));
    for_->addWidget(place_, 1);
    withBook_->setObjectName(QStringLiteral("with-daybook"));
    withBook_->setText(tr("and my daybook"));
    withBook_->setToolTip(tr(
        "Flies that did better than others in their place on the same days count for more, and the wave's wants are moved by what caught"));
    for_->addWidget(withBook_);
    column->addLayout(for_);
    connect(place_, &QComboBox::activated, this, [this] { choose(); });
    connect(withBook_, &QCheckBox::toggled, this, [this] { choose(); });
    chosen_->setObjectName(QStringLiteral("chosen"));
    chosen_->setWordWrap(true);
    column->addWidget(chosen_);
    asLines(teams_, "choices", tr("Teams, best first"));
    teams_->setToolTip(tr("Enter or a double click makes it a team of the book"));
    teams_->setMinimumHeight(300);
    teams_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    Pictures& pictures = Pictures::of(document_, theme_);
    teams_->setItemDelegate(new ChoiceCasts(pictures, theme_, teams_));
    connect(&pictures, &Pictures::painted, teams_->viewport(), qOverload<>(&QWidget::update));
    column->addWidget(teams_, 1);
    connect(&background_, &Background::runningChanged, this,
            [this](bool running) { chooseButton_->setText(running ? tr("Stop") : tr("Choose")); });
    connect(chooseButton_, &QToolButton::clicked, this, [this] {
        if (background_.running())
            background_.stop();
        else
            choose();
    });
    connect(teams_, &QListWidget::itemActivated, this, [this](QListWidgetItem* item) { takeChoice(teams_->row(item)); });
}

void ChoicePanel::refresh() {
    const QSignalBlocker quiet(favourite_);
    const QString was = favourite_->currentData().toString();
    favourite_->clear();
    favourite_->addItem(tr("any fly"), QString());
    if (document_.book().box.empty())
        for (const Pattern& pattern : document_.book().patterns)
            favourite_->addItem(qt(pattern.title()), qt(pattern.id));
    for (const BoxFly& fly : document_.book().box)
        favourite_->addItem(qt(sayFly(document_.book(), flyOf(fly))), qt(fly.id));
    favourite_->setCurrentIndex(std::max(0, favourite_->findData(was)));
    makeStale();
}

void ChoicePanel::chooseIfOld() {
    if (stale_ || (choices_.empty() && placed_.empty())) choose();
}

// What is chosen for: a team of three, or one place; with a fly that has to be there, and with or without the daybook.
struct ChoicePanel::Wanted {
    std::string water;
    SchoolRules rules;
    std::string favourite;  // a box fly's id
    std::optional<Position> place;
    ByPosition<std::optional<Fly>> beside;
    bool daybook = false;
};

// What suits what is wanted, away from the window's thread.
ChoicePanel::Found ChoicePanel::sought(const Book& book, const std::shared_ptr<Plans>& plans, const Wanted& wanted,
                                       const std::stop_token& stop) {
    const TeamSetting setting = settingOf(book, book.findWater(WaterId(wanted.water)), plans);
    Found found;
    auto box = candidatesOf(book, setting);
    if (!box) {
        found.faults = box.error();
        return found;
    }
    found.box = std::move(*box);
    const SchoolRules rules = wanted.daybook ? shifted(wanted.rules, curveShifts(book)) : wanted.rules;
    const auto candidate = [&](const Fly& fly) -> std::optional<std::size_t> {
        const auto at = std::ranges::find(found.box, onItsHook(book, fly), &BoxCandidate::fly);
        return at == found.box.end() ? std::nullopt : std::optional(static_cast<std::size_t>(at - found.box.begin()));
    };
    ChoiceWish wish;
    wish.stop = stop;
    if (wanted.daybook) wish.daybook = daybookTerms(book, found.box);
    if (wanted.place) {
        ByPosition<std::optional<std::size_t>> beside;
        for (const Position other : kPositions)
            if (other != *wanted.place && wanted.beside[other]) beside[other] = candidate(*wanted.beside[other]);
        found.placed = rankPlace(found.box, *wanted.place, rules, setting, beside, wish.daybook);
        return found;
    }
    if (const std::size_t fly = indexById(found.box, wanted.favourite); fly < found.box.size()) {
        wish.include = fly;
        found.why = whyNot(found.box, *wish.include, {}, rules, setting, wish.daybook);
    }
    found.report = chooseTeams(found.box, rules, setting, wish);
    return found;
}

void ChoicePanel::choose() {
    if (!document_.isOpen()) return;
    const TeamSpec* team = document_.team();
    Wanted wanted{document_.water() ? document_.water()->id : std::string(),
                  team ? rulesFor(document_.book(), *team) : rulesOf(School::stepped),
                  favourite_->currentData().toString().toStdString(),
                  {},
                  {},
                  withBook_->isChecked()};
    if (const int place = place_->currentData().toInt(); place >= 0) {
        wanted.place = kPositions[static_cast<std::size_t>(place)];
        if (team) wanted.beside = team->flies;
    }
    stale_ = false;
    background_.start([book = document_.book(), plans = document_.plans(), wanted](
                          const std::stop_token& stop, const Background::Progress&) { return sought(book, plans, wanted, stop); },
                      [this](Found found) { show(std::move(found)); });
}

// Whatever changes of the day, the box or the school makes what is listed old.
void ChoicePanel::makeStale() {
    if (choices_.empty() && placed_.empty()) return;
    if (isVisible() && !background_.running()) return choose();
    stale_ = true;
}

void ChoicePanel::show(Found found) {
    if (!found.faults.empty()) return chosen_->setText(qt(found.faults.front().line()));
    box_ = std::move(found.box);
    choices_ = std::move(found.report.teams);
    placed_ = std::move(found.placed);
    teams_->clear();
    if (!placed_.empty()) return showPlaced();
    QString said = choices_.empty() ? tr("No team of three can be made up from the box under these rules.")
                                    : tr("Of %1 orders of three, %2 had to be looked at. A rule of thumb.")
                                          .arg(box_.size() * box_.size() * box_.size())
                                          .arg(found.report.examined);
    if (found.why) {
        if (!found.why->keptOut.empty()) said += QStringLiteral("\n") + tr("Why not: %1").arg(qt(found.why->keptOut));
        for (const std::string& difference : found.why->differences)
            said += QStringLiteral("\n") + tr("It costs: %1").arg(qt(difference));
    }
    for (std::size_t i = 0; i < std::min<std::size_t>(2, found.report.leftOut.size()); ++i)
        said += tr("\nLeft out: %1: %2").arg(qt(box_[found.report.leftOut[i].fly].title), qt(found.report.leftOut[i].why));
    chosen_->setText(said);
    for (std::size_t i = 0; i < choices_.size(); ++i)
        list(i);
}

// A team as its cast, and the same in words for whoever hears it.
void ChoicePanel::list(std::size_t which) {
    const Choice& choice = choices_[which];
    const auto rank = static_cast<int>(which) + 1;
    QString text = tr("%1.  %2 · %3 · %4\n      %5 %6 of 100")
                       .arg(rank)
                       .arg(qt(box_[choice.flies[0]].title), qt(box_[choice.flies[1]].title), qt(box_[choice.flies[2]].title),
                            signOf(choice.verdict), number(choice.score, 0));
    for (std::size_t p = 0; p < kTrio.size(); ++p)
        if (!choice.couldBe[p].empty())
            text += QStringLiteral("\n      ") + tr("or on the %1 %2").arg(titleOf(kTrio[p]).toLower(), qt(sayCouldBe(box_, choice, p)));
    for (std::size_t i = 0; i < std::min<std::size_t>(3, choice.reasons.size()); ++i)
        text += QStringLiteral("\n      ") + qt(choice.reasons[i]);
    auto* item = new QListWidgetItem(inHouseWords(text), teams_);
    QStringList all;
    for (const std::string& reason : choice.reasons)
        all << inHouseWords(reason);
    item->setToolTip(all.join(QLatin1Char('\n')));
    ChoiceCasts::Shown shown;
    for (std::size_t p = 0; p < kTrio.size(); ++p) {
        shown.flies[p] = box_[choice.flies[p]].fly;
        shown.names[p] = qt(box_[choice.flies[p]].title);
    }
    shown.score = tr("%1.  %2 %3 of 100").arg(rank).arg(signOf(choice.verdict), number(choice.score, 0));
    shown.verdict = choice.verdict;
    for (std::size_t i = 0; i < std::min<std::size_t>(2, choice.reasons.size()); ++i)
        shown.why << qt(choice.reasons[i]).section(QStringLiteral(": "), 1);  // its name stands above
    ChoiceCasts::set(*item, shown);
}

// The flies for one place, those kept out last and with the reason.
void ChoicePanel::showPlaced() {
    chosen_->setText(tr("Beside the flies that hang there. Enter puts one in its place."));
    for (const Placed& placed : placed_) {
        QString text = tr("%1  %2").arg(number(placed.score(), 0), qt(box_[placed.fly].title));
        if (!placed.keptOut.empty())
            text += QStringLiteral("\n      ") + tr("kept out: %1").arg(qt(placed.keptOut));
        else
            for (std::size_t i = 0; i < std::min<std::size_t>(2, placed.reasons.size()); ++i)
                text += QStringLiteral("\n      ") + qt(placed.reasons[i]);
        auto* item = new QListWidgetItem(inHouseWords(text), teams_);
        item->setForeground(placed.keptOut.empty() ? theme_.colours().ink : theme_.colours().inkSoft);
    }
}

void ChoicePanel::takeChoice(int row) {
    if (row < 0) return;
    if (!placed_.empty()) {
        if (row >= static_cast<int>(placed_.size()) || !document_.team() || place_->currentData().toInt() < 0) return;
        const Position position = kPositions[static_cast<std::size_t>(place_->currentData().toInt())];
        return document_.refuse(document_.apply(
            changeTeamFly(document_.book(), document_.team()->id, position, box_[placed_[static_cast<std::size_t>(row)].fly].fly)));
    }
    if (row >= static_cast<int>(choices_.size())) return;
    const Choice& choice = choices_[static_cast<std::size_t>(row)];
    const auto fly = [&](std::size_t p) { return std::optional(box_[choice.flies[p]].fly); };
    const std::string name = document_.water() ? machair::say("Chosen for {}", document_.water()->title()) : machair::say("Chosen");
    if (document_.done(document_.apply(addTeam(document_.book(), name, trioOf(fly(0), fly(1), fly(2))))))
        document_.chooseTeam(document_.book().teams.back().id);
}

}  // namespace machair::app
