#include "drawers/drawers_station.h"

#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QSaveFile>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "drawers/thing_view.h"
#include "drawers/vane_view.h"
#include "frame/ask_file.h"
#include "frame/panel.h"
#include "frame/retire.h"
#include "language/say.h"
#include "parts/dates.h"
#include "parts/label.h"
#include "parts/record_sheet.h"

namespace machair::app {

namespace {

constexpr QSize kTrayCell(150, 118);
constexpr int kListWidth = 180, kSheetWidth = 380;

QString kindName(MaterialKind kind) { return qt(sayName(kind)); }

}  // namespace

DrawersStation::DrawersStation(Document& document, const Theme& theme, devices::Hub& devices, const QSettings& settings, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      devices_(devices),
      list_(new QListWidget),
      search_(new QLineEdit),
      tray_(new Tray(document, theme, kTrayCell)),
      sheet_(new RecordSheet(document, theme, QStringLiteral("record"))),
      thing_(new ThingView(document, theme)),
      vane_(new VaneView(document, theme, settings)),
      said_(new Label),
      holders_(new QWidget),
      calliperButton_(new QToolButton) {
    list_->setObjectName(QStringLiteral("drawer-list"));
    list_->setAccessibleName(tr("Drawers"));
    list_->setFrameShape(QFrame::NoFrame);
    for (const DrawerName& drawer : drawers())
        list_->addItem(tr(drawer.title));
    constexpr int kAround = 12;  // px beside the longest of them
    list_->setFixedWidth(std::max(kListWidth, list_->sizeHintForColumn(0) + kAround));
    tray_->setObjectName(QStringLiteral("drawer-tray"));
    tray_->setAccessibleName(tr("What lies in the drawer"));
    tray_->setSelectionMode(QAbstractItemView::ExtendedSelection);
    said_->setObjectName(QStringLiteral("drawer-said"));
    said_->setWordWrap(true);
    said_->hide();
    auto* offered = new QHBoxLayout(holders_);
    offered->setContentsMargins(0, 0, 0, 0);
    holders_->hide();
    auto* middle = new QVBoxLayout;
    middle->setContentsMargins(12, 10, 4, 6);
    middle->addWidget(makeTools());
    middle->addWidget(said_);
    middle->addWidget(holders_);
    middle->addWidget(tray_, 1);
    auto* right = new QVBoxLayout;
    right->setSpacing(0);
    right->addWidget(thing_);
    right->addWidget(vane_);
    right->addWidget(sheet_, 1);
    sheet_->setFixedWidth(kSheetWidth);
    thing_->setFixedWidth(kSheetWidth);
    vane_->setFixedWidth(kSheetWidth);
    auto* layout = sideBySide(this);
    layout->addWidget(list_);
    layout->addLayout(middle, 1);
    layout->addLayout(right);

    connect(list_, &QListWidget::currentRowChanged, this, [this] {
        search_->clear();
        say({}, false);
        refresh();
        if (!tray_->current()) tray_->chooseFirst();
        showChosen();
    });
    connect(search_, &QLineEdit::textChanged, this, [this] {
        tray_->things().filter(search_->text(), {});
        tray_->chooseFirst();
        showChosen();
    });
    connect(tray_->selectionModel(), &QItemSelectionModel::selectionChanged, this, [this] {
        if (!refreshing_) showChosen();
    });
    connect(tray_, &QListView::doubleClicked, this, [this] {
        if (const Thing* thing = tray_->current()) emit goTo(thing->record);
    });
    connect(thing_, &ThingView::dimensionChosen, sheet_, &RecordSheet::focusField);
    connect(sheet_, &RecordSheet::goTo, this, &DrawersStation::goTo);
    for (const auto signal : {&Document::bookOpened, &Document::bookChanged})
        connect(&document_, signal, this, [this] {
            if (isVisible()) refresh();  // unseen it does nothing, and looks when it is shown
        });
    connect(&devices_, &devices::Hub::changed, this, &DrawersStation::sayCalliper);
    sayCalliper();
    list_->setCurrentRow(0);
}

QWidget* DrawersStation::makeTools() {
    auto* bar = new QWidget;
    auto* tools = new QHBoxLayout(bar);
    tools->setContentsMargins(0, 0, 0, 0);
    search_->setObjectName(QStringLiteral("drawer-search"));
    search_->setAccessibleName(tr("Search the drawer"));
    search_->setPlaceholderText(tr("search this drawer"));
    search_->setClearButtonEnabled(true);
    tools->addWidget(search_, 1);
    const auto button = [&](const char* id, const QString& text, const QString& tip, auto work) {
        auto* made = toolButton(id, text, tip);
        connect(made, &QToolButton::clicked, this, work);
        tools->addWidget(made);
        return made;
    };
    new_ = button("drawer-new", tr("&New"), tr("Put a new thing into this drawer"), [this] { put(); });
    copy_ = button("drawer-copy", tr("Cop&y"), tr("The chosen one once more, under a name of its own"), [this] { copy(); });
    button("drawer-out", tr("Take &out"), tr("Out of the book; what needs it is named first. Undo brings it back"), [this] { takeOut(); });
    csv_ = toolButton("drawer-csv", tr("CS&V ▾"), tr("This drawer as a table, out or in"));
    csv_->setPopupMode(QToolButton::InstantPopup);
    auto* menu = new QMenu(csv_);
    menu->addAction(tr("&Import CSV…"), this, [this] {
        askWhatToRead(this, tr("Import CSV"), QString(), tr("CSV (*.csv);;All files (*)"), &DrawersStation::offerImport);
    });
    menu->addAction(tr("E&xport CSV…"), this, [this] {
        askWhereToWrite(this, tr("Export CSV"), QString(), tr("CSV (*.csv)"), QStringLiteral("csv"), &DrawersStation::exportTo);
    });
    csv_->setMenu(menu);
    tools->addWidget(csv_);
    calliperButton_->setObjectName(QStringLiteral("calliper"));
    calliperButton_->setToolTip(tr("Readings go where the cursor is. The stand-in is machair-calliper"));
    connect(calliperButton_, &QToolButton::clicked, this, [this] {
        devices_.connectNow();
        sayCalliper();
    });
    tools->addWidget(calliperButton_);
    return bar;
}

void DrawersStation::showEvent(QShowEvent*) { refresh(); }

void DrawersStation::takeLength(double millimetres) { sheet_->take(millimetres); }

void DrawersStation::sayCalliper() {
    const bool ready = devices_.calliperReady();
    calliperButton_->setText(ready ? tr("✓ Calliper") : tr("Calliper: look again"));
    calliperButton_->setAccessibleName(ready ? tr("The calliper is ready") : tr("No calliper; look again"));
}

void DrawersStation::say(const QString& words, bool wrong) {
    setInk(said_, wrong ? theme_.colours().fault : theme_.colours().inkSoft);
    said_->setText(words);
    said_->setVisible(!words.isEmpty());
    holders_->hide();
}

Drawer DrawersStation::drawer() const { return static_cast<Drawer>(std::max(0, list_->currentRow())); }

void DrawersStation::open(Drawer drawer) { list_->setCurrentRow(static_cast<int>(drawer)); }

bool DrawersStation::choose(const std::string& id) {
    if (!isVisible()) refresh();
    if (!tray_->choose({drawerName(drawer()).list, id})) return false;
    showChosen();
    return true;
}

void DrawersStation::show(const RecordId& record) {
    if (!document_.isOpen()) return;
    open(drawerOf(document_.book(), record.list, record.id));
    refresh();
    choose(record.id);
}

// The tray as the book has it now; what was chosen stays chosen.
void DrawersStation::refresh() {
    refreshing_ = true;
    const std::vector<RecordId> chosen = tray_->selected();
    std::vector<Thing> things;
    const DrawerName& name = drawerName(drawer());
    if (document_.isOpen())
        things = std::string_view(name.list) == "materials" ? materialThings(document_.book(), kindsIn(name.drawer))
                                                            : thingsIn(document_.book(), name.list);
    tray_->things().show(std::move(things));
    for (const RecordId& record : chosen)
        if (const int row = tray_->things().rowOf(record); row >= 0) {
            if (record == chosen.front()) tray_->setCurrentIndex(tray_->model()->index(row, 0));
            tray_->selectionModel()->select(tray_->model()->index(row, 0), QItemSelectionModel::Select);
        }
    refreshing_ = false;
    const bool table = std::string_view(name.list) == "materials" || drawer() == Drawer::hooks;
    csv_->setVisible(table);
    new_->setVisible(drawer() != Drawer::mishaps && drawer() != Drawer::dressings);
    copy_->setVisible(drawer() != Drawer::mishaps && drawer() != Drawer::days);
    if (tray_->things().all().empty())
        say(tr(name.note), false);
    else if (said_->text() == tr(name.note))
        say({}, false);
    if (!tray_->current()) tray_->chooseFirst();
    showChosen();
}

void DrawersStation::showChosen() {
    std::vector<RecordId> chosen = tray_->selected();
    const RecordId first = chosen.empty() ? RecordId() : chosen.front();
    const bool feather = first.list == "feathers" && !first.id.empty();
    thing_->setVisible(!feather);
    vane_->setVisible(feather);
    thing_->show(first);
    vane_->show(feather ? FeatherId(first.id) : FeatherId());
    sheet_->show(std::move(chosen));
}

void DrawersStation::put() {
    if (!document_.isOpen()) return;
    const auto kinds = kindsIn(drawer());
    if (kinds.size() > 1) {  // it asks what kind
        auto* menu = new QMenu(this);
        menu->setObjectName(QStringLiteral("new-kinds"));
        menu->setAttribute(Qt::WA_DeleteOnClose);
        for (const MaterialKind kind : kinds) {
            QAction* action = menu->addAction(kindName(kind), this, [this, kind] { put(std::string(nameOf(kind))); });
            action->setObjectName(QStringLiteral("new-") + kindName(kind));
        }
        menu->popup(new_->mapToGlobal(QPoint(0, new_->height())));
        return;
    }
    // About what is chosen or on the bench, where it can be.
    std::string about;
    if (!kinds.empty()) about = std::string(nameOf(kinds.front()));
    if (drawer() == Drawer::hooks) about = sheet_->id();
    if (drawer() == Drawer::days) about = today();
    if (drawer() == Drawer::teams || drawer() == Drawer::batches || drawer() == Drawer::box || drawer() == Drawer::checks)
        if (document_.pattern()) about = document_.pattern()->id;
    put(about);
}

void DrawersStation::put(const std::string& about) {
    const auto made = addRecord(document_.book(), drawerName(drawer()).list, about);
    const Faults faults = made ? document_.apply(made->edit) : made.error();
    if (!faults.empty()) return say(sayFault(faults.front()), true);
    search_->clear();
    say({}, false);
    refresh();
    choose(made->id);
}

void DrawersStation::copy() {
    if (!document_.isOpen() || sheet_->records().size() != 1) return;
    const auto made = copyRecord(document_.book(), sheet_->records().front());
    const Faults faults = made ? document_.apply(made->edit) : made.error();
    if (!faults.empty()) return say(qt(faults.front().what), true);
    refresh();
    choose(made->id);
}

void DrawersStation::takeOut() {
    if (!document_.isOpen()) return;
    const std::vector<RecordId> chosen = sheet_->records();
    Result<Edit> all = Edit{{}, document_.book()};
    for (const RecordId& record : chosen) {
        auto edit = removeRecord(all->after, record);
        if (!edit) {
            say(sayFault(edit.error().front()), true);
            offerHolders(record);
            return;
        }
        all = std::move(*edit);
    }
    if (chosen.empty()) return;
    if (chosen.size() > 1) all->words = machair::say("{} taken out", std::to_string(chosen.size()));
    const Faults faults = document_.apply(std::move(all));
    say(faults.empty() ? QString() : qt(faults.front().line()), true);
    refresh();
    if (!tray_->current()) tray_->chooseFirst();
    showChosen();
}

void DrawersStation::clearOffers() {
    for (QToolButton* old : holders_->findChildren<QToolButton*>())
        retire(old);
}

}  // namespace machair::app
