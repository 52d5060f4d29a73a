#include "drawers/record_form.h"

#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QSignalBlocker>
#include <algorithm>

#include "frame/retire.h"
#include "parts/label.h"
#include "sizing/compare.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr std::size_t kReadings = 3;

bool isLength(const Field& field) { return field.kind == FieldKind::number && field.key.ends_with("_mm"); }

}  // namespace

QString cautionFor(const Book& book, RecordForm::Kind kind, const std::string& id) {
    if (kind == RecordForm::Kind::hook) return QObject::tr("Points and barbs go into eyes and fingers: glasses on, points away.");
    const Material* m = book.findMaterial(id);
    if (!m) return {};
    const auto* wire = std::get_if<WireTraits>(&m->traits);
    const auto* bead = std::get_if<BeadTraits>(&m->traits);
    if (wire && wire->metal == Metal::lead)
        return QObject::tr("Lead: wash hands; some waters forbid it. The fishery's rules and local law decide.");
    if (bead) return QObject::tr("Some waters and contests forbid beads and weight: the fishery's own rules decide.");
    switch (m->kind) {
        case MaterialKind::hackle:
        case MaterialKind::flank:
        case MaterialKind::quill:
        case MaterialKind::tippet:
        case MaterialKind::plume:
        case MaterialKind::cheek:
        case MaterialKind::tip:
        case MaterialKind::herl:
            return QObject::tr(
                "Many birds are protected: a lawful source, its papers for travel and sale, and local law decide. Found feathers are often "
                "not allowed. A hint, not advice.");
        case MaterialKind::hair:
        case MaterialKind::dubbing:
            return QObject::tr("Some furs are protected or restricted: a lawful source and local law decide. Mind the dust.");
        default: return {};
    }
}

RecordForm::RecordForm(Document& document, const Theme& theme, QWidget* parent) : QScrollArea(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("record-form"));
    setAccessibleName(tr("The chosen thing's measures"));
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    connect(&document_, &Document::bookChanged, this, &RecordForm::refresh);
    rebuild();
}

std::vector<Field> RecordForm::fields() const {
    if (!document_.isOpen()) return {};
    if (const HookSpec* hook = kind_ == Kind::hook ? document_.book().findHook(id_) : nullptr) return fieldsOf(*hook);
    if (const Material* m = kind_ == Kind::material ? document_.book().findMaterial(id_) : nullptr) return fieldsOf(*m);
    return {};
}

std::vector<std::string> RecordForm::users() const {
    if (kind_ == Kind::none || !document_.isOpen()) return {};
    return kind_ == Kind::hook ? dressingsOn(document_.book(), id_) : dressingsFrom(document_.book(), id_);
}

void RecordForm::show(Kind kind, const std::string& id) {
    if (kind == kind_ && id == id_) return;
    kind_ = kind;
    id_ = id;
    readings_.clear();
    cursor_.clear();
    rebuild();
}

void RecordForm::rebuild() {
    if (sheet_) {
        takeWidget();
        sheet_->setParent(this);
        retire(sheet_);
    }
    lines_.clear();
    marks_.clear();
    sheet_ = new QWidget;
    auto* layout = new QVBoxLayout(sheet_);
    layout->setContentsMargins(16, 12, 16, 12);
    fault_ = new Label(sheet_);
    use_ = new Label(sheet_);
    measuring_ = new Label(sheet_);
    fault_->setObjectName(QStringLiteral("record-fault"));
    use_->setObjectName(QStringLiteral("record-use"));
    measuring_->setObjectName(QStringLiteral("measuring"));
    for (QLabel* label : {fault_, use_, measuring_})
        label->setWordWrap(true);
    const auto list = fields();
    auto* form = new QFormLayout;
    form->setHorizontalSpacing(10);
    form->setVerticalSpacing(5);
    for (const Field& field : list)
        addField(form, field);
    const auto ink = [&](QLabel* label, const QColor& colour) {
        QPalette palette = label->palette();
        palette.setColor(QPalette::WindowText, colour);
        label->setPalette(palette);
    };
    ink(fault_, theme_.colours().fault);
    ink(use_, theme_.colours().inkSoft);
    ink(measuring_, theme_.colours().slate);
    fault_->hide();
    layout->addLayout(form);
    layout->addWidget(measuring_);
    layout->addWidget(fault_);
    layout->addWidget(use_);
    if (const QString caution = list.empty() ? QString() : cautionFor(document_.book(), kind_, id_); !caution.isEmpty()) {
        auto* words = new Label(QStringLiteral("! ") + caution, sheet_);
        words->setObjectName(QStringLiteral("record-caution"));
        words->setWordWrap(true);
        ink(words, theme_.colours().warn);
        layout->addWidget(words);
    }
    if (list.empty()) use_->setText(tr("Choose a thing from the drawer, or put a new one in."));
    layout->addStretch(1);
    setWidget(sheet_);
    refresh();
}

