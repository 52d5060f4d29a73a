#include "plan/sizes_view.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

#include "book/records.h"
#include "parts/lengths.h"
#include "team/place.h"
#include "units/text.h"

namespace machair::app {

namespace {

const std::vector<int> kSizes = {8, 10, 12, 14, 16};
constexpr double kUnderFlies = 190.0;  // px under the flies

}  // namespace

SizesView::SizesView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("sizes-view"));
    setAccessibleName(tr("The dressing across sizes"));
    setCursor(Qt::PointingHandCursor);
    setToolTip(tr("Click a fly to tie it in that size"));
    connect(&document_, &Document::planChanged, this, [this] {
        if (isVisible()) rebuild();
    });
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void SizesView::showEvent(QShowEvent*) { rebuild(); }

void SizesView::rebuild() {
    flies_.clear();
    scenes_.clear();
    if (document_.pattern()) flies_ = acrossSizes(document_.book(), document_.pattern()->id, kSizes);
    for (const SizedFly& fly : flies_)
        scenes_.push_back(fly.plan ? std::optional(makeScene(*fly.plan)) : std::nullopt);
    update();
}

QRectF SizesView::columnOf(std::size_t i) const {
    // Columns as wide as their flies, so that the largest gets the most.
    std::vector<double> weights;
    for (const auto& scene : scenes_)
        weights.push_back(scene ? scene->right - scene->left + 3.0 : 10.0);
    double all = 0.0, before = 0.0;
    for (std::size_t k = 0; k < weights.size(); ++k) {
        all += weights[k];
        if (k < i) before += weights[k];
    }
    const double room = width() - 20.0;
    return {10.0 + room * before / all, 0.0, room * weights[i] / all, static_cast<double>(height())};
}

void SizesView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (scenes_.empty()) return;
    double widest = 0.0, top = 0.0, bottom = 0.0;
    for (const auto& scene : scenes_) {
        if (!scene) continue;
        widest += scene->right - scene->left + 3.0;
        top = std::max(top, scene->top);
        bottom = std::min(bottom, scene->bottom);
    }
    const double k = std::min((width() - 20.0) / std::max(widest, 1.0), (height() - kUnderFlies - 30.0) / std::max(top - bottom, 1.0));
    const double axis = std::max(20.0, 0.18 * (height() - kUnderFlies - k * (top - bottom))) + k * top;
    const double under = std::min(height() - kUnderFlies, axis - k * bottom + 36.0);
    for (std::size_t i = 0; i < flies_.size(); ++i) {
        const QRectF column = columnOf(i);
        const SizedFly& fly = flies_[i];
        const bool now = document_.plan() && document_.plan()->hook.size() == fly.size;
        if (scenes_[i])
            drawing::paintFly(painter, *scenes_[i], {k, QPointF(column.left() + k * (1.0 - scenes_[i]->left), axis), theme_.bench(), 0.0});
        QRectF text(column.left() + 6.0, under, column.width() - 12.0, height() - under - 8.0);
        painter.setPen(QPen(now ? c.accent : c.line, now ? 2.5 : 1.0));
        painter.drawLine(text.topLeft(), text.topRight());
        painter.setFont(faceScaled(1.1, true));
        painter.setPen(now ? c.accent : c.ink);
        painter.drawText(text.adjusted(0, 6, 0, 0), Qt::AlignTop | Qt::AlignLeft, tr("size %1").arg(fly.size));
        text.adjust(0, 28, 0, 0);
        painter.setFont(faceScaled(0.88));
        const auto say = [&](const QString& spoken, const QColor& ink) {
            const QString words = inHouseWords(spoken);
            QRectF used;
            painter.setPen(ink);
            painter.drawText(text, Qt::AlignTop | Qt::AlignLeft | Qt::TextWordWrap, words, &used);
            text.setTop(std::min(text.bottom(), used.bottom() + 3.0));
        };
        if (fly.plan)
            say(tr("shank %1, head %2 to spare").arg(lengthSaid(fly.plan->hook.shank()), lengthSaid(fly.plan->head.margin())), c.inkSoft);
        if (fly.plan) {
            QStringList creatures;
            for (const SeasonRow* row : suggestedBy(document_.book().season, fly.plan->pattern, styleOf(*fly.plan), fly.size))
                creatures << qt(titleOf(document_.book(), *row));
            if (!creatures.isEmpty()) say(tr("suggests %1").arg(creatures.join(tr("; "))), c.slate);
        }
        for (std::size_t n = 0; n < std::min<std::size_t>(3, fly.changes.size()); ++n)
            say(qt(fly.changes[n]), c.ink);
        for (std::size_t n = 0; n < std::min<std::size_t>(2, fly.troubles.size()); ++n)
            say(QStringLiteral("! ") + qt(fly.troubles[n]), c.warn);
    }
}

void SizesView::mousePressEvent(QMouseEvent* event) {
    for (std::size_t i = 0; i < flies_.size(); ++i)
        if (columnOf(i).contains(event->position())) choosePart(i);
}

std::vector<SpokenPart> SizesView::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (std::size_t i = 0; i < flies_.size(); ++i) {
        QStringList words;
        for (const auto* some : {&flies_[i].changes, &flies_[i].troubles})
            for (const std::string& one : *some)
                words << qt(one);
        parts.push_back({tr("size %1").arg(flies_[i].size), words.isEmpty() ? tr("as it is, to scale") : words.join(QStringLiteral("; ")),
                         columnOf(i).toRect(), document_.plan() && document_.plan()->hook.size() == flies_[i].size});
    }
    return parts;
}
void SizesView::choosePart(std::size_t part) {
    if (part < flies_.size() && document_.pattern())
        document_.refuse(document_.apply(resizeHook(document_.book(), document_.pattern()->id, {flies_[part].size, std::nullopt})));
}

}  // namespace machair::app
