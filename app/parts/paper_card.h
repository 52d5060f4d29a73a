// A sheet of paper that lies on the panel, with what is written on it: a rule card, a note.
#pragma once

#include <QFrame>
#include <QPainter>

#include "theme/theme.h"

namespace machair::app {

class PaperCard : public QFrame {
  public:
    explicit PaperCard(const Theme& theme, QWidget* parent = nullptr) : QFrame(parent), theme_(theme) {
        constexpr int kInside = 12;
        setContentsMargins(kInside, kInside - 2, kInside, kInside);
    }

  protected:
    void paintEvent(QPaintEvent*) override {
        const Colours& c = theme_.colours();
        QPainter painter(this);
        painter.setRenderHint(QPainter::Antialiasing);
        const QRectF sheet = QRectF(rect()).adjusted(1.5, 1.5, -3.5, -3.5);
        painter.setPen(Qt::NoPen);
        painter.setBrush(c.line);
        painter.drawRoundedRect(sheet.translated(2.0, 2.0), 3.0, 3.0);  // what it throws on the panel
        painter.setPen(QPen(c.line.darker(115), 1.0));
        painter.setBrush(c.raised);
        painter.drawRoundedRect(sheet, 3.0, 3.0);
        painter.setPen(QPen(c.accent, 1.6));  // the printed edge under its heading
        const double under = 2.0 * fontMetrics().height() + 14.0;
        painter.drawLine(QPointF(sheet.left() + 10.0, sheet.top() + under), QPointF(sheet.right() - 10.0, sheet.top() + under));
    }

  private:
    const Theme& theme_;
};

}  // namespace machair::app
