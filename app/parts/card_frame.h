// The card that a line of a list is painted as: raised, its edge in the accent where it is pointed at or chosen.
#pragma once

#include <QPainter>
#include <QStyleOptionViewItem>

#include "theme/theme.h"

namespace machair::app {

// Where the card lies in its line.
[[nodiscard]] inline QRect cardOf(const QStyleOptionViewItem& option) { return option.rect.adjusted(2, 3, -2, -3); }

inline void paintCardFrame(QPainter& painter, const QStyleOptionViewItem& option, const Colours& c) {
    const bool chosen = option.state & QStyle::State_Selected, over = option.state & QStyle::State_MouseOver;
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(chosen || over ? c.accent : c.line, chosen ? 2.0 : 1.0));
    painter.setBrush(c.raised);
    painter.drawRoundedRect(QRectF(cardOf(option)).adjusted(0.5, 0.5, -0.5, -0.5), 5.0, 5.0);
}

}  // namespace machair::app
