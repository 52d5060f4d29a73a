#include "drawing/strokes.h"

#include <QPen>
#include <algorithm>
#include <cmath>

#include "drawing/paint.h"

namespace machair::drawing {

namespace {

constexpr double kColourSteps = 60.0;
constexpr double kAlphaSteps = 12.0;
constexpr double kWidthSteps = 3.0;
constexpr double kThinnest = 0.6;  // px; thinner is painted so wide, and fainter

std::uint64_t bits(double value, double steps) {
    return static_cast<std::uint64_t>(value * steps + 512.5) & 0x3ffu;  // rounded: the offset keeps it positive
}

}  // namespace

void Strokes::line(QPointF from, QPointF to, const Ink& ink, double overlap) {
    double width = ink.width;
    double alpha = ink.alpha;
    if (width < kThinnest) {
        alpha *= std::pow(width / kThinnest, 0.65);
        width = kThinnest;
    }
    const double steps = std::round(std::min(1.0, alpha) * kAlphaSteps);
    if (steps < 1.0) return;
    const std::uint64_t key = bits(ink.colour.L, kColourSteps) | bits(ink.colour.a, kColourSteps) << 10 |
                              bits(ink.colour.b, kColourSteps) << 20 | static_cast<std::uint64_t>(steps) << 30 |
                              static_cast<std::uint64_t>(width * kWidthSteps + 0.5) << 36;
    const auto [slot, fresh] = index_.try_emplace(key, buckets_.size());
    if (fresh) {
        const auto rounded = [](double v) { return std::round(v * kColourSteps) / kColourSteps; };
        buckets_.push_back({{rounded(ink.colour.L), rounded(ink.colour.a), rounded(ink.colour.b)},
                            steps / kAlphaSteps,
                            std::round(width * kWidthSteps) / kWidthSteps,
                            takeSpare()});
    }
    if (overlap > 0.0) {
        const QPointF along = to - from;
        const double square = along.x() * along.x() + along.y() * along.y();
        if (square > 1e-12) {
            const QPointF more = along * (overlap / std::sqrt(square));
            from -= more;
            to += more;
        }
    }
    buckets_[slot->second].lines.emplace_back(from, to);
    ++segments_;
}

void Strokes::flush() {
    std::vector<std::size_t> order(buckets_.size());
    for (std::size_t i = 0; i < order.size(); ++i)
        order[i] = i;
    std::ranges::stable_sort(order, {}, [this](std::size_t i) { return buckets_[i].colour.L; });
    QPen pen(Qt::SolidLine);
    pen.setCapStyle(Qt::FlatCap);
    for (const std::size_t i : order) {
        const Bucket& bucket = buckets_[i];
        pen.setColor(colourOf(bucket.colour, bucket.alpha));
        pen.setWidthF(bucket.width);
        painter_.setPen(pen);
        painter_.drawLines(bucket.lines.data(), static_cast<int>(bucket.lines.size()));
    }
    for (Bucket& bucket : buckets_) {  // their memory serves the next group
        bucket.lines.clear();
        spare_.push_back(std::move(bucket.lines));
    }
    buckets_.clear();
    index_.clear();
}

std::vector<QLineF> Strokes::takeSpare() {
    if (spare_.empty()) return {};
    std::vector<QLineF> lines = std::move(spare_.back());
    spare_.pop_back();
    return lines;
}

}  // namespace machair::drawing
