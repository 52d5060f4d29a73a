#include "cut/feather_view.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "book/find.h"
#include "cut/cape_fan.h"
#include "cutting/vane.h"
#include "drawing/ink.h"
#include "parts/lengths.h"
#include "units/random.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr std::size_t kMostRows = 8;
constexpr double kLabel = 118.0;     // px at the left
constexpr double kUsualBarbs = 2.4;  // a mm, where the material is gone from the drawers

}  // namespace

FeatherView::FeatherView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("feathers"));
    setAccessibleName(tr("Feathers and the slips laid on them"));
    setMinimumHeight(220);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void FeatherView::show(const std::vector<VaneFeather>& feathers, const CuttingPlan& plan) {
    rows_.clear();
    // Those that are cut come first, then what else there is.
    for (const FeatherCuts& cuts : plan.feathers)
        if (const VaneFeather* found = findById(feathers, cuts.feather)) rows_.push_back({*found, cuts.cuts});
    for (const VaneFeather& feather : feathers)
        if (std::ranges::none_of(plan.feathers, [&](const FeatherCuts& cuts) { return cuts.feather == feather.id; }))
            rows_.push_back({feather, {}});
    hidden_ = rows_.size() > kMostRows ? rows_.size() - kMostRows : 0;
    if (hidden_ > 0) rows_.resize(kMostRows);
    update();
}

void FeatherView::showCapes(std::vector<Cape> capes, std::vector<HackleWanted> wanted) {
    capes_ = std::move(capes);
    wanted_ = std::move(wanted);
    update();
}

// Side by side while they are wide enough, else one below the other.
void FeatherView::paintCapes(QPainter& painter) const {
    constexpr int kLeastWidth = 420;
    const int columns = std::max(1, std::min(static_cast<int>(capes_.size()), width() / kLeastWidth));
    const int lines = (static_cast<int>(capes_.size()) + columns - 1) / columns;
    const QSizeF cell(width() / static_cast<double>(columns), height() / static_cast<double>(lines));
    for (std::size_t i = 0; i < capes_.size(); ++i) {
        const auto n = static_cast<int>(i);
        paintCapeFan(painter, QRectF(QPointF(cell.width() * (n % columns), cell.height() * (n / columns)), cell), capes_[i],
                     document_.book().findMaterial(capes_[i].material), wanted_, theme_.colours());
    }
}

// The number of columns in which the feathers are largest.
FeatherView::Layout FeatherView::layOut() const {
    double vane = 40.0, barb = 10.0;
    for (const Row& row : rows_) {
        vane = std::max(vane, row.feather.vane / mm + kBarbAlong * (row.feather.barbs.back() / mm));
        barb = std::max(barb, *std::ranges::max_element(row.feather.barbs) / mm);
    }
    const std::size_t feathers = std::max<std::size_t>(1, rows_.size());
    Layout best;
    for (const std::size_t columns : {std::size_t{1}, std::size_t{2}, std::size_t{3}}) {
        const std::size_t lines = (feathers + columns - 1) / columns;
        const QSizeF cell(width() / static_cast<double>(columns), height() / static_cast<double>(lines));
        const double scale = std::min((cell.width() - kLabel - 30.0) / vane, (cell.height() - 34.0) / (kBarbOut * barb));
        if (scale > best.scale) best = {lines, cell, scale};
    }
    return best;
}

double FeatherView::scale() const { return layOut().scale; }

// Down one column, then down the next.
QRectF FeatherView::rowRect(std::size_t row) const {
    const Layout layout = layOut();
    return QRectF(QPointF(layout.cell.width() * static_cast<double>(row / layout.lines),
                          layout.cell.height() * static_cast<double>(row % layout.lines)),
                  layout.cell);
}

QRectF FeatherView::stretchOf(std::size_t feather, Length from, Length to) const {
    const QRectF row = rowRect(feather);
    const double base = row.left() + kLabel;
    return QRectF(QPointF(base + scale() * (from / mm), row.bottom() - 30.0), QPointF(base + scale() * (to / mm), row.bottom() - 22.0));
}

// One feather as it lies in its row: where its stem is, and how large it is drawn.
struct FeatherView::Lying {
    std::size_t index;
    const VaneFeather& feather;
    const std::vector<Cut>& cuts;
    const Material* material;
    QRectF frame;
    double scale;  // px a mm
    double stem;   // px from the top
    QColor colour;

