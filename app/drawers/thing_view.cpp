#include "drawers/thing_view.h"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

#include "book/kinds.h"
#include "drawing/fly_painter.h"
#include "drawing/ink.h"
#include "drawing/things.h"
#include "language/say.h"
#include "parts/lengths.h"
#include "parts/pictures.h"
#include "units/text.h"

namespace machair::app {

ThingView::ThingView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("thing"));
    setAccessibleName(tr("What it looks like"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    setMouseTracking(true);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
    connect(&document_, &Document::bookChanged, this, [this] {
        if (isVisible()) take();
    });
    connect(&Pictures::of(document_, theme_), &Pictures::painted, this, qOverload<>(&QWidget::update));
}

void ThingView::show(const RecordId& record) {
    record_ = record;
    take();
}

void ThingView::showEvent(QShowEvent*) { take(); }

void ThingView::take() {
    scene_.reset();
    hook_.reset();
    update();
    if (!document_.isOpen() || record_.id.empty()) return;
    const Book& book = document_.book();
    if (record_.list == "hooks") {
        const HookSpec* spec = book.findHook(HookId(record_.id));
        const auto hook = spec ? makeHook(*spec) : fail(Place(), "no hook");
        if (!hook) return;
        hook_ = *hook;
        scene_ = drawing::bareHook(*spec);
    } else if (record_.list == "materials") {
        const Material* material = book.findMaterial(MaterialId(record_.id));
        const auto thread = std::ranges::find(book.materials, MaterialKind::thread, &Material::kind);
        if (!material || thread == book.materials.end()) return;
        HookSpec ten;
        ten.id = "sample";
        const auto hook = makeHook(ten);
        if (const auto planned = plan(sampleOf(*material, ten.id, thread->id), *hook, book)) scene_ = makeScene(*planned);
    }
}

void ThingView::write(QPainter& painter, QPointF at, const QString& text, const std::string& key) {
    const QRectF rect = QRectF(at, QSizeF(QFontMetricsF(painter.font()).horizontalAdvance(text), QFontMetricsF(painter.font()).height()));
    painter.drawText(rect, Qt::AlignLeft | Qt::AlignVCenter | Qt::TextDontClip, text);
    dimensions_.push_back({rect.adjusted(-5, -3, 5, 3), key, text});
}

void ThingView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), theme_.colours().paper);
    dimensions_.clear();
    if (!document_.isOpen() || record_.id.empty()) return;
    if (hook_ && scene_) return paintHook(painter);
    const Material* material = record_.list == "materials" ? document_.book().findMaterial(MaterialId(record_.id)) : nullptr;
    if (material) return paintMaterial(painter, *material);
    const QImage image = Pictures::of(document_, theme_).get(record_, size().shrunkBy(QMargins(20, 12, 20, 12)), devicePixelRatioF());
    if (!image.isNull()) painter.drawImage(QPointF(20, 12), image);
}

void ThingView::paintHook(QPainter& painter) {
    const Colours& c = theme_.colours();
    const drawing::View view = drawing::fitView(*scene_, QRectF(rect()).adjusted(30, 34, -78, -28), theme_.bench(), 22.0);
    drawing::paintLayer(painter, *scene_, view, drawing::Layer::hook);
    const auto at = [&](double x, double y) { return QPointF(view.origin.x() + view.pxPerMm * x, view.origin.y() - view.pxPerMm * y); };
    painter.setFont(faceScaled(0.92, true));
    const auto measure = [&](QPointF from, QPointF to, Length length, bool measured, const char* key, QPointF beside) {
        painter.setPen(QPen(measured ? c.slate : c.accent, 1.2));
        painter.drawLine(from, to);
        for (const QPointF& end : {from, to})
            painter.drawEllipse(end, 2.0, 2.0);
        painter.setPen(c.ink);
        write(painter, 0.5 * (from + to) + beside, lengthSaid(length, 2) + (measured ? tr(" ✓") : tr(" nominal")), key);
    };
    const double shank = hook_->shank() / mm, wire = hook_->wire() / mm;
    measure(at(0.0, 0.0) - QPointF(0, 15), at(shank, 0.0) - QPointF(0, 15), hook_->shank(), hook_->shankMeasured(), "measured.shank_mm",
            {-40, -20});
    const double x = 0.5 * (hook_->landmarkX(Landmark::barb) / mm + hook_->landmarkX(Landmark::bend) / mm);
    measure(at(x, -0.5 * wire), at(x, -hook_->pointDepth() / mm + 0.5 * wire), hook_->gape(), hook_->gapeMeasured(), "measured.gape_mm",
            {-122, -8});
    const double w = 0.3 * shank;
    measure(at(w, -0.5 * wire), at(w, 0.5 * wire), hook_->wire(), hook_->wireMeasured(), "measured.wire_mm", {-20, 10});
}

