#include "drawing/fly_painter.h"

#include <QPainterPath>
#include <algorithm>

namespace machair::drawing {

namespace {

// Along the shank the layers are the same, but what is round is drawn as rounds.
void paintEndOnLayer(Canvas& canvas, const Scene& scene, Layer layer) {
    switch (layer) {
        case Layer::farFibres: return paintFarFibres(canvas, scene);
        case Layer::hook: return paintHookEndOn(canvas, scene.hook);
        case Layer::tail: return paintTails(canvas, scene);
        case Layer::body: return paintRounds(canvas, scene);
        case Layer::bindings: return;  // among the rounds
        case Layer::nearPalmer: return paintNearPalmer(canvas, scene);
        case Layer::underWing: return paintUnderWing(canvas, scene);
        case Layer::wing: return paintWingsEndOn(canvas, scene);
        case Layer::nearCollar: return paintNearCollar(canvas, scene);
        case Layer::head: paintHeadRound(canvas, scene); return paintEye(canvas, scene.hook);
    }
}

}  // namespace

void paintLayer(QPainter& painter, const Scene& scene, const View& view, Layer layer) {
    painter.setRenderHint(QPainter::Antialiasing);
    Canvas canvas(painter, view);
    if (scene.endOn) return paintEndOnLayer(canvas, scene, layer);
    switch (layer) {
        case Layer::farFibres: paintFarFibres(canvas, scene); break;
        case Layer::hook: paintHook(canvas, scene.hook); break;
        case Layer::tail: paintTails(canvas, scene); break;
        case Layer::body: paintBodies(canvas, scene); break;
        case Layer::bindings:
            paintBindings(canvas, scene);
            paintBeads(canvas, scene);
            break;
        case Layer::nearPalmer: paintNearPalmer(canvas, scene); break;
        case Layer::underWing: paintUnderWing(canvas, scene); break;
        case Layer::wing: paintWings(canvas, scene); break;
        case Layer::nearCollar: paintNearCollar(canvas, scene); break;
        case Layer::head:
            paintCheeks(canvas, scene);
            paintHead(canvas, scene);
            paintFacingWings(canvas, scene);
            break;
    }
}

void paintFly(QPainter& painter, const Scene& scene, const View& view) {
    for (const Layer layer : kLayers)
        paintLayer(painter, scene, view, layer);
}

void paintGhost(QPainter& painter, const Scene& scene, const View& view, const QColor& colour) {
    const auto at = [&](Vec3 p) { return QPointF(view.origin.x() + view.pxPerMm * p.x, view.origin.y() - view.pxPerMm * p.y); };
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setBrush(Qt::NoBrush);
    QPen pen(colour, 1.2, Qt::DashLine);
    painter.setPen(pen);
    QPolygonF wire;
    for (const auto& step : scene.hook.line)
        wire << at(step.at);
    painter.drawPolyline(wire);
    for (const BodyScene& body : scene.bodies) {
        QPolygonF outline;
        constexpr int kSteps = 20;
        for (int i = 0; i <= kSteps; ++i) {
            const double s = std::lerp(body.front, body.end, static_cast<double>(i) / kSteps);
            const Axis::Frame f = scene.axis.frame(s);
            outline << at(f.at + body.radius(s) * f.up);
        }
        for (int i = kSteps; i >= 0; --i) {
            const double s = std::lerp(body.front, body.end, static_cast<double>(i) / kSteps);
            const Axis::Frame f = scene.axis.frame(s);
            outline << at(f.at - body.radius(s) * f.up);
        }
        painter.drawPolygon(outline);
    }
    const auto outermost = [&](const std::vector<Fibre>& fibres) {
        if (fibres.empty()) return;
        const auto [low, high] = std::ranges::minmax_element(fibres, {}, [](const Fibre& f) { return f.curve[3].y; });
        for (const Fibre* fibre : {&*low, &*high}) {
            QPainterPath path(at(fibre->curve[0]));
            path.cubicTo(at(fibre->curve[1]), at(fibre->curve[2]), at(fibre->curve[3]));
            painter.drawPath(path);
        }
    };
    for (const auto& tail : scene.tails)
        outermost(tail.fibres);
    for (const auto& hackle : scene.hackles)
        outermost(hackle.fibres);
    for (const auto& wing : scene.wings) {
        QPolygonF leaf;
        leaf << at(wing.root) << at(wing.root + 0.6 * wing.length * wing.along + 0.72 * wing.depth * wing.up)
             << at(wing.root + wing.length * wing.along + 0.4 * wing.depth * wing.up)
             << at(wing.root + 0.85 * wing.length * wing.along - 0.25 * wing.depth * wing.up);
        painter.drawPolygon(leaf);
    }
    painter.restore();
}

View fitView(const Scene& scene, const QRectF& frame, Bench bench, double mostPxPerMm) {
    const double width = std::max(1.0, scene.right - scene.left);
    const double height = std::max(1.0, scene.top - scene.bottom);
    View view;
    view.bench = bench;
    view.pxPerMm = std::min({mostPxPerMm, frame.width() / width, frame.height() / height});
    view.origin = {frame.center().x() - view.pxPerMm * 0.5 * (scene.left + scene.right),
                   frame.center().y() + view.pxPerMm * 0.5 * (scene.top + scene.bottom)};
    return view;
}

bool sameLayer(const Scene& a, const Scene& b, Layer layer) {
    if (a.axis != b.axis || a.endOn != b.endOn) return false;
    if (a.endOn && layer == Layer::body && (a.ribs != b.ribs || a.bed != b.bed || a.beads != b.beads)) return false;
    if (layer == Layer::head && (a.hook.eyeAxis != b.hook.eyeAxis || std::ranges::any_of(a.wings, &WingScene::facesViewer))) return false;
    switch (layer) {
        case Layer::farFibres: return a.hackles == b.hackles && a.bodies == b.bodies && a.wings == b.wings;
        case Layer::hook: return a.hook == b.hook;
        case Layer::tail: return a.tails == b.tails;
        case Layer::body: return a.bodies == b.bodies && a.hook.wire == b.hook.wire;
        case Layer::bindings:
            return a.ribs == b.ribs && a.bed == b.bed && a.beads == b.beads && a.hackles == b.hackles && a.bodies == b.bodies;
        case Layer::nearPalmer:
        case Layer::underWing:
        case Layer::nearCollar: return a.hackles == b.hackles && a.wings.size() == b.wings.size();
        case Layer::wing: return a.wings == b.wings;
        case Layer::head: return a.head == b.head && a.cheeks == b.cheeks;
    }
    return false;
}

int FlyPicture::update(const Scene& scene, const View& view, QSize size, double devicePixelRatio) {
    const bool sameView = last_ && lastSize_ == size && lastView_.origin == view.origin && lastView_.pxPerMm == view.pxPerMm &&
                          lastView_.bench == view.bench && lastView_.finest == view.finest &&
                          sheets_.front().image.devicePixelRatio() == devicePixelRatio;
    int painted = 0;
    for (std::size_t i = 0; i < kLayers.size(); ++i) {
        Sheet& sheet = sheets_[i];
        if (sameView && sheet.valid && sameLayer(*last_, scene, kLayers[i])) continue;
        const QSize pixels = size * devicePixelRatio;
        if (sheet.image.size() != pixels) sheet.image = QImage(pixels, QImage::Format_ARGB32_Premultiplied);
        sheet.image.setDevicePixelRatio(devicePixelRatio);
        sheet.image.fill(Qt::transparent);
        QPainter painter(&sheet.image);
        paintLayer(painter, scene, view, kLayers[i]);
        sheet.valid = true;
        ++painted;
    }
    last_ = scene;
    lastView_ = view;
    lastSize_ = size;
    return painted;
}

void FlyPicture::compose(QPainter& painter) const {
    for (const Sheet& sheet : sheets_)
        if (sheet.valid) painter.drawImage(QPointF(0.0, 0.0), sheet.image);
}

}  // namespace machair::drawing
