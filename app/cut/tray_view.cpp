#include "cut/tray_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <cmath>

#include "cut/laid_picture.h"
#include "cutting/stock.h"
#include "parts/lengths.h"
#include "units/text.h"
#include "units/visit.h"

namespace machair::app {

namespace {

constexpr double kLeastScale = 3.0, kMostScale = 12.0;  // px a mm
constexpr double kNarrowest = 176.0;                    // px, so that its words have room

}  // namespace

TrayView::TrayView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("tray"));
    setAccessibleName(tr("Everything laid out, in order"));
    setFocusPolicy(Qt::StrongFocus);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void TrayView::show(std::vector<OnTable> dressings, int roomHigh) {
    dressings_ = std::move(dressings);
    roomHigh_ = roomHigh;
    pieces_.clear();
    for (std::size_t d = 0; d < dressings_.size(); ++d)
        for (const LaidOut& laid : dressings_[d].laid)
            pieces_.push_back({d, laid, wordsOf(dressings_[d], laid)});
    current_ = std::clamp(current_, 0, std::max(0, static_cast<int>(pieces_.size()) - 1));
    layOutTable();
    sayTable();
    update();
}

void TrayView::layNoMore() {
    laid_.clear();
    sayTable();
    update();
}

// What its words say under its name: how much, what is in it, from which off-cuts or band, and whether the drawers hold it.
QStringList TrayView::wordsOf(const OnTable& dressing, const LaidOut& laid) const {
    QStringList words = {inHouseWords(dressing.flies == 1 ? laid.each : laid.all)};
    if (const auto own = dressing.notes.find(laid.part); own != dressing.notes.end()) words << own->second;
    const Stock* stock = laid.material.empty() ? nullptr : document_.book().findStock(laid.material);
    if (stock && laid.length && !stock->offcuts.empty()) {
        const FromOffcuts cut = cutFrom(stock->offcuts, *laid.length, dressing.flies);
        QStringList from;
        for (const Length offcut : cut.from)
            from << lengthSaid(offcut, 0);
        if (cut.pieces > 0)
            words << tr("%1 out of the off-cuts of %2, %3 off the spool").arg(cut.pieces).arg(from.join(tr(", "))).arg(cut.offSpool);
    }
    if (stock && isShort(*stock, laid, dressing.flies)) words << tr("✗ the drawers hold less: fetch more before you start");
    if (!laid.why.empty()) words << inHouseWords(laid.why);
    return words;
}

bool TrayView::isShort(const Stock& stock, const LaidOut& laid, int flies) {
    if (laid.length && stock.length) {
        Length all = *stock.length;
        for (const Length offcut : stock.offcuts)
            all += offcut;
        return all < static_cast<double>(flies) * *laid.length;
    }
    if (laid.count && stock.count) return *stock.count < flies * *laid.count;
    return laid.mass && stock.mass && *stock.mass < flies * (*laid.mass / mg);
}

QSizeF TrayView::sizeOf(const Piece& piece) const {
    const LaidOut& laid = piece.laid;
    constexpr QSizeF kCoil(52.0, 21.0);
    const Plan& plan = dressings_[piece.dressing].plan;
    if (laid.part >= plan.parts.size()) return kCoil;
    const auto& detail = plan.parts[laid.part].detail;
    const auto hackleSize = [](const HacklePlan& h) { return QSizeF(h.stem / mm + 16.0 + 0.5 * (h.longest / mm), 1.8 * (h.longest / mm)); };
    // What is wound off a spool lies as a coil; the rest has a dot to stand for it.
    const QSizeF wound = laid.length ? kCoil : QSizeF(12.0, 8.0);
    return std::visit(Overloaded{
                          hackleSize,
                          [&](const PalmerPlan& palmer) { return hackleSize(palmer.hackle); },
                          [&](const BodyPlan& body) {
                              if (body.made) return QSizeF(*body.made / mm + 2.0, 7.0);
                              return body.strands && body.perStrand ? QSizeF(*body.perStrand / mm + 2.0, 9.0) : wound;
                          },
                          [](const TailPlan& tail) { return QSizeF(tail.fibreNeeded / mm + 2.0, tail.slip ? *tail.slip / mm + 3.0 : 9.0); },
                          [](const WingPlan& wing) {
                              const bool pair = wing.style == WingStyle::paired || wing.style == WingStyle::upright;
                              return QSizeF(wing.length / mm + 9.0, std::max(8.0, (pair ? 2.6 : 1.3) * (wing.slip / mm)));
                          },
                          [](const BeadPlan&) { return QSizeF(8.0, 6.0); },
                          [](const PiecePlan& one) { return QSizeF(one.length / mm + 2.0, 9.0); },
                          [&](const OneOf<TagPlan, RibPlan, UnderbodyPlan, ThreadPlan, HeadPlan, Impossible> auto&) { return wound; },
                      },
                      detail);
}

