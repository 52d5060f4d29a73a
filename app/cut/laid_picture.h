// One thing as it lies on the table in Cut, at the table's scale: what is cut of it, not how it is sold.
#pragma once

#include <QColor>
#include <QRectF>

#include "cutting/laying_out.h"

class QPainter;

namespace machair::app {

// `made` is the material of the book; null where it is the usual one.
void paintLaid(QPainter& painter, const QRectF& area, const LaidOut& laid, const Plan& plan, const Material* made, const QColor& ink,
               const QColor& paper, double pxPerMm);

}  // namespace machair::app