void RecordForm::addField(QFormLayout* form, const Field& field) {
    const QString name = QStringLiteral("record-") + qt(field.key);
    if (field.kind == FieldKind::choice) {
        auto* box = new QComboBox(sheet_);
        box->setObjectName(name);
        box->setAccessibleName(qt(field.label));
        if (field.optional) box->addItem(tr("usual"), QString());
        for (const std::string& choice : field.choices)
            box->addItem(qt(choice), qt(choice));
        box->setCurrentIndex(box->findData(qt(field.text)));
        connect(box, &QComboBox::activated, this,
                [this, box, key = field.key](int i) { write(key, box->itemData(i).toString(), Source::typed); });
        form->addRow(qt(field.label), box);
        return;
    }
    auto* line = new QLineEdit(sheet_);
    line->setObjectName(name);
    line->setAccessibleName(qt(field.label));
    line->setPlaceholderText(tr("usual"));
    line->setToolTip(isLength(field) ? tr("Type it, or put the cursor here and read the calliper; empty for the usual of its kind")
                                     : tr("Empty for the usual of its kind"));
    connect(line, &QLineEdit::editingFinished, this, [this, line, key = field.key] {
        if (line->isModified()) write(key, line->text(), Source::typed);
    });
    connect(line, &QLineEdit::selectionChanged, this, [this, key = field.key] { cursor_ = key; });
    connect(line, &QLineEdit::cursorPositionChanged, this, [this, line, key = field.key] {
        if (line->hasFocus()) cursor_ = key;
    });
    lines_[field.key] = line;
    auto* mark = new Label(sheet_);
    mark->setFont(faceScaled(0.9));
    marks_[field.key] = mark;
    auto* row = new QHBoxLayout;
    row->addWidget(line, 1);
    row->addWidget(mark);
    form->addRow(qt(field.label), row);
}

void RecordForm::refresh() {
    if (!sheet_) return;
    const auto list = fields();
    const Material* m = kind_ == Kind::material && document_.isOpen() ? document_.book().findMaterial(id_) : nullptr;
    for (const Field& field : list) {
        const auto line = lines_.find(field.key);
        if (line == lines_.end()) continue;
        if (!line->second->hasFocus() || !line->second->isModified()) line->second->setText(qt(field.text));
        const bool measured =
            field.key.starts_with("measured.") ? !field.text.empty() : m && std::ranges::find(m->measured, field.key) != m->measured.end();
        marks_[field.key]->setText(measured ? tr("✓ measured") : QString());
    }
    if (!list.empty()) sayUse();
}

void RecordForm::sayUse() {
    QStringList names;
    for (const std::string& id : users())
        names << qt(document_.book().findPattern(id)->title());
    if (use_->text().startsWith(tr("Moved:"))) return;  // what the last edit moved stands until the next thing is chosen
    use_->setText(names.isEmpty() ? tr("Nothing in the book is tied from it.")
                                  : tr("Depends on it: %1").arg(names.join(QStringLiteral(", "))));
}

void RecordForm::write(const std::string& key, const QString& text, Source source) {
    // What depends on it, before and after.
    std::vector<Plan> before;
    for (const std::string& id : users())
        if (auto planned = planPattern(document_.book(), id)) before.push_back(std::move(*planned));
    const std::string value = text.trimmed().toStdString();
    const auto edit = kind_ == Kind::hook ? changeHookField(document_.book(), id_, key, value)
                                          : changeMaterialField(document_.book(), id_, key, value, source);
    const Faults faults = document_.apply(edit);
    QStringList lines;
    for (const Fault& fault : faults)
        lines << qt(fault.what + (fault.remedy.empty() ? "" : "; " + fault.remedy));
    fault_->setText(lines.join(QLatin1Char('\n')));
    fault_->setVisible(!faults.empty());
    if (!faults.empty()) return;
    if (const auto line = lines_.find(key); line != lines_.end()) line->second->setModified(false);
    QStringList moved;
    for (const Plan& was : before)
        if (const auto now = planPattern(document_.book(), was.pattern.id))
            if (const std::string change = sayChange(was, *now, std::nullopt, 3); !change.empty())
                moved << QStringLiteral("%1: %2").arg(qt(was.pattern.title()), qt(change));
    use_->setText(moved.isEmpty() ? QString() : tr("Moved:\n%1").arg(moved.join(QLatin1Char('\n'))));
    refresh();
    if (moved.isEmpty()) sayUse();
}

void RecordForm::take(double millimetres) {
    const auto list = fields();
    const auto field = std::ranges::find(list, cursor_, &Field::key);
    if (field == list.end() || !isLength(*field)) {
        measuring_->setText(tr("%1 mm read: put the cursor into a field in mm first").arg(qt(formatNumber(millimetres, 2))));
        return;
    }
    auto& readings = readings_[cursor_];
    if (readings.size() >= kReadings) readings.clear();
    readings.push_back(millimetres * mm);
    const devices::Readings sum = devices::summary(readings);
    const QString mean = qt(formatNumber(sum.mean / mm, 2));
    measuring_->setText(
        readings.size() < kReadings
            ? tr("%1: %2 mm, reading %3 of three").arg(qt(field->label), qt(formatNumber(millimetres, 2))).arg(readings.size())
            : tr("%1: %2 ± %3 mm of three").arg(qt(field->label), mean, qt(formatNumber(sum.spread / mm, 2))));
    write(cursor_, mean, Source::measured);
}

}  // namespace machair::app
