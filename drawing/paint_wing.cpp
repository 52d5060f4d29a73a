// Wings: drawing.md section 11.
#include <cmath>
#include <numbers>
#include <tuple>

#include "drawing/paint.h"

namespace machair::drawing {

namespace {

// A folded slip in its own axes: t along it from the tie-in, v across it from the lower edge to the fold.
class Leaf {
  public:
    Leaf(const WingScene& wing, double share, double offset) : wing_(wing), share_(share), offset_(offset) {}

    [[nodiscard]] double length() const { return wing_.length * share_; }
    [[nodiscard]] double depth(double t) const { return wing_.depthAt(t); }
    [[nodiscard]] Vec3 at(double t, double v) const { return wing_.placeAt(t, v, share_, offset_ * wing_.depth * smoothstep(0.0, 0.3, t)); }
    // How far a barb at v reaches, as a share of the length: the tip slants.
    [[nodiscard]] static double reach(double v) { return 1.0 - 0.16 * std::pow(1.0 - v, 1.3) - 0.07 * smoothstep(0.7, 1.0, v); }

  private:
    const WingScene& wing_;
    double share_;
    double offset_;
};

struct Sheet {
    double length;
    double offset;
    double tone;
    double jitter;
};

constexpr double kTaper = 0.95;  // mm at a barb's tip

class RolledWing {
  public:
    RolledWing(Canvas& canvas, const WingScene& wing) : canvas_(canvas), wing_(wing), random_(wing.seed) {
        drift_ = random_.uniform(0.0, 1.0);
        for (double& phase : phases_)
            phase = random_.uniform(0.0, 2.0 * kPi);
        for (double& strength : barStrength_)
            strength = random_.uniform(0.25, 1.0);
        for (double& duty : barDuty_)
            duty = random_.uniform(0.30, 0.52);
    }

    void paint() {
        constexpr std::array kSheets = {Sheet{0.955, -0.13, -0.15, 0.03}, Sheet{0.985, 0.05, -0.07, 0.03}, Sheet{1.0, 0.0, 0.0, 0.014}};
        shadeUnder();
        for (std::size_t i = kSheets.size() - static_cast<std::size_t>(wing_.sheets); i < kSheets.size(); ++i)
            sheet(kSheets[i], i + 1 == kSheets.size());
        lightAndPinch();
    }

  private:
    // Depth of the bar at a place: 0 between bars, up to 1 in one.
    double bar(double x, double v, double barbStrength, double barbPhase) const {
        if (wing_.marking == Marking::plain) return 0.0;
        const double slow = 0.10 * std::sin(0.9 * x + phases_[0]) + 0.07 * std::sin(2.3 * x + 4.0 * v + phases_[1]);
        const double phase = (x + 0.34 * (v - 0.5) * wing_.depth + slow) / 0.62 + drift_ + barbPhase;
        const double whole = std::floor(phase);
        const auto index = static_cast<std::size_t>(std::abs(whole)) % barStrength_.size();
        const double duty = barDuty_[index];
        const double inBar = phase - whole;
        const double soft = smoothstep(0.0, 0.12, inBar) * (1.0 - smoothstep(duty, duty + 0.12, inBar));
        const double strength = wing_.marking == Marking::barred ? 0.8 + 0.2 * barStrength_[index] : barStrength_[index];
        return soft * strength * barbStrength * smoothstep(0.04, 0.25, x / wing_.length);
    }

    // Where the wing lies on the body, its shade.
    void shadeUnder() {
        const Leaf leaf(wing_, 1.0, 0.0);
        const Lab dark = toLab({0.08, 0.06, 0.05});
        struct Edge {
            double width, alpha;
        };
        for (const Edge edge : {Edge{0.34, 0.10}, Edge{0.22, 0.14}, Edge{0.12, 0.18}}) {
            Vec3 before = leaf.at(0.04, 0.0);
            constexpr int kSteps = 18;
            for (int i = 1; i <= kSteps; ++i) {
                const Vec3 p = leaf.at(std::lerp(0.04, 0.66, static_cast<double>(i) / kSteps), -0.02);
                canvas_.line(before, p, dark, edge.alpha, edge.width, 0.0);
                before = p;
            }
            canvas_.next();
        }
    }

