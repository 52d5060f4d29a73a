#include "parts/record_sheet.h"

#include <QLabel>
#include <QLineEdit>
#include <QTimer>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "devices/calliper.h"
#include "frame/panel.h"
#include "frame/retire.h"
#include "parts/field_editor.h"
#include "parts/label.h"
#include "parts/said_form.h"
#include "sizing/compare.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr std::size_t kReadings = 3;

bool isLength(const Field& field) { return field.kind == FieldKind::number && field.key.ends_with("_mm"); }

}  // namespace

QString cautionFor(const Book& book, const RecordId& record) {
    if (record.list == "hooks") return QObject::tr("Points and barbs go into eyes and fingers: glasses on, points away.");
    if (record.list == "rule_cards") return QObject::tr("The fishery's own rules decide; this card is only a copy of them.");
    if (record.list == "waters") return QObject::tr("In a boat: life jackets on; the boat owner's and local rules decide.");
    const Material* m = record.list == "materials" ? book.findMaterial(MaterialId(record.id)) : nullptr;
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
                "Many birds are protected: a lawful source, its papers for travel and sale, and local law decide. Found "
                "feathers are often not allowed. A hint, not advice.");
        case MaterialKind::hair:
        case MaterialKind::dubbing:
            return QObject::tr("Some furs are protected or restricted: a lawful source and local law decide. Mind the dust.");
        default: return {};
    }
}

RecordSheet::RecordSheet(Document& document, const Theme& theme, const QString& name, QWidget* parent)
    : QScrollArea(parent), document_(document), theme_(theme), name_(name) {
    setObjectName(name_ + QStringLiteral("-sheet"));
    setAccessibleName(tr("What is chosen, and its measures"));
    setWidgetResizable(true);
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    connect(&document_, &Document::bookChanged, this, [this] {
        if (isVisible()) refresh();  // unseen it does nothing
    });
    connect(&document_, &Document::bookOpened, this, [this] { show({}); });
    rebuild();
}

std::vector<Field> RecordSheet::fields() const {
    if (!document_.isOpen() || records_.empty()) return {};
    if (only_) return fieldsAt(document_.book(), records_.front(), *only_).value_or(std::vector<Field>());
    return fieldsAt(document_.book(), records_.front()).value_or(std::vector<Field>());
}

std::vector<DressingId> RecordSheet::users() const {
    std::vector<DressingId> ids;
    if (!document_.isOpen() || only_) return ids;
    for (const RecordId& record : records_) {
        auto more = record.list == "hooks"       ? dressingsOn(document_.book(), HookId(record.id))
                    : record.list == "materials" ? dressingsFrom(document_.book(), MaterialId(record.id))
                                                 : std::vector<DressingId>();
        for (DressingId& id : more)
            if (std::ranges::find(ids, id) == ids.end()) ids.push_back(std::move(id));
    }
    return ids;
}

void RecordSheet::show(std::vector<RecordId> records) {
    if (records == records_ && !only_) return;
    records_ = std::move(records);
    only_.reset();
    open_.reset();
    readings_.clear();
    cursor_.clear();
    rebuild();
}

void RecordSheet::showRow(const RecordId& record, const RowId& row) {
    if (only_ == row && records_.size() == 1 && records_.front() == record) return;
    records_ = {record};
    only_ = row;
    open_.reset();
    readings_.clear();
    cursor_.clear();
    rebuild();
}

// The keys of the fields and the words of the rows: where these change, the sheet is built anew.
std::string RecordSheet::shapeNow() const {
    std::string shape;
    for (const Field& field : fields())
        shape += field.key + "\n";
    if (only_ || records_.size() != 1 || !document_.isOpen()) return shape;
    for (const RecordTable& table : tablesOf(document_.book(), records_.front())) {
        shape += table.key + ":";
        for (const std::string& row : table.rows)
            shape += row + "\n";
    }
    for (const Holder& holder : heldBy(document_.book(), records_.front()))
        shape += holder.title + "\n";
    return shape;
}

