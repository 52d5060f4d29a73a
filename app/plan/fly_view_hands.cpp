// The fly in hand: handles dragged, nudged and spoken, the bench zoomed and moved.
#include "plan/fly_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QToolButton>
#include <QWheelEvent>
#include <algorithm>
#include <cmath>
#include <utility>

#include "parts/lengths.h"
#include "scene/pick.h"
#include "units/text.h"

namespace machair::app {

namespace {
// Half a turn of a tag, along the hook: less would not move it.
Length tagTurn(const Plan& plan, std::size_t part) {
    const auto& tag = std::get<TagPlan>(plan.parts[part].detail);
    return tag.turns > 0.0 ? tag.along / tag.turns : 0.1 * mm;
}
}  // namespace

void FlyView::mousePressEvent(QMouseEvent* event) {
    if (!scene_) return;
    setFocus(Qt::MouseFocusReason);
    if (event->button() == Qt::MiddleButton || (space_ && event->button() == Qt::LeftButton)) {
        grasped_ = event->position();
        return setCursor(Qt::ClosedHandCursor);
    }
    if (event->button() != Qt::LeftButton) return;
    if (const auto grabbed = handleAt(event->position())) {
        held_ = focused_ = grabbed;
        document_.choosePart(handles_[*grabbed].part);
        return;
    }
    focused_.reset();
    document_.choosePart(partUnder(event->position()));
}

// Looked down on, what goes along the hook can be dragged there, on the middle line; looked at along it, what goes across.
bool FlyView::shows(const Handle& handle) const {
    switch (from_) {
        case From::side: return true;
        case From::above: return handle.travel != Travel::across;
        case From::eye: return handle.travel != Travel::along;
    }
    return true;
}

QPointF FlyView::placeOf(const Handle& handle) const {
    return at(from_ == From::eye ? 0.0 : handle.at.x / mm, from_ == From::above ? 0.0 : handle.at.y / mm);
}

std::optional<std::size_t> FlyView::handleAt(QPointF place) const {
    constexpr double kReachPx = 9.0;
    std::optional<std::size_t> found;
    double nearest = kReachPx;
    for (std::size_t i = 0; i < handles_.size(); ++i) {
        const QPointF off = placeOf(handles_[i]) - place;
        // Where several lie together the chosen part's comes first.
        const double distance = std::hypot(off.x(), off.y()) - (document_.part() == handles_[i].part ? 3.0 : 0.0);
        if (distance >= nearest) continue;
        nearest = distance;
        found = i;
    }
    return found;
}

Point2 FlyView::inProfile(QPointF place) const {
    const QPointF p = place - view_.origin;
    return {(turned_ ? -1.0 : 1.0) * p.x() / view_.pxPerMm * mm, -p.y() / view_.pxPerMm * mm};
}

void FlyView::write(const Handle& handle, const std::optional<Written>& written) {
    if (!written || !document_.pattern()) return;
    document_.preview(changeField(document_.book(), document_.pattern()->id, handle.part, written->key, written->text));
}

void FlyView::dragTo(QPointF place, Qt::KeyboardModifiers modifiers) {
    constexpr double kSnapPx = 7.0;
    const Length snap = (modifiers & Qt::AltModifier) ? 0.0 * mm : kSnapPx / view_.pxPerMm * mm;
    const Handle handle = handles_[*held_];
    Point2 to = inProfile(place);
    if (from_ == From::above) to.y = handle.at.y;  // what isn't seen from here stays
    if (from_ == From::eye) to.x = handle.at.x;
    write(handle, dragged(*document_.plan(), handle, to, snap));
}

void FlyView::mouseMoveEvent(QMouseEvent* event) {
    if (grasped_) {
        moved_ = event->position() - *grasped_;
        return update();
    }
    if (held_) return dragTo(event->position(), event->modifiers());
    const auto over = handleAt(event->position());
    if (over) {
        const Travel travel = handles_[*over].travel;
        setCursor(travel == Travel::along || from_ == From::above  ? Qt::SizeHorCursor
                  : travel == Travel::across || from_ == From::eye ? Qt::SizeVerCursor
                                                                   : Qt::SizeAllCursor);
        setToolTip(tr("%1: drag it; Alt lets it go between the landmarks").arg(qt(handles_[*over].name)));
    } else {
        unsetCursor();
        setToolTip(QString());
    }
    if (over == hovered_) return;
    hovered_ = over;
    update();
}

void FlyView::mouseReleaseEvent(QMouseEvent* event) {
    if (grasped_) {
        grasped_.reset();
        view_.origin += std::exchange(moved_, QPointF());
        own_ = true;
        unsetCursor();
        return update();
    }
    if (!held_ || event->button() != Qt::LeftButton) return;
    const std::size_t part = handles_[*held_].part;
    held_.reset();
    document_.makePreviewed(part);
}

void FlyView::mouseDoubleClickEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton && !handleAt(event->position())) fitAgain();
}

void FlyView::wheelEvent(QWheelEvent* event) {
    constexpr double kNotch = 120.0;  // eighths of a degree
    zoom(event->angleDelta().y() / kNotch, event->position());
    event->accept();
}

