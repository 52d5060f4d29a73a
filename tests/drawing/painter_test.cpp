#include "drawing/fly_painter.h"

#include <QBuffer>
#include <QImage>
#include <QPdfWriter>
#include <QProcess>
#include <QSvgGenerator>
#include <QSvgRenderer>
#include <QTemporaryDir>
#include <catch2/catch.hpp>

#include "tests/samples.h"

using namespace machair;
using namespace machair::drawing;
using namespace machair::tests;

namespace {

constexpr QSize kPaper(640, 420);

Scene sceneOf(const char* pattern) { return makeScene(planPattern(demoBook(), pattern).value()); }
View viewOf(const Scene& scene, Bench bench = Bench::sand) {
    return fitView(scene, QRectF(QPointF(0, 0), kPaper).adjusted(20, 20, -20, -20), bench, 40.0);
}

QImage painted(const Scene& scene, Bench bench = Bench::sand) {
    QImage image(kPaper, QImage::Format_ARGB32_Premultiplied);
    image.fill(colourOf(paperOf(bench)));
    QPainter painter(&image);
    paintFly(painter, scene, viewOf(scene, bench));
    return image;
}

Lab at(const QImage& image, QPointF p) {
    const QColor c = image.pixelColor(p.toPoint());
    return toLab({c.redF(), c.greenF(), c.blueF()});
}

}  // namespace

TEST_CASE("the same seed gives the same picture, to the pixel") {
    const Scene scene = sceneOf("kelp-lantern");
    CHECK(painted(scene) == painted(scene));
}

TEST_CASE("the eye of the hook is open") {
    for (const char* fly : {"kelp-lantern", "shingle-wren", "dune-bell"}) {
        const Scene scene = sceneOf(fly);
        const QImage image = painted(scene);
        const View view = viewOf(scene);
        const double w = scene.hook.wire;
        const double reach = 1.8 * w * view.pxPerMm;
        const QPointF centre = view.origin + QPointF(-reach * std::cos(scene.hook.eyeTurn), reach * std::sin(scene.hook.eyeTurn));
        INFO(fly);
        // The bench shows through; the slit is only some pixels high at this scale.
        double clearest = 1.0;
        for (const double up : {-1.0, 0.0, 1.0})
            clearest = std::min(clearest, std::abs(at(image, centre + QPointF(0.0, up)).L - paperOf(Bench::sand).L));
        CHECK(clearest < 0.08);
    }
}

TEST_CASE("the body, the head and the hook are darker than the sand they lie on") {
    const Scene scene = sceneOf("soot-ember");
    const QImage image = painted(scene);
    const View view = viewOf(scene);
    const auto px = [&](double x, double y) { return view.origin + QPointF(view.pxPerMm * x, -view.pxPerMm * y); };
    const double paper = paperOf(Bench::sand).L;
    CHECK(at(image, px(0.5 * (scene.bodies[0].front + scene.bodies[0].end), 0.0)).L < paper - 0.3);
    CHECK(at(image, px(0.5 * (scene.head.front + scene.head.end), -0.2)).L < paper - 0.3);
    CHECK(at(image, px(8.0, -scene.hook.depth)).L < paper - 0.2);
}

TEST_CASE("a dark hackle is still seen on the dark bench") {
    const Scene scene = sceneOf("soot-ember");
    QImage bare(kPaper, QImage::Format_ARGB32_Premultiplied);
    bare.fill(colourOf(paperOf(Bench::slate)));
    QImage hackled = bare;
    QPainter painter(&hackled);
    paintLayer(painter, scene, viewOf(scene, Bench::slate), Layer::nearPalmer);
    painter.end();
    std::vector<double> apart;
    for (int y = 0; y < kPaper.height(); ++y)
        for (int x = 0; x < kPaper.width(); ++x)
            if (hackled.pixel(x, y) != bare.pixel(x, y)) apart.push_back(std::abs(at(hackled, QPointF(x, y)).L - paperOf(Bench::slate).L));
    REQUIRE(apart.size() > 1000);
    std::ranges::sort(apart);
    // Most pixels of a thin stroke are edges, half bench; the strokes themselves are the upper tenth.
    CHECK(apart[apart.size() * 9 / 10] > 0.10);
}

