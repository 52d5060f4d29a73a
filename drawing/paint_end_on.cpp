// The fly looked at along its shank: every tube is a row of rounds, the rear ones first, so that each hides what it covers.
#include <algorithm>
#include <cmath>
#include <optional>

#include "drawing/paint.h"

namespace machair::drawing {

namespace {

constexpr double kStep = 0.25;  // mm of shank from round to round

struct Round {
    double station = 0.0;
    double radius = 0.0;
    Lab colour;
    double shag = 0.0;  // of its edge: 0 a clean one
    bool metal = false;
    std::uint64_t seed = 0;
};

double shagOf(const BodyScene& body) {
    switch (body.surface) {
        case Surface::fur: return body.shag;
        case Surface::rope: return 1.6;
        case Surface::herl:
        case Surface::chenille: return 1.8;
        case Surface::thread:
        case Surface::floss:
        case Surface::tinsel:
        case Surface::fibres:
        case Surface::quill:
        case Surface::wire:
        case Surface::tube: return 0.0;
    }
    return 0.0;
}

std::vector<Round> roundsOf(const Scene& scene) {
    std::vector<Round> rounds;
    for (const BodyScene& body : scene.bodies)
        for (double s = body.end; s >= body.front; s -= kStep) {
            const bool metal = body.surface == Surface::tinsel || body.surface == Surface::wire;
            rounds.push_back({s, body.radius(s), body.colour, shagOf(body), metal,
                              seedOf(body.seed, static_cast<std::uint64_t>(std::lround(s / kStep)) + 500)});
        }
    for (const RibScene& rib : scene.ribs)
        for (const RibScene::Turn& turn : rib.turns)
            rounds.push_back({turn.station, turn.radius + rib.thickness, rib.colour, 0.0, rib.metal, rib.seed});
    for (double s = scene.bed.end; s > scene.bed.front; s -= kStep)
        rounds.push_back({s, scene.bed.radius(s), scene.bed.colour, 0.0, false, scene.bed.seed});
    for (const BeadScene& bead : scene.beads)
        rounds.push_back({bead.station, bead.radius, bead.colour, 0.0, true, 0});
    std::ranges::stable_sort(rounds, std::greater{}, &Round::station);
    return rounds;
}

// Lit from the lamp's side; metal throws back more of it.
QBrush roundBrush(const Canvas& canvas, Vec3 middle, double radius, Lab colour, bool metal) {
    const Vec3 lit = middle + Vec3{0.45 * radius * kLamp.x, 0.45 * radius * kLamp.y, 0.0};
    QRadialGradient gradient(canvas.at(middle), radius * canvas.k(), canvas.at(lit));
    gradient.setColorAt(0.0, colourOf(shade(colour, metal ? 0.24 : 0.08)));
    gradient.setColorAt(0.6, colourOf(shade(colour, -0.02)));
    gradient.setColorAt(1.0, colourOf(shade(colour, metal ? -0.24 : -0.15)));
    return gradient;
}

// Fur that stands out all round the edge.
void paintShag(Canvas& canvas, const Round& round, Vec3 middle) {
    constexpr double kPerRound = 26.0, kLean = 0.5;
    Random random(round.seed);
    const int strays = static_cast<int>(kPerRound * round.shag * std::clamp((canvas.k() - 8.0) / 28.0, 0.0, 1.4));
    for (int i = 0; i < strays; ++i) {
        const double angle = random.uniform(0.0, 2.0 * kPi);
        const double out = std::min(0.75, (random.uniform() < 0.16 ? 0.37 : 0.15) * std::exp(random.normal(0.45)));
        const double lean = angle + random.normal(kLean);
        const Vec3 root = middle + (round.radius - 0.14) * Vec3{std::cos(angle), std::sin(angle), 0.0};
        const Vec3 tip = root + (0.14 + out) * Vec3{std::cos(lean), std::sin(lean), 0.0};
        canvas.line(root, tip, shade(round.colour, 0.10 * std::sin(angle) + random.normal(0.06)), 0.7, random.uniform(0.018, 0.032));
    }
    canvas.next();
}

}  // namespace

void paintRounds(Canvas& canvas, const Scene& scene) {
    for (const Round& round : roundsOf(scene)) {
        const Vec3 middle = scene.axis.frame(round.station).at;
        canvas.fill(roundAt(canvas, middle, round.radius), roundBrush(canvas, middle, round.radius, round.colour, round.metal));
        if (round.shag > 0.0) paintShag(canvas, round, middle);
    }
}

// A folded wing, its two halves one after the other: a roof whose barbs run away from the viewer.
void paintWingsEndOn(Canvas& canvas, const Scene& scene) {
    constexpr double kWidest = 0.62;  // of its length: as much as is seen of it from here
    for (const WingScene& wing : scene.wings) {
        if (wing.build == WingBuild::bunch) {
            paintBunch(canvas, wing.bunch);
            continue;
        }
        const auto at = [&](double t, double v) { return wing.placeAt(t, v); };
        QPolygonF half;
        half << canvas.at(at(0.0, 0.0)) << canvas.at(at(0.5 * kWidest, 0.0)) << canvas.at(at(kWidest, 0.0)) << canvas.at(at(kWidest, 1.0))
             << canvas.at(at(0.5 * kWidest, 1.0)) << canvas.at(at(0.0, 1.0));
        const double tone = wing.roof < 0.0 ? 0.02 : -0.08;  // the lamp stands at the left
        canvas.fill(half, shade(wing.base, tone));
        Random random(wing.seed);
        const int barbs = std::max(6, static_cast<int>(wing.depth * 6.0));
        for (int b = 0; b < barbs; ++b) {
            const double v = (b + random.uniform(0.2, 0.8)) / barbs;
            const Lab colour = b % 3 == 0 ? wing.pale : wing.dark;
            canvas.line(at(0.02, v), at(kWidest, v), shade(colour, tone + random.normal(0.04)), 0.55, 0.035);
        }
        canvas.next();
    }
}

// The thread's turns as rings, and the light on the varnish.
void paintHeadRound(Canvas& canvas, const Scene& scene) {
    const HeadScene& head = scene.head;
    if (head.end <= head.front) return;
    const Vec3 middle = scene.axis.frame(head.front).at;
    for (double s = head.end; s > head.front; s -= head.pitch) {
        const double radius = head.radiusAt(s);
        canvas.fill(roundAt(canvas, middle, radius), shade(head.colour, -0.16));
        canvas.fill(roundAt(canvas, middle, radius - 0.25 * head.pitch), roundBrush(canvas, middle, radius, head.colour, false));
    }
    if (!head.varnished) return;
    const double r = head.radius;
    const Vec3 light = middle + Vec3{0.55 * r * kLamp.x, 0.55 * r * kLamp.y, 0.0};
    for (const double share : {0.30, 0.20, 0.10})
        canvas.fill(roundAt(canvas, light, share * r), toLab({1.0, 0.98, 0.94}), 0.22);
}

}  // namespace machair::drawing