    [[nodiscard]] double x(Length place) const { return frame.left() + kLabel + scale * (place / mm); }
};

namespace {

bool isIn(const std::vector<Stretch>& stretches, Length place) {
    return std::ranges::any_of(stretches, [&](const Stretch& s) { return place >= s[0] && place <= s[1]; });
}

// The material's own colour, a darker or a lighter feather of it.
QColor colourOf(const Material* material, const std::optional<FeatherShade>& shade) {
    constexpr Rgb kUsual{0x7a / 255.0, 0x6a / 255.0, 0x55 / 255.0};
    const QColor usual = drawing::inkOf(material && material->colour ? &*material->colour : nullptr, kUsual);
    constexpr int kDarker = 122, kLighter = 128;
    return shade == FeatherShade::dark ? usual.darker(kDarker) : shade == FeatherShade::light ? usual.lighter(kLighter) : usual;
}

}  // namespace

// Barbs: each a curved stroke that leans towards the tip, as dense as they are. What was taken is bare stem.
void FeatherView::paintBarbs(QPainter& painter, const Lying& at) const {
    const VaneFeather& f = at.feather;
    const double k = at.scale;
    const bool barred = at.material && (at.material->marking == Marking::barred || at.material->marking == Marking::mottled);
    const int unlike = theme_.bench() == drawing::Bench::sand ? 118 : 92;  // what no slip takes stands back on its paper
    const double step = 1.0 / (at.material ? barbDensity(*at.material) / perMm : kUsualBarbs);
    Random random(static_cast<std::uint64_t>(at.index) + 7);
    painter.setBrush(Qt::NoBrush);
    for (double s = 0.0; s <= f.vane / mm; s += step) {
        const Length place = s * mm;
        if (isIn(f.taken, place)) continue;
        const double whole = isIn(f.spoiled, place) ? 0.35 + 0.5 * random.uniform() : 1.0;  // broken, split or pale: ragged
        const double barb = whole * barbAt(f, place) / mm * (0.97 + 0.05 * random.uniform());
        const bool inSlip = std::ranges::any_of(at.cuts, [&](const Cut& cut) { return place >= cut.from && place < cut.to; });
        QPainterPath path(QPointF(at.x(place), at.stem));
        path.quadTo(QPointF(at.x(place) + 0.12 * k * barb, at.stem - 0.45 * k * barb),
                    QPointF(at.x(place) + kBarbAlong * k * barb, at.stem - kBarbOut * k * barb));
        QColor ink = inSlip ? at.colour : at.colour.lighter(unlike);
        ink.setAlpha(inSlip ? 240 : 150);
        painter.setPen(QPen(ink.darker(94 + static_cast<int>(14.0 * random.uniform())), std::max(0.9, 0.7 * k * step)));
        painter.drawPath(path);
        if (!barred) continue;
        painter.setPen(QPen(ink.darker(150), std::max(0.9, 0.3 * k)));
        for (double t = 0.22; t < 0.98; t += 0.16)
            painter.drawPoint(path.pointAtPercent(std::min(1.0, t + 0.03 * random.uniform())));
    }
}

void FeatherView::paintStem(QPainter& painter, const Lying& at) const {
    painter.setPen(QPen(at.colour.darker(160), std::max(1.6, 0.7 * at.scale), Qt::SolidLine, Qt::RoundCap));
    painter.drawLine(QPointF(at.x(Length{}) - 18.0, at.stem + 1.5), QPointF(at.x(Length{}), at.stem));  // the bare quill
    painter.drawLine(QPointF(at.x(Length{}), at.stem), QPointF(at.x(at.feather.vane), at.stem));
}

// The slips: a bracket under the stem, numbered in cutting order from the base; and what is gone or spoiled, by name.
void FeatherView::paintStretches(QPainter& painter, const Lying& at) const {
    const Colours& c = theme_.colours();
    painter.setFont(faceScaled(0.85));
    const auto under = [&](Length from, Length to, const QColor& ink, const QString& text) {
        painter.setPen(ink);
        painter.drawText(QRectF(at.x(from) - 20.0, at.stem + 10.0, at.x(to) - at.x(from) + 40.0, 18.0), Qt::AlignHCenter | Qt::AlignTop,
                         text);
    };
    int order = 1;
    for (const Cut& cut : at.cuts) {
        const double left = at.x(cut.from) + 0.6, right = at.x(cut.to) - 0.6;
        painter.setPen(QPen(c.accent, 1.8));
        painter.drawPolyline(QPolygonF{QPointF(left, at.stem + 4.0), QPointF(left, at.stem + 9.0), QPointF(right, at.stem + 9.0),
                                       QPointF(right, at.stem + 4.0)});
        constexpr double kRoomForWidth = 54.0;  // px
        under(cut.from, cut.to, c.accent,
              right - left > kRoomForWidth ? tr("%1 · %2").arg(order).arg(lengthFigure(cut.to - cut.from)) : QString::number(order));
        ++order;
    }
    for (const Stretch& gone : at.feather.taken)
        under(gone[0], gone[1], c.inkSoft, tr("gone"));
    for (const Stretch& spoiled : at.feather.spoiled)
        under(spoiled[0], spoiled[1], c.warn, tr("spoiled"));
}

