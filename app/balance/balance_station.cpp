#include "balance/balance_station.h"

#include <QComboBox>
#include <QFrame>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "balance/box_tray.h"
#include "balance/mends.h"
#include "balance/team_sheet.h"
#include "balance/team_view.h"
#include "book/flies.h"
#include "drawing/card.h"
#include "frame/ask_file.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts/label.h"
#include "parts/paper_pages.h"
#include "parts/when_seen.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr int kBalancePanel = 400;

}  // namespace

BalanceStation::BalanceStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      schools_(new QComboBox),
      belief_(new Label),
      checks_(new TeamSheet(document, theme)),
      words_(new Label),
      mends_(new Mends(document, theme, settings)),
      fished_(new QLineEdit),
      box_(new BoxTray(document, theme)) {
    setObjectName(QStringLiteral("balance"));
    auto* layout = sideBySide(this);
    flies_ = new TeamView(document, theme);
    auto* left = new QVBoxLayout;
    left->setSpacing(0);
    left->addWidget(flies_, 1);
    left->addWidget(mends_->cards());
    left->addWidget(box_);
    layout->addLayout(left, 1);
    connect(box_, &QListView::activated, this, [this] {
        const auto fly = box_->chosen();
        if (!fly || !document_.team()) return;
        if (!document_.position()) return document_.say(tr("Choose the place on the cast first"));
        document_.refuse(document_.apply(changeTeamFly(document_.book(), document_.team()->id, *document_.position(), *fly)));
    });
    layout->addWidget(scrolled(makePanel(), kBalancePanel));
    connect(&document_, &Document::bookChanged, mends_, &Mends::forget);
    (new WhenSeen(this, [this] { box_->refresh(); }))->on(&document_, &Document::bookOpened, &Document::bookChanged);
    (new WhenSeen(this, [this] { refresh(); }))->on(&document_, &Document::teamChanged, &Document::bookOpened);
    connect(mends_, &Mends::mended, this, &BalanceStation::refresh);
    connect(&theme_, &Theme::changed, this, &BalanceStation::refresh);
}

QWidget* BalanceStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    addSchool(column);
    addSheets(column);
    addChecks(column);
    column->addWidget(mends_);
    addWords(column);
    addPlace(column);
    return panel;
}

// What a team should be, and who says so.
void BalanceStation::addSchool(QVBoxLayout* column) {
    auto* school = new QHBoxLayout;
    school->addWidget(heading(tr("School")));
    schools_->setObjectName(QStringLiteral("team-school"));
    schools_->setAccessibleName(tr("School of team-making"));
    schools_->setToolTip(tr("What a team should be. Rules of thumb; copy one to change its numbers"));
    school->addWidget(schools_, 1);
    auto* copy = new QToolButton;
    copy->setObjectName(QStringLiteral("copy-school"));
    copy->setText(tr("Copy"));
    copy->setToolTip(tr("A copy of this school under your own name, to change its numbers in"));
    school->addWidget(copy);
    column->addLayout(school);
    belief_->setObjectName(QStringLiteral("belief"));
    belief_->setWordWrap(true);
    column->addWidget(belief_);
    connect(schools_, &QComboBox::activated, this, [this](int i) {
        if (document_.team())
            document_.refuse(
                document_.apply(changeTeamSchool(document_.book(), document_.team()->id, schools_->itemData(i).toString().toStdString())));
    });
    connect(copy, &QToolButton::clicked, this, [this] {
        if (document_.team()) document_.refuse(document_.apply(copySchool(document_.book(), document_.team()->id)));
    });
}

