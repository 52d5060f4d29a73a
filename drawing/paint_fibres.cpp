// Hackles and tails: drawing.md sections 9 and 10.
#include <cmath>
#include <numbers>

#include "drawing/paint.h"

namespace machair::drawing {

namespace {

constexpr double kFarBeyond = -0.25;  // mm of depth

Lab along(const FibreLook& look, double t) {
    if (t < 0.35) return mix(look.root, look.middle, t / 0.35);
    if (t < 0.70) return look.middle;
    return mix(look.middle, look.tip, (t - 0.70) / 0.30);
}

// Marks of a barred feather along one fibre: each fades in and out in five steps.
class Marks {
  public:
    Marks(const Fibre& fibre, bool marked, Random& random) : length_(fibre.length) {
        if (!marked) return;
        const double own = random.uniform(0.70, 1.0);
        double at = -0.85 * std::fmod(0.37 * fibre.index, 1.0);
        while (at < fibre.length) {
            const double length = random.uniform(0.30, 0.75);
            marks_.push_back({at, length, own * random.uniform(0.55, 1.0)});
            at += length + random.uniform(0.18, 0.50);
        }
    }
    [[nodiscard]] double at(double mmAlong) const {
        for (const Mark& mark : marks_) {
            if (mmAlong < mark.from || mmAlong > mark.from + mark.length) continue;
            constexpr std::array<double, 5> kFade = {0.45, 0.85, 1.0, 0.85, 0.45};
            const auto step = static_cast<std::size_t>(std::min(4.0, 5.0 * (mmAlong - mark.from) / mark.length));
            return mark.strength * kFade[step] * smoothstep(0.02, 0.25, mmAlong / length_);
        }
        return 0.0;
    }