    void sheet(const Sheet& sheet, bool outer) {
        const Leaf leaf(wing_, sheet.length, sheet.offset);
        constexpr double kBarbsPerMm = 4.4;
        const double fineness = canvas_.everything() ? 1.0 : std::max(0.45, canvas_.k() / 20.0);
        const int barbs = std::max(4, static_cast<int>(std::lround(wing_.depth * kBarbsPerMm * fineness)));
        const double share = 1.0 / barbs;
        for (int b = 0; b < barbs; ++b) {
            const double v = (b + 0.5) * share;
            const double length = Leaf::reach(v) * (1.0 + random_.normal(sheet.jitter));
            const double part = random_.normal(0.010);
            const double tone = sheet.tone + std::lerp(-0.12, 0.06, v);
            // Of the inner sheets only the lower edge and the tips are seen beside the outer one.
            constexpr double kLowerEdge = 0.18;
            constexpr double kTipsFrom = 0.72;
            const double from = outer || v < kLowerEdge ? 0.0 : kTipsFrom;
            barb(leaf, v, from, length, part, share, tone);
            canvas_.next();
            streaks(leaf, v, from, length, part, share, tone, outer ? 1.0 : 2.0);
            canvas_.next();
        }
    }

    void barb(const Leaf& leaf, double v, double from, double reach, double part, double share, double tone) {
        const double taperFrom = std::max(from, reach - kTaper / leaf.length());
        const double px = leaf.length() * canvas_.k();
        Vec3 before = leaf.at(from, v);
        const auto run = [&](double begin, double end, int n) {
            for (int i = 1; i <= n; ++i) {
                const double t = std::lerp(begin, end, static_cast<double>(i) / n);
                const Vec3 p = leaf.at(t, v + part * smoothstep(0.8, 1.0, t));
                const double toTip = std::clamp((reach - t) / std::max(1e-6, reach - taperFrom), 0.0, 1.0);
                const double width = 1.12 * share * leaf.depth(t) * (0.10 + 0.90 * std::sqrt(toTip));
                canvas_.line(before, p, shade(wing_.base, tone), 1.0, std::max(width, 0.02), 0.3);
                const Vec3 below = -0.5 * width * wing_.up;
                canvas_.line(before + below, p + below, shade(wing_.dark, tone - 0.06), canvas_.everything() ? 0.42 : 0.25, 0.024);
                before = p;
            }
        };
        run(from, taperFrom, std::clamp(static_cast<int>((taperFrom - from) * px / 13.0), 1, 30));
        run(taperFrom, reach, std::clamp(static_cast<int>(kTaper * canvas_.k() / 5.0), 2, 8));
    }

    // Barbules: short streaks along the barb, which carry the bars.
    void streaks(const Leaf& leaf, double v, double from, double reach, double part, double share, double tone, double apart) {
        if (canvas_.k() <= 6.0) return;
        const double barbStrength = random_.uniform(0.25, 1.0);
        const double barbPhase = random_.normal(wing_.marking == Marking::barred ? 0.03 : 0.16);
        const double coarser = std::pow(40.0 / std::max(8.0, canvas_.k()), 0.75);
        // One streak where two of 0.028 would lie side by side: the same cover for half the segments.
        constexpr double kWidth = 0.042;
        if (canvas_.skips(kWidth)) return;
        const double width = std::max(kWidth, 0.75 / canvas_.k());
        double x = std::max(0.1, from * leaf.length());
        while (x < reach * leaf.length() - 0.15) {
            x += random_.uniform(0.036, 0.052) * std::max(1.0, coarser) * apart;
            const double length = random_.uniform(0.16, 0.34);
            const double at = v + share * random_.uniform(-0.45, 0.25);
            const double t0 = x / leaf.length();
            const double t1 = std::min(reach, (x + length) / leaf.length());
            const double dark = bar(x + 0.5 * length, v, barbStrength, barbPhase);
            const bool pale = dark < 0.2 && random_.uniform() < 0.30;
            const Lab colour = pale ? wing_.pale : mix(wing_.base, wing_.dark, dark);
            const double twitch = random_.normal(0.03);
            const double fan = part * smoothstep(0.8, 1.0, t1);
            canvas_.line(leaf.at(t0, at + fan), leaf.at(t1, at + fan + 0.20 * share), shade(colour, tone + twitch),
                         dark > 0.0 ? 0.50 + 0.5 * dark : (pale ? 0.36 : 0.30), width, 0.0);
        }
    }

