#include "plan/budget_view.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

#include "parts/lengths.h"
#include "units/text.h"

namespace machair::app {

namespace {

QColor mixed(const QColor& a, const QColor& b, double share) {
    const auto channel = [share](int x, int y) { return static_cast<int>(x + (y - x) * share); };
    return {channel(a.red(), b.red()), channel(a.green(), b.green()), channel(a.blue(), b.blue())};
}

// Light fills that dark (or light) ink reads on; shape tells the kinds apart as well.
QBrush fillOf(SpanKind kind, const Colours& c) {
    switch (kind) {
        case SpanKind::head: return mixed(c.panel, c.slate, 0.28);
        case SpanKind::hackle: return mixed(c.panel, c.accent, 0.22);
        case SpanKind::body: return mixed(c.panel, c.grass, 0.26);
        case SpanKind::spare:
        case SpanKind::bare: return c.raised;
        case SpanKind::contested: return mixed(c.panel, c.fault, 0.30);
    }
    return c.panel;
}

}  // namespace

BudgetView::BudgetView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("budget"));
    setAccessibleName(tr("The shank budget"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(&document_, &Document::planChanged, this, [this] {
        spans_.clear();
        if (document_.plan()) {
            spans_ = shankBudget(*document_.plan());
            if (!spans_.empty()) whole_ = spans_.back().to;
        }
        setAccessibleDescription(inHouseWords(words()));
        update();
    });
    connect(&document_, &Document::partChosen, this, qOverload<>(&QWidget::update));
}

QSize BudgetView::sizeHint() const { return {700, 84}; }

QRectF BudgetView::bar() const { return QRectF(rect()).adjusted(16, 30, -16, -26); }

QRectF BudgetView::rectOf(const BudgetSpan& span) const {
    const QRectF b = bar();
    return {b.left() + b.width() * (span.from / whole_), b.top(), b.width() * ((span.to - span.from) / whole_), b.height()};
}

QString BudgetView::words() const {
    const auto& plan = document_.plan();
    if (!plan) return {};
    QString text = qt(sayMargin(*plan));
    for (const Remedy& remedy : plan->head.remedies)
        text += tr(" · ") + qt(remedy.words);
    return text;
}

void BudgetView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    const auto& plan = document_.plan();
    if (!plan || spans_.empty()) return;
    const bool crowded = headIsShort(*plan);
    painter.setFont(faceScaled(0.95, true));
    painter.setPen(c.ink);
    const QString title = tr("Shank, eye to bend");
    painter.drawText(QPointF(16.0, 20.0), title);
    const double after = 16.0 + QFontMetricsF(painter.font()).horizontalAdvance(title) + 14.0;
    painter.setFont(faceScaled(0.95));
    painter.setPen(crowded ? c.fault : c.inkSoft);
    painter.drawText(QPointF(after, 20.0),
                     QFontMetricsF(painter.font()).elidedText(inHouseWords(words()), Qt::ElideRight, width() - after - 16.0));

    painter.setFont(faceScaled(0.88));
    paintSpans(painter);
    painter.setPen(QPen(c.inkSoft, 1.0));
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(bar());
    paintLandmarks(painter, plan->hook);
}

// What takes the shank, eye to bend.
void BudgetView::paintSpans(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const QFontMetricsF metrics(painter.font());
    for (const BudgetSpan& span : spans_) {
        const QRectF r = rectOf(span);
        painter.setPen(Qt::NoPen);
        painter.setBrush(fillOf(span.kind, c));
        painter.drawRect(r);
        if (span.kind == SpanKind::contested) {  // hatched as well: never colour alone
            painter.setBrush(QBrush(c.fault, Qt::BDiagPattern));
            painter.drawRect(r);
        }
        if (document_.part() && span.part == static_cast<int>(*document_.part())) {
            painter.setPen(QPen(c.accent, 2.5));
            painter.setBrush(Qt::NoBrush);
            painter.drawRect(r.adjusted(1, 1, -1, -1));
        }
        painter.setPen(QPen(c.inkSoft, 0.8));
        painter.drawLine(r.topLeft(), r.bottomLeft());
        const QString label = qt(span.what) + QStringLiteral(" ") + lengthFigure(span.to - span.from);
        painter.setPen(c.ink);
        if (metrics.horizontalAdvance(label) + 8.0 < r.width())
            painter.drawText(r, Qt::AlignCenter, label);
        else if (const QString room = lengthFigure(span.to - span.from); metrics.horizontalAdvance(room) + 2.0 < r.width())
            painter.drawText(r, Qt::AlignCenter, room);
    }
}

// The landmarks over the shank, under the bar.
void BudgetView::paintLandmarks(QPainter& painter, const Hook& hook) const {
    const Colours& c = theme_.colours();
    for (const auto& [landmark, name] : {std::pair{Landmark::point, tr("point")}, std::pair{Landmark::barb, tr("barb")}}) {
        const Length s = hook.landmarkStation(landmark);
        if (s > whole_) continue;
        const double x = bar().left() + bar().width() * (s / whole_);
        painter.setPen(QPen(c.inkSoft, 1.0));
        painter.drawLine(QPointF(x, bar().bottom()), QPointF(x, bar().bottom() + 5.0));
        painter.drawText(QRectF(x - 50.0, bar().bottom() + 4.0, 100.0, 18.0), Qt::AlignHCenter | Qt::AlignTop, name);
    }
    painter.setPen(c.inkSoft);
    painter.drawText(QRectF(bar().left(), bar().bottom() + 4.0, 100.0, 18.0), Qt::AlignLeft | Qt::AlignTop, tr("eye"));
    painter.drawText(QRectF(bar().right() - 160.0, bar().bottom() + 4.0, 160.0, 18.0), Qt::AlignRight | Qt::AlignTop,
                     tr("%1 · bend").arg(lengthSaid(whole_)));
}

const BudgetSpan* BudgetView::spanAt(QPointF at) const {
    for (const BudgetSpan& span : spans_)
        if (rectOf(span).contains(at)) return &span;
    return nullptr;
}

void BudgetView::mousePressEvent(QMouseEvent* event) {
    const BudgetSpan* span = spanAt(event->position());
    if (span && span->part >= 0) document_.choosePart(static_cast<std::size_t>(span->part));
}

bool BudgetView::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    if (const BudgetSpan* span = spanAt(help->pos()))
        QToolTip::showText(
            help->globalPos(),
            tr("%1: %2, from %3 to %4 behind the eye")
                .arg(qt(span->what), lengthSaid(span->to - span->from, 2), lengthFigure(span->from, 2), lengthSaid(span->to, 2)),
            this);
    else
        QToolTip::showText(help->globalPos(), inHouseWords(words()), this);
    return true;
}

std::vector<SpokenPart> BudgetView::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (const BudgetSpan& span : spans_)
        parts.push_back({qt(span.what), tr("%1 mm").arg(number((span.to - span.from) / mm, 1)), rectOf(span).toRect(),
                         span.part >= 0 && document_.part() == static_cast<std::size_t>(span.part)});
    return parts;
}
void BudgetView::choosePart(std::size_t part) {
    if (part < spans_.size() && spans_[part].part >= 0) document_.choosePart(static_cast<std::size_t>(spans_[part].part));
}

}  // namespace machair::app
