// The flies of the team in hand: dragged to another place, taken off, dropped from the box, spoken.
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

}  // namespace

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
