#include "drawing/things.h"

#include <QLinearGradient>
#include <QPainterPath>
#include <QRadialGradient>
#include <algorithm>
#include <cmath>
#include <functional>
#include <numbers>

#include "book/fitting.h"
#include "book/flies.h"
#include "book/kinds.h"
#include "book/lists.h"
#include "book/record_edits.h"
#include "drawing/fly_painter.h"
#include "units/random.h"

namespace machair::drawing {

namespace {

// The colours of a material, at least one; lifted so that black shows on a dark bench.
std::vector<QColor> coloursOf(const Material& m, Bench bench) {
    std::vector<QColor> list;
    for (const std::string& c : m.colours)
        list.emplace_back(QString::fromStdString(c));
    if (list.empty()) list.emplace_back(m.colour ? QColor(QString::fromStdString(*m.colour)) : QColor(0x8a, 0x80, 0x70));
    if (bench == Bench::slate)
        for (QColor& colour : list)
            if (colour.lightnessF() < 0.26F) colour.setHslF(std::max(0.0F, colour.hslHueF()), colour.hslSaturationF(), 0.26F);
    return list;
}

// What every painter of a material is given.
struct Swatch {
    QPainter& painter;
    QRectF frame;
    std::vector<QColor> colours;
    Marking marking;
    Random random;
    const Material& material;

