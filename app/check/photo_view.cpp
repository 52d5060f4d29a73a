#include "check/photo_view.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "drawing/fly_painter.h"
#include "parts/lengths.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kReach = 14.0;  // px round a handle
constexpr double kTip = 6.0;

}  // namespace

PhotoView::PhotoView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("photo"));
    setAccessibleName(tr("The photograph with the plan laid over it"));
    setMouseTracking(true);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void PhotoView::show(QImage picture, std::optional<photo::Registration> found) {
    picture_ = std::move(picture);
    registration_ = found;
    found_ = found;
    if (!registration_) {
        // Somewhere to start from: the hook across the middle.
        const double span = document_.plan() ? document_.plan()->hook.overall() / mm : 16.0;
        registration_ =
            photo::Registration{{0.3 * picture_.width(), 0.5 * picture_.height()}, 0.4 * picture_.width() / span, 0.0, false, 0.0, 0.0};
    }
    replan();
}

void PhotoView::clear() {
    picture_ = {};
    registration_.reset();
    found_.reset();
    tips_.clear();
    landmarks_.clear();
    update();
}

void PhotoView::replan() {
    plan_ = document_.plan();
    const auto& plan = plan_;
    if (!plan || !registration_) return;
    scene_ = makeScene(*plan);
    tips_.clear();
    for (const Handle& handle : handlesOf(*plan))
        if (measuredAt(*plan, handle, handle.at)) tips_.push_back({handle, handle.at});
    const Hook& hook = plan->hook;
    landmarks_ = {{QStringLiteral("eye"), {0.0 * mm, 0.0 * mm}, {}},
                  {QStringLiteral("bend"), hook.at(hook.rearmostStation()).position, {}},
                  {QStringLiteral("point"), hook.at(hook.pointStation()).position, {}}};
    for (Landmarked& landmark : landmarks_)
        landmark.seen = registration_->toPicture(landmark.at);
    update();
}

void PhotoView::placeTip(std::size_t part, Length x) {
    for (Tip& tip : tips_)
        if (tip.handle.part == part && (tip.handle.grab == Grab::tailTip || tip.handle.grab == Grab::wingTip)) {
            tip.at.x = x;
            if (const auto length = measuredAt(*plan_, tip.handle, tip.at)) emit measured(part, qt(length->figure), length->length / mm);
        }
    update();
}

QRectF PhotoView::shown() const {
    const QRectF whole(QPointF(0.0, 0.0), QSizeF(picture_.size()));
    if (!found_ || !plan_) return whole;
    // The fly, with room for a tail that is too long: fixed while things are dragged.
    const Hook& hook = plan_->hook;
    QRectF box;
    for (const double x : {-2.5 * (hook.eyeWidth() / mm), 1.25 * (plan_->length / mm)})
        for (const double y : {-1.9 * (hook.gape() / mm), 1.5 * (hook.gape() / mm)}) {
            const photo::Pixel p = found_->toPicture({x * mm, y * mm});
            box = box.isNull() ? QRectF(p.x, p.y, 0.01, 0.01) : box.united(QRectF(p.x, p.y, 0.01, 0.01));
        }
    return box.intersected(whole).isEmpty() ? whole : box.intersected(whole);
}

double PhotoView::fit() const {
    const QRectF s = shown();
    return picture_.isNull() ? 1.0 : std::min(width() / s.width(), height() / s.height());
}

QPointF PhotoView::onScreen(photo::Pixel at) const {
    const double k = fit();
    return QPointF(0.5 * width(), 0.5 * height()) + k * (QPointF(at.x, at.y) - shown().center());
}

photo::Pixel PhotoView::onPicture(QPointF at) const {
    const QPointF p = (at - QPointF(0.5 * width(), 0.5 * height())) / fit() + shown().center();
    return {p.x(), p.y()};
}

// How far a wing stands up, from its tie-in to the tip.
QString PhotoView::liftOf(const Tip& tip) const {
    if (tip.handle.grab != Grab::wingTip) return {};
    const WirePoint root = plan_->hook.at(plan_->parts[tip.handle.part].station);
    const double lift = std::atan2((tip.at.y - root.position.y) / mm, (tip.at.x - root.position.x) / mm) * 180.0 / 3.14159265358979;
    return tr(", %1° up").arg(number(lift, 0));
}

std::optional<QPointF> PhotoView::placeOf(const QString& name) const {
    for (const Landmarked& landmark : landmarks_)
        if (landmark.name == name) return onScreen(landmark.seen);
    for (const Tip& tip : tips_)
        if (qt(tip.handle.name) == name) return onScreen(registration_->toPicture(tip.at));
    return std::nullopt;
}