void RecordSheet::rebuild() {
    if (sheet_) {
        takeWidget();
        sheet_->setParent(this);
        retire(sheet_);
    }
    marks_.clear();
    shape_ = shapeNow();
    sheet_ = new QWidget;
    auto* column = new QVBoxLayout(sheet_);
    column->setContentsMargins(16, 10, 16, 12);
    const Colours& c = theme_.colours();
    fault_ = wrapped("-fault", c.fault);
    use_ = wrapped("-use", c.inkSoft);
    measuring_ = wrapped("-measuring", c.slate);
    fault_->hide();
    const auto list = fields();
    if (records_.size() > 1) column->addWidget(heading(tr("%1 at once: what is changed here is changed in all").arg(records_.size())));
    form_ = new SaidForm(sheet_);
    addFields(form_, list, only_);
    column->addWidget(form_);
    column->addWidget(measuring_);
    column->addWidget(fault_);
    if (records_.size() == 1 && !only_ && document_.isOpen()) addTables(column);
    if (only_) addTakeOut(column);
    column->addWidget(use_);
    if (records_.size() == 1 && !only_) addUsers(column);
    if (const QString caution = list.empty() || only_ ? QString() : cautionFor(document_.book(), records_.front()); !caution.isEmpty()) {
        Label* words = wrapped("-caution", c.warn);
        words->setText(QStringLiteral("! ") + caution);
        column->addWidget(words);
    }
    if (list.empty()) use_->setText(tr("Choose a thing from the tray, or put a new one in."));
    column->addStretch(1);
    setWidget(sheet_);
    refresh();
}

Label* RecordSheet::wrapped(const char* what, const QColor& ink) const {
    auto* label = new Label(sheet_);
    label->setObjectName(name_ + QString::fromLatin1(what));
    label->setWordWrap(true);
    setInk(label, ink);
    return label;
}

// Where the sheet shows one row of a record: that row can go.
void RecordSheet::addTakeOut(QVBoxLayout* column) {
    auto* out = toolButton("mark-out", tr("Take it &out"), tr("Undo brings it back"));
    connect(out, &QToolButton::clicked, this, [this] {
        if (records_.empty() || !only_) return;
        const Faults faults = document_.apply(removeRow(document_.book(), records_.front(), *only_));
        say(faults);
        if (faults.empty()) emit rowGone();
    });
    column->addWidget(out, 0, Qt::AlignLeft);
}

void RecordSheet::addFields(SaidForm* form, const std::vector<Field>& fields, const std::optional<RowId>& row) {
    for (const Field& field : fields) {
        const QString name = (row && !only_ ? QStringLiteral("row-") : name_ + QLatin1Char('-')) + qt(field.key);
        auto* editor = new FieldEditor(
            document_, theme_, field, name,
            [this, of = records_, row, key = field.key](const QString& text) {
                if (of != records_)
                    writeLate(of, row, key, text);
                else if (row)
                    writeRow(*row, key, text);
                else
                    write(key, text, Source::typed);
            },
            sheet_);
        editor->setToolTip(isLength(field) ? tr("Type it, or put the cursor here and read the calliper; empty for the usual of its kind")
                                           : tr("Empty for the usual, or where it isn't known"));
        if (QLineEdit* line = editor->line(); line && !row) {
            connect(line, &QLineEdit::selectionChanged, this, [this, key = field.key] { cursor_ = key; });
            connect(line, &QLineEdit::cursorPositionChanged, this, [this, line, key = field.key] {
                if (line->hasFocus()) cursor_ = key;
            });
        }
        Label* mark = nullptr;
        if (!row) {
            mark = marks_[field.key] = new Label(sheet_);
            mark->setFont(faceScaled(0.9));
        }
        form->add(field, name, editor, mark);
    }
    form->settle();
}