    void lightAndPinch() {
        const Leaf leaf(wing_, 1.0, 0.0);
        const Lab white = toLab({1.0, 0.95, 0.86});
        struct Edge {
            double width, alpha;
        };
        for (const Edge edge : {Edge{0.22, 0.07}, Edge{0.12, 0.10}, Edge{0.05, 0.18}}) {
            Vec3 before = leaf.at(0.10, 0.95);
            constexpr int kSteps = 16;
            for (int i = 1; i <= kSteps; ++i) {
                const Vec3 p = leaf.at(std::lerp(0.10, 0.86, static_cast<double>(i) / kSteps), 0.95);
                canvas_.line(before, p, white, edge.alpha, edge.width, 0.0);
                before = p;
            }
            canvas_.next();
        }
        // Pinched at the tie-in: a shade that runs out over the first sixth.
        QPolygonF pinch;
        constexpr int kSteps = 8;
        for (int i = 0; i <= kSteps; ++i)
            pinch << canvas_.at(leaf.at(0.16 * i / kSteps, 1.0));
        for (int i = kSteps; i >= 0; --i)
            pinch << canvas_.at(leaf.at(0.16 * i / kSteps, 0.0));
        QLinearGradient gradient(canvas_.at(leaf.at(0.0, 0.5)), canvas_.at(leaf.at(0.16, 0.5)));
        const Lab dark = toLab({0.09, 0.06, 0.05});
        gradient.setColorAt(0.0, colourOf(dark, 0.55));
        gradient.setColorAt(1.0, colourOf(dark, 0.0));
        canvas_.fill(pinch, QBrush(gradient));
    }

    Canvas& canvas_;
    const WingScene& wing_;
    Random random_;
    double drift_ = 0.0;
    std::array<double, 2> phases_{};
    std::array<double, 17> barStrength_{};
    std::array<double, 17> barDuty_{};
};

// A slip of quill, its barbs married edge to edge: one smooth sheet with fine lines on it.
class SlipWing {
  public:
    // `turnedUp` (radians) off the other one of its pair.
    SlipWing(Canvas& canvas, const WingScene& wing, double turnedUp = 0.0) : canvas_(canvas), wing_(wing), random_(wing.seed ^ 0x511full) {
        const double c = std::cos(turnedUp), s = std::sin(turnedUp);
        wing_.along = c * wing.along + s * wing.up;
        wing_.up = c * wing.up - s * wing.along;
    }

    void paint(double tone) {
        tone_ = tone;
        sheet();
        ribbons();
        barbs();
    }