  private:
    struct Mark {
        double from, length, strength;
    };
    std::vector<Mark> marks_;
    double length_;
};

struct FarNess {
    double toPaper = 0.0;
    double chroma = 1.0;
    double alpha = 1.0;
};
constexpr FarNess kNear{};
constexpr FarNess kFar{0.16, 0.85, 0.80};

Lab placed(const Canvas& canvas, Lab colour, const FarNess& far) {
    colour = canvas.seen(colour);
    colour = canvas.clearOfBench(colour);
    colour.a *= far.chroma;
    colour.b *= far.chroma;
    return mix(colour, canvas.paper(), far.toPaper);
}

double fibreTone(Vec3 tangent, double own) {
    const FibreLight light = lightAlong(tangent);
    return std::clamp(-0.15 + 0.20 * light.diffuse + 0.09 * light.gloss + own - (tangent.y < 0.0 ? 0.03 : 0.0), -0.20, 0.09);
}

// Pairs of barbules: what makes a soft hackle soft.
void paintBarbules(Canvas& canvas, const Fibre& fibre, const FibreLook& look, const Marks& marks, const FarNess& far, Random& random) {
    constexpr double kWidth = 0.019;
    if (canvas.skips(kWidth)) return;
    // Behind the fly they are only its softness: fewer do.
    const double spacing = std::clamp(2.2 / canvas.k(), 0.034, 0.08) * (far.toPaper > 0.0 ? 1.6 : 1.0) * look.barbulesApart;
    const int n = static_cast<int>(fibre.length / spacing);
    const double alpha = far.toPaper > 0.0 ? 0.28 : 0.38;
    constexpr double kLean = 37.0 * kPi / 180.0;
    Vec3 before = fibre.curve[0];
    for (int i = 1; i < n; ++i) {
        const double t = (i + random.uniform(-0.3, 0.3)) / n;
        const Vec3 p = pointOn(fibre.curve, t);
        const Vec3 step = p - before;
        before = p;
        const double flat = std::hypot(step.x, step.y);
        const double whole = norm(step);
        if (whole < 1e-9 || flat < 1e-9) continue;
        const double foreshort = flat / whole;
        const Vec3 unitStep{step.x / flat, step.y / flat, 0.0};
        const double length = look.barbule * (1.0 - 0.66 * t) + (t < 0.33 ? 0.12 * (1.0 - t / 0.33) : 0.0);
        Lab colour = along(look, t);
        if (look.marked) colour = mix(colour, look.mark, 0.8 * marks.at(t * fibre.length));
        colour = placed(canvas, shade(colour, std::clamp(fibreTone(unit(step), fibre.tone) + 0.02, -0.2, 0.09)), far);
        for (const double side : {-1.0, 1.0}) {
            if (random.uniform() < 0.125) continue;
            const double own = length * random.uniform(0.55, 1.1) * foreshort;
            const double c = std::cos(side * kLean);
            const double s = std::sin(side * kLean);
            const Vec3 tip{p.x + own * (c * unitStep.x - s * unitStep.y), p.y + own * (s * unitStep.x + c * unitStep.y), p.z};
            canvas.line(p, tip, colour, alpha, kWidth);
        }
    }
}

void paintFibre(Canvas& canvas, const Fibre& fibre, const FibreLook& look, const FarNess& far) {
    Random random(fibre.seed);
    const Marks marks(fibre, look.marked, random);
    const bool barbules = look.barbule > 0.0 && canvas.everything();
    const double px = fibre.length * canvas.k();
    int n = std::clamp(static_cast<int>(px / 13.0), 2, 16);
    if (look.marked && canvas.k() > 8.0) n = std::clamp(static_cast<int>(fibre.length / (0.11 * std::min(2.0, look.barbulesApart))), n, 60);
    const double widthFloor = canvas.middling() ? 0.0 : 0.75 / canvas.k();
    Vec3 before = fibre.curve[0];
    for (int i = 0; i < n; ++i) {
        const double t = (i + 0.5) / n;
        const Vec3 p = pointOn(fibre.curve, static_cast<double>(i + 1) / n);
        const Vec3 tangent = unit(p - before);
        Lab colour = along(look, t);
        if (look.marked) colour = mix(colour, look.mark, marks.at(t * fibre.length));
        colour = placed(canvas, shade(colour, fibreTone(tangent, fibre.tone)), far);
        const double width = fibre.width * (1.0 - fibre.taper * std::pow(t, 1.15));
        const double slim = barbules ? (look.marked ? 0.80 : 0.62) : 1.0;  // the barbules make up the rest of what is seen
        canvas.line(before, p, colour, far.alpha * std::lerp(look.alphaRoot, look.alphaTip, t), std::max(widthFloor, slim * width));
        before = p;
    }
    if (barbules) paintBarbules(canvas, fibre, look, marks, far, random);
    if (look.kind == FibreKind::stiff && canvas.everything()) {  // a hair of light along part of a cock fibre
        const double from = random.uniform(0.15, 0.35);
        const double to = from + random.uniform(0.25, 0.33);
        constexpr int kSteps = 4;
        Vec3 last = pointOn(fibre.curve, from);
        for (int i = 1; i <= kSteps; ++i) {
            const Vec3 p = pointOn(fibre.curve, std::lerp(from, to, static_cast<double>(i) / kSteps));
            const FibreLight light = lightAlong(unit(p - last));
            canvas.line(last, p, placed(canvas, shade(look.middle, 0.16), far), far.alpha * (0.10 + 0.55 * light.gloss),
                        0.28 * fibre.width);
            last = p;
        }
    }
}

void paintTailFibre(Canvas& canvas, const Fibre& fibre, const FibreLook& look) {
    const int n = std::clamp(static_cast<int>(fibre.length * canvas.k() / 13.0), 2, 16);
    Vec3 before = fibre.curve[0];
    for (int i = 0; i < n; ++i) {
        const double t = (i + 0.5) / n;
        const Vec3 p = pointOn(fibre.curve, static_cast<double>(i + 1) / n);
        const double width = fibre.width * (1.0 - fibre.taper * t);
        canvas.line(before, p, canvas.clearOfBench(canvas.seen(shade(along(look, t), fibre.tone))), 0.95, width);
        before = p;
    }
    if (!canvas.everything()) return;
    Vec3 last = pointOn(fibre.curve, 0.25);
    for (int i = 1; i <= 4; ++i) {
        const Vec3 p = pointOn(fibre.curve, std::lerp(0.25, 0.70, i / 4.0));
        canvas.line(last, p, shade(look.middle, 0.20), 0.45, 0.35 * fibre.width * (1.0 - 0.5 * i / 4.0));
        last = p;
    }
}

// Tippet: level, barred twice, with the barbules that give it its pile.
void paintTippetFibre(Canvas& canvas, const Fibre& fibre, const FibreLook& look) {
    Random random(fibre.seed);
    const double spacing = look.barSpacing * (1.0 + random.uniform(-0.01, 0.01));
    constexpr double kRootedInside = 0.5;
    constexpr double kInnerStartsInside = 0.04;
    const auto inBar = [&](double mmAlong) {
        // Bars from the tips: the outer at the tip, the inner one spacing back; both 0.12 of the spacing long.
        const double fromTip = fibre.length - mmAlong;
        if (fromTip < 0.12 * spacing) return true;
        if (fromTip > spacing && fromTip < 1.12 * spacing) return true;
        return mmAlong < kRootedInside + kInnerStartsInside;
    };
    const int n = std::clamp(static_cast<int>(fibre.length * canvas.k() / 6.0), 8, 48);
    Lab black = look.mark;
    if (canvas.view().bench == Bench::slate) black.L += 0.10;
    Vec3 before = fibre.curve[0];
    for (int i = 0; i < n; ++i) {
        const double t = (i + 0.5) / n;
        const Vec3 p = pointOn(fibre.curve, static_cast<double>(i + 1) / n);
        const bool bar = inBar(t * fibre.length);
        const Lab orange = shade(mix(look.root, look.middle, smoothstep(0.0, 0.4, t)), fibre.tone);
        canvas.line(before, p, bar ? black : orange, 0.97, fibre.width * (bar ? 1.12 : 1.0) * (t > 0.97 ? 0.6 : 1.0));
        before = p;
    }
    if (!canvas.everything()) return;
    constexpr double kEvery = 0.055;
    constexpr double kLength = 0.115;
    constexpr double kLean = 30.0 * kPi / 180.0;
    const int pairs = static_cast<int>(fibre.length / kEvery);
    const Vec3 direction = unit(fibre.curve[3] - fibre.curve[0]);
    for (int i = 1; i < pairs; ++i) {
        const double t = (i + random.uniform(-0.3, 0.3)) / pairs;
        const Vec3 p = pointOn(fibre.curve, t);
        const Lab colour = inBar(t * fibre.length) ? black : shade(look.middle, fibre.tone - 0.03);
        for (const double side : {-1.0, 1.0}) {
            const double c = std::cos(side * kLean);
            const double s = std::sin(side * kLean);
            const Vec3 tip{p.x + kLength * (c * direction.x - s * direction.y), p.y + kLength * (s * direction.x + c * direction.y), p.z};
            canvas.line(p, tip, colour, 0.62, 0.02);
        }
    }
    for (int i = 1; i <= 4; ++i) {
        const Vec3 a = pointOn(fibre.curve, std::lerp(0.2, 0.8, (i - 1) / 4.0));
        const Vec3 b = pointOn(fibre.curve, std::lerp(0.2, 0.8, i / 4.0));
        if (!inBar(std::lerp(0.2, 0.8, (i - 0.5) / 4.0) * fibre.length)) canvas.line(a, b, shade(look.middle, 0.10), 0.42, 0.02);
    }
}

bool isFar(const Fibre& fibre) { return fibre.depth < kFarBeyond; }
constexpr double kTopOfWing = 26.0 * kPi / 180.0;

bool underWing(const HackleScene& hackle, const Fibre& fibre, const Scene& scene) {
    return !hackle.palmer && !hackle.overWing && !scene.wings.empty() && fibre.fromTop < kTopOfWing;
}

}  // namespace

void paintFarFibres(Canvas& canvas, const Scene& scene) {
    for (const HackleScene& hackle : scene.hackles) {
        for (const Fibre& fibre : hackle.fibres)
            if (isFar(fibre)) paintFibre(canvas, fibre, hackle.look, kFar);
        canvas.next();
    }
    paintFarFlues(canvas, scene);
    paintFarSlips(canvas, scene);
}

void paintBunch(Canvas& canvas, const TailScene& bunch) {
    for (const Fibre& fibre : bunch.fibres)
        switch (bunch.look.kind) {
            case FibreKind::tippet: paintTippetFibre(canvas, fibre, bunch.look); break;
            case FibreKind::soft: paintFibre(canvas, fibre, bunch.look, kNear); break;
            default: paintTailFibre(canvas, fibre, bunch.look); break;
        }
    canvas.next();
}

void paintTails(Canvas& canvas, const Scene& scene) {
    for (const TailScene& tail : scene.tails)
        paintBunch(canvas, tail);
}

void paintNearPalmer(Canvas& canvas, const Scene& scene) {
    for (const HackleScene& hackle : scene.hackles) {
        if (!hackle.palmer) continue;
        for (const Fibre& fibre : hackle.fibres)
            if (!isFar(fibre)) paintFibre(canvas, fibre, hackle.look, kNear);
        canvas.next();
    }
}

void paintUnderWing(Canvas& canvas, const Scene& scene) {
    for (const HackleScene& hackle : scene.hackles) {
        for (const Fibre& fibre : hackle.fibres)
            if (!isFar(fibre) && underWing(hackle, fibre, scene)) paintFibre(canvas, fibre, hackle.look, kNear);
        canvas.next();
    }
}

void paintNearCollar(Canvas& canvas, const Scene& scene) {
    for (const HackleScene& hackle : scene.hackles) {
        if (hackle.palmer) continue;
        constexpr std::array<double, 4> kBins = {-1e9, 1.0, 2.4, 1e9};  // mm of depth
        for (std::size_t bin = 0; bin + 1 < kBins.size(); ++bin) {
            for (const Fibre& fibre : hackle.fibres)
                if (!isFar(fibre) && !underWing(hackle, fibre, scene) && fibre.depth >= kBins[bin] && fibre.depth < kBins[bin + 1])
                    paintFibre(canvas, fibre, hackle.look, kNear);
            canvas.next();
        }
    }
}

}  // namespace machair::drawing
