// Bodies: drawing.md section 7.
#include <cmath>
#include <numbers>
#include <tuple>

#include "drawing/paint.h"

namespace machair::drawing {

namespace {

// Fur counts fall away between 36 and 14 px/mm.
double furShare(const Canvas& canvas) { return std::clamp((canvas.k() - 8.0) / 28.0, 0.0, 1.4); }

class Fur {
  public:
    Fur(Canvas& canvas, const Axis& axis, const BodyScene& body) : canvas_(canvas), axis_(axis), body_(body), random_(body.seed) {
        for (double& phase : phases_)
            phase = random_.uniform(0.0, 2.0 * kPi);
    }

    void base() {
        QPolygonF outline;
        const int n = std::max(12, static_cast<int>((body_.end - body_.front) * canvas_.k() / 4.0));
        for (const double side : {1.0, -1.0})
            for (int i = 0; i <= n; ++i) {
                const double share = static_cast<double>(side > 0.0 ? i : n - i) / n;
                const double s = std::lerp(body_.front, body_.end, share);
                const Axis::Frame f = axis_.frame(s);
                const double r = std::max(0.05, radius(s) + random_.normal(canvas_.middling() ? 0.02 : 0.012));
                outline << canvas_.at(f.at + side * r * f.up);
            }
        const Axis::Frame middle = axis_.frame(0.5 * (body_.front + body_.end));
        const double r = body_.radius(0.5 * (body_.front + body_.end));
        QLinearGradient gradient(canvas_.at(middle.at + r * middle.up), canvas_.at(middle.at - r * middle.up));
        constexpr std::array<double, 5> kTones = {-0.04, 0.02, -0.09, -0.20, -0.16};
        for (std::size_t i = 0; i < kTones.size(); ++i)
            gradient.setColorAt(static_cast<double>(i) / 4.0, colourOf(shade(body_.colour, kTones[i])));
        canvas_.fill(outline, QBrush(gradient));
    }

    // Fibres lying along the winding, on the surface.
    void texture() {
        constexpr double kPerArea = 150.0;  // mm⁻² of profile
        const double area = 2.0 * (body_.end - body_.front) * body_.radius(0.5 * (body_.front + body_.end));
        const int n = static_cast<int>(kPerArea * area * furShare(canvas_) * std::min(1.0, body_.shag));
        for (int i = 0; i < n; ++i)
            surfaceFibre();
        canvas_.next();
    }

    void softEdge() {
        constexpr double kPerMm = 46.0;
        const int n = static_cast<int>(kPerMm * (body_.end - body_.front) * furShare(canvas_) * body_.shag);
        for (const double side : {1.0, -1.0})
            for (int i = 0; i < n; ++i)
                stray(side);
        canvas_.next();
    }

