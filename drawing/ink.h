// A colour of the core as Qt paints it.
#pragma once

#include <QColor>
#include <optional>
#include <string>

#include "colour/colour.h"

namespace machair::drawing {

[[nodiscard]] inline QColor inkOf(Rgb rgb) {
    return QColor::fromRgbF(static_cast<float>(rgb.r), static_cast<float>(rgb.g), static_cast<float>(rgb.b));
}
// Of "#rrggbb", or the usual one where nothing is said.
[[nodiscard]] inline QColor inkOf(const std::string* hex, Rgb usual) {
    return inkOf((hex ? parseColour(*hex) : std::nullopt).value_or(usual));
}

}  // namespace machair::drawing
