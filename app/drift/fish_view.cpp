#include "drift/fish_view.h"

#include <QCoreApplication>
#include <algorithm>
#include <array>
#include <cmath>

#include "theme/light.h"

namespace machair::app {

namespace {

using Table = std::array<std::uint8_t, 256>;

}  // namespace

double exposureOf(const Seen& there) {
    return 0.55 / std::max({there.fly.r, there.fly.g, there.fly.b, there.water.r, there.water.g, there.water.b, 1e-6});
}

QImage asSeen(const QImage& picture, const Clarity& clarity, const Sighting& sighting, double exposure) {
    // A grey of each value, seen there: the water acts on each of red, green and blue by itself.
    Table red, green, blue;
    for (int i = 0; i < 256; ++i) {
        const double v = i / 255.0;
        const QColor to = shownLight(seen({v, v, v}, clarity, sighting).fly, exposure);
        const auto at = static_cast<std::size_t>(i);
        red[at] = static_cast<std::uint8_t>(to.red());
        green[at] = static_cast<std::uint8_t>(to.green());
        blue[at] = static_cast<std::uint8_t>(to.blue());
    }
    QImage image = picture.convertToFormat(QImage::Format_ARGB32);
    for (int y = 0; y < image.height(); ++y) {
        auto* line = reinterpret_cast<QRgb*>(image.scanLine(y));
        for (int x = 0; x < image.width(); ++x) {
            const QRgb p = line[x];
            if (qAlpha(p) == 0) continue;
            line[x] = qRgba(red[static_cast<std::size_t>(qRed(p))], green[static_cast<std::size_t>(qGreen(p))],
                            blue[static_cast<std::size_t>(qBlue(p))], qAlpha(p));
        }
    }
    return image;
}

QString sayContrast(const Seen& there) {
    constexpr double kPlain = 20.0, kHardly = 6.0;  // CIEDE2000; judgement
    const QString how = there.contrast >= kPlain    ? QObject::tr("stands out")
                        : there.contrast >= kHardly ? QObject::tr("seen")
                                                    : QObject::tr("hardly seen");
    return there.lighter < 0.0 ? QObject::tr("darker, %1").arg(how) : QObject::tr("lighter, %1").arg(how);
}

void paintFishView(QPainter& painter, const QRectF& frame, const std::vector<SeenFly>& flies, const Clarity& clarity, double light,
                   const Colours& colours) {
    if (flies.empty()) return;
    constexpr double kGapBetween = 6.0, kTallest = 74.0, kCaption = 18.0;
    const double tall = std::min(kTallest, (frame.height() + kGapBetween) / static_cast<double>(flies.size()) - kGapBetween);
    if (tall < 24.0) return;
    double top = frame.top();
    for (const SeenFly& fly : flies) {
        const Sighting sighting{std::max(Length{}, fly.depth), 0.5 * metre, light};
        const Seen there = seen(fly.colour, clarity, sighting);
        const double exposure = exposureOf(there);
        const QRectF box(frame.left(), top, frame.width(), tall);
        const QColor water = shownLight(there.water, exposure);
        painter.setPen(QPen(colours.line, 1.0));
        painter.setBrush(water);
        painter.drawRoundedRect(box, 5.0, 5.0);
        const QImage picture = asSeen(fly.picture, clarity, sighting, exposure);
        const QSizeF size = picture.size() / picture.devicePixelRatio();
        const QSizeF room(box.width() - 12.0, box.height() - kCaption - 4.0);
        if (room.height() > 12.0 && !picture.isNull()) {
            const double scale = std::min({1.6, room.width() / size.width(), room.height() / size.height()});
            painter.drawImage(
                QRectF(box.center().x() - 0.5 * scale * size.width(), box.top() + 3.0 + 0.5 * (room.height() - scale * size.height()),
                       scale * size.width(), scale * size.height()),
                picture);
        }
        painter.setFont(faceScaled(0.85, true));
        painter.setPen(qGray(water.rgb()) > 120 ? QColor(0x20, 0x20, 0x20) : QColor(0xf5, 0xf0, 0xe4));
        painter.drawText(QRectF(box.left() + 8.0, box.bottom() - kCaption, box.width() - 12.0, kCaption), Qt::AlignLeft | Qt::AlignVCenter,
                         QObject::tr("%1: %2").arg(fly.name, sayContrast(there)));
        painter.setPen(Qt::NoPen);
        painter.setBrush(fly.ink);
        painter.drawRect(QRectF(box.left() + 1.0, box.bottom() - kCaption + 4.0, 4.0, kCaption - 8.0));
        top += tall + kGapBetween;
    }
}

}  // namespace machair::app
