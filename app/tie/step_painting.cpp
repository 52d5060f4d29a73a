// How a step is painted, read from a metre: what is in the hand, the deed in words, the tray, what to mind.
#include "tie/step_view.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <array>
#include <iterator>

#include "drawing/held.h"
#include "drawing/things.h"
#include "language/say.h"
#include "parts/lengths.h"
#include "scene/partial.h"
#include "scene/side.h"
#include "units/text.h"

namespace machair::app {

namespace {

QFont inPixels(double px, bool bold = false) {
    constexpr double kUsualPx = 13.3;  // of the usual size of text
    return faceScaled(px / kUsualPx, bold);
}

// What a step's material is held for: it isn't in the hand any more once it is tied off.
bool isInHand(const TyingStep& step) {
    constexpr std::array kVerbs = {"tie in", "wind",           "dub",      "spin", "twist", "square", "strip", "trim",
                                   "pair",   "comb and stack", "nip",      "mix",  "bare",  "knot",   "fix",   "fold",
                                   "marry",  "mark out",       "slide on", "seat", "wax",   "start",  "change"};
    return std::ranges::find(kVerbs, step.verb) != kVerbs.end();
}

}  // namespace

double StepView::grown(double px) { return px * std::max(1.0, QFontMetricsF(faceScaled(1.0)).height() / 16.0); }

// What hangs from where it was tied in, and the fur on its way to the hook, as they are held.
void StepView::paintInHand(QPainter& painter, const TyingStep& step, double k, QPointF origin) const {
    const auto on = [&](Length station) {
        const Point2 at = plan_->hook.at(station).position;
        return drawing::HeldAt{{origin.x() + k * (at.x / mm), origin.y() - k * (at.y / mm + 0.5 * (plan_->hook.wire() / mm))}, k};
    };
    for (const TyingStep::Waiting& waiting : step.waiting)
        drawing::paintWaiting(painter, *plan_, waiting.part, on(waiting.at));
    if (step.part < 0) return;
    const PartPlan& part = plan_->parts[static_cast<std::size_t>(step.part)];
    const auto* body = std::get_if<BodyPlan>(&part.detail);
    if (!body || part.made.kind != MaterialKind::dubbing) return;
    constexpr Length kUsual = 45.0 * mm;
    if (step.verb == "spin") drawing::paintLoop(painter, part.made, on(body->end), kUsual);
    if (step.verb == "dub" || step.verb == "twist")
        drawing::paintNoodle(painter, part.made, on(step.threadAfter), 0.8 * std::max(body->rearDiameter, body->frontDiameter), kUsual);
}

void StepView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), theme_.colours().paper);
    if (!step_ || !plan_) return;
    if (step_->before)
        paintTray(painter);
    else if (!picture_.isNull())
        painter.drawImage(drawingFrame().topLeft(), picture_);
    paintDeed(painter);
    paintMinding(painter);
}

// Number, verb and object above the drawing, and how; at the right what is held in the hand.
void StepView::paintDeed(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const double left = 24.0;
    double right = width() - 24.0;
    if (step_->part >= 0 && isInHand(*step_)) {
        const Material& made = plan_->parts[static_cast<std::size_t>(step_->part)].made;
        const QRectF frame(right - kHeldWide, 16.0, kHeldWide, kHeldTall);
        drawing::paintMaterial(painter, made, frame, theme_.bench());
        right = frame.left() - 18.0;
    }
    const auto [amount, unit] = amountInHouseUnit(step_->number, step_->unit);
    const QFont large = inPixels(amount.size() > 6 ? kNumberPx * 0.62 : kNumberPx, true);
    const double wide = amount.isEmpty() ? 0.0 : QFontMetricsF(large).horizontalAdvance(amount) + 20.0;
    painter.setFont(large);
    painter.setPen(c.accent);
    painter.drawText(QRectF(left, 8.0, wide, grown(108.0)), Qt::AlignLeft | Qt::AlignVCenter, amount);
    const double x = left + wide;
    const QFont verb = inPixels(kVerbPx, true);
    painter.setFont(verb);
    painter.setPen(c.ink);
    painter.drawText(QRectF(x, 10.0, right - x, grown(52.0)), Qt::AlignLeft | Qt::AlignVCenter,
                     QFontMetricsF(verb).elidedText(capitalised(qt(say(step_->verb) + " " + step_->object)), Qt::ElideRight, right - x));
    QStringList second;
    if (!unit.isEmpty()) second << unit;
    for (const std::string* words : {&step_->direction, &step_->face, &step_->side})
        if (!words->empty()) second << qt(*words);
    if (turns_ > 0) second << tr("counted %1").arg(turns_);
    const QFont words = inPixels(kWordsPx);
    painter.setFont(words);
    painter.drawText(QRectF(x, 10.0 + grown(52.0), right - x, grown(40.0)), Qt::AlignLeft | Qt::AlignVCenter,
                     QFontMetricsF(words).elidedText(second.join(QStringLiteral(" · ")), Qt::ElideRight, right - x));
    painter.setPen(c.inkSoft);
    painter.drawText(QRectF(left, grown(104.0), width() - 48.0, grown(62.0)), Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
                     capitalised(inHouseWords(step_->how)));
    painter.setFont(inPixels(kSmallPx));
    painter.drawText(
        QRectF(left, drawingFrame().top() + 4.0, 400.0, grown(24.0)), Qt::AlignLeft | Qt::AlignTop,
        step_->before
            ? (flies_ > 1 ? tr("make ready, each %1 times for those that wait").arg(flies_) : tr("make ready before the thread is on"))
            : (round_ > 1 ? tr("fly %1 of %2 · ").arg(fly_ + 1).arg(round_) : QString()) + tr("step %1 of %2").arg(index_ + 1).arg(count_));
}

