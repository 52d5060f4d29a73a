// What the painters of the parts share: where the scene lies on the paper, how fine it is drawn, and fills.
#pragma once

#include <QColor>
#include <QPainter>
#include <QPolygonF>
#include <vector>

#include "drawing/lamp.h"
#include "drawing/strokes.h"
#include "scene/scene.h"

namespace machair::drawing {

enum class Bench { sand, slate };
[[nodiscard]] Lab paperOf(Bench bench);
[[nodiscard]] QColor colourOf(Lab colour, double alpha = 1.0);

struct View {
    double pxPerMm = 40.0;
    QPointF origin;  // where the rear edge of the eye lies, px
    Bench bench = Bench::sand;
    double finest = 0.0;  // leave out what is narrower than this, mm: while something is dragged, and for print
};

// One layer being painted.
class Canvas {
  public:
    Canvas(QPainter& painter, const View& view) : painter_(painter), view_(view), strokes_(painter), paper_(paperOf(view.bench)) {}

    [[nodiscard]] QPointF at(Vec3 p) const { return {view_.origin.x() + k() * p.x, view_.origin.y() - k() * p.y}; }
    [[nodiscard]] double k() const { return view_.pxPerMm; }
    [[nodiscard]] const View& view() const { return view_; }
    [[nodiscard]] Lab paper() const { return paper_; }
    [[nodiscard]] bool everything() const { return k() > 20.0; }
    [[nodiscard]] bool middling() const { return k() > 14.0; }
    [[nodiscard]] bool skips(double widthMm) const { return widthMm < view_.finest; }
    Strokes& strokes() { return strokes_; }
    QPainter& painter() { return painter_; }

    void line(Vec3 from, Vec3 to, Lab colour, double alpha, double widthMm, double overlap = 0.25) {
        strokes_.line(at(from), at(to), {colour, alpha, widthMm * k()}, overlap);
    }
    void fill(const QPolygonF& outline, Lab colour, double alpha = 1.0);
    void fill(const QPolygonF& outline, const QBrush& brush);
    // What was gathered so far goes under what comes next.
    void next() { strokes_.flush(); }

    // A colour of a hackle, lifted so that it shows on a dark bench; and its tones, once lit, kept off the bench's own.
    [[nodiscard]] Lab seen(Lab colour) const;
    [[nodiscard]] Lab clearOfBench(Lab lit) const;

