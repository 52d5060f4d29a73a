#include "editing/read_picture.h"

#include <QBuffer>
#include <QCoreApplication>
#include <QImageReader>
#include <algorithm>
#include <cmath>

#include "language/say.h"
#include "store/disk.h"

namespace machair::app {

namespace {

// The readers take half a file and leave the rest grey: whether it ends as its kind does.
bool endsWhole(const std::string& bytes, const QByteArray& format) {
    constexpr std::size_t kTail = 64 * 1024;  // cameras append things of their own
    const std::string_view tail = std::string_view(bytes).substr(bytes.size() - std::min(bytes.size(), kTail));
    if (format == "jpeg" || format == "jpg") return tail.find("\xff\xd9") != std::string_view::npos;
    if (format == "png") return tail.find("IEND") != std::string_view::npos;
    return true;
}

}  // namespace

Result<QImage> readPicture(const QString& file, qint64 pixels) {
    const Place name(file.toStdString());
    const auto bytes = store::readWhole(file.toStdString(), static_cast<std::size_t>(kLargestPicture));
    if (!bytes) return tl::unexpected(bytes.error());
    QByteArray view = QByteArray::fromRawData(bytes->data(), static_cast<qsizetype>(bytes->size()));
    QBuffer buffer(&view);
    buffer.open(QIODevice::ReadOnly);
    QImageReader reader(&buffer);
    reader.setAutoTransform(true);
    const QByteArray format = reader.format();
    const QSize size = reader.size();
    if (format.isEmpty() || !size.isValid()) return fail(name, say("is no picture that can be read here"), say("a JPEG or PNG is"));
    const qint64 there = static_cast<qint64>(size.width()) * size.height();
    if (there > kMostPixelsInFile)
        return fail(name, say("expected a picture of at most 400 megapixels, got {}", std::to_string(there / 1'000'000)));
    if (!endsWhole(*bytes, format)) return fail(name, say("is only the first part of a picture"), say("copy it again from the camera"));
    if (there > pixels) {
        const double shrink = std::sqrt(static_cast<double>(pixels) / static_cast<double>(there));
        reader.setScaledSize(
            QSize(std::max(1, static_cast<int>(size.width() * shrink)), std::max(1, static_cast<int>(size.height() * shrink))));
    }
    QImage picture = reader.read();
    if (picture.isNull()) return fail(name, say("is damaged or of a kind that can't be read here"), say("a JPEG or PNG is"));
    return picture;
}

QString pictureKinds() {
    QStringList kinds;
    for (const QByteArray& format : {QByteArray("jpg"), QByteArray("jpeg"), QByteArray("png"), QByteArray("webp"), QByteArray("bmp"),
                                     QByteArray("tif"), QByteArray("tiff")})
        if (QImageReader::supportedImageFormats().contains(format)) kinds << QStringLiteral("*.") + QString::fromLatin1(format);
    return QObject::tr("Pictures (%1);;All files (*)").arg(kinds.join(QLatin1Char(' ')));
}

}  // namespace machair::app
