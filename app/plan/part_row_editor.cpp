// The open line of the ticket: its fields, its material, its figures, what mends it.
#include "plan/part_row.h"

#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMouseEvent>
#include <QPainter>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/part_material.h"
#include "book/spec_words.h"
#include "drawing/things.h"
#include "frame/retire.h"
#include "language/say.h"
#include "parts/chooser.h"
#include "parts/flow_layout.h"
#include "parts/label.h"
#include "sizing/figures.h"
#include "sizing/mending.h"

namespace machair::app {

namespace {

QString placeholderOf(const Field& field, const Plan& plan, std::size_t part) {
    const std::string usual = plannedValue(plan, part, field.key);
    if (!usual.empty()) return QObject::tr("usual: %1").arg(qt(usual));
    return QObject::tr("usual");
}

}  // namespace

void PartRow::setOpen(bool open) {
    if (open == isOpen()) return;
    if (open)
        buildEditor();
    else {
        layout()->removeWidget(editor_);
        retire(editor_);
        editor_ = nullptr;
        materials_ = nullptr;
        mends_ = nullptr;
        fault_ = nullptr;
        figures_ = nullptr;
        more_ = nullptr;
        lines_.clear();
        choices_.clear();
    }
    dress();
}

void PartRow::focusFirst() {
    if (!lines_.empty()) {
        QLineEdit* first = lines_.contains("length") ? lines_["length"] : lines_.begin()->second;
        first->setFocus(Qt::OtherFocusReason);
        first->selectAll();
    }
}

void PartRow::buildEditor() {
    editor_ = new QWidget(this);
    editor_->setCursor(Qt::ArrowCursor);
    auto* form = new QFormLayout(editor_);
    form->setContentsMargins(0, 6, 0, 2);
    form->setHorizontalSpacing(10);
    form->setVerticalSpacing(5);
    form->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    mends_ = new QWidget(editor_);
    mends_->setObjectName(QStringLiteral("mends-%1").arg(part_));
    auto* column = new QVBoxLayout(mends_);
    column->setContentsMargins(0, 0, 0, 2);
    column->setSpacing(7);
    form->addRow(mends_);
    const Pattern* pattern = document_.pattern();
    const Part& part = pattern->parts[part_];
    materials_ = new QToolButton(editor_);
    materials_->setObjectName(QStringLiteral("material-%1").arg(part_));
    materials_->setAccessibleName(tr("Material"));
    materials_->setToolTip(tr("What it is tied from: any that such a part can be made of"));
    materials_->setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
    materials_->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    materials_->setIconSize(QSize(52, 30));
    connect(materials_, &QToolButton::clicked, this, &PartRow::chooseMaterial);
    form->addRow(tr("of"), materials_);
    for (const Field& field : fieldsOf(part))
        if (all_ || field.primary || !field.text.empty()) addField(form, field);
    fault_ = new Label(editor_);
    fault_->setObjectName(QStringLiteral("fault-%1").arg(part_));
    fault_->setWordWrap(true);
    fault_->hide();
    form->addRow(fault_);
    figures_ = new QWidget(editor_);
    figures_->setObjectName(QStringLiteral("figures-%1").arg(part_));
    figures_->setToolTip(tr("A press on a number asks where it comes from"));
    new FlowLayout(figures_, 12);
    form->addRow(figures_);
    more_ = new QToolButton(editor_);
    more_->setObjectName(QStringLiteral("more-%1").arg(part_));
    more_->setText(all_ ? tr("fewer fields") : tr("all fields"));
    more_->setToolTip(tr("Everything that can be said of this part; what is left empty is the usual"));
    connect(more_, &QToolButton::clicked, this, [this] {
        all_ = !all_;
        setOpen(false);
        setOpen(true);
    });
    form->addRow(more_);
    static_cast<QVBoxLayout*>(layout())->addWidget(editor_);
    editor_->show();
    fillEditor();
    dress();
}

void PartRow::addField(QFormLayout* form, const Field& field) {
    const QString name = QStringLiteral("field-%1-%2").arg(part_).arg(qt(field.key));
    if (field.kind == FieldKind::choice) {
        auto* box = new QComboBox(editor_);
        box->setObjectName(name);
        box->setAccessibleName(qt(field.label));
        if (field.optional) box->addItem(tr("usual"), QString());
        for (const std::string& choice : field.choices)
            box->addItem(qt(say(choice)), qt(choice));
        connect(box, &QComboBox::activated, this,
                [this, box, key = field.key](int index) { takeText(key, box->itemData(index).toString()); });
        choices_[field.key] = box;
        form->addRow(labelFor(field, box), box);
        return;
    }
    auto* line = new QLineEdit(editor_);
    line->setObjectName(name);
    line->setAccessibleName(inHouseWords(field.label));
    line->setToolTip(
        field.kind == FieldKind::length
            ? inHouseWords(tr("\"11.7 mm\", \"0.8 of the shank\", \"to the point\", \"0.4 mm past the barb\"; up and down nudge it"))
        : field.kind == FieldKind::station ? inHouseWords(tr("\"at the barb\", \"0.5 mm ahead of the point\""))
        : field.kind == FieldKind::count   ? tr("a number, or two as \"2 to 3\"; up and down nudge it")
                                           : tr("a number; empty for the usual"));
    line->installEventFilter(this);
    connect(line, &QLineEdit::editingFinished, this, [this, line, field] {
        if (line->isModified()) takeText(field.key, qt(writtenText(field, line->text())));
    });
    lines_[field.key] = line;
    form->addRow(labelFor(field, line), line);
}

void PartRow::fillEditor() {
    const auto& plan = document_.plan();
    const Part& part = document_.pattern()->parts[part_];
    showMaterial(part);
    for (const Field& field : fieldsOf(part)) {
        if (const auto line = lines_.find(field.key); line != lines_.end()) {
            line->second->setText(shownText(field));
            line->second->setPlaceholderText(inHouseWords(placeholderOf(field, *plan, part_)));
        }
        if (const auto box = choices_.find(field.key); box != choices_.end()) {
            const QSignalBlocker quiet(box->second);
            box->second->setCurrentIndex(box->second->findData(qt(field.text)));
        }
    }
    fillFigures(figuresOf(*plan, part_));
    showFaults({});
    if (!document_.previewing()) fillMends();
}

void PartRow::fillFigures(const std::vector<Figure>& figures) {
    auto labels = figures_->findChildren<Label*>();
    while (labels.size() > static_cast<qsizetype>(figures.size()))
        delete labels.takeLast();
    while (labels.size() < static_cast<qsizetype>(figures.size())) {
        labels << new Label(figures_);
        labels.back()->setFont(faceScaled(0.94));
        labels.back()->setCursor(Qt::PointingHandCursor);
        setInk(labels.back(), theme_.colours().inkSoft);
        figures_->layout()->addWidget(labels.back());
        labels.back()->show();
    }
    for (std::size_t i = 0; i < figures.size(); ++i) {
        Label* label = labels[static_cast<qsizetype>(i)];
        label->setProperty(kFigureKey, qt(figures[i].key));
        label->setText(qt(labelOf(figures[i].key) + " " + displayOf(figures[i])));
    }
}

void PartRow::showMaterial(const Part& part) {
    const Material* made = part.material ? document_.book().findMaterial(*part.material) : nullptr;
    materials_->setText(made            ? qt(made->title())
                        : part.material ? tr("no such material: choose one")
                        : part.from     ? tr("what is left of the %1").arg(qt(partName(*part.from)))
                        : part.kind == PartKind::head || part.kind == PartKind::underbody ? tr("the tying thread")
                                                                                          : tr("choose…"));
    if (!made) return materials_->setIcon(QIcon());
    QPixmap swatch(materials_->iconSize() * devicePixelRatioF());
    swatch.setDevicePixelRatio(devicePixelRatioF());
    swatch.fill(Qt::transparent);
    QPainter painter(&swatch);
    painter.setRenderHint(QPainter::Antialiasing);
    drawing::paintMaterial(painter, *made, QRectF(QPointF(), materials_->iconSize()).adjusted(2, 2, -2, -2), theme_.bench());
    materials_->setIcon(QIcon(swatch));
}

// Any that such a part can be made of, the most usual kinds first.
void PartRow::chooseMaterial() {
    const Part& part = document_.pattern()->parts[part_];
    Chooser::Asked asked;
    asked.title = tr("What is the %1 of?").arg(qt(sayName(part.kind)));
    asked.things = materialThings(document_.book(), kindsFor(part.kind));
    if (part.material) asked.now = {"materials", *part.material};
    Chooser::ask(materials_, document_, theme_, std::move(asked), [this](const RecordId& record) {
        showFaults(document_.apply(changeMaterial(document_.book(), document_.pattern()->id, part_, MaterialId(record.id)), part_));
    });
}

// What would mend the part's warnings, best first; each is done by pressing it.
void PartRow::fillMends() {
    for (QObject* old : mends_->children())
        if (auto* widget = qobject_cast<QWidget*>(old)) retire(widget);
    const Plan& plan = *document_.plan();
    int n = 0;
    for (const Warning& warning : plan.warnings) {
        if (!warningIsHere(plan, warning, part_)) continue;
        for (Mend& mend : mendsOf(document_.book(), plan, warning)) {
            auto* line = new QWidget(mends_);
            auto* row = new QHBoxLayout(line);
            row->setContentsMargins(0, 0, 0, 0);
            auto* said = new Label(qt(mend.words(warning)), line);
            said->setObjectName(QStringLiteral("mend-said-%1-%2").arg(part_).arg(n));
            said->setWordWrap(true);
            said->setFont(faceScaled(0.94));
            auto* button = new QToolButton(line);
            button->setObjectName(QStringLiteral("mend-%1-%2").arg(part_).arg(n++));
            button->setText(tr("do it"));
            button->setAccessibleName(tr("Do it: %1").arg(said->text()));
            button->setToolTip(tr("Costs %1 as the team's balance counts (a turn 1, another material 2, a hook size 4: rule of thumb). "
                                  "Does it; undo takes it back")
                                   .arg(mend.cost));
            connect(button, &QAbstractButton::clicked, this,
                    [this, edit = std::move(mend.edit)] { document_.refuse(document_.apply(edit, part_)); });
            row->addWidget(said, 1);
            row->addWidget(button, 0, Qt::AlignTop);
            mends_->layout()->addWidget(line);
        }
    }
    mends_->setVisible(n > 0);
}

void PartRow::takeText(const std::string& key, const QString& text) {
    const Faults faults =
        document_.apply(changeField(document_.book(), document_.pattern()->id, part_, key, text.trimmed().toStdString()), part_);
    if (!isOpen()) return;
    if (faults.empty()) fillEditor();
    showFaults(faults);
}

void PartRow::showFaults(const Faults& faults) {
    if (!fault_) return;
    fault_->setText(sayFaults(faults));
    fault_->setVisible(!faults.empty());
}

void PartRow::step(QLineEdit* line, const std::string& key, int steps) {
    const auto fields = fieldsOf(document_.pattern()->parts[part_]);
    const auto field = std::ranges::find(fields, key, &Field::key);
    if (field == fields.end() || field->text.empty()) return;
    std::string next;
    if (field->kind == FieldKind::length) {
        if (const auto spec = readSpec(field->text, Place())) next = writeSpec(stepped(*spec, steps));
    } else if (field->kind == FieldKind::count) {
        bool number = false;
        const double value = QString::fromStdString(field->text).toDouble(&number);
        const double by = key == "fibres" || key == "count" || key == "strands" ? 1.0 : 0.5;
        if (number) next = QString::number(value + by * steps).toStdString();
    }
    if (next.empty()) return;
    takeText(key, qt(next));
    line->selectAll();
}

}  // namespace machair::app
