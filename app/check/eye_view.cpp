#include "check/eye_view.h"

#include <QDateTime>
#include <QKeyEvent>
#include <QLabel>
#include <QPainter>
#include <QToolButton>
#include <QVBoxLayout>

#include "drawing/fly_painter.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "units/text.h"

namespace machair::app {

EyeView::EyeView(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      trainer_(static_cast<std::uint64_t>(QDateTime::currentMSecsSinceEpoch())),
      asked_(new Label),
      said_(new Label) {
    setObjectName(QStringLiteral("eye-trainer"));
    setAccessibleName(tr("The eye trainer"));
    setFocusPolicy(Qt::StrongFocus);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(24, 16, 24, 16);
    asked_->setObjectName(QStringLiteral("eye-asked"));
    asked_->setFont(faceScaled(1.2, true));
    said_->setObjectName(QStringLiteral("eye-said"));
    said_->setWordWrap(true);
    column->addWidget(asked_);
    column->addStretch(1);
    auto* answers = new QHBoxLayout;
    const auto button = [&](const char* name, const QString& text, const QString& tip, EyeAnswer given) {
        auto* made = toolButton(name, text, tip);
        made->setFocusPolicy(Qt::NoFocus);
        connect(made, &QToolButton::clicked, this, [this, given] { answer(given); });
        answers->addWidget(made);
    };
    answers->addStretch(1);
    button("eye-short", tr("Too short"), tr("The lower fly's is shorter than planned (1)"), EyeAnswer::tooShort);
    button("eye-right", tr("As planned"), tr("Both are the same (2)"), EyeAnswer::right);
    button("eye-long", tr("Too long"), tr("The lower fly's is longer than planned (3)"), EyeAnswer::tooLong);
    answers->addStretch(1);
    column->addLayout(answers);
    column->addWidget(said_);
    connect(&document_, &Document::planChanged, this, [this] {
        if (isVisible() && !document_.previewing()) ask();
    });
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void EyeView::showEvent(QShowEvent*) {
    setFocus();
    if (!question_) ask();
}

void EyeView::ask() {
    question_ = document_.pattern() ? trainer_.next(document_.book(), document_.pattern()->id) : std::nullopt;
    shown_.reset();
    if (question_) {
        Book with = document_.book();
        *with.findPattern(question_->shown.id) = question_->shown;
        if (auto plan = planPattern(with, question_->shown.id)) shown_ = std::move(*plan);
    }
    asked_->setText(question_ ? tr("Above as planned. Below: is %1 too short, as planned, or too long?").arg(qt(question_->asked))
                              : tr("Nothing of this fly has a length to judge by eye; choose another"));
    update();
}

void EyeView::answer(EyeAnswer given) {
    if (!question_) return;
    trainer_.answer(*question_, given);
    const EyeScore score = trainer_.score();
    QString words = given == question_->truth() ? tr("✓ Right")
                                                : tr("✗ It was %1")
                                                      .arg(question_->truth() == EyeAnswer::right ? tr("as planned")
                                                           : question_->off > 0.0                 ? tr("too long")
                                                                                                  : tr("too short"));
    if (question_->off != 0.0) words += tr(", by %1 %").arg(number(100.0 * std::abs(question_->off), 0));
    words += tr(". %1 of %2 right; next time %3 %.").arg(score.right).arg(score.asked).arg(number(100.0 * score.fineness, 0));
    if (score.asked >= 5 && std::abs(score.bias) > 0.01)
        words += score.bias > 0.0 ? tr(" Your eye sees things %1 % longer than they are: trust the gauge when you want to cut.")
                                        .arg(number(100.0 * score.bias, 1))
                                  : tr(" Your eye sees things %1 % shorter than they are: trust the gauge when you want to tie longer.")
                                        .arg(number(-100.0 * score.bias, 1));
    said_->setText(words);
    ask();
}

void EyeView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), theme_.colours().paper);
    if (!shown_ || !document_.plan()) return;
    const Scene planned = makeScene(*document_.plan()), shown = makeScene(*shown_);
    const double half = 0.5 * (height() - 150.0);
    const QRectF above(40.0, 60.0, width() - 80.0, half), below(40.0, 60.0 + half, width() - 80.0, half);
    const drawing::View view = drawing::fitView(planned, above, theme_.bench(), 34.0);
    drawing::View other = view;
    other.origin += QPointF(0.0, half);
    drawing::paintFly(painter, planned, view);
    painter.save();
    painter.setClipRect(below);
    drawing::paintFly(painter, shown, other);
    painter.restore();
}

void EyeView::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_1: return answer(EyeAnswer::tooShort);
        case Qt::Key_2: return answer(EyeAnswer::right);
        case Qt::Key_3: return answer(EyeAnswer::tooLong);
        default: QWidget::keyPressEvent(event);
    }
}

}  // namespace machair::app
