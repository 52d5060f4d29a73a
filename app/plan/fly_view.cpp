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

constexpr double kMostPxPerMm = 44.0;

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
    handles_ = document_.plan() ? handlesOf(*document_.plan()) : std::vector<Handle>{};
    std::erase_if(handles_, [this](const Handle& handle) { return !shows(handle); });
    for (auto* index : {&hovered_, &held_, &focused_})
        if (*index && **index >= handles_.size()) index->reset();
    const std::string now = document_.pattern() ? document_.pattern()->id : std::string();
    // Under a held handle the scale must not move, or the hand would.
    if (now != shown_) own_ = false;
    if (!held_) fit(now == shown_ && compares() == compared_ ? Fit::keepIfItFits : Fit::anew);
    compared_ = compares();
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
    QRectF frame = QRectF(rect()).adjusted(30, 18, -30, -kRuleRoom);
    if (compares()) {
        constexpr double kBetween = 1.2;                            // mm
        constexpr double kWords = kDifferencesWide, kButtons = 46;  // beside what differs, under the buttons
        otherAbove_ = scene_->top + kBetween - ghost_->bottom;
        whole.top = ghost_->top + otherAbove_;
        whole.bottom = scene_->bottom;
        frame.setLeft(kWords * width());
        frame.setTop(kButtons);
    }
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
    if (ghost_ && !compares()) {
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
    if (compares()) paintOther(painter);
    painter.restore();
}

bool FlyView::compares() const {
    return ghost_ && document_.ghost() && document_.plan() && !document_.previewing() &&
           document_.ghost()->pattern.id != document_.plan()->pattern.id;
}

void FlyView::paintOther(QPainter& painter) {
    drawing::View view = painted();
    view.origin.ry() -= otherAbove_ * view.pxPerMm;
    other_.update(*ghost_, view, size(), devicePixelRatioF());
    other_.compose(painter);
}

QRectF FlyView::placeOfOwn() const {
    return scene_ ? QRectF(at(scene_->left, scene_->top), at(scene_->right, scene_->bottom)).normalized() : QRectF();
}
std::optional<QRectF> FlyView::placeOfOther() const {
    if (!compares()) return std::nullopt;
    return QRectF(at(ghost_->left, ghost_->top + otherAbove_), at(ghost_->right, ghost_->bottom + otherAbove_)).normalized();
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

}  // namespace machair::app
