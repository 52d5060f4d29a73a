#include "balance/balance_station.h"

#include <QApplication>
#include <QComboBox>
#include <QDrag>
#include <QFrame>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMimeData>
#include <QMouseEvent>
#include <QProgressBar>
#include <QScrollBar>
#include <QSettings>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>
#include <set>

#include "balance/mend_cards.h"
#include "balance/team_sheet.h"
#include "balance/team_view.h"
#include "book/find.h"
#include "book/flies.h"
#include "drawing/card.h"
#include "frame/ask_file.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "parts/paper_pages.h"
#include "parts/things.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr int kBalancePanel = 400;

// The fly that a thing of the box is.
Fly flyIn(const Book& book, const Thing& thing) {
    if (thing.record.list != "box") return DressingId(thing.record.id);
    const BoxFly* found = findById(book.box, thing.record.id);
    return found ? flyOf(*found) : Fly();
}

// The box along the foot: what is dragged out of it is the fly, the dressing on its hook.
class BoxTray : public Tray {
  public:
    BoxTray(Document& document, const Theme& theme) : Tray(document, theme, QSize(148, 104)), document_(document) {
        setWrapping(false);
        setFlow(QListView::LeftToRight);
        setHorizontalScrollBarPolicy(Qt::ScrollBarAsNeeded);
        setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        setFixedHeight(122);
    }

  protected:
    void mousePressEvent(QMouseEvent* event) override {
        pressed_ = event->position().toPoint();
        Tray::mousePressEvent(event);
    }
    void mouseMoveEvent(QMouseEvent* event) override {
        const Thing* thing = things().at(indexAt(pressed_).row());
        if (!(event->buttons() & Qt::LeftButton) || !thing ||
            (event->position().toPoint() - pressed_).manhattanLength() < QApplication::startDragDistance())
            return Tray::mouseMoveEvent(event);
        auto* drag = new QDrag(this);
        auto* mime = new QMimeData;
        mime->setData(QString::fromLatin1(TeamView::kDressing), TeamView::dragged(flyIn(document_.book(), *thing)).toUtf8());
        drag->setMimeData(mime);
        drag->setPixmap(viewport()->grab(visualRect(indexAt(pressed_))));
        drag->exec(Qt::CopyAction);
    }

  private:
    Document& document_;
    QPoint pressed_;
};

}  // namespace

BalanceStation::BalanceStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      settings_(settings),
      schools_(new QComboBox),
      belief_(new Label),
      checks_(new TeamSheet(document, theme)),
      words_(new Label),
      find_(new QToolButton),
      progress_(new QProgressBar),
      found_(new Label),
      takeAs_(new QComboBox),
      proposals_(new QListWidget),
      fished_(new QLineEdit),
      box_(new BoxTray(document, theme)) {
    setObjectName(QStringLiteral("balance"));
    auto* layout = sideBySide(this);
    flies_ = new TeamView(document, theme);
    auto* left = new QVBoxLayout;
    left->setSpacing(0);
    left->addWidget(flies_, 1);
    box_->setObjectName(QStringLiteral("team-box"));
    box_->setAccessibleName(tr("The box: drag a fly to its place, or Enter hangs it where the chosen one is"));
    box_->setToolTip(tr("Drag a fly to its place on the leader; Enter puts it where the chosen one hangs"));
    left->addWidget(proposals_);
    left->addWidget(box_);
    layout->addLayout(left, 1);
    connect(box_, &QListView::activated, this, [this] {
        const Thing* thing = box_->current();
        if (!thing || !document_.team()) return;
        if (!document_.position()) return document_.say(tr("Choose the place on the cast first"));
        document_.refuse(
            document_.apply(changeTeamFly(document_.book(), document_.team()->id, *document_.position(), flyIn(document_.book(), *thing))));
    });
    layout->addWidget(scrolled(makePanel(), kBalancePanel));
    connect(&document_, &Document::teamChanged, this, &BalanceStation::refresh);
    connect(&document_, &Document::bookOpened, this, [this] {
        refreshSchools();
        refreshBox();
    });
    connect(&document_, &Document::bookChanged, this, [this] {
        // What was found for another state of the team is no longer an offer.
        offered_.clear();
        proposals_->clear();
        proposals_->hide();
        takeAs_->hide();
        found_->clear();
        refreshSchools();
        refreshBox();
    });
    connect(&theme_, &Theme::changed, this, &BalanceStation::refresh);
    connect(&background_, &Background::progressed, this, [this](double share) { progress_->setValue(static_cast<int>(100.0 * share)); });
    connect(&background_, &Background::runningChanged, this, [this](bool running) {
        progress_->setVisible(running);
        find_->setText(running ? tr("Stop") : tr("Find the smallest change"));
    });
}

