#include "frame/recipe_sheet.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QPlainTextEdit>
#include <QScrollArea>
#include <QTextBlock>
#include <QToolButton>
#include <QVBoxLayout>

#include "drawing/things.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts/label.h"

namespace machair::app {

// The fly that the recipe makes as far as it is read, on its hook.
class ReadFly : public QWidget {
  public:
    explicit ReadFly(const Theme& theme) : theme_(theme) {
        constexpr int kHeight = 210;
        setFixedHeight(kHeight);
        setObjectName(QStringLiteral("recipe-fly"));
        setAccessibleName(RecipeSheet::tr("The fly as it is read"));
    }
    void show(std::optional<Book> with, DressingId fly) {
        book_ = std::move(with);
        fly_ = std::move(fly);
        setVisible(book_.has_value());
        update();
    }

  protected:
    void paintEvent(QPaintEvent*) override {
        if (!book_) return;
        QPainter painter(this);
        painter.setRenderHint(QPainter::Antialiasing);
        constexpr double kMargin = 8.0, kMostPxPerMm = 26.0;
        drawing::paintFlies(painter, *book_, {Fly{fly_, {}}}, QRectF(rect()).adjusted(kMargin, kMargin, -kMargin, -kMargin), theme_.bench(),
                            kMostPxPerMm);
    }

  private:
    const Theme& theme_;
    std::optional<Book> book_;
    DressingId fly_;
};

RecipeSheet::RecipeSheet(Document& document, const Theme& theme, QWidget* parent)
    : OwnSheet(parent),
      document_(document),
      theme_(theme),
      text_(new QPlainTextEdit),
      means_(new Label),
      doubts_(new QScrollArea),
      fly_(new ReadFly(theme)) {
    setObjectName(QStringLiteral("recipe"));
    setFrameShape(QFrame::StyledPanel);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 10, 16, 10);
    column->addWidget(heading(tr("A recipe, in whatever manner it is printed")));
    auto* both = new QHBoxLayout;
    text_->setObjectName(QStringLiteral("recipe-text"));
    text_->setAccessibleName(tr("The recipe's text"));
    text_->setPlaceholderText(tr("Paste or type it here: \"Tail: orange tippet\", a table, numbered steps, a paragraph …"));
    text_->setTabChangesFocus(false);
    both->addWidget(text_, 1);
    auto* right = new QVBoxLayout;
    means_->setObjectName(QStringLiteral("recipe-means"));
    means_->setWordWrap(true);
    means_->setMinimumWidth(420);  // else it asks for the height of a column of single words
    right->addWidget(means_);
    doubts_->setObjectName(QStringLiteral("recipe-doubts"));
    doubts_->setWidgetResizable(true);
    doubts_->setFrameShape(QFrame::NoFrame);
    right->addWidget(doubts_, 1);
    right->addWidget(fly_);
    both->addLayout(right, 1);
    column->addLayout(both, 1);
    auto* row = new QHBoxLayout;
    take_ =
        toolButton("recipe-take", tr("Put it on the bench"), tr("A new dressing; what is still in doubt stays as its note (Ctrl+Enter)"));
    auto* leave = toolButton("recipe-leave", tr("Leave it"), tr("Nothing is taken in (Esc)"));
    row->addWidget(take_);
    row->addWidget(leave);
    row->addStretch(1);
    column->addLayout(row);
    connect(text_, &QPlainTextEdit::textChanged, this, &RecipeSheet::readAgain);
    connect(take_, &QToolButton::clicked, this, &RecipeSheet::take);
    connect(leave, &QToolButton::clicked, this, &QWidget::hide);
    connect(&theme_, &Theme::changed, this, &RecipeSheet::mark);
    hide();
}

void RecipeSheet::open(const QString& text) {
    answers_.clear();
    text_->setPlainText(text);
    readAgain();
    emit opened(true);  // room is made first: side by side they would want a taller window
    show();
    raise();
    text_->setFocus();
}

void RecipeSheet::readAgain() {
    const QString text = text_->toPlainText();
    read_.reset();
    faults_.clear();
    if (!text.trimmed().isEmpty()) {
        auto read = store::readRecipe(text.toStdString(), document_.book());
        if (read)
            read_ = std::move(*read);
        else
            faults_ = read.error();
    }
    for (const Answer& answer : answers_)  // what was said of the same words before more was typed
        takeAnswer(answer);
    showDoubts();
    mark();
}

QString RecipeSheet::partsSaid(const Book& with) const {
    QStringList parts;
    for (const Part& part : read_->pattern.parts) {
        const Material* made = part.material ? with.findMaterial(*part.material) : nullptr;
        parts << qt(sayName(part.kind)) + (made ? QStringLiteral(" ") + qt(made->title()) : QString());
    }
    return parts.join(QStringLiteral(" · "));
}

void RecipeSheet::showDoubts() {
    auto* page = new QWidget;
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(0, 6, 8, 6);
    column->setSpacing(6);
    take_->setEnabled(read_.has_value());
    if (!read_) {
        fly_->show({}, {});
        means_->setText(faults_.empty() ? tr("Nothing yet.") : sayFault(faults_.front()));
        setInk(means_, faults_.empty() ? theme_.colours().inkSoft : theme_.colours().fault);
    } else {
        Book with = store::withRecipe(document_.book(), *read_);
        means_->setText(tr("%1: %2").arg(qt(read_->pattern.title()), partsSaid(with)));
        fly_->show(std::move(with), read_->pattern.id);
        setInk(means_, theme_.colours().ink);
        if (read_->doubts.empty()) {
            auto* sure = new Label(tr("✓ every word of it is understood"));
            setInk(sure, theme_.colours().grass);
            column->addWidget(sure);
        }
        for (std::size_t i = 0; i < read_->doubts.size(); ++i)
            addDoubt(column, i);
    }
    column->addStretch(1);
    doubts_->setWidget(page);
}