  private:
    [[nodiscard]] double radius(double s) const {
        double r = body_.radius(s);
        for (const double dip : body_.dips) {
            const double z = (s - dip) / 0.18;
            r -= 0.06 * std::exp(-0.5 * z * z);
        }
        return r;
    }
    [[nodiscard]] double ribShade(double s) const {
        double dark = 0.0;
        for (const double dip : body_.dips)
            dark = std::max(dark, std::exp(-0.5 * std::pow((s - dip) / 0.16, 2)));
        return 0.30 * dark;
    }
    Lab fromPalette() {
        const double pick = random_.uniform(0.0, 9.6);
        if (pick < 5.0) return body_.colour;
        if (pick < 7.0) return shade(body_.colour, 0.07);
        if (pick < 8.4) return shade(body_.colour, -0.08);
        if (pick < 9.2) return Lab{body_.colour.L + 0.02, body_.colour.a + 0.020, body_.colour.b + 0.022};  // the odd one
        return shade(body_.colour, 0.18);                                                                   // spark
    }
    void surfaceFibre() {
        const double station = random_.uniform(body_.front, body_.end);
        const double angle = random_.uniform(0.02 * kPi, 0.98 * kPi);
        double heading = (88.0 + random_.normal(24.0)) * kPi / 180.0;
        const double length = std::clamp(0.70 * std::exp(random_.normal(0.45)), 0.2, 1.6);
        const double bend = random_.normal(0.55);
        const double lift = 0.16 * std::pow(random_.uniform(), 3);
        const double width = random_.uniform(0.020, 0.040);
        const double jitter = random_.normal(0.09);
        const Lab own = fromPalette();
        if (canvas_.skips(width)) return;
        const int n = std::clamp(static_cast<int>(length * canvas_.k() / 9.0), 2, 5);
        double s = station;
        double a = angle;
        const double hand = body_.hand;
        Vec3 before = axis_.on(s, radius(s), a);
        for (int i = 1; i <= n; ++i) {
            const double t = static_cast<double>(i) / n;
            const double r = radius(s) + lift * t * t * t;
            heading += bend / n;
            s += hand * std::cos(heading) * length / n;
            a += std::sin(heading) * length / n / std::max(0.2, r);
            if (a > kPi || s < body_.front - 0.1 || s > body_.end + 0.1) return;
            const Vec3 p = axis_.on(s, r, a);
            const Axis::Frame f = axis_.frame(s);
            const Vec3 normal = std::cos(a) * f.up + Vec3{0.0, 0.0, std::sin(a)};
            const FibreLight light = lightAlong(unit(p - before));
            const double tufts =
                0.07 * std::sin(5.1 * s + 2.0 * std::sin(2.0 * a) + phases_[0]) + 0.05 * std::sin(11.0 * s + 5.0 * a + phases_[1]);
            const double tone = 0.14 + 0.60 * std::max(0.0, dot(normal, kLamp)) + 0.22 * light.gloss + tufts + jitter +
                                (normal.y < -0.3 ? 0.05 : 0.0) - ribShade(s);
            canvas_.line(before, p, shade(own, -0.25 + 0.45 * std::clamp(tone, 0.0, 1.0)), 0.92, width * (1.0 - 0.7 * t));
            before = p;
        }
    }
    void stray(double side) {
        const double station = random_.uniform(body_.front, body_.end);
        const bool longer = random_.uniform() < 0.16;
        const double out = std::min(0.75, (longer ? 0.37 : 0.15) * std::exp(random_.normal(0.45)));
        const double rearward = random_.uniform() < 0.8 ? 1.0 : -1.0;
        const double lean = (40.0 + random_.normal(20.0)) * kPi / 180.0;
        const double width = random_.uniform(0.018, 0.032);
        const double curl = random_.normal(0.35);
        const double tone = side > 0.0 ? random_.uniform(-0.06, 0.14) : random_.uniform(-0.20, 0.02);
        const Lab own = shade(fromPalette(), tone);
        if (canvas_.skips(width)) return;
        const Axis::Frame f = axis_.frame(station);
        constexpr double kRootedInside = 0.14;
        const double length = (out + kRootedInside) / std::max(0.35, std::cos(lean));
        Vec3 before = f.at + side * (radius(station) - kRootedInside) * f.up;
        for (int i = 1; i <= 3; ++i) {
            const double turn = lean + curl * i / 3.0;
            const Vec3 p = before + (length / 3.0) * (std::sin(turn) * rearward * f.rear + side * std::cos(turn) * f.up);
            canvas_.line(before, p, own, 0.70, width * (1.2 - 0.3 * i));
            before = p;
        }
    }

