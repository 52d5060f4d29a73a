// What every page for paper has in common: its inks, words of so many millimetres, hairlines, the bar that proves the printer.
// Inside drawing only.
#pragma once

#include <QColor>
#include <QPointF>
#include <QRectF>
#include <QString>
#include <string>

#include "sizing/plan.h"
#include "units/text.h"

class QPainter;

namespace machair::drawing {

inline constexpr double kPageMargin = 6.0;  // mm
inline const QColor kPageInk(0x2b, 0x27, 0x22);
inline const QColor kPageSoft(0x5c, 0x53, 0x47);
inline const QColor kPageBand(0xd9, 0xcf, 0xba);
inline const QColor kPageAccent(0x9a, 0x3d, 0x1c);

[[nodiscard]] inline QString qtext(const std::string& words) { return QString::fromStdString(words); }
[[nodiscard]] inline QString saidIn(Length length, LengthUnit unit) { return qtext(formatLength(length, unit)); }

// Words of so many mm height, with their left end (0), middle (0.5) or right end (1) on the baseline at `at`; cut short where
// they have no room.
void writeWords(QPainter& painter, QPointF at, const QString& words, double height, const QColor& ink, bool bold = false,
                double align = 0.0, double room = 1e9);
void hairline(QPainter& painter, QPointF a, QPointF b, double width = 0.15, const QColor& ink = kPageInk);
void provingBar(QPainter& painter, QPointF at, LengthUnit unit = LengthUnit::millimetres);
// The fly as large as the frame lets it be.
void flyIn(QPainter& painter, const Plan& plan, const QRectF& frame);

}  // namespace machair::drawing
