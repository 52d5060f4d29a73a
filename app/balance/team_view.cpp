#include "balance/team_view.h"

#include <QDragEnterEvent>
#include <QKeyEvent>
#include <QMimeData>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "book/flies.h"
#include "colour/colour.h"
#include "drawing/ink.h"
#include "parts/lengths.h"
#include "parts/when_seen.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

Fly flyDropped(const QString& text) {
    const QStringList lines = text.split(QLatin1Char('\n'));
    return {DressingId(lines.value(0).toStdString()), lines.size() > 1 ? std::optional(HookId(lines[1].toStdString())) : std::nullopt};
}

constexpr double kMostScale = 16.0;

}  // namespace

TeamView::TeamView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("team-view"));
    setAccessibleName(tr("The flies side by side"));
    setAcceptDrops(true);
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setToolTip(tr("Drag a fly to another position, or one in from the box; Delete takes the chosen one off"));
    (new WhenSeen(this, [this] { rebuild(); }))->on(&document_, &Document::teamChanged).on(&theme_, &Theme::changed);
}

std::vector<Position> TeamView::rows() const {
    const TeamSpec* team = document_.team();
    if (five_) return {kPositions.begin(), kPositions.end()};
    return positionsShown(team ? team->flies : FliesByPosition());
}

QRectF TeamView::rowOf(Position position) const {
    const std::vector<Position> shown = rows();
    const auto place = std::ranges::find(shown, position);
    if (place == shown.end()) return {};
    const double row = height() / static_cast<double>(shown.size());
    return {0.0, row * static_cast<double>(place - shown.begin()), static_cast<double>(width()), row};
}

void TeamView::showFive(bool five) {
    five_ = five;
    place();
    update();
}

void TeamView::rebuild() {
    flies_.clear();
    hackleRatio_ = 0.0;
    if (const auto& report = document_.teamReport()) {
        int hackled = 0;
        for (const TeamFly& fly : report->flies) {
            flies_.push_back({fly.position, makeScene(fly.plan), {}, {}});
            if (const auto hackle = longestHackle(fly.plan)) {
                hackleRatio_ += hackle->second / fly.plan.hook.gape();
                ++hackled;
            }
        }
        if (hackled > 0) hackleRatio_ /= hackled;
    }
    place();
    update();
}

void TeamView::place() {
    double longest = 1.0, above = 1.0, below = 1.0;
    for (const Shown& fly : flies_) {
        longest = std::max(longest, fly.scene.right);
        above = std::max(above, fly.scene.top);
        below = std::max(below, -fly.scene.bottom);
    }
    const double row = height() / static_cast<double>(rows().size());
    scale_ = std::min({kMostScale, (row - 44.0) / (above + below), (width() - kEyeX - kTextRoom) / longest});
    scale_ = std::max(scale_, 3.0);
    for (Shown& fly : flies_) {
        const QRectF r = rowOf(fly.position);
        fly.view = {scale_, QPointF(kEyeX, r.top() + 0.5 * (row - 30.0) + 0.5 * scale_ * (above - below)), theme_.bench(), 0.0};
        fly.picture = QImage();
    }
}

void TeamView::resizeEvent(QResizeEvent*) { place(); }

std::vector<TeamView::Span> TeamView::spans() const {
    std::vector<Span> list;
    const auto& report = document_.teamReport();
    if (!report) return list;
    struct Named {
        Position upper, lower;
        const char* key;
    };
    // The others follow from these: an upper hangs so far from the bob, the rest of the way is what is left.
    static constexpr std::array kNamed = {
        Named{Position::bob, Position::middle, "bob_to_middle_m"}, Named{Position::middle, Position::point, "middle_to_point_m"},
        Named{Position::bob, Position::upper, "bob_to_upper_m"}, Named{Position::middle, Position::lower, "middle_to_lower_m"}};
    for (const TeamCheck& check : report->checks) {
        if (check.term != TeamTerm::spacing || !check.value) continue;
        const auto named =
            std::ranges::find_if(kNamed, [&](const Named& one) { return one.upper == check.upper && one.lower == check.lower; });
        if (named == kNamed.end()) continue;
        const double y = 0.5 * (rowOf(check.upper).center().y() + rowOf(check.lower).center().y());
        list.push_back({named->key, QRectF(kStrandX - 8.0, y - 12.0, 118.0, 24.0), *check.value, check.verdict});
    }
    return list;
}

