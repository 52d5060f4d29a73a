// What drawing costs on the raster engine. Targets at 1280x800: the fullest fly < 25 ms, one changed layer < 8 ms, the
// cast < 5 ms (drawing.md section 13).
#include <benchmark/benchmark.h>

#include <QApplication>
#include <QImage>

#include "benchmarks/demo_book.h"
#include "drawing/fly_painter.h"
#include "drawing/photograph.h"
#include "photo/registration.h"
#include "store/bench_file.h"
#include "theme/theme.h"

namespace machair::benchmarks {

namespace {

constexpr QSize kPaper(1280, 800);

QImage blank(QSize size) {
    QImage image(size, QImage::Format_ARGB32_Premultiplied);
    image.fill(Qt::transparent);
    return image;
}

drawing::View viewOf(const Scene& scene) {
    return drawing::fitView(scene, QRectF(QPointF(0, 0), kPaper).adjusted(170, 150, -170, -150), drawing::Bench::sand, 40.0);
}

void paintWhole(benchmark::State& state, const char* pattern) {
    const Scene scene = makeScene(demoPlan(pattern));
    const drawing::View view = viewOf(scene);
    QImage image = blank(kPaper);
    for (auto _ : state) {
        QPainter painter(&image);
        drawing::paintFly(painter, scene, view);
    }
}

}  // namespace

static void makeAScene(benchmark::State& state) {
    const Plan planned = demoPlan(kFullestFly);
    for (auto _ : state)
        benchmark::DoNotOptimize(makeScene(planned));
}
BENCHMARK(makeAScene)->Unit(benchmark::kMillisecond);

// The album of 34 at the cast's size, 8 px/mm; the target is under 150 ms.
static void paintTheAlbumAtCastSize(benchmark::State& state) {
    const Book album = store::readBenchFile(MACHAIR_ALBUM).value().book;
    std::vector<Scene> scenes;
    for (const Pattern& pattern : album.patterns)
        scenes.push_back(makeScene(planPattern(album, pattern.id).value()));
    QImage image = blank(QSize(400, 300));
    for (auto _ : state)
        for (const Scene& scene : scenes) {
            QPainter painter(&image);
            drawing::paintFly(painter, scene, drawing::fitView(scene, QRectF(0, 0, 400, 300), drawing::Bench::sand, 8.0));
        }
}
BENCHMARK(paintTheAlbumAtCastSize)->Unit(benchmark::kMillisecond);

static void paintTheCloakedFly(benchmark::State& state) {
    const Book album = store::readBenchFile(MACHAIR_ALBUM).value().book;
    const Scene scene = makeScene(planPattern(album, "gannet-hermit").value());
    const drawing::View view = viewOf(scene);
    QImage image = blank(kPaper);
    for (auto _ : state) {
        QPainter painter(&image);
        drawing::paintFly(painter, scene, view);
    }
}
BENCHMARK(paintTheCloakedFly)->Unit(benchmark::kMillisecond);

BENCHMARK_CAPTURE(paintWhole, bushyBob, "kelp-lantern")->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(paintWhole, wingedMiddle, "heather-tinker")->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(paintWhole, spiderPoint, "rush-piper")->Unit(benchmark::kMillisecond);

static void paintOneLayer(benchmark::State& state) {
    const auto layer = static_cast<drawing::Layer>(state.range(0));
    const Scene scene = makeScene(demoPlan(state.range(1) == 0 ? "kelp-lantern" : "heather-tinker"));
    const drawing::View view = viewOf(scene);
    QImage image = blank(kPaper);
    for (auto _ : state) {
        QPainter painter(&image);
        drawing::paintLayer(painter, scene, view, layer);
    }
}
BENCHMARK(paintOneLayer)->ArgsProduct({benchmark::CreateDenseRange(0, 9, 1), {0, 1}})->Unit(benchmark::kMillisecond);

static void paintTheCast(benchmark::State& state) {
    QImage image = blank({1280, 150});
    std::vector<Scene> scenes;
    for (const char* fly : {"kelp-lantern", "heather-tinker", "rush-piper"})
        scenes.push_back(makeScene(demoPlan(fly)));
    for (auto _ : state) {
        QPainter painter(&image);
        double x = 200.0;
        for (const Scene& scene : scenes) {
            drawing::paintFly(painter, scene, {8.0, QPointF(x, 70.0), drawing::Bench::sand, 0.0});
            x += 400.0;
        }
    }
}
BENCHMARK(paintTheCast)->Unit(benchmark::kMillisecond);

// A photograph of 12 megapixels, registered. Target: < 1 s.
static void registerAPhotograph(benchmark::State& state) {
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    drawing::PhotographSetting setting = drawing::someSetting(3);
    setting.size = {4000, 3000};
    const photo::Picture picture = drawing::greyOf(drawing::photographOf(plan, setting).image);
    bool found = true;
    for (auto _ : state)
        found &= photo::findHook(picture, plan.hook).has_value();
    state.counters["found"] = found ? 1 : 0;
}
BENCHMARK(registerAPhotograph)->Unit(benchmark::kMillisecond);

}  // namespace machair::benchmarks

int main(int argc, char** argv) {
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(argc, argv);
    machair::app::loadFace();
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
