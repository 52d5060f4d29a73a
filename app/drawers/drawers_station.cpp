#include "drawers/drawers_station.h"

#include <QFile>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QSaveFile>
#include <QTableView>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "drawers/record_form.h"
#include "drawers/thing_view.h"
#include "frame/ask_file.h"
#include "parts/label.h"
#include "store/csv.h"

namespace machair::app {

DrawersStation::DrawersStation(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      devices_(devices),
      model_(new DrawerModel(document, this)),
      list_(new QListWidget),
      search_(new QLineEdit),
      table_(new QTableView),
      form_(new RecordForm(document, theme)),
      thing_(new ThingView(document, theme)),
      said_(new Label),
      calliperButton_(new QToolButton) {
    list_->setObjectName(QStringLiteral("drawer-list"));
    list_->setAccessibleName(tr("Drawers"));
    list_->setFixedWidth(190);
    list_->setFrameShape(QFrame::NoFrame);
    for (const DrawerName& drawer : drawers())
        list_->addItem(tr(drawer.title));
    search_->setObjectName(QStringLiteral("drawer-search"));
    search_->setAccessibleName(tr("Search the drawer"));
    search_->setPlaceholderText(tr("search this drawer"));
    search_->setClearButtonEnabled(true);
    table_->setObjectName(QStringLiteral("drawer-table"));
    table_->setAccessibleName(tr("What lies in the drawer"));
    table_->setModel(model_);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setSelectionMode(QAbstractItemView::SingleSelection);
    table_->setShowGrid(false);
    table_->setFrameShape(QFrame::NoFrame);
    table_->verticalHeader()->hide();
    table_->verticalHeader()->setDefaultSectionSize(fontMetrics().height() + 12);
    table_->horizontalHeader()->setSectionResizeMode(DrawerModel::kName, QHeaderView::Stretch);
    for (const int column : {DrawerModel::kWhat, DrawerModel::kSize, DrawerModel::kUsed})
        table_->horizontalHeader()->setSectionResizeMode(column, QHeaderView::ResizeToContents);
    table_->horizontalHeader()->setHighlightSections(false);
    said_->setObjectName(QStringLiteral("drawer-said"));
    said_->setWordWrap(true);
    said_->hide();

    const auto button = [this](const char* id, const QString& text, const QString& tip, auto work) {
        auto* made = new QToolButton;
        made->setObjectName(QString::fromLatin1(id));
        made->setText(text);
        made->setToolTip(tip);
        connect(made, &QToolButton::clicked, this, work);
        return made;
    };
    auto* tools = new QHBoxLayout;
    tools->addWidget(search_, 1);
    tools->addWidget(button("drawer-new", tr("&New"), tr("Put a new thing into this drawer"), [this] { add(); }));
    tools->addWidget(button("drawer-out", tr("Take &out"), tr("Only what no dressing is tied from"), [this] { takeOut(); }));
    tools->addWidget(button(
        "drawer-import", tr("&Import CSV…"), tr("Hooks or materials from a table; every fault is placed, all or nothing"),
        [this] { askWhatToRead(this, tr("Import CSV"), QString(), tr("CSV (*.csv);;All files (*)"), &DrawersStation::importFrom); }));
    tools->addWidget(button("drawer-export", tr("E&xport CSV…"), tr("This drawer as a table"), [this] {
        askWhereToWrite(this, tr("Export CSV"), QString(), tr("CSV (*.csv)"), QStringLiteral("csv"), &DrawersStation::exportTo);
    }));
    calliperButton_->setObjectName(QStringLiteral("calliper"));
    calliperButton_->setToolTip(tr("Readings go where the cursor is. The stand-in is machair-calliper"));
    connect(calliperButton_, &QToolButton::clicked, this, [this] {
        devices_.connectNow();
        sayCalliper();
    });
    tools->addWidget(calliperButton_);

    auto* middle = new QVBoxLayout;
    middle->setContentsMargins(12, 12, 12, 12);
    middle->addLayout(tools);
    middle->addWidget(said_);
    middle->addWidget(table_, 1);
    form_->setMinimumWidth(380);
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(0);
    layout->addWidget(list_);
    layout->addLayout(middle, 3);
    auto* right = new QVBoxLayout;
    right->setSpacing(0);
    right->addWidget(thing_);
    right->addWidget(form_, 1);
    layout->addLayout(right, 2);

    connect(list_, &QListWidget::currentRowChanged, this, [this] { showDrawer(); });
    connect(search_, &QLineEdit::textChanged, this, [this] { showDrawer(); });
    connect(table_->selectionModel(), &QItemSelectionModel::currentRowChanged, this, [this] { showChosen(); });
    connect(model_, &QAbstractItemModel::modelAboutToBeReset, this, [this] { resetting_ = true; });
    connect(model_, &QAbstractItemModel::modelReset, this, [this] {
        resetting_ = false;
        const int row = model_->rowOf(form_->id());
        if (row >= 0) table_->selectRow(row);
        showChosen();
    });
    connect(&devices_, &devices::Hub::changed, this, &DrawersStation::sayCalliper);
    sayCalliper();
    list_->setCurrentRow(0);
}

void DrawersStation::takeLength(double millimetres) { form_->take(millimetres); }

void DrawersStation::sayCalliper() {
    const bool ready = devices_.calliperReady();
    calliperButton_->setText(ready ? tr("✓ Calliper") : tr("Calliper: look again"));
    calliperButton_->setAccessibleName(ready ? tr("The calliper is ready") : tr("No calliper; look again"));
}

void DrawersStation::say(const QString& words, bool wrong) {
    QPalette palette = said_->palette();
    palette.setColor(QPalette::WindowText, wrong ? theme_.colours().fault : theme_.colours().inkSoft);
    said_->setPalette(palette);
    said_->setText(words);
    said_->setVisible(!words.isEmpty());
}

void DrawersStation::open(Drawer drawer) { list_->setCurrentRow(static_cast<int>(drawer)); }

bool DrawersStation::choose(const std::string& id) {
    const int row = model_->rowOf(id);
    if (row >= 0) table_->selectRow(row);
    return row >= 0;
}

void DrawersStation::showDrawer() {
    const int row = std::max(0, list_->currentRow());
    model_->show(drawers()[static_cast<std::size_t>(row)].drawer, search_->text());
    if (model_->rowOf(form_->id()) < 0 && model_->rowCount() > 0) table_->selectRow(0);
    showChosen();
}

void DrawersStation::showChosen() {
    if (resetting_) return;
    const std::string id = model_->idAt(table_->currentIndex().row());
    if (id.empty()) {
        thing_->showNothing();
        return form_->show(RecordForm::Kind::none, {});
    }
    if (model_->drawer() == Drawer::hooks)
        thing_->showHook(id);
    else
        thing_->showMaterial(id);
    form_->show(model_->drawer() == Drawer::hooks ? RecordForm::Kind::hook : RecordForm::Kind::material, id);
}

void DrawersStation::add() {
    if (!document_.isOpen()) return;
    const Book& book = document_.book();
    const bool hooks = model_->drawer() == Drawer::hooks;
    const HookSpec* like = hooks ? book.findHook(form_->id()) : nullptr;
    const auto edit = hooks ? addHook(book, like ? *like : HookSpec{}) : addMaterial(book, newIn(model_->drawer()));
    const Faults faults = document_.apply(edit);
    if (!faults.empty()) return say(qt(faults.front().line()), true);
    search_->clear();
    choose(hooks ? edit->after.hooks.back().id : edit->after.materials.back().id);
}

void DrawersStation::takeOut() {
    const std::string id = form_->id();
    if (id.empty() || !document_.isOpen()) return;
    const auto edit = model_->drawer() == Drawer::hooks ? removeHook(document_.book(), id) : removeMaterial(document_.book(), id);
    const Faults faults = document_.apply(edit);
    say(faults.empty() ? QString() : qt(faults.front().what + "; " + faults.front().remedy), true);
    showDrawer();
}

bool DrawersStation::exportTo(const QString& path) {
    std::string text;
    if (model_->drawer() == Drawer::hooks)
        text = store::hooksToCsv(document_.book().hooks);
    else {
        std::vector<Material> own;
        for (const Material& m : document_.book().materials)
            if (liesIn(model_->drawer(), m.kind)) own.push_back(m);
        text = store::materialsToCsv(own);
    }
    QSaveFile file(path);
    const bool written = file.open(QIODevice::WriteOnly) && file.write(text.data(), static_cast<qint64>(text.size())) >= 0 && file.commit();
    say(written ? tr("Written to %1").arg(path) : tr("%1 could not be written: %2").arg(path, file.errorString()), !written);
    return written;
}

bool DrawersStation::importFrom(const QString& path) {
    constexpr std::size_t kMost = 16 << 20;
    const auto imported = store::readWhole(path.toStdString(), kMost).and_then([this](const std::string& text) {
        return store::importCsv(document_.book(), text);
    });
    Faults faults;
    if (imported)
        faults = document_.apply(Edit{"import of " + QFileInfo(path).fileName().toStdString(), imported->book});
    else
        faults = imported.error();
    QStringList lines;
    constexpr std::size_t kShown = 12;
    for (std::size_t i = 0; i < std::min(kShown, faults.size()); ++i)
        lines << qt(faults[i].line());
    if (faults.size() > kShown) lines << tr("and %1 more").arg(faults.size() - kShown);
    say(faults.empty()
            ? tr("%1 new, %2 changed%3")
                  .arg(imported->added)
                  .arg(imported->changed)
                  .arg(imported->encoding == store::Encoding::utf8 ? QString()
                                                                   : tr("; read as %1").arg(qt(std::string(nameOf(imported->encoding)))))
            : tr("Nothing was taken in:\n%1").arg(lines.join(QLatin1Char('\n'))),
        !faults.empty());
    return faults.empty();
}

}  // namespace machair::app
