// Which hand the tier ties with: said in the house or at the vice, kept once.
#pragma once

#include <QSettings>

namespace machair::app {

[[nodiscard]] inline bool tiesLeftHanded(const QSettings& settings) { return settings.value(QStringLiteral("house/left"), false).toBool(); }
inline void keepLeftHanded(QSettings& settings, bool left) { settings.setValue(QStringLiteral("house/left"), left); }

}  // namespace machair::app
