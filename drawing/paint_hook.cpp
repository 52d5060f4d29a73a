// The hook: drawing.md section 5.
#include <cmath>
#include <numbers>
#include <utility>

#include "drawing/paint.h"

namespace machair::drawing {

namespace {

Ramp bronzeWire(Bench bench) {
    const auto tone = [](double r, double g, double b) { return toLab({r / 255.0, g / 255.0, b / 255.0}); };
    Ramp ramp{{tone(27, 19, 14), tone(66, 50, 38), tone(108, 88, 66), tone(160, 139, 106), tone(236, 223, 194)}};
    if (bench == Bench::slate)  // the outline a little lighter, so that it stands off the dark
        for (Lab& colour : ramp.tones)
            colour.L = std::min(0.98, colour.L + 0.05);
    return ramp;
}

int stripsFor(const Canvas& canvas, double widthMm) {
    constexpr double kPxPerStrip = 2.2;
    const int n = std::clamp(static_cast<int>(widthMm * canvas.k() / kPxPerStrip), 3, 11);
    return n % 2 == 0 ? n + 1 : n;
}

// Half width of the wire where `toTip` is left of it: a needle over the last 0.56 of the spear.
double halfWidth(const HookScene& hook, double toTip) {
    const double needle = 0.56 * hook.spear;
    if (toTip >= needle) return hook.wire / 2.0;
    const double t = 1.0 - toTip / needle;
    return hook.wire / 2.0 * std::max(0.0, 1.0 - std::pow(t, 1.4));
}

// The eye as a ring.
class Eye {
  public:
    explicit Eye(const HookScene& hook) : w_(hook.wire), axis_(hook.eyeAxis), across_(hook.eyeAcross) {}

    [[nodiscard]] std::vector<TubeStep> arc(double from, double to) const {
        std::vector<TubeStep> path;
        constexpr int kSteps = 26;
        for (int i = 0; i <= kSteps; ++i) {
            const double angle = std::lerp(from, to, static_cast<double>(i) / kSteps);
            path.push_back({at(angle), unit(at(angle + 0.01) - at(angle - 0.01)), 0.40 * w_});
        }
        return path;
    }
    // Where the shank runs into the ring.
    [[nodiscard]] Vec3 join() const { return 0.45 * w_ * axis_; }

  private:
    [[nodiscard]] Vec3 at(double angle) const {
        const double r = 1.3 * w_;
        return (1.8 * w_ + r * std::cos(angle)) * axis_ + r * std::sin(angle) * across_;
    }
    double w_;
    Vec3 axis_;
    Vec3 across_;
};

void paintBarb(Canvas& canvas, const HookScene& hook, const Ramp& ramp) {
    const double w = hook.wire;
    const double tipX = hook.line.back().at.x;
    const auto surface = [&](double x) { return -hook.depth + halfWidth(hook, std::max(0.0, x - tipX)); };
    const auto point = [&](double x, double above) { return canvas.at({x, surface(x) + above, 0.0}); };
    const double x = hook.barbX;
    QPolygonF cut;
    cut << point(x - 0.35 * w, 0.0) << point(x - 0.05 * w, -0.27 * w) << point(x + 0.35 * w, -0.20 * w) << point(x + 1.2 * w, 0.0);
    canvas.fill(cut, ramp.tones.front());
    QPolygonF sliver;
    sliver << point(x - 1.55 * w, -0.06 * w) << point(x - 0.9 * w, 0.05 * w) << point(x - 0.35 * w, 0.17 * w)
           << point(x + 0.12 * w, 0.34 * w) << point(x - 0.10 * w, 0.10 * w) << point(x - 0.35 * w, -0.06 * w)
           << point(x - 0.6 * w, -0.12 * w);
    QLinearGradient gradient(point(x + 0.12 * w, 0.34 * w), point(x - 1.2 * w, -0.1 * w));
    gradient.setColorAt(0.0, colourOf(ramp.tones[3]));
    gradient.setColorAt(0.5, colourOf(ramp.tones[2]));
    gradient.setColorAt(1.0, colourOf(ramp.tones[1]));
    canvas.fill(sliver, QBrush(gradient));
}

}  // namespace

void paintHook(Canvas& canvas, const HookScene& hook) {
    const Ramp ramp = bronzeWire(canvas.view().bench);
    const Eye eye(hook);
    const int ringStrips = stripsFor(canvas, 0.8 * hook.wire);
    constexpr double kLap = 20.0 * kPi / 180.0;
    paintTube(canvas, eye.arc(kPi, 2.0 * kPi), ramp, ringStrips);  // the far half

    std::vector<TubeStep> wire;
    const Vec3 join = eye.join();
    wire.push_back({join, unit(hook.line.front().at - join), 0.46 * hook.wire});
    const double bendStep = 7.0 / canvas.k();
    Vec3 last = join;
    for (std::size_t i = 0; i < hook.line.size(); ++i) {
        const auto& step = hook.line[i];
        const bool end = i == 0 || i + 1 == hook.line.size();
        const double half = halfWidth(hook, step.toTip);
        const bool needle = half < hook.wire / 2.0;
        if (!end && !needle && norm(step.at - last) < std::min(bendStep, 0.6)) continue;
        const Vec3 rise{0.0, needle ? 0.04 * hook.wire * (1.0 - 2.0 * half / hook.wire) : 0.0, 0.0};
        wire.push_back({step.at + rise, step.along, half});
        last = step.at;
    }
    // Looked down on, the bend turns away: it ends round.
    constexpr double kTurnsAway = 0.95;
    for (const HookScene::Step& step : hook.line)
        if (std::abs(step.along.z) > kTurnsAway) canvas.fill(roundAt(canvas, step.at, 0.5 * hook.wire), ramp.tones[1]);
    paintTube(canvas, wire, ramp, stripsFor(canvas, hook.wire));
    constexpr double kBarbFrom = 6.0;  // px/mm
    if (hook.barb && canvas.k() >= kBarbFrom) paintBarb(canvas, hook, ramp);
    paintTube(canvas, eye.arc(-kLap, kPi + kLap), ramp, ringStrips);  // the near half
    canvas.next();
}

// The bend hangs straight down, its rear in front of what it came from; the spear ends as a round towards the viewer.
void paintHookEndOn(Canvas& canvas, const HookScene& hook) {
    const Ramp ramp = bronzeWire(canvas.view().bench);
    constexpr double kAcross = 0.2;  // of the wire's run that is seen: less is a round
    std::vector<TubeStep> wire;
    for (const HookScene::Step& step : hook.line)
        if (std::abs(step.along.y) > kAcross) wire.push_back({step.at, step.along, halfWidth(hook, step.toTip)});
    paintTube(canvas, wire, ramp, stripsFor(canvas, hook.wire));
    for (const auto& [share, tone] : {std::pair{1.0, 1}, std::pair{0.62, 2}, std::pair{0.24, 0}})  // a needle: its tip is dark
        canvas.fill(roundAt(canvas, hook.line.back().at, 0.5 * share * hook.wire), ramp.tones[static_cast<std::size_t>(tone)]);
}

void paintEye(Canvas& canvas, const HookScene& hook) {
    paintTube(canvas, Eye(hook).arc(0.0, 2.0 * kPi), bronzeWire(canvas.view().bench), stripsFor(canvas, 0.8 * hook.wire));
    canvas.next();
}

}  // namespace machair::drawing
