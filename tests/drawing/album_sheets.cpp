// Paints a bench file's dressings by the product's own painter, twelve to a sheet at one scale, on sand and on slate; or
// says what is said of them on every size. tools/album runs it.
#include <QGuiApplication>
#include <QImage>
#include <QPainter>
#include <iostream>

#include "drawing/fly_painter.h"
#include "tests/album.h"

namespace {

using namespace machair;
using namespace machair::drawing;

constexpr int kColumns = 3, kRows = 4;
constexpr int kWidth = 620, kHeight = 330;  // of one fly, px
constexpr double kPxPerMm = 15.0;

QImage sheet(const Book& book, std::size_t from, Bench bench, double pxPerMm, int columns, int rows) {
    QImage image(columns * kWidth, rows * kHeight, QImage::Format_ARGB32_Premultiplied);
    image.fill(bench == Bench::slate ? QColor(0x2b, 0x35, 0x3c) : QColor(0xe9, 0xe0, 0xce));
    QPainter painter(&image);
    for (int i = 0; i < columns * rows; ++i) {
        const std::size_t index = from + static_cast<std::size_t>(i);
        if (index >= book.patterns.size()) break;
        const Pattern& pattern = book.patterns[index];
        const QRectF frame((i % columns) * kWidth, (i / columns) * kHeight, kWidth, kHeight);
        painter.setPen(bench == Bench::slate ? QColor(0xd8, 0xd2, 0xc4) : QColor(0x3a, 0x34, 0x2c));
        painter.drawText(frame.adjusted(12, 8, 0, 0), QString::fromStdString(pattern.title()));
        const auto plan = planWhatCan(book, pattern.id);
        if (!plan) continue;
        const Scene scene = makeScene(*plan);
        paintFly(painter, scene, fitView(scene, frame.adjusted(16, 30, -16, -10), bench, pxPerMm));
    }
    return image;
}

}  // namespace

int main(int argc, char** argv) {
    const QGuiApplication app(argc, argv);
    const QStringList arguments = QGuiApplication::arguments();
    if (arguments.size() < 2) {
        std::cerr << "usage: machair-album FILE (--words | OUT-FOLDER [PATTERN …])\n";
        return 2;
    }
    auto opened = store::readBenchFile(arguments[1].toStdString());
    if (!opened) {
        for (const Fault& fault : opened.error())
            std::cerr << fault.line() << "\n";
        return 1;
    }
    Book book = std::move(opened->book);
    if (arguments.size() < 3 || arguments[2] == QStringLiteral("--words")) {
        std::cout << tests::wordsOf(book);
        return 0;
    }
    const bool some = arguments.size() > 3;
    if (some) std::erase_if(book.patterns, [&](const Pattern& p) { return !arguments.contains(QString::fromStdString(p.id)); });
    const int columns = some ? 2 : kColumns, rows = some ? 2 : kRows;
    constexpr double kCloser = 26.0;
    for (const Bench bench : {Bench::sand, Bench::slate})
        for (std::size_t from = 0; from < book.patterns.size(); from += static_cast<std::size_t>(columns * rows)) {
            const QString name = QStringLiteral("%1/album-%2-%3.png")
                                     .arg(arguments[2], bench == Bench::slate ? QStringLiteral("slate") : QStringLiteral("sand"))
                                     .arg(from / static_cast<std::size_t>(columns * rows) + 1);
            if (!sheet(book, from, bench, some ? kCloser : kPxPerMm, columns, rows).save(name)) {
                std::cerr << "could not write " << name.toStdString() << "\n";
                return 1;
            }
        }
    return 0;
}
