// What is bound round the hook, layer by layer in tying order: models.md sections 3 and 4.
#pragma once

#include <cstddef>
#include <limits>
#include <variant>
#include <vector>

#include "units/quantity.h"

namespace machair {

struct ThreadLayers {
    double layers = 1.0;
    Length thickness;  // of one layer; each adds twice this
    Length width;      // of one laid turn
};
struct BoundBundle {  // n fibres of one diameter, bound along the shank
    double count = 1.0;
    Length diameter;
};
struct WoundWire {  // a single layer of touching wire
    Length diameter;
};

struct BulkRow {
    int part = -1;  // index in the dressing's parts, -1 for the first thread bed
    Length from;
    Length to;
    std::variant<ThreadLayers, BoundBundle, WoundWire> what;
};

class Bulk {
  public:
    explicit Bulk(Length wire) : wire_(wire) {}

    void add(BulkRow row) { rows_.push_back(row); }
    [[nodiscard]] const std::vector<BulkRow>& rows() const { return rows_; }
    [[nodiscard]] std::size_t size() const { return rows_.size(); }

    // Diameter at a station over the first `rows` rows (all of them by default), both ends of a row included.
    [[nodiscard]] Length diameter(Length station, std::size_t rows = std::numeric_limits<std::size_t>::max()) const;

    // The same without the first thread bed, which lies under everything alike.
    [[nodiscard]] Length diameterOverBed(Length station, std::size_t rows = std::numeric_limits<std::size_t>::max()) const;

    // The row that adds most to the diameter there; nothing where only the wire is.
    [[nodiscard]] const BulkRow* thickest(Length station, std::size_t rows) const;

    // Thread wound over all thread layers: turns of pi (D + t), D + 2t(i - 1) under the i-th layer of a row.
    [[nodiscard]] Length threadWound() const;

  private:
    Length wire_;
    std::vector<BulkRow> rows_;
};

// The diameter after `row` is bound over `diameter`.
[[nodiscard]] Length boundOver(Length diameter, const BulkRow& row);

inline constexpr double kBundlePacking = 0.75;  // of fibres bound under thread, models.md section 3

}  // namespace machair
