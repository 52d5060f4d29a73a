#include "tie/mishap_cards.h"

#include <QFile>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QPushButton>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/edits.h"
#include "book/records.h"
#include "book/team_edits.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts//label.h"
#include "store/mishap_file.h"
#include "theme/bench_style.h"

namespace machair::app {

namespace {

// A bar as long as its share of the most frequent.
class Share : public QWidget {
  public:
    Share(double share, const QColor& colour) : share_(share), colour_(colour) { setFixedHeight(8); }

  protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.fillRect(QRectF(0.0, 1.0, share_ * width(), height() - 2.0), colour_);
    }

  private:
    double share_;
    QColor colour_;
};

Label* paragraph(const QString& text) {
    auto* label = new Label(text);
    label->setWordWrap(true);
    return label;
}

}  // namespace

// What ships is read once; it is part of the program, so that anything wrong with it is the program's fault.
const std::vector<MishapCard>& MishapCards::all() {
    static const std::vector<MishapCard> cards = [] {
        QFile file(QStringLiteral(":/vice/mishaps.json"));
        if (!file.open(QIODevice::ReadOnly)) throw BrokenContract("the cards of what goes wrong are not in the program");
        return store::readMishaps(file.readAll().toStdString()).value();
    }();
    return cards;
}

MishapCards::MishapCards(Document& document, const Theme& theme, QWidget* parent)
    : QScrollArea(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("mishaps"));
    setAccessibleName(tr("What went wrong"));
    setWidgetResizable(true);
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFocusPolicy(Qt::NoFocus);
    connect(&theme_, &Theme::changed, this, [this] {
        if (isVisible()) rebuild();
    });
}

void MishapCards::show(const Plan& plan, const TyingStep& step) {
    const bool same = step_ && step_->verb == step.verb && step_->object == step.object && step_->part == step.part;
    plan_ = plan;
    step_ = step;
    own_ = false;
    known_ = all();
    for (MishapCard& own : ownCards(document_.book()))
        known_.push_back(std::move(own));
    cards_ = cardsFor(known_, plan, step);
    if (!same) chosen_.reset();
    if (chosen_ && *chosen_ >= cards_.size()) chosen_.reset();
    rebuild();
}

void MishapCards::showOwn() {
    own_ = true;
    rebuild();
}

void MishapCards::choose(std::size_t card) {
    if (own_ || card >= cards_.size()) return;
    const MishapCard& own = *cards_[card];
    const bool back = chosen_ == card;
    chosen_ = back ? std::nullopt : std::optional(card);
    document_.refuse(document_.apply(back ? takeBackMishap(document_.book(), MishapId(own.id), own.shows)
                                          : countMishap(document_.book(), MishapId(own.id), own.shows)));
    rebuild();
}

void MishapCards::changePlan(const PlanLink& link) {
    if (document_.pattern())
        document_.refuse(
            document_.apply(changeField(document_.book(), document_.pattern()->id, link.part, link.key, link.text), link.part));
}

void MishapCards::rebuild() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(14, 10, 14, 14);
    column->setSpacing(8);
    if (own_) {
        column->addWidget(heading(tr("What goes wrong with you")));
        const auto list = ownMishaps(document_.book(), all());  // its own cards say themselves what to practise
        if (list.empty())
            column->addWidget(
                paragraph(tr("Nothing was chosen yet. When something goes wrong at a step, press W and choose its card: it is counted "
                             "here, with what to practise.")));
        constexpr std::size_t kMost = 10;
        for (std::size_t i = 0; i < std::min(kMost, list.size()); ++i) {
            auto* words = paragraph(tr("%1 × %2").arg(list[i].count).arg(qt(say(list[i].shows))));
            words->setFont(faceScaled(1.2, true));
            column->addWidget(words);
            column->addWidget(new Share(static_cast<double>(list[i].count) / std::max(1, list.front().count), theme_.colours().accent));
            auto* practise = paragraph(tr("Practise: %1").arg(qt(say(list[i].practise))));
            setInk(practise, theme_.colours().grass);
            column->addWidget(practise);
        }
    } else {
        auto* head = heading(step_ ? tr("What went wrong? %1 %2").arg(qt(say(step_->verb)), qt(step_->object)) : tr("What went wrong?"));
        head->setWordWrap(true);
        column->addWidget(head);
        for (std::size_t i = 0; i < cards_.size(); ++i)
            addCard(column, i);
        if (step_ && step_->part >= 0) addOwnLine(column);
    }
    column->addStretch(1);
    setWidget(page);
}

