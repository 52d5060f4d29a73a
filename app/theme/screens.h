// Which screens are true: how many of their pixels are a millimetre, as the tier laid a bank card on them. Kept by the screen's name.
#pragma once

#include <QScreen>
#include <QSettings>
#include <optional>

namespace machair::app {

inline constexpr double kLeastPx = 1.5, kMostPx = 30.0;  // px a mm, of any screen there is

[[nodiscard]] inline QString scaleKey(const QScreen* screen) {
    return QStringLiteral("screen/") + (screen ? screen->name() : QString()) + QStringLiteral("/px_per_mm");
}
// Nothing for one that was never calibrated.
[[nodiscard]] inline std::optional<double> calibratedScale(const QSettings& settings, const QScreen* screen) {
    const double kept = settings.value(scaleKey(screen)).toDouble();
    return kept >= kLeastPx && kept <= kMostPx ? std::optional(kept) : std::nullopt;
}

}  // namespace machair::app