  private:
    QPainter& painter_;
    View view_;
    Strokes strokes_;
    Lab paper_;
};

// A round, polished tube along a path, painted in lengthwise strips from its edges inwards.
struct TubeStep {
    Vec3 at;
    Vec3 along;   // unit
    double half;  // mm
};
void paintTube(Canvas& canvas, const std::vector<TubeStep>& path, const Ramp& ramp, int strips);

// A round facing the viewer.
[[nodiscard]] QPolygonF roundAt(const Canvas& canvas, Vec3 middle, double radius);

// Painters of the parts, one file each.
void paintHook(Canvas& canvas, const HookScene& hook);
void paintFarFibres(Canvas& canvas, const Scene& scene);
void paintTails(Canvas& canvas, const Scene& scene);
void paintBodies(Canvas& canvas, const Scene& scene);
void paintBeads(Canvas& canvas, const Scene& scene);  // over what is bound against them
void paintBindings(Canvas& canvas, const Scene& scene);
void paintNearPalmer(Canvas& canvas, const Scene& scene);
void paintUnderWing(Canvas& canvas, const Scene& scene);
void paintFarSlips(Canvas& canvas, const Scene& scene);
void paintWings(Canvas& canvas, const Scene& scene);
void paintFacingWings(Canvas& canvas, const Scene& scene);  // those that stand up towards the viewer, over all else
void paintCheeks(Canvas& canvas, const Scene& scene);
void paintBunch(Canvas& canvas, const TailScene& bunch);
void paintNearCollar(Canvas& canvas, const Scene& scene);
void paintHead(Canvas& canvas, const Scene& scene);
// Of a scene that is looked at along the shank.
void paintHookEndOn(Canvas& canvas, const HookScene& hook);
void paintEye(Canvas& canvas, const HookScene& hook);
void paintRounds(Canvas& canvas, const Scene& scene);
void paintHeadRound(Canvas& canvas, const Scene& scene);
void paintWingsEndOn(Canvas& canvas, const Scene& scene);

// Threaded surface of a body, bed or head between two stations.
struct ThreadedSurface {
    const Axis& axis;
    double front;
    double end;
    double pitch;
    int hand;
    Lab colour;
    std::uint64_t seed;
};
template <class Radius>
void paintThreaded(Canvas& canvas, const ThreadedSurface& surface, Radius radius, double turnsShare, double lightShare);
void paintWinding(Canvas& canvas, const Axis& axis, const RibScene& rib);

void paintFarFlues(Canvas& canvas, const Scene& scene);

// Points of an outline on a surface: along the upper (or lower) edge at share u of the radius.
template <class Radius>
QPolygonF bandOutline(const Canvas& canvas, const Axis& axis, double front, double end, double uTop, double uBottom, Radius radius) {
    QPolygonF outline;
    const int n = std::max(4, static_cast<int>((end - front) * canvas.k() / 6.0));
    for (int i = 0; i <= n; ++i) {
        const double s = std::lerp(front, end, static_cast<double>(i) / n);
        const Axis::Frame f = axis.frame(s);
        outline << canvas.at(f.at + uTop * radius(s) * f.up);
    }
    for (int i = n; i >= 0; --i) {
        const double s = std::lerp(front, end, static_cast<double>(i) / n);
        const Axis::Frame f = axis.frame(s);
        outline << canvas.at(f.at + uBottom * radius(s) * f.up);
    }
    return outline;
}

template <class Radius>
void paintThreaded(Canvas& canvas, const ThreadedSurface& t, Radius radius, double turnsShare, double lightShare) {
    if (t.end <= t.front) return;
    canvas.fill(bandOutline(canvas, t.axis, t.front, t.end, 1.0, -1.0, radius), shade(t.colour, -0.02));
    Random random(t.seed);
    const int turns = std::max(1, static_cast<int>((t.end - t.front) / t.pitch));
    const auto turnLine = [&](double x0, Lab colour, double alpha, double width, double from, double to) {
        const int n = std::clamp(static_cast<int>(radius(x0) * canvas.k() / 5.0), 3, 10);
        Vec3 before;
        for (int i = 0; i <= n; ++i) {
            const double angle = std::lerp(from, to, static_cast<double>(i) / n);
            const double s = std::clamp(x0 - t.hand * t.pitch / (2.0 * kPi) * 1.5 * (angle - kPi / 2.0), t.front, t.end);
            const Vec3 p = t.axis.on(s, radius(s), angle);
            if (i > 0) canvas.line(before, p, colour, alpha, width);
            before = p;
        }
    };
    if (canvas.middling())
        for (int i = 0; i < turns; ++i) {
            const double x0 = t.front + (i + 0.5) * t.pitch + random.normal(0.15 * t.pitch);
            turnLine(x0, shade(t.colour, -0.16), turnsShare * random.uniform(0.4, 0.75), 0.34 * t.pitch, 0.0, kPi);
            turnLine(x0 + 0.4 * t.pitch, shade(t.colour, 0.06), turnsShare * 0.6, 0.30 * t.pitch, 0.05, kPi - 0.05);
        }
    canvas.next();
    const Lab nearBlack = toLab({0.05, 0.04, 0.05});
    for (const double u : {0.30, 0.12, -0.06, -0.24, -0.40, -0.55})
        canvas.fill(bandOutline(canvas, t.axis, t.front, t.end, u, -1.0, radius), nearBlack, 0.095);
    canvas.fill(bandOutline(canvas, t.axis, t.front, t.end, 1.0, 0.86, radius), nearBlack, 0.16);
    canvas.fill(bandOutline(canvas, t.axis, t.front, t.end, -0.82, -0.95, radius), toLab({1.0, 0.95, 0.86}), 0.08);
    if (!canvas.middling()) {
        canvas.fill(bandOutline(canvas, t.axis, t.front, t.end, 0.72, 0.40, radius), shade(t.colour, 0.20), 0.35 * lightShare);
        return;
    }
    for (int i = 0; i < turns; ++i) {
        const double x0 = t.front + (i + 0.5) * t.pitch;
        const auto light = [&](double uTop, double uBottom, double delta, double alpha) {
            const double top = std::acos(std::clamp(uTop + random.normal(0.04), -1.0, 1.0));
            const double bottom = std::acos(std::clamp(uBottom + random.normal(0.04), -1.0, 1.0));
            turnLine(x0, shade(t.colour, delta), alpha * lightShare, 0.55 * t.pitch, top, bottom);
        };
        light(0.84, 0.22, 0.16, 0.40);
        light(0.72, 0.42, 0.30, random.uniform(0.25, 0.5));
    }
    canvas.next();
}

}  // namespace machair::drawing
