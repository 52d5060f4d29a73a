#include "frame/bench_bar.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QTimer>
#include <QToolButton>

#include "units/text.h"

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
    : QWidget(parent), document_(document), theme_(theme), dressings_(new QComboBox(this)), hooks_(new QComboBox(this)),
      size_(new SizeBox(this)), wire_(new QComboBox(this)), measured_(new QLabel(this)), dressing_(new QToolButton(this)),
      sizes_(new QToolButton(this)) {
    const auto name = [](QWidget* widget, const char* id, const QString& spoken, const QString& tip) {
        widget->setObjectName(QString::fromLatin1(id));
        widget->setAccessibleName(spoken);
        widget->setToolTip(tip);
    };
    name(dressings_, "dressings", tr("Dressing"), tr("The dressing on the bench; click a fly in the cast for one of the team (Alt+1, Alt+2, Alt+3)"));
    name(dressing_, "dressing", tr("Dressing: new, copy, rename, compare"), tr("Start a dressing from a kind, copy, rename or compare this one (Alt+D)"));
    name(sizes_, "sizes", tr("Across sizes"), tr("This dressing on sizes 8 to 16: what changes, and what no longer works small"));
    name(hooks_, "hooks", tr("Hook"), tr("Tie it on another hook of the book (Alt+H)"));
    name(size_, "hook-size", tr("Hook size"), tr("The same hook in another size (Alt+S); sizes that were not measured are nominal"));
    name(wire_, "hook-wire", tr("Hook wire"), tr("The same hook in another wire"));
    dressings_->setFont(faceScaled(1.15, true));
    for (QComboBox* box : {dressings_, hooks_}) {
        box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        box->setMinimumContentsLength(11);
        box->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        box->setMaximumWidth(230);
    }
    for (int heavier = kFinest; heavier <= kHeaviest; ++heavier) wire_->addItem(wireName(heavier), heavier);
    dressing_->setText(tr("&Dressing ▾"));
    dressing_->setPopupMode(QToolButton::InstantPopup);
    sizes_->setText(tr("Si&zes"));
    sizes_->setCheckable(true);
    connect(sizes_, &QToolButton::toggled, this, &BenchBar::sizesWanted);
    buildDressingMenu();
    auto* on = new QLabel(tr("on"), this);
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(14, 2, 14, 6);
    layout->setSpacing(8);
    for (QWidget* widget : {static_cast<QWidget*>(dressings_), static_cast<QWidget*>(on), static_cast<QWidget*>(hooks_),
                            static_cast<QWidget*>(size_), static_cast<QWidget*>(wire_), static_cast<QWidget*>(measured_)})
        layout->addWidget(widget);
    layout->addStretch(1);
    for (QToolButton* button : {dressing_, sizes_}) layout->addWidget(button);

    connect(dressings_, &QComboBox::activated, this, [this](int i) { document_.choosePattern(dressings_->itemData(i).toString().toStdString()); });
    connect(hooks_, &QComboBox::activated, this, [this](int i) {
        if (!document_.pattern()) return;
        const Faults faults = document_.apply(changeHook(document_.book(), document_.pattern()->id, hooks_->itemData(i).toString().toStdString()));
        if (!faults.empty()) emit refused(faults);
        refresh();
    });
    connect(size_, &QSpinBox::valueChanged, this, [this](int size) { resize({size, std::nullopt}); });
    connect(wire_, &QComboBox::activated, this, [this](int i) { resize({std::nullopt, wire_->itemData(i).toInt()}); });
    connect(&document_, &Document::bookOpened, this, &BenchBar::refreshLists);
    connect(&document_, &Document::bookChanged, this, &BenchBar::refreshLists);
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
        QAction* action = fresh->addAction(qt(std::string(entry.name)));
        action->setObjectName(QStringLiteral("start-") + qt(std::string(entry.name)).replace(QLatin1Char(' '), QLatin1Char('-')));
        connect(action, &QAction::triggered, this, [this, kind = entry.value] {
            if (!document_.isOpen()) return;
            const Book& book = document_.book();
            const std::string hook = document_.pattern() ? document_.pattern()->hook : book.hooks.empty() ? std::string() : book.hooks.front().id;
            refuseIf(document_.start(startFromKind(book, kind, hook)));
        });
    }
    const auto own = [&](const char* id, const QString& text, auto work) {
        QAction* action = menu->addAction(text);
        action->setObjectName(QString::fromLatin1(id));
        connect(action, &QAction::triggered, this, [this, work] {
            if (document_.pattern()) work();
        });
    };
    own("duplicate", tr("&Copy this dressing"), [this] { refuseIf(document_.start(duplicate(document_.book(), document_.pattern()->id))); });
    own("rename", tr("&Rename it"), [this] { askForName(); });
    own("remove", tr("&Take it out of the book"), [this] { refuseIf(document_.apply(removePattern(document_.book(), document_.pattern()->id))); });
    menu->addSeparator();
    QMenu* compare = menu->addMenu(tr("Compare &with"));
    connect(compare, &QMenu::aboutToShow, this, [this, compare] {
        compare->clear();
        for (const Pattern& other : document_.book().patterns)
            if (document_.pattern() && other.id != document_.pattern()->id)
                connect(compare->addAction(qt(other.title())), &QAction::triggered, this, [this, id = other.id] { document_.compareWith(id); });
    });
    dressing_->setMenu(menu);
}