  private:
    // How far a barb at v reaches: the edge slants, and its longest barb ends where the plan says.
    [[nodiscard]] static double reach(double v) {
        constexpr double kLongest = 0.9525;  // of the slant below, near v 0.78
        return (1.0 - 0.26 * std::pow(1.0 - v, 1.2) - 0.05 * smoothstep(0.75, 1.0, v)) / kLongest;
    }
    [[nodiscard]] Vec3 at(double t, double v) const { return wing_.placeAt(t, v); }
    [[nodiscard]] QPolygonF band(double low, double high) const {
        QPolygonF outline;
        constexpr int kSteps = 26;
        for (int i = 0; i <= kSteps; ++i)
            outline << canvas_.at(at(reach(high) * i / kSteps, high));
        for (int i = 1; i < 8; ++i) {
            const double v = std::lerp(high, low, i / 8.0);
            outline << canvas_.at(at(reach(v), v));
        }
        for (int i = kSteps; i >= 0; --i)
            outline << canvas_.at(at(reach(low) * i / kSteps, low));
        return outline;
    }
    void sheet() {
        // One clean slant: the barbs lie edge to edge, no more than a hair proud of each other.
        QPolygonF outline;
        constexpr int kSteps = 26;
        const int barbs = std::max(8, static_cast<int>(wing_.depth * 3.2));
        for (int i = 0; i <= kSteps; ++i)
            outline << canvas_.at(at(reach(1.0) * i / kSteps, 1.0));
        for (int b = barbs; b-- > 0;) {
            const double v = (b + 0.5) / barbs;
            const double proud = random_.uniform(-0.012, 0.012) / wing_.length;
            outline << canvas_.at(at(reach(v) + proud, v));
        }
        for (int i = kSteps; i >= 0; --i)
            outline << canvas_.at(at(reach(0.0) * i / kSteps, 0.0));
        QLinearGradient gradient(canvas_.at(at(0.0, 0.5)), canvas_.at(at(1.0, 0.5)));
        gradient.setColorAt(0.0, colourOf(shade(wing_.base, tone_ - 0.14)));
        gradient.setColorAt(0.25, colourOf(shade(wing_.base, tone_ - 0.02)));
        gradient.setColorAt(0.7, colourOf(shade(wing_.base, tone_ + 0.03)));
        gradient.setColorAt(1.0, colourOf(shade(wing_.base, tone_ - 0.03)));
        canvas_.fill(outline, QBrush(gradient));
    }
    void ribbons() {
        const Lab dark = shade(wing_.dark, tone_ - 0.10);
        for (const double v : {0.42, 0.30, 0.19, 0.10})
            canvas_.fill(band(0.0, v), dark, 0.08);
        const Lab light = shade(wing_.pale, tone_ + 0.10);
        for (const auto& [low, high] : {std::pair{0.48, 0.88}, std::pair{0.55, 0.82}, std::pair{0.61, 0.76}})
            canvas_.fill(band(low, high), light, 0.08);
    }
    void barbs() {
        const double fineness = canvas_.everything() ? 1.0 : std::max(0.45, canvas_.k() / 20.0);
        const int n = std::max(6, static_cast<int>(std::lround(wing_.depth * 5.0 * fineness)));
        const int steps = std::clamp(static_cast<int>(wing_.length * canvas_.k() / 13.0), 6, 32);
        for (int b = 1; b < n; ++b) {
            const double v = (b + random_.normal(0.12)) / n;
            const bool light = b % 2 == 0;
            const double own = random_.normal(0.03);
            Vec3 before = at(0.04, v);
            for (int i = 1; i <= steps; ++i) {
                const double t = std::lerp(0.04, reach(std::clamp(v, 0.0, 1.0)) - 0.01, static_cast<double>(i) / steps);
                const Vec3 p = at(t, v);
                canvas_.line(before, p, shade(light ? wing_.pale : wing_.dark, tone_ + own), light ? 0.24 : 0.34, 0.026, 0.0);
                before = p;
            }
            if (!canvas_.everything()) continue;
            for (double x = 0.3; x < reach(std::clamp(v, 0.0, 1.0)) * wing_.length - 0.2; x += random_.uniform(0.10, 0.16)) {
                const double t = x / wing_.length;
                canvas_.line(at(t, v), at(t + 0.16 / wing_.length, v + 0.35 / n), shade(wing_.dark, tone_ + 0.02), 0.22, 0.02, 0.0);
            }
        }
        canvas_.next();
    }