TEST_CASE("the layers put together are the whole fly") {
    const Scene scene = sceneOf("heather-tinker");
    FlyPicture picture;
    CHECK(picture.update(scene, viewOf(scene), kPaper, 1.0) == static_cast<int>(kLayers.size()));
    QImage composed(kPaper, QImage::Format_ARGB32_Premultiplied);
    composed.fill(colourOf(paperOf(Bench::sand)));
    {
        QPainter painter(&composed);
        picture.compose(painter);
    }
    const QImage whole = painted(scene);
    int off = 0;
    for (int y = 0; y < kPaper.height(); ++y)
        for (int x = 0; x < kPaper.width(); ++x) {
            const QColor a = composed.pixelColor(x, y), b = whole.pixelColor(x, y);
            constexpr int kRounding = 6;  // of premultiplied layers, of 255
            if (std::abs(a.red() - b.red()) > kRounding || std::abs(a.green() - b.green()) > kRounding ||
                std::abs(a.blue() - b.blue()) > kRounding)
                ++off;
        }
    CHECK(off < kPaper.width() * kPaper.height() / 200);
}

TEST_CASE("an edit repaints only the layers that it changed") {
    Book book = demoBook();
    const Scene before = makeScene(planPattern(book, "kelp-lantern").value());
    FlyPicture picture;
    picture.update(before, viewOf(before), kPaper, 1.0);
    CHECK(picture.update(before, viewOf(before), kPaper, 1.0) == 0);
    std::get<TailPart>(book.findPattern("kelp-lantern")->parts[0].detail).length = ratioOf(0.78, Yardstick::shank);
    const Scene after = makeScene(planPattern(book, "kelp-lantern").value());
    CHECK(picture.update(after, viewOf(before), kPaper, 1.0) == 1);
}

TEST_CASE("the same painter writes an SVG that shows the same fly") {
    const Scene scene = sceneOf("shingle-wren");
    QBuffer buffer;
    QSvgGenerator svg;
    svg.setOutputDevice(&buffer);
    svg.setSize(kPaper);
    svg.setViewBox(QRect(QPoint(0, 0), kPaper));
    {
        QPainter painter(&svg);
        View view = viewOf(scene);
        view.finest = 0.02;
        paintFly(painter, scene, view);
    }
    QSvgRenderer renderer(buffer.data());
    REQUIRE(renderer.isValid());
    QImage image(kPaper, QImage::Format_ARGB32_Premultiplied);
    image.fill(colourOf(paperOf(Bench::sand)));
    QPainter painter(&image);
    renderer.render(&painter, QRectF(QPointF(0, 0), kPaper));
    painter.end();
    const View view = viewOf(scene);
    const QPointF onBody = view.origin + QPointF(view.pxPerMm * 5.0, 0.0);
    CHECK(std::abs(at(image, onBody).L - at(painted(scene), onBody).L) < 0.25);
    CHECK(at(image, onBody).L < paperOf(Bench::sand).L - 0.05);
}

TEST_CASE("at every size the fly stays inside the frame it is fitted to") {
    for (const char* fly : {"kelp-lantern", "heather-tinker", "dune-bell"}) {
        const Scene scene = sceneOf(fly);
        const QRectF frame(30, 20, 500, 300);
        const View view = fitView(scene, frame, Bench::sand, 60.0);
        CHECK(view.origin.x() + view.pxPerMm * scene.left >= frame.left() - 1.0);
        CHECK(view.origin.x() + view.pxPerMm * scene.right <= frame.right() + 1.0);
        CHECK(view.origin.y() - view.pxPerMm * scene.top >= frame.top() - 1.0);
        CHECK(view.origin.y() - view.pxPerMm * scene.bottom <= frame.bottom() + 1.0);
    }
}

