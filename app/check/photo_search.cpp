#include "check/photo_search.h"

#include <QCoreApplication>
#include <QStringList>
#include <algorithm>

#include "drawing/photograph.h"
#include "editing/read_picture.h"
#include "theme/said.h"

namespace machair::app {

namespace {

constexpr qint64 kMostPixels = 16'000'000;  // a larger picture is read smaller

}  // namespace

FoundOnPhoto searchPhoto(const QString& file, const Hook& hook, const std::stop_token& stop, const Background::Progress& progress) {
    FoundOnPhoto found{readPicture(file, kMostPixels), {}, {}, {}};
    if (!found.picture) return found;
    const photo::Picture grey = drawing::greyOf(*found.picture);
    found.at = photo::findHook(grey, hook, stop, progress);
    if (found.at) {
        found.edges = photo::silhouetteOf(grey, *found.at, hook);
        found.evenness = photo::hackleEvenness(grey, *found.at, hook);
    }
    return found;
}

QString sayFound(const FoundOnPhoto& found, const Pattern& dressing) {
    if (!found.at)
        return QObject::tr(
            "No hook was found on it: drag eye, bend and point to where they are. A plain card behind the fly, seen square from "
            "the side, helps.");
    QStringList said = {QObject::tr("The hook is found: %1 px a mm, a length of the shank to ± %2 mm (one in three is further off).")
                            .arg(number(found.at->pxPerMm, 1), number(std::max(0.01, found.at->error), 2))};
    if (findKind(dressing, PartKind::tail) && found.edges.tailTip)
        said << QObject::tr("The tail's tip is where the silhouette ends; pale tips may be missed: drag it.");
    if (found.edges.overall) said << QObject::tr("Overall %1 mm.").arg(number(*found.edges.overall / mm, 1));
    if (found.evenness) said << QObject::tr("Hackle below to above: %1 (1 is even).").arg(number(*found.evenness, 1));
    said << QObject::tr("Drag each ring to its tip or edge.");
    return said.join(QLatin1Char(' '));
}

}  // namespace machair::app
