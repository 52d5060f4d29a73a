#include "tie/step_strip.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>

#include "drawing/fly_painter.h"
#include "language/say.h"
#include "parts/lengths.h"
#include "scene/partial.h"
#include "scene/side.h"

namespace machair::app {

namespace {
constexpr double kStripHeight = 92.0, kSmall = 66.0, kPresent = 128.0, kBetween = 6.0;  // px
}

StepStrip::StepStrip(const Theme& theme, QWidget* parent) : QWidget(parent), theme_(theme) {
    setObjectName(QStringLiteral("step-strip"));
    setAccessibleName(tr("The steps, the fly after each"));
    setFixedHeight(static_cast<int>(kStripHeight));
    painter_.setInterval(0);
    connect(&painter_, &QTimer::timeout, this, &StepStrip::paintNext);
}

QSize StepStrip::sizeHint() const { return {600, static_cast<int>(kStripHeight)}; }

void StepStrip::show(const std::optional<Plan>& plan, const std::vector<TyingStep>& steps, bool near, bool mirrored) {
    plan_ = plan;
    steps_ = steps;
    mirrored_ = mirrored;
    scene_.reset();
    picture_.clear();
    pictures_.clear();
    if (plan_) scene_ = near ? nearForFar(makeScene(*plan_)) : makeScene(*plan_);
    std::size_t last = 0;
    for (std::size_t i = 0; i < steps_.size(); ++i) {
        const bool same =
            i > 0 && steps_[i].done == steps_[i - 1].done && steps_[i].bed == steps_[i - 1].bed && steps_[i].head == steps_[i - 1].head;
        if (!same) last = i;
        picture_.push_back(last);
    }
    pictures_.resize(steps_.size());
    current_ = std::clamp(current_, 0, std::max(0, static_cast<int>(steps_.size()) - 1));
    if (!steps_.empty()) painter_.start();
    update();
}

void StepStrip::setCurrent(int step) {
    current_ = step;
    if (step >= 0 && step < static_cast<int>(steps_.size()))
        setAccessibleDescription(
            tr("step %1 of %2: %3")
                .arg(step + 1)
                .arg(steps_.size())
                .arg(qt(say(steps_[static_cast<std::size_t>(step)].verb) + " " + steps_[static_cast<std::size_t>(step)].object)));
    update();
}

std::size_t StepStrip::pictureOf(int step) const { return picture_[static_cast<std::size_t>(step)]; }

QRectF StepStrip::rectOf(int step) const {
    const int count = static_cast<int>(steps_.size());
    if (step < 0 || step >= count) return {};
    // The present one in the middle, as far as the ends allow.
    const double all = kPresent + (count - 1) * (kSmall + kBetween);
    const double before = current_ * (kSmall + kBetween);
    double left = 0.5 * width() - before - 0.5 * kPresent;
    if (all <= width() - 2.0 * kBetween)
        left = 0.5 * (width() - all);
    else
        left = std::clamp(left, width() - kBetween - all, kBetween);
    const double x = left + step * (kSmall + kBetween) + (step > current_ ? kPresent - kSmall : 0.0);
    const bool present = step == current_;
    const QRectF rect(x, present ? 4.0 : 20.0, present ? kPresent : kSmall, height() - (present ? 8.0 : 26.0));
    return rect.right() < 0.0 || rect.left() > width() ? QRectF() : rect;
}

std::optional<int> StepStrip::stepAt(QPointF at) const {
    for (int i = 0; i < static_cast<int>(steps_.size()); ++i)
        if (rectOf(i).contains(at)) return i;
    return std::nullopt;
}

// One picture a turn of the event loop, the nearest to the present step first.
void StepStrip::paintNext() {
    if (!plan_ || !scene_) return painter_.stop();
    std::optional<std::size_t> next;
    for (int away = 0; away < static_cast<int>(steps_.size()) && !next; ++away)
        for (const int step : {current_ + away, current_ - away})
            if (step >= 0 && step < static_cast<int>(steps_.size()) && !rectOf(step).isEmpty() && pictures_[pictureOf(step)].isNull())
                next = pictureOf(step);
    if (!next) return painter_.stop();
    const TyingStep& step = steps_[*next];
    const QSizeF size(kPresent, kStripHeight - 12.0);
    QImage image((size * devicePixelRatioF()).toSize(), QImage::Format_ARGB32_Premultiplied);
    image.setDevicePixelRatio(devicePixelRatioF());
    image.fill(Qt::transparent);
    QPainter painter(&image);
    const Scene scene = tiedSoFar(*scene_, *plan_, {step.done, step.bed, step.head});
    const double wide = std::max(scene_->right - scene_->left, 6.0), tall = std::max(scene_->top - scene_->bottom, 6.0);
    const double k = std::min((size.width() - 8.0) / wide, (size.height() - 6.0) / tall);
    const QPointF origin(0.5 * size.width() - 0.5 * k * (scene_->left + scene_->right),
                         0.5 * size.height() + 0.5 * k * (scene_->top + scene_->bottom));
    if (mirrored_) {
        painter.translate(size.width(), 0.0);
        painter.scale(-1.0, 1.0);
    }
    drawing::paintFly(painter, scene, {k, origin, theme_.bench(), 0.0});
    pictures_[*next] = image;
    update();
}

void StepStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.window);
    for (int i = 0; i < static_cast<int>(steps_.size()); ++i) {
        const QRectF frame = rectOf(i);
        if (frame.isEmpty()) continue;
        const bool present = i == current_;
        painter.setPen(QPen(present ? c.accent : c.line, present ? 2.0 : 1.0));
        painter.setBrush(present ? c.raised : c.paper);
        painter.drawRoundedRect(frame, 4.0, 4.0);
        const QImage& picture = pictures_[pictureOf(i)];
        if (!picture.isNull()) {
            const QSizeF own = picture.deviceIndependentSize();
            const double k = std::min((frame.width() - 6.0) / own.width(), (frame.height() - 6.0) / own.height());
            const QSizeF size = own * k;
            painter.setOpacity(i <= current_ ? 1.0 : 0.45);
            painter.drawImage(QRectF(frame.center() - QPointF(0.5 * size.width(), 0.5 * size.height()), size), picture);
            painter.setOpacity(1.0);
        } else if (!painter_.isActive()) {
            painter_.start();
        }
        painter.setFont(faceScaled(0.85, present));
        painter.setPen(present ? c.accent : c.inkSoft);
        painter.drawText(frame.adjusted(5.0, 2.0, 0.0, 0.0), Qt::AlignLeft | Qt::AlignTop, QString::number(i + 1));
    }
}

void StepStrip::mousePressEvent(QMouseEvent* event) {
    if (const auto step = stepAt(event->position())) emit wanted(*step);
}

bool StepStrip::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    const auto step = stepAt(help->pos());
    if (step) {
        const TyingStep& own = steps_[static_cast<std::size_t>(*step)];
        QToolTip::showText(
            help->globalPos(),
            tr("%1. %2 %3 %4")
                .arg(*step + 1)
                .arg(qt(say(own.verb)), qt(own.object), inHouseWords(own.number + (own.number.empty() ? "" : " " + own.unit))),
            this);
    } else {
        QToolTip::hideText();
    }
    return true;
}

std::vector<SpokenPart> StepStrip::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (std::size_t i = 0; i < steps_.size(); ++i)
        parts.push_back({tr("%1. %2").arg(i + 1).arg(qt(say(steps_[i].verb) + " " + steps_[i].object)),
                         qt(steps_[i].number + " " + steps_[i].unit), rectOf(static_cast<int>(i)).toRect(),
                         static_cast<int>(i) == current_});
    return parts;
}
void StepStrip::choosePart(std::size_t part) {
    if (part < steps_.size()) emit wanted(static_cast<int>(part));
}

}  // namespace machair::app