QWidget* BalanceStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    addSchool(column);
    addSheets(column);
    addChecks(column);
    addMends(column);
    dressCards();
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

void BalanceStation::addChecks(QVBoxLayout* column) {
    column->addWidget(heading(tr("What it asks")));
    column->addWidget(checks_);
    connect(checks_, &TeamSheet::chose, this, [this] {
        flies_->point(checks_->chosen());
        sayCheck();
    });
    connect(checks_, &TeamSheet::mendAsked, this, &BalanceStation::propose);
}

// The search for what would mend it; its cards stand under the flies.
void BalanceStation::addMends(QVBoxLayout* column) {
    auto* seek = new QHBoxLayout;
    seek->addWidget(heading(tr("Mend")));
    seek->addStretch(1);
    find_->setObjectName(QStringLiteral("find"));
    find_->setText(tr("Find the smallest change"));
    find_->setToolTip(tr("An exact search: other flies of the box and another order first, then the flies tied a little otherwise (F5)"));
    find_->setShortcut(QKeySequence(Qt::Key_F5));
    seek->addWidget(find_);
    column->addLayout(seek);
    progress_->setTextVisible(false);
    progress_->setMaximumHeight(5);
    progress_->hide();
    column->addWidget(progress_);
    found_->setObjectName(QStringLiteral("found"));
    found_->setWordWrap(true);
    column->addWidget(found_);
    takeAs_->setObjectName(QStringLiteral("take-as"));
    takeAs_->setAccessibleName(tr("What a fly that is tied otherwise becomes"));
    takeAs_->setToolTip(tr(
        "Whether a fly that is tied otherwise becomes a dressing of its own for this team, or the dressing itself is changed. Remembered"));
    takeAs_->addItem(tr("tied otherwise: a copy for this team"));
    takeAs_->addItem(tr("tied otherwise: the dressing itself"));
    takeAs_->setCurrentIndex(settings_.value(QStringLiteral("balance/in-the-dressing"), false).toBool() ? 1 : 0);
    takeAs_->hide();
    column->addWidget(takeAs_);
    connect(takeAs_, &QComboBox::activated, this, [this](int i) { settings_.setValue(QStringLiteral("balance/in-the-dressing"), i == 1); });
    words_->setObjectName(QStringLiteral("check-words"));
    words_->setWordWrap(true);
    words_->setMinimumHeight(3 * QFontMetrics(words_->font()).lineSpacing());
    words_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    column->addWidget(words_);
    connect(find_, &QToolButton::clicked, this, [this] {
        if (background_.running())
            background_.stop();
        else
            propose();
    });
}

