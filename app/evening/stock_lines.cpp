#include "evening/stock_lines.h"

#include <QDate>
#include <QListWidget>
#include <QLocale>
#include <QPainter>
#include <algorithm>

#include "editing/document.h"

namespace machair::app {

namespace {

constexpr int kLeftRole = Qt::UserRole + 10, kDayRole = Qt::UserRole + 11;
constexpr int kRoom = 104;  // px that the line takes of an item, at its right

QStyleOptionViewItem withoutLine(const QStyleOptionViewItem& option) {
    QStyleOptionViewItem inner = option;
    inner.rect.setRight(inner.rect.right() - kRoom);
    return inner;
}

}  // namespace

void StockLines::set(QListWidgetItem& item, const StockWanted& wanted) {
    QVariantList left;
    for (const double share : wanted.leftAfter)
        left << share;
    item.setData(kLeftRole, left);
    if (wanted.buyBy) item.setData(kDayRole, qt(*wanted.buyBy));
}

QSize StockLines::sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const {
    return QStyledItemDelegate::sizeHint(index.data(kLeftRole).toList().isEmpty() ? option : withoutLine(option), index);
}

void StockLines::paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const {
    const QVariantList left = index.data(kLeftRole).toList();
    if (left.isEmpty()) return QStyledItemDelegate::paint(painter, option, index);
    QStyledItemDelegate::paint(painter, withoutLine(option), index);
    const Colours& c = theme_.colours();
    const QRectF frame = QRectF(option.rect.right() - kRoom + 8.0, option.rect.top() + 6.0, kRoom - 16.0, option.rect.height() - 22.0);
    painter->save();
    painter->setRenderHint(QPainter::Antialiasing);
    // From what is there at the left to what is left after the last batch; nothing is a third above the frame's foot.
    constexpr double kBelow = 1.0 / 3.0;
    const double zero = frame.bottom() - kBelow * frame.height();
    const auto at = [&](int batch) {
        const double share = batch == 0 ? 1.0 : std::clamp(left[batch - 1].toDouble(), -0.5, 1.0);
        return QPointF(frame.left() + frame.width() * batch / static_cast<double>(left.size()), zero - share * (zero - frame.top()));
    };
    painter->setPen(QPen(c.line, 1.0));
    painter->drawLine(QPointF(frame.left(), zero), QPointF(frame.right(), zero));
    for (int batch = 1; batch <= left.size(); ++batch) {
        const QPointF from = at(batch - 1), to = at(batch);
        const bool crosses = from.y() <= zero && to.y() > zero;
        painter->setPen(QPen(to.y() > zero ? c.fault : c.slate, 1.8));
        painter->drawLine(from, to);
        if (!crosses) continue;
        const QPointF meets(from.x() + (to.x() - from.x()) * (zero - from.y()) / std::max(1e-9, to.y() - from.y()), zero);
        painter->setBrush(c.fault);
        painter->drawEllipse(meets, 3.0, 3.0);
        const QDate day = QDate::fromString(index.data(kDayRole).toString(), Qt::ISODate);
        painter->setFont(faceScaled(0.8));
        painter->setPen(c.fault);
        painter->drawText(QRectF(frame.left() - 6.0, frame.bottom() - 2.0, frame.width() + 12.0, 16.0), Qt::AlignRight | Qt::AlignVCenter,
                          day.isValid() ? QLocale().toString(day, QStringLiteral("d MMM")) : tr("out"));
    }
    painter->restore();
}

}  // namespace machair::app