std::optional<std::size_t> TeamView::spanAt(QPointF at) const {
    const auto all = spans();
    for (std::size_t i = 0; i < all.size(); ++i)
        if (all[i].rect.contains(at)) return i;
    return std::nullopt;
}

Result<Edit> TeamView::lengthened(const char* key, double metres) const {
    return changeLeaderField(document_.book(), document_.team()->id, key, formatNumber(metres, 2));
}

void TeamView::point(std::optional<std::size_t> check) {
    if (pointed_ == check) return;
    pointed_ = check;
    update();
}

void TeamView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    const auto& report = document_.teamReport();
    if (!report || flies_.size() != report->flies.size()) {
        painter.setPen(c.inkSoft);
        painter.drawText(rect(), Qt::AlignCenter, tr("A team of bob, middle and point is weighed here. Drag dressings in from the box."));
        return;
    }
    if (over_) {
        painter.setPen(QPen(c.accent, 2.0, Qt::DashLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(rowOf(*over_).adjusted(4, 4, -4, -4));
    }
    paintLeader(painter);
    for (std::size_t i = 0; i < flies_.size(); ++i) {
        painter.setOpacity(dragged_ == flies_[i].position && over_ ? 0.35 : 1.0);
        paintFly(painter, flies_[i], report->flies[i]);
        painter.setOpacity(1.0);
    }
    paintPointed(painter);
    for (const Position position : rows())
        if (std::ranges::none_of(flies_, [&](const Shown& fly) { return fly.position == position; })) {
            painter.setPen(c.inkSoft);
            painter.drawText(rowOf(position), Qt::AlignCenter, tr("no %1: drag a dressing here").arg(titleOf(position)));
        }
    if (dragged_ && over_)
        for (const Shown& fly : flies_)
            if (fly.position == *dragged_) {
                painter.setOpacity(0.7);
                painter.drawImage(QPointF(kEyeX - 60.0, rowOf(fly.position).top()) + pointer_ - pressed_, fly.picture);
            }
}

std::optional<Position> TeamView::positionAt(QPointF at) const {
    for (const Position position : rows())
        if (rowOf(position).contains(at)) return position;
    return std::nullopt;
}

void TeamView::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return;
    const TeamSpec* team = document_.team();
    if (const auto span = team ? spanAt(event->position()) : std::nullopt) {
        const Span taken = spans()[*span];
        chosenSpan_ = *span;
        span_ = {taken.key, taken.metres, taken.metres};
        pressed_ = event->position();
        return update();
    }
    const auto at = positionAt(event->position());
    if (!at || !team || !team->at(*at)) return;
    dragged_ = at;
    pressed_ = pointer_ = event->position();
    document_.choosePosition(*at);
}

void TeamView::mouseMoveEvent(QMouseEvent* event) {
    if (span_) {
        constexpr double kStep = 0.05, kPxPerStep = 6.0, kLeast = 0.1, kMost = 6.0;  // m; px; m
        const double steps = std::round((event->position().y() - pressed_.y()) / kPxPerStep);
        const double to = std::clamp(span_->from + steps * kStep, kLeast, kMost);
        if (to == span_->now) return;
        span_->now = to;
        return document_.previewTeam(lengthened(span_->key, to));
    }
    if (!dragged_ && spanAt(event->position())) return setCursor(Qt::SizeVerCursor);
    const auto at = positionAt(event->position());
    const TeamSpec* team = document_.team();
    setCursor(dragged_ ? Qt::ClosedHandCursor : at && team && team->at(*at) ? Qt::OpenHandCursor : Qt::ArrowCursor);
    if (!dragged_) return;
    pointer_ = event->position();
    constexpr double kDragStarts = 6.0;
    if (over_ || std::abs(pointer_.y() - pressed_.y()) > kDragStarts) over_ = at;
    update();
}

void TeamView::mouseReleaseEvent(QMouseEvent*) {
    if (const auto held = std::exchange(span_, std::nullopt)) {
        auto edit = lengthened(held->key, held->now);
        document_.dropTeamPreview();
        if (held->now != held->from) document_.refuse(document_.apply(std::move(edit)));
        return update();
    }
    const auto from = std::exchange(dragged_, std::nullopt);
    const auto to = std::exchange(over_, std::nullopt);
    if (from && to && *from != *to && document_.team())
        document_.refuse(document_.apply(swapTeamFlies(document_.book(), document_.team()->id, *from, *to)));
    update();
}