void PhotoView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (picture_.isNull()) return;
    const double k = fit();
    painter.drawImage(QRectF(onScreen({0.0, 0.0}), k * QSizeF(picture_.size())), picture_);
    if (!scene_ || !registration_) return;
    painter.save();
    painter.translate(onScreen(registration_->eye));
    painter.rotate(registration_->turn * 180.0 / 3.14159265358979);
    if (registration_->mirrored) painter.scale(-1.0, 1.0);
    drawing::View view;
    view.pxPerMm = k * registration_->pxPerMm;
    drawing::paintGhost(painter, *scene_, view, c.accent);
    painter.restore();
    painter.setFont(faceScaled(0.85, true));
    const auto tag = [&](QPointF at, const QString& text, const QColor& ink) {
        const QFontMetricsF metrics(painter.font());
        const QRectF box(at.x() + 10.0, at.y() - 22.0, metrics.horizontalAdvance(text) + 10.0, metrics.height() + 2.0);
        painter.setPen(QPen(c.line, 1.0));
        painter.setBrush(c.raised);
        painter.drawRoundedRect(box, 3.0, 3.0);
        painter.setPen(ink);
        painter.drawText(box, Qt::AlignCenter, text);
    };
    for (std::size_t i = 0; i < tips_.size(); ++i) {
        const QPointF at = onScreen(registration_->toPicture(tips_[i].at));
        painter.setPen(QPen(c.accent, 2.0));
        painter.setBrush(c.raised);
        painter.drawEllipse(at, kTip, kTip);
        if (grabbed_ == static_cast<int>(i))
            if (const auto length = measuredAt(*plan_, tips_[i].handle, tips_[i].at))
                tag(at, qt(tips_[i].handle.name) + QStringLiteral(" ") + lengthSaid(length->length, 2) + liftOf(tips_[i]), c.ink);
    }
    for (const Landmarked& landmark : landmarks_) {
        const QPointF at = onScreen(landmark.seen);
        painter.setPen(QPen(c.slate, 2.0));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(QRectF(at.x() - 6.0, at.y() - 6.0, 12.0, 12.0));
        painter.drawLine(at - QPointF(10.0, 0.0), at + QPointF(10.0, 0.0));
        painter.drawLine(at - QPointF(0.0, 10.0), at + QPointF(0.0, 10.0));
        tag(at + QPointF(0.0, 44.0), landmark.name, c.slate);
    }
}

void PhotoView::mousePressEvent(QMouseEvent* event) {
    grabbed_ = -1;
    double nearest = kReach;
    const auto consider = [&](QPointF at, int index) {
        const double off = std::hypot(at.x() - event->position().x(), at.y() - event->position().y());
        if (off < nearest) {
            nearest = off;
            grabbed_ = index;
        }
    };
    if (!registration_) return;
    for (std::size_t i = 0; i < tips_.size(); ++i)
        consider(onScreen(registration_->toPicture(tips_[i].at)), static_cast<int>(i));
    for (std::size_t i = 0; i < landmarks_.size(); ++i)
        consider(onScreen(landmarks_[i].seen), static_cast<int>(tips_.size() + i));
    update();
}

void PhotoView::mouseMoveEvent(QMouseEvent* event) {
    if (grabbed_ < 0) {
        bool over = false;
        if (registration_)
            for (const Tip& tip : tips_) {
                const QPointF at = onScreen(registration_->toPicture(tip.at));
                over |= std::hypot(at.x() - event->position().x(), at.y() - event->position().y()) < kReach;
            }
        setCursor(over ? Qt::SizeAllCursor : Qt::ArrowCursor);
        return;
    }
    const photo::Pixel to = onPicture(event->position());
    const auto index = static_cast<std::size_t>(grabbed_);
    if (index < tips_.size()) {
        Tip& tip = tips_[index];
        tip.at = registration_->toHook(to);
        if (const auto length = measuredAt(*plan_, tip.handle, tip.at))
            emit measured(tip.handle.part, qt(length->figure), length->length / mm);
    } else {
        landmarks_[index - tips_.size()].seen = to;
        std::vector<photo::Marked> marks;
        for (const Landmarked& landmark : landmarks_)
            marks.push_back({landmark.at, landmark.seen});
        if (const auto anew = photo::fromMarks(marks, registration_->mirrored)) registration_ = anew;
    }
    update();
}

void PhotoView::mouseReleaseEvent(QMouseEvent*) {
    if (grabbed_ >= static_cast<int>(tips_.size())) emit marked();
    grabbed_ = -1;
    update();
}

std::vector<SpokenPart> PhotoView::spokenParts() const {
    std::vector<SpokenPart> parts;
    if (!registration_) return parts;
    const auto around = [](QPointF at) { return QRectF(at - QPointF(8.0, 8.0), QSizeF(16.0, 16.0)).toRect(); };
    for (const Tip& tip : tips_)
        if (const auto at = placeOf(qt(tip.handle.name))) parts.push_back({qt(tip.handle.name), liftOf(tip), around(*at)});
    for (const Landmarked& mark : landmarks_)
        if (const auto at = placeOf(mark.name)) parts.push_back({mark.name, tr("where the hook's is on the picture"), around(*at)});
    return parts;
}
void PhotoView::choosePart(std::size_t) { setFocus(); }

}  // namespace machair::app
