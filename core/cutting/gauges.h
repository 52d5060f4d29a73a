// The lengths of a fly that a gauge shows at true size, each with the band that a hand can hold it to.
#pragma once

#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

enum class GaugeKind { length, slip };
struct Gauge {
    std::string label;  // "tail", "collar fibre", "wing slip"
    Length length;
    Length tolerance;  // either way
    GaugeKind kind = GaugeKind::length;
    std::size_t part = 0;
};
[[nodiscard]] std::vector<Gauge> gaugesOf(const Plan& plan);

inline constexpr Length kProvingBar = 50.0 * mm;  // printed so that a ruler shows whether the printer scaled
inline constexpr Length kBankCard = 85.60 * mm;   // the width of a bank card, ISO/IEC 7810 ID-1

}  // namespace machair
