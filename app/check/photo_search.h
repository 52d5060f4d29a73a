// What is found on a photograph of a fly in the vice: its hook, the silhouette's edges, and what of that is worth saying.
#pragma once

#include <QImage>
#include <QString>
#include <optional>
#include <stop_token>

#include "dressing/pattern.h"
#include "editing/background.h"
#include "photo/registration.h"

namespace machair::app {

struct FoundOnPhoto {
    Result<QImage> picture;
    std::optional<photo::Registration> at;
    photo::Silhouette edges;
    std::optional<double> evenness;
};
// Takes seconds: away from the window's thread.
[[nodiscard]] FoundOnPhoto searchPhoto(const QString& file, const Hook& hook, const std::stop_token& stop,
                                       const Background::Progress& progress);
// In words; a fly of this dressing.
[[nodiscard]] QString sayFound(const FoundOnPhoto& found, const Pattern& dressing);

}  // namespace machair::app
