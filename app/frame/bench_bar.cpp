#include "frame/bench_bar.h"

#include <QBuffer>
#include <QClipboard>
#include <QComboBox>
#include <QGuiApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QSaveFile>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QToolButton>
#include <QVBoxLayout>

#include "book/fitting.h"
#include "drawing/things.h"
#include "frame/ask_file.h"
#include "language/say.h"
#include "parts/chooser.h"
#include "parts/label.h"
#include "parts/name_field.h"
#include "store/recipe.h"
#include "units/text.h"
#include "water/standins.h"

namespace machair::app {

namespace {

constexpr int kFinest = -4;
constexpr int kHeaviest = 4;

QString wireName(int heavier) {
    if (heavier == 0) return QObject::tr("standard wire");
    return heavier > 0 ? QObject::tr("%1 heavy").arg(heavier) : QObject::tr("%1 fine").arg(-heavier);
}

// Hooks run from large (2) to small (20) by evens mostly; odd ones are allowed.
class SizeBox : public QSpinBox {
  public:
    explicit SizeBox(QWidget* parent) : QSpinBox(parent) {
        setRange(kLargestHookSize, kSmallestHookSize);
        setSingleStep(2);
        setPrefix(QObject::tr("size "));
        setKeyboardTracking(false);
    }
};

}  // namespace

BenchBar::BenchBar(Document& document, Theme& theme, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      dressings_(new QToolButton(this)),
      name_(new NameField(dressings_, this)),
      hooks_(new QToolButton(this)),
      size_(new SizeBox(this)),
      wire_(new QComboBox(this)),
      measured_(new Label(this)),
      dressing_(new QToolButton(this)),
      sizes_(new QToolButton(this)),
      start_(new QToolButton(this)),
      recipe_(new QToolButton(this)) {
    setObjectName(QStringLiteral("bench-bar"));
    const auto name = [](QWidget* widget, const char* id, const QString& spoken, const QString& tip) {
        widget->setObjectName(QString::fromLatin1(id));
        widget->setAccessibleName(spoken);
        widget->setToolTip(tip);
    };
    name(dressings_, "dressings", tr("Dressing"),
         tr("The dressing on the bench; click a fly in the cast for one of the team (Alt+1, Alt+2, Alt+3)"));
    name(dressing_, "dressing", tr("Dressing: new, copy, rename, compare"),
         tr("Start a dressing from a kind, copy, rename or compare this one (Alt+D)"));
    name(sizes_, "sizes", tr("Across sizes"), tr("This dressing on sizes 8 to 16: what changes, and what no longer works small"));
    name(hooks_, "hooks", tr("Hook"), tr("Tie it on another hook of the book (Alt+H)"));
    name(size_, "hook-size", tr("Hook size"), tr("The same hook in another size (Alt+S); sizes that were not measured are nominal"));
    name(wire_, "hook-wire", tr("Hook wire"), tr("The same hook in another wire"));
    dressings_->setFont(faceScaled(1.15, true));
    for (QToolButton* button : {dressings_, hooks_}) {
        button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        button->setMaximumWidth(250);
    }
    name_->setObjectName(QStringLiteral("dressing-name"));
    name_->setAccessibleName(tr("Name of the dressing"));
    name_->setMaximumWidth(250);
    name_->setFont(dressings_->font());
    connect(name_, &NameField::named, this, [this](const QString& wanted) {
        if (document_.pattern()) refuseIf(document_.apply(renamePattern(document_.book(), document_.pattern()->id, wanted.toStdString())));
    });
    connect(dressings_, &QToolButton::clicked, this, &BenchBar::chooseDressing);
    connect(hooks_, &QToolButton::clicked, this, &BenchBar::chooseHook);
    for (int heavier = kFinest; heavier <= kHeaviest; ++heavier)
        wire_->addItem(wireName(heavier), heavier);
    dressing_->setText(tr("&Dressing ▾"));
    dressing_->setPopupMode(QToolButton::InstantPopup);
    sizes_->setText(tr("Si&zes"));
    sizes_->setCheckable(true);
    connect(sizes_, &QToolButton::toggled, this, &BenchBar::sizesWanted);
    start_->setObjectName(QStringLiteral("start-kind"));
    start_->setText(tr("Start a dressing…"));
    start_->setAccessibleName(tr("Start a dressing from its kind"));
    start_->setToolTip(tr("A whole fly from its kind, sized to the hook, to be made yours"));
    connect(start_, &QToolButton::clicked, this, &BenchBar::chooseKind);
    recipe_->setObjectName(QStringLiteral("recipe-wanted"));
    recipe_->setText(tr("Read a recipe…"));
    recipe_->setAccessibleName(tr("Read a printed recipe"));
    recipe_->setToolTip(
        tr("A dressing from printed words, in whatever manner: what the clipboard holds, or typed; what is unsure is asked"));
    connect(recipe_, &QToolButton::clicked, this, [this] { emit recipeOffered(QGuiApplication::clipboard()->text()); });
    buildDressingMenu();
    on_ = new Label(tr("on"), this);
    auto* rows = new QVBoxLayout(this);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(0);
    auto* layout = new QHBoxLayout;
    rows->addLayout(layout);
    layout->setContentsMargins(14, 2, 14, 6);
    layout->setSpacing(8);
    for (QWidget* widget :
         {static_cast<QWidget*>(dressings_), static_cast<QWidget*>(name_), static_cast<QWidget*>(on_), static_cast<QWidget*>(hooks_),
          static_cast<QWidget*>(size_), static_cast<QWidget*>(wire_), static_cast<QWidget*>(measured_)})
        layout->addWidget(widget);
    layout->addStretch(1);
    for (QToolButton* button : {start_, recipe_, dressing_, sizes_})
        layout->addWidget(button);

    connect(size_, &QSpinBox::valueChanged, this, [this](int size) { resize({size, std::nullopt}); });
    connect(wire_, &QComboBox::activated, this, [this](int i) { resize({std::nullopt, wire_->itemData(i).toInt()}); });
    connect(&document_, &Document::bookOpened, this, &BenchBar::refresh);
    connect(&document_, &Document::bookChanged, this, &BenchBar::refresh);
    connect(&document_, &Document::planChanged, this, &BenchBar::refresh);
    connect(&theme_, &Theme::changed, this, &BenchBar::refresh);
    refresh();
}

void BenchBar::offerSizes(bool offered) { sizes_->setVisible(offered); }

void BenchBar::refuseIf(const Faults& faults) {
    if (!faults.empty()) emit refused(faults);
}

void BenchBar::buildDressingMenu() {
    auto* menu = new QMenu(this);
    QMenu* fresh = menu->addMenu(tr("&Start from a kind"));
    for (const auto& entry : Names<FlyKind>::entries) {
        QAction* action = fresh->addAction(qt(say(spaced(entry.name))));
        action->setObjectName(QStringLiteral("start-") + qt(std::string(entry.name)).replace(QLatin1Char(' '), QLatin1Char('-')));
        connect(action, &QAction::triggered, this, [this, kind = entry.value] { start(kind); });
    }
    const auto own = [&](const char* id, const QString& text, auto work) {
        QAction* action = menu->addAction(text);
        action->setObjectName(QString::fromLatin1(id));
        connect(action, &QAction::triggered, this, [this, work] {
            if (document_.pattern()) work();
        });
    };
    own("duplicate", tr("&Copy this dressing"),
        [this] { refuseIf(document_.start(duplicate(document_.book(), document_.pattern()->id))); });
    own("rename", tr("&Rename it"), [this] { askForName(); });
    own("remove", tr("&Take it out of the book"),
        [this] { refuseIf(document_.apply(removePattern(document_.book(), document_.pattern()->id))); });
    menu->addSeparator();
    QMenu* compare = menu->addMenu(tr("Compare &with"));
    connect(compare, &QMenu::aboutToShow, this, [this, compare] { offerComparisons(compare); });
    QMenu* stand = menu->addMenu(tr("What could stand &in for the open part"));
    stand->setObjectName(QStringLiteral("stand-in"));
    stand->setToolTipsVisible(true);
    connect(stand, &QMenu::aboutToShow, this, [this, stand] { offerStandIns(stand); });
    menu->addSeparator();
    const auto file = [&](const char* id, const QString& text, auto work) {
        QAction* action = menu->addAction(text);
        action->setObjectName(QString::fromLatin1(id));
        connect(action, &QAction::triggered, this, work);
    };
    file("read-recipe", tr("Read a &recipe…"), [this] { emit recipeOffered(QGuiApplication::clipboard()->text()); });
    file("copy-recipe", tr("Put its recipe on the clip&board"), [this] {
        if (!document_.pattern()) return;
        QGuiApplication::clipboard()->setText(
            inHouseWords(store::writeRecipe(*document_.pattern(), document_.book(), store::RecipeFormat::text)));
        document_.say(tr("The recipe of %1 is on the clipboard").arg(qt(document_.pattern()->title())));
    });
    file("keep-recipe", tr("Keep its recipe as a &file…"), [this] { askForRecipeFile(); });
    dressing_->setMenu(menu);
}

// What it was varied from stands first.
void BenchBar::offerComparisons(QMenu* menu) {
    menu->clear();
    const Pattern* dressing = document_.pattern();
    if (!dressing) return;
    const auto offer = [&](const QString& text, const DressingId& id) {
        connect(menu->addAction(text), &QAction::triggered, this, [this, id] { document_.compareWith(id); });
    };
    if (const Pattern* origin = dressing->variedFrom ? document_.book().findPattern(*dressing->variedFrom) : nullptr) {
        offer(tr("%1, which it was varied from").arg(qt(origin->title())), origin->id);
        menu->addSeparator();
    }
    for (const Pattern& other : document_.book().patterns)
        if (other.id != dressing->id) offer(qt(other.title()), other.id);
}

// What in the drawers could stand in for the open part's material, nearest first, each with what it changes.
void BenchBar::offerStandIns(QMenu* menu) {
    menu->clear();
    const Pattern* dressing = document_.pattern();
    const auto part = document_.part();
    if (!dressing || !part || !dressing->parts[*part].material) {
        menu->addAction(tr("open a part in the ticket first"))->setEnabled(false);
        return;
    }
    const auto list = standInsFor(document_.book(), *dressing->parts[*part].material, UsedIn{dressing->id, *part});
    if (!list || list->empty()) {
        menu->addAction(tr("nothing in the drawers could stand in for it"))->setEnabled(false);
        return;
    }
    constexpr std::size_t kMost = 24;
    for (std::size_t i = 0; i < std::min(kMost, list->size()); ++i) {
        const StandIn& s = (*list)[i];
        QStringList words;
        for (const StandInChange& change : s.changes)
            words << inHouseWords(change.words());
        QAction* action = menu->addAction(qt(s.title) + QStringLiteral(":  ") +
                                          (words.isEmpty() ? tr("next to no change") : words.mid(0, 3).join(QStringLiteral(", "))));
        QStringList tip;
        for (const StandInChange& change : s.changes)
            tip << inHouseWords(change.words()) + (change.ruleOfThumb ? tr(" (rule of thumb)") : QString());
        if (!s.mind.empty()) tip << qt(s.mind);
        action->setToolTip(tip.join(QLatin1Char('\n')));
        connect(action, &QAction::triggered, this, [this, pattern = dressing->id, part = *part, material = s.material] {
            refuseIf(document_.apply(changeMaterial(document_.book(), pattern, part, material), part));
        });
    }
}

void BenchBar::askForRecipeFile() {
    if (!document_.pattern()) return;
    askWhereToWrite(this, tr("Keep the recipe as"), qt(document_.pattern()->title()), tr("Text (*.txt);;Markdown (*.md);;HTML (*.html)"),
                    QString(), &BenchBar::keepRecipe);
}

// The fly on the bench as a picture that stands in the page itself.
std::string BenchBar::pictureInText() const {
    constexpr QSize kSize(900, 420);
    QImage image(kSize, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter painter(&image);
    drawing::paintFlies(painter, document_.book(), {Fly{document_.pattern()->id, {}}}, QRectF(QPointF(0.0, 0.0), QSizeF(kSize)),
                        drawing::Bench::sand, 40.0);
    painter.end();
    QByteArray png;
    QBuffer buffer(&png);
    buffer.open(QIODevice::WriteOnly);
    image.save(&buffer, "PNG");
    return "data:image/png;base64," + png.toBase64().toStdString();
}

void BenchBar::keepRecipe(const QString& path) {
    if (!document_.pattern()) return;
    const auto format = path.endsWith(QLatin1String(".md"))     ? store::RecipeFormat::markdown
                        : path.endsWith(QLatin1String(".html")) ? store::RecipeFormat::html
                                                                : store::RecipeFormat::text;
    QSaveFile file(path);
    const std::string picture = format == store::RecipeFormat::html ? pictureInText() : std::string();
    const QByteArray text = inHouseWords(store::writeRecipe(*document_.pattern(), document_.book(), format, picture)).toUtf8();
    const bool written = file.open(QIODevice::WriteOnly) && file.write(text) == text.size() && file.commit();
    document_.say(written ? tr("The recipe is in %1").arg(path) : tr("No recipe written: %1: %2").arg(path, file.errorString()));
}

void BenchBar::askForName() {
    if (document_.pattern()) name_->ask(qt(document_.pattern()->title()));
}

void BenchBar::start(FlyKind kind) {
    if (!document_.isOpen()) return;
    const Book& book = document_.book();
    refuseIf(document_.start(startFromKind(book, kind, document_.pattern() ? document_.pattern()->hook : usualHook(book))));
}

// The kinds as they would come out of this book.
void BenchBar::chooseKind() {
    if (!document_.isOpen()) return;
    Chooser::Asked asked;
    asked.title = tr("Which kind of fly?");
    for (const auto& entry : Names<FlyKind>::entries)
        asked.things.push_back({{"kind", std::string(entry.name)}, qt(say(spaced(entry.name))), {}, {}, {}});
    Chooser::ask(start_, document_, theme_, std::move(asked), [this](const RecordId& record) {
        if (const auto kind = fromName<FlyKind>(record.id)) start(*kind);
    });
}

void BenchBar::chooseDressing() {
    if (!document_.isOpen()) return;
    Chooser::Asked asked;
    asked.title = tr("Which dressing?");
    asked.things = thingsIn(document_.book(), "patterns");
    if (document_.pattern()) asked.now = {"patterns", document_.pattern()->id};
    Chooser::ask(dressings_, document_, theme_, std::move(asked),
                 [this](const RecordId& record) { document_.choosePattern(DressingId(record.id)); });
}

void BenchBar::chooseHook() {
    if (!document_.pattern()) return;
    Chooser::Asked asked;
    asked.title = tr("Which hook?");
    asked.things = thingsIn(document_.book(), "hooks");
    asked.now = {"hooks", document_.pattern()->hook};
    Chooser::ask(hooks_, document_, theme_, std::move(asked), [this](const RecordId& record) {
        refuseIf(document_.apply(changeHook(document_.book(), document_.pattern()->id, HookId(record.id))));
    });
}

void BenchBar::refresh() {
    const QSignalBlocker quietSize(size_);
    const Pattern* pattern = document_.pattern();
    for (QWidget* widget :
         {static_cast<QWidget*>(dressings_), static_cast<QWidget*>(hooks_), static_cast<QWidget*>(size_), static_cast<QWidget*>(wire_)})
        widget->setEnabled(pattern != nullptr);
    sizes_->setEnabled(pattern != nullptr);
    setInk(measured_, theme_.colours().inkSoft);
    for (QWidget* widget : std::initializer_list<QWidget*>{hooks_, size_, wire_, measured_, on_, dressing_})
        widget->setVisible(pattern);
    if (!pattern) return dressings_->setText(tr("no dressing yet"));
    dressings_->setText(qt(pattern->title()));
    const HookSpec* hook = document_.book().findHook(pattern->hook);
    hooks_->setText(hook ? qt(titleOf(document_.book(), *hook)) : tr("no such hook: choose one"));
    if (!hook) return;
    size_->setValue(hook->size);
    wire_->setCurrentIndex(wire_->findData(hook->heavier.value_or(0)));
    if (!document_.plan()) return;
    const Hook& made = document_.plan()->hook;
    QStringList from;
    if (made.shankMeasured()) from << tr("shank");
    if (made.gapeMeasured()) from << tr("gape");
    if (made.wireMeasured()) from << tr("wire");
    measured_->setText(from.isEmpty() ? tr("nominal") : tr("measured"));
    measured_->setToolTip(
        tr("shank %1, gape %2, wire %3%4")
            .arg(lengthSaid(made.shank()), lengthSaid(made.gape()), lengthSaid(made.wire(), 2),
                 from.isEmpty() ? tr(": nominal, makers' sizes don't agree") : tr("; measured: %1").arg(from.join(QStringLiteral(", ")))));
}

void BenchBar::resize(const HookChange& change) {
    if (!document_.pattern()) return;
    const Faults faults = document_.apply(resizeHook(document_.book(), document_.pattern()->id, change));
    if (!faults.empty()) emit refused(faults);
    refresh();
}

}  // namespace machair::app
