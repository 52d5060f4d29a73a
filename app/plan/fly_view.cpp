#include "plan/fly_view.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolButton>
#include <QWheelEvent>
#include <algorithm>
#include <cmath>
#include <utility>

#include "frame/panel.h"
#include "parts/lengths.h"
#include "scene/between.h"
#include "scene/pick.h"
#include "scene/side.h"
#include "sizing/compare.h"
#include "sizing/figures.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kRuleRoom = 54.0;  // px kept below the fly
constexpr double kMostPxPerMm = 44.0;
constexpr double kTickLength = 5.0;

}  // namespace

FlyView::FlyView(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent), document_(document), theme_(theme), grows_(new Motion(this)) {
    setObjectName(QStringLiteral("fly"));
    setAccessibleName(tr("The fly in profile"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    makeButtons();
    connect(&document_, &Document::planChanged, this, &FlyView::rebuild);
    connect(&document_, &Document::partChosen, this, qOverload<>(&QWidget::update));
    connect(&theme_, &Theme::changed, this, [this] {
        fit(Fit::keepIfItFits);
        view_.bench = theme_.bench();
        update();
    });
}

void FlyView::makeButtons() {
    buttons_ = new QWidget(this);
    auto* row = new QHBoxLayout(buttons_);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(4);
    const auto add = [&](const char* name, const QString& text, const QString& tip, auto work) {
        auto* made = toolButton(name, text, tip);
        made->setFocusPolicy(Qt::TabFocus);
        connect(made, &QToolButton::clicked, this, work);
        row->addWidget(made);
        return made;
    };
    add("fly-smaller", tr("−"), tr("Smaller (wheel, or −)"), [this] {
        zoom(-1.0, QRectF(rect()).center());
    })->setAccessibleName(tr("Smaller"));
    add("fly-larger", tr("+"), tr("Larger (wheel, or +); drag with Space to move it"), [this] {
        zoom(1.0, QRectF(rect()).center());
    })->setAccessibleName(tr("Larger"));
    add("fly-fit", tr("Fit"), tr("All of it again (double press, or 0)"), [this] { fitAgain(); });
    add("fly-turn", tr("Other side"), tr("Turned half round, as it is seen from across the vice (T)"), [this] { turn(); });
    above_ = add("fly-above", tr("Above"), tr("Looked down on, and back (U)"), [this] { lookFrom(From::above); });
    fromEye_ = add("fly-from-eye", tr("From the eye"), tr("Looked at along the shank, and back (E)"), [this] { lookFrom(From::eye); });
    for (QToolButton* button : {above_, fromEye_})
        button->setCheckable(true);
    buttons_->adjustSize();
}

void FlyView::placeButtons() {
    buttons_->adjustSize();
    buttons_->move(width() - buttons_->width() - 10, 10);
    buttons_->setVisible(scene_.has_value());
}

QPointF FlyView::at(double x, double y) const {
    return {view_.origin.x() + (turned_ ? -1.0 : 1.0) * view_.pxPerMm * x, view_.origin.y() - view_.pxPerMm * y};
}

drawing::View FlyView::painted() const {
    drawing::View view = view_;
    if (turned_) view.origin.setX(width() - view.origin.x());
    return view;
}

void FlyView::zoom(double steps, QPointF about) {
    if (!scene_ || fitted_ <= 0.0) return;
    constexpr double kStep = 1.2, kLeast = 0.5, kMost = 8.0;  // of the scale at which all is seen
    const double before = view_.pxPerMm;
    view_.pxPerMm = std::clamp(before * std::pow(kStep, steps), kLeast * fitted_, kMost * fitted_);
    view_.origin = about + (view_.origin - about) * (view_.pxPerMm / before);
    own_ = true;
    update();
}

void FlyView::fitAgain() {
    own_ = false;
    fit(Fit::anew);
    update();
}

void FlyView::turn() {
    turned_ = !turned_;
    scene_.reset();  // the other side doesn't grow out of this one
    rebuild();
    fitAgain();
}

void FlyView::lookFrom(From where) {
    from_ = from_ == where ? From::side : where;
    held_.reset();
    setAccessibleName(from_ == From::above ? tr("The fly from above")
                      : from_ == From::eye ? tr("The fly from the eye")
                                           : tr("The fly in profile"));
    rebuild();
    fitAgain();
}

Scene FlyView::sceneOf(const Plan& plan) const {
    const Scene profile = turned_ ? nearForFar(makeScene(plan)) : makeScene(plan);
    switch (from_) {
        case From::side: return profile;
        case From::above: return fromAbove(profile);
        case From::eye: return fromTheEye(profile);
    }
    return profile;
}

// What an edit changed grows from its old size. Not what a hand drags, which sees it move already, nor another dressing.
void FlyView::growFrom(std::optional<Scene> before) {
    was_.reset();
    if (!before || !scene_ || held_ || document_.previewing() || before->axis != scene_->axis || before->endOn != scene_->endOn) return;
    was_ = std::move(before);
    grows_->begin();
}

void FlyView::rebuild() {
    const bool same = document_.pattern() && document_.pattern()->id == shown_;
    std::optional<Scene> before = same ? std::exchange(scene_, std::nullopt) : std::nullopt;
    scene_.reset();
    ghost_.reset();
    above_->setChecked(from_ == From::above);
    fromEye_->setChecked(from_ == From::eye);
    if (document_.plan()) scene_ = sceneOf(*document_.plan());
    if (document_.ghost() && from_ != From::eye) ghost_ = sceneOf(*document_.ghost());
    handles_ = document_.plan() && from_ == From::side ? handlesOf(*document_.plan()) : std::vector<Handle>{};
    for (auto* index : {&hovered_, &held_, &focused_})
        if (*index && **index >= handles_.size()) index->reset();
    const std::string now = document_.pattern() ? document_.pattern()->id : std::string();
    // Under a held handle the scale must not move, or the hand would.
    if (now != shown_) own_ = false;
    if (!held_) fit(now == shown_ ? Fit::keepIfItFits : Fit::anew);
    shown_ = now;
    growFrom(std::move(before));
    placeButtons();
    update();
}

// While one dressing is worked on the scale stays as long as the fly fits it: then a change of size is seen as one, and
// only the layers that changed are painted again.
void FlyView::fit(Fit how) {
    if (!scene_) return;
    Scene whole;  // only its extent is asked for
    const Scene& other = ghost_ ? *ghost_ : *scene_;
    whole.left = std::min(scene_->left, other.left);
    whole.right = std::max(scene_->right, other.right);
    whole.top = std::max(scene_->top, other.top);
    whole.bottom = std::min(scene_->bottom, other.bottom);
    const QRectF frame = QRectF(rect()).adjusted(30, 18, -30, -kRuleRoom);
    drawing::View wanted = drawing::fitView(whole, frame, theme_.bench(), kMostPxPerMm);
    if (turned_) wanted.origin.setX(width() - wanted.origin.x());
    fitted_ = wanted.pxPerMm;
    if (own_ && view_.pxPerMm > 0.0) return;  // as the hand left it
    if (how == Fit::keepIfItFits && view_.pxPerMm > 0.0) {
        const QRectF now = QRectF(at(whole.left, whole.top), at(whole.right, whole.bottom)).normalized();
        constexpr double kTooSmall = 0.6;  // of the scale it could have
        if (QRectF(rect()).adjusted(8, 8, -8, -kRuleRoom + 8).contains(now) && view_.pxPerMm > kTooSmall * wanted.pxPerMm) return;
    }
    view_ = wanted;
}

void FlyView::resizeEvent(QResizeEvent*) {
    fit(Fit::anew);
    placeButtons();
}

// Why there is no fly to see: nothing was chosen, or what was chosen can't be planned at all.
QString FlyView::whyNothing() const {
    const Pattern* pattern = document_.isOpen() ? document_.pattern() : nullptr;
    if (!pattern) return tr("No dressing on the bench. Open a book, or choose a dressing above.");
    const auto planned = planWhatCan(document_.book(), pattern->id);
    if (planned) return {};
    QString text = tr("%1 can't be planned").arg(qt(pattern->title()));
    for (const Fault& fault : planned.error())
        text += QLatin1Char('\n') + sayFault(fault);
    return text + QLatin1Char('\n') + tr("Choose a hook above, or a thread in the ticket.");
}

void FlyView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (!scene_) {
        painter.setPen(c.inkSoft);
        painter.drawText(rect().adjusted(24, 24, -24, -24), Qt::AlignCenter | Qt::TextWordWrap, whyNothing());
        return;
    }
    painter.setRenderHint(QPainter::Antialiasing);
    painter.translate(moved_);
    if (from_ != From::eye) paintRule(painter);
    paintScenes(painter);
    if (from_ == From::side) paintMeasure(painter);
    paintHandles(painter);
    if (ghost_) {
        painter.resetTransform();
        paintDifferences(painter);
    }
    painter.resetTransform();
    if (hasFocus()) {
        painter.setPen(QPen(c.accent, 1.5));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(QRectF(rect()).adjusted(1, 1, -1, -1));
    }
}

// While the bench is moved it is shown as it was painted, moved; it is painted again where it is let go.
void FlyView::paintScenes(QPainter& painter) {
    painter.save();
    if (turned_) {
        painter.translate(width(), 0.0);
        painter.scale(-1.0, 1.0);
    }
    if (ghost_) {
        QColor pale = theme_.colours().slate;
        pale.setAlpha(190);
        drawing::paintGhost(painter, *ghost_, painted(), pale);
    }
    const double left = grows_->left();
    std::optional<Scene> onItsWay;
    if (left <= 0.0) was_.reset();
    if (was_) onItsWay = between(*was_, *scene_, left);
    layersPainted_ = picture_.update(onItsWay ? *onItsWay : *scene_, painted(), size(), devicePixelRatioF());
    picture_.compose(painter);
    painter.restore();
}

// What the ghost is, and in what it differs, the largest first.
void FlyView::paintDifferences(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const Plan& ghost = *document_.ghost();
    const bool same = ghost.pattern.id == document_.plan()->pattern.id;
    const QString what = document_.previewing() ? tr("dashed: as it is")
                         : same ? tr("dashed: as it was on %1").arg(qt(ghost.hook.spec().name.value_or(describeHook(ghost.hook.spec()))))
                                : tr("dashed: %1").arg(qt(ghost.pattern.title()));
    painter.setFont(faceScaled(0.92));
    const QFontMetricsF metrics(painter.font());
    double y = 10.0 + metrics.ascent();
    painter.setPen(c.slate);
    painter.drawText(QPointF(16.0, y), document_.previewing() ? what : tr("%1 (Esc puts it away)").arg(what));
    const auto all = differences(ghost, *document_.plan());
    constexpr std::size_t kShown = 7;
    painter.setPen(c.inkSoft);
    for (std::size_t i = 0; i < std::min(kShown, all.size()); ++i) {
        y += metrics.height();
        painter.drawText(QPointF(16.0, y), metrics.elidedText(inHouseUnit(all[i].words()), Qt::ElideRight, 0.42 * width()));
    }
    if (all.size() <= kShown) return;
    painter.drawText(QPointF(16.0, y + metrics.height()), tr("and %1 smaller ones").arg(all.size() - kShown));
}

namespace {

// Of the rule under the shank: how far apart its ticks stand, and every how many one is named.
struct RuleOf {
    double tick;  // mm
    int named;
};
RuleOf ruleOf(LengthUnit unit) {
    switch (unit) {
        case LengthUnit::millimetres: return {1.0, 5};
        case LengthUnit::inches: return {inch / mm / 16.0, 4};
        case LengthUnit::decimalInches: return {inch / mm / 20.0, 4};
    }
    return {1.0, 5};
}

}  // namespace

void FlyView::paintRule(QPainter& painter) const {
    const Plan& plan = *document_.plan();
    const Hook& hook = plan.hook;
    const Colours& c = theme_.colours();
    const double y = height() - kRuleRoom + 22.0;
    const double end = hook.landmarkX(Landmark::rearmost) / mm;
    painter.setFont(faceScaled(0.90));
    const QFontMetricsF metrics(painter.font());
    painter.setPen(QPen(c.inkSoft, 1.2));
    painter.drawLine(QPointF(at(0.0, 0.0).x(), y), QPointF(at(end, 0.0).x(), y));
    painter.setPen(QPen(c.inkSoft, 1.0));
    const RuleOf rule = ruleOf(lengthsSaidIn());
    for (int tick = 0; tick * rule.tick <= end; ++tick) {
        const double x = at(tick * rule.tick, 0.0).x();
        const bool named = tick % rule.named == 0;
        painter.drawLine(QPointF(x, y), QPointF(x, y - (named ? kTickLength + 3.0 : kTickLength)));
        if (named)
            painter.drawText(QRectF(x - 20.0, y - 9.0 - metrics.height(), 40.0, metrics.height()), Qt::AlignCenter,
                             tick == 0 ? QStringLiteral("0") : lengthFigure(tick * rule.tick * mm, 0));
    }
    struct Mark {
        Landmark landmark;
        QString name;
    };
    double labelledTo = turned_ ? 1e9 : -1e9;  // as far as there are names already, from the eye
    for (const Mark& mark : {Mark{Landmark::eye, tr("eye")}, Mark{Landmark::point, tr("point")}, Mark{Landmark::barb, tr("barb")},
                             Mark{Landmark::bend, tr("bend")}, Mark{Landmark::rearmost, tr("back")}}) {
        const double x = at(hook.landmarkX(mark.landmark) / mm, 0.0).x();
        QColor fine = c.inkSoft;
        fine.setAlpha(120);
        painter.setPen(QPen(fine, 1.0, Qt::DotLine));
        painter.drawLine(QPointF(x, at(0.0, 0.9 * plan.hook.wire() / mm).y()), QPointF(x, y));
        painter.setPen(QPen(c.ink, 1.4));
        painter.drawLine(QPointF(x, y - 3.0), QPointF(x, y + 5.0));
        const double half = 0.5 * metrics.horizontalAdvance(mark.name);
        const bool room = turned_ ? x + half < labelledTo - 6.0 : x - half > labelledTo + 6.0;
        painter.setPen(c.inkSoft);
        const double top = room ? y + 6.0 : y + 6.0 + 0.85 * metrics.height();
        painter.drawText(QRectF(x - 60.0, top, 120.0, metrics.height()), Qt::AlignCenter, mark.name);
        labelledTo = turned_ ? x - half : x + half;
    }
    constexpr double kUnitRoom = 60.0;
    const double unitAt = at(end, 0.0).x() + (turned_ ? -8.0 - kUnitRoom : 8.0);
    painter.drawText(QRectF(unitAt, y - metrics.height() / 2.0, kUnitRoom, metrics.height()),
                     (turned_ ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter, lengthUnitName());
}

void FlyView::paintDimension(QPainter& painter, QPointF from, QPointF to, const QString& text) const {
    const Colours& c = theme_.colours();
    const QPointF along = to - from;
    const double length = std::hypot(along.x(), along.y());
    if (length < 1.0) return;
    const QPointF square(-along.y() / length * 4.5, along.x() / length * 4.5);
    painter.setPen(QPen(c.accent, 1.4));
    painter.drawLine(from, to);
    painter.drawLine(from - square, from + square);
    painter.drawLine(to - square, to + square);
    painter.setFont(faceScaled(1.0, true));
    const QFontMetricsF metrics(painter.font());
    QRectF tag = metrics.boundingRect(text).adjusted(-7, -3, 7, 3);
    tag.moveCenter(0.5 * (from + to));
    painter.setPen(QPen(c.accent, 1.0));
    painter.setBrush(c.raised);
    painter.drawRoundedRect(tag, 3.0, 3.0);
    painter.setPen(c.ink);
    painter.drawText(tag, Qt::AlignCenter, text);
}

// The measure of the chosen part, beside the fly rather than across it.
void FlyView::paintMeasure(QPainter& painter) const {
    const auto chosen = document_.part();
    if (!chosen) return;
    const Plan& plan = *document_.plan();
    const PartPlan& part = plan.parts[*chosen];
    const WirePoint root = plan.hook.at(part.station);
    const double x0 = root.position.x / mm;
    const double y0 = root.position.y / mm;
    const QString text = inHouseUnit(headlineOf(plan, *chosen));
    const double above = std::min(at(0.0, scene_->top).y() - 14.0, at(0.0, 0.0).y() - 30.0);
    const auto level = [&](double fromX, double toX, double y, const QString& words) {
        paintDimension(painter, {at(fromX, 0.0).x(), std::max(16.0, y)}, {at(toX, 0.0).x(), std::max(16.0, y)}, words);
    };
    if (const auto* tail = std::get_if<TailPlan>(&part.detail)) {
        const double rise = 0.24 * (tail->length / mm);  // clear of the fan of its tips
        level(x0, x0 + tail->length / mm * cos(root.heading), at(0.0, y0 + rise).y() - 18.0, text);
    } else if (const auto* wing = std::get_if<WingPlan>(&part.detail))
        level(x0, x0 + wing->length / mm, above, text);
    else if (const auto* body = std::get_if<BodyPlan>(&part.detail))
        level(plan.hook.at(body->front).position.x / mm, plan.hook.at(body->end).position.x / mm, above,
              lengthSaid(body->end - body->front) + tr(" long, ") + text);
    else if (const auto* rib = std::get_if<RibPlan>(&part.detail))
        level(plan.hook.at(rib->end - rib->pitch).position.x / mm, plan.hook.at(rib->end).position.x / mm, above,
              tr("one turn every %1").arg(lengthSaid(rib->pitch)));
    else if (std::holds_alternative<HeadPlan>(part.detail))
        level(plan.head.from / mm, plan.head.to / mm, at(0.0, 0.0).y() - 34.0 - view_.pxPerMm * scene_->head.radius, text);
    else if (const auto* bead = std::get_if<BeadPlan>(&part.detail))
        level(x0, x0 + bead->diameter / mm, at(0.0, 0.0).y() - 24.0 - view_.pxPerMm * (bead->diameter / mm) / 2.0, text);
    else {
        const HacklePlan* hackle = hackleOf(part);
        if (!hackle) return;
        const double r = hackle->bed / mm / 2.0;
        const QPointF from = at(x0 - r * sin(root.heading), y0 - r * cos(root.heading));
        const Angle sweep = hackle->feather.fibreAngle();
        const QPointF to = hackle->target ? at(hackle->target->x / mm, hackle->target->y / mm)
                                          : at(x0 + hackle->fibre / mm * cos(sweep), y0 - r - hackle->fibre / mm * sin(sweep));
        paintDimension(painter, from, to, text);
    }
}

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
    write(handle, dragged(*document_.plan(), handle, inProfile(place), snap));
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
        setCursor(travel == Travel::along ? Qt::SizeHorCursor : travel == Travel::across ? Qt::SizeVerCursor : Qt::SizeAllCursor);
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

namespace {
// Half a turn of a tag, along the hook: less would not move it.
Length tagTurn(const Plan& plan, std::size_t part) {
    const auto& tag = std::get<TagPlan>(plan.parts[part].detail);
    return tag.turns > 0.0 ? tag.along / tag.turns : 0.1 * mm;
}
}  // namespace

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

void FlyView::paintHandles(QPainter& painter) const {
    const Colours& c = theme_.colours();
    const bool busy = underMouse() || hasFocus();
    for (std::size_t i = 0; i < handles_.size(); ++i) {
        const bool own = document_.part() == handles_[i].part;
        if (!own && !busy) continue;
        const bool strong = hovered_ == i || held_ == i || (hasFocus() && focused_ == i);
        painter.setPen(QPen(own || strong ? c.accent : c.inkSoft, strong ? 2.4 : 1.3));
        QColor fill = c.raised;
        if (!own && !strong) fill.setAlpha(120);
        painter.setBrush(strong ? c.accent : fill);
        const QPointF place = placeOf(handles_[i]);
        const double r = strong ? 5.5 : own ? 4.5 : 3.0;
        // Across: a lozenge; along: a ring. Shape says which way it goes.
        if (handles_[i].travel == Travel::across)
            painter.drawPolygon(
                QPolygonF{{place + QPointF(0, -r), place + QPointF(0.8 * r, 0), place + QPointF(0, r), place + QPointF(-0.8 * r, 0)}});
        else
            painter.drawEllipse(place, r, r);
    }
    if (!held_) return;
    // While it is held, what it says stands beside it.
    const PartPlan& part = document_.plan()->parts[handles_[*held_].part];
    painter.setFont(faceScaled(1.0, true));
    const QFontMetricsF metrics(painter.font());
    const QString words = metrics.elidedText(qt(part.words), Qt::ElideRight, 420.0);
    QRectF tag = metrics.boundingRect(words).adjusted(-8, -4, 8, 4);
    tag.moveBottomLeft(placeOf(handles_[*held_]) + QPointF(12.0, -12.0));
    if (tag.right() > width() - 8.0) tag.moveRight(width() - 8.0);
    if (tag.top() < 8.0) tag.moveTop(8.0);
    painter.setPen(QPen(c.accent, 1.0));
    painter.setBrush(c.raised);
    painter.drawRoundedRect(tag, 3.0, 3.0);
    painter.setPen(c.ink);
    painter.drawText(tag, Qt::AlignCenter, words);
}

// What is drawn under the cursor, but for a handle: with Alt that is dragged between the landmarks. By keys the chosen part.
std::optional<Question> FlyView::questionAt(std::optional<QPoint> at) const {
    const auto& plan = document_.plan();
    if (!plan || !scene_) return std::nullopt;
    if (at && handleAt(*at)) return std::nullopt;
    const auto part = at ? partUnder(*at) : document_.part();
    if (part) return mainFigure(*plan, *part);
    return FigureRef{AskedOf::fly, 0, "sink_m_s"};
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
