#include "parts/ask_card.h"

#include <QAbstractSpinBox>
#include <QApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMouseEvent>
#include <QPainter>
#include <QPlainTextEdit>
#include <QTextEdit>
#include <QToolButton>
#include <QVBoxLayout>

#include "frame/retire.h"
#include "parts/label.h"
#include "theme/said.h"

namespace machair::app {

namespace {

constexpr int kWide = 380;

bool isTypedIn(const QWidget* widget) {
    return qobject_cast<const QLineEdit*>(widget) || qobject_cast<const QTextEdit*>(widget) ||
           qobject_cast<const QPlainTextEdit*>(widget) || qobject_cast<const QAbstractSpinBox*>(widget);
}

Label* words(const QString& text, const QFont& font, QWidget* parent) {
    auto* label = new Label(text, parent);
    label->setWordWrap(true);
    label->setFont(font);
    return label;
}

}  // namespace

AskCard::AskCard(Document& document, const Theme& theme, QWidget* window)
    : QFrame(window), document_(document), theme_(theme), column_(new QVBoxLayout(this)) {
    setObjectName(QStringLiteral("ask-card"));
    setAccessibleName(tr("Where a number comes from"));
    setFocusPolicy(Qt::StrongFocus);
    column_->setContentsMargins(16, 12, 14, 14);
    hide();
    qApp->installEventFilter(this);
    connect(&document_, &Document::planChanged, this, &AskCard::refresh);
    connect(&document_, &Document::teamChanged, this, &AskCard::refresh);
    connect(&document_, &Document::bookChanged, this, &AskCard::refresh);
    connect(&theme_, &Theme::changed, this, &AskCard::refresh);
}

std::optional<Derivation> AskCard::answer() const {
    if (asked_.empty() || !document_.isOpen()) return std::nullopt;
    if (const auto* check = std::get_if<CheckAsked>(&asked_.back())) {
        const auto& report = document_.teamReport();
        if (!report || check->check >= report->checks.size()) return std::nullopt;
        return machair::ask(*report, report->checks[check->check]);
    }
    if (const auto* there = std::get_if<AnsweredThere>(&asked_.back())) return there->answer();
    const auto& plan = document_.plan();
    return plan ? machair::ask(*plan, std::get<FigureRef>(asked_.back())) : std::nullopt;
}

void AskCard::ask(const Question& question, QPoint beside) {
    asked_ = {question};
    beside_ = beside;
    const auto made = answer();
    if (!made) return hide();
    show(*made);
    QFrame::show();
    raise();
    setFocus(Qt::OtherFocusReason);
}

void AskCard::refresh() {
    if (!isVisible()) return;
    const auto made = answer();
    if (made)
        show(*made);
    else
        hide();
}

void AskCard::show(const Derivation& answer) {
    const Colours& c = theme_.colours();
    if (sheet_) {
        column_->removeWidget(sheet_);
        retire(sheet_);  // a press on it may have brought us here
    }
    sheet_ = new QWidget(this);
    auto* column = new QVBoxLayout(sheet_);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(5);
    auto* head = new QHBoxLayout;
    head->addWidget(words(capitalised(qt(answer.name)), faceScaled(1.0), sheet_), 1);
    if (asked_.size() > 1) {
        auto* before = new QToolButton(sheet_);
        before->setObjectName(QStringLiteral("ask-back"));
        before->setText(tr("← back"));
        before->setToolTip(tr("To the number that was asked before (Backspace)"));
        connect(before, &QToolButton::clicked, this, &AskCard::back);
        head->addWidget(before, 0, Qt::AlignTop);
    }
    column->addLayout(head);
    column->addWidget(words(qt(answer.value), faceScaled(1.5, true), sheet_));
    column->addWidget(words(capitalised(qt(answer.formula)) + QLatin1Char('.'), faceScaled(1.0), sheet_));
    for (const AskedInput& input : answer.inputs) {
        const QString text = qt(input.name) + QStringLiteral("  ") + qt(input.value);
        if (!input.ask) {
            column->addWidget(words(text, faceScaled(0.96), sheet_));
            continue;
        }
        auto* button = new QToolButton(sheet_);
        button->setObjectName(QStringLiteral("ask-") + qt(input.ask->key));
        button->setText(button->fontMetrics().elidedText(inHouseWords(text), Qt::ElideRight, grownWithText(kWide) - 70) +
                        QStringLiteral("  ›"));
        button->setAccessibleName(inHouseWords(text));
        button->setToolTip(tr("Ask this one"));
        button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        button->setAutoRaise(true);
        connect(button, &QToolButton::clicked, this, [this, ref = *input.ask] {
            asked_.emplace_back(ref);
            refresh();
            setFocus(Qt::OtherFocusReason);
        });
        column->addWidget(button);
    }
    Label* trust = words(qt(answer.howFar), faceScaled(0.94), sheet_);
    setInk(trust, c.inkSoft);
    column->addWidget(trust);
    Label* source = words(qt(answer.source), faceScaled(0.94), sheet_);
    setInk(source, c.inkSoft);
    column->addWidget(source);
    column_->addWidget(sheet_);
    sheet_->show();
    setAccessibleDescription(inHouseWords(qt(answer.name + ": " + answer.value + ". " + answer.formula)));
    place();
}

// Beside what was asked, and all of it within the window.
void AskCard::place() {
    const QRect room = parentWidget()->rect().adjusted(8, 8, -8, -8);
    const int wide = std::min(grownWithText(kWide), room.width());
    setFixedWidth(wide);
    const int high = std::min(room.height(), layout()->hasHeightForWidth() ? layout()->heightForWidth(wide) : sizeHint().height());
    resize(wide, high);
    QPoint at = beside_ + QPoint(14, 14);
    if (at.x() + wide > room.right()) at.setX(beside_.x() - wide - 14);
    at.setX(std::clamp(at.x(), room.left(), std::max(room.left(), room.right() - wide)));
    at.setY(std::clamp(at.y(), room.top(), std::max(room.top(), room.bottom() - high)));
    move(at);
}

void AskCard::back() {
    if (asked_.size() < 2) return hide();
    asked_.pop_back();
    refresh();
    setFocus(Qt::OtherFocusReason);
}

void AskCard::paintEvent(QPaintEvent*) {
    const Colours& c = theme_.colours();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(c.line.darker(120), 1.0));
    painter.setBrush(c.raised);
    painter.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 5.0, 5.0);
    painter.fillRect(QRectF(0.0, 10.0, 3.0, height() - 20.0), c.accent);
}

