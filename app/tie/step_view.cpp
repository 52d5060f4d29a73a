#include "tie/step_view.h"

#include <QPainter>
#include <algorithm>
#include <array>

#include "scene/partial.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kTop = 150.0;     // px for the words above the drawing
constexpr double kBottom = 172.0;  // and below it
constexpr double kStepScale = 52.0;

// What part of the fly a step is about, mm from the eye to the rear.
std::pair<double, double> placeOf(const TyingStep& step, const Plan& plan, const Scene& scene) {
    const double shank = plan.hook.shank() / mm;
    if (step.part < 0) return step.head ? std::pair(scene.left, 0.45 * shank) : std::pair(scene.left, shank + 3.0);
    const PartPlan& part = plan.parts[static_cast<std::size_t>(step.part)];
    switch (part.kind) {
        case PartKind::tail:
        case PartKind::tag:
        case PartKind::butt: return {0.45 * shank, std::max(scene.right, shank + 3.0)};
        case PartKind::head:
        case PartKind::bead:
        case PartKind::cheek:
        case PartKind::thread: return {scene.left, 0.55 * shank};
        case PartKind::collar:
        case PartKind::throat: return {scene.left, 0.95 * shank};
        default: return {scene.left, std::max(scene.right, shank + 3.0)};
    }
}

}  // namespace

StepView::StepView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("step"));
    setMinimumSize(480, 460);
    connect(&theme_, &Theme::changed, this, [this] {
        paintFly();
        update();
    });
}

void StepView::showNothing() {
    plan_.reset();
    step_.reset();
    whole_.reset();
    paintFly();
    update();
}

void StepView::show(const Plan& plan, const TyingStep& step, int index, int count) {
    plan_ = plan;
    step_ = step;
    index_ = index;
    count_ = count;
    turns_ = 0;
    setAccessibleName(qt(step.verb + " " + step.object));
    setAccessibleDescription(qt(step.number + " " + step.unit + ". " + step.threadWords + ". " + step.look));
    whole_.reset();
    paintFly();
    update();
}

void StepView::setMirrored(bool mirrored) {
    mirrored_ = mirrored;
    paintFly();
    update();
}

void StepView::countTurns(int turns) {
    turns_ = turns;
    update();
}

void StepView::resizeEvent(QResizeEvent*) { paintFly(); }

QRectF StepView::drawingFrame() const { return QRectF(0.0, kTop, width(), height() - kTop - kBottom); }

void StepView::paintFly() {
    picture_ = QImage();
    const auto& plan = plan_;
    if (!plan || !step_) return;
    if (!whole_) whole_ = makeScene(*plan);
    const Scene scene = tiedSoFar(*whole_, *plan, {step_->done, step_->bed, step_->head});
    const QRectF frame = drawingFrame();
    if (frame.width() < 10.0 || frame.height() < 10.0) return;
    const auto [from, to] = placeOf(*step_, *plan, scene);
    const double tall = std::max(scene.top - scene.bottom, 6.0);
    const double k = std::min({kStepScale, (frame.width() - 60.0) / (to - from), (frame.height() - 16.0) / tall});
    const double middle = 0.5 * (from + to);
    const double centre = 0.5 * (scene.top + scene.bottom);
    const QPointF origin(0.5 * frame.width() - k * middle, 0.5 * frame.height() + k * centre);
    picture_ = QImage((frame.size() * devicePixelRatioF()).toSize(), QImage::Format_ARGB32_Premultiplied);
    picture_.setDevicePixelRatio(devicePixelRatioF());
    picture_.fill(Qt::transparent);
    QPainter painter(&picture_);
    if (mirrored_) {
        painter.translate(frame.width(), 0.0);
        painter.scale(-1.0, 1.0);
    }
    drawing::paintFly(painter, scene, {k, origin, theme_.bench(), 0.0});
    // The working thread hangs where this step leaves it.
    if (step_->threadWords.starts_with("the thread hangs")) {
        const Point2 at = plan->hook.at(step_->threadAfter).position;
        const double x = origin.x() + k * (at.x / mm), y = origin.y() - k * (at.y / mm - 0.5 * (plan->hook.wire() / mm));
        painter.setPen(QPen(theme_.colours().accent, 2.0));
        painter.drawLine(QPointF(x, y), QPointF(x + 4.0, frame.height() - 26.0));
        painter.setBrush(theme_.colours().accent);
        painter.drawRoundedRect(QRectF(x - 2.0, frame.height() - 27.0, 12.0, 22.0), 3.0, 3.0);  // the bobbin
        threadX_ = mirrored_ ? frame.width() - x : x;
        threadY_ = y;
    }
}

void StepView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (!step_) return;
    const double left = 24.0, room = width() - 48.0;
    painter.setFont(faceScaled(1.0));
    painter.setPen(c.inkSoft);
    painter.drawText(QPointF(left, 24.0), tr("step %1 of %2").arg(index_ + 1).arg(count_));
    // The number first, very large; it gives way to the words where it is long.
    QFont large = faceScaled(step_->number.size() > 5 ? 4.2 : 5.4, true);
    const QFontMetricsF largeMetrics(large);
    const double numberWidth = step_->number.empty() ? 0.0 : largeMetrics.horizontalAdvance(qt(step_->number));
    painter.setFont(large);
    painter.setPen(c.accent);
    painter.drawText(QPointF(left, 104.0), qt(step_->number));
    const double after = left + numberWidth + (numberWidth > 0.0 ? 18.0 : 0.0);
    painter.setFont(faceScaled(1.25));
    painter.setPen(c.ink);
    painter.drawText(QPointF(after, 104.0),
                     QFontMetricsF(painter.font())
                         .elidedText(qt(step_->unit) + (turns_ > 0 ? tr("   ·   counted %1").arg(turns_) : QString()), Qt::ElideRight,
                                     room - after + left));
    painter.setFont(faceScaled(2.0, true));
    painter.drawText(
        QPointF(after, 66.0),
        QFontMetricsF(painter.font()).elidedText(qt(step_->verb + " " + step_->object), Qt::ElideRight, width() - after - 24.0));
    painter.setFont(faceScaled(1.15));
    painter.setPen(c.inkSoft);
    painter.drawText(QPointF(left, 136.0), QFontMetricsF(painter.font()).elidedText(qt(step_->detail), Qt::ElideRight, room));
    if (!picture_.isNull()) painter.drawImage(drawingFrame().topLeft(), picture_);
    // Below: thread, winding, face, what it locks; then what to look for, and what goes wrong.
    painter.fillRect(QRectF(0.0, height() - kBottom, width(), kBottom), c.panel);
    double y = height() - kBottom + 24.0;
    const auto line = [&](const QString& name, const std::string& words, const QColor& ink, double scale = 1.05) {
        if (words.empty() || y > height() - 6.0) return;
        painter.setFont(faceScaled(0.95, true));
        painter.setPen(c.inkSoft);
        painter.drawText(QPointF(left, y), name);
        painter.setFont(faceScaled(scale));
        painter.setPen(ink);
        painter.drawText(QPointF(left + 92.0, y), QFontMetricsF(painter.font()).elidedText(qt(words), Qt::ElideRight, room - 92.0));
        y += 24.0;
    };
    line(tr("thread"), step_->threadWords, c.ink);
    std::string how = step_->winding;
    if (!step_->face.empty()) how += (how.empty() ? "" : "; ") + step_->face;
    line(tr("how"), how, c.ink);
    line(tr("locks"), step_->locks, c.ink);
    line(tr("look"), step_->look, c.grass, 1.15);
    line(tr("wrong"), step_->wrong, c.warn);
}

}  // namespace machair::app
