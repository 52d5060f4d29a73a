#include "tie/step_view.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <array>
#include <iterator>

#include "drawing/held.h"
#include "drawing/things.h"
#include "parts/lengths.h"
#include "scene/partial.h"
#include "scene/side.h"
#include "units/text.h"

namespace machair::app {

namespace {

// Read from a metre: px at the usual size of text, and they grow with it.
constexpr double kNumberPx = 96.0, kVerbPx = 40.0, kWordsPx = 24.0, kSmallPx = 17.0;
constexpr double kTop = 168.0;     // px for the words above the drawing
constexpr double kBottom = 148.0;  // and below it
constexpr double kStepScale = 60.0;
constexpr double kHeldWide = 132.0, kHeldTall = 92.0;  // the material in hand

QFont inPixels(double px, bool bold = false) {
    constexpr double kUsualPx = 13.3;  // of the usual size of text
    return faceScaled(px / kUsualPx, bold);
}
double grown(double px) { return px * std::max(1.0, QFontMetricsF(faceScaled(1.0)).height() / 16.0); }

// What a step's material is held for: it isn't in the hand any more once it is tied off.
bool isInHand(const TyingStep& step) {
    constexpr std::array kVerbs = {"tie in", "wind",           "dub",      "spin", "twist", "square", "strip", "trim",
                                   "pair",   "comb and stack", "nip",      "mix",  "bare",  "knot",   "fix",   "fold",
                                   "marry",  "mark out",       "slide on", "seat", "wax",   "start",  "change"};
    return std::ranges::find(kVerbs, step.verb) != kVerbs.end();
}

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
    setAccessibleName(qt(step.verb + " " + step.object));
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
                     QFontMetricsF(verb).elidedText(capitalised(qt(step_->verb + " " + step_->object)), Qt::ElideRight, right - x));
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
                     capitalised(inHouseUnit(step_->how)));
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
        painter.drawText(QRectF(words.left(), words.top(), words.width(), line), Qt::AlignLeft | Qt::AlignVCenter,
                         QFontMetricsF(bold).elidedText(capitalised(qt(step.verb + " " + step.object)), Qt::ElideRight, words.width()));
        painter.setFont(small);
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(words.left(), words.top() + line, words.width(), words.height() - line),
                         Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
                         inHouseUnit(step.number.empty() ? step.look : step.number + " " + step.unit));
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
    line(QStringLiteral("✓"), capitalised(inHouseUnit(step_->look)), c.grass);
    QStringList locks;
    for (const std::string& words : step_->locks)
        locks << inHouseUnit(words);
    line(QStringLiteral("⊙"), locks.isEmpty() ? QString() : tr("Holds %1").arg(locks.join(tr("; "))), c.ink);
    line(QStringLiteral("✎"), capitalised(qt(step_->note)), c.slate);
    line(QStringLiteral("✗"), mishap_, c.warn);
    line(QStringLiteral("→"), step_->next.empty() ? QString() : tr("Then pick up %1").arg(inHouseUnit(step_->next)), c.inkSoft);
    if (step_->threadOn) line(QStringLiteral("│"), capitalised(inHouseUnit(step_->threadWords)), c.inkSoft);
}

}  // namespace machair::app