    [[nodiscard]] const QColor& ink() const { return colours.front(); }
    // Of a barb at a share of the feather's width (0 stem, 1 tip), along it (0 butt, 1 tip).
    [[nodiscard]] QColor inkAt(double along, double out) {
        const QColor base = colours.front();
        const QColor other = colours.size() > 1 ? colours[1] : base.darker(175);
        switch (marking) {
            case Marking::barred: return std::fmod(along * 9.0 + out * 1.1, 1.0) < 0.38 ? other : base;
            case Marking::mottled: return random.uniform(0.0, 1.0) < 0.30 ? base.darker(random.uniform(0, 1) < 0.5 ? 145 : 120) : base;
            case Marking::tipped: return out > 0.72 ? other : base;
            case Marking::list: return out < 0.34 ? (colours.size() > 1 ? colours[1] : base.darker(200)) : base;
            case Marking::plain: break;
        }
        return base;
    }
    void stroke(const QPainterPath& path, const QColor& colour, double width) const {
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(colour, width, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        painter.drawPath(path);
    }
};

// A feather along the frame: stem from left to right, barbs `half(along)` of the frame's half height to each side.
void paintFeather(Swatch& s, const std::function<double(double)>& half, double sweep, double bare, int barbs) {
    const double w = s.frame.width(), y = s.frame.center().y(), h = 0.5 * s.frame.height();
    const auto stemAt = [&](double along) { return QPointF(s.frame.left() + along * w, y + 0.06 * h * std::sin(kPi * along)); };
    for (int i = 0; i < barbs; ++i) {
        const double along = bare + (1.0 - bare) * (i + 0.5) / barbs;
        for (const double side : {-1.0, 1.0}) {
            const double reach = h * half((along - bare) / (1.0 - bare)) * s.random.uniform(0.93, 1.0);
            if (reach < 0.5) continue;
            const QPointF root = stemAt(along);
            const double lean = sweep * reach;
            QPointF last = root;
            constexpr int kSteps = 5;
            for (int k = 1; k <= kSteps; ++k) {
                const double out = static_cast<double>(k) / kSteps;
                const QPointF next(std::min(s.frame.right(), root.x() + lean * out * out * 0.9 + lean * 0.25 * out),
                                   root.y() + side * reach * out);
                s.painter.setPen(
                    QPen(s.inkAt((along - bare) / (1.0 - bare), out), std::max(0.7, 0.9 * w / barbs * 0.55), Qt::SolidLine, Qt::RoundCap));
                s.painter.drawLine(last, next);
                last = next;
            }
        }
    }
    QPainterPath stem(stemAt(0.0));
    for (int i = 1; i <= 12; ++i)
        stem.lineTo(stemAt(i / 12.0));
    s.stroke(stem, s.ink().darker(150), std::max(1.0, 0.016 * w));
}

void paintHackleFeather(Swatch& s) {
    const HackleTraits traits = std::get<HackleTraits>(s.material.traits);
    const bool long_ = traits.bird == Bird::cockSaddle || traits.bird == Bird::cockCape;
    const bool round = traits.bird == Bird::partridge || traits.bird == Bird::grouse;
    if (!long_ && !round) s.frame = s.frame.adjusted(0.08 * s.frame.width(), 0, -0.08 * s.frame.width(), 0);
    if (long_) s.frame = QRectF(s.frame.left(), s.frame.center().y() - 0.20 * s.frame.height(), s.frame.width(), 0.40 * s.frame.height());
    if (round) s.frame = s.frame.adjusted(0.16 * s.frame.width(), 0, -0.16 * s.frame.width(), 0);
    const auto outline = [long_, round](double x) {
        if (x > 0.985) return 0.10;
        if (round) return 0.95 * std::pow(std::sin(kPi * std::min(1.0, 0.12 + 0.90 * x)), 0.55);
        return long_ ? (0.55 + 0.45 * std::min(1.0, 4.0 * x)) * (1.0 - 0.82 * std::pow(x, 2.2))
                     : (0.75 + 0.25 * std::min(1.0, 3.0 * x)) * (1.0 - 0.80 * std::pow(x, 1.8));
    };
    paintFeather(s, outline, long_ ? 0.9 : 0.6, 0.10, long_ ? 70 : 54);
    for (int i = 0; i < 26; ++i) {  // fluff at the butt
        const QPointF at(s.frame.left() + s.random.uniform(0.02, 0.14) * s.frame.width(), s.frame.center().y());
        QPainterPath wisp(at);
        wisp.quadTo(at + QPointF(s.random.uniform(-6, 4), s.random.uniform(-9, 9)),
                    at + QPointF(s.random.uniform(-10, 2), s.random.uniform(-14, 14)));
        QColor grey = s.ink().lighter(125);
        grey.setAlpha(120);
        s.stroke(wisp, grey, 0.8);
    }
}

void paintVane(Swatch& s) {
    const bool quill = s.material.kind == MaterialKind::quill;
    s.frame = s.frame.adjusted(0.02 * s.frame.width(), 0.04 * s.frame.height(), -0.02 * s.frame.width(), -0.04 * s.frame.height());
    // A flank is broad and even; a quill's slip side is wide and its lead edge narrow.
    const double w = s.frame.width(), y = s.frame.top() + (quill ? 0.30 : 0.5) * s.frame.height(), h = s.frame.height();
    const auto width = [](double x) { return std::pow(std::sin(kPi * std::min(1.0, 0.10 + 0.86 * x)), 0.6); };
    const int barbs = static_cast<int>(std::max(30.0, w / 2.2));
    for (int i = 0; i < barbs; ++i) {
        const double along = 0.10 + 0.90 * (i + 0.5) / barbs;
        const QPointF root(s.frame.left() + along * w, y);
        for (const double side : {-1.0, 1.0}) {
            const double room = side < 0.0 ? y - s.frame.top() : s.frame.bottom() - y;
            const double reach = room * width((along - 0.1) / 0.9) * (quill && side < 0 ? 0.5 : 1.0);
            QPointF last = root;
            for (int k = 1; k <= 6; ++k) {
                const double out = k / 6.0;
                const QPointF next(std::min(s.frame.right(), root.x() + 0.42 * reach * out), y + side * reach * out);
                s.painter.setPen(QPen(s.inkAt(along, out), std::max(0.9, 0.8 * w / barbs), Qt::SolidLine, Qt::FlatCap));
                s.painter.drawLine(last, next);
                last = next;
            }
        }
    }
    QPainterPath stem(QPointF(s.frame.left(), y));
    stem.lineTo(QPointF(s.frame.right(), y));
    s.stroke(stem, s.ink().lighter(150), std::max(1.2, 0.012 * h + 1.0));
}

void paintTippet(Swatch& s) {
    const QColor bar = s.colours.size() > 1 ? s.colours[1] : QColor(0x1d, 0x18, 0x15);
    const QPointF root(s.frame.left() + 0.04 * s.frame.width(), s.frame.center().y());
    const double reach = 0.92 * s.frame.width();
    for (int i = 0; i < 46; ++i) {
        const double angle = std::lerp(-0.5, 0.5, (i + 0.5) / 46.0) * std::min(1.1, s.frame.height() / s.frame.width() * 1.7);
        const auto at = [&](double share) { return root + share * reach * QPointF(std::cos(angle), std::sin(angle)); };
        s.painter.setPen(QPen(s.ink(), 1.6));
        s.painter.drawLine(at(0.1), at(0.98));
        s.painter.setPen(QPen(bar, 2.0));
        s.painter.drawLine(at(0.60), at(0.70));
        s.painter.drawLine(at(0.91), at(0.985));
    }
}

void paintPinch(Swatch& s) {
    const QPointF centre = s.frame.center();
    const double rx = 0.42 * s.frame.width(), ry = 0.40 * s.frame.height();
    const auto& traits = std::get<DubbingTraits>(s.material.traits);
    const bool fine = traits.texture == DubbingTexture::fineSynthetic;
    const bool sparkle = traits.texture == DubbingTexture::coarseSynthetic;
    const int fibres = fine ? 700 : 420;
    for (int i = 0; i < fibres; ++i) {
        const double r = std::sqrt(s.random.uniform(0.0, 1.0)), a = s.random.uniform(0.0, 2.0 * kPi);
        const QPointF at = centre + QPointF(rx * r * std::cos(a), ry * r * std::sin(a));
        const double turn = s.random.uniform(0.0, 2.0 * kPi), length = (fine ? 0.16 : 0.26) * std::min(rx, ry) * s.random.uniform(0.6, 1.5);
        const QPointF end = at + length * QPointF(std::cos(turn), std::sin(turn));
        const QPointF bow = 0.5 * (at + end) + 0.45 * length * QPointF(-std::sin(turn), std::cos(turn)) * s.random.uniform(-1.0, 1.0);
        QPainterPath path(at);
        path.quadTo(bow, end);
        const double tone = s.random.uniform(0.0, 1.0);
        QColor colour = tone < 0.3 ? s.ink().darker(135) : tone > 0.85 ? s.ink().lighter(sparkle ? 175 : 130) : s.ink();
        colour.setAlpha(210);
        s.stroke(path, colour, fine ? 0.8 : 1.1);
    }
}

// Shaded across: light at a third of its width.
QLinearGradient roundShade(const QColor& colour, QPointF from, QPointF to, bool metal) {
    QLinearGradient gradient(from, to);
    gradient.setColorAt(0.0, colour.darker(metal ? 170 : 140));
    gradient.setColorAt(0.32, colour.lighter(metal ? 165 : 122));
    gradient.setColorAt(0.55, colour);
    gradient.setColorAt(1.0, colour.darker(metal ? 190 : 160));
    return gradient;
}

// A spool with so much wound on it: thread fine, oval and wire coarser and bright.
void paintSpool(Swatch& s, double turnPx, bool metal) {
    const double h = std::min(s.frame.height(), 0.9 * s.frame.width()) * 0.86, w = 0.95 * h;
    const QRectF body(s.frame.center().x() - 0.5 * w, s.frame.center().y() - 0.5 * h, w, h);
    const QColor wood(0xb9, 0xa2, 0x80);
    const QRectF wound = body.adjusted(0.06 * w, 0.16 * h, -0.06 * w, -0.16 * h);
    s.painter.setPen(Qt::NoPen);
    s.painter.setBrush(roundShade(s.ink(), wound.topLeft(), wound.topRight(), metal));
    s.painter.drawRect(wound);
    s.painter.setClipRect(wound);
    for (double y = wound.top() + 0.5 * turnPx; y < wound.bottom(); y += turnPx) {
        s.painter.setPen(QPen(s.ink().darker(metal ? 175 : 140), std::max(0.5, 0.28 * turnPx)));
        s.painter.drawLine(QPointF(wound.left(), y), QPointF(wound.right(), y - 0.35 * turnPx));
        if (!metal) continue;
        s.painter.setPen(QPen(s.ink().lighter(180), std::max(0.5, 0.22 * turnPx)));
        s.painter.drawLine(QPointF(wound.left() + 0.26 * wound.width(), y - 0.5 * turnPx),
                           QPointF(wound.left() + 0.42 * wound.width(), y - 0.55 * turnPx));
    }
    s.painter.setClipping(false);
    for (const double top : {body.top(), body.bottom() - 0.16 * h}) {
        const QRectF flange(body.left(), top, w, 0.16 * h);
        s.painter.setPen(QPen(wood.darker(160), 0.8));
        s.painter.setBrush(roundShade(wood, flange.topLeft(), flange.topRight(), false));
        s.painter.drawRoundedRect(flange, 0.05 * h, 0.05 * h);
    }
}

// A strip laid in a wave, turned over once so that both faces are seen.
void paintStrip(Swatch& s, bool soft) {
    const QColor near = s.ink(), far = s.colours.size() > 1 ? s.colours[1] : [&] {
        const auto* strip = std::get_if<StripTraits>(&s.material.traits);
        return strip && strip->faces.size() > 1 ? QColor(QString::fromStdString(strip->faces[1])) : near.darker(130);
    }();
    const double half = std::min(0.16 * s.frame.height(), 11.0);
    const auto at = [&](double u) {
        return QPointF(s.frame.left() + u * s.frame.width(), s.frame.center().y() + 0.26 * s.frame.height() * std::sin(2.0 * kPi * u));
    };
    constexpr int kSteps = 60;
    for (int i = 0; i < kSteps; ++i) {
        const double u = (i + 0.5) / kSteps, turn = std::cos(2.0 * kPi * u);  // its face to the eye
        const double thick = half * std::max(0.12, std::abs(turn));
        const QPointF a = at(static_cast<double>(i) / kSteps), b = at(static_cast<double>(i + 1) / kSteps);
        QPolygonF piece;
        piece << a + QPointF(0, -thick) << b + QPointF(0, -thick) << b + QPointF(0, thick) << a + QPointF(0, thick);
        const QColor face = turn >= 0.0 ? near : far;
        s.painter.setPen(QPen(face, 0.6));
        s.painter.setBrush(face.lighter(soft ? 100 : 100 + static_cast<int>(55.0 * std::pow(std::abs(std::sin(3.0 * kPi * u)), 3.0))));
        s.painter.drawPolygon(piece);
    }
    if (!soft) return;
    for (int k = -3; k <= 3; ++k) {
        QPainterPath strand(at(0.0) + QPointF(0, 0.25 * half * k));
        for (int i = 1; i <= kSteps; ++i)
            strand.lineTo(at(static_cast<double>(i) / kSteps) +
                          QPointF(0, 0.25 * half * k * std::max(0.2, std::abs(std::cos(2.0 * kPi * i / kSteps)))));
        QColor line = near.darker(120);
        line.setAlpha(130);
        s.stroke(strand, line, 0.7);
    }
}

// Something round laid in a loose S: chenille with its pile, tube with its light, herl with its flue.
void paintRope(Swatch& s, double half, double pile, bool clear) {
    QPainterPath path(QPointF(s.frame.left() + 0.04 * s.frame.width(), s.frame.bottom() - 0.24 * s.frame.height()));
    path.cubicTo(s.frame.left() + 0.35 * s.frame.width(), s.frame.top() - 0.15 * s.frame.height(), s.frame.left() + 0.62 * s.frame.width(),
                 s.frame.bottom() + 0.15 * s.frame.height(), s.frame.right() - 0.04 * s.frame.width(),
                 s.frame.top() + 0.24 * s.frame.height());
    QColor body = s.ink();
    if (clear) body.setAlpha(150);
    s.stroke(path, body.darker(130), 2.0 * half);
    s.stroke(path, body, 1.4 * half);
    if (clear) s.stroke(path.translated(0, -0.35 * half), QColor(255, 255, 255, 130), 0.4 * half);
    if (pile <= 0.0) return;
    const int hairs = static_cast<int>(s.frame.width() * 2.4);
    for (int i = 0; i < hairs; ++i) {
        const double u = (i + s.random.uniform(0.0, 1.0)) / hairs, angle = path.angleAtPercent(u) / 180.0 * kPi;
        const QPointF at = path.pointAtPercent(u), out(std::sin(angle), std::cos(angle));
        const double side = i % 2 == 0 ? 1.0 : -1.0;
        s.painter.setPen(
            QPen(s.random.uniform(0, 1) < 0.3 ? s.ink().lighter(130) : s.ink().darker(s.random.uniform(0, 1) < 0.5 ? 100 : 125), 0.8));
        s.painter.drawLine(at, at + side * pile * s.random.uniform(0.7, 1.1) * out + QPointF(s.random.uniform(-2.0, 2.0), 0));
    }
}

// Strands side by side, their tips even: tail fibres, hair, legs.
void paintStrands(Swatch& s, int count, double width, double spread, bool knotted) {
    for (int i = 0; i < count; ++i) {
        const double u = count == 1 ? 0.5 : static_cast<double>(i) / (count - 1);
        const double y = s.frame.center().y() + (u - 0.5) * spread * s.frame.height();
        const QPointF root(s.frame.left() + 0.06 * s.frame.width(), s.frame.center().y() + 0.35 * (y - s.frame.center().y()));
        const QPointF tip(s.frame.right() - s.random.uniform(0.02, 0.08) * s.frame.width(), y);
        const double bow = s.random.uniform(-0.05, 0.05) * s.frame.height();
        constexpr int kSteps = 14;
        QPointF last = root;
        for (int k = 1; k <= kSteps; ++k) {
            const double v = static_cast<double>(k) / kSteps;
            QPointF next = root + v * (tip - root) + QPointF(0, bow * std::sin(kPi * v));
            if (knotted && v > 0.55) next += QPointF(0, (v - 0.55) * (i % 2 == 0 ? 0.5 : -0.5) * s.frame.height());
            s.painter.setPen(QPen(s.inkAt(v, v), width * (1.0 - 0.5 * v), Qt::SolidLine, Qt::RoundCap));
            s.painter.drawLine(last, next);
            last = next;
        }
        if (knotted) {
            const QPointF knee = root + 0.55 * (tip - root) + QPointF(0, bow * std::sin(kPi * 0.55));
            s.painter.setPen(Qt::NoPen);
            s.painter.setBrush(s.ink().darker(125));
            s.painter.drawEllipse(knee, 1.3 * width, 1.3 * width);
        }
    }
}

void paintPlume(Swatch& s) {
    const bool limp = std::get<PlumeTraits>(s.material.traits).down == Down::marabou;
    const QPointF root(s.frame.left() + 0.03 * s.frame.width(), s.frame.center().y());
    for (int i = 0; i < 260; ++i) {
        const double along = s.random.uniform(0.06, 0.96), side = i % 2 == 0 ? 1.0 : -1.0;
        const double reach = 0.46 * s.frame.height() * std::sin(kPi * std::min(1.0, 0.15 + 0.85 * along)) * s.random.uniform(0.6, 1.0);
        const QPointF at(root.x() + along * 0.8 * s.frame.width(), root.y());
        QPainterPath barb(at);
        const double forward = (limp ? 0.30 : 0.16) * s.frame.width();
        barb.cubicTo(at + QPointF(0.3 * forward, side * 0.7 * reach), at + QPointF(0.7 * forward, side * reach + s.random.uniform(-4, 4)),
                     at + QPointF(forward * s.random.uniform(0.7, 1.1), side * reach * s.random.uniform(0.5, 1.05)));
        QColor soft = s.random.uniform(0, 1) < 0.4 ? s.ink().lighter(115) : s.ink();
        soft.setAlpha(130);
        s.stroke(barb, soft, 0.9);
    }
    QPainterPath stem(root);
    stem.lineTo(root + QPointF(0.8 * s.frame.width(), 0));
    s.stroke(stem, s.ink().darker(140), 1.2);
}

void paintBeadSwatch(Swatch& s) {
    const double r = 0.34 * std::min(s.frame.width(), s.frame.height());
    const QPointF centre = s.frame.center();
    const bool glass = std::get<BeadTraits>(s.material.traits).metal == Metal::glass;
    QColor body = s.ink();
    if (glass) body.setAlpha(150);
    QRadialGradient light(centre + QPointF(-0.35 * r, -0.4 * r), 1.5 * r);
    light.setColorAt(0.0, body.lighter(190));
    light.setColorAt(0.35, body);
    light.setColorAt(1.0, body.darker(210));
    s.painter.setPen(Qt::NoPen);
    s.painter.setBrush(light);
    s.painter.drawEllipse(centre, r, r);
    s.painter.setBrush(QColor(30, 26, 24));
    s.painter.drawEllipse(centre + QPointF(0.78 * r, 0), 0.13 * r, 0.30 * r);
}

void paintCheekFeather(Swatch& s) {
    s.frame = s.frame.adjusted(0.2 * s.frame.width(), 0.12 * s.frame.height(), -0.2 * s.frame.width(), -0.12 * s.frame.height());
    QPainterPath leaf(QPointF(s.frame.left(), s.frame.center().y()));
    leaf.quadTo(QPointF(s.frame.center().x(), s.frame.top() - 0.2 * s.frame.height()), QPointF(s.frame.right(), s.frame.center().y()));
    leaf.quadTo(QPointF(s.frame.center().x(), s.frame.bottom() + 0.2 * s.frame.height()), leaf.elementAt(0));
    s.painter.setPen(Qt::NoPen);
    s.painter.setBrush(s.ink());
    s.painter.drawPath(leaf);
    s.painter.setClipPath(leaf);
    if (s.marking == Marking::barred) {
        for (int i = 0; i < 7; ++i) {
            s.painter.setPen(QPen(s.colours.size() > 1 ? s.colours[1] : s.ink().darker(180), 0.055 * s.frame.width()));
            const double x = s.frame.left() + (0.1 + 0.14 * i) * s.frame.width();
            s.painter.drawLine(QPointF(x, s.frame.top()), QPointF(x + 0.06 * s.frame.width(), s.frame.bottom()));
        }
    } else {
        for (std::size_t i = 1; i < s.colours.size(); ++i) {
            s.painter.setBrush(s.colours[i]);
            const double r = (0.36 - 0.14 * static_cast<double>(i - 1)) * s.frame.height();
            s.painter.drawEllipse(QPointF(s.frame.left() + 0.68 * s.frame.width(), s.frame.center().y()), r, r);
        }
    }
    s.painter.setClipping(false);
}

void paintTip(Swatch& s) {
    paintFeather(
        s, [](double x) { return x > 0.98 ? 0.0 : 0.85 * std::sqrt(std::max(0.0, 1.0 - x * x)); }, 0.8, 0.12, 44);
}

QRectF inner(QSize size) { return QRectF(QPointF(0, 0), size).adjusted(4, 4, -4, -4); }

// Planned and posed; nothing where it can't be.
std::optional<Scene> sceneOf(const Book& book, const Fly& fly) {
    auto planned = planFly(book, fly, Place());
    return planned ? std::optional(makeScene(*planned)) : std::nullopt;
}

void paintShore(QPainter& painter, const WaterSpec& water, const QRectF& frame, Bench bench) {
    const QColor ink = bench == Bench::sand ? QColor(0x4d, 0x6a, 0x78) : QColor(0x8f, 0xae, 0xbb);
    QPolygonF shore;
    for (const auto& corner : water.outline)
        shore << QPointF(corner[0] / metre, -(corner[1] / metre));
    QColor fill = ink;
    fill.setAlpha(70);
    painter.setBrush(fill);
    painter.setPen(QPen(ink, 1.4));
    if (shore.size() < 3) {
        for (int i = 0; i < 3; ++i) {
            QPainterPath wave(QPointF(frame.left(), frame.center().y() + 9.0 * (i - 1)));
            for (double x = 0.0; x < frame.width(); x += 20.0)
                wave.cubicTo(wave.currentPosition() + QPointF(6, -6), wave.currentPosition() + QPointF(12, -6),
                             wave.currentPosition() + QPointF(20, 0));
            painter.setBrush(Qt::NoBrush);
            painter.drawPath(wave);
        }
        return;
    }
    const QRectF box = shore.boundingRect();
    const double scale = std::min(frame.width() / std::max(1.0, box.width()), frame.height() / std::max(1.0, box.height()));
    for (QPointF& p : shore)
        p = frame.center() + scale * (p - box.center());
    painter.drawPolygon(shore);
}

// A card with ruled lines, as rules and lists are.
void paintSlipOfPaper(QPainter& painter, const QRectF& frame, Bench bench, int lines) {
    const double h = 0.92 * frame.height(), w = std::min(frame.width(), 0.78 * h);
    const QRectF card(frame.center().x() - 0.5 * w, frame.center().y() - 0.5 * h, w, h);
    const QColor paper = bench == Bench::sand ? QColor(0xfb, 0xf6, 0xe9) : QColor(0x3d, 0x46, 0x4c),
                 ink = bench == Bench::sand ? QColor(0x8c, 0x80, 0x6a) : QColor(0xa9, 0xb2, 0xb4);
    painter.setPen(QPen(ink, 1.0));
    painter.setBrush(paper);
    painter.drawRoundedRect(card, 3, 3);
    for (int i = 0; i < lines; ++i) {
        const double y = card.top() + (i + 1.0) * h / (lines + 1.0);
        painter.drawLine(QPointF(card.left() + 0.14 * w, y), QPointF(card.right() - (i % 3 == 2 ? 0.40 : 0.16) * w, y));
    }
}

// The year as a ring, the months of a creature marked on it.
void paintMonths(QPainter& painter, const SeasonRow& row, const QRectF& frame, Bench bench) {
    const double r = 0.42 * std::min(frame.width(), frame.height());
    const QColor line = bench == Bench::sand ? QColor(0xc9, 0xbd, 0xa2) : QColor(0x5c, 0x66, 0x6b);
    const QColor mark = row.colour && row.colour->starts_with("#") ? QColor(QString::fromStdString(*row.colour))
                        : bench == Bench::sand                     ? QColor(0x7c, 0x8a, 0x46)
                                                                   : QColor(0x9f, 0xb0, 0x66);
    for (int month = 1; month <= 12; ++month) {
        const double from = 90.0 - 30.0 * (month - 1);
        painter.setPen(QPen(row.includes(month) ? mark : line, 0.26 * r, Qt::SolidLine, Qt::FlatCap));
        painter.setBrush(Qt::NoBrush);
        painter.drawArc(QRectF(frame.center() - QPointF(r, r), QSizeF(2 * r, 2 * r)), static_cast<int>(16 * (from - 28.0)), 16 * 26);
    }
}

// Each fish a mark on the day's line, at its place on the leader.
void paintDay(QPainter& painter, const Day& day, const QRectF& frame, Bench bench) {
    const QColor line = bench == Bench::sand ? QColor(0x4d, 0x6a, 0x78) : QColor(0x8f, 0xae, 0xbb),
                 mark = bench == Bench::sand ? QColor(0xb4, 0x54, 0x2e) : QColor(0xe0, 0x8a, 0x5c);
    const QPointF left(frame.left() + 4, frame.center().y()), right(frame.right() - 4, frame.center().y());
    painter.setPen(QPen(line, 1.6 + std::min(4.0, 0.5 * hoursOf(day))));
    painter.drawLine(left, right);
    const auto n = static_cast<double>(day.fish.size());
    for (std::size_t i = 0; i < day.fish.size(); ++i) {
        const double x = std::lerp(left.x(), right.x(), (static_cast<double>(i) + 0.5) / n);
        const double y = frame.center().y() + (day.fish[i].position == Position::bob     ? -0.22
                                               : day.fish[i].position == Position::point ? 0.22
                                                                                         : 0.0) *
                                                  frame.height();
        painter.setPen(QPen(mark, 1.3));
        painter.setBrush(day.fish[i].lost.value_or(false) ? QBrush(Qt::NoBrush) : QBrush(mark));
        painter.drawEllipse(QPointF(x, y), 3.2, 2.2);
    }
}

void paintCape(QPainter& painter, const Cape& cape, const Material& hackle, const QRectF& frame, Bench bench) {
    const auto colours = coloursOf(hackle, bench);
    double longest = 1.0;
    for (const CapeBand& band : cape.bands)
        longest = std::max(longest, band.to / mm);
    const std::size_t n = std::max<std::size_t>(1, cape.bands.size());
    const QPointF root(frame.center().x(), frame.bottom() - 2.0);
    for (std::size_t i = 0; i < n; ++i) {
        const double angle = n == 1 ? 0.0 : std::lerp(-0.95, 0.95, static_cast<double>(i) / static_cast<double>(n - 1));
        const double length = cape.bands.empty() ? 1.0 : std::clamp(cape.bands[i].to / mm / longest, 0.25, 1.0);
        const int count = cape.bands.empty() ? 3 : std::clamp(cape.bands[i].count, 0, 14);
        for (int k = 0; k < count; ++k) {
            const double a = angle + 0.012 * (k - 0.5 * count);
            const QPointF tip = root + 0.92 * length * frame.height() * QPointF(std::sin(a), -std::cos(a));
            painter.setPen(QPen(k % 2 == 0 ? colours.front() : colours.front().darker(118), 2.0, Qt::SolidLine, Qt::RoundCap));
            painter.drawLine(root, tip);
        }
    }
}

void paintOwnFeather(QPainter& painter, const VaneFeather& feather, const Material& of, const QRectF& frame, Bench bench) {
    Material own = of;
    paintMaterial(painter, own, frame, bench);
    for (const Stretch& taken : feather.taken) {  // gone
        const double from = taken[0] / feather.vane, to = taken[1] / feather.vane;
        painter.setCompositionMode(QPainter::CompositionMode_DestinationOut);
        const double y = frame.center().y();
        painter.fillRect(QRectF(frame.left() + (0.10 + 0.88 * from) * frame.width(), feather.side == VaneSide::left ? frame.top() : y,
                                0.88 * (to - from) * frame.width(), 0.5 * frame.height()),
                         Qt::black);
        painter.setCompositionMode(QPainter::CompositionMode_SourceOver);
    }
}

// What a record looks like; one overload a kind.
struct Picture {
    QPainter& painter;
    const Book& book;
    QRectF frame;
    Bench bench;