// What is made ready, each on its place of the tray; ticked once it is done.
void StepView::paintTray(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const QFont small = inPixels(kSmallPx), bold = inPixels(kSmallPx, true);
    for (int i = 0; i < static_cast<int>(tray_.size()); ++i) {
        const TyingStep& step = tray_[static_cast<std::size_t>(i)];
        const QRectF place = trayRect(i);
        const bool present = i == index_;
        painter.setPen(QPen(present ? c.accent : c.line, present ? 2.0 : 1.0));
        painter.setBrush(present ? c.raised : c.panel);
        painter.drawRoundedRect(place, 6.0, 6.0);
        const QRectF picture(place.left() + 8.0, place.top() + 6.0, 74.0, place.height() - 12.0);
        if (step.part >= 0)
            drawing::paintMaterial(painter, plan_->parts[static_cast<std::size_t>(step.part)].made, picture, theme_.bench());
        else
            drawing::paintBareHook(painter, plan_->hook.spec(), picture, theme_.bench(),
                                   picture.width() / (1.7 * (plan_->hook.shank() / mm)));
        const QRectF words(picture.right() + 10.0, place.top() + 4.0, place.right() - picture.right() - 44.0, place.height() - 8.0);
        painter.setFont(bold);
        painter.setPen(c.ink);
        const double line = QFontMetricsF(bold).height();
        painter.drawText(
            QRectF(words.left(), words.top(), words.width(), line), Qt::AlignLeft | Qt::AlignVCenter,
            QFontMetricsF(bold).elidedText(capitalised(qt(say(step.verb) + " " + step.object)), Qt::ElideRight, words.width()));
        painter.setFont(small);
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(words.left(), words.top() + line, words.width(), words.height() - line),
                         Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
                         inHouseWords(step.number.empty() ? step.look : step.number + " " + step.unit));
        if (i < index_) {
            painter.setFont(inPixels(kWordsPx, true));
            painter.setPen(c.grass);
            painter.drawText(place.adjusted(0.0, 0.0, -10.0, 0.0), Qt::AlignRight | Qt::AlignVCenter, QStringLiteral("✓"));
        }
    }
}

// Below it what to look for, what it locks, the note, what may go wrong.
void StepView::paintMinding(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const double bottom = grown(kBottom), left = 24.0;
    painter.fillRect(QRectF(0.0, height() - bottom, width(), bottom), c.panel);
    double y = height() - bottom + 8.0;
    const QFont font = inPixels(kWordsPx);
    const double tall = QFontMetricsF(font).height() + 2.0;
    const auto line = [&](const QString& sign, const QString& words, const QColor& ink) {
        if (words.isEmpty() || y + tall > height()) return;
        painter.setFont(font);
        painter.setPen(ink);
        painter.drawText(QRectF(left, y, 30.0, tall), Qt::AlignLeft | Qt::AlignVCenter, sign);
        painter.drawText(QRectF(left + 32.0, y, width() - left - 56.0, tall), Qt::AlignLeft | Qt::AlignVCenter,
                         QFontMetricsF(font).elidedText(words, Qt::ElideRight, width() - left - 56.0));
        y += tall;
    };
    line(QStringLiteral("✓"), capitalised(inHouseWords(step_->look)), c.grass);
    QStringList locks;
    for (const std::string& words : step_->locks)
        locks << inHouseWords(words);
    line(QStringLiteral("⊙"), locks.isEmpty() ? QString() : tr("Holds %1").arg(locks.join(tr("; "))), c.ink);
    line(QStringLiteral("✎"), capitalised(qt(step_->note)), c.slate);
    line(QStringLiteral("✗"), mishap_, c.warn);
    line(QStringLiteral("→"), step_->next.empty() ? QString() : tr("Then pick up %1").arg(inHouseWords(step_->next)), c.inkSoft);
    if (step_->threadOn) line(QStringLiteral("│"), capitalised(inHouseWords(step_->threadWords)), c.inkSoft);
}

}  // namespace machair::app