// The leader, the own school's numbers and the paper, each dropped down by its button.
void BalanceStation::addSheets(QVBoxLayout* column) {
    auto* more = new QHBoxLayout;
    const auto popup = [this](const char* name, const QString& title, FieldsForm* form) {
        auto* open = new QToolButton;
        open->setObjectName(QString::fromLatin1(name));
        open->setText(title);
        auto* sheet = new QFrame(this, Qt::Popup);
        sheet->setFrameShape(QFrame::StyledPanel);
        auto* inside = new QVBoxLayout(sheet);
        inside->addWidget(form);
        connect(open, &QToolButton::clicked, sheet, [open, sheet] {
            sheet->adjustSize();
            sheet->move(open->mapToGlobal(QPoint(0, open->height() + 2)));
            sheet->show();
        });
        return open;
    };
    leader_ = new FieldsForm(document_, theme_, "leader", {}, [this](const std::string& key, const std::string& text) {
        return document_.team() ? document_.apply(changeLeaderField(document_.book(), document_.team()->id, key, text)) : Faults{};
    });
    own_ = new FieldsForm(document_, theme_, "own-school", {}, [this](const std::string& key, const std::string& text) {
        const TeamSpec* team = document_.team();
        return team && team->ownSchool ? document_.apply(changeSchoolField(document_.book(), *team->ownSchool, key, text)) : Faults{};
    });
    auto* leader = popup("leader-open", tr("Leader…"), leader_);
    leader->setToolTip(tr("Its strand, spacing and droppers"));
    numbers_ = popup("school-open", tr("Its numbers…"), own_);
    numbers_->setToolTip(tr("What your own copy of the school wants"));
    auto* sheet = new QToolButton;
    sheet->setObjectName(QStringLiteral("team-sheet"));
    sheet->setText(tr("Sheet…"));
    sheet->setToolTip(tr("The team with its leader and the day, on paper at true scale (PDF or SVG)"));
    more->addWidget(leader);
    more->addWidget(numbers_);
    more->addWidget(sheet);
    more->addStretch(1);
    column->addLayout(more);
    connect(sheet, &QToolButton::clicked, this, [this] {
        askWhereToWrite(this, tr("Keep the team's sheet as"), QString(), tr("PDF (*.pdf);;SVG (*.svg)"), QString(),
                        &BalanceStation::writeSheet);
    });
}

// The check that is looked at, in words.
void BalanceStation::addWords(QVBoxLayout* column) {
    words_->setObjectName(QStringLiteral("check-words"));
    words_->setWordWrap(true);
    words_->setMinimumHeight(3 * QFontMetrics(words_->font()).lineSpacing());
    words_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    column->addWidget(words_);
}

void BalanceStation::addChecks(QVBoxLayout* column) {
    column->addWidget(heading(tr("What it asks")));
    column->addWidget(checks_);
    connect(checks_, &TeamSheet::chose, this, [this] {
        flies_->point(checks_->chosen());
        sayCheck();
    });
    connect(checks_, &TeamSheet::mendAsked, mends_, &Mends::propose);
}

// The place of the chosen fly, and how it is fished there.
void BalanceStation::addPlace(QVBoxLayout* column) {
    auto* places = new QHBoxLayout;
    places->addWidget(heading(tr("Its place")));
    places->addStretch(1);
    auto* five = toolButton("five-places", tr("Room for five"),
                            tr("Shows the places between bob, middle and point, for waters that allow four or five flies"));
    five->setCheckable(true);
    auto* off =
        toolButton("take-off", tr("Take off"), tr("Takes the fly on the bench off the leader; the dressing stays in the book (Delete)"));
    places->addWidget(five);
    places->addWidget(off);
    column->addLayout(places);
    fished_->setObjectName(QStringLiteral("presentation"));
    fished_->setAccessibleName(tr("How the chosen fly is fished in its place"));
    fished_->setToolTip(tr("Swing, drift, pull, hang; for a calm or a wave: a note of this team's own"));
    connect(fished_, &QLineEdit::editingFinished, this, [this] {
        if (!fished_->isModified() || !document_.team() || !document_.position()) return;
        fished_->setModified(false);
        document_.refuse(document_.apply(
            changePresentation(document_.book(), document_.team()->id, *document_.position(), fished_->text().toStdString())));
    });
    column->addWidget(fished_);
    connect(&document_, &Document::planChanged, this, &BalanceStation::refreshFished);
    connect(five, &QToolButton::toggled, flies_, &TeamView::showFive);
    connect(off, &QToolButton::clicked, flies_, &TeamView::takeOff);
    column->addStretch(1);
}

