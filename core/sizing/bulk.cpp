#include "sizing/bulk.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace machair {

namespace {
bool covers(const BulkRow& row, Length s) { return row.from <= s && s <= row.to; }
}  // namespace

Length boundOver(Length diameter, const BulkRow& row) {
    struct Bound {
        Length d;
        Length operator()(const ThreadLayers& t) const { return d + 2.0 * t.layers * t.thickness; }
        Length operator()(const BoundBundle& b) const {
            // D' = sqrt(D² + 4 n (pi/4 d²) / (pi 0.75))
            return sqrt(d * d + b.count / kBundlePacking * (b.diameter * b.diameter));
        }
        Length operator()(const WoundWire& w) const { return d + 2.0 * w.diameter; }
    };
    return std::visit(Bound{diameter}, row.what);
}

Length Bulk::diameter(Length station, std::size_t rows) const {
    Length d = wire_;
    const std::size_t count = std::min(rows, rows_.size());
    for (std::size_t i = 0; i < count; ++i)
        if (covers(rows_[i], station)) d = boundOver(d, rows_[i]);
    return d;
}

Length Bulk::diameterOverBed(Length station, std::size_t rows) const {
    Length d = wire_;
    const std::size_t count = std::min(rows, rows_.size());
    for (std::size_t i = 0; i < count; ++i)
        if (rows_[i].part >= 0 && covers(rows_[i], station)) d = boundOver(d, rows_[i]);
    return d;
}

const BulkRow* Bulk::thickest(Length station, std::size_t rows) const {
    const BulkRow* found = nullptr;
    Length most;
    Length d = wire_;
    const std::size_t count = std::min(rows, rows_.size());
    for (std::size_t i = 0; i < count; ++i) {
        if (!covers(rows_[i], station)) continue;
        const Length after = boundOver(d, rows_[i]);
        if (after - d > most) {
            most = after - d;
            found = &rows_[i];
        }
        d = after;
    }
    return found;
}

Length Bulk::threadWound() const {
    // Under a row the diameter is constant between the ends of the rows before it, so the sum is exact.
    Length total;
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        const auto* thread = std::get_if<ThreadLayers>(&rows_[i].what);
        if (!thread) continue;
        std::vector<Length> cuts{rows_[i].from, rows_[i].to};
        for (std::size_t k = 0; k < i; ++k)
            for (const Length end : {rows_[k].from, rows_[k].to})
                if (rows_[i].from < end && end < rows_[i].to) cuts.push_back(end);
        std::ranges::sort(cuts);
        for (std::size_t k = 0; k + 1 < cuts.size(); ++k) {
            const Length under = diameter(0.5 * (cuts[k] + cuts[k + 1]), i);
            const double turns = (cuts[k + 1] - cuts[k]) / thread->width;
            const double n = thread->layers;
            // Σ_{i=1..n} (D + 2t(i-1) + t) = n D + n² t
            total += turns * std::numbers::pi * (n * under + n * n * thread->thickness);
        }
    }
    return total;
}

}  // namespace machair
