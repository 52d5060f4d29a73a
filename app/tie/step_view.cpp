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

constexpr double kStepScale = 60.0;

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

namespace {
// Whether the drawing of one is that of the other.
bool looksAlike(const TyingStep& a, const TyingStep& b) {
    const auto waits = [](const TyingStep& step) {
        std::vector<std::pair<std::size_t, double>> list;
        for (const TyingStep::Waiting& w : step.waiting)
            list.emplace_back(w.part, w.at / mm);
        return list;
    };
    return a.part == b.part && a.verb == b.verb && a.done == b.done && a.bed == b.bed && a.head == b.head && a.threadOn == b.threadOn &&
           a.threadAfter == b.threadAfter && a.before == b.before && waits(a) == waits(b);
}
}  // namespace

StepView::StepView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("step"));
    setMinimumSize(480, 300);
    connect(&theme_, &Theme::changed, this, [this] {
        ahead_.reset();
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
    setAccessibleName(qt(say(step.verb) + " " + step.object));
    std::string spoken = step.number + " " + step.unit;
    for (const std::string* words : {&step.how, &step.direction, &step.face, &step.threadWords, &step.look})
        if (!words->empty()) spoken += ". " + *words;
    setAccessibleDescription(qt(spoken));
    paintFly();
    update();
}

// The next step shown is painted so: its scene is made anew.
void StepView::setSide(bool near, bool mirrored) {
    near_ = near;
    mirrored_ = mirrored;
    whole_.reset();
    ahead_.reset();
}

void StepView::countTurns(int turns) {
    turns_ = turns;
    update();
}

void StepView::setMishap(const QString& likeliest) {
    mishap_ = likeliest;
    update();
}

void StepView::setTray(const std::vector<TyingStep>& steps, int flies) {
    tray_.clear();
    std::ranges::copy_if(steps, std::back_inserter(tray_), &TyingStep::before);
    flies_ = flies;
    update();
}

// In rows of three, each as wide as the room allows.
void StepView::setFly(int fly, int flies) {
    fly_ = fly;
    round_ = flies;
    update();
}

QRectF StepView::trayRect(int step) const {
    if (step < 0 || step >= static_cast<int>(tray_.size())) return {};
    constexpr int kInARow = 3;
    constexpr double kGap = 10.0;
    const QRectF frame = drawingFrame().adjusted(24.0, grown(30.0), -24.0, -8.0);
    const int rows = (static_cast<int>(tray_.size()) + kInARow - 1) / kInARow;
    const double wide = (frame.width() - (kInARow - 1) * kGap) / kInARow;
    const double tall = std::min(grown(84.0), (frame.height() - (rows - 1) * kGap) / std::max(1, rows));
    return {frame.left() + step % kInARow * (wide + kGap), frame.top() + step / kInARow * (tall + kGap), wide, tall};
}

void StepView::mousePressEvent(QMouseEvent* event) {
    if (!step_ || !step_->before) return;
    for (int i = 0; i < static_cast<int>(tray_.size()); ++i)
        if (trayRect(i).contains(event->position())) return emit trayWanted(i);
}

void StepView::resizeEvent(QResizeEvent*) { paintFly(); }

QRectF StepView::drawingFrame() const {
    const double top = grown(kTop), bottom = grown(kBottom);
    return QRectF(0.0, top, width(), std::max(40.0, height() - top - bottom));
}

void StepView::paintFly() {
    if (!plan_ || !step_) {
        picture_ = QImage();
        ahead_.reset();
        return;
    }
    const QSize wanted = (drawingFrame().size() * devicePixelRatioF()).toSize();
    if (ahead_ && ahead_->picture.size() == wanted && looksAlike(ahead_->step, *step_))
        picture_ = ahead_->picture;
    else
        picture_ = paintedAt(*step_);
    ahead_.reset();
}

void StepView::prepare(const TyingStep& next) {
    if (plan_ && step_ && isVisible()) ahead_ = Ahead{next, looksAlike(next, *step_) ? picture_ : paintedAt(next)};
}

QImage StepView::paintedAt(const TyingStep& step) {
    const auto& plan = plan_;
    if (!whole_) whole_ = near_ ? nearForFar(makeScene(*plan)) : makeScene(*plan);
    const Scene scene = tiedSoFar(*whole_, *plan, {step.done, step.bed, step.head});
    const QRectF frame = drawingFrame();
    if (frame.width() < 10.0 || frame.height() < 10.0) return {};
    const auto [from, to] = placeOf(step, *plan, scene);
    const double tall = std::max(scene.top - scene.bottom, 6.0);
    const double k = std::min({kStepScale, (frame.width() - 60.0) / (to - from), (frame.height() - 10.0) / tall});
    const double middle = 0.5 * (from + to);
    const double centre = 0.5 * (scene.top + scene.bottom);
    const QPointF origin(0.5 * frame.width() - k * middle, 0.5 * frame.height() + k * centre);
    QImage picture((frame.size() * devicePixelRatioF()).toSize(), QImage::Format_ARGB32_Premultiplied);
    picture.setDevicePixelRatio(devicePixelRatioF());
    picture.fill(Qt::transparent);
    QPainter painter(&picture);
    if (mirrored_) {
        painter.translate(frame.width(), 0.0);
        painter.scale(-1.0, 1.0);
    }
    drawing::paintFly(painter, scene, {k, origin, theme_.bench(), 0.0});
    paintInHand(painter, step, k, origin);
    if (!step.threadOn) return picture;
    // The working thread hangs where this step leaves it, down to its bobbin.
    const Point2 at = plan->hook.at(step.threadAfter).position;
    const double x = origin.x() + k * (at.x / mm), y = origin.y() - k * (at.y / mm - 0.5 * (plan->hook.wire() / mm));
    painter.setPen(QPen(theme_.colours().accent, 2.0));
    painter.drawLine(QPointF(x, y), QPointF(x + 4.0, frame.height() - 30.0));
    painter.setBrush(theme_.colours().accent);
    painter.drawRoundedRect(QRectF(x - 3.0, frame.height() - 31.0, 14.0, 26.0), 3.0, 3.0);
    painter.end();
    return picture;
}

}  // namespace machair::app
