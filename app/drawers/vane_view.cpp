#include "drawers/vane_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QSettings>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/find.h"
#include "book/records.h"
#include "editing/read_picture.h"
#include "frame/ask_file.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "theme/screens.h"

namespace machair::app {

namespace {

constexpr qint64 kPixels = 4'000'000;            // of a photograph as it is shown
constexpr double kMargin = 18.0, kReach = 12.0;  // px
constexpr double kUsualPxPerMm = 3.78;           // of a screen that nobody calibrated
constexpr Length kStep = 0.5 * mm, kLeastVane = 2.0 * mm, kLeastBarb = 0.5 * mm, kLongest = 200.0 * mm;

// What a stroke over the photograph's squares is as long as.
Length scaleLength() { return lengthsSaidIn() == LengthUnit::millimetres ? 10.0 * mm : 0.5 * inch; }

QString markName(std::size_t mark) {
    switch (mark) {
        case 0: return VaneView::tr("the vane");
        case 1: return VaneView::tr("barbs at the base");
        case 2: return VaneView::tr("barbs in the middle");
        default: return VaneView::tr("barbs at the tip");
    }
}

}  // namespace

VaneView::VaneView(Document& document, const Theme& theme, const QSettings& settings, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      settings_(settings),
      words_(new Label(this)),
      photographed_(toolButton("vane-photograph", tr("On a photograph…"),
                               tr("One of the feather on squared paper: its scale, stem and barbs are drawn on it"))) {
    setObjectName(QStringLiteral("vane"));
    setAccessibleName(tr("The vane: draw along the ends of its barbs, or drag its marks"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    constexpr int kHigh = 250;
    setFixedHeight(kHigh);
    words_->setObjectName(QStringLiteral("vane-words"));
    words_->setWordWrap(true);
    words_->setFont(faceScaled(0.88));
    words_->setAttribute(Qt::WA_TransparentForMouseEvents);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(12, 6, 12, 6);
    column->addWidget(words_);
    column->addStretch(1);
    column->addWidget(photographed_, 0, Qt::AlignRight);
    connect(photographed_, &QToolButton::clicked, this, &VaneView::choosePhotograph);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
    connect(&document_, &Document::bookChanged, this, qOverload<>(&QWidget::update));
}

const VaneFeather* VaneView::feather() const {
    if (!document_.isOpen()) return nullptr;
    const VaneFeather* found = findById(document_.book().feathers, feather_);
    return found && found->barbs.size() == 3 ? found : nullptr;
}

void VaneView::show(const FeatherId& feather) {
    if (feather != feather_) {
        photograph_ = {};
        stem_.reset();
        stroke_.clear();
        dragged_.reset();
        held_.reset();
    }
    feather_ = feather;
    ask(Asked::ends);
}

double VaneView::pxPerMm() const {
    if (photographScale_ > 0.0 && !photograph_.isNull()) return photographScale_;
    const double scale = calibratedScale(settings_, screen()).value_or(kUsualPxPerMm);
    const VaneFeather* own = feather();
    if (!own) return scale;
    const double along = own->vane / mm + kBarbAlong * (own->barbs.back() / mm),
                 out = *std::ranges::max_element(own->barbs) / mm * kBarbOut;
    return std::min({scale, (width() - 2.0 * kMargin) / std::max(along, 1.0), (height() - 126.0) / std::max(out, 1.0)});
}

QPointF VaneView::base() const { return stem_ ? stem_->first : QPointF(kMargin, height() - 62.0); }

VaneMeasures VaneView::shown() const {
    if (dragged_) return *dragged_;
    const VaneFeather* own = feather();
    return own ? VaneMeasures{own->vane, {own->barbs[0], own->barbs[1], own->barbs[2]}} : VaneMeasures{};
}

QPointF VaneView::markAt(std::size_t mark) const {
    const VaneMeasures m = shown();
    const double k = pxPerMm();
    const QPointF along =
        stem_ ? (stem_->second - stem_->first) / std::hypot(stem_->second.x() - stem_->first.x(), stem_->second.y() - stem_->first.y())
              : QPointF(1.0, 0.0);
    const QPointF out(along.y(), -along.x());
    if (mark == 0) return base() + along * k * (m.vane / mm);
    const double root = 0.5 * static_cast<double>(mark - 1) * (m.vane / mm), barb = m.barbs[mark - 1] / mm;
    return base() + along * k * (root + kBarbAlong * barb) + out * k * kBarbOut * barb;
}

std::optional<std::size_t> VaneView::markNear(QPointF at) const {
    if (!feather() || !photograph_.isNull()) return std::nullopt;
    for (std::size_t mark = kMarks; mark-- > 0;)
        if (std::hypot(markAt(mark).x() - at.x(), markAt(mark).y() - at.y()) < kReach) return mark;
    return std::nullopt;
}

VaneMeasures VaneView::with(VaneMeasures measures, std::size_t mark, QPointF at) const {
    const double k = pxPerMm();
    if (mark == 0)
        measures.vane = std::clamp((at.x() - base().x()) / k * mm, kLeastVane, kLongest);
    else
        measures.barbs[mark - 1] = std::clamp((base().y() - at.y()) / (k * kBarbOut) * mm, kLeastBarb, kLongest);
    return measures;
}

// One step of undo for all four measures.
void VaneView::take(const VaneMeasures& measures, const QString& words) {
    dragged_.reset();
    const RecordId record{"feathers", feather_};
    const auto rounded = [](Length length) { return formatNumber(length / mm, 1); };
    auto edit = changeRecord(document_.book(), record, "vane_mm", rounded(measures.vane), Source::measured);
    if (edit)
        edit = changeRecord(edit->after, record, "barbs_mm",
                            rounded(measures.barbs[0]) + ", " + rounded(measures.barbs[1]) + ", " + rounded(measures.barbs[2]),
                            Source::measured);
    if (edit) edit->words = words.toStdString();
    document_.refuse(document_.apply(std::move(edit)));
    update();
}

void VaneView::ask(Asked next) {
    asked_ = next;
    setInk(words_, theme_.colours().inkSoft);
    switch (next) {
        case Asked::scale: words_->setText(tr("1 of 3. Drag over %1 of the squares.").arg(lengthSaid(scaleLength(), 0))); break;
        case Asked::stem: words_->setText(tr("2 of 3. Drag along the stem, from the base of the vane to its tip.")); break;
        case Asked::ends:
            words_->setText(
                !photograph_.isNull() ? tr("3 of 3. Draw along the ends of the barbs, from the base to the tip.")
                : calibratedScale(settings_, screen())
                    ? tr("True size. Lay the feather here and draw along the ends of its barbs, base to tip; or drag the marks.")
                    : tr("Roughly true (calibrate this screen in Cut). Draw along the ends of the barbs, base to tip; or drag the marks."));
    }
    update();
}

void VaneView::choosePhotograph() {
    askWhatToRead(this, tr("A feather on squared paper"), QString(), pictureKinds(), [this](const QString& path) {
        reading_.start([path](const std::stop_token&, const Background::Progress&) { return readPicture(path, kPixels); },
                       [this](Result<QImage> picture) {
                           if (!picture) return document_.refuse(picture.error());
                           open(std::move(*picture));
                       });
    });
}

void VaneView::open(QImage photograph) {
    photograph_ = std::move(photograph);
    photographScale_ = 0.0;
    stem_.reset();
    stroke_.clear();
    ask(Asked::scale);
}

void VaneView::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton || !feather()) return;
    setFocus(Qt::MouseFocusReason);
    held_ = markNear(event->position());
    pressed_ = event->position();
    stroke_.clear();
    if (held_) {
        chosen_ = *held_;
        dragged_ = shown();
    } else {
        stroke_ << event->position();
    }
    update();
}

void VaneView::mouseMoveEvent(QMouseEvent* event) {
    // The end of a barb moves out and in; whoever goes along from it, draws.
    constexpr double kTold = 6.0;  // px until it is clear which
    const QPointF moved = event->position() - pressed_;
    if (held_ && *held_ > 0 && stroke_.isEmpty() && dragged_ && std::abs(moved.x()) > std::max(kTold, std::abs(moved.y()))) {
        held_.reset();
        dragged_.reset();
        stroke_ << pressed_;
    }
    if (held_ && dragged_)
        dragged_ = with(*dragged_, *held_, event->position());
    else if (!stroke_.isEmpty())
        stroke_ << event->position();
    else
        return setCursor(markNear(event->position()) ? Qt::OpenHandCursor : Qt::CrossCursor);
    update();
}

void VaneView::mouseReleaseEvent(QMouseEvent*) {
    if (held_ && dragged_) {
        const VaneMeasures measures = *dragged_;
        const std::size_t mark = *held_;
        held_.reset();
        return take(measures, tr("%1 as dragged").arg(markName(mark)));
    }
    if (!stroke_.isEmpty()) endStroke();
}

void VaneView::endStroke() {
    QPolygonF stroke;
    stroke.swap(stroke_);
    const QPointF across = stroke.back() - stroke.front();
    const double length = std::hypot(across.x(), across.y());
    constexpr double kLeastStroke = 12.0;  // px: less is a click
    if (length < kLeastStroke) return update();
    if (asked_ == Asked::scale) {
        photographScale_ = length / (scaleLength() / mm);
        return ask(Asked::stem);
    }
    if (asked_ == Asked::stem) {
        stem_ = std::pair(stroke.front(), stroke.back());
        return ask(Asked::ends);
    }
    const double k = pxPerMm();
    const auto point = [&](QPointF at) { return Point2{(at.x() - base().x()) / k * mm, (base().y() - at.y()) / k * mm}; };
    std::vector<Point2> ends;
    for (const QPointF& at : stroke)
        ends.push_back(point(at));
    const auto measured = measureVane(ends, stem_ ? std::optional(DrawnStem{point(stem_->first), point(stem_->second)}) : std::nullopt);
    if (!measured) {
        words_->setText(QStringLiteral("✗ ") + sayFault(measured.error().front()));
        setInk(words_, theme_.colours().fault);
        return update();
    }
    take(*measured, tr("the vane as drawn"));
    ask(Asked::ends);
}

void VaneView::keyPressEvent(QKeyEvent* event) {
    if (!feather()) return QWidget::keyPressEvent(event);
    switch (event->key()) {
        case Qt::Key_Left: return choosePart((chosen_ + kMarks - 1) % kMarks);
        case Qt::Key_Right: return choosePart((chosen_ + 1) % kMarks);
        case Qt::Key_Up: return nudgePart(chosen_, 1);
        case Qt::Key_Down: return nudgePart(chosen_, -1);
        case Qt::Key_Escape:
            if (photograph_.isNull() && !held_) break;
            held_.reset();
            dragged_.reset();
            photograph_ = {};
            stem_.reset();
            return ask(Asked::ends);
        default: break;
    }
    QWidget::keyPressEvent(event);
}

std::vector<SpokenPart> VaneView::spokenParts() const {
    std::vector<SpokenPart> parts;
    if (!feather()) return parts;
    const VaneMeasures m = shown();
    for (std::size_t mark = 0; mark < kMarks; ++mark) {
        const QPointF at = markAt(mark);
        parts.push_back({markName(mark), tr("%1 mm").arg(number((mark == 0 ? m.vane : m.barbs[mark - 1]) / mm, 1)),
                         QRectF(at - QPointF(kReach, kReach), QSizeF(2.0 * kReach, 2.0 * kReach)).toRect(), mark == chosen_, true});
    }
    return parts;
}

void VaneView::choosePart(std::size_t part) {
    chosen_ = std::min(part, kMarks - 1);
    update();
}

void VaneView::nudgePart(std::size_t part, int steps) {
    if (!feather() || part >= kMarks) return;
    VaneMeasures measures = shown();
    Length& measure = part == 0 ? measures.vane : measures.barbs[part - 1];
    measure = std::clamp(measure + steps * kStep, part == 0 ? kLeastVane : kLeastBarb, kLongest);
    take(measures, tr("%1 nudged").arg(markName(part)));
}

}  // namespace machair::app