void MishapCards::addCard(QVBoxLayout* column, std::size_t i) {
    const MishapCard& card = *cards_[i];
    auto* button =
        new QPushButton(tr("%1  %2").arg(i < 9 ? QString::number(i + 1) : QStringLiteral(" "), capitalised(qt(say(card.shows)))));
    button->setObjectName(QStringLiteral("mishap-%1").arg(qt(card.id)));
    button->setCheckable(true);
    button->setChecked(chosen_ == i);
    button->setFocusPolicy(Qt::NoFocus);
    button->setFont(faceScaled(1.2, chosen_ == i));
    button->setProperty(BenchStyle::kFromTheLeft, true);
    button->setToolTip(chosen_ == i ? tr("It didn't happen after all: not counted") : tr("It happened: counted, with its mend"));
    // The card is made anew by its own press: later, not under its own feet.
    connect(button, &QPushButton::clicked, this, [this, i] {
        QMetaObject::invokeMethod(
            this, [this, i] { choose(i); }, Qt::QueuedConnection);
    });
    column->addWidget(button);
    if (chosen_ == i) addOpen(column, card);
}

// Something that no card says: named here, it is a card of one's own from now on.
void MishapCards::addOwnLine(QVBoxLayout* column) {
    auto* line = new QLineEdit;
    line->setObjectName(QStringLiteral("mishap-own"));
    line->setPlaceholderText(tr("Something else: how it shows"));
    line->setAccessibleName(tr("Something else that went wrong"));
    line->setFont(faceScaled(1.2));
    connect(line, &QLineEdit::returnPressed, this, [this, line] {
        const QString words = line->text().simplified();
        if (words.isEmpty() || !plan_ || !step_) return;
        const PartKind part = plan_->parts[static_cast<std::size_t>(step_->part)].kind;
        QMetaObject::invokeMethod(
            this,
            [this, words, part] {
                New<Mishap> made = addMishapCard(document_.book(), words.toStdString(), part);
                document_.refuse(document_.apply(std::move(made.edit)));
                show(Plan(*plan_), TyingStep(*step_));
                const auto found = std::ranges::find(cards_, made.id, [](const MishapCard* c) { return c->id; });
                if (found != cards_.end()) chosen_ = static_cast<std::size_t>(found - cards_.begin());
                rebuild();
                if (parentWidget()) parentWidget()->setFocus();  // the keys are the vice's again
            },
            Qt::QueuedConnection);
    });
    column->addWidget(line);
}

void MishapCards::writeOwn(const MishapCard& card, const char* key, const QString& text) {
    document_.refuse(document_.apply(changeRecord(document_.book(), {"mishaps", card.id}, key, text.simplified().toStdString())));
    if (plan_ && step_) show(Plan(*plan_), TyingStep(*step_));
}

void MishapCards::addOpen(QVBoxLayout* column, const MishapCard& card) {
    const Colours& c = theme_.colours();
    const auto& own = document_.book().mishaps;
    if (std::ranges::any_of(own, [&](const Mishap& m) { return m.id == card.id && m.isOwnCard(); })) {
        const auto field = [&](const char* name, const char* key, const QString& asked, const std::string& text) {
            auto* line = new QLineEdit(qt(text));
            line->setObjectName(QString::fromLatin1(name));
            line->setPlaceholderText(asked);
            line->setAccessibleName(asked);
            line->setFont(faceScaled(1.2));
            connect(line, &QLineEdit::returnPressed, this, [this, id = card, key, line] {
                QMetaObject::invokeMethod(
                    this, [this, id, key, text = line->text()] { writeOwn(id, key, text); }, Qt::QueuedConnection);
            });
            column->addWidget(line);
        };
        field("mishap-own-mend", "this_fly", tr("This fly: how you mended it (Enter keeps it)"), card.thisFly);
        field("mishap-own-next", "next_fly", tr("The next: what prevents it (Enter keeps it)"), card.nextFly);
        return;
    }
    const auto line = [&](const char* name, const QString& text, const QColor& ink, double scale) {
        auto* label = paragraph(text);
        label->setObjectName(QString::fromLatin1(name));
        label->setFont(faceScaled(scale));
        setInk(label, ink);
        label->setContentsMargins(12, 0, 0, 0);
        column->addWidget(label);
    };
    line("mishap-undo", tr("%1; %2.").arg(capitalised(qt(sayShows(card.when))), qt(sayUndo(card.undo))), c.inkSoft, 1.0);
    line("mishap-this-fly", (card.undo == Undo::none ? tr("Instead: %1") : tr("This fly: %1")).arg(qt(say(card.thisFly))), c.ink, 1.3);
    line("mishap-next-fly", tr("The next: %1").arg(qt(say(card.nextFly))), c.grass, 1.3);
    if (!card.seenBy.empty()) line("mishap-seen", tr("The plan could have known: %1.").arg(qt(say(card.seenBy))), c.inkSoft, 1.0);
    const auto link = plan_ && step_ && step_->part >= 0 ? planLink(card, *plan_, static_cast<std::size_t>(step_->part)) : std::nullopt;
    if (!link) return;
    auto* change = toolButton("mishap-change-plan", tr("Change the plan: %1").arg(inHouseWords(link->words)),
                              tr("Changes the dressing, so that the next fly is planned so"));
    change->setFocusPolicy(Qt::NoFocus);
    connect(change, &QToolButton::clicked, this, [this, link = *link] {
        QMetaObject::invokeMethod(
            this, [this, link] { changePlan(link); }, Qt::QueuedConnection);
    });
    column->addWidget(change);
}

}  // namespace machair::app
