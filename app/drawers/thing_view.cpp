#include "drawers/thing_view.h"

#include <QPainter>
#include <algorithm>

#include "book/kinds.h"
#include "units/text.h"

namespace machair::app {

ThingView::ThingView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("thing"));
    setAccessibleName(tr("What it looks like"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void ThingView::showNothing() {
    scene_.reset();
    hook_.reset();
    update();
}

void ThingView::showHook(const std::string& id) {
    showNothing();
    const HookSpec* spec = document_.book().findHook(id);
    const auto hook = spec ? makeHook(*spec) : fail(Place(), "no hook");
    if (!hook) return;
    hook_ = *hook;
    Book bare;
    Material thread;
    thread.id = "thread";
    thread.traits = ThreadTraits{};
    bare.materials.push_back(std::move(thread));
    Pattern nothing;
    nothing.id = id;
    nothing.hook = id;
    nothing.thread = "thread";
    if (const auto planned = plan(nothing, *hook, bare)) {
        scene_ = makeScene(*planned);
        scene_->head = HeadScene{};  // the bare hook
        scene_->bed = BedScene{};
    }
}

void ThingView::showMaterial(const std::string& id) {
    showNothing();
    const Book& book = document_.book();
    const Material* material = book.findMaterial(id);
    const auto thread = std::ranges::find(book.materials, MaterialKind::thread, &Material::kind);
    if (!material || thread == book.materials.end()) return;
    HookSpec ten;
    ten.id = "sample";
    const auto hook = makeHook(ten);
    if (const auto planned = plan(sampleOf(*material, ten.id, thread->id), *hook, book)) scene_ = makeScene(*planned);
}

void ThingView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    if (!scene_) return;
    const drawing::View view = drawing::fitView(*scene_, QRectF(rect()).adjusted(18, 26, -18, -20), theme_.bench(), 22.0);
    if (!hook_) {
        drawing::paintFly(painter, *scene_, view);
        painter.setFont(faceScaled(0.88));
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(rect()).adjusted(10, 6, -10, -6), Qt::AlignTop | Qt::AlignLeft, tr("as it lies on a size 10"));
        return;
    }
    drawing::paintLayer(painter, *scene_, view, drawing::Layer::hook);
    const auto at = [&](double x, double y) { return QPointF(view.origin.x() + view.pxPerMm * x, view.origin.y() - view.pxPerMm * y); };
    painter.setFont(faceScaled(0.92, true));
    const auto measure = [&](QPointF from, QPointF to, Length length, QPointF beside) {
        painter.setPen(QPen(c.accent, 1.2));
        painter.drawLine(from, to);
        for (const QPointF& end : {from, to})
            painter.drawEllipse(end, 2.0, 2.0);
        painter.setPen(c.ink);
        painter.drawText(0.5 * (from + to) + beside, qt(formatLength(length)));
    };
    const double shank = hook_->shank() / mm;
    measure(at(0.0, 0.0) - QPointF(0, 14), at(shank, 0.0) - QPointF(0, 14), hook_->shank(), QPointF(-18, -5));
    const double x = 0.5 * (hook_->landmarkX(Landmark::barb) / mm + hook_->landmarkX(Landmark::bend) / mm);
    measure(at(x, -0.5 * (hook_->wire() / mm)), at(x, -hook_->pointDepth() / mm + 0.5 * (hook_->wire() / mm)), hook_->gape(),
            QPointF(7, 5));
}

}  // namespace machair::app