void FlyView::leaveEvent(QEvent*) {
    hovered_.reset();
    update();
}

bool FlyView::focusNextPrevChild(bool next) {
    const auto last = static_cast<std::ptrdiff_t>(handles_.size()) - 1;
    const std::ptrdiff_t now = focused_ ? static_cast<std::ptrdiff_t>(*focused_) + (next ? 1 : -1) : (next ? 0 : last);
    if (now < 0 || now > last) {
        focused_.reset();
        update();
        return QWidget::focusNextPrevChild(next);
    }
    focused_ = static_cast<std::size_t>(now);
    document_.choosePart(handles_[*focused_].part);
    update();
    return true;
}

// One step of 0.1 mm by keyboard is one edit.
std::vector<SpokenPart> FlyView::spokenParts() const {
    std::vector<SpokenPart> parts;
    constexpr int kAround = 8;  // px
    for (std::size_t i = 0; i < handles_.size(); ++i) {
        const Handle& handle = handles_[i];
        const QPoint place = placeOf(handle).toPoint();
        const QString words =
            document_.plan() && handle.part < document_.plan()->parts.size() ? qt(document_.plan()->parts[handle.part].words) : QString();
        parts.push_back(
            {qt(handle.name), words, QRect(place - QPoint(kAround, kAround), QSize(2 * kAround, 2 * kAround)), focused_ == i, true});
    }
    return parts;
}

void FlyView::choosePart(std::size_t part) {
    if (part >= handles_.size()) return;
    focused_ = part;
    update();
}

void FlyView::nudgePart(std::size_t part, int steps) {
    choosePart(part);
    if (focused_) nudge(steps, handles_[*focused_].travel == Travel::across);
}

void FlyView::nudge(int steps, bool across) {
    if (!focused_) return;
    const Handle handle = handles_[*focused_];
    const bool may = handle.travel == Travel::both || (handle.travel == Travel::across) == across;
    if (!may) return;
    // A step that counts in wholes (turns, layers) moves to the next whole.
    const bool whole = handle.grab == Grab::ribTurn || handle.grab == Grab::head;
    Length step = 0.1 * mm;
    if (handle.grab == Grab::ribTurn) step = 0.6 * std::get<RibPlan>(document_.plan()->parts[handle.part].detail).pitch;
    if (handle.grab == Grab::tagEnd) step = 0.6 * tagTurn(*document_.plan(), handle.part);
    if (whole && handle.grab == Grab::head) step = document_.plan()->thread.thickness;
    if (across && handle.grab != Grab::head) step = 0.05 * mm;  // a radius
    Point2 to = handle.at;
    (across ? to.y : to.x) += static_cast<double>(steps) * step;
    write(handle, dragged(*document_.plan(), handle, to, 0.0 * mm));
    document_.makePreviewed(handle.part);
}

void FlyView::jump(int direction) {
    if (!focused_) return;
    const Handle handle = handles_[*focused_];
    constexpr Length kOnIt = 0.02 * mm;
    if (const auto to = nextSnap(*document_.plan(), handle, direction)) write(handle, dragged(*document_.plan(), handle, *to, kOnIt));
    document_.makePreviewed(handle.part);
}

std::optional<std::size_t> FlyView::partUnder(QPointF at) const {
    if (from_ == From::eye) return std::nullopt;  // one part lies behind another there
    constexpr double kReachPx = 9.0;
    const Point2 p = inProfile(at);
    return partAt(*scene_, p.x / mm, p.y / mm, kReachPx / view_.pxPerMm, findKind(document_.plan()->pattern, PartKind::head));
}

void FlyView::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Left: return nudge(-1, false);
        case Qt::Key_Right: return nudge(1, false);
        case Qt::Key_Up: return nudge(1, true);
        case Qt::Key_Down: return nudge(-1, true);
        case Qt::Key_PageDown: return jump(1);
        case Qt::Key_PageUp: return jump(-1);
        case Qt::Key_Plus:
        case Qt::Key_Equal: return zoom(1.0, QRectF(rect()).center());
        case Qt::Key_Minus: return zoom(-1.0, QRectF(rect()).center());
        case Qt::Key_0: return fitAgain();
        case Qt::Key_T: return turn();
        case Qt::Key_U: return lookFrom(From::above);
        case Qt::Key_E: return lookFrom(From::eye);
        case Qt::Key_Space: space_ = true; return setCursor(Qt::OpenHandCursor);
        case Qt::Key_Escape: break;
        default: return QWidget::keyPressEvent(event);
    }
    if (held_) {
        held_.reset();
        document_.dropPreview();
        return;
    }
    if (document_.ghost())
        document_.dismissGhost();
    else
        document_.choosePart(std::nullopt);
}

void FlyView::keyReleaseEvent(QKeyEvent* event) {
    if (event->key() != Qt::Key_Space || event->isAutoRepeat()) return QWidget::keyReleaseEvent(event);
    space_ = false;
    if (!grasped_) unsetCursor();
}

void FlyView::focusOutEvent(QFocusEvent* event) {
    space_ = false;
    QWidget::focusOutEvent(event);
}

}  // namespace machair::app
