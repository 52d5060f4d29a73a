// Which hand the tier ties with, said in the house or at the vice; and whether a batch goes stage by stage, as the evening was laid out.
#pragma once

#include <QSettings>

namespace machair::app {

[[nodiscard]] inline bool tiesLeftHanded(const QSettings& settings) { return settings.value(QStringLiteral("house/left"), false).toBool(); }
inline void keepLeftHanded(QSettings& settings, bool left) { settings.setValue(QStringLiteral("house/left"), left); }

// Which side of the fly is seen at the vice.
[[nodiscard]] inline bool seesFarSide(const QSettings& settings) { return settings.value(QStringLiteral("tie/far_side"), false).toBool(); }
inline void keepFarSide(QSettings& settings, bool far) { settings.setValue(QStringLiteral("tie/far_side"), far); }

[[nodiscard]] inline bool tiesStageByStage(const QSettings& settings) {
    return settings.value(QStringLiteral("evening/stages"), false).toBool();
}
inline void keepStageByStage(QSettings& settings, bool stages) { settings.setValue(QStringLiteral("evening/stages"), stages); }

}  // namespace machair::app