// On the left as it lies on the bench, on the right as it lies on a size 10; its measures under it.
void ThingView::paintMaterial(QPainter& painter, const Material& material) {
    const Colours& c = theme_.colours();
    const QRectF left(14, 12, 0.46 * width() - 20, height() - 60), right(0.5 * width(), 26, 0.5 * width() - 14, height() - 74);
    drawing::paintMaterial(painter, material, left, theme_.bench());
    if (scene_) {
        drawing::paintFly(painter, *scene_, drawing::fitView(*scene_, right, theme_.bench(), 22.0));
        painter.setFont(faceScaled(0.86));
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(right.left(), 6, right.width(), 18), Qt::AlignLeft, tr("on a size 10"));
    }
    if (const auto blend = blendOf(material, document_.book())) return paintBlend(painter, *blend);
    painter.setFont(faceScaled(0.90, true));
    double x = 14.0, y = height() - 44.0;
    for (const Field& field : fieldsOf(material)) {
        if (field.kind != FieldKind::number || !field.key.ends_with("_mm")) continue;
        const bool measured = std::ranges::find(material.measured, field.key) != material.measured.end();
        const QString number =
            field.text.empty() ? tr("usual") : tr("%1 %2%3").arg(shownText(field), lengthUnitName(), measured ? tr(" ✓") : tr(" nominal"));
        QString label = qt(field.label);
        label.remove(QStringLiteral(", mm"));
        const QString text = label + QLatin1Char(' ') + number;
        if (const auto line = drawing::measureOn(material, field.key, left)) {
            paintDimension(painter, *line, measured, field.text.empty());
            if (!field.text.empty()) {
                const QPointF beside = line->center() + QPointF(8.0, -0.5 * QFontMetricsF(painter.font()).height());
                QColor ground = c.paper;  // the number is read on a dark feather, too
                ground.setAlpha(225);
                painter.fillRect(
                    QRectF(beside, QSizeF(QFontMetricsF(painter.font()).horizontalAdvance(number), QFontMetricsF(painter.font()).height()))
                        .adjusted(-3, 0, 3, 0),
                    ground);
                painter.setPen(c.ink);
                write(painter, beside, number, field.key);
            }
        }
        const double wide = QFontMetricsF(painter.font()).horizontalAdvance(text) + 22.0;
        if (x + wide > width() - 8.0) {
            x = 14.0;
            y += 21.0;
        }
        if (y > height() - 18.0) break;
        painter.setPen(measured ? c.slate : field.text.empty() ? c.inkSoft : c.ink);
        write(painter, QPointF(x, y), text, field.key);
        x += wide;
    }
}

// A measure where it stands: whole where it was measured, of its kind's accent where it is nominal, dashed where it is as usual.
void ThingView::paintDimension(QPainter& painter, const QLineF& line, bool measured, bool usual) const {
    const Colours& c = theme_.colours();
    painter.setPen(QPen(measured ? c.slate : usual ? c.inkSoft : c.accent, 1.4, usual ? Qt::DashLine : Qt::SolidLine));
    painter.setBrush(Qt::NoBrush);
    painter.drawLine(line);
    painter.setPen(QPen(measured ? c.slate : usual ? c.inkSoft : c.accent, 1.4));
    for (const QPointF& end : {line.p1(), line.p2()})
        painter.drawEllipse(end, 2.0, 2.0);
}

// Its furs by weight, and what they come to.
void ThingView::paintBlend(QPainter& painter, const Blended& blend) const {
    const Colours& c = theme_.colours();
    painter.setFont(faceScaled(0.90));
    const QFontMetricsF metrics(painter.font());
    constexpr double kPatch = 14.0;
    double x = 14.0, y = height() - 46.0;
    const auto say = [&](const std::optional<Lab>& colour, const QString& text, bool strong) {
        painter.setFont(faceScaled(0.90, strong));
        const double wide = kPatch + 6.0 + QFontMetricsF(painter.font()).horizontalAdvance(text) + 14.0;
        if (x + wide > width() - 8.0) {
            x = 14.0;
            y += 22.0;
        }
        painter.setPen(QPen(c.line, 1.0));
        painter.setBrush(colour ? drawing::inkOf(toRgb(*colour)) : c.panel);
        painter.drawRoundedRect(QRectF(x, y, kPatch, kPatch), 3.0, 3.0);
        painter.setPen(c.ink);
        painter.drawText(QPointF(x + kPatch + 6.0, y + metrics.ascent()), text);
        x += wide;
    };
    for (const Blended::Fur& fur : blend.furs) {
        const Material* of = document_.book().findMaterial(fur.material);
        say(fur.colour, tr("%1 % %2").arg(number(100.0 * fur.weight, 0), qt(of ? of->title() : fur.material)), false);
    }
    say(blend.colour, tr("makes %1 mg a mm³ packed").arg(number(blend.packed / mgPerMm3, 2)), true);
}

void ThingView::mousePressEvent(QMouseEvent* event) {
    for (const Dimension& dimension : dimensions_)
        if (dimension.rect.contains(event->position())) return emit dimensionChosen(dimension.key);
}

void ThingView::mouseMoveEvent(QMouseEvent* event) {
    const bool over = std::ranges::any_of(dimensions_, [&](const Dimension& d) { return d.rect.contains(event->position()); });
    setCursor(over ? Qt::PointingHandCursor : Qt::ArrowCursor);
}

std::vector<SpokenPart> ThingView::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (const Dimension& one : dimensions_) {
        const std::string key = one.key.starts_with("measured.") ? one.key.substr(9) : one.key;
        parts.push_back({qt(sayMeasure(key)), one.text, one.rect.toRect()});
    }
    return parts;
}
void ThingView::choosePart(std::size_t part) {
    if (part < dimensions_.size()) emit dimensionChosen(dimensions_[part].key);
}

}  // namespace machair::app