// At the largest scale at which all of it lies in the room there is; at the least one the table is as high as it must be.
void TrayView::layOutTable() {
    for (scale_ = kMostScale; scale_ > kLeastScale; scale_ -= 0.25)
        if (place(scale_) <= roomHigh_) break;
    scale_ = std::max(scale_, kLeastScale);
    const double high = place(scale_);
    setMinimumHeight(high > roomHigh_ ? static_cast<int>(std::ceil(high)) : 0);
}

double TrayView::captionHeight(const Piece& piece, double wide) const {
    const QFontMetricsF bold(faceScaled(0.95, true)), plain(faceScaled(0.88));
    double high = bold.height() + 2.0;
    for (const QString& words : piece.words)
        high += plain.boundingRect(QRectF(0.0, 0.0, wide - 2.0 * kInside, 1000.0), Qt::TextWordWrap, words).height();
    return high + 4.0;
}

// Side by side in tying order, row after row; a dressing's name over its own. How high the table is.
double TrayView::place(double scale) {
    const double right = width() - kGap;
    const double heading = dressings_.size() > 1 ? QFontMetricsF(faceScaled(1.0, true)).height() + 8.0 : 0.0;
    double x = kGap, y = kGap, row = 0.0;
    std::size_t dressing = 0;
    headings_.assign(dressings_.size(), -1.0);
    const auto nextRow = [&] {
        if (x > kGap) y += row + kGap;
        x = kGap;
        row = 0.0;
    };
    const auto begin = [&](std::size_t d) {
        nextRow();
        headings_[d] = y;
        y += heading;
        dressing = d;
    };
    std::size_t first = 0;  // of this row
    const auto level = [&](std::size_t end) {
        for (std::size_t i = first; i < end; ++i)
            pieces_[i].place.setHeight(row);
        first = end;
    };
    if (!pieces_.empty() && heading > 0.0) begin(0);
    for (std::size_t i = 0; i < pieces_.size(); ++i) {
        Piece& piece = pieces_[i];
        const QSizeF own = sizeOf(piece);
        const double wide = std::min(right - kGap, std::max(kNarrowest, own.width() * scale + 2.0 * kInside));
        const double high = own.height() * scale + captionHeight(piece, wide) + 2.0 * kInside;
        if (heading > 0.0 && piece.dressing != dressing) {
            level(i);
            begin(piece.dressing);
        } else if (x > kGap && x + wide > right) {
            level(i);
            nextRow();
        }
        piece.place = QRectF(x, y, wide, high);
        row = std::max(row, high);
        x += wide + kGap;
    }
    level(pieces_.size());
    constexpr double kBar = 22.0;
    return y + row + kGap + kBar;
}

QRectF TrayView::cellOf(std::size_t piece) const { return pieces_.at(piece).place; }

QString TrayView::keyOf(const Piece& piece) const {
    return qt(dressings_[piece.dressing].plan.pattern.id) + QLatin1Char('/') + QString::number(piece.laid.part);
}

bool TrayView::isLaid(std::size_t piece) const { return laid_.contains(keyOf(pieces_.at(piece))); }

void TrayView::tick(std::size_t piece) {
    if (piece >= pieces_.size()) return;
    current_ = static_cast<int>(piece);
    const QString key = keyOf(pieces_[piece]);
    if (!laid_.remove(key)) laid_.insert(key);
    sayTable();
    update();
    const auto done = std::ranges::count_if(pieces_, [&](const Piece& p) { return laid_.contains(keyOf(p)); });
    emit ticked(static_cast<int>(done), static_cast<int>(pieces_.size()));
}

void TrayView::sayTable() {
    QStringList said;
    for (const Piece& piece : pieces_)
        said << (laid_.contains(keyOf(piece)) ? tr("laid: ") : QString()) + qt(piece.laid.what) + tr(": ") + piece.words.join(tr(", "));
    setAccessibleDescription(said.join(QLatin1Char('\n')));
}

std::vector<SpokenPart> TrayView::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (std::size_t i = 0; i < pieces_.size(); ++i)
        parts.push_back({qt(pieces_[i].laid.what), (isLaid(i) ? tr("laid: ") : QString()) + pieces_[i].words.join(tr(", ")),
                         cellOf(i).toRect(), static_cast<int>(i) == current_});
    return parts;
}

void TrayView::resizeEvent(QResizeEvent*) { layOutTable(); }

void TrayView::mousePressEvent(QMouseEvent* event) {
    for (std::size_t i = 0; i < pieces_.size(); ++i)
        if (pieces_[i].place.contains(event->position())) return tick(i);
}

void TrayView::keyPressEvent(QKeyEvent* event) {
    const int last = static_cast<int>(pieces_.size()) - 1;
    switch (event->key()) {
        case Qt::Key_Right:
        case Qt::Key_Down: current_ = std::min(last, current_ + 1); break;
        case Qt::Key_Left:
        case Qt::Key_Up: current_ = std::max(0, current_ - 1); break;
        case Qt::Key_Space:
            if (current_ >= 0 && current_ <= last) tick(static_cast<std::size_t>(current_));
            current_ = std::min(last, current_ + 1);
            break;
        default: return QWidget::keyPressEvent(event);
    }
    update();
}

}  // namespace machair::app
