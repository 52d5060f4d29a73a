#include "parts/scale.h"

#include <QKeyEvent>
#include <QLineEdit>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kEnd = 8.0, kThick = 9.0;  // px

// Ticks at whole numbers, no more than a dozen.
double tickOf(double span) {
    double tick = 1.0;
    for (const double wider : {2.0, 5.0, 10.0, 20.0, 50.0, 100.0})
        if (span / tick > 12.0) tick = wider;
    return tick;
}

}  // namespace

Scale::Scale(const Theme& theme, const QString& name, Range range, QWidget* parent)
    : QWidget(parent), theme_(theme), range_(std::move(range)), typed_(new QLineEdit(this)) {
    setObjectName(name);
    setAccessibleName(range_.name);
    setFocusPolicy(Qt::StrongFocus);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setToolTip(tr("Drag the mark, or type the number; Delete where it isn't known"));
    typed_->setObjectName(name + QStringLiteral("-typed"));
    typed_->setAccessibleName(range_.name);
    typed_->hide();
    typed_->installEventFilter(this);
    connect(typed_, &QLineEdit::editingFinished, this, &Scale::takeTyped);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

QSize Scale::sizeHint() const {
    const int line = QFontMetrics(faceScaled(0.95)).height();
    return {240, 2 * line + static_cast<int>(kThick) + 14};
}

QSize Scale::minimumSizeHint() const { return {160, sizeHint().height()}; }

void Scale::show(const std::optional<double>& value) {
    if (value == value_) return;
    value_ = value;
    setAccessibleDescription(said());
    update();
}

QRectF Scale::bar() const {
    const double top = QFontMetricsF(faceScaled(0.95)).height() + 4.0;
    return {kEnd, top, width() - 2.0 * kEnd, kThick};
}

QPointF Scale::markAt(double value) const {
    const double share = std::clamp((value - range_.low) / (range_.high - range_.low), 0.0, 1.0);
    return {bar().left() + share * bar().width(), bar().center().y()};
}

double Scale::valueAt(double x) const {
    const double share = std::clamp((x - bar().left()) / bar().width(), 0.0, 1.0);
    return std::round((range_.low + share * (range_.high - range_.low)) / range_.step) * range_.step;
}

QString Scale::said() const {
    const auto shown = dragged_ ? dragged_ : value_;
    return shown ? shortNumber(*shown, range_.decimals) + QLatin1Char(' ') + range_.unit : tr("not said");
}

void Scale::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    if (!isEnabled()) painter.setOpacity(0.5);
    const Colours& c = theme_.colours();
    const QRectF whole = bar();
    painter.setFont(faceScaled(0.95));
    painter.setPen(c.inkSoft);
    painter.drawText(QRectF(kEnd, 0.0, whole.width(), whole.top() - 2.0), Qt::AlignLeft | Qt::AlignVCenter, range_.name);
    const auto shown = dragged_ ? dragged_ : value_;
    painter.setFont(faceScaled(0.95, shown.has_value()));
    painter.setPen(shown ? c.ink : c.inkSoft);
    painter.drawText(QRectF(kEnd, 0.0, whole.width(), whole.top() - 2.0), Qt::AlignRight | Qt::AlignVCenter, said());

    painter.setPen(QPen(c.line, 1.0));
    painter.setBrush(c.raised);
    painter.drawRoundedRect(whole, 0.5 * kThick, 0.5 * kThick);
    if (shown) {
        QRectF filled = whole;
        filled.setRight(std::max(markAt(*shown).x(), whole.left() + kThick));
        QLinearGradient fill(whole.topLeft(), whole.topRight());
        switch (range_.manner) {
            case Range::Manner::warmth:
                fill.setColorAt(0.0, c.slate);
                fill.setColorAt(1.0, c.accent);
                break;
            case Range::Manner::deep: {
                QColor shallow = c.slate;
                shallow.setAlpha(70);
                fill.setColorAt(0.0, shallow);
                fill.setColorAt(1.0, c.slate);
                break;
            }
            case Range::Manner::ruler: fill.setColorAt(0.0, c.grass); fill.setColorAt(1.0, c.grass);
        }
        painter.setPen(Qt::NoPen);
        painter.setBrush(fill);
        painter.drawRoundedRect(filled, 0.5 * kThick, 0.5 * kThick);
    }
    painter.setFont(faceScaled(0.8));
    const double tick = tickOf(range_.high - range_.low);
    for (double v = range_.low; v <= range_.high + 1e-9; v += tick) {
        const double x = markAt(v).x();
        painter.setPen(QPen(c.inkSoft, 1.0));
        painter.drawLine(QPointF(x, whole.bottom() + 1.0), QPointF(x, whole.bottom() + 4.0));
        painter.drawText(QRectF(x - 20.0, whole.bottom() + 4.0, 40.0, height() - whole.bottom() - 4.0), Qt::AlignHCenter | Qt::AlignTop,
                         shortNumber(v, 0));
    }
    if (shown) {
        painter.setPen(QPen(hasFocus() || dragged_ ? c.accent : c.ink, hasFocus() ? 3.0 : 2.0));
        painter.setBrush(c.raised);
        painter.drawEllipse(markAt(*shown), 6.5, 6.5);
    } else if (hasFocus()) {
        painter.setPen(QPen(c.accent, 1.4, Qt::DotLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRoundedRect(whole.adjusted(-2, -2, 2, 2), kThick, kThick);
    }
}

void Scale::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return QWidget::mousePressEvent(event);
    if (event->position().y() < bar().top() - 3.0 && event->position().x() > 0.5 * width()) return type({});  // the number itself
    dragged_ = valueAt(event->position().x());
    update();
}

void Scale::mouseMoveEvent(QMouseEvent* event) {
    if (!dragged_) return;
    dragged_ = valueAt(event->position().x());
    update();
}

void Scale::mouseReleaseEvent(QMouseEvent*) {
    const auto to = std::exchange(dragged_, std::nullopt);
    update();
    if (to && to != value_) emit moved(*to);
}

void Scale::mouseDoubleClickEvent(QMouseEvent*) {
    dragged_.reset();
    type({});
}

// Over the number, until Enter or another thing is chosen.
void Scale::type(const QString& first) {
    const int wide = std::max(70, width() / 3);
    typed_->setGeometry(width() - wide, 0, wide, std::max(typed_->sizeHint().height(), static_cast<int>(bar().top())));
    typed_->setText(first.isEmpty() && value_ ? shortNumber(*value_, range_.decimals) : first);
    typed_->show();
    typed_->raise();
    typed_->setFocus();
    if (first.isEmpty()) typed_->selectAll();
}

// Enter takes what is typed and Escape leaves it; neither goes on to the scale, which would begin again.
bool Scale::eventFilter(QObject* watched, QEvent* event) {
    if (watched != typed_ || event->type() != QEvent::KeyPress) return QWidget::eventFilter(watched, event);
    const int key = static_cast<QKeyEvent*>(event)->key();
    if (key == Qt::Key_Return || key == Qt::Key_Enter) {
        takeTyped();
        return true;
    }
    if (key != Qt::Key_Escape) return false;
    typed_->hide();
    setFocus();
    return true;
}

void Scale::takeTyped() {
    if (typed_->isHidden()) return;
    const bool mine = typed_->hasFocus();
    typed_->hide();
    if (mine) setFocus();
    QString text = typed_->text().trimmed();
    text.replace(QLatin1Char(','), QLatin1Char('.'));
    if (text.isEmpty()) {
        if (value_) emit letGo();
        return;
    }
    bool isNumber = false;
    const double number = text.section(QLatin1Char(' '), 0, 0).toDouble(&isNumber);
    if (isNumber && std::isfinite(number) && number != value_) emit moved(number);
}

void Scale::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Left:
        case Qt::Key_Down: return nudgePart(0, -1);
        case Qt::Key_Right:
        case Qt::Key_Up: return nudgePart(0, 1);
        case Qt::Key_PageUp: return nudgePart(0, 5);
        case Qt::Key_PageDown: return nudgePart(0, -5);
        case Qt::Key_Return:
        case Qt::Key_Enter: return type({});
        case Qt::Key_Delete:
        case Qt::Key_Backspace:
            if (value_) emit letGo();
            return;
        default: break;
    }
    if (!event->text().isEmpty() && event->text().front().isDigit() && event->modifiers() == Qt::NoModifier) return type(event->text());
    QWidget::keyPressEvent(event);
}

std::vector<SpokenPart> Scale::spokenParts() const {
    const QPoint at = (value_ ? markAt(*value_) : bar().center()).toPoint();
    return {{range_.name, said(), QRect(at - QPoint(8, 8), QSize(16, 16)), true, true}};
}

void Scale::choosePart(std::size_t) { setFocus(); }

void Scale::nudgePart(std::size_t, int steps) {
    const double from = value_.value_or(0.5 * (range_.low + range_.high));
    const double to = std::max(range_.low, std::round(from / range_.step + steps) * range_.step);
    if (to != value_) emit moved(to);
}

}  // namespace machair::app
