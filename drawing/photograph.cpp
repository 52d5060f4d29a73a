#include "drawing/photograph.h"

#include <QPainter>
#include <algorithm>
#include <cmath>
#include <vector>

#include "drawing/fly_painter.h"
#include "units/random.h"

namespace machair::drawing {

namespace {

// One pass of a Gaussian over rows; with the picture turned over, the other.
QImage blurred(const QImage& image, double sigma) {
    if (sigma <= 0.05) return image;
    const int reach = static_cast<int>(std::ceil(3.0 * sigma));
    std::vector<double> weights;
    double sum = 0.0;
    for (int k = -reach; k <= reach; ++k) {
        weights.push_back(std::exp(-0.5 * k * k / (sigma * sigma)));
        sum += weights.back();
    }
    const auto pass = [&](const QImage& from, int dx, int dy) {
        QImage to(from.size(), QImage::Format_RGB32);
        for (int y = 0; y < from.height(); ++y) {
            auto* out = reinterpret_cast<QRgb*>(to.scanLine(y));
            for (int x = 0; x < from.width(); ++x) {
                double r = 0, g = 0, b = 0;
                for (int k = -reach; k <= reach; ++k) {
                    const int xx = std::clamp(x + k * dx, 0, from.width() - 1), yy = std::clamp(y + k * dy, 0, from.height() - 1);
                    const QRgb p = reinterpret_cast<const QRgb*>(from.constScanLine(yy))[xx];
                    const double w = weights[static_cast<std::size_t>(k + reach)] / sum;
                    r += w * qRed(p);
                    g += w * qGreen(p);
                    b += w * qBlue(p);
                }
                out[x] = qRgb(static_cast<int>(r + 0.5), static_cast<int>(g + 0.5), static_cast<int>(b + 0.5));
            }
        }
        return to;
    };
    return pass(pass(image, 1, 0), 0, 1);
}

}  // namespace

Photograph photographOf(const Plan& plan, const PhotographSetting& setting) {
    const Scene scene = makeScene(plan);
    const double eyeWidth = plan.hook.eyeWidth() / mm;
    Photograph photograph;
    photograph.pxPerMm = setting.span * setting.size.width() / (plan.length / mm);
    QImage image(setting.size, QImage::Format_RGB32);
    const QColor card(0xd8, 0xd4, 0xc8);
    image.fill(card);
    QPainter painter(&image);
    painter.setRenderHint(QPainter::Antialiasing);
    // The fly's middle in the picture's, turned about it.
    QTransform place;
    place.translate(0.5 * setting.size.width(), 0.5 * setting.size.height());
    place.rotateRadians(setting.turn);
    if (setting.mirrored) place.scale(-1.0, 1.0);
    place.translate(-photograph.pxPerMm * (0.5 * (plan.length / mm) - eyeWidth), -photograph.pxPerMm * 0.35 * (plan.hook.gape() / mm));
    painter.setTransform(place);
    View view;
    view.pxPerMm = photograph.pxPerMm;
    view.origin = {0.0, 0.0};
    paintFly(painter, scene, view);
    painter.end();
    photograph.eye = place.map(QPointF(0.0, 0.0));
    image = blurred(image, setting.blur);
    Random random(setting.seed);
    for (int y = 0; y < image.height(); ++y) {
        auto* row = reinterpret_cast<QRgb*>(image.scanLine(y));
        for (int x = 0; x < image.width(); ++x) {
            const double lit = 1.0 - setting.light * (0.7 * x / image.width() + 0.3 * y / image.height());
            const auto channel = [&](int value) {
                return std::clamp(static_cast<int>(std::lround(lit * value + random.normal(setting.noise))), 0, 255);
            };
            row[x] = qRgb(channel(qRed(row[x])), channel(qGreen(row[x])), channel(qBlue(row[x])));
        }
    }
    photograph.image = std::move(image);
    return photograph;
}

photo::Picture greyOf(const QImage& image) {
    const QImage grey = image.convertToFormat(QImage::Format_Grayscale8);
    photo::Picture picture{grey.width(), grey.height(), {}};
    picture.grey.reserve(static_cast<std::size_t>(grey.width()) * static_cast<std::size_t>(grey.height()));
    for (int y = 0; y < grey.height(); ++y)
        picture.grey.insert(picture.grey.end(), grey.constScanLine(y), grey.constScanLine(y) + grey.width());
    return picture;
}

PhotographSetting someSetting(std::uint64_t seed) {
    Random random(seed);
    PhotographSetting setting;
    setting.seed = seed;
    setting.span = random.uniform(0.45, 0.75);
    setting.turn = random.uniform(-0.22, 0.22);
    setting.mirrored = random.next() % 4 == 0;
    setting.blur = random.uniform(0.3, 2.0);
    setting.noise = random.uniform(1.0, 6.0);
    setting.light = random.uniform(0.0, 0.22);
    return setting;
}

}  // namespace machair::drawing