void RecordSheet::addTables(QVBoxLayout* column) {
    for (const RecordTable& table : tablesOf(document_.book(), records_.front())) {
        column->addWidget(heading(qt(table.label)));
        for (std::size_t row = 0; row < table.rows.size(); ++row)
            addRow(column, table, row);
        auto* add = new QToolButton(sheet_);
        add->setObjectName(QStringLiteral("add-") + qt(table.key));
        add->setText(tr("Add: %1").arg(qt(table.one)));
        connect(add, &QToolButton::clicked, this, [this, key = table.key, n = table.rows.size()] {
            if (records_.empty()) return;
            open_ = RowId{key, n};
            const Faults faults = document_.apply(machair::addRow(document_.book(), records_.front(), key));
            if (!faults.empty()) open_.reset();
            say(faults);
        });
        column->addWidget(add, 0, Qt::AlignLeft);
    }
}

void RecordSheet::addRow(QVBoxLayout* column, const RecordTable& table, std::size_t row) {
    const RowId id{table.key, row};
    auto* line = new QToolButton(sheet_);
    line->setObjectName(QStringLiteral("row-%1-%2").arg(qt(table.key)).arg(row));
    line->setText(inHouseWords(table.rows[row]));
    line->setCheckable(true);
    line->setChecked(open_ == id);
    line->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);
    line->setToolTip(tr("Open it, to change it or take it out"));
    connect(line, &QToolButton::clicked, this, [this, id] {
        open_ = open_ == id ? std::nullopt : std::optional(id);
        QTimer::singleShot(0, this, &RecordSheet::rebuild);  // this button goes with it
    });
    column->addWidget(line);
    if (open_ != id) return;
    auto* form = new SaidForm(sheet_);
    form->setContentsMargins(14, 0, 0, 0);
    addFields(form, fieldsAt(document_.book(), records_.front(), id).value_or(std::vector<Field>()), id);
    auto* out = toolButton("row-out", tr("Take it &out"), tr("Undo brings it back"));
    connect(out, &QToolButton::clicked, this, [this, id] {
        open_.reset();
        if (records_.empty()) return;
        say(document_.apply(removeRow(document_.book(), records_.front(), id)));
    });
    column->addWidget(form);
    column->addWidget(out, 0, Qt::AlignLeft);
}

// What needs it, a press away.
void RecordSheet::addUsers(QVBoxLayout* column) {
    if (!document_.isOpen()) return;
    constexpr std::size_t kMost = 12;
    const auto holders = heldBy(document_.book(), records_.front());
    for (std::size_t i = 0; i < std::min(kMost, holders.size()); ++i) {
        auto* go = new QToolButton(sheet_);
        go->setObjectName(QStringLiteral("held-by-%1").arg(i));
        go->setText(tr("Go to %1").arg(inHouseWords(holders[i].title)));
        connect(go, &QToolButton::clicked, this, [this, record = holders[i].record] { emit goTo(record); });
        column->addWidget(go, 0, Qt::AlignLeft);
    }
}

void RecordSheet::showEvent(QShowEvent* event) {
    QScrollArea::showEvent(event);
    refresh();
}

void RecordSheet::refresh() {
    if (!sheet_) return;
    if (only_ && fields().empty() && form_->rows() > 0) {  // undone, or taken out elsewhere
        show({});
        return;
    }
    if (!records_.empty() && document_.isOpen() && !isIn(document_.book(), records_.front())) return show({});
    if (shapeNow() != shape_)
        return QTimer::singleShot(0, this, [this] {
            if (shapeNow() != shape_) rebuild();
        });
    const auto list = fields();
    const Material* m = document_.isOpen() && !records_.empty() && records_.front().list == "materials"
                            ? document_.book().findMaterial(MaterialId(records_.front().id))
                            : nullptr;
    for (const Field& field : list) {
        form_->show(field);
        const auto mark = marks_.find(field.key);
        if (mark == marks_.end()) continue;
        const bool measured =
            field.key.starts_with("measured.") ? !field.text.empty() : m && std::ranges::find(m->measured, field.key) != m->measured.end();
        const bool nominal = m && isLength(field) && !field.text.empty() && !measured;
        mark->second->setText(measured ? tr("✓ measured") : nominal ? tr("nominal") : QString());
    }
    if (!list.empty()) sayUse();
}

