// Ribs, wire and tinsel windings, the thread bed and hackle stems: drawing.md sections 6 to 8.
#include <cmath>
#include <numbers>

#include "drawing/paint.h"

namespace machair::drawing {

namespace {

// The near half of one turn, as the thread runs: θ from the top (0) over the viewer's side to the bottom (π).
struct HalfTurn {
    const Axis& axis;
    const RibScene::Turn& turn;
    int hand;
    [[nodiscard]] double station(double angle) const { return turn.station - hand * turn.pitch / (2.0 * kPi) * (angle - kPi / 2.0); }
    [[nodiscard]] Vec3 at(double angle, double radius) const { return axis.on(station(angle), radius, angle); }
};

int stepsFor(const Canvas& canvas, double radius) { return std::clamp(static_cast<int>(radius * canvas.k() / 3.0), 5, 16); }

void paintShadow(Canvas& canvas, const HalfTurn& half, double radius, double back, double down, double width, double alpha) {
    const Lab brownBlack = toLab({0.09, 0.06, 0.05});
    const int n = stepsFor(canvas, radius);
    Vec3 before;
    for (int i = 0; i <= n; ++i) {
        Vec3 p = half.at(kPi * i / n, radius);
        p.x += back;
        p.y += down;
        if (i > 0) canvas.line(before, p, brownBlack, alpha, width, 0.0);
        before = p;
    }
}

// A flat strip: the cylinder unrolled, the strip's two edges laid on it, and back.
void paintFlatTurn(Canvas& canvas, const HalfTurn& half, const RibScene& rib, Random& random) {
    const double radius = half.turn.radius + 0.015;
    const double along = half.turn.pitch / (2.0 * kPi);
    const double run = std::hypot(along, radius);
    const double acrossX = rib.width / 2.0 * radius / run;              // of the edges, along the shank
    const double acrossAngle = rib.width / 2.0 * along / run / radius;  // and round it
    const int n = stepsFor(canvas, radius);
    std::vector<Vec3> rear;
    std::vector<Vec3> front;
    for (int i = 0; i <= n; ++i) {
        const double angle = kPi * i / n;
        const auto edge = [&](double side) {
            const double a = std::clamp(angle + side * half.hand * acrossAngle, 0.0, kPi);
            return half.axis.on(half.station(angle) + side * acrossX, radius, a);
        };
        rear.push_back(edge(1.0));
        front.push_back(edge(-1.0));
    }
    if (canvas.middling()) {
        paintShadow(canvas, half, radius, acrossX + 0.055, -0.03, 0.10, 0.42);
        paintShadow(canvas, half, radius, -acrossX - 0.02, 0.0, 0.06, 0.28);
        canvas.next();
    }
    QPolygonF band;
    for (const Vec3& p : rear)
        band << canvas.at(p);
    for (auto p = front.rbegin(); p != front.rend(); ++p)
        band << canvas.at(*p);
    const Axis::Frame f = half.axis.frame(half.turn.station);
    const double shift = random.normal(0.03);
    const double lighter = random.normal(0.03);
    QLinearGradient gradient(canvas.at(f.at + radius * f.up), canvas.at(f.at - radius * f.up));
    const Ramp ramp = rampOf(rib.colour);
    struct Stop {
        double at;
        std::size_t tone;
    };
    constexpr std::array kStops = {Stop{0.0, 0},  Stop{0.09, 1}, Stop{0.20, 3}, Stop{0.26, 4}, Stop{0.31, 4}, Stop{0.40, 3},
                                   Stop{0.54, 2}, Stop{0.70, 1}, Stop{0.80, 0}, Stop{0.88, 2}, Stop{1.0, 0}};
    for (const Stop& stop : kStops) {
        Lab tone = rib.metal ? ramp.tones[stop.tone] : shade(rib.colour, -0.18 + 0.09 * static_cast<double>(stop.tone));
        tone.L = std::clamp(tone.L + lighter, 0.0, 1.0);
        gradient.setColorAt(std::clamp(stop.at + (stop.at > 0.0 && stop.at < 1.0 ? shift : 0.0), 0.0, 1.0), colourOf(tone));
    }
    canvas.fill(band, QBrush(gradient));
    if (!canvas.middling()) return;
    for (std::size_t i = 1; i < rear.size(); ++i) {
        canvas.line(rear[i - 1], rear[i], ramp.tones[0], 0.40, 0.03);
        canvas.line(front[i - 1], front[i], ramp.tones[4], 0.30, 0.018);
    }
    canvas.next();
}

void paintRoundTurn(Canvas& canvas, const HalfTurn& half, const RibScene& rib, bool shadow) {
    const double d = rib.thickness;
    const double radius = half.turn.radius + 0.28 * d;
    if (shadow && canvas.middling()) {
        paintShadow(canvas, half, radius, 0.09, -0.05, 0.75 * d, 0.40);
        canvas.next();
    }
    std::vector<TubeStep> path;
    const int n = stepsFor(canvas, radius);
    for (int i = 0; i <= n; ++i) {
        const double angle = kPi * i / n;
        path.push_back({half.at(angle, radius), unit(half.at(angle + 0.02, radius) - half.at(angle - 0.02, radius)), d / 2.0});
    }
    paintTube(canvas, path, rampOf(rib.colour), canvas.k() * d > 5.0 ? 7 : 3);
    if (!rib.oval || !canvas.everything()) return;
    // The winding of oval tinsel: hairlines slanting across it.
    constexpr double kEvery = 0.085;
    constexpr double kSlant = 34.0 * kPi / 180.0;
    const Ramp ramp = rampOf(rib.colour);
    double run = 0.0;
    double nextLine = 0.0;
    constexpr int kFine = 60;
    for (int i = 1; i <= kFine; ++i) {
        const Vec3 a = half.at(kPi * (i - 1) / kFine, radius);
        const Vec3 b = half.at(kPi * i / kFine, radius);
        run += norm(b - a);
        if (run < nextLine) continue;
        nextLine += kEvery;
        const Vec3 t = unit({b.x - a.x, b.y - a.y, 0.0});
        const Vec3 across{-t.y, t.x, 0.0};
        const Vec3 slanted = std::cos(kSlant) * across + std::sin(kSlant) * t;
        const double reach = 0.46 * d;
        canvas.line(b - reach * slanted, b + reach * slanted, ramp.tones[0], 0.42, 0.020, 0.0);
        const Vec3 beside = b + 0.045 * t;
        canvas.line(beside - reach * slanted, beside + reach * slanted, ramp.tones[4], 0.38, 0.020, 0.0);
    }
    canvas.next();
}

// A few fibres of the fur lie over a rib's edges: it sits in the fur, not on it.
void paintFurOver(Canvas& canvas, const Axis& axis, const RibScene& rib, Lab fur) {
    if (!canvas.middling()) return;
    Random random(rib.seed ^ 0xf0full);
    constexpr int kPerTurn = 9;
    for (const auto& turn : rib.turns) {
        const HalfTurn half{axis, turn, rib.hand};
        for (int i = 0; i < kPerTurn; ++i) {
            const double angle = random.uniform(0.08, 0.92) * kPi;
            const double side = random.uniform() < 0.5 ? -1.0 : 1.0;
            const double edge = side * rib.width * 0.5;
            Vec3 p = half.at(angle, turn.radius + 0.03);
            p.x += edge - side * random.uniform(0.02, 0.10);
            // Along the winding, over the rib's edge towards its middle.
            const Vec3 end = p + Vec3{-side * random.uniform(0.04, 0.14), random.normal(0.10) - 0.08, 0.0};
            canvas.line(p, end, shade(fur, -0.06 + 0.16 * std::cos(angle)), 0.70, 0.022);
        }
    }
    canvas.next();
}

// The part of a stem that lies on the viewer's side.
void paintStem(Canvas& canvas, const Scene& scene, const HackleScene& hackle) {
    const double width = hackle.palmer ? hackle.stemWidth : 0.95 * hackle.stemWidth;
    for (std::size_t i = 1; i < hackle.stem.size(); ++i) {
        const auto& a = hackle.stem[i - 1];
        const auto& b = hackle.stem[i];
        constexpr double kOverTheEdge = 0.12;  // seen end-on there: it would stand out as a tick
        if (std::sin(0.5 * (a.angle + b.angle)) < kOverTheEdge) continue;
        const Vec3 p = scene.axis.on(a.station, a.radius, a.angle);
        const Vec3 q = scene.axis.on(b.station, b.radius, b.angle);
        const Lab colour = canvas.seen(shade(hackle.look.root, -0.08));
        canvas.line(p, q, colour, 1.0, width);
        if (!canvas.middling()) continue;
        const Vec3 back{0.42 * width, -0.1 * width, 0.0};
        canvas.line(p + back, q + back, shade(colour, -0.14), 0.5, 0.2 * width);
        if (std::cos(0.5 * (a.angle + b.angle)) > 0.0)
            canvas.line(p - 0.25 * back, q - 0.25 * back, shade(colour, 0.16), 0.5, 0.25 * width);
    }
    canvas.next();
}

}  // namespace

void paintWinding(Canvas& canvas, const Axis& axis, const RibScene& rib) {
    Random random(rib.seed);
    const double touching = rib.turns.empty() ? 0.0 : rib.turns.front().pitch / std::max(1e-6, rib.width);
    for (const auto& turn : rib.turns) {
        const HalfTurn half{axis, turn, rib.hand};
        if (rib.round)
            paintRoundTurn(canvas, half, rib, touching > 1.5);
        else
            paintFlatTurn(canvas, half, rib, random);
    }
}

void paintBindings(Canvas& canvas, const Scene& scene) {
    for (const HackleScene& hackle : scene.hackles)
        if (hackle.palmer && canvas.middling()) paintStem(canvas, scene, hackle);
    for (const RibScene& rib : scene.ribs) {
        paintWinding(canvas, scene.axis, rib);
        if (!rib.onFur || scene.bodies.empty()) continue;
        paintFurOver(canvas, scene.axis, rib, scene.bodies.front().colour);
    }
    const auto radius = [&](double s) { return scene.bed.radius(s); };
    paintThreaded(canvas, {scene.axis, scene.bed.front, scene.bed.end, scene.bed.pitch, 1, scene.bed.colour, scene.bed.seed}, radius, 0.9,
                  0.6);
    for (const HackleScene& hackle : scene.hackles)
        if (!hackle.palmer) paintStem(canvas, scene, hackle);
}

}  // namespace machair::drawing
