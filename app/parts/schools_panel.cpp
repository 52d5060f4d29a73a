#include "parts/schools_panel.h"

#include <QButtonGroup>
#include <QEvent>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>
#include <array>
#include <map>

#include "book/fields.h"
#include "book/schools.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts/flow_layout.h"
#include "parts/label.h"
#include "parts/when_seen.h"
#include "sizing/compare.h"

namespace machair::app {

namespace {

QString titleOf(std::string_view about) {
    static const std::map<std::string_view, const char*> kTitles = {{"hackle", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "Hackle")},
                                                                    {"rib", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "Rib")},
                                                                    {"tail", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "Tail")},
                                                                    {"body", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "Body")},
                                                                    {"wing", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "Wing, legs")},
                                                                    {"cheek", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "Cheeks")},
                                                                    {"bead", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "Bead")},
                                                                    {"hook", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "Hook")},
                                                                    {"head", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "Head")},
                                                                    {"fly", QT_TRANSLATE_NOOP("machair::app::SchoolsPanel", "The fly")}};
    return SchoolsPanel::tr(kTitles.at(about));
}

QString said(std::string_view words) { return qt(say(spaced(words))); }

std::string textFor(const std::vector<Field>& fields, const SchoolFacts& facts) {
    const auto found = std::ranges::find(fields, facts.key, &Field::key);
    return found == fields.end() ? std::string() : found->text;
}

bool isAbout(const Pattern& pattern, const SchoolFacts& facts) {
    const auto any = [&](auto kinds) {
        return std::ranges::any_of(pattern.parts, [&](const Part& part) { return std::ranges::find(kinds, part.kind) != kinds.end(); });
    };
    if (facts.key == "palmer" || facts.key == "palmer_rib") return any(std::array{PartKind::palmer});
    if (facts.key == "collar_place") return any(std::array{PartKind::wing}) && any(std::array{PartKind::collar});
    if (facts.key == "film_hackle") {  // a tuft or a style that floats
        const bool tuft = std::ranges::any_of(pattern.parts, [](const Part& part) {
            const auto* wing = std::get_if<WingPart>(&part.detail);
            return wing && wing->style == WingStyle::plume;
        });
        return (tuft || pattern.style == FlyStyle::film) && any(std::array{PartKind::collar});
    }
    if (facts.key == "legs_set") return any(std::array{PartKind::legs});
    if (facts.key == "two_hackles") return std::ranges::count(pattern.parts, PartKind::collar, &Part::kind) > 1;
    if (facts.about == "hackle") return any(std::array{PartKind::collar, PartKind::throat, PartKind::palmer});
    if (facts.about == "rib") return any(std::array{PartKind::rib});
    if (facts.about == "tail") return any(std::array{PartKind::tail});
    if (facts.about == "body") return any(std::array{PartKind::body});
    if (facts.about == "wing") return any(std::array{PartKind::wing});
    if (facts.about == "cheek") return any(std::array{PartKind::cheek});
    if (facts.about == "bead") return any(std::array{PartKind::bead});
    return true;
}

}  // namespace

