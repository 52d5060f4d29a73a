#include "parts/field_editor.h"

#include <QColorDialog>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QSignalBlocker>
#include <QToolButton>
#include <algorithm>
#include <set>

#include "book/flies.h"
#include "language/say.h"
#include "parts/chooser.h"
#include "parts/lengths.h"
#include "theme/bench_style.h"

namespace machair::app {

namespace {

QString titleIn(const Book& book, const Field& field, const QString& id) {
    return inHouseWords(titleOf(book, RecordId{field.refersTo, id.toStdString()}));
}

QStringList idsOf(const std::string& text) {
    QStringList ids = qt(text).split(QLatin1Char(','), Qt::SkipEmptyParts);
    for (QString& id : ids)
        id = id.trimmed();
    return ids;
}

}  // namespace

std::vector<Thing> flyThings(const Book& book) {
    std::vector<Thing> things = thingsIn(book, "patterns");
    for (Thing& thing : things)
        thing.record = {"fly", thing.record.id};
    std::set<std::string> known;
    for (const BoxFly& fly : book.box) {
        const Pattern* dressing = book.findPattern(fly.pattern);
        if (!dressing || !fly.hook || *fly.hook == dressing->hook || !known.insert(writeFly(flyOf(fly))).second) continue;
        const auto own = std::ranges::find_if(things, [&](const Thing& t) { return t.record.id == dressing->id; });
        Thing thing = *own;
        thing.record.id = writeFly(flyOf(fly));
        thing.title = qt(sayFly(book, flyOf(fly)));
        thing.detail = QObject::tr("%1 tied").arg(fly.tied.value_or(1));
        things.push_back(std::move(thing));
    }
    return things;
}

std::vector<Thing> thingsFor(const Book& book, const Field& field) {
    if (field.kind == FieldKind::fly) return flyThings(book);
    if (field.refersTo == "materials" && field.key == "thread") return materialThings(book, {MaterialKind::thread});
    return thingsIn(book, field.refersTo);
}

FieldEditor::FieldEditor(Document& document, const Theme& theme, const Field& field, const QString& name,
                         std::function<void(const QString&)> write, QWidget* parent)
    : QWidget(parent), document_(document), theme_(theme), field_(field), write_(std::move(write)) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    QWidget* editor = nullptr;
    switch (field.kind) {
        case FieldKind::choice:
            editor = choice_ = new QComboBox(this);
            if (field.optional) choice_->addItem(tr("usual"), QString());
            for (const std::string& choice : field.choices)
                choice_->addItem(qt(say(choice)), qt(choice));
            connect(choice_, &QComboBox::activated, this, [this](int i) { write_(choice_->itemData(i).toString()); });
            break;
        case FieldKind::record:
        case FieldKind::records:
        case FieldKind::fly:
            editor = button_ = new QToolButton(this);
            button_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);
            button_->setToolTip(tr("Choose from pictures"));
            connect(button_, &QToolButton::clicked, this, &FieldEditor::ask);
            break;
        default:
            editor = line_ = new QLineEdit(this);
            line_->setPlaceholderText(field.optional ? tr("usual") : QString());
            connect(line_, &QLineEdit::editingFinished, this, [this] {
                if (!line_->isModified()) return;
                line_->setModified(false);
                write_(qt(writtenText(field_, line_->text())));
            });
    }
    editor->setObjectName(name);
    editor->setAccessibleName(inHouseWords(field.label));
    setFocusProxy(editor);
    row->addWidget(editor, 1);
    if (field.kind == FieldKind::text && field.key == "colour" && (field.text.empty() || field.text.front() == '#')) {
        swatch_ = new QToolButton(this);
        swatch_->setObjectName(name + QStringLiteral("-pick"));
        swatch_->setAccessibleName(tr("Choose the colour by eye"));
        swatch_->setToolTip(swatch_->accessibleName());
        connect(swatch_, &QToolButton::clicked, this, &FieldEditor::pickColour);
        row->addWidget(swatch_);
    }
    show(field);
}

// A line that loses its focus because it goes would still speak of an edit, to what is gone already.
FieldEditor::~FieldEditor() {
    if (line_) line_->disconnect(this);
}

void FieldEditor::pickColour() {
    auto* dialog = new QColorDialog(QColor(qt(field_.text.empty() ? std::string("#8a8070") : field_.text)), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, &QColorDialog::colorSelected, this, [this](const QColor& colour) { write_(colour.name()); });
    dialog->open();
}

QString FieldEditor::sayNow() const {
    const Book& book = document_.book();
    if (field_.text.empty()) return tr("choose…");
    if (field_.kind == FieldKind::fly) return qt(sayFly(book, readFly(field_.text)));
    if (field_.kind == FieldKind::record) return titleIn(book, field_, qt(field_.text));
    QStringList titles;
    for (const QString& id : idsOf(field_.text))
        titles << titleIn(book, field_, id);
    return titles.join(QStringLiteral(", "));
}

void FieldEditor::show(const Field& field) {
    field_ = field;
    if (line_ && !(line_->hasFocus() && line_->isModified())) line_->setText(shownText(field));
    if (choice_) {
        const QSignalBlocker quiet(choice_);
        choice_->setCurrentIndex(std::max(0, choice_->findData(qt(field.text))));
    }
    if (swatch_) {
        QPixmap lit(swatch_->iconSize());
        lit.fill(QColor(qt(field.text.empty() ? std::string("#8a8070") : field.text)));
        swatch_->setIcon(QIcon(lit));
    }
    if (button_) {
        button_->setText(sayNow());
        button_->setAccessibleDescription(button_->text());
    }
}

void FieldEditor::typed() {
    if (line_) line_->setModified(false);
}

void FieldEditor::writeOnPaper() {
    for (QWidget* own : std::initializer_list<QWidget*>{line_, choice_}) {
        if (!own) continue;
        own->setProperty(BenchStyle::kOnPaper, true);
        own->setFont(faceScaled(1.0, true));
    }
}

void FieldEditor::ask() {
    Chooser::Asked asked;
    asked.title = tr("Which %1?").arg(qt(field_.label));
    asked.things = thingsFor(document_.book(), field_);
    asked.now = {field_.kind == FieldKind::fly ? "fly" : field_.refersTo, field_.text};
    if (field_.optional && !field_.text.empty()) asked.nothing = tr("None");
    Chooser::ask(button_, document_, theme_, std::move(asked), [this](const RecordId& record) {
        const QString id = qt(record.id);
        if (field_.kind != FieldKind::records || id.isEmpty()) return write_(id);
        QStringList ids = idsOf(field_.text);  // one that is there already is taken off
        if (!ids.removeOne(id)) ids << id;
        write_(ids.join(QStringLiteral(", ")));
    });
}

}  // namespace machair::app