    Canvas& canvas_;
    WingScene wing_;  // turned
    Random random_;
    double tone_ = 0.0;
};

}  // namespace

void paintFarSlips(Canvas& canvas, const Scene& scene) {
    for (const WingScene& wing : scene.wings)
        if (wing.build == WingBuild::slips && wing.pair) SlipWing(canvas, wing, wing.parted * kPi / 180.0).paint(-0.10);
}

namespace {

void paintWing(Canvas& canvas, const WingScene& wing) {
    switch (wing.build) {
        case WingBuild::rolled: return RolledWing(canvas, wing).paint();
        case WingBuild::slips: return SlipWing(canvas, wing).paint(0.0);
        case WingBuild::bunch: return paintBunch(canvas, wing.bunch);
    }
}

}  // namespace

void paintWings(Canvas& canvas, const Scene& scene) {
    for (const WingScene& wing : scene.wings)
        if (!wing.facesViewer()) paintWing(canvas, wing);
}

void paintFacingWings(Canvas& canvas, const Scene& scene) {
    for (const WingScene& wing : scene.wings)
        if (wing.facesViewer()) paintWing(canvas, wing);
}

void paintCheeks(Canvas& canvas, const Scene& scene) {
    for (const CheekScene& cheek : scene.cheeks) {
        Random random(cheek.seed);
        const auto at = [&](double t, double v) {  // v −1 … 1 across a leaf that is widest before its middle
            const double half = 0.5 * cheek.width * std::sin(kPi * std::pow(std::clamp(t, 0.0, 1.0), 0.75));
            return cheek.root + (t * cheek.length) * cheek.along + (v * half) * cheek.up;
        };
        const auto leaf = [&](double from, double to, double share) {
            QPolygonF outline;
            constexpr int kSteps = 16;
            for (int i = 0; i <= kSteps; ++i)
                outline << canvas.at(at(std::lerp(from, to, static_cast<double>(i) / kSteps), share));
            for (int i = kSteps; i >= 0; --i)
                outline << canvas.at(at(std::lerp(from, to, static_cast<double>(i) / kSteps), -share));
            return outline;
        };
        canvas.fill(leaf(0.0, 1.0, 1.0), cheek.colour);
        constexpr int kFringe = 70;
        for (int i = 0; i < kFringe; ++i) {
            const double t = random.uniform(0.15, 0.98);
            const double side = i % 2 == 0 ? 1.0 : -1.0;
            const Vec3 from = at(t, 0.6 * side);
            canvas.line(from, from + random.uniform(0.2, 0.45) * unit(cheek.along + (0.5 * side) * cheek.up),
                        shade(cheek.colour, random.normal(0.05) + 0.04), 0.8, 0.025);
        }
        canvas.next();
        // Two drops pointing forward, each in three nested tones.
        const auto drop = [&](double from, double to, double share, Lab colour) {
            QPolygonF outline;
            constexpr int kSteps = 14;
            for (const double side : {1.0, -1.0})
                for (int i = 0; i <= kSteps; ++i) {
                    const double u = static_cast<double>(side > 0.0 ? i : kSteps - i) / kSteps;
                    outline << canvas.at(at(std::lerp(from, to, u), side * share * std::sin(kPi * std::pow(u, 1.7))));
                }
            canvas.fill(outline, colour);
        };
        const Lab bone = toLab({0.93, 0.89, 0.78});
        for (const auto& [from, to, share, colour] : {std::tuple{0.10, 0.52, 0.62, cheek.spot}, std::tuple{0.54, 0.90, 0.58, bone}}) {
            drop(from, to, share, shade(colour, -0.12));
            drop(std::lerp(from, to, 0.10), std::lerp(from, to, 0.95), 0.78 * share, colour);
            drop(std::lerp(from, to, 0.42), std::lerp(from, to, 0.86), 0.34 * share, shade(colour, 0.10));
        }
        for (int i = 0; i < 14; ++i) {  // the barbs run on across the drops
            const double v = random.uniform(-0.7, 0.7);
            canvas.line(at(0.12, 0.3 * v), at(0.90, v), cheek.colour, 0.22, 0.016, 0.0);
        }
        canvas.next();
    }
}

}  // namespace machair::drawing