void TeamView::keyPressEvent(QKeyEvent* event) {
    const std::size_t flies = rows().size(), all = spans().size();
    switch (event->key()) {
        case Qt::Key_Delete: return takeOff();
        case Qt::Key_Escape:
            if (!std::exchange(span_, std::nullopt)) break;
            document_.dropTeamPreview();
            return update();
        case Qt::Key_Up:
        case Qt::Key_Down:
            if (all == 0) break;
            return choosePart(flies + (chosenSpan_ + (event->key() == Qt::Key_Up ? all - 1 : 1)) % all);
        case Qt::Key_Left: return nudgePart(flies + chosenSpan_, -1);
        case Qt::Key_Right: return nudgePart(flies + chosenSpan_, 1);
        default: break;
    }
    QWidget::keyPressEvent(event);
}

void TeamView::takeOff() {
    const auto position = document_.position();
    if (!position) return document_.say(tr("The fly on the bench is not on this leader"));
    const Faults faults = document_.apply(changeTeamFly(document_.book(), document_.team()->id, *position, std::nullopt));
    if (!faults.empty()) document_.say(qt(faults.front().line()));
}

QString TeamView::dragged(const Fly& fly) { return qt(fly.pattern) + (fly.hook ? QLatin1Char('\n') + qt(*fly.hook) : QString()); }

void TeamView::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasFormat(QString::fromLatin1(kDressing)) && document_.team()) event->acceptProposedAction();
}
void TeamView::dragMoveEvent(QDragMoveEvent* event) {
    over_ = positionAt(event->position());
    event->acceptProposedAction();
    update();
}
void TeamView::dragLeaveEvent(QDragLeaveEvent*) {
    over_.reset();
    update();
}
void TeamView::dropEvent(QDropEvent* event) {
    const auto to = positionAt(event->position());
    over_.reset();
    if (to && document_.team())
        document_.refuse(
            document_.apply(changeTeamFly(document_.book(), document_.team()->id, *to,
                                          flyDropped(QString::fromUtf8(event->mimeData()->data(QString::fromLatin1(kDressing)))))));
    event->acceptProposedAction();
    update();
}

std::vector<SpokenPart> TeamView::spokenParts() const {
    std::vector<SpokenPart> parts;
    const auto& report = document_.teamReport();
    for (const Position position : rows()) {
        const auto fly = report ? std::ranges::find(report->flies, position, &TeamFly::position) : std::vector<TeamFly>::const_iterator{};
        const bool hangs = report && fly != report->flies.end();
        parts.push_back({titleOf(position),
                         hangs ? tr("%1, %2 cm/s")
                                     .arg(qt(sayFly(fly->plan.pattern.title(), fly->plan.hook.spec())),
                                          number(100.0 * (fly->sink.sinkRate / metrePerSecond), 1))
                               : tr("no fly hangs here"),
                         rowOf(position).toRect(), document_.position() == position});
    }
    const auto all = spans();
    for (std::size_t i = 0; i < all.size(); ++i) {
        QString name = QString::fromLatin1(all[i].key).chopped(2);
        parts.push_back({name.replace(QLatin1Char('_'), QLatin1Char(' ')),
                         tr("%1 m %2").arg(number(all[i].metres, 2), signOf(all[i].verdict)), all[i].rect.toRect(), chosenSpan_ == i,
                         true});
    }
    return parts;
}
void TeamView::nudgePart(std::size_t part, int steps) {
    const auto all = spans();
    const std::size_t flies = rows().size();
    if (part < flies || part - flies >= all.size() || !document_.team()) return;
    constexpr double kStep = 0.05;  // m
    document_.refuse(document_.apply(lengthened(all[part - flies].key, all[part - flies].metres + kStep * steps)));
}
void TeamView::choosePart(std::size_t part) {
    const auto shown = rows();
    if (part >= shown.size()) {
        chosenSpan_ = part - shown.size();
        return update();
    }
    if (document_.team() && document_.team()->at(shown[part])) document_.choosePosition(shown[part]);
}

}  // namespace machair::app
