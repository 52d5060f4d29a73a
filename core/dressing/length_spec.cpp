#include "dressing/length_spec.h"

#include <utility>

namespace machair {

LengthSpec::LengthSpec() = default;
LengthSpec::LengthSpec(Value v, Carried c) : value(std::move(v)), carried(std::move(c)) {}
LengthSpec::LengthSpec(const LengthSpec&) = default;
LengthSpec::LengthSpec(LengthSpec&&) noexcept = default;
LengthSpec& LengthSpec::operator=(const LengthSpec&) = default;
LengthSpec& LengthSpec::operator=(LengthSpec&&) noexcept = default;
LengthSpec::~LengthSpec() = default;
bool LengthSpec::operator==(const LengthSpec&) const = default;

StationSpec::StationSpec() = default;
StationSpec::StationSpec(AnyLandmark landmark, std::optional<LengthSpec> aheadOf, std::optional<LengthSpec> behindOf, Carried c)
    : at(landmark), ahead(std::move(aheadOf)), behind(std::move(behindOf)), carried(std::move(c)) {}
StationSpec::StationSpec(const StationSpec&) = default;
StationSpec::StationSpec(StationSpec&&) noexcept = default;
StationSpec& StationSpec::operator=(const StationSpec&) = default;
StationSpec& StationSpec::operator=(StationSpec&&) noexcept = default;
StationSpec::~StationSpec() = default;
bool StationSpec::operator==(const StationSpec&) const = default;

}  // namespace machair