    Canvas& canvas_;
    const Axis& axis_;
    const BodyScene& body_;
    Random random_;
    std::array<double, 2> phases_{};
};

void paintFur(Canvas& canvas, const Axis& axis, const BodyScene& body) {
    Fur fur(canvas, axis, body);
    fur.base();
    fur.texture();
    if (canvas.k() > 9.0) fur.softEdge();
}

// Herl: a double fringe of flues along each turn; those round the back go behind the body.
Lab flueColour(const Lab& base, double angle, double gloss, Random& random) {
    const double hue = std::clamp(0.22 + 0.17 * (1.0 - std::cos(angle)) + 0.30 * (gloss - 0.6) + random.normal(0.24), 0.0, 1.0);
    const std::array<Lab, 4> run = {toLab({0.42, 0.30, 0.13}), toLab({0.33, 0.35, 0.13}), toLab({0.12, 0.35, 0.15}),
                                    toLab({0.07, 0.33, 0.31})};
    const double at = hue * 3.0;
    const auto i = std::min<std::size_t>(2, static_cast<std::size_t>(at));
    const Lab iridescent = mix(run[i], run[i + 1], at - static_cast<double>(i));
    constexpr double kOwn = 0.70;  // of its own dye: only bronze herl is all sheen
    return mix(iridescent, base, kOwn);
}

void paintHerl(Canvas& canvas, const Axis& axis, const BodyScene& body, bool behind) {
    Random random(body.seed);
    const auto radius = [&](double s) { return body.radius(s); };
    if (!behind) canvas.fill(bandOutline(canvas, axis, body.front, body.end, 0.9, -0.9, radius), shade(body.colour, -0.16));
    const int turns = std::max(1, static_cast<int>(std::lround((body.end - body.front) / body.pitch)));
    const double pitch = (body.end - body.front) / turns;
    constexpr int kFlues = 280;
    const int n = static_cast<int>(kFlues * std::clamp(furShare(canvas) * 1.1, 0.12, 1.0));
    for (int turn = turns - 1; turn >= 0; --turn) {  // the rear turn first
        const double x0 = body.front + (turn + 0.5) * pitch;
        for (int i = 0; i < n; ++i) {
            const double angle = random.uniform(-0.12 * kPi, 1.12 * kPi);
            const double root = random.uniform(0.72, 0.92);
            const double lean = (random.uniform() < 0.667 ? 0.40 : -0.30) + random.normal(0.26);
            const double sideways = random.normal(0.35);
            const double length = 0.36 * random.uniform(0.5, 1.08);
            const double width = random.uniform(0.020, 0.032);
            const bool far = std::sin(angle) < 0.3;
            const double s = x0 - body.hand * pitch / (2.0 * kPi) * (angle - kPi / 2.0) + random.normal(0.04);
            const Lab colour = flueColour(body.colour, angle, lightAlong({lean, std::cos(angle), std::sin(angle)}).gloss, random);
            if (far != behind || canvas.skips(width)) continue;
            const double r = body.radius(std::clamp(s, body.front, body.end));
            const Axis::Frame f = axis.frame(s);
            const Vec3 outward = std::cos(angle) * f.up + Vec3{0.0, 0.0, std::sin(angle)};
            const Vec3 round = -std::sin(angle) * f.up + Vec3{0.0, 0.0, std::cos(angle)};
            const Vec3 p0 = f.at + root * r * outward;
            const Vec3 direction = unit(outward + lean * f.rear + sideways * round);
            const Vec3 p1 = p0 + (0.5 * length) * direction;
            const Vec3 p2 = p1 + (0.5 * length) * unit(direction + 0.3 * lean * f.rear);
            const double light = std::max(0.0, dot(outward, kLamp));
            canvas.line(p0, p1, mix(shade(body.colour, -0.10), colour, 0.35), 0.9, width);
            canvas.line(p1, p2, shade(colour, -0.06 + 0.24 * light), 0.9, 0.8 * width);
        }
        canvas.next();
    }
}

// A body of touching turns of wire, tinsel or rope is a rib with no gaps.
void paintTouching(Canvas& canvas, const Axis& axis, const BodyScene& body) {
    const auto radius = [&](double s) { return body.radius(s); };
    canvas.fill(bandOutline(canvas, axis, body.front, body.end, 1.0, -1.0, radius), shade(body.colour, -0.30));
    RibScene winding;
    winding.round = body.surface == Surface::wire;
    winding.width = body.pitch;
    winding.thickness = body.surface == Surface::wire ? body.pitch : 0.03;
    winding.colour = body.colour;
    winding.hand = body.hand;
    winding.seed = body.seed;
    const int turns = std::max(1, static_cast<int>(std::lround((body.end - body.front) / body.pitch)));
    const double pitch = (body.end - body.front) / turns;
    for (int i = turns - 1; i >= 0; --i) {
        const double s = body.front + (i + 0.5) * pitch;
        const double inset = winding.round ? 0.5 * body.pitch : 0.015;
        winding.turns.push_back({s, pitch, body.radius(s) - inset});
    }
    paintWinding(canvas, axis, winding);
}

// A polished ball: dark at the rim, the lamp and a bounce from below in it. Its hole is hidden by what is bound against it.
void paintBead(Canvas& canvas, const Axis& axis, const BeadScene& bead) {
    const Axis::Frame f = axis.frame(bead.station);
    const QPointF centre = canvas.at(f.at);
    const double r = bead.radius * canvas.k();
    const Ramp ramp = rampOf(bead.colour);
    const auto ball = [&](double share, QPointF shift = {}) {
        QPolygonF outline;
        constexpr int kSteps = 48;
        for (int i = 0; i < kSteps; ++i) {
            const double angle = 2.0 * kPi * i / kSteps;
            outline << centre + r * shift + share * r * QPointF(std::cos(angle), std::sin(angle));
        }
        return outline;
    };
    QRadialGradient body(centre + r * QPointF(-0.28, -0.36), 1.5 * r);
    body.setColorAt(0.0, colourOf(ramp.tones[3]));
    body.setColorAt(0.30, colourOf(ramp.tones[2]));
    body.setColorAt(0.62, colourOf(ramp.tones[1]));
    body.setColorAt(0.86, colourOf(ramp.tones[0]));
    body.setColorAt(1.0, colourOf(ramp.tones[1]));
    canvas.fill(ball(1.0), QBrush(body));
    QRadialGradient bounce(centre + r * QPointF(0.12, 0.62), 0.55 * r);
    bounce.setColorAt(0.0, colourOf(ramp.tones[2], 0.55));
    bounce.setColorAt(1.0, colourOf(ramp.tones[2], 0.0));
    canvas.fill(ball(0.94), QBrush(bounce));
    QRadialGradient lamp(centre + r * QPointF(-0.33, -0.42), 0.42 * r);
    lamp.setColorAt(0.0, colourOf(ramp.tones[4], 0.95));
    lamp.setColorAt(0.35, colourOf(ramp.tones[4], 0.55));
    lamp.setColorAt(1.0, colourOf(ramp.tones[4], 0.0));
    canvas.fill(ball(0.9), QBrush(lamp));
}

// Chenille: a lobe each turn, its pile standing off all round.
void paintChenille(Canvas& canvas, const Axis& axis, const BodyScene& body) {
    Random random(body.seed);
    const int turns = std::max(1, static_cast<int>(std::lround((body.end - body.front) / body.pitch)));
    const double pitch = (body.end - body.front) / turns;
    const auto lobed = [&](double s) {
        const double phase = std::clamp((s - body.front) / pitch, 0.0, static_cast<double>(turns));
        constexpr double kScallop = 0.08;  // of the radius, between two turns
        const double ends = std::min({1.0, (s - body.front) / (0.5 * pitch) + 0.55, (body.end - s) / (0.5 * pitch) + 0.55});
        return body.radius(s) * (0.86 - kScallop * std::abs(std::cos(kPi * phase))) * ends;
    };
    canvas.fill(bandOutline(canvas, axis, body.front, body.end, 1.0, -1.0, lobed), shade(body.colour, -0.18));
    constexpr double kPerArea = 190.0;  // pile fibres a mm² of profile
    const double area = 2.0 * (body.end - body.front) * body.radius(0.5 * (body.front + body.end));
    const int n = static_cast<int>(kPerArea * area * furShare(canvas));
    for (int i = 0; i < n; ++i) {
        const double s = random.uniform(body.front, body.end), angle = random.uniform(-0.04 * kPi, 1.04 * kPi);
        const double lean = random.normal(0.30), turned = random.normal(0.30), reach = random.uniform(0.16, 0.30),
                     width = random.uniform(0.022, 0.036);
        const double tone = random.normal(0.05);
        if (canvas.skips(width)) continue;
        const Axis::Frame f = axis.frame(s);
        const Vec3 outward = std::cos(angle) * f.up + Vec3{0.0, 0.0, std::sin(angle)};
        const Vec3 round = -std::sin(angle) * f.up + Vec3{0.0, 0.0, std::cos(angle)};
        const double r = lobed(s);
        const Vec3 from = f.at + (0.80 * r) * outward,
                   to = from + (reach * body.radius(s)) * unit(outward + lean * f.rear + turned * round);
        const double between = std::abs(std::cos(kPi * (s - body.front) / pitch));
        canvas.line(from, 0.5 * (from + to), shade(body.colour, -0.14 - 0.06 * between + tone), 0.9, width);
        canvas.line(0.5 * (from + to), to, shade(body.colour, -0.08 + 0.22 * std::max(0.0, dot(outward, kLamp)) - 0.05 * between + tone),
                    0.9, 0.8 * width);
    }
    canvas.next();
}

// Clear tube: glossy half-rounds with light through their lower third.
void paintTube(Canvas& canvas, const Axis& axis, const BodyScene& body) {
    const int turns = std::max(1, static_cast<int>(std::lround((body.end - body.front) / body.pitch)));
    const double pitch = (body.end - body.front) / turns;
    const auto beaded = [&](double s) { return body.radius(s) * (1.0 - 0.07 * std::abs(std::cos(kPi * (s - body.front) / pitch))); };
    canvas.fill(bandOutline(canvas, axis, body.front, body.end, 1.0, -1.0, beaded), shade(body.colour, -0.08));
    canvas.fill(bandOutline(canvas, axis, body.front, body.end, -0.25, -0.85, beaded), shade(body.colour, 0.08), 0.7);
    canvas.fill(bandOutline(canvas, axis, body.front, body.end, 1.0, 0.72, beaded), shade(body.colour, -0.20), 0.5);
    for (int i = 0; i < turns; ++i) {
        const double front = body.front + i * pitch, slope = body.hand * pitch / kPi;
        const auto on = [&](double s, double angle) {
            return axis.on(std::clamp(s - slope * (angle / kPi - 0.5), body.front, body.end), beaded(s), angle);
        };
        for (const auto& [share, from, to, tone, alpha, width] :
             {std::tuple{0.02, 0.05, 0.95, -0.26, 0.55, 0.05}, std::tuple{0.35, 0.18, 0.36, 0.34, 0.85, 0.12},
              std::tuple{0.42, 0.14, 0.42, 0.20, 0.5, 0.20}}) {
            constexpr int kSteps = 6;
            Vec3 before = on(front + share * pitch, from * kPi);
            for (int k = 1; k <= kSteps; ++k) {
                const Vec3 p = on(front + share * pitch, std::lerp(from, to, static_cast<double>(k) / kSteps) * kPi);
                canvas.line(before, p, shade(body.colour, tone), alpha, width * std::min(1.0, pitch));
                before = p;
            }
        }
    }
    canvas.next();
}

// Stripped quill: each turn pale with its rear third dark, the edge between them crisp.
void paintQuill(Canvas& canvas, const Axis& axis, const BodyScene& body) {
    Random random(body.seed);
    const int turns = std::max(1, static_cast<int>(std::lround((body.end - body.front) / body.pitch)));
    const double pitch = (body.end - body.front) / turns;
    const auto radius = [&](double s) { return body.radius(s); };
    canvas.fill(bandOutline(canvas, axis, body.front, body.end, 1.0, -1.0, radius), shade(body.colour, 0.10));
    const double slope = body.hand * pitch;
    for (int i = 0; i < turns; ++i) {
        const double end = body.front + (i + 1) * pitch, from = end - random.uniform(0.28, 0.38) * pitch;
        QPolygonF dark;
        constexpr int kSteps = 10;
        const auto on = [&](double s, double angle) {
            return canvas.at(axis.on(std::clamp(s - slope * (angle / (2.0 * kPi) - 0.25), body.front, body.end), body.radius(s), angle));
        };
        for (int k = 0; k <= kSteps; ++k)
            dark << on(from, kPi * k / kSteps);
        for (int k = kSteps; k >= 0; --k)
            dark << on(end, kPi * k / kSteps);
        canvas.fill(dark, shade(body.colour, -0.30));
    }
    canvas.fill(bandOutline(canvas, axis, body.front, body.end, -0.35, -1.0, radius), toLab({0.06, 0.05, 0.05}), 0.20);
    canvas.fill(bandOutline(canvas, axis, body.front, body.end, 0.62, 0.42, radius), toLab({1.0, 0.97, 0.92}), 0.34);
}

// Wound fibres: a ribbon of strands with hairlines between them and a dark line between turns.
void paintRibbon(Canvas& canvas, const Axis& axis, const BodyScene& body) {
    const auto radius = [&](double s) { return body.radius(s); };
    paintThreaded(canvas, {axis, body.front, body.end, std::max(0.09, 0.25 * body.pitch), body.hand, body.colour, body.seed}, radius, 0.45,
                  0.35);
    const int turns = std::max(1, static_cast<int>(std::lround((body.end - body.front) / body.pitch)));
    const double pitch = (body.end - body.front) / turns;
    Random random(body.seed);
    for (int i = 1; i < turns; ++i) {
        const double s0 = body.front + i * pitch;
        Vec3 before = axis.on(std::min(s0 + 0.25 * body.hand * pitch, body.end), body.radius(s0), 0.0);
        constexpr int kSteps = 8;
        for (int k = 1; k <= kSteps; ++k) {
            const double angle = kPi * k / kSteps,
                         s = std::clamp(s0 - body.hand * pitch * (angle / (2.0 * kPi) - 0.25), body.front, body.end);
            const Vec3 p = axis.on(s, body.radius(s), angle);
            canvas.line(before, p, shade(body.colour, -0.24), 0.75, 0.06);
            before = p;
        }
        for (int k = 0; k < 10; ++k) {  // the flue along one edge
            const double angle = random.uniform(0.02, 0.98) * kPi,
                         s = std::clamp(s0 - body.hand * pitch * (angle / (2.0 * kPi) - 0.25), body.front, body.end);
            const Vec3 p = axis.on(s, body.radius(s), angle), out = axis.on(s + 0.05, body.radius(s) + 0.10, angle);
            canvas.line(p, out, shade(body.colour, 0.04), 0.5, 0.022);
        }
    }
    canvas.next();
}

}  // namespace

void paintFarFlues(Canvas& canvas, const Scene& scene) {
    for (const BodyScene& body : scene.bodies)
        if (body.surface == Surface::herl) paintHerl(canvas, scene.axis, body, true);
}

void paintBodies(Canvas& canvas, const Scene& scene) {
    for (const BodyScene& body : scene.bodies) {
        switch (body.surface) {
            case Surface::fur: paintFur(canvas, scene.axis, body); break;
            case Surface::rope: {
                BodyScene thick = body;
                thick.shag = 1.6;
                paintFur(canvas, scene.axis, thick);
                break;
            }
            case Surface::herl: paintHerl(canvas, scene.axis, body, false); break;
            case Surface::chenille: paintChenille(canvas, scene.axis, body); break;
            case Surface::tube: paintTube(canvas, scene.axis, body); break;
            case Surface::quill: paintQuill(canvas, scene.axis, body); break;
            case Surface::fibres: paintRibbon(canvas, scene.axis, body); break;
            case Surface::wire:
            case Surface::tinsel: paintTouching(canvas, scene.axis, body); break;
            case Surface::thread:
            case Surface::floss: {
                // The rear end falls to the wire.
                const double wire = scene.hook.wire / 2.0;
                constexpr double kFallsOver = 0.55;
                const auto radius = [&](double s) {
                    const double share = smoothstep(0.0, kFallsOver, body.end - s);
                    return std::lerp(wire, body.radius(s), 0.35 + 0.65 * share);
                };
                const bool floss = body.surface == Surface::floss;
                paintThreaded(
                    canvas,
                    {scene.axis, body.front, body.end, floss ? std::min(0.5, body.pitch) : body.pitch, body.hand, body.colour, body.seed},
                    radius, floss ? 0.55 : 1.0, floss ? 0.75 : 1.0);
                break;
            }
        }
    }
}

void paintBeads(Canvas& canvas, const Scene& scene) {
    for (const BeadScene& bead : scene.beads)
        paintBead(canvas, scene.axis, bead);
}

}  // namespace machair::drawing
