// Pictures from files that a book or a camera names: ordinary files only, bounded, whole or not at all. Meant for a
// background thread: nothing here touches the window.
#pragma once

#include <QImage>
#include <QString>
#include <optional>

#include "faults/faults.h"

namespace machair::app {

inline constexpr qint64 kLargestPicture = 256 << 20;      // bytes of a file
inline constexpr qint64 kMostPixelsInFile = 400'000'000;  // of a picture as it lies in its file

// The picture upright, at most `pixels` large (a larger one is read smaller). Faults: no ordinary file, too large, no
// picture of a kind that can be read here, half of one.
[[nodiscard]] Result<QImage> readPicture(const QString& file, qint64 pixels);

// "Pictures (*.jpg …);;All files (*)": only of kinds that can be read here.
[[nodiscard]] QString pictureKinds();

}  // namespace machair::app