// In place: the dressing's own box becomes a field until Enter or Esc.
void BenchBar::askForName() {
    dressings_->setEditable(true);
    QLineEdit* field = dressings_->lineEdit();
    field->setAccessibleName(tr("Name of the dressing"));
    field->selectAll();
    field->setFocus();
    connect(field, &QLineEdit::editingFinished, this, [this, field] {
        const std::string name = field->text().toStdString();
        QTimer::singleShot(0, this, [this, name] {
            if (!dressings_->isEditable()) return;
            dressings_->setEditable(false);
            if (document_.pattern() && name != document_.pattern()->title()) refuseIf(document_.apply(renamePattern(document_.book(), document_.pattern()->id, name)));
            refreshLists();
        });
    });
}

void BenchBar::refreshLists() {
    if (dressings_->isEditable()) return;
    const QSignalBlocker quietDressings(dressings_);
    const QSignalBlocker quietHooks(hooks_);
    dressings_->clear();
    hooks_->clear();
    if (document_.isOpen()) {
        for (const Pattern& pattern : document_.book().patterns) dressings_->addItem(qt(pattern.title()), qt(pattern.id));
        for (const HookSpec& hook : document_.book().hooks) hooks_->addItem(qt(hook.name.value_or(hook.id)), qt(hook.id));
    }
    refresh();
}

void BenchBar::refresh() {
    const QSignalBlocker quietSize(size_);
    const Pattern* pattern = document_.pattern();
    for (QWidget* widget : {static_cast<QWidget*>(dressings_), static_cast<QWidget*>(hooks_), static_cast<QWidget*>(size_), static_cast<QWidget*>(wire_)})
        widget->setEnabled(pattern != nullptr);
    QPalette soft = measured_->palette();
    soft.setColor(QPalette::WindowText, theme_.colours().inkSoft);
    measured_->setPalette(soft);
    if (!pattern) return;
    dressings_->setCurrentIndex(dressings_->findData(qt(pattern->id)));
    hooks_->setCurrentIndex(hooks_->findData(qt(pattern->hook)));
    const HookSpec* hook = document_.book().findHook(pattern->hook);
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
    measured_->setToolTip(tr("shank %1, gape %2, wire %3%4")
                              .arg(qt(formatLength(made.shank())), qt(formatLength(made.gape())), qt(formatLength(made.wire(), LengthUnit::millimetres, 2)),
                                   from.isEmpty() ? tr(": nominal, makers' sizes don't agree") : tr("; measured: %1").arg(from.join(QStringLiteral(", ")))));
}

void BenchBar::resize(const HookChange& change) {
    if (!document_.pattern()) return;
    const Faults faults = document_.apply(resizeHook(document_.book(), document_.pattern()->id, change));
    if (!faults.empty()) emit refused(faults);
    refresh();
}

}  // namespace machair::app