void RecipeSheet::addDoubt(QVBoxLayout* column, std::size_t i) {
    const store::RecipeDoubt& doubt = read_->doubts[i];
    auto* question = new Label(doubt.words.empty() ? qt(doubt.question) : tr("line %1: %2").arg(doubt.line).arg(qt(doubt.question)));
    question->setWordWrap(true);
    question->setObjectName(QStringLiteral("doubt-%1").arg(i));
    setInk(question, theme_.colours().warn);
    column->addWidget(question);
    auto* row = new QHBoxLayout;
    int shown = 0;
    constexpr int kInARow = 4;
    for (const store::RecipeChoice& choice : doubt.choices) {
        if (shown == kInARow) {
            row->addStretch(1);
            column->addLayout(row);
            row = new QHBoxLayout;
            shown = 0;
        }
        auto* button = toolButton("doubt-choice", qt(choice.words), tr("So it is"));
        connect(button, &QToolButton::clicked, this, [this, i, value = choice.value] {
            QMetaObject::invokeMethod(
                this, [this, i, value] { answer(i, value); }, Qt::QueuedConnection);
        });
        row->addWidget(button);
        ++shown;
    }
    auto* as = toolButton("doubt-leave", tr("As it is"), tr("What stands in for it stays, and its words as a note"));
    connect(as, &QToolButton::clicked, this, [this, i] {
        QMetaObject::invokeMethod(
            this, [this, i] { answer(i, {}); }, Qt::QueuedConnection);
    });
    row->addWidget(as);
    row->addStretch(1);
    column->addLayout(row);
}

void RecipeSheet::answer(std::size_t doubt, const std::string& value) {
    if (!read_ || doubt >= read_->doubts.size()) return;
    const Answer given{read_->doubts[doubt].words, read_->doubts[doubt].question, value};
    if (const Faults faults = takeAnswer(given); !faults.empty()) return document_.refuse(faults);
    answers_.push_back(given);
    showDoubts();
    mark();
}

Faults RecipeSheet::takeAnswer(const Answer& answer) {
    if (!read_) return {};
    const auto doubt = std::ranges::find_if(
        read_->doubts, [&](const store::RecipeDoubt& d) { return d.words == answer.words && d.question == answer.question; });
    if (doubt == read_->doubts.end()) return {};
    if (answer.value.empty()) {
        read_->doubts.erase(doubt);
        return {};
    }
    auto now = store::answered(*read_, document_.book(), static_cast<std::size_t>(doubt - read_->doubts.begin()), answer.value);
    if (!now) return now.error();
    read_ = std::move(*now);
    return {};
}

// The doubtful words, underlined where they stand.
void RecipeSheet::mark() {
    QList<QTextEdit::ExtraSelection> marks;
    if (read_)
        for (const store::RecipeDoubt& doubt : read_->doubts) {
            if (doubt.words.empty()) continue;
            const QTextBlock block = text_->document()->findBlockByNumber(static_cast<int>(doubt.line) - 1);
            if (!block.isValid()) continue;
            // Columns are bytes; the editor counts letters.
            const QByteArray bytes = block.text().toUtf8();
            const auto from = QString::fromUtf8(bytes.left(static_cast<qsizetype>(doubt.column) - 1)).size();
            const auto length = std::min<qsizetype>(qt(doubt.words).size(), block.text().size() - from);
            if (length <= 0) continue;
            QTextEdit::ExtraSelection mark;
            mark.cursor = QTextCursor(block);
            mark.cursor.setPosition(block.position() + static_cast<int>(from));
            mark.cursor.setPosition(block.position() + static_cast<int>(from + length), QTextCursor::KeepAnchor);
            mark.format.setUnderlineStyle(QTextCharFormat::WaveUnderline);
            mark.format.setUnderlineColor(theme_.colours().warn);
            mark.format.setForeground(theme_.colours().warn);
            marks << mark;
        }
    text_->setExtraSelections(marks);
}

void RecipeSheet::take() {
    if (!read_) return;
    NewDressing made{read_->pattern.id, {say("recipe: {}", read_->pattern.title()), store::withRecipe(document_.book(), *read_)}};
    const std::size_t open = read_->doubts.size(), fresh = read_->materials.size() + read_->hooks.size();
    const QString title = qt(read_->pattern.title());
    const Faults faults = document_.start(std::move(made));
    if (!faults.empty()) return document_.refuse(faults);
    hide();
    QString said = open == 0   ? tr("%1 is on the bench, every word of it").arg(title)
                   : open == 1 ? tr("%1 is on the bench; one thing in it is still in doubt").arg(title)
                               : tr("%1 is on the bench; %2 things in it are still in doubt").arg(title).arg(open);
    if (fresh > 0) said += tr(", with %1 new in the drawers").arg(fresh);
    document_.say(said);
}

void RecipeSheet::keyPressEvent(QKeyEvent* event) {
    if ((event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) && event->modifiers().testFlag(Qt::ControlModifier))
        return take();
    OwnSheet::keyPressEvent(event);
}

}  // namespace machair::app