void RecordSheet::sayUse() {
    if (only_ || use_->text().startsWith(tr("Moved:"))) return;  // what the last edit moved stands until the next thing is chosen
    const std::string& kind = records_.front().list;
    if (kind != "hooks" && kind != "materials") return use_->setText(QString());
    QStringList names;
    for (const DressingId& id : users())
        names << qt(document_.book().findPattern(id)->title());
    use_->setText(names.isEmpty() ? tr("Nothing in the book is tied from it.")
                                  : tr("Depends on it: %1").arg(names.join(QStringLiteral(", "))));
}

void RecordSheet::say(const Faults& faults) {
    fault_->setText(sayFaults(faults));
    fault_->setVisible(!faults.empty());
}

// A field that is left because something else is shown: what was typed is of the thing that it was typed for.
void RecordSheet::writeLate(const std::vector<RecordId>& of, const std::optional<RowId>& row, const std::string& key, const QString& text) {
    if (of.empty() || !document_.isOpen() || !isIn(document_.book(), of.front())) return;
    const std::string value = text.trimmed().toStdString();
    document_.refuse(document_.apply(row             ? changeRow(document_.book(), of.front(), *row, key, value)
                                     : of.size() > 1 ? changeRecords(document_.book(), of, key, value)
                                                     : changeRecord(document_.book(), of.front(), key, value, Source::typed)));
}

void RecordSheet::writeRow(const RowId& row, const std::string& key, const QString& text) {
    const Faults faults = document_.apply(changeRow(document_.book(), records_.front(), row, key, text.trimmed().toStdString()));
    if (!faults.empty()) refresh();
    say(faults);
}

void RecordSheet::write(const std::string& key, const QString& text, Source source) {
    // What depends on it, before and after.
    std::vector<Plan> before;
    for (const DressingId& id : users())
        if (auto planned = planPattern(document_.book(), id)) before.push_back(std::move(*planned));
    const std::string value = text.trimmed().toStdString();
    const Faults faults = document_.apply(records_.size() > 1 ? changeRecords(document_.book(), records_, key, value)
                                                              : changeRecord(document_.book(), records_.front(), key, value, source));
    say(faults);
    if (!faults.empty()) {
        if (FieldEditor* editor = form_->editor(key)) editor->show(editor->field());
        return;
    }
    if (FieldEditor* editor = form_->editor(key)) editor->typed();
    QStringList moved;
    for (const Plan& was : before)
        if (const auto now = planPattern(document_.book(), was.pattern.id))
            if (const std::string change = sayChange(was, *now, std::nullopt, 3); !change.empty())
                moved << QStringLiteral("%1: %2").arg(qt(was.pattern.title()), qt(change));
    use_->setText(moved.isEmpty() ? QString() : tr("Moved:\n%1").arg(moved.join(QLatin1Char('\n'))));
    refresh();
    if (moved.isEmpty() && !records_.empty()) sayUse();
}

void RecordSheet::focusField(const std::string& key) {
    FieldEditor* editor = form_->editor(key);
    if (!editor) return;
    form_->open(key);
    cursor_ = key;
    if (QLineEdit* line = editor->line()) line->selectAll();
    ensureWidgetVisible(editor);
}

void RecordSheet::take(double millimetres) {
    const auto list = fields();
    const auto field = std::ranges::find(list, cursor_, &Field::key);
    if (field == list.end() || !isLength(*field)) {
        measuring_->setText(tr("%1 read: put the cursor into a measure first").arg(lengthSaid(millimetres * mm, 2)));
        return;
    }
    auto& readings = readings_[cursor_];
    if (readings.size() >= kReadings) readings.clear();
    readings.push_back(millimetres * mm);
    const devices::Readings sum = devices::summary(readings);
    const QString mean = number(sum.mean / mm, 2), name = qt(field->label).section(QLatin1Char(','), 0, 0);
    measuring_->setText(readings.size() < kReadings
                            ? tr("%1: %2 mm, reading %3 of three").arg(name, number(millimetres, 2)).arg(readings.size())
                            : tr("%1: %2 ± %3 mm of three").arg(name, mean, number(sum.spread / mm, 2)));
    write(cursor_, mean, Source::measured);
}

}  // namespace machair::app
