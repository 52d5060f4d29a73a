#include "water/choice_casts.h"

#include <QListWidget>
#include <QPainter>
#include <QPainterPath>

#include "book/flies.h"
#include "editing/document.h"
#include "parts/card_frame.h"
#include "parts/lengths.h"
#include "theme/said.h"

namespace machair::app {

namespace {

constexpr int kFlies = Qt::UserRole + 10, kNames = Qt::UserRole + 11, kScore = Qt::UserRole + 12, kWhy = Qt::UserRole + 13,
              kVerdict = Qt::UserRole + 14;
constexpr QSize kFly(88, 50);
constexpr int kEdge = 8, kDeeper = 7;  // px that each hangs under the one before

}  // namespace

void ChoiceCasts::set(QListWidgetItem& item, const Shown& shown) {
    QStringList flies;
    for (const Fly& fly : shown.flies)
        flies << qt(writeFly(fly));
    item.setData(kFlies, flies);
    item.setData(kNames, QStringList(shown.names.begin(), shown.names.end()));
    item.setData(kScore, shown.score);
    item.setData(kWhy, shown.why);
    item.setData(kVerdict, static_cast<int>(shown.verdict));
}

bool ChoiceCasts::isCast(const QListWidgetItem& item) { return item.data(kFlies).toStringList().size() == 3; }

QSize ChoiceCasts::sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const {
    if (!index.data(kFlies).isValid()) return QStyledItemDelegate::sizeHint(option, index);
    const int line = QFontMetrics(option.font).height();
    return {0, 2 * kEdge + line + kFly.height() + 2 * kDeeper + line + static_cast<int>(index.data(kWhy).toStringList().size()) * line + 8};
}

void ChoiceCasts::paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const {
    const QStringList flies = index.data(kFlies).toStringList(), names = index.data(kNames).toStringList();
    if (flies.size() != 3) return QStyledItemDelegate::paint(painter, option, index);
    const Colours& c = theme_.colours();
    const QRect card = cardOf(option);
    painter->save();
    paintCardFrame(*painter, option, c);
    painter->setClipRect(card.adjusted(2, 2, -2, -2));
    const int line = QFontMetrics(option.font).height();
    QRect row = card.adjusted(kEdge, 4, -kEdge, 0);
    row.setHeight(line);
    painter->setFont(faceScaled(0.95, true));
    painter->setPen(colourOf(c, static_cast<Verdict>(index.data(kVerdict).toInt())));
    painter->drawText(row, Qt::AlignLeft | Qt::AlignVCenter, index.data(kScore).toString());
    // The leader goes down past each of the three.
    const double third = (card.width() - 2.0 * kEdge) / 3.0, top = row.bottom() + 2.0;
    const auto eye = [&](int at) { return QPointF(card.left() + kEdge + third * at + 4.0, top + 0.45 * kFly.height() + at * kDeeper); };
    QPainterPath leader(QPointF(card.left(), top));
    for (int at = 0; at < 3; ++at)
        leader.quadTo(QPointF(eye(at).x() - 0.4 * third, eye(at).y() - 8.0), eye(at));
    painter->setPen(QPen(c.slate, 1.2));
    painter->setBrush(Qt::NoBrush);
    painter->drawPath(leader);
    const double under = top + kFly.height() + 2.0 * kDeeper;
    for (int at = 0; at < 3; ++at) {
        if (const QImage image = pictures_.get({"fly", flies[at].toStdString()}, kFly, option.widget->devicePixelRatioF()); !image.isNull())
            painter->drawImage(QPointF(eye(at).x(), top + at * kDeeper), image);
        painter->setFont(faceScaled(0.88));
        painter->setPen(c.ink);
        const QRectF name(card.left() + kEdge + third * at, under, third - 4.0, line);
        painter->drawText(name, Qt::AlignLeft | Qt::AlignVCenter,
                          QFontMetricsF(painter->font()).elidedText(names[at], Qt::ElideRight, name.width()));
    }
    painter->setPen(c.inkSoft);
    double y = under + line;
    for (const QString& why : index.data(kWhy).toStringList()) {
        const QRectF room(card.left() + kEdge, y, card.width() - 2.0 * kEdge, line);
        painter->drawText(room, Qt::AlignLeft | Qt::AlignVCenter,
                          QFontMetricsF(painter->font()).elidedText(inHouseWords(why), Qt::ElideRight, room.width()));
        y += line;
    }
    painter->restore();
}

}  // namespace machair::app