TEST_CASE("the same painter writes a PDF at true scale, read back by poppler") {
    const QTemporaryDir folder;
    const QString file = folder.filePath(QStringLiteral("fly.pdf"));
    const Scene scene = sceneOf("rush-piper");
    constexpr int kDpi = 254;  // ten units a millimetre
    {
        QPdfWriter pdf(file);
        pdf.setResolution(kDpi);
        pdf.setPageSize(QPageSize(QPageSize::A6));
        pdf.setPageMargins(QMarginsF(0, 0, 0, 0));
        QPainter painter(&pdf);
        paintFly(painter, scene, {10.0, QPointF(300, 300), Bench::sand, 0.02});
    }
    QProcess poppler;
    poppler.start(QStringLiteral("pdftoppm"), {QStringLiteral("-r"), QString::number(kDpi), QStringLiteral("-png"),
                                               QStringLiteral("-singlefile"), file, folder.filePath(QStringLiteral("page"))});
    REQUIRE(poppler.waitForFinished());
    const QImage page(folder.filePath(QStringLiteral("page.png")));
    REQUIRE_FALSE(page.isNull());
    // The rear of the bend is the furthest ink to the right at half the gape's depth.
    const int row = 300 + static_cast<int>(10.0 * 0.5 * scene.hook.depth);
    int right = 0;
    for (int x = 0; x < page.width(); ++x)
        if (qGray(page.pixel(x, row)) < 160) right = x;
    double rear = 0.0;
    for (const auto& step : scene.hook.line)
        rear = std::max(rear, step.at.x + 0.5 * scene.hook.wire);
    CHECK(std::abs((right - 300) / 10.0 - rear) < 0.15);  // mm
}

TEST_CASE("the other part kinds are drawn: each leaves ink where its part is") {
    struct Drawn {
        const char* fly;
        Layer layer;
    };
    for (const Drawn& drawn : {Drawn{"ferry-bell", Layer::wing}, Drawn{"ferry-bell", Layer::head}, Drawn{"kelp-strider", Layer::nearCollar},
                               Drawn{"kelp-strider", Layer::wing}, Drawn{"brass-buoy", Layer::body}, Drawn{"dusk-hatcher", Layer::wing}}) {
        const Scene scene = sceneOf(drawn.fly);
        QImage image(kPaper, QImage::Format_ARGB32_Premultiplied);
        image.fill(Qt::transparent);
        {
            QPainter painter(&image);
            paintLayer(painter, scene, viewOf(scene), drawn.layer);
        }
        int inked = 0;
        for (int y = 0; y < kPaper.height(); ++y)
            for (int x = 0; x < kPaper.width(); ++x)
                inked += qAlpha(image.pixel(x, y)) > 60 ? 1 : 0;
        INFO(drawn.fly << " layer " << static_cast<int>(drawn.layer));
        CHECK(inked > 400);
    }
}

TEST_CASE("a slip's longest barb ends where the plan says the wing does") {
    const Plan plan = planPattern(demoBook(), "ferry-bell").value();
    const Scene scene = makeScene(plan);
    QImage image(kPaper, QImage::Format_ARGB32_Premultiplied);
    image.fill(Qt::transparent);
    const View view = viewOf(scene);
    {
        QPainter painter(&image);
        paintLayer(painter, scene, view, Layer::wing);
    }
    int right = 0;
    for (int y = 0; y < kPaper.height(); ++y)
        for (int x = 0; x < kPaper.width(); ++x)
            if (qAlpha(image.pixel(x, y)) > 128) right = std::max(right, x);
    const WingScene& wing = scene.wings.front();
    const double tip = view.origin.x() + view.pxPerMm * (wing.root.x + wing.length * wing.along.x);
    CHECK(std::abs(right - tip) < 0.04 * wing.length * view.pxPerMm);
}