    void materialOf(const MaterialId& id) const {
        if (const Material* m = book.findMaterial(id)) paintMaterial(painter, *m, frame, bench);
    }
    // All hooks to one scale, so that a tray of them can be compared by eye.
    void operator()(const HookSpec& hook) const {
        constexpr double kWidest = 25.0;  // mm that a cell is wide
        paintBareHook(painter, hook, frame, bench, frame.width() / kWidest);
    }
    void operator()(const Material& m) const { paintMaterial(painter, m, frame, bench); }
    void operator()(const Pattern& p) const { paintFlies(painter, book, {Fly(p.id)}, frame, bench); }
    void operator()(const TeamSpec& team) const {
        std::vector<Fly> flies;
        for (const Position position : kPositions)
            if (team.at(position)) flies.push_back(*team.at(position));
        paintFlies(painter, book, flies, frame, bench);
    }
    void operator()(const BoxFly& fly) const { paintFlies(painter, book, {flyOf(fly)}, frame, bench); }
    void operator()(const Batch& batch) const { paintFlies(painter, book, {flyOf(batch)}, frame, bench); }
    void operator()(const CheckedFly& check) const { paintFlies(painter, book, {Fly(check.pattern)}, frame, bench); }
    void operator()(const Stock& stock) const { materialOf(stock.material); }
    void operator()(const VaneFeather& f) const {
        if (const Material* m = book.findMaterial(f.material)) paintOwnFeather(painter, f, *m, frame, bench);
    }
    void operator()(const Cape& cape) const {
        if (const Material* m = book.findMaterial(cape.material)) paintCape(painter, cape, *m, frame, bench);
    }
    void operator()(const CutList& list) const {
        paintSlipOfPaper(painter, frame, bench, std::clamp(static_cast<int>(list.slips.size()), 1, 8));
    }
    void operator()(const TeamSchool&) const { paintSlipOfPaper(painter, frame, bench, 4); }
    void operator()(const RuleCard&) const { paintSlipOfPaper(painter, frame, bench, 6); }
    void operator()(const Mishap&) const { paintSlipOfPaper(painter, frame, bench, 2); }
    void operator()(const WaterSpec& water) const { paintShore(painter, water, frame, bench); }
    void operator()(const SeasonRow& row) const { paintMonths(painter, row, frame, bench); }
    void operator()(const Day& day) const { paintDay(painter, day, frame, bench); }
};

}  // namespace

void paintMaterial(QPainter& painter, const Material& material, const QRectF& frame, Bench bench) {
    Swatch s{painter, frame, coloursOf(material, bench), material.marking.value_or(Marking::plain), Random(seedOf(material.id)), material};
    switch (material.kind) {
        case MaterialKind::thread: return paintSpool(s, 2.0, false);
        case MaterialKind::wire: return paintSpool(s, std::clamp(windingWidth(material) / mm * 14.0, 2.0, 6.0), true);
        case MaterialKind::oval: return paintSpool(s, std::clamp(windingWidth(material) / mm * 14.0, 2.6, 7.0), true);
        case MaterialKind::tinsel: return paintStrip(s, false);
        case MaterialKind::ribbon: return paintStrip(s, false);
        case MaterialKind::floss: return paintStrip(s, true);
        case MaterialKind::dubbing: return paintPinch(s);
        case MaterialKind::herl: return paintRope(s, 1.2, 0.10 * frame.height(), false);
        case MaterialKind::fibres: return paintStrands(s, 16, 1.3, 0.5, false);
        case MaterialKind::chenille: return paintRope(s, 0.10 * frame.height(), 0.14 * frame.height(), false);
        case MaterialKind::tube: return paintRope(s, 0.09 * frame.height(), 0.0, true);
        case MaterialKind::hackle: return paintHackleFeather(s);
        case MaterialKind::flank:
        case MaterialKind::quill: return paintVane(s);
        case MaterialKind::tippet: return paintTippet(s);
        case MaterialKind::plume: return paintPlume(s);
        case MaterialKind::hair: return paintStrands(s, 40, 0.9, 0.55, false);
        case MaterialKind::tip: return paintTip(s);
        case MaterialKind::cheek: return paintCheekFeather(s);
        case MaterialKind::leg: return paintStrands(s, 5, 1.8, 0.7, true);
        case MaterialKind::bead: return paintBeadSwatch(s);
    }
}

std::optional<QLineF> measureOn(const Material& material, std::string_view key, const QRectF& frame) {
    using M = MaterialKind;
    const auto between = [&](double x, double y, double toX, double toY) {
        const auto at = [&](double u, double v) { return QPointF(frame.left() + u * frame.width(), frame.top() + v * frame.height()); };
        return QLineF(at(x, y), at(toX, toY));
    };
    switch (material.kind) {
        case M::hackle: {
            const auto bird = std::get<HackleTraits>(material.traits).bird;
            const bool narrow = bird == Bird::cockSaddle || bird == Bird::cockCape;
            if (key == "stem_mm") return between(0.12, 0.44, 0.12, 0.56);
            if (key == "fibre_longest_mm") return between(0.34, 0.5, 0.40, narrow ? 0.32 : 0.08);
            if (key == "fibre_shortest_mm") return between(0.88, 0.5, 0.93, narrow ? 0.45 : 0.36);
            if (key == "usable_stem_mm") return between(0.14, 0.96, 0.90, 0.96);
            return std::nullopt;
        }
        case M::flank:
        case M::quill: return key == "vane_mm" ? std::optional(between(0.12, 0.97, 0.98, 0.97)) : std::nullopt;
        case M::tippet:
            if (key == "bar_mm") return between(0.595, 0.5, 0.69, 0.5);
            return key == "bar_spacing_mm" ? std::optional(between(0.64, 0.92, 0.91, 0.92)) : std::nullopt;
        case M::tinsel:
        case M::ribbon:
        case M::floss: return key == "width_mm" ? std::optional(between(0.01, 0.36, 0.01, 0.64)) : std::nullopt;
        case M::hair:
        case M::fibres: return key == "length_mm" || key == "natural_mm" ? std::optional(between(0.06, 0.94, 0.95, 0.94)) : std::nullopt;
        case M::leg:
        case M::tip: return key == "length_mm" ? std::optional(between(0.06, 0.94, 0.95, 0.94)) : std::nullopt;
        case M::cheek:
            if (key == "length_mm") return between(0.20, 0.96, 0.80, 0.96);
            return key == "width_mm" ? std::optional(between(0.5, 0.14, 0.5, 0.86)) : std::nullopt;
        case M::plume: return key == "fibre_length_mm" ? std::optional(between(0.40, 0.5, 0.58, 0.10)) : std::nullopt;
        case M::bead: {
            const double r = 0.34 * std::min(frame.width(), frame.height()) / frame.height();
            const double wide = frame.height() / frame.width();
            if (key == "diameter_mm") return between(0.5 - r * wide - 0.04, 0.5 - r, 0.5 - r * wide - 0.04, 0.5 + r);
            return key == "hole_mm" ? std::optional(between(0.5 + 0.78 * r * wide, 0.5 - 0.3 * r, 0.5 + 0.78 * r * wide, 0.5 + 0.3 * r))
                                    : std::nullopt;
        }
        case M::thread:
        case M::wire:
        case M::oval:
        case M::dubbing:
        case M::herl:
        case M::chenille:
        case M::tube: return std::nullopt;
    }
    throw BrokenContract("unknown kind of material");
}

std::optional<Scene> bareHook(const HookSpec& spec) {
    const auto hook = makeHook(spec);
    if (!hook) return std::nullopt;
    Book bare;
    Material thread;
    thread.id = "thread";
    thread.traits = ThreadTraits{};
    bare.materials.push_back(std::move(thread));
    Pattern nothing;
    nothing.id = "bare";
    nothing.hook = spec.id;
    nothing.thread = "thread";
    const auto planned = plan(nothing, *hook, bare);
    if (!planned) return std::nullopt;
    Scene scene = makeScene(*planned);
    scene.head = HeadScene{};
    scene.bed = BedScene{};
    return scene;
}

void paintBareHook(QPainter& painter, const HookSpec& spec, const QRectF& frame, Bench bench, double pxPerMm) {
    const auto scene = bareHook(spec);
    if (!scene) return;
    const QPointF origin = frame.center() - pxPerMm * QPointF(0.5 * (scene->left + scene->right), -0.5 * (scene->top + scene->bottom));
    paintLayer(painter, *scene, {pxPerMm, origin, bench, 0.0}, Layer::hook);
}

void paintFlies(QPainter& painter, const Book& book, const std::vector<Fly>& flies, const QRectF& frame, Bench bench, double mostPxPerMm) {
    std::vector<Scene> scenes;
    double width = 0.0, height = 0.0;
    for (const Fly& fly : flies)
        if (auto scene = sceneOf(book, fly)) {
            width = std::max(width, scene->right - scene->left);
            height = std::max(height, scene->top - scene->bottom);
            scenes.push_back(std::move(*scene));
        }
    if (scenes.empty()) return;
    const double cell = frame.width() / static_cast<double>(scenes.size());
    const double scale = std::min({mostPxPerMm, 0.94 * cell / std::max(1.0, width), frame.height() / std::max(1.0, height)});
    for (std::size_t i = 0; i < scenes.size(); ++i) {
        const Scene& scene = scenes[i];
        const QPointF centre(frame.left() + cell * (static_cast<double>(i) + 0.5), frame.center().y());
        View view{scale, centre - scale * QPointF(0.5 * (scene.left + scene.right), -0.5 * (scene.top + scene.bottom)), bench, 0.0};
        paintFly(painter, scene, view);
    }
}

QImage pictureOf(const Book& book, const RecordId& record, QSize size, double devicePixelRatio, Bench bench) {
    QImage image((QSizeF(size) * devicePixelRatio).toSize(), QImage::Format_ARGB32_Premultiplied);
    image.setDevicePixelRatio(devicePixelRatio);
    image.fill(Qt::transparent);
    QPainter painter(&image);
    painter.setRenderHint(QPainter::Antialiasing);
    if (const auto kind = record.list == "kind" ? fromName<FlyKind>(record.id) : std::nullopt) {
        if (const auto made = startFromKind(book, *kind, usualHook(book)))
            paintFlies(painter, made->edit.after, {Fly(made->id)}, inner(size), bench);
        return image;
    }
    if (record.list == "fly") {
        paintFlies(painter, book, {readFly(record.id)}, inner(size), bench);
        return image;
    }
    const Picture picture{painter, book, inner(size), bench};
    visitRecord(book, record.list, record.id, [&](auto, const auto& found, std::size_t) { picture(found); });
    return image;
}

}  // namespace machair::drawing