void AskCard::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) return hide();
    if (event->key() == Qt::Key_Backspace) return back();
    QFrame::keyPressEvent(event);
}

// Whether it, or what it stands in, has a number there.
bool AskCard::askOf(QWidget* widget, std::optional<QPoint> at) {
    for (QWidget* asked = widget; asked && asked != window(); asked = asked->parentWidget()) {
        if (const auto* askable = dynamic_cast<const Askable*>(asked))
            if (const auto question = askable->questionAt(at ? std::optional(widget->mapTo(asked, *at)) : std::nullopt)) {
                const QPoint local = at ? widget->mapTo(asked, *at) : QPoint(asked->width() / 2, asked->height() / 2);
                ask(*question, asked->mapTo(parentWidget(), local));
                return isVisible();
            }
    }
    return false;
}

bool AskCard::eventFilter(QObject* watched, QEvent* event) {
    auto* widget =
        event->type() == QEvent::MouseButtonPress || event->type() == QEvent::KeyPress ? qobject_cast<QWidget*>(watched) : nullptr;
    if (!widget || widget->window() != window()) return false;
    if (event->type() == QEvent::MouseButtonPress) {
        const auto* mouse = static_cast<QMouseEvent*>(event);
        if (isVisible() && widget != this && !isAncestorOf(widget)) hide();
        const bool asks = mouse->modifiers() & Qt::AltModifier || widget->property(kFigureKey).isValid();
        if (mouse->button() != Qt::LeftButton || !asks) return false;
        return askOf(widget, mouse->position().toPoint());
    }
    const auto* key = static_cast<QKeyEvent*>(event);
    if (key->key() != Qt::Key_Question || isTypedIn(widget) || widget != QApplication::focusWidget()) return false;
    return askOf(widget, std::nullopt);
}

}  // namespace machair::app