SchoolsPanel::SchoolsPanel(Document& document, Of of, QWidget* parent)
    : QWidget(parent), document_(document), of_(of), changes_(new Label(this)) {
    setObjectName(QStringLiteral("schools"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 4, 0, 10);
    column->setSpacing(3);
    if (of == Of::allOnly) column->addWidget(heading(tr("Schools, for all my dressings")));  // folded away in the ticket, under its name
    if (of == Of::dressing) {
        auto* scope = new QHBoxLayout;
        auto* either = new QButtonGroup(this);
        own_ =
            toolButton("school-own", tr("for this dressing"), tr("What a part says of itself comes first, then this, then yours for all"));
        all_ = toolButton("school-all", tr("for all of mine"), tr("Each dressing that says nothing else; how new ones arrive"));
        for (QToolButton* one : {own_, all_}) {
            one->setCheckable(true);
            either->addButton(one);
            scope->addWidget(one);
            connect(one, &QToolButton::toggled, this, &SchoolsPanel::refresh);
        }
        scope->addStretch(1);
        column->addLayout(scope);
        own_->setChecked(true);
    }
    changes_->setObjectName(QStringLiteral("school-changes"));
    changes_->setWordWrap(true);
    changes_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    constexpr int kLines = 3;
    changes_->setFixedHeight(kLines * changes_->fontMetrics().lineSpacing() + 2);
    column->addWidget(changes_);
    for (const SchoolFacts& facts : schoolTable())
        if (of == Of::dressing || facts.scope == SchoolScope::allAndDressing) addQuestion(facts, column);
    (new WhenSeen(this, [this] { refresh(); }))->on(&document_, &Document::bookOpened, &Document::planChanged);
}

void SchoolsPanel::addQuestion(const SchoolFacts& facts, QVBoxLayout* column) {
    if (headings_.empty() || headings_.back().first != facts.about) {
        auto* title = new Label(titleOf(facts.about), this);
        title->setFont(faceScaled(1.0, true));
        column->addWidget(title);
        headings_.emplace_back(facts.about, title);
    }
    const std::vector<Field> fields = fieldsOf(SchoolChoices{});
    const Field& field = *std::ranges::find(fields, facts.key, &Field::key);
    Question question{&facts, new QWidget(this), {}};
    auto* row = new FlowLayout(question.row, 3);
    auto* asked = new Label(qt(field.label), question.row);
    row->addWidget(asked);
    for (const std::string& choice : field.choices) {
        auto* made = toolButton("", qt(say(choice)), QString());
        const std::string key(facts.key);
        made->setObjectName(QStringLiteral("school-%1-%2").arg(qt(key), qt(choice)));
        made->setAccessibleName(qt(field.label + ": " + say(choice)));
        if (choice == facts.usual) made->setToolTip(tr("the usual: %1").arg(said(facts.reason)));
        made->setCheckable(true);
        made->setFocusPolicy(Qt::StrongFocus);
        made->installEventFilter(this);
        connect(made, &QToolButton::clicked, this, [this, key, choice] {
            for (const Question& q : questions_)
                for (const Answer& a : q.answers)
                    if (q.facts->key == key && a.text == choice) return take(q, a);
        });
        row->addWidget(made);
        question.answers.push_back({choice, made});
    }
    asked->setFixedHeight(question.answers.front().button->sizeHint().height());  // in line with them
    column->addWidget(question.row);
    questions_.push_back(std::move(question));
}

bool SchoolsPanel::forAll() const { return !all_ || all_->isChecked(); }

std::optional<DressingId> SchoolsPanel::whose() const {
    return forAll() || !document_.pattern() ? std::nullopt : std::optional(document_.pattern()->id);
}

bool SchoolsPanel::concerns(const SchoolFacts& facts) const {
    if (forAll()) return facts.scope == SchoolScope::allAndDressing;
    return document_.pattern() && isAbout(*document_.pattern(), facts);
}

// All answers at once: what is held is read off the parts, once for the whole panel.
std::vector<Field> SchoolsPanel::held() const {
    const Book& book = document_.book();
    return fieldsOf(whose() ? heldChoices(book, *document_.pattern()) : book.schools.value_or(SchoolChoices{}));
}

// What nobody chose is marked as what most do, not as chosen.
void SchoolsPanel::refresh() {
    if (!isVisible() || document_.previewing()) return;
    setEnabled(document_.isOpen() && (of_ == Of::allOnly || document_.pattern()));
    if (!isEnabled()) return;
    std::map<std::string_view, bool> shown;
    const std::vector<Field> answers = held();
    for (const Question& question : questions_) {
        const bool wanted = concerns(*question.facts);
        question.row->setVisible(wanted);
        shown[question.facts->about] |= wanted;
        if (!wanted) continue;
        const std::string own = textFor(answers, *question.facts);
        for (const Answer& answer : question.answers) {
            answer.button->setChecked(answer.text == own);
            QFont font = answer.button->font();
            font.setItalic(own.empty() && answer.text == question.facts->usual);
            answer.button->setFont(font);
        }
    }
    for (const auto& [about, title] : headings_)
        title->setVisible(shown[about]);
    if (!looking_) changes_->setText(tr("Point at an answer to see what it changes; a press takes it, the same again lets go of it."));
}

void SchoolsPanel::look(const Question& question, const Answer& answer) {
    const QString usual = answer.text == question.facts->usual ? tr("the usual: %1").arg(said(question.facts->reason)) : QString();
    const auto edit = changeSchool(document_.book(), whose(), question.facts->key, answer.text);
    looking_ = true;
    if (!edit) {
        document_.dropPreview();
        changes_->setText(sayFaults(edit.error()));
        return;
    }
    QString changes;
    if (document_.plan()) {
        document_.previewBeside(edit);
        constexpr std::size_t kMost = 3;
        if (document_.previewing() && document_.ghost()) {
            QStringList words;
            for (const Difference& one : differences(*document_.ghost(), *document_.plan())) {
                if (words.size() == kMost) break;
                words << qt(one.words());
            }
            changes = words.join(QStringLiteral("; "));
        }
    }
    if (changes.isEmpty())
        changes = answer.text == textFor(held(), *question.facts)
                      ? tr("as it is")
                      : tr("no number of this fly; it changes: %1").arg(said(question.facts->changes));
    changes_->setText(usual.isEmpty() ? changes : changes + QLatin1Char('\n') + usual);
}

void SchoolsPanel::leave() {
    if (!looking_) return;
    looking_ = false;
    document_.dropPreview();
    refresh();
}

void SchoolsPanel::take(const Question& question, const Answer& answer) {
    document_.dropPreview();
    looking_ = false;
    const bool again = textFor(held(), *question.facts) == answer.text;
    document_.refuse(document_.apply(changeSchool(document_.book(), whose(), question.facts->key, again ? std::string() : answer.text)));
    refresh();
}

bool SchoolsPanel::eventFilter(QObject* watched, QEvent* event) {
    const bool comes = event->type() == QEvent::Enter || event->type() == QEvent::FocusIn;
    const bool goes = event->type() == QEvent::Leave || event->type() == QEvent::FocusOut || event->type() == QEvent::Hide;
    if (goes) leave();
    if (comes && document_.isOpen())
        for (const Question& question : questions_)
            for (const Answer& answer : question.answers)
                if (answer.button == watched) look(question, answer);
    return QWidget::eventFilter(watched, event);
}

void SchoolsPanel::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    refresh();
}

}  // namespace machair::app