// What it is, at the left of it: its material, its side and length, what is free of it.
void FeatherView::paintLabel(QPainter& painter, const Lying& at) const {
    const Colours& c = theme_.colours();
    const VaneFeather& f = at.feather;
    painter.setPen(at.cuts.empty() ? c.inkSoft : c.ink);
    painter.setFont(faceScaled(0.95, !at.cuts.empty()));
    const QString title = tr("%1  %2").arg(at.index + 1).arg(qt(at.material ? at.material->title() : f.material));
    painter.drawText(QRectF(at.frame.left() + 12.0, at.stem - 42.0, kLabel - 16.0, 20.0), Qt::AlignLeft,
                     QFontMetricsF(painter.font()).elidedText(title, Qt::ElideRight, kLabel - 16.0));
    painter.setFont(faceScaled(0.85));
    painter.setPen(c.inkSoft);
    painter.drawText(QRectF(at.frame.left() + 12.0, at.stem - 24.0, kLabel - 24.0, 18.0), Qt::AlignLeft,
                     tr("%1, %2").arg(qt(sayName(f.side)), lengthSaid(f.vane, 0)));
    QStringList more{tr("%1 free").arg(lengthSaid(freeVane(f), 0))};
    if (f.shade && *f.shade != FeatherShade::middling) more << qt(sayName(*f.shade));
    if (f.match) more << tr("pair %1").arg(qt(*f.match));
    painter.drawText(QRectF(at.frame.left() + 12.0, at.stem - 9.0, kLabel - 24.0, 18.0), Qt::AlignLeft, more.join(tr(", ")));
}

void FeatherView::paintFeather(QPainter& painter, std::size_t index) const {
    const auto& [feather, cuts] = rows_[index];
    const QRectF frame = rowRect(index);
    const Material* material = document_.book().findMaterial(feather.material);
    const Lying at{index, feather, cuts, material, frame, scale(), frame.bottom() - 32.0, colourOf(material, feather.shade)};
    paintBarbs(painter, at);
    paintStem(painter, at);
    paintStretches(painter, at);
    paintLabel(painter, at);
}

void FeatherView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), theme_.colours().paper);
    if (rows_.empty() && !capes_.empty()) return paintCapes(painter);
    if (rows_.empty()) {
        painter.setPen(theme_.colours().inkSoft);
        painter.drawText(rect().adjusted(40, 0, -40, 0), Qt::AlignCenter | Qt::TextWordWrap,
                         tr("No slips are cut for this dressing, or no feather of its kind is in the drawers. Slips come from flank and "
                            "quill feathers: wings, slip tails, cloaks."));
        return;
    }
    for (std::size_t i = 0; i < rows_.size(); ++i)
        paintFeather(painter, i);
    if (hidden_ > 0) {
        painter.setPen(theme_.colours().inkSoft);
        painter.drawText(rect().adjusted(0, 0, -10, -4), Qt::AlignRight | Qt::AlignBottom, tr("and %1 more").arg(hidden_));
    }
}

std::vector<SpokenPart> FeatherView::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        const Material* material = document_.book().findMaterial(rows_[i].feather.material);
        QStringList slips;
        for (const Cut& cut : rows_[i].cuts)
            slips << tr("a slip of %1 mm").arg(number((cut.to - cut.from) / mm, 1));
        parts.push_back({tr("feather %1, %2").arg(i + 1).arg(qt(material ? material->title() : rows_[i].feather.material)),
                         slips.isEmpty() ? tr("nothing cut from it") : slips.join(QStringLiteral(", ")), rowRect(i).toRect()});
    }
    return parts;
}
void FeatherView::choosePart(std::size_t) {}

}  // namespace machair::app