void BalanceStation::propose() { mends_->propose(); }

void BalanceStation::refreshSchools() {
    const QSignalBlocker quiet(schools_);
    schools_->clear();
    if (!document_.isOpen()) return;
    for (const auto& entry : Names<School>::entries)
        schools_->addItem(qt(say(spaced(entry.name))), qt(std::string(entry.name)));
    for (const TeamSchool& own : document_.book().teamSchools)
        schools_->addItem(qt(own.title()), qt(own.id));
    if (const TeamSpec* team = document_.team())
        schools_->setCurrentIndex(schools_->findData(
            qt(team->ownSchool ? team->ownSchool->text() : std::string(nameOf(team->school.value_or(School::stepped))))));
}

void BalanceStation::writeSheet(const QString& path) {
    const auto sheet = teamSheetOf(document_);
    if (!sheet) return;
    const QString wrong = drawing::writeTeamSheet(path, *sheet);
    document_.say(wrong.isEmpty() ? tr("The team's sheet is in %1").arg(path) : tr("No sheet: %1 %2").arg(path, wrong));
}

void BalanceStation::refreshFished() {
    const auto position = document_.position();
    fished_->setEnabled(position.has_value());
    fished_->setPlaceholderText(position ? tr("how the %1 is fished here").arg(titleOf(*position).toLower())
                                         : tr("choose a fly of the team"));
    if (fished_->isModified()) return;
    const auto& fly = position ? document_.team()->at(*position) : std::optional<Fly>();
    fished_->setText(fly ? qt(fly->presentation.value_or("")) : QString());
}

void BalanceStation::refresh() {
    refreshSchools();
    refreshFished();
    if (const TeamSpec* team = document_.team()) {
        leader_->show(fieldsOf(team->leader.value_or(LeaderSpec{})));
        const TeamSchool* own = team->ownSchool ? document_.book().findTeamSchool(*team->ownSchool) : nullptr;
        numbers_->setVisible(own != nullptr);
        if (own) own_->show(fieldsOf(*own));
    }
    const auto& report = document_.teamReport();
    belief_->setText(report ? tr("“%1” — an opinion, not a law.").arg(qt(report->rules.belief)) : QString());
    checks_->refresh();
    sayCheck();
}

// The check that is looked at; else what is off, the worst first.
void BalanceStation::sayCheck() {
    const auto& report = document_.teamReport();
    if (!report) return words_->clear();
    const auto said = [](const TeamCheck& check) {
        return signOf(check.verdict) + QLatin1Char(' ') + qt(check.words) +
               (check.mend.empty() ? QString() : QStringLiteral("\n     → ") + qt(check.mend));
    };
    if (const auto chosen = checks_->chosen(); chosen && *chosen < report->checks.size())
        return words_->setText(said(report->checks[*chosen]));
    std::vector<const TeamCheck*> off;
    for (const TeamCheck& check : report->checks)
        if (check.verdict != Verdict::pass) off.push_back(&check);
    std::ranges::stable_sort(off, std::greater{}, [](const TeamCheck* check) { return check->shortfall; });
    QStringList lines;
    constexpr std::size_t kMost = 2;
    for (std::size_t i = 0; i < std::min(kMost, off.size()); ++i)
        lines << said(*off[i]);
    if (off.size() > kMost) lines << tr("and %1 more: point at them").arg(off.size() - kMost);
    words_->setText(off.empty() ? tr("All of it passes. Point at a check, or walk to it with the arrows, to see it on the flies.")
                                : lines.join(QLatin1Char('\n')));
}

}  // namespace machair::app
