#include "check/hand_view.h"

#include <QAreaSeries>
#include <QCategoryAxis>
#include <QChart>
#include <QLineSeries>
#include <QScatterSeries>
#include <algorithm>
#include <cmath>

namespace machair::app {

namespace {

// A level across the whole chart, and its name at the right.
struct Level {
    double at;
    QString name;
    QColor ink;
    Qt::PenStyle style;
};

QString signedPercent(double d) {
    return QStringLiteral("%1%2 %")
        .arg(d > 0   ? QStringLiteral("+")
             : d < 0 ? QStringLiteral("−")
                     : QString())
        .arg(std::abs(100.0 * d), 0, 'f', 1);
}

// What the hand is measured by, the most telling first: bias, limits, the aim.
std::vector<Level> levelsOf(const HandPosterior& hand, std::size_t flies, const Colours& c) {
    std::vector<Level> levels = {{hand.mean, HandView::tr("bias %1").arg(signedPercent(hand.mean)), c.accent, Qt::SolidLine},
                                 {0.0, HandView::tr("aimed"), c.inkSoft, Qt::SolidLine}};
    if (static_cast<int>(flies) < kFliesForLimits) return levels;
    const ControlLimits limits = controlLimits(hand);
    for (const double limit : {limits.low, limits.high})
        levels.push_back({limit, HandView::tr("limit %1").arg(signedPercent(limit)), c.fault, Qt::DashLine});
    return levels;
}

// Names that would lie over one that came before are left out.
std::vector<AxisLabel> namesOf(const std::vector<Level>& levels, double height) {
    constexpr double kApart = 0.045;  // of the height: a line of text
    std::vector<AxisLabel> names;
    for (const Level& level : levels)
        if (std::ranges::none_of(names, [&](const AxisLabel& other) { return std::abs(other.value - level.at) < kApart * height; }))
            names.push_back({level.at, level.name});
    std::ranges::sort(names, {}, &AxisLabel::value);
    return names;
}

}  // namespace

HandView::HandView(const Theme& theme, QWidget* parent) : Chart(theme, parent) {
    setObjectName(QStringLiteral("hand"));
    setAccessibleName(tr("What this hand does with the part"));
    redraw();
}

void HandView::show(const QString& part, std::vector<double> deviations, double tolerance) {
    part_ = part;
    deviations_ = std::move(deviations);
    tolerance_ = tolerance;
    setAccessibleDescription(tr("%1: %2 flies checked").arg(part_).arg(deviations_.size()));
    redraw();
}

void HandView::draw() {
    chart()->setTitle(deviations_.empty() ? tr("No fly was checked yet")
                                          : tr("%1: %2 flies, in the order they were checked").arg(part_).arg(deviations_.size()));
    if (deviations_.empty()) return;
    const Colours& c = colours();
    const std::vector<Level> levels = levelsOf(handOf(deviations_), deviations_.size(), c);
    constexpr double kMargin = 0.02;
    double low = -1.4 * tolerance_, high = -low;
    const auto include = [&](double d) {
        low = std::min(low, d - kMargin);
        high = std::max(high, d + kMargin);
    };
    for (const double d : deviations_)
        include(d);
    for (const Level& level : levels)
        include(level.at);
    const double first = 0.5, last = static_cast<double>(deviations_.size()) + 0.5;

    auto* flies = namedAxis(first, last, {{1.0, tr("first")}, {last - 0.5, tr("last")}});
    auto* off = namedAxis(low, high, {{-tolerance_, signedPercent(-tolerance_)}, {tolerance_, signedPercent(tolerance_)}});
    auto* names = namedAxis(low, high, namesOf(levels, high - low));
    addAxis(flies, Qt::AlignBottom, c.inkSoft);
    addAxis(off, Qt::AlignLeft, c.inkSoft);
    addAxis(names, Qt::AlignRight, c.ink);

    addTolerance(first, last, {flies, off});
    for (const Level& level : levels) {
        auto* line = new QLineSeries;
        line->setPen(QPen(level.ink, 1.4, level.style));
        line->append(first, level.at);
        line->append(last, level.at);
        addSeries(line, {flies, off});
    }
    addFlies({flies, off});
}

// The tolerance as a band.
void HandView::addTolerance(double first, double last, const Axes& axes) {
    auto* band = new QAreaSeries;
    auto* upper = new QLineSeries(band);
    auto* lower = new QLineSeries(band);
    for (const double x : {first, last}) {
        upper->append(x, tolerance_);
        lower->append(x, -tolerance_);
    }
    band->setUpperSeries(upper);
    band->setLowerSeries(lower);
    QColor within = colours().grass;
    within.setAlphaF(0.14F);
    band->setBrush(within);
    band->setPen(Qt::NoPen);
    addSeries(band, {axes.flies, axes.off});
}

// Each fly where it was checked; beyond the tolerance another shape as well, not colour alone.
void HandView::addFlies(const Axes& axes) {
    const Colours& c = colours();
    auto* order = new QLineSeries;
    order->setPen(QPen(c.slate, 1.2));
    auto* asPlanned = new QScatterSeries;
    auto* beyond = new QScatterSeries;
    beyond->setMarkerShape(QScatterSeries::MarkerShapeRectangle);
    for (auto [series, fill, edge] : {std::tuple{asPlanned, c.slate, c.slate}, std::tuple{beyond, c.raised, c.fault}}) {
        series->setMarkerSize(8.0);
        series->setBrush(fill);
        series->setPen(QPen(edge, 1.6));
    }
    for (std::size_t i = 0; i < deviations_.size(); ++i) {
        const QPointF at(static_cast<double>(i) + 1.0, deviations_[i]);
        order->append(at);
        (std::abs(deviations_[i]) <= tolerance_ ? asPlanned : beyond)->append(at);
    }
    for (QAbstractSeries* series : std::initializer_list<QAbstractSeries*>{order, asPlanned, beyond})
        addSeries(series, {axes.flies, axes.off});
}

}  // namespace machair::app