void BalanceStation::dressCards() {
    asLines(proposals_, "proposals", tr("What would mend it, as cards"));
    // Side by side under the flies, where all of them are seen at once.
    proposals_->setFlow(QListView::LeftToRight);
    proposals_->setWrapping(false);
    proposals_->setHorizontalScrollBarPolicy(Qt::ScrollBarAsNeeded);
    proposals_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    proposals_->setHorizontalScrollMode(QAbstractItemView::ScrollPerPixel);
    proposals_->setFixedHeight(MendCards::kHigh + proposals_->horizontalScrollBar()->sizeHint().height() + 4);
    proposals_->setToolTip(tr("Point at one to see it on the cast; Enter takes it, Ctrl+Z gives it back"));
    proposals_->setMouseTracking(true);
    proposals_->setItemDelegate(new MendCards(theme_, proposals_));
    proposals_->installEventFilter(this);
    proposals_->viewport()->installEventFilter(this);
    proposals_->hide();
    connect(proposals_, &QListWidget::currentRowChanged, this, &BalanceStation::preview);
    connect(proposals_, &QListWidget::itemEntered, this, [this](QListWidgetItem* item) { preview(proposals_->row(item)); });
    connect(proposals_, &QListWidget::itemActivated, this, [this](QListWidgetItem* item) { take(proposals_->row(item)); });
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

void BalanceStation::showEvent(QShowEvent*) { refresh(); }

void BalanceStation::refreshSchools() {
    const QSignalBlocker quiet(schools_);
    schools_->clear();
    if (!document_.isOpen()) return;
    for (const auto& entry : Names<School>::entries)
        schools_->addItem(qt(std::string(entry.name)).replace(QLatin1Char('_'), QLatin1Char(' ')), qt(std::string(entry.name)));
    for (const TeamSchool& own : document_.book().teamSchools)
        schools_->addItem(qt(own.title()), qt(own.id));
    if (const TeamSpec* team = document_.team())
        schools_->setCurrentIndex(schools_->findData(
            qt(team->ownSchool ? team->ownSchool->text() : std::string(nameOf(team->school.value_or(School::stepped))))));
}

// The flies that are tied, each on its hook; then the dressings of which none is.
void BalanceStation::refreshBox() {
    std::vector<Thing> things;
    if (document_.isOpen()) {
        const Book& book = document_.book();
        std::set<std::string> tied;
        for (Thing& thing : thingsIn(book, "box")) {
            const BoxFly* fly = findById(book.box, thing.record.id);
            if (!fly || fly->tied.value_or(1) == 0) continue;
            tied.insert(fly->pattern);
            things.push_back(std::move(thing));
        }
        for (Thing& thing : thingsIn(book, "patterns"))
            if (!tied.contains(thing.record.id)) things.push_back(std::move(thing));
    }
    box_->things().show(std::move(things));
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

void BalanceStation::propose() {
    if (!document_.team()) return;
    offered_.clear();
    proposals_->clear();
    offeredTeam_ = document_.team()->id;
    found_->setText(tr("Looking through the box, the orders, turns, lengths, hooks and wires…"));
    const auto work = [book = document_.book(), plans = document_.plans(), team = offeredTeam_,
                       water = document_.water() ? document_.water()->id : std::string()](const std::stop_token& stop,
                                                                                          const Background::Progress& progress) {
        return balanceTeam(book, team, settingOf(book, book.findWater(WaterId(water)), plans), {3, stop, progress});
    };
    background_.start(work, [this](const Result<BalanceReport>& report) { show(report); });
}

void BalanceStation::show(const Result<BalanceReport>& report) {
    if (!report) {
        found_->setText(qt(report.error().front().line()));
        return;
    }
    if (report->stopped) {
        found_->setText(tr("Stopped."));
        return;
    }
    if (report->passes) {
        found_->setText(tr("Nothing to mend: every check passes."));
        return;
    }
    QString said;
    if (report->empty()) said = tr("No small change makes it pass.");
    for (std::size_t i = 0; i < std::min<std::size_t>(2, report->conflicts.size()); ++i)
        said += (said.isEmpty() ? QString() : QStringLiteral("\n")) + qt(report->conflicts[i]);
    if (said.isEmpty())
        said = report->box.empty() ? tr("The box alone doesn't mend it; flies tied a little otherwise do.")
                                   : tr("The box mends it: nothing has to be tied.");
    found_->setText(said);
    list(tr("From the box"), report->box);
    list(tr("Tied otherwise"), report->redressed);
    if (report->instead) list(tr("Keeps most of its flies, and passes"), {*report->instead});
    paintOffered();
    takeAs_->setVisible(std::ranges::any_of(report->redressed, &Proposal::changesADressing));
    proposals_->setVisible(!offered_.empty());
}

// A heading and its proposals. Every row of the list has its place in `offered_`; a heading's is empty.
void BalanceStation::list(const QString& title, const std::vector<Proposal>& proposals) {
    if (proposals.empty()) return;
    auto* head = new QListWidgetItem(title, proposals_);
    head->setFlags(Qt::NoItemFlags);
    head->setForeground(theme_.colours().inkSoft);
    for (const Proposal& proposal : proposals) {
        auto* item =
            new QListWidgetItem(tr("%1  %2, costs %3").arg(signOf(proposal.verdict), qt(proposal.words())).arg(proposal.cost), proposals_);
        item->setData(Qt::UserRole, static_cast<int>(offered_.size()));
        if (document_.teamReport()) MendCards::set(*item, whatItBuys(document_.teamReport()->checks, proposal.checks));
        QStringList tip = {inHouseUnit(proposal.words())};
        for (const TeamCheck& check : proposal.checks)
            tip << signOf(check.verdict) + QLatin1Char(' ') + inHouseUnit(check.words);
        item->setToolTip(tip.join(QLatin1Char('\n')));
        offered_.push_back(proposal);
    }
}

// The flies of each card, as they are and as they would be: painted beside the window, card after card.
void BalanceStation::paintOffered() {
    const auto work = [book = document_.shared(), team = offeredTeam_, offered = offered_, bench = theme_.bench(),
                       ratio = devicePixelRatioF()](const std::stop_token& stop, const Background::Progress&) {
        std::vector<std::vector<MendFly>> all;
        for (const Proposal& proposal : offered)
            all.push_back(changedBy(*book, team, proposal, bench, ratio, stop));
        return all;
    };
    painting_.start(work, [this](std::vector<std::vector<MendFly>> all) {
        const QSignalBlocker quiet(proposals_);
        for (int row = 0; row < proposals_->count(); ++row) {
            const QVariant at = proposals_->item(row)->data(Qt::UserRole);
            if (at.isValid() && at.toUInt() < all.size()) MendCards::setFlies(*proposals_->item(row), std::move(all[at.toUInt()]));
        }
    });
}

const Proposal* BalanceStation::offeredAt(int row) const {
    const auto* item = proposals_->item(row);
    const QVariant at = item ? item->data(Qt::UserRole) : QVariant();
    return at.isValid() && at.toInt() < static_cast<int>(offered_.size()) ? &offered_[static_cast<std::size_t>(at.toInt())] : nullptr;
}

Result<Edit> BalanceStation::taken(const Proposal& proposal) const {
    return takeProposal(document_.book(), offeredTeam_, proposal, takeAs_->currentIndex() == 1 ? TakeAs::dressing : TakeAs::copy,
                        document_.setting().day.wave);
}

void BalanceStation::preview(int row) {
    if (const Proposal* proposal = offeredAt(row)) document_.previewTeam(taken(*proposal));
}

void BalanceStation::take(int row) {
    const Proposal* offered = offeredAt(row);
    if (!offered) return;
    const Proposal proposal = *offered;  // what was offered goes with the edit
    auto edit = taken(proposal);
    QStringList touched;
    if (takeAs_->currentIndex() == 1)
        for (const std::string& what : touchedBy(document_.book(), offeredTeam_, proposal))
            touched << qt(what);
    document_.dropTeamPreview();
    const Faults faults = document_.apply(std::move(edit));
    if (!faults.empty())
        document_.say(qt(faults.front().line()));
    else if (!touched.isEmpty())
        document_.say(tr("The dressing itself is changed; it touches %1").arg(touched.join(QStringLiteral(", "))));
    refresh();
}

bool BalanceStation::eventFilter(QObject* watched, QEvent* event) {
    if ((watched == proposals_ && event->type() == QEvent::FocusOut) ||
        (watched == proposals_->viewport() && event->type() == QEvent::Leave))
        document_.dropTeamPreview();
    if (watched == proposals_ && event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Return || key == Qt::Key_Enter) {
            take(proposals_->currentRow());
            return true;
        }
        if (key == Qt::Key_Escape) document_.dropTeamPreview();
    }
    return QWidget::eventFilter(watched, event);
}

}  // namespace machair::app
