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

}  // namespace machair::app
