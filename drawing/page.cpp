#include "drawing/page.h"

#include <QBuffer>
#include <QPainter>
#include <QPdfWriter>
#include <QSaveFile>
#include <QSvgGenerator>

namespace machair::drawing {

namespace {

QSizeF uprightOf(Paper paper, const Page& page) {
    switch (paper) {
        case Paper::own: return page.size;
        case Paper::a6: return {105.0, 148.0};
        case Paper::a5: return {148.0, 210.0};
        case Paper::a4: return {210.0, 297.0};
        case Paper::letter: return {215.9, 279.4};
    }
    return page.size;
}

// Short lines outside the page's corners, where the paper leaves room for them.
void cutMarks(QPainter& painter, const QRectF& page, QSizeF paper) {
    constexpr double kGap = 1.0, kLong = 4.0;
    painter.setPen(QPen(QColor(0x5c, 0x53, 0x47), 0.15));
    for (const double x : {page.left(), page.right()})
        for (const auto& [y, away] : {std::pair(page.top(), -1.0), {page.bottom(), 1.0}})
            if (page.top() > kGap && page.bottom() < paper.height() - kGap)
                painter.drawLine(QPointF(x, y + away * kGap), QPointF(x, y + away * (kGap + kLong)));
    for (const double y : {page.top(), page.bottom()})
        for (const auto& [x, away] : {std::pair(page.left(), -1.0), {page.right(), 1.0}})
            if (page.left() > kGap && page.right() < paper.width() - kGap)
                painter.drawLine(QPointF(x + away * kGap, y), QPointF(x + away * (kGap + kLong), y));
}

}  // namespace

QSizeF sizeOf(Paper paper, const Page& page) {
    const QSizeF upright = uprightOf(paper, page);
    const bool lies = page.size.width() > page.size.height();
    return lies == (upright.width() > upright.height()) ? upright : upright.transposed();
}

std::optional<QRectF> placeOn(Paper paper, const Page& page) {
    constexpr double kDust = 0.01;
    const QSizeF sheet = sizeOf(paper, page);
    if (page.size.width() > sheet.width() + kDust || page.size.height() > sheet.height() + kDust) return std::nullopt;
    return QRectF(QPointF(0.5 * (sheet.width() - page.size.width()), 0.5 * (sheet.height() - page.size.height())), page.size);
}

void paintOn(QPainter& painter, const Page& page, Paper paper) {
    const auto place = placeOn(paper, page);
    if (!place) return;
    if (paper != Paper::own) cutMarks(painter, *place, sizeOf(paper, page));
    painter.save();
    painter.translate(place->topLeft());
    page.paint(painter);
    painter.restore();
}

QString writePage(const QString& path, const Page& page, Paper paper) {
    const bool pdf = path.endsWith(QLatin1String(".pdf"), Qt::CaseInsensitive);
    if (!pdf && !path.endsWith(QLatin1String(".svg"), Qt::CaseInsensitive)) return QObject::tr("expected a name that ends in .pdf or .svg");
    if (!placeOn(paper, page)) return QObject::tr("this paper is too small for it, and it is never scaled");
    const QSizeF size = sizeOf(paper, page);
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    if (pdf) {
        constexpr int kDotsPerMm = 50;
        QPdfWriter writer(&buffer);
        writer.setPdfVersion(QPagedPaintDevice::PdfVersion_A1b);
        writer.setTitle(page.title);
        writer.setCreator(QStringLiteral("Machair"));
        writer.setPageSize(QPageSize(size, QPageSize::Millimeter, QString(), QPageSize::ExactMatch));
        writer.setPageMargins(QMarginsF(0, 0, 0, 0));
        writer.setResolution(1270);
        QPainter painter(&writer);
        painter.scale(kDotsPerMm, kDotsPerMm);
        paintOn(painter, page, paper);
    } else {
        QSvgGenerator generator;
        generator.setOutputDevice(&buffer);
        generator.setTitle(page.title);
        constexpr double kPerMm = 10.0;  // user units: the view box is in tenths of a millimetre
        generator.setResolution(254);
        generator.setSize((size * kPerMm).toSize());
        generator.setViewBox(QRectF(QPointF(0, 0), size * kPerMm));
        QPainter painter(&generator);
        painter.scale(kPerMm, kPerMm);
        paintOn(painter, page, paper);
    }
    QSaveFile file(path);
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size() || !file.commit())
        return QObject::tr("can't be written: %1").arg(file.errorString());
    return {};
}

}  // namespace machair::drawing
